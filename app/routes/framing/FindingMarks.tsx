import type { Finding } from "core/checks";
import type { BoardView } from "~/board/Board";

/** Where the findings are on the drawing: press one to see its stick. */
export function FindingMarks({ findings, view }: { findings: readonly Finding[]; view: BoardView }) {
  return (
    <g>
      {findings.map((f) => {
        const [x, y] = [view.X(f.at![0]) + 15, view.Y(f.at![1]) - 15];
        const colour = f.level === "fault" ? "var(--fault)" : "var(--ochre)";
        return (
          <g key={f.key} data-stick={f.sticks[0]} style={{ cursor: "pointer" }}>
            <title>{f.text}</title>
            <path
              d={`M${x} ${y - 11}L${x + 12} ${y + 10}H${x - 12}Z`}
              fill="var(--film)"
              stroke={colour}
              strokeWidth={2}
              strokeLinejoin="round"
            />
            <text x={x} y={y + 8} textAnchor="middle" fontSize={15} fontWeight={700} fill={colour}>
              !
            </text>
          </g>
        );
      })}
    </g>
  );
}
