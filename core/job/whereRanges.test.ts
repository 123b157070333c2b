import { describe, expect, it } from "vitest";
import fc from "fast-check";
import { rangesOf, whereRanges } from ".";

describe("where pieces go", () => {
  it("is told in ranges, the word before them in the plural", () => {
    const joists = Array.from({ length: 51 }, (_, i) => `house/main/floor/joist/${i + 1}`);
    expect(whereRanges(joists)).toBe("main floor joists 1 to 51");
    expect(whereRanges(["g/bent/cap"])).toBe("cap");
    expect(whereRanges(["g/bent/story1/post/L1", "g/bent/story1/post/R1"])).toBe("story 1 post L1; story 1 post R1");
  });
  it("draws together what leaves the fewest entries, in two directions where both are whole", () => {
    const posts = [1, 2, 3].flatMap((b) => [1, 2].map((s) => `t/bent${b}/story${s}/post/L1`));
    expect(whereRanges(posts)).toBe("bents 1 to 3 stories 1, 2 post L1");
    expect(whereRanges(posts.slice(0, 5))).toBe("bents 1 to 3 story 1 post L1; bents 1, 2 story 2 post L1");
    expect(whereRanges(["h/front/course/1-5", "h/front/course/2-5", "h/front/course/3-5"])).toBe(
      "front courses 1 to 3-5",
    );
  });
  it("knows equal steps", () => {
    expect(rangesOf([16, 32, 48, 64, 96])).toBe("16 to 64 by 16, 96");
    expect(rangesOf([1, 3, 5, 6, 7, 8])).toBe("1, 3, 5 to 8");
    expect(rangesOf([7])).toBe("7");
    expect(rangesOf([1, 2, 9])).toBe("1, 2, 9");
  });
  it("loses and adds no number (seed 4)", () => {
    const numbers = fc.uniqueArray(fc.integer({ min: 0, max: 60 }), { minLength: 1 });
    fc.assert(
      fc.property(numbers, (list) => {
        const back = rangesOf(list)
          .split(", ")
          .flatMap((r) => {
            const [a, b, by] = r.split(/ to | by /).map(Number) as [number, number?, number?];
            return Array.from({ length: ((b ?? a) - a) / (by ?? 1) + 1 }, (_, i) => a + i * (by ?? 1));
          });
        expect(back).toEqual([...list].sort((a, b) => a - b));
      }),
      { seed: 4 },
    );
  });
});
