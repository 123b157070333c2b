import { describe, expect, it } from "vitest";
import { birdsmouth } from "../../../carpentry";
import { SQUARE } from "../../../carpentry/framingSquare.fixture";
import { piecesOf } from "../../../frame";
import { dot, polygonArea, type Vec3 } from "../../../geometry";
import { feet, inches } from "../../../units";
import { buildingCheck } from "../judgement/check";
import { cornersOf, FOOT, framed, INCH, sizeOf, span, sum, values, volumeOf, dormer, house } from "../building.fixture";
import { facetsOf, trueShape } from "./facets";
import type { BuildingValues } from "../parameters";

describe("a dormer", () => {
  it("stands on the rafters: feet of its cheeks lie in the plane of the main rafters' tops", () => {
    const { of, at } = framed({ ...house, dormers: [dormer] });
    // the plane through three corners of a rafter's upper side
    const top = at("main/roof/S/1").parts[0]!.faces.find((f) => f.tag === "+v")!.plane;
    const studs = of("stud", /dormer1-(left|right)/);
    expect(studs.length).toBeGreaterThanOrEqual(4);
    for (const k of studs) {
      const low = Math.min(...cornersOf(k).map((c) => dot(c, top.n) - top.d));
      expect(low).toBeCloseTo(0, 6);
    }
  });
  it("leaves its width less the rafters under its cheeks clear, from header to header", () => {
    const { at } = framed({ ...house, dormers: [dormer] });
    const heads = [1, 2].map((n) => at(`main/roof/S/dormer1-header${n}`));
    expect(sizeOf(heads, 0) / INCH).toBeCloseTo(72 - 2 * 2, 6);
    // rafters in it are parted, and each part ends on its header
    const parted = at("main/roof/S/dormer1-header1").id;
    expect(parted).toBeTruthy();
    expect(at("dormer1-front/plate/1")).toBeTruthy();
  });
  it("has a ridge as long as both slopes say, from its front to the main roof", () => {
    const { at, l } = framed({ ...house, dormers: [dormer] });
    const [km, kd] = [9 / 12, 8 / 12];
    // plates are 4 ft over the rafters at the front; the dormer's slope lies `above` over them
    const seat = Math.min(l.wall, ((l.t.rafter.v / 3) * Math.hypot(12, 8)) / 8, (2 * l.plate) / kd);
    const { above } = birdsmouth(8, l.t.rafter.v, seat);
    const deep = (4 * FOOT + above) / km;
    // its top lies under the peak by its half thickness on the slope
    const reach = ((3 * FOOT - l.t.ridge.w / 2) * kd) / km;
    expect(sizeOf([at("dormer1/roof/ridge")], 1)).toBeCloseTo(deep + reach, 6);
  });
  it.each(SQUARE)(
    "at %d in 12 on a roof of that slope has the square's jack differences",
    (rise, _c, _h, at16, at24) => {
      for (const [spacing, difference] of [
        [16, at16],
        [24, at24],
      ] as const) {
        const { of } = framed({
          ...house,
          length: feet(40),
          width: feet(60),
          rise,
          ridge: "2×12",
          rafterSpacing: inches(spacing),
          dormers: [{ ...dormer, at: feet(20), width: feet(16), rise, height: feet(5), windowWidth: 0 }],
        });
        const jacks = of("valley jack", /dormer1\/roof\/S\/jack[12]$/).map((k) => k.member.theoretical!);
        expect(jacks).toHaveLength(2);
        expect(Math.abs((jacks[0]! - jacks[1]!) / INCH - difference)).toBeLessThan(0.0101);
      }
    },
  );
  it("is left out of the main covering, which closes up round it", () => {
    const { l, of } = framed({ ...house, covering: "boards", dormers: [dormer] });
    const boards = of("roof board", /main\/roof\/cover-S\//);
    const facet = trueShape(facetsOf(l, l.main, [])[0]!);
    // its walls take 6 ft along the eave, and in from its front as far as its eaves' planes
    const seat = Math.min(l.wall, ((l.t.rafter.v / 3) * Math.hypot(12, 8)) / 8, (2 * l.plate) / (8 / 12));
    const deep = (4 * FOOT + birdsmouth(8, l.t.rafter.v, seat).above) / (9 / 12);
    const hole = 6 * FOOT * deep * Math.hypot(1, 9 / 12);
    // its last row is cut plumb at the ridge: the upper side reaches further than the lower by thickness · k
    const over = ((l.main.p[1] - l.main.p[0]) * l.t.roofBoard.w * (9 / 12)) / 2;
    const want = (Math.abs(polygonArea(facet.outline)) - hole + over) * l.t.roofBoard.w;
    // and the hole is cut plumb too, as wide below as above
    expect(sum(boards.map(volumeOf)) / want).toBeCloseTo(1, 3);
  });
  it("is refused in a sentence where it has no room", () => {
    const says = (d: Partial<typeof dormer>, over: Partial<BuildingValues> = {}): string =>
      buildingCheck(values({ ...house, dormers: [{ ...dormer, ...d }], ...over } as BuildingValues)).join(" ");
    expect(says({ at: feet(2) })).toMatch(/too near the end of its slope/);
    expect(says({ height: feet(9) })).toMatch(/would reach .* and the ridge is at 13′-0″/);
    expect(says({ windowWidth: feet(5) })).toMatch(/between its corners there is room for/);
    expect(says({ side: "left" })).toMatch(/has no slope; choose a side with an eave/);
    expect(says({}, { roof: "gambrel", upperRise: 4 })).toMatch(/stand on gable, saltbox and shed roofs/);
  });
});

describe("roof trusses", () => {
  const freight: Partial<BuildingValues> = {
    length: feet(44),
    width: feet(24),
    rise: 8,
    rafter: "2×6",
    roofFrame: "trusses",
    trussSpacing: feet(11),
    purlins: 2,
  };
  it("are alike, one mark for each of their sticks, in equal bays as near as the rafters let them", () => {
    const { r, of } = framed(freight);
    const ties = of("tie beam");
    expect(ties).toHaveLength(3);
    ties
      .map((k) => span([k], 0))
      .map(([a, b]) => (a + b) / 2)
      .sort((a, b) => a - b)
      .forEach((x, i) => expect(Math.abs(x - (i - 1) * 11 * FOOT)).toBeLessThan(FOOT * 1.001));
    const marks = (role: string): number =>
      new Set(
        piecesOf(r.sticks)
          .filter((p) => p.role === role)
          .map((p) => p.mark),
      ).size;
    expect(["tie beam", "king post", "principal rafter", "strut"].map(marks)).toEqual([1, 1, 1, 1]);
  });
  it("have king posts from tie to ridge as reckoned by hand", () => {
    const { of, l } = framed(freight);
    // the ridge's top: the slope at half of its thickness from the middle, over the bird's-mouth
    const seat = Math.min(l.wall, ((l.t.rafter.v / 3) * Math.hypot(12, 8)) / 8, (2 * l.plate) / (8 / 12));
    const top = birdsmouth(8, l.t.rafter.v, seat).above + (12 * FOOT - l.t.ridge.w / 2) * (8 / 12);
    for (const k of of("king post")) expect(sizeOf([k], 2)).toBeCloseTo(top - l.t.ridge.v - l.t.tie.v, 6);
  });
  it("carry every rafter on the purlins between them: their tops lie in the rafters' undersides", () => {
    const { of, at } = framed(freight);
    const purlins = of("purlin", /purlin\/S/);
    // two rows, from gable to gable over three trusses
    expect(purlins).toHaveLength(8);
    const under = at("main/roof/S/3").parts[0]!.faces.find((f) => f.tag === "-v")!.plane;
    for (const k of purlins)
      expect(Math.min(...cornersOf(k).map((c) => Math.abs(dot(c, under.n) - under.d)))).toBeCloseTo(0, 6);
    const [a, b] = span(purlins, 0);
    expect(a).toBeLessThan(-21 * FOOT);
    expect(b).toBeGreaterThan(21 * FOOT);
  });
  it("stand on queen posts at a third of the span, a straining beam between their heads", () => {
    const { of, at, l } = framed({ ...freight, roofFrame: "queens", queenAt: 100 / 3 });
    expect(of("king post")).toEqual([]);
    expect(of("queen post")).toHaveLength(6);
    // 24 ft in three: the posts' middles 8 ft in from the walls, as far apart from each other
    const [s, n] = ["S", "N"].map((side) => span([at(`main/roof/truss1/queen-${side}`)], 1));
    expect((s![0] + s![1]) / 2).toBeCloseTo(-4 * FOOT, 6);
    expect((n![0] + n![1]) / 2).toBeCloseTo(4 * FOOT, 6);
    expect(sizeOf([at("main/roof/truss1/straining")], 1)).toBeCloseTo(8 * FOOT - l.t.kingPost.v, 6);
    // the outer corner of a head lies under the rafters: 8 ft less half a post in, at 8 in 12, over the bird's-mouth, the rafter's plumb depth down
    const seat = Math.min(l.wall, ((l.t.rafter.v / 3) * Math.hypot(12, 8)) / 8, (2 * l.plate) / (8 / 12));
    const slope = (x: number): number => l.main.slopes.S!.plate + birdsmouth(8, l.t.rafter.v, seat).above + x * (8 / 12) - (l.t.rafter.v * Math.hypot(12, 8)) / 12; // prettier-ignore
    const beam = at("main/roof/truss1/straining");
    expect(span([beam], 2)[1]).toBeCloseTo(slope(8 * FOOT - l.t.kingPost.v / 2), 6);
    expect(span([at("main/roof/truss1/queen-S")], 2)[1]).toBeCloseTo(slope(8 * FOOT + l.t.kingPost.v / 2), 6);
    // principals end at the posts' outer sides
    expect(span([at("main/roof/truss1/principal-S")], 1)[1]).toBeCloseTo(-4 * FOOT - l.t.kingPost.v / 2, 6);
  });
  it("are refused where their timbers find no room", () => {
    const says = (over: Partial<BuildingValues>): string => buildingCheck(values({ ...freight, ...over })).join(" ");
    expect(says({ rise: 4, width: feet(12) })).toMatch(/need a building .* wide, and it is 12′-0″/);
    expect(says({ rafterSpacing: inches(8) })).toMatch(/space them further apart/);
    expect(says({ collar: "every" })).toMatch(/where collar ties and ceiling joists lie/);
    expect(says({ dormers: [dormer] })).toMatch(/cross the dormers' openings/);
  });
});

describe("a monitor", () => {
  it("has plates as high over the rafters as asked, and its own roof over the opening in the main one", () => {
    const { of, at, l } = framed({
      ...house,
      rafterSpacing: feet(2),
      overhang: feet(1),
      monitor: true,
      monitorWidth: feet(8),
      monitorHeight: feet(4),
      monitorInset: feet(6),
      covering: "boards",
    });
    const s = l.main.slopes.S!;
    const foot = s.plate + s.above + ((26 - 8) / 2) * FOOT * (9 / 12);
    expect(span([at("monitor-front/plate/2")], 2)[1]).toBeCloseTo(foot + 4 * FOOT, 6);
    expect(sizeOf([at("monitor-front/plate/1")], 0)).toBeCloseTo(18 * FOOT, 6);
    // on every rafter that runs under it: 7 ft to both sides of the middle
    expect(of("stud", /monitor-front/)).toHaveLength(8);
  });
});

describe("caps, flashing and eaves", () => {
  it("hip caps of both slopes meet in the plumb plane over the hip", () => {
    const { at } = framed({ roof: "hip", length: feet(20), width: feet(14), covering: "boards", caps: true });
    // the hip at the left front rises along (1, 1) from above
    const m: Vec3 = [Math.SQRT1_2, -Math.SQRT1_2, 0];
    const corner: Vec3 = [-10 * FOOT, -7 * FOOT, 0];
    const off = (id: string): number[] => cornersOf(at(id)).map((c) => dot(c, m) - dot(corner, m));
    expect(Math.min(...off("main/roof/cover-S/cap-left"))).toBeCloseTo(0, 6);
    expect(Math.max(...off("main/roof/cover-W/cap-right"))).toBeCloseTo(0, 6);
  });
  it("a chimney's flashing stands on the edges of its opening, its collar closed round it", () => {
    const { at, of, l } = framed({
      ...house,
      covering: "boards",
      flashing: true,
      flashWidth: inches(6),
      roofHoles: [{ side: "front", at: feet(15), inward: feet(7), width: feet(2), length: feet(3) }],
    });
    const [front, back, left, right] = ["front", "back", "left", "right"].map((x) => at(`main/roof/chimney1/${x}`));
    // clear between them: 2 ft along the eave, 3 ft level
    expect((span([right!], 0)[0] - span([left!], 0)[1]) / FOOT).toBeCloseTo(2, 6);
    expect((span([back!], 1)[0] - span([front!], 1)[1]) / FOOT).toBeCloseTo(3, 6);
    const area =
      (2 * FOOT + 12 * INCH) * (3 * FOOT * Math.hypot(1, 0.75) + 12 * INCH) - 2 * 3 * FOOT ** 2 * Math.hypot(1, 0.75);
    expect(volumeOf(of("flashing collar")[0]!)).toBeCloseTo(area * l.v.flashThick, 6);
  });
  it("rafters are headed off clear of a chimney by exactly its size", () => {
    const { at } = framed({
      ...house,
      roofHoles: [{ side: "front", at: feet(15), inward: feet(7), width: feet(2), length: feet(3) }],
    });
    const [low, high] = [1, 2].map((n) => at(`main/roof/S/chimney1-header${n}`));
    // the nearest corners of their tops, level
    const inward = (k: typeof low): number[] => cornersOf(k!).map((c) => c[1] + 13 * FOOT);
    const top = (k: typeof low): number => Math.max(...cornersOf(k!).map((c) => c[2]));
    expect(Math.max(...inward(low).filter((_, i) => cornersOf(low!)[i]![2] > top(low) - 1e-6)) / FOOT).toBeCloseTo(
      5.5,
      6,
    );
    expect(Math.min(...cornersOf(high!).map((c) => c[2] - ((c[1] + 13 * FOOT) * 9) / 12)) < top(high)).toBe(true);
  });
  it("a soffit lies on the level cuts of the tails, from the cladding to the fascia", () => {
    const { of, l } = framed({ ...house, soffit: true, fascia: "board", overhang: feet(2), siding: "horizontal" });
    const tails = of("common rafter", /main\/roof\/S\//);
    const [lowest] = span(tails, 2);
    for (const k of of("soffit")) {
      expect(span([k], 2)[1]).toBeCloseTo(lowest, 6);
      expect(sizeOf([k], 1)).toBeCloseTo(2 * FOOT - l.t.fascia.w - l.proud, 6);
    }
  });
  it("brackets stand on the cladding under rafters, none further apart than asked and a rafter more", () => {
    const { of, l } = framed({
      ...house,
      overhang: feet(3),
      siding: "horizontal",
      brackets: true,
      bracketReach: feet(2),
      bracketSpacing: feet(6),
      rafterSpacing: feet(2),
    });
    const ups = of("eave bracket", /brackets\/S\d+\/upright/);
    const at = ups.map((k) => span([k], 0)[0]).sort((a, b) => a - b);
    at.slice(1).forEach((x, i) => expect(x - at[i]!).toBeLessThan(8 * FOOT + 1e-6));
    for (const k of ups) expect(span([k], 1)[1]).toBeCloseTo(-13 * FOOT - l.proud, 6);
    for (const k of of("eave bracket", /brackets\/S\d+\/strut/))
      expect(sizeOf([k], 1)).toBeGreaterThan(2 * FOOT - 1e-6);
  });
});
