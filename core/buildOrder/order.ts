import { assemblyOf, type Assembly, type Way } from "../assembly";
import { buildOf, insideOf, masterPlans, type Design } from "../job";
import { edited } from "./edited";
import { withGlues } from "./glues";
import { allMistakes, type OrderMistake } from "./mistakes";
import { withInside, withLights } from "./beforeRoof";
import { withMasters } from "./masterSteps";
import { withFinish } from "./finishSteps";
import { fastenerFaults } from "../fasteners";
import { finishParts, type FinishPart } from "../finish";

/** How everything a job makes is built: the order of each structure in theirs, its finish and what was changed by hand in it, and what would go wrong. */
export interface BuildOrder {
  readonly orders: readonly Assembly[];
  readonly parts: readonly FinishPart[];
  /** The gravest first. */
  readonly mistakes: readonly OrderMistake[];
}
const known = new WeakMap<object, Map<Way, BuildOrder>>();
/** How a design is built, found once: lists, pages and the bench ask for the same. */
export function buildOrder(d: Pick<Design, "structures" | "doc" | "pieces">, way: Way = "up"): BuildOrder {
  let own = known.get(d);
  if (!own) known.set(d, (own = new Map()));
  let order = own.get(way);
  if (!order) own.set(way, (order = found(d, way)));
  return order;
}
function found(d: Pick<Design, "structures" | "doc" | "pieces">, way: Way): BuildOrder {
  const parts = finishParts(d);
  const { order: edits, lights, glues } = buildOf(d.doc);
  const masters = masterPlans(d);
  const said: OrderMistake[] = [];
  const orders = d.structures.map((s): Assembly => {
    const closed = withLights(s, withMasters(s, withFinish(s, assemblyOf(s, way), parts), masters), lights);
    const made = withInside(s, closed, insideOf(d.doc, s.structure.id));
    const by = edited(s, made.steps, edits);
    said.push(...by.mistakes);
    return { ...made, steps: withGlues(by.steps, glues ?? []) };
  });
  const { fasteners } = buildOf(d.doc);
  const joined = d.structures.flatMap((s) => fastenerFaults(s, fasteners).map((f, i): OrderMistake => ({ key: `${s.structure.id}:fastener:${f.fastener}:${i}`, level: f.level, text: f.text, structure: s.structure.id, sticks: f.sticks }))); // prettier-ignore
  const all = [...said, ...joined, ...allMistakes(d, orders, parts)];
  const grave = { fault: 0, warning: 1, remark: 2 };
  return { orders, parts, mistakes: all.sort((a, b) => grave[a.level] - grave[b.level]) };
}
