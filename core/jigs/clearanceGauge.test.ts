import { describe, expect, it } from "vitest";
import { boundsOfDrawing } from "../drawing";
import { designOf, emptyJob, newStructure, type TrackDoc } from "../job";
import { carOf, modelCar, reachOnArc } from "../trains";
import { clearanceGauges } from "./clearanceGauge";
import { jigSheets } from "./sheets";

const HO = 3048 / 35;
const track = (pieces: TrackDoc["pieces"]): TrackDoc => ({ id: "t", name: "Main", x: 0, y: 0, turn: 0, rail: 0, car: "coach-80", pieces }); // prettier-ignore
const withTracks = (...tracks: TrackDoc[]) => designOf({ ...emptyJob("Spot"), structures: [newStructure("trestle-bent", "b", "Bent", {})], spot: { tracks, things: [], cars: [] } }); // prettier-ignore

describe("a clearance gauge", () => {
  it("is as wide as the car reaches on either side of the tightest curve, and as high as it is", () => {
    const car = modelCar(carOf("coach-80", []), HO);
    const { inward, outward } = reachOnArc(610, car);
    const [g] = clearanceGauges(withTracks(track([{ kind: "straight", length: 300 }, { kind: "left", length: 400, radius: 900 }, { kind: "left", length: 400, radius: 610 }]))); // prettier-ignore
    const { min, max } = boundsOfDrawing(g!.drawing);
    expect([min[0], max[0]]).toEqual([expect.closeTo(-inward, 6), expect.closeTo(outward, 6)]);
    expect(max[1]).toBeCloseTo(car.height, 6);
    // its feet go between rails 16.5 mm apart: NMRA S-1.2 and NEM 010 for HO
    const card = g!.drawing.layers[0]!.entities[0]!;
    const feet = card.kind === "path" ? card.points.filter((p) => p[1] < 0).map((p) => p[0]) : [];
    expect(Math.max(...feet) - Math.min(...feet)).toBeCloseTo(16.5, 1);
  });
  it("is alike on both sides where the track curves both ways, and the car's width on a straight", () => {
    const width = (pieces: TrackDoc["pieces"]): readonly [number, number] => { const { min, max } = boundsOfDrawing(clearanceGauges(withTracks(track(pieces)))[0]!.drawing); return [-min[0], max[0]]; }; // prettier-ignore
    const [a, b] = width([
      { kind: "left", length: 300, radius: 610 },
      { kind: "right", length: 300, radius: 610 },
    ]);
    expect(a).toBeCloseTo(b, 9);
    const [c, d] = width([{ kind: "straight", length: 300 }]);
    expect([c, d]).toEqual([expect.closeTo(1524 * 2 / 2 / HO, 6), expect.closeTo(1524 / HO, 6)]); // prettier-ignore
  });
  it("stands among the sheets of a job that has tracks", () => {
    const titles = (d: ReturnType<typeof withTracks>): string[] => jigSheets(d, "2026-05-01").map((s) => s.words.title);
    expect(titles(withTracks(track([{ kind: "straight", length: 100 }])))).toEqual(expect.arrayContaining(["Plan of the spot", "Clearance gauge for Main"])); // prettier-ignore
    expect(titles(withTracks()).some((t) => /Clearance|spot/.test(t))).toBe(false);
  });
});
