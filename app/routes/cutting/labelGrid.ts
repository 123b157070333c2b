import type { LabelGrid } from "core/lists";
import { recallJson, remember } from "~/ui/remembered";

const KEY = "cardo-labels";
/** A sheet of labels, and how many of the first are gone from it. */
export type Grid = LabelGrid & { readonly skip: number };
/** As core/lists has it: told here again, so that lists are not fetched for a form. */
const USUAL: Grid = { across: 3, down: 8, left: 4, top: 12, gapAcross: 2, gapDown: 0, skip: 0 };
/** The sheet of labels that this browser remembers. */
export function labelGrid(): Grid {
  const read = (recallJson(KEY) ?? {}) as Partial<Grid>;
  return Object.fromEntries(Object.entries(USUAL).map(([k, v]) => [k, Number.isFinite(read[k as keyof Grid]) ? read[k as keyof Grid] : v])) as unknown as Grid; // prettier-ignore
}
export const keepLabelGrid = (g: Grid): void => remember(KEY, JSON.stringify(g));
