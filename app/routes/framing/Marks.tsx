import type { Shown } from "core/drawing";
import type { BoardView } from "~/board/Board";
import type { Vec2 } from "core/geometry";
import { seenAt } from "~/board/sticksUnder";
import { useJob } from "~/job/JobContext";

/** Whether a mark would stand on another one, or beside its like. */
function crowds([p, q, mark]: readonly [number, number, string], x: number, y: number, text: string): boolean {
  const [dx, dy] = [Math.abs(p - x), Math.abs(q - y)];
  return (dx < 30 && dy < 22) || (mark === text && Math.hypot(dx, dy) < 64);
}

/** Piece marks in circles on the sticks; those of braces stand off the middle, where they would cross. */
export function Marks({
  shown,
  hidden,
  view,
}: {
  shown: readonly Shown[];
  hidden: ReadonlySet<string>;
  view: BoardView;
}) {
  const { design, selected } = useJob();
  const mark = new Map(design.pieces.flatMap((p) => p.sticks.map((s) => [s, p.mark] as const)));
  const painted = shown.filter((s) => !hidden.has(s.id));
  const seen: (readonly [number, number, string])[] = [];
  return (
    <g>
      {painted.map((s, i) => {
        const text = mark.get(s.id) ?? "";
        const length = Math.hypot(s.along[0], s.along[1]);
        const half = Math.max(
          ...s.outlines
            .flat()
            .map((p) => Math.abs((p[0] - s.centre[0]) * s.along[0] + (p[1] - s.centre[1]) * s.along[1])),
        );
        // of a whole trestle only what is long enough to carry its mark
        if (shown.length > 200 && (half * view.k < 26 || s.role === "tie")) return null;
        // end on: no mark
        if (length < 0.05) return null;
        // where it is seen, or nowhere: what is hidden has its mark where it shows
        const place = (/brace/.test(s.role) ? [-0.55, 0.55, -0.2] : [0, -0.35, 0.35, -0.7, 0.7])
          .map((t): Vec2 => [s.centre[0] + t * half * s.along[0], s.centre[1] + t * half * s.along[1]])
          .find((p) => seenAt(painted, i, p));
        if (!place) return null;
        const [x, y] = [view.X(place[0]), view.Y(place[1])];
        // crowded: one mark is enough
        if (seen.some((q) => crowds(q, x, y, text))) return null;
        seen.push([x, y, text]);
        const on = s.id === selected;
        const wide = 12 + 3.2 * Math.max(0, text.length - 2);
        return (
          <g key={s.id} data-stick={s.id} style={{ cursor: "pointer" }}>
            <ellipse
              cx={x}
              cy={y}
              rx={wide}
              ry={12}
              fill={on ? "var(--vermilion)" : "var(--film)"}
              stroke={on ? "var(--vermilion)" : "var(--ink)"}
              strokeWidth={1}
            />
            <text
              x={x}
              y={y + 4.6}
              textAnchor="middle"
              fontSize={14}
              fontWeight={600}
              fontFamily="var(--font-label)"
              fill={on ? "var(--film)" : "var(--ink)"}
            >
              {text}
            </text>
          </g>
        );
      })}
    </g>
  );
}
