import { axesOf, fromLocal, sectionBox, type Member } from "../../frame";
import { distance, planeAt, type Vec3 } from "../../geometry";
import type { Builder } from "../builder";
import type { Timber } from "../timber";
import { onWall, rootOf, type BuildingLayout, type Part, type Slope, type Wall } from "./layout";
import { move, movePlane } from "./place";
import { bayPeak, baysOf } from "./bay";
import { casings } from "./casings";
import { dormersOf } from "./dormer";
import { rest } from "./rest";
import { breakOf, upperSlope } from "./facets";
import { alongWall, planeZ, slopePlane, wallOn } from "./slopes";

/** A rectangle that no cladding covers: an opening, a wing that stands against the wall, a ridge that comes through. Model mm of its wall. */
interface Hole {
  readonly id: string;
  readonly from: number;
  readonly to: number;
  readonly low: number;
  readonly high: number;
  /** Datums of slopes it lies under: no rectangle, so that rows are notched for it and not parted. */
  readonly under?: readonly string[];
}
/** A stick of the frame as the cladding meets it: a box in the wall's own measures. */
interface Behind {
  readonly id: string;
  /** Its box says more than it fills, or it looks another way: a rafter, a rim. */
  readonly slants?: boolean;
  readonly s: readonly [number, number];
  readonly z: readonly [number, number];
}
/** The face of a wall that is clad: where it begins and ends, its foot, and the planes that bound it above. */
export interface CladFace {
  readonly wall: Wall;
  readonly part: Part;
  readonly from: number;
  readonly to: number;
  readonly foot: number;
  /** The level it ends at, under an eave; else the highest point under a gable. */
  readonly head: number;
  /** Datums of the slopes over a gable. */
  readonly slopes: readonly string[];
  readonly holes: readonly Hole[];
  /** Of a dormer's cheek: the covering that it ends on below, a datum and its height along the wall. */
  readonly base?: { readonly datum: string; readonly at: (s: number) => number };
}
const NEAR = 1e-6;
/** Strips narrower than this are not laid, model mm. */
const LEAST = 0.25;

/** Boards, battens, corner boards and casings on the outside of every wall. */
export function cladding(b: Builder, l: BuildingLayout): void {
  const { v } = l;
  for (const part of [...l.parts, ...dormersOf(l).map((d) => d.part)])
    // long walls first: the end walls' corner boards cover the edges of theirs
    for (const w of [...part.walls].sort((m, n) => Number(n.through) - Number(m.through))) {
      if (v.casings) casings(b, l, w);
      if (v.siding === "none") continue;
      const f = cladFace(b, l, part, w);
      const behind = behindOf(b, l, part, w);
      if (v.cornerBoards) cornerBoards(b, l, f, behind);
      if (v.siding === "vertical" || v.siding === "batten") uprightBoards(b, l, f, behind);
      else courses(b, l, f, behind);
    }
  cladBays(b, l);
}

/** Whether a wing stands against the long wall beside a corner, so that the end wall's cladding has no edge to cover there. */
function wingAtCorner(l: BuildingLayout, part: Part, w: Wall, side: "left" | "right"): boolean {
  if (part !== l.main) return false;
  const at = onWall(w, side === "left" ? 0 : w.length, 0, 0);
  const near = l.mm(l.v.overhang) + l.clad + l.wall;
  return l.parts.some((wing) => {
    if (!wing.against || wing.against === w.name) return false;
    const ends =
      wing.roof === "lean"
        ? [
            [wing.p[0], 0],
            [wing.p[1], 0],
          ]
        : [
            [0, wing.q[0]],
            [0, wing.q[1]],
          ];
    return ends.some(([p, q]) => Math.hypot(...[0, 1].map((k) => move(wing.place, [p!, q!, 0])[k]! - at[k]!)) < near);
  });
}

/** How far under a gable's slopes its cladding ends, square to them: under the lookouts, or under a barge board on the end rafter itself. */
function gableDrop(l: BuildingLayout, part: Part): number {
  if (part.gableOut > 0) return l.t.lookout.w;
  return l.v.barge ? l.t.fascia.v : 0;
}

/** Whether a wall's left and right end stand against another part's wall. */
export const openEnds = (part: Part, w: Wall): readonly [boolean, boolean] =>
  w.through
    ? [w.side === "S" && part.open === "W", w.side === "N" && part.open === "W"]
    : [w.side === "W" && part.open === "N", w.side === "E" && part.open === "N"];

/** What of a wall is clad. */
export function cladFace(b: Builder, l: BuildingLayout, part: Part, w: Wall): CladFace {
  const { v, t, mm } = l;
  const root = rootOf(l, w.name);
  // it hangs no lower than there is something to hold it
  const hung =
    w.foot !== 0
      ? w.foot
      : -Math.min(mm(v.skirt), l.floorDepth + (v.foundation === "none" || v.foundation === "bents" ? 0 : t.sillBeam.w));
  // it stands on the water table
  const on = part.onRoof;
  const surface = (p: number): number => planeZ(part.slopes.S!, 0) + (on ? (on.x - p) * on.k : 0);
  const foot = on ? surface(part.p[1]) : hung + (v.waterTable ? t.waterTable.v : 0);
  const base =
    on && w.through ? { datum: on.datum, at: (s: number) => surface(w.side === "S" ? s : w.length - s) } : undefined;
  const [openLeft, openRight] = openEnds(part, w);
  // an end wall's cladding covers the edges of the long walls'; corner boards stand between
  const corner = (side: "left" | "right"): number => {
    const covers = w.through || wingAtCorner(l, part, w, side) ? 0 : 1;
    return v.cornerBoards ? t.cornerBoard.v - covers * t.cornerBoard.w : -covers * l.clad;
  };
  const from = openLeft ? (part.against ? l.clad : 0) : corner("left");
  const to = w.length - (openRight ? l.clad : corner("right"));
  const slope = part.slopes[w.side];
  const deep = (k: number): number => t.rafter.v * Math.hypot(1, k);
  const valleyed = (part.valley && !on) || l.parts.some((p) => p.valley && p.against === w.name);
  const hips = part.roof === "hip" || part.roof === "hipdeck" || valleyed;
  let head = w.top;
  const slopes: string[] = [];
  if (slope) {
    const hang = Math.max(deep(slope.k), hips ? t.hip.v * Math.hypot(1, slope.k / Math.SQRT2) : 0);
    head = planeZ(slope, -l.proud - (hips ? l.proud : 0)) - hang;
  } else if (part.roof === "shed" && w.side === "N") {
    const s = part.slopes.S!;
    head = planeZ(s, part.q[1] - part.q[0]) - deep(s.k);
  } else if (!w.through && part.roof !== "flat" && part.roof !== "none") {
    // under the lookouts, if there are any
    const down = gableDrop(l, part);
    const planes = (["S", "N"] as const).flatMap((side) => {
      const s = part.slopes[side];
      if (!s) return [];
      const own = [slopePlane(part, s, -down)];
      if (part.roof === "gambrel") own.push(slopePlane(part, upperSlope(s, v.upperRise / 12, breakOf(l, part)), -down));
      return own;
    });
    planes.forEach((p, i) => {
      const name = `${root}/under${i + 1}`;
      b.datums[name] = movePlane(part.place, p);
      slopes.push(name);
    });
    head = part.peak[1];
  }
  if (v.frieze && !on && (slope || part.roof === "flat")) head -= t.frieze.v;
  const holes: Hole[] = w.gaps.map((g) => {
    const c = v.casings ? t.casing.v : 0;
    return { id: g.name, from: g.from - c, to: g.to + c, low: g.door ? -Infinity : g.sill - c, high: g.head + c };
  });
  // a ridge that runs out over the gable
  if (slopes.length > 0 && part.gableOut > 0 && part.slopes.N) {
    const s = w.side === "E" ? part.peak[0] - part.q[0] : part.q[1] - part.peak[0];
    holes.push({
      id: "ridge",
      from: s - t.ridge.w / 2,
      to: s + t.ridge.w / 2,
      low: part.peak[1] - t.ridge.v - 2 * t.ridge.w,
      high: Infinity,
    });
  }
  // the ledger of a lean-to runs out over its ends
  if (part.roof === "lean" && !w.through && mm(v.gableOverhang) > 0) {
    const s = part.slopes.S!;
    const low = planeZ(s, part.q[1] - part.q[0] - t.ridge.w) - t.ridge.v;
    const [from, to] = w.side === "E" ? [w.length - t.ridge.w, w.length] : [0, t.ridge.w];
    holes.push({ id: "ledger", from, to, low, high: Infinity });
  }
  for (const wing of l.parts) {
    if (wing.against !== w.name || part !== l.main) continue;
    const ends = (
      wing.roof === "lean"
        ? [
            [wing.p[0], 0],
            [wing.p[1], 0],
          ]
        : [
            [0, wing.q[0]],
            [0, wing.q[1]],
          ]
    ).map(([p, q]) => alongWall(w, move(wing.place, [p!, q!, 0])));
    const cover =
      v.covering === "none" && v.seenRoof ? 0 : Math.max(t.roofBoard.w, v.roofSheet) * Math.hypot(1, v.rise / 12) + 0.4;
    holes.push({
      id: wing.name,
      from: Math.min(...ends) - l.clad,
      to: Math.max(...ends) + l.clad,
      low: -Infinity,
      high: wing.valley ? Infinity : wing.peak[1] + cover,
    });
    if (!wing.valley) {
      // its eaves reach past its walls
      const out = mm(wing.roof === "lean" ? v.gableOverhang : v.overhang) + cover + 0.2;
      const s = wing.slopes.S!;
      const lowest = planeZ(s, wing.roof === "lean" ? 0 : -mm(v.overhang)) - deep(s.k) - t.fascia.v;
      holes.push({
        id: `${wing.name}-eave`,
        from: Math.min(...ends) - out - t.fascia.w,
        to: Math.max(...ends) + out + t.fascia.w,
        low: lowest,
        high: wing.peak[1] + cover,
      });
    }
  }
  if (part === l.main) holes.push(...bayHoles(b, l, w));
  return { wall: w, part, from, to, foot, head, slopes, holes, ...(base ? { base } : {}) };
}

/** What bay windows cover of a wall: their bodies, and what lies under their roofs. */
function bayHoles(b: Builder, l: BuildingLayout, w: Wall): Hole[] {
  const { v } = l;
  return baysOf(l)
    .filter((x) => x.main.name === w.name)
    .flatMap((bay): Hole[] => {
      const cover = v.covering === "none" && v.seenRoof ? 0 : v.roofSheet + 0.1;
      const low = bay.top + bay.slope.above - bay.slope.k * bay.out - l.t.rafter.v * Math.hypot(1, bay.slope.k) - 0.2;
      const eave = bay.out / Math.sin(bay.angle) + l.clad * 3;
      const under = bay.walls.map((x, i) => {
        const name = `${rootOf(l, bay.name)}/over${i + 1}`;
        const stretch = Math.hypot(1, bay.slope.k);
        const p = planeAt(onWall(x, 0, 0, bay.top + bay.slope.above), [
          (x.n[0] * bay.slope.k) / stretch,
          (x.n[1] * bay.slope.k) / stretch,
          1 / stretch,
        ]);
        b.datums[name] = { n: p.n, d: p.d + cover };
        return name;
      });
      return [
        // a slanting wall's cladding stands out past its corner
        { id: bay.name, from: bay.at - l.clad, to: bay.at + bay.length + l.clad, low: -Infinity, high: low },
        {
          id: `${bay.name}-roof`,
          from: bay.at - eave,
          to: bay.at + bay.length + eave,
          low,
          high: bayPeak(bay) + cover * 2,
          under,
        },
      ];
    });
}

/** Cladding of a bay's three walls. */
function cladBays(b: Builder, l: BuildingLayout): void {
  const { v, t } = l;
  for (const bay of baysOf(l))
    for (const wall of bay.walls) {
      if (v.casings) casings(b, l, wall);
      if (v.siding === "none") continue;
      const c = v.casings ? t.casing.v : 0;
      const part = { ...l.main, name: bay.name, walls: [], slopes: {}, roof: "none" } as const;
      const f: CladFace = {
        wall,
        part,
        from: 0,
        to: wall.length,
        foot: 0,
        head:
          bay.top +
          bay.slope.above -
          bay.slope.k * l.clad * 2 -
          Math.max(t.rafter.v * Math.hypot(1, bay.slope.k), t.hip.v * Math.hypot(1, bay.slope.k)),
        slopes: [],
        holes: wall.gaps.map((g) => ({
          id: g.name,
          from: g.from - c,
          to: g.to + c,
          low: g.sill - c,
          high: g.head + c,
        })),
      };
      const behind = behindOf(b, l, part, wall);
      if (v.siding === "vertical" || v.siding === "batten") uprightBoards(b, l, f, behind);
      else courses(b, l, f, behind);
    }
}

/** The frame's sticks that lie in a wall's outer face: its own, the end rafters over it, rims and sill beams under it. */
function behindOf(b: Builder, l: BuildingLayout, part: Part, w: Wall): Behind[] {
  const own = `${rootOf(l, w.name)}/`;
  const main = `${rootOf(l, part.name)}/`;
  // in an end wall's corners stand the long walls
  const beside = w.through ? [] : part.walls.filter((x) => x.through).map((x) => `${rootOf(l, x.name)}/`);
  return b.members.flatMap((m): Behind[] => {
    const others =
      (m.id.startsWith(main) && /rafter|jack|rim|end joist|sill beam|plank/.test(m.role)) ||
      (/^(stud|post|corner post|sill|sole plate|top plate)$/.test(m.role) && beside.some((x) => m.id.startsWith(x)));
    if (!(m.id.startsWith(own) || others) || /casing|board|corner block|coping|water table/.test(m.role)) return [];
    if (m.body.shape !== "straight" && m.body.shape !== "panel") return [];
    const box = wallBox(w, m.body);
    // flush with the outside of the framing
    if (Math.abs(box.inward[0]) > 1e-4) return [];
    // these are not as their box is, or look another way: to touch is enough
    const notched = l.v.wallBrace === "letin" && /stud|post|cripple|blocking|girt/.test(m.role);
    const slants = notched || others || part.onRoof !== undefined || /gable|brace/.test(m.role);
    return [{ id: m.id, s: box.s, z: box.z, ...(slants ? { slants } : {}) }];
  });
}
/** The box of a stick before it is cut, or of a panel, in a wall's measures. */
function wallBox(
  w: Wall,
  body: Extract<Member["body"], { shape: "straight" | "panel" }>,
): Record<"s" | "inward" | "z", readonly [number, number]> {
  const x = axesOf(body);
  const { size, centre } = sectionBox(body);
  const us = body.shape === "panel" ? body.outline.map((p) => p[0]) : [0, distance(body.a, body.b)];
  const points = [Math.min(...us), Math.max(...us)].flatMap((u) =>
    [-1, 1].flatMap((v) =>
      [-1, 1].map((k) => fromLocal(x, [u, centre[0] + (v * size[0]) / 2, centre[1] + (k * size[1]) / 2])),
    ),
  );
  const range = (f: (p: Vec3) => number): readonly [number, number] => {
    const all = points.map(f);
    return [Math.min(...all), Math.max(...all)];
  };
  return {
    s: range((p) => alongWall(w, p)),
    inward: range((p) => (w.origin[0] - p[0]) * w.n[0] + (w.origin[1] - p[1]) * w.n[1]),
    z: range((p) => p[2]),
  };
}

/** Datums of a hole's four sides: what lies inside all of them is cut away. */
function holeDatums(b: Builder, l: BuildingLayout, w: Wall, h: Hole): readonly { datum: string }[] {
  const root = `${rootOf(l, w.name)}/hole-${h.id}`;
  const out: { datum: string }[] = [];
  const put = (name: string, at: Vec3, n: Vec3): void => {
    b.datums[`${root}-${name}`] = planeAt(at, n);
    out.push({ datum: `${root}-${name}` });
  };
  put("left", onWall(w, h.from, 0, 0), [-w.e[0], -w.e[1], 0]);
  put("right", onWall(w, h.to, 0, 0), w.e);
  if (Number.isFinite(h.low)) put("low", onWall(w, 0, 0, h.low), [0, 0, -1]);
  for (const d of h.under ?? []) out.push({ datum: d });
  if (Number.isFinite(h.high)) put("high", onWall(w, 0, 0, h.high), [0, 0, 1]);
  return out;
}

/** The parts of a box that stick out of holes. */
const overlaps = (h: Hole, s: readonly [number, number], z: readonly [number, number]): boolean =>
  h.from < s[1] - NEAR && h.to > s[0] + NEAR && h.low < z[1] - NEAR && h.high > z[0] + NEAR;

interface Laid {
  readonly id: string;
  readonly role: string;
  readonly letter: string;
  readonly timber: Timber;
  readonly s: readonly [number, number];
  readonly z: readonly [number, number];
  readonly upright: boolean;
  /** How far its middle stands out from the framing. */
  readonly out: number;
  readonly ends?: Member["ends"];
  readonly tilt?: number;
  /** Where it lies on what is behind, when that is not all of it. */
  readonly touch?: { readonly s: readonly [number, number]; readonly z: readonly [number, number] };
  /** The course under it or the boards before it, which hold it where nothing behind does. */
  readonly below?: readonly Behind[];
  /** The second course holds the first, which may lie on nothing. */
  readonly onFirst?: boolean;
  /** The face of what is behind that it lies on. */
  readonly on?: "+v" | "-w";
}
/** Places one board, notches it round the holes that it runs into, and holds it to what lies behind. */
function lay(b: Builder, l: BuildingLayout, f: CladFace, behind: readonly Behind[], x: Laid): string {
  const w = f.wall;
  const id = `${rootOf(l, w.name)}/${x.id}`;
  const mid = (r: readonly [number, number]): number => (r[0] + r[1]) / 2;
  const at = (s: number, z: number): Vec3 => onWall(w, s, -x.out, z);
  b.stick({
    id,
    assembly: rootOf(l, w.name),
    role: x.role,
    letter: x.letter,
    timber: x.timber,
    a: x.upright ? at(x.s[0] + x.timber.v / 2, x.z[0]) : at(x.s[0], mid(x.z)),
    b: x.upright ? at(x.s[0] + x.timber.v / 2, x.z[1]) : at(x.s[1], mid(x.z)),
    up: x.upright ? w.e : x.tilt ? [-w.n[0] * x.tilt, -w.n[1] * x.tilt, Math.sqrt(1 - x.tilt * x.tilt)] : [0, 0, 1],
    ends: x.ends ?? [
      { kind: "square", beyond: 0 },
      { kind: "square", beyond: 0 },
    ],
  });
  const notched = f.holes.filter((h) => overlaps(h, x.s, x.z));
  const touch = x.touch ?? x;
  const lap = (m: readonly [number, number], r: readonly [number, number]): readonly [number, number] => [
    Math.max(m[0], r[0]),
    Math.min(m[1], r[1]),
  ];
  const hides = (h: Hole, ms: readonly [number, number], mz: readonly [number, number]): boolean =>
    h.from < ms[0] + NEAR && h.to > ms[1] - NEAR && h.low < mz[0] + NEAR && h.high > mz[1] - NEAR;
  const shows = behind.filter((m) => {
    const [ms, mz] = [lap(m.s, touch.s), lap(m.z, touch.z)];
    const least = Math.min(LEAST, (touch.z[1] - touch.z[0]) / 2);
    return ms[1] - ms[0] > LEAST && mz[1] - mz[0] > least && !notched.some((h) => hides(h, ms, mz));
  });
  const firm = shows.filter((m) => !m.slants);
  const from = firm.length > 0 ? firm : shows;
  const on = [...new Set([from[0], from[from.length - 1]])].filter((m) => m !== undefined);
  for (const m of on)
    b.join({
      kind: "bearing",
      id: `${id}>${m.id.split("/").slice(-2).join("-")}`,
      a: id,
      b: m.id,
      aFace: x.upright ? "+w" : "-w",
      bFace: x.on ?? "+v",
      contact: m.slants ? "gap" : "line",
    });
  if (firm.length === 0 || x.onFirst)
    for (const m of x.below ?? [])
      if (x.upright || (m.s[0] < x.s[1] - LEAST && m.s[1] > x.s[0] + LEAST))
        b.join({
          kind: "bearing",
          id: `${id}>${m.id.split("/").slice(-2).join("-")}`,
          a: id,
          b: m.id,
          aFace: x.upright ? "-v" : "-w",
          bFace: x.upright ? "+v" : "+w",
          contact: "gap",
        });
  // a short piece beside a door may lie on no stud at all: the casing and the corner board hold it
  if (firm.length === 0)
    for (const m of b.members.filter(
      (y) => y.assembly === rootOf(l, w.name) && /casing|corner board|water table|frieze/.test(y.role),
    ))
      b.join({
        kind: "bearing",
        id: `${id}>${m.id.split("/").slice(-2).join("-")}`,
        a: id,
        b: m.id,
        aFace: "-w",
        bFace: "+v",
        contact: "gap",
      });
  for (const h of notched) {
    const b0 = on[0]?.id ?? behind[0]?.id;
    if (b0) b.join({ kind: "notch", id: `${id}>${h.id}`, a: id, b: b0, contact: "gap", faces: holeDatums(b, l, w, h) });
  }
  return id;
}

function cornerBoards(b: Builder, l: BuildingLayout, f: CladFace, behind: readonly Behind[]): void {
  const t = l.t.cornerBoard;
  const w = f.wall;
  for (const side of ["left", "right"] as const) {
    if (isOpen(f, side)) continue;
    const out = w.through || wingAtCorner(l, f.part, w, side) ? 0 : t.w;
    const s: readonly [number, number] = side === "left" ? [-out, t.v - out] : [w.length - t.v + out, w.length + out];
    // where a wing stands at the corner there is none
    const wings = f.holes.filter((h) => /^wing/.test(h.id) && h.from < s[1] - NEAR && h.to > s[0] + NEAR);
    const top = f.slopes.length > 0 ? Math.min(f.head, highest(l, f, s[0], s[1])) : f.head;
    const ids = rest(
      [f.foot, f.head],
      wings.map((h) => [h.low, h.high]),
    ).flatMap(([z0, z1], j) => {
      if (z0 > top - LEAST) return [];
      const id = lay(b, l, { ...f, holes: [] }, behind, {
        id: j === 0 ? `corner-board/${side}` : `corner-board/${side}${j + 1}`,
        role: "corner board",
        letter: "XB",
        timber: t,
        s,
        z: [z0, z1],
        upright: true,
        out: t.w / 2,
        touch: { s, z: [z0, Math.min(z1, top)] },
        ends: [f.base ? undefined : SQUARE, f.slopes.length > 0 ? undefined : SQUARE],
      });
      onBase(b, f, id, "end0");
      for (const d of f.slopes)
        b.join({ kind: "trim", id: `${id}/${d.split("/").pop()}`, a: id, datum: d, as: "end1", contact: "gap" });
      return [id];
    });
    const id = ids[0];
    if (!id) continue;
    // an end wall's covers the edge of the long wall's
    const neighbour = w.through ? undefined : wallOn(f.part, (w.side === "E") === (side === "left") ? "S" : "N");
    if (
      neighbour &&
      b.members.some((m) => m.id === `${rootOf(l, neighbour.name)}/corner-board/${side === "left" ? "right" : "left"}`)
    )
      b.join({
        kind: "bearing",
        id: `${id}>corner`,
        a: id,
        b: `${rootOf(l, neighbour.name)}/corner-board/${side === "left" ? "right" : "left"}`,
        aFace: "+w",
        bFace: "+v",
        contact: "gap",
      });
  }
}
const SQUARE = { kind: "square", beyond: 0 } as const;
/** Cuts what reaches down to the covering under a dormer's cheek. */
function onBase(b: Builder, f: CladFace, id: string, end: "end0" | "end1"): void {
  if (f.base) b.join({ kind: "trim", id: `${id}/base`, a: id, datum: f.base.datum, as: end, contact: "gap" });
}
const isOpen = (f: CladFace, side: "left" | "right"): boolean => openEnds(f.part, f.wall)[side === "left" ? 0 : 1];

/** Planks on end, with battens over their joints or without. */
function uprightBoards(b: Builder, l: BuildingLayout, f: CladFace, behind: readonly Behind[]): void {
  const { t } = l;
  const w = f.wall;
  const board = t.siding;
  const count = Math.ceil((f.to - f.from - NEAR) / board.v);
  const slanted = f.slopes.length > 0;
  const edge = `${rootOf(l, w.name)}/clad-edge`;
  b.datums[edge] = planeAt(onWall(w, f.to, 0, 0), w.e);
  const boards: Behind[] = [];
  const laid = (
    name: string,
    s0: number,
    s1: number,
    timber: Timber,
    out: number,
    role: string,
    letter: string,
    ripped: boolean,
  ): void => {
    const holes = f.holes.filter((h) => !h.under && h.from <= s0 + NEAR && h.to >= s1 - NEAR);
    const foot = f.base ? Math.max(f.foot, Math.min(f.base.at(s0), f.base.at(s1))) : f.foot;
    rest(
      [foot, f.head],
      holes.map((h) => [h.low, h.high]),
    ).forEach(([z0, z1], j) => {
      const top = slanted && z1 > f.head - NEAR;
      const under = slanted ? Math.min(z1, highest(l, f, s0, Math.min(s1, f.to))) : z1;
      const cutLow = f.base !== undefined && j === 0;
      if (under - (cutLow ? Math.max(f.base!.at(s0), f.base!.at(s1)) : z0) < LEAST) return;
      const batten = role === "batten";
      const id = lay(b, l, f, batten ? boards : behind, {
        id: `${name}-${j + 1}`,
        role,
        letter,
        timber,
        s: [s0, Math.min(s0 + timber.v, s1 + NEAR)],
        z: [z0, z1],
        upright: true,
        out,
        ends: [cutLow ? undefined : SQUARE, top ? undefined : SQUARE],
        touch: { s: [s0, s1], z: [z0, under] },
        // a strip over the edge of the next wall's cladding is held by its neighbour
        below: boards.slice(-4),
        onFirst: name === "board/2" || f.base !== undefined,
        ...(batten ? { on: "-w" } : {}),
      });
      if (cutLow) onBase(b, f, id, "end0");
      if (!batten) boards.push({ id, s: [s0, s1], z: [z0, under] });
      if (slanted)
        for (const d of f.slopes)
          b.join({ kind: "trim", id: `${id}/${d.split("/").pop()}`, a: id, datum: d, as: "end1", contact: "gap" });
      if (ripped) b.join({ kind: "trim", id: `${id}/rip`, a: id, datum: edge, as: "length", contact: "gap" });
    });
  };
  for (let i = 0; i < count; i++) {
    const s0 = f.from + i * board.v;
    const s1 = Math.min(s0 + board.v, f.to);
    if (s1 - s0 < LEAST) break;
    laid(`board/${i + 1}`, s0, s1, board, board.w / 2, "board", "SD", s0 + board.v > f.to + NEAR);
    if (l.v.siding === "batten" && i > 0) {
      const k = t.batten;
      if (s0 + k.v / 2 > f.to) continue;
      laid(`batten/${i}`, s0 - k.v / 2, s0 + k.v / 2, k, board.w + k.w / 2, "batten", "BT", false);
    }
  }
}

/** Boards lying along the wall from its foot up, edge to edge or as clapboards each over the one below. */
function courses(b: Builder, l: BuildingLayout, f: CladFace, behind: readonly Behind[]): void {
  const { v, t, mm } = l;
  const w = f.wall;
  const board = t.siding;
  const lapped = v.siding === "clapboard";
  const step = lapped ? Math.min(mm(v.exposure), board.v * 0.95) : board.v;
  // a clapboard's back lies on the upper outer edge of the one below: the sine of its lean is thickness over exposure
  const lean = lapped ? board.w / step : 0;
  const cos = Math.sqrt(1 - lean * lean);
  const tall = board.v * cos + board.w * lean;
  const rows = Math.ceil((f.head - f.foot - NEAR) / step);
  const slanted = f.slopes.length > 0;
  const headDatum = `${rootOf(l, w.name)}/clad-head`;
  b.datums[headDatum] = planeAt(onWall(w, 0, 0, f.head), [0, 0, 1]);
  let below: readonly Behind[] = [];
  for (let i = 0; i < rows; i++) {
    const z0 = f.foot + i * step;
    if (f.head - z0 < LEAST) break;
    // where the slopes leave nothing of it
    const ends = slanted ? underSlopes(l, f, z0) : [f.from, f.to];
    if (ends[1]! - ends[0]! < 2 * LEAST) continue;
    const z1 = z0 + (lapped ? tall : board.v);
    const ripped = !slanted && z1 > f.head + NEAR;
    if (lapped && ripped && f.head - z0 < step * 0.5) continue;
    const holes = f.holes.filter((h) => !h.under && h.low <= z0 + NEAR && h.high >= Math.min(z1, f.head) - NEAR);
    // a clapboard touches with its upper edge alone
    const edge = z1 - (lapped ? board.w * lean : 0);
    const row: Behind[] = [];
    const [s0b, s1b] = overBase(f, z1);
    if (s1b - s0b < 2 * LEAST) continue;
    rest(
      [s0b, s1b],
      holes.map((h) => [h.from, h.to]),
    ).forEach(([s0, s1], j) => {
      if (slanted && (s1 < ends[0]! + LEAST || s0 > ends[1]! - LEAST)) return;
      const above = slanted ? underSlopes(l, f, z1) : [s0, s1];
      const cut = slanted && (s0 < above[0]! || s1 > above[1]!);
      const top = slanted ? underSlopes(l, f, edge) : [s0, s1];
      const id = lay(b, l, f, behind, {
        id: `course/${i + 1}-${j + 1}`,
        role: lapped ? "clapboard" : "board",
        letter: "SD",
        timber: board,
        s: [s0, s1],
        z: [z0, z1],
        upright: false,
        ...(f.base ? { ends: f.wall.side === "S" ? [undefined, SQUARE] : [SQUARE, undefined] } : {}),
        out: lapped ? (board.w * cos + board.v * lean) / 2 : board.w / 2,
        ...(lapped ? { tilt: lean } : {}),
        touch: {
          s: lapped ? [Math.max(s0, top[0]!), Math.min(s1, top[1]!)] : [Math.max(s0, ends[0]!), Math.min(s1, ends[1]!)],
          z: lapped ? [ripped ? edge : edge - 1e-3, edge] : [z0, Math.min(z1, f.head)],
        },
        below,
        onFirst: i === 1 || f.base !== undefined,
      });
      row.push({ id, s: [s0, s1], z: [z0, z1] });
      onBase(b, f, id, f.wall.side === "S" ? "end0" : "end1");
      if (cut)
        for (const d of f.slopes)
          b.join({
            kind: "trim",
            id: `${id}/${d.split("/").pop()}`,
            a: id,
            datum: d,
            as: sideOfDatum(b, w, d),
            contact: "gap",
          });
      if (ripped) b.join({ kind: "trim", id: `${id}/rip`, a: id, datum: headDatum, as: "length", contact: "gap" });
    });
    below = row;
  }
}
/** From where to where along a wall a level stands over the covering it ends on below. */
function overBase(f: CladFace, z: number): [number, number] {
  const { base } = f;
  if (!base) return [f.from, f.to];
  const slope = base.at(1) - base.at(0);
  const s = (z - base.at(0)) / slope;
  return slope < 0 ? [Math.max(f.from, s), f.to] : [f.from, Math.min(f.to, s)];
}
/** Which end of a board lying along the wall a slope cuts. */
function sideOfDatum(b: Builder, w: Wall, datum: string): "end0" | "end1" {
  const { n } = b.datums[datum]!;
  return n[0] * w.e[0] + n[1] * w.e[1] < 0 ? "end0" : "end1";
}
/** From where to where a level lies under all slopes of a gable. */
function underSlopes(l: BuildingLayout, f: CladFace, z: number): [number, number] {
  const { part, wall: w } = f;
  const down = gableDrop(l, part);
  let [lo, hi] = [f.from, f.to];
  for (const side of ["S", "N"] as const) {
    const s = part.slopes[side];
    if (!s) continue;
    const at = (x: Slope): number => (z + down * Math.hypot(1, x.k) - planeZ(x, 0)) / x.k;
    const inward =
      part.roof === "gambrel" ? Math.max(at(s), at(upperSlope(s, l.v.upperRise / 12, breakOf(l, part)))) : at(s);
    // an E wall has S at its left
    const left = (w.side === "E") === (side === "S");
    if (left) lo = Math.max(lo, inward);
    else hi = Math.min(hi, w.length - inward);
  }
  return [lo, hi];
}

/** How high a strip between two places of a gable reaches at most. */
function highest(l: BuildingLayout, f: CladFace, s0: number, s1: number): number {
  let [lo, hi] = [f.foot, f.head];
  // both edges, and the peak where it lies between them
  for (let i = 0; i < 40; i++) {
    const mid = (lo + hi) / 2;
    const [a, c] = underSlopes(l, f, mid);
    if (a < s1 - LEAST && c > s0 + LEAST) lo = mid;
    else hi = mid;
  }
  return lo;
}
