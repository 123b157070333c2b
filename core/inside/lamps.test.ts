import fc from "fast-check";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { findings } from "../checks";
import { jigSheets } from "../jigs";
import { prism, type Vec3 } from "../geometry";
import {
  CORNERS,
  designOf,
  emptyBuild,
  emptyJob,
  newStructure,
  type InsideDoc,
  type JobDoc,
  type LampDoc,
} from "../job";
import { feet } from "../units";
import { cornerOf, lampAt, leaks, roomOf, SPARE, wayFromCorner, wayIn, wayLength, wiresOf, type Room } from ".";

const none = { front: [], right: [], back: [], left: [] };
const room: Room = { structure: "s", name: "Shed", wide: 100, deep: 60, high: 40, openings: none };
const group = (more: Partial<LampDoc> = {}): LampDoc => ({ id: "g", name: "Room lamps", count: 3, volts: 3, milliamps: 5, series: 1, hole: 3, wire: 300, ...more }); // prettier-ignore
const lamp = (id: string, x: number, y: number, z: number) => ({ id, name: `Lamp ${id}`, of: "g", x, y, z });

describe("the way of a wire", () => {
  it("goes up the corner, along the walls, out from the nearest and down: by hand", () => {
    // 40 up, 60 along the left wall, 80 along the front, 10 out and 10 down
    const way = wayFromCorner(room, "back left", [80, 10, 30]);
    expect(way).toEqual([[0, 60, 0], [0, 60, 40], [0, 0, 40], [80, 0, 40], [80, 10, 40], [80, 10, 30]]); // prettier-ignore
    expect(wayLength(way)).toBe(200);
    // mirrored left to right and front to back it is as long
    expect(wayLength(wayFromCorner(room, "back right", [20, 10, 30]))).toBe(200);
    expect(wayLength(wayFromCorner(room, "front left", [80, 50, 30]))).toBe(200);
    // a lamp over the walls is reached from where it hangs
    expect(wayFromCorner(room, "back left", [0, 60, 45]).at(-1)).toEqual([0, 60, 45]);
  });
  it("begins at the corner's floor and ends at the lamp, goes square, never outside, never longer than half round", () => {
    fc.assert(
      fc.property(fc.constantFrom(...CORNERS), fc.integer({ min: 0, max: 100 }), fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 40 }), (corner, x, y, z) => {
        const way = wayFromCorner(room, corner, [x, y, z]);
        expect(way[0]).toEqual([...cornerOf(room, corner), 0]);
        const end = way.at(-1)!;
        expect([end[0] - x, end[1] - y, end[2] - z].every((d) => Math.abs(d) < 1e-9)).toBe(true);
        way.slice(1).forEach((p, i) => expect(p.filter((v, k) => Math.abs(v - way[i]![k]!) > 1e-9)).toHaveLength(1));
        for (const p of way) expect(p[0] >= 0 && p[0] <= 100 && p[1] >= 0 && p[1] <= 60 && p[2] >= 0 && p[2] <= 40).toBe(true);
        expect(wayLength(way)).toBeLessThanOrEqual(40 + 160 + 30 + 40 + 1e-9);
      }),
      { numRuns: 300 },
    ); // prettier-ignore
  });
});

describe("the wires of a room", () => {
  const inside = (n: number): Pick<InsideDoc, "lamps"> => ({ lamps: Array.from({ length: n }, (_, i) => lamp(String(i + 1), 20 + 20 * i, 30, 40)) }); // prettier-ignore
  it("of lamps by themselves are two each; of a string one more than it has lamps", () => {
    expect(wiresOf(room, inside(3), [group()], 1)).toHaveLength(6);
    expect(wiresOf(room, inside(3), [group({ series: 3 })], 1)).toHaveLength(4);
    expect(wiresOf(room, inside(4), [group({ series: 3 })], 1).map((w) => w.string).sort()).toEqual([1, 1, 1, 1, 2, 2]); // prettier-ignore
    expect(wiresOf(room, inside(3), [group({ id: "other" })], 1)).toEqual([]);
  });
  it("reach: each is as long as its way, has some to spare, and ends where the next of its string begins", () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: 1, max: 99 }), fc.integer({ min: 1, max: 59 }), fc.integer({ min: 5, max: 40 })), { minLength: 1, maxLength: 9 }), fc.integer({ min: 1, max: 4 }), fc.constantFrom(...CORNERS), (at, series, corner) => {
        const lamps = at.map(([x, y, z], i) => lamp(String(i), x * 87, y * 87, z * 87));
        const wires = wiresOf(room, { lamps, wires: corner }, [group({ series })], 87);
        expect(wires).toHaveLength(at.length + Math.ceil(at.length / series));
        const place = (name: string): Vec3 => { const l = lamps.find((x) => x.name === name); return l ? lampAt(l, 87) : [...cornerOf(room, corner), 0]; };
        for (const w of wires) {
          const [a, b] = [w.points[0]!, w.points.at(-1)!];
          for (const [p, q] of [[a, place(w.from)], [b, place(w.to)]] as const) p.forEach((v, k) => expect(v).toBeCloseTo(q[k]!, 6));
          expect(w.length).toBeGreaterThanOrEqual(Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]) - 1e-9);
          expect(w.cut).toBeCloseTo(w.length * (1 + SPARE), 9);
        }
        // the longest go in first, and every lamp has one that comes and one that goes
        expect(wires.map((w) => -w.length)).toEqual([...wires.map((w) => -w.length)].sort((x, y) => x - y));
        for (const l of lamps) expect([wires.filter((w) => w.to === l.name).length, wires.filter((w) => w.from === l.name).length]).toEqual([1, 1]);
      }),
      { numRuns: 200 },
    ); // prettier-ignore
  });
});

describe("light that gets out", () => {
  const job = (values: Record<string, unknown>, lamps = [lamp("1", feet(10), feet(6), feet(7))], more: Partial<InsideDoc> = {}): JobDoc => ({ ...emptyJob("Lit"), structures: [newStructure("building", "s", "Shed", { length: feet(20), width: feet(14), roof: "none", openings: [], casings: false, ...values })], inside: [{ structure: "s", things: [], lamps, ...more }], build: { ...emptyBuild(), lights: { supply: 12, lamps: [group()] } } }); // prettier-ignore
  const of = (doc: JobDoc) => findings(designOf(doc)).filter((f) => f.key.startsWith("s:inside:"));
  it("of a way through a slab is what the slab takes of it", () => {
    const slab = prism([[0, 0, 0], [0, 4, 0], [0, 4, 4], [0, 0, 4]], [2, 0, 0], ["a", "b", "c", "d"]); // prettier-ignore
    expect(wayIn(slab, [-1, 2, 2], [3, 2, 2])).toEqual([0.25, 0.75]);
    expect(wayIn(slab, [-1, 5, 2], [3, 5, 2])).toBeUndefined();
    expect(wayIn(slab, [3, 2, 2], [9, 2, 2])).toBeUndefined();
  });
  it("goes out between bare studs everywhere, through thin boards as a glow, and nowhere where enough is in its way", () => {
    const d = (values: Record<string, unknown>) => { const s = designOf(job(values)).structures[0]!; return leaks(s, roomOf(s)!, [[60, 30, 20]]); }; // prettier-ignore
    for (const w of d({ siding: "none" })) expect(w.open).toBeGreaterThan(0.15);
    for (const w of d({ siding: "vertical" })) expect(w.open).toBeLessThan(0.05);
    for (const w of d({ siding: "vertical" })) expect(w.glows).toBeGreaterThan(0.2);
    const sheet = designOf({ ...job({}), structures: [newStructure("sheet", "s", "Shed", { length: feet(20), width: feet(14), openings: [] })] }).structures[0]!; // prettier-ignore
    const thick = leaks(sheet, roomOf(sheet)!, [[30, 20, 20]]);
    for (const w of thick) expect([w.open, w.glows].every((x) => x < 0.02)).toBe(true);
    const keys = (values: Record<string, unknown>) => of(job(values)).map((f) => f.key);
    expect(keys({ siding: "none" })).toContain("s:inside:gaps");
    expect(keys({ siding: "vertical" })).toContain("s:inside:glows");
  });
  it("is told with what is wrong with the lamps: outside, in a body, more than reckoned", () => {
    const far = of(job({ siding: "none" }, [lamp("1", feet(30), feet(6), feet(7))]));
    expect(far.map((f) => f.text)).toEqual(["Lamp 1 hangs outside the room of Shed."]);
    const stove = { id: "b", name: "Stove", kind: "stove" as const, x: feet(10), y: feet(6), turn: 0, length: feet(2), depth: feet(2), low: 0, high: feet(4) }; // prettier-ignore
    const words = of(job({ siding: "none" }, [lamp("1", feet(10), feet(6), feet(3))], { things: [stove] })).map((f) => f.text); // prettier-ignore
    expect(words).toContain("Lamp 1 hangs in Stove: put it higher than 4′-0″, or beside it.");
    const four = of(job({ siding: "none" }, [1, 2, 3, 4].map((n) => lamp(String(n), feet(3 * n), feet(6), feet(7))))).map((f) => f.text); // prettier-ignore
    expect(four).toContain("Room lamps: 4 hang in Shed, and the resistors were reckoned for 3.");
  });
  it("is drawn with its lamps and wires, with how long each is cut", () => {
    const sheet = jigSheets(designOf(job({ siding: "none" })), "2026-11-28").find((s) => /inside, plan and section/.test(s.words.title))!; // prettier-ignore
    const layer = (n: string) => sheet.drawing.layers.find((l) => l.name === n)!.entities;
    expect(layer("wires")).toHaveLength(2);
    expect(layer("lamps")).toHaveLength(6);
    const words = layer("words").flatMap((e) => (e.kind === "text" ? [e.text] : []));
    expect(words).toContain("Wires, in the order they are laid (low voltage only)");
    expect(words.filter((w) => /^1\. Room lamps, string 1: Supply to Lamp 1, cut \d+\.\d mm$/.test(w))).toHaveLength(1);
  });
});
