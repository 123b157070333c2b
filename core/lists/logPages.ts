import { outline, PAPERS, rectangle, tablePages, text, wrapped, type Entity, type PagePlan, type PaperId, type PictureBytes, type TableLine } from "../drawing"; // prettier-ignore

/** An entry of the log as it is printed: when, what, and its picture with its size in pixels. */
export interface LogEntry {
  /** "2026-05-01 20:14". */
  readonly at: string;
  readonly words: string;
  readonly picture?: PictureBytes & { readonly width: number; readonly height: number };
}
/** How large a picture is printed at most, mm; its caption's letters and lines. */
const [WIDE, HIGH, SIZE, LEAD] = [120, 90, 2.2, 4];
/** The log as a book: a heading for each day, its entries in their order, pictures under their words. */
export function logPages(job: string, entries: readonly LogEntry[], paper: PaperId, date: string): PagePlan {
  const width = PAPERS[paper][0] - 24;
  const lines = entries.flatMap((e, i): TableLine[] => {
    const day = e.at.slice(0, 10);
    const head: TableLine[] = entries[i - 1]?.at.slice(0, 10) === day ? [] : [{ kind: "head", text: day }];
    const words = `${e.at.slice(11)}  ${e.words}`;
    if (!e.picture) return [...head, { kind: "words", text: words }];
    const { width: w, height: h } = e.picture;
    const k = Math.min(WIDE / w, HIGH / h);
    const own = wrapped(words, width, SIZE, "text");
    return [
      ...head,
      {
        kind: "picture",
        height: h * k + own.length * LEAD + 5,
        draw: (at): Entity[] => [
          { kind: "image", at: [at[0], at[1] + 3], wide: w * k, high: h * k, picture: e.picture! },
          outline(rectangle(at[0], at[1] + 3, w * k, h * k), "thin"),
          ...own.map((t, n) => text([at[0], at[1] + 4.5 + h * k + (own.length - 1 - n) * LEAD], t, SIZE)),
        ],
      },
    ];
  });
  const none: TableLine[] = lines.length === 0 ? [{ kind: "words", text: "Nothing has happened yet." }] : lines;
  return tablePages([], none, paper, { title: "Log", job, note: "Times are UTC.", date });
}
