import { SHOPPING_COLUMNS, shoppingRows, shoppingTotal, type Quote, type Wanted } from "../drawer";
import { tablePages, type PagePlan, type PaperId, type TableLine } from "../drawing";
import { wordsOf, type Listed } from "./words";

/** The shopping list on paper, what has to be bought first, with a box to tick. */
export function shoppingPages(
  l: Listed,
  wanted: readonly Wanted[],
  quotes: readonly (Quote | undefined)[],
  spare: number,
  paper: PaperId,
  date: string,
): PagePlan {
  const rows = shoppingRows(wanted, quotes, spare, l.unit);
  const line = (cells: readonly string[]): TableLine => ({ kind: "row", cells: ["[  ]", ...cells] });
  const buy = rows.filter((_, i) => wanted[i]!.buy > 0);
  const have = rows.filter((_, i) => wanted[i]!.buy === 0);
  const total = shoppingTotal(wanted, quotes, spare);
  const lines: TableLine[] = [
    ...(buy.length > 0 ? buy.map(line) : [{ kind: "words" as const, text: "Nothing has to be bought." }]),
    ...(total > 0 ? [{ kind: "words" as const, text: `Together ${total.toFixed(2)}, with ${spare} % to spare and whole packs.` }] : []), // prettier-ignore
    ...(have.length > 0 ? [{ kind: "head" as const, text: "On hand" }, ...have.map((c): TableLine => ({ kind: "row", cells: ["", ...c] }))] : []), // prettier-ignore
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
    wordsOf(l, "Shopping list", date),
  );
}
