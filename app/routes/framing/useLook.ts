import { useEffect, useMemo, useRef, useState } from "react";
import { unpackSeen, type View } from "core/drawing";
import { lookAt, type Look, type LookAt, type StructureDesign } from "core/job";
import { kindsAtHand } from "core/structures";
import { useJob } from "~/job/JobContext";
import { askLooker } from "~/job/framer";

/** A picture with what it is of: the design it was made from, and from where that is looked at. */
export interface Looked {
  readonly design: StructureDesign;
  readonly at: LookAt;
  readonly look: Look;
}

/**
 * What the board shows of a structure: made here for a small one, else by a worker, and until that answers the picture
 * before. `fresh` says whether it is what was asked for. While one is being made only the latest of what is asked next waits.
 */
export function useLook(
  wanted: StructureDesign | undefined,
  view: View["id"],
  build: string | undefined,
  bare: boolean,
): { readonly looked: Looked | undefined; readonly fresh: boolean } {
  const { away: elsewhere, whenFramed, ask } = useJob();
  const at = useMemo((): LookAt => ({ view, build, bare }), [view, build, bare]);
  const [late, setLate] = useState<Looked>();
  // a worker that fails leaves the page to make the picture itself
  const [failed, setFailed] = useState(false);
  const last = useRef<Looked>(undefined);
  const before = late ?? last.current;
  // another structure is not shown under the picture of the one before, where that can be helped
  const here = wanted && kindsAtHand([wanted.kind.id]) && before?.design.structure.id !== wanted.structure.id;
  const away = elsewhere && !failed && wanted !== undefined && !here;
  const now = useMemo(
    () => (!wanted || away ? undefined : { design: wanted, at, look: lookAt(wanted, at) }),
    [wanted, at, away],
  );
  if (now) last.current = now;
  if (now && late) setLate(undefined);

  const busy = useRef(false);
  const next = useRef<() => void>(undefined);
  useEffect(() => {
    if (!away) return;
    const { id } = wanted.structure;
    const make = (): void => {
      busy.current = true;
      next.current = undefined;
      void askLooker((w) => w.look(ask, id, at))
        .then(
          (l) => setLate({ design: wanted, at, look: { ...l, shown: unpackSeen(l.shown) } }),
          () => whenFramed(() => setFailed(true)),
        )
        .finally(() => {
          busy.current = false;
          next.current?.();
        });
    };
    if (busy.current) next.current = make;
    else make();
    return () => {
      if (next.current === make) next.current = undefined;
    };
  }, [away, wanted, ask, at, whenFramed]);
  const looked = now ?? before;
  return { looked, fresh: !away || (late?.design === wanted && late?.at === at) };
}
