import { minutesWords } from "../assembly";
import { tablePages, type TableColumn, type PagePlan, type PaperId, type TableLine } from "../drawing";
import { buildOrder } from "../buildOrder";
import { COAT_WORDS, finishParts, GROUP_WORDS, quantities, TIME_WORDS } from "../finish";
import type { Design } from "../job";
import { printArea, printNumber } from "../units";
import { listed, wordsOf } from "./words";

const COLUMNS: readonly TableColumn[] = [
  { head: "Parts", width: 44 },
  { head: "Pieces", width: 14, align: "end" },
  { head: "Surface", width: 22, align: "end" },
  { head: "When", width: 30 },
  { head: "Coats, the first one first", width: 66 },
];
/** The finish plan on paper: what is coated with what and when, how much of each coat, the mixes, and what would go wrong. */
export function finishPages(d: Design, paper: PaperId, date: string): PagePlan {
  const parts = finishParts(d);
  const area = (mm2: number): string => printArea(mm2, d.doc.brief.units.model);
  const rows = d.structures.flatMap((s): TableLine[] => {
    const own = parts.filter((p) => p.structure === s.structure.id);
    if (own.length === 0) return [];
    return [
      { kind: "head", text: s.structure.name },
      ...own.map((p): TableLine => ({ kind: "row", cells: [GROUP_WORDS[p.group], String(p.sticks.length), area(p.area), p.coats.length > 0 ? TIME_WORDS[p.when] : "", p.coats.map((c) => c.name).join(", then ") || "left as it is"] })), // prettier-ignore
    ];
  });
  const coats = quantities(parts).map((q): TableLine => ({ kind: "words", text: `${q.coat.name} (${COAT_WORDS[q.coat.kind]}): ${area(q.area)}, about ${printNumber(q.millilitres, 1)} ml; dry to the touch ${minutesWords(q.coat.touch)}, to be painted over ${minutesWords(q.coat.over)}.${q.coat.mix ? ` Mix: ${q.coat.mix}.` : ""}` })); // prettier-ignore
  const { mistakes } = buildOrder(d);
  return tablePages(
    COLUMNS,
    [
      ...rows,
      ...(coats.length > 0 ? [{ kind: "head" as const, text: "Coats and mixes" }, ...coats] : []),
      ...(mistakes.length > 0 ? [{ kind: "head" as const, text: "To be looked at" }, ...mistakes.map((m): TableLine => ({ kind: "words", text: m.text }))] : []), // prettier-ignore
      { kind: "words", text: "Spray and solvent only with fresh air and away from flames; wear a mask for spray. Surfaces are all round, with nothing taken off for joints." }, // prettier-ignore
    ],
    paper,
    wordsOf(listed(d), "Finish plan", date),
  );
}
