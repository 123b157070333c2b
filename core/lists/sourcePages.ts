import { tablePages, type PagePlan, type PaperId, type TableColumn, type TableLine } from "../drawing";
import { sourceCounts, sourcedDimensions, SOURCE_WORDS, toFindOut, type JobDoc, type SourcedDimension } from "../job";
import { printParam } from "../structures";
import { tellIn } from "../units";

const COLUMNS: readonly TableColumn[] = [
  { head: "Dimension", width: 62 },
  { head: "Now", width: 26, align: "end" },
  { head: "Comes from", width: 52 },
  { head: "Found out", width: 46 },
];
/** What still has to be found out, on paper to take along: dimensions that are assumed, estimated or not said, with room to write; what is known stands on the last lines in numbers. */
export function sourcePages(doc: JobDoc, paper: PaperId, date: string): PagePlan {
  const lines = doc.structures.flatMap((s): TableLine[] => {
    const all = sourcedDimensions(s);
    const open = all.filter(toFindOut);
    if (all.length === 0) return [];
    const n = sourceCounts(all);
    const row = (d: SourcedDimension): TableLine => ({ kind: "row", cells: [d.spec.label, tellIn(printParam(d.spec, d.value), doc.brief.units), d.source ? [SOURCE_WORDS[d.source.how], d.source.from].filter(Boolean).join(": ") : "not said yet", ""] }); // prettier-ignore
    return [
      { kind: "head", text: s.name },
      ...open.map(row),
      { kind: "words", text: `${n.measured} measured, ${n.counted} counted, ${n["stand-in"]} from plans that stand in; ${n.estimated} estimated, ${n.assumed} assumed, ${n["not said"]} not said.` }, // prettier-ignore
    ];
  });
  const none: TableLine[] = lines.length === 0 ? [{ kind: "words", text: "Nothing is framed yet." }] : lines;
  return tablePages(COLUMNS, none, paper, { title: "To be found out", job: [doc.name, doc.brief.railroad].filter(Boolean).join(" · "), note: "Measure the prototype, its drawings, or what stands in for it.", date }); // prettier-ignore
}
