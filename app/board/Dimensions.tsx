import type { Dimension, ElevationPoint } from "core/structures";
import type { BoardView } from "./Board";
import { Figure } from "~/job/units";
import { ParamFigure } from "./ParamFigure";

interface Props {
  readonly dims: readonly Dimension[];
  readonly view: BoardView;
  /** Outline of what is dimensioned, on the drawing. */
  readonly bounds: { readonly min: ElevationPoint; readonly max: ElevationPoint };
  readonly print: (d: Dimension) => string;
}
const FIRST = 30;
const TIER = 26;

interface Placed {
  readonly d: Dimension;
  readonly a: readonly [number, number];
  readonly b: readonly [number, number];
  readonly figure: readonly [number, number];
  readonly feet: readonly (readonly [number, number, number, number])[];
}

/** Where each dimension's line, extension lines and figure stand, in board pixels. Figures too wide for their line step aside. */
export function placeDimensions({ dims, view, bounds, print }: Props): Placed[] {
  const out: Placed[] = [];
  const taken: { x: number; y: number; w: number }[] = [];
  const free = (x: number, y: number, w: number): boolean =>
    !taken.some((t) => Math.abs(t.y - y) < 22 && Math.abs(t.x - x) < (t.w + w) / 2);
  // those that are only derived give way to those that can be typed into
  for (const d of [...dims].sort((a, b) => Number(!a.param) - Number(!b.param))) {
    const [ax, ay, bx, by] = [view.X(d.from[0]), view.Y(d.from[1]), view.X(d.to[0]), view.Y(d.to[1])];
    const off = FIRST + d.tier * TIER;
    const w = print(d).length * 8 + 18;
    if (d.side === "at") {
      out.push({ d, a: [bx, by], b: [bx, by], figure: [bx + 16 + w / 2, by], feet: [] });
    } else if (d.side === "left" || d.side === "right") {
      const x = d.side === "left" ? view.X(bounds.min[0]) - off - 14 : view.X(bounds.max[0]) + off;
      const foot = (px: number, py: number): readonly [number, number, number, number] => [
        px + (d.side === "left" ? -5 : 5),
        py,
        x + (d.side === "left" ? -5 : 5),
        py,
      ];
      let fy = (ay + by) / 2;
      const own = fy;
      while (!free(x, fy, w)) fy += 8;
      if (Math.abs(fy - own) > 90) continue;
      taken.push({ x, y: fy, w });
      out.push({ d, a: [x, ay], b: [x, by], figure: [x, fy], feet: [foot(ax, ay), foot(bx, by)] });
    } else {
      const y = d.side === "top" ? view.Y(bounds.max[1]) - off : view.Y(bounds.min[1]) + off;
      const s = d.side === "top" ? -5 : 5;
      let fx = (ax + bx) / 2;
      const own = fx;
      while (!free(fx, y, w)) fx += ax < bx ? -8 : 8;
      // too crowded: a figure far from its line would say nothing; zoomed in it is there
      if (Math.abs(fx - own) > (ax === bx ? 30 : 90)) continue;
      taken.push({ x: fx, y, w });
      out.push({
        d,
        a: [ax, y],
        b: [bx, y],
        figure: [fx, y],
        feet: [
          [ax, ay + s, ax, y + s],
          [bx, by + s, bx, y + s],
        ],
      });
    }
  }
  return out;
}

/** Dimension lines with oblique ticks, in board pixels. */
export function DimensionLines({ placed }: { placed: readonly Placed[] }) {
  return (
    <g stroke="var(--ink)" strokeWidth={0.9} fill="none" style={{ pointerEvents: "none" }}>
      {placed.map(({ d, a, b, feet, figure }) => (
        <g key={d.id}>
          {feet.map((f, i) => (
            <line key={i} x1={f[0]} y1={f[1]} x2={f[2]} y2={f[3]} stroke="var(--edge)" strokeWidth={0.7} />
          ))}
          {d.side === "at" ? (
            <line x1={b[0] + 2} y1={b[1]} x2={figure[0] - 10} y2={figure[1]} />
          ) : (
            <>
              <line x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} />
              {[a, b].map((p, i) => (
                <line key={i} x1={p[0] - 4} y1={p[1] + 4} x2={p[0] + 4} y2={p[1] - 4} strokeWidth={1.8} />
              ))}
            </>
          )}
        </g>
      ))}
    </g>
  );
}

/** The figures: those of parameters are buttons to type into, derived ones are not. */
export function DimensionFigures({
  placed,
  print,
  structure,
  tell,
}: {
  placed: readonly Placed[];
  print: (d: Dimension) => string;
  structure: string;
  tell: (s: string) => void;
}) {
  return (
    <>
      {placed.map(({ d, figure }) => (
        <div
          key={d.id}
          className="absolute -translate-x-1/2 -translate-y-1/2"
          style={{ left: figure[0], top: figure[1] }}
        >
          {d.param ? (
            <ParamFigure structure={structure} path={d.param} label={d.label} text={print(d)} tell={tell} />
          ) : (
            <span className="bg-film px-1.5 text-[15px] text-ink-2 italic" title={`${d.label}: follows from the rest`}>
              <Figure>{print(d)}</Figure>
            </span>
          )}
        </div>
      ))}
    </>
  );
}
