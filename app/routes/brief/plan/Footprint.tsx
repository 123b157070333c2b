import { addScaled } from "core/geometry";
import { planPoint, pointIn, solidStretches } from "core/site";
import type { BoardView } from "~/board/Board";
import { usePlaceDrag } from "./PlaceHandles";
import type { Placed, Places } from "./usePlaces";

const path = (rings: readonly (readonly (readonly [number, number])[])[]): string =>
  rings.map((r) => `M${r.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join("L")}Z`).join("");

/** A structure from above: what it covers, its walls with their openings left open, its name. */
export function Footprint({
  p,
  view: v,
  places,
  picked,
}: {
  p: Placed;
  view: BoardView;
  places: Places;
  picked: boolean;
}) {
  const hold = usePlaceDrag(p, v, places);
  const on = (q: readonly [number, number]): [number, number] => [v.X(q[0]), v.Y(q[1])];
  const outline = p.facts.silhouette.map((r) => r.map((c) => on(planPoint(p.place, c))));
  return (
    <g data-stick={p.id} style={{ cursor: picked ? "move" : "pointer" }} {...(picked ? hold(false) : {})}>
      <path
        d={path(outline)}
        fillRule="evenodd"
        fill={picked ? "var(--picked)" : "var(--timber)"}
        fillOpacity={0.8}
        stroke={picked ? "var(--vermilion)" : "var(--timber-line)"}
        strokeWidth={picked ? 1.8 : 1}
      />
      {p.facts.walls.map((w) => {
        const at = (along: number): [number, number] => {
          const q = pointIn(p.place, addScaled(w.from, w.along, along));
          return on([q[0], q[1]]);
        };
        return (
          <g key={w.name} stroke={picked ? "var(--vermilion)" : "var(--ink)"}>
            {solidStretches(w).map(([from, to], i) => {
              const [a, b] = [at(from), at(to)];
              return <line key={i} x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} strokeWidth={2.6} />;
            })}
            {w.openings.map((o, i) => {
              const [a, b] = [at(o.from), at(o.to)];
              return (
                <line
                  key={`o${i}`}
                  x1={a[0]}
                  y1={a[1]}
                  x2={b[0]}
                  y2={b[1]}
                  strokeWidth={1}
                  strokeDasharray={o.door ? "2 3" : undefined}
                />
              );
            })}
          </g>
        );
      })}
    </g>
  );
}
