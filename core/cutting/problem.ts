/** One length of stock that can be bought or taken from the drawer. Lengths in mm; count null is as many as wanted. */
export interface StockLength {
  readonly length: number;
  readonly count: number | null;
  /** What one costs, in any unit; the plan costs the least in total. */
  readonly cost: number;
  /** It lies in the drawer. */
  readonly drawer?: true;
}
export interface Demand {
  readonly length: number;
  readonly count: number;
}
/** A bare stick problem: the cuts of a stick fit when the sum of (length + kerf) is at most stick length + kerf. mm. */
export interface StickProblem {
  readonly kerf: number;
  readonly stock: readonly StockLength[];
  readonly demand: readonly Demand[];
}
/** `count` sticks of stock[`stock`], each cut into `cuts` (mm, longest first). */
export interface StickLayout {
  readonly stock: number;
  readonly count: number;
  readonly cuts: readonly number[];
}
/** A plan, or why there is none. `lowerBound` is a cost no plan can beat; `proven` says that this plan meets it or was searched out. */
export type StickResult =
  | {
      readonly status: "optimal" | "feasible";
      readonly sticks: number;
      readonly cost: number;
      readonly lowerBound: number;
      readonly proven: boolean;
      readonly layouts: readonly StickLayout[];
      /** Sticks that first-fit, longest first, would have used; null when it runs out of stock. */
      readonly firstFit: number | null;
    }
  | { readonly status: "too long"; readonly length: number; readonly longest: number }
  | { readonly status: "not enough stock"; readonly short: number; readonly left: readonly Demand[] };

/** The problem in whole hundredths of a mm, divided by what all sizes share; sizes include the kerf. */
export interface IntegerProblem {
  readonly sizes: readonly number[];
  readonly demand: readonly number[];
  readonly stock: readonly {
    readonly cap: number;
    readonly cost: number;
    readonly limit: number;
    readonly source: number;
  }[];
  /** mm of each size, without kerf. */
  readonly lengths: readonly number[];
}
/** How many of each size a stick carries. */
export interface Pattern {
  readonly stock: number;
  readonly counts: readonly (readonly [item: number, count: number])[];
}

const HUNDREDTHS = 100;
const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** Reads a problem that came from outside. Errors: a sentence that names the field and the value read. */
export function readProblem(raw: unknown): StickProblem {
  const p = raw as Partial<StickProblem> | null;
  const bad = (what: string, read: unknown, want: string): never => {
    throw new Error(`${what} is ${JSON.stringify(read) ?? "missing"}; ${want}.`);
  };
  if (typeof p !== "object" || p === null)
    return bad("The problem", raw, "write an object with kerf, stock and demand");
  const number = (what: string, n: unknown, min: number, open = false): number =>
    typeof n === "number" && Number.isFinite(n) && (open ? n > min : n >= min) && n <= 1e7
      ? n
      : bad(what, n, `write a number ${open ? "above" : "from"} ${min}`);
  const whole = (what: string, n: unknown, min: number): number =>
    Number.isInteger(number(what, n, min)) ? (n as number) : bad(what, n, "write a whole number");
  const list = (what: string, l: unknown): readonly Record<string, unknown>[] =>
    Array.isArray(l) ? (l as Record<string, unknown>[]) : bad(what, l, "write a list");
  return {
    kerf: number("kerf", p.kerf ?? 0, 0),
    stock: list("stock", p.stock).map((s, i) => ({
      length: number(`stock[${i}].length`, s.length, 0, true),
      count: s.count === null || s.count === undefined ? null : whole(`stock[${i}].count`, s.count, 0),
      cost: number(`stock[${i}].cost`, s.cost ?? 1, 0),
    })),
    demand: list("demand", p.demand).map((d, i) => ({
      length: number(`demand[${i}].length`, d.length, 0, true),
      count: whole(`demand[${i}].count`, d.count ?? 1, 0),
    })),
  };
}

/** To whole numbers: equal lengths merged, longest first. */
export function toIntegers(p: StickProblem): IntegerProblem {
  const kerf = Math.round(p.kerf * HUNDREDTHS);
  const merged = new Map<number, number>();
  for (const d of p.demand)
    if (d.count > 0) {
      const k = Math.round(d.length * HUNDREDTHS) + kerf;
      merged.set(k, (merged.get(k) ?? 0) + d.count);
    }
  const raw = [...merged.keys()].sort((a, b) => b - a);
  const g = raw.reduce(gcd, 0) || 1;
  return {
    sizes: raw.map((s) => s / g),
    demand: raw.map((s) => merged.get(s)!),
    stock: p.stock.map((s, source) => ({
      cap: Math.floor((Math.round(s.length * HUNDREDTHS) + kerf) / g),
      cost: s.cost,
      limit: s.count ?? Infinity,
      source,
    })),
    lengths: raw.map((s) => (s - kerf) / HUNDREDTHS),
  };
}

/** Gathers equal patterns into layouts, the fullest first. */
export function toLayouts(patterns: readonly Pattern[], p: IntegerProblem): StickLayout[] {
  const seen = new Map<string, { stock: number; count: number; cuts: number[] }>();
  for (const q of patterns) {
    const cuts = [...q.counts].sort((a, b) => a[0] - b[0]).flatMap(([i, n]) => Array<number>(n).fill(p.lengths[i]!));
    const key = `${q.stock}:${cuts.join(",")}`;
    const old = seen.get(key);
    if (old) old.count++;
    else seen.set(key, { stock: p.stock[q.stock]!.source, count: 1, cuts });
  }
  const sum = (l: StickLayout): number => l.cuts.reduce((s, c) => s + c, 0);
  return [...seen.values()].sort((a, b) => a.stock - b.stock || sum(b) - sum(a) || b.count - a.count);
}
