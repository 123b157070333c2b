/**
 * Buildings of sheet with trim and covers of all sorts: corner boards, fascias, bands with shelves, brackets and dentils,
 * lapped strips, standing seams and textured covers with ridge caps, over roofs, corners, scales. Each is sound, or refused
 * in a sentence. Run: npx tsx bench/sheetTrim.ts [seed] [count]. Ends with 1 where one is not sound.
 */
import "../core/structures/all";
import { framerOf } from "../core/structures";
import { contextOf } from "../core/structures/fromSpec.fixture";
import { trimmed } from "../core/structures/sheet/randomTrim.fixture";
import { faultsOf } from "../core/structures/sound.fixture";

const [seed, count] = [Number(process.argv[2] ?? 1), Number(process.argv[3] ?? 300)];
const kind = framerOf("sheet");
let [sound, bad] = [0, 0];
const why = new Map<string, number>();
for (let i = 0; i < count; i++) {
  const { params, bench } = trimmed(seed * 100_000 + i);
  const ctx = contextOf(bench);
  const said = kind.check(params, ctx);
  for (const s of said)
    why.set(s.replace(/\d[\d.,′″/ -]*/g, "# "), (why.get(s.replace(/\d[\d.,′″/ -]*/g, "# ")) ?? 0) + 1);
  if (said.length > 0) continue;
  const { faults } = faultsOf(kind.frame(params, ctx), true);
  if (faults.length === 0) sound++;
  else if (++bad <= 8) console.log(seed * 100_000 + i, bench.scale, faults.slice(0, 3).join("; "), `(${faults.length})\n   `, JSON.stringify(Object.fromEntries(Object.entries(params).filter(([k, v]) => JSON.stringify(v) !== JSON.stringify(kind.initial()[k]))))); // prettier-ignore
}
console.log(
  `${count} buildings of sheet with trim: ${sound} sound, ${bad} not, ${count - sound - bad} refused (seed ${seed})`,
);
for (const [s, n] of [...why].sort((a, b) => b[1] - a[1]).slice(0, 12)) console.log(`  ${n} × ${s}`);
process.exit(bad > 0 ? 1 : 0);
