import type { Step, Way } from "core/assembly";
import { buildOrder, type OrderMistake } from "core/buildOrder";
import { elevation } from "core/drawing";
import { finishParts, glueFaces, gluedArea, GROUP_WORDS, quantities, type CoatQuantity, type FinishPart } from "core/finish"; // prettier-ignore
import type { Vec2 } from "core/geometry";
import { printOf, type Design } from "core/job";

/** A step as the bench shows it: `print` says what its pieces are like, `marks` how many of which it takes. */
export interface ShownStep extends Step {
  readonly print: string;
  readonly marks: readonly {
    readonly mark: string;
    readonly role: string;
    readonly count: number;
    readonly overall: number;
  }[];
  readonly structureName: string;
}
export interface ShownAssembly {
  readonly steps: readonly ShownStep[];
  /** What would go wrong, the gravest first. */
  readonly mistakes: readonly OrderMistake[];
}
/** What is there in a step, from the furthest to the nearest, as paths in a box; `fresh` is what is new. */
export interface StepPicture {
  readonly box: readonly [number, number, number, number];
  readonly hint: string;
  readonly shapes: readonly { readonly d: string; readonly fresh: boolean; readonly id: string }[];
}

/** The order of assembly of every structure of a design, in their order. */
export function shownAssembly(d: Design, way: Way): ShownAssembly {
  const piece = new Map(d.pieces.flatMap((p) => p.sticks.map((s) => [s, p] as const)));
  const { orders, mistakes } = buildOrder(d, way);
  return {
    mistakes,
    steps: orders.flatMap((a, k) => {
      const s = d.structures[k]!;
      return a.steps.map((st): ShownStep => {
        const count = new Map<string, ShownStep["marks"][number]>();
        for (const id of st.sticks) {
          const p = piece.get(id);
          if (!p) continue;
          const known = count.get(p.mark);
          count.set(p.mark, { mark: p.mark, role: p.role, overall: p.shape.overall, count: (known?.count ?? 0) + 1 });
        }
        return { ...st, print: printOf(d, st.sticks), marks: [...count.values()], structureName: s.structure.name };
      });
    }),
  };
}
/** The finish as the bench shows it: sticks by their number alone. */
export interface ShownFinish {
  readonly parts: readonly (Omit<FinishPart, "sticks"> & { readonly pieces: number; readonly glued: number })[];
  readonly coats: readonly (Omit<CoatQuantity, "parts"> & { readonly on: readonly string[] })[];
}
export function shownFinish(d: Design): ShownFinish {
  const parts = finishParts(d);
  const shown = parts.map(({ sticks, ...p }) => ({ ...p, pieces: sticks.length, glued: gluedArea(glueFaces(d.structures.find((s) => s.structure.id === p.structure)!, { ...p, sticks })) })); // prettier-ignore
  return { parts: shown, coats: quantities(parts).map(({ parts: on, ...q }) => ({ ...q, on: on.map((p) => GROUP_WORDS[p.group]) })) }; // prettier-ignore
}
const f = (x: number): string => x.toFixed(2);
/** How a step looks, y down, at the scale of the whole that it is of: `whole` are the sticks of its sub-assembly, all of the structure where they are left out. What is still to come is only hinted at. Undefined where there is nothing to be seen. */
export function stepPicture(
  d: Design,
  step: Pick<Step, "structure" | "sticks" | "there" | "view">,
  whole?: readonly string[],
): StepPicture | undefined {
  const s = d.structures.find((x) => x.structure.id === step.structure);
  if (!s) return undefined;
  const [fresh, there] = [new Set(step.sticks), new Set(step.there)];
  const all = whole && new Set(whole);
  const seen = elevation(all ? s.resolved.sticks.filter((k) => all.has(k.id)) : s.resolved.sticks, { id: "side", ...step.view }); // prettier-ignore
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const k of seen) [x0, y0, x1, y1] = [Math.min(x0, k.min[0]), Math.min(y0, k.min[1]), Math.max(x1, k.max[0]), Math.max(y1, k.max[1])]; // prettier-ignore
  if (!(x1 > x0 && y1 > y0)) return undefined;
  const to = ([x, y]: Vec2): string => `${f(x - x0)} ${f(y1 - y)}`;
  const path = (k: (typeof seen)[number]): string => k.outlines.map((o) => `M${o.map(to).join("L")}${o.length > 2 ? "Z" : ""}`).join(""); // prettier-ignore
  const isThere = (id: string): boolean => fresh.has(id) || there.has(id);
  return {
    box: [0, 0, x1 - x0, y1 - y0],
    hint: seen
      .filter((k) => !isThere(k.id))
      .map(path)
      .join(""),
    shapes: seen.filter((k) => isThere(k.id)).map((k) => ({ id: k.id, fresh: fresh.has(k.id), d: path(k) })),
  };
}
