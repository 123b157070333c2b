import type { TextureId } from "../../../lumber";
import { MM_PER_INCH, model, prototype, toPrototype } from "../../../units";
import type { Context } from "../../kind";
import { SIZES } from "./layout";
import type { BuildingValues } from "../parameters";

/** The same values with every size as the stock chosen really is, in inches of the prototype: what has to meet is judged by that. */
export function realSizes(v: BuildingValues, context: Context): BuildingValues {
  const inch = (mm: number): number => Number((toPrototype(context.scale, model(mm)) / MM_PER_INCH).toFixed(4));
  const real: Record<string, unknown> = { ...v };
  for (const k of SIZES) {
    const { thickness, width } = context.stock(String(v[k])).section;
    real[k] = `${inch(thickness)}×${inch(width)}`;
  }
  if (v.siding === "sheet") {
    const sheet = context.sheet({ texture: v.sheetTexture as TextureId, pitch: prototype(v.sheetPitch) });
    real["sidingBoard"] = `${inch(sheet.item.thickness)}×48`;
  }
  return real as unknown as BuildingValues;
}
