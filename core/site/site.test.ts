import { describe, expect, it } from "vitest";
import fc from "fast-check";
import "../structures/all";
import { cornersOf, exitAlong, penetrationDepth, prism, volumeOf, type Solid, type Vec3 } from "../geometry";
import { designOf, emptyJob, newStructure, type JobDoc, type PlaceDoc } from "../job";
import { feet, inches, scaleOf, toModel, prototype } from "../units";
import { clashOf, clearances, facing, placeOf, planFacts, planPoint, pointIn, snapped, solidIn, standing, wallsAt, wallsIn, type Place } from "."; // prettier-ignore

const H0 = scaleOf("HO");
const mm = (p: number): number => toModel(H0, prototype(p));
const at = (over: Partial<PlaceDoc> = {}): PlaceDoc => ({ x: 0, y: 0, z: 0, turn: 0, ...over });
/** Four walls of studs alone, 24 by 16 ft: their framing is what they measure. */
const BARE = { length: feet(24), width: feet(16), roof: "none", floor: "none", siding: "none", openings: [], casings: false, foundation: "none" }; // prettier-ignore
const [L, W] = [mm(feet(24)), mm(feet(16))];
const job = (...places: (PlaceDoc | undefined)[]): JobDoc => ({
  ...emptyJob("Yard"),
  brief: { ...emptyJob("Yard").brief, scale: { id: "HO", ratio: H0.ratio } },
  structures: places.map((place, i) => ({
    ...newStructure("building", `s${i + 1}`, `Shed ${i + 1}`, BARE),
    ...(place ? { place } : {}),
  })),
});
const placed = (...places: PlaceDoc[]) => standing(designOf(job(...places)));
const clash = (...places: PlaceDoc[]) => {
  const [a, b] = placed(...places);
  return clashOf(a!, b!);
};
const box = (x: number, y: number, z: number, a: number, b: number, c: number): Solid =>
  prism([[x, y, z], [x + a, y, z], [x + a, y + b, z], [x, y + b, z]], [0, 0, c], ["s", "e", "n", "w"]); // prettier-ignore

describe("a place in the plan", () => {
  it("turns counter-clockwise about the structure's own origin, then moves it", () => {
    expect(pointIn(at({ x: 10, y: 20, z: 3, turn: 90 }), [5, 0, 1])).toEqual([10, 25, 4]);
    expect(pointIn(at({ turn: -90 }), [5, 0, 0])).toEqual([0, -5, 0]);
    const [x, y] = pointIn(at({ turn: 30 }), [10, 0, 0]);
    expect([x, y]).toEqual([expect.closeTo(8.660254, 6), expect.closeTo(5, 6)]);
  });
  it("keeps the size of a solid, and its planes stay those of its corners", () => {
    fc.assert(
      fc.property(fc.double({ min: -360, max: 360, noNaN: true }), fc.integer({ min: -500, max: 500 }), (turn, x) => {
        const place: Place = { x, y: -2 * x, z: 7, turn };
        const s = solidIn(place, box(1, 2, 3, 10, 4, 2));
        expect(volumeOf(s)).toBeCloseTo(80, 6);
        for (const f of s.faces)
          for (const c of f.corners)
            expect(f.plane.n[0] * c[0] + f.plane.n[1] * c[1] + f.plane.n[2] * c[2]).toBeCloseTo(f.plane.d, 6);
      }),
      { seed: 41, numRuns: 60 },
    );
  });
  it("is asked for: a structure without one stands nowhere, and its outline covers what overhangs", () => {
    expect(standing(designOf(job(at(), undefined))).map((s) => s.design.structure.name)).toEqual(["Shed 1"]);
    const [s] = placed(at({ x: 100, turn: 90 }));
    const xs = s!.outline.map((p) => p[0]);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(W, 6);
    expect((Math.max(...xs) + Math.min(...xs)) / 2).toBeCloseTo(100, 6);
  });
});

describe("the way out of one another", () => {
  it("is exact for boxes, and whatever the direction two solids only touch after it", () => {
    const a = box(0, 0, 0, 10, 10, 10);
    expect(exitAlong(a, box(8, 2, 2, 5, 5, 5), [1, 0, 0])).toBeCloseTo(2, 9);
    expect(exitAlong(a, box(8, 2, 2, 5, 5, 5), [-1, 0, 0])).toBeCloseTo(13, 9);
    expect(exitAlong(a, box(10, 0, 0, 5, 5, 5), [1, 0, 0])).toBe(0);
    // a solid that stands within the other's height never gets out of it level but sideways
    expect(exitAlong(a, box(8, 2, 2, 5, 5, 5), [Math.SQRT1_2, Math.SQRT1_2, 0])).toBeCloseTo(2 * Math.SQRT2, 9);
    const turned = fc.double({ min: 0, max: 360, noNaN: true });
    fc.assert(
      fc.property(turned, turned, fc.double({ min: -8, max: 8, noNaN: true }), (turn, way, x) => {
        const b = solidIn({ x, y: 1, z: 0, turn }, box(-3, -4, 2, 6, 8, 5));
        const d: Vec3 = [Math.cos(way), Math.sin(way), 0];
        const by = exitAlong(a, b, d);
        const moved = solidIn({ x: d[0] * by, y: d[1] * by, z: 0, turn: 0 }, b);
        expect(penetrationDepth(a, moved)).toBeLessThan(1e-6);
        if (by > 0.01) {
          const short = solidIn({ x: d[0] * (by - 0.01), y: d[1] * (by - 0.01), z: 0, turn: 0 }, b);
          expect(penetrationDepth(a, short)).toBeGreaterThan(0);
        }
        expect(cornersOf(moved)).toHaveLength(8);
      }),
      { seed: 43, numRuns: 200 },
    );
  });
});

describe("two structures on the plan", () => {
  it("that touch are no clash; 2 mm nearer they are, and are told to part by 2 mm", () => {
    expect(clash(at(), at({ x: L }))).toBeUndefined();
    const c = clash(at(), at({ x: L - 2 }))!;
    expect(c.move).toEqual([expect.closeTo(2, 6), expect.closeTo(0, 9)]);
    expect(c.pairs).toBeGreaterThan(1);
    expect(c.worst.depth).toBeLessThanOrEqual(2 + 1e-9);
    // the other one is told the other way
    expect(clash(at({ x: L - 2 }), at())!.move).toEqual([expect.closeTo(-2, 6), expect.closeTo(0, 9)]);
  });
  it("part across where that is shorter, and where they are turned with the first", () => {
    expect(clash(at(), at({ y: W - 1.5 }))!.move).toEqual([expect.closeTo(0, 9), expect.closeTo(1.5, 6)]);
    const c = clash(at({ turn: 30 }), at({ x: Math.cos(Math.PI / 6) * (L - 2), y: Math.sin(Math.PI / 6) * (L - 2), turn: 30 }))!; // prettier-ignore
    expect(c.move).toEqual([expect.closeTo(2 * Math.cos(Math.PI / 6), 5), expect.closeTo(1, 5)]);
  });
  it("are clear wherever they were told to go", () => {
    const places = fc.record({ x: fc.integer({ min: -60, max: 60 }), y: fc.integer({ min: -40, max: 40 }), turn: fc.constantFrom(0, 30, 45, 90, 200) }); // prettier-ignore
    fc.assert(
      fc.property(places, (p) => {
        const c = clash(at(), at(p));
        if (c) expect(clash(at(), at({ ...p, x: p.x + c.move[0], y: p.y + c.move[1] }))).toBeUndefined();
      }),
      { seed: 47, numRuns: 12 },
    );
  });
  it("do not meet when one stands on top of the other; lower, it is told how much higher", () => {
    const high = standing(designOf(job(at())))[0]!.max[2];
    expect(clash(at(), at({ z: high }))).toBeUndefined();
    // studs that stand over one another: half a millimetre up is enough
    expect(clash(at(), at({ z: high - 0.5 }))!.lift).toBeCloseTo(0.5, 6);
  });
});

describe("walls that look at each other", () => {
  it("are found with their gap, their stretch and their heights, whichever is asked first", () => {
    const [a, b] = placed(at(), at({ x: L + 0.8, y: mm(feet(4)) }));
    const pairs = wallsIn(a!).flatMap((p) => wallsIn(b!).flatMap((q) => facing(p, q) ?? []));
    const f = pairs.find((p) => p.gap < 10)!;
    expect([f.a.name, f.b.name]).toEqual(["right wall", "left wall"]);
    expect(f.gap).toBeCloseTo(0.8, 6);
    expect(f.to - f.from).toBeCloseTo(mm(feet(12)), 6);
    // the right wall of the first is seen from the right: its left end is at the front, and the shared stretch at its back
    expect(f.to).toBeCloseTo(W, 6);
    const back = wallsIn(b!).flatMap((p) => wallsIn(a!).flatMap((q) => facing(p, q) ?? [])).find((p) => p.gap < 10)!; // prettier-ignore
    expect([back.gap, back.from, back.high - back.low]).toEqual([
      expect.closeTo(0.8, 6),
      expect.closeTo(mm(feet(4)), 6),
      expect.closeTo(f.high - f.low, 9),
    ]);
  });
  it("are none where they look the same way, past each other, or at different heights", () => {
    const [a, b] = placed(at(), at({ x: L + 0.8, y: W + 1 }));
    expect(wallsIn(a!).flatMap((p) => wallsIn(b!).flatMap((q) => facing(p, q) ?? [])).filter((f) => f.gap < 10)).toEqual([]); // prettier-ignore
    const [c, d] = placed(at(), at({ x: L + 0.8, z: mm(feet(40)) }));
    expect(wallsIn(c!).flatMap((p) => wallsIn(d!).flatMap((q) => facing(p, q) ?? []))).toEqual([]);
  });
  it("are as long, as high and as far out as drawn: four walls of a bare shed by hand", () => {
    const [s] = placed(at());
    const walls = wallsIn(s!);
    expect(walls.map((w) => [w.name, w.length.toFixed(4)])).toEqual([
      ["front wall", L.toFixed(4)],
      ["right wall", W.toFixed(4)],
      ["back wall", L.toFixed(4)],
      ["left wall", W.toFixed(4)],
    ]);
    for (const w of walls) {
      // out of the wall by its half from the middle
      expect(w.from[0] * w.out[0] + w.from[1] * w.out[1]).toBeCloseTo(/front|back/.test(w.name) ? W / 2 : L / 2, 6); // prettier-ignore
      expect(w.along[0] * w.out[1] - w.along[1] * w.out[0]).toBeCloseTo(-1, 9);
    }
  });
});

describe("dragging on the plan", () => {
  const walls = (place: PlaceDoc) => wallsAt(planFacts(designOf(job(at())))[0]!.walls, place);
  it("lets a wall touch another that looks at it, and run on in one plane with its neighbour", () => {
    const still = walls(at());
    // 1.2 mm short of touching, 0.7 mm out of line: both are taken out
    const s = snapped(walls(at({ x: L + 1.2, y: 0.7 })), still, 3);
    expect(s).toEqual([expect.closeTo(-1.2, 6), expect.closeTo(-0.7, 6)]);
    // 0.4 mm too far in is pushed out as well
    expect(snapped(walls(at({ x: L - 0.4, y: 9 })), still, 3)).toEqual([expect.closeTo(0.4, 6), expect.closeTo(0, 9)]);
  });
  it("leaves alone what is out of reach, past the other one's corner, or not parallel", () => {
    const still = walls(at());
    expect(snapped(walls(at({ x: L + 4, y: 9 })), still, 3)).toEqual([0, 0]);
    expect(snapped(walls(at({ x: L + 1, y: W + 9 })), still, 3)).toEqual([0, 0]);
    expect(snapped(walls(at({ x: L + 1, y: 9, turn: 5 })), still, 3)).toEqual([0, 0]);
  });
  it("goes by turned walls in their own direction", () => {
    const u: [number, number] = [Math.cos(Math.PI / 6), Math.sin(Math.PI / 6)];
    const s = snapped(walls(at({ x: u[0] * (L + 1), y: u[1] * (L + 1), turn: 30 })), walls(at({ turn: 30 })), 3);
    expect(s).toEqual([expect.closeTo(-u[0], 5), expect.closeTo(-u[1], 5)]);
  });
  it("measures what is clear, the nearest for each way that its walls look", () => {
    const near = clearances(walls(at()), [walls(at({ x: L + 10 })), walls(at({ x: 2 * L + 40 })), walls(at({ y: -W - 6, x: 5 }))]); // prettier-ignore
    expect(near.map((c) => c.gap)).toEqual([expect.closeTo(6, 6), expect.closeTo(10, 6)]);
    const [below, right] = near;
    expect(below!.from).toEqual([expect.closeTo(2.5, 6), expect.closeTo(-W / 2, 6)]);
    expect(right!.to).toEqual([expect.closeTo(L / 2 + 10, 6), expect.closeTo(0, 6)]);
  });
  it("draws what a shed covers: a ring of walls, as wide as they are thick", () => {
    const [f] = planFacts(designOf(job(at())));
    const area = (r: readonly (readonly [number, number])[]): number =>
      r.reduce((n, [x, y], i) => n + x * r[(i + 1) % r.length]![1] - r[(i + 1) % r.length]![0] * y, 0) / 2;
    const [outer, ...holes] = [...f!.silhouette].sort((a, b) => area(b) - area(a));
    expect(area(outer!)).toBeCloseTo(L * W, 3);
    const thick = mm(inches(4));
    expect(holes.map(area).reduce((a, b) => a + b, 0)).toBeCloseTo(-(L - 2 * thick) * (W - 2 * thick), 1);
  });
  it("puts a structure by its middle and its foot, however it is turned about its own origin", () => {
    // a stair before its front, down to the ground: neither its middle nor its foot is at its origin
    const stair = { side: "front", at: feet(12), out: 0, width: feet(4), level: 0, tread: inches(11), riser: inches(8), rail: false }; // prettier-ignore
    const house = { ...BARE, floor: "under", foundation: "piers", groundDepth: feet(4), stairs: [stair] };
    const doc = { ...emptyJob("Yard"), structures: [newStructure("building", "t", "House", house)] };
    const [f] = planFacts(designOf(doc));
    expect(f!.low).toBeCloseTo(-mm(feet(4)), 6);
    expect(f!.middle[1]).toBeLessThan(-mm(feet(1)));
    for (const turn of [0, 37, 90, -120]) {
      const structures = [{ ...doc.structures[0]!, place: placeOf(f!, [40, -25], 3, turn) }];
      const [s] = standing(designOf({ ...doc, structures }));
      expect(s!.min[2]).toBeCloseTo(3, 6);
      const xs = f!.silhouette.flat().map((c) => planPoint(s!.place, c));
      // the middle of its own box, which a turn by quarters keeps a box
      if (turn % 90 === 0)
        for (const [k, at] of [[0, 40], [1, -25]] as const)
          expect((Math.min(...xs.map((c) => c[k])) + Math.max(...xs.map((c) => c[k]))) / 2).toBeCloseTo(at, 6); // prettier-ignore
      expect(planPoint(s!.place, f!.middle)).toEqual([expect.closeTo(40, 9), expect.closeTo(-25, 9)]);
    }
  });
});
