import { useState } from "react";
import { tiltOf, UNSCALED } from "core/prototype";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { LengthField, TextField } from "~/ui/Fields";
import { kept, newId, useSheet } from "../sheet";
import { calibrationIn } from "./calibrationIn";

/** Things of known size that are counted, in inches. Common practice; the exact size is typed where it is known. */
const COUNTED: readonly (readonly [name: string, inches: number])[] = [
  ["Courses of brick, with joint", 2.67],
  ["Bricks along, with joint", 8.33],
  ["Clapboards, to the weather", 4],
  ["Boards", 6],
  ["Ties, middle to middle", 21],
  ["Door, high", 80],
  ["Something else", 12],
];

/** Asks for the length between two points, or for what was counted there, and whether their line is level or plumb. */
export function KnownLengthForm() {
  const { doc } = useJob();
  const { P } = useUnits();
  const { points, tool, scale, change, choose, drawing } = useSheet();
  const [a, b] = points as [readonly [number, number], readonly [number, number]];
  const counting = tool === "count";
  const first = !drawing.calibration;
  const [line, setLine] = useState<"level" | "plumb" | "neither">(() => {
    const t = Math.abs((Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI);
    return Math.min(t, 180 - t) < 10 ? "level" : Math.abs(t - 90) < 10 ? "plumb" : "neither";
  });
  const [what, setWhat] = useState(0);
  const [count, setCount] = useState("");
  const keep = (length: number, counted?: { count: number; each: number }): readonly string[] => {
    if (!(length > 0)) return ["The length has to be more than nothing."];
    if (Math.hypot(b[0] - a[0], b[1] - a[1]) < 5)
      return ["The two points are less than 5 pixels apart; choose points far from each other."];
    const refused = change("Calibrate the drawing", (d) => {
      const c = calibrationIn(d);
      const name = counted ? `${counted.count} ${COUNTED[what]![0].toLowerCase()}` : `Length ${c.lengths.length + 1}`;
      c.lengths.push({ id: newId("k"), name, from: kept(a), to: kept(b), length, use: "scale", ...counted });
      if (first && line !== "neither") c.tilt = tiltOf(scale ?? UNSCALED, a, b);
    });
    if (refused.length === 0) choose("look");
    return refused;
  };
  return (
    <div className="space-y-2">
      {first && (
        <fieldset className="text-[15px]">
          <legend>On the prototype this line is</legend>
          {(["level", "plumb", "neither"] as const).map((l) => (
            <label key={l} className="mr-3 inline-flex items-center gap-1.5">
              <input type="radio" name="line" checked={line === l} onChange={() => setLine(l)} />
              {l}
            </label>
          ))}
        </fieldset>
      )}
      {counting ? (
        <>
          <label className="block text-[15px]">
            What is counted
            <select className="field mt-0.5" value={what} onChange={(e) => setWhat(Number(e.target.value))}>
              {COUNTED.map(([name], i) => (
                <option key={name} value={i}>
                  {name}
                </option>
              ))}
            </select>
          </label>
          <TextField
            label="How many between the two points"
            first
            value={count}
            keep={(t) => {
              if (!(Number(t) >= 1 && Number.isInteger(Number(t)))) return [`Read “${t}”; write a whole number.`];
              setCount(t);
            }}
          />
          <LengthField
            key={what}
            label="Size of each"
            world="prototype"
            mm={undefined}
            units={doc.brief.units}
            hint={`Usual: ${P(COUNTED[what]![1] * 25.4)}. Type it and press Enter.`}
            keep={(mm) => {
              const n = Number(count);
              if (!(n >= 1)) return ["Count them first."];
              return keep(n * mm, { count: n, each: mm });
            }}
          />
          {Number(count) >= 1 && (
            <button
              className="btn"
              onClick={() =>
                keep(Number(count) * COUNTED[what]![1] * 25.4, { count: Number(count), each: COUNTED[what]![1] * 25.4 })
              }
            >
              Take the usual size
            </button>
          )}
        </>
      ) : (
        <LengthField
          label="Length between the two points"
          first
          world="prototype"
          mm={undefined}
          units={doc.brief.units}
          keep={keep}
        />
      )}
    </div>
  );
}
