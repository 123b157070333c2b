import { useEffect, useMemo, useRef, useState, type PointerEvent } from "react";
import { toast } from "sonner";
import {
  groundPoint,
  sortedProfile,
  stationAt,
  type Profile,
  type TrestleLayout,
  type TrestleValues,
} from "core/structures";
import type { StructureDesign } from "core/job";
import type { BoardView } from "~/board/Board";
import { setParam } from "~/board/useParam";
import { MM_PER_FOOT } from "core/units";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";

/** The trestle's layout, for what stands on its side elevation; undefined for other kinds and broken values. */
export function useTrestle(
  design: StructureDesign | undefined,
  fault: string | undefined,
): { readonly layout: TrestleLayout; readonly values: TrestleValues } | undefined {
  return useMemo(() => {
    if (!design?.kind.ground || fault) return undefined;
    const values = design.variant.params as unknown as TrestleValues;
    return { layout: design.kind.ground(values, design.context), values };
  }, [design, fault]);
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

export function GroundLine({ line, view }: { line: readonly (readonly [number, number])[]; view: BoardView }) {
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
    </g>
  );
}

/** How near to a point of the ground one has to press to mean it, pixels. */
const NEAR = 12;

/** Pressing on the board sets points of the ground; those that are there are dragged, or taken away with a key or a button once they are picked. */
export function useGroundTool(structure: string | undefined, t: ReturnType<typeof useTrestle>) {
  const job = useJob();
  const [draws, setDraws] = useState(false);
  const [picked, setPicked] = useState<number>();
  const ratio = job.design.scale.ratio;
  const keep = (label: string, next: Profile): void => {
    const [refused] = job.edit(label, setParam(structure!, "profile", next));
    if (refused) toast.error(refused);
  };
  const nearest = (p: readonly [number, number], perMm: number): number =>
    t!.values.profile.findIndex((q) => {
      const g = groundPoint(t!.layout, q, ratio);
      return Math.hypot(g[0] - p[0], g[1] - p[1]) * perMm < NEAR;
    });
  const press = (p: readonly [number, number], perMm: number): void => {
    if (!t || !structure) return;
    const near = nearest(p, perMm);
    if (near >= 0) return setPicked(near);
    const at = [stationAt(t.layout, p[0], ratio), p[1] * ratio] as const;
    const next = sortedProfile([...t.values.profile, at]);
    keep("Draw the ground", next);
    setPicked(next.findIndex((q) => q[0] === at[0]));
  };
  /** The profile with one point moved to a place on the board; it keeps its place between its neighbours. */
  const movedTo = (i: number, p: readonly [number, number]): Profile => {
    const { profile } = t!.values;
    const [lo, hi] = [profile[i - 1]?.[0] ?? -Infinity, profile[i + 1]?.[0] ?? Infinity];
    const station = Math.min(Math.max(stationAt(t!.layout, p[0], ratio), lo + 1), hi - 1);
    return profile.map((q, n) => (n === i ? ([station, p[1] * ratio] as const) : q));
  };
  const preview = (i: number, p: readonly [number, number]): void =>
    void job.preview(setParam(structure!, "profile", movedTo(i, p)));
  const drop = (i: number, p: readonly [number, number]): void => keep("Move a point of the ground", movedTo(i, p));
  const nudge = (i: number, dx: number, dz: number): void => {
    const g = groundPoint(t!.layout, t!.values.profile[i]!, ratio);
    drop(i, [g[0] + dx / ratio, g[1] + dz / ratio]);
  };
  const remove = (): void => {
    if (picked === undefined || !t) return;
    keep("Take a point off the ground", t.values.profile.filter((_, i) => i !== picked)); // prettier-ignore
    setPicked(undefined);
  };
  const clear = (): void => {
    const [first, last] = [t!.values.profile[0], t!.values.profile[t!.values.profile.length - 1]];
    if (first && last && structure)
      job.edit("Start the ground anew", setParam(structure, "profile", first === last ? [first] : [first, last]));
    setPicked(undefined);
  };
  // Escape leaves the tool, wherever the focus is
  useEffect(() => {
    if (!draws) return;
    const leave = (e: KeyboardEvent): void => {
      if (e.key !== "Escape") return;
      setDraws(false);
      setPicked(undefined);
    };
    window.addEventListener("keydown", leave);
    return () => window.removeEventListener("keydown", leave);
  }, [draws]);
  return { draws, setDraws, press, clear, picked, setPicked, preview, drop, nudge, remove };
}

/** The points of the ground as handles: dragged, moved with the arrow keys by a foot, picked with a press, taken away with Delete. */
export function GroundHandles({
  tool,
  trestle,
  view,
  ratio,
}: {
  tool: ReturnType<typeof useGroundTool>;
  trestle: NonNullable<ReturnType<typeof useTrestle>>;
  view: BoardView;
  ratio: number;
}) {
  const { P } = useUnits();
  const drag = useRef<number>(undefined);
  const at = (e: PointerEvent): readonly [number, number] => {
    const box = (e.currentTarget as Element).closest("[data-board]")!.getBoundingClientRect();
    return view.toWorld(e.clientX - box.left, e.clientY - box.top);
  };
  return (
    <>
      {trestle.values.profile.map((q, i) => {
        const g = groundPoint(trestle.layout, q, ratio);
        return (
          <button
            key={i}
            type="button"
            aria-pressed={tool.picked === i}
            aria-label={`Point ${i + 1} of the ground, ${P(Math.abs(q[1]))} ${q[1] < 0 ? "under" : "over"} the rail`}
            className="pointer-events-auto absolute grid size-6 -translate-x-1/2 -translate-y-1/2 cursor-move touch-none place-items-center"
            style={{ left: view.X(g[0]), top: view.Y(g[1]) }}
            onPointerDown={(e) => {
              e.stopPropagation();
              e.currentTarget.setPointerCapture(e.pointerId);
              drag.current = i;
              tool.setPicked(i);
            }}
            onPointerMove={(e) => drag.current === i && tool.preview(i, at(e))}
            onPointerUp={(e) => {
              if (drag.current !== i) return;
              drag.current = undefined;
              tool.drop(i, at(e));
            }}
            onKeyDown={(e) => {
              const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[e.key];
              if (by) tool.nudge(i, by[0]! * MM_PER_FOOT, by[1]! * MM_PER_FOOT);
              else if (e.key === "Delete" || e.key === "Backspace") {
                tool.setPicked(i);
                tool.remove();
              } else return;
              e.preventDefault();
              e.stopPropagation();
            }}
            onFocus={() => tool.setPicked(i)}
          >
            <span
              className={`block size-3.5 rounded-full border-2 border-vermilion ${tool.picked === i ? "bg-vermilion" : "bg-film"}`}
            />
          </button>
        );
      })}
    </>
  );
}
