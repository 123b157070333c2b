import { dot, type Vec3 } from "../../geometry";
import { VIEW_AXES } from "../viewAxes";
import type { Dimension, ElevationPoint, ViewId } from "../kind";
import type { BuildingLayout, Wall } from "./plan/layout";
import { buildingSpec } from "./parameters";

type Put = Omit<Dimension, "handles" | "unit" | "tier"> & Partial<Pick<Dimension, "handles" | "unit" | "tier">>;
const full = (d: Put): Dimension => ({ unit: "length", tier: 0, handles: [], ...d });

/** Openings of the walls that a view sees from outside, each told from the wall's left corner to its middle; in plan those of every wall. */
export function openingDimensions(l: BuildingLayout, view: ViewId): Dimension[] {
  const { right, up, eye } = VIEW_AXES[view];
  const flat = (p: Vec3): ElevationPoint => [dot(p, right), dot(p, up)];
  const plan = view === "plan";
  return l.v.openings.flatMap((o, i): Dimension[] => {
    const wall = wallOf(l, o.part, o.wall);
    if (!wall || (!plan && dot(wall.n, eye) < 0.99)) return [];
    const at = (along: number, z: number): ElevationPoint => {
      const k = l.mm(along);
      return flat([wall.origin[0] + wall.e[0] * k, wall.origin[1] + wall.e[1] * k, l.mm(z)]);
    };
    const middle = at(o.at, o.sill);
    const axis = flat(wall.e);
    const side = plan ? figuresSide(wall.n) : "bottom";
    const handle = (param: string, p: ElevationPoint, along: ElevationPoint, gain: number) => ({
      param: `openings.${i}.${param}`,
      at: p,
      axis: along,
      gain,
    });
    return [
      full({
        id: `opening${i}${plan ? "-plan" : ""}`,
        label: `Opening ${i + 1}: middle from the left corner`,
        param: `openings.${i}.at`,
        value: o.at,
        view,
        // its figure stands outside the drawing, straight over or under the opening it places
        from: middle,
        to: middle,
        side,
        handles: plan
          ? [handle("at", middle, axis, 1)]
          : [
              handle("at", at(o.at, o.sill + o.height / 2), axis, 1),
              handle("height", at(o.at, o.sill + o.height), [0, 1], 1),
              handle("width", at(o.at + o.width / 2, o.sill + o.height / 2), axis, 2),
              ...(o.kind === "window" ? [handle("sill", at(o.at, o.sill), [0, 1], 1)] : []),
            ],
      }),
    ];
  });
}
const wallOf = (l: BuildingLayout, part: number, wall: string): Wall | undefined =>
  part === 0
    ? l.main.walls.find((w) => w.name === wall)
    : l.parts.find((p) => p.name === `wing${part}`)?.walls.find((w) => w.name === `wing${part}-${wall}`);

/** On which side of a plan the figures of a wall stand that looks out along n. */
function figuresSide(n: Vec3): "left" | "right" | "top" | "bottom" {
  if (Math.abs(n[0]) > Math.abs(n[1])) return n[0] > 0 ? "right" : "left";
  return n[1] > 0 ? "top" : "bottom";
}

/** The end: width, wall height, pitch, overhang. */
export function endDimensions(l: BuildingLayout): Dimension[] {
  const { v, mm } = l;
  const half = mm(v.width) / 2;
  const top = mm(v.wallHeight);
  const low = -l.floorDepth;
  const eaves = Object.keys(l.main.slopes).length > 0;
  return [
    full({
      id: "width",
      label: buildingSpec.width.label,
      param: "width",
      value: v.width,
      view: "front",
      from: [-half, low],
      to: [half, low],
      side: "bottom",
      tier: 1,
      handles: [{ param: "width", at: [half, top / 2], axis: [1, 0], gain: 2 }],
    }),
    full({
      id: "endHeight",
      label: buildingSpec.wallHeight.label,
      param: "wallHeight",
      value: v.wallHeight,
      view: "front",
      from: [-half, 0],
      to: [-half, top],
      side: "left",
    }),
    ...(eaves
      ? [
          full({
            id: "rise",
            label: buildingSpec.rise.label,
            param: "rise",
            value: v.rise,
            unit: "number",
            view: "front",
            from: [half / 2, l.main.peak[1]],
            to: [half / 2, (top + l.main.peak[1]) / 2],
            side: "right",
            tier: 1,
          }),
          full({
            id: "overhang",
            label: buildingSpec.overhang.label,
            param: "overhang",
            value: v.overhang,
            view: "front",
            from: [half, top],
            to: [half + mm(v.overhang), top],
            side: "top",
            handles: [{ param: "overhang", at: [half + mm(v.overhang), top], axis: [1, 0], gain: 1 }],
          }),
        ]
      : []),
  ];
}

/** The plan: length, width, wings, overhang at the gables. */
export function planDimensions(l: BuildingLayout): Dimension[] {
  const { v, mm } = l;
  const [a, b] = [mm(v.length) / 2, mm(v.width) / 2];
  const gables = v.roof === "gable" || v.roof === "saltbox" || v.roof === "gambrel";
  return [
    full({
      id: "planLength",
      label: buildingSpec.length.label,
      param: "length",
      value: v.length,
      view: "plan",
      from: [-a, -b],
      to: [a, -b],
      side: "bottom",
      tier: 1,
      handles: [{ param: "length", at: [a, 0], axis: [1, 0], gain: 2 }],
    }),
    full({
      id: "planWidth",
      label: buildingSpec.width.label,
      param: "width",
      value: v.width,
      view: "plan",
      from: [-a, -b],
      to: [-a, b],
      side: "left",
      tier: 1,
      handles: [{ param: "width", at: [0, b], axis: [0, 1], gain: 2 }],
    }),
    ...(gables
      ? [
          full({
            id: "gableOverhang",
            label: buildingSpec.gableOverhang.label,
            param: "gableOverhang",
            value: v.gableOverhang,
            view: "plan",
            from: [a, b],
            to: [a + mm(v.gableOverhang), b],
            side: "top",
            tier: 1,
          }),
        ]
      : []),
    ...v.wings.flatMap((w, i): Dimension[] => {
      const part = l.parts.find((p) => p.name === `wing${i + 1}`);
      const walls = part?.walls ?? [];
      if (walls.length === 0) return [];
      const xs = walls.flatMap((x) => [x.origin[0], x.origin[0] + x.e[0] * x.length]);
      const ys = walls.flatMap((x) => [x.origin[1], x.origin[1] + x.e[1] * x.length]);
      const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
      const across = w.side === "front" || w.side === "back";
      const [along, deep]: [Put, Put] = [
        { id: `wing${i}-length`, label: `Wing ${i + 1}, length`, param: `wings.${i}.length`, value: w.length, view: "plan", from: across ? [x0, y0] : [x1, y0], to: across ? [x1, y0] : [x1, y1], side: across ? (w.side === "front" ? "bottom" : "top") : "right" },
        { id: `wing${i}-depth`, label: `Wing ${i + 1}, depth`, param: `wings.${i}.depth`, value: w.depth, view: "plan", from: across ? [x1, y0] : [x0, y1], to: across ? [x1, y1] : [x1, y1], side: across ? "right" : "top" },
      ]; // prettier-ignore
      return [full(along), full(deep)];
    }),
  ];
}
