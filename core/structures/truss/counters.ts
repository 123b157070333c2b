import { ALIKE } from "../../geometry";
import { solveTruss } from "../../statics";
import { modelOf, unitLoads } from "./statics";
import { panelsOf, topologyWith, type Topology, type TopologyValues } from "./topology";

/**
 * Panels in which a moving load turns the diagonal's force round: under the bridge's own weight everywhere and the train
 * over just those panel points that work against it (influence lines). The middle panel of an odd number has no force
 * of its own and always takes a counter. Panels are counted from 0.
 */
function reversedPanels(v: TopologyValues): number[] {
  const bare = topologyWith(v, []);
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
    const against = lines.filter((f) => (Math.abs(dead) < ALIKE ? true : f * dead < 0)).reduce((s, f) => s + f, 0);
    const reversed =
      Math.abs(dead) < ALIKE
        ? lines.some((f) => Math.abs(f) > ALIKE)
        : Math.abs(against) * v.liveOverDead > Math.abs(dead) + ALIKE;
    if (!reversed) return;
    out.add(Math.min(...[bar.a, bar.b].map((n) => Number(/\d+$/.exec(n)![0]))));
  });
  return [...out].sort((a, b) => a - b);
}

/** Kinds whose panels take counters. */
export const takesCounters = (kind: string): boolean => ["howe", "pratt", "polygonal", "queen"].includes(kind);

/** Panels that get a counter: all, none, or those in which a moving load can turn the diagonal's force round. */
export function countered(v: TopologyValues, n = panelsOf(v)): readonly number[] {
  if (!takesCounters(v.kind) || v.counters === "none") return [];
  if (v.kind === "queen") return [1];
  if (v.counters === "all") return Array.from({ length: n }, (_, i) => i);
  return reversedPanels(v);
}

/** The work lines of a truss with the counters that it takes. */
export const topologyOf = (v: TopologyValues): Topology => topologyWith(v, countered(v));
