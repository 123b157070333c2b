import type { Placing } from "./sequence";
import type { Step } from "./step";

/**
 * Placings as steps: those of a key together as far as what has to come before allows. A piece has to be there before those
 * that would stand in its way, and after those that carry it; of a higher rank after all of a lower. Each step knows the
 * steps that have to come before it.
 */
export function made(
  order: readonly Placing[],
  keyOf: (p: Placing) => string,
  before: ReadonlyMap<string, readonly string[]>,
  bearers: (p: Placing, i: number) => readonly string[],
  rankOf: (p: Placing) => number,
  of: (g: readonly Placing[], n: number, after: readonly number[]) => Omit<Step, "there" | "after">,
): Step[] {
  const at = new Map(order.map((p, i) => [p.body.id, i] as const));
  /** Which placings have to come before each, all of them earlier in the order that was found. */
  const needs = order.map((): Set<number> => new Set());
  order.forEach((p, i) => {
    for (const o of before.get(p.body.id) ?? []) {
      const k = at.get(o);
      if (k !== undefined && k > i) needs[k]!.add(i);
    }
    for (const o of bearers(p, i)) {
      const k = at.get(o);
      if (k !== undefined && k < i) needs[i]!.add(k);
    }
  });
  const done = new Set<number>();
  const groups: number[][] = [];
  const groupOf = new Map<number, number>();
  const waiting = order.map((_, i) => i).sort((a, b) => rankOf(order[a]!) - rankOf(order[b]!) || a - b);
  while (done.size < order.length) {
    const open = (i: number): boolean => !done.has(i) && [...needs[i]!].every((k) => done.has(k));
    const first = waiting.find(open)!;
    const key = keyOf(order[first]!);
    const group: number[] = [];
    // what the same key opens up on the way comes along
    for (let more = [first]; more.length > 0; more = waiting.filter((i) => open(i) && keyOf(order[i]!) === key))
      for (const i of more) {
        done.add(i);
        group.push(i);
        groupOf.set(i, groups.length);
      }
    groups.push(group);
  }
  const after = groups.map((g, n) => [...new Set(g.flatMap((i) => [...needs[i]!].map((k) => groupOf.get(k)!)))].filter((k) => k !== n).sort((a, b) => a - b)); // prettier-ignore
  // what ranks higher comes after all that ranks lower
  groups.forEach((g, n) => {
    const rank = rankOf(order[g[0]!]!);
    groups.forEach((o, k) => k < n && rankOf(order[o[0]!]!) < rank && !after[n]!.includes(k) && after[n]!.push(k));
  });
  const seen = new Map<string, number>();
  const ids: string[] = [];
  return groups.map((g, n): Step => {
    const own = g.map((i) => order[i]!);
    const about = of(own, 0, after[n]!);
    const count = seen.get(about.id) ?? 0;
    seen.set(about.id, count + 1);
    const named = count > 0 ? of(own, count, after[n]!) : about;
    ids.push(named.id);
    const there = groups.slice(0, n).flatMap((x) => x.flatMap((i) => order[i]!.body.sticks.map((k) => k.id)));
    // what a step before needs itself goes without saying
    const direct = after[n]!.filter((k) => !after[n]!.some((o) => o !== k && reaches(after, o, k)));
    return { ...named, there, after: direct.map((k) => ids[k]!) };
  });
}
/** Whether one step comes after another by the steps between. */
function reaches(after: readonly (readonly number[])[], from: number, to: number): boolean {
  const seen = new Set<number>();
  const open = [from];
  while (open.length > 0) {
    const n = open.pop()!;
    if (n === to) return true;
    if (seen.has(n) || n < to) continue;
    seen.add(n);
    open.push(...after[n]!);
  }
  return false;
}

export const movesOf = (g: readonly Placing[]): Step["moves"] =>
  g.map((p) => ({ sticks: p.body.sticks.map((k) => k.id), path: p.from }));
