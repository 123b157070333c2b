import { useEffect, useRef, type PointerEvent } from "react";
import type { Vec2 } from "core/geometry";
import type { BoardView } from "~/board/Board";
import { useJob } from "~/job/JobContext";
import { kept, useSheet } from "../sheet";
import { drawnMember, useTrace } from "./useTrace";

/** The traced sticks over the drawing, the centre line, and what runs across, end on. */
export function TraceMarks({ view }: { view: BoardView }) {
  const job = useJob();
  const { onBoard } = useSheet();
  const t = useTrace();
  const at = (p: Vec2): string => {
    const q = onBoard(p);
    return `${view.X(q[0]).toFixed(1)} ${view.Y(q[1]).toFixed(1)}`;
  };
  if (!t.params || !t.anchor) return null;
  const mirror = t.params.mirror;
  return (
    <g>
      {t.sticks().map((s) => {
        const on = job.selected === s.id;
        const twin = t.selected !== undefined && drawnMember(s.id, t.structure!) === t.selected;
        return (
          <path
            key={s.id}
            data-stick={s.id}
            d={s.outlines.map((o) => `M${o.map(at).join("L")}Z`).join("")}
            style={{ cursor: "pointer" }}
            fill={twin ? "var(--picked)" : "var(--timber)"}
            fillOpacity={twin ? 0.55 : 0.4}
            stroke={on || twin ? "var(--vermilion)" : "var(--ink)"}
            strokeWidth={on ? 2.2 : 1.4}
          />
        );
      })}
      {mirror !== null && mirror !== undefined && <CentreLine y={mirror} view={view} />}
    </g>
  );
}
function CentreLine({ y, view }: { y: number; view: BoardView }) {
  const { onBoard } = useSheet();
  const t = useTrace();
  const [a, b] = (
    [
      [y, -1e6],
      [y, 1e6],
    ] as Vec2[]
  ).map((q) => onBoard(t.onSheet(q))) as [Vec2, Vec2];
  const x = view.X(a[0] + ((b[0] - a[0]) * (view.toWorld(0, view.height / 2)[1] - a[1])) / (b[1] - a[1]));
  return (
    <line
      x1={x}
      x2={x}
      y1={0}
      y2={view.height}
      stroke="var(--verdigris)"
      strokeWidth={1.2}
      strokeDasharray="18 4 4 4"
      style={{ pointerEvents: "none" }}
    />
  );
}

/** Round handles at the ends of the picked member: drag one onto another member and the joint is proposed. Arrow keys move it by an inch. */
export function TraceHandles({ view, snapAt }: { view: BoardView; snapAt: (p: Vec2) => Vec2 }) {
  const job = useJob();
  const { onBoard, onPicture } = useSheet();
  const t = useTrace();
  const live = useRef(0);
  const moved = useRef<Vec2>(undefined);
  useEffect(() => () => cancelAnimationFrame(live.current), []);
  if (!t.member || !t.anchor) return null;
  const m = t.member;
  const to = (end: "from" | "to", q: Vec2) =>
    t.recipe((p) => void (p.members.find((x) => x.id === m.id)![end] = kept(q)));
  const drag = (end: "from" | "to") => (e: PointerEvent<HTMLButtonElement>) => {
    if (!e.currentTarget.hasPointerCapture(e.pointerId)) return;
    const box = e.currentTarget.parentElement!.getBoundingClientRect();
    const p = snapAt(onPicture(view.toWorld(e.clientX - box.left, e.clientY - box.top)));
    moved.current = t.onElevation(p);
    cancelAnimationFrame(live.current);
    live.current = requestAnimationFrame(() => moved.current && job.preview(to(end, moved.current)));
  };
  const drop = (end: "from" | "to") => (): void => {
    cancelAnimationFrame(live.current);
    if (moved.current) job.edit(`Move the end of a ${m.role}`, to(end, moved.current));
    moved.current = undefined;
  };
  return (
    <div className="absolute inset-0">
      {(["from", "to"] as const).map((end) => {
        const p = onBoard(t.onSheet(m[end]));
        return (
          <button
            key={end}
            aria-label={`${end === "from" ? "Start" : "End"} of the ${m.role}`}
            className="pointer-events-auto absolute size-6 -translate-x-1/2 -translate-y-1/2 cursor-move touch-none rounded-full border-2 border-vermilion bg-film/70"
            style={{ left: view.X(p[0]), top: view.Y(p[1]) }}
            onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
            onPointerMove={drag(end)}
            onPointerUp={drop(end)}
            onPointerCancel={() => {
              moved.current = undefined;
              job.preview(undefined);
            }}
            onKeyDown={(e) => {
              const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[e.key];
              if (!step) return;
              e.preventDefault();
              job.edit(
                `Move the end of a ${m.role}`,
                to(end, [m[end][0] + step[0]! * 25.4, m[end][1] + step[1]! * 25.4]),
              );
            }}
          />
        );
      })}
    </div>
  );
}
