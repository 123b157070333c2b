/** Something to be done at the bench in one go: how long it takes, what has to be done before, and how long after that it has to wait, minutes. */
export interface Task {
  readonly id: string;
  readonly title: string;
  readonly minutes: number;
  /** Tasks that have to be done before, and how long each has to rest then: glue that has to hold. */
  readonly after: readonly { readonly id: string; readonly rest: number }[];
  /** Before this minute it cannot begin: what it builds on dries still. */
  readonly ready?: number;
}
/** A time that one has, minutes from the beginning of the plan. */
export interface Window {
  readonly from: number;
  readonly to: number;
}
export interface Planned {
  readonly id: string;
  readonly from: number;
  readonly to: number;
}
/** Tasks in their times; `end` is when the last is done. What found no time in the windows there are is left over. */
export interface EveningPlan {
  readonly planned: readonly Planned[];
  readonly end: number;
  readonly left: readonly string[];
}
/** Up to so many tasks every order is looked at; and of more, so many orders besides the first. */
const [ALL, TRIES] = [8, 60];
/** A task longer than any evening is done in parts, the last one as told. */
const roomOf = (windows: readonly Window[]): number => Math.max(0, ...windows.map((w) => w.to - w.from));

/** Tasks in an order given, each as early as it can be after the one before: in a window that holds it, or over several where none does. */
export function placed(order: readonly Task[], windows: readonly Window[]): EveningPlan {
  const done = new Map<string, number>();
  const planned: Planned[] = [];
  const room = roomOf(windows);
  let at = 0;
  let w = 0;
  for (const [n, t] of order.entries()) {
    const ready = Math.max(at, t.ready ?? 0, ...t.after.map((a) => (done.get(a.id) ?? Infinity) + a.rest));
    let from = -1;
    for (let k = w; k < windows.length && Number.isFinite(ready); k++) {
      const start = Math.max(ready, windows[k]!.from);
      if (start >= windows[k]!.to) continue;
      if (windows[k]!.to - start >= t.minutes || t.minutes > room) {
        [from, w] = [start, k];
        break;
      }
    }
    if (from < 0) return { planned, end: Infinity, left: order.slice(n).map((x) => x.id) };
    let [rest, to] = [t.minutes, from];
    for (; ; w++) {
      if (w >= windows.length) return { planned, end: Infinity, left: order.slice(n).map((x) => x.id) };
      const start = Math.max(from, windows[w]!.from);
      const got = Math.min(rest, windows[w]!.to - start);
      rest -= got;
      to = start + got;
      if (rest <= 1e-9) break;
    }
    done.set(t.id, to);
    planned.push({ id: t.id, from, to });
    at = to;
  }
  return { planned, end: at, left: [] };
}

/** For each task how long it takes from its beginning to the end of all that hangs on it, rests and all: the longest chain. */
export function chains(tasks: readonly Task[]): ReadonlyMap<string, number> {
  const on = new Map<string, { id: string; rest: number }[]>();
  for (const t of tasks) for (const a of t.after) on.set(a.id, [...(on.get(a.id) ?? []), { id: t.id, rest: a.rest }]);
  const byId = new Map(tasks.map((t) => [t.id, t]));
  const known = new Map<string, number>();
  const long = (id: string): number => {
    const had = known.get(id);
    if (had !== undefined) return had;
    known.set(id, 0);
    const n = (byId.get(id)?.minutes ?? 0) + Math.max(0, ...(on.get(id) ?? []).map((o) => o.rest + long(o.id)));
    known.set(id, n);
    return n;
  };
  tasks.forEach((t) => long(t.id));
  return known;
}
/** The order in which, whenever one is free, what can be begun soonest is taken, the longest chain first among those. `shake` moves the lengths of chains about. */
function taken(
  tasks: readonly Task[],
  windows: readonly Window[],
  chain: ReadonlyMap<string, number>,
  shake: () => number,
): Task[] {
  const left = new Set(tasks);
  const done = new Map<string, number>();
  const order: Task[] = [];
  const weight = new Map(tasks.map((t) => [t, chain.get(t.id)! * (1 + shake())]));
  const startIn = (ready: number, minutes: number): number => {
    const room = roomOf(windows);
    for (const w of windows) {
      const start = Math.max(ready, w.from);
      if (start < w.to && (w.to - start >= minutes || minutes > room)) return start;
    }
    return Infinity;
  };
  let at = 0;
  while (left.size > 0) {
    let best: { t: Task; start: number } | undefined;
    for (const t of left) {
      if (t.after.some((a) => !done.has(a.id))) continue;
      const start = startIn(Math.max(at, t.ready ?? 0, ...t.after.map((a) => done.get(a.id)! + a.rest)), t.minutes);
      if (!best || start < best.start - 1e-9 || (start < best.start + 1e-9 && weight.get(t)! > weight.get(best.t)!)) best = { t, start }; // prettier-ignore
    }
    // what goes round in a ring has no beginning
    if (!best) break;
    left.delete(best.t);
    order.push(best.t);
    const one = placed(order.slice(-1).map((t) => ({ ...t, after: [] })), windows.map((w) => ({ from: Math.max(w.from, best.start), to: w.to })).filter((w) => w.to > w.from)); // prettier-ignore
    at = Number.isFinite(one.end) ? one.end : best.start + best.t.minutes;
    done.set(best.t.id, at);
  }
  return [...order, ...left];
}
/** The best of all orders, those that cannot be better left out. */
function searched(
  tasks: readonly Task[],
  windows: readonly Window[],
  chain: ReadonlyMap<string, number>,
  first: EveningPlan,
): EveningPlan {
  let best = first;
  const order: Task[] = [];
  const used = new Set<string>();
  const go = (): void => {
    const now = placed(order, windows);
    if (now.end === Infinity && order.length > 0) return;
    if (order.length === tasks.length) {
      if (now.end < best.end - 1e-9) best = now;
      return;
    }
    const end = order.length > 0 ? now.end : 0;
    for (const t of tasks) {
      if (used.has(t.id) || t.after.some((a) => !used.has(a.id))) continue;
      if (end + chain.get(t.id)! >= best.end - 1e-9) continue;
      used.add(t.id);
      order.push(t);
      go();
      order.pop();
      used.delete(t.id);
    }
  };
  go();
  return best;
}
/** A repeatable shake: the same every time. */
function shaken(seed: number): () => number {
  let s = seed * 2654435761 + 1;
  return () => {
    s = (Math.imul(s, 1664525) + 1013904223) >>> 0;
    return (s / 2 ** 32 - 0.5) * 0.6;
  };
}

/**
 * Tasks over the times that one has, so that the last is done as early as can be: waits are filled with other work, the
 * longest chain first. Never worse than the order they come in; of a few tasks the best there is.
 */
export function planEvenings(tasks: readonly Task[], windows: readonly Window[]): EveningPlan {
  const chain = chains(tasks);
  let best = placed(tasks, windows);
  const offer = (p: EveningPlan): void => {
    if (p.left.length < best.left.length || (p.left.length === best.left.length && p.end < best.end - 1e-9)) best = p;
  };
  offer(
    placed(
      taken(tasks, windows, chain, () => 0),
      windows,
    ),
  );
  const tries = Math.max(2, Math.min(TRIES, Math.floor(20_000 / Math.max(1, tasks.length ** 1.5))));
  for (let n = 1; n <= tries; n++) offer(placed(taken(tasks, windows, chain, shaken(n)), windows));
  return tasks.length <= ALL ? searched(tasks, windows, chain, best) : best;
}

/** A weekly time: the day (0 is Sunday), and from when to when, minutes of the day. */
export interface Evening {
  readonly day: number;
  readonly from: number;
  readonly to: number;
}
/** Evenings from a moment on as windows, minutes from it, over so many days; in the time of the place. */
export function windowsOf(evenings: readonly Evening[], start: Date, days: number): Window[] {
  const out: Window[] = [];
  for (let n = 0; n < days; n++) {
    const day = new Date(start.getFullYear(), start.getMonth(), start.getDate() + n);
    for (const e of evenings) {
      if (e.day !== day.getDay()) continue;
      // by the clock on the wall, whatever summer time makes of the day
      const at = (m: number): number => (new Date(day.getFullYear(), day.getMonth(), day.getDate(), 0, m).getTime() - start.getTime()) / 60_000; // prettier-ignore
      if (at(e.to) > 0) out.push({ from: Math.max(0, at(e.from)), to: at(e.to) });
    }
  }
  return out.sort((a, b) => a.from - b.from);
}
/** A plan as a calendar file, each task an event; RFC 5545. `now` is when it is made. */
export function calendarOf(tasks: readonly Task[], plan: EveningPlan, start: Date, now: Date): string {
  const stamp = (d: Date): string => d.toISOString().replace(/[-:]/g, "").replace(/\.\d+/, "");
  const escaped = (t: string): string => t.replace(/([\\;,])/g, "\\$1").replace(/\n/g, "\\n");
  const title = new Map(tasks.map((t) => [t.id, t.title]));
  /** A line of at most 75 octets, the rest on lines that begin with a space. */
  const folded = (line: string): string => {
    const bytes = new TextEncoder().encode(line);
    if (bytes.length <= 75) return line;
    const parts: string[] = [];
    let part = "";
    let size = 0;
    for (const c of line) {
      const n = new TextEncoder().encode(c).length;
      if (size + n > (parts.length === 0 ? 75 : 74)) {
        parts.push(part);
        [part, size] = ["", 0];
      }
      part += c;
      size += n;
    }
    return [...parts, part].join("\r\n ");
  };
  const events = plan.planned.flatMap((p) => [
    "BEGIN:VEVENT",
    `UID:${p.id.replace(/[^\w-]/g, "-").slice(0, 120)}-${p.from.toFixed(0)}@cardo`,
    `DTSTAMP:${stamp(now)}`,
    `DTSTART:${stamp(new Date(start.getTime() + p.from * 60_000))}`,
    `DTEND:${stamp(new Date(start.getTime() + p.to * 60_000))}`,
    `SUMMARY:${escaped(title.get(p.id) ?? p.id)}`,
    "END:VEVENT",
  ]);
  return `${["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//Cardo//Bench//EN", ...events, "END:VCALENDAR"].map(folded).join("\r\n")}\r\n`; // prettier-ignore
}
