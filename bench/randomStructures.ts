/**
 * A longer run of random buildings, whole trestles and trusses than the tests have: none may stand in itself, every joint bears as
 * it says, all hangs together. Run: npx tsx bench/randomStructures.ts [seed] [count of each] [buildings, trestles or trusses]. Ends with 1 where one does not.
 */
import fc from "fast-check";
import { faultsOf, fullSawn } from "../core/structures/sound.fixture";
import { buildingCheck } from "../core/structures/building/judgement/check";
import { buildingFrame } from "../core/structures/building/frame";
import { randomBuilding } from "../core/structures/building/randomBuilding.fixture";
import { trussCheck } from "../core/structures/truss/check";
import { trussFrame } from "../core/structures/truss/frame";
import { randomTruss } from "../core/structures/truss/randomTruss.fixture";
import { trestleCheck } from "../core/structures/whole-trestle/check";
import { trestleFrame } from "../core/structures/whole-trestle/frame";
import { randomTrestle } from "../core/structures/whole-trestle/randomTrestle.fixture";
import { scaleOf } from "../core/units";

const seed = Number(process.argv[2] ?? 1);
const wanted = Number(process.argv[3] ?? 1000);
const contexts = ["HO", "N", "O"].map((s) => fullSawn(scaleOf(s)));
let failed = 0;

function run<V>(
  name: string,
  values: fc.Arbitrary<V>,
  check: (v: V) => string[],
  frame: (v: V, i: number) => string[],
): void {
  let [sound, refused, bad] = [0, 0, 0];
  for (const [i, v] of fc.sample(values, { seed, numRuns: wanted * 2 }).entries()) {
    if (sound + bad >= wanted) break;
    if (check(v).length > 0) {
      refused++;
      continue;
    }
    let faults: string[];
    try {
      faults = frame(v, i);
    } catch (e) {
      faults = [(e as Error).message];
    }
    if (faults.length === 0) sound++;
    else {
      bad++;
      if (bad <= 8)
        console.log(`${name} ${i}: ${faults.slice(0, 2).join("; ")}${process.env.SHOW ? JSON.stringify(v) : ""}`);
    }
  }
  console.log(`${name}: ${sound} sound, ${bad} not, ${refused} refused with a sentence (seed ${seed})`);
  failed += bad;
}
const only = process.argv[4];
if (!only || only === "buildings")
  run("buildings", randomBuilding, buildingCheck, (v, i) => faultsOf(buildingFrame(v, contexts[i % 3]!)).faults);
if (!only || only === "trestles")
  run("trestles", randomTrestle, trestleCheck, (v, i) => faultsOf(trestleFrame(v, contexts[i % 3]!)).faults);
if (!only || only === "trusses")
  run("trusses", randomTruss, trussCheck, (v, i) => faultsOf(trussFrame(v, contexts[i % 3]!)).faults);
process.exit(failed === 0 ? 0 : 1);
