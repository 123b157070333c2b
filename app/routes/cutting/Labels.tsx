import { useState } from "react";
import { toast } from "sonner";
import type { PaperId } from "core/drawing";
import type { LabelGrid } from "core/lists";
import { useJob } from "~/job/JobContext";
import { TextField } from "~/ui/Fields";
import { recallJson, remember } from "~/ui/remembered";

const KEY = "cardo-labels";
/** As core/lists has it: told here again, so that lists are not fetched for a form. */
type Grid = LabelGrid & { readonly skip: number };
const USUAL: Grid = { across: 3, down: 8, left: 4, top: 12, gapAcross: 2, gapDown: 0, skip: 0 };
function known(): Grid {
  const read = (recallJson(KEY) ?? {}) as Partial<Grid>;
  return Object.fromEntries(Object.entries(USUAL).map(([k, v]) => [k, Number.isFinite(read[k as keyof Grid]) ? read[k as keyof Grid] : v])) as unknown as Grid; // prettier-ignore
}
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
  const [grid, setGrid] = useState(known);
  const keep =
    (k: keyof Grid, least: number, most: number, whole: boolean) =>
    (t: string): readonly string[] | void => {
      const n = Number(t.replace(",", ".").replace(/\s*mm$/, ""));
      if (!(t.trim() !== "" && n >= least && n <= most && (!whole || Number.isInteger(n)))) return [`Read “${t}”; write ${whole ? "a whole number" : "mm"} from ${least} to ${most}.`]; // prettier-ignore
      const next = { ...grid, [k]: n };
      setGrid(next);
      remember(KEY, JSON.stringify(next));
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
