import { NEAR } from "../../geometry";
import { feet, inches } from "../../units";
import type { Params } from "../kind";
import type { Row } from "../spec";
import { WALLS } from "./layout";
import { sheetSpec, type SheetValues } from "./parameters";

/** What is kept free beside a new opening, to a corner and to its neighbours, prototype mm: room for any mounting, trim and shutters. */
const CLEAR = feet(2);

/** A new opening: like the last one, else the usual window, in the first free place of its wall or of the next; lower where the wall is. Undefined for another table. */
export function newOpening(v: SheetValues, path: string): Params | undefined {
  if (path !== "openings") return undefined;
  const usual = Object.fromEntries(Object.entries(sheetSpec.openings.columns).map(([k, c]) => [k, c.def])) as Row;
  const like = (v.openings.at(-1) ?? usual) as SheetValues["openings"][number];
  const height = Math.max(inches(6), Math.min(like.height, v.wallHeight - like.sill - feet(1)));
  const first = WALLS.indexOf(like.wall as never);
  for (const wall of [...WALLS.slice(first), ...WALLS.slice(0, first)]) {
    const length = wall === "front" || wall === "back" ? v.length : v.width;
    for (let at = CLEAR + like.width / 2; at <= length - CLEAR - like.width / 2 + NEAR; at += inches(6)) {
      const taken = v.openings.some(
        (o) => o.wall === wall && Math.abs(o.at - at) < (o.width + like.width) / 2 + CLEAR - NEAR,
      );
      if (!taken) return { ...like, wall, at, height };
    }
  }
  return { ...like, at: feet(2), width: feet(1), height };
}
