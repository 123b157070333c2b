import { nominalMm } from "../../../lumber";
import { feet, inches, printFeetInches } from "../../../units";
import { type BuildingValues } from "../parameters";

export const fi = (mm: number): string => printFeetInches(mm);
/** Sizes are told to the nearest sixteenth of an inch: what is told to do is taken as enough, prototype mm. */
export const TOLD = inches(1 / 32);

export const isHip = (v: BuildingValues): boolean => v.roof === "hip" || v.roof === "hipdeck";

export const sloped = (v: BuildingValues): boolean => v.roof !== "none" && v.roof !== "flat";

export const hasGables = (v: BuildingValues): boolean => sloped(v) && !isHip(v);

/** The walls' framing, nominal prototype mm: thickness of the wall, and of what stands and lies in it. */
export function wallSizes(v: BuildingValues): { wall: number; thick: number; plates: number; beside: number } {
  const s = nominalMm(v.framing === "posts" ? v.post : v.stud);
  if (v.framing === "posts")
    return { wall: s.width, thick: s.thickness, plates: s.thickness, beside: nominalMm(v.girt).thickness };
  return {
    wall: s.width,
    thick: s.thickness,
    plates: v.topPlates * s.thickness,
    beside: (v.openingFrame === "jacks" ? 2 : 1) * s.thickness,
  };
}

/** Length of a wall and the height of its plates; undefined where a wing has none on that side. */
export function wallOfPart(v: BuildingValues, part: number, side: string): { length: number; top: number } | undefined {
  if (part === 0) return wallOf(v, side);
  const w = v.wings[part - 1];
  if (w?.kind === "bay") return bayWall(v, w, side);
  if (!w || (w.kind !== "gable" && w.kind !== "lean")) return undefined;
  const facing = { front: "back", back: "front", left: "right", right: "left" }[w.side];
  if (side === facing) return undefined;
  return { length: side === w.side ? w.length : w.depth, top: w.height };
}

const AROUND = ["front", "right", "back", "left"];
/** The wall of a bay that is called after a side: its front, or one of the slanting ones beside it. */
function bayWall(
  v: BuildingValues,
  w: BuildingValues["wings"][number],
  side: string,
): { length: number; top: number } | undefined {
  const turn = (AROUND.indexOf(side) - AROUND.indexOf(w.side) + 4) % 4;
  if (turn === 2) return undefined;
  const angle = (v.baySlant * Math.PI) / 180;
  const length = turn === 0 ? w.length - (2 * w.depth) / Math.tan(angle) : w.depth / Math.sin(angle);
  return { length, top: w.height };
}

/** Length of a wall of the main part, and the height of its plates. */
export function wallOf(v: BuildingValues, side: string): { length: number; top: number } {
  const length = side === "front" || side === "back" ? v.length : v.width;
  const turned = isHip(v) ? v.width > v.length : v.ridgeAlong === "width" && v.roof !== "flat" && v.roof !== "none";
  const eave = turned
    ? side === "right"
      ? "S"
      : side === "left"
        ? "N"
        : ""
    : side === "front"
      ? "S"
      : side === "back"
        ? "N"
        : "";
  const across = turned ? v.length : v.width;
  const k = v.rise / 12;
  let top: number = v.wallHeight;
  if (v.roof === "flat") top += v.parapet;
  if (v.roof === "saltbox" && eave === "S") top += 2 * v.ridgeShift * k;
  if (v.roof === "shed" && eave === "N") top += (across - wallSizes(v).wall) * k;
  return { length, top };
}

export function eaveSide(v: BuildingValues, side: string): boolean {
  if (isHip(v)) return true;
  const turned = v.ridgeAlong === "width";
  const eave = turned ? side === "right" || side === "left" : side === "front" || side === "back";
  return v.roof === "shed" ? eave && side !== (turned ? "left" : "back") : eave;
}

/** Whether the main roof stands on trusses and purlins. */
export const hasTrusses = (v: BuildingValues): boolean => v.roof === "gable" && v.roofFrame !== "rafters";
/** Whether a flight of steps leads up through the loft's opening. */
export const hasLoftFlight = (v: BuildingValues): boolean =>
  v.loft && v.loftStair && v.loftFlight && v.unseenRooms.every((r) => r.part !== 0) && v.framing !== "none";
/** Whether the eaves are closed from below. */
export const hasSoffit = (v: BuildingValues): boolean => v.soffit && v.fascia === "board" && v.overhang > 0;
/** How far the cladding stands out from the framing, by the names of its boards (a sheet's name is made of its real thickness, by `realSizes`): a clapboard leans by its thickness over what shows. */
export function cladDepth(v: BuildingValues): number {
  if (v.siding === "none" || v.framing === "none") return 0;
  const { thickness, width } = nominalMm(v.sidingBoard);
  const own =
    v.siding === "clapboard"
      ? thickness * (1 + width / Math.min(v.exposure, width * 0.95))
      : thickness + (v.siding === "batten" ? nominalMm(v.batten).thickness : 0);
  return Math.max(own, v.cornerBoards ? nominalMm(v.cornerBoard).thickness : 0);
}
/** Whether the main walls may begin at levels of their own: no floor or foundation carries them. */
export const hasOwnFeet = (v: BuildingValues): boolean =>
  v.framing !== "none" && v.floor !== "under" && v.foundation === "none" && !v.lined;
/** The openings of the front and back walls that a partition ends in. */
export const crossedByPartition = (v: BuildingValues, at: number): number[] =>
  v.openings.flatMap((o, n) => {
    if (o.part !== 0 || (o.wall !== "front" && o.wall !== "back")) return [];
    const middle = o.wall === "front" ? o.at : v.length - o.at;
    return Math.abs(middle - at) < o.width / 2 + wallSizes(v).wall / 2 ? [n] : [];
  });
/** How far below the floor each main wall begins. */
export const feetOf = (v: BuildingValues) =>
  [
    ["front", v.footFront],
    ["right", v.footRight],
    ["back", v.footBack],
    ["left", v.footLeft],
  ] as const;

/** How far a ridge board hangs below the plates of the gables under it, at that half span; below 0 it clears them. */
export function ridgeBelowPlates(v: BuildingValues, half: number, rise: number): number {
  const k = rise / 12;
  const ridge = nominalMm(v.ridge);
  return ridge.width + (ridge.thickness / 2) * k - half * k - nominalMm(v.rafter).width * 0.66 * Math.hypot(1, k);
}

/** How deep what lies over an opening is, nominal prototype mm. */
export const headerDepth = (v: BuildingValues): number =>
  v.framing === "posts"
    ? nominalMm(v.girt).thickness
    : v.openingFrame === "jacks"
      ? nominalMm(v.header).width
      : wallSizes(v).thick;

/** From where on up a window of the main wall stands clear of a bay's roof, with its casing and its sill; prototype mm over the floor. */
export function overBayAt(v: BuildingValues, bay: BuildingValues["wings"][number]): number {
  const k = v.rise / 12;
  const peak = bay.height + nominalMm(v.rafter).width * Math.hypot(1, k) + bay.depth * k;
  const trim = Math.max(v.casings ? nominalMm(v.casing).width : 0, wallSizes(v).thick);
  return peak + trim + inches(4);
}
/** Whether an opening stands over a bay's roof. */
export const overBay = (
  v: BuildingValues,
  bay: BuildingValues["wings"][number],
  o: BuildingValues["openings"][number],
): boolean => o.kind === "window" && o.sill - o.lap + TOLD >= overBayAt(v, bay);

/** Where the main wall is opened behind a bay, prototype mm; undefined where the room does not open into it. Nominal sizes. */
export function bayDoorway(
  v: BuildingValues,
  bay: BuildingValues["wings"][number],
): { readonly from: number; readonly to: number; readonly head: number } | undefined {
  if (!v.bayOpen || bay.kind !== "bay" || v.framing === "none" || hasOwnFeet(v)) return undefined;
  const s = wallSizes(v);
  // what holds the header stands behind the bay's own walls
  const edge = s.wall / Math.sin((v.baySlant * Math.PI) / 180) + inches(0.25);
  const [from, to] = [bay.at + edge, bay.at + bay.length - edge];
  const { top } = wallOf(v, bay.side);
  const head = Math.min(bay.height - s.plates, top - s.plates - headerDepth(v) - inches(1));
  if (to - from < feet(2) || head < feet(5)) return undefined;
  const beside = s.beside + s.thick + inches(1);
  const taken = (a: number, b: number): boolean => a < to + beside && b > from - beside;
  if (v.openings.some((o) => o.part === 0 && o.wall === bay.side && !overBay(v, bay, o) && taken(o.at - o.width / 2 - o.lap, o.at + o.width / 2 + o.lap))) return undefined; // prettier-ignore
  const along = bay.side === "front" || bay.side === "back";
  const ends = v.partitions.map((p) => (bay.side === "back" ? v.length - p.at : p.at));
  if (along && ends.some((at) => taken(at - s.wall / 2, at + s.wall / 2))) return undefined;
  return { from, to, head };
}
