/**
 * Orders of assembly of structures drawn from what their specs offer, replayed by swept solids: every piece comes to its
 * place on its path. Run: npx tsx bench/assembly.ts [seed] [count of each] [kind, ...]. Ends with 1 where one does not.
 */
import "../core/structures/all";
import { resolve } from "../core/frame";
import { assemblyOf } from "../core/assembly";
import { replay } from "../core/assembly/replay.fixture";
import { framerOf, KIND_IDS } from "../core/structures";
import { contextOf, valuesFrom } from "../core/structures/fromSpec.fixture";

const seed = Number(process.argv[2] ?? 1);
const wanted = Number(process.argv[3] ?? 100);
const only = process.argv.slice(4);
let failed = 0;
for (const id of only.length > 0 ? only : KIND_IDS.filter((k) => k !== "traced")) {
  const kind = framerOf(id);
  let [built, told, bad, ms] = [0, 0, 0, 0];
  const why = new Map<string, number>();
  for (let i = 0; i < wanted; i++) {
    const { params, bench } = valuesFrom(kind as never, seed * 100_000 + i);
    const context = contextOf(bench);
    if (kind.check(params, context).length > 0) continue;
    let resolved;
    try {
      resolved = resolve(kind.frame(params, context));
    } catch {
      continue;
    }
    if (resolved.sticks.length > 2500) continue;
    const t = performance.now();
    const a = assemblyOf({
      structure: { id: "t", name: "T" },
      variant: { params },
      kind,
      context,
      resolved,
      fault: undefined,
    } as never);
    ms += performance.now() - t;
    built++;
    if (a.noWay.length > 0) {
      told++;
      const words = a.noWay[0]!.text.replace(/\d+/g, "#").slice(0, 110);
      why.set(words, (why.get(words) ?? 0) + 1);
    }
    const faults = replay(resolved, a);
    if (faults.length > 0 && ++bad <= 6)
      console.log(`${id} ${seed * 100_000 + i}: ${faults.slice(0, 2).join("; ")} (${faults.length})`);
  }
  failed += bad;
  console.log(
    `${id}: ${built} built, ${told} told that a piece has no way in, ${bad} wrong, ${(ms / Math.max(1, built)).toFixed(0)} ms each`,
  );
  for (const [w, n] of [...why].sort((a, b) => b[1] - a[1]).slice(0, 4)) console.log(`    ${n} × ${w}`);
}
process.exit(failed > 0 ? 1 : 0);
