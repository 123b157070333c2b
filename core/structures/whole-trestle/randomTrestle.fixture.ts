import fc from "fast-check";
import { feet, inches, prototype } from "../../units";
import { defaultsOf } from "../spec";
import { trestleSpec, type TrestleValues } from "./parameters";

const mm = (lo: number, hi: number) => fc.double({ min: lo, max: hi, noNaN: true });
const ft = (lo: number, hi: number) => mm(feet(lo), feet(hi));
const pick = <T>(...v: readonly T[]) => fc.constantFrom(...v);

/** Trestles over all parameters, of three to nine bents, for tests and long runs; those whose values cannot go together are left to `check`. */
export const randomTrestle: fc.Arbitrary<TrestleValues> = fc
  .record({
    length: ft(30, 120),
    curve: pick("none", "model", "radius", "degree"),
    hand: pick("left", "right"),
    modelRadius: mm(450, 2500),
    radius: ft(140, 1200),
    degree: mm(4, 30),
    tangentStart: pick(0, 0, feet(15), feet(21)),
    tangentEnd: pick(0, 0, feet(9)),
    grade: pick(0, 0, 1, -2.5, 4),
    superelevation: pick(0, 0, inches(2), inches(6)),
    superBy: pick("tilt", "shims"),
    gauge: pick(feet(3), feet(4, 8.5)),
    tracks: pick(1, 1, 1, 2, 3),
    bentSet: pick("spacing", "each"),
    spacing: ft(10, 18),
    bays: fc.array(ft(9, 18), { minLength: 2, maxLength: 7 }),
    skewStart: pick(0, 0, 0, 12, -20),
    skewEnd: pick(0, 0, 0, 15, -9),
    bentKind: pick("framed", "framed", "pile"),
    pileSize: pick("⌀10", "12×12"),
    topStory: ft(9, 18),
    story: ft(9, 18),
    leastStory: ft(5, 9),
    swayStep: pick(0, feet(2)),
    groundBy: pick("profile", "heights"),
    depth: ft(16, 60),
    profileAt: fc.array(mm(0.6, 1), { minLength: 4, maxLength: 4 }),
    heights: fc.array(ft(7, 50), { minLength: 2, maxLength: 6 }),
    crossfall: pick(0, 0, 8, -12),
    footing: pick("none", "mudsill", "pedestal"),
    girts: pick("none", "outer", "every"),
    braces: pick("none", "every", "alternate", "towers"),
    braceFaces: pick("outside", "both"),
    plies: pick(2, 3),
    stringerSet: pick("straight", "laminated"),
    laminations: pick(3, 6),
    plyBays: pick(1, 2, 3),
    corbels: pick(false, false, true),
    tieSpacing: mm(inches(12), inches(20)),
    guards: fc.boolean(),
    walkway: pick("none", "left", "right", "both"),
    longTieEvery: pick(2, 4),
    refugeEvery: pick(0, 2),
    barrelEvery: pick(0, 3),
    bulkheads: fc.boolean(),
    batters: fc.tuple(mm(1, 3), mm(0, 1)),
    between: pick("solid", "sash", "both"),
    sway: fc.boolean(),
    swayEnd: pick("square", "flush"),
    capExtra: ft(0.2, 2),
  })
  .map(({ depth, profileAt, batters, capExtra, ...v }): TrestleValues => {
    const length = v.bentSet === "each" ? v.bays.reduce((s, b) => s + b, 0) : v.length;
    const wide = (v.tracks - 1) * feet(13);
    const skew = v.skewStart !== 0 || v.skewEnd !== 0;
    return {
      ...defaultsOf(trestleSpec),
      ...v,
      length: prototype(v.length),
      ...(skew ? { corbels: false, stringerSet: "straight", superBy: "tilt", pileSize: "12×12" } : {}),
      superelevation: prototype(v.curve === "none" ? 0 : v.superelevation),
      profile: profileAt.map((k, i) => [(i / 3) * length, -depth * k] as const),
      batters: [batters[0], batters[1], 0],
      posts: v.tracks === 1 ? 4 : 6,
      spacings:
        v.tracks === 1
          ? [feet(4, 2), feet(3, 5), feet(3)]
          : [feet(4) + wide / 5, feet(3) + wide / 5, feet(3) + wide / 6],
      capSet: "overhang",
      capOverhang: prototype(capExtra + feet(1)),
    } as TrestleValues;
  });
