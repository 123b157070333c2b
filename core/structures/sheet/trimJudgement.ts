import { sheetOf, type SheetItem } from "../../lumber";
import { model, printFeetInches, printMm, toPrototype } from "../../units";
import type { Context, Remark, WallOpening } from "../kind";
import { chimneyBrick, shaftsOf } from "./chimney";
import { guttersOf } from "./gutters";
import { slopesOf } from "./slopes";
import { onSheetWall, under, type SheetLayout, type SheetWall } from "./layout";
import type { SheetValues } from "./parameters";
import { cornerTake, fasciasOut } from "./trim";

const fi = (mm: number): string => printFeetInches(mm);
const item = (id: string): SheetItem => sheetOf(`sheet/${id}`)!;
/** The least that a strip may be, and that may be left between two, model mm. */
const LEAST = 0.2;

/** Why what is put on walls and roof in strips cannot be made, a sentence each. `whole` gives an opening with all that belongs to it. */
export function trimFaults(
  l: SheetLayout,
  ctx: Context,
  whole: (w: SheetWall, g: WallOpening) => WallOpening,
): string[] {
  const { v } = l;
  const p = (mm: number): string => fi(toPrototype(ctx.scale, model(mm)));
  const out: string[] = [];
  const say = (is: boolean, text: string): void => void (is && out.push(text));
  say(v.cornerTrim > 0 && v.quoins > 0, "Corner boards and quoins cover the same corners; leave one of them out.");
  const board = l.mm(v.cornerTrim);
  say(board > 0 && (board < LEAST || 2 * board > Math.min(l.long, l.wide) - 1), `Corner boards ${fi(v.cornerTrim)} wide meet on a wall of ${fi(Math.min(v.length, v.width))}; make them narrower.`); // prettier-ignore
  say(v.fascia > 0 && l.k > 0 && l.mm(v.fascia) < item(v.stripSheet).thickness * l.k + LEAST, `A fascia ${fi(v.fascia)} high is no higher than its bevel; make it higher.`); // prettier-ignore
  v.bands.forEach((_, i) => bandFaults(l, i, p, whole, say));
  if (l.k > 0 && v.cover !== "none") coverFaults(l, say);
  chimneyFaults(l, ctx, p, say);
  gutterFaults(l, ctx, p, whole, say);
  return out;
}
type Say = (is: boolean, text: string) => void;

/** Gutters with a band in their way; downpipes with no room, before an opening, or behind what stands out further than their gutter. */
function gutterFaults(
  l: SheetLayout,
  ctx: Context,
  p: (mm: number) => string,
  whole: (w: SheetWall, g: WallOpening) => WallOpening,
  say: Say,
): void {
  // prettier-ignore
  const { v } = l;
  for (const g of guttersOf(l, ctx)) {
    const { wall: w, pipe, strip } = g;
    const name = `The gutter of the ${w.name}`;
    v.bands.forEach((b, i) => {
      const on = b.walls === "all" || w.name === "front";
      const [out, top] = [Math.max(l.mm(b.out), item(v.stripSheet).thickness), l.mm(b.at) + (b.out > 0 ? item(v.shelfSheet).thickness : 0)]; // prettier-ignore
      say(on && out > g.out - LEAST && top > g.top - strip.v - LEAST, `${name} meets band ${i + 1}; put the band lower, or let the roof overhang more.`); // prettier-ignore
    });
    if (g.at.length === 0) continue;
    say(g.down + pipe.v / 2 > g.out + strip.w + 1e-9, `The downpipes of the ${w.name} would stand ${printMm(model(g.down + pipe.v / 2), 2)} out to clear what is behind them, past their gutter; let the bands stand out less, or take a wider gutter.`); // prettier-ignore
    say(pipe.v > strip.w + 1e-9, `Downpipes ${printMm(model(pipe.v), 2)} thick are wider than their gutter of ${printMm(model(strip.w), 2)}; take thinner ones.`); // prettier-ignore
    const low = g.turn ? g.turn[1] - (g.turn[0] - g.down) : g.top - strip.v;
    say(
      low < w.foot + 2 * pipe.v,
      `The downpipes of the ${w.name} have no room under their gutter; take thinner ones.`,
    );
    say(g.at.length > 1 && g.at[1]! - g.at[0]! < 2 * pipe.v, `Both downpipes of the ${w.name} stand in each other ${fi(v.downIn)} in from the corners; move them out.`); // prettier-ignore
    const clear = pipe.v / 2 + LEAST;
    say(g.at.some((s) => s < g.reach[0] + clear || s > g.reach[1] - clear), `The downpipes of the ${w.name} stand past the ends of their gutter; move them in.`); // prettier-ignore
    for (const s of g.at)
      for (const o of w.gaps) {
        const all = whole(w, o);
        say(s > all.from - clear && s < all.to + clear, `A downpipe ${p(Math.min(s, w.length - s))} in from the corner runs before ${o.name.replace("opening", "opening ")} of the ${w.name}; move it.`); // prettier-ignore
      }
  }
}

/** Chimneys that stand in a wall or in each other, or are too small for their plates. */
function chimneyFaults(l: SheetLayout, ctx: Context, p: (mm: number) => string, say: Say): void {
  const shafts = shaftsOf(l);
  if (shafts.length === 0) return;
  const t = chimneyBrick(l, ctx).thickness;
  const room = l.v.fit + LEAST;
  // inside the walls and clear of what stands in their corners
  const blocks = l.v.corner === "post" ? ctx.stock(l.v.cornerPost).section : ctx.stock(l.v.blocks).section;
  const corner = (l.v.corner === "post" ? 0 : l.stack) + Math.max(blocks.width, blocks.thickness);
  const side = Math.max(l.stack, corner) + room;
  shafts.forEach((s, i) => {
    const name = `Chimney ${i + 1}`;
    const [w, d] = [s.x[1] - s.x[0], s.y[1] - s.y[0]];
    say(Math.min(w, d) < 2 * t + 0.5, `${name} is ${printMm(model(Math.min(w, d)), 2)} wide and two plates of ${printMm(t, 2)} leave no hollow; make it larger.`); // prettier-ignore
    const out = Math.max(-s.x[0], s.x[1]) - (l.long / 2 - side);
    const deep = Math.max(-s.y[0], s.y[1]) - (l.wide / 2 - side);
    say(out > 0, `${name} stands ${p(out)} too near an end or past it; move it in.`);
    say(deep > 0, `${name} stands ${p(deep)} too near the ${s.y[1] > -s.y[0] ? "back" : "front"} wall or past it; move it in.`); // prettier-ignore
    shafts.slice(i + 1).forEach((o, k) => {
      const clear = 2 * (l.mm(l.v.flashing) + room);
      const apart = Math.max(o.x[0] - s.x[1], s.x[0] - o.x[1], o.y[0] - s.y[1], s.y[0] - o.y[1]);
      const reach = Math.max(clear, l.mm(l.v.corbelOut) * (l.v.chimneys[i]!.corbels + l.v.chimneys[i + k + 1]!.corbels) + LEAST); // prettier-ignore
      say(apart < reach, `${name} and chimney ${i + k + 2} are in each other with their corbels and flashing; move them apart.`); // prettier-ignore
    });
  });
}

function bandFaults(
  l: SheetLayout,
  i: number,
  p: (mm: number) => string,
  whole: (w: SheetWall, g: WallOpening) => WallOpening,
  say: Say,
): void {
  // prettier-ignore
  const { v } = l;
  const row = v.bands[i]!;
  const name = `Band ${i + 1}`;
  const [top, high, out] = [l.mm(row.at), l.mm(row.high), l.mm(row.out)];
  const t = item(v.stripSheet).thickness;
  const shelf = out > 0 ? item(v.shelfSheet).thickness : 0;
  const walls = l.walls.filter((w) => row.walls === "all" || w.name === "front");
  say(out > 0 && out < t + LEAST, `The shelf of ${name.toLowerCase()} stands ${p(out)} out and its strip is ${printMm(t, 2)} thick; let it stand further out.`); // prettier-ignore
  const lowest = Math.max(...walls.map((w) => w.foot));
  say(top - high < lowest + LEAST, `${name} reaches below the foot of its wall; put it higher.`);
  // a level strip goes no higher than the lowest top that it passes, out under an eave as far as it reaches
  const reach = Math.max(out, t);
  const ends = walls.flatMap((w) => [0, w.length].map((s) => under(l, onSheetWall(w, s, 0, 0)[1])));
  const eaves = walls.filter((w) => w.long).map((w) => under(l, onSheetWall(w, 0, -reach, 0)[1]));
  const limit = Math.min(...ends, ...eaves);
  say(top + shelf > limit + 1e-9, `${name} ends ${p(top + shelf)} over the floor and the lowest top of its walls${eaves.length > 0 && l.k > 0 ? ", out as far as it reaches," : ""} is at ${p(limit)}; put it lower.`); // prettier-ignore
  const fascia = fasciasOut(l);
  const low = Math.min(...walls.filter((w) => w.long).map((w) => under(l, onSheetWall(w, 0, -fascia.eaves, 0)[1]))) - l.mm(v.fascia); // prettier-ignore
  say(fascia.eaves > 0 && reach > fascia.eaves - t - 1e-9 && top + shelf > low, `${name} meets the fascia at the eave; let it stand out less, or put it lower.`); // prettier-ignore
  const barge = l.high - l.mm(v.fascia) * Math.hypot(1, l.k);
  say(fascia.ends > 0 && row.walls === "all" && reach > fascia.ends - t - 1e-9 && top + shelf > barge, `${name} meets the barge boards at the ends; let it stand out less, or put it lower.`); // prettier-ignore
  for (const w of walls) {
    say(w.length - 2 * cornerTake(l) < 2, `${name} has no room on the ${w.name} between what is on its corners.`);
    for (const g of w.gaps) {
      const o = whole(w, g);
      say(o.sill < top + shelf + LEAST && o.head > top - high - LEAST, `${name} runs across ${g.name.replace("opening", "opening ")} of the ${w.name}; put it higher or lower.`); // prettier-ignore
    }
  }
  v.bands.slice(0, i).forEach((other, k) => {
    const both = row.walls === "all" || other.walls === "all" || row.walls === other.walls;
    const shelfOf = other.out > 0 ? item(v.shelfSheet).thickness : 0;
    say(both && l.mm(other.at - other.high) < top + shelf && top - high < l.mm(other.at) + shelfOf, `Band ${k + 1} and band ${i + 1} are in each other; move one.`); // prettier-ignore
  });
  const length = l.long - 2 * cornerTake(l);
  const tb = item(v.bracketSheet).thickness;
  const shortest = Math.min(...walls.map((w) => w.length)) - 2 * cornerTake(l);
  const least = out > 0 && row.brackets > 0 ? Math.max(1, Math.round((row.brackets * shortest) / length)) : 0;
  say(out > 0 && (row.brackets * (tb + LEAST) > length || least * (tb + LEAST) > shortest), `${row.brackets} brackets ${printMm(tb, 2)} wide have no room on ${p(length)}; take fewer.`); // prettier-ignore
  say(out > 0 && row.brackets > 0 && (out - t) * 0.85 < 3 * LEAST, `A shelf ${p(out)} out leaves no depth for brackets; let it stand further out.`); // prettier-ignore
  if (row.dentils === 0) return;
  const [wide, td] = [l.mm(v.dentilWide), item(v.dentilSheet).thickness];
  say(l.mm(row.dentils) < wide + LEAST, `Dentils ${fi(v.dentilWide)} wide ${fi(row.dentils)} apart leave nothing between them.`); // prettier-ignore
  say(out > 0 && t + td > out + 1e-9, `Dentils ${printMm(td, 2)} thick stand out past the shelf of ${name.toLowerCase()}; make them thinner, or the shelf wider.`); // prettier-ignore
  say(shortest < wide + LEAST, `${name} has no room for dentils.`);
}
function coverFaults(l: SheetLayout, say: Say): void {
  const { v } = l;
  const t = item(v.coverSheet).thickness;
  const [slope] = slopesOf(l);
  const long = slope!.to - slope!.from;
  if (v.cover === "strips") {
    const show = l.mm(v.exposure);
    say(t > show / 2, `Strips ${printMm(t, 2)} thick show ${printMm(model(show), 2)}: they would stand steeper than they lie. Take thinner ones, or let them show more.`); // prettier-ignore
    say(show > long, `Strips that show ${fi(v.exposure)} are wider than the slope is long.`);
    say(Math.asin(Math.min(1, t / show)) > slope!.tilt - 0.02, `Strips ${printMm(t, 2)} thick that show ${printMm(model(show), 2)} would lie level or fall inwards on so flat a roof; take thinner ones.`); // prettier-ignore
  }
  if (v.cover === "seams") say(l.mm(v.seamApart) < t + 2 * LEAST || l.mm(v.seamHigh) < LEAST, `Standing seams of ${printMm(t, 2)} have no room; set them further apart, or make them higher.`); // prettier-ignore
  if (slope!.ridge && v.ridgeCap > 0) {
    const cap = l.mm(v.ridgeCap);
    say(cap > long / 2 || cap < LEAST, `A ridge cap of ${fi(v.ridgeCap)} on each side ${cap < LEAST ? "is too narrow to cut" : "covers more than half of the slope"}.`); // prettier-ignore
  }
}

/** What of the trim is not made as it was asked for. */
export function trimRemarks(l: SheetLayout): Remark[] {
  const { v } = l;
  const out: Remark[] = [];
  const t = item(v.stripSheet).thickness;
  if (v.fascia > 0 && l.k > 0)
    for (const [param, words, is] of [["overhang", "eaves", fasciasOut(l).eaves], ["gableOverhang", "ends", fasciasOut(l).ends]] as const) // prettier-ignore
      if (is === 0) out.push({ param, text: `The roof does not overhang the ${words} by as much as a board of ${printMm(t, 2)} and what is on the face take: no boards are put there.` }); // prettier-ignore
  v.bands.forEach((row, i) => {
    if (row.out === 0 && row.brackets > 0) out.push({ param: `bands.${i}.out`, text: `Band ${i + 1} has no shelf, so it has no brackets either.` }); // prettier-ignore
    if (row.out > 0 && row.brackets > 0 && v.bracketHigh > row.high) out.push({ param: "bracketHigh", text: `Brackets ${fi(v.bracketHigh)} high are made as high as band ${i + 1}, ${fi(row.high)}.`, fix: { label: `Set ${fi(row.high)}`, value: row.high } }); // prettier-ignore
    if (row.dentils > 0 && v.dentilHigh > row.high) out.push({ param: "dentilHigh", text: `Dentils ${fi(v.dentilHigh)} high are made as high as band ${i + 1}, ${fi(row.high)}.`, fix: { label: `Set ${fi(row.high)}`, value: row.high } }); // prettier-ignore
  });
  return out;
}
/** Whether a parameter of the trim plays a part; undefined where it is none of it. */
export function trimShown(v: SheetValues, name: string): boolean | undefined {
  const sloped = v.roof === "gable" || v.roof === "shed";
  const covered = sloped && v.cover !== "none";
  const has = (is: (row: SheetValues["bands"][number]) => boolean): boolean => v.bands.some(is);
  switch (name) {
    case "fascia":
    case "cover":
    case "gutters":
    case "chimneys":
      return sloped;
    case "gutter":
    case "downpipes":
      return sloped && v.gutters !== "none";
    case "downpipe":
    case "downIn":
      return sloped && v.gutters !== "none" && v.downpipes !== "none";
    case "chimneyPitch":
    case "corbelSheet":
      return sloped && v.chimneys.length > 0;
    case "corbelOut":
      return sloped && v.chimneys.some((c) => c.corbels > 0);
    case "flashing":
      return sloped && v.chimneys.length > 0 && v.cover !== "strips" && v.cover !== "seams";
    case "stripSheet":
      return v.cornerTrim > 0 || (sloped && v.fascia > 0) || v.bands.length > 0;
    case "shelfSheet":
      return has((r) => r.out > 0);
    case "bracketSheet":
    case "bracketHigh":
      return has((r) => r.out > 0 && r.brackets > 0);
    case "dentilSheet":
    case "dentilWide":
    case "dentilHigh":
      return has((r) => r.dentils > 0);
    case "coverSheet":
      return covered && (v.cover === "strips" || v.cover === "seams" || (v.roof === "gable" && v.ridgeCap > 0));
    case "exposure":
    case "coverLap":
    case "shingleWide":
      return covered && v.cover === "strips";
    case "coverPitch":
      return covered && (v.cover === "corrugated" || v.cover === "shingle");
    case "seamApart":
    case "seamHigh":
      return covered && v.cover === "seams";
    case "ridgeCap":
      return covered && v.roof === "gable";
    default:
      return undefined;
  }
}
