import type { Vec2 } from "../geometry";
import { grownBy } from "../geometry/grown";
import type { Item, OpenSheet } from "./open";
import { NEAR, onToLine, sizeOf, turnedOutline, type NestProblem, type Placed, type Turn } from "./problem";

/**
 * Where a convex part may not have its corner because it would overlap another that stands at 0, 0: the other's outline
 * and the part's own turned about, edge after edge by their directions. Both counter-clockwise. Own sum of convex outlines
 * instead of a library's general one, which takes a hundred times as long and is asked for some ten thousand pairs.
 */
export function keepOut(stands: readonly Vec2[], comes: readonly Vec2[]): Vec2[] {
  const low = (p: readonly Vec2[]): Vec2[] => {
    let at = 0;
    p.forEach((q, i) => {
      if (q[1] < p[at]![1] || (q[1] === p[at]![1] && q[0] < p[at]![0])) at = i;
    });
    return [...p.slice(at), ...p.slice(0, at)];
  };
  const a = low(stands);
  const b = low(comes.map(([x, y]): Vec2 => [-x, -y]));
  const edges = [a, b].map((p) => p.map((q, i): Vec2 => { const r = p[(i + 1) % p.length]!; return [r[0] - q[0], r[1] - q[1]]; })); // prettier-ignore
  const out: Vec2[] = [];
  let at: Vec2 = [a[0]![0] + b[0]![0], a[0]![1] + b[0]![1]];
  for (let i = 0, j = 0; i < a.length || j < b.length;) {
    out.push(at);
    const [e, f] = [edges[0]![i], edges[1]![j]];
    const turn = e && f ? e[0] * f[1] - e[1] * f[0] : e ? 1 : -1;
    const add = (v: Vec2): void => void (at = [at[0] + v[0], at[1] + v[1]]);
    if (turn >= 0) add(edges[0]![i++]!);
    if (turn <= 0) add(edges[1]![j++]!);
  }
  return out;
}

/** From where to where a convex outline is met by the line at a place along one axis, with the outline moved; nothing where it only touches. */
function crossed(ring: readonly Vec2[], axis: 0 | 1, at: number): readonly [number, number] | undefined {
  let [lo, hi] = [Infinity, -Infinity];
  for (let i = 0; i < ring.length; i++) {
    const [p, q] = [ring[i]!, ring[(i + 1) % ring.length]!];
    const [a, b] = [p[axis], q[axis]];
    if ((a < at && b < at) || (a > at && b > at)) continue;
    const t = a === b ? 0 : (at - a) / (b - a);
    for (const y of a === b ? [p[1 - axis]!, q[1 - axis]!] : [p[1 - axis]! + t * (q[1 - axis]! - p[1 - axis]!)]) {
      lo = Math.min(lo, y);
      hi = Math.max(hi, y);
    }
  }
  return hi - lo > NEAR ? [lo, hi] : undefined;
}

interface Barred {
  readonly ring: readonly Vec2[];
  readonly min: Vec2;
  readonly max: Vec2;
}
/** What parts of a problem keep out of one another, each pair reckoned once. */
export type PairsKnown = Map<string, readonly Vec2[]>;

/** A sheet on which parts lie freely: each as far to the left as it goes, and of places as far left the lowest. */
export function freeSheet(p: NestProblem, size: number, known: PairsKnown): OpenSheet {
  const { wide, long } = p.sizes[size]!;
  const placed: Placed[] = [];
  const outlineOf = (part: number, turn: Turn): readonly Vec2[] => {
    const key = `${part} ${turn}`;
    let o = known.get(key);
    if (!o) known.set(key, (o = turnedOutline(p.parts[part]!.outline, turn)));
    return o;
  };
  const barredBy = (stands: Placed, part: number, turn: Turn): Barred => {
    const key = `${stands.part} ${stands.turn} ${part} ${turn}`;
    let ring = known.get(key);
    if (!ring) {
      const grown = grownBy(outlineOf(stands.part, stands.turn), p.apart)[0]!;
      known.set(key, (ring = keepOut(grown, outlineOf(part, turn))));
    }
    const moved = ring.map(([x, y]): Vec2 => [x + stands.at[0], y + stands.at[1]]);
    const of = (f: (...n: number[]) => number): Vec2 => [f(...moved.map((q) => q[0])), f(...moved.map((q) => q[1]))];
    return { ring: moved, min: of(Math.min), max: of(Math.max) };
  };
  /** The least place along the other axis, from `from` to `to`, at which nothing bars the line. */
  const clear = (barred: readonly Barred[], axis: 0 | 1, at: number, from: number, to: number): number | undefined => {
    const spans: (readonly [number, number])[] = [];
    for (const b of barred)
      if (b.min[axis] < at - NEAR && b.max[axis] > at + NEAR) {
        const span = crossed(b.ring, axis, at);
        if (span && span[1] > from) spans.push(span);
      }
    spans.sort((x, y) => x[0] - y[0]);
    let y = from;
    for (const [lo, hi] of spans) {
      if (lo >= y - NEAR) break;
      y = Math.max(y, hi);
    }
    // a span that begins where the place is clear ends the search; one that reaches further moves it on
    for (let moved = true; moved;) {
      moved = false;
      for (const [lo, hi] of spans)
        if (lo < y - NEAR && hi > y + NEAR) {
          y = hi;
          moved = true;
        }
    }
    return y <= to + NEAR ? y : undefined;
  };
  // what has been put down only takes room away: a part never finds a place further to the left than its like did before
  const reached = new Map<string, number>();
  const rectangular = p.parts.map(
    (x) => x.outline.length === 4 && x.outline.every((q, i) => x.outline[(i + 1) % 4]!.some((n, k) => n === q[k])),
  );
  return {
    size,
    take(item: Item): boolean {
      const part = p.parts[item.part]!;
      let best: { readonly turn: Turn; readonly at: Vec2; readonly reach: number } | undefined;
      for (const turn of part.turns) {
        const like = `${item.part} ${turn}`;
        const x0 = reached.get(like) ?? p.edge;
        const [w, h] = sizeOf(part.outline, turn);
        const [x1, y1] = [wide - p.edge - w, long - p.edge - h];
        if (x1 < x0 - NEAR || y1 < p.edge - NEAR) continue;
        const barred = placed.map((s) => barredBy(s, item.part, turn)).filter((b) => b.max[0] > x0 + NEAR);
        const places = [x0, ...barred.flatMap((b) => b.ring.map((q) => q[0]))]
          .map((x) => x + onToLine(x, part, turn))
          .filter((x) => x > x0 - NEAR && x < x1 + NEAR)
          .sort((a, b) => a - b);
        let found: Vec2 | undefined;
        let last = -Infinity;
        for (const x of places) {
          if (x < last + NEAR) continue;
          last = x;
          const y = clear(barred, 0, x, p.edge, y1);
          if (y === undefined) continue;
          found = [x, y];
          break;
        }
        // beside a slanted edge the place furthest to the left can lie between those
        if (!part.lines && !(rectangular[item.part]! && placed.every((s) => rectangular[s.part]!))) {
          const rows = new Set([p.edge, ...barred.flatMap((b) => b.ring.map((q) => Math.round(q[1] * 1e7) / 1e7))]);
          for (const y of rows) {
            if (y < p.edge - NEAR || y > y1 + NEAR) continue;
            const x = clear(barred, 1, y, x0, found ? found[0] : x1);
            if (x !== undefined && (!found || x < found[0] - NEAR || (x < found[0] + NEAR && y < found[1])))
              found = [x, y];
          }
        }
        reached.set(like, found ? found[0] : Infinity);
        if (!found) continue;
        const reach = found[0] + w;
        if (!best || reach < best.reach - NEAR || (reach < best.reach + NEAR && found[1] < best.at[1] - NEAR))
          best = { turn, at: found, reach };
      }
      if (!best) return false;
      placed.push({ part: item.part, stick: item.stick, turn: best.turn, at: best.at });
      return true;
    },
    done: () => ({ size, placed, cuts: [], left: leftOf(p, size, placed) }),
  };
}

/** What is left of a sheet as whole rectangles: beside all parts, and above them as far as they reach. */
function leftOf(p: NestProblem, size: number, placed: readonly Placed[]) {
  const { wide, long } = p.sizes[size]!;
  const far = (i: 0 | 1): number =>
    Math.max(p.edge, ...placed.map((s) => s.at[i] + sizeOf(p.parts[s.part]!.outline, s.turn)[i] + p.apart));
  const [x, y] = [far(0), far(1)];
  const rects = [
    { x, y: p.edge, wide: wide - p.edge - x, high: long - 2 * p.edge },
    { x: p.edge, y, wide: x - p.edge - p.apart, high: long - p.edge - y },
  ];
  return rects.filter((r) => r.wide > NEAR && r.high > NEAR);
}
