/**
 * Structures of every kind with values drawn from what their specs offer, in every scale, milling and series: each is
 * sound, or refused in a sentence. Run: npx tsx bench/fromSpec.ts [seed] [count of each] [kind, ...]. Prints the first
 * of those that are not, with what was changed from the usual, and how often each was refused. Ends with 1 where one is not sound.
 */
import "../core/structures/all";
import { framerOf, KIND_IDS, type Params, type StructureKind } from "../core/structures";
import { contextOf, valuesFrom } from "../core/structures/fromSpec.fixture";
import { faultsOf } from "../core/structures/sound.fixture";

const seed = Number(process.argv[2] ?? 1);
const wanted = Number(process.argv[3] ?? 300);
const only = process.argv.slice(4);
const show = Number(process.env.SHOW ?? 8);
let failed = 0;

const changed = (kind: StructureKind, p: Params): string =>
  Object.entries(p)
    .filter(([k, v]) => JSON.stringify(v) !== JSON.stringify(kind.initial()[k]))
    .map(([k, v]) => `${k}=${JSON.stringify(v)}`)
    .join(" ");
for (const id of only.length > 0 ? only : KIND_IDS.filter((k) => k !== "traced")) {
  const kind = framerOf(id);
  let [sound, bad, refused] = [0, 0, 0];
  const why = new Map<string, number>();
  const shapes = new Map<string, number>();
  for (let i = 0; i < wanted; i++) {
    const { params, bench } = valuesFrom(kind, seed * 100_000 + i);
    const said = kind.check(params, contextOf(bench));
    if (said.length > 0) {
      refused++;
      const text = said[0]!.replace(/[\d′″⁄½¼¾⅛⅜⅝⅞.-]+/g, "#");
      why.set(text, (why.get(text) ?? 0) + 1);
      continue;
    }
    let faults: string[];
    try {
      faults = faultsOf(kind.frame(params, contextOf(bench)), true).faults;
    } catch (e) {
      // the framer's own sentence, which a person reads in place of the frame
      if (e instanceof Error && e.constructor === Error) {
        refused++;
        why.set(e.message.slice(0, 60), (why.get(e.message.slice(0, 60)) ?? 0) + 1);
        continue;
      }
      faults = [`! ${(e as Error).message}`];
    }
    if (faults.length === 0) {
      sound++;
      continue;
    }
    bad++;
    const shape = faults[0]!.replace(/[\d.]+/g, "#");
    shapes.set(shape, (shapes.get(shape) ?? 0) + 1);
    if (bad <= show)
      console.log(
        `${id} ${seed * 100_000 + i}: ${faults.slice(0, 2).join("; ")} (${faults.length})\n    ${JSON.stringify(bench)} ${changed(kind, params)}`.slice(
          0,
          1500,
        ),
      );
  }
  failed += bad;
  const top = (m: Map<string, number>, n: number): string =>
    [...m].sort((a, b) => b[1] - a[1]).slice(0, n).map(([t, k]) => `    ${k} × ${t}`).join("\n"); // prettier-ignore
  console.log(`${id}: ${sound} sound, ${bad} not, ${refused} refused of ${wanted} (seed ${seed})`);
  if (process.env.WHY) console.log(`  refused:\n${top(why, 40)}`);
  console.log(`  not sound:\n${top(shapes, 40)}`);
}
process.exit(failed === 0 ? 0 : 1);
