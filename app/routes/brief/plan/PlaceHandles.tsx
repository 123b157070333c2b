import { useRef, type KeyboardEvent, type PointerEvent } from "react";
import type { Place } from "core/site";
import { ArrowPathIcon, ArrowsPointingOutIcon } from "@heroicons/react/20/solid";
import type { BoardView } from "~/board/Board";
import { useUnits } from "~/job/units";
import { nameAt } from "./nameAt";
import { standsAt, tidyTurn, turnedTo, type Placed, type Places } from "./usePlaces";

/** Pixels within which a dragged wall goes to another. */
const REACH = 8;
/** A turn by hand goes in steps of so many degrees. */
const TURN = 5;
/** Where the handle to turn by stands, pixels from the one to move by. */
const ARM = 64;

/** Dragging a structure on the plan, to move or to turn it: what an element needs to be taken hold of by. */
export function usePlaceDrag(p: Placed, view: BoardView, places: Places) {
  const start = useRef<{ x: number; y: number; at: Placed; place: Place; angle: number } | undefined>(undefined);
  const [x, y] = nameAt(p, view);
  const board = (e: PointerEvent): DOMRect => e.currentTarget.closest("[data-board]")!.getBoundingClientRect();
  const angleOf = (e: PointerEvent): number => {
    const r = board(e);
    return (Math.atan2(y - (e.clientY - r.top), e.clientX - r.left - x) * 180) / Math.PI;
  };
  const down = (e: PointerEvent): void => {
    e.stopPropagation();
    e.currentTarget.setPointerCapture(e.pointerId);
    start.current = { x: e.clientX, y: e.clientY, at: p, place: p.place, angle: angleOf(e) };
  };
  const moved = (e: PointerEvent, turns: boolean): Place | undefined => {
    const from = start.current;
    if (!from) return undefined;
    if (turns) {
      const to = from.place.turn + angleOf(e) - from.angle;
      return turnedTo(from.at, e.altKey ? to : Math.round(to / TURN) * TURN);
    }
    const by = [(e.clientX - from.x) / view.k, (from.y - e.clientY) / view.k] as const;
    return places.pulled(p, from.place, by, e.altKey ? 0 : REACH / view.k);
  };
  const drag = (e: PointerEvent, turns: boolean): void => {
    const place = moved(e, turns);
    if (place) places.setDrag({ id: p.id, place });
  };
  const up = (e: PointerEvent, turns: boolean): void => {
    const place = moved(e, turns);
    const from = start.current;
    start.current = undefined;
    if (!place || !from || e.type === "pointercancel") return places.setDrag(undefined);
    if (Math.hypot(e.clientX - from.x, e.clientY - from.y) < 3) return places.setDrag(undefined);
    places.keep(p.id, place, `${turns ? "Turn" : "Move"} ${p.name}`);
  };
  return (turns: boolean) => ({
    onPointerDown: down,
    onPointerMove: (e: PointerEvent) => drag(e, turns),
    onPointerUp: (e: PointerEvent) => up(e, turns),
    onPointerCancel: (e: PointerEvent) => up(e, turns),
  });
}

/** Two handles on a structure: one moves it, one turns it. Arrow keys do the same by 1 mm or 1°, with Shift by 10 mm or 15°. */
export function PlaceHandles({ p, view, places }: { p: Placed; view: BoardView; places: Places }) {
  const { M } = useUnits();
  const hold = usePlaceDrag(p, view, places);
  const [x, y] = nameAt(p, view);
  const turned = (-p.place.turn * Math.PI) / 180;
  const middle = standsAt(p);
  const at = `${M(middle.x)} across, ${M(middle.y)} up, turned ${tidyTurn(p.place.turn)}°`;
  const key = (e: KeyboardEvent, turns: boolean): void => {
    const way = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[e.key];
    if (!way) return;
    e.preventDefault();
    e.stopPropagation();
    const step = turns ? (e.shiftKey ? 15 : 1) : e.shiftKey ? 10 : 1;
    const place = turns
      ? turnedTo(p, p.place.turn + (way[1]! - way[0]!) * step)
      : { ...p.place, x: p.place.x + way[0]! * step, y: p.place.y + way[1]! * step };
    places.keep(p.id, place, `${turns ? "Turn" : "Move"} ${p.name}`);
  };
  const button = (turns: boolean, left: number, top: number) => (
    <button
      type="button"
      aria-label={`${turns ? "Turn" : "Move"} ${p.name}`}
      aria-description={`${at}. Arrow keys ${turns ? "turn it by 1°, with Shift by 15°" : "move it by 1 mm, with Shift by 10 mm"}.`}
      title={`${turns ? "Turn" : "Move"} ${p.name}: drag; hold Alt to go freely`}
      className="pointer-events-auto absolute grid size-8 -translate-x-1/2 -translate-y-1/2 touch-none place-items-center rounded-full border-2 border-vermilion bg-film text-vermilion"
      style={{ left, top, cursor: turns ? "grab" : "move" }}
      {...hold(turns)}
      onKeyDown={(e) => key(e, turns)}
    >
      {turns ? <ArrowPathIcon className="size-5" /> : <ArrowsPointingOutIcon className="size-5 rotate-45" />}
    </button>
  );
  return (
    <>
      {button(false, x, y)}
      {button(true, x + ARM * Math.cos(turned), y + ARM * Math.sin(turned))}
    </>
  );
}
