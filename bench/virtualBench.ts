/**
 * The virtual bench over structures of every kind with values drawn from what their specs offer: each piece is cut as
 * its row of the cut list says, and has to be the stick of the frame within 0.02 mm; everything under one mark is one
 * piece, and a mirror image is one. Run: npx tsx bench/virtualBench.ts [seed] [count of each] [kind, ...].
 */
import "../core/structures/all";
import { jobFromSpec, notAsListed } from "../core/checks/virtualBench.fixture";
import { KIND_IDS } from "../core/structures";

const seed = Number(process.argv[2] ?? 1);
const wanted = Number(process.argv[3] ?? 100);
const only = process.argv.slice(4);
let failed = 0;
for (const id of only.length > 0 ? only : KIND_IDS.filter((k) => k !== "traced")) {
  let [framed, pieces, bad] = [0, 0, 0];
  for (let i = 0; framed < wanted; i++) {
    const d = jobFromSpec(id, seed * 100_000 + i);
    if (!d) continue;
    framed++;
    pieces += d.pieces.length;
    const found = notAsListed(d);
    bad += found.length;
    if (found.length > 0 && failed < 12) console.log(`${id} ${seed * 100_000 + i}: ${found.length}: ${found[0]!}`);
    failed += found.length;
  }
  console.log(`${id}: ${framed} structures, ${pieces} rows, ${bad} not as listed (seed ${seed})`);
}
process.exit(failed === 0 ? 0 : 1);
