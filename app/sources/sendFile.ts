import type { DrawingDoc } from "core/job";
import type { SheetLines } from "core/sources";

interface Answer {
  readonly ok: boolean;
  readonly sentence?: string;
  readonly picture?: NonNullable<DrawingDoc["picture"]>;
  readonly lines?: { readonly hash: string };
}
async function send(job: string, body: Blob, name: string): Promise<Answer> {
  const form = new FormData();
  form.set("file", body, name);
  const a = (await (await fetch(`/jobs/${job}/pictures`, { method: "POST", body: form })).json()) as Answer;
  if (!a.ok) throw new Error(a.sentence ?? "The file was not taken.");
  return a;
}
/** Sends a picture to be kept. Errors: a sentence. */
export async function sendPicture(
  job: string,
  picture: Blob,
  name: string,
): Promise<NonNullable<DrawingDoc["picture"]>> {
  const { hash, type, width, height } = (await send(job, picture, name)).picture!;
  return { hash, type, width, height };
}
/** Sends lines to be kept. Errors: a sentence. */
export async function sendLines(job: string, lines: SheetLines): Promise<NonNullable<DrawingDoc["lines"]>> {
  const a = await send(job, new Blob([JSON.stringify(lines)], { type: "application/json" }), "lines.json");
  return {
    hash: a.lines!.hash,
    width: lines.width,
    height: lines.height,
    hidden: lines.off.map((i) => lines.layers[i]!),
  };
}
