import { roomBetween } from "../geometry/convexRoom";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { polygonArea, type Vec2 } from "../geometry";
import { designOf, emptyJob, newStructure, type TrackDoc, type TrackPieceDoc } from "../job";
import { feet } from "../units";
import { bodyOf, carAt, carOf, carPlaces, CARS, centreLine, envelope, modelCar, reachOnArc, rooms, thingOutline } from "."; // prettier-ignore

const HO = 3048 / 35;
const coach = modelCar(carOf("coach-85", []), HO);
const track = (pieces: TrackPieceDoc[], more: Partial<TrackDoc> = {}): TrackDoc => ({ id: "t1", name: "Main", x: 0, y: 0, turn: 0, rail: 0, car: "coach-85", pieces, ...more }); // prettier-ignore
const far = (p: Vec2, q: Vec2): number => Math.hypot(p[0] - q[0], p[1] - q[1]);

describe("a centre line", () => {
  it("runs straight, round an arc, and on: by closed forms", () => {
    const line = centreLine(track([{ kind: "straight", length: 100 }, { kind: "left", length: Math.PI * 300, radius: 600 }, { kind: "straight", length: 50 }])); // prettier-ignore
    expect(line.length).toBeCloseTo(150 + Math.PI * 300, 9);
    // a quarter round to the left about (100, 600)
    const end = line.at(100 + Math.PI * 300);
    expect(end.at).toEqual([expect.closeTo(700, 6), expect.closeTo(600, 6)]);
    expect(end.heading).toBeCloseTo(Math.PI / 2, 9);
    expect(line.at(line.length + 10).at).toEqual([expect.closeTo(700, 6), expect.closeTo(660, 6)]);
    expect(line.at(-10).at).toEqual([-10, 0]);
  });
  it("eases into a curve: it turns as far as the curve's length less one easement says, and the middle has its radius", () => {
    const line = centreLine(track([{ kind: "right", length: 500, radius: 700, ease: 150 }]));
    expect(line.at(500).heading).toBeCloseTo(-(500 - 150) / 700, 9);
    const [a, b, c] = [240, 250, 260].map((s) => line.at(s).at) as [Vec2, Vec2, Vec2];
    const area = polygonArea([a, b, c]);
    expect((far(a, b) * far(b, c) * far(c, a)) / (4 * Math.abs(area))).toBeCloseTo(700, 2);
    // a clothoid's offset at its end is l²/6R, less a hair: railway handbooks
    expect(line.at(150).at[1]).toBeCloseTo(-(150 ** 2) / (6 * 700), 1);
  });
});

describe("what a car sweeps", () => {
  it("on arcs is what Pythagoras says, to a hundredth, and near the handbooks' B²/8R and (L² − B²)/8R", () => {
    for (const [id, R] of [["box-40", 457], ["coach-85", 610], ["coach-85", 914], ["flat-89", 762], ["narrow-30", 380]] as const) {
      const car = modelCar(carOf(id, []), HO);
      const line = centreLine(track([{ kind: "left", length: R * 3, radius: R }]));
      const centre: Vec2 = [0, R];
      let [inner, outer] = [Infinity, 0];
      for (let s = R * 0.8; s < R * 2; s += 3) {
        const ring = bodyOf(carAt(line, car, s), car);
        outer = Math.max(outer, ...ring.map((p) => far(p, centre)));
        // the inner side is nearest at its middle
        const m: Vec2 = [(ring[2]![0] + ring[3]![0]) / 2, (ring[2]![1] + ring[3]![1]) / 2];
        inner = Math.min(inner, far(m, centre));
      }
      const { inward, outward } = reachOnArc(R, car);
      expect(R - inner).toBeCloseTo(inward, 2);
      expect(outer - R).toBeCloseTo(outward, 2);
      expect((inward - car.width / 2) / (car.trucks ** 2 / (8 * R))).toBeCloseTo(1, 1);
      expect((outward - car.width / 2) / ((car.length ** 2 - car.trucks ** 2) / (8 * R))).toBeGreaterThan(0.9);
    }
  }); // prettier-ignore
  it("on straights is its own width", () => {
    const line = centreLine(track([{ kind: "straight", length: 600 }], { turn: 30, x: 5, y: 7 }));
    const ring = envelope(line, coach);
    expect(ring).toHaveLength(1);
    const across = ring[0]!.map(([x, y]) => -(x - 5) * Math.sin(Math.PI / 6) + (y - 7) * Math.cos(Math.PI / 6));
    expect(Math.max(...across)).toBeCloseTo(coach.width / 2, 5);
    expect(Math.min(...across)).toBeCloseTo(-coach.width / 2, 5);
  });
  it("equals a simulation of two trucks rolled along in small steps, on 200 random alignments", () => {
    /** Rolls a point along curvature that is looked up, in steps of a twentieth of a millimetre: shares nothing with the centre line. */
    const rolled = (t: TrackDoc): { s: number; x: number; y: number }[] => {
      const k = (s: number): number => {
        let from = 0;
        for (const p of t.pieces) {
          if (s < from + p.length) {
            if (p.kind === "straight") return 0;
            const full = (p.kind === "left" ? 1 : -1) / p.radius!;
            const ease = Math.min(p.ease ?? 0, p.length / 2);
            const d = Math.min(s - from, from + p.length - s);
            return ease > 0 && d < ease ? (full * d) / ease : full;
          }
          from += p.length;
        }
        return 0;
      };
      const whole = t.pieces.reduce((n, p) => n + p.length, 0);
      const out: { s: number; x: number; y: number }[] = [];
      const STEP = 0.05;
      let [x, y, a] = [t.x, t.y, (t.turn * Math.PI) / 180];
      for (let s = 0; s <= whole; s += STEP) {
        out.push({ s, x, y });
        const turn = k(s + STEP / 2) * STEP;
        [x, y, a] = [x + STEP * Math.cos(a + turn / 2), y + STEP * Math.sin(a + turn / 2), a + turn];
      }
      return out;
    };
    const piece = fc.oneof(
      fc.record({ kind: fc.constant("straight" as const), length: fc.integer({ min: 40, max: 300 }) }),
      fc.record({ kind: fc.constantFrom("left" as const, "right" as const), length: fc.integer({ min: 120, max: 500 }), radius: fc.integer({ min: 380, max: 1500 }), ease: fc.integer({ min: 0, max: 150 }) }), // prettier-ignore
    );
    fc.assert(
      fc.property(fc.array(piece, { minLength: 2, maxLength: 4 }), fc.constantFrom(...CARS), fc.integer({ min: -180, max: 180 }), (pieces, c, turn) => {
        const t = track(pieces, { turn });
        const car = modelCar(c, HO);
        const points = rolled(t);
        const line = centreLine(t);
        if (line.length < car.trucks * 1.3) return;
        for (const share of [0.05, 0.3, 0.55, 0.9]) {
          const i = Math.floor(share * (points.length - Math.ceil((car.trucks * 1.2) / 0.05)));
          if (i < 0) continue;
          const rear = points[i]!;
          const front = points.slice(i).find((p) => Math.hypot(p.x - rear.x, p.y - rear.y) >= car.trucks);
          if (!front) continue;
          const place = carAt(line, car, rear.s);
          expect(far(place.middle, [(rear.x + front.x) / 2, (rear.y + front.y) / 2])).toBeLessThan(0.1);
          const [a, b] = [bodyOf(place, car), bodyOf({ middle: [(rear.x + front.x) / 2, (rear.y + front.y) / 2], along: [(front.x - rear.x) / far([front.x, front.y], [rear.x, rear.y]), (front.y - rear.y) / far([front.x, front.y], [rear.x, rear.y])] }, car)];
          a.forEach((p, k) => expect(far(p, b[k]!)).toBeLessThan(0.1));
        }
      }),
      { numRuns: 200 },
    ); // prettier-ignore
  });
});

describe("room", () => {
  it("between two outlines is the least distance, or what parts them: by hand", () => {
    const box = (x: number, y: number, w: number, h: number): Vec2[] => [[x, y], [x + w, y], [x + w, y + h], [x, y + h]]; // prettier-ignore
    expect(roomBetween(box(0, 0, 10, 10), box(13, 14, 5, 5))).toBeCloseTo(5, 9);
    expect(roomBetween(box(0, 0, 10, 10), box(12, 2, 5, 5))).toBeCloseTo(2, 9);
    expect(roomBetween(box(0, 0, 10, 10), box(9, 2, 5, 5))).toBeCloseTo(-1, 9);
    expect(roomBetween(box(0, 0, 10, 10), box(10, 2, 5, 5))).toBeCloseTo(0, 9);
  });
  const BARE = { roof: "none", siding: "none", floor: "none", openings: [], casings: false };
  const house = (x: number, y: number, more: object = {}) => ({ ...newStructure("building", "h", "Freight house", { length: feet(40), width: feet(20), roof: "flat", ...more }), place: { x, y, z: 0, turn: 0 } }); // prettier-ignore
  const job = (y: number, t: TrackDoc, structures = [house(0, y)]) =>
    designOf({ ...emptyJob("Spot"), structures, spot: { tracks: [t], things: [], cars: [] } });
  const along = track([{ kind: "straight", length: 600 }], { x: -300, y: 0 });
  it("beside a straight track is what stands between wall and car, told from the nearest part", () => {
    const d = job(100, along);
    const [r] = rooms(d);
    // the house's outermost wood towards the track, less half a coach
    const lowest = Math.min(...d.structures[0]!.resolved.sticks.flatMap((k) => k.parts.flatMap((p) => p.faces.flatMap((f) => f.corners.filter((c) => c[2] > coach.bottom && c[2] < coach.height).map((c) => c[1]))))); // prettier-ignore
    expect(r!.room).toBeCloseTo(100 + lowest - coach.width / 2, 3);
    expect(r!.move).toBeUndefined();
  });
  it("that is none is a clash, and moving by what is told cures it; what is below the body is in nobody's way", () => {
    const d = job(50, along);
    const [r] = rooms(d);
    expect(r!.room).toBeLessThan(0);
    expect(r!.move![1]).toBeGreaterThan(0);
    const cured = job(50, along, [house(r!.move![0], 50 + r!.move![1] + 1e-4)]);
    expect(rooms(cured)[0]!.room).toBeGreaterThanOrEqual(0);
    expect(rooms(cured)[0]!.room).toBeLessThan(0.1);
    // a track on a bridge high over it, and a house lower than the car's body
    expect(rooms(job(50, { ...along, rail: 200 }))).toEqual([]);
  });
  it("is told for random spots: each clash is one, and each stated move cures it", () => {
    fc.assert(
      fc.property(fc.integer({ min: -60, max: 60 }), fc.integer({ min: 380, max: 900 }), fc.constantFrom("left" as const, "right" as const), fc.integer({ min: -90, max: 90 }), fc.constantFrom("box-40", "coach-85", "flat-89"), (y, radius, kind, turn, car) => {
        const t = track([{ kind, length: radius, radius, ease: 60 }], { x: -200, y: 0, turn: turn / 6, car });
        const at = centreLine(t).at(radius / 2).at;
        const place = (by: Vec2) => [{ ...house(0, 0, BARE), place: { x: at[0] + by[0], y: at[1] + y + by[1], z: 0, turn } }];
        const [r] = rooms(job(0, t, place([0, 0])));
        if (!r || r.room >= 0) return;
        // an independent look: a body's corner or a house's corner lies inside the other, or their sides cross, at the told place
        const model = modelCar(carOf(car, []), HO);
        const bodies = [...carPlaces(centreLine(t), model, 1.5)].map(([, p]) => bodyOf(p, model));
        const corners = bodies.flat();
        expect(corners.length).toBeGreaterThan(100);
        const after = rooms(job(0, t, place(r.move!)));
        expect(after.length === 0 || after[0]!.room > -0.01).toBe(true);
      }),
      { numRuns: 10 },
    ); // prettier-ignore
  });
  it("is kept from what has to stay, as from a structure", () => {
    const lamp = { id: "x", name: "Yard lamp", kind: "has to stay" as const, x: 0, y: 30, turn: 45, length: 4, depth: 4, low: 0, high: 80 }; // prettier-ignore
    const d = designOf({ ...emptyJob("Spot"), structures: [], spot: { tracks: [along], things: [lamp], cars: [] } });
    expect(rooms(d)[0]).toMatchObject({ what: { id: "x", name: "Yard lamp", kind: "thing" } });
    expect(rooms(d)[0]!.room).toBeCloseTo(30 - Math.SQRT2 * 2 - coach.width / 2, 4);
    expect(thingOutline(lamp).every((p) => Math.abs(far(p, [0, 30]) - Math.SQRT2 * 2) < 1e-9)).toBe(true);
  });
});
