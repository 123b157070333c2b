import { describe, expect, it } from "vitest";
import "../structures/all";
import { designOf, emptyJob, newStructure } from "../job";
import { bendOf } from ".";

/** A trestle on a curve of 700 mm, its track's middle. */
const sticks = (values: Readonly<Record<string, unknown>>) =>
  designOf({ ...emptyJob("Curve"), structures: [newStructure("trestle", "s", "Trestle", { curve: "model", modelRadius: 700, stringerSet: "laminated", ...values })] }).structures[0]!.resolved.sticks; // prettier-ignore

describe("how a strip is bent", () => {
  it("is the radius of its own inner side: what follows the track stands off it by where it lies", () => {
    const all = sticks({});
    const bent = all.flatMap((k) => bendOf(k) ?? []);
    expect(bent.length).toBeGreaterThan(3);
    for (const b of bent) {
      expect(Math.abs(b.radius - 700)).toBeLessThan(30);
      expect(b.thick).toBeGreaterThan(0.5);
      expect(b.angle).toBeGreaterThan(1);
    }
    // two of a kind, one either side of the track, are as far inside of its middle as outside
    const stringers = all.filter((k) => /stringer/.test(k.member.role)).flatMap((k) => bendOf(k) ?? []);
    const [near, far] = [Math.min(...stringers.map((b) => b.radius)), Math.max(...stringers.map((b) => b.radius))];
    expect((near + far) / 2 + stringers[0]!.thick / 2).toBeCloseTo(700, 0);
  });
  it("is nothing on straight track, nor of a post", () => {
    const straight = sticks({ curve: "none" });
    expect(straight.flatMap((k) => bendOf(k) ?? [])).toEqual([]);
    expect(sticks({}).filter((k) => /post/.test(k.member.role)).flatMap((k) => bendOf(k) ?? [])).toEqual([]); // prettier-ignore
  });
});
