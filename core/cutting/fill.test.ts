import { describe, expect, it } from "vitest";
import { fullestFill } from "./fill";
import { stream } from "./stream";

/** The fullest load by trying all of them: what the search is held against. Sizes fall; the largest that fits has to be in it. */
function fullest(sizes: readonly number[], left: readonly number[], cap: number): number | undefined {
  const first = left.findIndex((n, i) => n > 0 && sizes[i]! <= cap);
  if (first < 0) return undefined;
  let best = -1;
  const go = (i: number, sum: number): void => {
    if (i === sizes.length) {
      best = Math.max(best, sum);
      return;
    }
    for (let n = i === first ? 1 : 0; n <= left[i]! && sum + n * sizes[i]! <= cap; n++) go(i + 1, sum + n * sizes[i]!);
  };
  go(0, 0);
  return best;
}
const sumOf = (sizes: readonly number[], take: readonly number[]): number =>
  take.reduce((s, n, i) => s + n * sizes[i]!, 0);

describe("the fullest load of a stick", () => {
  it("holds the largest item left, even where the others alone would fill it better", () => {
    // 9 = 5 + 2 + 2, and 3·3 would be as full without the largest
    expect(fullestFill([5, 3, 2], [1, 3, 2], 9)).toEqual([1, 0, 2]);
    expect(fullestFill([5, 4], [1, 2], 8)).toEqual([1, 0]);
  });
  it("takes an item that is exactly as long as the stick", () => {
    expect(fullestFill([8, 5], [1, 1], 8)).toEqual([1, 0]);
    expect(fullestFill([8, 5], [0, 1], 5)).toEqual([0, 1]);
  });
  it("passes over what is too long, and gives up where nothing fits", () => {
    expect(fullestFill([12, 5], [1, 1], 8)).toEqual([0, 1]);
    expect(fullestFill([12, 9], [1, 1], 8)).toBeUndefined();
    expect(fullestFill([5], [0], 8)).toBeUndefined();
  });
  it("is as full as the fullest of all, over 300 random loads (seed 11)", () => {
    const r = stream(11);
    for (let i = 0; i < 300; i++) {
      const n = 1 + Math.floor(r() * 5);
      const sizes = Array.from({ length: n }, () => 1 + Math.floor(r() * 30)).sort((a, b) => b - a);
      const left = sizes.map(() => Math.floor(r() * 4));
      const cap = 5 + Math.floor(r() * 60);
      const take = fullestFill(sizes, left, cap);
      const best = fullest(sizes, left, cap);
      if (best === undefined) expect(take).toBeUndefined();
      else {
        expect(sumOf(sizes, take!), `${sizes.join()} ${left.join()} ${cap}`).toBe(best);
        take!.forEach((x, k) => expect(x).toBeLessThanOrEqual(left[k]!));
      }
    }
  });
});
