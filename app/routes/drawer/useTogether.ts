import { useCallback, useEffect, useMemo, useState } from "react";
import { toast } from "sonner";
import type { CutMove } from "core/drawer";
import { jobOfStick, letterOf, type JobToCut } from "core/jigs/together";
import { issuedMarks } from "core/job";
import { model, printModel, type Units } from "core/units";
import type { JobState } from "~/data/jobs.server";
import type { Kept } from "~/data/keep.server";
import { askChecker, newAsk } from "~/job/framer";
import { Away, post } from "~/job/post";
import { newEntryId } from "~/job/useKeeping";
import type { Ask } from "~/workers/heldDesigns";

/** A job that is planned with others, as it was when it was read. */
export interface Loaded extends JobToCut {
  readonly name: string;
  readonly units: Units;
  readonly aim: string | undefined;
  readonly ask: Ask;
}
export interface Together {
  readonly jobs: readonly Loaded[];
  /** Jobs that are still being framed, or could not be, with why. */
  readonly waiting: readonly string[];
  readonly faults: Readonly<Record<string, string>>;
  readonly cut: ReadonlySet<string>;
  mark(sticks: readonly string[], moves: readonly CutMove[]): void;
  takeBack(sticks: readonly string[]): void;
}

async function load(job: string): Promise<Omit<Loaded, "letter">> {
  const r = await fetch(`/jobs/${job}/state?since=-1`);
  const said = (await r.json()) as JobState & { sentence?: string };
  if (!r.ok) throw new Error(said.sentence ?? "The job could not be read.");
  const { doc, events: issues } = said.confirmed;
  const ask = newAsk(doc, issuedMarks(issues));
  const todo = await askChecker((w) => w.toCut(ask, issues));
  return { ...todo, job, name: doc.name, units: doc.brief.units, aim: doc.cutting.aim, ask };
}
const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

/** Sticks of several jobs by their job, as the job itself knows them. */
function byJobOf(sticks: readonly string[]): Map<string, string[]> {
  const out = new Map<string, string[]>();
  for (const id of sticks) {
    const [job, stick] = jobOfStick(id);
    out.set(job, [...(out.get(job) ?? []), stick]);
  }
  return out;
}

/** The jobs that are ticked, framed in a worker, one after another; and what is cut of them from here on. `letters` says which letter is whose. */
export function useTogether(ids: readonly string[], changed: () => void): Together {
  const [known, setKnown] = useState<ReadonlyMap<string, Omit<Loaded, "letter">>>(new Map());
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({});
  const [cut, setCut] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    let gone = false;
    void (async () => {
      for (const id of ids) {
        if (gone) return;
        if (known.has(id) || faults[id]) continue;
        try {
          const got = await load(id);
          if (!gone) setKnown((k) => new Map([...k, [id, got]]));
        } catch (e) {
          if (!gone) setFaults((f) => ({ ...f, [id]: (e as Error).message }));
        }
        return;
      }
    })();
    return () => {
      gone = true;
    };
  }, [ids, known, faults]);
  const jobs = useMemo(
    () => ids.flatMap((id, n): Loaded[] => (known.has(id) ? [{ ...known.get(id)!, letter: letterOf(n) }] : [])),
    [ids, known],
  );
  const words = useCallback(
    (sticks: readonly string[]): string => {
      const count = new Map<string, number>();
      for (const s of sticks) {
        const job = jobs.find((j) => j.job === jobOfStick(s)[0]);
        if (job) count.set(job.name, (count.get(job.name) ?? 0) + 1);
      }
      return [...count].map(([name, n]) => `${n} ${n === 1 ? "piece" : "pieces"} of ${name}`).join(", ");
    },
    [jobs],
  );
  const acts = useMemo(() => {
    const tell = async (
      kind: "cut" | "uncut",
      sticks: readonly string[],
      moves: readonly CutMove[] = [],
    ): Promise<void> => {
      const byJob = byJobOf(sticks);
      const at = new Date().toISOString();
      // one act: the first job's event carries what it took out of the drawer for all of them
      const own = moves.map((m) => {
        const of = byJobOf(m.sticks);
        const parts = [...of].map(([job, all]) => ({ job, sticks: all }));
        return { move: { ...m, sticks: parts[0]?.sticks ?? [], also: parts.slice(1) }, job: parts[0]?.job };
      });
      try {
        const events = [];
        for (const [job, all] of byJob) {
          const { ask } = jobs.find((j) => j.job === job)!;
          const event = await askChecker((w) => w.issue(ask, kind, newEntryId(), at, all));
          const mine = own.filter((o) => o.job === job).map((o) => o.move);
          events.push({ job, event: mine.length > 0 && kind === "cut" ? { ...event, moves: mine } : event });
        }
        const kept = await post<Kept>("/drawer/cut", { events });
        if (!kept.ok)
          throw new Error(kept.why === "refused" ? kept.sentences[0] : "A job is not on the shelf any more.");
        setCut((c) =>
          kind === "cut" ? new Set([...c, ...sticks]) : new Set([...c].filter((s) => !sticks.includes(s))),
        );
        for (const job of byJob.keys()) {
          const channel = new BroadcastChannel(`cardo-${job}`);
          channel.postMessage({ revision: 0, event: true });
          channel.close();
        }
        changed();
        toast(`${kind === "cut" ? "Marked as cut" : "Not cut after all"}: ${words(sticks)}`, { id: "cut", duration: 10_000, action: { label: "Undo", onClick: () => void tell(kind === "cut" ? "uncut" : "cut", sticks, moves) } }); // prettier-ignore
      } catch (e) {
        toast.error(e instanceof Away ? "The server does not answer; nothing was marked. Try again when it is back." : capital((e as Error).message)); // prettier-ignore
      }
    };
    return {
      mark: (sticks: readonly string[], moves: readonly CutMove[]): void => void tell("cut", sticks, moves),
      takeBack: (sticks: readonly string[]): void => void tell("uncut", sticks),
    };
  }, [jobs, words, changed]);
  return {
    jobs,
    waiting: ids.filter((id) => !known.has(id) && !faults[id]),
    faults,
    cut,
    ...acts,
  };
}
/** Prints model lengths in a unit. */
export const printer = (unit: Units["model"]) => (mm: number, decimals = 1): string => printModel(model(mm), unit, decimals); // prettier-ignore
