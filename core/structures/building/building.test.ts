import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { rafterTable } from "../../carpentry";
import { SQUARE } from "../../carpentry/framingSquare.fixture";
import { pieceShape, piecesOf, resolve, setting, type ResolvedFrame } from "../../frame";
import { dot, polygonArea } from "../../geometry";
import { feet, inches, scaleOf, toModel, prototype, type Prototype } from "../../units";
import { newRow } from "../newRow";
import { withValue } from "../spec";
import { faultsOf, fullSawn } from "../sound.fixture";
import { ctx, framed, sum, values, volumeOf } from "./building.fixture";
import { building, buildsOf, compressBuilding, facetsOf, footprint, trueShape } from ".";
import { buildingCheck } from "./judgement/check";
import { buildingRemarks } from "./judgement/remarks";
import { buildingFrame } from "./frame";
import { stacksOf } from "./openings/stacks";
import { buildingLayout } from "./plan/layout";
import { onWall } from "./plan/sides";
import { roughOpening } from "./openings/openings";
import type { BuildingValues } from "./parameters";
import { stairOf } from "./platform/stairs";
import { randomBuilding } from "./randomBuilding.fixture";

const theory = (r: ResolvedFrame, id: string): number => r.byMember.get(`t/main/roof/${id}`)![0]!.member.theoretical!;

describe("a framed hip roof", () => {
  const inch = toModel(ctx.scale, inches(1));
  it.each(SQUARE)(
    "at %d in 12 has the framing square's lengths and side cuts",
    (rise, common, hip, at16, at24, jackSide, hipSide) => {
      for (const [spacing, difference] of [
        [16, at16],
        [24, at24],
      ] as const) {
        const { r } = framed({
          roof: "hip",
          length: feet(24),
          width: feet(20),
          rise,
          rafterSpacing: inches(spacing),
          rafter: "2×6",
          hipRafter: "2×12",
          ridge: "2×12",
        });
        // run 10 ft
        expect(Math.abs(theory(r, "S/common1") / inch / 10 - common)).toBeLessThan(0.0101);
        expect(Math.abs(theory(r, "hip-SW") / inch / 10 - hip)).toBeLessThan(0.0101);
        expect(Math.abs((theory(r, "S/jack-W1") - theory(r, "S/jack-W2")) / inch - difference)).toBeLessThan(0.0101);
      }
      const { r } = framed({
        roof: "hip",
        length: feet(24),
        width: feet(20),
        rise,
        hipRafter: "2×12",
        ridge: "2×12",
        backing: "dropped",
      });
      const sideCut = (id: string, from: RegExp): number => {
        const k = r.byMember.get(`t/main/roof/${id}`)![0]!;
        const n = k.cuts.find((c) => c.as === "end1" && from.test(c.from))!.n;
        const top = setting([dot(n, k.axes.u), dot(n, k.axes.v), dot(n, k.axes.w)], 1, "-v");
        return 12 / Math.tan((Math.abs(top.mitre) * Math.PI) / 180);
      };
      expect(sideCut("S/jack-W1", /hip-SW/)).toBeCloseTo(jackSide, 1);
      expect(sideCut("hip-SW", /common/)).toBeCloseTo(hipSide, 1);
    },
  );
  it("is the worked hip roof: walls 12 × 16 ft, a foot of overhang, 6 in 12", () => {
    // by formula: ridge 4 ft, common 7.826 ft from eave edge to ridge line, hip 10.5 ft, sides 86.09 and ends 54.78 sq ft
    const v = values({ roof: "hip", length: feet(16), width: feet(12), overhang: feet(1), rise: 6 });
    const l = buildingLayout(v, ctx);
    const foot = toModel(ctx.scale, feet(1));
    const areas = facetsOf(l, l.main, []).map((f) => {
      const { outline } = trueShape(f);
      return (
        Math.abs(
          outline.reduce(
            (a, p, i) =>
              a + p[0] * outline[(i + 1) % outline.length]![1] - p[1] * outline[(i + 1) % outline.length]![0],
            0,
          ),
        ) /
        2 /
        foot ** 2
      );
    });
    expect(areas).toEqual([
      expect.closeTo(86.09, 2),
      expect.closeTo(54.78, 2),
      expect.closeTo(86.09, 2),
      expect.closeTo(54.78, 2),
    ]);
    expect(areas.reduce((a, b) => a + b)).toBeCloseTo(252 * 1.118, 1);
    const front = trueShape(facetsOf(l, l.main, [])[0]!).outline;
    const ys = front.map((p) => p[1]);
    expect((Math.max(...ys) - Math.min(...ys)) / foot).toBeCloseTo(7.826, 3);
    const top = front.filter((p) => p[1] > Math.max(...ys) - 1e-6).map((p) => p[0]);
    expect((Math.max(...top) - Math.min(...top)) / foot).toBeCloseTo(4, 6);
    expect(Math.hypot(front[0]![0] - Math.min(...top), Math.max(...ys)) / foot).toBeCloseTo(10.5, 2);
  });
  it("backs its hips by 18.43° at 6 in 12: atan(sin φ), tan φ = 6 / 16.97", () => {
    const { r } = framed({ roof: "hip", length: feet(16), width: feet(12), rise: 6 });
    const rips = pieceShape(r.byMember.get("t/main/roof/hip-SW")![0]!).rips;
    for (const p of rips)
      expect(Math.abs((Math.atan2(p.n[2], p.n[1]) * 180) / Math.PI)).toBeCloseTo(rafterTable(6).backing, 2);
    expect(rips).toHaveLength(2);
  });
  it("makes left and right jacks two marks, and commons of both slopes one", () => {
    const { r } = framed({ roof: "hip", length: feet(24), width: feet(16), rafterSpacing: feet(2) });
    const pieces = piecesOf(r.sticks);
    const of = (id: string) => pieces.find((p) => p.sticks.includes(`t/main/roof/${id}`))!;
    expect(of("S/jack-W1").mark).not.toBe(of("S/jack-E1").mark);
    expect(of("S/jack-W1").handOf).toBe(of("S/jack-E1").mark);
    expect(of("S/common2").mark).toBe(of("N/common2").mark);
  });
  it("comes to a point over a square", () => {
    const { r } = framed({ roof: "hip", length: feet(12), width: feet(12) });
    expect(r.sticks.some((s) => s.member.role === "ridge board")).toBe(false);
    const top = Math.max(
      ...["SW", "SE", "NE", "NW"].flatMap((c) =>
        r.byMember
          .get(`t/main/roof/hip-${c}`)![0]!
          .parts.flatMap((p) => p.faces.flatMap((f) => f.corners.map((q) => q[2]))),
      ),
    );
    const l = buildingLayout(values({ roof: "hip", length: feet(12), width: feet(12) }), ctx);
    expect(top).toBeLessThan(l.main.peak[1] + 1e-6);
  });
});

describe("a wing that meets the main roof in valleys", () => {
  const wing = { kind: "gable", side: "back", at: feet(14), length: feet(10), depth: feet(8), height: feet(9) };
  it("has valleys as long as the framing square's hips, and both slopes meet along them", () => {
    const { r } = framed({ length: feet(40), width: feet(20), rise: 8, wings: [wing], covering: "boards" });
    const foot = toModel(ctx.scale, feet(1));
    // 18.76 to the foot of run: 5 ft under the wing's ridge, 10 ft to the main one
    expect((r.byMember.get("t/wing1/roof/valley-short")![0]!.member.theoretical! / foot) * 12).toBeCloseTo(
      5 * 18.76,
      0,
    );
    expect((r.byMember.get("t/wing1/roof/valley-long")![0]!.member.theoretical! / foot) * 12).toBeCloseTo(
      10 * 18.76,
      0,
    );
    expect(r.sticks.filter((s) => s.member.role === "valley jack").length).toBeGreaterThan(8);
  });
  it("stands sound wherever its stations fall: one in the middle, one where the long valley meets the ridge", () => {
    for (const at of [13, 14, 14.5, 15])
      framed({
        length: feet(40),
        width: feet(20),
        rise: 8,
        wings: [{ ...wing, side: "front", at: feet(at), length: feet(12) }],
      });
  });
  it("at another height ends against the wall", () => {
    const low = { ...wing, height: feet(7.5), kind: "lean", depth: feet(5) };
    const v = values({ length: feet(40), width: feet(20), rise: 3, wallHeight: feet(12), wings: [low] });
    expect(buildingCheck(v)).toEqual([]);
    expect(faultsOf(buildingFrame(v, ctx)).faults).toEqual([]);
  });
});

describe("openings", () => {
  const casting = {
    part: 0,
    wall: "front",
    kind: "window",
    at: 100 as Prototype,
    width: 36 as Prototype,
    height: 60 as Prototype,
    sill: 30 as Prototype,
    lap: 3 as Prototype,
  };
  // by hand: what goes into the wall is the body within the flange; from behind the frame shows within its rebate; a jamb stands outside of the clear opening
  it.each([
    ["flange", 36 - 6 + 0.2, 33 - 0.1, 87 + 0.1],
    ["behind", 36 - 6, 33, 87],
    ["inside", 36 + 0.2, 29.9, 90.1],
    ["built", 36 + 6 + 0.2, 27 - 0.1, 93.1],
  ])("mounted %s leave the rough opening that the casting needs", (mount, width, sill, head) => {
    const r = roughOpening({ ...casting, mount }, 0.1);
    expect([r.width, r.sill, r.head]).toEqual([
      expect.closeTo(width, 9),
      expect.closeTo(sill, 9),
      expect.closeTo(head, 9),
    ]);
  });
  it("a door's stands on the floor", () => {
    expect(roughOpening({ ...casting, kind: "door", sill: 0 as Prototype, mount: "inside" }, 0.1)).toMatchObject({
      sill: 0,
      head: expect.closeTo(60.1, 9) as number,
    });
  });
});

describe("what cannot be, and what is unusual", () => {
  const says = (over: Partial<BuildingValues>): string => buildingCheck(values(over)).join(" ");
  const door = {
    part: 0,
    wall: "front",
    kind: "door",
    at: feet(1),
    width: feet(3),
    height: feet(7),
    sill: feet(0),
    mount: "inside",
    lap: feet(0),
  };
  it("is said with what was read and what would do", () => {
    expect(says({ openings: [door] })).toMatch(
      /^Opening 1 in the front wall reaches from .* between the corners there is room from/,
    );
    expect(says({ openings: [{ ...door, at: feet(8), height: feet(10) }] })).toMatch(
      /under its header and the plate there is room up to/,
    );
    expect(says({ roof: "hip", length: feet(16), width: feet(15.9) })).toMatch(
      /The ridge would be only .* square for a point/,
    );
    expect(says({ roof: "gambrel", rise: 6, upperRise: 8 })).toMatch(/upper slope is the flatter one/);
    expect(says({ fascia: "board", overhang: feet(0) })).toMatch(/leaves no tail behind a fascia/);
    expect(says({ stud: "2y4" })).toMatch(/“2y4”, which is no nominal size/);
  });
  const remarks = (over: Partial<BuildingValues>): string =>
    buildingRemarks(values(over))
      .map((r) => r.text)
      .join(" ");
  it("is remarked on: low doors, thin corner posts, strips, steep stairs", () => {
    expect(remarks({ openings: [{ ...door, at: feet(8), height: feet(6) }] })).toMatch(
      /Door 1 is 6′-0″ high; people need 6′-8″/,
    );
    expect(remarks({ corner: "solid", stud: "2×6", cornerPost: "4×4" })).toMatch(
      /corner posts are 0′-4″ deep and the wall 0′-6″/,
    );
    expect(remarks({ siding: "vertical", sidingBoard: "1×8", cornerBoards: false, length: feet(20, 3) })).toMatch(
      /a good wall ends on a full board/,
    );
    // IRC R311.7.5: riser at most 7 3/4 in
    expect(
      remarks({
        stairs: [
          {
            side: "front",
            at: feet(6),
            out: feet(0),
            width: feet(4),
            level: feet(0),
            tread: inches(9),
            riser: inches(9),
            rail: true,
          },
        ],
      }),
    ).toMatch(/higher than the 7\.75 in/);
    expect(remarks({ framing: "posts", bay: feet(8), openings: [{ ...door, at: feet(12), width: feet(9) }] })).toMatch(
      /a post is left out for it/,
    );
  });
  it("a row that goes in is offered for each table", () => {
    const v = values({});
    for (const path of ["openings", "wings", "partitions", "stairs", "unseenRooms"]) {
      const row = newRow(building, v, path);
      expect(buildingCheck(withValue(v, path, [row]) as BuildingValues), path).toEqual([]);
    }
  });
});

describe("stairs", () => {
  it("down a hill steeper than they are end in a sentence at once, not in millions of treads", () => {
    const row = { side: "back", at: feet(6), width: feet(3), level: 0, out: 0, riser: inches(3), tread: inches(24), rail: false } as const; // prettier-ignore
    const v = values({ stairs: [row], groundDepth: feet(2), groundBack: 40, foundation: "posts" });
    const start = performance.now();
    expect(() => buildingFrame(v, ctx)).toThrow(/^Stair on the back: the ground falls away faster than its treads go down, so its foot stands nowhere/); // prettier-ignore
    expect(performance.now() - start).toBeLessThan(5000);
  });
  it("land exactly: the last tread is a riser under the level, its stringers end at the landing", () => {
    const row = {
      side: "front",
      at: feet(8),
      out: feet(0),
      width: feet(4),
      level: feet(0),
      tread: inches(11),
      riser: inches(7),
      rail: true,
    };
    const { v, r } = framed({ stairs: [row], groundDepth: feet(4, 1), foundation: "posts" });
    const l = buildingLayout(v, ctx);
    const s = stairOf(l, row);
    // by hand: 49 in in seven risers of 7 in, six treads of 11 in, a run of 66 in
    expect(s.flight).toMatchObject({ risers: 7, treads: 6 });
    expect(s.flight.run).toBeCloseTo(inches(66), 6);
    const treads = r.sticks.filter((k) => k.member.role === "tread");
    const tops = treads
      .map((k) => Math.max(...k.parts.flatMap((p) => p.faces.flatMap((f) => f.corners.map((c) => c[2])))))
      .sort((a, b) => a - b);
    tops.forEach((z, i) => expect(z).toBeCloseTo(toModel(ctx.scale, prototype(inches(-49) + (i + 1) * inches(7))), 6));
  });
});

describe("a stair's railing", () => {
  // [feet and inches to the ground, treads, posts to a side]: 6 in risers and 12 in treads are 13.4 in along the flight
  it.each([
    [feet(2), 3, 2],
    [feet(3), 5, 2],
    [feet(6), 11, 3],
    [feet(9), 17, 4],
  ] as const)("of a flight of %i mm has a post at each end and none further apart than 6 ft", (deep, treads, posts) => {
    const row = { side: "front", at: feet(8), out: feet(0), width: feet(4), level: feet(0), tread: inches(12), riser: inches(6), rail: true } as const; // prettier-ignore
    const { of } = framed({ stairs: [row], groundDepth: deep, foundation: "posts" });
    expect(of("tread")).toHaveLength(treads);
    // by hand: the whole number of bays of at most 72 in that the run between the outer treads parts into, and one more
    expect(Math.ceil(((treads - 1) * Math.hypot(6, 12)) / 72) + 1).toBe(posts);
    expect(of("rail post")).toHaveLength(2 * posts);
    expect(of("railing")).toHaveLength(2);
  });
});

describe("fitting into the spot", () => {
  const v = values({
    length: feet(40),
    width: feet(20),
    framing: "posts",
    bay: feet(10),
    roof: "gable",
    overhang: feet(1),
    gableOverhang: feet(1),
    openings: [5, 15, 25, 35].map((at) => ({
      part: 0,
      wall: "front",
      kind: "door",
      at: feet(at),
      width: feet(6),
      height: feet(7),
      sill: feet(0),
      mount: "built",
      lap: inches(2),
    })),
  });
  it("drops whole bays, keeps doors and lumber, and says what was given up", () => {
    const made = compressBuilding(v, { length: feet(33), depth: feet(0) });
    expect(made.values.length).toBe(feet(30));
    expect(made.fits).toBe(true);
    expect(footprint(made.values).length).toBeLessThanOrEqual(feet(33));
    expect(made.given[0]).toBe("1 bay of the length: 40′-0″ became 30′-0″, 75 % of it.");
    expect(buildingCheck(made.values)).toEqual([]);
    for (const o of made.values.openings) expect([o.width, o.height]).toEqual([feet(6), feet(7)]);
    expect(made.values.openings.length + made.given.filter((g) => g.startsWith("The door")).length).toBe(4);
    expect(made.values.post).toBe(v.post);
  });
  it("leaves alone what fits, and owns up where nothing serves", () => {
    expect(compressBuilding(v, { length: feet(60), depth: feet(40) }).given).toEqual([]);
    expect(compressBuilding(v, { length: feet(5), depth: feet(0) }).given.at(-1)).toMatch(/^It still takes/);
  });
});

const SEED = 20261125;
describe("a floor alone", () => {
  it("is framed without walls and roof whatever was asked of them before, and keeps its platforms", () => {
    const platform = { kind: "platform", side: "front", at: 0, length: feet(10), depth: feet(5), height: 0 };
    const lean = { ...platform, kind: "lean", height: feet(6), side: "back" };
    const v = {
      ...building.initial(),
      framing: "none",
      roof: "hip",
      wings: [lean, platform],
      floor: "none",
      loft: true,
    };
    expect(building.check(v, ctx)).toEqual([]);
    const { faults, resolved } = faultsOf(building.frame(v, ctx));
    expect(faults).toEqual([]);
    const roles = new Set(resolved.sticks.map((k) => k.member.role));
    for (const role of ["stud", "common rafter", "top plate", "casing"]) expect(roles.has(role), role).toBe(false);
    expect(resolved.sticks.filter((k) => k.member.role === "plank").length).toBeGreaterThan(20);
    expect(resolved.sticks.some((k) => k.id.startsWith("t/platform"))).toBe(true);
  });
});

describe(`any building (seed ${SEED})`, () => {
  it("stands sound, its studs and openings where a formula of its own says", { timeout: 180_000 }, () => {
    let [floors, roofs] = [0, 0];
    let count = 0;
    const contexts = ["HO", "N", "O"].map((s) => fullSawn(scaleOf(s)));
    fc.assert(
      fc.property(randomBuilding, fc.constantFrom(...contexts), (v, context) => {
        if (buildingCheck(v).length > 0) return;
        count++;
        const { faults, resolved } = faultsOf(buildingFrame(v, context));
        expect(faults).toEqual([]);
        const l = buildingLayout(v, context);
        const mm = (x: number): number => toModel(context.scale, prototype(x));
        for (const w of l.main.walls.filter((x) => x.seen && v.framing === "studs")) {
          const along = (p: readonly number[]): number =>
            (p[0]! - w.origin[0]) * w.e[0] + (p[1]! - w.origin[1]) * w.e[1];
          const studs = resolved.sticks
            .filter((k) => k.id.startsWith(`t/${w.name}/stud/`))
            .map((k) => along(k.axes.origin));
          // every plain stud stands a whole number of spaces from the end it is laid out from
          const from = v.studFrom === "left" ? 0 : v.studFrom === "right" ? w.length : w.length / 2;
          for (const s of studs) {
            const n = (s - from) / mm(v.studSpacing);
            expect(Math.abs(n - Math.round(n))).toBeLessThan(1e-6);
          }
          // each opening is as wide as its casting needs between what frames it, and stands where it was put
          for (const [i, o] of v.openings.entries()) {
            if (o.wall !== w.name || o.part !== 0) continue;
            const at = `t/${w.name}/opening${i + 1}/${v.openingFrame === "jacks" ? "jack" : "king"}`;
            const [left, right] = ["left", "right"].map((side) => resolved.byMember.get(`${at}/${side}`)?.[0]);
            // without jacks one over another has sides of its own, or stands between the other's
            if (stacksOf(l, w).find((x) => x.gaps.some((g) => g.name === `opening${i + 1}`))!.gaps.length > 1 && v.openingFrame !== "jacks") continue; // prettier-ignore
            const half = left!.size[1] / 2;
            const [a, b] = [along(left!.axes.origin) + half, along(right!.axes.origin) - half];
            const grow =
              o.mount === "flange"
                ? -mm(o.lap) + v.fit
                : o.mount === "behind"
                  ? -mm(o.lap)
                  : o.mount === "inside"
                    ? v.fit
                    : mm(o.lap) + v.fit;
            expect(b - a).toBeCloseTo(mm(o.width) + 2 * grow, 6);
            expect((a + b) / 2).toBeCloseTo(mm(o.at), 6);
          }
        }
        // floors and slopes close up: what covers them comes to their area, but for strips too thin to lay
        const covers = (within: RegExp, area: number, thick: number, least: number): void => {
          const volume = sum(resolved.sticks.filter((k) => within.test(k.id)).map(volumeOf));
          expect(volume).toBeLessThan(area * thick * 1.0005);
          expect(volume).toBeGreaterThan((area - least) * thick * 0.9995);
        };
        const [long, wide] = [mm(v.length), mm(v.width)];
        if (v.floor === "under" && v.plankGap === 0 && resolved.byMember.has("t/main/floor/plank/1-1")) {
          floors++;
          covers(/main\/floor\/plank\//, long * wide, l.t.plank.w, 0.1 * Math.max(long, wide));
        }
        const plain = v.roofHoles.length + v.dormers.length === 0 && !v.monitor && !l.parts.some((p) => p.valley);
        if (v.roof === "gable" && v.covering === "boards" && v.seenRoof && plain) {
          roofs++;
          const f = facetsOf(l, l.main, [])[0]!;
          const { outline } = trueShape(f);
          const run = Math.max(...outline.map((p) => p[0])) - Math.min(...outline.map((p) => p[0]));
          // cut plumb at the ridge, the upper side reaches thickness · k further than the lower
          const over = (run * l.t.roofBoard.w * f.slope.k) / 2;
          covers(
            /main\/roof\/cover-S\/board/,
            Math.abs(polygonArea(outline)) + over,
            l.t.roofBoard.w,
            0.26 * run + over,
          );
        }
        // walls close up at their corners: an end wall's plates run from face to face of the long walls'
        for (const w of l.main.walls.filter((x) => !x.through)) {
          const plate = resolved.byMember.get(`t/${w.name}/plate/1`)![0]!;
          const us = plate.parts.flatMap((p) =>
            p.faces.flatMap((f) => f.corners.map((c) => dot(c, w.e) - dot(onWall(w, 0, 0, 0), w.e))),
          );
          expect(Math.min(...us)).toBeCloseTo(l.wall, 6);
          expect(Math.max(...us)).toBeCloseTo(w.length - l.wall, 6);
        }
      }),
      { seed: SEED, numRuns: 60, endOnFailure: true },
    );
    expect(count).toBeGreaterThan(30);
    expect(Math.min(floors, roofs)).toBeGreaterThan(0);
  });
  it("is built in parts that between them have every stick of its walls", () => {
    const { v, r } = framed({ roof: "gable", siding: "vertical", covering: "boards" });
    const builds = buildsOf(buildingLayout(v, ctx));
    const left = r.sticks.filter((s) => /^t\/(front|right|back|left)\//.test(s.id) && !builds.some((b) => b.has(s)));
    expect(left.map((s) => s.id)).toEqual([]);
  });
});

describe("a stand", () => {
  it.each([
    ["an ore bin", "Ore bin"],
    ["a tank's", "Water-tank stand"],
    ["a freight house", "Freight house"],
    ["a shed", "Shed"],
    ["a tool house", "Tool house"],
    ["a house with a bay and dormers", "Section house"],
    ["a shop on trusses", "Shop on roof trusses"],
  ])("%s starts sound", (_, name) => {
    const v = values(building.starts!.find((s) => s.name === name)!.params as Partial<BuildingValues>);
    expect(buildingCheck(v)).toEqual([]);
    expect(faultsOf(buildingFrame(v, ctx)).faults).toEqual([]);
  });
  it("an unseen wall keeps plates and corners and gets a sheet", () => {
    const seen = resolve(buildingFrame(values({}), ctx)).sticks.length;
    const { r } = framed({ seenBack: false });
    expect(r.sticks.length).toBeLessThan(seen - 10);
    expect(r.byMember.get("t/back/sheet")).toHaveLength(1);
  });
});
