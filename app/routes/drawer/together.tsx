import { useCallback, useEffect, useMemo, useState } from "react";
import { Link, useLocation, useRevalidator } from "react-router";
import { toast } from "sonner";
import type { Aim } from "core/cutting";
import { drawerLengths, freeFor, lotWords, type SetAside, type Wanted } from "core/drawer";
import type { PagePlan } from "core/drawing";
import { jobOfStick, markOfJob, sticksTogether, sheetsTogether } from "core/jigs/together";
import type * as Lists from "core/lists";
import { ownItem, type StockItem } from "core/lumber";
import { usePaper } from "~/job/usePaper";
import { useStickPlans } from "~/job/usePlan";
import { useSheetRun, withDrawer } from "~/job/useSheetPlans";
import { inDrawer, leastOffcut, setAside } from "~/data/drawer.server";
import { listCards } from "~/data/shelf.server";
import { post } from "~/job/post";
import { recallJson, remember } from "~/ui/remembered";
import { useInBrowser } from "~/ui/useInBrowser";
import { StageLine } from "~/ui/StageLine";
import { PaperChoice } from "~/ui/PaperChoice";
import { Tabs } from "~/ui/Tabs";
import { AimChoice } from "~/routes/cutting/AimChoice";
import type { LayoutHand } from "~/routes/cutting/layoutHand";
import { SheetLayout } from "~/routes/cutting/SheetLayout";
import { Shopping, useShopping } from "~/routes/cutting/Shopping";
import { StickLayout } from "~/routes/cutting/StickLayout";
import { printer, useTogether } from "./useTogether";
import type { Route } from "./+types/together";

export const meta: Route.MetaFunction = () => [{ title: "Several jobs · Cardo" }];
export const loader = () => ({
  jobs: listCards().filter((c) => c.fault === "").map((c) => ({ id: c.id, name: c.name, scale: c.scale, what: c.what })), // prettier-ignore
  held: inDrawer(),
  aside: setAside(),
  least: leastOffcut(),
});

const KEY = "cardo-together";
/** Which jobs were ticked last in this browser. */
function remembered(): readonly string[] {
  const known = recallJson(KEY);
  return Array.isArray(known) ? known.filter((x) => typeof x === "string") : [];
}
const TABS = { sticks: "Stick layout", sheets: "Sheet layout", buy: "To buy" } as const;

/** Several jobs planned together: what comes off which stick, what is set aside, what must be bought. */
export default function TogetherPage({ loaderData }: Route.ComponentProps) {
  return useInBrowser() ? <Page {...loaderData} /> : null;
}

function Page({ jobs: shelf, held, aside, least }: Route.ComponentProps["loaderData"]) {
  const from = (useLocation().state as { from?: unknown } | null)?.from;
  const [ticked, setTicked] = useState<readonly string[]>(() => {
    const there = new Set(shelf.map((j) => j.id));
    const own = typeof from === "string" ? /^\/jobs\/([^/]+)/.exec(from)?.[1] : undefined;
    return [...new Set([...(own ? [own] : []), ...remembered()])].filter((id) => there.has(id));
  });
  useEffect(() => remember(KEY, JSON.stringify(ticked)), [ticked]);
  const [tab, setTab] = useState<keyof typeof TABS>("sticks");
  const [aim, setAim] = useState<Aim>("price");
  const [spare, setSpare] = useState(10);
  const [useHeld, setUseHeld] = useState(true);
  const [find, setFind] = useState("");
  const [paper, setPaper] = usePaper();
  const revalidator = useRevalidator();
  const changed = useCallback(() => void revalidator.revalidate(), [revalidator]);
  const all = useTogether(ticked, changed);
  const { jobs, cut, mark, takeBack } = all;
  const unit = jobs[0]?.units.model ?? "mm";
  const M = useMemo(() => printer(unit), [unit]);
  // the plan stays as it is while what it laid out is marked: the drawer counts as it lay when the jobs were read
  const [lying, setLying] = useState({ jobs, held, aside });
  if (lying.jobs !== jobs) setLying({ jobs, held, aside });
  const free = useMemo(() => {
    const others = lying.aside.filter((a) => !a.jobs.some((j) => ticked.includes(j)));
    return useHeld ? freeFor(lying.held, others, undefined) : [];
  }, [lying, ticked, useHeld]);
  const sticks = useMemo(
    () => sticksTogether(jobs).map((j) => ({ ...j, lengths: [...drawerLengths(free, j.item, j.lengths), ...j.lengths], settings: { ...j.settings, aim } })), // prettier-ignore
    [jobs, free, aim],
  );
  const flat = useMemo(() => sheetsTogether(jobs).map((j) => withDrawer(j, free)), [jobs, free]);
  const plan = useStickPlans(sticks);
  const [sheetsAsked, askSheets] = useState(false);
  if (!sheetsAsked && tab !== "sticks") askSheets(true);
  const none = useMemo(() => [], []);
  const sheets = useSheetRun(sheetsAsked ? flat : none);
  const shapes = useMemo(() => new Map(jobs.flatMap((j) => j.shapes.map(([m, s]) => [markOfJob(j.letter, m), s] as const))), [jobs]); // prettier-ignore
  const items = useMemo(() => new Map(sticks.map((s) => [s.item.id, s.item] as const)), [sticks]);
  const item = useCallback((id: string): StockItem => items.get(id) ?? ownItem(id)!, [items]);
  const [selected, select] = useState<string>();
  const hand = useMemo<LayoutHand>(
    () => ({ shapes, item, cut, selected, drawer: { held, least }, M, select, mark, takeBack }),
    [shapes, item, cut, selected, held, least, M, mark, takeBack],
  );
  const planned = useMemo(() => plan.plans.flatMap((p) => (p ? [p.plan] : [])), [plan.plans]);
  const shopping = useShopping(tab === "buy", planned, sheets.plans, hand.drawer, item, cut);
  const letterOfJob = new Map(jobs.map((j) => [j.job, j.letter]));
  const whom = (w: Wanted): string => [...new Set(w.sticks.map((s) => letterOfJob.get(jobOfStick(s)[0]) ?? "?"))].sort().join(", "); // prettier-ignore
  const ours = aside.filter((a) => a.jobs.some((j) => ticked.includes(j)));
  const lots = shopping.wanted.filter((w) => w.had > 0).map((w): Omit<SetAside, "jobs"> => ({ lot: w.lot, count: w.had })); // prettier-ignore
  const keepAside = async (which: readonly Omit<SetAside, "jobs">[]): Promise<void> => {
    try {
      const said = await post<{ sentence?: string; fault?: string }>("/drawer/aside", { jobs: ticked, lots: which });
      if (said.sentence) toast.error(said.sentence);
    } catch (e) {
      toast.error((e as Error).message);
    }
    changed();
  };
  const print = async (
    name: string,
    make: (l: typeof Lists, of: Lists.Listed, date: string) => PagePlan,
  ): Promise<void> => {
    try {
      const [lists, { savePdf }] = await Promise.all([import("core/lists"), import("~/job/savePdf")]);
      const about = jobs.map((j) => `${j.letter} ${j.name}`).join(" · ");
      const made = make(lists, { about, note: lists.CUT_CAUTION, unit, shapes }, new Date().toISOString().slice(0, 10));
      await savePdf([{ name, plan: made }], `Several jobs: ${name.toLowerCase()}`, `${name}.pdf`);
    } catch (e) {
      toast.error(`The ${name.toLowerCase()} could not be made: ${(e as Error).message}`);
    }
  };
  const laid = sheets.plans.flatMap((p) => (p.result ? [{ job: p.job, result: p.result }] : []));
  const shown = shelf.filter((j) => ticked.includes(j.id) || `${j.name} ${j.what} ${j.scale}`.toLowerCase().includes(find.toLowerCase())); // prettier-ignore
  return (
    <div className="flex h-screen overflow-hidden">
      <StageLine />
      <main id="main" className="flex min-w-0 flex-1 flex-col" aria-label="Several jobs">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2 px-7 pt-4">
          <h1 className="head text-[26px]">Several jobs at once</h1>
          <Link className="link" to="/drawer">
            ← Drawer
          </Link>
          {typeof from === "string" && from.startsWith("/jobs/") && (
            <Link className="link" to={from}>
              ← Back to the job
            </Link>
          )}
        </div>
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2 px-7 pt-2">
          <Tabs tabs={TABS} now={tab} choose={setTab} />
          <span className="ml-auto">
            <PaperChoice paper={paper} choose={setPaper} />
          </span>
          {tab === "sticks" ? (
            <button
              className="btn"
              disabled={planned.length === 0}
              onClick={() => void print("Stick layout", (l, of, date) => l.stickPages(of, planned, paper, date))}
            >
              Stick layout (PDF)
            </button>
          ) : tab === "sheets" ? (
            <button
              className="btn"
              disabled={laid.length === 0}
              onClick={() => void print("Sheet layout", (l, of, date) => l.sheetPages(of, laid, paper, date))}
            >
              Sheet layout (PDF)
            </button>
          ) : (
            <button
              className="btn"
              disabled={shopping.wanted.length === 0}
              onClick={() =>
                void print("Shopping list", (l, of, date) =>
                  l.shoppingPages(of, shopping.wanted, shopping.quotes, spare, paper, date),
                )
              }
            >
              Shopping list (PDF)
            </button>
          )}
        </div>
        <div data-scrolls className="min-h-0 flex-1 overflow-auto px-7 py-3">
          {ticked.length === 0 ? (
            <p className="text-lg">Tick the jobs at the right that you want to cut or buy for together.</p>
          ) : jobs.length === 0 && all.waiting.length > 0 ? (
            <p className="text-lg">The jobs are being framed …</p>
          ) : tab === "sticks" ? (
            <StickLayout plan={plan} hand={hand} none="Every piece of these jobs is cut." />
          ) : tab === "sheets" ? (
            <SheetLayout
              sheets={sheets}
              hand={hand}
              none="Nothing of these jobs is cut from sheet, or all of it is cut."
            />
          ) : (
            <>
              <Shopping
                state={shopping}
                spare={spare}
                setSpare={setSpare}
                seeking={plan.seeking || sheets.seeking}
                unit={unit}
                whom={whom}
              />
              <section className="mt-5 max-w-3xl" aria-label="Set aside">
                <h2 className="label">Set aside</h2>
                {ours.length === 0 ? (
                  <p>Nothing of the drawer is set aside for these jobs; plans of others count on it too.</p>
                ) : (
                  <ul>
                    {ours.map((a, i) => (
                      <li key={i}>
                        {a.count} × {lotWords(a.lot, M)}
                      </li>
                    ))}
                  </ul>
                )}
                <p className="mt-2 flex gap-3">
                  <button className="btn" disabled={lots.length === 0} onClick={() => void keepAside(lots)}>
                    Set aside what is taken from the drawer
                  </button>
                  {ours.length > 0 && (
                    <button className="btn" onClick={() => void keepAside([])}>
                      Let go
                    </button>
                  )}
                </p>
              </section>
            </>
          )}
        </div>
        <p className="border-t border-hair px-7 py-2 text-[15px] text-ink-2">
          Cut away from the hand with a new blade in several light passes; wear eye protection at saws and when sticks
          snap.
        </p>
      </main>
      <aside
        aria-label="Jobs"
        className="flex w-[316px] shrink-0 flex-col gap-4 overflow-auto border-l border-hair px-5 py-4"
      >
        <section>
          <h2 className="label">Jobs</h2>
          <input
            className="field mb-2"
            placeholder="Find by name, scale"
            aria-label="Find a job"
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
          <ul>
            {shown.map((j) => {
              const loaded = jobs.find((x) => x.job === j.id);
              const todo = loaded && loaded.sticks.reduce((s, x) => s + x.wanted.length, 0) + loaded.sheets.reduce((s, x) => s + x.problem.parts.reduce((t, p) => t + p.sticks.length, 0), 0); // prettier-ignore
              return (
                <li key={j.id} className="row py-1.5">
                  <label className="flex items-start gap-2">
                    <input
                      type="checkbox"
                      className="mt-1.5 accent-[var(--vermilion)]"
                      checked={ticked.includes(j.id)}
                      onChange={(e) =>
                        setTicked(e.target.checked ? [...ticked, j.id] : ticked.filter((x) => x !== j.id))
                      }
                    />
                    <span>
                      {loaded && <b className="head mr-1.5">{loaded.letter}</b>}
                      {j.name}
                      <span className="block text-[15px] text-ink-2">
                        {all.faults[j.id] ??
                          (ticked.includes(j.id)
                            ? loaded
                              ? `${todo} ${todo === 1 ? "piece" : "pieces"} to cut`
                              : "being framed …"
                            : j.scale)}
                      </span>
                    </span>
                  </label>
                </li>
              );
            })}
          </ul>
        </section>
        <AimChoice aim={aim} choose={setAim} />
        <label className="flex items-start gap-2 text-[15px]">
          <input
            type="checkbox"
            className="mt-1 accent-[var(--vermilion)]"
            checked={useHeld}
            onChange={(e) => setUseHeld(e.target.checked)}
          />
          Plans take what lies in the drawer first
        </label>
      </aside>
    </div>
  );
}
