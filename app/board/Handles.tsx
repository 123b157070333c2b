import { chosenVariant } from "core/job";
import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { kindOf, paramAt, printParam, valueAt, type Dimension, type Handle } from "core/structures";
import { MM_PER_INCH, tellIn, toPrototype, model, type Scale } from "core/units";
import { useJob } from "~/job/JobContext";
import type { BoardView } from "./Board";
import { setParam } from "./useParam";

/** Squares to drag: each is the inverse of its dimension along its axis. Arrow keys move by an inch, with Shift by a foot. */
export function Handles({
  dims,
  view,
  structure,
  scale,
  tell,
}: {
  dims: readonly Dimension[];
  view: BoardView;
  structure: string;
  scale: Scale;
  tell: (s: string) => void;
}) {
  return (
    <>
      {dims.flatMap((d) =>
        d.handles.map((h, i) =>
          roomFor(d.handles, i, view) ? (
            <HandleButton
              key={`${d.id}-${i}`}
              d={d}
              h={h}
              view={view}
              structure={structure}
              scale={scale}
              tell={tell}
            />
          ) : null,
        ),
      )}
    </>
  );
}

/** Pixels between handles of one thing that can be told apart and taken hold of. */
const APART = 30;
/** Whether a handle stands clear of those before it: small things keep their first one alone until one comes nearer. */
function roomFor(handles: readonly Handle[], i: number, view: BoardView): boolean {
  const here = handles[i]!.at;
  const near = (h: Handle): boolean => Math.hypot(h.at[0] - here[0], h.at[1] - here[1]) * view.k < APART;
  return !handles.slice(0, i).some(near);
}

function HandleButton({
  d,
  h,
  view,
  structure,
  scale,
  tell,
}: {
  d: Dimension;
  h: Handle;
  view: BoardView;
  structure: string;
  scale: Scale;
  tell: (s: string) => void;
}) {
  const job = useJob();
  const start = useRef<{ x: number; y: number; value: number; last: number; k: number } | undefined>(undefined);
  const frame = useRef(0);
  const [active, setActive] = useState(false);
  const s = job.doc.structures.find((x) => x.id === structure);
  if (!s) return null;
  const spec = paramAt(kindOf(s.kind).spec, h.param)!;
  const value = Number(valueAt(chosenVariant(s).params, h.param));
  const range = spec.type === "length" || spec.type === "batter" ? spec : undefined;
  // what one turns by is a whole step, so that a dragged figure reads well: half an inch, or a sixteenth in 12
  const step = spec.type === "batter" ? 1 / 16 : MM_PER_INCH / 2;
  const clamp = (v: number): number => Math.min(range?.max ?? Infinity, Math.max(range?.min ?? -Infinity, v));
  const tidy = (v: number): number => clamp(Math.round(v / step) * step);

  const down = (e: PointerEvent): void => {
    e.stopPropagation();
    e.currentTarget.setPointerCapture(e.pointerId);
    start.current = { x: e.clientX, y: e.clientY, value, last: value, k: view.k };
    setActive(true);
  };
  const move = (e: PointerEvent): void => {
    const from = start.current;
    if (!from) return;
    const along = ((e.clientX - from.x) * h.axis[0] - (e.clientY - from.y) * h.axis[1]) / from.k;
    const next = tidy(from.value + h.gain * toPrototype(scale, model(along)));
    if (next === from.last) return;
    cancelAnimationFrame(frame.current);
    frame.current = requestAnimationFrame(() => {
      const refused = job.preview(setParam(structure, h.param, next));
      if (refused.length === 0 && start.current) start.current.last = next;
      else if (refused.length > 0) tell(refused[0]!);
    });
  };
  const up = (e: PointerEvent): void => {
    const from = start.current;
    start.current = undefined;
    setActive(false);
    cancelAnimationFrame(frame.current);
    if (!from || e.type === "pointercancel" || from.last === from.value) return void job.preview(undefined);
    const refused = job.edit(`${spec.label}: ${printParam(spec, from.last)}`, setParam(structure, h.param, from.last));
    tell(refused[0] ?? `${spec.label}: ${printParam(spec, from.last)}`);
  };
  const key = (e: KeyboardEvent): void => {
    const dir = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[e.key];
    if (!dir) return;
    e.preventDefault();
    const by = dir[0]! * h.axis[0] + dir[1]! * h.axis[1];
    if (by === 0) return;
    const next = clamp(value + Math.sign(by) * (spec.type === "batter" ? step : MM_PER_INCH * (e.shiftKey ? 12 : 1)));
    const refused = job.edit(`${spec.label}: ${printParam(spec, next)}`, setParam(structure, h.param, next));
    tell(refused[0] ?? `${spec.label}: ${printParam(spec, next)}`);
  };
  return (
    <button
      type="button"
      role="slider"
      aria-label={`Drag: ${spec.label}`}
      aria-valuenow={value}
      aria-valuetext={tellIn(printParam(spec, value), job.doc.brief.units)}
      title={`Drag: ${spec.label}`}
      data-handle={h.param}
      className="pointer-events-auto absolute grid size-6 -translate-x-1/2 -translate-y-1/2 touch-none place-items-center"
      style={{ left: view.X(h.at[0]), top: view.Y(h.at[1]), cursor: h.axis[0] ? "ew-resize" : "ns-resize" }}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={up}
      onKeyDown={key}
    >
      <span
        className={`block size-3.5 rounded-[2px] border-2 border-vermilion ${active ? "bg-vermilion" : "bg-film"}`}
      />
      <span className="sr-only">{d.label}</span>
    </button>
  );
}
