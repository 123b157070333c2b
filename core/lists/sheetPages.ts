import { line, outline, PAPERS, rectangle, tablePages, text, wrapped, type Entity, type PagePlan, type PaperId, type TableLine } from "../drawing"; // prettier-ignore
import type { Vec2 } from "../geometry";
import { markSize, type SheetJob } from "../jigs/sheetParts";
import { cutWordsOf, sheetGapWords, turnedPoint, type NestedSheet, type NestResult, type Turn } from "../nesting";
import { printModel } from "../units";
import { wordsOf, type Listed } from "./words";

/** Height a drawn sheet takes at most, mm; and of the small letters. */
const [HIGH, SMALL, LEAD] = [165, 1.8, 3.2];

/** The sheets on paper: each drawn with its parts, under it its size, what is left whole and the cuts in their order. */
export function sheetPages(
  l: Listed,
  plans: readonly { readonly job: SheetJob; readonly result: NestResult }[],
  paper: PaperId,
  date: string,
): PagePlan {
  const M = (mm: number, n = 1): string => printModel(mm as never, l.unit, n);
  const lines = plans.flatMap(({ job, result: r }): TableLine[] => {
    const parts = job.problem.parts.reduce((s, p) => s + p.sticks.length, 0);
    if (r.status !== "planned") {
      const marks = (r.status === "too large" ? r.parts : r.left).map((i) => job.problem.parts[i]!.mark).join(", ");
      return [
        { kind: "head", text: job.name },
        { kind: "words", text: r.status === "too large" ? `Larger than every sheet there is: ${marks}.` : `Left over, the sheets on hand are not enough: ${marks}.` }, // prettier-ignore
      ];
    }
    const gap = sheetGapWords(job.problem, r);
    const n = r.sheets.length;
    return [
      { kind: "head", text: `${job.name}: ${parts} parts on ${n} ${n === 1 ? "sheet" : "sheets"}, ${gap || "no layout takes less"}` }, // prettier-ignore
      ...r.sheets.map((s, i): TableLine => {
        const { wide, long, drawer } = job.problem.sizes[s.size]!;
        const [best] = [...s.left].sort((a, b) => b.wide * b.high - a.wide * a.high);
        const words = [
          `Sheet ${i + 1}: ${M(wide)} × ${M(long)}, seen from its face${job.item?.texture ? ", its lines from left to right" : ""}${drawer ? ", out of the drawer" : ""}.`,
          best ? `Left whole: ${M(best.wide)} × ${M(best.high)}.` : "",
          s.cuts.length > 0
            ? `Cuts from the upper left corner, each right across the piece in hand: ${s.cuts.map((c, k) => `${k + 1}. ${cutWordsOf(c, M)}`).join("; ")}.`
            : "Cut freely, inner contours first.",
        ].join(" ");
        const under = wrapped(words, PAPERS[paper][0] - 28, SMALL, "text");
        const k = Math.min(1, HIGH / wide, (PAPERS[paper][0] - 28) / long);
        return {
          kind: "picture",
          height: wide * k + 4 + under.length * LEAD,
          draw: (at) => drawn(job, s, k, at, under),
        };
      }),
    ];
  });
  return tablePages([], lines, paper, wordsOf(l, "Sheet layout", date));
}

function drawn(job: SheetJob, s: NestedSheet, k: number, at: Vec2, under: readonly string[]): Entity[] {
  const { wide, long } = job.problem.sizes[s.size]!;
  const y0 = at[1] + under.length * LEAD + 2;
  const out: Entity[] = [
    outline(rectangle(at[0], y0, long * k, wide * k), "hidden"),
    ...under.map((t, i) => text([at[0], y0 - 3.4 - i * LEAD], t, SMALL)),
  ];
  for (const p of s.placed) {
    const part = job.problem.parts[p.part]!;
    const flat = job.flat[p.part]!;
    const to = (q: Vec2): Vec2 => {
      const [x, y] = turnedPoint(part.outline, p.turn, q);
      return [at[0] + (y + p.at[1]) * k, y0 + (wide - x - p.at[0]) * k];
    };
    for (const r of flat.rings) out.push(outline(r.map(to), "outline"));
    if (flat.lines.length <= 120) for (const [a, b] of flat.lines) out.push(line(to(a), to(b), "thin"));
    // the page has the sheet's y to the right: letters run along it
    const size = markSize(flat.label, part.mark.length, ((p.turn + 1) % 4) as Turn, 3 / k) * k;
    if (size < 0.9) continue;
    const [x, y] = to(flat.label.at);
    const letters = size * 0.6 * part.mark.length;
    if (flat.lines.length > 0) out.push(outline(rectangle(x - letters / 2 - 0.4, y - size / 2 - 0.4, letters + 0.8, size + 0.8), "thin", "white")); // prettier-ignore
    out.push(text([x, y - size / 2], part.mark, size, "middle", "label"));
  }
  return out;
}
