import { wrap, type Remote } from "comlink";
import { useEffect, useMemo, useState } from "react";
import { findings as findingsOf, type Finding } from "core/checks";
import type { IssuedMark } from "core/frame";
import type { Design, JobDoc } from "core/job";
import type { Framer } from "~/workers/frame.worker";

/** More sticks than this are checked off the main thread: all pairs of thousands take seconds. */
const AT_ONCE = 1200;
let framer: Remote<Framer> | undefined;
export function startFramer(): Remote<Framer> {
  framer ??= wrap<Framer>(new Worker(new URL("../workers/frame.worker.ts", import.meta.url), { type: "module" }));
  return framer;
}

/** The findings of a design: at once for small ones, else from a worker, and until they come the ones before. */
export function useFindings(
  doc: JobDoc,
  design: Design,
  issued: readonly IssuedMark[],
): { readonly findings: readonly Finding[]; readonly checking: boolean } {
  const large = design.structures.reduce((n, s) => n + s.resolved.sticks.length, 0) > AT_ONCE;
  const now = useMemo(() => (large ? undefined : findingsOf(design)), [design, large]);
  const [late, setLate] = useState<{ doc: JobDoc; found: readonly Finding[] }>();
  useEffect(() => {
    if (!large) return;
    let waiting = true;
    // a pause, so that a run of edits is checked once
    const t = setTimeout(() => {
      void startFramer()
        .findings(doc, issued)
        .then((found) => waiting && setLate({ doc, found }));
    }, 400);
    return () => {
      waiting = false;
      clearTimeout(t);
    };
  }, [doc, issued, large]);
  return { findings: now ?? late?.found ?? [], checking: large && late?.doc !== doc };
}
