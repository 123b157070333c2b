import { useState } from "react";
import { toast } from "sonner";
import { BOOKLET, type BookletPart } from "core/lists/bookletParts";
import { useShopping } from "~/routes/cutting/Shopping";
import { labelGrid } from "~/routes/cutting/labelGrid";
import { useLayoutHand } from "~/routes/cutting/layoutHand";
import { Modal } from "~/ui/Modal";
import { PaperChoice } from "~/ui/PaperChoice";
import { recallJson, remember } from "~/ui/remembered";
import { askDrafter } from "./framer";
import { useJob } from "./JobContext";
import { pdfFonts } from "./pdfFonts";
import { fileName, saveFile } from "./saveFile";
import { useDrawer } from "./useDrawer";
import { usePaper } from "./usePaper";
import { usePlan } from "./usePlan";
import { correctionNow } from "./usePrinters";
import { useSheetPlans } from "./useSheetPlans";

const ALL = Object.keys(BOOKLET) as BookletPart[];
const KEY = "cardo-booklet";
/** To spare, percent, as the shopping list begins with. */
const SPARE = 10;

/** Everything of the job in one PDF, chosen by ticks that this browser remembers. */
export function Booklet({ close }: { close: () => void }) {
  const job = useJob();
  const [paper, setPaper] = usePaper();
  const [off, setOff] = useState<ReadonlySet<string>>(() => {
    const known = recallJson(KEY);
    return new Set(Array.isArray(known) ? known : ["labels", "notes"]);
  });
  const [making, setMaking] = useState(false);
  const drawer = useDrawer();
  const plan = usePlan(drawer?.held);
  const sheets = useSheetPlans(drawer?.held);
  const hand = useLayoutHand(drawer);
  const sticks = plan.plans.flatMap((p) => (p ? [p.plan] : []));
  const shopping = useShopping(true, sticks, sheets.plans, drawer, hand.item, hand.cut);
  const flip = (p: BookletPart): void => {
    const next = new Set(off);
    if (!next.delete(p)) next.add(p);
    setOff(next);
    remember(KEY, JSON.stringify([...next]));
  };
  const make = async (): Promise<void> => {
    setMaking(true);
    try {
      const laid = sheets.plans.flatMap((p) => (p.result ? [{ job: p.job, result: p.result }] : []));
      const planned = { done: hand.cut, sticks, sheets: laid, wanted: shopping.wanted, quotes: shopping.quotes, spare: SPARE, labels: labelGrid() }; // prettier-ignore
      const ticked = ALL.filter((p) => !off.has(p));
      const fonts = await pdfFonts();
      const date = new Date().toISOString().slice(0, 10);
      const made = await askDrafter((w) => w.booklet(job.ask, date, paper, ticked, planned, fonts, correctionNow().correct)); // prettier-ignore
      if (ticked.includes("jigs")) job.addIssue("print");
      saveFile(made, fileName(`${job.doc.name} booklet`, "pdf"));
      close();
    } catch (e) {
      toast.error(`The booklet could not be made: ${(e as Error).message}`);
    }
    setMaking(false);
  };
  const waiting = !drawer || plan.plans.some((p) => !p) || sheets.plans.some((p) => !p.result);
  return (
    <Modal open onClose={close} title="Print a booklet">
      <p className="mt-1 text-ink-2">Everything of this job in one PDF. What has nothing in it is left out.</p>
      <ul className="mt-3 grid grid-cols-2 gap-x-4">
        {ALL.map((p) => (
          <li key={p}>
            <label className="flex min-h-8 items-center gap-2">
              <input
                type="checkbox"
                className="size-4.5 accent-[var(--vermilion)]"
                checked={!off.has(p)}
                onChange={() => flip(p)}
              />
              {BOOKLET[p]}
            </label>
          </li>
        ))}
      </ul>
      <div className="mt-4 flex flex-wrap items-center gap-4">
        <PaperChoice paper={paper} choose={setPaper} />
        <button className="act" disabled={making || waiting || off.size >= ALL.length} onClick={() => void make()}>
          {making ? "Making it …" : "Make the PDF"}
        </button>
        <span role="status" className="text-[15px] text-ink-2">
          {waiting
            ? "Being planned …"
            : plan.seeking || sheets.seeking
              ? "Better plans are looked for still; what is found by now is printed."
              : ""}
        </span>
      </div>
      <p className="mt-3 text-[15px] text-ink-2">
        Print at 100 %, “actual size”. Labels want a page of their own sheet.
      </p>
    </Modal>
  );
}
