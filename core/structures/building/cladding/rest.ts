import { NEAR } from "../../../geometry";
/** Pieces shorter than this are not laid, model mm. */
const LEAST = 0.25;

/** What is left of a length when the holes are taken out that cover a strip's whole width; `none` is nothing at all. */
export function rest(
  range: readonly [number, number],
  taken: readonly (readonly [number, number])[],
): (readonly [number, number])[] {
  let left: (readonly [number, number])[] = [range];
  for (const [a, c] of taken)
    left = left.flatMap(([x, y]): (readonly [number, number])[] =>
      c <= x + NEAR || a >= y - NEAR
        ? [[x, y]]
        : [[x, Math.min(a, y)] as const, [Math.max(c, x), y] as const].filter(([m, n]) => n - m > LEAST),
    );
  return left;
}
