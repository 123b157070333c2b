import { model, type Model, type Scale } from "../units";
import { toPrototype, type Prototype } from "../units";
import { catalogue, type SeriesId, type StockItem } from "./series";
import { SHAPES } from "./shapes";

/** A rectangular section on the model, mm, thickness ≤ width. */
export interface ModelSection {
  readonly thickness: Model;
  readonly width: Model;
}
/** What is wanted: a strip's section, or a round of that diameter. */
export interface Wanted extends ModelSection {
  readonly round?: true;
}
/** Stock that would stand in for a wanted section: the item, of how many plies, and how far off it is. */
export interface Match {
  readonly item: StockItem;
  /** 1 for the stick itself; 2 when two sticks are glued face to face. */
  readonly plies: 1 | 2;
  /** Whether the plies are stacked in the thickness or side by side in the width. */
  readonly along: "thickness" | "width";
  readonly section: ModelSection;
  readonly error: SectionError;
}
/** Real less wanted, in each direction: model mm, prototype mm, and percent of the wanted size. */
export interface SectionError {
  readonly thickness: DimensionError;
  readonly width: DimensionError;
  /** The larger of both, percent, without sign. */
  readonly worstPercent: number;
}
export interface DimensionError {
  readonly model: Model;
  readonly prototype: Prototype;
  readonly percent: number;
}

/** How far a real section is from the wanted one. */
export function sectionError(wanted: ModelSection, real: ModelSection, scale: Scale): SectionError {
  const of = (w: Model, r: Model): DimensionError => ({
    model: model(r - w),
    prototype: toPrototype(scale, model(r - w)),
    percent: ((r - w) / w) * 100,
  });
  const thickness = of(wanted.thickness, real.thickness);
  const width = of(wanted.width, real.width);
  return { thickness, width, worstPercent: Math.max(Math.abs(thickness.percent), Math.abs(width.percent)) };
}

/** The section that `plies` sticks of an item make when glued, thickness ≤ width. */
export function builtSection(item: StockItem, plies: 1 | 2, along: "thickness" | "width"): ModelSection {
  const t = item.thickness * (along === "thickness" ? plies : 1);
  const w = item.width * (along === "width" ? plies : 1);
  return { thickness: model(Math.min(t, w)), width: model(Math.max(t, w)) };
}

/** A match of a given item, single or of two plies. */
export function matchOf(
  item: StockItem,
  plies: 1 | 2,
  along: "thickness" | "width",
  wanted: ModelSection,
  scale: Scale,
): Match {
  const section = builtSection(item, plies, along);
  return { item, plies, along, section, error: sectionError(wanted, section, scale) };
}

/** How much more the width of a strip counts than its thickness: it is the face that shows. Common practice, no source. */
const FACE = 2;
/**
 * How far a section is from the wanted one to the eye: both sides count, as ratios, so that half is as far off as double,
 * and their squares are added, so that a little on both is better than much on one. The wider face counts twice; a square
 * post has no wider one. 0 is the wanted section.
 */
export function apart(e: SectionError, wanted: ModelSection): number {
  const face = wanted.width - wanted.thickness < 1e-6 ? 1 : FACE;
  return Math.hypot(Math.log(1 + e.thickness.percent / 100), face * Math.log(1 + e.width.percent / 100));
}

/**
 * Strip stock for a wanted section, nearest first by `apart`, then the smaller number of plies, then the larger section.
 * `series` limits what is offered; round stock never stands in for a strip, nor a strip for a round, and rounds come from the one series there is.
 */
export function matches(wanted: Wanted, series: readonly SeriesId[], scale: Scale, laminated = true): Match[] {
  const found: Match[] = [];
  for (const item of catalogue(scale)) {
    if (item.shape !== (wanted.round ? "round" : "strip")) continue;
    if (!wanted.round && !series.includes(item.series)) continue;
    found.push(matchOf(item, 1, "thickness", wanted, scale));
    if (wanted.round) continue;
    if (laminated) {
      found.push(matchOf(item, 2, "thickness", wanted, scale));
      if (item.width !== item.thickness) found.push(matchOf(item, 2, "width", wanted, scale));
    }
  }
  const area = (m: Match): number => m.section.thickness * m.section.width;
  const off = new Map(found.map((m) => [m, apart(m.error, wanted)]));
  return found.sort((a, b) => {
    const d = off.get(a)! - off.get(b)!;
    return (Math.abs(d) > 1e-9 ? d : 0) || a.plies - b.plies || area(b) - area(a);
  });
}

/** Shapes whose outside comes nearest to a wanted section, nearest first. They are never taken unasked: a timber has no flanges. */
export const shapeMatches = (wanted: Wanted, own: readonly StockItem[], scale: Scale): Match[] =>
  wanted.round
    ? []
    : [...SHAPES, ...own]
        .map((item) => matchOf(item, 1, "thickness", wanted, scale))
        .sort((a, b) => apart(a.error, wanted) - apart(b.error, wanted));
