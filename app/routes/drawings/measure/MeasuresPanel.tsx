import { MEASURES, type MeasureKind } from "core/prototype";
import { useJob } from "~/job/JobContext";
import { Figure, useUnits } from "~/job/units";
import { TextField } from "~/ui/Fields";
import { useSheet } from "../sheet";
import { Openings } from "./Openings";
import { printMeasure } from "./print";
import { SendTo } from "./SendTo";

/** The named measures of a drawing, in both worlds, and its openings. */
export function MeasuresPanel() {
  const job = useJob();
  const units = useUnits();
  const { drawing, scale, change, picked, pick } = useSheet();
  return (
    <>
      <section>
        <h2 className="label">Measures</h2>
        {!scale && (
          <p className="mt-1 text-[15px] text-ink-2">Lengths need a scale: see the Scale tab. Angles do not.</p>
        )}
        {drawing.measures.length === 0 && (
          <p className="mt-1 text-[15px] text-ink-2">None yet: choose a tool above the drawing, or press M.</p>
        )}
        <ul className="space-y-3">
          {drawing.measures.map((m, i) => {
            const v = printMeasure(m, scale, units.scale.ratio, units);
            return (
              <li
                key={m.id}
                className={`border-l-[3px] pl-2 ${m.id === picked ? "border-vermilion" : "border-hair"}`}
                onFocus={() => pick(m.id)}
                onPointerDown={() => pick(m.id)}
              >
                <TextField
                  label={<span className="sr-only">Name of measure {i + 1}</span>}
                  value={m.name}
                  keep={(t) => void change("Name a measure", (d) => void (d.measures[i]!.name = t.slice(0, 80)))}
                />
                <p className="my-1 text-[15px]">
                  <b>
                    <Figure>{v.prototype}</Figure>
                  </b>
                  {v.model && ` · ${v.model} on the model`}
                  <span className="text-ink-2"> · {MEASURES[m.kind as MeasureKind].name.toLowerCase()}</span>
                </p>
                {m.kind === "count" && (
                  <TextField
                    label="How many, the first and the last told"
                    value={String(m.count ?? 2)}
                    keep={(t) => {
                      const n = Number(t.trim());
                      if (!(Number.isInteger(n) && n >= 2 && n <= 10_000))
                        return [`Read “${t}”; write a whole number from 2.`];
                      change("Count a row", (d) => void (d.measures[i]!.count = n));
                    }}
                  />
                )}
                <div className="mt-1 flex items-center gap-2">
                  <SendTo index={i} />
                  <button
                    className="link text-[15px]"
                    onClick={() => change(`Remove ${m.name}`, (d) => void d.measures.splice(i, 1))}
                  >
                    Remove
                  </button>
                </div>
                {m.usedFor && !job.doc.structures.some((s) => m.usedFor!.startsWith(`${s.id}:`)) && (
                  <p className="text-[14px] text-ink-2">It was sent to a structure that is no longer there.</p>
                )}
              </li>
            );
          })}
        </ul>
      </section>
      <Openings />
    </>
  );
}
