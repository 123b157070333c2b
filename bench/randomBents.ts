/** The long random run: npx tsx bench/randomBents.ts [count] [seed]. Every bent has to stand sound. */
import fc from "fast-check";
import { bearings, connectedGroups, interferences, resolve } from "../core/frame";
import { fullSawn } from "../core/structures/sound.fixture";
import { trestleBent } from "../core/structures/trestle";
import { randomBent } from "../core/structures/trestle/randomBent.fixture";
import { SCALES } from "../core/units";

const [count = 2000, seed = 7] = process.argv.slice(2).map(Number);
let tried = 0;
const started = performance.now();
fc.assert(
  fc.property(randomBent, fc.constantFrom(...SCALES), (v, scale) => {
    fc.pre(trestleBent.check(v).length === 0);
    tried++;
    const r = resolve(trestleBent.frame(v, fullSawn(scale)));
    const trouble = [...interferences(r), ...bearings(r).filter((b) => !b.ok)];
    if (trouble.length > 0 || connectedGroups(r).length !== 1)
      throw new Error(JSON.stringify(trouble[0] ?? "falls apart"));
  }),
  { seed, numRuns: count, maxSkipsPerRun: 1000 },
);
console.log(`${tried} random bents stand sound (seed ${seed}, ${((performance.now() - started) / 1000).toFixed(1)} s)`);
