import { cornersFlat } from "../geometry";
import type { Design, StructureDesign } from "../job";
import { model, printFeetInches, printMm, toPrototype } from "../units";
import type { ViewLine } from "../structures";
import type { Finding } from "./findings";

/** Less of what is to be seen than this share hidden is not told. Common practice: wheels and trucks out of sight disturb nobody. */
const HIDDEN = 0.5;

/** How much of what is to be seen a structure hides, from 0 to 1, and how much lower it had to be to hide no more than half; corners [across, up], model mm. */
export function hides(
  view: ViewLine,
  corners: Iterable<readonly [number, number]>,
): { readonly share: number; readonly lower: number } {
  const [ey, ez] = view.eye;
  const { y, low, high } = view.seen;
  const away = Math.abs(y - ey);
  const half = low + (high - low) * HIDDEN;
  let top = -Infinity;
  let lower = 0;
  for (const [cy, cz] of corners) {
    const d = Math.abs(cy - ey);
    if ((cy - ey) * (y - ey) <= 0 || d >= away) continue;
    top = Math.max(top, ez + ((cz - ez) * away) / d);
    lower = Math.max(lower, cz - (ez + ((half - ez) * d) / away));
  }
  return { share: Math.min(1, Math.max(0, (top - low) / (high - low))), lower };
}

const cornersOf = (s: StructureDesign): (readonly [number, number])[] =>
  s.resolved.sticks.flatMap((k) => k.parts.flatMap((p) => cornersFlat(p).map((c): [number, number] => [c[1], c[2]])));

/** Structures that hide what was meant to be seen past them, from where people stand. */
export function viewLines(d: Design): Finding[] {
  return d.structures.flatMap((s): Finding[] => {
    if (s.fault || s.resolved.sticks.length === 0) return [];
    const view = s.kind.viewLine?.(s.variant.params, s.context);
    if (!view) return [];
    const { share, lower } = hides(view, cornersOf(s));
    if (share <= HIDDEN) return [];
    const [away, over] = [Math.abs(view.eye[0] - view.seen.y), view.eye[1] - view.seen.low];
    return [
      {
        key: `${s.structure.id}:view`,
        level: "warning",
        text: `From ${printMm(model(away), 0)} away and ${printMm(model(over), 0)} over the rails ${s.structure.name} hides ${view.words}${share < 1 ? ` but for the upper ${Math.round((1 - share) * 100)} %` : ""}: their upper half shows with the building ${printMm(model(lower), 0)} (${printFeetInches(toPrototype(s.context.scale, model(lower)))}) lower, or the track on the other side of it.`,
        structure: s.structure.id,
        sticks: [],
      },
    ];
  });
}
