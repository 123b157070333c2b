import { useMemo, useState } from "react";
import { toast } from "sonner";
import {
  groundPoint,
  sortedProfile,
  stationAt,
  trestleLayout,
  type Profile,
  type TrestleLayout,
  type TrestleValues,
} from "core/structures";
import type { StructureDesign } from "core/job";
import type { BoardView } from "~/board/Board";
import { setParam } from "~/board/useParam";
import { useJob } from "~/job/JobContext";

/** The trestle's layout, for what stands on its side elevation; undefined for other kinds and broken values. */
export function useTrestle(
  design: StructureDesign | undefined,
): { readonly layout: TrestleLayout; readonly values: TrestleValues } | undefined {
  return useMemo(() => {
    if (design?.kind.id !== "trestle" || design.fault) return undefined;
    const values = design.variant.params as unknown as TrestleValues;
    return { layout: trestleLayout(values, design.context), values };
  }, [design]);
}

/** The ground under a trestle on its side elevation: as it was given, or as it has to be built up to the bents. */
export function groundLine(
  t: { layout: TrestleLayout; values: TrestleValues },
  ratio: number,
): readonly (readonly [number, number])[] {
  return t.values.groundBy === "profile"
    ? t.values.profile.map((p) => groundPoint(t.layout, p, ratio))
    : t.layout.bents.map((b) => [b.place.at[0], b.groundZ] as const);
}

export function GroundLine({
  line,
  view,
  draws,
}: {
  line: readonly (readonly [number, number])[];
  view: BoardView;
  draws: boolean;
}) {
  if (line.length === 0) return null;
  const points = line.map((p) => [view.X(p[0]), view.Y(p[1])] as const);
  return (
    <g style={{ pointerEvents: "none" }}>
      <polyline points={points.map((p) => p.join(",")).join(" ")} fill="none" stroke="var(--ink)" strokeWidth={2} />
      {points.slice(1).map((q, i) => {
        // hatching under the line, as drawing offices show ground
        const p = points[i]!;
        const n = Math.max(1, Math.floor(Math.hypot(q[0] - p[0], q[1] - p[1]) / 22));
        return Array.from({ length: n }, (_, k) => {
          const [x, y] = [p[0] + ((q[0] - p[0]) * k) / n, p[1] + ((q[1] - p[1]) * k) / n];
          return <line key={`${i}-${k}`} x1={x} y1={y} x2={x - 7} y2={y + 9} stroke="var(--ink-2)" strokeWidth={0.8} />;
        });
      })}
      {draws &&
        points.map(([x, y], i) => (
          <circle key={i} cx={x} cy={y} r={5} fill="var(--film)" stroke="var(--vermilion)" strokeWidth={2} />
        ))}
    </g>
  );
}

/** Pressing on the board sets points of the ground; pressing on a point takes it away. */
export function useGroundTool(structure: string | undefined, t: ReturnType<typeof useTrestle>) {
  const job = useJob();
  const [draws, setDraws] = useState(false);
  const ratio = job.design.scale.ratio;
  const press = (p: readonly [number, number], perMm: number): void => {
    if (!t || !structure) return;
    const at = [stationAt(t.layout, p[0], ratio), p[1] * ratio] as const;
    const near = t.values.profile.findIndex((q) => {
      const g = groundPoint(t.layout, q, ratio);
      return Math.hypot(g[0] - p[0], g[1] - p[1]) * perMm < 12;
    });
    const next: Profile =
      near >= 0 ? t.values.profile.filter((_, i) => i !== near) : sortedProfile([...t.values.profile, at]);
    const refused = job.edit(
      near >= 0 ? "Take a point off the ground" : "Draw the ground",
      setParam(structure, "profile", next),
    );
    if (refused.length > 0) toast.error(refused[0]!);
  };
  const clear = (): void => {
    const [first, last] = [t!.values.profile[0], t!.values.profile[t!.values.profile.length - 1]];
    if (first && last && structure)
      job.edit("Start the ground anew", setParam(structure, "profile", first === last ? [first] : [first, last]));
  };
  return { draws, setDraws, press, clear };
}
