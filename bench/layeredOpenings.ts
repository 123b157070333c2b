/**
 * Buildings of sheet with windows and doors in layers, drawn from all that is offered: each is sound or refused in a
 * sentence. npx tsx bench/layeredOpenings.ts [seed] [count]. Prints those that are not; ends with 1 where there is one.
 */
import { stream } from "../core/cutting/stream";
import { contextOf, valuesFrom } from "../core/structures/fromSpec.fixture";
import { sheetBuilding } from "../core/structures/sheet";
import { withLayeredOpenings } from "../core/structures/sheet/randomOpenings.fixture";
import { faultsOf } from "../core/structures/sound.fixture";

const [seed, count] = [Number(process.argv[2] ?? 1), Number(process.argv[3] ?? 300)];
let [sound, refused, bad] = [0, 0, 0];
const why = new Map<string, number>();
for (let i = 0; i < count; i++) {
  const { params, bench } = valuesFrom(sheetBuilding, seed * 100_000 + i);
  const p = withLayeredOpenings(params, stream(seed * 100_000 + i));
  const said = sheetBuilding.check(p, contextOf(bench));
  if (said.length > 0) {
    refused++;
    const text = said[0]!.replace(/[\d′″⁄½¼¾⅛⅜⅝⅞./-]+/g, "#");
    why.set(text, (why.get(text) ?? 0) + 1);
    continue;
  }
  const { faults } = faultsOf(sheetBuilding.frame(p, contextOf(bench)), true);
  if (faults.length === 0) sound++;
  else {
    bad++;
    console.log(
      `${i}: ${faults.slice(0, 3).join("; ")}\n    ${JSON.stringify(bench)} ${JSON.stringify(p).slice(0, 1800)}`,
    );
  }
}
console.log(`${sound} sound, ${bad} not, ${refused} refused of ${count}`);
for (const [text, n] of [...why].sort((a, b) => b[1] - a[1]).slice(0, 12)) console.log(`  ${n} × ${text}`);
process.exitCode = bad > 0 ? 1 : 0;
