import { useCallback, useState } from "react";
import { toast } from "sonner";
import type { EraDoc } from "core/job";
import { isThere, spanWords, yearOf, yearsSpan, type Offered, type YearView } from "core/years/items";
import { parseNumber } from "core/units";
import { askLooker } from "~/job/framer";
import { useAnswer } from "~/job/useAnswer";
import { useJob } from "~/job/JobContext";
import { SelectField, TextField } from "~/ui/Fields";
import { Findings } from "~/ui/Findings";
import { SidePanel } from "~/ui/SidePanel";
import { Tabs } from "~/ui/Tabs";
import type { StepPicture } from "~/workers/assembler";

const VIEWS: Readonly<Record<YearView, string>> = { front: "From the front", right: "From the right", back: "From the back", left: "From the left", above: "From above" }; // prettier-ignore
/** What was there from when to when: the structures as they stood in a year, and what has years with how long it was there. */
export default function Years() {
  const { doc, edit, design } = useJob();
  const own = yearOf(doc.brief);
  const [first, last] = yearsSpan(design);
  const [year, setYear] = useState(own ?? Math.round((first + last) / 2));
  const [view, setView] = useState<YearView>("front");
  const [chosen, choose] = useState<string>();
  const s = doc.structures.find((x) => x.id === chosen) ?? doc.structures[0];
  const items = doc.years ?? [];
  const change = (label: string, f: (all: EraDoc[]) => void): void => void edit(label, (d) => f((d.years ??= [])));
  return (
    <div className="stage flex h-full min-h-0">
      <div className="stage-main relative flex min-w-0 flex-1 flex-col">
        <div className="flex flex-wrap items-end gap-4 px-7 pt-2">
          <Tabs tabs={VIEWS} now={view} choose={setView} />
          {doc.structures.length > 1 && s && (
            <div className="ml-auto w-56">
              <SelectField
                label="Structure"
                value={s.id}
                options={doc.structures.map((x) => ({ value: x.id, label: x.name }))}
                keep={choose}
              />
            </div>
          )}
        </div>
        <div className="relative mt-2 min-h-0 flex-1 border-t border-hair p-6">
          {s ? (
            <Picture structure={s.id} name={s.name} year={year} view={view} />
          ) : (
            <p className="text-lg">Nothing is framed yet.</p>
          )}
        </div>
        <div className="flex items-center gap-4 border-t border-hair px-7 py-3">
          <output className="head w-16 text-[26px]">{year}</output>
          <input
            type="range"
            aria-label="Year that is shown"
            min={Math.min(first, year)}
            max={Math.max(last, year)}
            value={year}
            className="min-h-8 flex-1 accent-[var(--vermilion)]"
            onChange={(e) => setYear(Number(e.target.value))}
          />
          <span className="w-52 text-[15px] text-ink-2">
            {own === undefined
              ? "The brief names no year under Era."
              : own === year
                ? "the year that is modelled"
                : `${own} is modelled`}
            {own !== undefined && own !== year && (
              <button className="link ml-2 min-h-6" onClick={() => setYear(own)}>
                Back to it
              </button>
            )}
          </span>
        </div>
      </div>
      <SidePanel label="Years" wide>
        <Add items={items} change={change} />
        {items.length > 0 && (
          <section>
            <h2 className="label">From when to when</h2>
            <ul>
              {items.map((e, i) => (
                <Item key={e.id} e={e} items={items} year={year} span={[first, last]} set={(label, f) => change(label, (all) => f(all[i]!))} remove={() => change(`No years for ${e.name}`, (all) => void all.splice(i, 1))} /> // prettier-ignore
              ))}
            </ul>
          </section>
        )}
        <Findings only={(f) => f.key.startsWith("years:")} />
      </SidePanel>
    </div>
  );
}
/** A structure as it stood in a year: what has years in colour, what was not there a faint outline. */
function Picture({ structure, name, year, view }: { structure: string; name: string; year: number; view: YearView }) {
  const { ask } = useJob();
  const { answer: p, fresh, fault } = useAnswer<StepPicture | undefined>(useCallback(() => askLooker((w) => w.inYear(ask, structure, year, view)), [ask, structure, year, view]), 40); // prettier-ignore
  if (fault !== undefined) return <p className="text-fault">The picture could not be drawn: {fault}</p>;
  if (!p) return <p role="status">{fresh ? "This structure could not be framed." : "Drawing it …"}</p>;
  const [, , w, h] = p.box;
  const margin = 0.03 * Math.max(w, h);
  return (
    <svg
      viewBox={`${-margin} ${-margin} ${w + 2 * margin} ${h + 2 * margin}`}
      className={`h-full w-full ${fresh ? "" : "opacity-60"}`}
      role="img"
      aria-label={`${name} in ${year}, ${VIEWS[view].toLowerCase()}`}
    >
      <path
        d={p.hint}
        fill="none"
        stroke="var(--edge)"
        strokeDasharray="3 3"
        strokeWidth={0.8}
        vectorEffect="non-scaling-stroke"
      />
      {p.shapes.map((x, i) => (
        <path
          key={i}
          d={x.d}
          fill={x.fresh ? "var(--picked)" : "var(--film)"}
          stroke={x.fresh ? "var(--vermilion)" : "var(--ink)"}
          strokeWidth={x.fresh ? 1.2 : 0.6}
          vectorEffect="non-scaling-stroke"
          strokeLinejoin="round"
        />
      ))}
    </svg>
  );
}
/** What of the job can be given years, found by its name. */
function Add({
  items,
  change,
}: {
  items: readonly EraDoc[];
  change: (label: string, f: (all: EraDoc[]) => void) => void;
}) {
  const { ask } = useJob();
  const { answer, fault } = useAnswer<readonly Offered[]>(useCallback(() => askLooker((w) => w.offered(ask)), [ask]));
  const [find, setFind] = useState("");
  const key = (o: Pick<Offered, "kind" | "structure" | "what">): string => `${o.kind} ${o.structure ?? ""} ${o.what}`;
  const there = new Set(items.map(key));
  const wanted = find.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const found = (answer ?? []).filter(
    (o) => !there.has(key(o)) && wanted.every((w) => o.label.toLowerCase().includes(w)),
  );
  const add = (o: Offered): void => {
    change(`Years for ${o.label}`, (all) => void all.push({ id: `y${crypto.randomUUID().slice(0, 6)}`, name: `${o.label[0]!.toUpperCase()}${o.label.slice(1)}`.slice(0, 80), kind: o.kind, ...(o.structure ? { structure: o.structure } : {}), what: o.what })); // prettier-ignore
    setFind("");
    toast(`${o.label}: write from when to when it was there.`);
  };
  return (
    <section className="space-y-2">
      <h2 className="label">Give years to</h2>
      <input
        className="field"
        type="search"
        aria-label="What to give years to"
        placeholder="window, chimney, sign …"
        value={find}
        onChange={(e) => setFind(e.target.value)}
      />
      {fault && <p className="text-fault">{fault}</p>}
      {wanted.length > 0 && (
        <ul className="max-h-56 overflow-auto border border-hair">
          {found.slice(0, 60).map((o) => (
            <li key={key(o)}>
              <button className="row min-h-9 w-full px-2 text-left" onClick={() => add(o)}>
                {o.label}
              </button>
            </li>
          ))}
          {found.length === 0 && (
            <li className="p-2 text-ink-2">{answer ? "Nothing of the job is called that." : "Looking …"}</li>
          )}
        </ul>
      )}
    </section>
  );
}
function Item({
  e,
  items,
  year,
  span: [first, last],
  set,
  remove,
}: {
  e: EraDoc;
  items: readonly EraDoc[];
  year: number;
  span: readonly [number, number];
  set: (label: string, f: (e: EraDoc) => void) => void;
  remove: () => void;
}) {
  const share = (y: number): number => (100 * (Math.min(last, Math.max(first, y)) - first)) / Math.max(1, last - first);
  const [from, to] = [share(e.from ?? first), share((e.to ?? last) + (e.to === undefined ? 0 : 1))];
  const field = (k: "from" | "to", label: string) => (
    <TextField
      label={label}
      value={e[k] === undefined ? "" : String(e[k])}
      placeholder={k === "from" ? "always" : "still there"}
      keep={(t) => {
        if (!t.trim()) return set(`${label}, ${e.name}`, (x) => void delete x[k]);
        const n = parseNumber(t);
        if (!(Number.isInteger(n) && n >= 1700 && n <= 2200))
          return [`Read “${t}”; write a year, such as 1909, or nothing.`];
        set(`${label}, ${e.name}`, (x) => void (x[k] = n));
      }}
    />
  );
  return (
    <li className="space-y-1.5 border-t border-hair py-2">
      <TextField
        label="Name"
        value={e.name}
        keep={(t) => (t.trim() ? set("Name", (x) => void (x.name = t.trim().slice(0, 80))) : ["It needs a name."])}
      />
      <div className="grid grid-cols-2 gap-2">
        {field("from", "First year")}
        {field("to", "Last year")}
      </div>
      <div
        className="relative h-3 bg-shade"
        role="img"
        aria-label={`${spanWords(e)}; ${isThere(e, year) ? "there" : "not there"} in ${year}`}
      >
        <span
          className={`absolute inset-y-0 ${isThere(e, year) ? "bg-vermilion" : "bg-edge"}`}
          style={{ left: `${from}%`, width: `${Math.max(1, to - from)}%` }}
        />
        <span className="absolute inset-y-[-3px] w-0.5 bg-ink" style={{ left: `${share(year)}%` }} />
      </div>
      {items.length > 1 && (
        <SelectField
          label="Exchanged with"
          value={e.instead ?? ""}
          options={[
            { value: "", label: "nothing" },
            ...items.filter((x) => x.id !== e.id).map((x) => ({ value: x.id, label: x.name })),
          ]}
          keep={(v) => set(`What ${e.name} is exchanged with`, (x) => void (v ? (x.instead = v) : delete x.instead))}
        />
      )}
      <button className="link min-h-6" onClick={remove}>
        No years for it
      </button>
    </li>
  );
}
