import type { Vec2 } from "../geometry";
import { pushOut } from "../geometry/pushOut";
import type { FittingDoc } from "../job";
import { feet, inches, printFeetInches } from "../units";
import { fittingOutline } from "./fittings";
import { onSide, ROOM_SIDES, type Room, type RoomOpening, type RoomSide } from "./room";

/** What is in the way inside, and the move of one body that cures it, prototype mm. */
export interface InsideNote {
  readonly key: string;
  readonly level: "warning" | "remark";
  readonly thing: string;
  readonly text: string;
  readonly move?: Vec2;
}
/** How deep the floor behind a door is kept free: as the door is wide, and no more than 3 ft. Common practice. */
const SWING = feet(3);
/** What stands nearer to a window than this stands before it. */
const BEFORE = inches(12);
/** A move is told in steps of a quarter inch, rounded up so that it is enough; what is less than a hair is none. */
const [STEP, HAIR] = [inches(0.25), 0.05];
const up = (mm: number): number =>
  Math.abs(mm) < 1e-6 ? 0 : Math.sign(mm) * Math.ceil(Math.abs(mm) / STEP - 1e-9) * STEP;
const moveWords = ([x, y]: Vec2): string =>
  [x && `${printFeetInches(Math.abs(x))} to the ${x > 0 ? "right" : "left"}`, y && `${printFeetInches(Math.abs(y))} to the ${y > 0 ? "back" : "front"}`].filter(Boolean).join(" and "); // prettier-ignore

/** The floor before an opening, counter-clockwise, model mm. */
export function floorBefore(r: Room, side: RoomSide, o: RoomOpening, depth: number): Vec2[] {
  const [a, b] = [onSide(r, side, o.from), onSide(r, side, o.to)];
  const [x, y] = { front: [0, depth], back: [0, -depth], left: [depth, 0], right: [-depth, 0] }[side] as [
    number,
    number,
  ];
  const [x0, x1] = [Math.min(a[0], b[0], a[0] + x), Math.max(a[0], b[0], a[0] + x)];
  const [y0, y1] = [Math.min(a[1], b[1], a[1] + y), Math.max(a[1], b[1], a[1] + y)];
  return [[x0, y0], [x1, y0], [x1, y1], [x0, y1]]; // prettier-ignore
}
export const swingOf = (o: RoomOpening, ratio: number): number => Math.min(o.to - o.from, SWING / ratio);

/** What stands through a wall, in something else, in the way of a door, before a window, or is higher than the walls. Every move that is told cures what it is told for. */
export function insideNotes(r: Room, things: readonly FittingDoc[], ratio: number): InsideNote[] {
  const out: InsideNote[] = [];
  const outlines = things.map((f) => fittingOutline(f, ratio));
  const proto = (v: Vec2): Vec2 => [up(v[0] * ratio), up(v[1] * ratio)];
  things.forEach((f, i) => {
    const ring = outlines[i]!;
    const note = (key: string, level: InsideNote["level"], text: string, move?: Vec2): void => void out.push({ key: `${f.id}:${key}`, level, thing: f.id, text, ...(move ? { move } : {}) }); // prettier-ignore
    const end = (k: 0 | 1, g: (...n: number[]) => number): number => g(...ring.map((c) => c[k]));
    const room: Vec2 = [r.wide, r.deep];
    const size = ([0, 1] as const).map((k) => end(k, Math.max) - end(k, Math.min));
    const large = ([0, 1] as const).find((k) => size[k]! > room[k] + HAIR);
    if (large !== undefined)
      note("large", "warning", `${f.name} takes ${printFeetInches(size[large]! * ratio)} from ${large === 0 ? "left to right" : "front to back"}, and the room has ${printFeetInches(room[large] * ratio)}: turn it, or make it smaller.`); // prettier-ignore
    else {
      const back = ([0, 1] as const).map(
        (k) => Math.max(0, -end(k, Math.min)) - Math.max(0, end(k, Math.max) - room[k]),
      );
      if (Math.hypot(back[0]!, back[1]!) > HAIR) {
        const move = proto([back[0]!, back[1]!]);
        note("wall", "warning", `${f.name} reaches through a wall: move it ${moveWords(move)}.`, move);
      }
    }
    if (f.high / ratio > r.high + HAIR)
      note("high", "warning", `${f.name} is ${printFeetInches(f.high - r.high * ratio)} higher than the walls: it stands in the roof, or is too high.`); // prettier-ignore
    things.slice(0, i).forEach((o, j) => {
      if (f.low >= o.high - 1e-6 || o.low >= f.high - 1e-6) return;
      const by = pushOut(ring, outlines[j]!);
      if (!by || Math.hypot(...by) <= HAIR) return;
      const move = proto(by);
      note(`in:${o.id}`, "warning", `${f.name} stands in ${o.name}: move it ${moveWords(move)}.`, move);
    });
    for (const side of ROOM_SIDES)
      r.openings[side].forEach((o, n) => {
        if (o.door) {
          if (f.kind === "person" || f.low / ratio >= o.head) return;
          const by = pushOut(ring, floorBefore(r, side, o, swingOf(o, ratio)));
          if (!by || Math.hypot(...by) <= HAIR) return;
          const move = proto(by);
          note(
            `door:${side}:${n}`,
            "warning",
            `${f.name} stands in the way of the ${side} door: move it ${moveWords(move)}.`,
            move,
          );
          return;
        }
        const hides = Math.min(f.high / ratio, o.head) - o.sill;
        if (f.kind === "person" || hides * ratio < inches(3) || f.low / ratio >= o.head || !pushOut(ring, floorBefore(r, side, o, BEFORE / ratio))) return; // prettier-ignore
        note(`window:${side}:${n}`, "remark", `${f.name} stands before a window of the ${side} wall and hides the lower ${printFeetInches(hides * ratio)} of it.`); // prettier-ignore
      });
  });
  return out;
}

/** Where a body of a size could stand with nothing in its way, turned as it is: by the back wall from the left, then row by row to the front; the middle of the room where it is full. Prototype mm. */
export function freePlace(r: Room, things: readonly FittingDoc[], ratio: number, f: FittingDoc): Vec2 {
  const [wide, deep] = [r.wide * ratio, r.deep * ratio];
  const [dx, dy] = [f.length / 2, f.depth / 2].map((x) => x + inches(2));
  for (let y = deep - dy!; y >= dy!; y -= inches(12))
    for (let x = dx!; x <= wide - dx!; x += inches(12)) {
      const at = { ...f, x: Math.round(x / inches(1)) * inches(1), y: Math.round(y / inches(1)) * inches(1) };
      if (!insideNotes(r, [...things, at], ratio).some((n) => n.thing === f.id)) return [at.x, at.y];
    }
  return [wide / 2, deep / 2];
}
