import type { Face, Joint, Member } from "../../../frame";
import { addScaled, normalize, planeAt, type Plane, type Vec3, NEAR } from "../../../geometry";
import { rootOf, type BuildingLayout, type Part, type Side, type Slope, type Wall } from "../plan/layout";
import { hasSoffit } from "../plan/nominal";
import { move, type Local } from "../../place";
import { postsOf, studsOf } from "../walls/uprights";
import { touching } from "../walls/wallKit";

/** What a part's roof is framed with: its axes, its layout, and where its sticks belong. */
export interface RoofKit {
  readonly b: Local;
  readonly l: BuildingLayout;
  readonly part: Part;
  readonly root: string;
  /** Joins a stick that lies against the main part's wall, from z0 to z1, to the uprights behind it. */
  holdOnMain(id: string, z0: number, z1: number): void;
}
export function roofKit(b: Local, l: BuildingLayout, part: Part): RoofKit {
  const root = rootOf(l, part.name);
  return {
    b,
    l,
    part,
    root,
    holdOnMain: (id, z0, z1) => {
      const w = l.main.walls.find((x) => x.name === part.against);
      if (!w) return;
      const under = w.top - (l.v.framing === "posts" ? 1 : l.v.topPlates) * l.plate;
      const from = alongWall(w, move(part.place, [part.p[0], part.q[1], 0]));
      const to = alongWall(w, move(part.place, [part.p[1], part.q[1], 0]));
      const [s0, s1] = [Math.min(from, to), Math.max(from, to)];
      const all = w.seen
        ? l.v.framing === "posts"
          ? postsOf(l, w, w.foot + l.plate, under)
          : studsOf(l, w, w.foot + l.plate, under)
        : [];
      const behind = all.filter(
        (u) => u.role !== "cripple" && !u.turned && u.z0 < z0 && u.z1 > z1 && u.s > s0 + u.half && u.s < s1 - u.half,
      );
      for (const u of new Set([behind[0], behind[behind.length - 1]]))
        if (u)
          b.join({
            kind: "lap",
            id: `${id}>${u.id}`,
            a: id,
            b: `${rootOf(l, w.name)}/${u.id}`,
            aFace: "-w",
            bFace: "+v",
            contact: "line",
          });
      if (behind.length === 0)
        for (const other of [plateId(l, w), `${rootOf(l, w.name)}/sheet`])
          if (other.endsWith("sheet") ? !w.seen : z1 > under)
            b.join(touching(id, other, "-w", other.endsWith("sheet") ? "+w" : "+v"));
    },
  };
}
/** How far along a wall a point lies from its left outer corner. */
export const alongWall = (w: Wall, p: Vec3): number => (p[0] - w.origin[0]) * w.e[0] + (p[1] - w.origin[1]) * w.e[1];

/** A point over a side of a part: along p (eave walls) or q (ends), in from the outside of its wall. */
export function over(part: Pick<Part, "p" | "q">, side: Side, at: number, inward: number, z: number): Vec3 {
  switch (side) {
    case "S":
      return [at, part.q[0] + inward, z];
    case "N":
      return [at, part.q[1] - inward, z];
    case "E":
      return [part.p[1] - inward, at, z];
    case "W":
      return [part.p[0] + inward, at, z];
  }
}
/** Direction in from the outside of a side's wall. */
export const inwardOf = (side: Side): Vec3 =>
  side === "S" ? [0, 1, 0] : side === "N" ? [0, -1, 0] : side === "E" ? [-1, 0, 0] : [1, 0, 0];
/** The direction along a side for which along × upslope looks out of the roof: to the right, seen from outside. */
export const alongOf = (side: Side): Vec3 =>
  side === "S" ? [1, 0, 0] : side === "N" ? [-1, 0, 0] : side === "E" ? [0, 1, 0] : [0, -1, 0];
/** The face of a rafter of that side that looks along +p or +q, and its opposite. */
export const sideFace = (side: Side, positive: boolean): Face =>
  (side === "S" || side === "E") === positive ? "+w" : "-w";

/** Height of a slope's plane `inward` of its wall's outside. */
export const planeZ = (s: Slope, inward: number): number => s.plate + s.above + s.k * inward;
/** The plane of a slope's rafter tops in its part's axes, its outside up; `lift` over it, square to it. */
export function slopePlane(part: Part, s: Slope, lift = 0): Plane {
  const p = planeAt(over(part, s.side, 0, 0, planeZ(s, 0)), addScaled([0, 0, 1], inwardOf(s.side), -s.k));
  return { n: p.n, d: p.d + lift };
}
/** A plane that keeps what lies over it. */
export const up = (p: Plane): Plane => ({ n: [-p.n[0], -p.n[1], -p.n[2]], d: -p.d });
/** Up the slope, a unit vector. */
export const upslope = (s: Slope): Vec3 => normalize(addScaled([0, 0, s.k], inwardOf(s.side), 1));

/** The wall of a part on a side; undefined where it is open. */
export const wallOn = (part: Part, side: Side): Wall | undefined => part.walls.find((w) => w.side === side);
export const plateId = (l: BuildingLayout, w: Wall, ply?: 1 | 2): string =>
  `${rootOf(l, w.name)}/plate/${ply ?? (l.v.framing === "posts" ? 1 : l.v.topPlates)}`;

export interface RafterSet {
  readonly id: string;
  readonly role: string;
  readonly slope: Slope;
  /** Along p or q, and from where to where inward of the wall's outside, on the plane. */
  readonly at: number;
  readonly from: number;
  readonly to: number;
  readonly timber?: BuildingLayout["t"]["rafter"];
  readonly ends?: Member["ends"];
  readonly assembly?: string;
  /** Where the plate's outside or the other end of its theoretical length is, inward, when it is not from 0 to `to`. */
  readonly run?: number;
}
/** A rafter whose top lies in a slope, square to its eave. */
export function rafter(k: RoofKit, r: RafterSet): string {
  const id = `${k.root}/roof/${r.id}`;
  const at = (inward: number): Vec3 => over(k.part, r.slope.side, r.at, inward, planeZ(r.slope, inward));
  k.b.stick({
    id,
    assembly: `${k.root}/roof/${r.assembly ?? "frame"}`,
    role: r.role,
    letter: LETTERS[r.role] ?? "R",
    timber: r.timber ?? k.l.t.rafter,
    a: at(r.from),
    b: at(r.to),
    up: [0, 0, 1],
    seat: ["+", "centre"],
    ends: r.ends ?? [undefined, undefined],
    theoretical: (r.run ?? r.to - Math.max(0, r.from)) * Math.hypot(1, r.slope.k),
  });
  return id;
}
const LETTERS: Readonly<Record<string, string>> = {
  "common rafter": "R",
  "jack rafter": "J",
  "valley jack": "VJ",
  "hip rafter": "HR",
  "valley rafter": "VR",
  "barge rafter": "BR",
  "upper rafter": "UR",
};

/** The eave of a slope: how its tails end. `out` is how far the plumb face of the eave stands out from the wall. */
export function tail(k: RoofKit, id: string, s: Slope): Member["ends"][0] {
  const { v, t } = k.l;
  const { out } = k.part;
  if (v.fascia === "board") {
    k.b.join({
      kind: "trim",
      id: `${id}/tail`,
      a: id,
      datum: eaveDatum(k, s, out - t.fascia.w),
      as: "end0",
      contact: "gap",
    });
    if (hasSoffit(v)) levelCut(k, id, s);
    return undefined;
  }
  // a square cut that would reach the wall is made plumb
  const room = (t.rafter.v * s.k) / Math.hypot(1, s.k) + k.l.clad;
  if (v.tail !== "square" || out < room) {
    k.b.join({ kind: "trim", id: `${id}/tail`, a: id, datum: eaveDatum(k, s, out), as: "end0", contact: "gap" });
    if (v.tail === "both") levelCut(k, id, s);
    return undefined;
  }
  return { kind: "square", beyond: 0 };
}
/** Where a tail is cut level: half of the plumb cut is left, and it lies outside of the wall. */
export function soffitLevel(k: RoofKit, s: Slope): number {
  const deep = k.l.t.rafter.v * Math.hypot(1, s.k);
  return Math.min(planeZ(s, -k.part.out) - deep / 2, planeZ(s, -k.l.clad) - deep);
}
/** Cuts a tail level. */
export function levelCut(k: RoofKit, id: string, s: Slope): void {
  const name = `${k.root}/tail-${s.side}`;
  k.b.datum(name, planeAt([0, 0, soffitLevel(k, s)], [0, 0, -1]));
  k.b.join({ kind: "trim", id: `${id}/level`, a: id, datum: name, as: "end0", contact: "gap" });
}
/** The plumb plane in which the tails of an eave end, behind the fascia if there is one. */
export const tailDatum = (k: RoofKit, s: Slope): string =>
  eaveDatum(k, s, k.part.out - (k.l.v.fascia === "board" ? k.l.t.fascia.w : 0));
/** A plumb plane along an eave, `out` from the wall; what is kept lies inward of it. */
export function eaveDatum(k: RoofKit, s: Slope, out: number): string {
  const name = `${k.root}/eave-${s.side}${out === k.part.out ? "" : "-tails"}`;
  const n = inwardOf(s.side);
  return k.b.datum(name, planeAt(over(k.part, s.side, 0, -out, 0), [-n[0], -n[1], 0]));
}

/** The bird's-mouth of a rafter over the plates of its eave: seat on the upper plate, heel against their outside. */
export function birdsmouthOver(k: RoofKit, id: string, s: Slope, at: number): Joint {
  const wall = wallOn(k.part, s.side)!;
  const on = plateUnder(k, s.side, at);
  // a dormer's cheeks have no plates under a slope that falls to its front
  const ends = (["E", "W"] as const).flatMap((x) =>
    wall.through && k.part.onRoof?.nailed === undefined && wallOn(k.part, x) ? [plateId(k.l, wallOn(k.part, x)!)] : [],
  );
  const plates = [...new Set([plateId(k.l, wall), plateId(k.l, wall, 1), ...ends])];
  return {
    kind: "notch",
    id: `${id}>plate`,
    a: id,
    b: on,
    also: plates.filter((p) => p !== on),
    contact: "face",
    faces: [
      { of: on, face: "-w" },
      { of: plateId(k.l, wall, 1), face: "+v" },
    ],
  };
}
/** The uppermost plate at a place of a side: over the corners it is the end wall's, where plates lap. */
export function plateUnder(k: RoofKit, side: Side, at: number): string {
  const wall = wallOn(k.part, side)!;
  const twoPlates = k.l.v.framing !== "posts" && k.l.v.topPlates === 2;
  if (
    twoPlates &&
    wall.through &&
    k.part.onRoof?.nailed === undefined &&
    k.part.walls.every((w) => Math.abs(w.top - wall.top) < NEAR)
  ) {
    const [lo, hi] = k.part.p;
    const end = at < lo + k.l.wall ? "W" : at > hi - k.l.wall ? "E" : undefined;
    const other = end && wallOn(k.part, end);
    if (other) return plateId(k.l, other);
  }
  return plateId(k.l, wall);
}
