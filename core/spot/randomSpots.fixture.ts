import { FillRule, intersectD } from "clipper2-ts";
import fc from "fast-check";
import assert from "node:assert";
import { cornersFlat, hull, polygonArea, type Vec2 } from "../geometry";
import { designOf, emptyJob, newStructure, type JobDoc, type PlaceDoc, type SpotDoc, type ThingDoc } from "../job";
import { pointIn } from "../site";
import { bodyOf, carOf, carPlaces, centreLine, modelCar, thingOutline } from "../trains";
import { feet } from "../units";
import { fitOnSpot } from ".";

const HO = 3048 / 35;
/** Four walls 24 by 16 ft: 84 by 56 mm in HO. */
export const SHED = { length: feet(24), width: feet(16), roof: "none", floor: "none", siding: "none", openings: [], casings: false, foundation: "none" }; // prettier-ignore
export const thing = (more: Partial<ThingDoc>): ThingDoc => ({ id: "x", name: "Lamp", kind: "has to stay", x: 0, y: 0, turn: 0, length: 10, depth: 10, low: 0, high: 60, ...more }); // prettier-ignore
export const job = (size: Vec2, place: PlaceDoc | undefined, spot: Partial<SpotDoc> = {}, values: Record<string, unknown> = SHED): JobDoc => ({ ...emptyJob("Spot"), brief: { ...emptyJob("Spot").brief, spotLength: size[0], spotDepth: size[1] }, structures: [{ ...newStructure("building", "s1", "Shed", values), ...(place ? { place } : {}) }], spot: { tracks: [], things: [], cars: [], ...spot } }); // prettier-ignore
export const at = (x: number, y: number, turn = 0, z = 0): PlaceDoc => ({ x, y, z, turn });

/** Random spots with things, a track and a shed: where the shed is put it is inside the outline and shares no area with anything at its height, by a polygon library; where it is not, the sentence names what leaves no place. Gives how many went and how many did not. */
export function tryRandomSpots(seed: number, runs: number): { readonly went: number; readonly not: number } {
  const random = fc.record({
    size: fc.tuple(fc.integer({ min: 70, max: 420 }), fc.integer({ min: 60, max: 300 })),
    place: fc.record({ x: fc.integer({ min: -200, max: 200 }), y: fc.integer({ min: -150, max: 150 }), z: fc.constantFrom(0, 12), turn: fc.constantFrom(0, 30, 90, -45) }), // prettier-ignore
    things: fc.array(fc.record({ kind: fc.constantFrom("has to stay" as const, "road" as const, "water" as const), x: fc.integer({ min: -200, max: 200 }), y: fc.integer({ min: -150, max: 150 }), turn: fc.integer({ min: 0, max: 90 }), length: fc.integer({ min: 4, max: 150 }), depth: fc.integer({ min: 4, max: 60 }), low: fc.constantFrom(0, 20), high: fc.constantFrom(25, 80) }), { maxLength: 4 }), // prettier-ignore
    track: fc.option(fc.record({ y: fc.integer({ min: -150, max: 150 }), turn: fc.integer({ min: -20, max: 20 }), radius: fc.integer({ min: 400, max: 900 }), kind: fc.constantFrom("straight" as const, "left" as const, "right" as const), car: fc.constantFrom("box-40", "coach-85") })), // prettier-ignore
  });
  let [went, not] = [0, 0];
  fc.assert(
    fc.property(random, ({ size, place, things, track }) => {
      const named = things.map((t, i) => thing({ ...t, id: `x${i}`, name: `Thing ${i}` }));
      const tracks = track ? [{ id: "t", name: "Main", x: -300, y: track.y, turn: track.turn, rail: 0, car: track.car, pieces: [{ kind: track.kind, length: 600, radius: track.radius, ease: 60 }] }] : []; // prettier-ignore
      const doc = job(size, place, { things: named, tracks });
      const design = designOf(doc);
      const r = fitOnSpot(design, "s1");
      if (!r.place) {
        not++;
        const names = [...named.map((t) => t.name), ...(track ? ["the cars on Main"] : []), "the spot is smaller"];
        assert(
          names.some((n) => r.said.includes(n)),
          r.said,
        );
        return;
      }
      went++;
      const car = track && modelCar(carOf(track.car, []), HO);
      const bodies = tracks.flatMap((t) => [...carPlaces(centreLine(t), car!, 9)].map(([, p]) => ({ ring: bodyOf(p, car!), low: car!.bottom, high: car!.height }))); // prettier-ignore
      const solids = [...bodies, ...named.filter((t) => t.kind !== "water").map((t) => ({ ring: thingOutline(t), low: t.low, high: t.high }))]; // prettier-ignore
      for (const k of design.structures[0]!.resolved.sticks)
        for (const p of k.parts) {
          const c = cornersFlat(p).map((q) => pointIn(r.place!, q));
          for (const q of c) {
            assert(Math.abs(q[0]) < size[0] / 2 + 1e-3, `over the edge: ${r.said}`);
            assert(Math.abs(q[1]) < size[1] / 2 + 1e-3, `over the edge: ${r.said}`);
          }
          const ring = hull(c.map((q): Vec2 => [q[0], q[1]]));
          const [low, high] = [Math.min(...c.map((q) => q[2])), Math.max(...c.map((q) => q[2]))];
          for (const s of solids) {
            if (high <= s.low || low >= s.high || !crosses(ring, s.ring)) continue;
            assert(shared(ring, s.ring) < 1e-3, `in something: ${r.said}`);
          }
        }
    }),
    { numRuns: runs, seed },
  );
  return { went, not };
}
const crosses = (a: readonly Vec2[], b: readonly Vec2[]): boolean => ([0, 1] as const).every((k) => Math.min(...a.map((p) => p[k])) < Math.max(...b.map((p) => p[k])) && Math.min(...b.map((p) => p[k])) < Math.max(...a.map((p) => p[k]))); // prettier-ignore
/** The area two outlines share, mm², by a polygon library. */
const shared = (a: readonly Vec2[], b: readonly Vec2[]): number => {
  const path = (r: readonly Vec2[]) => r.map(([x, y]) => ({ x, y }));
  return intersectD([path(a)], [path(b)], FillRule.NonZero, 6).reduce((n, r) => n + Math.abs(polygonArea(r.map(({ x, y }): Vec2 => [x, y]))), 0); // prettier-ignore
};
