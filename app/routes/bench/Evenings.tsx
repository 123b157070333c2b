import type { ApexOptions } from "apexcharts";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { calendarOf, planEvenings, tasksOf, underJob, windowsOf, type Evening, type Joining } from "core/assembly";
import { useJob } from "~/job/JobContext";
import { fileName, saveFile } from "~/job/saveFile";
import { clockOf } from "~/job/useKeeping";
import { recallJson, remember } from "~/ui/remembered";
import type { BenchOrder } from "./useBench";
import { useOtherJobs } from "./useOtherJobs";

const DAYS = ["Sunday", "Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday"] as const;
const KEY = "cardo-evenings";
/** How far ahead is planned, days. */
const YEAR = 366;
const isEvening = (e: unknown): e is Evening => {
  const x = e as Partial<Evening> | null;
  return !!x && [x.day, x.from, x.to].every((n) => typeof n === "number") && x.from! < x.to!;
};
function known(): readonly Evening[] {
  const read = recallJson(KEY);
  const good = Array.isArray(read) ? read.filter(isEvening) : [];
  return good.length > 0 ? good : [{ day: 2, from: 1170, to: 1290 }, { day: 4, from: 1170, to: 1290 }, { day: 6, from: 600, to: 780 }]; // prettier-ignore
}
const timeOf = (m: number): string =>
  `${String(Math.floor(m / 60)).padStart(2, "0")}:${String(m % 60).padStart(2, "0")}`;
const minutesOfDay = (t: string): number => Number(t.slice(0, 2)) * 60 + Number(t.slice(3, 5));

/** The build over the evenings that one has: waits filled with other work, planned anew as the log goes on. */
export function Evenings({ order, joinings }: { order: BenchOrder; joinings: readonly Joining[] }) {
  const { doc, issues } = useJob();
  const [evenings, setEvenings] = useState(known);
  const [chart, setChart] = useState(false);
  const change = (next: readonly Evening[]): void => {
    setEvenings(next);
    remember(KEY, JSON.stringify(next));
  };
  // planned from the minute it is: a plan that moved with every second could not be read
  const [start, setStart] = useState(() => new Date(Math.ceil(Date.now() / 60_000) * 60_000));
  const { steps, states } = order;
  useEffect(() => setStart(new Date(Math.ceil(Date.now() / 60_000) * 60_000)), [issues.length]);
  const handle = useCallback((id: string): number => joinings.find((j) => j.id === id)?.handle ?? 30, [joinings]);
  const others = useOtherJobs(start, handle);
  const { tasks, plan } = useMemo(() => {
    const own = tasksOf(steps, states, issues, start.getTime(), handle);
    const todo = others.tasks.length > 0 ? [...underJob("this", doc.name, own), ...others.tasks] : own;
    return { tasks: todo, plan: planEvenings(todo, windowsOf(evenings, start, YEAR)) };
    // how steps stand follows from the log
  }, [steps, issues, start, evenings, handle, others.tasks]);
  const title = new Map(tasks.map((t) => [t.id, t.title]));
  const at = (m: number): Date => new Date(start.getTime() + m * 60_000);
  const days = new Map<string, typeof plan.planned>();
  for (const p of plan.planned) {
    const day = at(p.from).toDateString();
    days.set(day, [...(days.get(day) ?? []), p]);
  }
  const work = tasks.reduce((s, t) => s + t.minutes, 0);
  return (
    <>
      <p className="max-w-3xl text-[17px]">
        {tasks.length === 0
          ? "Everything is built."
          : evenings.length === 0
            ? "Tell when you have time, and the build is laid out over those evenings."
            : plan.left.length > 0
              ? `${plan.left.length} of ${tasks.length} steps find no time within a year of these evenings.`
              : `About ${Math.round(work / 60)} hours of work in ${tasks.length} steps, done on ${at(plan.end).toDateString()}.`}{" "}
        <span className="text-ink-2">Times are guesses until some steps were timed in the log.</span>
      </p>
      <section aria-label="Times you have" className="my-3 max-w-3xl space-y-1.5 text-[16px]">
        {evenings.map((e, i) => (
          <div key={i} className="flex flex-wrap items-center gap-3">
            <select
              className="field !w-40"
              aria-label={`Day ${i + 1}`}
              value={e.day}
              onChange={(x) => change(evenings.map((o, k) => (k === i ? { ...o, day: Number(x.target.value) } : o)))}
            >
              {DAYS.map((d, k) => (
                <option key={d} value={k}>
                  {d}
                </option>
              ))}
            </select>
            {(["from", "to"] as const).map((side) => (
              <label key={side} className="flex items-center gap-2">
                {side}
                <input
                  type="time"
                  className="field !w-32"
                  aria-label={`${side} ${i + 1}`}
                  value={timeOf(e[side])}
                  onChange={(x) => {
                    const next = { ...e, [side]: minutesOfDay(x.target.value) };
                    if (next.from < next.to) change(evenings.map((o, k) => (k === i ? next : o)));
                  }}
                />
              </label>
            ))}
            <button className="link min-h-6" onClick={() => change(evenings.filter((_, k) => k !== i))}>
              Remove
            </button>
          </div>
        ))}
        <p className="flex flex-wrap gap-3 pt-1">
          <button className="btn" onClick={() => change([...evenings, { day: 0, from: 840, to: 960 }])}>
            Another time
          </button>
          <button
            className="btn"
            disabled={plan.planned.length === 0}
            onClick={() =>
              saveFile(
                new Blob([calendarOf(tasks, plan, start, new Date())], { type: "text/calendar" }),
                fileName(`${doc.name} evenings`, "ics"),
              )
            }
          >
            Calendar file (ICS)
          </button>
          <button
            className="btn"
            aria-pressed={chart}
            disabled={plan.planned.length === 0}
            onClick={() => setChart(!chart)}
          >
            {chart ? "As a list" : "As a chart"}
          </button>
        </p>
      </section>
      {others.others.length > 0 && (
        <details className="my-3 max-w-3xl">
          <summary className="link min-h-6 cursor-pointer text-[16px]">
            {others.ticked.size === 0
              ? "Together with other jobs"
              : `Together with ${others.ticked.size} other ${others.ticked.size === 1 ? "job" : "jobs"}`}
          </summary>
          <ul className="mt-1 grid grid-cols-2 gap-x-6 text-[16px]">
            {others.others.map(([x, name]) => (
              <li key={x}>
                <label className="flex min-h-9 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-4.5 accent-[var(--vermilion)]"
                    checked={others.ticked.has(x)}
                    onChange={() => others.flip(x)}
                  />
                  {name}
                </label>
                {others.faults[x] && <p className="text-[15px] text-fault">{others.faults[x]}</p>}
              </li>
            ))}
          </ul>
          <p role="status" className="text-[15px] text-ink-2">
            {others.waiting && `${others.waiting} is being looked at …`}
          </p>
        </details>
      )}
      {chart ? (
        <Chart
          rows={[...days.values()]
            .slice(0, 2)
            .flat()
            .map((p) => ({ name: title.get(p.id)!, from: at(p.from), to: at(p.to) }))}
        />
      ) : (
        <ol className="max-w-3xl">
          {[...days].map(([day, all]) => (
            <li key={day}>
              <h2 className="head mt-3 text-[20px]">{day}</h2>
              <ul>
                {all.map((p) => (
                  <li key={p.id} className="row flex gap-4 py-1 text-[16px]">
                    <span className="num w-28 shrink-0 text-ink-2">
                      {clockOf(at(p.from))}–{clockOf(at(p.to))}
                    </span>
                    {title.get(p.id)}
                  </li>
                ))}
              </ul>
            </li>
          ))}
        </ol>
      )}
    </>
  );
}

/** The steps of the next two evenings, a bar each. */
function Chart({ rows }: { rows: readonly { readonly name: string; readonly from: Date; readonly to: Date }[] }) {
  const box = useRef<HTMLDivElement>(null);
  const key = JSON.stringify(rows);
  useEffect(() => {
    let chart: { destroy(): void } | undefined;
    let gone = false;
    const css = getComputedStyle(document.documentElement);
    const colour = (name: string): string => css.getPropertyValue(name).trim();
    const options: ApexOptions = {
      series: [{ name: "Steps", data: rows.map((r) => ({ x: r.name, y: [r.from.getTime(), r.to.getTime()] })) }],
      chart: {
        type: "rangeBar",
        height: 60 + 26 * rows.length,
        toolbar: { show: false },
        animations: { enabled: false },
        fontFamily: "Source Sans 3",
        foreColor: colour("--ink"),
      },
      colors: [colour("--vermilion")],
      plotOptions: { bar: { horizontal: true, barHeight: "70%" } },
      xaxis: { type: "datetime", labels: { datetimeUTC: false } },
      yaxis: { labels: { maxWidth: 320, style: { fontSize: "14px" } } },
    };
    void import("apexcharts").then(({ default: Apex }) => {
      if (gone || !box.current) return;
      const made = new Apex(box.current, options);
      chart = made;
      void made.render();
    });
    return () => {
      gone = true;
      chart?.destroy();
    };
    // the key says when any bar has changed
  }, [key]);
  return <div ref={box} role="img" aria-label="The steps of the next two evenings" className="max-w-5xl" />;
}
