import { BAR, correctionWords, measured, type Printer } from "core/drawing";
import { usePrinters } from "~/job/usePrinters";
import { useUnits } from "~/job/units";
import { CaliperButton } from "~/ui/CaliperButton";
import { LengthField, SelectField, TextField } from "~/ui/Fields";

/** Printers by name, each corrected by its own bars once they were measured. */
export function Printers() {
  const { units, M } = useUnits();
  const [{ printers, on }, keep] = usePrinters();
  const now = printers.find((p) => p.name === on);
  const change = (p: Printer): void => keep({ printers: printers.map((x) => (x.name === p.name ? p : x)), on });
  const keepBar = (axis: "across" | "up", mm: number): readonly string[] | void => {
    try {
      change(measured(now!, axis, mm));
    } catch (e) {
      return [(e as Error).message];
    }
  };
  const bar = (axis: "across" | "up", label: string) => (
    <div>
      <LengthField
        key={`${now!.name} ${now![axis]}`}
        label={label}
        world="model"
        units={units}
        mm={undefined}
        hint={`The ${M(BAR, 0)} bar, as it is on the paper.`}
        keep={(mm) => keepBar(axis, mm)}
      />
      <CaliperButton near={BAR} M={M} take={(mm) => void keepBar(axis, mm)} />
    </div>
  );
  return (
    <section className="space-y-2">
      <h2 className="label">Printer</h2>
      <SelectField
        label="Printed on"
        value={on}
        options={[{ value: "", label: "any, as it comes" }, ...printers.map((p) => ({ value: p.name, label: p.name }))]}
        keep={(name) => keep({ printers, on: name })}
      />
      {now ? (
        <>
          <p>Correction: {correctionWords(now)}.</p>
          <p className="text-ink-2">Print a page, measure its bars with the caliper, and type what they are:</p>
          {bar("across", "Bar across")}
          {bar("up", "Bar up the page")}
          <p className="flex gap-4">
            <button className="link min-h-6" onClick={() => change({ ...now, across: 1, up: 1 })}>
              No correction
            </button>
            <button
              className="link min-h-6"
              onClick={() => keep({ printers: printers.filter((p) => p !== now), on: "" })}
            >
              Forget this printer
            </button>
          </p>
        </>
      ) : (
        <TextField
          key={printers.length}
          label="Another printer, by name"
          value=""
          placeholder="the one in the hall"
          keep={(t) => {
            const name = t.trim().slice(0, 60);
            if (name === "") return;
            if (printers.some((p) => p.name === name)) return [`“${name}” is there already; choose it above.`];
            keep({ printers: [...printers, { name, across: 1, up: 1 }], on: name });
          }}
        />
      )}
    </section>
  );
}
