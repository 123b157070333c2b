import { hull, type Vec2 } from "../geometry";
import type { PieceShape } from "./pieceShape";

/** A piece seen from above as it lies for the cut at its start: from its start tip to the right, about its middle line, mm. Notches are not in it. */
export function lying(shape: PieceShape): Vec2[] {
  const axis = shape.ends[0][0]?.face[1] === "v" ? 2 : 1;
  return hull(
    shape.corners.map((c): Vec2 => [c[0], c[axis]!]),
    1e-6,
  );
}
