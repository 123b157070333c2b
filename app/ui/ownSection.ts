import { ownId, ownShapeId, ownTubeId, SHAPE_FORMS, type OwnMaterial, type ShapeForm } from "core/lumber";
import { parseLength, type BareUnit } from "core/units";

/** What a stick of one's own can be, and which sizes say all of it. */
export type OwnForm = "strip" | "round" | "tube" | ShapeForm;
const SHAPE_SIZES = ["Depth", "Flanges reach", "Web thick", "Flanges thick"];
export const OWN_SIZES: Readonly<Record<OwnForm, readonly string[]>> = {
  strip: ["Thickness", "Width"],
  round: ["Diameter"],
  tube: ["Outside diameter", "Wall"],
  I: SHAPE_SIZES,
  H: SHAPE_SIZES,
  channel: SHAPE_SIZES,
  angle: ["Longer leg", "Shorter leg", "Longer leg thick", "Shorter leg thick"],
};
export const OWN_FORMS: Readonly<Record<OwnForm, string>> = {
  strip: "strip",
  round: "round",
  tube: "tube",
  I: "I shape",
  H: "H shape",
  channel: "channel",
  angle: "angle",
};
const isShape = (f: OwnForm): f is ShapeForm => (SHAPE_FORMS as readonly string[]).includes(f);
/** The id of a stick of one's own from what was typed for its sizes. Errors: a sentence with what was read. */
export function ownSection(form: OwnForm, material: OwnMaterial, texts: readonly string[], bare: BareUnit): string {
  const mm = OWN_SIZES[form].map((name, i) => {
    const p = parseLength(texts[i] ?? "", bare);
    if (!p.ok) throw new Error(`${name}: ${p.error}`);
    return p.mm;
  });
  const [a, b, c, d] = mm as [number, number, number, number];
  if (isShape(form)) return ownShapeId(material, form, a, b, c, d);
  if (form === "tube") {
    if (!(a > 0 && a <= 500 && b > 0 && 2 * b < a)) throw new Error("The wall of a tube is less than half of its diameter, and the tube up to 500 mm wide."); // prettier-ignore
    return ownTubeId(a, b);
  }
  return ownId(material, a, form === "round" ? a : b, form === "round");
}
