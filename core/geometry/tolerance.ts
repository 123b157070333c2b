/** Named tolerances, model mm unless said. One place, so that nothing invents its own. */
export const TOLERANCE = {
  /** Points closer than this are one point: far below any saw, far above double rounding at layout size. */
  samePoint: 1e-7,
  /** Faces this close, and parallel, touch. */
  contact: 0.01,
  /** Two solids may overlap by this much and still count as touching. */
  penetration: 0.01,
  /** Two pieces are the same piece of material when no corner differs by more. */
  samePiece: 0.02,
  /** ... and no cut differs by more, degrees. */
  samePieceAngle: 0.05,
  /** Share of an end face or lap that has to bear for a joint that shows a face. */
  bearing: 0.99,
  /** A curve's chord may leave the arc by at most half of this, so chords are at most √(8·R·0.004) long. */
  chordSagitta: 0.004,
} as const;
/** Lengths that differ by less are one, mm: far under what a saw or a caliper tells, far over what adding up numbers loses. */
export const NEAR = 1e-6;
/** Plain numbers (ratios, directions, quotients) that differ by less are one. */
export const ALIKE = 1e-9;
