import { NEAR } from "../../../geometry";
import { birdsmouth, rafterTable, roughOpening } from "../../../carpentry";
import { bayDoorway, hasOwnFeet } from "./nominal";
import type { BuildingValues, SideName } from "../parameters";
import { type Placement, move, quartersOf, turn } from "../../place";
import type { BuildingLayout, Gap, Part, Side, Slope, Wall } from "./layout";
import { sideFrame, sideName } from "./sides";
import { boundsSeen, roomSeen } from "./rooms";

/** Partitions seen from the right end: they run from the front wall's inside to the back wall's. */
export function partitionsOf(l: Base, main: Part): Wall[] {
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

export function mainPart(l: Base): Part {
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
export function wingPart(l: Base, main: Part, index: number): Part {
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
    Math.abs(slope.plate - height) < NEAR &&
    from >= 0 &&
    from + along <= against.length + NEAR
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
  const bays = v.wings.flatMap((w, i): Gap[] => {
    const doorway = part === 0 && w.side === looks ? bayDoorway(v, w) : undefined;
    if (!doorway) return [];
    const { from, to, head } = doorway;
    return [{ name: `bay${i + 1}`, door: true, from: mm(from), to: mm(to), sill: 0, head: mm(head), open: true }];
  });
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
    .concat(bays)
    .sort((a, b) => a.from - b.from);
}
const scaled = (o: BuildingValues["openings"][number], mm: (x: number) => number) => ({
  width: mm(o.width),
  height: mm(o.height),
  sill: mm(o.sill),
  lap: mm(o.lap),
});
