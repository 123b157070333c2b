import type { Vec2 } from "../../geometry";
import { onSheetWall, under, type SheetLayout } from "../../structures/sheet/layout";
import { slopesOf } from "../../structures/sheet/slopes";
import { rectangleOf } from "../../structures/panel";
import type { CardModel, CardSlope, CardWall } from "../cardNet";

/** The edge of a slope's rectangle along the ridge. */
const RIDGE = 2;
/** A building of sheet in card: its four walls in one strip, its slopes, or its flat roof as it lies inside the walls. Trim, layers and chimneys are left out. Model mm. */
export function sheetMockup(l: SheetLayout): CardModel {
  const walls = l.walls.map((w): CardWall => {
    const at = (s: number): Vec2 => [s, under(l, onSheetWall(w, s, 0, 0)[1])];
    const top = !w.long && l.v.roof === "gable" ? [at(0), at(w.length / 2), at(w.length)] : [at(0), at(w.length)];
    const eave = l.k > 0 && w.long;
    return { name: w.name, length: w.length, foot: w.foot, top, eave, gaps: w.gaps };
  });
  const slopes = slopesOf(l).map((x): CardSlope => ({ words: `${x.side} slope`, shape: rectangleOf([-x.half, x.half], [x.from, x.to]), tabbed: (i) => i === RIDGE && x.ridge && x.side === "front" })); // prettier-ignore
  const [x, y] = [l.long / 2 - l.stack, l.wide / 2 - l.stack];
  if (l.v.roof === "flat") slopes.push({ words: "roof", shape: rectangleOf([-x, x], [-y, y]), tabbed: () => true });
  return { strips: [walls], slopes };
}
