import type { Finding } from "../checks";
import { tablePages, type PagePlan, type PaperId, type TableLine } from "../drawing";
import type { Design } from "../job";
import { listed, wordsOf } from "./words";

const NAMES = { fault: "Fault", warning: "Warning", remark: "Remark" } as const;

/** The findings on paper, the gravest first, those set aside last with their reasons; each with its structure, the marks it is about, and what would mend it. */
export function findingPages(d: Design, findings: readonly Finding[], paper: PaperId, date: string): PagePlan {
  const mark = new Map(d.pieces.flatMap((p) => p.sticks.map((s) => [s, p.mark] as const)));
  const row = (f: Finding): TableLine => ({
    kind: "row",
    cells: [
      NAMES[f.level],
      d.structures.find((s) => s.structure.id === f.structure)?.structure.name ?? "",
      [...new Set(f.sticks.map((s) => mark.get(s) ?? ""))].filter(Boolean).slice(0, 12).join(" "),
      f.text + (f.aside !== undefined ? ` Set aside: ${f.aside || "no reason given"}.` : ""),
      f.remedy?.label ?? "",
    ],
  });
  const open = (["fault", "warning", "remark"] as const).flatMap((level) =>
    findings.filter((f) => f.aside === undefined && f.level === level),
  );
  const aside = findings.filter((f) => f.aside !== undefined);
  const lines: TableLine[] = [
    ...(open.length === 0 ? [{ kind: "words" as const, text: "Nothing to object to." }] : open.map(row)),
    ...(aside.length > 0 ? [{ kind: "head" as const, text: "Set aside" }, ...aside.map(row)] : []),
  ];
  return tablePages(
    [
      { head: "Level", width: 10, bold: true },
      { head: "Structure", width: 18 },
      { head: "Marks", width: 16, bold: true },
      { head: "What is found", width: 62 },
      { head: "What would mend it", width: 24 },
    ],
    lines,
    paper,
    wordsOf(listed(d), "Findings", date),
  );
}
