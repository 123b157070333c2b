import { addScaled, negate, planeAt } from "../geometry";
import { axesOf } from "./axes";
import type { Cut } from "./cuts";
import type { Member } from "./member";

/**
 * Where to splice a stick of `length` (mm from tip to tip, from `start` to `start + length` along the work line) so that
 * no part is longer than `longest`: always as far out as a support allows. Undefined when the supports stand too far apart.
 */
export function spliceStations(
  start: number,
  length: number,
  longest: number,
  over: readonly number[],
): number[] | undefined {
  const out: number[] = [];
  let from = start;
  while (start + length - from > longest + 1e-9) {
    const next = Math.max(
      ...over.filter((s) => s > from + 1e-6 && s <= from + longest + 1e-9 && s < start + length - 1e-6),
    );
    if (!Number.isFinite(next)) return undefined;
    out.push(next);
    from = next;
  }
  return out;
}

/** The square cuts that part a spliced member: a list for each of its parts, in order along the work line, of a panel along its u. One empty list when it is whole. */
export function spliceCuts(m: Member): readonly (readonly Cut[])[] {
  const at = [...(m.splices ?? [])].sort((a, b) => a - b);
  if (at.length === 0 || (m.body.shape !== "straight" && m.body.shape !== "panel")) return [[]];
  const x = axesOf(m.body);
  const cut = (station: number, as: "end0" | "end1"): Cut => ({
    ...planeAt(addScaled(x.origin, x.u, station), as === "end0" ? negate(x.u) : x.u),
    as,
    from: `${m.id}:splice`,
  });
  return [...at, undefined].map((end, i) => [
    ...(i > 0 ? [cut(at[i - 1]!, "end0")] : []),
    ...(end === undefined ? [] : [cut(end, "end1")]),
  ]);
}
