import { useMemo } from "react";
import type { CutMove } from "core/drawer";
import type { PieceShape } from "core/frame";
import { stockItem, type StockItem } from "core/lumber";
import { useJob } from "~/job/JobContext";
import { useCutMarks } from "~/job/useCutMarks";
import { useDoneSticks } from "~/job/useDoneSticks";
import { useUnits } from "~/job/units";
import type { DrawerState } from "~/job/useDrawer";

/** What layouts of sticks and sheets are drawn with and act on: the pieces of one job or of several. */
export interface LayoutHand {
  /** Of each piece by its mark. */
  readonly shapes: ReadonlyMap<string, PieceShape>;
  readonly item: (id: string) => StockItem;
  readonly cut: ReadonlySet<string>;
  readonly selected: string | undefined;
  readonly drawer: DrawerState | undefined;
  /** Prints a model length, mm. */
  readonly M: (mm: number, decimals?: number) => string;
  readonly select: (stick: string) => void;
  readonly mark: (sticks: readonly string[], moves: readonly CutMove[]) => void;
  readonly takeBack: (sticks: readonly string[]) => void;
}

/** The pieces of the job at hand. */
export function useLayoutHand(drawer: DrawerState | undefined): LayoutHand {
  const { design, selected, select } = useJob();
  const { M } = useUnits();
  const { mark, takeBack } = useCutMarks();
  const shapes = useMemo(() => new Map(design.pieces.map((p) => [p.mark, p.shape])), [design.pieces]);
  const cut = useDoneSticks();
  const { scale } = design;
  return useMemo(
    () => ({ shapes, cut, selected, drawer, M, select, mark, takeBack, item: (id) => stockItem(scale, id)! }),
    [shapes, cut, selected, drawer, M, select, mark, takeBack, scale],
  );
}
