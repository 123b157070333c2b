import { toPrototype, model, type Prototype } from "../../units";
import type { Context, Dimension, ElevationPoint } from "../kind";
import { trestleLayout, type BentPlace } from "./layout";
import { trestleSpec, type TrestleValues } from "./parameters";

/** Most bays that are dimensioned each: more would stand on top of one another. */
const MOST = 16;

/** The trestle's dimensions on its side elevation, [x, z] model mm. */
export function trestleDimensions(v: TrestleValues, ctx: Context): Dimension[] {
  const l = trestleLayout(v, ctx);
  const proto = (m: number): Prototype => toPrototype(ctx.scale, model(m));
  const out: Dimension[] = [];
  const put = (
    d: Omit<Dimension, "handles" | "unit" | "tier"> & Partial<Pick<Dimension, "handles" | "unit" | "tier">>,
  ): void => void out.push({ unit: "length", tier: 0, handles: [], ...d });
  const [first, last] = [l.bents[0]!, l.bents[l.bents.length - 1]!];
  const rail = (b: BentPlace): ElevationPoint => [b.deck[0], b.deck[2]];
  put({
    id: "length",
    label: trestleSpec.length.label,
    ...(v.bentSet === "spacing"
      ? {
          param: "length",
          handles: [{ param: "length", at: rail(last), axis: [1, 0] as const, gain: v.curve === "none" ? 2 : 2 }],
        }
      : {}),
    value: proto(l.alignment.length),
    from: rail(first),
    to: rail(last),
    side: "top",
    tier: 1,
  });
  if (l.bents.length - 1 <= MOST || v.bentSet === "each")
    l.bents.slice(1, MOST + 1).forEach((b, i) => {
      const from = l.bents[i]!;
      const each = v.bentSet === "each";
      if (!each && i > 0 && i < l.bents.length - 2) return;
      put({
        id: `bay${i}`,
        label: each ? `Bay ${i + 1}` : i === 0 ? trestleSpec.spacing.label : "Last bay",
        ...(each ? { param: `bays.${i}` } : i === 0 ? { param: "spacing" } : {}),
        value: proto(b.station - from.station),
        from: rail(from),
        to: rail(b),
        side: "top",
        tier: 0,
      });
    });
  const tallest = l.bents.reduce((a, b) => (b.values.height > a.values.height ? b : a));
  const each = v.groundBy === "heights";
  const index = Math.min(tallest.number - 1, v.heights.length - 1);
  put({
    id: "height",
    label: `Height of bent ${tallest.number}`,
    ...(each ? { param: `heights.${index}` } : {}),
    value: tallest.values.height,
    from: [tallest.cap[0], tallest.cap[2]],
    to: [tallest.cap[0], tallest.footZ],
    side: "right",
    tier: 0,
    handles: each ? [{ param: `heights.${index}`, at: [tallest.cap[0], tallest.footZ], axis: [0, -1], gain: 1 }] : [],
  });
  // on the end its cap, on the plan its curve and the distance between tracks
  const cap = first.values.capSet === "length" ? first.values.capLength : undefined;
  const halfCap = (cap ?? 0) / ctx.scale.ratio / 2;
  if (cap !== undefined)
    put({
      id: "capLength",
      label: trestleSpec.capLength.label,
      param: "capLength",
      value: cap,
      view: "front",
      from: [-halfCap, first.cap[2]],
      to: [halfCap, first.cap[2]],
      side: "top",
    });
  put({
    id: "endHeight",
    label: `Height of bent ${tallest.number}`,
    ...(each ? { param: `heights.${index}` } : {}),
    value: tallest.values.height,
    view: "front",
    from: [0, tallest.cap[2]],
    to: [0, tallest.footZ],
    side: "left",
  });
  const middle = l.bents[Math.floor(l.bents.length / 2)]!.deck;
  const plan: Record<string, readonly ["degree" | "radius" | "modelRadius", Dimension["unit"]]> = {
    degree: ["degree", "number"],
    radius: ["radius", "length"],
    model: ["modelRadius", "number"],
  };
  const curve = Object.hasOwn(plan, v.curve) ? plan[v.curve] : undefined;
  if (curve)
    put({
      id: "curve",
      label: trestleSpec[curve[0]].label,
      param: curve[0],
      value: v[curve[0]],
      unit: curve[1],
      view: "plan",
      from: [middle[0], middle[1]],
      to: [middle[0], middle[1]],
      side: "top",
      tier: 0,
    });
  put({
    id: "planLength",
    label: trestleSpec.length.label,
    ...(v.bentSet === "spacing" ? { param: "length" } : {}),
    value: proto(l.alignment.length),
    view: "plan",
    from: [first.deck[0], first.deck[1]],
    to: [last.deck[0], last.deck[1]],
    side: "bottom",
  });
  put({
    id: "grade",
    label: trestleSpec.grade.label,
    param: "grade",
    value: v.grade,
    unit: "number",
    from: rail(last),
    to: rail(last),
    side: "top",
    tier: 2,
  });
  return out;
}
