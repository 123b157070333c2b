import { costStep, dualFeasibleBound, materialBound, roundUp } from "./bounds";
import { addPatterns, generate, seeded, shake, type Pool } from "./columns";
import { enumeratePatterns, tightPatterns } from "./enumerate";
import { fillPlan, firstFit } from "./fill";
import type { LinearSolver } from "./linear";
import {
  toIntegers,
  toLayouts,
  type IntegerProblem,
  type Pattern,
  type StickProblem,
  type StickResult,
} from "./problem";

/** How a long search is going: a plan of that cost is in hand, and nothing can cost less than the bound. */
export interface Progress {
  readonly phase: "filled" | "bounding" | "diving" | "searching";
  readonly sticks: number;
  readonly cost: number;
  readonly lowerBound: number;
  /** The plan in hand, to be looked at before the search is through. */
  readonly inHand: () => StickResult | undefined;
}
/** Limits count work, so that a plan repeats on any machine. */
export interface SolveOptions {
  readonly lp?: LinearSolver;
  /** Called between rounds; answering false stops with what is in hand. */
  readonly onProgress?: (p: Progress) => boolean | Promise<boolean>;
  /** Rounds of column generation at the root. */
  readonly rounds?: number;
  /** Nodes of the dive. */
  readonly nodes?: number;
}

const costOf = (p: IntegerProblem, plan: readonly Pattern[]): number =>
  Math.round(plan.reduce((s, q) => s + p.stock[q.stock]!.cost, 0) * 1e6) / 1e6;
/** Rounds of column generation before the first dive, and that dive's nodes. */
const EARLY_ROUNDS = 14;
const EARLY_NODES = 40;
/** Further dives with the order shaken. */
const REPEATS = 40;
/** Sizes up to which the patterns found are also solved as a whole-number program. */
const WHOLE_SIZES = 40;
/** Patterns up to which all are written down and the whole program is solved. */
const ENUMERATE = 4000;

/**
 * Plans a stick problem at the least cost. First-fit and fullest fills give a plan at once; if it meets the bound it is
 * proven. Otherwise column generation raises the bound, a dive with limited backtracking looks for a plan that meets it,
 * and small problems are searched out whole. Outcomes are values: too long and not enough stock too.
 */
export async function solveSticks(problem: StickProblem, options: SolveOptions = {}): Promise<StickResult> {
  const p = toIntegers(problem);
  if (p.sizes.length === 0)
    return { status: "optimal", sticks: 0, cost: 0, lowerBound: 0, proven: true, layouts: [], firstFit: 0 };
  const usable = p.stock.filter((s) => s.limit >= 1);
  const longest = Math.max(0, ...usable.map((s) => s.cap));
  if (p.sizes[0]! > longest)
    return {
      status: "too long",
      length: p.lengths[0]!,
      longest: Math.max(0, ...problem.stock.filter((s) => s.count !== 0).map((s) => s.length)),
    };

  const step = costStep(p);
  const ff = firstFit(p);
  const filled = fillPlan(p);
  const s: Search = {
    p,
    step,
    best: [ff, filled].filter((x): x is Pattern[] => x !== undefined).sort((a, b) => costOf(p, a) - costOf(p, b))[0],
    bound: roundUp(
      Math.max(materialBound(p), p.stock.length === 1 ? p.stock[0]!.cost * roundUp(dualFeasibleBound(p), 1) : 0),
      step,
    ),
    stopped: false,
    tell: async (phase) => {
      const go = await options.onProgress?.({
        phase,
        sticks: s.best?.length ?? 0,
        cost: s.best ? costOf(p, s.best) : Infinity,
        lowerBound: s.bound,
        inHand: () => (s.best ? resultOf(s, ff) : undefined),
      });
      if (go === false) s.stopped = true;
      return !s.stopped;
    },
  };
  const shortBy = materialShort(p);
  if (shortBy > 0) return notEnough(problem, p);
  await s.tell("filled");
  if (!done(s) && !s.stopped && options.lp) await search(s, options.lp, options.rounds ?? 2000, options.nodes ?? 600);
  if (!s.best) return notEnough(problem, p);
  return resultOf(s, ff);
}
/** The best plan of a search so far as an outcome. */
function resultOf(s: Search, ff: readonly Pattern[] | undefined): StickResult {
  const best = s.best!;
  return {
    status: done(s) ? "optimal" : "feasible",
    sticks: best.length,
    cost: costOf(s.p, best),
    lowerBound: s.bound,
    proven: done(s),
    layouts: toLayouts(best, s.p),
    firstFit: ff?.length ?? null,
  };
}

interface Search {
  readonly p: IntegerProblem;
  readonly step: number;
  best: Pattern[] | undefined;
  bound: number;
  stopped: boolean;
  tell(phase: Progress["phase"]): Promise<boolean>;
}
const done = (s: Search): boolean => s.best !== undefined && costOf(s.p, s.best) <= s.bound + 1e-6;
function offer(s: Search, plan: Pattern[]): void {
  if (!s.best || costOf(s.p, plan) < costOf(s.p, s.best) - 1e-9) s.best = plan;
}

async function search(s: Search, lp: LinearSolver, rounds: number, nodes: number): Promise<void> {
  const { p } = s;
  const limits = p.stock.map((x) => x.limit);
  const master = lp.master(p.sizes.length, p.stock.length, Math.max(...p.stock.map((x) => x.cost)));
  const pool: Pool = { p, master, patterns: [], seen: new Set() };
  try {
    const all = enumeratePatterns(p, ENUMERATE);
    addPatterns(pool, all ?? s.best ?? []);
    const onRound = async (b: number): Promise<boolean> => {
      s.bound = Math.max(s.bound, roundUp(b, s.step));
      return !done(s) && (await s.tell("bounding"));
    };
    // a first dive on early patterns, so that a good plan is in hand while the bound is still being raised
    const early = await generate(pool, p.demand, limits, Math.min(rounds, EARLY_ROUNDS), s.step, onRound);
    if (done(s) || s.stopped) return;
    await dive(s, pool, EARLY_NODES, 0, 0);
    if (done(s) || s.stopped) return;
    const root = await generate(pool, p.demand, limits, rounds, s.step, onRound, early?.best);
    if (!root) return;
    s.bound = Math.max(s.bound, roundUp(root.bound, s.step));
    if (done(s) || s.stopped) return;
    await dive(s, pool, nodes, 60, REPEATS);
    if (done(s) || s.stopped || !(await s.tell("searching"))) return;
    if (!all && settledByTight(s, pool)) return;
    if (all || p.sizes.length <= WHOLE_SIZES) {
      if (!all) shake(pool, root.solution, p.demand, limits, 10);
      master.setNeeds(p.demand, limits);
      const whole = master.whole(all ? 200_000 : 100);
      if (!whole) return;
      offer(
        s,
        trim(
          p,
          whole.x.flatMap((n, k) => Array<Pattern>(n).fill(pool.patterns[k]!)),
        ),
      );
      if (all && whole.optimal && s.best) s.bound = Math.max(s.bound, costOf(p, s.best));
    }
  } finally {
    master.dispose();
  }
}

/** Loads up to which a whole program of tight ones is solved. */
const TIGHT = 12_000;
/**
 * Settles whether a plan at the bound exists where there is one length to cut from: such a plan has only so much to spare,
 * so all of its loads are tight, and where those are few enough the whole program of them finds it or proves there is none,
 * which raises the bound by one stick. True where the search is over.
 */
function settledByTight(s: Search, pool: Pool): boolean {
  const { p } = s;
  const [stock] = p.stock;
  if (p.stock.length !== 1 || stock!.limit !== Infinity || !s.best) return false;
  const sticks = Math.round(s.bound / stock!.cost);
  if (s.best.length !== sticks + 1) return false;
  const slack = sticks * stock!.cap - p.sizes.reduce((t, size, i) => t + size * p.demand[i]!, 0);
  const tight = tightPatterns(p, slack, TIGHT);
  if (!tight) return false;
  addPatterns(pool, tight);
  pool.master.setNeeds(p.demand, [Infinity]);
  const whole = pool.master.whole(200);
  if (!whole) return false;
  offer(s, trim(p, whole.x.flatMap((n, k) => Array<Pattern>(n).fill(pool.patterns[k]!)))); // prettier-ignore
  if (whole.optimal && s.best) s.bound = Math.max(s.bound, costOf(p, s.best));
  return done(s);
}

/** Takes surplus pieces off a plan that covers more than is asked; a stick left empty falls away. */
function trim(p: IntegerProblem, plan: readonly Pattern[]): Pattern[] {
  const over = p.sizes.map(
    (_, i) => plan.reduce((t, q) => t + (q.counts.find(([k]) => k === i)?.[1] ?? 0), 0) - p.demand[i]!,
  );
  const cut = plan.map((q): Pattern => ({
    stock: q.stock,
    counts: q.counts.flatMap(([i, n]): [number, number][] => {
      const drop = Math.min(n, Math.max(0, over[i]!));
      over[i]! -= drop;
      return n > drop ? [[i, n - drop]] : [];
    }),
  }));
  return cut.filter((q) => q.counts.length > 0);
}

/** Fixes the surest patterns, relaxes the rest again, and so on to the bottom; then other choices near the top, within the nodes allowed. */
async function dive(s: Search, pool: Pool, nodes: number, rounds: number, repeats: number): Promise<void> {
  const { p, step } = s;
  let budget = nodes;
  let noise = (): number => 0;
  const down = async (fixed: readonly Pattern[], demand: readonly number[], spare: number): Promise<void> => {
    if (budget-- <= 0 || s.stopped || done(s)) return;
    const limits = p.stock.map((x, j) => x.limit - fixed.filter((q) => q.stock === j).length);
    const spent = costOf(p, fixed);
    const lp = await generate(pool, demand, limits, rounds, step, async () => true);
    if (!lp || lp.solution.uncovered) return;
    if (
      s.best &&
      roundUp(spent + lp.solution.objective, step) > costOf(p, s.best) - Math.max(step, 1e-6) + 1e-9 &&
      lp.closed
    )
      return;
    if (!(await s.tell("diving"))) return;
    const x = pool.patterns
      .map((q, k) => ({ q, x: lp.solution.x[k] ?? 0, rank: (lp.solution.x[k] ?? 0) % 1 }))
      .filter((c) => c.x > 1e-6)
      .map((c) => ({ ...c, rank: c.rank + noise() }));
    x.sort((a, b) => b.rank - a.rank || b.x - a.x);
    for (let choice = 0; choice <= spare && choice < x.length; choice++) {
      const left = [...demand];
      const more: Pattern[] = [];
      const take = (q: Pattern, times: number): void => {
        for (let t = 0; t < times; t++) {
          const counts = q.counts.map(([i, n]) => [i, Math.min(n, left[i]!)] as const).filter(([, n]) => n > 0);
          if (counts.length === 0 || limits[q.stock]! <= more.filter((m) => m.stock === q.stock).length) return;
          more.push({ stock: q.stock, counts });
          for (const [i, n] of counts) left[i]! -= n;
        }
      };
      const fits = (q: Pattern): boolean => q.counts.every(([i, n]) => n <= left[i]!);
      for (const c of x) take(c.q, Math.floor(c.x + 1e-6));
      const first = x[choice]!;
      if (first.x - Math.floor(first.x + 1e-6) > 1e-6) take(first.q, 1);
      for (const c of x) if (c !== first && c.x - Math.floor(c.x + 1e-6) > 0.75 && fits(c.q)) take(c.q, 1);
      if (more.length === 0) take(first.q, 1);
      const plan = [...fixed, ...more];
      const used = p.stock.map((_, j) => plan.filter((q) => q.stock === j).length);
      const rest = fillPlan(p, left, used);
      if (rest) offer(s, [...plan, ...rest]);
      if (done(s) || s.stopped) return;
      if (left.some((n) => n > 0)) await down(plan, left, choice === 0 ? spare : spare - choice);
      if (done(s) || s.stopped || budget <= 0) return;
    }
  };
  await down([], p.demand, 3);
  // again with the order shaken a little, the same way every time, while nodes are left
  for (let again = 1; again <= repeats && budget > 0 && !s.stopped && !done(s); again++) {
    const random = seeded(again);
    noise = () => 0.4 * random();
    await down([], p.demand, 1);
  }
}

function materialShort(p: IntegerProblem): number {
  const have = p.stock.reduce((t, s) => t + s.limit * s.cap, 0);
  return p.sizes.reduce((t, size, i) => t + size * p.demand[i]!, 0) - have;
}

/** Fills what there is and says what is left over. */
function notEnough(problem: StickProblem, p: IntegerProblem): StickResult {
  const left = [...p.demand];
  for (const stock of [...p.stock].sort((a, b) => b.cap - a.cap))
    for (let n = 0; n < Math.min(stock.limit, 1e6) && left.some((d, i) => d > 0 && p.sizes[i]! <= stock.cap); n++) {
      let room = stock.cap;
      p.sizes.forEach((size, i) => {
        const k = Math.min(left[i]!, Math.floor(room / size));
        left[i]! -= k;
        room -= k * size;
      });
    }
  const over = left.map((count, i) => ({ length: p.lengths[i]!, count })).filter((d) => d.count > 0);
  const short = over.reduce((t, d) => t + d.count * (d.length + problem.kerf), 0);
  return { status: "not enough stock", short: Math.round(short * 100) / 100, left: over };
}
