import type { Vec2 } from "core/geometry";
import type { BoardView } from "~/board/Board";
import { useSheet } from "../sheet";

/** Members that are offered, drawn over the drawing by their edges. */
export function FoundMarks({ view }: { view: BoardView }) {
  const { found, onBoard, picked } = useSheet();
  return (
    <g style={{ pointerEvents: "none" }}>
      {found.map((f) => {
        const l = Math.hypot(f.b[0] - f.a[0], f.b[1] - f.a[1]);
        const n: Vec2 = [(-(f.b[1] - f.a[1]) / l) * (f.width / 2), ((f.b[0] - f.a[0]) / l) * (f.width / 2)];
        const corners: Vec2[] = [
          [f.a[0] + n[0], f.a[1] + n[1]],
          [f.b[0] + n[0], f.b[1] + n[1]],
          [f.b[0] - n[0], f.b[1] - n[1]],
          [f.a[0] - n[0], f.a[1] - n[1]],
        ];
        const on = picked === f.id;
        const d = corners.map((c) => onBoard(c)).map((q) => `${view.X(q[0]).toFixed(1)} ${view.Y(q[1]).toFixed(1)}`);
        return (
          <path
            key={f.id}
            d={`M${d.join("L")}Z`}
            fill={on ? "var(--vermilion)" : "var(--verdigris)"}
            fillOpacity={on ? 0.3 : 0.16}
            stroke={on ? "var(--vermilion)" : "var(--verdigris)"}
            strokeWidth={on ? 2.4 : 1.6}
          />
        );
      })}
    </g>
  );
}
