/**
 * Parts of sheet laid on sheets. Model mm; x across a sheet's lines or grain, y along them, from its lower left corner.
 * Example: a part of 40 × 30 four times on 100 × 100 by score and snap is one sheet with its cuts in order, each from
 * edge to edge of the piece in hand.
 */
export * from "./problem";
export * from "./nest";
export * from "./words";
