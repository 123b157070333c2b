import { stackOf } from "../../carpentry";
import { parseNominal } from "../../lumber";
import { model, printFeetInches, printMm, toPrototype } from "../../units";
import type { Context, Remark } from "../kind";
import { unusual } from "../unusual";
import { timberOf } from "../timber";
import { atFrame, canopyLayout, edgeSheets, onBoard, type CanopyLayout } from "./layout";
import { canopySpec, type CanopyValues } from "./parameters";

const fi = (mm: number): string => printFeetInches(mm);
/** The least that may be left of a sheet beside a hole or a notch, and between two sticks, model mm. */
const LEAST = 0.5;
const STRIPS = ["rib", "ledger", "bracket", "post"] as const;

/** Why values cannot go together, a sentence each; what depends on the stock only with a context. */
export function canopyCheck(v: CanopyValues, ctx?: Context): string[] {
  const bad = STRIPS.filter((k) => !parseNominal(v[k]) || parseNominal(v[k])!.round).map((k) => `${canopySpec[k].label} is “${v[k]}”; write a nominal size in inches such as 2×6.`); // prettier-ignore
  if (!parseNominal(v.rod)?.round) bad.push(`Rod is “${v.rod}”; write a diameter in inches such as ⌀1.5.`);
  const outermost = v.lightMargin * 2 + (v.lights > 1 ? (v.lights - 1) * v.lightSize : 0);
  if (v.lights > 0 && outermost > v.length)
    bad.push(`${v.lights} lights of ${fi(v.lightSize)} with margins of ${fi(v.lightMargin)} have no room on ${fi(v.length)}.`); // prettier-ignore
  if (bad.length > 0 || !ctx) return bad;
  const proto = (mm: number): string => fi(toPrototype(ctx.scale, model(mm)));
  const inner = v.edges === "three" ? 2 * stackOf(edgeSheets(v).map((x) => x.thickness)) : 0;
  const { scale } = ctx;
  const room = (v.length - 2 * v.margin) / scale.ratio - inner;
  const wide = Math.max(...atFrame(v).map((k) => timberOf(v[k], ctx.stock(v[k])).w));
  if (room < v.frames * wide + (v.frames - 1) * LEAST)
    return [`${v.frames} frames ${printMm(wide, 2)} wide have no room on ${printMm(room, 2)} between the margins; take fewer.`]; // prettier-ignore
  return fitFaults(canopyLayout(v, ctx), proto);
}

function fitFaults(l: CanopyLayout, proto: (mm: number) => string): string[] {
  const { v, timber } = l;
  const out: string[] = [];
  const say = (is: boolean, text: string): void => void (is && out.push(text));
  const put = l.out / l.cos;
  const half = l.long / 2 - l.ends;
  const front = l.deep - l.stack;
  say(half < 2, `The edges leave no board in ${proto(l.long)}.`);
  say(front - timber.ledger.w / l.cos - timber.rib.v * l.k < 2, `Ledger and edge leave no room for ribs in ${proto(l.deep)}.`); // prettier-ignore
  const low = onBoard(l, 0, l.deep, Math.min(0, l.board.thickness - l.edgeHigh, -timber.rib.v))[2];
  say(low < LEAST, `Its front edge would hang ${low < 0 ? `${proto(-low)} below the ground` : "on the ground"}; put the canopy higher, or let it fall less.`); // prettier-ignore
  if (v.held !== "wall") {
    const thick = { rods: timber.rod.v / 2, posts: timber.post.v / 2, brackets: timber.bracket.v }[v.held]!;
    const [least, most] = [timber.ledger.w + (v.held === "brackets" ? 3 * timber.bracket.v : thick) + LEAST, front * l.cos - thick - timber.rib.v * l.sin - LEAST]; // prettier-ignore
    say(l.out < least || l.out > most, `It may be held in from the front by ${proto(l.mm(v.depth) - most)} to ${proto(l.mm(v.depth) - least)}; ${fi(v.inset)} is ${l.out < least ? "at the ledger" : "in its front edge"}.`); // prettier-ignore
  }
  const rise = l.mm(v.rodRise);
  say(v.held === "rods" && rise < l.board.thickness * 1.2 + 2 * timber.rod.v + LEAST, `Rods that reach the wall ${fi(v.rodRise)} over the board's underside are in the board; let them reach higher.`); // prettier-ignore
  const fall = l.mm(v.bracketFall);
  say(v.held === "brackets" && l.high - fall < 0, `Brackets would reach ${proto(fall - l.high)} below the ground; make them shorter.`); // prettier-ignore
  const room = onBoard(l, 0, put, -timber.rib.v)[2] - (l.high - fall) - 2 * timber.bracket.v;
  say(v.held === "brackets" && (room < timber.bracket.v || fall < timber.ledger.v + 2 * timber.bracket.v), `Brackets that reach ${fi(v.bracketFall)} down have no room for a brace; let them reach lower.`); // prettier-ignore
  l.columns.forEach((c, i) => {
    const name = `Column ${i + 1}`;
    say(c.from < -half + LEAST || c.to > half - LEAST, `${name} reaches past the end of the board; move it in.`);
    say(c.deep / l.cos > front - LEAST, `${name} stands ${proto(c.deep)} out of the wall, through the front edge; the board is ${proto(front * l.cos)} deep.`); // prettier-ignore
    l.columns.slice(i + 1).forEach((d, k) => say(c.from < d.to + LEAST && d.from < c.to + LEAST, `${name} and column ${i + k + 2} leave nothing between them.`)); // prettier-ignore
    l.frames.forEach((x, k) => say(x > c.from - wideOf(l) / 2 - LEAST && x < c.to + wideOf(l) / 2 + LEAST, `Frame ${k + 1} stands at ${name.toLowerCase()}; change how many frames there are, or their margin.`)); // prettier-ignore
  });
  if (l.lights.length > 0) {
    const r = l.mm(v.lightSize) / 2;
    const where = l.mm(v.lightOut) / l.cos;
    const x = Math.max(...l.lights.map(Math.abs));
    say(x + r > half - LEAST, `The outer lights run out of the board's ends; give them a larger margin.`);
    say(where - r < LEAST || where + r > front - LEAST, `Lights ${fi(v.lightOut)} from the wall run out of the board, which ends ${proto(front * l.cos)} from it.`); // prettier-ignore
    const apart = l.lights.length > 1 ? l.lights[1]! - l.lights[0]! - 2 * r : LEAST;
    say(apart < LEAST, `${v.lights} lights leave ${apart > 0 ? printMm(apart, 2) : "nothing"} between them; take fewer or smaller ones.`); // prettier-ignore
    l.columns.forEach((c, i) => say(l.lights.some((y) => y + r > c.from - LEAST && y - r < c.to + LEAST) && where - r < c.deep / l.cos + LEAST, `A light stands in column ${i + 1}; move the lights out from the wall.`)); // prettier-ignore
    if (v.held === "rods")
      l.frames.forEach((f, i) => say(l.lights.some((y) => Math.hypot(y - f, where - put) < r + timber.rod.v), `Rod ${i + 1} would end in a light's hole; hold the canopy further out, or move the lights.`)); // prettier-ignore
  }
  return out;
}
/** The widest of what stands at a frame. */
const wideOf = (l: CanopyLayout): number => Math.max(...atFrame(l.v).map((k) => l.timber[k].w));

/** What is unusual or wants a second look. */
export function canopyRemarks(v: CanopyValues, ctx?: Context): Remark[] {
  const out = unusual(canopySpec, v, (p) => canopyShown(v, p));
  const other = v.prototypeHeight > 0 ? v.height - v.prototypeHeight : 0;
  if (Math.abs(other) > 1)
    out.push({
      param: "height",
      text: `It stands ${fi(Math.abs(other))} ${other > 0 ? "higher" : "lower"} than on the prototype. If that is on purpose, set this aside with the reason: it is kept with the job.`, // prettier-ignore
      fix: { label: `Set ${fi(v.prototypeHeight)}`, value: v.prototypeHeight },
    });
  if (!ctx || canopyCheck(v, ctx).length > 0) return out;
  const l = canopyLayout(v, ctx);
  const short = l.edgeHigh - l.mm(v.edgeHigh);
  if (l.edge.length > 0 && short > 0.01)
    out.push({ param: "edgeHigh", text: `The board is ${printMm(l.board.thickness, 2)} thick and the edge would be ${printMm(l.mm(v.edgeHigh), 2)} high: it is made as high as the board.` }); // prettier-ignore
  const r = l.mm(v.lightSize) / 2;
  const hit = l.lights.findIndex((x) => l.frames.some((f) => Math.abs(f - x) < r + l.timber.rib.w / 2));
  if (hit >= 0)
    out.push({ param: "lights", level: "warning", text: `Light ${hit + 1} is over a rib, which closes its hole from below. Change how many there are, or their margin.` }); // prettier-ignore
  if (l.lights.length > 0 && l.mm(v.lightOut) - r < l.timber.ledger.w)
    out.push({
      param: "lightOut",
      level: "warning",
      text: "The lights are over the ledger; move them out from the wall.",
    });
  return out;
}
/** Whether a parameter plays a part for these values. */
export function canopyShown(v: CanopyValues, path: string): boolean {
  switch (path.split(".")[0]) {
    case "edgeFace":
    case "edgeBacking":
    case "edgeHigh":
      return v.edges !== "none";
    case "inset":
      return v.held !== "wall";
    case "rodRise":
    case "rod":
      return v.held === "rods";
    case "bracketFall":
    case "bracket":
      return v.held === "brackets";
    case "post":
      return v.held === "posts";
    case "lightSize":
    case "lightMargin":
    case "lightOut":
      return v.lights > 0;
    default:
      return true;
  }
}
