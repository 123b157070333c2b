import type { PanelBody } from "../frame";
import { textureOf, type SheetItem } from "../lumber";
import { model } from "../units";

/**
 * Where the lines of a wall's textured sheet lie: level ones at the same heights all round, counted from the lowest foot,
 * so that courses meet at the corners; upright ones from the wall's left end, so that it begins with a whole board.
 */
export function wallLines(item: SheetItem, lowest: number, left: number): NonNullable<PanelBody["texture"]> {
  const { id, pitch } = item.texture!;
  const t = textureOf(id);
  const level = t.runs === "level";
  return { across: level ? "v" : "u", pitch, first: model(level ? lowest : left), turns: t.turns };
}
