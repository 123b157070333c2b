import type { DrawingDoc } from "core/job";
import type { ReadLines } from "~/workers/readLines";
import { WorkStopped } from "~/job/Endable";

interface Answer {
  readonly ok: boolean;
  readonly sentence?: string;
  readonly picture?: NonNullable<DrawingDoc["picture"]>;
  readonly lines?: { readonly hash: string };
}
/** How sending goes: the share that has gone, and a way to break it off. */
export interface Sending {
  readonly signal?: AbortSignal;
  readonly told?: (done: number) => void;
}
/** Sends a file with its progress, which `fetch` does not tell. Errors: a sentence; WorkStopped; TypeError when nobody answers. */
function send(job: string, body: Blob, name: string, { signal, told }: Sending): Promise<Answer> {
  return new Promise((done, failed) => {
    const form = new FormData();
    form.set("file", body, name);
    const r = new XMLHttpRequest();
    r.open("POST", `/jobs/${job}/pictures`);
    r.responseType = "json";
    r.upload.onprogress = (e) => e.lengthComputable && told?.(e.loaded / e.total);
    r.onload = () => {
      const a = r.response as Answer | null;
      if (a?.ok) done(a);
      else failed(new Error(a?.sentence ?? "The file was not taken."));
    };
    r.onerror = () => failed(new TypeError("no answer"));
    r.onabort = () => failed(new WorkStopped());
    signal?.addEventListener("abort", () => r.abort());
    if (signal?.aborted) failed(new WorkStopped());
    else r.send(form);
  });
}
/** Sends a picture to be kept. Errors: a sentence. */
export async function sendPicture(
  job: string,
  picture: Blob,
  name: string,
  how: Sending = {},
): Promise<NonNullable<DrawingDoc["picture"]>> {
  const { hash, type, width, height } = (await send(job, picture, name, how)).picture!;
  return { hash, type, width, height };
}
/** Sends lines to be kept. Errors: a sentence. */
export async function sendLines(
  job: string,
  lines: ReadLines,
  how: Sending = {},
): Promise<NonNullable<DrawingDoc["lines"]>> {
  const a = await send(job, lines.text, "lines.json", how);
  return {
    hash: a.lines!.hash,
    width: lines.width,
    height: lines.height,
    hidden: lines.off.map((i) => lines.layers[i]!),
  };
}
