import { Fragment, useState } from "react";
import { Form } from "react-router";
import { MATERIALS, stickLot, type Lot, type Material } from "core/drawer";
import { itemsOf, SERIES, SHEETS, type SeriesId } from "core/lumber";
import { parseLength, scaleOf, SCALES } from "core/units";
import { OWN_FORMS, OWN_SIZES, ownSection, type OwnForm } from "~/ui/ownSection";

const OWN = "own";
type From = SeriesId | "sheet" | typeof OWN;
const number = (x: number): string => String(Number(x.toFixed(4)));

const asRow = (l: Lot): Record<string, string> => Object.fromEntries(Object.entries(l).map(([k, v]) => [k, typeof v === "number" ? number(v) : String(v)])); // prettier-ignore
/** The id of what was typed, or why it is none. */
function sectionTyped(
  form: OwnForm,
  own: { readonly material: Material; readonly sizes: readonly string[] },
): { readonly id?: string; readonly wrong?: string } {
  // prettier-ignore
  try {
    return { id: ownSection(form, own.material === "wood" ? "wood" : "styrene", own.sizes, "mm") };
  } catch (e) {
    return { wrong: (e as Error).message };
  }
}
/** What comes into the drawer: from the series, or of any size of one's own, typed in any notation. */
export function AddToDrawer({ busy }: { busy: boolean }) {
  const [from, setFrom] = useState<From>("scale");
  const [scale, setScale] = useState("HO");
  const [item, setItem] = useState("");
  const [own, setOwn] = useState<{ form: OwnForm | "sheet"; material: Material; name: string; sizes: readonly string[] }>({ form: "strip", material: "wood", name: "", sizes: ["", "", "", ""] }); // prettier-ignore
  const [said, setSaid] = useState("");
  const [long, setLong] = useState("");
  const [wide, setWide] = useState("");
  const at = scaleOf(scale);
  const sticks = from === OWN || from === "sheet" ? [] : [...itemsOf(from, at)];
  const stick = sticks.find((i) => i.id === item) ?? sticks[0];
  const sheet = from === "sheet" ? (SHEETS.find((s) => s.id === item) ?? SHEETS[0]!) : undefined;
  const sizes = sheet ? sheet.sizes.map(([a, b]) => ({ a, b })) : [];
  const mm = (text: string): string => {
    const p = parseLength(text, "mm");
    return p.ok ? number(p.mm) : text;
  };
  const form = own.form;
  const typed = from === OWN && form !== "sheet" && form !== "strip" && form !== "round" ? sectionTyped(form, own) : {};
  const isSheet = sheet !== undefined || (from === OWN && form === "sheet");
  const usual = stick ? number(stick.lengths[0]!) : sheet ? number(sizes[0]!.b) : "";
  const usualWide = sheet ? number(sizes[0]!.a) : "";
  // what is sent is what the server reads of a table's row
  const row: Readonly<Record<string, string>> = stick
    ? { ...asRow(stickLot(stick, 1)), length: long ? mm(long) : usual }
    : sheet
      ? { form: "sheet", material: sheet.material, name: sheet.name, ...(sheet.texture ? { sheet: sheet.id } : {}), thickness: number(sheet.thickness), width: wide ? mm(wide) : usualWide, length: long ? mm(long) : usual } // prettier-ignore
      : form === "sheet"
        ? {
            form,
            material: own.material,
            name: own.name,
            thickness: mm(own.sizes[0]!),
            width: mm(wide),
            length: mm(long),
          }
        : form === "strip" || form === "round"
          ? { form, material: own.material, name: own.name, thickness: mm(own.sizes[0]!), width: mm(own.sizes[form === "round" ? 0 : 1]!), length: mm(long) } // prettier-ignore
          : { section: typed.id ?? "", name: own.name, length: mm(long) };
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
    <Form
      method="post"
      action="/drawer"
      className="mt-4 border-l-[3px] border-edge bg-shade px-4 py-3"
      onSubmit={(e) => {
        setSaid(typed.wrong ?? "");
        if (typed.wrong) e.preventDefault();
      }}
    >
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
            {SERIES.filter((s) => s.id !== "own").map((s) => (
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
                {[...Object.entries(OWN_FORMS), ["sheet", "sheet"]].map(([f, words]) => (
                  <option key={f} value={f}>
                    {words}
                  </option>
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
            {(form === "sheet" ? ["Thickness"] : OWN_SIZES[form]).map((label, i) => (
              <Fragment key={label}>
                {field(
                  label,
                  own.sizes[i]!,
                  (t) => setOwn({ ...own, sizes: own.sizes.map((x, k) => (k === i ? t : x)) }),
                  "!w-28",
                  i === 0 ? "1.5 mm" : "4.7 mm",
                )}
              </Fragment>
            ))}
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
      {said && (
        <p role="alert" className="mt-1 text-[15px] text-fault">
          {said}
        </p>
      )}
      <p className="mt-1 text-[14px] text-ink-2">
        A bare number is millimetres of the model; 1/16 in, .040 in and 11 in are read as well.
      </p>
    </Form>
  );
}
