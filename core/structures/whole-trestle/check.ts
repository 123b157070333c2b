import { NEAR } from "../../geometry";
import { nominalMm, parseNominal } from "../../lumber";
import { feet, inches, model, printFeetInches, toPrototype } from "../../units";
import type { Context } from "../kind";
import { timberOf } from "../timber";
import { bentCheck, bentShown } from "../trestle/check";
import { bentLayout, postAt } from "../trestle/layout";
import type { BentValues } from "../trestle/parameters";
import { bentValues, footingHeight, groundAt, LEAST_POST, radiusOf, stationsOf } from "./layout";
import { trestleSpec, type TrestleValues } from "./parameters";

const fi = (mm: number): string => printFeetInches(mm);
const SIZES = [
  "stringer",
  "corbel",
  "tie",
  "guard",
  "walkPlank",
  "bulkhead",
  "girt",
  "brace",
  "mudsill",
  "pileSize",
] as const;
/** Most bents that are framed at once: a line as long as that is several trestles. */
const MOST_BENTS = 400;
/** How far a bent of round piles may be skewed for braces to lie on the flats that are dressed for them square to it, degrees. Common practice. */
const ROUND_SKEW = 15;
/** The highest timber that is had in one piece, nominal inches. */
const MOST_SHIM = 16;

/** Why a trestle's values cannot go together, a sentence each; empty when they can. Sizes are nominal here; what real stock makes of them the findings say. */
export function trestleCheck(v: TrestleValues, context?: Context): string[] {
  const bad = SIZES.filter((k) => !parseNominal(v[k]));
  if (bad.length > 0)
    return bad.map((k) => `${trestleSpec[k].label} is “${v[k]}”, which is no nominal size; write one such as 12×12.`);
  const out: string[] = [];
  const rounds = SIZES.filter((k) => k !== "pileSize" && parseNominal(v[k])!.round);
  rounds.forEach((k) => out.push(`${trestleSpec[k].label} is “${v[k]}”; only piles may be round here.`));
  if (v.bentSet === "each" && v.bays.length === 0) return [...out, "Bay by bay needs at least one bay."];
  if (v.groundBy === "heights" && v.heights.length === 0) return [...out, "Heights chosen need at least one height."];
  if (v.groundBy === "profile" && v.profile.length === 0)
    return [...out, "The ground has no points: give it at least one, or choose the heights."];
  const stations = stationsOf(v);
  if (stations.length > MOST_BENTS)
    return [
      ...out,
      `That makes ${stations.length} bents; ${MOST_BENTS} is the most. Widen the spacing or part the trestle.`,
    ];
  const length = stations[stations.length - 1]!;
  const bays = stations.slice(1).map((s, i) => s - stations[i]!);
  const shortest = Math.max(
    feet(4.5),
    v.bentKind === "framed" && v.footing === "mudsill" ? v.mudsillLength + inches(6) : 0,
    v.corbels ? v.corbelLength + inches(6) : 0,
  );
  const short = bays.findIndex((b) => b < shortest - NEAR);
  if (short >= 0) out.push(`Bay ${short + 1} is only ${fi(bays[short]!)}; the least here is ${fi(shortest)}.`);
  const curved = v.curve !== "none";
  if (curved) {
    if (v.tangentStart + v.tangentEnd > length - feet(1))
      out.push(
        `The tangents make ${fi(v.tangentStart + v.tangentEnd)} of ${fi(length)}, which leaves no curve. Shorten them, or make the track straight.`,
      );
    const radius = radiusOf(v, context?.scale.ratio);
    if (radius !== undefined) {
      const turn = (length - v.tangentStart - v.tangentEnd) / radius;
      if (turn > (5 / 3) * Math.PI)
        out.push("The curve turns by more than 300° and would meet itself. Widen its radius or shorten the trestle.");
      const bay = Math.max(...bays);
      const room = radius - (v.tracks - 1) * v.trackCentres - v.tieLength;
      if (room < 2 * bay)
        out.push(
          `A radius of ${fi(radius)} is too sharp for bays of ${fi(bay)}: use at least ${fi(2 * bay + radius - room)}.`,
        );
    }
  } else if (v.superelevation > 0)
    out.push("Straight track has no outer rail to raise: set the superelevation to 0, or give the track a curve.");
  const plies = nominalMm(v.stringer).thickness * v.plies;
  const rail = v.gauge + inches(2.5);
  if (plies > rail - inches(1))
    out.push(`${v.plies} plies of ${v.stringer} are ${fi(plies)} wide and would meet in the middle of the track.`);
  if (v.tieLength < rail + plies)
    out.push(`Ties of ${fi(v.tieLength)} do not reach over both stringers; they need at least ${fi(rail + plies)}.`);
  if (v.tieSpacing < nominalMm(v.tie).thickness + inches(1))
    out.push(
      `Ties of ${v.tie} every ${fi(v.tieSpacing)} leave no gap; space them at least ${fi(nominalMm(v.tie).thickness + inches(1))}.`,
    );
  if (context) {
    const ply = toPrototype(context.scale, model(timberOf(v.stringer, context.stock(v.stringer)).w));
    if (v.plies * ply > rail - inches(1) && plies <= rail - inches(1))
      out.push(
        `${v.plies} plies of ${v.stringer} are ${fi(v.plies * ply)} wide in the stock chosen and would meet in the middle of the track; take fewer plies or other stock.`,
      );
    if (v.tieLength < rail + v.plies * ply - inches(0.01) && v.tieLength >= rail + plies)
      out.push(
        `Ties of ${fi(v.tieLength)} do not reach over both stringers, which are ${fi(v.plies * ply)} wide each in the stock chosen; they need at least ${fi(rail + v.plies * ply)}.`,
      );
    // of stock that is thicker than its name
    const real = toPrototype(context.scale, model(timberOf(v.tie, context.stock(v.tie)).w));
    if (v.tieSpacing < real + inches(0.25) && v.tieSpacing >= nominalMm(v.tie).thickness + inches(1))
      out.push(
        `Ties of ${v.tie} are ${fi(real)} thick in the stock chosen and every ${fi(v.tieSpacing)} leave no gap; space them at least ${fi(real + inches(1))}, or choose other stock.`,
      );
  }
  if (v.tracks > 1 && v.trackCentres < v.tieLength + inches(2))
    out.push(`Tracks ${fi(v.trackCentres)} apart have no room for ties of ${fi(v.tieLength)}.`);
  const bearing = (v.tracks - 1) * v.trackCentres + rail + plies;
  const tallest = Math.max(...heightsOf(v, stations));
  const lowest = Math.min(...heightsOf(v, stations));
  const size = v.bentKind === "pile" ? nominalMm(v.cap).width : nominalMm(v.cap).width + nominalMm(v.sill).width;
  // under a tilted cap the posts of the low side are shorter
  const tilt =
    v.superelevation > 0 && v.superBy === "tilt"
      ? (v.superelevation / rail) * (v.spacings.reduce((s, x) => s + x, 0) + feet(1))
      : 0;
  const least = size + LEAST_POST + tilt;
  if (lowest < least) {
    const at = heightsOf(v, stations).findIndex((h) => h < least);
    out.push(
      `Bent ${at + 1} would be ${fi(lowest)} high; the least is ${fi(least)}. ${v.groundBy === "profile" ? "Lower the ground there, or move the end of the trestle." : "Give it more height."}`,
    );
  }
  if (
    v.bentKind === "pile" &&
    v.braces !== "none" &&
    parseNominal(v.pileSize)!.round &&
    Math.max(Math.abs(v.skewStart), Math.abs(v.skewEnd)) > ROUND_SKEW
  )
    out.push(
      `Braces on the round piles of a bent skewed by more than ${ROUND_SKEW}° find no flat to lie on: turn the end bents less, take square piles, or leave the braces off.`,
    );
  if (curved && v.stringers && (v.skewStart !== 0 || v.skewEnd !== 0)) {
    if (v.stringerSet === "laminated")
      out.push("Laminated stringers end square to the track: square the end bents, or take straight stringers.");
  }
  const shim = v.superelevation * (1 + ((v.tracks - 1) * v.trackCentres + plies) / rail) + inches(2);
  if (v.superBy === "shims" && v.superelevation > 0 && shim > inches(MOST_SHIM))
    out.push(`The highest shims would be ${fi(shim)}, more than one timber: tilt the caps instead.`);
  if (v.bentKind === "framed" && v.footing === "pedestal" && v.pedestalTop < nominalMm(v.sill).thickness)
    out.push(`Pedestals ${fi(v.pedestalTop)} wide are narrower than the sill (${v.sill}).`);
  if (out.length > 0) return out;
  const tall = { ...bentValues(v, Math.max(tallest, feet(5))), sway: false };
  out.push(...bentCheck(tall));
  if (curved && v.superelevation > 0 && v.superBy === "tilt") out.push(...lowSide(v, tall));
  // neighbours of a skew bent have to stand clear of it at the foot of the taller
  const lay = bentLayout({ ...tall, sillSet: "overhang" });
  const foot = Math.max(lay.sillHalf, lay.capHalf);
  const last = stations.length - 1;
  for (const [deg, bay, number] of [
    [v.skewStart, stations[1]! - stations[0]!, 1],
    [v.skewEnd, stations[last]! - stations[last - 1]!, last + 1],
  ] as const) {
    const need = foot * Math.abs(Math.sin((deg * Math.PI) / 180)) * (curved ? 1.15 : 1) + feet(4);
    if (deg !== 0 && bay < need)
      out.push(
        `Bent ${number}, skewed by ${Math.abs(deg)}°, comes too near its neighbour: a bay of ${fi(bay)} should be at least ${fi(need)}.`,
      );
  }
  const skew = Math.cos((Math.max(Math.abs(v.skewStart), Math.abs(v.skewEnd)) * Math.PI) / 180);
  if (bearing / 2 / skew > lay.capHalf)
    out.push(`The stringers reach ${fi(bearing / skew)} across, past the ends of a cap of ${fi(2 * lay.capHalf)}.`);
  return out;
}

/** Whether the outer post on a tilted cap's low side still stands under it: its lower corner lies nearer the middle, and a battered post has come further out. */
function lowSide(v: TrestleValues, tall: BentValues): string[] {
  const lay = bentLayout(tall);
  const outer = lay.posts[lay.posts.length - 1]!;
  const tilt = Math.asin(Math.min(0.9, v.superelevation / (v.gauge + inches(2.5))));
  const [c, s] = [Math.cos(tilt), Math.sin(tilt)];
  const depth = lay.capTop - lay.capUnder;
  // along the cap's underside from its middle to where the post's outer side meets it
  const edge = postAt(outer, lay.capUnder, lay.capUnder) + lay.outerHalf;
  const reach = (edge + depth * s - outer.lean * depth * (1 - c)) / (c - outer.lean * s);
  const short = reach - lay.capHalf;
  if (short < NEAR) return [];
  return [
    v.capSet === "length"
      ? `On the low side of the tilted caps the outer posts reach ${fi(short)} past their ends. Make the caps at least ${fi(2 * reach)} long or move the posts in.`
      : `On the low side of the tilted caps the outer posts reach ${fi(short)} past their ends. Let the caps overhang by at least ${fi(v.capOverhang + short)}.`,
  ];
}

/** Heights of all bents at nominal sizes, near enough to say what cannot be. Prototype mm. */
function heightsOf(v: TrestleValues, stations: readonly number[]): number[] {
  const rail = v.gauge + inches(2.5);
  const depth =
    nominalMm(v.tie).width +
    nominalMm(v.stringer).width +
    (v.corbels ? nominalMm(v.corbel).width : 0) +
    (v.superelevation > 0 && v.superBy === "shims"
      ? v.superelevation * (1 + ((v.tracks - 1) * v.trackCentres) / rail)
      : 0);
  const reach = (Math.abs(v.crossfall) / 100) * (v.spacings.reduce((s, x) => s + x, 0) + feet(2));
  return stations.map((s, i) =>
    v.groundBy === "heights"
      ? v.heights[Math.min(i, v.heights.length - 1)]!
      : (v.grade / 100) * s - depth - groundAt(v.profile, s) - footingHeight(v) - (v.bentKind === "framed" ? reach : 0),
  );
}

/** Whether a parameter plays a part for these values. */
export function trestleShown(v: TrestleValues, path: string): boolean {
  const name = path.split(".")[0]!;
  const curved = v.curve !== "none";
  const framed = v.bentKind === "framed";
  switch (name) {
    case "length":
    case "spacing":
      return v.bentSet === "spacing";
    case "bays":
      return v.bentSet === "each";
    case "hand":
    case "tangentStart":
    case "tangentEnd":
    case "superelevation":
    case "stringerSet":
      return curved;
    case "modelRadius":
      return v.curve === "model";
    case "radius":
      return v.curve === "radius";
    case "degree":
      return v.curve === "degree";
    case "superBy":
      return curved && v.superelevation > 0;
    case "trackCentres":
      return v.tracks > 1;
    case "pileSize":
      return !framed;
    case "profile":
    case "crossfall":
      return v.groundBy === "profile";
    case "heights":
      return v.groundBy === "heights";
    case "footing":
    case "post":
    case "sill":
    case "sillSet":
      return framed;
    case "mudsill":
    case "mudsillLength":
      return framed && v.footing === "mudsill";
    case "pedestalTop":
    case "pedestalLeast":
    case "pedestalBatter":
      return framed && v.footing === "pedestal";
    case "girt":
      return v.girts !== "none";
    case "brace":
    case "braceFaces":
      return v.braces !== "none";
    case "plies":
    case "stringer":
    case "plyBays":
    case "corbels":
    case "ties":
      return v.stringers;
    case "laminations":
      return v.stringers && curved && v.stringerSet === "laminated";
    case "corbel":
    case "corbelLength":
      return v.stringers && v.corbels;
    case "tie":
    case "tieLength":
    case "tieSpacing":
    case "guards":
    case "walkway":
    case "refugeEvery":
    case "barrelEvery":
    case "bulkheads":
      return v.stringers && v.ties;
    case "guard":
    case "guardInset":
      return v.stringers && v.ties && v.guards;
    case "longTieEvery":
    case "walkPlanks":
      return v.stringers && v.ties && v.walkway !== "none";
    case "walkPlank":
      return v.stringers && v.ties && (v.walkway !== "none" || v.refugeEvery > 0 || v.barrelEvery > 0);
    case "bulkhead":
      return v.stringers && v.ties && v.bulkheads;
    case "swayStep":
      return v.sway;
    case "between":
      return framed;
    case "middleSill":
      return framed && v.between !== "sash";
    case "sash":
      return !framed || v.between !== "solid";
    case "sillLength":
    case "sillOverhang":
      return framed && bentShown(bentValues(v, feet(40)), path);
    default:
      return name in bentOwn ? bentShown(bentValues(v, feet(40)), path) : true;
  }
}
const bentOwn: Record<string, true> = {
  spacings: true,
  batters: true,
  capLength: true,
  capOverhang: true,
  levelOverhang: true,
  swayTop: true,
  swayBottom: true,
  swayEnd: true,
  swayBeyond: true,
  swayBrace: true,
};

/** Values out of the usual range of their parameter, for every parameter in play. */
