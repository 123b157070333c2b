import { lazy, Suspense, useCallback, useMemo, useState, type ReactNode } from "react";
import { toast } from "sonner";
import { PAPERS, type PaperId } from "core/drawing";
import { shortHash } from "core/job";
import { useJob } from "~/job/JobContext";
import { askDrafter } from "~/job/framer";
import { pdfFonts } from "~/job/pdfFonts";
import { saveFile } from "~/job/saveFile";
import { useAnswer } from "~/job/useAnswer";
import { clockOf } from "~/job/useKeeping";
import { usePaper } from "~/job/usePaper";
import { correctionNow } from "~/job/usePrinters";
import { SelectField } from "~/ui/Fields";
import { Next } from "~/ui/Next";
import { SidePanel } from "~/ui/SidePanel";
import { Tabs } from "~/ui/Tabs";
import { Cutter } from "./Cutter";
import { PageView } from "./PageView";
import { Printers } from "./Printers";

// plates, their files and solids are fetched when they are asked for
const Workshop = lazy(() => import("./Workshop").then((m) => ({ default: m.Workshop })));

const Papers = lazy(() => import("./Papers").then((m) => ({ default: m.Papers })));

const TABS = { templates: "Templates", workshop: "Workshop jigs", papers: "Printed papers" } as const;

/** The sheets of the job, jigs as things beside them, and papers to be printed. */
export default function Jigs() {
  const [tab, setTab] = useState<keyof typeof TABS>("templates");
  const tabs = <Tabs tabs={TABS} now={tab} choose={setTab} />;
  return tab === "templates" ? (
    <Templates tabs={tabs} />
  ) : (
    <Suspense fallback={<p className="p-10 text-lg">Fetching the {tab === "papers" ? "papers" : "jigs"} …</p>}>
      {tab === "papers" ? <Papers tabs={tabs} /> : <Workshop tabs={tabs} />}
    </Suspense>
  );
}

/** Full-size templates: looked at as the pages they print on, printed, and told when they are stale. */
function Templates({ tabs }: { tabs: ReactNode }) {
  const job = useJob();
  const [paper, setPaper] = usePaper();
  const [off, setOff] = useState<ReadonlySet<string>>(new Set());
  const [which, setWhich] = useState(0);
  const [page, setPage] = useState(0);
  const today = useMemo(() => new Date().toISOString().slice(0, 10), []);
  const { ask } = job;
  const list = useAnswer(useCallback(() => askDrafter((w) => w.list(ask, today, paper)), [ask, today, paper]));
  const sheets = list.answer?.sheets ?? [];
  // an undo may leave fewer than there were
  const at = Math.max(0, Math.min(which, sheets.length - 1));
  const turned = useAnswer(
    useCallback(() => askDrafter((w) => w.page(ask, today, paper, at, page)), [ask, today, paper, at, page]),
  );
  const sheet = sheets[at];
  const [making, setMaking] = useState(false);
  if (!list.answer)
    return (
      <p className="p-10 text-lg" role="status">
        {list.fault === undefined ? "Drawing the sheets …" : `The sheets could not be drawn: ${list.fault}`}
      </p>
    );
  if (!sheet)
    return (
      <div className="max-w-2xl p-10">
        {tabs}
        <h2 className="head mt-4 text-[27px]">No template yet</h2>
        <p className="my-3">
          Frame a structure and its full-size template is here, ready to print. The demo job “Gulch trestle” has one.
        </p>
        <Next />
      </div>
    );
  const { hash } = list.answer;
  const listed = sheets.map((x, n) => ({ n, name: x.title, pages: x.pages }));
  const picked = listed.filter((x) => !off.has(x.name));
  const pageCount = picked.reduce((k, x) => k + x.pages, 0);
  const prints = [...job.issues].filter((i) => i.kind === "print").reverse();
  /** Makes a file of sheets while the page goes on, and saves it. */
  const save = async (name: string, make: () => Promise<Blob>): Promise<void> => {
    setMaking(true);
    try {
      saveFile(await make(), name);
    } catch (e) {
      toast.error(`${name} could not be made: ${(e as Error).message}`);
    }
    setMaking(false);
  };
  const print = (): Promise<void> => {
    job.addIssue("print");
    const numbers = picked.map((x) => x.n);
    return save(`${sheets[numbers[0]!]!.fileName}-${paper}.pdf`, async () => {
      const fonts = await pdfFonts();
      return askDrafter((w) => w.pdf(ask, today, paper, numbers, fonts, correctionNow().correct));
    });
  };
  const drawing = (as: "svg" | "dxf"): Promise<void> =>
    save(`${sheet.fileName}.${as}`, () => askDrafter((w) => w.drawing(ask, today, at, as)));
  return (
    <div className="stage flex h-full">
      <div className="stage-main flex min-w-0 flex-1 flex-col">
        <div className="flex flex-wrap items-end gap-3 px-7 pt-3">
          {tabs}
          {sheets.length > 1 && (
            <div className="w-60">
              <SelectField
                label="Sheet"
                value={String(at)}
                options={sheets.map((s, i) => ({ value: String(i), label: s.title }))}
                keep={(v) => {
                  setWhich(Number(v));
                  setPage(0);
                }}
              />
            </div>
          )}
          <div className="w-32">
            <SelectField
              label="Paper"
              value={paper}
              options={(Object.keys(PAPERS) as PaperId[]).map((p) => ({ value: p, label: p }))}
              keep={(p) => {
                setPaper(p);
                setPage(0);
              }}
            />
          </div>
          <button className="act" disabled={picked.length === 0 || making} onClick={() => void print()}>
            {making ? "Making it …" : "Print jigs (PDF)"}
          </button>
          <span className="self-center text-[15px] text-ink-2" role="status">
            {picked.length === 0
              ? "no sheet is ticked"
              : `${picked.length === listed.length ? "" : `${picked.length} of `}${listed.length} ${listed.length === 1 ? "sheet" : "sheets"}, ${pageCount} ${pageCount === 1 ? "page" : "pages"}`}
          </span>
          {(["svg", "dxf"] as const).map((as) => (
            <button key={as} className="btn" disabled={making} onClick={() => void drawing(as)}>
              {as.toUpperCase()}
            </button>
          ))}
          {sheet.pages > 1 && (
            <span className="ml-auto flex items-center gap-2">
              <button className="btn" aria-label="Page before" disabled={page === 0} onClick={() => setPage(page - 1)}>
                ‹
              </button>
              Page {Math.min(page, sheet.pages - 1) + 1} of {sheet.pages}
              <button
                className="btn"
                aria-label="Next page"
                disabled={page >= sheet.pages - 1}
                onClick={() => setPage(page + 1)}
              >
                ›
              </button>
            </span>
          )}
        </div>
        <div className="mt-3 flex min-h-0 flex-1 border-t border-hair bg-shade">
          {turned.answer && <PageView page={turned.answer} label={sheet.title} />}
        </div>
      </div>
      <SidePanel label="Prints">
        <div className="space-y-5 text-[15px]">
          {listed.length > 1 && (
            <section>
              <h2 className="label">Sheets to print</h2>
              <p className="flex gap-4">
                <button className="link min-h-6" onClick={() => setOff(new Set())}>
                  All
                </button>
                <button className="link min-h-6" onClick={() => setOff(new Set(listed.map((x) => x.name)))}>
                  None
                </button>
                <button
                  className="link min-h-6"
                  onClick={() => setOff(new Set(listed.filter((x) => x.name !== sheet.title).map((x) => x.name)))}
                >
                  Only the one shown
                </button>
              </p>
              <ul>
                {listed.map((x) => (
                  <li key={x.name} className="row flex items-center gap-2 py-0.5">
                    <label className="flex min-h-6 min-w-0 flex-1 items-center gap-2">
                      <input
                        type="checkbox"
                        className="size-4.5 shrink-0"
                        checked={!off.has(x.name)}
                        onChange={() =>
                          setOff((o) => {
                            const next = new Set(o);
                            if (!next.delete(x.name)) next.add(x.name);
                            return next;
                          })
                        }
                      />
                      <span className="min-w-0">{x.name}</span>
                    </label>
                    <span className="shrink-0 text-ink-2">
                      {x.pages} {x.pages === 1 ? "page" : "pages"}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          )}
          <Cutter save={save} busy={making} />
          <section>
            <h2 className="label">How to print it true</h2>
            <ol className="ml-5 list-decimal space-y-1">
              <li>Print at 100 %, “actual size”, never “fit to page”.</li>
              <li>Measure the 150 mm or 6 in bar on the page, along both edges.</li>
              <li>More than one page: cut along the frame on two sides and lay the crosses on each other.</li>
              <li>
                Film or wax paper over it; a strip along each fence line; first what runs through, such as cap and sill,
                then what butts on it, one by one. Braces on the faces go on when the frame is lifted off.
              </li>
            </ol>
          </section>
          <Printers />
          <section>
            <h2 className="label">Prints</h2>
            {prints.length === 0 && (
              <p className="text-ink-2">Not printed yet. This design is issue {shortHash(hash)}.</p>
            )}
            <ul>
              {prints.map((i) => (
                <li key={i.id} className="row py-1.5">
                  <b className="head">{shortHash(i.hash)}</b> {i.at.slice(0, 10)} {clockOf(new Date(i.at))}{" "}
                  {i.hash === hash ? (
                    <b className="text-verdigris">✓ as the design is</b>
                  ) : (
                    <b className="text-ochre">stale: the design has changed</b>
                  )}
                </li>
              ))}
            </ul>
          </section>
        </div>
      </SidePanel>
    </div>
  );
}
