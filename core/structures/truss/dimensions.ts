import type { Context, Dimension, ElevationPoint, Handle } from "../kind";
import { trussLayout } from "./layout";
import { trussSpec, type TrussValues } from "./parameters";
import { panelsOf } from "./topology";

/** The truss's dimensions on its side elevation, [x, z] model mm; of several spans the first one's. */
export function trussDimensions(v: TrussValues, ctx: Context): Dimension[] {
  const l = trussLayout(v, ctx);
  const side = l.sides[0]!;
  const pt = (x: number, z: number): ElevationPoint => {
    const p = side.at(x, 0, z);
    return [p[0], p[2]];
  };
  const span = l.topology.points[l.topology.supports[1]]![0];
  const top = Math.max(...Object.values(l.topology.points).map((p) => p[1]));
  const out: Dimension[] = [];
  const put = (
    d: Omit<Dimension, "handles" | "unit" | "tier"> & { handles?: readonly Handle[]; tier?: number },
  ): void => void out.push({ unit: "length", handles: [], tier: 0, ...d });
  put({
    id: "span",
    label: trussSpec.span.label,
    param: "span",
    value: v.span,
    from: pt(0, 0),
    to: pt(span, 0),
    side: "bottom",
    tier: 1,
    handles: [{ param: "span", at: pt(span, 0), axis: [1, 0], gain: v.spans === 1 ? 2 : 1 }],
  });
  const n = panelsOf(v);
  // below its deck all depths go down
  const way = l.bearing.chord === "top" ? -1 : 1;
  if (v.kind !== "fink" && v.kind !== "scissors")
    put({ id: "panel", label: "Panel", value: v.span / n, from: pt(0, 0), to: pt(span / n, 0), side: "bottom" });
  put({
    id: "depth",
    label: trussSpec.depth.label,
    param: "depth",
    value: v.depth,
    from: pt(0, top),
    to: pt(0, top - v.depth / ctx.scale.ratio),
    side: "left",
    handles: [
      { param: "depth", at: pt(span / 2, way > 0 ? top : top - v.depth / ctx.scale.ratio), axis: [0, way], gain: 1 },
    ],
  });
  if (v.kind === "polygonal" && Number(v.slopes) > 3)
    put({
      id: "hipDepth",
      label: trussSpec.hipDepth.label,
      param: "hipDepth",
      value: v.hipDepth,
      from: pt(span, (way * v.hipDepth) / ctx.scale.ratio),
      to: pt(span, 0),
      side: "right",
      handles: [{ param: "hipDepth", at: pt(span / n, (way * v.hipDepth) / ctx.scale.ratio), axis: [0, way], gain: 1 }],
    });
  if (v.kind === "scissors")
    put({
      id: "innerDepth",
      label: trussSpec.innerDepth.label,
      param: "innerDepth",
      value: v.innerDepth,
      from: pt(span, v.innerDepth / ctx.scale.ratio),
      to: pt(span, 0),
      side: "right",
      handles: [{ param: "innerDepth", at: pt(span / 2, v.innerDepth / ctx.scale.ratio), axis: [0, 1], gain: 1 }],
    });
  if (v.position !== "roof" && v.trusses) {
    const half = v.apart / ctx.scale.ratio / 2;
    const ends: readonly ElevationPoint[] = [
      [-half, 0],
      [half, 0],
    ];
    put({
      id: "apart",
      label: trussSpec.apart.label,
      param: "apart",
      value: v.apart,
      view: "front",
      from: ends[0]!,
      to: ends[1]!,
      side: "bottom",
      handles: [{ param: "apart", at: ends[1]!, axis: [1, 0], gain: 2 }],
    });
    const x = pt(0, 0)[0];
    put({
      id: "planApart",
      label: trussSpec.apart.label,
      param: "apart",
      value: v.apart,
      view: "plan",
      from: [x, -half],
      to: [x, half],
      side: "left",
      handles: [{ param: "apart", at: [x, half], axis: [0, 1], gain: 2 }],
    });
  }
  put({
    id: "planSpan",
    label: trussSpec.span.label,
    param: "span",
    value: v.span,
    view: "plan",
    from: [pt(0, 0)[0], 0],
    to: [pt(span, 0)[0], 0],
    side: "bottom",
  });
  put({
    id: "endDepth",
    label: trussSpec.depth.label,
    param: "depth",
    value: v.depth,
    view: "front",
    from: [0, top],
    to: [0, top - v.depth / ctx.scale.ratio],
    side: "left",
  });
  return out;
}
