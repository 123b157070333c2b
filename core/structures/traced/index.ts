import { parseNominal } from "../../lumber";
import { prototype, toModel } from "../../units";
import type { Dimension, StructureKind } from "../kind";
import { layElevation, tracedFrame } from "./frame";
import { rectangleOf } from "./layout";
import { emptyTrace, TracedParams } from "./parameters";

export * from "./parameters";
export * from "./edit";
export { layElevation, usualOrder, type Elevation, type Made } from "./frame";
export { drawnId } from "./ids";

/** A structure traced over a drawing: stands in the plane x = 0, across and up as they were traced. */
export const traced: StructureKind = {
  id: "traced",
  name: "Traced frame",
  purpose: "Sticks traced one by one on a drawing.",
  headline: [{ dimension: "height", words: "overall, up" }],
  offers: ["trace"],
  version: 1,
  spec: {},
  Params: TracedParams,
  home: "front",
  initial: () => ({ ...emptyTrace() }),
  check: (params) => {
    const p = params as unknown as TracedParams;
    const ids = [...p.members, ...p.crosses].map((m) => m.id);
    const twice = ids.find((x, i) => ids.indexOf(x) !== i);
    const sizes = [...p.members, ...p.crosses].filter((m) => !parseNominal(m.section));
    const known = new Set(p.members.map((m) => m.id));
    return [
      ...(twice ? [`Two members are called “${twice}”.`] : []),
      ...sizes.map(
        (m) => `The ${m.role}'s section is “${m.section}”, which is no nominal size; write one such as 8×10.`,
      ),
      ...p.crosses
        .filter((c) => !known.has(c.on))
        .map((c) => `The ${c.role} “${c.id}” lies on “${c.on}”, which is not there.`),
      ...(new Set(p.places).size !== p.places.length
        ? ["Two places are the same; the elevation stands once at each."]
        : []),
    ];
  },
  shown: () => true,
  frame: (p, ctx) => tracedFrame(p as unknown as TracedParams, ctx),
  dimensions: (params, ctx) => {
    const p = params as unknown as TracedParams;
    if (p.members.length === 0) return [];
    const points = layElevation(p, ctx).bars.flatMap((b) => rectangleOf(b));
    const of = (k: 0 | 1, f: (...n: number[]) => number): number => f(...points.map((q) => q[k]));
    const [y0, y1, z0, z1] = [of(0, Math.min), of(0, Math.max), of(1, Math.min), of(1, Math.max)];
    const back = 1 / toModel(ctx.scale, prototype(1));
    const derived = { unit: "length", tier: 0, handles: [] } as const;
    const across: Dimension = {
      ...derived,
      id: "width",
      label: "Overall, across",
      value: (y1 - y0) * back,
      from: [y0, z1],
      to: [y1, z1],
      side: "top",
    };
    const up: Dimension = {
      ...derived,
      id: "height",
      label: "Overall, up",
      value: (z1 - z0) * back,
      from: [y0, z1],
      to: [y0, z0],
      side: "left",
    };
    return [across, up];
  },
  centreLine: (params, ctx) => {
    const { mirror } = params as unknown as TracedParams;
    return mirror === null || mirror === undefined ? undefined : toModel(ctx.scale, prototype(mirror));
  },
  remarks: () => [],
  describe: (params) => {
    const p = params as unknown as TracedParams;
    const n = p.members.length + p.crosses.length;
    return `Traced frame, ${n} ${n === 1 ? "member" : "members"} drawn${p.places.length > 1 ? `, at ${p.places.length} places` : ""}`;
  },
};
