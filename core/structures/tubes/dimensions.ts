import { toPrototype, model } from "../../units";
import type { Context, Dimension, ViewId } from "../kind";
import { tubesLayout } from "./layout";
import { tubesSpec, type TubesValues } from "./parameters";

/** The dimensions on the front, on the end and on the plan; those with a parameter are the form. */
export function tubesDimensions(v: TubesValues, ctx: Context): Dimension[] {
  const l = tubesLayout(v, ctx);
  const proto = (mm: number): number => toPrototype(ctx.scale, model(mm));
  const half = ((v.tubes - 1) * l.pitch) / 2 + l.radius;
  const out: Dimension[] = [];
  type Key = Exclude<keyof TubesValues, "houseOpenings">;
  const put = (d: Omit<Dimension, "label" | "unit" | "tier" | "handles"> & Partial<Dimension>): void =>
    void out.push({ unit: "length", tier: 0, handles: [], ...d, label: d.label ?? tubesSpec[d.param as Key].label });
  const r = l.radius;
  put({ id: "height", param: "height", value: v.height, from: [-half, 0], to: [-half, l.high], side: "left", handles: [{ param: "height", at: [-half, l.high], axis: [0, 1], gain: 1 }] }); // prettier-ignore
  put({ id: "long", label: "Over all tubes", value: proto(2 * half), from: [-half, 0], to: [half, 0], side: "bottom", tier: 1 }); // prettier-ignore
  put({ id: "diameter", param: "diameter", value: v.diameter, from: [-half, 0], to: [-half + 2 * r, 0], side: "bottom" }); // prettier-ignore
  if (v.tubes > 1 && v.gap > 0) put({ id: "gap", param: "gap", value: v.gap, from: [l.axes[0]! + r, 0], to: [l.axes[1]! - r, 0], side: "bottom" }); // prettier-ignore
  const house = l.deck && v.headhouse !== "none" ? l.high + l.deck.thickness : undefined;
  if (house !== undefined) put({ id: "houseHeight", param: "houseHeight", value: v.houseHeight, from: [half, house], to: [half, house + l.mm(v.houseHeight)], side: "right" }); // prettier-ignore
  if (house !== undefined) put({ id: "houseLength", param: "houseLength", value: v.houseLength, from: [-l.mm(v.houseLength) / 2, house], to: [l.mm(v.houseLength) / 2, house], side: "top" }); // prettier-ignore
  const end = { view: "front" as ViewId };
  put({ ...end, id: "end-diameter", param: "diameter", value: v.diameter, from: [-r, 0], to: [r, 0], side: "bottom" });
  put({ ...end, id: "end-height", param: "height", value: v.height, from: [-r, 0], to: [-r, l.high], side: "left" });
  if (l.k > 0) put({ ...end, id: "fall", param: "fall", value: v.fall, unit: "batter", from: [0, l.high], to: [0, l.high], side: "at" }); // prettier-ignore
  const plan = { view: "plan" as ViewId };
  put({ ...plan, id: "plan-long", label: "Over all tubes", value: proto(2 * half), from: [-half, -r], to: [half, -r], side: "bottom" }); // prettier-ignore
  if (v.tubes > 1 && v.infill !== "none") put({ ...plan, id: "infillBack", param: "infillBack", value: v.infillBack, from: [half, -r], to: [half, -r + l.mm(v.infillBack)], side: "right" }); // prettier-ignore
  return out;
}
