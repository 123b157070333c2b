/** Published moduli of elasticity, N/mm² (MPa): Wood Handbook, USDA Forest Products Laboratory, at 12 % moisture (basswood, balsa, sugar pine: from memory of its table); polystyrenes from memory, the lower end. */
export const MODULI = {
  basswood: { name: "Basswood", E: 10_100, allowable: 15 },
  pine: { name: "Sugar pine", E: 8_200, allowable: 14 },
  balsa: { name: "Balsa", E: 3_400, allowable: 5 },
  styrene: { name: "High-impact polystyrene", E: 1_800, allowable: 8 },
  brass: { name: "Brass", E: 100_000, allowable: 80 },
} as const;
export type Material = keyof typeof MODULI;

/** Second moment of area of a rectangle about its level axis, mm⁴: b·h³/12. */
export const inertiaOf = (width: number, depth: number): number => (width * depth ** 3) / 12;
/** Sag at the middle of a simply supported beam under an even load: 5·w·L⁴ / (384·E·I). N/mm, mm, N/mm², mm⁴ → mm. */
export const evenSag = (w: number, L: number, E: number, I: number): number => (5 * w * L ** 4) / (384 * E * I);
/** Largest bending stress of that beam: (w·L²/8)·(h/2)/I, N/mm². */
export const evenStress = (w: number, L: number, depth: number, I: number): number =>
  ((w * L * L) / 8) * (depth / 2 / I);

/**
 * The width that a curve needs between straight girders: W + M + L²/8R, and how far the track's middle stands off the
 * girders' centre line. M is the curve's middle ordinate over the span, a car of overall length L and truck centres B
 * sweeps (L² − B²)/8R outward at its ends and B²/8R inward at its middle (clearance handbooks). One unit throughout.
 */
export function widthOnCurve(c: {
  readonly radius: number;
  readonly span: number;
  readonly carWidth: number;
  readonly carLength: number;
  readonly truckCentres: number;
}): {
  readonly middleOrdinate: number;
  readonly inward: number;
  readonly outward: number;
  readonly clear: number;
  readonly trackOffset: number;
} {
  const half = Math.min(1, c.span / 2 / c.radius);
  const middleOrdinate = c.radius * (1 - Math.sqrt(1 - half * half));
  const inward = c.truckCentres ** 2 / (8 * c.radius);
  const outward = (c.carLength ** 2 - c.truckCentres ** 2) / (8 * c.radius);
  // at mid-span the track bows outward by M over its ends: outside needs M + outward there, inside `inward` at the ends
  return {
    middleOrdinate,
    inward,
    outward,
    clear: c.carWidth + middleOrdinate + inward + outward,
    trackOffset: (middleOrdinate + outward - inward) / 2,
  };
}
