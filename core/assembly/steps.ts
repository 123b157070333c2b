import type { StructureDesign } from "../job";
import { hanging } from "./hanging";
import { onBoard } from "./onBoard";
import { join } from "./standing";
import type { Assembly, NoWay, Step, Way } from "./step";
import { partnersOf, unitsOf } from "./units";

/** Every step of a structure and their order; what cannot be brought to its place is told. */
export function assemblyOf(s: StructureDesign, way: Way = "up"): Assembly {
  const { sticks, frame } = s.resolved;
  if (s.fault || sticks.length === 0) return { steps: [], noWay: [] };
  const { deep, on } = hanging(frame);
  const partners = partnersOf(frame);
  const units = unitsOf(s);
  const id = s.structure.id;
  const steps: Step[] = [];
  const noWay: NoWay[] = [];
  for (const u of units) {
    const built = onBoard(id, u, deep, on);
    steps.push(...built.steps);
    noWay.push(...built.noWay);
  }
  const joined = join(s, units, deep, partners, way, steps);
  return { steps: [...steps, ...joined.steps], noWay: [...noWay, ...joined.noWay] };
}
