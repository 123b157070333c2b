import { solveTruss } from "../../statics";
import { modelOf, unitLoads } from "./statics";
import { topologyOf, type TopologyValues } from "./topology";

/**
 * Panels in which a moving load turns the diagonal's force round: under the bridge's own weight everywhere and the train
 * over just those panel points that work against it (influence lines). The middle panel of an odd number has no force
 * of its own and always takes a counter. Panels are counted from 0.
 */
export function reversedPanels(v: TopologyValues): number[] {
  const bare = topologyOf({ ...v, counters: "none" });
  const m = modelOf(bare);
  const solved = solveTruss(
    m.truss,
    bare.loaded.map((at) => unitLoads(m, [at])),
  );
  if ("ok" in solved) return [];
  const out = new Set<number>();
  m.bars.forEach((bar, i) => {
    if (!bar.member.startsWith("diagonal/")) return;
    const lines = solved.map((s) => s.forces[i]!);
    const dead = lines.reduce((s, f) => s + f, 0);
    const against = lines.filter((f) => (Math.abs(dead) < 1e-9 ? true : f * dead < 0)).reduce((s, f) => s + f, 0);
    const reversed =
      Math.abs(dead) < 1e-9
        ? lines.some((f) => Math.abs(f) > 1e-9)
        : Math.abs(against) * v.liveOverDead > Math.abs(dead) + 1e-9;
    if (!reversed) return;
    out.add(Math.min(...[bar.a, bar.b].map((n) => Number(/\d+$/.exec(n)![0]))));
  });
  return [...out].sort((a, b) => a - b);
}
