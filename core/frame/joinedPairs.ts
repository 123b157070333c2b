import { wholeId } from "./component";
import type { Resolved, ResolvedFrame } from "./resolve";

/** Every two sticks of members that a joint or a node brings together, each pair once. */
export function joinedPairs({ frame, byMember }: ResolvedFrame): (readonly [Resolved, Resolved])[] {
  const pairs = new Map<string, readonly [Resolved, Resolved]>();
  const pair = (a: string, b: string): void => {
    for (const x of byMember.get(wholeId(a)) ?? [])
      for (const y of byMember.get(wholeId(b)) ?? [])
        if (x !== y) pairs.set(x.id < y.id ? `${x.id}|${y.id}` : `${y.id}|${x.id}`, x.id < y.id ? [x, y] : [y, x]);
  };
  for (const j of frame.joints) if ("b" in j) pair(j.a, j.b);
  for (const n of frame.nodes) {
    const all = [...n.tiers.flat().map((e) => e.member), ...(n.passing ?? [])];
    all.forEach((a, i) => all.slice(i + 1).forEach((b) => pair(a, b)));
  }
  return [...pairs.values()];
}
