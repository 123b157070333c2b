import { useMemo, useState } from "react";
import { useSearchParams } from "react-router";
import { isOfItem, itemOfLot } from "core/drawer";
import {
  apart,
  effectWords,
  matches,
  matchOf,
  ownId,
  ownItem,
  parseNominal,
  sectionError,
  strippedItem,
  SERIES,
  wantedSection,
  waysFor,
  WAYS,
  type Match,
  type OwnMaterial,
  type StockChoice,
  type StockItem,
} from "core/lumber";
import { stockLengths } from "core/cutting";
import { bareModel, parseLength, printNumber, scaleLabel } from "core/units";
import { useJob } from "~/job/JobContext";
import { post } from "~/job/post";
import { useDrawer } from "~/job/useDrawer";
import { useUnits } from "~/job/units";
import { SelectField, TextField } from "~/ui/Fields";
import { Findings } from "~/ui/Findings";
import { SidePanel } from "~/ui/SidePanel";
import { Sheets } from "./Sheets";

const SHOWN = 14;
const signed = (n: number, decimals: number): string => `${n > 0 ? "+" : ""}${printNumber(n, decimals)}`;

/** What the sticks are cut from: each section the frame asks for, matched to what is sold, with the error it makes. */
export default function Stock() {
  const job = useJob();
  const { doc, design } = job;
  const [search, setSearch] = useSearchParams();
  const sizes = [...design.stock.keys()];
  const picked = search.get("size") && sizes.includes(search.get("size")!) ? search.get("size")! : sizes[0];
  const { P, M } = useUnits();
  const off = (mm: number): string => `${mm > 0 ? "+" : mm < 0 ? "−" : ""}${M(Math.abs(mm), 2)}`;
  const sheets = [...design.sheets.keys()];
  const open = [...sizes, ...sheets].filter((n) => !doc.stock.choices[n]);
  const takeAll = (): void =>
    void job.edit("Take the stock as proposed", (d) => {
      for (const n of open) {
        const m = design.stock.get(n);
        d.stock.choices[n] = m
          ? { item: m.item.id, plies: m.plies, along: m.along }
          : { item: design.sheets.get(n)!.item.id, plies: 1, along: "thickness" };
      }
    });
  const toggleSeries = (id: (typeof SERIES)[number]["id"]): void =>
    void job.edit("Change the series", (d) => {
      const has = d.stock.series.includes(id);
      d.stock.series = has ? d.stock.series.filter((s) => s !== id) : [...d.stock.series, id];
    });
  return (
    <div className="stage flex h-full">
      <div className="stage-main min-w-0 flex-1 overflow-auto px-7 py-4">
        <div className="mb-4 flex flex-wrap items-end gap-x-6 gap-y-2">
          <fieldset>
            <legend className="label">Matched from</legend>
            <div className="flex flex-wrap gap-x-4">
              {SERIES.filter((s) => s.id !== "round" && s.id !== "tube" && s.id !== "own").map((s) => (
                <label key={s.id} className="flex min-h-[28px] items-center gap-1.5 text-[15px]">
                  <input
                    type="checkbox"
                    className="accent-[var(--vermilion)]"
                    checked={doc.stock.series.includes(s.id)}
                    disabled={doc.stock.series.length === 1 && doc.stock.series[0] === s.id}
                    onChange={() => toggleSeries(s.id)}
                  />
                  {s.name}
                </label>
              ))}
            </div>
          </fieldset>
          <div className="w-72">
            <SelectField
              label="Timbers of the prototype are"
              value={doc.stock.milling}
              options={[
                { value: "full-sawn", label: "full sawn: the name is the size" },
                { value: "dressed", label: "dressed: DOC PS 20" },
              ]}
              keep={(v) => void job.edit("Milling", (d) => void (d.stock.milling = v))}
            />
          </div>
        </div>
        {sizes.length === 0 ? (
          <p className="text-lg">
            No section is asked for yet. Frame a structure first; the demo job “Gulch trestle” shows how this looks.
          </p>
        ) : (
          <>
            {open.length > 0 && (
              <p className="mb-3 flex flex-wrap items-center gap-3 border-l-[3px] border-edge bg-shade px-4 py-2">
                <span>
                  {open.length === sizes.length + sheets.length
                    ? "No section is"
                    : `${open.length} of ${sizes.length + sheets.length} sections are not`}{" "}
                  chosen yet: what stands here is the nearest.
                </span>
                <button className="btn" onClick={takeAll}>
                  Take {open.length === 1 ? "it" : "them"} as proposed
                </button>
              </p>
            )}
            <table className="list text-[15px]">
              <thead>
                <tr>
                  <th>Section</th>
                  <th className="num">Wanted</th>
                  <th>Cut from</th>
                  <th className="num">Really</th>
                  <th className="num">Off by, model</th>
                  <th className="num">prototype</th>
                  <th className="num">percent</th>
                </tr>
              </thead>
              <tbody>
                {[...design.stock].map(([name, m]) => {
                  const w = wantedSection(parseNominal(name)!, doc.stock.milling, design.scale);
                  const e = m.error;
                  const cell = (t: string, u: string) => (
                    <td className="num">
                      {t}
                      <br />
                      {u}
                    </td>
                  );
                  return (
                    <tr
                      key={name}
                      aria-selected={name === picked}
                      onClick={() => setSearch({ size: name }, { replace: true })}
                      className="cursor-pointer"
                    >
                      <td>
                        <button className="head text-[18px]" aria-label={`Section ${name}: show what would do`}>
                          {name}
                        </button>
                      </td>
                      <td className="num">
                        {M(w.thickness, 2)}
                        <br />× {M(w.width, 2)}
                      </td>
                      <td>
                        {m.plies === 2 ? "Two plies of " : ""}
                        {m.item.name}
                        <br />
                        <span className="text-ink-2">{doc.stock.choices[name] ? "chosen" : "nearest"}</span>
                      </td>
                      <td className="num">
                        {M(m.section.thickness, 2)}
                        <br />× {M(m.section.width, 2)}
                      </td>
                      {cell(off(e.thickness.model), off(e.width.model))}
                      {cell(
                        `${e.thickness.prototype > 0 ? "+" : ""}${P(e.thickness.prototype)}`,
                        `${e.width.prototype > 0 ? "+" : ""}${P(e.width.prototype)}`,
                      )}
                      <td
                        className={`num font-semibold ${e.worstPercent >= 12 ? "text-ochre" : e.worstPercent < 0.5 ? "text-verdigris" : ""}`}
                      >
                        {signed(e.thickness.percent, 1)} %<br />
                        {signed(e.width.percent, 1)} %
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </>
        )}
        <p className="mt-3 text-[15px] text-ink-2">
          Upper line thickness, lower line width. The nearest is the one whose sides come nearest as ratios, where the
          wider face, which shows, counts twice; of two as near, the larger. The frame stands at the real sizes: outline
          levels and post lines stay, the lengths between give.
        </p>
        <Sheets />
        {picked && !strippedItem(design.stock.get(picked)!.item.id) && (
          <Lengths item={design.stock.get(picked)!.item} />
        )}
      </div>
      <SidePanel label="What would do" wide>
        {picked && <Alternatives name={picked} />}
        <Findings only={(f) => f.key.startsWith("stock:") || f.key.startsWith("long:") || f.key.startsWith("bears:")} />
      </SidePanel>
    </div>
  );
}

/** Stock ranked for one section: press one to choose it. */
function Alternatives({ name }: { name: string }) {
  const job = useJob();
  const { M } = useUnits();
  const { doc, design } = job;
  const [laminated, setLaminated] = useState(false);
  const [all, setAll] = useState(true);
  const wanted = wantedSection(parseNominal(name)!, doc.stock.milling, design.scale);
  const now = design.stock.get(name)!;
  const drawer = useDrawer();
  const list = useMemo(() => {
    const offered = matches(wanted, all ? SERIES.map((s) => s.id) : doc.stock.series, design.scale);
    // what lies in the drawer and is of no series, and what was typed for another section
    const own = [...(drawer?.held ?? []).flatMap((h) => itemOfLot(h.lot) ?? []), ...Object.values(doc.stock.choices).flatMap((c) => ownItem(c.item) ?? [])]; // prettier-ignore
    const fresh = own.filter((i, n) => (i.shape === "round") === (wanted.round === true) && own.findIndex((o) => o.id === i.id) === n && !offered.some((m) => m.plies === 1 && Math.abs(m.item.thickness - i.thickness) < 0.011 && Math.abs(m.item.width - i.width) < 0.011)); // prettier-ignore
    return [...offered, ...fresh.map((i) => matchOf(i, 1, "thickness", wanted, design.scale))]
      .filter((m) => !laminated || m.plies === 2)
      .sort((a, b) => apart(a.error, wanted) - apart(b.error, wanted))
      .slice(0, SHOWN);
  }, [wanted.thickness, wanted.width, all, laminated, doc.stock, design.scale, drawer]);
  const ways = useMemo(() => {
    const lying = (drawer?.held ?? []).flatMap((h) => itemOfLot(h.lot) ?? []);
    // what is ripped is of what the rest of the job is of
    const material = doc.stock.series.every((s) => s === "styrene") ? "styrene" : "wood";
    return waysFor(wanted, all ? SERIES.map((s) => s.id) : doc.stock.series, lying, material, design.scale);
  }, [wanted.thickness, wanted.width, all, doc.stock.series, design.scale, drawer]);
  const has = (m: Match): boolean => (drawer?.held ?? []).some((h) => isOfItem(h.lot, m.item));
  const same = (m: Match): boolean =>
    m.item.id === now.item.id && m.plies === now.plies && (m.plies === 1 || m.along === now.along);
  const choose = (m: Match): void =>
    void job.edit(
      `${name} from ${m.item.name}`,
      (d) => void (d.stock.choices[name] = { item: m.item.id, plies: m.plies, along: m.along }),
    );
  return (
    <section>
      <h2 className="label">What would do for {name}</h2>
      {ways.length > 1 && (
        <section className="mt-1 mb-3" aria-label="Ways to come by it">
          <h3 className="label">The best of each way</h3>
          <ul>
            {ways.map((w) => (
              <li key={w.way} className="row">
                <button
                  aria-pressed={same(w.match)}
                  onClick={() => choose(w.match)}
                  className={`w-full px-1 py-1.5 text-left text-[15px] hover:bg-shade ${same(w.match) ? "font-semibold text-vermilion" : ""}`}
                >
                  {WAYS[w.way]}: {w.match.plies === 2 ? "two of " : ""}
                  {w.match.item.name}
                  <span className="block text-[14px] font-normal text-ink-2">
                    {effectWords(w.match, (mm) => M(mm, 2))}
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <h3 className="label">All that would do</h3>
      <div className="my-1 flex gap-4 text-[15px]">
        <label className="flex items-center gap-1.5">
          <input type="checkbox" checked={all} onChange={(e) => setAll(e.target.checked)} />
          all series
        </label>
        <label className="flex items-center gap-1.5">
          <input type="checkbox" checked={laminated} onChange={(e) => setLaminated(e.target.checked)} />
          only of two plies
        </label>
      </div>
      <ul>
        {list.map((m) => {
          const e = sectionError(wanted, m.section, design.scale);
          return (
            <li key={`${m.item.id}-${m.plies}-${m.along}`} className="row">
              <button
                aria-pressed={same(m)}
                onClick={() => choose(m)}
                className={`flex w-full items-center gap-2 px-1 py-1.5 text-left text-[15px] hover:bg-shade ${same(m) ? "font-semibold text-vermilion" : ""}`}
              >
                <span className="min-w-0 flex-1">
                  {same(m) ? "● " : ""}
                  {m.plies === 2
                    ? `Two plies of ${m.item.name}, ${m.along === "thickness" ? "face to face" : "side by side"}`
                    : m.item.name}
                  <span className="block text-[14px] font-normal text-ink-2">
                    {M(m.section.thickness, 2)} × {M(m.section.width, 2)}
                    {has(m) && <span className="text-verdigris"> · in the drawer</span>}
                  </span>
                </span>
                <span className="whitespace-nowrap">{printNumber(e.worstPercent, 1)} % off</span>
              </button>
            </li>
          );
        })}
      </ul>
      <OwnSize
        key={name}
        name={name}
        round={wanted.round === true}
        take={(item) => choose(matchOf(item, 1, "thickness", wanted, design.scale))}
      />
      {doc.stock.choices[name] && <ForAllJobs name={name} choice={doc.stock.choices[name]} />}
      {doc.stock.choices[name] && (
        <button
          className="link mt-2 text-[15px]"
          onClick={() => job.edit(`${name}: nearest again`, (d) => void delete d.stock.choices[name])}
        >
          Take the nearest of the series again
        </button>
      )}
    </section>
  );
}

/** What is chosen here, chosen in every other job of this scale as well: each of them can undo it. */
function ForAllJobs({ name, choice }: { name: string; choice: StockChoice }) {
  const { id, design } = useJob();
  const [said, setSaid] = useState("");
  const send = async (): Promise<void> => {
    try {
      const answer = await post<{ changed?: number; sentence?: string }>("/drawer/choice", { name, choice, scale: design.scale.id, ratio: design.scale.ratio, not: id }); // prettier-ignore
      setSaid(answer.sentence ?? (answer.changed === 0 ? "No other job of this scale needs the change." : `Chosen in ${answer.changed} other ${answer.changed === 1 ? "job" : "jobs"}; each can undo it.`)); // prettier-ignore
    } catch (e) {
      setSaid((e as Error).message);
    }
  };
  return (
    <p className="mt-2 text-[15px]">
      <button className="link" onClick={() => void send()}>
        Take it in all other {scaleLabel(design.scale)} jobs too
      </button>
      {said && (
        <span role="status" className="block text-ink-2">
          {said}
        </span>
      )}
    </p>
  );
}

/** A stick of any size that one has, typed: the frame takes it like any other. */
function OwnSize({ name, round, take }: { name: string; round: boolean; take: (item: StockItem) => void }) {
  const { doc } = useJob();
  const [material, setMaterial] = useState<OwnMaterial>("wood");
  const [sides, setSides] = useState<readonly [string, string]>(["", ""]);
  const [said, setSaid] = useState("");
  const bare = bareModel(doc.brief.units.model);
  const use = (): void => {
    const read = (round ? [sides[0], sides[0]] : sides).map((t) => parseLength(t, bare));
    const bad = read.find((p) => !p.ok);
    if (bad && !bad.ok) return setSaid(bad.error);
    try {
      const [a, b] = read.map((p) => (p.ok ? p.mm : 0)) as [number, number];
      take(ownItem(ownId(material, a, b, round))!);
      setSaid("");
      setSides(["", ""]);
    } catch (e) {
      setSaid((e as Error).message);
    }
  };
  const field = (i: 0 | 1, label: string) => (
    <label className="flex flex-col">
      {label}
      <input
        className="field"
        value={sides[i]}
        onChange={(e) => setSides(i === 0 ? [e.target.value, sides[1]] : [sides[0], e.target.value])}
      />
    </label>
  );
  return (
    <form
      className="mt-3 text-[15px]"
      onSubmit={(e) => {
        e.preventDefault();
        use();
      }}
    >
      <h3 className="label">One of your own</h3>
      <div className="grid grid-cols-3 gap-2">
        {field(0, round ? "Diameter" : "Thickness")}
        {!round && field(1, "Width")}
        <label className="flex flex-col">
          Of
          <select className="field" value={material} onChange={(e) => setMaterial(e.target.value as OwnMaterial)}>
            <option>wood</option>
            <option>styrene</option>
          </select>
        </label>
      </div>
      {said && (
        <p role="alert" className="mt-0.5 text-[14px] text-fault">
          {said}
        </p>
      )}
      <button className="btn mt-2">Cut {name} from it</button>
    </form>
  );
}

/** Lengths, counts and prices of the sticks an item is cut from. */
function Lengths({ item }: { item: StockItem }) {
  const job = useJob();
  const { M } = useUnits();
  const own = job.doc.stock.sticks[item.id];
  const rows = own ?? stockLengths(item).map((s) => ({ length: s.length, count: s.count, price: 0 }));
  const change = (
    label: string,
    f: (rows: { length: number; count: number | null; price: number }[]) => void,
  ): readonly string[] =>
    job.edit(label, (d) => {
      const next = rows.map((r) => ({ ...r }));
      f(next);
      if (next.length > 0) d.stock.sticks[item.id] = next;
      else delete d.stock.sticks[item.id];
    });
  const bare = bareModel(job.doc.brief.units.model);
  const number = (t: string, whole: boolean): number => {
    const n = Number(t.replace(",", "."));
    return t.trim() !== "" && n >= 0 && n <= 1e6 && (!whole || Number.isInteger(n)) ? n : NaN;
  };
  return (
    <section className="mt-6 max-w-2xl">
      <h2 className="label">Sticks of {item.name}</h2>
      <table className="list text-[15px]">
        <thead>
          <tr>
            <th>Length (model)</th>
            <th>On hand</th>
            <th>Price each</th>
            <th>
              <span className="sr-only">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r, i) => (
            <tr key={i}>
              <td>
                <TextField
                  label={<span className="sr-only">Length {i + 1}</span>}
                  value={M(r.length, 1)}
                  keep={(t) => {
                    const p = parseLength(t, bare);
                    return p.ok && p.mm >= 1 && p.mm <= 1e5
                      ? change("Stick length", (x) => void (x[i]!.length = p.mm))
                      : [p.ok ? `Read “${t}”; a stick is from 1 mm to 100 m long.` : p.error];
                  }}
                />
              </td>
              <td>
                <TextField
                  label={<span className="sr-only">Count {i + 1}</span>}
                  value={r.count === null ? "" : String(r.count)}
                  placeholder="as many as needed"
                  keep={(t) => {
                    const n = t.trim() === "" ? null : number(t, true);
                    return Number.isNaN(n)
                      ? [`Read “${t}”; write a whole number, or nothing for as many as needed.`]
                      : change("Sticks on hand", (x) => void (x[i]!.count = n));
                  }}
                />
              </td>
              <td>
                <TextField
                  label={<span className="sr-only">Price {i + 1}</span>}
                  value={r.price ? String(r.price) : ""}
                  placeholder="by length"
                  keep={(t) => {
                    const n = t.trim() === "" ? 0 : number(t, false);
                    return Number.isNaN(n)
                      ? [`Read “${t}”; write a price such as 1.20.`]
                      : change("Stick price", (x) => void (x[i]!.price = n));
                  }}
                />
              </td>
              <td className="num !pt-3">
                <button
                  className="link"
                  disabled={rows.length === 1}
                  onClick={() => change("Remove a stick length", (x) => void x.splice(i, 1))}
                >
                  Remove
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 flex gap-3">
        <button
          className="btn"
          onClick={() => change("Add a stick length", (x) => void x.push({ length: 300, count: null, price: 0 }))}
        >
          Add a length
        </button>
        {own && (
          <button
            className="btn"
            onClick={() => job.edit("Usual lengths again", (d) => void delete d.stock.sticks[item.id])}
          >
            Usual lengths again
          </button>
        )}
      </p>
    </section>
  );
}
