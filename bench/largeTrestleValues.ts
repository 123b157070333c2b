import { defaultsOf } from "../core/structures";
import { trestleSpec, type TrestleValues } from "../core/structures/whole-trestle/parameters";
import { feet, inches } from "../core/units";

/** A curved, graded trestle of that many bents over a gulch, everything on, its bays one by one; `edit` changes one of them by as many inches. */
export function largeTrestle(bents: number, edit = 0): TrestleValues {
  const bays = Array.from({ length: bents - 1 }, (_, i) => feet(15) + (i === 4 ? inches(edit) : 0));
  const length = (bents - 1) * feet(15);
  return {
    ...defaultsOf(trestleSpec),
    bentSet: "each",
    bays,
    curve: "radius",
    radius: Math.max(feet(460), length / 3),
    grade: 2,
    superelevation: inches(3),
    profile: Array.from({ length: 21 }, (_, i) => [
      (i / 20) * length,
      0.02 * (i / 20) * length - feet(12) - feet(46) * Math.sin((Math.PI * i) / 20) ** 2,
    ]),
    posts: 5,
    spacings: [feet(3, 6), feet(3, 6), feet(3)],
    between: "both",
    footing: "pedestal",
    girts: "every",
    braces: "every",
    walkway: "both",
    refugeEvery: 6,
    barrelEvery: 8,
    capSet: "overhang",
  } as unknown as TrestleValues;
}
