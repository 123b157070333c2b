import type { Vec2 } from "core/geometry";
import type { BoardView } from "~/board/Board";

/** A measured line on the board with crosses at its ends and its figure beside it. Points are the board's. */
export function MeasureLine({
  points,
  view,
  text,
  colour,
  dashed,
  closed,
}: {
  points: readonly Vec2[];
  view: BoardView;
  text: string;
  colour: string;
  dashed?: boolean;
  closed?: boolean;
}) {
  const p = points.map((q) => [view.X(q[0]), view.Y(q[1])] as const);
  if (p.length === 0) return null;
  const mid = [0, 1].map((k) => (Math.min(...p.map((q) => q[k]!)) + Math.max(...p.map((q) => q[k]!))) / 2);
  return (
    <g style={{ pointerEvents: "none" }} stroke={colour}>
      <path
        d={`M${p.map((q) => q.join(" ")).join("L")}${closed ? "Z" : ""}`}
        strokeWidth={1.8}
        strokeDasharray={dashed ? "7 4" : undefined}
        fill={closed ? colour : "none"}
        fillOpacity={0.08}
      />
      {p.map(([x, y], i) => (
        <path key={i} d={`M${x - 7} ${y}h14M${x} ${y - 7}v14`} strokeWidth={1.4} fill="none" />
      ))}
      {text && (
        <text
          x={mid[0]}
          y={mid[1]! + (dashed ? 20 : -8)}
          textAnchor="middle"
          fontSize={15}
          fontWeight={600}
          fill={colour}
          stroke="var(--film)"
          strokeWidth={5}
          paintOrder="stroke"
        >
          {text}
        </text>
      )}
    </g>
  );
}
