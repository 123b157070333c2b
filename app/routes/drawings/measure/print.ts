import { MEASURES, measureValue, type MeasureKind, type SheetScale } from "core/prototype";
import type { MeasureDoc } from "core/job";
import { printNumber } from "core/units";
import { UNSCALED } from "core/prototype";

type Print = { readonly P: (mm: number) => string; readonly M: (mm: number, decimals?: number) => string };
/** Whether a measure means something on a sheet of no known scale. */
export const needsScale = (kind: MeasureKind): boolean => ["length", "spacing", "area"].includes(MEASURES[kind].unit);

/** A measure's value in words, on the prototype and on the model; why there is none, where there is none. */
export function printMeasure(
  m: Pick<MeasureDoc, "kind" | "points" | "count">,
  scale: SheetScale | undefined,
  ratio: number,
  { P, M }: Print,
): { readonly prototype: string; readonly model: string } {
  if (!scale && needsScale(m.kind)) return { prototype: "not calibrated", model: "" };
  let v: number;
  try {
    v = measureValue(m.kind, m.points, scale ?? UNSCALED, m.count);
  } catch (e) {
    return { prototype: (e as Error).message, model: "" };
  }
  const trimmed = (n: number, d: number): string => printNumber(n, d).replace(/\.?0+$/, "");
  switch (MEASURES[m.kind].unit) {
    case "length":
      return { prototype: P(v), model: M(v / ratio, 2) };
    case "spacing":
      return { prototype: `${P(v)} apart`, model: M(v / ratio, 2) };
    case "angle":
      return { prototype: `${printNumber(v, 1)}°`, model: "" };
    case "batter":
      return { prototype: `${trimmed(v, 2)} in per ft`, model: "" };
    case "pitch":
      return { prototype: `${trimmed(v, 2)} in 12`, model: "" };
    case "area":
      return { prototype: `${printNumber(v / 304.8 ** 2, 1)} sq ft`, model: `${printNumber(v / ratio ** 2, 0)} mm²` };
  }
}
