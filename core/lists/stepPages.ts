import { JOININGS, minutesWords, wholeOf, type Step } from "../assembly";
import { elevation, outline, PAPERS, tablePages, text, wrapped, type Entity, type PagePlan, type PaperId, type TableLine } from "../drawing"; // prettier-ignore
import { buildOrder } from "../buildOrder";
import type { Design } from "../job";
import { printModel, tellIn } from "../units";
import { seenPicture } from "./seenPicture";
import { listed, wordsOf } from "./words";

/** Height of a step's picture, mm; its words; room round them. */
const [PICTURE, SMALL, LEAD, PAD] = [37, 2, 3.6, 3];

/** How a step is done: from where its pieces come and how they are joined, or what the coat is and how long it dries. */
function howWords(st: Step): string {
  if (st.coat) return `${st.coat.name}: dry to the touch ${minutesWords(st.coat.touch)}, to be painted over ${minutesWords(st.coat.over)}.`; // prettier-ignore
  if (st.own) return st.own.rest > 0 ? `It rests for ${minutesWords(st.own.rest)} then.` : "";
  const joining = JOININGS.find((j) => j.id === st.joining);
  const clock = joining && joining.full > 0 ? `, handle after ${minutesWords(joining.handle)}` : "";
  return `It comes ${st.way}. ${st.chosen?.name ?? joining!.name}${clock}.`;
}
/** The steps on paper, in an order they can be done in: what is there drawn white, what is new black, of sheet grey; a box to tick, the pieces, how they come, how they are joined and checked. */
export function stepPages(d: Design, paper: PaperId, date: string): PagePlan {
  const M = (mm: number): string => printModel(mm as never, d.doc.brief.units.model, 1);
  const piece = new Map(d.pieces.flatMap((p) => p.sticks.map((s) => [s, p] as const)));
  const wide = PAPERS[paper][0] - 24;
  const { orders, mistakes } = buildOrder(d);
  const lines = d.structures.flatMap((s, k): TableLine[] => {
    const { steps } = orders[k]!;
    if (steps.length === 0) return [];
    const sticks = new Map(s.resolved.sticks.map((k) => [k.id, k] as const));
    const own = (ids: readonly string[]) => ids.flatMap((id) => sticks.get(id) ?? []);
    return [
      { kind: "head", text: s.structure.name },
      ...mistakes.flatMap((m): TableLine[] => (m.structure === s.structure.id && m.level !== "remark" ? [{ kind: "words", text: m.text }] : [])), // prettier-ignore
      ...steps.map((st, n): TableLine => {
        const count = new Map<string, number>();
        for (const id of st.sticks) {
          const p = piece.get(id);
          if (p) count.set(p.mark, (count.get(p.mark) ?? 0) + 1);
        }
        const words = [
          `${[...count].slice(0, 24).map(([m, k]) => `${k} × ${m} ${M(d.pieces.find((p) => p.mark === m)!.shape.overall)}`).join(", ")}${count.size > 24 ? ` and ${count.size - 24} marks more` : ""}.`, // prettier-ignore
          howWords(st),
          st.fixture ?? "",
          ...st.checks.map((c) => `Check: ${tellIn(c, d.doc.brief.units)}`),
        ].filter(Boolean);
        const under = words.flatMap((w) => wrapped(w, wide - 2 * PAD, SMALL, "text"));
        const height = PICTURE + 8 + under.length * LEAD + PAD;
        const fresh = new Set(st.sticks);
        const there = new Set(st.there);
        return {
          kind: "picture",
          height,
          draw: (at, w): Entity[] => {
            // laid out when it is drawn: of a long order only what is on the page is looked at
            const seen = elevation(own(wholeOf(st, steps, sticks.keys())), { id: "side", ...st.view });
            const top = at[1] + height;
            return [
              outline([[at[0] + w - 4, top - 5], [at[0] + w, top - 5], [at[0] + w, top - 1], [at[0] + w - 4, top - 1]], "thin"), // prettier-ignore
              text([at[0], top - 5], `${n + 1}. ${st.title}`, 2.8, "start", "label"),
              ...seenPicture(seen, [at[0] + PAD, at[1] + PAD + under.length * LEAD], [w - 2 * PAD, PICTURE], (k) => (fresh.has(k.id) ? (k.stock.startsWith("sheet") ? "grey" : "black") : there.has(k.id) ? "white" : undefined)), // prettier-ignore
              ...under.map((t, i) => text([at[0] + PAD, at[1] + PAD + (under.length - 1 - i) * LEAD], t, SMALL)),
            ];
          },
        };
      }),
    ];
  });
  return tablePages([], lines, paper, wordsOf(listed(d), "Steps", date));
}
