/** A sheet of labels as it is sold: how many across and down, the margins at its left and top, and the gaps between two labels, mm; they fill what is left, as far at the right and the foot. */
export interface LabelGrid {
  readonly across: number;
  readonly down: number;
  readonly left: number;
  readonly top: number;
  readonly gapAcross: number;
  readonly gapDown: number;
}
/** Three across and eight down, up to the edges of the sheet but for a margin at top and foot. Common practice. */
export const USUAL_LABELS: LabelGrid = { across: 3, down: 8, left: 4, top: 12, gapAcross: 2, gapDown: 0 };
