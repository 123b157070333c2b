import type { Vec2 } from "core/geometry";
import { unbend, type MeasureKind } from "core/prototype";
import { sheetSize } from "core/job";
import type { BoardView } from "~/board/Board";
import { useUnits } from "~/job/units";
import { MeasureLine } from "./measure/MeasureLine";
import { printMeasure } from "./measure/print";
import { useSheet } from "./sheet";
import type { Tool } from "./tools";

/** Known lengths, measures and openings on the drawing, as their tab asks for. */
export function SheetMarks({ view }: { view: BoardView }) {
  const { drawing, scale, tab, onBoard, picked } = useSheet();
  const units = useUnits();
  const line = (
    id: string,
    points: readonly Vec2[],
    text: string,
    colour: string,
    o: { dashed?: boolean; closed?: boolean } = {},
  ) => (
    <MeasureLine
      key={id}
      points={points.map(onBoard)}
      view={view}
      text={text}
      colour={id === picked ? "var(--vermilion)" : colour}
      {...o}
    />
  );
  return (
    <>
      {tab === "scale" &&
        drawing.calibration?.lengths.map((k) =>
          line(k.id, [k.from, k.to], `${k.name}: ${units.P(k.length)}`, "var(--verdigris)", { dashed: true }),
        )}
      {tab === "measures" &&
        drawing.measures.map((m) => {
          const v = printMeasure(m, scale, units.scale.ratio, units);
          return line(m.id, m.points, `${m.name}: ${v.prototype}${v.model ? ` · ${v.model}` : ""}`, "var(--ink)", {
            closed: m.kind === "area",
          });
        })}
      {tab === "measures" &&
        drawing.openings.map((o) => {
          const box: Vec2[] = [o.from, [o.to[0], o.from[1]], o.to, [o.from[0], o.to[1]]];
          return line(o.id, box, `${o.name}: ${o.set}`, "var(--verdigris)", { closed: true });
        })}
    </>
  );
}

/** What the tool in hand draws before it is done, with the figure so far, and where the next press would land. */
export function LiveMarks({
  view,
  tool,
  hover,
}: {
  view: BoardView;
  tool: Tool;
  hover: { readonly at: Vec2; readonly caught: "point" | "line" | undefined } | undefined;
}) {
  const { points, onBoard, scale, guides, lens, drawing, tool: id } = useSheet();
  const units = useUnits();
  const open = tool.points > points.length;
  const live = open && hover && tool.points > 0 && points.length > 0 ? [...points, hover.at] : points;
  const kind = id.startsWith("measure:") ? (id.slice(8) as MeasureKind) : undefined;
  const enough = kind && live.length >= (tool.points === Infinity ? 3 : tool.points);
  const figure = enough
    ? printMeasure({ kind, points: live.map((p) => [p[0], p[1]]), count: 2 }, scale, units.scale.ratio, units)
    : undefined;
  const size = sheetSize(drawing);
  const straightening = id === "corners" || id === "guide";
  return (
    <g style={{ pointerEvents: "none" }}>
      {straightening &&
        guides.map((g, i) => {
          // as the guide lies, and as it would with the lens taken out
          const bare = g.map((p) => unbend({ k: lens, ...size }, p));
          return (
            <g key={i}>
              <MeasureLine points={g.map(onBoard)} view={view} text="" colour="var(--ochre)" />
              <MeasureLine points={bare.map(onBoard)} view={view} text="" colour="var(--verdigris)" dashed />
            </g>
          );
        })}
      {live.length > 1 && (
        <MeasureLine
          points={live.map(onBoard)}
          view={view}
          text={figure ? `${figure.prototype}${figure.model ? ` · ${figure.model}` : ""}` : ""}
          colour="var(--vermilion)"
          closed={(id === "corners" && points.length === 4) || id === "opening" || kind === "area"}
        />
      )}
      {live.length === 1 && <Dot p={onBoard(live[0]!)} view={view} r={4} />}
      {hover?.caught && tool.points > 0 && open && (
        <Dot p={onBoard(hover.at)} view={view} r={hover.caught === "point" ? 7 : 5} ring />
      )}
    </g>
  );
}
const Dot = ({ p, view, r, ring }: { p: Vec2; view: BoardView; r: number; ring?: boolean }) => (
  <circle
    cx={view.X(p[0])}
    cy={view.Y(p[1])}
    r={r}
    fill={ring ? "none" : "var(--vermilion)"}
    stroke="var(--vermilion)"
    strokeWidth={ring ? 2 : 0}
  />
);
