import { parseNumber } from "../units";
import type { Holding } from "./ledger";
import { readLot, type Lot } from "./lot";

/** Columns of the drawer as a table, sizes in mm. */
export const COLUMNS = ["form", "material", "name", "sheet", "section", "thickness", "width", "length", "count", "price", "place", "note"] as const; // prettier-ignore

/** The drawer as a table for a spreadsheet, a row for each lot. */
export const drawerRows = (all: readonly Holding[]): (string | number)[][] =>
  all.map(({ lot, count, price, place, note }) => {
    const mm = (x: number): number => Number(x.toFixed(3));
    return [lot.form, lot.material, lot.name, lot.sheet ?? "", lot.section ?? "", mm(lot.thickness), mm(lot.width), mm(lot.length), count, price ?? "", place, note]; // prettier-ignore
  });

/** A row that was read: how many of what. */
export interface DrawerRow {
  readonly lot: Lot;
  readonly count: number;
  readonly price?: number;
  readonly place?: string;
  readonly note?: string;
}
/** Rows of a table as they were read, by the names of their columns; columns may stand in any order, and those that are not known are left alone. Errors: every row that cannot be taken, a sentence each, none of the rows kept. */
export function readDrawerRows(raw: readonly Readonly<Record<string, string>>[]): DrawerRow[] {
  const said: string[] = [];
  if (raw.length === 0)
    said.push(
      "The table has no rows; its first line names the columns: form, material, thickness, width, length, count.",
    );
  const rows = raw.flatMap((r, i): DrawerRow[] => {
    try {
      const count = Number(r.count);
      if (!(Number.isInteger(count) && count > 0 && count <= 1e6))
        throw new Error(`count “${r.count ?? ""}” is no whole number above 0.`);
      const price = r.price?.trim() ? parseNumber(r.price) : undefined;
      if (price !== undefined && !(price >= 0 && price <= 1e6))
        throw new Error(`price “${r.price}” is no price; write one such as 1.20.`);
      const word = (t: string | undefined): string | undefined => t?.trim().slice(0, 200) || undefined;
      const [place, note] = [word(r.place), word(r.note)];
      return [{ lot: readLot(r), count, ...(price === undefined ? {} : { price }), ...(place ? { place } : {}), ...(note ? { note } : {}) }]; // prettier-ignore
    } catch (e) {
      said.push(`Row ${i + 1}: ${(e as Error).message}`);
      return [];
    }
  });
  if (said.length > 0) throw new Error(said.slice(0, 6).join(" ") + (said.length > 6 ? ` And ${said.length - 6} rows more.` : "")); // prettier-ignore
  return rows;
}
