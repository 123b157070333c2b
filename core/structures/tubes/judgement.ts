import { parseNominal, textureOf } from "../../lumber";
import { model, printFeetInches, printMm, printNumber, toPrototype } from "../../units";
import type { Context, Remark } from "../kind";
import { sheetCheck } from "../sheet/judgement";
import { unusual } from "../unusual";
import { houseValues, infillWidths, roundOnce, tubesLayout } from "./layout";
import { tubesSpec, type TubesValues } from "./parameters";

const fi = (mm: number): string => printFeetInches(mm);
/** The least that a part may be wide or high, model mm. */
const LEAST = 0.5;
/** A tube that is further off than this share of its diameter is told. Common practice. */
const FAR_OFF = 0.04;

/** Why values cannot go together, a sentence each; what depends on the pipe and the stock only with a context. */
export function tubesCheck(v: TubesValues, ctx?: Context): string[] {
  if (!parseNominal(v.hoop) || parseNominal(v.hoop)!.round) return [`Hoop is “${v.hoop}”; write a nominal size in inches such as 1×3.`]; // prettier-ignore
  if (v.pipe === "own" && 2 * v.ownWall >= v.ownDiameter) return [`A tube of ${printMm(v.ownDiameter, 1)} has no room inside walls of ${printMm(v.ownWall, 1)}.`]; // prettier-ignore
  const out: string[] = [];
  if (v.infill !== "none" && v.tubes > 1 && v.hoops > 0) out.push("Hoops go round whole tubes, which panels between them close; take the hoops or the panels off."); // prettier-ignore
  if (out.length > 0 || !ctx) return out;
  const proto = (mm: number): string => fi(toPrototype(ctx.scale, model(mm)));
  const bare = tubesLayout({ ...v, hoops: 0 }, ctx);
  const lowest = bare.high - bare.k * bare.radius;
  if (lowest < 2) return [`Tops that fall ${printNumber(v.fall, 2)} in 12 end ${proto(Math.max(0, lowest))} over the ground in front; make the tubes higher, or let them fall less.`]; // prettier-ignore
  if (v.hoops > 0) {
    const { thickness, width } = ctx.stock(v.hoop).section;
    const room = lowest - 2 * bare.mm(v.hoopMargin) - v.hoops * width;
    if (room < (v.hoops - 1) * LEAST || (v.hoops === 1 && room < 0)) return [`${v.hoops} hoops of ${printMm(width, 2)} with margins of ${fi(v.hoopMargin)} have no room on ${proto(lowest)}.`]; // prettier-ignore
    if (thickness > bare.radius / 6) return [`A hoop ${printMm(thickness, 2)} thick does not bend round ${printMm(2 * bare.radius, 1)}; take a thinner one.`]; // prettier-ignore
  }
  const l = tubesLayout(v, ctx);
  if (v.infill !== "none" && v.tubes > 1) {
    const { inside, outside, y } = infillWidths(l);
    if (y - l.infill.thickness < 0) out.push(`Panels ${fi(v.infillBack)} back from the front lie behind the middle of tubes of ${proto(2 * l.radius)}; set them forward.`); // prettier-ignore
    else if (inside < LEAST) out.push(`Panels ${fi(v.infillBack)} back would be ${printMm(Math.max(0, inside), 2)} wide; set them forward, or the tubes apart.`); // prettier-ignore
    else if ((outside - inside) / 2 > 3 * l.infill.thickness) out.push(`At the tubes' very front a panel's edges would be feathers ${printMm((outside - inside) / 2, 2)} long; set the panels back.`); // prettier-ignore
  }
  if (l.deck && v.headhouse !== "none") {
    const house = houseValues(v);
    const [x, y] = [(v.tubes - 1) * l.pitch + 2 * (l.outer + l.mm(v.deckOver)), 2 * (l.outer + l.mm(v.deckOver))]; // prettier-ignore
    for (const [name, is, may] of [["long", house.length, x], ["wide", house.width, y]] as const) // prettier-ignore
      if (l.mm(is) > may + 1e-6) out.push(`The headhouse is ${fi(is)} ${name} and the deck ${proto(may)}; make it smaller, or let the deck overhang more.`); // prettier-ignore
    out.push(...sheetCheck(house, ctx).map((s) => `Headhouse: ${s}`));
  }
  return out;
}

/** What is unusual or wants a second look. */
export function tubesRemarks(v: TubesValues, ctx?: Context): Remark[] {
  const out = unusual(tubesSpec, v, (p) => tubesShown(v, p));
  if (!ctx || tubesCheck(v, ctx).length > 0) return out;
  const l = tubesLayout(v, ctx);
  const off = l.tube.width - l.wanted;
  if (Math.abs(off) > FAR_OFF * l.wanted) {
    const makes = toPrototype(ctx.scale, model(2 * l.radius));
    out.push({ param: "diameter", text: `${l.tube.name} makes tubes of ${fi(makes)} where ${fi(v.diameter)} are wanted: ${printNumber((100 * Math.abs(off)) / l.wanted, 0)} % too ${off > 0 ? "thick" : "thin"}.`, fix: { label: `Take ${fi(makes)}`, value: Math.min(tubesSpec.diameter.max, Math.max(tubesSpec.diameter.min, makes)) } }); // prettier-ignore
  }
  const apart = l.hoop ? 2 * l.hoop.w - l.mm(v.gap) : 0;
  if (v.tubes > 1 && apart > 0.01)
    out.push({ param: "gap", text: `Hoops of two tubes lie beside each other: the tubes stand ${fi(toPrototype(ctx.scale, model(2 * l.hoop!.w)))} apart for them.` }); // prettier-ignore
  const lines = l.wrap?.item.texture;
  if (lines && textureOf(lines.id).runs === "upright") {
    const round = roundOnce(l.tube.width / 2, l.wrap!.item.thickness);
    const rest = round / lines.pitch - Math.round(round / lines.pitch);
    if (Math.abs(rest) * lines.pitch > 0.1)
      out.push({ param: "wrapPitch", text: `${printNumber(round / lines.pitch, 1)} ${textureOf(lines.id).unit}s of ${printMm(lines.pitch, 2)} go round ${printMm(round, 2)}: put the seam where a part of one does not show.` }); // prettier-ignore
  }
  return out;
}
/** Whether a parameter plays a part for these values. */
export function tubesShown(v: TubesValues, path: string): boolean {
  const several = v.tubes > 1;
  switch (path.split(".")[0]) {
    case "ownDiameter":
    case "ownWall":
      return v.pipe === "own";
    case "gap":
    case "infill":
      return several;
    case "infillBack":
    case "infillSheet":
      return several && v.infill !== "none";
    case "wrapPitch":
      return v.wrap !== "none" && !v.wrap.includes("/");
    case "hoop":
    case "hoopMargin":
      return v.hoops > 0;
    case "deck":
      return v.fall === 0;
    case "deckOver":
      return v.fall === 0 && v.deck !== "none";
    case "headhouse":
      return v.fall === 0 && v.deck !== "none";
    case "houseLength":
    case "houseWidth":
    case "houseHeight":
    case "houseFace":
    case "houseCore":
    case "houseOpenings":
      return v.fall === 0 && v.deck !== "none" && v.headhouse !== "none";
    default:
      return true;
  }
}
