import type { Assembly, Step } from "../assembly";
import type { LightsDoc, StructureDesign } from "../job";
import { CLOSES } from "./finishSteps";
import { comesAfter, inOrder } from "./partialOrder";

/** What drilling a hole and drawing its wire takes, minutes. From memory, common practice. */
const EACH = 6;
/** An order with the wiring of its lamps in it: after all that does not lie on the roof, before anything closes it. As it was where there are no lamps, or no roof that closes. */
export function withLights(s: StructureDesign, a: Assembly, lights: LightsDoc | undefined): Assembly {
  const lamps = (lights?.lamps ?? []).reduce((n, l) => n + l.count, 0);
  const stick = new Map(s.resolved.sticks.map((k) => [k.id, k] as const));
  const roof = a.steps.filter((st) => st.place === "join" && st.sticks.length > 0 && st.sticks.every((x) => CLOSES.test(stick.get(x)?.member.role ?? ""))); // prettier-ignore
  if (lamps === 0 || roof.length === 0) return a;
  const after = new Map(a.steps.map((st) => [st.id, new Set(st.after)] as const));
  const before = a.steps.filter((st) => st.place === "join" && !roof.includes(st) && !roof.some((r) => comesAfter(after, st.id, r.id))); // prettier-ignore
  const step: Step = { id: `${s.structure.id}/lights`, structure: s.structure.id, title: `Holes and wires for ${lamps} ${lamps === 1 ? "lamp" : "lamps"}`, place: "own", unit: undefined, sticks: [], there: before.flatMap((st) => st.sticks), view: roof[0]!.view, way: "", moves: [], after: before.map((st) => st.id), joining: "dry", checks: ["Try every lamp before it is closed in; mark each wire at its end. Low voltage only."], lifts: false, fixture: undefined, own: { minutes: 10 + EACH * lamps, rest: 0 } }; // prettier-ignore
  return { ...a, steps: inOrder([...a.steps.map((st) => (roof.includes(st) ? { ...st, after: [...st.after, step.id] } : st)), step]) }; // prettier-ignore
}
