import { parseNumber } from "core/units";
import { useState } from "react";
import { toast } from "sonner";
import type { PaperId } from "core/drawing";
import { useJob } from "~/job/JobContext";
import { TextField } from "~/ui/Fields";
import { keepLabelGrid, labelGrid, type Grid } from "./labelGrid";

const FIELDS: readonly (readonly [keyof Grid, string, number, number, boolean])[] = [
  ["across", "Labels across", 1, 10, true],
  ["down", "Labels down", 1, 30, true],
  ["left", "Margin left, mm", 0, 60, false],
  ["top", "Margin top, mm", 0, 60, false],
  ["gapAcross", "Gap across, mm", 0, 30, false],
  ["gapDown", "Gap down, mm", 0, 30, false],
  ["skip", "First labels that are gone", 0, 299, true],
];

/** Labels for the trays of the pieces, on a sheet of any grid that this browser remembers. */
export function Labels({ paper }: { paper: PaperId }) {
  const { design, doc } = useJob();
  const [grid, setGrid] = useState(labelGrid);
  const keep =
    (k: keyof Grid, least: number, most: number, whole: boolean) =>
    (t: string): readonly string[] | void => {
      const n = parseNumber(t, "mm");
      if (!(n >= least && n <= most && (!whole || Number.isInteger(n)))) return [`Read “${t}”; write ${whole ? "a whole number" : "mm"} from ${least} to ${most}.`]; // prettier-ignore
      const next = { ...grid, [k]: n };
      setGrid(next);
      keepLabelGrid(next);
    };
  const print = async (): Promise<void> => {
    try {
      const [{ labelPages }, { savePdf }] = await Promise.all([import("core/lists"), import("~/job/savePdf")]);
      await savePdf([{ name: "Labels", plan: labelPages(design, grid, paper, grid.skip) }], `${doc.name}: labels`, "Labels.pdf"); // prettier-ignore
    } catch (e) {
      toast.error((e as Error).message);
    }
  };
  return (
    <details>
      <summary className="label cursor-pointer">Labels for trays</summary>
      <div className="mt-2 grid grid-cols-2 gap-x-3 gap-y-1">
        {FIELDS.map(([k, label, least, most, whole]) => (
          <TextField key={k} label={label} value={String(grid[k])} keep={keep(k, least, most, whole)} />
        ))}
      </div>
      <button className="btn mt-2" disabled={design.pieces.length === 0} onClick={() => void print()}>
        Labels (PDF)
      </button>
      <p className="mt-1 text-[14px] text-ink-2">Print at 100 %, on the paper chosen above.</p>
    </details>
  );
}
