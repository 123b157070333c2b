import { useSearchParams } from "react-router";
import { parseNominal, strippedItem, STRIP_SERIES, type SERIES, wantedSection } from "core/lumber";
import { printNumber } from "core/units";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { SelectField } from "~/ui/Fields";
import { Findings } from "~/ui/Findings";
import { SidePanel } from "~/ui/SidePanel";
import { Alternatives } from "./Alternatives";
import { Lengths } from "./Lengths";
import { Sheets } from "./Sheets";

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
              {STRIP_SERIES.map((s) => (
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
