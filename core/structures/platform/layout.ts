import { evenly, flight, type Flight } from "../../carpentry";
import { sheetOf, type SheetItem } from "../../lumber";
import { prototype, toModel } from "../../units";
import type { Context } from "../kind";
import { timberOf, type Timber } from "../timber";
import type { PlatformValues, Side } from "./parameters";

/** A built-up section: two flanges, one web (I) or two (box). Model mm. */
export interface BuiltUp {
  readonly shape: "box" | "I";
  readonly wide: number;
  readonly high: number;
}
/** A side as it is walked past outside: its left end in the platform's own axes, the directions to its right and inwards. */
export interface SideLine {
  readonly from: readonly [p: number, q: number];
  readonly right: readonly [number, number];
  readonly inward: readonly [number, number];
  readonly length: number;
}
/** What opens the railing of a side, from where to where from its left end. */
export interface Gap {
  readonly name: string;
  readonly from: number;
  readonly to: number;
}
export interface PlatformLayout {
  readonly v: PlatformValues;
  readonly mm: (prototypeMm: number) => number;
  /** Own axes: p along from the middle, q across from the front edge, z up. */
  readonly long: number;
  readonly deep: number;
  readonly top: number;
  readonly deckThick: number;
  readonly sheet: Readonly<Record<"deckSheet" | "flange" | "web" | "former" | "roof", SheetItem>> & { readonly edge: SheetItem | undefined; readonly base: SheetItem | undefined }; // prettier-ignore
  readonly timber: Readonly<Record<"plank" | "railPost" | "railBar" | "picket" | "tread" | "stairStringer" | "shelterPost", Timber>>; // prettier-ignore
  readonly stringer: BuiltUp;
  readonly girder: BuiltUp;
  readonly column: BuiltUp;
  /** Heights: the underside of the deck, of the stringers, of the girders; the top of the base plates. */
  readonly under: { readonly deck: number; readonly stringer: number; readonly girder: number };
  readonly foot: number;
  /** Across: middles of the stringers, of the columns, of the shelter's posts; the reach of the girders. */
  readonly stringers: readonly number[];
  readonly columns: readonly number[];
  readonly posts: readonly number[];
  readonly reach: readonly [number, number];
  /** Along: middles of the places with columns, and those of them with shelter posts. */
  readonly bents: readonly number[];
  readonly sheltered: readonly number[];
  /** Which of them those are, counted from 1. */
  readonly shelterPlaces: readonly [number, number];
  readonly sides: Readonly<Record<Side, SideLine>>;
  readonly railed: Readonly<Record<Side, boolean>>;
  /** What posts, rails and pickets take in from an edge. */
  readonly railDeep: number;
}
const sheet = (id: string): SheetItem => sheetOf(`sheet/${id}`)!;
const orNone = (id: string): SheetItem | undefined => (id === "none" ? undefined : sheet(id));

/** What stands widest at a place with columns, along the platform, model mm. */
export const bentWide = (v: PlatformValues, mm: (x: number) => number): number =>
  mm(Math.max(v.columnWide + (v.base === "none" ? 0 : 2 * v.baseOver), v.girderWide));

/** Where a platform's parts lie, model mm. Errors: places or stringers without room. */
export function platformLayout(v: PlatformValues, ctx: Context): PlatformLayout {
  const mm = (x: number): number => toModel(ctx.scale, prototype(x));
  const timber = (name: string): Timber => timberOf(name, ctx.stock(name));
  const [long, deep, top] = [mm(v.length), mm(v.depth), mm(v.height)];
  const sheets = { deckSheet: sheet(v.deckSheet), flange: sheet(v.flange), web: sheet(v.web), former: sheet(v.former), roof: sheet(v.roof), edge: orNone(v.edge), base: orNone(v.base) }; // prettier-ignore
  const t = { plank: timber(v.plank), railPost: timber(v.railPost), railBar: timber(v.railBar), picket: timber(v.picket), tread: timber(v.tread), stairStringer: timber(v.stairStringer), shelterPost: timber(v.shelterPost) }; // prettier-ignore
  const built = (shape: string, wide: number, high: number): BuiltUp => ({ shape: shape as BuiltUp["shape"], wide: mm(wide), high: mm(high) }); // prettier-ignore
  const stringer = built(v.stringerShape, v.stringerWide, v.stringerHigh);
  const girder = built(v.girderShape, v.girderWide, v.girderHigh);
  const column = built(v.columnShape, v.columnWide, v.columnDeep);
  const deckThick = v.deck === "sheet" ? sheets.deckSheet.thickness : t.plank.w;
  const edge = sheets.edge?.thickness ?? 0;
  const deckUnder = top - deckThick;
  const stringerUnder = deckUnder - stringer.high;
  const over = edge + mm(v.deckOver);
  const bents = evenly(long, v.bents, bentWide(v, mm), mm(v.margin)).at.map((x) => x - long / 2);
  const half = long / 2;
  const first = Math.min(v.shelterFrom, v.bents);
  const last = Math.max(first, Math.min(v.shelterTo, v.bents));
  return {
    v,
    mm,
    long,
    deep,
    top,
    deckThick,
    sheet: sheets,
    timber: t,
    stringer,
    girder,
    column,
    under: { deck: deckUnder, stringer: stringerUnder, girder: stringerUnder - girder.high },
    foot: sheets.base?.thickness ?? 0,
    stringers: evenly(deep, v.stringers, stringer.wide, over).at,
    columns: v.rows === "one" ? [deep / 2] : [mm(v.inset), deep - mm(v.inset)],
    posts: v.shelter === "none" ? [] : v.shelterRows === "one" ? [deep / 2] : [mm(v.shelterInset), deep - mm(v.shelterInset)], // prettier-ignore
    reach: [over, deep - over],
    bents,
    sheltered: v.shelter === "none" ? [] : bents.slice(first - 1, last),
    shelterPlaces: [first, last],
    sides: {
      front: { from: [-half, 0], right: [1, 0], inward: [0, 1], length: long },
      right: { from: [half, 0], right: [0, 1], inward: [-1, 0], length: deep },
      back: { from: [half, deep], right: [-1, 0], inward: [0, -1], length: long },
      left: { from: [-half, deep], right: [0, -1], inward: [1, 0], length: deep },
    },
    railed: { front: v.railFront, right: v.railRight, back: v.railBack, left: v.railLeft },
    railDeep: t.railPost.v + t.railBar.w + (v.railing === "fence" ? t.picket.w : 0),
  };
}
/** What opens the railing of a side: the stairs that land there and the gates, from left to right. A stair with handrails has its posts beside it. */
export function gapsOf(l: PlatformLayout, side: Side): Gap[] {
  const { v, mm, timber } = l;
  const of = (name: string, r: { readonly at: number; readonly width: number }, more: number): Gap => ({ name, from: mm(r.at - r.width / 2) - more, to: mm(r.at + r.width / 2) + more }); // prettier-ignore
  return [
    ...v.stairs.flatMap((r, i) => (r.side === side ? [of(`Stair ${i + 1}`, r, r.rail ? timber.railBar.w : 0)] : [])),
    ...v.gates.flatMap((r, i) => (r.side === side ? [of(`Gate ${i + 1}`, r, 0)] : [])),
  ].sort((a, b) => a.from - b.from);
}
/** The lengths of railing along a side, from where to where from its left end: between what opens it, and clear of the railings round the corners where it is an end. */
export function runsOf(l: PlatformLayout, side: Side): (readonly [number, number])[] {
  const { length } = l.sides[side];
  const end = side === "left" || side === "right";
  const [before, after] = side === "right" ? [l.railed.front, l.railed.back] : [l.railed.back, l.railed.front];
  let from = end && before ? l.railDeep : 0;
  const last = length - (end && after ? l.railDeep : 0);
  const out: (readonly [number, number])[] = [];
  for (const g of gapsOf(l, side)) {
    if (g.from - from >= l.timber.railPost.w) out.push([from, Math.min(g.from, last)]);
    from = Math.max(from, g.to);
  }
  if (last - from >= l.timber.railPost.w) out.push([from, last]);
  return out.filter(([a, b]) => b - a >= l.timber.railPost.w);
}
/** Heights of the middles of the rails under the handrail, evenly spaced between deck and handrail. */
export const railHeights = (l: PlatformLayout): number[] => {
  const high = l.mm(l.v.railHigh) - l.timber.railBar.w;
  const n = railsOf(l.v);
  return Array.from({ length: n - 1 }, (_, i) => l.top + ((i + 1) * high) / n);
};
/** How many rails there are with the handrail: pickets need one besides. */
export const railsOf = (v: PlatformValues): number => Math.max(v.rails, v.railing === "fence" ? 2 : 1);
/** The flight of a stair, prototype mm. */
export const flightOf = (v: PlatformValues, row: PlatformValues["stairs"][number]): Flight =>
  flight(v.height, row.tread, row.riser);

/** Where something along the platform that is longer than `most` is parted: over the places with columns, as far apart as there are, and not where `avoid` has its seams while another place would do. */
export function partedAt(
  bents: readonly number[],
  from: number,
  to: number,
  most: number,
  avoid: readonly number[] = [],
): readonly (readonly [number, number])[] {
  const inside = bents.filter((x) => x > from + 1 && x < to - 1);
  const out: (readonly [number, number])[] = [];
  let start = from;
  while (to - start > most) {
    const ahead = inside.filter((x) => x > start);
    const near = ahead.filter((x) => x - start <= most);
    const next = near.findLast((x) => !avoid.includes(x)) ?? near.at(-1) ?? ahead[0];
    if (next === undefined) break;
    out.push([start, next]);
    start = next;
  }
  return [...out, [start, to]];
}
/** Where parts meet. */
export const seamsOf = (parts: readonly (readonly [number, number])[]): readonly number[] => parts.slice(1).map(([at]) => at); // prettier-ignore
