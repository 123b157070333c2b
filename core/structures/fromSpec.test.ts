import { describe, expect, it } from "vitest";
import "./all";
import { contextOf, valuesFrom } from "./fromSpec.fixture";
import { KIND_IDS, framerOf } from "./registry";
import { faultsOf } from "./sound.fixture";

const SEED = 7_700_000;
// bench/fromSpec.ts takes thousands
const COUNT = 24;

describe(`every kind over what its spec offers, in every scale, milling and series (from ${SEED})`, () => {
  for (const id of KIND_IDS.filter((k) => k !== "traced"))
    it(`${id}: is sound, or refused in a sentence`, { timeout: 120_000 }, () => {
      const kind = framerOf(id);
      let [framed, refused] = [0, 0];
      for (let i = 0; i < COUNT; i++) {
        const { params, bench } = valuesFrom(kind, SEED + i);
        const context = contextOf(bench);
        const said = kind.check(params, context);
        if (said.length > 0) {
          refused++;
          for (const s of said) expect(s, `${i}`).toMatch(/^[A-Z0-9].*[.)]$/);
          continue;
        }
        expect(faultsOf(kind.frame(params, context), true).faults, `${id} ${SEED + i}`).toEqual([]);
        framed++;
      }
      expect(framed + refused).toBe(COUNT);
      expect(framed).toBeGreaterThan(COUNT / 3);
    });
});
