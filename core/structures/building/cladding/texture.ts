import type { PanelBody } from "../../../frame";
import { textureOf } from "../../../lumber";
import { model } from "../../../units";
import type { BuildingLayout } from "../plan/layout";

/**
 * Where the lines of a wall's sheet lie: level ones at the same heights all round, counted from the lowest foot of the
 * cladding, so that courses meet at the corners; upright ones from the wall's left end, so that it begins with a whole board.
 */
export function textured(l: BuildingLayout, left: number): NonNullable<PanelBody["texture"]> {
  const { id, pitch } = l.sheet!.item.texture!;
  const t = textureOf(id);
  const level = t.runs === "level";
  return { across: level ? "v" : "u", pitch, first: model(level ? l.courses : left), turns: t.turns };
}
