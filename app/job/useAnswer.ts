import { useEffect, useState } from "react";

/**
 * What a worker answers to a question, and until it does what it answered before. `request` asks it, is the same for as long
 * as the question is, and undefined where none is; `pause` ms pass first, so that a run of changes is asked about once.
 * `fresh` says whether the answer is to this question; one that failed leaves what was known, and `fault` says why.
 */
export function useAnswer<T>(
  request: (() => Promise<T>) | undefined,
  pause = 0,
): { readonly answer: T | undefined; readonly fresh: boolean; readonly fault: string | undefined } {
  const [late, setLate] = useState<{ readonly request: () => Promise<T>; readonly answer: T }>();
  const [failed, setFailed] = useState<{ readonly request: () => Promise<T>; readonly why: string }>();
  useEffect(() => {
    if (!request) return;
    let waiting = true;
    const ask = (): void =>
      void request().then(
        (answer) => waiting && setLate({ request, answer }),
        (e: unknown) => waiting && setFailed({ request, why: (e as Error).message }),
      );
    const timer = setTimeout(ask, pause);
    return () => {
      waiting = false;
      clearTimeout(timer);
    };
  }, [request, pause]);
  const fault = failed && failed.request === request ? failed.why : undefined;
  return { answer: late?.answer, fresh: request === undefined || late?.request === request, fault };
}
