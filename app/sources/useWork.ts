import { proxy, type Remote } from "comlink";
import { useEffect, useRef, useState } from "react";
import type { PrototypeWork, Told } from "~/workers/prototype.worker";
import { Endable, WorkStopped } from "~/job/Endable";

/**
 * Runs one piece of heavy work in a worker of its own, with progress and a stop. Stopping, or leaving the page, ends the
 * worker; `limit` seconds end it too, so that no file can keep it busy for ever.
 */
function runWork<T>(
  job: (w: Remote<PrototypeWork>, told: Told) => Promise<T>,
  told: Told,
  limit: number,
): { readonly result: Promise<T>; readonly stop: () => void } {
  const worker = new Endable<PrototypeWork>(
    new Worker(new URL("../workers/prototype.worker.ts", import.meta.url), { type: "module" }),
  );
  const result = worker.ask((w) => job(w, proxy(told)), limit).finally(() => worker.end());
  return { result, stop: () => worker.end() };
}

/** Heavy work of a panel: one at a time, how far it is, and a way to stop it. */
export function useWork() {
  const [progress, setProgress] = useState<{ readonly done: number; readonly what: string }>();
  const stopping = useRef<() => void>(undefined);
  useEffect(() => () => stopping.current?.(), []);
  return {
    progress,
    stop: () => stopping.current?.(),
    /** Answers undefined when it was stopped. Errors: what the work says. */
    async run<T>(job: (w: Remote<PrototypeWork>, told: Told) => Promise<T>, limit = 300): Promise<T | undefined> {
      stopping.current?.();
      setProgress({ done: 0, what: "Starting" });
      // what the worker said before it was ended may still arrive after
      let over = false;
      const { result, stop } = runWork(job, (done, what) => over || setProgress({ done, what }), limit);
      stopping.current = stop;
      try {
        return await result;
      } catch (e) {
        if (e instanceof WorkStopped) return undefined;
        throw e;
      } finally {
        over = true;
        if (stopping.current === stop) setProgress(undefined);
      }
    },
  };
}
