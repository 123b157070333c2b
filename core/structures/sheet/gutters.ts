import { sheetOf } from "../../lumber";
import type { Vec3 } from "../../geometry";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { timberOf, type Timber } from "../timber";
import { touching } from "../touching";
import { onSheetWall, under, type SheetLayout, type SheetWall } from "./layout";
import { fasciasOut, proudOn } from "./trim";

/** What stays clear between a downpipe and what is behind it, model mm. */
export const CLEAR = 0.2;
/** Where the gutter of an eave hangs, and its pipes run: distances out of the wall, heights over the floor. Model mm. */
export interface Gutter {
  readonly wall: SheetWall;
  readonly strip: Timber;
  readonly pipe: Timber;
  /** Its back, and its top. */
  readonly out: number;
  readonly top: number;
  /** Its ends, from the wall's left end. */
  readonly reach: readonly [number, number];
  /** Middles of its pipes from the wall's left end. */
  readonly at: readonly number[];
  /** Middle of the pipes out of the wall, and where an outlet turns in towards them; none where they run straight down. */
  readonly down: number;
  readonly turn: readonly [out: number, from: number] | undefined;
}
/** Both ends of an eave's pipes that are asked for. */
const ENDS: Readonly<Record<string, readonly ("left" | "right")[]>> = { none: [], left: ["left"], right: ["right"], both: ["left", "right"] }; // prettier-ignore
/** How far bands of a wall stand out with their shelves and dentils, model mm. */
function bandsOut(l: SheetLayout, w: SheetWall): number {
  const thick = (id: string): number => sheetOf(`sheet/${id}`)!.thickness;
  const rows = l.v.bands.filter((b) => b.walls === "all" || w.name === "front");
  return Math.max(0, ...rows.map((b) => Math.max(l.mm(b.out), thick(l.v.stripSheet) + (b.dentils > 0 ? thick(l.v.dentilSheet) : 0)))); // prettier-ignore
}

/** The gutters of a building: at both eaves of a gable, at the lower one of a shed. */
export function guttersOf(l: SheetLayout, ctx: Context): Gutter[] {
  const { v, mm } = l;
  if (v.gutters === "none" || l.k === 0) return [];
  const strip = timberOf(v.gutter, ctx.stock(v.gutter));
  const pipe = timberOf(v.downpipe, ctx.stock(v.downpipe));
  const past = mm(v.gableOverhang);
  return l.walls
    .filter((w) => w.long && (v.roof === "gable" || w.name === "front"))
    .map((wall): Gutter => {
      const over = mm(v.overhang);
      const out = Math.max(over, proudOn(l));
      const top = under(l, onSheetWall(wall, 0, -over, 0)[1]);
      const at = ENDS[v.downpipes]!.map((e) => (e === "left" ? mm(v.downIn) : wall.length - mm(v.downIn)));
      // as near to the wall as what is on it lets them, under the gutter
      const near = Math.max(proudOn(l), bandsOut(l, wall)) + CLEAR + pipe.v / 2;
      const middle = out + strip.w / 2;
      const fascia = fasciasOut(l).eaves > 0 ? top - mm(v.fascia) : top;
      const from = Math.min(top - strip.v, fascia) - pipe.v;
      const bent = middle - near > pipe.v;
      return { wall, strip, pipe, out, top, reach: [-past, wall.length + past], at, down: bent ? near : Math.max(near, Math.min(middle, out + strip.w - pipe.v / 2)), turn: bent ? [middle, from] : undefined }; // prettier-ignore
    });
}
/**
 * Gutters under the eaves and pipes down from them: straight where the gutter hangs over them, else an outlet, a neck at
 * 45° in towards the wall and the pipe, mitred. A pipe keeps clear of bands, sills and corner boards behind it. Model mm.
 */
export function gutters(b: Builder, l: SheetLayout, ctx: Context): void {
  for (const g of guttersOf(l, ctx)) {
    const { wall: w } = g;
    const root = `${ctx.structure}/gutter/${w.name}`;
    const at = (s: number, out: number, z: number): Vec3 => onSheetWall(w, s, -out, z);
    const middle = g.out + g.strip.w / 2;
    const strip = b.stick({ id: `${root}/gutter`, assembly: root, role: "gutter", letter: "GU", timber: g.strip, a: at(g.reach[0], middle, g.top - g.strip.v / 2), b: at(g.reach[1], middle, g.top - g.strip.v / 2), up: [0, 0, 1], square: true, loose: true }).id; // prettier-ignore
    g.at.forEach((s, i) => {
      const pipe = (name: string, role: string, from: Vec3, to: Vec3, square: readonly [boolean, boolean]): string =>
        b.stick({ id: `${root}/pipe${i + 1}/${name}`, assembly: `${root}/pipe${i + 1}`, role, letter: "DP", timber: g.pipe, a: from, b: to, up: w.e, square, loose: true }).id; // prettier-ignore
      const under = g.top - g.strip.v;
      if (!g.turn) {
        const id = pipe("down", "downpipe", at(s, g.down, w.foot), at(s, g.down, under), [true, true]);
        b.join(touching(id, strip, "end1", "-v"));
        return;
      }
      const [out, from] = g.turn;
      const low = from - (out - g.down);
      const outlet = pipe("outlet", "outlet", at(s, out, from), at(s, out, under), [false, true]);
      const neck = pipe("neck", "neck", at(s, g.down, low), at(s, out, from), [false, false]);
      const down = pipe("down", "downpipe", at(s, g.down, w.foot), at(s, g.down, low), [true, false]);
      b.join(touching(outlet, strip, "end1", "-v"));
      b.join({ kind: "mitre", id: `${outlet}>neck`, a: outlet, end: 0, b: neck, bEnd: 1, contact: "line" });
      b.join({ kind: "mitre", id: `${down}>neck`, a: down, end: 1, b: neck, bEnd: 0, contact: "line" });
    });
  }
}
