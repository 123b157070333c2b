import { randomUUID } from "node:crypto";
import { parseNominal, stockItem, type StockChoice } from "core/lumber";
import { scaleOf } from "core/units";
import { jsonOf, TooLarge } from "~/data/body.server";
import { faultWords } from "~/data/faults.server";
import { readJob } from "~/data/jobs.server";
import { keepEntry } from "~/data/keep.server";
import { onlySent } from "~/data/onlySent.server";
import { jobNames } from "~/data/shelf.server";
import type { Route } from "./+types/choice";

export const loader = onlySent("A choice of stock");

/** Chooses stock for a section in every job of a scale but one, each as an edit of its own that can be undone there; answers how many changed. */
export async function action({ request }: Route.ActionArgs) {
  try {
    const raw = ((await jsonOf(request, 20_000)) ?? {}) as Record<string, unknown>;
    const { name, not } = raw;
    const choice = raw.choice as StockChoice | undefined;
    if (typeof name !== "string" || !parseNominal(name)) throw new Error(`“${String(name)}” is no nominal size; write one such as 12×12.`); // prettier-ignore
    const scale = scaleOf(String(raw.scale) as "HO", Number(raw.ratio));
    if (!choice || !stockItem(scale, String(choice.item)) || ![1, 2].includes(choice.plies) || !["thickness", "width"].includes(choice.along)) throw new Error("The stock that was chosen is in no series."); // prettier-ignore
    const value = { item: choice.item, plies: choice.plies, along: choice.along };
    let changed = 0;
    for (const id of Object.keys(jobNames())) {
      if (id === not) continue;
      const job = readable(id);
      if (!job || job.doc.brief.scale.id !== scale.id || Math.abs(job.doc.brief.scale.ratio - scale.ratio) > 1e-9)
        continue;
      if (!usesSection(job.doc.structures, name)) continue;
      if (JSON.stringify(job.doc.stock.choices[name]) === JSON.stringify(value)) continue;
      const kept = keepEntry(id, { kind: "edit", id: randomUUID(), base: job.revision, label: `${name} as in another job`, patches: [{ op: "set", path: ["stock", "choices", name], value }] }); // prettier-ignore
      if (kept.ok) changed++;
    }
    return Response.json({ changed });
  } catch (e) {
    const fault = faultWords(e);
    if (fault) return Response.json({ fault }, { status: 503 });
    return Response.json({ sentence: (e as Error).message }, { status: e instanceof TooLarge ? 413 : 400 });
  }
}
function readable(id: string) {
  try {
    return readJob(id)?.confirmed;
  } catch {
    // a job that cannot be read is left as it is
    return undefined;
  }
}
/** Whether a section is named in a job's structures. */
const usesSection = (structures: unknown, name: string): boolean => JSON.stringify(structures).includes(JSON.stringify(name)); // prettier-ignore
