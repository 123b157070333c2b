import type { SetUp } from "../cutting";
import { line, outline, PAPERS, rectangle, tablePages, text, wrapped, type Entity, type PagePlan, type PaperId, type TableLine } from "../drawing"; // prettier-ignore
import { lying } from "../frame";
import type { Vec2 } from "../geometry";
import { setUpWords, type Design } from "../job";
import { printModel } from "../units";
import { listed, wordsOf } from "./words";

const [SMALL, LEAD, PAD] = [1.9, 3.4, 3];

/** Cards to cut apart, one for each set-up from the longest to the shortest: the piece at full size where the page is as wide, so that it lies against the stop; else shortened, its length told. */
export function setUpPages(d: Design, all: readonly SetUp[], paper: PaperId, date: string): PagePlan {
  const M = (mm: number): string => printModel(mm as never, d.doc.brief.units.model, 2);
  const wide = PAPERS[paper][0] - 24 - 2 * PAD;
  const lines = all.map((s, i): TableLine => {
    const words = setUpWords(d, s, M);
    const shape = s.pieces[0]!.piece.shape;
    const flat = lying(shape);
    const thick = Math.max(...flat.map((p) => p[1])) - Math.min(...flat.map((p) => p[1]));
    const full = shape.overall <= wide;
    const under = wrapped(
      `${words.cuts.charAt(0).toUpperCase()}${words.cuts.slice(1)}. ${words.pieces.join("; ")}.${words.how ? ` ${words.how}.` : ""}${full ? "" : " Longer than the page: drawn shortened."}`, // prettier-ignore
      wide,
      SMALL,
      "text",
    );
    const high = 7 + thick + 3 + under.length * LEAD + 2 * PAD;
    return { kind: "picture", height: high + 2, draw: (at, w) => card(at, w, high, { title: `${i + 1}. Stop at ${M(s.length)}`, flat, k: full ? 1 : wide / shape.overall, thick, under }) }; // prettier-ignore
  });
  const count = `${all.length} settings of the stop, longest first. Cards at full size: check one against a rule before you trust it.`;
  return tablePages([], [{ kind: "words", text: count }, ...lines], paper, wordsOf(listed(d), "Set-ups", date));
}
function card(
  at: Vec2,
  w: number,
  high: number,
  c: {
    readonly title: string;
    readonly flat: readonly Vec2[];
    readonly k: number;
    readonly thick: number;
    readonly under: readonly string[];
  },
): Entity[] {
  const [x, y] = [at[0] + PAD, at[1] + 2 + PAD + c.under.length * LEAD + c.thick / 2 + 2];
  const end = x + Math.max(...c.flat.map((p) => p[0])) * c.k;
  const tick = c.thick / 2 + 2;
  return [
    outline(rectangle(at[0], at[1] + 2, w, high), "thin"),
    text([x, at[1] + 2 + high - PAD - 2.6], c.title, 2.8, "start", "label"),
    outline(
      c.flat.map(([a, b]): Vec2 => [x + a * c.k, y + b]),
      "outline",
      "timber",
    ),
    // the blade at the start, the stop at the far end
    line([x, y - tick], [x, y + tick], "thin"),
    line([end, y - tick], [end, y + tick], "thin"),
    ...c.under.map((t, i) => text([x, at[1] + 2 + PAD + (c.under.length - 1 - i) * LEAD], t, SMALL)),
  ];
}
