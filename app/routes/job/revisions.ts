import type { Patch } from "immer";
import type { JobDoc } from "core/job";
import { editJob, keepMine, readJob, redoJob, undoJob } from "~/data/jobs.server";
import type { Route } from "./+types/revisions";

interface Body {
  base?: unknown;
  label?: unknown;
  patches?: unknown;
  step?: unknown;
  read?: unknown;
  keepMine?: unknown;
  clock?: unknown;
}
/** Every change of a design comes through here: patches, undo, redo, or keeping a late tab's structures as variants. */
export async function action({ request, params }: Route.ActionArgs) {
  const refuse = (sentence: string) =>
    Response.json({ ok: false, conflict: false, sentences: [sentence] }, { status: 400 });
  const body = (await request.json().catch(() => undefined)) as Body | undefined;
  if (!body) return refuse("The change could not be read.");
  if (body.read) {
    const state = readJob(params.job);
    return state ? Response.json({ ok: true, state }) : refuse("This job is not on the shelf any more.");
  }
  if (body.keepMine) {
    const clock = typeof body.clock === "string" ? body.clock.slice(0, 5) : "";
    return Response.json(keepMine(params.job, body.keepMine as JobDoc, clock));
  }
  if (typeof body.base !== "number") return refuse("The change does not say which revision it was made on.");
  if (body.step === "undo") return Response.json(undoJob(params.job, body.base));
  if (body.step === "redo") return Response.json(redoJob(params.job, body.base));
  if (!Array.isArray(body.patches) || typeof body.label !== "string") return refuse("The change could not be read.");
  return Response.json(editJob(params.job, body.base, body.label.slice(0, 200), body.patches as Patch[]));
}
