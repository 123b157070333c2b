import type { Assembly, Step } from "../assembly";
import type { MasterPlan, StructureDesign } from "../job";
import { inOrder } from "./partialOrder";

/** What filling a mould, or taking off a print, takes at the bench, minutes. Common practice. */
const FILL = 10;
/** An order with the fills of its moulds in it: one after the other, each once the mould is free again, before any of the pieces is used. */
export function withMasters(s: StructureDesign, a: Assembly, plans: readonly MasterPlan[]): Assembly {
  const own = plans.filter((p) => p.master.structure === s.structure.id);
  if (own.length === 0 || a.steps.length === 0) return a;
  const fresh: Step[] = [];
  const needs = new Map<string, string>();
  for (const p of own) {
    let last: string | undefined;
    for (let k = 1; k <= p.pours; k++) {
      const id = `${p.master.structure}/master/${p.mark}/${k}`;
      const n = Math.min(p.master.atOnce, p.wanted - (k - 1) * p.master.atOnce);
      const verb = p.master.by === "cast" ? "Cast" : "Print";
      fresh.push({ id, structure: s.structure.id, title: `${verb} ${n} × ${p.mark} ${p.role}${p.pours > 1 ? `, ${k} of ${p.pours}` : ""}`, place: "own", unit: undefined, sticks: [], there: [], view: a.steps[0]!.view, way: "", moves: [], after: last ? [last] : [], joining: "dry", checks: k === 1 ? [p.master.by === "cast" ? `From the master of ${p.mark}: brush the mould out first, pour slowly, and look for bubbles. Gloves and fresh air with resin.` : `From the solid of ${p.mark} (STL, under Jigs).`] : [], lifts: false, fixture: undefined, own: { minutes: FILL, rest: p.master.minutes } }); // prettier-ignore
      last = id;
    }
    for (const x of p.sticks) needs.set(x, last!);
  }
  const steps = a.steps.map((st): Step => {
    const more = [...new Set(st.sticks.flatMap((x) => needs.get(x) ?? []))];
    // what is placed with its sub-assembly was made before that
    return more.length === 0 || st.lifts ? st : { ...st, after: [...st.after, ...more] };
  });
  return { ...a, steps: inOrder([...steps, ...fresh]) };
}
