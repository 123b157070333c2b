import { describe, expect, it } from "vitest";
import "../structures/all";
import { stream } from "../cutting/stream";
import { boundsOfDrawing } from "../drawing";
import { polygonArea } from "../geometry";
import { pushOut } from "../geometry/pushOut";
import { designOf, emptyJob, newStructure, type FittingDoc } from "../job";
import { feet, inches } from "../units";
import { boxCard } from "../jigs/insideSheets";
import { cardParts } from "../jigs/cardNet";
import {
  coversOf,
  FITTING,
  fittingOutline,
  insideDrawing,
  insideNotes,
  roomOf,
  ROOM_SIDES,
  seenFittings,
  type Room,
} from ".";

const RATIO = 87.1;
/** A room of 20 × 12 ft, 9 ft high: a door of 3 × 7 ft in the middle of the front, a window of 4 × 4 at 3 ft in the back. */
const mm = (ft: number): number => feet(ft) / RATIO;
const room: Room = { structure: "s", name: "Room", wide: mm(20), deep: mm(12), high: mm(9), openings: { front: [{ door: true, from: mm(8.5), to: mm(11.5), sill: 0, head: mm(7) }], back: [{ door: false, from: mm(8), to: mm(12), sill: mm(3), head: mm(7) }], left: [], right: [] } }; // prettier-ignore
const body = (over: Partial<FittingDoc> = {}): FittingDoc => ({ id: "a", name: "Table", kind: "table", x: feet(4), y: feet(6), turn: 0, length: feet(5), depth: feet(3), low: 0, high: feet(2.5), ...over }); // prettier-ignore
const said = (...things: FittingDoc[]): readonly string[] => insideNotes(room, things, RATIO).map((n) => n.text);

describe("the room of a structure", () => {
  const of = (kind: string, values: object) => roomOf(designOf({ ...emptyJob("Room"), structures: [newStructure(kind, "s", "House", values as never)] }).structures[0]!); // prettier-ignore
  const sheet = { length: feet(24), width: feet(16), openings: [{ wall: "left", kind: "window", at: feet(4), width: feet(3), height: feet(5), sill: feet(2.5), mount: "inside", lap: 0, style: "hung", across: 2, up: 2, shutters: "none" }] }; // prettier-ignore
  it("of sheet is what its layers leave: 24 × 16 ft less two thicknesses each way", () => {
    const r = of("sheet", sheet)!;
    // .060 face and .040 back on a core are 2.54 mm of sheet in all
    const stack = (84 - r.wide) / 2;
    expect(stack).toBeGreaterThan(1);
    expect(r.deep).toBeCloseTo(56 - 2 * stack, 6);
    const [w] = r.openings.left;
    // 4 ft from the wall's left as seen from outside, its middle: the left wall's left end is at the back
    const middle = (w!.from + w!.to) / 2;
    expect(middle).toBeCloseTo(56 - stack - 14, 3);
    expect([r.openings.front, r.openings.back, r.openings.right]).toEqual([[], [], []]);
  });
  it("of a framed building is between its studs, its openings from the left as they are seen on the plan", () => {
    const row = (wall: string, kind: string, at: number) => ({ wall, kind, at: feet(at), width: feet(3), height: feet(kind === "door" ? 7 : 4), sill: kind === "door" ? 0 : feet(3), part: 0, mount: "inside", lap: 0 }); // prettier-ignore
    const r = of("building", { length: feet(24), width: feet(16), openings: [row("front", "door", 6), row("back", "window", 6), row("right", "window", 5)] })!; // prettier-ignore
    const wide = 24 * 3.5;
    const thick = (wide - r.wide) / 2;
    expect(thick).toBeGreaterThan(0.8);
    expect(r.deep).toBeCloseTo(16 * 3.5 - 2 * thick, 6);
    const middle = (side: "front" | "back" | "right"): number => { const o = r.openings[side][0]!; return (o.from + o.to) / 2; }; // prettier-ignore
    // one who stands outside the back counts from the other end
    expect(middle("front") + middle("back")).toBeCloseTo(r.wide, 3);
    expect(r.openings.front[0]).toMatchObject({ door: true, sill: 0 });
    expect(middle("right")).toBeLessThan(r.deep / 2);
    expect(of("trestle-bent", {})).toBeUndefined();
  });
});

describe("what is in the way inside", () => {
  it("is nothing where all stands clear, and told with the way out where it does not", () => {
    expect(said(body(), body({ id: "b", x: feet(15) }))).toEqual([]);
    expect(said(body({ x: feet(2) }))).toEqual(["Table reaches through a wall: move it 0′-6″ to the right."]);
    expect(said(body({ y: feet(11), x: feet(19) }))).toEqual(["Table reaches through a wall: move it 1′-6″ to the left and 0′-6″ to the front."]); // prettier-ignore
    expect(said(body(), body({ id: "b", name: "Stove", x: feet(6), length: feet(2), depth: feet(2) }))).toEqual(["Stove stands in Table: move it 1′-6″ to the right."]); // prettier-ignore
    // over the table nothing is in the way
    expect(said(body(), body({ id: "b", name: "Lamp", low: feet(2.5), high: feet(4) }))).toEqual([]);
    expect(said(body({ length: feet(21) }))[0]).toMatch(
      /^Table takes 21′-0″ from left to right, and the room has 20′-0″/,
    );
    expect(said(body({ high: feet(10) }))).toEqual([
      "Table is 1′-0″ higher than the walls: it stands in the roof, or is too high.",
    ]);
  });
  it("are doors that do not open, but for people, and windows that are hidden", () => {
    // the door is 3 ft wide: 3 ft of floor behind it stay free
    expect(said(body({ x: feet(10), y: feet(4) }))).toEqual([
      "Table stands in the way of the front door: move it 0′-6″ to the back.",
    ]);
    expect(said(body({ x: feet(10), y: feet(4), kind: "person" }))).toEqual([]);
    expect(said(body({ x: feet(10), y: feet(10.5), high: feet(5) }))).toEqual(["Table stands before a window of the back wall and hides the lower 2′-0″ of it."]); // prettier-ignore
    expect(said(body({ x: feet(10), y: feet(10.5) }))).toEqual([]);
  });
  it("is cured by the move that is told, one clash at a time, in 300 random rooms", () => {
    const random = stream(20261128);
    let [cured, told] = [0, 0];
    for (let n = 0; n < 300; n++) {
      const pick = (lo: number, hi: number): number => lo + random() * (hi - lo);
      const kinds = Object.keys(FITTING) as FittingDoc["kind"][];
      const things = Array.from({ length: 4 }, (_, i): FittingDoc => {
        const kind = kinds[Math.floor(random() * kinds.length)]!;
        const [length, depth, high] = FITTING[kind].size;
        return body({ id: `t${i}`, name: `T${i}`, kind, x: pick(0, feet(20)), y: pick(0, feet(12)), turn: [0, 90, pick(-180, 180)][i % 3]!, length, depth, high }); // prettier-ignore
      });
      for (const note of insideNotes(room, things, RATIO)) {
        if (!note.move) continue;
        told++;
        // by its own reckoning the clash is one: corners sampled over the plan
        const after = things.map((t) =>
          t.id === note.thing ? { ...t, x: t.x + note.move![0], y: t.y + note.move![1] } : t,
        );
        if (!insideNotes(room, after, RATIO).some((x) => x.key === note.key)) cured++;
      }
    }
    expect(told).toBeGreaterThan(300);
    expect(cured).toBe(told);
  });
  it("is pushed out the short way: two squares by hand, apart and touching", () => {
    const square = (x: number, y: number, s: number) => [[x, y], [x + s, y], [x + s, y + s], [x, y + s]] as [number, number][]; // prettier-ignore
    expect(pushOut(square(0, 0, 10), square(8, 1, 10))).toEqual([-2, expect.closeTo(0, 12)]);
    expect(pushOut(square(0, 9, 10), square(1, 0, 10))).toEqual([expect.closeTo(0, 12), 1]);
    expect(pushOut(square(0, 0, 10), square(10, 0, 10))).toBeUndefined();
    expect(pushOut(square(0, 0, 10), square(30, 30, 1))).toBeUndefined();
    const turned = fittingOutline(body({ x: 0, y: 0, turn: 90 }), 1);
    expect(Math.max(...turned.map((p) => p[0]))).toBeCloseTo(feet(1.5), 9);
    expect(polygonArea(turned)).toBeCloseTo(feet(5) * feet(3), 3);
  });
});

describe("what is seen of it", () => {
  const eye = { before: 400, right: 0, over: 20 };
  const share = (things: FittingDoc[], at = eye): readonly number[] =>
    seenFittings(room, things, RATIO, at).map((s) => s.share);
  it("is what lies behind an opening, not what the wall hides", () => {
    const behind = body({ id: "door", x: feet(10), y: feet(6), length: feet(2), depth: feet(1) });
    const aside = body({ id: "aside", x: feet(3), y: feet(2), length: feet(2), depth: feet(1) });
    const [seen, hidden] = seenFittings(room, [behind, aside], RATIO, eye);
    expect(seen!.through).toEqual(["front"]);
    // its front, top and the near halves of its sides: its back is hidden by itself
    expect(seen!.share).toBeGreaterThan(0.3);
    expect(seen!.share).toBeLessThan(0.9);
    expect(hidden).toEqual({ thing: "aside", share: 0, through: [] });
    // from the right one sees what stands to the left
    const [, left] = share([behind, body({ id: "l", x: feet(5), y: feet(9), length: feet(2), depth: feet(1) })], { ...eye, right: 300 }); // prettier-ignore
    expect(left).toBeGreaterThan(0);
  });
  it("is hidden by what stands before it, and by the wall when one stands behind the house", () => {
    const far = body({ id: "far", x: feet(10), y: feet(9), length: feet(2), depth: feet(1), high: feet(2) });
    const near = body({ id: "near", x: feet(10), y: feet(5), length: feet(6), depth: feet(1), high: feet(8) });
    expect(share([far])[0]).toBeGreaterThan(0.2);
    expect(share([far, near])[0]).toBe(0);
    // over the walls comes nothing: the roof is on
    expect(share([far], { before: 100, right: 0, over: 500 })[0]).toBe(0);
  });
  it("agrees with a ray by hand through the middle of the door", () => {
    // a thin post of 1 in before the eye, on the line to the door's middle; and one 4 ft aside, which the jamb hides
    const post = (id: string, x: number) =>
      body({ id, x: feet(x), y: feet(11), length: inches(1), depth: inches(1), high: feet(1) });
    const low = { before: 400, right: 0, over: 1 };
    // the line from (10 ft, −400 mm) to (x, 11 ft) crosses the front at 10 + (x − 10) · 400 / (400 + 11 ft of the model)
    const at = (x: number): number => 10 + ((x - 10) * 400) / (400 + mm(11));
    expect(at(11.6)).toBeLessThan(11.5);
    expect(at(11.7)).toBeGreaterThan(11.5);
    const [a, b] = share([post("a", 11.5), post("b", 11.75)], low);
    expect(a).toBeGreaterThan(0.2);
    expect(b).toBe(0);
  });
});

describe("the inside on paper", () => {
  it("is drawn at full size, each body in plan and section with its name", () => {
    const d = insideDrawing(room, { things: [body(), body({ id: "b", name: "Stove", x: feet(15) })] }, RATIO);
    const bodies = d.layers.find((l) => l.name === "inside")!.entities;
    expect(bodies).toHaveLength(4);
    const { min, max } = boundsOfDrawing({ layers: [d.layers[1]!] });
    expect(min).toEqual([expect.closeTo(mm(1.5), 9), expect.closeTo(mm(4.5), 9)]);
    expect(max[1]).toBeCloseTo(mm(12) + 14 + mm(2.5), 9);
    // a door's swing and an opening at each: three strokes each
    expect(d.layers[0]!.entities).toHaveLength(1 + 3 + 1 + 3 + 1);
  });
  it("has a box that slides in: its walls half a gap shorter at each end, doors where the house has them, its floor with tabs all round", () => {
    const card = boxCard(room, 0.5);
    const [strip] = card.strips;
    expect(strip!.map((w) => w.length)).toEqual([room.wide - 1, room.deep - 1, room.wide - 1, room.deep - 1].map((x) => expect.closeTo(x, 9))); // prettier-ignore
    const [door] = strip![0]!.gaps;
    expect([door!.from, door!.to]).toEqual([expect.closeTo(mm(8.5) - 0.5, 9), expect.closeTo(mm(11.5) - 0.5, 9)]);
    const [window] = strip![2]!.gaps;
    // seen from outside the back, the window's right is the plan's left
    expect(window!.from).toBeCloseTo(room.wide - 0.5 - mm(12), 9);
    const parts = cardParts(card);
    expect(parts.map((p) => p.words)).toEqual(["front, right, back, left", "floor"]);
    // four tabs round the floor
    expect(parts[1]!.card).toHaveLength(5);
    expect(ROOM_SIDES).toHaveLength(4);
  });
});

describe("what papers cover in a room", () => {
  it("is its floor and its walls as they are seen from inside, with their doors and windows: by hand", () => {
    const r: Room = { ...room, openings: { ...room.openings, front: [{ door: true, from: mm(2), to: mm(5), sill: 0, head: mm(7) }], right: [{ door: false, from: mm(1), to: mm(3), sill: mm(3), head: mm(20) }], left: [{ door: false, from: mm(1), to: mm(3), sill: mm(3), head: mm(6) }] } }; // prettier-ignore
    const of = (name: RegExp) => coversOf(r, RATIO).find((c) => name.test(c.name))!.cover;
    expect(of(/floor/)).toEqual({ length: expect.closeTo(feet(20), 0), height: expect.closeTo(feet(12), 0) });
    // the door begins 2 ft from the left as one stands before the house; from inside it ends 2 ft from the right
    expect(of(/front/).holes![0]!.x).toBeCloseTo(feet(15), 0);
    // the back's window of 4 ft begins at 8 ft either way
    expect(of(/back/).holes![0]!.x).toBeCloseTo(feet(8), 0);
    // the right wall has the front at the right hand, the left wall at the left
    expect(of(/right/).holes![0]!.x).toBeCloseTo(feet(9), 0);
    expect(of(/left wall/).holes![0]!.x).toBeCloseTo(feet(1), 0);
    // what reaches over the wall is cut at its top
    expect(of(/right/).holes![0]!.high).toBeCloseTo(feet(6), 0);
  });
});
