import type { Way } from "../core/assembly";
import { buildOrder } from "../core/buildOrder";
import type { Design } from "../core/job";

/** The order of assembly of every structure: of each step what is new, by mark and count, and the numbers of the steps that have to be done before. */
export const stepReport = (d: Design, way: Way) => {
  const mark = new Map(d.pieces.flatMap((p) => p.sticks.map((s) => [s, p.mark] as const)));
  const { orders, mistakes } = buildOrder(d, way);
  return {
    structures: d.structures.map((s, k) => {
      const { steps, noWay } = orders[k]!;
      const number = new Map(steps.map((st, i) => [st.id, i + 1] as const));
      return {
        structure: s.structure.name,
        steps: steps.map((st, i) => {
          const count: Record<string, number> = {};
          for (const id of st.sticks) count[mark.get(id) ?? "?"] = (count[mark.get(id) ?? "?"] ?? 0) + 1;
          return { step: i + 1, title: st.title, place: st.place, pieces: count, ...(st.coat ? { coat: st.coat.name, surface_mm2: Math.round(st.coat.area) } : {}), way: st.way, after: st.after.map((x) => number.get(x)!), joining: st.joining, checks: st.checks, ...(st.fixture ? { fixture: st.fixture } : {}) }; // prettier-ignore
        }),
        findings: mistakes.filter((m) => m.structure === s.structure.id).map((m) => ({ level: m.level, text: m.text })),
        no_way: noWay.map((n) => ({ text: n.text, pieces: [...new Set(n.sticks.map((x) => mark.get(x) ?? "?"))] })),
      };
    }),
  };
};
