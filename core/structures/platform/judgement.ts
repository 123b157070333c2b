import { stairRemarks } from "../../carpentry";
import { parseNominal, sheetOf } from "../../lumber";
import { feet, model, printFeetInches, printMm, prototype, toModel, toPrototype } from "../../units";
import type { Context, Remark } from "../kind";
import { unusual } from "../unusual";
import {
  bentWide,
  flightOf,
  gapsOf,
  platformLayout,
  railHeights,
  railsOf,
  runsOf,
  type PlatformLayout,
} from "./layout";
import { LEAF_ROOM } from "./railing";
import { platformSpec, SIDES, type PlatformValues, type Side } from "./parameters";

const fi = (mm: number): string => printFeetInches(mm);
/** The least that may be left between two parts, or of one, model mm. */
const LEAST = 0.3;
const STRIPS = ["plank", "railPost", "railBar", "picket", "tread", "stairStringer", "shelterPost"] as const;
/** No flight goes on for as long as this. */
const MOST_RISERS = 150;
const SIDE_WORDS: Readonly<Record<Side, string>> = { front: "front", back: "back", left: "left end", right: "right end" }; // prettier-ignore

/** Why values cannot go together, a sentence each; what depends on the stock only with a context. */
export function platformCheck(v: PlatformValues, ctx?: Context): string[] {
  const bad = STRIPS.filter((k) => !parseNominal(v[k]) || parseNominal(v[k])!.round).map((k) => `${platformSpec[k].label} is “${v[k]}”; write a nominal size in inches such as 2×6.`); // prettier-ignore
  v.stairs.forEach((r, i) => {
    const f = flightOf(v, r);
    if (f.treads < 1) bad.push(`Stair ${i + 1} has a single riser of ${fi(f.riser)} and no tread; make its riser lower, or leave it out.`); // prettier-ignore
    if (f.risers > MOST_RISERS) bad.push(`Stair ${i + 1} would take ${f.risers} risers; make them higher.`);
  });
  if (bad.length > 0 || !ctx) return bad;
  const mm = (x: number): number => toModel(ctx.scale, prototype(x));
  const wide = bentWide(v, mm);
  const room = mm(v.length - 2 * v.margin);
  if (room < v.bents * wide + (v.bents - 1) * LEAST)
    return [`${v.bents} places with columns, ${printMm(model(wide), 2)} wide, have no room on ${printMm(model(Math.max(0, room)), 2)} between the margins; take fewer.`]; // prettier-ignore
  const edge = v.edge === "none" ? 0 : sheetOf(`sheet/${v.edge}`)!.thickness;
  const between = mm(v.depth - 2 * v.deckOver) - 2 * edge;
  if (between < v.stringers * mm(v.stringerWide) + (v.stringers - 1) * LEAST)
    return [`${v.stringers} stringers ${fi(v.stringerWide)} wide have no room on ${printMm(model(Math.max(0, between)), 2)} across; take fewer, or let the deck reach less past them.`]; // prettier-ignore
  return fitFaults(platformLayout(v, ctx), (x) => fi(toPrototype(ctx.scale, model(x))));
}
function fitFaults(l: PlatformLayout, proto: (mm: number) => string): string[] {
  const { v, timber } = l;
  const out: string[] = [];
  const say = (is: boolean, text: string): void => void (is && out.push(text));
  const [tf, tw] = [l.sheet.flange.thickness, l.sheet.web.thickness];
  for (const [name, s] of [
    ["stringer", l.stringer],
    ["girder", l.girder],
    ["column", l.column],
  ] as const) {
    say(s.high < 2 * tf + LEAST, `Two flanges of ${printMm(tf, 2)} leave no web in a ${name} of ${printMm(model(s.high), 2)}; make it larger, or its flanges thinner.`); // prettier-ignore
    say(s.wide < (s.shape === "box" ? 2 : 1) * tw + LEAST, `A ${name} ${printMm(model(s.wide), 2)} wide has no room for ${s.shape === "box" ? "two webs" : "a web"} of ${printMm(tw, 2)}; make it wider, or its webs thinner.`); // prettier-ignore
  }
  const stands = l.under.girder - l.foot;
  say(stands < 1, `Deck, stringers and girders are ${proto(l.top - l.under.girder + l.foot)} high and leave no column under a deck at ${proto(l.top)}; put the deck higher.`); // prettier-ignore
  const [from, to] = l.reach;
  const half = l.column.high / 2;
  const base = l.foot > 0 ? l.mm(v.baseOver) : 0;
  if (l.columns.length > 1) {
    const least = from + half;
    say(l.columns[0]! < least - 1e-9, `Columns ${fi(v.inset)} in from the edges stand past the girder's end; put them at least ${proto(least)} in.`); // prettier-ignore
    say(l.columns[1]! - l.columns[0]! < 2 * (half + base) + LEAST, `Columns ${fi(v.inset)} in from the edges stand in each other; put them further out, or take one.`); // prettier-ignore
  } else say(to - from < 2 * half, `The girder is shorter than the column is deep; make the platform wider.`);
  say(to - from < 2 * tw + LEAST, "The deck reaches so far past the stringers that no girder is left.");
  const plank = timber.plank;
  say(v.deck === "planks" && 2 * plank.v > l.long, `Planks ${printMm(model(plank.v), 2)} wide are too wide for it.`);
  v.stairs.forEach((r, i) => {
    const f = flightOf(v, r);
    const [rise, run] = [l.mm(f.riser), l.mm(f.tread)];
    say(timber.tread.w > rise - LEAST, `Treads ${printMm(timber.tread.w, 2)} thick are as high as the risers of stair ${i + 1}, ${fi(f.riser)}; make them thinner.`); // prettier-ignore
    say(r.rail && timber.railBar.v > Math.min(run, timber.tread.v), `Rails ${printMm(timber.railBar.v, 2)} wide are too wide for the handrails of stair ${i + 1}, whose treads are ${fi(f.tread)}.`); // prettier-ignore
    say(l.mm(r.width) < 2 * timber.stairStringer.w + LEAST, `Stair ${i + 1} is too narrow for two stringers of ${printMm(timber.stairStringer.w, 2)}.`); // prettier-ignore
  });
  railFaults(l, say);
  for (const side of SIDES) gapFaults(l, side, proto, say);
  if (l.sheltered.length > 0) shelterFaults(l, proto, say);
  return out;
}
type Say = (is: boolean, text: string) => void;

function railFaults(l: PlatformLayout, say: Say): void {
  const { v, timber } = l;
  const sides = SIDES.filter((s) => l.railed[s]);
  if (sides.length === 0) return;
  const high = l.mm(v.railHigh);
  const heights = railHeights(l);
  const pitch = (high - timber.railBar.w) / railsOf(v);
  say(heights.length > 0 && pitch < timber.railBar.v + LEAST, `${railsOf(v)} rails ${printMm(timber.railBar.v, 2)} high have no room on ${printMm(model(high), 2)} of railing; take fewer.`); // prettier-ignore
  say(high < timber.railBar.w + 1, `A railing ${fi(v.railHigh)} high has no posts.`);
  say(2 * l.railDeep + timber.railPost.w > l.deep || 2 * l.railDeep + timber.railPost.w > l.long, `Railings ${printMm(model(l.railDeep), 2)} deep have no room on a platform this narrow.`); // prettier-ignore
}
function gapFaults(l: PlatformLayout, side: Side, proto: (mm: number) => string, say: Say): void {
  const { length } = l.sides[side];
  const { v, timber } = l;
  const gaps = gapsOf(l, side);
  const words = SIDE_WORDS[side];
  gaps.forEach((g, i) => {
    say(g.from < -1e-9 || g.to > length + 1e-9, `${g.name} reaches past the ${words}, which is ${proto(length)} long.`);
    const next = gaps[i + 1];
    say(!!next && g.to > next.from - LEAST, `${g.name} and ${next?.name.toLowerCase()} are in each other on the ${words}; move one.`); // prettier-ignore
    const row = g.name.startsWith("Gate") ? v.gates[Number(g.name.slice(5)) - 1] : undefined;
    if (!row) return;
    say(row.leaf && (l.mm(row.width) < 3 * timber.railBar.v + 2 * l.mm(LEAF_ROOM) + LEAST || l.mm(v.railHigh) < 3 * timber.railBar.v + l.mm(LEAF_ROOM) + LEAST), `${g.name} has no room for a leaf of ${printMm(timber.railBar.v, 2)} rails; make it larger, or leave the leaf out.`); // prettier-ignore
    const end = side === "left" || side === "right";
    const [before, after] = side === "right" ? [l.railed.front, l.railed.back] : [l.railed.back, l.railed.front];
    say(end && ((before && g.from < l.railDeep) || (after && g.to > length - l.railDeep)), `${g.name} stands in the railing round the corner; move it in.`); // prettier-ignore
  });
}
function shelterFaults(l: PlatformLayout, proto: (mm: number) => string, say: Say): void {
  const { v, timber } = l;
  const post = timber.shelterPost;
  const inner = [l.railed.front ? l.railDeep : 0, l.deep - (l.railed.back ? l.railDeep : 0)] as const;
  say(l.posts.some((q) => q - post.v / 2 < inner[0] || q + post.v / 2 > inner[1]), `Shelter posts ${fi(v.shelterInset)} in from the edges stand in a railing or off the deck; put them further in.`); // prettier-ignore
  say(l.posts.length > 1 && l.posts[1]! - l.posts[0]! < post.v + LEAST, `Shelter posts ${fi(v.shelterInset)} in from the edges stand in each other; take one.`); // prettier-ignore
  const wide = l.mm(v.roofWide);
  say(l.posts.some((q) => Math.abs(q - l.deep / 2) + post.v / 2 > wide / 2), `A roof ${fi(v.roofWide)} wide does not reach over its posts.`); // prettier-ignore
  const ends = [l.sheltered[0]! - post.w / 2, l.sheltered.at(-1)! + post.w / 2] as const;
  const [left, right] = [-l.long / 2 + (l.railed.left ? l.railDeep : 0), l.long / 2 - (l.railed.right ? l.railDeep : 0)]; // prettier-ignore
  say(ends[0] < left || ends[1] > right, "A shelter post stands in the railing of an end; give the columns a larger margin, or the shelter fewer places."); // prettier-ignore
  const t = l.sheet.former.thickness;
  const apart = Math.min(...l.sheltered.slice(1).map((x, i) => x - l.sheltered[i]!), Infinity);
  say(apart < Math.max(t, post.w) + LEAST, "Shelter posts and formers stand in each other; take fewer places.");
  const high = l.mm(v.shelterHigh);
  say(high < 1, `A shelter ${fi(v.shelterHigh)} over the deck has no posts.`);
  const highRail = SIDES.some((s) => l.railed[s]) ? l.mm(v.railHigh) : 0;
  say(high < highRail && wide > l.deep, `The shelter's underside, ${fi(v.shelterHigh)} over the deck, is lower than the railing; put it higher.`); // prettier-ignore
  const roofs = v.pair ? l.mm(v.between) - (wide - l.deep) : Infinity;
  say(roofs < LEAST, `The roofs of both platforms reach into each other over the track; make them narrower than ${proto(l.deep + l.mm(v.between))}.`); // prettier-ignore
}

/** What is unusual or wants a second look. */
export function platformRemarks(v: PlatformValues, ctx?: Context): Remark[] {
  const out = unusual(platformSpec, v, (p) => platformShown(v, p));
  v.stairs.forEach((r, i) => {
    for (const text of stairRemarks(flightOf(v, r))) out.push({ param: `stairs.${i}.riser`, text: `Stair ${i + 1}. ${text}` }); // prettier-ignore
  });
  if (!SIDES.some((s) => s !== "front" && railedIn(v, s)) && v.height > feet(2.5))
    out.push({ param: "railBack", text: `Nothing keeps people on a deck ${fi(v.height)} over the ground: no side but the track's has a railing.`, fix: { label: "Put one along the back", value: true } }); // prettier-ignore
  if (!ctx || platformCheck(v, ctx).length > 0) return out;
  const l = platformLayout(v, ctx);
  v.gates.forEach((g, i) => {
    if (!l.railed[g.side as Side]) out.push({ param: `gates.${i}.side`, text: `Gate ${i + 1} is in the ${SIDE_WORDS[g.side as Side]}, which has no railing: it is not made.` }); // prettier-ignore
  });
  const [first, last] = l.shelterPlaces;
  if (v.shelter !== "none" && (first !== v.shelterFrom || last !== v.shelterTo))
    out.push({ param: "shelterTo", text: `The shelter would go from place ${v.shelterFrom} to place ${v.shelterTo} of ${v.bents}: it goes from ${first} to ${last}.` }); // prettier-ignore
  for (const side of SIDES) {
    const { length } = l.sides[side];
    const open = gapsOf(l, side).filter((g) => g.name.startsWith("Stair"));
    for (const g of open)
      if (l.railed[side] && (g.from < l.timber.railPost.w || g.to > length - l.timber.railPost.w))
        out.push({ param: `stairs.${Number(g.name.slice(6)) - 1}.at`, text: `${g.name} lands at the corner of the deck and leaves no railing beside it.` }); // prettier-ignore
    if (l.railed[side] && runsOf(l, side).length === 0)
      out.push({ param: "stairs", text: `What opens the ${SIDE_WORDS[side]} leaves no railing there.` });
  }
  if (l.deckThick > l.mm(v.edgeHigh) + 1e-9 && l.sheet.edge)
    out.push({ param: "edgeHigh", text: `The deck is ${printMm(model(l.deckThick), 2)} thick and its edges would be ${printMm(model(l.mm(v.edgeHigh)), 2)} high: they are made as high as the deck.` }); // prettier-ignore
  const clear = toPrototype(ctx.scale, model(l.under.girder));
  if (clear > feet(4) && clear < feet(6.5))
    out.push({ param: "height", text: `Under the girders ${fi(clear)} are clear: too low to walk under, and too high not to try.` }); // prettier-ignore
  return out;
}
const railedIn = (v: PlatformValues, s: Side): boolean => ({ front: v.railFront, right: v.railRight, back: v.railBack, left: v.railLeft })[s]; // prettier-ignore

/** Whether a parameter plays a part for these values. */
export function platformShown(v: PlatformValues, path: string): boolean {
  const [name] = path.split(".");
  const railed = SIDES.some((s) => railedIn(v, s));
  switch (name) {
    case "deckSheet":
      return v.deck === "sheet";
    case "plank":
    case "plankGap":
      return v.deck === "planks";
    case "edgeHigh":
      return v.edge !== "none";
    case "inset":
      return v.rows === "two";
    case "baseOver":
      return v.base !== "none";
    case "railing":
    case "railHigh":
    case "rails":
    case "railApart":
    case "railPost":
    case "gates":
      return railed;
    case "railBar":
      return railed || v.stairs.some((s) => s.rail);
    case "picket":
    case "picketGap":
      return railed && v.railing === "fence";
    case "tread":
    case "stairStringer":
      return v.stairs.length > 0;
    case "shelterFrom":
    case "shelterTo":
    case "shelterHigh":
    case "shelterRows":
    case "shelterPost":
    case "formerLeast":
    case "former":
    case "roof":
    case "roofWide":
    case "roofOver":
      return v.shelter !== "none";
    case "shelterInset":
      return v.shelter !== "none" && v.shelterRows === "two";
    case "slope":
      return v.shelter === "gable" || v.shelter === "butterfly";
    case "between":
      return v.pair;
    default:
      return true;
  }
}
