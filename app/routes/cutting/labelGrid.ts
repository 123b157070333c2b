import { USUAL_LABELS, type LabelGrid } from "core/lists/labelGrid";
import { recallJson, remember } from "~/ui/remembered";

const KEY = "cardo-labels";
/** A sheet of labels, and how many of the first are gone from it. */
export type Grid = LabelGrid & { readonly skip: number };
const USUAL: Grid = { ...USUAL_LABELS, skip: 0 };
/** The sheet of labels that this browser remembers. */
export function labelGrid(): Grid {
  const read = (recallJson(KEY) ?? {}) as Partial<Grid>;
  return Object.fromEntries(Object.entries(USUAL).map(([k, v]) => [k, Number.isFinite(read[k as keyof Grid]) ? read[k as keyof Grid] : v])) as unknown as Grid; // prettier-ignore
}
export const keepLabelGrid = (g: Grid): void => remember(KEY, JSON.stringify(g));
