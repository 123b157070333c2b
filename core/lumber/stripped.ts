import { model, printNumber } from "../units";
import type { StockItem } from "./series";
import { SHEETS, sheetOf, type SheetItem } from "./sheets";

/** A strip that one rips off a sheet: as thick as the sheet, as wide as it is ripped. */
export interface StrippedItem extends StockItem {
  readonly sheet: SheetItem;
}
/** The narrowest strip that is ripped off a sheet, model mm. Common practice. */
export const NARROWEST_RIP = 0.5;
const WIDEST = 60;

/** The id of a strip ripped so wide off a sheet: "strip/wood/2/4.1" off "sheet/wood/2"; model mm. Errors: a width that is not ripped. */
export function strippedId(sheet: SheetItem, width: number): string {
  if (!(width >= NARROWEST_RIP && width <= WIDEST)) throw new RangeError(`A strip of ${printNumber(width, 2)} mm is not ripped off a sheet; it may be from ${NARROWEST_RIP} to ${WIDEST} mm wide.`); // prettier-ignore
  return `strip/${sheet.id.slice(6)}/${Number(width.toFixed(2))}`;
}
const known = new Map<string, StrippedItem | undefined>();
/** A strip ripped off a sheet by its id, which says all there is to know of it; undefined for what is none. */
export function strippedItem(id: string): StrippedItem | undefined {
  if (!id.startsWith("strip/")) return undefined;
  if (!known.has(id)) known.set(id, read(id));
  return known.get(id);
}
function read(id: string): StrippedItem | undefined {
  const m = /^strip\/(.+)\/(\d+(?:\.\d{1,2})?)$/.exec(id);
  const sheet = m ? sheetOf(`sheet/${m[1]}`) : undefined;
  const wide = Number(m?.[2]);
  if (!sheet || sheet.texture || sheet.material === "clear" || !(wide >= NARROWEST_RIP && wide <= WIDEST))
    return undefined;
  return {
    id,
    series: "own",
    name: `${sheet.name}, ripped ${printNumber(wide, 2)} mm wide`,
    shape: "strip",
    thickness: model(Math.min(sheet.thickness, wide)),
    width: model(Math.max(sheet.thickness, wide)),
    lengths: [...new Set(sheet.sizes.map((s) => s[1]))],
    sheet,
  };
}
/** Strips of a section ripped off the plain sheets of a material, the sheet standing for the one side that comes nearest to it, and ripped as wide as the other is. */
export function strippedFor(
  wanted: { readonly thickness: number; readonly width: number },
  material: "wood" | "styrene",
): StrippedItem[] {
  const ratio = (a: number, b: number): number => Math.abs(Math.log(a / b));
  return SHEETS.filter((s) => s.material === material && !s.texture)
    .map((sheet) => ({
      sheet,
      flat: ratio(sheet.thickness, wanted.thickness),
      edge: ratio(sheet.thickness, wanted.width),
    })) // prettier-ignore
    .sort((a, b) => Math.min(a.flat, a.edge) - Math.min(b.flat, b.edge))
    .flatMap(({ sheet, flat, edge }) => {
      const rip = flat <= edge ? wanted.width : wanted.thickness;
      return rip >= NARROWEST_RIP && rip <= WIDEST ? [strippedItem(strippedId(sheet, rip))!] : [];
    });
}
