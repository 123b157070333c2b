import { toast } from "sonner";
import { fromPixel, MEASURES } from "core/prototype";
import { measuredFor, measureTargets, type DrawingDoc } from "core/job";
import { kindOf, profileFromDrawing } from "core/structures";
import { setParam } from "~/board/useParam";
import { useJob } from "~/job/JobContext";
import { useSheet } from "../sheet";
import { needsScale } from "./print";

/** Sends a measure into a parameter of a structure. */
export function SendTo({ index }: { index: number }) {
  const job = useJob();
  const { drawing, scale } = useSheet();
  const m = drawing.measures[index]!;
  const { unit } = MEASURES[m.kind];
  const options = measureTargets(job.doc, m);
  if (unit === "area") {
    const trestles = job.doc.structures.filter((s) => kindOf(s.kind).ground);
    if (!scale || trestles.length === 0) return <span className="flex-1" />;
    return (
      <select
        className="field min-w-0 flex-1 !text-[15px]"
        aria-label={`Use ${m.name} as the ground of`}
        title="Its first corner is the base of rail at the first bent, the others follow the ground."
        value=""
        onChange={(e) => {
          const points = profileFromDrawing(m.points.map((p) => fromPixel(scale, [0, 0], p)));
          const refused = job.edit("Ground off the drawing", (d) => {
            setParam(e.target.value, "profile", points)(d);
            setParam(e.target.value, "groundBy", "profile")(d);
          });
          if (refused.length > 0) toast.error(refused[0]!);
          else toast(`The ground has ${points.length} points now; the first corner was taken as the base of rail.`);
        }}
      >
        <option value="">Use as ground of …</option>
        {trestles.map((s) => (
          <option key={s.id} value={s.id}>
            {s.name}
          </option>
        ))}
      </select>
    );
  }
  if (options.length === 0 || (needsScale(m.kind) && !scale))
    return (
      <span className="flex-1 text-[14px] text-ink-2">
        {scale ? "Frame a structure to use it." : "Calibrate to use it."}
      </span>
    );
  const send = (to: string): void => {
    const target = options.find((o) => o.to === to)!;
    let value: number;
    try {
      value = measuredFor(m, scale, target.spec);
    } catch (e) {
      return void toast.error((e as Error).message);
    }
    const refused = job.edit(`Send ${m.name} to a dimension`, (d) => {
      setParam(target.structure, target.path, value)(d);
      (d.drawings.find((x) => x.id === drawing.id)! as DrawingDoc).measures[index]!.usedFor = to;
    });
    if (refused.length > 0) toast.error(refused[0]!);
    else toast(`${m.name} is now the ${target.label[0]!.toLowerCase()}${target.label.slice(1)}.`);
  };
  return (
    <select
      className="field min-w-0 flex-1 !text-[15px]"
      aria-label={`Send ${m.name} to`}
      value={m.usedFor && options.some((o) => o.to === m.usedFor) ? m.usedFor : ""}
      onChange={(e) => e.target.value && send(e.target.value)}
    >
      <option value="">Send to …</option>
      {options.map((o) => (
        <option key={o.to} value={o.to}>
          {m.usedFor === o.to ? "Sent to: " : ""}
          {o.label}
        </option>
      ))}
    </select>
  );
}
