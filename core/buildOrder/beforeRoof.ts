import { FITTING } from "../inside/fittings";
import type { Assembly, Step } from "../assembly";
import type { InsideDoc, LightsDoc, StructureDesign } from "../job";
import { CLOSES } from "./finishSteps";
import { comesAfter, inOrder } from "./partialOrder";

/** An order with a step more: after all that does not lie on the roof, before anything closes it; the last one where nothing does. */
function beforeRoof(
  s: StructureDesign,
  a: Assembly,
  id: string,
  title: string,
  check: string,
  minutes: number,
): Assembly {
  const stick = new Map(s.resolved.sticks.map((k) => [k.id, k] as const));
  const roof = a.steps.filter((st) => st.place === "join" && st.sticks.length > 0 && st.sticks.every((x) => CLOSES.test(stick.get(x)?.member.role ?? ""))); // prettier-ignore
  const after = new Map(a.steps.map((st) => [st.id, new Set(st.after)] as const));
  const before = a.steps.filter((st) => (st.place === "join" || st.place === "own") && !roof.includes(st) && !roof.some((r) => comesAfter(after, st.id, r.id))); // prettier-ignore
  const step: Step = { id: `${s.structure.id}/${id}`, structure: s.structure.id, title, place: "own", unit: undefined, sticks: [], there: before.flatMap((st) => st.sticks), view: (roof[0] ?? a.steps.at(-1)!).view, way: "", moves: [], after: before.map((st) => st.id), joining: "dry", checks: [check], lifts: false, fixture: undefined, own: { minutes, rest: 0 } }; // prettier-ignore
  return { ...a, steps: inOrder([...a.steps.map((st) => (roof.includes(st) ? { ...st, after: [...st.after, step.id] } : st)), step]) }; // prettier-ignore
}
/** What drilling a hole and drawing its wire takes, and what setting a body in its place does, minutes. From memory, common practice. */
const [WIRED, SET] = [6, 4];
/** An order with the wiring of its lamps in it. */
export function withLights(s: StructureDesign, a: Assembly, lights: LightsDoc | undefined): Assembly {
  const lamps = (lights?.lamps ?? []).reduce((n, l) => n + l.count, 0);
  if (lamps === 0 || a.steps.length === 0) return a;
  return beforeRoof(s, a, "lights", `Holes and wires for ${lamps} ${lamps === 1 ? "lamp" : "lamps"}`, "Try every lamp before it is closed in; mark each wire at its end. Low voltage only.", 10 + WIRED * lamps); // prettier-ignore
}
/** An order with its inside set in place: after that no hand reaches it. */
export function withInside(s: StructureDesign, a: Assembly, inside: InsideDoc): Assembly {
  const n = inside.things.length;
  if (n === 0 || a.steps.length === 0) return a;
  const kinds = [...new Set(inside.things.map((t) => FITTING[t.kind].label.toLowerCase()))];
  return beforeRoof(s, a, "inside", `The inside: ${n} ${n === 1 ? "body" : "bodies"}`, `Set in place and looked at through every opening: ${kinds.join(", ")}. Behind the roof no hand reaches them any more.`, 10 + SET * n); // prettier-ignore
}
