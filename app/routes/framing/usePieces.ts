import { useEffect, useState } from "react";
import type { Piece } from "core/frame";
import type { Design } from "core/job";
import { PAINT_FROM } from "~/board/SticksCanvas";

/** The pieces of a design: at once for small ones; for large ones after the drawing has been painted, until then those before. */
export function usePieces(design: Design): readonly Piece[] {
  const large = design.structures.reduce((n, s) => n + s.resolved.sticks.length, 0) > PAINT_FROM;
  const [late, setLate] = useState<{ design: Design; pieces: readonly Piece[] }>();
  useEffect(() => {
    if (!large) return;
    const t = setTimeout(() => setLate({ design, pieces: design.pieces }), 250);
    return () => clearTimeout(t);
  }, [design, large]);
  return large ? (late?.pieces ?? []) : design.pieces;
}
