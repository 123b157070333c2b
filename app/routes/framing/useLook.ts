import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { View } from "core/drawing";
import { lookAt, type Look, type LookAt, type StructureDesign } from "core/job";
import { kindsAtHand } from "core/structures";
import { useJob } from "~/job/JobContext";
import { lookFor, lookReady } from "~/job/looks";
import type { Ask } from "~/workers/heldDesigns";

/** A picture with what it is of: the design it was made from, and from where that is looked at. */
export interface Looked {
  readonly design: StructureDesign;
  readonly at: LookAt;
  readonly look: Look;
}

/**
 * What the board shows of a structure: made here for a small one, else by a worker, and until that answers the picture
 * before. `fresh` says whether it is what was asked for. While one is being made only the latest of what is asked next waits.
 * What is being typed is begun before it is asked for, so that it is mostly there by then.
 */
export function useLook(
  wanted: StructureDesign | undefined,
  view: View["id"],
  build: string | undefined,
  bare: boolean,
): { readonly looked: Looked | undefined; readonly fresh: boolean } {
  const { away: elsewhere, whenFramed, ask, whenAhead } = useJob();
  const at = useMemo((): LookAt => ({ view, build, bare }), [view, build, bare]);
  const [late, setLate] = useState<Looked>();
  // a worker that fails leaves the page to make the picture itself
  const [failed, setFailed] = useState(false);
  const last = useRef<Looked>(undefined);
  const before = late ?? last.current;
  // another structure is not shown under the picture of the one before, where that can be helped
  const here = wanted && kindsAtHand([wanted.kind.id]) && before?.design.structure.id !== wanted.structure.id;
  const away = elsewhere && !failed && wanted !== undefined && !here;
  const now = useMemo((): Looked | undefined => {
    if (!wanted) return undefined;
    const look = away ? lookReady(ask, wanted.structure.id, at) : lookAt(wanted, at);
    return look && { design: wanted, at, look };
  }, [wanted, ask, at, away]);
  if (now) last.current = now;
  if (now && late) setLate(undefined);

  const busy = useRef(false);
  const next = useRef<() => void>(undefined);
  const nextIsAhead = useRef(false);
  // what is begun ahead never takes the place of what is waited for
  const whenIdle = useCallback((make: () => Promise<unknown>, ahead = false): (() => void) => {
    const start = (): void => {
      busy.current = true;
      next.current = undefined;
      void make().finally(() => {
        busy.current = false;
        next.current?.();
      });
    };
    if (!busy.current) start();
    else if (!ahead || !next.current || nextIsAhead.current) {
      next.current = start;
      nextIsAhead.current = ahead;
    }
    return () => {
      if (next.current === start) next.current = undefined;
    };
  }, []);
  const id = wanted?.structure.id;
  useEffect(() => {
    if (!away || now) return;
    return whenIdle(() =>
      lookFor(ask, wanted.structure.id, at).then(
        (look) => setLate({ design: wanted, at, look }),
        () => whenFramed(() => setFailed(true)),
      ),
    );
  }, [away, now, wanted, ask, at, whenFramed, whenIdle]);
  useEffect(() => {
    if (id === undefined) return;
    return whenAhead((to: Ask) => void whenIdle(() => lookFor(to, id, at).catch(() => undefined), true));
  }, [id, at, whenAhead, whenIdle]);
  const looked = now ?? before;
  return { looked, fresh: now !== undefined || (late?.design === wanted && late?.at === at) };
}
