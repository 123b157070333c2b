import type { BoardView } from "./Board";
import type { Scale } from "core/units";
import { MM_PER_FOOT, type Units } from "core/units";

/** Distances between long ticks that read well. */
const nice = (least: number, steps: readonly number[]): number =>
  steps.find((s) => s >= least) ?? steps[steps.length - 1]!;
const STEPS = Array.from({ length: 27 }, (_, i) => [1, 2, 5][i % 3]! * 10 ** (Math.floor(i / 3) - 3));

/** The two-way rule: prototype above, model below, at the scale of the drawing. `perModel` is pixels per model mm. */
export function Rule({
  view,
  scale,
  units,
  perModel,
}: {
  view: BoardView | undefined;
  scale: Scale;
  units: Units;
  perModel: number;
}) {
  if (!view) return <div className="h-full" />;
  const width = view.width;
  const start = 24;
  const metric = units.prototype === "m";
  const upUnit = (metric ? 1000 : MM_PER_FOOT) / scale.ratio;
  const downUnit = units.model === "mm" ? 1 : 25.4;
  const up = ticks(width - start, perModel * upUnit);
  const down = ticks(width - start, perModel * downUnit);
  const label = (n: number): string => String(Number(n.toFixed(3)));
  return (
    <svg width={width} height={51} className="block" aria-hidden>
      <line x1={start} x2={width} y1={25.5} y2={25.5} stroke="var(--ink)" strokeWidth={1} />
      {up.map((t) => (
        <g key={`u${t.n}`}>
          <line
            x1={start + t.x}
            x2={start + t.x}
            y1={25}
            y2={t.long ? 10 : 18}
            stroke="var(--ink)"
            strokeWidth={t.long ? 1.1 : 0.7}
          />
          {t.long && (
            <text x={start + t.x + 4} y={11} fontSize={13} fill="var(--ink)">
              {label(t.n)}
              {metric ? (t.n === 0 ? " m" : "") : "′"}
            </text>
          )}
        </g>
      ))}
      {down.map((t) => (
        <g key={`d${t.n}`}>
          <line
            x1={start + t.x}
            x2={start + t.x}
            y1={26}
            y2={t.long ? 41 : 33}
            stroke="var(--ink)"
            strokeWidth={t.long ? 1.1 : 0.7}
          />
          {t.long && (
            <text x={start + t.x + 4} y={47} fontSize={13} fill="var(--ink)">
              {label(t.n)}
              {t.n === 0 ? ` ${units.model === "mm" ? "mm" : "in"}` : ""}
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}

export function ticks(width: number, perUnit: number): { n: number; x: number; long: boolean }[] {
  const major = nice(56 / perUnit, STEPS);
  const minor = nice(
    7 / perUnit,
    STEPS.filter((s) => Math.abs((major / s) % 1) < 1e-9 || Math.abs(((major / s) % 1) - 1) < 1e-9),
  );
  const out = [];
  const per = Math.round(major / minor);
  for (let i = 0; i * minor * perUnit < width; i++)
    out.push({ n: i * minor, x: i * minor * perUnit, long: i % per === 0 });
  return out;
}
