import type { Vec2 } from "../geometry";
import { alongLine, directionOf, offLine, sineBetween, strokeLength, type Stroke } from "./stroke";

interface Options {
  /** Widest member looked for, and how far ends may be out of place, pixels. */
  readonly most: number;
  readonly slack: number;
}
/** Longest stretch that may be hidden behind what crosses, in widest members; dashed lines stand behind more. */
const HIDDEN = 2.2;
const HIDDEN_DASHED = 5;

/** Joins strokes that continue each other behind what crosses them: at both ends of the gap another stroke passes. The gaps are remembered. */
export function joinCollinear(strokes: readonly Stroke[], o: Options): Stroke[] {
  const rest = [...strokes].sort((p, q) => strokeLength(q) - strokeLength(p));
  const out: Stroke[] = [];
  while (rest.length > 0) {
    let line = rest.shift()!;
    for (let again = true; again;) {
      again = false;
      for (const [i, s] of rest.entries()) {
        const joined = join(line, s, strokes, o);
        if (!joined) continue;
        line = joined;
        rest.splice(i, 1);
        again = true;
        break;
      }
    }
    out.push(line);
  }
  return out;
}

function join(p: Stroke, q: Stroke, all: readonly Stroke[], o: Options): Stroke | undefined {
  if (p.dashed !== q.dashed || p.outline !== q.outline) return undefined;
  if (p.pen && q.pen && (p.pen > 1.7 * q.pen || q.pen > 1.7 * p.pen)) return undefined;
  const [t0, t1] = [alongLine(p, q.a), alongLine(p, q.b)].sort((x, y) => x - y) as [number, number];
  const l = strokeLength(p);
  const after = t0 >= l - o.slack;
  const before = t1 <= o.slack;
  if (!after && !before) return undefined;
  const gap = after ? t0 - l : -t1;
  if (gap > (p.dashed ? HIDDEN_DASHED : HIDDEN) * o.most) return undefined;
  const far = (s: Stroke, way: 1 | -1): Vec2 => (way * (alongLine(p, s.b) - alongLine(p, s.a)) > 0 ? s.b : s.a);
  const [a, b] = after ? [p.a, far(q, 1)] : [far(q, -1), p.b];
  const line = { a, b };
  // on the line from end to end, none of the four stands off
  if ([p.a, p.b, q.a, q.b].some((e) => Math.abs(offLine(line, e)) > 0.6 * o.slack)) return undefined;
  const u = directionOf(p);
  const on = (t: number): Vec2 => [p.a[0] + t * u[0], p.a[1] + t * u[1]];
  const ends = after ? [on(l), on(t0)] : [on(t1), on(0)];
  // dashes are drawn unseen: they go on behind what stands before them
  if (!p.dashed && gap > o.slack && !ends.every((e) => crossed(e, p, q, all, o.slack))) return undefined;
  const place = (s: Stroke): [number, number][] =>
    s.gaps.map(([x, y]) => {
      const v = directionOf(s);
      const at = (t: number): number => alongLine(line, [s.a[0] + t * v[0], s.a[1] + t * v[1]]);
      return [at(x), at(y)].sort((m, n) => m - n) as [number, number];
    });
  const own: [number, number] = [alongLine(line, ends[0]!), alongLine(line, ends[1]!)];
  const w = l + strokeLength(q);
  return {
    a,
    b,
    pen: (p.pen * l + q.pen * strokeLength(q)) / w,
    dashed: p.dashed,
    gaps: [...place(p), ...place(q), ...(gap > o.slack ? [own] : [])].sort((x, y) => x[0] - y[0]),
    ...(p.outline === undefined ? {} : { outline: p.outline }),
  };
}

/** Whether another stroke passes by an end. */
function crossed(e: Vec2, p: Stroke, q: Stroke, all: readonly Stroke[], slack: number): boolean {
  return all.some((s) => {
    if (s === p || s === q || s.dashed || sineBetween(s, p) < 0.15) return false;
    const t = alongLine(s, e);
    return Math.abs(offLine(s, e)) < 2.2 * slack && t > -2 * slack && t < strokeLength(s) + 2 * slack;
  });
}
