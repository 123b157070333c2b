import { useCallback, useEffect, useMemo, useState } from "react";
import { forgotten, JOININGS, nextStep, stepStates, type Joining, type Way } from "core/assembly";
import type { OrderMistake } from "core/buildOrder";
import { askLooker } from "~/job/framer";
import { useJob } from "~/job/JobContext";
import { useAnswer } from "~/job/useAnswer";
import { recall, remember } from "~/ui/remembered";
import type { ShownStep } from "~/workers/assembler";

const NONE: readonly ShownStep[] = [];
const NO_MISTAKES: readonly OrderMistake[] = [];
/** The glues of the bench, as the server has them; the usual ones until it has answered. */
export function useJoinings(): readonly [readonly Joining[], (all: readonly Joining[]) => void] {
  const [all, setAll] = useState<readonly Joining[]>(JOININGS);
  useEffect(() => {
    let gone = false;
    fetch("/drawer/joinings")
      .then((r) => r.json() as Promise<{ joinings?: readonly Joining[] }>)
      .then((a) => !gone && a.joinings && setAll(a.joinings))
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, []);
  return [all, setAll];
}
/** The moment, told anew every so often: clocks run by what stands in the log, and so go on while nothing is open. */
function useNow(every: number): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const clock = setInterval(() => setNow(Date.now()), every);
    return () => clearInterval(clock);
  }, [every]);
  return now;
}
const WAY = "cardo-way";
/** Which way round a job is put together; each browser's own. */
export function useWay(job: string): readonly [Way, (w: Way) => void] {
  const [way, setWay] = useState<Way>(() => (recall(`${WAY}-${job}`) === "down" ? "down" : "up"));
  return [
    way,
    (w) => {
      setWay(w);
      remember(`${WAY}-${job}`, w);
    },
  ];
}

/** The order of assembly, made in a worker, and how each step of it stands now. */
export function useBench(way: Way) {
  const { ask, issues } = useJob();
  const made = useAnswer(useCallback(() => askLooker((w) => w.assembly(ask, way)), [ask, way]));
  const steps = made.answer?.steps ?? NONE;
  const now = useNow(10_000);
  const prints = useMemo(() => new Map(steps.map((s) => [s.id, s.print] as const)), [steps]);
  // what was just noted begins now, whatever the clock showed last
  const at = Math.max(now, ...issues.map((i) => Date.parse(i.at)).filter((t) => t < now + 60_000));
  const states = useMemo(() => stepStates(steps, issues, at, prints), [steps, issues, at, prints]);
  return { way, steps, states, mistakes: made.answer?.mistakes ?? NO_MISTAKES, next: nextStep(steps, states), gone: useMemo(() => forgotten(steps, issues), [steps, issues]), now: at, fault: made.fault, known: made.answer !== undefined, fresh: made.fresh }; // prettier-ignore
}
export type BenchOrder = ReturnType<typeof useBench>;
