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
      <Ticks
        ticks={up}
        start={start}
        from={25}
        long={10}
        short={18}
        text={11}
        label={(n) => (metric ? `${label(n)}${n === 0 ? " m" : ""}` : `${label(n)}′`)}
      />
      <Ticks
        ticks={down}
        start={start}
        from={26}
        long={41}
        short={33}
        text={47}
        label={(n) => `${label(n)}${n === 0 ? ` ${units.model === "mm" ? "mm" : "in"}` : ""}`}
      />
    </svg>
  );
}

/** One edge of the rule: where its ticks begin, how far long and short ones reach, and the line its figures stand on. */
function Ticks({
  ticks: list,
  start,
  from,
  long,
  short,
  text,
  label,
}: {
  ticks: ReturnType<typeof ticks>;
  start: number;
  from: number;
  long: number;
  short: number;
  text: number;
  label: (n: number) => string;
}) {
  return list.map((t) => (
    <g key={t.n} stroke="none" fill="var(--ink)">
      <line
        x1={start + t.x}
        x2={start + t.x}
        y1={from}
        y2={t.long ? long : short}
        stroke="var(--ink)"
        strokeWidth={t.long ? 1.1 : 0.7}
      />
      {t.long && (
        <text x={start + t.x + 4} y={text} fontSize={13}>
          {label(t.n)}
        </text>
      )}
    </g>
  ));
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
