import { ownItem } from "./own";
import { SHAPES, shapeMaterial, shapeOf, type Profile } from "./shapes";
import { sheetOf } from "./sheets";
import { strippedItem } from "./stripped";
import { tubeOf, TUBES } from "./tubes";
import { model, MM_PER_INCH, printFraction, type Model, type Scale } from "../units";

/** Counts up whenever sizes or lengths of the series of sticks or sheets change, so that an issue knows what it was made from. */
export const CATALOGUE_VERSION = 1;

export type SeriesId = "scale" | "inch" | "metric" | "styrene" | "round" | "tube" | "shape" | "own";
/** One thing that is sold: a stick of a series, its section and the lengths it comes in, model mm. */
export interface StockItem {
  readonly id: string;
  readonly series: SeriesId;
  readonly name: string;
  readonly shape: "strip" | "round";
  readonly thickness: Model;
  readonly width: Model;
  readonly lengths: readonly Model[];
  /** Of what is milled to a shape: thickness and width are those of the box round it. */
  readonly profile?: Profile;
}
export interface Series {
  readonly id: SeriesId;
  readonly name: string;
  readonly material: "wood" | "styrene" | "wood or styrene";
}

/** The generic series. Sizes and lengths are common practice. */
export const SERIES: readonly Series[] = [
  { id: "scale", name: "Scale lumber", material: "wood" },
  { id: "inch", name: "Strip wood, inch fractions", material: "wood" },
  { id: "metric", name: "Strip wood, metric", material: "wood" },
  { id: "styrene", name: "Styrene strip, inch thousandths", material: "styrene" },
  { id: "round", name: "Round stock", material: "wood or styrene" },
  { id: "tube", name: "Tube and pipe", material: "styrene" },
  { id: "shape", name: "Shapes: I, H, channel, angle", material: "styrene" },
  { id: "own", name: "Sizes of one's own", material: "wood or styrene" },
];

const SCALE_INCHES = [1, 2, 3, 4, 6, 8, 10, 12, 14, 16, 18];
const SIXTY_FOURTHS = [2, 3, 4, 5, 6, 8, 10, 12, 14, 16, 20, 24, 32];
const METRIC = [0.5, 1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12];
const THOUSANDTHS = [10, 15, 20, 30, 40, 60, 80, 100, 125, 156, 188, 250];
const ROUND_THOUSANDTHS = [20, 25, 30, 35, 40, 47, 62, 80, 93, 100, 125, 156, 187, 250, 312, 375];

const pairs = (sizes: readonly number[]): [number, number][] =>
  sizes.flatMap((t, i) => sizes.slice(i).map((w): [number, number] => [t, w]));
const inch = (n: number): Model => model(n * MM_PER_INCH);
const thou = (n: number): string => `.${String(n).padStart(3, "0")}`;

/** What lists call stock that is not a stick: "sheet", the name of a sheet that is sold, "casting or block"; undefined for a stick. */
export const otherStock = (id: string): string | undefined =>
  id === "cast" ? "casting or block" : id === "sheet" ? "sheet" : sheetOf(id)?.name;

/** Everything the series of sticks offer at a scale, in a fixed order. Lengths are the usual ones (common practice). */
export const catalogue = (scale: Scale): readonly StockItem[] => offeredAt(scale).all;
interface Offered {
  readonly all: readonly StockItem[];
  readonly byId: ReadonlyMap<string, StockItem>;
}
const offered = new Map<string, Offered>();
function offeredAt(scale: Scale): Offered {
  const key = `${scale.id} ${scale.ratio}`;
  let found = offered.get(key);
  if (!found) {
    const all = offer(scale);
    found = { all, byId: new Map(all.map((i) => [i.id, i])) };
  }
  // of the scales asked for last
  offered.delete(key);
  offered.set(key, found);
  if (offered.size > 8) offered.delete(offered.keys().next().value!);
  return found;
}
function offer(scale: Scale): readonly StockItem[] {
  const scaleLumber = pairs(SCALE_INCHES).map(([t, w]): StockItem => ({
    id: `scale/${t}x${w}`,
    series: "scale",
    name: `Scale lumber, ${scale.id === "custom" ? `1:${scale.ratio}` : scale.name} ${t}×${w}`,
    shape: "strip",
    thickness: model((t * MM_PER_INCH) / scale.ratio),
    width: model((w * MM_PER_INCH) / scale.ratio),
    lengths: [inch(11), inch(14)],
  }));
  const strip = (
    series: SeriesId,
    size: [number, number],
    toMm: (n: number) => Model,
    label: (n: number) => string,
    lengths: readonly Model[],
    unit: string,
  ): StockItem => ({
    id: `${series}/${size[0]}x${size[1]}`,
    series,
    name: `${series === "styrene" ? "Styrene strip" : "Strip wood"} ${label(size[0])} × ${label(size[1])}${unit}`,
    shape: "strip",
    thickness: toMm(size[0]),
    width: toMm(size[1]),
    lengths,
  });
  return [
    ...scaleLumber,
    ...pairs(SIXTY_FOURTHS).map((s) =>
      strip(
        "inch",
        s,
        (n) => inch(n / 64),
        (n) => printFraction(n, 64),
        [inch(24), inch(36)],
        " in",
      ),
    ),
    ...pairs(METRIC).map((s) => strip("metric", s, model, String, [model(1000)], " mm")),
    ...pairs(THOUSANDTHS).map((s) => strip("styrene", s, (n) => inch(n / 1000), thou, [inch(14)], " in")),
    ...ROUND_THOUSANDTHS.map((d): StockItem => ({
      id: `round/${d}`,
      series: "round",
      name: `Round stock ${thou(d)} in diameter`,
      shape: "round",
      thickness: inch(d / 1000),
      width: inch(d / 1000),
      lengths: d >= 125 ? [inch(12), inch(36)] : [inch(10)],
    })),
  ];
}

/** What a series has to choose from at a scale, in a fixed order. */
export const itemsOf = (series: SeriesId, scale: Scale): readonly StockItem[] =>
  series === "tube" ? TUBES : series === "shape" ? SHAPES : catalogue(scale).filter((i) => i.series === series);
/** The series that timbers are matched from on their own; what is round, hollow or shaped is asked for. */
export const STRIP_SERIES = SERIES.filter((s) => !["round", "tube", "shape", "own"].includes(s.id));

/** A stick or tube of stock by its id at a scale; undefined for what is none. */
export const stockItem = (scale: Scale, id: string): StockItem | undefined =>
  tubeOf(id) ?? shapeOf(id) ?? ownItem(id) ?? strippedItem(id) ?? offeredAt(scale).byId.get(id);
/** What lists call a stock of any sort. */
export const stockName = (scale: Scale, id: string): string => stockItem(scale, id)?.name ?? otherStock(id) ?? id;
export type Look = "timber" | "styrene" | "glass";
const looks = new Map<string, Look>();
/** How a stock item ("scale/12x12") looks: wood and card, styrene, or what is seen through. A drawing asks for every stick, and its sticks are of a few items. */
export function lookOf(item: string): Look {
  let look = looks.get(item);
  if (look === undefined) {
    const material = (sheetOf(item) ?? strippedItem(item)?.sheet ?? SERIES.find((s) => item.startsWith(`${s.id}/`)))
      ?.material;
    looks.set(
      item,
      (look = item.startsWith("shape/")
        ? shapeMaterial(item) === "wood"
          ? "timber"
          : "styrene"
        : material === "styrene" || item.startsWith("own/styrene/")
          ? "styrene"
          : material === "clear"
            ? "glass"
            : "timber"),
    );
  }
  return look;
}
