import { useMemo, useState } from "react";
import { isOfItem, itemOfLot } from "core/drawer";
import {
  apart,
  effectWords,
  matches,
  matchOf,
  ownItem,
  parseNominal,
  sectionError,
  SERIES,
  SHAPE_FORMS,
  shapeMatches,
  shapeOf,
  stockItem,
  wantedSection,
  waysFor,
  WAYS,
  type Match,
  type OwnMaterial,
  type StockChoice,
  type StockItem,
} from "core/lumber";
import { bareModel, printNumber, scaleLabel } from "core/units";
import { useJob } from "~/job/JobContext";
import { post } from "~/job/post";
import { useDrawer } from "~/job/useDrawer";
import { useUnits } from "~/job/units";
import { OWN_FORMS, OWN_SIZES, ownSection, type OwnForm } from "~/ui/ownSection";

/** How many are shown at most. */
const SHOWN = 14;
/** Stock ranked for one section: press one to choose it. */
export function Alternatives({ name }: { name: string }) {
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
    const fresh = own.filter((i, n) => !i.profile && (i.shape === "round") === (wanted.round === true) && own.findIndex((o) => o.id === i.id) === n && !offered.some((m) => m.plies === 1 && Math.abs(m.item.thickness - i.thickness) < 0.011 && Math.abs(m.item.width - i.width) < 0.011)); // prettier-ignore
    return [...offered, ...fresh.map((i) => matchOf(i, 1, "thickness", wanted, design.scale))]
      .filter((m) => !laminated || m.plies === 2)
      .sort((a, b) => apart(a.error, wanted) - apart(b.error, wanted))
      .slice(0, SHOWN);
  }, [wanted.thickness, wanted.width, all, laminated, doc.stock, design.scale, drawer]);
  const shapes = useMemo(() => {
    const held = [...(drawer?.held ?? []).flatMap((h) => itemOfLot(h.lot) ?? []), ...Object.values(doc.stock.choices).flatMap((c) => shapeOf(c.item) ?? [])]; // prettier-ignore
    const own = held.filter((i, n) => i.profile && i.id.startsWith("shape/own/") && held.findIndex((o) => o.id === i.id) === n); // prettier-ignore
    return shapeMatches(wanted, own, design.scale).slice(0, SHOWN);
  }, [wanted.thickness, wanted.width, doc.stock.choices, design.scale, drawer]);
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
  const row = (m: Match) => {
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
  };
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
      <ul>{list.map((m) => row(m))}</ul>
      {shapes.length > 0 && (
        <details className="mt-3">
          <summary className="label cursor-pointer">As a shape: I, H, channel or angle</summary>
          <p className="text-[14px] text-ink-2">The nearest by their outsides; they are framed with their flanges.</p>
          <ul>{shapes.map((m) => row(m))}</ul>
        </details>
      )}
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

/** A stick of any size and shape that one has, typed: the frame takes it like any other. */
function OwnSize({ name, round, take }: { name: string; round: boolean; take: (item: StockItem) => void }) {
  const { doc, design } = useJob();
  const [material, setMaterial] = useState<OwnMaterial>("wood");
  const [chosen, setForm] = useState<OwnForm>("strip");
  const form = round ? "round" : chosen;
  const [sides, setSides] = useState<readonly string[]>(["", "", "", ""]);
  const [said, setSaid] = useState("");
  const use = (): void => {
    try {
      take(stockItem(design.scale, ownSection(form, material, sides, bareModel(doc.brief.units.model)))!);
      setSaid("");
      setSides(["", "", "", ""]);
    } catch (e) {
      setSaid((e as Error).message);
    }
  };
  return (
    <form
      className="mt-3 text-[15px]"
      onSubmit={(e) => {
        e.preventDefault();
        use();
      }}
    >
      <h3 className="label">One of your own</h3>
      <div className="grid grid-cols-2 gap-2">
        {!round && (
          <label className="flex flex-col">
            Form
            <select className="field" value={form} onChange={(e) => setForm(e.target.value as OwnForm)}>
              {(["strip", ...SHAPE_FORMS] as const).map((f) => (
                <option key={f} value={f}>
                  {OWN_FORMS[f]}
                </option>
              ))}
            </select>
          </label>
        )}
        <label className="flex flex-col">
          Of
          <select className="field" value={material} onChange={(e) => setMaterial(e.target.value as OwnMaterial)}>
            <option>wood</option>
            <option>styrene</option>
          </select>
        </label>
        {OWN_SIZES[form].map((label, i) => (
          <label key={label} className="flex flex-col">
            {label}
            <input
              className="field"
              value={sides[i]}
              onChange={(e) => setSides(sides.map((t, k) => (k === i ? e.target.value : t)))}
            />
          </label>
        ))}
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
