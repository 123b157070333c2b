import { birdsmouth, rafterTable } from "../../carpentry";
import type { Vec3 } from "../../geometry";
import { prototype, toModel } from "../../units";
import type { Context } from "../kind";
import { timberOf, type Timber } from "../timber";
import { hasOwnFeet } from "./nominal";
import { roughOpening } from "./openings";
import type { BuildingValues, SideName } from "./parameters";
import { move, quartersOf, turn, type Placement } from "./place";

/** The walls of a part in its own axes: eave walls looking to −q and +q, ends looking to +p and −p. */
export type Side = "S" | "E" | "N" | "W";
export const EAVES = ["S", "N"] as const;
export const ENDS = ["E", "W"] as const;

/** An opening in a wall: model mm from the wall's left outer corner and over the floor. */
export interface Gap {
  readonly name: string;
  readonly door: boolean;
  readonly from: number;
  readonly to: number;
  readonly sill: number;
  readonly head: number;
}
/** A wall, seen from outside: it runs to the right from its left outer corner along `e`, its outside looks along `n`. Model mm. */
export interface Wall {
  /** "front" of the main part, "wing1-right" of a wing. */
  readonly name: string;
  readonly side: Side;
  readonly through: boolean;
  readonly origin: Vec3;
  readonly e: Vec3;
  readonly n: Vec3;
  /** From corner to corner outside. */
  readonly length: number;
  /** Where its own framing begins and ends: an end wall stands between the others. */
  readonly from: number;
  readonly to: number;
  /** Where its soles and plates run to be cut by what they meet, when that is further. */
  readonly runs?: readonly [number, number];
  /** Thickness of the framing. */
  readonly thick: number;
  /** Top of its plates. */
  readonly top: number;
  /** Underside of its soles, over the floor. */
  readonly foot: number;
  readonly gaps: readonly Gap[];
  readonly seen: boolean;
}
/** A slope over an eave: the plane of its rafters' tops, in its part's axes. */
export interface Slope {
  readonly side: "S" | "N" | "E" | "W";
  /** Rise per unit of run. */
  readonly k: number;
  /** How far its plane lies, plumb, over the plate's outer top edge. */
  readonly above: number;
  readonly plate: number;
  /** Width of the seat cut on the plate. */
  readonly seat: number;
}
/** How a dormer's roof meets the one under it. Model mm, in the dormer's axes. */
export interface OnRoof {
  /** How far its ridge runs in past p = 0, where its eaves' planes meet the slope's. */
  readonly reach: number;
  /** The line on which its slopes meet the covering of the one under it: p = x − m × inward of its eave wall. */
  readonly x: number;
  readonly m: number;
  /** The rise of the slope under it per unit of run, along which it falls to +p. */
  readonly k: number;
  /** The plane of that covering, a datum that keeps what lies over it. */
  readonly datum: string;
}
export type RoofKind = BuildingValues["roof"] | "lean";
/** A rectangle of the building with its walls and roof, in its own axes: p along the ridge, q across. Model mm. */
export interface Part {
  readonly name: string;
  readonly place: Placement;
  readonly p: readonly [number, number];
  readonly q: readonly [number, number];
  /** The side that another part's wall closes, and that wall's name. */
  readonly open?: Side;
  readonly against?: string;
  readonly roof: RoofKind;
  readonly walls: readonly Wall[];
  readonly slopes: Readonly<Partial<Record<Side, Slope>>>;
  /** Its roof meets the main one's in valleys. */
  readonly valley: boolean;
  /** How far its roof reaches past the walls, level: over eaves and over gables. */
  readonly out: number;
  readonly gableOut: number;
  /** Of a dormer: where its roof ends on the one it stands on. */
  readonly onRoof?: OnRoof;
  /** Where both slopes' planes meet, q and height; of a shed its high side. */
  readonly peak: readonly [number, number];
}
export interface Timbers {
  readonly stud: Timber;
  readonly post: Timber;
  readonly girt: Timber;
  readonly cornerPost: Timber;
  readonly header: Timber;
  readonly brace: Timber;
  readonly knee: Timber;
  readonly joist: Timber;
  readonly plank: Timber;
  readonly sillBeam: Timber;
  readonly pier: Timber;
  readonly rafter: Timber;
  readonly ridge: Timber;
  readonly hip: Timber;
  readonly collar: Timber;
  readonly ceiling: Timber;
  readonly fascia: Timber;
  readonly lookout: Timber;
  readonly roofBoard: Timber;
  readonly siding: Timber;
  readonly batten: Timber;
  readonly cornerBoard: Timber;
  readonly casing: Timber;
  readonly stringer: Timber;
  readonly tread: Timber;
  readonly lining: Timber;
  readonly capBoard: Timber;
  readonly waterTable: Timber;
  readonly frieze: Timber;
  readonly tie: Timber;
  readonly principal: Timber;
  readonly kingPost: Timber;
  readonly strut: Timber;
  readonly purlin: Timber;
  readonly bracket: Timber;
}
export interface BuildingLayout {
  readonly v: BuildingValues;
  readonly ctx: Context;
  readonly mm: (prototypeMm: number) => number;
  readonly t: Timbers;
  readonly parts: readonly Part[];
  readonly main: Part;
  /** Walls across the main part, from inside to inside. */
  readonly partitions: readonly Wall[];
  /** Thickness of a wall's framing, and of its plates. */
  readonly wall: number;
  readonly plate: number;
  /** How far the cladding stands out from the framing. */
  readonly clad: number;
  /** How far anything on a wall stands out: the cladding, a water table, a frieze. */
  readonly proud: number;
  /** From the floor down to what the sill beams' tops carry: planks and joists. */
  readonly floorDepth: number;
  readonly ground: (x: number, y: number) => number;
}
export const rootOf = (l: Pick<BuildingLayout, "ctx">, part: string): string => `${l.ctx.structure}/${part}`;

const NAMED: Readonly<Record<Timbers extends infer T ? keyof T : never, keyof BuildingValues>> = {
  stud: "stud",
  post: "post",
  girt: "girt",
  cornerPost: "cornerPost",
  header: "header",
  brace: "brace",
  knee: "knee",
  joist: "joist",
  plank: "plank",
  sillBeam: "sillBeam",
  pier: "pier",
  rafter: "rafter",
  ridge: "ridge",
  hip: "hipRafter",
  collar: "collarSize",
  ceiling: "ceilingJoist",
  fascia: "fasciaSize",
  lookout: "lookout",
  roofBoard: "roofBoard",
  siding: "sidingBoard",
  batten: "batten",
  cornerBoard: "cornerBoard",
  casing: "casing",
  stringer: "stringer",
  tread: "tread",
  lining: "lining",
  capBoard: "capBoard",
  waterTable: "waterBoard",
  frieze: "friezeBoard",
  tie: "tieBeam",
  principal: "principal",
  kingPost: "kingPost",
  strut: "strut",
  purlin: "purlin",
  bracket: "bracketSize",
};
/** The parameters that name a size, with the timber made of it. */
export const SIZES = Object.values(NAMED);

/** Which wall looks the way a side of a part does. */
export function sideName(place: Placement, side: Side): SideName {
  const out: Vec3 = side === "S" ? [0, -1, 0] : side === "E" ? [1, 0, 0] : side === "N" ? [0, 1, 0] : [-1, 0, 0];
  const [x, y] = turn(place, out);
  return y < -0.5 ? "front" : x > 0.5 ? "right" : y > 0.5 ? "back" : "left";
}
/** Left outer corner, direction along and direction out of a side of a rectangle, in its own axes. */
export function sideFrame(p: Part["p"], q: Part["q"], side: Side): { origin: Vec3; e: Vec3; n: Vec3; length: number } {
  switch (side) {
    case "S":
      return { origin: [p[0], q[0], 0], e: [1, 0, 0], n: [0, -1, 0], length: p[1] - p[0] };
    case "E":
      return { origin: [p[1], q[0], 0], e: [0, 1, 0], n: [1, 0, 0], length: q[1] - q[0] };
    case "N":
      return { origin: [p[1], q[1], 0], e: [-1, 0, 0], n: [0, 1, 0], length: p[1] - p[0] };
    case "W":
      return { origin: [p[0], q[1], 0], e: [0, -1, 0], n: [-1, 0, 0], length: q[1] - q[0] };
  }
}

/** Everything a building's frame, checks, dimensions and jigs share. Errors: stock that is not to be had. */
export function buildingLayout(v: BuildingValues, ctx: Context): BuildingLayout {
  const t = Object.fromEntries(
    Object.entries(NAMED).map(([k, name]) => [k, timberOf(String(v[name]), ctx.stock(String(v[name])))]),
  ) as unknown as Timbers;
  const mm = (x: number): number => toModel(ctx.scale, prototype(x));
  const posts = v.framing === "posts";
  const wall = posts ? t.post.v : t.stud.v;
  const plate = posts ? t.post.w : t.stud.w;
  const base = { v, ctx, mm, t, wall, plate };
  const main = mainPart(base);
  const wings = v.wings.flatMap((w, i) => (w.kind === "gable" || w.kind === "lean" ? [wingPart(base, main, i)] : []));
  const under = v.floor === "under" ? t.plank.w + t.joist.v : 0;
  const [x0, y0] = [-mm(v.length) / 2, -mm(v.width) / 2];
  const depth = mm(v.groundDepth);
  return {
    ...base,
    main,
    parts: [main, ...wings],
    partitions: partitionsOf(base, main),
    floorDepth: under,
    clad: cladThickness(v, t, mm),
    proud: Math.max(
      cladThickness(v, t, mm),
      v.waterTable ? t.waterTable.w : 0,
      v.frieze ? t.frieze.w : 0,
      v.casings ? t.casing.w : 0,
    ),
    ground: (x, y) => -depth - ((x - x0) * v.groundFall) / 100 - ((y - y0) * v.groundBack) / 100,
  };
}
/** How far the cladding stands out: a clapboard leans, so that its lower edge stands out by thickness times width over exposure more. */
function cladThickness(v: BuildingValues, t: Timbers, mm: (x: number) => number): number {
  if (v.siding === "none") return 0;
  const own =
    v.siding === "clapboard"
      ? t.siding.w * (1 + t.siding.v / Math.min(mm(v.exposure), t.siding.v * 0.95))
      : t.siding.w + (v.siding === "batten" ? t.batten.w : 0);
  return Math.max(own, v.cornerBoards ? t.cornerBoard.w : 0);
}
/** Partitions seen from the right end: they run from the front wall's inside to the back wall's. */
function partitionsOf(l: Base, main: Part): Wall[] {
  const { v, mm } = l;
  if (main.walls.length === 0) return [];
  const front = -mm(v.width) / 2 + l.wall;
  const length = mm(v.width) - 2 * l.wall;
  // under the joists of a flat roof and their ledgers
  const top = mm(v.wallHeight) - (v.roof === "flat" ? l.t.rafter.v + l.t.lookout.v : 0);
  const posts = v.framing === "posts";
  const header = posts ? l.t.girt.w : v.openingFrame === "jacks" ? l.t.header.v : l.t.stud.w;
  const room = top - l.plate * (posts ? 1 : v.topPlates) - header;
  const rank = (p: BuildingValues["partitions"][number]): number => v.partitions.filter((x) => x.at < p.at).length;
  return v.partitions.map((p, i): Wall => {
    const x = -mm(v.length) / 2 + mm(p.at) + l.wall / 2;
    const at = mm(p.doorAt) - l.wall;
    const half = mm(p.doorWidth) / 2;
    return {
      name: `partition${i + 1}`,
      side: "E",
      through: false,
      origin: [x, front, 0],
      e: [0, 1, 0],
      n: [1, 0, 0],
      length,
      from: 0,
      to: length,
      thick: l.wall,
      top,
      foot: 0,
      gaps: p.door
        ? [{ name: "doorway", door: true, from: at - half, to: at + half, sill: 0, head: Math.min(mm(DOORWAY), room) }]
        : [],
      seen: roomSeen(v, 0, rank(p) + 1) || roomSeen(v, 0, rank(p) + 2),
    };
  });
}
/** Whether anybody sees into a room: of a part, counted from the left end. */
const roomSeen = (v: BuildingValues, part: number, room: number): boolean =>
  !v.unseenRooms.some((r) => r.part === part && r.room === room);
/** How many rooms a part has. */
const roomsOf = (v: BuildingValues, part: number): number => (part === 0 ? v.partitions.length + 1 : 1);
/** Whether a wall bounds a room that is seen into. */
function boundsSeen(v: BuildingValues, part: number, looks: SideName): boolean {
  const n = roomsOf(v, part);
  const rooms = looks === "left" ? [1] : looks === "right" ? [n] : Array.from({ length: n }, (_, i) => i + 1);
  return rooms.some((r) => roomSeen(v, part, r));
}
/** Whether anybody sees a part's floor. */
export const floorSeen = (v: BuildingValues, part: string): boolean => {
  const number = part === "main" ? 0 : Number(part.replace(/\D/g, ""));
  return Array.from({ length: roomsOf(v, number) }, (_, i) => i + 1).some((r) => roomSeen(v, number, r));
};
/** Height of a partition's doorway, prototype mm: a door of 6 ft 8 in and its head jamb. */
const DOORWAY = 82 * 25.4;

type Base = Pick<BuildingLayout, "v" | "ctx" | "mm" | "t" | "wall" | "plate">;

/** The slope over an eave: its seat is as wide as the plate, or narrower so that two thirds of the rafter's depth are left. Source of the rule: common practice. */
export function slopeOf(l: Base, side: Slope["side"], rise: number, plate: number): Slope {
  const k = rise / 12;
  const depth = l.t.rafter.v;
  const { common } = rafterTable(rise);
  // the notch, square to the rafter, is seat · sin φ deep
  // and the heel bears on plates alone
  const plates = l.plate * (l.v.framing === "posts" ? 1 : l.v.topPlates);
  const seat = Math.min(l.wall, (depth / 3) * (common / rise), plates / k);
  return { side, k, seat, plate, above: birdsmouth(rise, depth, seat).above };
}

const eavesOf = (l: Base): Pick<Part, "out" | "gableOut"> => ({
  out: l.mm(l.v.overhang),
  gableOut: l.mm(l.v.gableOverhang),
});

function mainPart(l: Base): Part {
  const { v, mm } = l;
  const hip = v.roof === "hip" || v.roof === "hipdeck";
  const turned = hip ? v.width > v.length : v.ridgeAlong === "width" && v.roof !== "flat" && v.roof !== "none";
  const [a, b] = turned ? [mm(v.width), mm(v.length)] : [mm(v.length), mm(v.width)];
  const place: Placement = { quarters: turned ? 1 : 0, at: [0, 0] };
  const h = mm(v.wallHeight);
  const rise = v.rise;
  const k = rise / 12;
  const slopes: Partial<Record<Side, Slope>> = {};
  let plates: Record<Side, number> = { S: h, N: h, E: h, W: h };
  let peak: readonly [number, number] = [0, h];
  const put = (s: Slope): Slope => (slopes[s.side] = s);
  if (v.roof === "gable" || v.roof === "gambrel" || hip) {
    const s = put(slopeOf(l, "S", rise, h));
    put({ ...s, side: "N" });
    if (hip) {
      put({ ...s, side: "E" });
      put({ ...s, side: "W" });
    }
    // a gambrel's upper slope begins at the break
    const broken = v.roof === "gambrel" ? (b / 2) * (v.breakAt / 100) : b / 2;
    peak = [0, h + s.above + broken * k + (b / 2 - broken) * (v.upperRise / 12)];
  } else if (v.roof === "saltbox") {
    // the front eave is at the wall height's plate plus twice the shift's rise: the wall height is the lower one's
    const shift = mm(v.ridgeShift);
    const high = h + 2 * shift * k;
    plates = { S: high, N: h, E: h, W: h };
    const s = put(slopeOf(l, "S", rise, high));
    put({ ...s, side: "N", plate: h });
    peak = [-shift, high + s.above + (b / 2 - shift) * k];
  } else if (v.roof === "shed") {
    // it falls to the front; the back wall is the high one
    const s = put(slopeOf(l, "S", rise, h));
    // the rafter sits on the high plate from its inner face outwards
    const high = h + (b - l.wall) * k;
    plates = { S: h, N: high, E: h, W: h };
    peak = [b / 2, h + s.above + b * k];
  } else if (v.roof === "flat") {
    const top = h + mm(v.parapet);
    plates = { S: top, N: top, E: top, W: top };
  }
  const p = [-a / 2, a / 2] as const;
  const q = [-b / 2, b / 2] as const;
  const sides = v.framing === "none" ? ([] as const) : (["S", "E", "N", "W"] as const);
  const walls = sides.map((side) => wallOf(l, "main", place, p, q, side, plates[side], undefined));
  return { name: "main", place, p, q, roof: v.roof, walls, slopes, peak, valley: false, ...eavesOf(l) };
}

/** A wing against the outside of the main part: a gabled one runs out from it, a lean-to falls away from it. */
function wingPart(l: Base, main: Part, index: number): Part {
  const { v, mm } = l;
  const w = v.wings[index]!;
  const name = `wing${index + 1}`;
  const against = main.walls.find((x) => x.name === w.side)!;
  const [along, deep, h] = [mm(w.length), mm(w.depth), mm(w.height)];
  const from = mm(w.at);
  const at = (s: number, out: number): readonly [number, number] => [
    against.origin[0] + against.e[0] * s + against.n[0] * out,
    against.origin[1] + against.e[1] * s + against.n[1] * out,
  ];
  if (w.kind === "lean") {
    const place: Placement = { quarters: quartersOf(against.e), at: at(from + along / 2, 0) };
    const p = [-along / 2, along / 2] as const;
    const q = [-deep, 0] as const;
    const s = slopeOf(l, "S", v.rise, h);
    const walls = (["S", "E", "W"] as const).map((side) => wallOf(l, name, place, p, q, side, h, "N"));
    return {
      name,
      place,
      p,
      q,
      open: "N",
      against: w.side,
      roof: "lean",
      valley: false,
      walls,
      slopes: { S: s },
      peak: [0, h + s.above + deep * s.k],
      ...eavesOf(l),
    };
  }
  const place: Placement = { quarters: quartersOf(against.n), at: at(from + along / 2, 0) };
  const p = [0, deep] as const;
  const q = [-along / 2, along / 2] as const;
  const s = slopeOf(l, "S", v.rise, h);
  const walls = (["S", "E", "N"] as const).map((side) => wallOf(l, name, place, p, q, side, h, "W"));
  return {
    name,
    place,
    p,
    q,
    open: "W",
    against: w.side,
    roof: "gable",
    valley: meetsInValleys(main, against, h, from, along),
    walls,
    slopes: { S: s, N: { ...s, side: "N" } },
    peak: [0, h + s.above + (along / 2) * s.k],
    ...eavesOf(l),
  };
}

/** Whether a gabled wing's plates lie level with those of an eave of a gabled main part, so that both slopes meet in valleys. */
function meetsInValleys(main: Part, against: Wall, height: number, from: number, along: number): boolean {
  const slope = main.slopes[against.side];
  return (
    (main.roof === "gable" || main.roof === "saltbox") &&
    slope !== undefined &&
    Math.abs(slope.plate - height) < 1e-6 &&
    from >= 0 &&
    from + along <= against.length + 1e-6
  );
}

function wallOf(
  l: Base,
  part: string,
  place: Placement,
  p: Part["p"],
  q: Part["q"],
  side: Side,
  top: number,
  open: Side | undefined,
): Wall {
  const f = sideFrame(p, q, side);
  const looks = sideName(place, side);
  const through = side === "S" || side === "N";
  const name = part === "main" ? looks : `${part}-${looks}`;
  const inset = through ? 0 : l.wall;
  // the ends of a wall that meet the open side stand free
  const [left, right] = ({ S: ["W", "E"], E: ["S", "N"], N: ["E", "W"], W: ["N", "S"] } as const)[side];
  const { v } = l;
  const marked = { front: v.seenFront, right: v.seenRight, back: v.seenBack, left: v.seenLeft }[looks];
  const seen = marked && boundsSeen(v, part === "main" ? 0 : Number(part.replace(/\D/g, "")), looks);
  const below = { front: v.footFront, right: v.footRight, back: v.footBack, left: v.footLeft }[looks];
  const foot = part === "main" && hasOwnFeet(v) ? -l.mm(below) : 0;
  const number = part === "main" ? 0 : Number(part.replace(/\D/g, ""));
  const gaps = gapsOf(l, number, looks).map((g) => ({ ...g, door: g.door && foot === 0 }));
  return {
    name,
    side,
    through,
    origin: move(place, f.origin),
    e: turn(place, f.e),
    n: turn(place, f.n),
    length: f.length,
    from: left === open ? 0 : inset,
    to: f.length - (right === open ? 0 : inset),
    thick: l.wall,
    top,
    foot,
    seen,
    gaps,
  };
}
/** The rough openings in a wall of a part, from its left. */
export function gapsOf(l: Pick<BuildingLayout, "v" | "mm">, part: number, looks: SideName): Gap[] {
  const { v, mm } = l;
  return v.openings
    .flatMap((o, i): Gap[] => {
      if (o.wall !== looks || o.part !== part) return [];
      const r = roughOpening({ ...o, ...scaled(o, mm) }, v.fit);
      const at = mm(o.at);
      return [
        {
          name: `opening${i + 1}`,
          door: o.kind !== "window",
          from: at - r.width / 2,
          to: at + r.width / 2,
          sill: r.sill,
          head: r.head,
        },
      ];
    })
    .sort((a, b) => a.from - b.from);
}
const scaled = (o: BuildingValues["openings"][number], mm: (x: number) => number) => ({
  width: mm(o.width),
  height: mm(o.height),
  sill: mm(o.sill),
  lap: mm(o.lap),
});

/** How high the inside of a wall is clear of rafters, `inward` of its outside: inside a shed's high wall they hang below its plates. Never over `most`. */
export function clearInside(l: BuildingLayout, w: Wall, inward: number, most: number): number {
  const part = l.parts.find((p) => p.walls.includes(w));
  const s = part?.slopes.S;
  if (part?.roof !== "shed" || w.side !== "N" || !s) return most;
  const run = part.q[1] - part.q[0] - inward;
  return Math.min(most, s.plate + s.above + s.k * run - l.t.rafter.v * Math.hypot(1, s.k));
}

/** A point of a wall: along it from its left outer corner, in from its outside, over the floor. */
export const onWall = (w: Wall, s: number, inward: number, z: number): Vec3 => [
  w.origin[0] + w.e[0] * s - w.n[0] * inward,
  w.origin[1] + w.e[1] * s - w.n[1] * inward,
  z,
];
/** Places on centres: at multiples of the spacing from the left, the right or the middle of a length. */
export function onCentres(length: number, spacing: number, from: BuildingValues["studFrom"]): number[] {
  const out: number[] = [];
  if (from === "middle") {
    out.push(length / 2);
    for (let d = spacing; d < length / 2 - 1e-9; d += spacing) out.push(length / 2 - d, length / 2 + d);
    return out.sort((a, b) => a - b);
  }
  const n = Math.ceil(length / spacing - 1e-9);
  for (let i = 1; i < n; i++) out.push(from === "left" ? i * spacing : length - i * spacing);
  return out.sort((a, b) => a - b);
}
