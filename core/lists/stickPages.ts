import type { ItemPlan, PlannedStick } from "../cutting";
import { gapWords } from "../cutting";
import { line, outline, PAPERS, rectangle, tablePages, text, wrapped, type Entity, type PagePlan, type PaperId, type TableLine } from "../drawing"; // prettier-ignore
import type { Vec2 } from "../geometry";
import { bothEnds, rangesOf } from "../job";
import { printModel } from "../units";
import { wordsOf, type Listed } from "./words";

const BAR = 5;
/** Height of a stick without the words under it, mm. */
const STICK = 9;
const SMALL = 1.8;

/** The stick layout on paper: each stick drawn with its pieces, under it each cut's mark, length and end cuts. */
export function stickPages(l: Listed, plans: readonly ItemPlan[], paper: PaperId, date: string): PagePlan {
  const M = (mm: number, n = 2): string => printModel(mm as never, l.unit, n);
  const endsOf = (mark: string): string => {
    const shape = l.shapes.get(mark);
    if (!shape) return "";
    const e = bothEnds(shape, M);
    return e.first === e.far ? (e.first === "square" ? "" : `both ${e.first} ${e.relation}`.trim()) : `${e.first}; ${e.far}`; // prettier-ignore
  };
  const lines = plans.flatMap((plan): TableLine[] => {
    const r = plan.result;
    if (r.status === "too long" || r.status === "not enough stock")
      return [
        { kind: "head", text: plan.name },
        {
          kind: "words",
          text:
            r.status === "too long"
              ? `A piece needs ${M(r.length)}; the longest stick is ${M(r.longest, 1)}.`
              : `The sticks on hand are ${M(r.short, 1)} short.`,
        },
      ];
    const longest = Math.max(...plan.sticks.map((s) => s.length), 1);
    const marks = [...new Set(plan.sticks.flatMap((s) => s.cuts.map((c) => c.mark)))];
    const angled = marks.filter((m) => endsOf(m));
    const gap = gapWords(plan);
    return [
      {
        kind: "head",
        text: `${plan.name}: ${r.sticks} ${r.sticks === 1 ? "stick" : "sticks"}${gap ? `, ${gap}` : ", proven least"}`,
      },
      ...(angled.length > 0
        ? [{ kind: "words" as const, text: `End cuts: ${angled.map((m) => `${m} ${endsOf(m)}`).join(" · ")}` }]
        : []),
      ...alike(plan.sticks).map(([s, numbers]): TableLine => {
        const words = `${numbers.length > 1 ? `${numbers.length} sticks alike: ` : ""}${cutsOf(s, M)}; offcut ${M(s.offcut, 1)}${s.from.drawer ? "; out of the drawer" : ""}`;
        // as wide as the page has room for beside the numbers
        const under = wrapped(words, PAPERS[paper][0] - 46, SMALL, "text");
        return {
          kind: "picture",
          height: STICK + under.length * 3.2,
          draw: (at, w) => stick(s, rangesOf(numbers), under, at, w, longest),
        };
      }),
    ];
  });
  return tablePages([], lines, paper, wordsOf(l, "Stick layout", date));
}

/** Sticks that are cut the same, with their numbers, in the order of their first. */
function alike(sticks: readonly PlannedStick[]): [PlannedStick, number[]][] {
  const groups = new Map<string, [PlannedStick, number[]]>();
  sticks.forEach((s, i) => {
    const key = `${s.length}|${s.from.drawer ?? false}|${s.cuts.map((c) => c.mark).join(" ")}`;
    const own = groups.get(key);
    if (own) own[1].push(i + 1);
    else groups.set(key, [s, [i + 1]]);
  });
  return [...groups.values()];
}
/** "4 × PL1 56.00 mm, J02 33.17 mm": what comes off a stick, in order. */
function cutsOf(s: PlannedStick, M: (mm: number) => string): string {
  const runs: { mark: string; length: number; n: number }[] = [];
  for (const c of s.cuts) {
    const last = runs.at(-1);
    if (last?.mark === c.mark) last.n++;
    else runs.push({ mark: c.mark, length: c.length, n: 1 });
  }
  return runs.map((r) => `${r.n > 1 ? `${r.n} × ` : ""}${r.mark} ${M(r.length)}`).join(", ");
}

function stick(
  s: PlannedStick,
  number: string,
  under: readonly string[],
  at: Vec2,
  width: number,
  longest: number,
): Entity[] {
  const left = 18;
  const k = (width - left) / longest;
  const [x, y] = [at[0] + left, at[1] + under.length * 3.2 + 2.4];
  const out: Entity[] = [
    text([at[0], y + 1.4], number.length > 11 ? `${number.slice(0, 10)}…` : number, 2.2, "start", "label"),
    outline(rectangle(x, y, s.length * k, BAR), "hidden"),
    ...under.map((t, i) => text([x, y - 2.9 - i * 3.2], t, SMALL)),
  ];
  for (const c of s.cuts) {
    const [a, w] = [x + c.start * k, c.length * k];
    out.push(outline(rectangle(a, y, w, BAR), "outline", "timber"));
    const size = Math.min(2.3, (w - 0.6) / (c.mark.length * 0.62));
    if (size > 1.1) out.push(text([a + w / 2, y + BAR / 2 - size / 2], c.mark, size, "middle", "label"));
  }
  // a tick at each end says where the stick ends
  out.push(line([x, y - 1], [x, y], "thin"), line([x + s.length * k, y - 1], [x + s.length * k, y], "thin"));
  return out;
}
