import { useState } from "react";
import { sheetSizes, USUAL_CUTTING, type SheetJob } from "core/jigs/sheetParts";
import type { SheetCuttingDoc } from "core/job";
import { SHEETS } from "core/lumber";
import { bareModel, parseLength, parseNumber } from "core/units";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { LengthField, SelectField, TextField } from "~/ui/Fields";

/** What a mock-up is made of: card, or what else of it lies about. */
const CARDS = SHEETS.filter((s) => s.material === "card");

/** How sheets are cut, and which sizes of each there are. */
export function SheetSettings({ jobs }: { jobs: readonly SheetJob[] }) {
  const { doc, design, edit } = useJob();
  const { M } = useUnits();
  const now = doc.sheetCutting ?? USUAL_CUTTING;
  const change = (label: string, f: (s: SheetCuttingDoc) => void): readonly string[] =>
    edit(label, (d) => {
      d.sheetCutting ??= { ...USUAL_CUTTING, sizes: {} };
      f(d.sheetCutting);
    });
  const clear =
    (what: "apart" | "edge", label: string, most: number) =>
    (mm: number): readonly string[] =>
      mm >= 0 && mm <= most ? change(label, (s) => void (s[what] = mm)) : [`Read ${M(mm, 2)}; it may be from 0 to ${M(most)}.`]; // prettier-ignore
  const [picked, setPicked] = useState("");
  const sheet = jobs.find((j) => j.stock === picked) ?? jobs[0];
  return (
    <section className="space-y-2">
      <h2 className="label">The sheets</h2>
      <SelectField
        label="Parts are cut"
        value={now.by}
        options={[
          { value: "snap", label: "from edge to edge (score and snap)" },
          { value: "free", label: "freely (knife or cutter)" },
        ]}
        keep={(v) => void change("How sheets are cut", (s) => void (s.by = v))}
      />
      <LengthField
        label="Left between parts"
        world="model"
        mm={now.apart}
        units={doc.brief.units}
        hint="What a saw or a beam takes; 0 for a scored line."
        keep={clear("apart", "Left between parts", 20)}
      />
      <LengthField
        label="Left along the edges"
        world="model"
        mm={now.edge}
        units={doc.brief.units}
        hint="To square a sheet, or where its edge is not clean."
        keep={clear("edge", "Left along the edges", 50)}
      />
      <SelectField
        label="Card mock-ups of buildings"
        value={now.card ?? ""}
        options={[{ value: "", label: "not laid out" }, ...CARDS.map((c) => ({ value: c.id, label: `on ${c.name}` }))]}
        hint="To try a building on its spot before anything is cut."
        keep={(v) => void change("Card mock-ups", (s) => void (v === "" ? delete s.card : (s.card = v)))}
      />
      {sheet && (
        <>
          <SelectField
            label="Sizes there are of"
            value={sheet.stock}
            options={jobs.map((j) => ({ value: j.stock, label: j.name }))}
            keep={setPicked}
          />
          <Sizes
            key={sheet.stock}
            stock={sheet.stock}
            sizes={sheetSizes(design, sheet.stock)}
            own={Boolean(now.sizes[sheet.stock])}
            change={change}
          />
        </>
      )}
    </section>
  );
}

type Size = ReturnType<typeof sheetSizes>[number];
interface Props {
  readonly stock: string;
  readonly sizes: readonly Size[];
  readonly own: boolean;
  readonly change: (label: string, f: (s: SheetCuttingDoc) => void) => readonly string[];
}
function Sizes({ stock, sizes, own, change }: Props) {
  const { doc } = useJob();
  const { M } = useUnits();
  const bare = bareModel(doc.brief.units.model);
  const set = (label: string, f: (rows: { -readonly [K in keyof Size]: Size[K] }[]) => void): readonly string[] =>
    change(label, (s) => {
      const rows = sizes.map((r) => ({ ...r }));
      f(rows);
      s.sizes[stock] = rows;
    });
  const side = (i: number, what: "wide" | "long", text: string): readonly string[] => {
    const p = parseLength(text, bare);
    if (!p.ok) return [p.error];
    return p.mm >= 5 && p.mm <= 5000 ? set("Size of a sheet", (r) => void (r[i]![what] = p.mm)) : [`Read ${M(p.mm)}; a sheet is from ${M(5)} to ${M(5000)}.`]; // prettier-ignore
  };
  return (
    <div className="space-y-2">
      {sizes.map((s, i) => (
        <fieldset key={i} className="grid grid-cols-2 gap-x-2 border-l-[3px] border-edge pl-3">
          <legend className="sr-only">Size {i + 1}</legend>
          <TextField label="Across its lines" value={M(s.wide)} keep={(t) => side(i, "wide", t)} />
          <TextField label="Along them" value={M(s.long)} keep={(t) => side(i, "long", t)} />
          <TextField
            label="On hand"
            value={s.count === null ? "" : String(s.count)}
            placeholder="any number"
            keep={(t) => {
              const n = t.trim() === "" ? null : Number(t);
              return n === null || (Number.isInteger(n) && n >= 0 && n <= 1e6)
                ? set("Sheets on hand", (r) => void (r[i]!.count = n))
                : [`Read “${t}”; write a whole number, or nothing for as many as needed.`];
            }}
          />
          <TextField
            label="Price each"
            value={s.price ? String(s.price) : ""}
            placeholder="by area"
            keep={(t) => {
              const n = t.trim() === "" ? 0 : parseNumber(t);
              return n >= 0 && n <= 1e6 ? set("Price of a sheet", (r) => void (r[i]!.price = n)) : [`Read “${t}”; write a price such as 1.20.`]; // prettier-ignore
            }}
          />
          {sizes.length > 1 && (
            <button
              className="link min-h-6 text-left text-[14px]"
              onClick={() => set("Remove a size", (r) => void r.splice(i, 1))}
            >
              Remove
            </button>
          )}
        </fieldset>
      ))}
      <p className="flex flex-wrap gap-3">
        <button
          className="btn"
          onClick={() => set("Add a size", (r) => void r.push({ wide: 100, long: 200, count: 1, price: 0 }))}
        >
          Add a size
        </button>
        {own && (
          <button className="btn" onClick={() => change("Usual sizes again", (s) => void delete s.sizes[stock])}>
            Usual sizes
          </button>
        )}
      </p>
    </div>
  );
}
