import { useMemo, useState } from "react";
import { Link } from "react-router";
import { toast } from "sonner";
import { AIMS } from "core/cutting";
import { SHOPPING_COLUMNS, shoppingRows } from "core/drawer";
import type { PagePlan } from "core/drawing";
import type * as Lists from "core/lists";
import { Ticket } from "~/board/Ticket";
import { useJob } from "~/job/JobContext";
import { fileName, saveFile } from "~/job/saveFile";
import { useDrawer } from "~/job/useDrawer";
import { usePaper } from "~/job/usePaper";
import { usePlan } from "~/job/usePlan";
import { useSheetPlans } from "~/job/useSheetPlans";
import { useUnits } from "~/job/units";
import { LengthField } from "~/ui/Fields";
import { SidePanel } from "~/ui/SidePanel";
import { PaperChoice } from "~/ui/PaperChoice";
import { Tabs } from "~/ui/Tabs";
import { AimChoice } from "./AimChoice";
import { CutList } from "./CutList";
import { useLayoutHand } from "./layoutHand";
import { MaterialChart } from "./MaterialChart";
import { Labels } from "./Labels";
import { SetUps, useSetUps } from "./SetUps";
import { SheetLayout } from "./SheetLayout";
import { SheetSettings } from "./SheetSettings";
import { Shopping, useShopping } from "./Shopping";
import { StickLayout } from "./StickLayout";

const TABS = {
  list: "Cut list",
  setups: "Set-ups",
  sticks: "Stick layout",
  sheets: "Sheet layout",
  buy: "To buy",
} as const;

/** What to cut and from which stick. */
export default function Cutting() {
  const job = useJob();
  const { M } = useUnits();
  const [tab, setTab] = useState<keyof typeof TABS>("list");
  const drawer = useDrawer();
  const hand = useLayoutHand(drawer);
  const plan = usePlan(drawer?.held);
  // laid out once they are asked for, and kept from then on
  const [sheetsAsked, askSheets] = useState(false);
  if (!sheetsAsked && (tab === "sheets" || tab === "buy")) askSheets(true);
  const sheets = useSheetPlans(sheetsAsked ? drawer?.held : undefined);
  const { cutting, brief } = job.doc;
  const small =
    (what: "kerf" | "allowance", label: string, most: number) =>
    (mm: number): readonly string[] =>
      mm >= 0 && mm <= most
        ? job.edit(label, (d) => void (d.cutting[what] = mm))
        : [`Read ${M(mm, 2)}; it may be from 0 to ${M(most)}.`];
  const planned = useMemo(() => plan.plans.flatMap((p) => (p ? [p.plan] : [])), [plan.plans]);
  const settings = useSetUps();
  const shopping = useShopping(tab === "buy", planned, sheets.plans, drawer, hand.item, hand.cut);
  const [spare, setSpare] = useState(10);
  const [paper, setPaper] = usePaper();
  const today = (): string => new Date().toISOString().slice(0, 10);
  const print = async (name: string, make: (l: typeof Lists) => PagePlan): Promise<void> => {
    try {
      const [lists, { savePdf }] = await Promise.all([import("core/lists"), import("~/job/savePdf")]);
      await savePdf([{ name, plan: make(lists) }], `${job.doc.name}: ${name.toLowerCase()}`, `${name}.pdf`);
    } catch (e) {
      toast.error(`The ${name.toLowerCase()} could not be made: ${(e as Error).message}`);
    }
  };
  const saveTable = async (
    name: string,
    fields: readonly string[],
    rows: readonly (readonly (string | number)[])[],
  ): Promise<void> => {
    const { default: Papa } = await import("papaparse");
    // the mark at the start tells a spreadsheet that it is UTF-8
    const text = `\uFEFF${Papa.unparse({ fields: [...fields], data: rows.map((r) => [...r]) })}\r\n`;
    saveFile(new Blob([text], { type: "text/csv" }), fileName(`${job.doc.name} ${name}`, "csv"));
  };
  const saveCsv = async (): Promise<void> => {
    const { columns, rows } = (await import("core/job")).cutTable(job.design);
    await saveTable("cut list", columns, rows);
  };
  const printCutList = (): Promise<void> => print("Cut list", (l) => l.cutListPages(job.design, paper, today()));
  const printSticks = (): Promise<void> =>
    print("Stick layout", (l) => l.stickPages(l.listed(job.design), planned, paper, today()));
  const laidOut = sheets.plans.flatMap((p) => (p.result ? [{ job: p.job, result: p.result }] : []));
  const printSheets = (): Promise<void> =>
    print("Sheet layout", (l) => l.sheetPages(l.listed(job.design), laidOut, paper, today()));
  const printShopping = (): Promise<void> =>
    print("Shopping list", (l) =>
      l.shoppingPages(l.listed(job.design), shopping.wanted, shopping.quotes, spare, paper, today()),
    );
  const printSettings = (): Promise<void> =>
    print("Set-ups", (l) => l.setUpPages(job.design, settings, paper, today()));
  const saveShopping = async (): Promise<void> => {
    const rows = shoppingRows(shopping.wanted, shopping.quotes, spare, brief.units.model);
    await saveTable("shopping list", SHOPPING_COLUMNS, rows);
  };
  return (
    <div className="stage flex h-full">
      <div className="stage-main flex min-w-0 flex-1 flex-col">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2 px-7 pt-3">
          <Tabs tabs={TABS} now={tab} choose={setTab} />
          <span className="ml-auto">
            <PaperChoice paper={paper} choose={setPaper} />
          </span>
          {tab === "list" ? (
            <>
              <button className="btn" disabled={job.design.pieces.length === 0} onClick={() => void printCutList()}>
                Cut list (PDF)
              </button>
              <button className="btn" disabled={job.design.pieces.length === 0} onClick={() => void saveCsv()}>
                Cut list as CSV
              </button>
            </>
          ) : tab === "setups" ? (
            <button className="btn" disabled={settings.length === 0} onClick={() => void printSettings()}>
              Set-up cards (PDF)
            </button>
          ) : tab === "sticks" ? (
            <button className="btn" disabled={planned.length === 0} onClick={() => void printSticks()}>
              Stick layout (PDF)
            </button>
          ) : tab === "sheets" ? (
            <button className="btn" disabled={laidOut.length === 0} onClick={() => void printSheets()}>
              Sheet layout (PDF)
            </button>
          ) : (
            <>
              <button className="btn" disabled={shopping.wanted.length === 0} onClick={() => void printShopping()}>
                Shopping list (PDF)
              </button>
              <button className="btn" disabled={shopping.wanted.length === 0} onClick={() => void saveShopping()}>
                As CSV
              </button>
            </>
          )}
        </div>
        <div data-scrolls className="min-h-0 flex-1 overflow-auto px-7 py-3">
          {job.design.pieces.length === 0 ? (
            <p className="text-lg">
              There is nothing to cut yet. Frame a structure first; the demo job “Gulch trestle” has a cut list.
            </p>
          ) : tab === "list" ? (
            <CutList />
          ) : tab === "setups" ? (
            <SetUps all={settings} />
          ) : tab === "sticks" ? (
            <StickLayout plan={plan} hand={hand} none="Every piece is cut. What was cut is under Bench." />
          ) : tab === "sheets" ? (
            <SheetLayout
              sheets={sheets}
              hand={hand}
              none="Nothing of this job is cut from sheet. A building of sheet, an awning or a platform is; the demo job “Company store” shows how this looks."
            />
          ) : (
            <Shopping
              state={shopping}
              spare={spare}
              setSpare={setSpare}
              seeking={plan.seeking || sheets.seeking}
              unit={brief.units.model}
            />
          )}
        </div>
        <p className="border-t border-hair px-7 py-2 text-[15px] text-ink-2">
          Cut away from the hand with a new blade in several light passes; wear eye protection at saws and when sticks
          snap.
        </p>
      </div>
      <SidePanel label="Ticket">
        <Ticket />
        <label className="flex items-start gap-2 text-[15px]">
          <input
            type="checkbox"
            className="mt-1 accent-[var(--vermilion)]"
            checked={job.doc.useDrawer !== false}
            onChange={(e) => {
              const on = e.target.checked;
              job.edit("Take from the drawer", (d) => void (on ? delete d.useDrawer : (d.useDrawer = false)));
            }}
          />
          Plans take what lies in the drawer first
        </label>
        {tab === "sheets" ? (
          <SheetSettings jobs={sheets.plans.map((p) => p.job)} />
        ) : (
          <>
            <section className="space-y-2">
              <h2 className="label">The saw</h2>
              <LengthField
                label="Kerf"
                world="model"
                mm={cutting.kerf}
                units={brief.units}
                hint="Width of the saw's cut; 0 for a knife or chopper."
                keep={small("kerf", "Kerf", 10)}
              />
              <LengthField
                label="Allowance"
                world="model"
                mm={cutting.allowance}
                units={brief.units}
                hint="Left on each piece to sand to the line."
                keep={small("allowance", "Allowance", 20)}
              />
            </section>
            {(tab === "sticks" || tab === "buy") && (
              <AimChoice
                aim={cutting.aim ?? "price"}
                choose={(a) =>
                  job.edit(`Aim: ${AIMS[a].name.toLowerCase()}`, (d) => {
                    if (a === "price") delete d.cutting.aim;
                    else d.cutting.aim = a;
                  })
                }
              />
            )}
            {tab === "sticks" && (
              <p className="text-[15px]">
                <Link className="link" to="/drawer/together" state={{ from: `/jobs/${job.id}/cutting` }}>
                  Plan it together with other jobs
                </Link>
              </p>
            )}
            {tab === "list" && <Labels paper={paper} />}
            <MaterialChart plans={planned} kerf={cutting.kerf} />
          </>
        )}
      </SidePanel>
    </div>
  );
}
