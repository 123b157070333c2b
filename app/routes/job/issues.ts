import { randomUUID } from "node:crypto";
import { designOf, issueOf, issuedMarks, type Issue } from "core/job";
import { addIssue, readJob } from "~/data/jobs.server";
import type { Route } from "./+types/issues";

/** Freezes the design as printed or cut. The server computes it, so that an issue is what it says. */
export async function action({ request, params }: Route.ActionArgs) {
  const body = (await request.json().catch(() => ({}))) as {
    kind?: Issue["kind"];
    sticks?: unknown;
    revision?: unknown;
  };
  const state = readJob(params.job);
  const refuse = (sentence: string) => Response.json({ ok: false, sentence });
  if (!state) return refuse("This job is not on the shelf any more.");
  if (!["print", "cut", "uncut"].includes(body.kind ?? ""))
    return refuse("An issue is a print, a cut, or a cut taken back.");
  if (typeof body.revision === "number" && body.revision !== state.revision)
    return refuse("The job was changed in another tab since; load it again before you mark or print.");
  const design = designOf(state.doc, issuedMarks(state.issues));
  const known = new Set(design.pieces.flatMap((p) => p.sticks));
  const sticks = Array.isArray(body.sticks) ? body.sticks.filter((s): s is string => typeof s === "string") : undefined;
  if (body.kind === "cut" && sticks?.some((s) => !known.has(s)))
    return refuse("One of these pieces is not in the design any more.");
  if (known.size === 0) return refuse("There is nothing to issue yet: frame a structure first.");
  addIssue(params.job, issueOf(design, body.kind!, randomUUID(), new Date().toISOString(), sticks));
  return Response.json({ ok: true, issues: readJob(params.job)!.issues });
}
