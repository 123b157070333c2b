import type { Step } from "../assembly";

/** Whether `late` has to come after `early`, by the steps between, in a partial order given by what each comes after. */
export function comesAfter(after: ReadonlyMap<string, ReadonlySet<string>>, late: string, early: string): boolean {
  const seen = new Set<string>();
  const open = [late];
  while (open.length > 0) {
    const x = open.pop()!;
    if (x === early) return true;
    if (seen.has(x)) continue;
    seen.add(x);
    open.push(...(after.get(x) ?? []));
  }
  return false;
}
/** The steps with each after all that has to come before it, as near to the order given as that allows: what is free to be done stays where it stands, before what comes later in the list. */
export function inOrder(steps: readonly Step[]): Step[] {
  const known = new Set(steps.map((s) => s.id));
  const done = new Set<string>();
  const out: Step[] = [];
  // what has to come first is drawn to just before what needs it
  const of = new Map(steps.map((s) => [s.id, s] as const));
  const put = (s: Step): void => {
    if (done.has(s.id)) return;
    done.add(s.id);
    for (const x of s.after) if (known.has(x)) put(of.get(x)!);
    out.push(s);
  };
  for (const s of steps) put(s);
  return shown(out);
}
/** What is there when each step begins, as the order is now: on its board what lies there, where it stands what was placed. */
export function shown(steps: readonly Step[]): Step[] {
  const boards = new Map<string, string[]>();
  let stands: string[] = [];
  return steps.map((x): Step => {
    if (x.place === "finish") return x;
    if (x.place === "own") return { ...x, there: stands };
    const there = x.place === "board" ? (boards.get(x.unit!) ?? []) : stands;
    if (x.place === "board") boards.set(x.unit!, [...there, ...x.sticks]);
    else stands = [...there, ...x.sticks];
    return { ...x, there };
  });
}
