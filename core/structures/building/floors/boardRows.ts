import { NEAR } from "../../../geometry";

/** Where the sticks of a row end: over supports, none longer than the longest, every other row broken half a stick off. */
export function boardBreaks(
  range: readonly [number, number],
  stations: readonly number[],
  longest: number,
  row: number,
): number[] {
  const [from, to] = range;
  const out = [from];
  let limit = row % 2 === 1 && to - from > longest ? longest / 2 : longest;
  for (;;) {
    const start = out[out.length - 1]!;
    if (to - start <= limit + NEAR) break;
    const next = [...stations].reverse().find((s) => s <= start + limit + NEAR && s > start + NEAR && s < to - NEAR);
    if (next === undefined) break;
    out.push(next);
    limit = longest;
  }
  return [...out, to];
}
/** The first and the last support that a stick of a row crosses whole; where there is none, one that it touches. */
export function holds(
  stations: readonly number[],
  start: number,
  end: number,
  half: number,
): { at: number; whole: boolean }[] {
  const at = stations.map((s, i) => ({ s, i }));
  const whole = at.filter(({ s }) => s - half > start - NEAR && s + half < end + NEAR);
  if (whole.length > 0)
    return [...new Set([whole[0]!.i, whole[whole.length - 1]!.i])].map((i) => ({ at: i, whole: true }));
  const touched = at.filter(({ s }) => s + half > start + NEAR && s - half < end - NEAR);
  return touched.slice(0, 2).map(({ i }) => ({ at: i, whole: false }));
}
