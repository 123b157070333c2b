import { NEAR, TOLERANCE } from "../../geometry";
import { model, printMm } from "../../units";
import type { Context } from "../kind";
import { timberOf } from "../timber";
import { topologyOf } from "./counters";
import { HEAD } from "./floor";
import { isEndPost, isThroughRod, lanesOf, parted } from "./lanes";
import { outlineOf, trussLayout, type TrussLayout } from "./layout";
import type { TrussValues } from "./parameters";
import type { Web } from "./topology";

/** Less of a web's thickness than this bears on no ply that it meets. Common practice, no source. */
const BEARS = 0.15;
/** Whether a web meets a chord of plies with next to nothing of its thickness. */
function slipsBetween(v: TrussValues, l: TrussLayout, w: Web): boolean {
  if (v.chordShape !== "plies" || v.kind === "plank" || v.kind === "scissors") return false;
  const thick = l.timbers[w.role].w;
  return lanesOf(v, l, w).some((y) => {
    const met = l.chord.components.reduce((s, c) => {
      const [from, to] = [Math.max(y - thick / 2, c.at[1] - c.w / 2), Math.min(y + thick / 2, c.at[1] + c.w / 2)];
      return s + Math.max(0, to - from);
    }, 0);
    return met < BEARS * thick;
  });
}

/**
 * Why what goes together by its nominal sizes does not in the strips really used, a sentence each: a chord 12 in wide
 * that the series has only as 1/4 in strip, so that diagonals beside a counter pass it by; an I whose web is less deep
 * than the laterals that lie between its flanges.
 */
export function realFaults(v: TrussValues, ctx: Context, lateralsLie: boolean): string[] {
  const out: string[] = [];
  const l = trussLayout(v, ctx);
  const { counter, diagonal, vertical } = l.timbers;
  if (v.kind !== "plank" && topologyOf(outlineOf(v)).webs.some((w) => w.lane === 1)) {
    const between = Math.max(counter.w, vertical.round ? vertical.w : 0);
    if (l.chord.w < between + diagonal.w / 2)
      out.push(
        `In the stock chosen the chords are ${printMm(model(l.chord.w))} wide, and the diagonals beside the counters stand ${printMm(model(between))} apart: they would meet an edge or miss it. Choose wider strip for the chords, or thinner for the counters, in Stock.`,
      );
  }
  const slips = l.topology.webs.find((w) => !isThroughRod(v, l, w) && slipsBetween(v, l, w));
  if (slips && out.length === 0)
    out.push(
      `In the stock chosen the ${slips.role}s, ${printMm(l.timbers[slips.role].w)} thick, would slip between the plies of the chords, or past them: take less packing, another number of plies, or thicker ${slips.role}s.`,
    );
  // with a gap nothing but the plates holds members together, and they lie flat on those alone that are of one thickness
  const posts = l.topology.chords.some((c) => c.roles.includes("end post")) || v.ends === "vertical";
  const members = [
    ...(posts ? [{ name: "end posts", timber: l.timbers.endPost, times: 1 }] : []),
    ...l.topology.webs
      .filter((w) => !isEndPost(v, l, w))
      // two that pass each other fill the thickness together
      .map((w) => ({ name: `${w.role}s`, timber: l.timbers[w.role], times: Math.abs(w.lane) === 2 ? 2 : 1 })),
  ];
  const other =
    v.gussets &&
    v.gap > 0 &&
    members.find((m) => !m.timber.round && Math.abs(m.times * m.timber.w - l.chord.w) > TOLERANCE.contact);
  if (other && out.length === 0)
    out.push(
      `In the stock chosen the ${other.name} are ${printMm(other.timber.w, 2)} thick and the chords ${printMm(model(l.chord.w), 2)}: members that stop short of each other hang on their gusset plates and have to be of one thickness. Let them meet (0), or choose other strip in Stock.`,
    );
  const ply = timberOf(v.stringer, ctx.stock(v.stringer), true).v;
  const rail = l.mm(v.gauge + HEAD);
  if (v.position !== "roof" && v.trusses && v.floor === "beams" && v.stringerPlies * ply > rail - NEAR)
    out.push(
      `In the stock chosen the stringers under a rail are ${printMm(model(v.stringerPlies * ply))} wide and the rails ${printMm(model(rail))} apart: they would meet in the middle of the track. Take fewer plies, or thinner ones.`,
    );
  const rods = l.topology.webs.filter((w) => isThroughRod(v, l, w)).flatMap((w) => lanesOf(v, l, w));
  const reach = Math.max(0, ...rods.map((y) => Math.abs(y) + vertical.w / 2));
  const cut = rods.flatMap((y) => parted(l.chord, y, vertical.w) ?? [])[0];
  // a king's go through the end posts' heads too
  const through = v.kind === "king" ? Math.min(l.chord.w, l.timbers.endPost.w) : l.chord.w;
  if (reach > through / 2 + NEAR)
    out.push(
      `In the stock chosen the rods need chords at least ${printMm(model(2 * reach))} wide${v.kind === "king" ? ", and end posts" : ""}; these are ${printMm(model(through))}. Add a ply, or take timber verticals.`,
    );
  else if (cut)
    out.push(
      `In the stock chosen a rod is ${printMm(vertical.w, 2)} thick and would cut ${cut.name === "web" ? "the web" : "a ply"} of the chord in two, ${printMm(cut.w, 2)} thick. ${cut.name === "web" ? "Take channels or boxes, which leave rods a way, or no counters." : "Take thinner rods, thicker plies, or an even number of plies, so that the rods pass between."}`,
    );
  const lateral = timberOf(v.lateral, ctx.stock(v.lateral), true);
  if (l.inner.part && lateralsLie && lateral.v > l.inner.v + NEAR)
    out.push(
      `In the stock chosen the flanges leave ${printMm(model(l.inner.v))} between them for laterals ${printMm(lateral.v)} thick: choose thinner strip for ${v.lateral} in Stock, or take boxes.`,
    );
  return out;
}
