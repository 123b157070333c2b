import { line, text, type Entity, type Shown } from "../drawing";
import type { Vec2 } from "../geometry";

/** Height of a capital in a piece mark, mm: to be read at the bench. */
export const MARK = 2.2;
/** Room between two marks, mm. */
const APART = 0.4;
const radiusOf = (words: string): number => MARK * (0.75 + 0.28 * words.length);

/** A piece mark in its circle. */
export function bubble(at: Vec2, words: string): Entity[] {
  return [
    { kind: "circle", centre: at, radius: radiusOf(words), line: "thin", fill: "white" },
    text([at[0], at[1] - MARK / 2], words, MARK, "middle", "label"),
  ];
}

/** A stick to be marked: where along it, as a share of half its length from its middle, its mark stands best. */
export interface ToMark {
  readonly shown: Shown;
  readonly mark: string;
  readonly best: number;
}
interface Placed {
  readonly at: Vec2;
  readonly radius: number;
}

/** Half of what a stick is long on the drawing. */
function halfOf({ outlines, centre, along }: Shown): number {
  let most = 0;
  for (const o of outlines)
    for (const p of o) most = Math.max(most, Math.abs((p[0] - centre[0]) * along[0] + (p[1] - centre[1]) * along[1]));
  return most;
}
const onStick = (s: Shown, share: number): Vec2 => {
  const half = halfOf(s);
  return [s.centre[0] + share * half * s.along[0], s.centre[1] + share * half * s.along[1]];
};

/**
 * Marks on their sticks so that none covers another: each moves along its stick, or aside with a line to it. Alike
 * sticks side by side, too close for a mark each, share one: a line crosses them with a dot on each. They keep
 * clear of the circles that are standing.
 */
export function placeMarks(all: readonly ToMark[], standing: readonly Entity[] = []): Entity[] {
  const placed: Placed[] = standing.flatMap((e) => (e.kind === "circle" ? [{ at: e.centre, radius: e.radius }] : []));
  const out: Entity[] = [];
  const free = (at: Vec2, radius: number): boolean =>
    placed.every((p) => Math.hypot(p.at[0] - at[0], p.at[1] - at[1]) >= p.radius + radius + APART);
  const put = (at: Vec2, words: string): void => {
    placed.push({ at, radius: radiusOf(words) });
    out.push(...bubble(at, words));
  };
  const runs = runsOf(all);
  const inRun = new Set(runs.flat());
  // what is short has the least room
  const singles = all.filter((x) => !inRun.has(x)).sort((a, b) => halfOf(a.shown) - halfOf(b.shown));
  for (const { shown, mark, best } of singles) {
    const r = radiusOf(mark);
    const along = SHARES.map((s) => best + s)
      .filter((s) => Math.abs(s) <= 0.92)
      .map((s) => onStick(shown, s));
    const spot = along.find((p) => free(p, r));
    if (spot) {
      put(spot, mark);
      continue;
    }
    const from = onStick(shown, best);
    const side: Vec2 = [-shown.along[1], shown.along[0]];
    const aside = ASIDE.map((k): Vec2 => {
      const far = k * (r + 0.5);
      return Math.hypot(...side) < 0.1
        ? [from[0] + far, from[1] + far]
        : [from[0] + side[0] * far, from[1] + side[1] * far];
    });
    const beside = aside.find((p) => free(p, r)) ?? aside[0]!;
    out.push(line(from, beside, "thin"));
    put(beside, mark);
  }
  for (const run of runs) {
    const { mark } = run[0]!;
    const r = radiusOf(mark);
    // the middle stick has the mark, near it if need be
    const order = run.map((_, i) => i).sort((a, b) => Math.abs(a - run.length / 2) - Math.abs(b - run.length / 2));
    const spots = SHARES.flatMap((share) => order.map((i) => ({ share, at: onStick(run[i]!.shown, share) })));
    // or past one end of the line, as far as need be
    const { along } = run[0]!.shown;
    const past = SHARES.slice(0, 5).flatMap((share) =>
      ASIDE.map((k) => {
        const end = onStick(run[k > 0 ? run.length - 1 : 0]!.shown, share);
        const far = k * (r + 0.5);
        return { share, at: [end[0] - along[1] * far, end[1] + along[0] * far] as Vec2 };
      }),
    );
    const { share, at } = [...spots, ...past].find((s) => free(s.at, r)) ?? spots[0]!;
    const dots = run.map((x) => onStick(x.shown, share));
    out.push(line(dots[0]!, dots[dots.length - 1]!, "thin"));
    if (!spots.some((s) => s.at === at)) {
      const near = (p: Vec2): number => Math.hypot(p[0] - at[0], p[1] - at[1]);
      out.push(line(near(dots[0]!) < near(dots[dots.length - 1]!) ? dots[0]! : dots[dots.length - 1]!, at, "thin"));
    }
    for (const p of dots) out.push({ kind: "circle", centre: p, radius: DOT, line: "thin", fill: "black" });
    put(at, mark);
  }
  return out;
}
/** Where along a stick a mark is tried, as shares of half its length. */
const SHARES = [0, 0.16, -0.16, 0.32, -0.32, 0.48, -0.48, 0.64, -0.64, 0.8, -0.8];
/** And aside, as shares of a mark's radius. */
const ASIDE = Array.from({ length: 40 }, (_, i) => (i % 2 === 0 ? 1 : -1) * (1.4 + 0.6 * (i >> 1)));
const DOT = 0.3;
/** Fewer alike ones have a mark each. */
const LEAST_RUN = 3;

/** Alike, level sticks that stand side by side closer than their marks are wide, in order across. */
function runsOf(all: readonly ToMark[]): (readonly ToMark[])[] {
  const out: ToMark[][] = [];
  const byMark = new Map<string, ToMark[]>();
  for (const x of all) {
    // what is seen end on has no direction
    if (Math.hypot(...x.shown.along) < 0.5) continue;
    const a = Math.round((Math.atan2(x.shown.along[1], x.shown.along[0]) * 180) / Math.PI + 360) % 180;
    const key = `${x.mark}|${a}`;
    byMark.set(key, [...(byMark.get(key) ?? []), x]);
  }
  for (const alike of byMark.values()) {
    const { along } = alike[0]!.shown;
    const across = ({ shown: s }: ToMark): number => -s.centre[0] * along[1] + s.centre[1] * along[0];
    const down = ({ shown: s }: ToMark): number => s.centre[0] * along[0] + s.centre[1] * along[1];
    const wide = 2 * radiusOf(alike[0]!.mark) + APART;
    const open: ToMark[][] = [];
    for (const x of [...alike].sort((a, b) => across(a) - across(b))) {
      const run = open.find((r) => {
        const last = r[r.length - 1]!;
        const step = across(x) - across(last);
        return step > 0.05 && step < wide && Math.abs(down(x) - down(last)) < 0.3 * halfOf(x.shown);
      });
      if (run) run.push(x);
      else open.push([x]);
    }
    out.push(...open.filter((r) => r.length >= LEAST_RUN));
  }
  return out;
}

/** Marks that stand beside a drawing, the sticks they are of, and the room they take over and under it. */
export interface MarksAside {
  readonly entities: readonly Entity[];
  readonly placed: ReadonlySet<string>;
  readonly above: number;
  readonly below: number;
}
/** Marks of upright sticks over or under the drawing, of level ones at its right, each led to its stick; those that lean keep theirs on them. */
export function marksAside(
  shown: readonly Shown[],
  { min, max }: { readonly min: Vec2; readonly max: Vec2 },
  mark: (id: string) => string,
): MarksAside {
  const entities: Entity[] = [];
  const placed = new Set<string>();
  const largest = Math.max(0, ...shown.map((x) => radiusOf(mark(x.id))));
  const row = 2 * largest + APART;
  const rows: Record<"above" | "below" | "right", { readonly at: number; readonly r: number }[]> = { above: [], below: [], right: [] }; // prettier-ignore
  /** The first row in which a mark has room beside the one before it. */
  const free = (side: keyof typeof rows, at: number, r: number): number => {
    let k = 0;
    while (rows[side][k] && rows[side][k]!.at + rows[side][k]!.r + APART > at - r) k++;
    rows[side][k] = { at, r };
    return k;
  };
  const tall = max[1] - min[1];
  const upright = shown.filter((x) => Math.abs(x.along[1]) > 0.99).sort((a, b) => a.centre[0] - b.centre[0]);
  for (const x of upright) {
    const over = x.centre[1] > min[1] + tall / 2 && x.max[1] - x.min[1] < tall * 0.6;
    const words = mark(x.id);
    const k = free(over ? "above" : "below", x.centre[0], radiusOf(words));
    const y = over ? max[1] + 1 + largest + k * row : min[1] - 1 - largest - k * row;
    entities.push(
      line([x.centre[0], over ? x.max[1] : x.min[1]], [x.centre[0], y], "thin"),
      ...bubble([x.centre[0], y], words),
    );
    placed.add(x.id);
  }
  const level = shown
    .filter((x) => Math.abs(x.along[0]) > 0.99 && x.max[1] - x.min[1] < 2 * MARK)
    .sort((a, b) => a.centre[1] - b.centre[1]);
  for (const x of level) {
    // a short one beside an opening has room on it; long ones run to the right edge
    const wide = max[0] - min[0];
    if (x.max[0] < max[0] - (x.max[0] - x.min[0] > 0.3 * wide ? 0.35 * wide : 2 * MARK)) continue;
    const k = free("right", x.centre[1], radiusOf(mark(x.id)));
    const at: Vec2 = [max[0] + 1.5 + largest + k * row, x.centre[1]];
    entities.push(line([x.max[0], x.centre[1]], at, "thin"), ...bubble(at, mark(x.id)));
    placed.add(x.id);
  }
  return { entities, placed, above: rows.above.length * row, below: rows.below.length * row };
}
