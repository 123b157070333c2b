import { useEffect, useState } from "react";

/**
 * What a worker answers to a question, and until it does what it answered before. `request` asks it, is the same for as long
 * as the question is, and undefined where none is; `pause` ms pass first, so that a run of changes is asked about once.
 * `fresh` says whether the answer is to this question. A question that fails leaves what was known.
 */
export function useAnswer<T>(
  request: (() => Promise<T>) | undefined,
  pause = 0,
): { readonly answer: T | undefined; readonly fresh: boolean } {
  const [late, setLate] = useState<{ readonly request: () => Promise<T>; readonly answer: T }>();
  useEffect(() => {
    if (!request) return;
    let waiting = true;
    const ask = (): void =>
      void request().then(
        (answer) => waiting && setLate({ request, answer }),
        () => undefined,
      );
    const timer = setTimeout(ask, pause);
    return () => {
      waiting = false;
      clearTimeout(timer);
    };
  }, [request, pause]);
  return { answer: late?.answer, fresh: request === undefined || late?.request === request };
}
