import { describe, expect, it } from "vitest";
import { readFileSync } from "node:fs";
import { designOf, jobPicture, readJobFile } from "../job";
import { KINDS } from "../structures/all";
import { startPicture } from "../../scripts/startPicture";
import { THUMBNAIL } from ".";

const picture = (name: string): string => jobPicture(designOf(readJobFile(readFileSync(`examples/${name}.json`, "utf8")).doc)); // prettier-ignore
describe("the picture on a card", () => {
  it("has an outline for each stick of a bent, within its box", () => {
    const d = picture("gulch-trestle");
    // cap, two sills, eight posts, four braces, two of these behind: fifteen sticks seen from the front
    expect(d.match(/M/g)).toHaveLength(15);
    const numbers = d.match(/\d+,\d+/g)!.map((p) => p.split(",").map(Number) as [number, number]);
    for (const [x, y] of numbers) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(THUMBNAIL.width);
      expect(y).toBeGreaterThanOrEqual(0);
      expect(y).toBeLessThanOrEqual(THUMBNAIL.height);
    }
    // it fills its box from top to bottom
    expect(Math.min(...numbers.map((p) => p[1]))).toBe(0);
    expect(Math.max(...numbers.map((p) => p[1]))).toBe(THUMBNAIL.height);
  });
  it("leaves out what is hidden, and stays small however large the job is", () => {
    const d = picture("depot");
    const depot = designOf(readJobFile(readFileSync("examples/depot.json", "utf8")).doc);
    const sticks = depot.structures.flatMap((s) => s.resolved.sticks).length;
    expect(d.match(/M/g)!.length).toBeLessThan(sticks / 3);
    expect(d.length).toBeLessThan(48_000);
    expect(d).toMatch(/^(?:M\d+,\d+(?:L\d+,\d+)+Z)+$/);
    expect(picture("empty-job")).toBe("");
  });
  it("of every start is the one that ships", () => {
    for (const k of KINDS)
      k.starts?.forEach(
        (s, n) =>
        expect(readFileSync(`public/starts/${k.id}-${n}.svg`, "utf8"), `${k.id} ${s.name}: run scripts/make-starts.ts`).toBe(startPicture(k.id, s.params)), // prettier-ignore
      );
  });
});
