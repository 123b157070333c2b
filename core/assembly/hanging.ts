import { wholeId, type Frame } from "../frame";

/** What members hang on by their joints, and how deep: one that is cut to another, or lies on it, is deeper. Loops end where they are. */
export function hanging(frame: Frame): {
  readonly deep: (member: string) => number;
  readonly on: ReadonlyMap<string, readonly string[]>;
} {
  const on = new Map<string, string[]>();
  const hang = (a: string, b: string): void => {
    if (a !== b) on.set(wholeId(a), [...(on.get(wholeId(a)) ?? []), wholeId(b)]);
  };
  for (const j of frame.joints) if (j.kind === "butt" || j.kind === "lap" || j.kind === "notch" || j.kind === "bearing") hang(j.a, j.b); // prettier-ignore
  for (const n of frame.nodes)
    n.tiers.forEach((tier, t) => tier.forEach((e) => n.tiers.slice(0, t).flat().forEach((o) => hang(e.member, o.member)))); // prettier-ignore
  const known = new Map<string, number>();
  const open = new Set<string>();
  const deep = (m: string): number => {
    if (known.has(m)) return known.get(m)!;
    if (open.has(m)) return 0;
    open.add(m);
    const d = Math.min(8, Math.max(0, ...(on.get(m) ?? []).map((o) => deep(o) + 1)));
    open.delete(m);
    known.set(m, d);
    return d;
  };
  return { deep, on };
}
