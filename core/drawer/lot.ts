import {
  ownId,
  ownItem,
  shapeMaterial,
  shapeOf,
  sheetOf,
  SERIES,
  strippedItem,
  tubeOf,
  type SheetItem,
  type StockItem,
} from "../lumber";
import { printMm, model } from "../units";

export type Material = "wood" | "styrene" | "card" | "clear";
export const MATERIALS: readonly Material[] = ["wood", "styrene", "card", "clear"];
/** Things that are one and the same, of which the drawer has some: sticks of a section and a length, or sheets of a size. Model mm. */
export interface Lot {
  readonly form: "strip" | "round" | "sheet";
  readonly material: Material;
  /** As it is called: "Scale lumber, HO 2×8". */
  readonly name: string;
  /** Of round stock the diameter twice; of a sheet its thickness and how wide it is across its lines. */
  readonly thickness: number;
  readonly width: number;
  readonly length: number;
  /** A textured sheet's id in the series: what is on it is more than its size. */
  readonly sheet?: string;
  /** The id of a tube or a shape: what is inside its size is not all of it. */
  readonly section?: string;
}
/** Sizes that differ by less are one, model mm. */
const SAME = 0.011;
const near = (a: number, b: number): boolean => Math.abs(a - b) < SAME;

/** What tells one lot from another: its form, material, texture and sizes, not what it is called. */
export const lotKey = (l: Lot): string =>
  [l.form, l.material, l.sheet ?? l.section ?? "", ...[l.thickness, l.width, l.length].map((x) => x.toFixed(2))].join(
    "|",
  );

/** The material of an item of a series; what may be of either counts as wood. */
export function materialOf(item: StockItem): Material {
  const stripped = strippedItem(item.id)?.sheet.material;
  if (stripped) return stripped === "styrene" ? "styrene" : "wood";
  if (item.series === "tube") return item.id.startsWith("tube/card/") ? "card" : "styrene";
  if (item.series === "shape") return shapeMaterial(item.id);
  if (item.series === "own") return item.id.startsWith("own/styrene/") ? "styrene" : "wood";
  return SERIES.find((s) => s.id === item.series)?.material === "styrene" ? "styrene" : "wood";
}
/** What an item's section is where its size does not say it all. */
const sectionOf = (item: StockItem): string | undefined => (item.series === "tube" || item.profile ? item.id : undefined); // prettier-ignore
/** Sticks of an item of a series, of a length. */
export const stickLot = (item: StockItem, length: number): Lot => ({ form: item.shape === "round" ? "round" : "strip", material: materialOf(item), name: item.name, thickness: item.thickness, width: item.width, length, ...(sectionOf(item) ? { section: item.id } : {}) }); // prettier-ignore
/** Sheets of an item of a series, so wide across its lines or grain and so long along them. */
export const sheetLot = (item: SheetItem, wide: number, long: number): Lot => ({ form: "sheet", material: item.material, name: item.name, thickness: item.thickness, width: wide, length: long, ...(item.texture ? { sheet: item.id } : {}) }); // prettier-ignore

/** Whether a lot's sticks are of an item's section, whatever they are called: a 1 × 2 mm strip is one from every series. Round stock of wood or styrene serves either way. */
export function isOfItem(l: Lot, item: StockItem): boolean {
  if (l.form === "sheet" || (l.form === "round") !== (item.shape === "round")) return false;
  if (l.section || sectionOf(item)) return l.section === sectionOf(item);
  if (item.series !== "round" && l.material !== materialOf(item)) return false;
  return near(l.thickness, item.thickness) && near(l.width, item.width);
}
/** A tube or shape by its id. */
const sectionItem = (id: string): StockItem | undefined => tubeOf(id) ?? shapeOf(id);
/** The stick of one's own that a lot is, for a frame to be made of; undefined for sheet, and for what is neither wood nor styrene. */
export const itemOfLot = (l: Lot): StockItem | undefined =>
  l.section ? sectionItem(l.section) : l.form === "sheet" || (l.material !== "wood" && l.material !== "styrene") ? undefined : ownItem(ownId(l.material, l.thickness, l.width, l.form === "round")); // prettier-ignore
/** Whether a lot's sheets are of an item: its thickness and material, and its texture where it has one. */
export function isOfSheet(l: Lot, item: SheetItem): boolean {
  if (l.form !== "sheet" || l.material !== item.material || !near(l.thickness, item.thickness)) return false;
  return item.texture ? l.sheet === item.id : l.sheet === undefined;
}
/** A lot in words: "Scale lumber, HO 2×8, 279.4 mm long" or "Styrene sheet .040 in, 152.4 × 304.8 mm". `print` tells mm. */
export const lotWords = (l: Lot, print: (mm: number) => string = (mm) => printMm(model(mm), 1)): string =>
  l.form === "sheet" ? `${l.name}, ${print(l.width)} × ${print(l.length)}` : `${l.name}, ${print(l.length)} long`;

const called = (raw: Readonly<Record<string, unknown>>, own: string): { readonly name: string } => ({ name: typeof raw.name === "string" && raw.name.trim() !== "" ? raw.name.trim().slice(0, 80) : own }); // prettier-ignore
/** A lot that came from outside. Errors: a sentence with what was read and what would do. */
export function readLot(raw: Readonly<Record<string, unknown>>): Lot {
  const number = (what: "thickness" | "width" | "length", most: number): number => {
    const n = Number(raw[what]);
    if (!(n > 0 && n <= most)) throw new Error(`${what} “${String(raw[what] ?? "")}” is no size in mm; write a number above 0, up to ${most}.`); // prettier-ignore
    return n;
  };
  const { form, material } = raw;
  const section = typeof raw.section === "string" && raw.section !== "" ? raw.section : undefined;
  if (section !== undefined) {
    const item = sectionItem(section);
    if (!item) throw new Error(`section “${section}” is no tube or shape; write one such as shape/I/125 or tube/pipe/110, or leave it empty.`); // prettier-ignore
    return { ...stickLot(item, number("length", 1e5)), ...called(raw, item.name) };
  }
  if (form !== "strip" && form !== "round" && form !== "sheet") throw new Error(`form “${String(form ?? "")}” is not known; write strip, round or sheet.`); // prettier-ignore
  if (!MATERIALS.includes(material as Material)) throw new Error(`material “${String(material ?? "")}” is not known; write ${MATERIALS.join(", ")}.`); // prettier-ignore
  const sheet = typeof raw.sheet === "string" && raw.sheet !== "" ? raw.sheet : undefined;
  if (sheet !== undefined && !sheetOf(sheet))
    throw new Error(`sheet “${sheet}” is in no series; leave it empty for plain sheet.`);
  const [a, b] = [number("thickness", 500), number("width", 5000)];
  const [thickness, width] = form === "sheet" ? [a, b] : [Math.min(a, b), Math.max(a, b)];
  if (form === "round" && a !== b) throw new Error(`Round stock is as wide as thick; read ${a} and ${b}.`);
  const own =
    form === "sheet" ? `Sheet ${a} mm` : form === "round" ? `Round ${a} mm` : `Strip ${thickness} × ${width} mm`;
  return { form, material: material as Material, ...called(raw, own), thickness, width, length: number("length", 1e5), ...(sheet ? { sheet } : {}) }; // prettier-ignore
}
