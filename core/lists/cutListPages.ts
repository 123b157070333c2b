import { stockName } from "../lumber";
import { nominalOf } from "../frame";
import { tablePages, type PagePlan, type PaperId, type TableLine } from "../drawing";
import { bothEnds, furtherWork, whereRanges, type Design } from "../job";
import { printModel, printPrototype, toPrototype } from "../units";
import { listed, wordsOf } from "./words";

/** The cut list on paper, by stock: lengths in the job's units, both end cuts, and where the pieces go. */
export function cutListPages(d: Design, paper: PaperId, date: string): PagePlan {
  const { units } = d.doc.brief;
  const name = (id: string): string => stockName(d.scale, id);
  const M = (mm: number): string => printModel(mm as never, units.model, 2);
  const stocks = [...new Set(d.pieces.map((p) => p.stock))].sort((a, b) =>
    name(a).localeCompare(name(b), "en", { numeric: true }),
  );
  const lines = stocks.flatMap((stock): TableLine[] => {
    const pieces = d.pieces.filter((p) => p.stock === stock);
    const count = pieces.reduce((n, p) => n + p.sticks.length, 0);
    return [
      { kind: "head", text: `${name(stock)}: ${count} ${count === 1 ? "piece" : "pieces"}` },
      ...pieces.map((p): TableLine => {
        const e = bothEnds(p.shape, M);
        const ends =
          e.first === e.far
            ? ["both " + e.first, e.relation].filter(Boolean).join(", ")
            : `first ${e.first}; far ${e.far}`;
        const work = furtherWork(p.shape, M);
        const edges = p.shape.longPoint - p.shape.shortPoint > 0.0005 ? ` / ${M(p.shape.shortPoint)}` : "";
        return {
          kind: "row",
          cells: [
            p.mark,
            String(p.sticks.length),
            `${p.role}${p.handOf ? `, mirror of ${p.handOf}` : ""}`,
            nominalOf(p.shape.kind, p.nominal),
            M(p.shape.overall),
            printPrototype(toPrototype(d.scale, p.shape.overall), units.prototype),
            `${M(p.shape.longPoint)}${edges}`,
            [ends, ...work].join("; "),
            whereRanges(p.sticks),
          ],
        };
      }),
    ];
  });
  return tablePages(
    [
      { head: "Mark", width: 8, bold: true },
      { head: "Count", width: 7, align: "end" },
      { head: "Piece", width: 15 },
      { head: "Nominal", width: 10 },
      { head: "Tip to tip", width: 13, align: "end", bold: true },
      { head: "Prototype", width: 13, align: "end" },
      { head: "Edges long / short", width: 15, align: "end" },
      { head: "End cuts", width: 28 },
      { head: "Goes to", width: 32 },
    ],
    lines,
    paper,
    wordsOf(listed(d), "Cut list", date),
  );
}
