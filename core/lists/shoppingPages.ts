import { bought, lotWords, runningWords, type Quote, type Wanted } from "../drawer";
import { tablePages, type PagePlan, type PaperId, type TableLine } from "../drawing";
import type { Design } from "../job";
import { printModel } from "../units";
import { wordsOf } from "./words";

/** A shopping list as rows of words or for a table: what, how many are needed, in the drawer, to buy, packs, price, what is left over. */
export function shoppingRows(
  d: Design,
  wanted: readonly Wanted[],
  quotes: readonly (Quote | undefined)[],
  spare: number,
): string[][] {
  const M = (mm: number): string => printModel(mm as never, d.doc.brief.units.model, 1);
  return wanted.map((w, i) => {
    const b = bought(w, quotes[i], spare);
    const [offcut] = w.left;
    const left = [
      b.over > 0 && w.buy > 0 ? `${b.over} over` : "",
      offcut ? `${w.left.length} ${w.left.length === 1 ? "offcut" : "offcuts"} up to ${offcut.form === "sheet" ? `${M(offcut.width)} × ${M(offcut.length)}` : M(offcut.length)}` : "", // prettier-ignore
    ];
    return [
      lotWords(w.lot, M),
      runningWords(w, d.doc.brief.units.model),
      String(w.drawer),
      String(b.count),
      b.count === 0 ? "" : (quotes[i]?.pack ?? 1) > 1 ? `${b.packs} of ${quotes[i]!.pack}` : String(b.packs),
      b.count === 0 || b.cost === undefined ? "" : b.cost.toFixed(2),
      left.filter(Boolean).join("; "),
    ];
  });
}
export const SHOPPING_COLUMNS = ["What", "Pieces together", "In the drawer", "To buy", "Packs", "Price", "Left after the build"] as const; // prettier-ignore

/** The shopping list on paper, what has to be bought first, with a box to tick. */
export function shoppingPages(
  d: Design,
  wanted: readonly Wanted[],
  quotes: readonly (Quote | undefined)[],
  spare: number,
  paper: PaperId,
  date: string,
): PagePlan {
  const rows = shoppingRows(d, wanted, quotes, spare);
  const line = (cells: readonly string[]): TableLine => ({ kind: "row", cells: ["[  ]", ...cells] });
  const buy = rows.filter((_, i) => wanted[i]!.buy > 0);
  const have = rows.filter((_, i) => wanted[i]!.buy === 0);
  const total = wanted.reduce((s, w, i) => s + (bought(w, quotes[i], spare).cost ?? 0), 0);
  const lines: TableLine[] = [
    ...(buy.length > 0 ? buy.map(line) : [{ kind: "words" as const, text: "Nothing has to be bought." }]),
    ...(total > 0 ? [{ kind: "words" as const, text: `Together ${total.toFixed(2)}, with ${spare} % to spare and whole packs.` }] : []), // prettier-ignore
    ...(have.length > 0 ? [{ kind: "head" as const, text: "Out of the drawer" }, ...have.map((c): TableLine => ({ kind: "row", cells: ["", ...c] }))] : []), // prettier-ignore
  ];
  return tablePages(
    [
      { head: "", width: 4 },
      { head: SHOPPING_COLUMNS[0], width: 56, bold: true },
      { head: SHOPPING_COLUMNS[1], width: 17, align: "end" },
      { head: SHOPPING_COLUMNS[2], width: 16, align: "end" },
      { head: SHOPPING_COLUMNS[3], width: 12, align: "end" },
      { head: SHOPPING_COLUMNS[4], width: 14, align: "end" },
      { head: SHOPPING_COLUMNS[5], width: 12, align: "end" },
      { head: SHOPPING_COLUMNS[6], width: 40 },
    ],
    lines,
    paper,
    wordsOf(d, "Shopping list", date),
  );
}
