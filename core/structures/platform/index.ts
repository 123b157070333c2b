import { feet, inches } from "../../units";
import type { Vec3 } from "../../geometry";
import type { Build, StructureKind } from "../kind";
import { defaultsOf } from "../spec";
import { platformDimensions } from "./dimensions";
import { platformFrame } from "./frame";
import { platformCheck, platformRemarks, platformShown } from "./judgement";
import { gapsOf, platformLayout } from "./layout";
import { PlatformParams, platformSpec, SIDES, type PlatformValues } from "./parameters";

const ROOF: Readonly<Record<string, string>> = { gable: "a gable roof", butterfly: "a butterfly roof", flat: "a flat roof" }; // prettier-ignore

/** A platform on columns: what carries it is built up of sheet as boxes and I-sections; on it a deck, railings with gates, stairs, a shelter; by itself or as a mirrored pair. */
export const platform: StructureKind = {
  id: "platform",
  name: "Platform on columns",
  purpose: "A station platform up on girders and columns of sheet, with railings, stairs and a shelter; also as a mirrored pair.", // prettier-ignore
  headline: [{ dimension: "side-length", words: "long" }],
  version: 1,
  spec: platformSpec,
  Params: PlatformParams,
  home: "side",
  initial: () => ({ ...defaultsOf(platformSpec) }),
  starts: [
    { name: "Platform with stairs at its end", params: { stairs: [{ side: "left", at: feet(7), width: feet(5), tread: inches(10.5), riser: inches(7), rail: true }] } }, // prettier-ignore
    { name: "Island platform, butterfly roof", params: { rows: "one", depth: feet(16), railFront: false, railBack: false, columnWide: inches(20), columnDeep: inches(20), girderHigh: inches(24), shelter: "butterfly", roofWide: feet(18), shelterFrom: 1, shelterTo: 5, slope: 2, stairs: [{ side: "right", at: feet(8), width: feet(6), tread: inches(10.5), riser: inches(7), rail: true }] } }, // prettier-ignore
    { name: "Pair across the track, gable roofs", params: { pair: true, shelter: "gable", railing: "fence", deck: "planks", length: feet(70), roofWide: feet(15), stairs: [{ side: "back", at: feet(8), width: feet(5), tread: inches(10.5), riser: inches(7), rail: true }], gates: [{ side: "back", at: feet(60), width: feet(4), leaf: true }] } }, // prettier-ignore
  ],
  check: (p, ctx) => platformCheck(p as PlatformValues, ctx),
  shown: (p, path) => platformShown(p as PlatformValues, path),
  frame: (p, ctx) => platformFrame(p as PlatformValues, ctx),
  dimensions: (p, ctx) => platformDimensions(p as PlatformValues, ctx),
  centreLine: () => undefined,
  builds: (p, ctx) => {
    const v = p as PlatformValues;
    const l = platformLayout(v, ctx);
    const hands = v.pair ? (["first", "second"] as const) : ([""] as const);
    return hands.flatMap((hand) => {
      const root = hand ? `${ctx.structure}/${hand}` : ctx.structure;
      const [id, name] = hand ? [`${hand}-`, `${hand === "first" ? "First" : "Second"}: `] : ["", ""];
      const words = (text: string): string => (name ? name + text.charAt(0).toLowerCase() + text.slice(1) : text);
      const of = (assembly: string) => (k: { readonly member: { readonly assembly: string } }) => k.member.assembly === `${root}/${assembly}`; // prettier-ignore
      const end = { right: [0, 1, 0], up: [0, 0, 1], eye: [1, 0, 0] } as const satisfies Pick<Build, "right" | "up" | "eye">; // prettier-ignore
      const front = { right: [1, 0, 0], up: [0, 0, 1], eye: [0, -1, 0] } as const;
      const turn = hand === "second" ? -1 : 1;
      const rail = { front: [0, -turn, 0], back: [0, turn, 0], left: [-1, 0, 0], right: [1, 0, 0] } as Readonly<Record<string, Vec3>>; // prettier-ignore
      const builds: Build[] = l.bents.map((_, i) => ({ id: `${id}bent${i + 1}`, name: words(`Columns and girder ${i + 1}, from the right end`), ...end, has: of(`bent${i + 1}`) })); // prettier-ignore
      l.stringers.forEach((_, i) => builds.push({ id: `${id}stringer${i + 1}`, name: words(`Stringer ${i + 1}`), ...front, has: of(`stringer${i + 1}`) })); // prettier-ignore
      builds.push({ id: `${id}deck`, name: words("Deck, from above"), right: [1, 0, 0], up: [0, 1, 0], eye: [0, 0, 1], has: of("deck") }); // prettier-ignore
      if (l.sheet.edge) builds.push({ id: `${id}edges`, name: words("Edges"), ...front, has: of("edges") });
      for (const side of SIDES) {
        if (!l.railed[side]) continue;
        const eye = rail[side]!;
        builds.push({ id: `${id}rail-${side}`, name: words(`Railing, ${side === "left" || side === "right" ? `${side} end` : side}, from outside`), right: [-eye[1], eye[0], 0], up: [0, 0, 1], eye, has: of(`rail-${side}`) }); // prettier-ignore
        for (const g of gapsOf(l, side).filter((x) => x.name.startsWith("Gate")))
          builds.push({ id: `${id}gate${g.name.slice(5)}`, name: words(`${g.name}, from outside`), right: [-eye[1], eye[0], 0], up: [0, 0, 1], eye, has: of(`gate${g.name.slice(5)}`) }); // prettier-ignore
      }
      v.stairs.forEach((row, i) => {
        const inward = l.sides[row.side as keyof typeof l.sides].inward;
        const up: Vec3 = [inward[0], turn * inward[1], 0];
        // seen square to its climb, the landing at the right
        builds.push({ id: `${id}stair${i + 1}`, name: words(`Stair ${i + 1}, from its side`), right: up, up: [0, 0, 1], eye: [up[1], -up[0], 0], has: of(`stair${i + 1}`) }); // prettier-ignore
      });
      l.sheltered.forEach((_, i) => builds.push({ id: `${id}shelter${i + 1}`, name: words(`Shelter ${i + 1}, from the right end`), ...end, has: of(`shelter${i + 1}`) })); // prettier-ignore
      return builds;
    });
  },
  remarks: (p, ctx) => platformRemarks(p as PlatformValues, ctx),
  newRow: (p, path) => newOpening(p as PlatformValues, path),
  shrinks: {
    length: {
      part: ["bay", "bays"],
      less: (p, n) => {
        const v = p as PlatformValues;
        const bents = v.bents - n;
        return bents >= 2 ? { ...p, bents, length: (v.length * (bents - 1)) / (v.bents - 1) } : undefined;
      },
    },
    depth: {
      part: ["foot of its width", "feet of its width"],
      less: (p, n) => {
        const depth = (p.depth as number) - n * feet(1);
        return depth >= platformSpec.depth.min ? { ...p, depth } : undefined;
      },
    },
  },
  about: ({ id, role }) => {
    const stair = /stair(\d+)(\/|$)/.exec(id);
    if (stair) return [`stairs.${Number(stair[1]) - 1}`];
    const gate = /gate(\d+)\//.exec(id);
    if (gate) return [`gates.${Number(gate[1]) - 1}`];
    if (/^(handrail|rail|railing post|picket)$/.test(role)) return ["Railings"];
    if (/^(shelter post|former|roof sheet)$/.test(role)) return ["Shelter"];
    if (/^(column|base)/.test(role)) return ["Columns"];
    return /deck|splice|edge/.test(role) ? ["Deck"] : ["Girders"];
  },
  describe: (p) => {
    const v = p as PlatformValues;
    return `${v.pair ? "Pair of platforms" : "Platform"} on ${v.bents} × ${v.rows === "one" ? 1 : 2} columns${v.shelter === "none" ? "" : `, ${ROOF[v.shelter]}`}`; // prettier-ignore
  },
};
/** A stair or a gate on the first side that has room for it. */
function newOpening(v: PlatformValues, path: string): Record<string, unknown> | undefined {
  const railed = { front: v.railFront, right: v.railRight, back: v.railBack, left: v.railLeft };
  const open = [...v.stairs, ...v.gates];
  const row = path === "stairs" ? { width: feet(4), tread: inches(10.5), riser: inches(7), rail: true } : path === "gates" ? { width: feet(4), leaf: true } : undefined; // prettier-ignore
  if (!row) return undefined;
  const sides = path === "stairs" ? (["left", "right", "back", "front"] as const) : (["back", "right", "left", "front"] as const).filter((s) => railed[s]); // prettier-ignore
  for (const side of sides) {
    const length = side === "left" || side === "right" ? v.depth : v.length;
    for (const part of [0.5, 0.3, 0.7, 0.15, 0.85]) {
      const at = length * part;
      const free = open.every((o) => o.side !== side || Math.abs(o.at - at) > (o.width + row.width) / 2 + feet(1));
      if (free && at > row.width / 2 + feet(1) && at < length - row.width / 2 - feet(1)) return { side, at, ...row };
    }
  }
  return undefined;
}
