import type { Context, Dimension, ViewId } from "../kind";
import { edgeHigh, formerHeights } from "./frame";
import { platformLayout } from "./layout";
import { platformSpec, type PlatformValues } from "./parameters";

type Key = Exclude<keyof PlatformValues, "stairs" | "gates">;
/** The dimensions on the front, on the end and on the plan; those with a parameter are the form. Of a pair they stand on the one on the far side of the track. */
export function platformDimensions(v: PlatformValues, ctx: Context): Dimension[] {
  const l = platformLayout(v, ctx);
  const half = l.long / 2;
  const out: Dimension[] = [];
  const put = (param: Key, d: Omit<Dimension, "label" | "unit" | "tier" | "handles" | "param" | "value" | "id"> & Partial<Dimension>): void => // prettier-ignore
    void out.push({ unit: "length", tier: 0, handles: [], id: `${d.view ?? "side"}-${param}`, param, value: v[param] as number, label: platformSpec[param].label, ...d }); // prettier-ignore
  const handle = (param: Key, at: readonly [number, number], axis: readonly [number, number], gain = 1) => [{ param, at, axis, gain }]; // prettier-ignore
  put("length", { from: [-half, 0], to: [half, 0], side: "bottom", tier: 1, handles: handle("length", [half, l.top], [1, 0], 2) }); // prettier-ignore
  put("height", { from: [-half, 0], to: [-half, l.top], side: "left", handles: handle("height", [-half, l.top], [0, 1]) }); // prettier-ignore
  const first = l.bents[0]!;
  const wide = l.column.wide / 2;
  put("columnWide", { from: [first - wide, 0], to: [first + wide, 0], side: "bottom" });
  put("stringerHigh", { from: [half, l.under.stringer], to: [half, l.under.deck], side: "right" });
  put("girderHigh", { from: [half, l.under.girder], to: [half, l.under.stringer], side: "right", tier: 1 });
  if (l.sheet.edge) put("edgeHigh", { from: [half, l.top - edgeHigh(l)], to: [half, l.top], side: "right", tier: 2 });
  if (l.sheltered.length > 0) {
    const z = l.top + l.mm(v.shelterHigh);
    put("shelterHigh", { from: [half, l.top], to: [half, z], side: "right", handles: handle("shelterHigh", [l.sheltered.at(-1)!, z], [0, 1]) }); // prettier-ignore
  }
  const end = { view: "front" as ViewId };
  const y0 = v.pair ? l.mm(v.between) / 2 : -l.deep / 2;
  put("depth", { ...end, from: [y0, 0], to: [y0 + l.deep, 0], side: "bottom", tier: 1, handles: handle("depth", [y0 + l.deep, l.top], [1, 0], v.pair ? 1 : 2) }); // prettier-ignore
  put("height", { ...end, from: [y0 + l.deep, 0], to: [y0 + l.deep, l.top], side: "right" });
  if (l.columns.length > 1) put("inset", { ...end, from: [y0, 0], to: [y0 + l.columns[0]!, 0], side: "bottom" });
  put("columnDeep", { ...end, from: [y0 + l.columns[0]! - l.column.high / 2, l.under.girder / 2], to: [y0 + l.columns[0]! + l.column.high / 2, l.under.girder / 2], side: "at" }); // prettier-ignore
  if (v.pair) put("between", { ...end, from: [-y0, 0], to: [y0, 0], side: "bottom", tier: 1, handles: handle("between", [y0, l.top], [1, 0], 2) }); // prettier-ignore
  if (l.sheltered.length > 0) {
    const [middle, w] = [y0 + l.deep / 2, l.mm(v.roofWide) / 2];
    const z = l.top + l.mm(v.shelterHigh);
    put("roofWide", { ...end, from: [middle - w, z], to: [middle + w, z], side: "top", handles: handle("roofWide", [middle + w, z + formerHeights(l)[0]], [1, 0], 2) }); // prettier-ignore
    if (v.shelter !== "flat") put("slope", { ...end, unit: "batter", from: [middle + w / 2, z], to: [middle + w / 2, z], side: "at" }); // prettier-ignore
  }
  const plan = { view: "plan" as ViewId };
  // of a pair the far one is measured, beyond which nothing stands
  const [side, y] = v.pair ? (["top", y0 + l.deep] as const) : (["bottom", y0] as const);
  put("length", { ...plan, from: [-half, y], to: [half, y], side, tier: 1 });
  put("depth", { ...plan, from: [-half, y0], to: [-half, y0 + l.deep], side: "left" });
  put("margin", { ...plan, from: [-half, y], to: [-half + l.mm(v.margin), y], side });
  return out;
}
