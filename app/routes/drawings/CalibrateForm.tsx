import { useState } from "react";
import type { Vec2 } from "core/geometry";
import { mmPerPixel, tiltOf } from "core/prototype";
import { useJob } from "~/job/JobContext";
import { LengthField } from "~/ui/Fields";

/** Asks for the length between two points, and whether their line is level or plumb. */
export function CalibrateForm({
  points,
  tilt,
  keep,
}: {
  points: readonly [Vec2, Vec2];
  tilt: number;
  keep: (c: { from: [number, number]; to: [number, number]; length: number; tilt: number }) => readonly string[];
}) {
  const { doc } = useJob();
  const [a, b] = points;
  const [line, setLine] = useState<"level" | "plumb" | "neither">(() => {
    const t = Math.abs((Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI);
    return Math.min(t, 180 - t) < 10 ? "level" : Math.abs(t - 90) < 10 ? "plumb" : "neither";
  });
  return (
    <div className="space-y-2">
      <fieldset className="text-[15px]">
        <legend>On the prototype this line is</legend>
        {(["level", "plumb", "neither"] as const).map((l) => (
          <label key={l} className="mr-3 inline-flex items-center gap-1.5">
            <input type="radio" name="line" checked={line === l} onChange={() => setLine(l)} />
            {l}
          </label>
        ))}
      </fieldset>
      <LengthField
        label="Length between the two points"
        world="prototype"
        mm={undefined}
        units={doc.brief.units}
        keep={(mm) => {
          const c = {
            from: [a[0], a[1]] as [number, number],
            to: [b[0], b[1]] as [number, number],
            length: mm,
            tilt: line === "neither" ? tilt : tiltOf(a, b),
          };
          if (!(mm > 0)) return ["The length has to be more than nothing."];
          try {
            mmPerPixel(c);
          } catch (e) {
            return [(e as Error).message];
          }
          return keep(c);
        }}
      />
    </div>
  );
}
