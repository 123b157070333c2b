import { areaPathsD, FillRule, intersectD, type PathsD } from "clipper2-ts";
import type { Vec2 } from "../geometry";
import { sizeOf, turnedOutline, type NestedSheet, type NestProblem, type Placed, type Rect } from "../nesting";

/** A hundredth of a millimetre is not seen. */
const SLACK = 1e-3;

/**
 * What is wrong with a plan of sheets, in words; nothing where it can be cut as it says. It looks at the plan alone, and
 * reckons with a polygon library what the planner reckons by itself: each part is there once, lies within its sheet and
 * in nobody's way, its lines run with the sheet's and fall on them, and where it is cut from edge to edge, making the
 * cuts in their order leaves each part as a piece of its own.
 */
export function sheetPlanFaults(p: NestProblem, sheets: readonly NestedSheet[]): string[] {
  const said: string[] = [];
  const wanted = new Map(p.parts.flatMap((part, i) => part.sticks.map((s) => [`${i} ${s}`, part.mark] as const)));
  for (const s of sheets.flatMap((x) => x.placed))
    if (!wanted.delete(`${s.part} ${s.stick}`)) said.push(`${p.parts[s.part]!.mark} (${s.stick}) is cut twice.`);
  for (const mark of wanted.values()) said.push(`${mark} is not cut.`);
  p.sizes.forEach((size, i) => {
    const n = sheets.filter((s) => s.size === i).length;
    if (size.count !== null && n > size.count)
      said.push(`${n} sheets of ${size.wide} × ${size.long} are used; there are ${size.count}.`);
  });
  sheets.forEach((sheet, n) => said.push(...faultsOf(p, sheet).map((t) => `Sheet ${n + 1}: ${t}`)));
  return said;
}

const ringOf = (p: NestProblem, s: Placed): Vec2[] =>
  turnedOutline(p.parts[s.part]!.outline, s.turn).map(([x, y]): Vec2 => [x + s.at[0], y + s.at[1]]);
const path = (ring: readonly Vec2[]): PathsD => [ring.map(([x, y]) => ({ x, y }))];

function faultsOf(p: NestProblem, sheet: NestedSheet): string[] {
  const said: string[] = [];
  const { wide, long } = p.sizes[sheet.size]!;
  const all = sheet.placed.map((s) => ({ s, ring: ringOf(p, s), mark: p.parts[s.part]!.mark }));
  for (const { s, ring, mark } of all) {
    const [xs, ys] = [ring.map((q) => q[0]), ring.map((q) => q[1])];
    if (
      Math.min(...xs, ...ys) < p.edge - SLACK ||
      Math.max(...xs) > wide - p.edge + SLACK ||
      Math.max(...ys) > long - p.edge + SLACK
    )
      said.push(`${mark} lies beyond the sheet.`);
    const { lines, turns } = p.parts[s.part]!;
    if (!turns.includes(s.turn)) said.push(`${mark} is turned by ${s.turn} quarters, which it may not be.`);
    if (lines) {
      // a point of one of its lines, taken to the sheet as any other point of it
      const [w, h] = sizeOf(p.parts[s.part]!.outline, 0);
      const [x, y] = lines.across === "x" ? [lines.first, 0] : [0, lines.first];
      const at = [x, h - y, w - x, y][s.turn]! + s.at[0];
      const upright = (lines.across === "x") === (s.turn % 2 === 0);
      const off = Math.abs(at / lines.pitch - Math.round(at / lines.pitch)) * lines.pitch;
      if (!upright || off > 0.02)
        said.push(`${mark} has its lines ${upright ? `${off.toFixed(2)} mm beside` : "across"} the sheet's.`);
    }
  }
  for (let i = 0; i < all.length; i++)
    for (let j = i + 1; j < all.length; j++) {
      const over = Math.abs(areaPathsD(intersectD(path(all[i]!.ring), path(all[j]!.ring), FillRule.NonZero, 6)));
      if (over > SLACK) said.push(`${all[i]!.mark} and ${all[j]!.mark} overlap by ${over.toFixed(3)} mm².`);
    }
  if (p.by === "free" && sheet.cuts.length === 0) return said;
  // what is in hand, cut after cut
  let pieces: Rect[] = [{ x: 0, y: 0, wide, high: long }];
  for (const c of sheet.cuts) {
    const upright = c.along === "y";
    const runs = (r: Rect): readonly [number, number] => (upright ? [r.y, r.y + r.high] : [r.x, r.x + r.wide]);
    const across = (r: Rect): readonly [number, number] => (upright ? [r.x, r.x + r.wide] : [r.y, r.y + r.high]);
    const half = p.apart / 2;
    const cut = pieces.find((r) => {
      const [a, b] = runs(r);
      const [lo, hi] = across(r);
      return (
        Math.abs(a - c.from) < SLACK &&
        Math.abs(b - c.to) < SLACK &&
        c.at > lo - half - SLACK &&
        c.at < hi + half + SLACK
      );
    });
    if (!cut) {
      said.push(
        `The cut at ${c.at.toFixed(2)} from ${c.from.toFixed(2)} to ${c.to.toFixed(2)} runs from edge to edge of nothing.`,
      );
      continue;
    }
    const [lo, hi] = across(cut);
    const keep = (
      [
        [lo, c.at - half],
        [c.at + half, hi],
      ] as const
    ).filter(([a, b]) => b - a > SLACK);
    pieces = [
      ...pieces.filter((r) => r !== cut),
      ...keep.map(([a, b]): Rect => (upright ? { ...cut, x: a, wide: b - a } : { ...cut, y: a, high: b - a })),
    ];
  }
  for (const { s, mark } of all) {
    const [w, h] = sizeOf(p.parts[s.part]!.outline, s.turn);
    const own = pieces.some(
      (r) =>
        Math.max(Math.abs(r.x - s.at[0]), Math.abs(r.y - s.at[1]), Math.abs(r.wide - w), Math.abs(r.high - h)) < SLACK,
    );
    if (!own) said.push(`${mark} is not free when all cuts are made.`);
  }
  return said;
}
