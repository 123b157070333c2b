import { evenly, stackOf } from "../../carpentry";
import { addScaled, type Vec3 } from "../../geometry";
import { sheetOf, type SheetItem } from "../../lumber";
import { prototype, toModel } from "../../units";
import type { Context } from "../kind";
import { timberOf, type Timber } from "../timber";
import type { CanopyValues } from "./parameters";

export interface CanopyLayout {
  readonly v: CanopyValues;
  readonly mm: (prototypeMm: number) => number;
  readonly long: number;
  readonly high: number;
  /** Fall per unit of depth, and the sine and cosine of its angle. */
  readonly k: number;
  readonly sin: number;
  readonly cos: number;
  /** Along the slope, from the wall to the outside of the front edge. */
  readonly deep: number;
  readonly board: SheetItem;
  /** The edge's sheets from the outside in; none where no edge is covered. */
  readonly edge: readonly SheetItem[];
  readonly stack: number;
  /** What the board's ends give up to their covers; its front gives up the stack. */
  readonly ends: number;
  readonly edgeHigh: number;
  /** Level, from the wall to the middle of what holds it. */
  readonly out: number;
  readonly timber: Readonly<Record<"rib" | "ledger" | "rod" | "bracket" | "post", Timber>>;
  /** Where frames and lights stand, from the canopy's middle. */
  readonly frames: readonly number[];
  readonly lights: readonly number[];
  readonly columns: readonly { readonly from: number; readonly to: number; readonly deep: number }[];
}

const sheet = (id: string): SheetItem => sheetOf(`sheet/${id}`)!;
/** The sheets of a canopy's edge from the outside in. */
export const edgeSheets = (v: CanopyValues): readonly SheetItem[] =>
  v.edges === "none" ? [] : [sheet(v.edgeFace), ...(v.edgeBacking === "none" ? [] : [sheet(v.edgeBacking)])];
/** What stands at each frame. */
export const atFrame = (v: CanopyValues): readonly ("rib" | "bracket" | "post" | "rod")[] => ["rib", ...HELD_BY[v.held as keyof typeof HELD_BY]]; // prettier-ignore
const HELD_BY = { rods: ["rod"], brackets: ["bracket"], posts: ["post"], wall: [] } as const;
/** Where a canopy's parts lie: the wall is y = 0, the canopy in front of it, x along it from its middle, z up from the ground. Model mm. Errors: frames or lights without room. */
export function canopyLayout(v: CanopyValues, ctx: Context): CanopyLayout {
  const mm = (x: number): number => toModel(ctx.scale, prototype(x));
  const timber = (name: string): Timber => timberOf(name, ctx.stock(name));
  const k = v.fall / 12;
  const cos = 1 / Math.hypot(1, k);
  const edge = edgeSheets(v);
  const stack = stackOf(edge.map((x) => x.thickness));
  const ends = v.edges === "three" ? stack : 0;
  const long = mm(v.length);
  const timbers = { rib: timber(v.rib), ledger: timber(v.ledger), rod: timber(v.rod), bracket: timber(v.bracket), post: timber(v.post) }; // prettier-ignore
  const spread = (length: number, n: number, width: number, margin?: number): readonly number[] => n === 0 ? [] : evenly(length, n, width, margin).at.map((x) => x - length / 2); // prettier-ignore
  return {
    v,
    mm,
    long,
    high: mm(v.height),
    k,
    sin: k * cos,
    cos,
    deep: mm(v.depth) / cos,
    board: sheet(v.board),
    edge,
    stack,
    ends,
    edgeHigh: Math.max(mm(v.edgeHigh), sheet(v.board).thickness),
    out: mm(v.depth - v.inset),
    timber: timbers,
    frames: spread(long - 2 * ends, v.frames, Math.max(...atFrame(v).map((k) => timbers[k].w)), mm(v.margin)),
    lights: spread(long, v.lights, 0, v.lightMargin > 0 ? mm(v.lightMargin) : undefined),
    columns: v.columns.map((c) => ({ from: mm(c.at - c.width / 2) - long / 2, to: mm(c.at + c.width / 2) - long / 2, deep: mm(c.deep) })), // prettier-ignore
  };
}
/** Away from the wall along the slope, and square to the board upwards. */
export const outwards = (l: CanopyLayout): Vec3 => [0, -l.cos, -l.sin];
export const upwards = (l: CanopyLayout): Vec3 => [0, -l.sin, l.cos];
/** A point by its place along, out from the wall along the slope, and over the board's underside. */
export const onBoard = (l: CanopyLayout, x: number, out: number, over: number): Vec3 =>
  addScaled(addScaled([x, 0, l.high], outwards(l), out), upwards(l), over);
/** Where a plumb line in the wall crosses a height over the board's underside: how far out along the slope. */
export const atWall = (l: CanopyLayout, over: number): number => -over * l.k;
/** The parts of the ledger's length that no column takes, from where to where. */
export function between(l: CanopyLayout): readonly (readonly [number, number])[] {
  const half = l.long / 2 - l.ends;
  let from = -half;
  const out: (readonly [number, number])[] = [];
  for (const c of [...l.columns].sort((a, b) => a.from - b.from)) {
    if (c.from > from) out.push([from, Math.min(c.from, half)]);
    from = Math.max(from, c.to);
  }
  if (from < half) out.push([from, half]);
  return out;
}
