import { useEffect, useState } from "react";
import type { StructureDesign } from "core/job";

/** How many sticks are left out as unseen, counted when the hand rests: it frames the structure once more. 0 while it is not known. */
export function useUnseen(design: StructureDesign | undefined): number {
  const [known, setKnown] = useState<{ params: unknown; context: unknown; count: number }>();
  const params = design?.variant.params;
  const context = design?.context;
  const kind = design?.kind;
  const fault = design?.fault !== undefined;
  useEffect(() => {
    if (!kind?.unseen || !params || !context || fault) return;
    const timer = setTimeout(() => {
      try {
        setKnown({ params, context, count: kind.unseen!(params, context) });
      } catch {
        // with everything in view it may not go together: then there is nothing to count against
        setKnown(undefined);
      }
    }, 400);
    return () => clearTimeout(timer);
  }, [kind, params, context, fault]);
  return known && known.params === params ? known.count : 0;
}
