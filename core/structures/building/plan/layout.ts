import type { Vec3 } from "../../../geometry";
import type { SheetMatch, TextureId } from "../../../lumber";
import { prototype, toModel } from "../../../units";
import type { Context, WallOpening } from "../../kind";
import { type Timber, timberOf } from "../../timber";
import { counting } from "../floorAlone";
import type { BuildingValues } from "../parameters";
import type { Placement } from "../../place";
import { mainPart, partitionsOf, wingPart } from "./parts";

/** The walls of a part in its own axes: eave walls looking to −q and +q, ends looking to +p and −p. */
export type Side = "S" | "E" | "N" | "W";
export const EAVES = ["S", "N"] as const;
export const ENDS = ["E", "W"] as const;

/** An opening in a wall, its heights over the floor. */
export interface Gap extends WallOpening {
  /** Behind a bay: nothing closes or cases it. */
  readonly open?: true;
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
/** How a dormer stands on the roof under it. Model mm, in the dormer's axes. */
export interface OnRoof {
  /** The side that is its front. */
  readonly front: Side;
  /** Height of the covering under it, so far level behind its front. */
  readonly surface: (behind: number) => number;
  /** The plane of that covering, a datum that keeps what lies over it. */
  readonly datum: string;
  /** Of a gabled one: how far its ridge runs in past p = 0, and the line on which its slopes meet that covering, p = x − m × inward of its eave wall. */
  readonly ridged?: { readonly reach: number; readonly x: number; readonly m: number };
  /** Of a shed dormer: how far behind its front its rafters end on their nailer. */
  readonly nailed?: number;
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
  readonly straining: Timber;
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
  /** The textured sheet of the walls, where they are clad with one, and the height that its courses are counted from. */
  readonly sheet?: SheetMatch;
  readonly courses: number;
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
  straining: "strainingBeam",
  strut: "strut",
  purlin: "purlin",
  bracket: "bracketSize",
};
/** The parameters that name a size, with the timber made of it. */
export const SIZES = Object.values(NAMED);

/** Everything a building's frame, checks, dimensions and jigs share. Errors: stock that is not to be had. */
export function buildingLayout(values: BuildingValues, ctx: Context): BuildingLayout {
  const v = counting(values);
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
  const sheet =
    v.siding === "sheet"
      ? ctx.sheet({ texture: v.sheetTexture as TextureId, pitch: prototype(v.sheetPitch) })
      : undefined;
  const clad = cladThickness(v, t, mm, sheet);
  const parts = [main, ...wings];
  return {
    ...base,
    ...(sheet ? { sheet } : {}),
    courses: Math.min(...parts.flatMap((p) => p.walls.map((w) => hungFoot({ v, t, mm, floorDepth: under }, w)))),
    main,
    parts,
    partitions: partitionsOf(base, main),
    floorDepth: under,
    clad,
    proud: Math.max(clad, v.waterTable ? t.waterTable.w : 0, v.frieze ? t.frieze.w : 0, v.casings ? t.casing.w : 0),
    ground: (x, y) => -depth - ((x - x0) * v.groundFall) / 100 - ((y - y0) * v.groundBack) / 100,
  };
}
/** How far under the floor a wall's cladding begins: no lower than there is something to hold it. */
export function hungFoot(
  { v, t, mm, floorDepth }: Pick<BuildingLayout, "v" | "t" | "mm" | "floorDepth">,
  w: Pick<Wall, "foot">,
): number {
  if (w.foot !== 0) return w.foot;
  return -Math.min(mm(v.skirt), floorDepth + (v.foundation === "none" || v.foundation === "bents" ? 0 : t.sillBeam.w));
}
/** How far the cladding stands out: a clapboard leans, so that its lower edge stands out by thickness times width over exposure more. */
function cladThickness(
  v: BuildingValues,
  t: Timbers,
  mm: (x: number) => number,
  sheet: SheetMatch | undefined,
): number {
  if (v.siding === "none") return 0;
  const own = sheet
    ? sheet.item.thickness
    : v.siding === "clapboard"
      ? t.siding.w * (1 + t.siding.v / Math.min(mm(v.exposure), t.siding.v * 0.95))
      : t.siding.w + (v.siding === "batten" ? t.batten.w : 0);
  return Math.max(own, v.cornerBoards ? t.cornerBoard.w : 0);
}
