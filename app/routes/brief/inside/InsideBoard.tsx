import { useRef, useState, type PointerEvent } from "react";
import { fittingOutline } from "core/inside/fittings";
import { floorBefore, swingOf } from "core/inside/judged";
import { onSide, ROOM_SIDES, type Room } from "core/inside/room";
import type { Wire } from "core/inside/wiring";
import type { FittingDoc, RoomLampDoc } from "core/job";
import { Board, type BoardView } from "~/board/Board";
import { Halo } from "~/board/Halo";
import { Figure, useUnits } from "~/job/units";

const PADDING = [60, 50, 60, 80] as const;
/** Thickness of a wall as it is drawn, model mm, and how far a body goes in one step when it is dragged, prototype mm. */
const [WALL, INCH] = [1.6, 25.4];
/** How far under a lamp its name stands, pixels. */
const LAMP_NAME = 20;
/** Pixels that a press may move and still be a press. */
const STILL = 3;

interface Props {
  readonly room: Room;
  readonly things: readonly FittingDoc[];
  readonly ratio: number;
  readonly view: "plan" | "section";
  readonly picked: string | undefined;
  /** Bodies that something is wrong with. */
  readonly wrong: ReadonlySet<string>;
  readonly lamps: readonly RoomLampDoc[];
  readonly wires: readonly Wire[];
  readonly pick: (id: string | undefined) => void;
  readonly move: (id: string, x: number, y: number) => void;
}
/** A room from above, its bodies to be dragged, or seen from the front. */
export function InsideBoard({ room, things, lamps, wires, ratio, view, picked, wrong, pick, move }: Props) {
  const { M } = useUnits();
  const [drag, setDrag] = useState<{ readonly id: string; readonly x: number; readonly y: number }>();
  const high = view === "plan" ? room.deep : room.high;
  const now = things.map((f) => (f.id === drag?.id ? { ...f, x: drag.x, y: drag.y } : f));
  const lit = lamps.map((l) => (l.id === drag?.id ? { ...l, x: drag.x, y: drag.y } : l));
  const shown = { ...{ room, ratio, picked, wrong, pick, wires }, things: now, lamps: lit, setDrag, move };
  return (
    <Board
      label={view === "plan" ? "Plan of the room" : "Section of the room, seen from the front"}
      bounds={{ min: [-WALL, -WALL], max: [room.wide + WALL, high + WALL] }}
      padding={PADDING}
      fitKey={`${room.structure} ${view} ${room.wide} ${high}`}
      unitMm={1}
      onPoint={(_, ids) => pick(ids[0])}
      furniture={
        <p className="pointer-events-none absolute right-5 bottom-3.5 flex border-[1.5px] border-ink bg-film text-[15px]">
          <span className="head border-r-[1.5px] border-ink px-2.5 py-0.5">{room.name}</span>
          <span className="head px-2.5 py-0.5">
            <Figure>{`${M(room.wide, 1)} × ${M(high, 1)}`}</Figure> inside
          </span>
        </p>
      }
    >
      {(v) => (
        <>
          <rect width={v.width} height={v.height} fill="transparent" />
          {view === "plan" ? <Plan v={v} {...shown} /> : <Section v={v} {...shown} />}
        </>
      )}
    </Board>
  );
}
type Shown = Omit<Props, "view"> & {
  readonly v: BoardView;
  readonly setDrag: (d: { readonly id: string; readonly x: number; readonly y: number } | undefined) => void;
};
const look = (picked: boolean, wrong: boolean) => ({
  fill: picked ? "var(--picked)" : "var(--timber)",
  stroke: picked ? "var(--vermilion)" : wrong ? "var(--ochre)" : "var(--timber-line)",
  strokeWidth: picked || wrong ? 2.2 : 1.2,
});

/** What an element needs to be dragged over the room, by the inch or freely. */
function useDrag({ v, ratio, pick, setDrag, move }: Pick<Shown, "v" | "ratio" | "pick" | "setDrag" | "move">) {
  const from = useRef<{
    readonly id: string;
    readonly px: number;
    readonly py: number;
    readonly x: number;
    readonly y: number;
  }>(undefined);
  const at = (e: PointerEvent): { x: number; y: number } | undefined => {
    const s = from.current;
    if (!s || Math.hypot(e.clientX - s.px, e.clientY - s.py) < STILL) return undefined;
    const step = e.altKey ? 1 : INCH;
    const to = (start: number, px: number): number => Math.round((start + (px / v.k) * ratio) / step) * step;
    return { x: to(s.x, e.clientX - s.px), y: to(s.y, s.py - e.clientY) };
  };
  return (f: { readonly id: string; readonly x: number; readonly y: number }) => ({
    onPointerDown: (e: PointerEvent) => {
      e.stopPropagation();
      e.currentTarget.setPointerCapture(e.pointerId);
      from.current = { id: f.id, px: e.clientX, py: e.clientY, x: f.x, y: f.y };
      pick(f.id);
    },
    onPointerMove: (e: PointerEvent) => {
      const to = at(e);
      if (to) setDrag({ id: f.id, ...to });
    },
    onPointerUp: (e: PointerEvent) => {
      const to = at(e);
      from.current = undefined;
      setDrag(undefined);
      if (to) move(f.id, to.x, to.y);
    },
    onPointerCancel: () => {
      from.current = undefined;
      setDrag(undefined);
    },
  });
}
function Plan({ v, room, things, lamps, wires, ratio, picked, wrong, pick, setDrag, move }: Shown) {
  const hold = useDrag({ v, ratio, pick, setDrag, move });
  const path = (ring: readonly (readonly [number, number])[]): string =>
    `M${ring.map(([x, y]) => `${v.X(x)} ${v.Y(y)}`).join("L")}Z`;
  const named = clearNames([
    ...[...things].sort((a, b) => b.length * b.depth - a.length * a.depth).map((f) => ({ id: f.id, x: v.X(f.x / ratio), y: v.Y(f.y / ratio), words: f.name, first: f.id === picked })),
    ...lamps.map((l) => ({ id: l.id, x: v.X(l.x / ratio), y: v.Y(l.y / ratio) + LAMP_NAME, words: l.name, first: l.id === picked })),
  ]); // prettier-ignore
  return (
    <>
      <path
        d={
          path([
            [-WALL, -WALL],
            [room.wide + WALL, -WALL],
            [room.wide + WALL, room.deep + WALL],
            [-WALL, room.deep + WALL],
          ]) +
          path([
            [0, 0],
            [0, room.deep],
            [room.wide, room.deep],
            [room.wide, 0],
          ])
        }
        fill="var(--ink-2)"
        fillRule="evenodd"
      />
      {ROOM_SIDES.flatMap((side) =>
        room.openings[side].map((o, i) => {
          const [a, b] = [onSide(room, side, o.from), onSide(room, side, o.to)];
          const out = { front: [0, -WALL], back: [0, WALL], left: [-WALL, 0], right: [WALL, 0] }[side] as [
            number,
            number,
          ];
          return (
            <g key={`${side}${i}`}>
              <path
                d={path([a, b, [b[0] + out[0], b[1] + out[1]], [a[0] + out[0], a[1] + out[1]]])}
                fill="var(--film)"
                stroke="var(--ink)"
                strokeWidth={o.door ? 0 : 1}
              />
              {o.door && (
                <path
                  d={path(floorBefore(room, side, o, swingOf(o, ratio)))}
                  fill="none"
                  stroke="var(--ink-2)"
                  strokeDasharray="5 4"
                />
              )}
            </g>
          );
        }),
      )}
      {[...things]
        .sort((a, b) => a.high - b.high)
        .map((f) => (
          <g key={f.id} data-stick={f.id} style={{ cursor: "move", touchAction: "none" }} {...hold(f)}>
            <path d={path(fittingOutline(f, ratio))} fillOpacity={0.9} {...look(f.id === picked, wrong.has(f.id))} />
            {named.has(f.id) && <Name x={v.X(f.x / ratio)} y={v.Y(f.y / ratio)} words={f.name} />}
          </g>
        ))}
      {wires.map((w, i) => (
        <polyline
          key={i}
          // from above a wire that goes up or down is a point
          points={w.points
            .map((p) => `${v.X(p[0]).toFixed(1)},${v.Y(p[1]).toFixed(1)}`)
            .filter((p, k, all) => p !== all[k - 1])
            .join(" ")}
          fill="none"
          stroke="var(--vermilion)"
          strokeWidth={1.2}
          strokeDasharray="6 4"
          style={{ pointerEvents: "none" }}
        />
      ))}
      {lamps.map((l) => (
        <g key={l.id} data-stick={l.id} style={{ cursor: "move", touchAction: "none" }} {...hold(l)}>
          <Lamp
            x={v.X(l.x / ratio)}
            y={v.Y(l.y / ratio)}
            name={named.has(l.id) ? l.name : ""}
            picked={l.id === picked}
          />
        </g>
      ))}
    </>
  );
}
function Section({ v, room, things, lamps, ratio, picked, wrong }: Shown) {
  return (
    <>
      <rect
        x={v.X(0)}
        y={v.Y(room.high)}
        width={room.wide * v.k}
        height={room.high * v.k}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={2}
      />
      {room.openings.back.map((o, i) => (
        <rect
          key={i}
          x={v.X(o.from)}
          y={v.Y(o.head)}
          width={(o.to - o.from) * v.k}
          height={(o.head - o.sill) * v.k}
          fill="none"
          stroke="var(--ink-2)"
          strokeDasharray="5 4"
        />
      ))}
      {[...things]
        .sort((a, b) => b.y - a.y)
        .map((f) => {
          const xs = fittingOutline(f, ratio).map((c) => c[0]);
          const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
          return (
            <g key={f.id} data-stick={f.id} style={{ cursor: "pointer" }}>
              <rect
                x={v.X(x0)}
                y={v.Y(f.high / ratio)}
                width={(x1 - x0) * v.k}
                height={((f.high - f.low) / ratio) * v.k}
                fillOpacity={0.9}
                {...look(f.id === picked, wrong.has(f.id))}
              />
              <Name x={v.X((x0 + x1) / 2)} y={v.Y((f.low + f.high) / 2 / ratio)} words={f.name} />
            </g>
          );
        })}
      {lamps.map((l) => (
        <g key={l.id} data-stick={l.id} style={{ cursor: "pointer" }}>
          <line
            x1={v.X(l.x / ratio)}
            x2={v.X(l.x / ratio)}
            y1={v.Y(l.z / ratio)}
            y2={v.Y(Math.max(room.high, l.z / ratio))}
            stroke="var(--vermilion)"
            strokeWidth={1.2}
          />
          <Lamp x={v.X(l.x / ratio)} y={v.Y(l.z / ratio)} name={l.name} picked={l.id === picked} />
        </g>
      ))}
    </>
  );
}
/** Whose names are written: no name over another one, that of what is picked before all, then as they come. */
function clearNames(
  all: readonly {
    readonly id: string;
    readonly x: number;
    readonly y: number;
    readonly words: string;
    readonly first: boolean;
  }[],
): ReadonlySet<string> {
  const out: (typeof all)[number][] = [];
  for (const n of [...all].sort((a, b) => Number(b.first) - Number(a.first)))
    if (!out.some((o) => Math.abs(o.y - n.y) < 17 && Math.abs(o.x - n.x) < (o.words.length + n.words.length) * 3.7 + 4)) out.push(n); // prettier-ignore
  return new Set(out.map((n) => n.id));
}
/** A lamp: a circle with a cross. */
const Lamp = ({ x, y, name, picked }: { x: number; y: number; name: string; picked: boolean }) => (
  <>
    <circle cx={x} cy={y} r={16} fill="transparent" />
    <g stroke={picked ? "var(--vermilion)" : "var(--ink)"} strokeWidth={picked ? 2.4 : 1.6}>
      <circle cx={x} cy={y} r={9} fill="var(--film)" />
      <path d={`M${x - 6} ${y - 6}L${x + 6} ${y + 6}M${x - 6} ${y + 6}L${x + 6} ${y - 6}`} />
    </g>
    <Name x={x} y={y + LAMP_NAME} words={name} />
  </>
);
const Name = ({ x, y, words }: { x: number; y: number; words: string }) => (
  <Halo x={x} y={y + 5} words={words} bold rim="var(--timber)" />
);
