import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { polygonArea, type Vec2 } from "../../../geometry";
import { feet, inches, prototype, scaleOf } from "../../../units";
import { newRow } from "../../newRow";
import { faultsOf } from "../../sound.fixture";
import { building } from "..";
import { cornersOf, ctx, FOOT, framed, INCH, sizeOf, span, sum, values, volumeOf, dormer } from "../building.fixture";
import { buildsOf } from "../builds";
import { buildingCheck } from "../judgement/check";
import { compressBuilding } from "../compress";
import { buildingFrame } from "../frame";
import { buildingLayout } from "./layout";
import type { BuildingValues } from "../parameters";
import { reachRemarks } from "../judgement/reach";
import { buildingRemarks, carSwing } from "../judgement/remarks";
import { loftFlight } from "../platform/loftFlight";
import { unseenSticks } from "../unseen";

const says = (over: Partial<BuildingValues>): string => buildingCheck(values(over)).join(" ");
const depot: Partial<BuildingValues> = { length: feet(30), width: feet(20), wallHeight: feet(13) };
const bay = { kind: "bay", side: "front", at: feet(9), length: feet(12), depth: feet(3), height: feet(9) };

describe("a bay window", () => {
  it("has three walls mitred with each other at half of the slant, as long as the plan says", () => {
    const { at, r } = framed({ ...depot, wings: [bay] });
    const along = (id: string): number => {
      const k = at(id);
      const xs = cornersOf(k).map((c) => k.axes.u[0] * c[0] + k.axes.u[1] * c[1]);
      return Math.max(...xs) - Math.min(...xs);
    };
    // at 45°: 12 ft less twice 3 ft before, 3 ft · √2 at the sides
    expect(along("wing1-front/sole/1") / FOOT).toBeCloseTo(6, 6);
    expect(along("wing1-left/plate/1") / FOOT).toBeCloseTo(3 * Math.SQRT2, 6);
    // ends of the front's sole lean by 22.5°: 4 in · tan 22.5° shorter inside, on both ends
    const front = at("wing1-front/sole/1");
    const inner = cornersOf(front).filter((c) => c[1] > span([front], 1)[1] - 1e-6);
    const long = Math.max(...inner.map((c) => c[0])) - Math.min(...inner.map((c) => c[0]));
    expect((6 * FOOT - long) / 2).toBeCloseTo(4 * INCH * Math.tan(Math.PI / 8), 6);
    expect(r.byMember.get("t/wing1/roof/hip-left")).toHaveLength(1);
  });
  it("has a floor of its own outline, closed, and a hip as long as the slant and the slope say", () => {
    const { of, l, at } = framed({ ...depot, rise: 6, wings: [bay] });
    // a trapezoid of 12 and 6 ft, 3 ft deep
    const area = ((12 + 6) / 2) * 3 * FOOT ** 2;
    expect(sum(of("plank", /wing1\/floor/).map(volumeOf))).toBeCloseTo(area * l.t.plank.w, 6);
    expect(at("wing1/roof/hip-left").member.theoretical! / FOOT).toBeCloseTo(
      3 * Math.hypot(1, Math.tan(Math.PI / 8), 0.5),
      6,
    );
  });
  it("takes windows as a wing does, in each of its walls, and is refused where it has no room", () => {
    const window = (wall: string, at: number) => ({
      part: 1,
      wall,
      kind: "window",
      at: feet(at),
      width: feet(1.5),
      height: feet(4),
      sill: inches(30),
      mount: "built",
      lap: inches(1),
    });
    const { of } = framed({
      ...depot,
      siding: "clapboard",
      casings: true,
      wings: [bay],
      openings: [window("left", 2.12), window("front", 3), window("right", 2.12)],
    });
    expect(of("window sill", /wing1/)).toHaveLength(3);
    expect(says({ ...depot, wings: [{ ...bay, length: feet(7) }] })).toMatch(/hips of its roof would meet/);
    expect(says({ ...depot, wings: [{ ...bay, height: feet(12) }] })).toMatch(/there is room up to/);
    expect(says({ ...depot, wings: [bay], openings: [{ ...window("back", 3) }] })).toMatch(/has none there/);
  });
});

/** Star-shaped outlines: any number of corners round a middle, some of them turning in. */
const outlines = fc.record({
  n: fc.integer({ min: 3, max: 9 }),
  far: fc.array(fc.double({ min: 0.4, max: 1, noNaN: true }), { minLength: 9, maxLength: 9 }),
  off: fc.array(fc.double({ min: -0.25, max: 0.25, noNaN: true }), { minLength: 9, maxLength: 9 }),
  way: fc.constantFrom("along", "across"),
  spacing: fc.double({ min: 320, max: 650, noNaN: true }),
  longest: fc.double({ min: 1300, max: 5000, noNaN: true }),
});
const SEED = 20261125;
describe(`a floor of any outline (seed ${SEED})`, () => {
  it("is sound, and its planks cover exactly what the outline goes round", () => {
    let count = 0;
    fc.assert(
      fc.property(outlines, (x) => {
        const outline = Array.from({ length: x.n }, (_, k) => {
          const a = (2 * Math.PI * (k + x.off[k]!)) / x.n;
          return {
            x: prototype(3500 + 3500 * x.far[k]! * Math.cos(a)),
            y: prototype(3000 + 3000 * x.far[k]! * Math.sin(a)),
          };
        });
        const v = values({
          framing: "none",
          roof: "none",
          length: prototype(7000),
          width: prototype(6000),
          outline,
          plankWay: x.way,
          joistSpacing: prototype(x.spacing),
          plankLength: prototype(x.longest),
        });
        if (buildingCheck(v).length > 0) return;
        count++;
        const { faults, resolved } = faultsOf(buildingFrame(v, ctx));
        expect(faults).toEqual([]);
        const area = Math.abs(polygonArea(outline.map((c): Vec2 => [c.x / 87.1, c.y / 87.1])));
        const planks = resolved.sticks.filter((k) => k.member.role === "plank");
        expect(sum(planks.map(volumeOf)) / (area * 2 * INCH)).toBeCloseTo(1, 3);
      }),
      { seed: SEED, numRuns: 40, endOnFailure: true },
    );
    expect(count).toBeGreaterThan(30);
  });
  it("gains its corners one by one: the rectangle's, then one more at a time", () => {
    let v = values({ framing: "none", roof: "none" });
    for (let n = 1; n <= 6; n++) {
      v = { ...v, outline: [...v.outline, newRow(building, v, "outline")] } as unknown as BuildingValues;
      expect(buildingCheck(v), `${n}`).toEqual([]);
      expect(faultsOf(buildingFrame(v, ctx)).faults, `${n}`).toEqual([]);
    }
  });
  it("is refused where its corners go round nothing", () => {
    const floor = (points: readonly Vec2[]): string =>
      says({
        framing: "none",
        roof: "none",
        outline: points.map(([x, y]) => ({ x: feet(x), y: feet(y) })),
      });
    const two = values({ framing: "none", roof: "none", outline: [0, 10].map((x) => ({ x: feet(x), y: feet(0) })) });
    expect(buildingCheck(two)).toEqual([]);
    expect(
      buildingRemarks(two)
        .map((r) => r.text)
        .join(),
    ).toMatch(/outline of 2 corners goes round nothing yet/);
    expect(
      floor([
        [0, 0],
        [10, 10],
        [10, 0],
        [0, 10],
      ]),
    ).toMatch(/crosses the one from corner/);
    expect(
      floor([
        [0, 0],
        [30, 0],
        [10, 8],
      ]),
    ).toMatch(/Corner 2 lies outside 24′-0″ by 16′-0″/);
    expect(
      floor([
        [0, 0],
        [20, 0],
        [20, 2],
      ]),
    ).toMatch(/Corner 1 is sharper than 30°/);
  });
});

describe("what a building stands on", () => {
  it("piers reach from the sill beams down to ground that falls both ways", () => {
    const { of, v, l } = framed({
      foundation: "piers",
      groundDepth: feet(4),
      groundFall: 5,
      groundBack: -3,
      pierSpacing: feet(6),
    });
    const piers = of("pier");
    // 24 ft by 6 ft: five to a line, and the span of 16 ft asks for a middle one
    expect(piers).toHaveLength(15);
    for (const k of piers) {
      const [[x0, x1], [y0, y1], [z0, z1]] = [span([k], 0), span([k], 1), span([k], 2)];
      const ground = -4 * FOOT - (((x0 + x1) / 2 + 12 * FOOT) * 5) / 100 + (((y0 + y1) / 2 + 8 * FOOT) * 3) / 100;
      expect(z0).toBeCloseTo(ground, 6);
      // planks, joists and sill beam
      expect(z1).toBeCloseTo(-(2 + 8 + 6) * INCH, 6);
    }
    expect(l.v.groundFall).toBe(v.groundFall);
    expect(says({ foundation: "piers", groundDepth: feet(2), groundFall: -10 })).toMatch(/The ground comes within/);
  });
  it("a platform's planks run over its rims by what is to be trimmed, and as many as its depth takes", () => {
    const { of, l } = framed({
      plankOver: inches(2),
      plankGap: inches(0.25),
      plankLength: feet(60),
      wings: [{ kind: "platform", side: "front", at: feet(-3), length: feet(30), depth: feet(8), height: feet(0) }],
    });
    const planks = of("plank", /platform1/);
    expect(sizeOf(planks, 0)).toBeCloseTo(30 * FOOT + 4 * INCH, 6);
    expect(span(planks, 1)[0]).toBeCloseTo(-(8 + 8) * FOOT - 2 * INCH, 6);
    // 8 ft, 2 in over and less the gap at the wall, in steps of 8 1/4 in
    expect(planks).toHaveLength(Math.ceil((98 * INCH - l.mm(inches(0.25))) / (8.25 * INCH)));
  });
  it("a canopy falls two in twelve from the wall to its edge, on brackets in equal steps", () => {
    const { of, l } = framed({
      ...depot,
      wings: [{ kind: "canopy", side: "front", at: feet(3), length: feet(24), depth: feet(6), height: feet(10) }],
      canopyBracket: feet(8),
    });
    expect(of("bracket", /upright/)).toHaveLength(4);
    const k = of("canopy rafter")[0]!;
    expect(k.axes.u[2] / Math.hypot(k.axes.u[0], k.axes.u[1])).toBeCloseTo(1 / 6, 9);
    expect(span([k], 1)[0]).toBeCloseTo(-10 * FOOT - 6 * FOOT, 6);
    expect(l.proud).toBe(0);
  });
});

describe("walls that begin at levels of their own", () => {
  const shed: Partial<BuildingValues> = { floor: "none", footFront: feet(3), footBack: feet(-1) };
  it("are longer below or shorter above, with a threshold under a door", () => {
    const door = {
      part: 0,
      wall: "front",
      kind: "door",
      at: feet(12),
      width: feet(3),
      height: feet(7),
      sill: feet(0),
      mount: "built",
      lap: inches(1),
    };
    const { of, at } = framed({ ...shed, openings: [door] });
    expect(span(of("sole plate", /front/), 2)[0]).toBeCloseTo(-3 * FOOT, 6);
    expect(span(of("sole plate", /back/), 2)[0]).toBeCloseTo(FOOT, 6);
    expect(of("sole plate", /front/)).toHaveLength(1);
    expect(span([at("front/opening1/sill")], 2)[1]).toBeCloseTo(0, 6);
  });
  it("are refused where a sole lies in a threshold or a wing stands before them", () => {
    expect(says({ ...shed, footFront: inches(2) })).toMatch(/make it 0 or at least/);
    expect(
      says({
        ...shed,
        wings: [{ kind: "lean", side: "front", at: feet(4), length: feet(10), depth: feet(6), height: feet(6) }],
      }),
    ).toMatch(/foot is not level with the floor/);
  });
});

describe("the inside", () => {
  it("a stair leads up to the loft: its last tread a riser under it, inside of the opening", () => {
    const { of, v, at } = framed({
      width: feet(24),
      wallHeight: feet(14),
      loft: true,
      loftHeight: feet(9),
      loftFlight: true,
      loftStairAt: feet(6),
      loftStairIn: feet(8),
      loftStairWidth: feet(3),
      loftStairLength: feet(8),
    });
    const f = loftFlight(v);
    // 108 in in risers of about 8: 13 or 14
    expect([13, 14]).toContain(f.risers);
    const treads = of("tread", /loft-stair/);
    expect(treads).toHaveLength(f.treads);
    expect(span(treads, 2)[1]).toBeCloseTo(9 * FOOT - (9 * FOOT) / f.risers, 6);
    expect(span(treads, 1)[1]).toBeLessThan(-12 * FOOT + 16 * FOOT + 1e-6);
    expect(at("loft-stair/stringer/1")).toBeTruthy();
  });
  it("rows of lining reach to the plates, the last one ripped", () => {
    const { of, l } = framed({ framing: "posts", roof: "none", lined: true, knees: feet(0) });
    const rows = of("lining plank", /front/);
    // 9 ft less a 6 in plate, in planks of 12 in
    expect(rows).toHaveLength(9);
    expect(span(rows, 2)[1]).toBeCloseTo(9 * FOOT - l.plate, 6);
  });
  it("a water table goes round mitred: as long outside as the walls and twice its thickness", () => {
    const { at, l } = framed({ siding: "horizontal", waterTable: true });
    const t = l.t.waterTable.w;
    expect(sizeOf([at("front/water-table/1")], 0)).toBeCloseTo(24 * FOOT + 2 * t, 6);
    expect(sizeOf([at("left/water-table/1")], 1)).toBeCloseTo(16 * FOOT + 2 * t, 6);
  });
});

describe("seen and unseen", () => {
  it("an unseen room leaves its floor, its partition and its own walls as sheets, and says how many sticks that spares", () => {
    const over: Partial<BuildingValues> = {
      partitions: [{ at: feet(10), door: false, doorAt: feet(8), doorWidth: feet(3) }],
      floorBlocking: 1,
    };
    const left = framed({ ...over, unseenRooms: [{ part: 0, room: 1 }] });
    expect(left.r.byMember.get("t/left/sheet")).toHaveLength(1);
    // the front bounds the other room as well
    expect(left.r.byMember.has("t/front/sheet")).toBe(false);
    const both = framed({ ...over, unseenRooms: [1, 2].map((room) => ({ part: 0, room })) });
    for (const id of ["front/sheet", "partition1/sheet", "main/floor/sheet"])
      expect(both.r.byMember.get(`t/${id}`), id).toHaveLength(1);
    const all = framed(over).r.sticks.length;
    expect(unseenSticks(both.v, ctx)).toBe(all - both.r.sticks.length);
    expect(unseenSticks(framed(over).v, ctx)).toBe(0);
    const none = values({ unseenRooms: [{ part: 0, room: 2 }, { part: 3, room: 1 }] }); // prettier-ignore
    expect(framed(none).r.sticks).toHaveLength(framed({}).r.sticks.length);
    const said = buildingRemarks(none).filter((r) => r.param === "unseenRooms");
    expect(said[0]!.text).toMatch(/is room 2, and the main part has 1: nothing is left out for it/);
    expect(said[1]!.text).toMatch(/is room 1, and there is no wing 3/);
    expect(said[0]!.fix!.value).toEqual([{ part: 3, room: 1 }]);
  });
  it("says where neither hand nor brush reaches, and builds last what is left off", () => {
    const inside = (over: Partial<BuildingValues>, scale = "HO"): string =>
      reachRemarks(values({ interior: true, ...over }), scaleOf(scale))
        .map((r) => r.text)
        .join(" ");
    expect(inside({})).toMatch(/neither brush nor hand reaches it: leave the roof or a wall off/);
    // 24 by 16 ft in HO: 84 by 56 mm, a hand goes in
    expect(inside({ leftOff: "roof" })).toBe("");
    // 9 ft high walls in N are 17 mm: a brush goes in, and reaches 110 mm of 24 ft in 1:48
    expect(inside({ leftOff: "left", length: feet(60) }, "HO")).toMatch(
      /a brush reaches 110 mm\. Finish the last \d+ mm/,
    );
    expect(
      inside({ leftOff: "left", partitions: [{ at: feet(12), door: true, doorAt: feet(8), doorWidth: feet(3) }] }),
    ).toMatch(/neither hand nor brush gets into room 2/);
    const l = buildingLayout(values({ interior: true, leftOff: "front" }), ctx);
    const names = buildsOf(l).map((b) => b.name);
    expect(names[names.length - 1]).toMatch(/Front wall.*left off until the inside is done/);
  });
});

describe("a track on a curve", () => {
  const curve = (over: Partial<BuildingValues>) =>
    carSwing(values({ trackCurve: "inside", trackRadius: feet(300), carLength: feet(60), ...over }));
  it("takes what chord geometry says: about B²/8R inside, (L² − B²)/8R outside", () => {
    expect(curve({}) / feet(1)).toBeCloseTo(42 ** 2 / (8 * 300), 2);
    // the ends less the middle, for a car of no width; its width takes some hundredths off that
    const ends = (60 ** 2 - 42 ** 2) / (8 * 300);
    expect(Math.abs(curve({ trackCurve: "outside" }) / feet(1) / ends - 1)).toBeLessThan(0.05);
    expect(curve({ trackCurve: "straight" })).toBe(0);
    // 1 1/2 in for each degree covers a car of 85 ft: common practice in clearance diagrams, from memory
    const degree = { trackRadius: feet(5729.65), carLength: feet(85) };
    for (const trackCurve of ["inside", "outside"] as const) {
      expect(curve({ ...degree, trackCurve })).toBeLessThan(inches(1.5));
      expect(curve({ ...degree, trackCurve })).toBeGreaterThan(inches(0.5));
    }
  });
  it("is told of a platform that clears a straight track and no curved one", () => {
    const dock = {
      track: "front",
      trackOff: feet(14),
      railBelow: feet(4),
      wings: [{ kind: "platform", side: "front", at: feet(0), length: feet(24), depth: feet(8), height: feet(0) }],
    } as unknown as Partial<BuildingValues>;
    const told = (over: Partial<BuildingValues>): string =>
      buildingRemarks(values({ ...dock, ...over }))
        .map((r) => r.text)
        .join(" ");
    expect(told({})).not.toMatch(/track's centre/);
    expect(told({ trackCurve: "inside", trackRadius: feet(300) })).toMatch(/of it because of the curve/);
  });
});

describe("cladding", () => {
  it("that stands proud of a roof without overhang is told, with what would do", () => {
    const told = (over: Partial<BuildingValues>) =>
      buildingRemarks(values({ siding: "horizontal", ...over })).find((r) => r.param === "gableOverhang");
    expect(told({ gableOverhang: feet(0) })?.text).toMatch(/stands 0′-1″ proud of a roof that ends with its gables/);
    expect(told({ gableOverhang: feet(1) })).toBeUndefined();
    expect(told({ gableOverhang: feet(0), roof: "hip" })).toBeUndefined();
  });
});

describe("a building that is made to fit", () => {
  it("keeps its dormers, chimneys and partitions where their walls put them", () => {
    const v = values({
      length: feet(40),
      width: feet(26),
      rise: 9,
      partitions: [{ at: feet(20), door: true, doorAt: feet(8), doorWidth: feet(3) }],
      roofHoles: [{ side: "back", at: feet(20), inward: feet(6), width: feet(2), length: feet(2) }],
    });
    const c = compressBuilding(v, { length: feet(34), depth: 0 });
    expect(buildingCheck(c.values)).toEqual([]);
    const k = c.values.length / v.length;
    expect(c.values.partitions[0]!.at / v.partitions[0]!.at).toBeCloseTo(k, 9);
    expect(c.values.roofHoles[0]!.at / v.roofHoles[0]!.at).toBeCloseTo(k, 9);
    expect(building.check(c.values)).toEqual([]);
    // a dormer too many is given up, and said
    const two = compressBuilding(
      {
        ...v,
        dormers: [10, 30].map((at) => ({
          ...dormer,
          width: feet(5),
          height: feet(3.5),
          rise: 9,
          windowWidth: 0,
          at: feet(at),
        })),
      },
      { length: feet(18), depth: 0 },
    );
    expect(buildingCheck(two.values)).toEqual([]);
    expect(two.values.dormers.length).toBeLessThan(2);
    expect(two.given.join(" ")).toMatch(/The dormer 2: there is no room for it/);
  });
});
