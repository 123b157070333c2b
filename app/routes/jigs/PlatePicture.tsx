import type { Plate } from "core/workshop";
import { useUnits } from "~/job/units";

const reachOf = (p: Plate) => {
  const points = p.area.flat();
  const [xs, ys] = [points.map((q) => q[0]), points.map((q) => q[1])];
  return { x0: Math.min(...xs), x1: Math.max(...xs), y0: Math.min(...ys), y1: Math.max(...ys) };
};
/** How large a plate is, in words. */
export function PlateSize({ plate }: { plate: Plate }) {
  const { M } = useUnits();
  const r = reachOf(plate);
  return (
    <>
      {M(r.x1 - r.x0)} × {M(r.y1 - r.y0)}, {M(plate.thickness)} thick
    </>
  );
}
/** A plate from above, all plates of a jig at one scale. */
export function PlatePicture({ plate, of }: { plate: Plate; of: readonly Plate[] }) {
  const k = Math.min(8, 700 / Math.max(...of.map((p) => reachOf(p).x1 - reachOf(p).x0)), (of.length > 1 ? 230 : 420) / Math.max(...of.map((p) => reachOf(p).y1 - reachOf(p).y0))); // prettier-ignore
  const r = reachOf(plate);
  const to = (x: number, y: number): string => `${((x - r.x0) * k + 2).toFixed(2)},${((r.y1 - y) * k + 2).toFixed(2)}`;
  return (
    <svg
      width={(r.x1 - r.x0) * k + 4}
      height={(r.y1 - r.y0) * k + 4}
      role="img"
      aria-label={plate.name}
      className="block max-w-full"
    >
      <path
        d={plate.area.map((ring) => `M${ring.map(([x, y]) => to(x, y)).join("L")}Z`).join("")}
        fill="var(--timber)"
        fillRule="evenodd"
        stroke="var(--ink)"
        strokeWidth={1.3}
        strokeLinejoin="round"
      />
      <path
        d={plate.lines.map(([a, b]) => `M${to(a[0], a[1])}L${to(b[0], b[1])}`).join("")}
        stroke="var(--ink)"
        strokeWidth={0.8}
        strokeDasharray="4 3"
      />
      {plate.words.map((w, i) => {
        const [x, y] = to(w.at[0], w.at[1]).split(",");
        return (
          <text
            key={i}
            x={x}
            y={y}
            fontSize={w.size * k}
            fontFamily="var(--font-label)"
            fontWeight={600}
            fill="var(--ink)"
          >
            {w.text}
          </text>
        );
      })}
    </svg>
  );
}
