import { printFeetInches } from "../units";
import { HIP_RUN, rafterTable } from "./rafterTable";

const fi = (mm: number): string => printFeetInches(mm);

/** A rafter's theoretical length, from the outside of the plate to the centre of the ridge or hip, and what is cut: all along its top edge. */
export interface RafterLength {
  readonly theoretical: number;
  /** What comes off at the top for half the thickness of what it meets. */
  readonly shortening: number;
  /** What is added below the plate for the overhang. */
  readonly tail: number;
  /** theoretical − shortening + tail. */
  readonly cut: number;
}
export interface RoofSpan {
  /** Rise in 12. */
  readonly rise: number;
  /** From the outside of the plate to under the centre of the ridge, level. */
  readonly run: number;
  /** Of the eave past the plate, level and square to it. */
  readonly overhang: number;
  /** Thickness of the ridge; 0 where rafters meet without one. */
  readonly ridge: number;
  /** Thickness of the hip or valley rafters; not asked for by commons. */
  readonly hip: number;
}

const lengthOf = (theoretical: number, shortening: number, tail: number): RafterLength => ({
  theoretical,
  shortening,
  tail,
  cut: theoretical - shortening + tail,
});
function checked(s: RoofSpan): RoofSpan {
  for (const [name, value, least] of [
    ["run", s.run, Number.MIN_VALUE],
    ["overhang", s.overhang, 0],
    ["ridge", s.ridge, 0],
    ["hip", s.hip, 0],
  ] as const)
    if (!(value >= least))
      throw new Error(`The ${name} of a roof is ${fi(value)}; it has to be ${least > 0 ? "above" : "at least"} 0.`);
  return s;
}

/** A common rafter: run · common / 12, shortened by half the ridge. Errors: a run that is not above 0, anything negative. */
export function commonRafter(span: RoofSpan): RafterLength {
  const s = checked(span);
  const k = rafterTable(s.rise).common / 12;
  return lengthOf(s.run * k, (s.ridge / 2) * k, s.overhang * k);
}

/**
 * A hip or valley rafter at 45° in plan: run · hip / 12, shortened by half the ridge's diagonal thickness where it meets
 * the ridge's end between the commons. The tail runs to the corner of the eaves.
 */
export function hipRafter(span: RoofSpan): RafterLength {
  const s = checked(span);
  const { hip } = rafterTable(s.rise);
  return lengthOf((s.run * hip) / 12, ((s.ridge / 2) * Math.SQRT2 * hip) / HIP_RUN, (s.overhang * hip) / 12);
}

/**
 * The jacks of a hip, the shortest first: their centres stand `spacing` apart along the plate from the corner, or `first`
 * and then at the spacing; each is shortened by half the hip's diagonal thickness and none reaches the ridge. `at` is the
 * centre's distance from the corner, which is also the theoretical run.
 */
export function hipJacks(
  span: RoofSpan,
  spacing: number,
  first = spacing,
): readonly (RafterLength & { readonly at: number })[] {
  const s = checked(span);
  if (!(spacing > 0) || !(first > 0))
    throw new Error(
      `Jacks ${fi(spacing)} apart, the first at ${fi(first)}, cannot be laid out; both have to be above 0.`,
    );
  const k = rafterTable(s.rise).common / 12;
  const half = (s.hip / 2) * Math.SQRT2;
  const count = Math.max(0, Math.ceil((s.run - first) / spacing - 1e-9));
  return Array.from({ length: count }, (_, i) => {
    const at = first + i * spacing;
    return { at, ...lengthOf(at * k, half * k, s.overhang * k) };
  }).filter((j) => j.theoretical > j.shortening);
}

/** A bird's-mouth over a plate: how far the seat reaches in, level; how high the heel is, plumb; and what stands plumb over the plate's outer edge. */
export interface Birdsmouth {
  readonly seat: number;
  readonly heel: number;
  readonly above: number;
  /** What is left under the top edge square to it, of the rafter's depth: two thirds or more is common practice. */
  readonly left: number;
}
/** A notch as wide as the plate, in a rafter of that depth. Errors: a seat that goes through the rafter. */
export function birdsmouth(rise: number, depth: number, seat: number): Birdsmouth {
  const { common } = rafterTable(rise);
  const heel = (seat * rise) / 12;
  const above = (depth * common) / 12 - heel;
  const left = (above * 12) / common;
  if (!(left > 0))
    throw new Error(
      `A seat ${fi(seat)} wide at ${rise} in 12 goes through a rafter ${fi(depth)} deep: its heel is ${fi(heel)} high. Take a deeper rafter or a narrower seat.`,
    );
  return { seat, heel, above, left };
}
