import { NEAR } from "../../../geometry";
import type { Face } from "../../../frame";
import type { Vec3 } from "../../../geometry";
import { feet } from "../../../units";
import { TOLD } from "../plan/nominal";
import { onCentres } from "../plan/sides";
import { rootOf, type BuildingLayout, type Part, type Side } from "../plan/layout";
import {
  birdsmouthOver,
  eaveDatum,
  over,
  planeZ,
  plateId,
  rafter,
  roofKit,
  slopePlane,
  tail,
  tailDatum,
  wallOn,
  type RoofKit,
} from "./slopes";
import { inverse, move, placed } from "../../place";
import type { Builder } from "../../builder";
import { buttJoint, TOP } from "../walls/wallKit";

/** Where a wing's roof breaks into a slope of the main one: the middle of the wing along the eave's axis and half its width. */
export interface Interruption {
  readonly wing: Part;
  readonly side: Side;
  readonly at: number;
  readonly half: number;
  /** The eave of the wing that the long valley rises from. */
  readonly longEave: "S" | "N";
  /** Towards which end of the main part, +p or −p, the corner lies that the long valley rises from; it leans the other way. */
  readonly dir: 1 | -1;
  /** The end of the main part that a wall of the wing is flush with. */
  readonly flush: "E" | "W" | undefined;
  /** Whether a rafter there is cut by the valleys. */
  covers(at: number): boolean;
}

/** The wings whose roofs meet the main part's in valleys. */
export function interruptionsOf(l: BuildingLayout): Interruption[] {
  const { main } = l;
  return l.parts
    .filter((p) => p.valley)
    .map((wing): Interruption => {
      const [x, y] = move(wing.place, [0, 0, 0]);
      const local = inverse(main.place, [x, y, 0]);
      const half = (wing.q[1] - wing.q[0]) / 2;
      const side: Side = Math.abs(local[1] - main.q[0]) < NEAR ? "S" : "N";
      const run = side === "S" ? main.peak[0] - main.q[0] : main.q[1] - main.peak[0];
      const at = local[0];
      const flush = flushEnd(main, at, half, l.mm(TOLD));
      // the long valley runs on to the main ridge and crosses rafters beyond the wing's other corner: away from the nearer gable
      const [past, pastOther] = [main.p[0] - (at + half - run), at - half + run - main.p[1]];
      const close = past > -(l.mm(l.v.rafterSpacing) + l.mm(feet(1)) + 2 * l.t.hip.w);
      const dir = flush === "W" || (!flush && close && pastOther < past) ? -1 : 1;
      const beyond = Math.max(0, run - half);
      const near = nearOf(l);
      const [px] = inverse(main.place, move(wing.place, [0, wing.q[0], 0]));
      return {
        wing,
        side,
        at,
        half,
        dir,
        flush,
        longEave: px > at === dir > 0 ? "S" : "N",
        covers: (p) => dir * (p - at) > -Math.max(half, beyond) - near && dir * (p - at) < half + near,
      };
    });
}
/** The end of the main part whose wall a wing from `at − half` to `at + half` along its ridge runs on in one plane with. */
const flushEnd = (main: Part, at: number, half: number, told: number): "E" | "W" | undefined =>
  Math.abs(at + half - main.p[1]) < told ? "E" : Math.abs(at - half - main.p[0]) < told ? "W" : undefined;
/** The rafter of a slope over a gable that a flush wing's valley cuts off at its foot: its name among the slope's. */
export const flushRafter = (i: Interruption): string => `valley-${i.wing.name}-end`;

/** Where the gable's own rafter stands, flush with its wall, on the slope that a flush wing cuts. */
function endRafter(l: BuildingLayout, i: Interruption): number | undefined {
  const half = l.t.rafter.w / 2;
  return i.flush === "E" ? l.main.p[1] - half : i.flush === "W" ? l.main.p[0] + half : undefined;
}
/** The stations of the main slope's rafters that the valleys cut, as they would have had them; a flush gable's own is not among them. */
function cutStations(l: BuildingLayout, i: Interruption): number[] {
  const end = endRafter(l, i);
  const beside = (p: number): boolean => end !== undefined && Math.abs(p - end) < l.t.rafter.w + 0.2;
  return onCentres(l.main.p[1] - l.main.p[0], l.mm(l.v.rafterSpacing), "left")
    .map((x) => l.main.p[0] + x)
    .filter((p) => i.covers(p) && !beside(p));
}
/** What the upper part of the rafter at a station beside a flush gable is called: from the long valley to the ridge. */
export const valleyJack = (l: BuildingLayout, i: Interruption, station: number): string => {
  const n = cutStations(l, i).findIndex((p) => Math.abs(p - station) < NEAR);
  // beyond the wing's middle its lower part has the other letter
  return `valley-${i.wing.name}-${n + 1}${i.dir * (station - i.at) < 0 ? "b" : "a"}`;
};

const longOf = (root: string): string => `${root}/roof/valley-long`;
const shortOf = (root: string): string => `${root}/roof/valley-short`;
/** The faces of both valleys that look up the main slope, and those that look into the wing. */
function facesOf({
  side,
  dir,
}: Interruption): Readonly<Record<"long" | "short", { readonly main: Face; readonly wing: Face }>> {
  const [a, b] = [
    { main: "+w", wing: "-w" },
    { main: "-w", wing: "+w" },
  ] as const;
  return (side === "S") === dir > 0 ? { long: a, short: b } : { long: b, short: a };
}

/** What cuts the tail of a rafter that stands beside an inner corner of the eaves: the valley's tail, met `from` inward of the wall. */
export function tailAtValley(
  k: RoofKit,
  interrupted: readonly Interruption[],
  side: Side,
  at: number,
): { readonly valley: string; readonly face: Face; readonly from: number } | undefined {
  const { out } = k.part;
  const near = nearOf(k.l);
  if (k.part.valley) {
    // a wing's own rafter beside the wall it stands against
    const own = interrupted.find((i) => i.wing === k.part);
    if (!own || at >= out + near) return undefined;
    const valley = side === own.longEave ? "long" : "short";
    return { valley: (valley === "long" ? longOf : shortOf)(k.root), face: facesOf(own)[valley].wing, from: -at };
  }
  for (const i of interrupted) {
    const x = i.dir * (at - i.at);
    if (i.side !== side || Math.abs(x) <= i.half || Math.abs(x) >= i.half + out + near) continue;
    const root = rootOf(k.l, i.wing.name);
    const valley = x > 0 ? "long" : "short";
    return {
      valley: (valley === "long" ? longOf : shortOf)(root),
      face: facesOf(i)[valley].main,
      from: i.half - Math.abs(x),
    };
  }
  return undefined;
}
/** How near to a valley's line, along the eave, a rafter's middle may come. */
const nearOf = (l: BuildingLayout): number => l.t.hip.w * Math.SQRT1_2 + l.t.rafter.w / 2 + 0.05;

/**
 * The valleys of a wing: the long one from one of its corners up to the main ridge, the other one against it where the
 * wing's ridge comes in; jacks of both roofs between them. On a main roof that runs 12 ft at 8 in 12 the long one rises 8 ft
 * over 12 × √2 = 16.97 ft. A wing flush with a gable has it rise from the corner in the gable's plane.
 */
export function valleys(b: Builder, l: BuildingLayout, i: Interruption): void {
  const { v, t, mm } = l;
  const main = roofKit(placed(b, l.main.place), l, l.main);
  const wing = roofKit(placed(b, i.wing.place), l, i.wing);
  const s = l.main.slopes[i.side]!;
  const { out } = l.main;
  const { half } = i;
  const run = i.side === "S" ? l.main.peak[0] - l.main.q[0] : l.main.q[1] - l.main.peak[0];
  const root = rootOf(l, i.wing.name);
  /** A place of the main roof over its eave: `along` p from the wing's middle, `inward` of the wall. */
  const at = (along: number, inward: number): Vec3 =>
    over(l.main, i.side, i.at + i.dir * along, inward, planeZ(s, inward));
  const ridge = `${main.root}/roof/ridge`;
  const wingRidge = `${root}/roof/ridge`;
  const long = main.b.stick({
    id: longOf(root),
    assembly: `${root}/roof/frame`,
    role: "valley rafter",
    letter: "VR",
    theoretical: run * Math.hypot(Math.SQRT2, s.k),
    timber: t.hip,
    a: at(half + out, -out),
    b: at(half - run, run),
    up: [0, 0, 1],
    seat: ["+", "centre"],
  }).id;
  const short = main.b.stick({
    id: shortOf(root),
    assembly: `${root}/roof/frame`,
    role: "valley rafter",
    letter: "VR",
    theoretical: half * Math.hypot(Math.SQRT2, s.k),
    timber: t.hip,
    a: at(-half - out, -out),
    b: at(0, half),
    up: [0, 0, 1],
    seat: ["+", "centre"],
  }).id;
  const S = i.side === "S";
  const faces = facesOf(i);
  // past the wing's ridge the long one lies in the main slope, and is planed to it
  const plane = main.b.datum(`${main.root}/roof-${i.side}`, slopePlane(l.main, s));
  main.b.join({ kind: "trim", id: `${long}/back`, a: long, datum: plane, as: "length", contact: "gap" });
  main.b.join(buttJoint(long, 1, ridge, S ? "+w" : "-w", "line"));
  main.b.join(buttJoint(short, 1, long, faces.long.wing, "line"));
  main.b.join({ ...buttJoint(wingRidge, 0, long, faces.long.wing, "line"), id: `${wingRidge}>long` });
  main.b.join({ ...buttJoint(wingRidge, 0, short, faces.short.wing, "gap"), id: `${wingRidge}>short` });
  // tails run to the inner corner of both eaves; the seat sits on the main part's plate and on the wing's
  const tails = out - (v.fascia === "board" ? t.fascia.w : 0);
  const mainWall = wallOn(l.main, i.side)!;
  const onMain = plateId(l, mainWall);
  for (const [id, wingSide] of [
    [long, i.longEave],
    [short, i.longEave === "S" ? "N" : "S"],
  ] as const) {
    const wingSlope = i.wing.slopes[wingSide]!;
    main.b.join({
      kind: "trim",
      id: `${id}/tailM`,
      a: id,
      datum: eaveDatum(main, s, tails),
      as: "end0",
      contact: "gap",
    });
    wing.b.join({
      kind: "trim",
      id: `${id}/tailW`,
      a: id,
      datum: eaveDatum(wing, wingSlope, tails),
      as: "end0",
      contact: "gap",
    });
    const wingWall = wallOn(i.wing, wingSide)!;
    const onWing = plateId(l, wingWall);
    // over a flush corner the plates of the gable's wall lap on the main wall's
    const gable = id === long && i.flush ? plateId(l, wallOn(l.main, i.flush)!) : undefined;
    main.b.join({
      kind: "notch",
      id: `${id}>main`,
      a: id,
      b: onMain,
      ...(gable ? { also: [gable] } : {}),
      contact: gable ? "gap" : "line",
      faces: [
        { of: onMain, face: TOP },
        { of: plateId(l, mainWall, 1), face: "+v" },
      ],
    });
    main.b.join({
      kind: "notch",
      id: `${id}>wing`,
      a: id,
      b: onWing,
      contact: "gap",
      faces: [
        { of: onWing, face: TOP },
        { of: plateId(l, wingWall, 1), face: "+v" },
      ],
    });
  }
  const clear = nearOf(l);
  const end = endRafter(l, i);
  [...cutStations(l, i), ...(end === undefined ? [] : [end])].forEach((p, n) => {
    const x = i.dir * (p - i.at);
    // the long valley at this station, and the short one
    const atLong = half - x;
    const atShort = half + x;
    const pieces: { from: number; to: number; low?: string; high?: string }[] = [];
    const inWing = x > -half && x < half;
    if (x >= 0) pieces.push({ from: atLong, to: run, low: long });
    else {
      const start = inWing ? { from: atShort, low: short } : { from: -out };
      // where the long valley ends at the ridge it still stands in the way of the rafter beside it
      if (atLong < run + 2 * clear) pieces.push({ ...start, to: Math.min(atLong, run), high: long });
      else pieces.push({ ...start, to: run });
      if (atLong < run) pieces.push({ from: atLong, to: run, low: long });
    }
    pieces.forEach((r, j) => {
      const nearEnds = (r.low ? clear : 0) + (r.high ? clear : t.ridge.w);
      if (r.to - r.from < nearEnds + t.rafter.w) return;
      if (!r.low && r.from <= 0 && Math.abs(x + half) < clear + t.rafter.w / 2) return;
      const id = p === end ? `${i.side}/${flushRafter(i)}` : `${i.side}/valley-${i.wing.name}-${n + 1}${"ab"[j]}`;
      const full = `${main.root}/roof/${id}`;
      const met = r.low ? undefined : tailAtValley(main, [i], i.side, p);
      rafter(main, {
        id,
        role: r.low || r.high ? "valley jack" : "common rafter",
        slope: s,
        at: p,
        from: met ? met.from : r.from,
        to: r.to,
        ends: [r.low || met ? undefined : tail(main, full, s), undefined],
        assembly: `slope-${i.side}`,
      });
      if (met) {
        main.b.join(buttJoint(full, 0, met.valley, met.face, "gap"));
        main.b.join({
          kind: "trim",
          id: `${full}/eave`,
          a: full,
          datum: tailDatum(main, s),
          as: "end0",
          contact: "gap",
        });
      }
      // a jack that begins over the plate is let down on it too
      if (r.low && r.from < l.wall + t.rafter.v) main.b.join({ ...birdsmouthOver(main, full, s, p), contact: "gap" });
      if (!r.low) main.b.join(birdsmouthOver(main, full, s, p));
      else {
        // without an overhang the valley is cut off where a jack beside its foot would meet it
        const contact = out < t.hip.w && r.from < t.hip.w + t.rafter.w ? "gap" : "line";
        main.b.join(buttJoint(full, 0, r.low, r.low === long ? faces.long.main : faces.short.main, contact));
      }
      // beside the long valley's end there may be nothing left to touch
      if (r.high) main.b.join(buttJoint(full, 1, r.high, faces.long.wing, half - x < run - clear ? "line" : "gap"));
      main.b.join(buttJoint(full, 1, ridge, S ? "+w" : "-w", r.high ? "gap" : "line"));
    });
  });
  // the wing's own jacks, from its ridge down to the valleys
  const spacing = mm(v.rafterSpacing);
  for (const side of ["S", "N"] as const) {
    const slope = i.wing.slopes[side]!;
    const valley = side === i.longEave ? long : short;
    const face = valley === long ? faces.long.wing : faces.short.wing;
    for (let n = 0; ; n++) {
      const p = -n * spacing - clear;
      if (-p > half - clear - t.rafter.w) break;
      if (n === 0) continue;
      const id = `${side}/valley-${n}`;
      const full = `${root}/roof/${id}`;
      rafter(wing, { id, role: "valley jack", slope, at: p, from: -p, to: half, assembly: `slope-${side}` });
      wing.b.join(buttJoint(full, 0, valley, face, "line"));
      wing.b.join(buttJoint(full, 1, wingRidge, side === "S" ? "+w" : "-w", "line"));
    }
  }
}
