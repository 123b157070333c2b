import { toast } from "sonner";
import { measureAngle, measureLength, type Calibration } from "core/prototype";
import type { DrawingDoc } from "core/job";
import { kindOf, paramAt, type Spec } from "core/structures";
import { setParam } from "~/board/useParam";
import { chosenVariant, useJob } from "~/job/JobContext";

/** Sends a measure into a parameter of a structure. */
export function SendTo({ drawing, index }: { drawing: DrawingDoc; index: number }) {
  const job = useJob();
  const m = drawing.measures[index]!;
  const cal = drawing.calibration as Calibration | undefined;
  const options = job.doc.structures.flatMap((s) => {
    const kind = kindOf(s.kind);
    const params = chosenVariant(s).params;
    return pathsOf(kind.spec)
      .filter((p) => kind.shown(params, p))
      .flatMap((p) => {
        const spec = paramAt(kind.spec, p)!;
        return (m.kind === "length" && spec.type === "length") || (m.kind === "angle" && spec.type === "batter")
          ? [{ value: `${s.id}:${p}`, label: spec.label }]
          : [];
      });
  });
  if (options.length === 0 || (m.kind === "length" && !cal))
    return (
      <span className="flex-1 text-[14px] text-ink-2">
        {cal ? "Frame a structure to use it." : "Calibrate to use it."}
      </span>
    );
  const send = (to: string): void => {
    const [structure, path] = to.split(":") as [string, string];
    let v: number;
    if (m.kind === "length") v = measureLength(cal!, m.points[0]!, m.points[1]!);
    else {
      // an angle from plumb, or from level: whichever is the batter
      const a = measureAngle(m.points[0]!, m.points[1]!, m.points[2]!);
      v = 12 * Math.tan((Math.min(a, Math.abs(90 - a), 180 - a) * Math.PI) / 180);
    }
    const rounded = m.kind === "length" ? Math.round(v * 100) / 100 : Math.round(v * 1000) / 1000;
    const refused = job.edit(`Send ${m.name} to a dimension`, (d) => {
      setParam(structure, path, rounded)(d);
      d.drawings.find((x) => x.id === drawing.id)!.measures[index]!.usedFor = to;
    });
    if (refused.length > 0) toast.error(refused[0]!);
    else toast(`${m.name} is now the ${options.find((o) => o.value === to)!.label.toLowerCase()}.`);
  };
  return (
    <select
      className="field min-w-0 flex-1 !text-[15px]"
      aria-label={`Send ${m.name} to`}
      value={m.usedFor && options.some((o) => o.value === m.usedFor) ? m.usedFor : ""}
      onChange={(e) => e.target.value && send(e.target.value)}
    >
      <option value="">Send to …</option>
      {options.map((o) => (
        <option key={o.value} value={o.value}>
          {m.usedFor === o.value ? "Sent to: " : ""}
          {o.label}
        </option>
      ))}
    </select>
  );
}
const pathsOf = (spec: Spec): string[] =>
  Object.entries(spec).flatMap(([k, p]) => (p.type === "list" ? p.labels.map((_, i) => `${k}.${i}`) : [k]));
