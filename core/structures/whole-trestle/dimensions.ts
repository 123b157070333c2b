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
  const put = (d: Omit<Dimension, "handles" | "unit"> & { handles?: Dimension["handles"] }): void =>
    void out.push({ unit: "length", handles: [], ...d });
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
  return out;
}
