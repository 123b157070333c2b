import { planPoint } from "core/site";
import type { BoardView } from "~/board/Board";
import type { Placed } from "./usePlaces";

/** Where a structure's name stands on the board: over the middle of what it covers, or below it where it is too narrow for a name of so many pixels. */
export function nameAt(p: Placed, v: BoardView, wide = 0): [number, number] {
  const all = p.facts.silhouette.flat().map((c) => planPoint(p.place, c));
  const ends = (k: 0 | 1): [number, number] => [Math.min(...all.map((c) => c[k])), Math.max(...all.map((c) => c[k]))];
  const [[left, right], [low, high]] = [ends(0), ends(1)];
  const below = (right - left) * v.k < wide;
  return [v.X((left + right) / 2), below ? v.Y(low) + 16 : v.Y((low + high) / 2)];
}
