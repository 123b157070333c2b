import type { Vec2 } from "../geometry";
import { joinCollinear } from "./collinear";
import { withoutBorder } from "./border";
import { alongLine, directionOf, offLine, sineBetween, strokeLength, type FoundMember, type Stroke } from "./stroke";

/** What members are looked for among strokes. Lengths in pixels. */
export interface MemberSearch {
  readonly least: number;
  readonly most: number;
  /** How far lines may be out of parallel, degrees, and ends out of place. */
  readonly skew: number;
  readonly slack: number;
  /** Pixels to the prototype inch, where the sheet is calibrated: whole inches are likelier. */
  readonly perInch?: number;
}
/** A member is at least so many times as long as wide. */
const SLENDER = 2.1;
/** A pen this much thinner than the sheet's outlines draws dimensions, not members. */
const THIN = 0.66;
/** What is offered at least: share of certainty. */
const OFFERED = 0.5;

/** Who runs through stands about square to what butts on it: sine of 74°. */
const SQUARE = 0.96;
/** Short pairs are only believed where an end is closed: in widths, and pixels. */
const SHORT = [5, 70] as const;

interface Pair {
  readonly e: Stroke;
  readonly f: Stroke;
  readonly a: Vec2;
  readonly b: Vec2;
  readonly width: number;
  readonly score: number;
  readonly dashed: boolean;
  /** Ends closed by a stroke from edge to edge and no further. */
  readonly closed: number;
  /** Stretches from a where either edge is hidden. */
  readonly gaps: readonly (readonly [number, number])[];
}

/** The pen of the sheet's outlines: the thicker of its pens, by length drawn; 0 where none is known. */
function outlinePen(strokes: readonly Stroke[]): number {
  const solid = strokes.filter((s) => !s.dashed && s.pen > 0).sort((p, q) => q.pen - p.pen);
  const total = solid.reduce((t, s) => t + strokeLength(s), 0);
  let seen = 0;
  for (const s of solid) {
    seen += strokeLength(s);
    if (seen >= 0.25 * total) return s.pen;
  }
  return 0;
}

/** Members among strokes, the surest first: pairs of parallel lines that bound something long and narrow. */
export function membersAmong(strokes: readonly Stroke[], o: MemberSearch): FoundMember[] {
  const inside = withoutBorder(strokes, o.slack);
  const pen = outlinePen(inside);
  const bold = inside.filter((s) => s.dashed || s.pen === 0 || s.pen >= THIN * pen);
  const lines = joinCollinear(bold, o);
  const chosen = choose(believed(pairsAmong(lines, o)), o);
  const pairs = chosen.map((p) => (p.dashed ? behind(p, chosen) : p));
  const parts = pairs.flatMap((p) => splitAtThrough(p, pairs));
  return parts
    .filter((p) => p.score >= OFFERED)
    .sort((p, q) => q.score - p.score || strokeLength(q) - strokeLength(p))
    .filter((p, i, sorted) => !sorted.slice(0, i).some((q) => liesOn(p, q)))
    .map((p) => ({ id: idOf(p), a: p.a, b: p.b, width: p.width, score: p.score, hidden: p.dashed }));
}
/** Whether a pair is a stretch of another, found twice by strokes that overlap. */
function liesOn(p: Pair, q: Pair): boolean {
  if (p.width > 1.25 * q.width || q.width > 1.25 * p.width) return false;
  return [p.a, p.b].every((e) => {
    const t = alongLine(q, e);
    return Math.abs(offLine(q, e)) < 0.3 * q.width && t > -q.width && t < strokeLength(q) + q.width;
  });
}
/** A sheet that draws its members as outlines has no use for loose lines, unless they are closed at both ends. */
function believed(pairs: readonly Pair[]): readonly Pair[] {
  const outlined = (p: Pair): boolean => p.e.outline !== undefined && p.e.outline === p.f.outline;
  return pairs.filter(outlined).length < 3 ? pairs : pairs.filter((p) => outlined(p) || p.closed >= 1.5);
}
const idOf = (p: Pair): string =>
  `f${[...p.a, ...p.b]
    .map((n) => Math.round(n))
    .join("-")
    .replace(/--/g, "-n")}`;

function pairsAmong(lines: readonly Stroke[], o: MemberSearch): Pair[] {
  const out: Pair[] = [];
  const skew = Math.sin((o.skew * Math.PI) / 180);
  const each = (wanted: (e: Stroke, f: Stroke) => boolean): void =>
    lines.forEach((e, i) =>
      lines.slice(i + 1).forEach((f) => {
        if (e.dashed !== f.dashed || !wanted(e, f) || sineBetween(e, f) > skew) return;
        const pair = pairOf(e, f, lines, o);
        if (pair) out.push(pair);
      }),
    );
  // an outline that is a member of its own lends its edges to no other
  each((e, f) => e.outline !== undefined && e.outline === f.outline);
  const own = new Set(out.map((p) => p.e.outline));
  const free = (s: Stroke): boolean => s.outline === undefined || !own.has(s.outline);
  each((e, f) => free(e) && free(f) && !(e.outline !== undefined && e.outline === f.outline));
  return out;
}

function pairOf(e: Stroke, f: Stroke, lines: readonly Stroke[], o: MemberSearch): Pair | undefined {
  const [long, short] = strokeLength(e) >= strokeLength(f) ? [e, f] : [f, e];
  const off = (offLine(long, short.a) + offLine(long, short.b)) / 2;
  const width = Math.abs(off);
  if (width < o.least || width > o.most) return undefined;
  const [s0, s1] = ordered(alongLine(long, short.a), alongLine(long, short.b));
  const l = strokeLength(long);
  const [from, to] = [Math.max(0, s0), Math.min(l, s1)];
  const overlap = to - from;
  const [lo, hi] = [Math.min(0, s0), Math.max(l, s1)];
  if (overlap < 0.45 * (hi - lo) || hi - lo < SLENDER * width || overlap < 1.1 * width) return undefined;
  // a centre line is dashed and parts nothing; an outline of its own is whole whatever crosses it
  const one = e.outline !== undefined && e.outline === f.outline;
  const parts = (g: Stroke): boolean =>
    g !== e && g !== f && g.dashed === e.dashed && between(long, off, [from, to], g);
  if (!one && lines.some(parts)) return undefined;
  const u = directionOf(long);
  // the middle line: half way over to the other edge, following both
  const side = (t: number): Vec2 => {
    const on = t <= s0 ? s0 : t >= s1 ? s1 : t;
    const k = s1 > s0 ? (on - s0) / (s1 - s0) : 0;
    const [p, q] = alongLine(long, short.a) <= alongLine(long, short.b) ? [short.a, short.b] : [short.b, short.a];
    const d = (offLine(long, p) * (1 - k) + offLine(long, q) * k) / 2;
    // offLine is positive to the left with y down: (u.y, -u.x)
    return [long.a[0] + t * u[0] + d * u[1], long.a[1] + t * u[1] - d * u[0]];
  };
  const reach = 2.6 * width + o.slack;
  const first = endOfPair(long, off, [from, lo], reach, lines, o);
  const last = endOfPair(long, off, [to, hi], reach, lines, o);
  const [a, b] = [side(first.at), side(last.at)];
  const closed = first.closed + last.closed;
  if (hi - lo < Math.max(SHORT[0] * width, SHORT[1]) && closed < 0.5 && !e.dashed && e.outline === undefined)
    return undefined;
  const pens = e.pen && f.pen ? Math.min(e.pen, f.pen) / Math.max(e.pen, f.pen) : 1;
  const whole = o.perInch ? nominalness(width / o.perInch) : 0.6;
  const lengthwise = Math.min(1, (hi - lo) / width / 6);
  const score =
    0.34 * (overlap / (hi - lo)) + 0.16 * pens + 0.12 * closed + 0.12 * whole + 0.14 * lengthwise + (one ? 0.2 : 0);
  return {
    e,
    f,
    a,
    b,
    width,
    score: Math.min(1, score),
    dashed: e.dashed,
    closed,
    gaps: [...gapsAlong(e, a, b), ...gapsAlong(f, a, b)],
  };
}
const ordered = (p: number, q: number): readonly [number, number] => (p <= q ? [p, q] : [q, p]);
/** How near a width is to a whole inch, 0 to 1. */
const nominalness = (inch: number): number =>
  1 - Math.min(1, (4 * Math.abs(inch - Math.round(inch))) / Math.max(1, 0.08 * inch));

/** Whether a third line runs between the two over much of what they share. */
function between(long: Stroke, off: number, [from, to]: readonly [number, number], g: Stroke): boolean {
  if (sineBetween(long, g) > 0.05) return false;
  const d = (offLine(long, g.a) + offLine(long, g.b)) / 2;
  if (d * off <= 0 || Math.abs(d) < 0.2 * Math.abs(off) || Math.abs(d) > 0.8 * Math.abs(off)) return false;
  const [s0, s1] = ordered(alongLine(long, g.a), alongLine(long, g.b));
  return Math.min(to, s1) - Math.max(from, s0) > 0.35 * (to - from);
}

/**
 * Where a pair ends: at the stroke that closes it across both edges, to the tip of a slanted one; else where its longer
 * edge ends, if that is no further than a slanted cut would bring it. `closed` is 1 for a stroke from edge to edge, a half for one that goes on.
 */
function endOfPair(
  e: Stroke,
  off: number,
  [inner, outer]: readonly [number, number],
  reach: number,
  lines: readonly Stroke[],
  o: MemberSearch,
): { readonly at: number; readonly closed: number } {
  const near = o.slack * 2 + 0.12 * Math.abs(off);
  const way = outer >= inner ? 1 : -1;
  const open = Math.abs(outer - inner) <= reach ? outer : inner;
  let best = { at: open, closed: 0 };
  for (const g of lines) {
    if (g === e || g.dashed !== e.dashed || sineBetween(e, g) < 0.2) continue;
    const [p, q] = [offLine(e, g.a), offLine(e, g.b)];
    const [lo, hi] = ordered(p, q);
    if (lo > Math.min(0, off) + near || hi < Math.max(0, off) - near) continue;
    // where it crosses each edge, along e
    const cross = (d: number): number => {
      const k = (d - p) / (q - p);
      return alongLine(e, g.a) * (1 - k) + alongLine(e, g.b) * k;
    };
    const [c0, c1] = [cross(0), cross(off)];
    const [tip, root] = (c0 - c1) * way > 0 ? [c0, c1] : [c1, c0];
    // it closes the pair when its nearer crossing lies where the shorter edge ends
    if (Math.abs(root - inner) > near + 0.05 * Math.abs(tip - root)) continue;
    const exact = Math.abs(lo - Math.min(0, off)) < near && Math.abs(hi - Math.max(0, off)) < near;
    if (best.closed < (exact ? 1 : 0.5)) best = { at: tip, closed: exact ? 1 : 0.5 };
  }
  return best;
}

/** Stretches along a–b where an edge has a gap. */
function gapsAlong(s: Stroke, a: Vec2, b: Vec2): (readonly [number, number])[] {
  const u = directionOf(s);
  const at = (t: number): number => alongLine({ a, b }, [s.a[0] + t * u[0], s.a[1] + t * u[1]]);
  return s.gaps.map(([x, y]) => ordered(at(x), at(y)));
}

type Span = readonly [number, number];
/** The side of a line that a pair lies on, and the stretch of it that it takes. */
function useOf(s: Stroke, p: Pair): { readonly side: number; readonly span: Span } {
  const other = s === p.e ? p.f : p.e;
  return {
    side: Math.sign(offLine(s, other.a) + offLine(s, other.b)),
    span: ordered(alongLine(s, p.a), alongLine(s, p.b)),
  };
}
/** Whether two pairs want the same side of a line, or both sides of one that is not the end of both. */
function clash(p: Pair, q: Pair, slack: number): boolean {
  return [p.e, p.f].some((s) => {
    if (s !== q.e && s !== q.f) return false;
    const [x, y] = [useOf(s, p), useOf(s, q)];
    if (Math.min(x.span[1], y.span[1]) - Math.max(x.span[0], y.span[0]) < slack * 3) return false;
    // two members side by side share a line only where both are closed by their own ends
    return (
      x.side === y.side ||
      !(p.closed >= 1.5 && q.closed >= 1.5 && Math.max(p.width, q.width) < 2.5 * Math.min(p.width, q.width))
    );
  });
}
/**
 * Takes pairs so that no side of a line serves twice, for the most certainty in all: the narrow and sure first, then by
 * exchange, as long as taking one in for those it clashes with, and what that frees, makes the sum larger.
 */
function choose(pairs: readonly Pair[], o: MemberSearch): Pair[] {
  const worth = (list: readonly Pair[]): number => list.reduce((t, p) => t + p.score - (0.3 * p.width) / o.most, 0);
  const rank = (p: Pair): number => p.width / (0.25 + p.score + 0.15 * p.closed);
  const sorted = pairs.filter((p) => p.score >= OFFERED).sort((x, y) => rank(x) - rank(y));
  const clashes = new Map(sorted.map((p) => [p, new Set(sorted.filter((q) => q !== p && clash(p, q, o.slack)))]));
  const fits = (p: Pair, list: readonly Pair[]): boolean => !list.some((t) => clashes.get(p)!.has(t));
  const fill = (list: Pair[], first: readonly Pair[] = []): Pair[] => {
    for (const p of [...first, ...sorted]) if (!list.includes(p) && fits(p, list)) list.push(p);
    return list;
  };
  /** Pairs not taken that clash with what p clashes with, and so on. */
  const rivals = (p: Pair): Pair[] => {
    const reached = new Set([p]);
    for (const q of reached)
      for (const t of clashes.get(q)!) if (taken.includes(t) !== taken.includes(q)) reached.add(t);
    return sorted.filter((q) => q !== p && reached.has(q) && !taken.includes(q));
  };
  let taken = fill([]);
  for (let again = true, round = 0; again && round < 6; round++) {
    again = false;
    for (const p of sorted) {
      if (taken.includes(p)) continue;
      // in for those it clashes with; or with all that are kept out by the same ones, as a row of posts is by the gaps between them
      const swaps = [
        fill([...taken.filter((t) => !clashes.get(p)!.has(t)), p]),
        fill(
          rivals(p).reduce<Pair[]>((list, q) => (fits(q, list) ? [...list, q] : list), [p]),
          taken,
        ),
      ];
      const other = worth(swaps[0]!) >= worth(swaps[1]!) ? swaps[0]! : swaps[1]!;
      if (worth(other) <= worth(taken) + 1e-9) continue;
      taken = other;
      again = true;
    }
  }
  return taken;
}

/** How much of a hidden member's last dash may be missing before what hides it, pixels. */
const LAST_DASH = 26;
/** A hidden member whose dashes stop before another is lapped behind that: it goes on to the far edge. */
function behind(p: Pair, all: readonly Pair[]): Pair {
  const ended = (end: Vec2, other: Vec2): Vec2 => {
    const line = { a: other, b: end };
    const l = strokeLength(line);
    const u = directionOf(line);
    let far = 0;
    for (const q of all) {
      const sine = q.dashed ? 0 : sineBetween(p, q);
      if (sine < 0.3) continue;
      const [d0, d1] = [offLine(q, other), offLine(q, end)];
      const at = (l * d0) / (d0 - d1);
      const half = q.width / 2 / sine;
      const t = alongLine(q, [other[0] + at * u[0], other[1] + at * u[1]]);
      if (t < 0 || t > strokeLength(q) || at - half > l + LAST_DASH || at + half < l) continue;
      far = Math.max(far, at + half);
    }
    return far > l ? [other[0] + far * u[0], other[1] + far * u[1]] : end;
  };
  return { ...p, a: ended(p.a, p.b), b: ended(p.b, p.a) };
}

/** Sills, caps and chords lie level or plumb; what slants is a brace. Within 4°, for a sheet is seldom scanned straighter. */
function alongSheet(p: Pair): boolean {
  const [x, y] = directionOf(p);
  return Math.min(Math.abs(x), Math.abs(y)) < Math.sin((4 * Math.PI) / 180);
}
/** Cuts a pair where a member as stout as itself runs through a gap of its edges: there it butts on that. Slighter ones are lapped over it. */
function splitAtThrough(p: Pair, all: readonly Pair[]): Pair[] {
  const u = directionOf(p);
  const l = strokeLength(p);
  const stops: [number, number][] = [];
  for (const q of all) {
    const sine = q === p || q.dashed ? 0 : sineBetween(p, q);
    if (sine < SQUARE || q.width < 0.9 * p.width || !alongSheet(q)) continue;
    const [d0, d1] = [offLine(q, p.a), offLine(q, p.b)];
    const at = (l * d0) / (d0 - d1);
    const half = q.width / 2 / sine;
    if (!(at > p.width / 2 + half && at < l - p.width / 2 - half)) continue;
    const t = alongLine(q, [p.a[0] + at * u[0], p.a[1] + at * u[1]]);
    if (t < 0 || t > strokeLength(q)) continue;
    const hidden = p.gaps.some((g) => Math.min(g[1], at + half) - Math.max(g[0], at - half) > half);
    if (hidden) stops.push([at - half, at + half]);
  }
  if (stops.length === 0) return [p];
  stops.sort((x, y) => x[0] - y[0]);
  const point = (t: number): Vec2 => [p.a[0] + t * u[0], p.a[1] + t * u[1]];
  const edges = [0, ...stops.flat(), l];
  return Array.from({ length: stops.length + 1 }, (_, i) => ({
    ...p,
    a: point(edges[2 * i]!),
    b: point(edges[2 * i + 1]!),
  })).filter((q) => strokeLength(q) > 1.2 * q.width);
}
