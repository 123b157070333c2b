import { proxy, type Remote } from "comlink";
import { useCallback, useEffect, useRef, useState } from "react";
import type { Planner } from "~/workers/planner";
import { Endable, WorkStopped } from "./Endable";

/** What is told of one of the things that are planned, as often as it is bettered. */
interface News {
  readonly at: number;
  readonly seeking: boolean;
}
export interface Run<N extends News> {
  /** The last news of each; undefined where there is none yet. */
  readonly news: readonly (N | undefined)[];
  /** Whether anything is still sought. */
  readonly seeking: boolean;
  /** It was ended before it was through. */
  readonly stopped: boolean;
  readonly fault: string | undefined;
  /** Ends the search at once; what is known stays. */
  stop(): void;
  /** Takes the search up again. */
  again(): void;
}
interface State<N> {
  readonly key: string;
  readonly news: readonly N[];
  readonly running: boolean;
  readonly stopped: boolean;
  readonly fault?: string;
}

/** Plans `count` things in a worker of its own, and anew when `key` says that anything they depend on has changed. */
export function useRun<N extends News>(
  count: number,
  key: string,
  work: (w: Remote<Planner>, tell: (news: N) => void) => Promise<void>,
): Run<N> {
  const [state, setState] = useState<State<N>>({ key: "", news: [], running: false, stopped: false });
  const [round, setRound] = useState(0);
  const worker = useRef<Endable<Planner>>(undefined);
  const latest = useRef(work);
  latest.current = work;
  const end = useCallback((stopped: boolean) => {
    worker.current?.end();
    worker.current = undefined;
    setState((s) => ({ ...s, running: false, stopped }));
  }, []);
  useEffect(() => {
    setState({ key, news: [], running: count > 0, stopped: false });
    if (count === 0) return;
    const own = new Endable<Planner>(
      new Worker(new URL("../workers/planner.worker.ts", import.meta.url), { type: "module" }),
    );
    worker.current = own;
    const tell = (n: N): void => {
      if (worker.current === own) setState((s) => ({ ...s, news: [...s.news.filter((x) => x.at !== n.at), n] }));
    };
    own
      .ask((w) => latest.current(w, proxy(tell)))
      .catch((e: unknown) => {
        if (worker.current === own && !(e instanceof WorkStopped))
          setState((s) => ({ ...s, fault: `The plan could not be made: ${(e as Error).message}` }));
      })
      .finally(() => worker.current === own && end(false));
    return () => {
      own.end();
      worker.current = undefined;
    };
  }, [count, key, round, end]);
  const now = state.key === key;
  return {
    news: Array.from({ length: count }, (_, at) => (now ? state.news.find((n) => n.at === at) : undefined)),
    seeking: state.running && now,
    stopped: state.stopped && now,
    fault: now ? state.fault : undefined,
    stop: useCallback(() => end(true), [end]),
    again: useCallback(() => setRound((n) => n + 1), []),
  };
}
