import { chooseStock, matches, matchOf, nearestTube, parseNominal, sheetOf, SHEETS, shapeOf, stockItem, tubeOf, wantedSection, type StockItem } from "../lumber"; // prettier-ignore
import { kindOf } from "../structures";
import { model, printMm, scaleLabel, type Scale } from "../units";
import type { JobDoc, VariantDoc } from "./document";
import { scaleOf } from "../units";

/** A job in another scale, and what had to give: a sentence each. */
export interface Rescaled {
  readonly doc: JobDoc;
  readonly said: readonly string[];
}
/** Parameters that are a length of the model and grow with it; the others are of the hand, the glue and the machine, which do not: fits, play, kerfs, sizes of sheets as sold. */
const GROWS = new Set(["modelRadius", "roofSheet", "ownDiameter", "ownWall"]);
/** No more digits than a length has, so that there and back again is where one began. */
const tidy = (x: number): number => Number(x.toPrecision(12));
const mm = (x: number, decimals = 2): string => printMm(model(x), decimals);

/**
 * The same structures in another scale: prototype sizes stay, and with them every joint; what is chosen of stock is chosen
 * anew of the same series, sheets by their thickness, and lengths of the model (places, a curve's radius, a pipe) grow with
 * it. What of the hand and the machine is (kerf, fits, stock at hand) stays. `said` tells what is not the same.
 */
export function rescaled(doc: JobDoc, to: Scale): Rescaled {
  const from = scaleOf(doc.brief.scale.id, doc.brief.scale.ratio);
  const f = from.ratio / to.ratio;
  const said: string[] = [];
  if (Math.abs(f - 1) < 1e-12 && doc.brief.scale.id === to.id) return { doc, said };
  const next = structuredClone(doc);
  next.brief.scale = { id: to.id, ratio: to.ratio };
  if (doc.brief.spotLength > 0 || doc.brief.spotDepth > 0) said.push(`The spot stays as it was measured: ${mm(doc.brief.spotLength, 0)} × ${mm(doc.brief.spotDepth, 0)}.`); // prettier-ignore
  next.stock.choices = choices(doc, from, to, said);
  for (const s of next.structures) {
    if (s.place) s.place = { ...s.place, x: tidy(s.place.x * f), y: tidy(s.place.y * f), z: tidy(s.place.z * f) };
    for (const v of s.variants) variant(s.kind, s.name, v, f, said);
  }
  for (const t of next.spot?.tracks ?? []) {
    [t.x, t.y, t.rail] = [tidy(t.x * f), tidy(t.y * f), tidy(t.rail * f)];
    for (const p of t.pieces) {
      p.length = tidy(p.length * f);
      if (p.radius !== undefined) p.radius = tidy(p.radius * f);
      if (p.ease !== undefined) p.ease = tidy(p.ease * f);
    }
  }
  for (const t of next.spot?.things ?? []) for (const k of ["x", "y", "length", "depth", "low", "high"] as const) t[k] = tidy(t[k] * f); // prettier-ignore
  for (const p of (next.spot?.things ?? []).flatMap((t) => t.parts ?? [])) {
    [p.low, p.high] = [tidy(p.low * f), tidy(p.high * f)];
    p.ring = p.ring.map(([x, y]) => [tidy(x * f), tidy(y * f)]);
  }
  if (next.build?.fasteners.length)
    said.push("Pins, screws and magnets keep their sizes: look whether they still fit.");
  return { doc: next, said };
}

/** Makes a document another, leaf by leaf: what is the same stays the same object, so that an edit says only what it changed. */
export function becomes(target: object, source: object): void {
  const [t, s] = [target as Record<string, unknown>, source as Record<string, unknown>];
  for (const k of Object.keys(t)) if (!(k in s)) delete t[k];
  for (const [k, v] of Object.entries(s)) {
    const old = t[k];
    const both = typeof v === "object" && v !== null && typeof old === "object" && old !== null && Array.isArray(v) === Array.isArray(old); // prettier-ignore
    if (both && !(Array.isArray(v) && (old as unknown[]).length !== v.length)) becomes(old as object, v);
    else if (old !== v) t[k] = v;
  }
}

/** What stock is chosen in the new scale: of the same series the nearest; what is one's own, a shape or ripped is left to the nearest. */
function choices(doc: JobDoc, from: Scale, to: Scale, said: string[]): JobDoc["stock"]["choices"] {
  const out: JobDoc["stock"]["choices"] = {};
  for (const [name, c] of Object.entries(doc.stock.choices)) {
    const n = parseNominal(name);
    const old = n ? stockItem(from, c.item) : undefined;
    if (!n || !old) {
      said.push(`${name} is left to the nearest sheet: ${sheetOf(c.item)?.name ?? c.item} has another pitch in ${scaleLabel(to)}.`); // prettier-ignore
      continue;
    }
    // scale lumber is made for each scale
    if (old.series === "scale") {
      out[name] = c;
      continue;
    }
    const wanted = wantedSection(n, doc.stock.milling, to);
    const own = shapeOf(old.id) === undefined && old.series !== "own" && old.series !== "tube" && stockItem(to, old.id) !== undefined; // prettier-ignore
    const best: StockItem | undefined = own && !old.id.startsWith("strip/") ? matches(wanted, [old.series], to, false)[0]?.item : undefined; // prettier-ignore
    if (!best) {
      const near = chooseStock(n, name, { ...doc.stock, choices: {} }, to);
      said.push(`${name} was cut from ${old.name}; in ${scaleLabel(to)} it is left to the nearest, ${near.item.name}.`);
      continue;
    }
    const was = matchOf(old, c.plies, c.along, wantedSection(n, doc.stock.milling, from), from).error.worstPercent;
    const is = matchOf(best, 1, "thickness", wanted, to).error.worstPercent;
    out[name] = { item: best.id, plies: 1, along: "thickness" };
    if (best.id !== old.id) said.push(`${name} is cut from ${best.name}, ${is.toFixed(1)} % off, where it was ${old.name}, ${was.toFixed(1)} % off.`); // prettier-ignore
  }
  return out;
}

function variant(kind: string, name: string, v: VariantDoc, f: number, said: string[]): void {
  const { spec } = kindOf(kind);
  for (const [key, value] of Object.entries(v.params)) {
    const p = spec[key];
    if (!p) continue;
    if (GROWS.has(key) && p.type === "number" && typeof value === "number") {
      const grown = tidy(Math.min(p.max, Math.max(p.min, value * f)));
      if (Math.abs(grown - value * f) > 1e-6) said.push(`${name}: ${p.label.toLowerCase()} would be ${mm(value * f)}; ${mm(grown)} is what there is.`); // prettier-ignore
      v.params[key] = grown;
    }
    if (p.type === "choice" && p.own === "sheet" && typeof value === "string") v.params[key] = sheetOfScale(name, p.label, value, f, said); // prettier-ignore
  }
  const tube = typeof v.params.pipe === "string" ? tubeOf(`tube/${v.params.pipe}`) : undefined;
  if (tube) {
    const near = nearestTube(tube.width * f);
    v.params.pipe = near.id.slice("tube/".length);
    if (Math.abs(near.width / (tube.width * f) - 1) > 0.02) said.push(`${name}: the pipe is ${near.name}, ${mm(near.width, 1)} outside, where ${mm(tube.width * f, 1)} would be the same.`); // prettier-ignore
  }
  for (const o of Object.values(v.overrides)) if (o.ends) o.ends = [tidy(o.ends[0] * f), tidy(o.ends[1] * f)];
}
/** The plain sheet of the same material that is nearest to a thickness that has grown, by ratio. */
function sheetOfScale(name: string, label: string, value: string, f: number, said: string[]): string {
  const old = sheetOf(`sheet/${value}`);
  if (!old) return value;
  const wanted = old.thickness * f;
  const off = (t: number): number => Math.abs(Math.log(t / wanted));
  const [best] = SHEETS.filter((s) => !s.texture && s.material === old.material).sort((a, b) => off(a.thickness) - off(b.thickness)); // prettier-ignore
  if (!best || best.id === old.id) return value;
  if (off(best.thickness) > 0.02) said.push(`${name}: ${label.toLowerCase().replace(/ of$/, "")}: ${best.name}, ${mm(best.thickness)}, where ${mm(wanted)} would be the same.`); // prettier-ignore
  return best.id.slice("sheet/".length);
}
