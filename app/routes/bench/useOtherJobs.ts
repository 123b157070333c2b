import { useEffect, useMemo, useState } from "react";
import { stepStates, tasksOf, underJob, type Step, type Task } from "core/assembly";
import { issuedMarks, type Issue } from "core/job";
import type { JobState } from "~/data/jobs.server";
import { askChecker, newAsk } from "~/job/framer";
import { useJob } from "~/job/JobContext";
import { useJobNames } from "~/job/useJobNames";
import { recallJson, remember } from "~/ui/remembered";

interface Other {
  readonly id: string;
  readonly name: string;
  readonly steps: readonly Step[];
  readonly issues: readonly Issue[];
}
const KEY = "cardo-evenings-with";
/** Other jobs that are built in the same evenings: which are ticked, and what of them is still to be done. */
export function useOtherJobs(start: Date, handle: (joining: string) => number) {
  const { id } = useJob();
  const names = useJobNames();
  const [ticked, setTicked] = useState<readonly string[]>(() => {
    const known = recallJson(KEY);
    return Array.isArray(known) ? known.filter((x) => typeof x === "string") : [];
  });
  const [known, setKnown] = useState<ReadonlyMap<string, Other>>(new Map());
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({});
  const wanted = ticked.filter((x) => x !== id && names[x] !== undefined);
  const next = wanted.find((x) => !known.has(x) && !faults[x]);
  useEffect(() => {
    if (!next) return;
    let gone = false;
    load(next).then(
      (o) => !gone && setKnown((k) => new Map([...k, [next, o]])),
      (e: unknown) => !gone && setFaults((f) => ({ ...f, [next]: (e as Error).message })),
    );
    return () => {
      gone = true;
    };
  }, [next]);
  const shown = wanted.join();
  const tasks = useMemo(
    () => shown.split(",").flatMap((x) => known.get(x) ?? []).flatMap((o): Task[] => underJob(o.id, o.name, tasksOf(o.steps, stepStates(o.steps, o.issues, start.getTime()), o.issues, start.getTime(), handle))), // prettier-ignore
    [shown, known, start, handle],
  );
  const flip = (x: string): void => {
    const now = ticked.includes(x) ? ticked.filter((t) => t !== x) : [...ticked, x];
    setTicked(now);
    remember(KEY, JSON.stringify(now));
  };
  const others = Object.entries(names).filter(([x]) => x !== id).sort(([, a], [, b]) => (a < b ? -1 : 1)); // prettier-ignore
  return { others, ticked: new Set(wanted), flip, tasks, waiting: next ? names[next] : undefined, faults };
}
async function load(job: string): Promise<Other> {
  const r = await fetch(`/jobs/${job}/state?since=-1`);
  const said = (await r.json()) as JobState & { sentence?: string };
  if (!r.ok) throw new Error(said.sentence ?? "The job could not be read.");
  const { doc, events } = said.confirmed;
  const ask = newAsk(doc, issuedMarks(events));
  const { steps } = await askChecker((w) => w.assembly(ask, "up"));
  return { id: job, name: doc.name, steps, issues: events };
}
