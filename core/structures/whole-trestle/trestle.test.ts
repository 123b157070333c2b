import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pieceShape, resolve, workLength } from "../../frame";
import { add, distance, dot, scale, sub, type Vec3 } from "../../geometry";
import { feet, inches, model, toPrototype } from "../../units";
import { reach } from "../golden.fixture";
import { defaultsOf } from "../spec";
import { contextOf, type Bench } from "../fromSpec.fixture";
import { faultsOf, fullSawn } from "../sound.fixture";
import { chordOf, degreeOfRadius, middleOrdinate, placeAt, radiusOfDegree } from "./alignment";
import { trestleCheck } from "./check";
import { trestleFrame } from "./frame";
import { stationsOf, storyLines, trestleLayout } from "./layout";
import { trestleSpec, type TrestleValues } from "./parameters";
import { printProfile, profileFromDrawing, readProfile, stationAt } from "./profile";
import { randomTrestle } from "./randomTrestle.fixture";
import { tieStations } from "./ties";

const ctx = fullSawn();
const values = (v: Partial<Record<keyof TrestleValues, unknown>>): TrestleValues =>
  ({ ...defaultsOf(trestleSpec), ...v }) as TrestleValues;
const level = { groundBy: "heights", heights: [feet(20)], length: feet(60) };
const curved = { ...level, curve: "model", modelRadius: 600 };

describe("alignment", () => {
  it("has the published radii of degrees of curve, by the chord definition", () => {
    // R = 50 / sin(D/2): tables of every railroad surveying handbook
    for (const [d, r] of [
      [1, 5729.65],
      [5, 1146.28],
      [10, 573.69],
      [15, 383.06],
      [20, 287.94],
    ] as const) {
      expect(radiusOfDegree(d)).toBeCloseTo(r, 2);
      expect(degreeOfRadius(r)).toBeCloseTo(d, 3);
    }
    // a 62 ft chord: the middle ordinate in inches is about the degree (handbook rule)
    for (const d of [2, 6, 10]) {
      const R = radiusOfDegree(d);
      expect(Math.abs(12 * middleOrdinate(R, 2 * Math.asin(31 / R)) - d)).toBeLessThan(0.07 * d);
    }
  });
  it("places a tangent, a curve and a tangent, and turns by length over radius", () => {
    const a = { length: 300, curve: [50, 250] as const, curvature: 1 / 400, grade: 0.02 };
    const [p, q] = [placeAt(a, 0), placeAt(a, 300)];
    expect(q.heading - p.heading).toBeCloseTo(0.5, 12);
    // closed form: both tangents, and the chord of the curve
    expect(distance(placeAt(a, 50).at, scale(add(placeAt(a, 50).at, [0, 0, 0]), 1))).toBe(0);
    const [b, c] = [placeAt(a, 50).at, placeAt(a, 250).at];
    expect(Math.hypot(c[0] - b[0], c[1] - b[1])).toBeCloseTo(chordOf(400, 0.5), 9);
    expect(q.at[2]).toBeCloseTo(6, 12);
    expect(placeAt(a, 150).at[0]).toBeCloseTo(0, 12);
  });
});

describe("the lowest wood of a bent", () => {
  const benches: readonly Bench[] = [
    { scale: "HO", milling: "dressed", series: ["scale"] },
    { scale: "O", milling: "full-sawn", series: ["inch"] },
    { scale: "N", milling: "dressed", series: ["metric", "styrene"] },
  ];
  for (const bench of benches)
    for (const over of [
      { footing: "mudsill" },
      { footing: "none" },
      { footing: "pedestal" },
      { bentKind: "pile", pileSize: "12×12" },
    ])
      // prettier-ignore
      it(`lies on the ground line in ${bench.scale} ${bench.milling} ${bench.series.join()}: ${JSON.stringify(over)}`, () => {
        const v = values({ groundBy: "profile", profile: [[0, -feet(18)], [feet(60), -feet(31.7)]], length: feet(60), ...over }); // prettier-ignore
        const context = contextOf(bench);
        const l = trestleLayout(v, context);
        const r = resolve(trestleFrame(v, context));
        for (const at of l.bents) {
          const own = r.sticks.filter((k) => k.id.startsWith(`s/bent${at.number}/`) || k.id.startsWith(`t/bent${at.number}/`)); // prettier-ignore
          const lowest = Math.min(...own.flatMap((k) => k.parts.flatMap((p) => p.faces.flatMap((f) => f.corners.map((c) => c[2]))))); // prettier-ignore
          expect(own.length).toBeGreaterThan(4);
          expect(lowest).toBeCloseTo(at.groundZ, 4);
        }
      });
});

describe("a curved trestle against its closed forms", () => {
  it("has radial bents, and longer chords outside than inside", () => {
    const v = values(curved);
    const l = trestleLayout(v, ctx);
    const bay = l.mm(feet(15));
    const [inner, outer] = [1, -1].map((side) => l.packs.find((p) => p.side === side)!);
    const r = resolve(trestleFrame(v, ctx));
    l.bents.slice(1).forEach((b, i) => {
      expect(b.place.heading - l.bents[i]!.place.heading).toBeCloseTo(bay / 600, 12);
      // each bent lies on its radius
      const centre: Vec3 = add(b.place.at, scale(b.place.left, 600));
      const first: Vec3 = add(l.bents[0]!.place.at, scale(l.bents[0]!.place.left, 600));
      expect(distance(centre, first)).toBeLessThan(1e-9);
    });
    for (const pack of [inner!, outer!]) {
      const stick = r.byMember.get(`t/stringer/${pack.name}/ply2/from2`)![0]!;
      // C = 2·R·sin(θ/2) at the pack's own radius
      expect(workLength(stick.member)).toBeCloseTo(chordOf(600 - pack.y, bay / 600), 9);
    }
    expect(inner!.y).toBeGreaterThan(0);
  });
  it("bends plies whose blanks are as long as their own arc, on a grade as the helix is", () => {
    for (const grade of [0, 3]) {
      const v = values({ ...curved, grade, stringerSet: "laminated", laminations: 4, plyBays: 2 });
      const l = trestleLayout(v, ctx);
      const r = resolve(trestleFrame(v, ctx));
      const pack = l.packs[0]!;
      for (let k = 0; k < 4; k++) {
        const y = pack.y + (k - 1.5) * l.strip.v;
        // a ply that spans two bays between inner joints: √((R·θ)² + rise²)
        const stick =
          [...r.sticks].find(
            (s) => s.member.role === "stringer" && s.id.startsWith(`t/stringer/${pack.name}/ply${k + 1}/from2`),
          ) ?? r.byMember.get(`t/stringer/${pack.name}/ply${k + 1}/from3`)?.[0];
        if (!stick || stick.id.endsWith("from1")) continue;
        const from = Number(/from(\d+)$/.exec(stick.id)![1]) - 1;
        const next = r.sticks
          .map((s) => Number(new RegExp(`^t/stringer/${pack.name}/ply${k + 1}/from(\\d+)$`).exec(s.id)?.[1] ?? 0) - 1)
          .filter((i) => i > from);
        if (next.length === 0) continue;
        const run = l.bents[Math.min(...next)]!.station - l.bents[from]!.station;
        const [flat, rise] = [(run / 600) * (600 - y), (run * grade) / 100];
        const helix = Math.hypot(flat, rise);
        const shape = pieceShape(stick);
        // its edges are the helix; plumb ends lean against it by the grade, so that its tips lie the depth's share further apart
        expect(shape.longPoint).toBeCloseTo(helix, 6);
        expect(shape.shortPoint).toBeCloseTo(helix, 6);
        expect(shape.overall).toBeCloseTo(helix + (Math.max(...shape.section) * rise) / helix, 3);
        for (const cuts of shape.ends)
          expect(Math.abs(cuts[0]!.mitre)).toBeCloseTo((Math.atan2(rise, flat) * 180) / Math.PI, 4);
      }
    }
  });
  it("puts superelevation across and grade along at once", () => {
    const v = values({ ...curved, grade: 2.5, superelevation: inches(6) });
    const l = trestleLayout(v, ctx);
    const rail = l.mm(v.gauge + inches(2.5));
    for (const b of l.bents) {
      expect(b.deck[2]).toBeCloseTo(0.025 * b.station, 12);
      const [right, left] = l.packs.map((p) => add(b.deck, scale(b.across, p.y)));
      // a curve to the left: the right rail lies higher by the superelevation, and the gauge is kept
      expect(right![2] - left![2]).toBeCloseTo(l.mm(inches(6)), 9);
      expect(distance(right!, left!)).toBeCloseTo(rail, 9);
    }
    expect(faultsOf(trestleFrame(v, ctx)).faults).toEqual([]);
    expect(faultsOf(trestleFrame({ ...v, superBy: "shims" } as TrestleValues, ctx)).faults).toEqual([]);
  });
});

describe("bents to the ground", () => {
  it("stand at their spacing, the last bay taking the rest, and as high as the profile says", () => {
    const v = values({
      length: feet(100),
      spacing: feet(15),
      profile: [
        [0, -feet(14)],
        [feet(100), -feet(24)],
      ],
      footing: "pedestal",
      pedestalLeast: feet(1),
    });
    expect(stationsOf(v).map((s) => s / feet(1))).toEqual(
      [0, 15, 30, 45, 60, 75, 90, 100].map((n) => expect.closeTo(n, 9)),
    );
    const l = trestleLayout(v, ctx);
    for (const b of l.bents) {
      const station = toPrototype(ctx.scale, model(b.station));
      // rail to cap: tie 8 in and stringer 16 in; ground to sill: a foot of pedestal
      const ground = -feet(14) - (feet(10) * station) / feet(100);
      expect(b.values.height).toBeCloseTo(-ground - inches(24) - feet(1), 6);
      expect(b.values.stories).toBe(storyLines(v, b.values.height).length + 1);
    }
  });
  it("gives the ground to build where heights are chosen", () => {
    const l = trestleLayout(values({ ...level, heights: [feet(10), feet(30)], footing: "mudsill" }), ctx);
    expect(l.bents.map((b) => Math.round(b.values.height / feet(1)))).toEqual([10, 30, 30, 30, 30]);
    for (const b of l.bents) expect(b.groundZ).toBeCloseTo(b.cap[2] - l.mm(b.values.height) - l.mm(inches(12)), 9);
  });
  it("makes few lengths of the lowest sway braces", () => {
    const slope = {
      profile: [
        [0, -feet(20)],
        [feet(180), -feet(33)],
      ],
      length: feet(180),
      topStory: feet(14),
    };
    const lengths = (step: number): number => {
      const r = resolve(trestleFrame(values({ ...slope, swayStep: step }), ctx));
      return new Set(
        r.sticks.filter((s) => s.member.role === "sway brace").map((s) => pieceShape(s).overall.toFixed(2)),
      ).size;
    };
    expect(lengths(feet(2))).toBeLessThan(0.75 * lengths(0));
  });
  it("reads a profile as it is pasted, in any notation, and says what it could not read", () => {
    const read = (t: string) => readProfile(t, "ft");
    expect(read("Station,Height\n0,-6\n45,-20'6\n30;-14\t")).toMatchObject({ ok: true });
    const p = read("0\t-6\r\n45\t−20' 6\"\n30\t-14");
    expect(p.ok && p.points.map((q) => q.map((n) => Number((n / 304.8).toFixed(9))))).toEqual([
      [0, -6],
      [30, -14],
      [45, -20.5],
    ]);
    expect(read("0,-6\nten,-20")).toEqual({
      ok: false,
      error: "Line 2 reads “ten,-20”; write a station and a height with a comma or a tab between, such as 45, -20.",
    });
    expect(read("  ")).toMatchObject({ ok: false });
    const again = p.ok ? readProfile(printProfile(p.points, "ft"), "ft") : p;
    expect(again.ok && printProfile(again.points, "ft")).toBe("0, -6\n30, -14\n45, -20.5");
    expect(
      profileFromDrawing([
        [100, 50],
        [100, 40],
        [160, 20],
      ]),
    ).toEqual([
      [0, -10],
      [60, -30],
    ]);
  });
  it("finds the station under a point of the side elevation", () => {
    const l = trestleLayout(values(curved), ctx);
    for (const s of [0, 37, 120, 200]) expect(stationAt(l, placeAt(l.alignment, s).at[0], 1)).toBeCloseTo(s, 6);
  });
  it("refuses what cannot be with a sentence that says what would do", () => {
    const says = (v: Partial<Record<keyof TrestleValues, unknown>>): string => trestleCheck(values(v)).join(" ");
    expect(says({ profile: [[0, -feet(4)]] })).toMatch(
      /^Bent 1 would be .* high; the least is 3′-2″\. Lower the ground there/,
    );
    expect(says({ superelevation: inches(4) })).toMatch(/Straight track has no outer rail/);
    expect(says({ curve: "radius", radius: feet(60), spacing: feet(36) })).toMatch(/too sharp for bays of 36′-0″/);
    expect(says({ profile: [] })).toMatch(/The ground has no points/);
    expect(says({ tie: "8x" })).toMatch(/no nominal size/);
  });
});

const SEED = 20260904;
describe(`any trestle (seed ${SEED})`, () => {
  it("stands sound, its bents where the alignment says", { timeout: 120_000 }, () => {
    let framed = 0;
    fc.assert(
      fc.property(randomTrestle, (v) => {
        if (trestleCheck(v).length > 0) return;
        framed++;
        const { faults, resolved } = faultsOf(trestleFrame(v, ctx));
        expect(faults).toEqual([]);
        const l = trestleLayout(v, ctx);
        // independent of the layout: each cap's middle lies over the alignment, on the bent's own plane
        for (const b of l.bents) {
          const cap = resolved.byMember.get(`t/bent${b.number}/cap`)![0]!.member.body;
          if (cap.shape !== "straight") throw new Error("a cap is straight");
          const mid = scale(add(cap.a, cap.b), 0.5);
          const at = placeAt(l.alignment, b.station).at;
          expect(dot(sub(mid, at), b.place.along)).toBeCloseTo(0, 6);
        }
      }),
      { seed: SEED, numRuns: 16 },
    );
    expect(framed).toBeGreaterThan(8);
  });
});

describe("a tilted cap", () => {
  it("too short on its low side is told with the overhang that serves, and with that its posts bear", () => {
    const tilted = {
      ...curved,
      superelevation: inches(6),
      superBy: "tilt",
      capSet: "overhang",
    };
    const short = values({ ...tilted, capOverhang: 0 });
    const [told] = trestleCheck(short);
    expect(told).toMatch(/^On the low side of the tilted caps the outer posts reach 0′-\d/);
    expect(faultsOf(trestleFrame(short, ctx)).faults.join()).toMatch(/post\/.* bears/);
    expect(trestleCheck(values({ ...tilted, capOverhang: inches(4) }))).toEqual([]);
    expect(faultsOf(trestleFrame(values({ ...tilted, capOverhang: inches(4) }), ctx)).faults).toEqual([]);
  });
});

describe("ties at their stations", () => {
  for (const [name, over] of [
    ["on straight track", level],
    ["on a grade", { ...level, grade: 2 }],
    ["on a curve", curved],
    ["on a curve and a grade, tilted", { ...curved, grade: 1.5, superelevation: inches(4), superBy: "tilt" }],
  ] as const)
    it(`${name}: each has its middle where the spacing says, over bents as between them`, () => {
      const v = values(over);
      const l = trestleLayout(v, ctx);
      const r = resolve(trestleFrame(v, ctx));
      const stations = tieStations(v, l);
      const ties = r.sticks.filter((k) => k.member.role === "tie");
      // 60 ft and a cap's width, less a tie, at its spacing
      const room = l.mm(feet(60)) + l.timbers.cap.w - l.timbers.tie.w;
      expect(ties).toHaveLength(Math.floor(room / l.mm(v.tieSpacing) + 1e-9) + 1);
      for (const [i, s] of stations.entries()) {
        const k = r.byMember.get(`t/tie/track1/${i + 1}`)![0]!;
        const place = placeAt(l.alignment, s);
        const middle = add(k.axes.origin, scale(k.axes.u, workLength(k.member) / 2));
        const off = dot(sub(middle, place.at), place.along);
        expect(Math.abs(off), `tie ${i + 1}`).toBeLessThan(1e-6);
      }
    });
});

describe("what depends on the bench", () => {
  const bench = (over: Partial<Bench>) => contextOf({ scale: "HO", milling: "full-sawn", series: ["scale"], ...over });
  it("a radius in model mm is judged at its scale", () => {
    // 610 mm, 24 in: 174 ft in HO, 96 ft in O, of 15 ft bays; 22 mm in Z are 16 ft
    const v = values({ ...level, curve: "model", modelRadius: 610 });
    expect(trestleCheck(v, bench({}))).toEqual([]);
    expect(trestleCheck(v, bench({ scale: "O" }))).toEqual([]);
    const tight = values({ ...level, curve: "model", modelRadius: 150 });
    expect(trestleCheck(tight, bench({ scale: "Z" }))).toEqual([]);
    expect(trestleCheck(tight, bench({ scale: "O" })).join()).toMatch(/^A radius of 23′-7.* is too sharp for bays of 15′-0″: use at least/); // prettier-ignore
  });
  it("ties of stock thicker than its name that leave no gap are told with the spacing that does", () => {
    const v = values({ ...level, tie: "12×14", tieSpacing: inches(13) });
    expect(trestleCheck(v, bench({}))).toEqual([]);
    expect(trestleCheck(v, bench({ scale: "Z", series: ["styrene"] })).join()).toMatch(
      /^Ties of 12×14 are 1′-.* thick in the stock chosen and every 1′-1″ leave no gap; space them at least/,
    );
  });
  it("butts girts deeper than their sills on the posts that stand proud of those: bays of 15 ft less 12 in", () => {
    const deep = { ...level, between: "solid", heights: [feet(50)], middleSill: "6×6", post: "12×12", girt: "6×10", girts: "every" }; // prettier-ignore
    const v = values(deep);
    expect(trestleCheck(v, ctx)).toEqual([]);
    const { faults, resolved } = faultsOf(trestleFrame(v, ctx));
    expect(faults).toEqual([]);
    const girts = resolved.sticks.filter((k) => k.member.role === "girt");
    expect(girts.length).toBeGreaterThan(0);
    for (const g of girts) {
      const [from, to] = reach([g], 0);
      expect(to - from).toBeCloseTo(14 * 3.5, 6);
    }
  });
  it("bents without stringers stand each for itself on the ground", () =>
    expect(faultsOf(trestleFrame(values({ ...level, stringers: false, girts: "none", braces: "none" }), ctx)).faults).toEqual([])); // prettier-ignore
});

describe("where two things come to the hundredth of a millimetre", () => {
  const cases: readonly (readonly [string, Bench, Partial<Record<keyof TrestleValues, unknown>>])[] = [
    // the end of one bay's stringers may lie past the tie over the bent: it does not carry it
    ["ties over bents on a canted curve", { scale: "G", milling: "full-sawn", series: ["scale", "metric"] }, { curve: "model", superelevation: 158.75, swayEnd: "flush", middleSill: "6×10" }],
    // a tie on a grade leans: its top lies under the end of a walkway that its station is clear of
    ["walkways that end beside a leaning tie", { scale: "O", milling: "full-sawn", series: ["metric"] }, { curve: "model", grade: 6.75, crossfall: -21.75, walkway: "left", cap: "14×14", post: "6×6" }],
    // on steep ground it comes down past the foot of the higher bent
    ["braces beside long mudsills", { scale: "TT", milling: "dressed", series: ["scale", "inch", "metric"] }, { curve: "degree", groundBy: "heights", mudsillLength: 4264.6, plyBays: 4, tieLength: 2439.9 }],
    // two that are clear at their tops may not be at the ground: they are one
    ["pedestals that spread towards deep ground", { scale: "S", milling: "dressed", series: ["scale"] }, { swayStep: 1060.45, footing: "pedestal", pedestalTop: feet(6), capLength: feet(29), levelOverhang: inches(3) }],
    // a brace leans with its post, so that its corner comes nearer to the sway brace
    ["braces inside of battered posts", { scale: "1", milling: "dressed", series: ["scale"] }, { swayStep: 146.05, plies: 4, bulkheads: false, posts: 2, middleSill: "8×16" }],
  ]; // prettier-ignore
  for (const [name, bench, over] of cases)
    it(`${name} stand sound`, () => {
      const v = values(over);
      const context = contextOf(bench);
      expect(trestleCheck(v, context)).toEqual([]);
      expect(faultsOf(trestleFrame(v, context), true).faults).toEqual([]);
    });
});
