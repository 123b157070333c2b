import { circuitOf, equallySpaced } from "core/lights";
import { emptyBuild, type LampDoc, type LightsDoc } from "core/job";
import { bareModel, parseLength, parseNumber, printNumber } from "core/units";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { TextField } from "~/ui/Fields";

/** Wire to spare at either end of a run, of its length. Common practice. */
const SPARE = 0.15;
const ohmWords = (r: number): string => (r >= 1000 ? `${printNumber(r / 1000, 1).replace(/\.0$/, "")} kΩ` : `${printNumber(r, r < 10 ? 1 : 0)} Ω`); // prettier-ignore
/** Lamps of the model: resistors and what the supply has to give, wires with their lengths, holes with equal spaces. */
export function Lights() {
  const { doc, edit } = useJob();
  const { M } = useUnits();
  const lights: LightsDoc = doc.build?.lights ?? { supply: 12, lamps: [] };
  const change = (label: string, f: (l: LightsDoc) => void): void =>
    void edit(label, (d) => f(((d.build ??= emptyBuild()).lights ??= { supply: 12, lamps: [] })));
  const sum = circuitOf(lights.supply, lights.lamps);
  const wires = lights.lamps.reduce((t, l) => t + 2 * l.count * l.wire * (1 + SPARE), 0);
  const bare = bareModel(doc.brief.units.model);
  return (
    <>
      <p className="max-w-3xl text-ink-2">
        Light-emitting diodes on low voltage only; holes are drilled and wires drawn before the walls close. Mains work
        is for a licensed electrician.
      </p>
      <div className="mt-3 w-48">
        <TextField
          label="Supply, V direct current"
          value={String(lights.supply)}
          keep={(t) => {
            const n = parseNumber(t, "v");
            if (!(n >= 1 && n <= 60)) return [`Read “${t}”; write volts, such as 12.`];
            change("Supply", (l) => void (l.supply = n));
          }}
        />
      </div>
      {lights.lamps.map((l, i) => {
        const own = circuitOf(lights.supply, [l]);
        const number = (k: "count" | "volts" | "milliamps" | "series", label: string, least: number, most: number, whole: boolean) => (
          <div className="w-28">
            <TextField
              label={label}
              value={String(l[k])}
              keep={(t) => {
                const n = parseNumber(t, "ma", "v");
                if (!(n >= least && n <= most && (!whole || Number.isInteger(n)))) return [`Read “${t}”; write ${whole ? "a whole number " : ""}from ${least} to ${most}.`]; // prettier-ignore
                change(`${label} of ${l.name}`, (x) => void (x.lamps[i]![k] = n));
              }}
            />
          </div>
        ); // prettier-ignore
        const length = (k: "hole" | "wire", label: string, most: number) => (
          <div className="w-32">
            <TextField
              label={label}
              value={M(l[k], 1)}
              keep={(t) => {
                const p = parseLength(t, bare);
                if (!p.ok) return [p.error];
                if (!(p.mm >= (k === "hole" ? 0.3 : 0) && p.mm <= most)) return [`Read “${t}”; it may be up to ${M(most, 0)}.`]; // prettier-ignore
                change(`${label} of ${l.name}`, (x) => void (x.lamps[i]![k] = p.mm));
              }}
            />
          </div>
        );
        return (
          <section key={l.id} aria-label={l.name} className="row mt-3 py-2">
            <div className="flex flex-wrap items-end gap-4">
              <div className="w-52">
                <TextField
                  label="Lamps"
                  value={l.name}
                  keep={(t) => (t.trim() ? change("Name of lamps", (x) => void (x.lamps[i]!.name = t.trim().slice(0, 80))) : ["They need a name."])} // prettier-ignore
                />
              </div>
              {number("count", "How many", 0, 500, true)}
              {number("volts", "Each, V", 0.5, 24, false)}
              {number("milliamps", "Each, mA", 0.5, 1000, false)}
              {number("series", "In series", 1, 20, true)}
              {length("hole", "Hole", 20)}
              {length("wire", "Wire, one way", 20_000)}
              <button
                className="link min-h-10"
                onClick={() => change(`Without ${l.name}`, (x) => void x.lamps.splice(i, 1))}
              >
                Leave them out
              </button>
            </div>
            {own.faults.map((f) => (
              <p key={f} className="mt-1 border-l-[3px] border-fault bg-shade px-4 py-1.5 text-[16px]">
                {f}
              </p>
            ))}
            <ul className="mt-1 text-[16px]">
              {own.strings.map((s) => (
                <li key={s.lamps}>
                  {`${s.strings} × ${s.lamps} in series: a resistor of ${ohmWords(s.ohms)} (reckoned ${ohmWords(s.exact)}), ${s.rating} W; ${printNumber(s.milliamps, 1)} mA flow.`}
                </li>
              ))}
              {l.count > 0 && (
                <li className="text-ink-2">
                  {`${l.count} holes of ${M(l.hole, 1)}; along ${M(100, 0)} with equal spaces at ${equallySpaced(
                    100,
                    Math.min(l.count, 8),
                  )
                    .map((x) => M(x, 1))
                    .join(", ")}.`}
                </li>
              )}
            </ul>
          </section>
        );
      })}
      <button
        className="btn mt-3 min-h-11"
        onClick={() => change("Add lamps", (l) => void l.lamps.push({ id: `l${crypto.randomUUID().slice(0, 6)}`, name: "Room lamps", count: 3, volts: 3.1, milliamps: 5, series: 1, hole: 3, wire: 300 } satisfies LampDoc))} // prettier-ignore
      >
        Add lamps
      </button>
      {lights.lamps.length > 0 && (
        <p className="mt-4 text-[18px]" role="status">
          <b>{`All together ${printNumber(sum.milliamps, 1)} mA at ${lights.supply} V`}</b>
          {`: a supply of ${printNumber(Math.ceil(sum.milliamps * 1.25), 0)} mA or more. Wire: ${M(wires, 0)} with some to spare, both ways.`}
        </p>
      )}
      {sum.faults
        .filter((f) => /low voltage/.test(f))
        .map((f) => (
          <p key={f} className="mt-1 border-l-[3px] border-fault bg-shade px-4 py-1.5 text-[16px]">
            {f}
          </p>
        ))}
    </>
  );
}
