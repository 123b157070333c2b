import { gang, type SetUp } from "../cutting";
import { stockName } from "../lumber";
import type { Design } from "./design";
import { bothEnds } from "./sawWords";

/** A set-up in words: its cuts, and how many of what come off it. `print` tells mm. */
export function setUpWords(
  d: Design,
  s: SetUp,
  print: (mm: number) => string,
): { readonly cuts: string; readonly pieces: readonly string[]; readonly how: string } {
  const { first, far, relation } = bothEnds(s.pieces[0]!.piece.shape, print);
  const n = gang(s);
  return {
    cuts: first === far ? `both ends ${first}${relation ? `, ${relation}` : ""}` : `${first} and ${far}`,
    pieces: s.pieces.map(
      (p) => `${p.sticks.length} × ${p.piece.mark}, ${p.piece.role}, ${stockName(d.scale, p.piece.stock)}`,
    ),
    how: [n > 1 ? `${n} side by side` : "", s.turned ? "mirror images laid the other way round" : ""].filter(Boolean).join("; "), // prettier-ignore
  };
}
