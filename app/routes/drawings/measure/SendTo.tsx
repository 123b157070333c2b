import { toast } from "sonner";
import { fromPixel, MEASURES, measureValue, UNSCALED } from "core/prototype";
import type { DrawingDoc } from "core/job";
import { kindOf, paramAt, pathsOf, profileFromDrawing } from "core/structures";
import { setParam } from "~/board/useParam";
import { chosenVariant, useJob } from "~/job/JobContext";
import { useSheet } from "../sheet";
import { needsScale } from "./print";

/** What a parameter of a kind takes from a measure of a unit. */
const TAKES: Readonly<Record<string, readonly string[]>> = {
  length: ["length", "spacing"],
  batter: ["angle", "batter"],
};

/** Sends a measure into a parameter of a structure. */
export function SendTo({ index }: { index: number }) {
  const job = useJob();
  const { drawing, scale } = useSheet();
  const m = drawing.measures[index]!;
  const { unit } = MEASURES[m.kind];
  const several = job.doc.structures.length > 1;
  const options = job.doc.structures.flatMap((s) => {
    const kind = kindOf(s.kind);
    const params = chosenVariant(s).params;
    return pathsOf(kind.spec)
      .filter((p) => kind.shown(params, p))
      .flatMap((p) => {
        const spec = paramAt(kind.spec, p)!;
        const label = several ? `${s.name}: ${spec.label}` : spec.label;
        return TAKES[spec.type]?.includes(unit) ? [{ value: `${s.id}:${p}`, label, type: spec.type }] : [];
      });
  });
  if (unit === "area") {
    const trestles = job.doc.structures.filter((s) => s.kind === "trestle");
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
  if (unit === "pitch") return <span className="flex-1" />;
  if (options.length === 0 || (needsScale(m.kind) && !scale))
    return (
      <span className="flex-1 text-[14px] text-ink-2">
        {scale ? "Frame a structure to use it." : "Calibrate to use it."}
      </span>
    );
  const send = (to: string): void => {
    const [structure, path] = to.split(":") as [string, string];
    let v: number;
    try {
      v = measureValue(m.kind, m.points, scale ?? UNSCALED, m.count);
    } catch (e) {
      return void toast.error((e as Error).message);
    }
    // an angle from plumb, or from level: whichever is the batter
    if (unit === "angle") v = 12 * Math.tan((Math.min(v, Math.abs(90 - v), 180 - v) * Math.PI) / 180);
    const rounded =
      options.find((o) => o.value === to)!.type === "length" ? Math.round(v * 100) / 100 : Math.round(v * 1000) / 1000;
    const refused = job.edit(`Send ${m.name} to a dimension`, (d) => {
      setParam(structure, path, rounded)(d);
      (d.drawings.find((x) => x.id === drawing.id)! as DrawingDoc).measures[index]!.usedFor = to;
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
