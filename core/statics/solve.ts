import { CholeskyDecomposition, EigenvalueDecomposition, Matrix } from "ml-matrix";
import type { Vec2 } from "../geometry";

/** A plane truss of pinned bars. Lengths in any one unit; `stiffness` is E·A of a bar, 1 where it is not given (it matters only where the truss is indeterminate). */
export interface PlaneTruss {
  readonly nodes: readonly Vec2[];
  readonly bars: readonly { readonly a: number; readonly b: number; readonly stiffness?: number }[];
  readonly supports: readonly { readonly node: number; readonly x: boolean; readonly y: boolean }[];
}
/** Forces on nodes, [x, y] each, in any one unit; y is up. */
export type NodeLoads = readonly Vec2[];
export interface TrussForces {
  readonly ok: true;
  /** Of each bar, tension positive. */
  readonly forces: readonly number[];
  /** On each support, [x, y]. */
  readonly reactions: readonly Vec2[];
  /** Of each node. */
  readonly displacements: readonly Vec2[];
  /** Bars and reactions over what equilibrium of the nodes alone could find: 0 is determinate. */
  readonly redundant: number;
}
export interface Mechanism {
  readonly ok: false;
  /** The node that moves most, and which way, when the truss gives. */
  readonly node: number;
  readonly direction: Vec2;
  readonly redundant: number;
}

/** A pivot or eigenvalue this small beside the largest is none: the truss gives there. */
const NOTHING = 1e-10;

/**
 * Axial forces by the stiffness method (K·u = p, textbook direct stiffness), one answer for each load case; where the
 * truss is a mechanism, how it moves. m + r − 2j is the number of redundants: necessary, not sufficient.
 * Errors: a bar of no length, or between nodes that are not there.
 */
export function solveTruss(t: PlaneTruss, cases: readonly NodeLoads[]): readonly TrussForces[] | Mechanism {
  const n = t.nodes.length;
  const fixed = new Set<number>();
  for (const s of t.supports) {
    if (s.x) fixed.add(2 * s.node);
    if (s.y) fixed.add(2 * s.node + 1);
  }
  const redundant = t.bars.length + fixed.size - 2 * n;
  const free = Array.from({ length: 2 * n }, (_, i) => i).filter((i) => !fixed.has(i));
  const place = new Map(free.map((d, i) => [d, i]));
  const bars = t.bars.map((b) => {
    const [p, q] = [t.nodes[b.a], t.nodes[b.b]];
    if (!p || !q) throw new Error(`A bar joins nodes ${b.a} and ${b.b}; there are ${n}.`);
    const [dx, dy] = [q[0] - p[0], q[1] - p[1]];
    const l = Math.hypot(dx, dy);
    if (!(l > 0)) throw new Error(`The bar between nodes ${b.a} and ${b.b} has no length.`);
    const dofs = [2 * b.a, 2 * b.a + 1, 2 * b.b, 2 * b.b + 1] as const;
    return { dofs, c: [-dx / l, -dy / l, dx / l, dy / l] as const, k: (b.stiffness ?? 1) / l };
  });
  const K = Matrix.zeros(free.length, free.length);
  for (const { dofs, c, k } of bars)
    dofs.forEach((d, i) =>
      dofs.forEach((e, j) => {
        const [r, s] = [place.get(d), place.get(e)];
        if (r !== undefined && s !== undefined) K.set(r, s, K.get(r, s) + k * c[i]! * c[j]!);
      }),
    );
  // the same sums in another order may differ in the last digit
  for (let r = 0; r < free.length; r++) for (let c = 0; c < r; c++) K.set(r, c, K.get(c, r));
  const gives = mechanism(K, free, redundant);
  if (gives) return gives;
  const P = new Matrix(free.map((d) => cases.map((p) => p[d >> 1]?.[d & 1] ?? 0)));
  const chol = new CholeskyDecomposition(K);
  let U = chol.solve(P);
  // one round of refinement: forces are differences of displacements
  U = U.add(chol.solve(Matrix.sub(P, K.mmul(U))));
  return cases.map((load, col): TrussForces => {
    const at = (d: number): number => (place.has(d) ? U.get(place.get(d)!, col) : 0);
    const forces = bars.map(({ dofs, c, k }) => k * dofs.reduce((s, d, i) => s + c[i]! * at(d), 0));
    const pull = t.nodes.map((): [number, number] => [0, 0]);
    bars.forEach(({ dofs, c }, i) => dofs.forEach((d, j) => (pull[d >> 1]![d & 1]! += forces[i]! * c[j]!)));
    return {
      ok: true,
      forces,
      redundant,
      displacements: t.nodes.map((_, i): Vec2 => [at(2 * i), at(2 * i + 1)]),
      reactions: t.supports.map((s): Vec2 => {
        const p = load[s.node] ?? [0, 0];
        return [s.x ? pull[s.node]![0] - p[0] : 0, s.y ? pull[s.node]![1] - p[1] : 0];
      }),
    };
  });
}

/** The motion that costs no force, if there is one. */
function mechanism(K: Matrix, free: readonly number[], redundant: number): Mechanism | undefined {
  if (free.length === 0) return undefined;
  const evd = new EigenvalueDecomposition(K, { assumeSymmetric: true });
  const values = evd.realEigenvalues;
  const most = Math.max(...values);
  const least = values.indexOf(Math.min(...values));
  if (values[least]! > NOTHING * most) return undefined;
  const v = evd.eigenvectorMatrix.getColumn(least);
  const move = new Map<number, [number, number]>();
  free.forEach((d, i) => {
    const m = move.get(d >> 1) ?? [0, 0];
    m[d & 1] = v[i]!;
    move.set(d >> 1, m);
  });
  const [node, direction] = [...move].reduce((a, b) => (Math.hypot(...b[1]) > Math.hypot(...a[1]) ? b : a));
  return { ok: false, node, direction, redundant };
}
