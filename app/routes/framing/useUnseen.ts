import { useMemo } from "react";
import type { StructureDesign } from "core/job";
import { useJob } from "~/job/JobContext";
import { askChecker } from "~/job/framer";
import { useAnswer } from "~/job/useAnswer";

/** A pause after the last edit before it is counted, ms. */
const PAUSE = 400;

/** How many sticks are left out as unseen, counted in the worker when the hand rests: it frames the structure once more. 0 while it is not known. */
export function useUnseen(design: StructureDesign | undefined): number {
  const { ask } = useJob();
  const id = design?.kind.offers?.includes("unseen") ? design.structure.id : undefined;
  const request = useMemo(
    // with everything in view it may not go together: then there is nothing to count against
    () => (id === undefined ? undefined : () => askChecker((w) => w.unseen(ask, id)).catch(() => 0)),
    [ask, id],
  );
  const { answer, fresh } = useAnswer<number>(request, PAUSE);
  return id !== undefined && fresh ? (answer ?? 0) : 0;
}
