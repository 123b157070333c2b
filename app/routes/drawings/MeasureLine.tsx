import type { Vec2 } from "core/geometry";
import type { BoardView } from "~/board/Board";

/** A measured line on the board with crosses at its ends and its figure beside it. */
export function MeasureLine({
  a,
  b,
  view,
  text,
  colour,
  dashed,
}: {
  a: Vec2;
  b: Vec2;
  view: BoardView;
  text: string;
  colour: string;
  dashed?: boolean;
}) {
  const [x1, y1, x2, y2] = [view.X(a[0]), view.Y(a[1]), view.X(b[0]), view.Y(b[1])];
  return (
    <g style={{ pointerEvents: "none" }} stroke={colour}>
      <line x1={x1} y1={y1} x2={x2} y2={y2} strokeWidth={1.8} strokeDasharray={dashed ? "7 4" : undefined} />
      {[
        [x1, y1],
        [x2, y2],
      ].map(([x, y], i) => (
        <path key={i} d={`M${x! - 7} ${y}h14M${x} ${y! - 7}v14`} strokeWidth={1.4} fill="none" />
      ))}
      {text && (
        <text
          x={(x1 + x2) / 2}
          y={(y1 + y2) / 2 + (dashed ? 20 : -8)}
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
