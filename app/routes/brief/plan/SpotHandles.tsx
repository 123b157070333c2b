import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from "react";
import { ArrowPathIcon, ArrowsPointingOutIcon, ArrowsRightLeftIcon } from "@heroicons/react/20/solid";
import type { Vec2 } from "core/geometry";
import { spotOf, type JobDoc, type SpotDoc, type ThingDoc, type TrackDoc } from "core/job";
import { directionIn } from "core/site";
import { centreLine } from "core/trains";
import type { BoardView } from "~/board/Board";
import { useJob } from "~/job/JobContext";

/** Pixels from what is turned to the handle it is turned by, and that a press may move and still be a press. */
const [ARM, STILL] = [52, 3];
/** What a drag goes in steps of, unless Alt is held: model mm, degrees. */
const [STEP, TURN] = [1, 5];

/** A change of the spot by a handle that came from one point of the plan to another; `free` goes in no steps. */
type Pull = (to: Vec2, from: Vec2, free: boolean) => (s: SpotDoc) => void;
const by = (n: number, step: number, free: boolean): number =>
  Math.round(n / (free ? 0.1 : step)) * (free ? 0.1 : step);
const tidy = (n: number): number => Math.round(n * 100) / 100 + 0;

/** A round handle on the plan; arrow keys pull it by 1 mm, with Shift by 10 mm. */
export function Handle({
  view,
  label,
  at,
  icon,
  pull,
}: {
  view: BoardView;
  label: string;
  at: Vec2;
  icon: ReactNode;
  pull: Pull;
}) {
  const { edit, preview } = useJob();
  // what the drag began with: what it shows meanwhile must not be pulled again
  const held = useRef<{ readonly from: Vec2; readonly x: number; readonly y: number; readonly pull: Pull }>(undefined);
  const change = (f: (s: SpotDoc) => void) => (d: JobDoc) => f(d.spot!);
  const point = (e: PointerEvent): Vec2 => {
    const r = e.currentTarget.closest("[data-board]")!.getBoundingClientRect();
    return view.toWorld(e.clientX - r.left, e.clientY - r.top);
  };
  const pulled = (e: PointerEvent): ((d: JobDoc) => void) | undefined => {
    const h = held.current;
    if (!h || Math.hypot(e.clientX - h.x, e.clientY - h.y) < STILL) return undefined;
    return change(h.pull(point(e), h.from, e.altKey));
  };
  const key = (e: KeyboardEvent): void => {
    const way = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[e.key];
    if (!way) return;
    e.preventDefault();
    e.stopPropagation();
    const far = e.shiftKey ? 10 : 1;
    edit(label, change(pull([at[0] + way[0]! * far, at[1] + way[1]! * far], at, true)));
  };
  return (
    <button
      type="button"
      aria-label={label}
      title={`${label}: drag; hold Alt to go freely`}
      className="pointer-events-auto absolute grid size-8 -translate-x-1/2 -translate-y-1/2 cursor-move touch-none place-items-center rounded-full border-2 border-vermilion bg-film text-vermilion"
      style={{ left: view.X(at[0]), top: view.Y(at[1]) }}
      onPointerDown={(e) => {
        e.stopPropagation();
        e.currentTarget.setPointerCapture(e.pointerId);
        held.current = { from: point(e), x: e.clientX, y: e.clientY, pull };
      }}
      onPointerMove={(e) => {
        const f = pulled(e);
        if (f) preview(f);
      }}
      onPointerUp={(e) => {
        const f = pulled(e);
        held.current = undefined;
        if (f) edit(label, f);
        else preview(undefined);
      }}
      onPointerCancel={() => {
        held.current = undefined;
        preview(undefined);
      }}
      onKeyDown={key}
    >
      {icon}
    </button>
  );
}

/** Handles of the track or thing that is picked: to move, to turn, to make it longer. */
export function SpotHandles({ view, picked }: { view: BoardView; picked: string | undefined }) {
  const { doc } = useJob();
  const spot = spotOf(doc);
  const t = spot.tracks.findIndex((x) => x.id === picked);
  if (t >= 0) return <TrackHandles view={view} t={spot.tracks[t]!} i={t} />;
  const x = spot.things.findIndex((o) => o.id === picked);
  return x >= 0 ? <ThingHandles view={view} t={spot.things[x]!} i={x} /> : undefined;
}
/** How far along a piece of track the place is that is nearest to a point of the plan, from the piece's beginning. */
export function alongPiece(t: TrackDoc, n: number, p: Vec2): number {
  const line = centreLine(t);
  const from = t.pieces.slice(0, n).reduce((s, x) => s + x.length, 0);
  const { at, heading } = line.at(from);
  const piece = t.pieces[n]!;
  const [dx, dy] = [p[0] - at[0], p[1] - at[1]];
  if (piece.kind === "straight" || !piece.radius) return dx * Math.cos(heading) + dy * Math.sin(heading);
  const side = piece.kind === "left" ? 1 : -1;
  const centre: Vec2 = [
    at[0] - side * piece.radius * Math.sin(heading),
    at[1] + side * piece.radius * Math.cos(heading),
  ];
  const angle = (q: Vec2): number => Math.atan2(q[1] - centre[1], q[0] - centre[0]);
  const swept = side * (angle(p) - angle(at));
  return piece.radius * (((swept % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI));
}
function TrackHandles({ view, t, i }: { view: BoardView; t: TrackDoc; i: number }) {
  const line = centreLine(t);
  const begin: Vec2 = [t.x, t.y];
  const a = (t.turn * Math.PI) / 180;
  const arm = ARM / view.k;
  return (
    <>
      <Handle
        view={view}
        label={`Move ${t.name}`}
        at={begin}
        icon={<ArrowsPointingOutIcon className="size-5 rotate-45" />}
        pull={(to, from, free) => (s) => {
          const o = s.tracks[i]!;
          [o.x, o.y] = [tidy(by(t.x + to[0] - from[0], STEP, free)), tidy(by(t.y + to[1] - from[1], STEP, free))];
        }}
      />
      <Handle
        view={view}
        label={`Turn ${t.name}`}
        at={[t.x + arm * Math.cos(a), t.y + arm * Math.sin(a)]}
        icon={<ArrowPathIcon className="size-5" />}
        pull={(to, _, free) => (s) => void (s.tracks[i]!.turn = tidy(by((Math.atan2(to[1] - t.y, to[0] - t.x) * 180) / Math.PI, TURN, free)))} // prettier-ignore
      />
      {t.pieces.map((_, n) => {
        const far = t.pieces.slice(0, n + 1).reduce((sum, x) => sum + x.length, 0);
        return (
          <Handle
            key={n}
            view={view}
            label={t.pieces.length > 1 ? `End of piece ${n + 1} of ${t.name}` : `End of ${t.name}`}
            at={line.at(far).at}
            icon={<ArrowsRightLeftIcon className="size-5" />}
            pull={(to, _, free) => (s) => void (s.tracks[i]!.pieces[n]!.length = Math.min(1e5, Math.max(5, tidy(by(alongPiece(t, n, to), 5 * STEP, free)))))} // prettier-ignore
          />
        );
      })}
    </>
  );
}
function ThingHandles({ view, t, i }: { view: BoardView; t: ThingDoc; i: number }) {
  const turn = { x: 0, y: 0, z: 0, turn: t.turn };
  const out = (x: number, y: number): Vec2 => {
    const d = directionIn(turn, [x, y, 0]);
    return [t.x + d[0], t.y + d[1]];
  };
  return (
    <>
      <Handle
        view={view}
        label={`Move ${t.name}`}
        at={[t.x, t.y]}
        icon={<ArrowsPointingOutIcon className="size-5 rotate-45" />}
        pull={(to, from, free) => (s) => {
          const o = s.things[i]!;
          [o.x, o.y] = [tidy(by(t.x + to[0] - from[0], STEP, free)), tidy(by(t.y + to[1] - from[1], STEP, free))];
        }}
      />
      <Handle
        view={view}
        label={`Turn ${t.name}`}
        at={out(t.length / 2 + ARM / view.k, 0)}
        icon={<ArrowPathIcon className="size-5" />}
        pull={(to, _, free) => (s) => void (s.things[i]!.turn = tidy(by((Math.atan2(to[1] - t.y, to[0] - t.x) * 180) / Math.PI, TURN, free)))} // prettier-ignore
      />
      {!t.parts && (
        <Handle
          view={view}
          label={`Size of ${t.name}`}
          at={out(t.length / 2, t.depth / 2)}
          icon={<ArrowsRightLeftIcon className="size-5 -rotate-45" />}
          pull={(to, _, free) => (s) => {
            const o = s.things[i]!;
            const back = directionIn({ ...turn, turn: -t.turn }, [to[0] - t.x, to[1] - t.y, 0]);
            [o.length, o.depth] = [0, 1].map((k) => Math.max(1, tidy(by(2 * Math.abs(back[k]!), STEP, free)))) as [number, number]; // prettier-ignore
          }}
        />
      )}
    </>
  );
}
