import { useMemo, useState } from "react";
import { toast } from "sonner";
import { pageSvg, PAPERS, type Page, type PaperId, type PagePlan } from "core/drawing";
import { jigSheets, pagesOf } from "core/jigs";
import { designHash, shortHash } from "core/job";
import { Board } from "~/board/Board";
import { useJob } from "~/job/JobContext";
import { clockOf } from "~/job/useKeeping";
import { usePaper } from "~/job/usePaper";
import { SelectField } from "~/ui/Fields";
import { Next } from "~/ui/Next";
import { SidePanel } from "~/ui/SidePanel";

const PADDING = [20, 16, 20, 60] as const;

/** Full-size templates: looked at as the pages they print on, printed, and told when they are stale. */
export default function Jigs() {
  const job = useJob();
  const [paper, setPaper] = usePaper();
  const [off, setOff] = useState<ReadonlySet<string>>(new Set());
  const [which, setWhich] = useState(0);
  const [page, setPage] = useState(0);
  const today = useMemo(() => new Date().toISOString().slice(0, 10), []);
  const sheets = useMemo(() => jigSheets(job.design, today), [job.design, today]);
  const sheet = sheets[Math.min(which, sheets.length - 1)];
  const counts = useMemo(() => sheets.map((x) => pagesOf(x, paper).pages.length), [sheets, paper]);
  const plan = useMemo(() => sheet && pagesOf(sheet, paper), [sheet, paper]);
  if (!sheet || !plan)
    return (
      <div className="max-w-2xl p-10">
        <h2 className="head text-[27px]">No jig yet</h2>
        <p className="my-3">
          Frame a structure and its full-size template is here, ready to print. The demo job “Gulch trestle” has one.
        </p>
        <Next />
      </div>
    );
  const hash = designHash(job.design);
  const listed = sheets.map((x, n) => ({ n, name: x.words.title, pages: counts[n]! }));
  const picked = listed.filter((x) => !off.has(x.name));
  const pageCount = picked.reduce((k, x) => k + x.pages, 0);
  const prints = [...job.issues].filter((i) => i.kind === "print").reverse();
  const shown = plan.pages[Math.min(page, plan.pages.length - 1)]!;
  const print = async (): Promise<void> => {
    job.addIssue("print");
    if (!(await job.whenKept()))
      return void toast.error("The server does not answer, so no sheet can be made. The print is noted; try again in a moment."); // prettier-ignore
    const which = off.size > 0 ? `&sheets=${picked.map((x) => x.n).join(",")}` : "";
    window.location.assign(`/jobs/${job.id}/sheets/jigs.pdf?paper=${paper}&date=${today}${which}`);
  };
  return (
    <div className="stage flex h-full">
      <div className="stage-main flex min-w-0 flex-1 flex-col">
        <div className="flex flex-wrap items-end gap-3 px-7 pt-3">
          {sheets.length > 1 && (
            <div className="w-60">
              <SelectField
                label="Sheet"
                value={String(which)}
                options={sheets.map((s, i) => ({ value: String(i), label: s.words.title }))}
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
          <button className="act" disabled={picked.length === 0} onClick={() => void print()}>
            Print jigs (PDF)
          </button>
          <span className="self-center text-[15px] text-ink-2" role="status">
            {picked.length === 0
              ? "no sheet is ticked"
              : `${picked.length === listed.length ? "" : `${picked.length} of `}${listed.length} ${listed.length === 1 ? "sheet" : "sheets"}, ${pageCount} ${pageCount === 1 ? "page" : "pages"}`}
          </span>
          <a className="btn" href={`/jobs/${job.id}/sheets/${sheet.fileName}.svg?date=${today}`} download>
            SVG
          </a>
          <a className="btn" href={`/jobs/${job.id}/sheets/${sheet.fileName}.dxf?date=${today}`} download>
            DXF
          </a>
          {plan.pages.length > 1 && (
            <span className="ml-auto flex items-center gap-2">
              <button className="btn" aria-label="Page before" disabled={page === 0} onClick={() => setPage(page - 1)}>
                ‹
              </button>
              Page {Math.min(page, plan.pages.length - 1) + 1} of {plan.pages.length}
              <button
                className="btn"
                aria-label="Next page"
                disabled={page >= plan.pages.length - 1}
                onClick={() => setPage(page + 1)}
              >
                ›
              </button>
            </span>
          )}
        </div>
        <div className="mt-3 flex min-h-0 flex-1 border-t border-hair bg-shade">
          <PageView plan={plan} page={shown} label={sheet.words.title} />
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
                  onClick={() => setOff(new Set(listed.filter((x) => x.name !== sheet.words.title).map((x) => x.name)))}
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

/** One page as it will come out of the printer. */
function PageView({ plan, page, label }: { plan: PagePlan; page: Page; label: string }) {
  const svg = useMemo(() => pageSvg(plan, page), [plan, page]);
  const [w, h] = page.size;
  const bounds = useMemo(() => ({ min: [0, 0] as const, max: [w, h] as const }), [w, h]);
  return (
    <Board label={`Page of ${label}`} bounds={bounds} padding={PADDING} fitKey={`${w}×${h}`} unitMm={1}>
      {(v) => (
        <>
          <rect width={v.width} height={v.height} fill="transparent" />
          <g transform={`${v.transform} translate(0 ${h}) scale(1 -1)`} dangerouslySetInnerHTML={{ __html: svg }} />
        </>
      )}
    </Board>
  );
}
