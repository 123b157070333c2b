import fc from "fast-check";
import { feet, inches } from "../../units";
import type { BentValues } from "./parameters";

const mm = (lo: number, hi: number) => fc.double({ min: lo, max: hi, noNaN: true });
const ft = (lo: number, hi: number) => mm(feet(lo), feet(hi));
const pick = <T>(...v: readonly T[]) => fc.constantFrom(...v);

/** Bents over all parameters in their ranges, for tests and long runs; those whose values cannot go together are left to `check`. */
export const randomBent: fc.Arbitrary<BentValues> = fc
  .record({
    story: fc.array(ft(5, 25), { minLength: 4, maxLength: 4 }),
    posts: fc.integer({ min: 2, max: 6 }),
    spacings: fc.array(ft(1.6, 8), { minLength: 3, maxLength: 3 }),
    outer: mm(0, 6),
    inner: fc.array(mm(0, 1), { minLength: 2, maxLength: 2 }),
    capSet: pick("length", "overhang"),
    capLength: ft(6, 50),
    capOverhang: ft(0, 6),
    sillSet: pick("length", "overhang", "overhang"),
    sillLength: ft(10, 120),
    sillOverhang: ft(0, 6),
    stories: fc.integer({ min: 1, max: 4 }),
    between: pick("solid", "sash", "both"),
    levelOverhang: ft(0, 4),
    sway: fc.boolean(),
    swayTop: ft(0, 3),
    swayBottom: ft(0, 3),
    swayEnd: pick("square", "flush"),
    swayBeyond: ft(0, 3),
    bearers: pick("12×12", "12×14", "14×14", "14×16"),
    post: pick("10×10", "12×12", "8×10", "12×14"),
    middleSill: pick("12×12", "12×14", "14×14"),
    sash: pick("3×8", "3×10", "4×10", "6×8"),
    swayBrace: pick("2×8", "3×10", "3×12", "4×10"),
  })
  .map(({ story, outer, inner, bearers, ...v }): BentValues => {
    const used = story.slice(0, v.stories);
    return {
      ...v,
      height: used.reduce((a, b) => a + b, 0) + inches(30),
      // each pair leans less than the one outside it
      batters: [outer, outer * inner[0]!, outer * inner[0]! * inner[1]!],
      storyHeights: story.slice(0, 3),
      cap: bearers,
      sill: bearers,
    };
  });
