import { useState } from "react";
import { Form } from "react-router";
import { materialOf, MATERIALS, type Material } from "core/drawer";
import { catalogue, SERIES, SHEETS, type SeriesId } from "core/lumber";
import { parseLength, scaleOf, SCALES } from "core/units";

const OWN = "own";
type From = SeriesId | "sheet" | typeof OWN;
const number = (x: number): string => String(Number(x.toFixed(4)));

/** What comes into the drawer: from the series, or of any size of one's own, typed in any notation. */
export function AddToDrawer({ busy }: { busy: boolean }) {
  const [from, setFrom] = useState<From>("scale");
  const [scale, setScale] = useState("HO");
  const [item, setItem] = useState("");
  const [own, setOwn] = useState<{ form: "strip" | "round" | "sheet"; material: Material; name: string; thickness: string; width: string }>({ form: "strip", material: "wood", name: "", thickness: "", width: "" }); // prettier-ignore
  const [long, setLong] = useState("");
  const [wide, setWide] = useState("");
  const at = scaleOf(scale);
  const sticks = from === OWN || from === "sheet" ? [] : catalogue(at).filter((i) => i.series === from);
  const stick = sticks.find((i) => i.id === item) ?? sticks[0];
  const sheet = from === "sheet" ? (SHEETS.find((s) => s.id === item) ?? SHEETS[0]!) : undefined;
  const sizes = sheet ? sheet.sizes.map(([a, b]) => ({ a, b })) : [];
  const mm = (text: string): string => {
    const p = parseLength(text, "mm");
    return p.ok ? number(p.mm) : text;
  };
  const form = own.form;
  const isSheet = sheet !== undefined || (from === OWN && form === "sheet");
  const usual = stick ? number(stick.lengths[0]!) : sheet ? number(sizes[0]!.b) : "";
  const usualWide = sheet ? number(sizes[0]!.a) : "";
  // what is sent is what the server reads of a table's row
  const row: Readonly<Record<string, string>> = stick
    ? { form: stick.shape === "round" ? "round" : "strip", material: materialOf(stick), name: stick.name, thickness: number(stick.thickness), width: number(stick.width), length: long ? mm(long) : usual } // prettier-ignore
    : sheet
      ? { form: "sheet", material: sheet.material, name: sheet.name, ...(sheet.texture ? { sheet: sheet.id } : {}), thickness: number(sheet.thickness), width: wide ? mm(wide) : usualWide, length: long ? mm(long) : usual } // prettier-ignore
      : { form, material: own.material, name: own.name, thickness: mm(own.thickness), width: form === "round" ? mm(own.thickness) : form === "sheet" ? mm(wide) : mm(own.width), length: mm(long) }; // prettier-ignore
  const field = (label: string, value: string, set: (t: string) => void, width: string, placeholder = "") => (
    <label className="flex flex-col text-[15px]">
      {label}
      <input
        className={`field ${width}`}
        value={value}
        placeholder={placeholder}
        onChange={(e) => set(e.target.value)}
      />
    </label>
  );
  return (
    <Form method="post" action="/drawer" className="mt-4 border-l-[3px] border-edge bg-shade px-4 py-3">
      <h2 className="label">Add to the drawer</h2>
      <input type="hidden" name="do" value="add" />
      {Object.entries(row).map(([k, v]) => (
        <input key={k} type="hidden" name={k} value={v} />
      ))}
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <label className="flex flex-col text-[15px]">
          From
          <select
            className="field !w-48"
            value={from}
            onChange={(e) => {
              setFrom(e.target.value as From);
              setItem("");
            }}
          >
            {SERIES.filter((s) => s.id !== "tube" && s.id !== "own").map((s) => (
              <option key={s.id} value={s.id}>
                {s.name}
              </option>
            ))}
            <option value="sheet">Sheet</option>
            <option value={OWN}>any size of my own</option>
          </select>
        </label>
        {from === "scale" && (
          <label className="flex flex-col text-[15px]">
            Scale
            <select className="field !w-[88px]" value={scale} onChange={(e) => setScale(e.target.value)}>
              {SCALES.map((s) => (
                <option key={s.id} value={s.id}>
                  {s.name}
                </option>
              ))}
            </select>
          </label>
        )}
        {(stick ?? sheet) && (
          <label className="flex flex-col text-[15px]">
            Size
            <select className="field !w-60" value={(stick ?? sheet)!.id} onChange={(e) => setItem(e.target.value)}>
              {(sheet ? SHEETS : sticks).map((i) => (
                <option key={i.id} value={i.id}>
                  {i.name}
                </option>
              ))}
            </select>
          </label>
        )}
        {from === OWN && (
          <>
            <label className="flex flex-col text-[15px]">
              Form
              <select
                className="field !w-28"
                value={form}
                onChange={(e) => setOwn({ ...own, form: e.target.value as typeof form })}
              >
                {["strip", "round", "sheet"].map((f) => (
                  <option key={f}>{f}</option>
                ))}
              </select>
            </label>
            <label className="flex flex-col text-[15px]">
              Material
              <select
                className="field !w-28"
                value={own.material}
                onChange={(e) => setOwn({ ...own, material: e.target.value as Material })}
              >
                {MATERIALS.map((m) => (
                  <option key={m}>{m}</option>
                ))}
              </select>
            </label>
            {field("Called", own.name, (name) => setOwn({ ...own, name }), "!w-48", "coffee stirrer")}
            {field(
              form === "round" ? "Diameter" : "Thickness",
              own.thickness,
              (thickness) => setOwn({ ...own, thickness }),
              "!w-28",
              "1.5 mm",
            )}
            {form === "strip" && field("Width", own.width, (width) => setOwn({ ...own, width }), "!w-28", "4.7 mm")}
          </>
        )}
        {isSheet && field("Across its lines", wide, setWide, "!w-32", usualWide ? `${usualWide} mm` : "150 mm")}
        {field(isSheet ? "Along them" : "Length", long, setLong, "!w-28", usual ? `${usual} mm` : "300 mm")}
        <label className="flex flex-col text-[15px]">
          Count
          <input className="field !w-16" name="count" defaultValue="1" />
        </label>
        <label className="flex flex-col text-[15px]">
          Price each
          <input className="field !w-20" name="price" />
        </label>
        <label className="flex flex-col text-[15px]">
          Place
          <input className="field !w-28" name="place" placeholder="tray 3" />
        </label>
        <button className="act" disabled={busy}>
          Add
        </button>
      </div>
      <p className="mt-1 text-[14px] text-ink-2">
        A bare number is millimetres of the model; 1/16 in, .040 in and 11 in are read as well.
      </p>
    </Form>
  );
}
