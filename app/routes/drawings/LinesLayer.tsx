import { memo, useMemo } from "react";
import type { Vec2 } from "core/geometry";
import type { SheetLines } from "core/sources";
import type { BoardView } from "~/board/Board";

interface Props {
  readonly lines: SheetLines;
  readonly hidden: readonly string[];
  readonly onBoard: (p: Vec2) => Vec2;
  readonly view: BoardView;
  /** On paper: the sheet's own ground is drawn under the lines. */
  readonly paper: boolean;
}
/** A vector drawing on the board, in its own units: panning and zooming does not draw it again. */
export function LinesLayer({ lines, hidden, onBoard, view, paper }: Props) {
  const [o, ex, ey] = [onBoard([0, 0]), onBoard([1, 0]), onBoard([0, 1])];
  const m = [ex[0] - o[0], ex[1] - o[1], ey[0] - o[0], ey[1] - o[1], o[0], o[1]];
  const perUnit = Math.hypot(m[0]!, m[1]!) * view.k;
  return (
    <g data-sheet="" transform={`${view.transform} matrix(${m.join(" ")})`} style={{ pointerEvents: "none" }}>
      {paper && (
        <rect
          width={lines.width}
          height={lines.height}
          fill="var(--film)"
          stroke="var(--hair)"
          vectorEffect="non-scaling-stroke"
        />
      )}
      <Paths lines={lines} hidden={hidden} />
      {paper && <Words lines={lines} hidden={hidden} perUnit={perUnit} />}
    </g>
  );
}
const num = (n: number): string => String(Number(n.toPrecision(9)));
const Paths = memo(function Paths({ lines, hidden }: Pick<Props, "lines" | "hidden">) {
  const drawn = useMemo(() => {
    const off = new Set(hidden);
    let [solid, dashed] = ["", ""];
    for (const e of lines.entities) {
      if (off.has(lines.layers[e.layer]!)) continue;
      if (e.kind === "circle") {
        const [y, r] = [e.centre[1], e.radius].map(num);
        solid += `M${num(e.centre[0] - e.radius)} ${y}a${r} ${r} 0 1 0 ${num(2 * e.radius)} 0a${r} ${r} 0 1 0 ${num(-2 * e.radius)} 0`;
      } else if (e.kind === "path") {
        const d = `M${e.points.map((p) => `${num(p[0])} ${num(p[1])}`).join("L")}${e.closed ? "Z" : ""}`;
        if (e.dash === "dashed") dashed += d;
        else solid += d;
      }
    }
    return { solid, dashed };
  }, [lines, hidden]);
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth={1.1} strokeLinejoin="round">
      <path d={drawn.solid} vectorEffect="non-scaling-stroke" />
      <path d={drawn.dashed} vectorEffect="non-scaling-stroke" strokeDasharray="6 4" />
    </g>
  );
});
/** Words of the drawing that are large enough on the screen to be read. */
const LEGIBLE = 5;
function Words({ lines, hidden, perUnit }: Pick<Props, "lines" | "hidden"> & { perUnit: number }) {
  const off = new Set(hidden);
  return (
    <g fill="var(--ink-2)">
      {lines.entities.map(
        (e, i) =>
          e.kind === "text" &&
          !off.has(lines.layers[e.layer]!) &&
          e.size * perUnit >= LEGIBLE && (
            <text key={i} fontSize={e.size} transform={`translate(${e.at[0]} ${e.at[1]}) rotate(${-e.turn})`}>
              {e.text}
            </text>
          ),
      )}
    </g>
  );
}
