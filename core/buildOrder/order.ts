import { assemblyOf, type Assembly, type Way } from "../assembly";
import { buildOf, type Design } from "../job";
import { edited } from "./edited";
import { allMistakes, type OrderMistake } from "./mistakes";
import { withFinish } from "./finishSteps";
import { finishParts, type FinishPart } from "../finish";

/** How everything a job makes is built: the order of each structure in theirs, its finish and what was changed by hand in it, and what would go wrong. */
export interface BuildOrder {
  readonly orders: readonly Assembly[];
  readonly parts: readonly FinishPart[];
  readonly mistakes: readonly OrderMistake[];
}
export function buildOrder(d: Pick<Design, "structures" | "doc">, way: Way = "up"): BuildOrder {
  const parts = finishParts(d);
  const edits = buildOf(d.doc).order;
  const said: OrderMistake[] = [];
  const orders = d.structures.map((s): Assembly => {
    const made = withFinish(s, assemblyOf(s, way), parts);
    const by = edited(s, made.steps, edits);
    said.push(...by.mistakes);
    return { ...made, steps: by.steps };
  });
  return { orders, parts, mistakes: [...said, ...allMistakes(d, orders, parts)] };
}
