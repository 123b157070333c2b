import type { Context, Dimension, ViewId } from "../kind";
import { canopyLayout, onBoard } from "./layout";
import { canopySpec, type CanopyValues } from "./parameters";

/** The dimensions on the front, on the end and on the plan; those with a parameter are the form. */
export function canopyDimensions(v: CanopyValues, ctx: Context): Dimension[] {
  const l = canopyLayout(v, ctx);
  const half = l.long / 2;
  type Key = Exclude<keyof CanopyValues, "columns">;
  const out: Dimension[] = [];
  const put = (param: Key, d: Omit<Dimension, "label" | "unit" | "tier" | "handles" | "param" | "value" | "id"> & Partial<Dimension>): void => // prettier-ignore
    void out.push({ unit: "length", tier: 0, handles: [], id: `${d.view ?? "side"}-${param}`, param, value: v[param] as number, label: canopySpec[param].label, ...d }); // prettier-ignore
  const handle = (param: Key, at: readonly [number, number], axis: readonly [number, number], gain = 1) => [{ param, at, axis, gain }]; // prettier-ignore
  put("length", { from: [-half, 0], to: [half, 0], side: "bottom", tier: 1, handles: handle("length", [half, l.high], [1, 0], 2) }); // prettier-ignore
  put("height", { from: [-half, 0], to: [-half, l.high], side: "left", handles: handle("height", [-half, l.high], [0, 1]) }); // prettier-ignore
  if (v.edges !== "none") {
    const top = onBoard(l, 0, l.deep, l.board.thickness)[2];
    put("edgeHigh", { from: [half, top - l.edgeHigh * l.cos], to: [half, top], side: "right" });
  }
  if (v.held === "rods") put("rodRise", { from: [half, l.high], to: [half, l.high + l.mm(v.rodRise)], side: "right", tier: 1 }); // prettier-ignore
  if (v.held === "brackets") put("bracketFall", { from: [half, l.high - l.mm(v.bracketFall)], to: [half, l.high], side: "right", tier: 1 }); // prettier-ignore
  const end = { view: "front" as ViewId };
  const deep = l.mm(v.depth);
  put("depth", { ...end, from: [-deep, 0], to: [0, 0], side: "bottom", tier: 1, handles: handle("depth", [-deep, l.high - l.k * deep], [-1, 0]) }); // prettier-ignore
  if (v.held !== "wall") put("inset", { ...end, from: [-deep, 0], to: [-l.out, 0], side: "bottom", handles: handle("inset", [-l.out, l.high / 2], [1, 0]) }); // prettier-ignore
  put("fall", { ...end, unit: "batter", from: [-deep / 2, l.high - (l.k * deep) / 2], to: [-deep / 2, l.high - (l.k * deep) / 2], side: "at" }); // prettier-ignore
  const plan = { view: "plan" as ViewId };
  put("length", { ...plan, from: [-half, -deep], to: [half, -deep], side: "bottom" });
  put("depth", { ...plan, from: [-half, -deep], to: [-half, 0], side: "left" });
  if (l.lights.length > 0) {
    put("lightMargin", { ...plan, from: [-half, 0], to: [l.lights[0]!, 0], side: "top" });
    put("lightOut", { ...plan, from: [half, -l.mm(v.lightOut)], to: [half, 0], side: "right" });
  }
  return out;
}
