import type { Body } from "./body";
import { isFree, type Path } from "./clear";

/** A body in its turn: it comes to its place back along `from`, the path on which it could be taken away again. */
export interface Placing {
  readonly body: Body;
  readonly from: Path;
}
export interface Sequence {
  /** First to last. */
  readonly order: readonly Placing[];
  /** What has no straight way in past the rest, and the rest that it has none past. */
  readonly stuck: readonly Body[];
  /** Which bodies have to come after one: they would stand in its way. By id. */
  readonly before: ReadonlyMap<string, readonly string[]>;
}

/**
 * The order in which bodies are put together, found by taking the finished thing apart: what can be moved straight away
 * past all that is left comes off, the latest first by `late`; the way back is how it is built. `ways` are the
 * paths that a body may come off on, the best first. What stands in `fixed` is there from the start and never moves.
 * `holds` says whether what is left stands without a body; what it does not is taken only where nothing else comes off.
 */
export function sequence(
  bodies: readonly Body[],
  ways: (b: Body) => readonly Path[],
  late: (b: Body) => number,
  fixed: readonly Body[] = [],
  holds?: (left: ReadonlySet<Body>, off: Body) => boolean,
): Sequence {
  const left = new Set(bodies);
  /** For each body and way what stands in it, as far as it was looked for: the first that is still there. */
  const known = new Map<string, Body | null>();
  const freeOf = (b: Body, way: Path, k: number): boolean => {
    const key = `${b.id}|${k}`;
    const last = known.get(key);
    if (last === null) return true;
    if (last && left.has(last)) return false;
    for (const o of left)
      if (o !== b && !isFree(b, o, way)) {
        known.set(key, o);
        return false;
      }
    if (fixed.some((o) => !isFree(b, o, way))) return false;
    // what is free of all that is left stays so while that becomes less
    known.set(key, null);
    return true;
  };
  const off: Placing[] = [];
  const queue = [...bodies].sort((a, b) => late(b) - late(a));
  while (left.size > 0) {
    const seek = (kind: boolean): Placing | undefined => {
      for (const b of queue) {
        if (!left.has(b) || (kind && holds && left.size > 1 && !holds(left, b))) continue;
        const k = ways(b).findIndex((w, i) => freeOf(b, w, i));
        if (k >= 0) return { body: b, from: ways(b)[k]! };
      }
      return undefined;
    };
    const found = seek(true) ?? (holds && seek(false));
    if (!found) break;
    left.delete(found.body);
    off.push(found);
  }
  const order = off.reverse();
  const before = new Map<string, string[]>();
  for (const p of order) before.set(p.body.id, order.filter((o) => o !== p && !isFree(p.body, o.body, p.from)).map((o) => o.body.id)); // prettier-ignore
  return { order, stuck: [...left], before };
}
