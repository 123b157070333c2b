import { model, MM_PER_INCH, type Model } from "../units";
import type { StockItem } from "./series";

export type ShapeForm = "I" | "H" | "channel" | "angle";
export const SHAPE_FORMS: readonly ShapeForm[] = ["I", "H", "channel", "angle"];
/** What a shape looks like across its length, model mm: an I and an H have a web between two flanges, a channel has its flanges on one side of it, an angle one flange. */
export interface Profile {
  readonly form: ShapeForm;
  /** Thickness of the web: of an angle, of the leg that its depth is. */
  readonly web: Model;
  /** Thickness of the flanges. */
  readonly flange: Model;
}
/** Milled to shape: its width is its depth over all, its thickness how far the flanges reach. */
export interface Shape extends StockItem {
  readonly profile: Profile;
}
export type ShapeMaterial = "wood" | "styrene";
/** From the finest to the deepest that is taken, and the thinnest web, model mm. */
const [FINEST, DEEPEST, THINNEST] = [0.5, 150, 0.1];
const told = (x: number): string => String(Number(x.toFixed(3)));
const thou = (n: number): string => `.${String(n).padStart(3, "0")}`;
const words = (form: ShapeForm): string => (form === "I" || form === "H" ? `${form} shape` : form);

/** Depths as sold, thousandths of an inch, and how far the flanges reach for each. Sizes from memory, common practice. */
const SOLD: Readonly<Record<ShapeForm, { readonly depths: readonly number[]; readonly reach: number }>> = {
  I: { depths: [60, 80, 100, 125, 156, 188, 250, 312, 375], reach: 0.5 },
  H: { depths: [60, 80, 100, 125, 156, 188, 250], reach: 1 },
  channel: { depths: [60, 80, 100, 125, 156, 188, 250], reach: 0.4 },
  angle: { depths: [60, 80, 100, 125, 156, 188, 250], reach: 1 },
};
/** The thickness of web and flanges of what is sold, thousandths. From memory, common practice. */
const thickness = (depth: number): number => Math.round(0.09 * depth + 5);

/** Generic shapes of styrene by their depth. */
export const SHAPES: readonly Shape[] = SHAPE_FORMS.flatMap((form) =>
  SOLD[form].depths.map((d): Shape => {
    const [reach, t] = [Math.round(SOLD[form].reach * d), thickness(d)];
    const mm = (n: number): Model => model((n / 1000) * MM_PER_INCH);
    return {
      id: `shape/${form}/${d}`,
      series: "shape",
      name: `Styrene ${words(form)} ${thou(d)} × ${thou(reach)} in, ${thou(t)} thick`,
      shape: "strip",
      width: mm(d),
      thickness: mm(reach),
      lengths: [model(14 * MM_PER_INCH)],
      profile: { form, web: mm(t), flange: mm(t) },
    };
  }),
);
const known = new Map<string, Shape | undefined>(SHAPES.map((s) => [s.id, s]));

/** The id of a shape of one's own, as measured: "shape/own/wood/I/5x2.5/0.5/0.6"; model mm. Errors: sizes of which no such shape is. */
export function ownShapeId(
  material: ShapeMaterial,
  form: ShapeForm,
  depth: number,
  reach: number,
  web: number,
  flange: number,
): string {
  // prettier-ignore
  const wrong = faultOf(form, depth, reach, web, flange);
  if (wrong) throw new RangeError(wrong);
  return `shape/own/${material}/${form}/${told(depth)}x${told(reach)}/${told(web)}/${told(flange)}`;
}
function faultOf(form: ShapeForm, depth: number, reach: number, web: number, flange: number): string | undefined {
  const mm = (x: number): string => `${told(x)} mm`;
  if (!(reach >= FINEST && depth <= DEEPEST)) return `A shape of ${mm(depth)} × ${mm(reach)} is not taken; it may be from ${mm(FINEST)} to ${mm(DEEPEST)}.`; // prettier-ignore
  if (reach > depth) return `The flanges reach ${mm(reach)} and the shape is ${mm(depth)} deep: give the longer side as its depth.`; // prettier-ignore
  if (!(web >= THINNEST && flange >= THINNEST)) return `Web and flanges are from ${mm(THINNEST)} thick; read ${mm(web)} and ${mm(flange)}.`; // prettier-ignore
  if ((form === "angle" ? flange : 2 * flange) >= depth || web >= reach) return `Of ${mm(depth)} × ${mm(reach)}, a web of ${mm(web)} and flanges of ${mm(flange)} leave nothing open: take a strip.`; // prettier-ignore
  return undefined;
}
/** A shape by its id, sold or of one's own; undefined for what is none. */
export function shapeOf(id: string): Shape | undefined {
  if (!id.startsWith("shape/")) return undefined;
  if (!known.has(id)) known.set(id, readOwn(id));
  return known.get(id);
}
function readOwn(id: string): Shape | undefined {
  const m = /^shape\/own\/(wood|styrene)\/(I|H|channel|angle)\/([\d.]+)x([\d.]+)\/([\d.]+)\/([\d.]+)$/.exec(id);
  if (!m) return undefined;
  const form = m[2] as ShapeForm;
  const [depth, reach, web, flange] = m.slice(3).map(Number) as [number, number, number, number];
  if (faultOf(form, depth, reach, web, flange)) return undefined;
  return {
    id,
    series: "shape",
    name: `Own ${m[1]} ${words(form)}, ${told(depth)} × ${told(reach)} mm, web ${told(web)}, flange ${told(flange)}`,
    shape: "strip",
    width: model(depth),
    thickness: model(reach),
    lengths: [model(300)],
    profile: { form, web: model(web), flange: model(flange) },
  };
}
/** What a shape or other own thing is of, by its id. */
export const shapeMaterial = (id: string): ShapeMaterial => (id.startsWith("shape/own/wood/") ? "wood" : "styrene");
