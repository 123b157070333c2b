import { useMemo } from "react";
import type { Vec2 } from "core/geometry";
import { spotOf } from "core/job";
import { carOf, centreLine, envelope, modelCar, thingOutline } from "core/trains";
import type { BoardView } from "~/board/Board";
import { Halo } from "~/board/Halo";
import { useJob } from "~/job/JobContext";

const TINT: Readonly<Record<string, string>> = { water: "var(--picked)", road: "var(--shade)", platform: "var(--timber)" }; // prettier-ignore
/** Tracks with what the longest car sweeps on them, and what else is on the spot, from above. */
export function TrackDrawing({ view: v, picked }: { view: BoardView; picked: string | undefined }) {
  const { doc } = useJob();
  const { tracks, things, cars } = spotOf(doc);
  const ratio = doc.brief.scale.ratio;
  const swept = useMemo(
    () =>
      tracks.map((t) => {
        const line = centreLine(t);
        const n = Math.max(8, Math.ceil(line.length / 6));
        return { t, points: Array.from({ length: n + 1 }, (_, i) => line.at((line.length * i) / n).at), rings: envelope(line, modelCar(carOf(t.car, cars), ratio)) }; // prettier-ignore
      }),
    [tracks, cars, ratio],
  );
  const path = (ring: readonly Vec2[]): string => ring.map(([x, y], i) => `${i ? "L" : "M"}${v.X(x).toFixed(1)} ${v.Y(y).toFixed(1)}`).join(""); // prettier-ignore
  const name = (x: number, y: number, words: string) => <Halo x={x} y={y} words={words} ink="var(--ink-2)" />;
  return (
    <g>
      {things.map((t) => (
        <g key={t.id} data-stick={t.id} style={{ cursor: "pointer" }}>
          <path
            d={`${path(thingOutline(t))}Z`}
            fill={TINT[t.kind] ?? "transparent"}
            stroke={t.id === picked ? "var(--vermilion)" : "var(--ink-2)"}
            strokeWidth={t.id === picked ? 2 : 1.2}
            strokeDasharray={t.kind === "kept free" ? "6 4" : undefined}
          />
          {name(v.X(t.x), v.Y(t.y) + 5, t.name)}
        </g>
      ))}
      {swept.map(({ t, points, rings }) => (
        <g key={t.id} data-stick={t.id} style={{ cursor: "pointer" }}>
          <path d={rings.map((r) => `${path(r)}Z`).join("")} fill="var(--shade)" stroke="var(--edge)" strokeWidth={1} />
          <path
            d={path(points)}
            fill="none"
            stroke={t.id === picked ? "var(--vermilion)" : "var(--ink)"}
            strokeWidth={t.id === picked ? 2.2 : 1.4}
            strokeDasharray="16 4 3 4"
          />
          {points.length > 0 &&
            name(
              v.X(points[Math.floor(points.length / 2)]![0]),
              v.Y(points[Math.floor(points.length / 2)]![1]) - 8,
              t.name,
            )}{" "}
          {/* prettier-ignore */}
        </g>
      ))}
    </g>
  );
}
