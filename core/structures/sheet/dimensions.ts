import { model, toPrototype } from "../../units";
import type { Context, Dimension, ViewId } from "../kind";
import { sheetLayout, under } from "./layout";
import { sheetSpec, type SheetValues } from "./parameters";

/** The dimensions on the front wall, on the end and on the plan; those with a parameter are the form. */
export function sheetDimensions(v: SheetValues, ctx: Context): Dimension[] {
  const l = sheetLayout(v, ctx);
  const out: Dimension[] = [];
  const [x, y] = [l.long / 2, l.wide / 2];
  type Seed = Omit<Dimension, "label" | "unit" | "tier" | "handles"> & Partial<Dimension>;
  const put = (d: Seed): void => {
    const name = d.param?.split(".") ?? [];
    const own = d.param ? (sheetSpec as Record<string, { label: string; columns?: Record<string, { label: string }> }>)[name[0]!]! : undefined; // prettier-ignore
    const label = d.label ?? (name.length > 1 ? own!.columns![name[2]!]!.label : own!.label);
    out.push({ unit: "length", tier: 0, handles: [], ...d, label });
  };
  put({ id: "length", param: "length", value: v.length, from: [-x, 0], to: [x, 0], side: "bottom", tier: 1, handles: [{ param: "length", at: [x, l.high / 2], axis: [1, 0], gain: 2 }] }); // prettier-ignore
  put({ id: "wallHeight", param: "wallHeight", value: v.wallHeight, from: [-x, 0], to: [-x, l.high], side: "left", handles: [{ param: "wallHeight", at: [-x, l.high], axis: [0, 1], gain: 1 }] }); // prettier-ignore
  const peak = Math.max(under(l, 0), under(l, y));
  const top = peak + (v.roof === "gable" || v.roof === "shed" ? l.roof.thickness * Math.hypot(1, l.k) : 0);
  put({ id: "peak", label: "Floor to the highest", value: toPrototype(ctx.scale, model(top)), from: [x, 0], to: [x, top], side: "right" }); // prettier-ignore
  v.openings.forEach((o, i) => {
    if (o.wall !== "front") return;
    const at = l.mm(o.at) - x;
    put({ id: `opening${i + 1}`, param: `openings.${i}.at`, value: o.at, from: [at, 0], to: [at, 0], side: "bottom", handles: [{ param: `openings.${i}.at`, at: [at, l.mm(o.sill + o.height / 2)], axis: [1, 0], gain: 1 }] }); // prettier-ignore
  });
  const end = { view: "front" as ViewId };
  put({ ...end, id: "width", param: "width", value: v.width, from: [-y, 0], to: [y, 0], side: "bottom", handles: [{ param: "width", at: [y, l.high / 2], axis: [1, 0], gain: 2 }] }); // prettier-ignore
  put({ ...end, id: "end-height", param: "wallHeight", value: v.wallHeight, from: [-y, 0], to: [-y, l.high], side: "left" }); // prettier-ignore
  if (l.k > 0) put({ ...end, id: "rise", param: "rise", value: v.rise, unit: "batter", from: [y / 2, under(l, y / 2)], to: [y / 2, under(l, y / 2)], side: "at" }); // prettier-ignore
  if (l.k > 0) put({ ...end, id: "overhang", param: "overhang", value: v.overhang, from: [-y - l.mm(v.overhang), l.high], to: [-y, l.high], side: "top" }); // prettier-ignore
  if (l.k > 0) put({ id: "gableOverhang", param: "gableOverhang", value: v.gableOverhang, from: [x, l.high], to: [x + l.mm(v.gableOverhang), l.high], side: "top" }); // prettier-ignore
  if (v.roof === "flat") put({ id: "parapet", param: "parapet", value: v.parapet, from: [-x, l.high], to: [-x, under(l, 0)], side: "left", tier: 1 }); // prettier-ignore
  const plan = { view: "plan" as ViewId };
  put({ ...plan, id: "plan-length", param: "length", value: v.length, from: [-x, -y], to: [x, -y], side: "bottom" });
  put({ ...plan, id: "plan-width", param: "width", value: v.width, from: [-x, -y], to: [-x, y], side: "left" });
  return out;
}
