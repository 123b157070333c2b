import { lotKey, type Lot } from "./lot";

/** Why something came in or went out. */
export type Why = "bought" | "counted" | "taken" | "cut" | "offcut" | "undone";
/** One line of the ledger: so many of a lot more, or less where it is below 0. Lines are only ever added. */
export interface Movement {
  readonly id: string;
  /** ISO time. */
  readonly at: string;
  readonly lot: Lot;
  readonly count: number;
  readonly why: Why;
  /** Price of one, where it was given. */
  readonly price?: number;
  readonly place?: string;
  readonly note?: string;
  /** The job and its pieces that it was cut for. */
  readonly job?: string;
  readonly sticks?: readonly string[];
  /** Further jobs with their pieces that came off the same stick or sheet. */
  readonly also?: readonly JobSticks[];
  /** The line that this one takes back. */
  readonly undoes?: string;
}
/** Pieces of one job. */
export interface JobSticks {
  readonly job: string;
  readonly sticks: readonly string[];
}
/** What the drawer holds of one lot; price, place and note as they were last given. */
export interface Holding {
  readonly key: string;
  readonly lot: Lot;
  readonly count: number;
  readonly price: number | undefined;
  readonly place: string;
  readonly note: string;
}
/** What lies in the drawer after all of its movements, first by what it is called, then by length. What is used up is left out. */
export function holdings(movements: readonly Movement[]): Holding[] {
  const all = new Map<string, { -readonly [K in keyof Holding]: Holding[K] }>();
  for (const m of movements) {
    const key = lotKey(m.lot);
    const h = all.get(key) ?? { key, lot: m.lot, count: 0, price: undefined, place: "", note: "" };
    h.count += m.count;
    if (m.price !== undefined) h.price = m.price;
    if (m.place !== undefined) h.place = m.place;
    if (m.note !== undefined) h.note = m.note;
    all.set(key, h);
  }
  return [...all.values()]
    .filter((h) => h.count > 0)
    .sort((a, b) => a.lot.form.localeCompare(b.lot.form) || a.lot.name.localeCompare(b.lot.name, "en", { numeric: true }) || a.lot.thickness - b.lot.thickness || a.lot.width - b.lot.width || a.lot.length - b.lot.length); // prettier-ignore
}
export const countOf = (movements: readonly Movement[], lot: Lot): number => {
  const key = lotKey(lot);
  return movements.reduce((s, m) => (lotKey(m.lot) === key ? s + m.count : s), 0);
};

/** One stick or sheet that was cut: whether it came out of the drawer, and the offcuts that are kept. */
export interface CutMove {
  readonly lot: Lot;
  readonly drawer: boolean;
  readonly left: readonly Lot[];
  readonly sticks: readonly string[];
  /** Pieces of other jobs that came off it too. */
  readonly also?: readonly JobSticks[];
}
type NewLine = Omit<Movement, "id" | "at">;
/** Lines for what was cut: each stick out of the drawer, where it came from there and there is one, and its offcuts in. */
export function linesOfCut(moves: readonly CutMove[], job: string, known: readonly Movement[]): NewLine[] {
  const taken = new Map<string, number>();
  return moves.flatMap((m): NewLine[] => {
    const key = lotKey(m.lot);
    const had = countOf(known, m.lot) - (taken.get(key) ?? 0);
    const out = m.drawer && had > 0;
    if (out) taken.set(key, (taken.get(key) ?? 0) + 1);
    const about = { job, sticks: m.sticks, ...(m.also?.length ? { also: m.also } : {}) };
    return [
      ...(out ? [{ lot: m.lot, count: -1, why: "cut" as const, ...about }] : []),
      ...m.left.map((lot) => ({ lot, count: 1, why: "offcut" as const, ...about })),
    ];
  });
}
/** Lines that take others back, each only once; one that is itself taken back, or takes back, is left as it is. */
export function linesThatUndo(movements: readonly Movement[], which: (m: Movement) => boolean): NewLine[] {
  const undone = new Set(movements.flatMap((m) => m.undoes ?? []));
  return movements
    .filter((m) => m.undoes === undefined && !undone.has(m.id) && which(m))
    .map(({ lot, count, job, sticks, also, id }) => ({ lot, count: -count, why: "undone" as const, undoes: id, ...(job ? { job } : {}), ...(sticks ? { sticks } : {}), ...(also ? { also } : {}) })); // prettier-ignore
}
/** Lines that take back what was cut for pieces of a job that are not cut after all: where nothing that came off the same stick is cut any more, of whichever job. */
export const linesOfUncut = (
  movements: readonly Movement[],
  job: string,
  sticks: readonly string[],
  isCut: (job: string, stick: string) => boolean,
): NewLine[] => {
  const back = new Set(sticks);
  return linesThatUndo(movements, (m) => {
    const all = m.job === undefined ? [] : [{ job: m.job, sticks: m.sticks ?? [] }, ...(m.also ?? [])];
    const touched = all.some((x) => x.job === job && x.sticks.some((s) => back.has(s)));
    return touched && all.every((x) => x.sticks.every((s) => !isCut(x.job, s)));
  });
};

/** So many of a lot that are kept for some jobs: plans of others do not count on them. */
export interface SetAside {
  readonly lot: Lot;
  readonly count: number;
  readonly jobs: readonly string[];
}
/** What of the drawer a job may take: all but what is set aside for others. */
export function freeFor(all: readonly Holding[], aside: readonly SetAside[], job: string | undefined): Holding[] {
  const kept = new Map<string, number>();
  for (const a of aside) if (job === undefined || !a.jobs.includes(job)) kept.set(lotKey(a.lot), (kept.get(lotKey(a.lot)) ?? 0) + a.count); // prettier-ignore
  return all.map((h) => ({ ...h, count: h.count - (kept.get(h.key) ?? 0) })).filter((h) => h.count > 0);
}
/** What is left set aside once sticks were cut for some jobs: what they took of their own is not kept for them any more. */
export function asideAfter(aside: readonly SetAside[], moves: readonly CutMove[], jobs: readonly string[]): SetAside[] {
  const left = aside.map((a) => ({ ...a }));
  for (const m of moves) {
    const own = m.drawer && left.find((a) => a.count > 0 && lotKey(a.lot) === lotKey(m.lot) && a.jobs.some((j) => jobs.includes(j))); // prettier-ignore
    if (own) own.count--;
  }
  return left.filter((a) => a.count > 0);
}
