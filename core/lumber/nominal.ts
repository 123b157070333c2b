import { inches, type Prototype } from "../units";

/** A timber as it is named: thickness × width in nominal inches, thickness the smaller. 3×10 is {thickness: 3, width: 10}. */
export interface Nominal {
  readonly thickness: number;
  readonly width: number;
  /** A rod or a pile, by its diameter. */
  readonly round?: true;
}
/** How a nominal name becomes a size: as sawn (the name is the size) or dressed smooth. */
export type Milling = "full-sawn" | "dressed";
/** A rectangular section at prototype size, mm. */
export interface PrototypeSection {
  readonly thickness: Prototype;
  readonly width: Prototype;
}

/** The name as a key and label: "3×10". */
export const nominalName = (n: Nominal): string => (n.round ? `⌀${n.thickness}` : `${n.thickness}×${n.width}`);
/** A nominal size, ordered so that thickness ≤ width. */
export const nominal = (a: number, b: number): Nominal => ({ thickness: Math.min(a, b), width: Math.max(a, b) });

/** Reads "3x10", "3 × 10", "12x12", or "⌀2" for a round of 2 in. Answers undefined when it is no pair of sizes from 0.25 to 48 in. */
export function parseNominal(text: string): Nominal | undefined {
  const rod = /^\s*[⌀ø]\s*(\d+(?:\.\d+)?)\s*$/i.exec(text);
  if (rod) {
    const d = Number(rod[1]);
    return d >= 0.25 && d <= 48 ? { thickness: d, width: d, round: true } : undefined;
  }
  const m = /^\s*(\d+(?:\.\d+)?)\s*[x×*]\s*(\d+(?:\.\d+)?)\s*$/i.exec(text);
  if (!m) return undefined;
  const [a, b] = [Number(m[1]), Number(m[2])];
  return [a, b].every((n) => n >= 0.25 && n <= 48) ? nominal(a, b) : undefined;
}

/** Dressed dry inches of boards and dimension lumber: American Softwood Lumber Standard, DOC PS 20. */
const DRESSED: Readonly<Record<number, number>> = {
  1: 0.75,
  2: 1.5,
  3: 2.5,
  4: 3.5,
  6: 5.5,
  8: 7.25,
  10: 9.25,
  12: 11.25,
};

function dressedInches(n: number, timber: boolean): number {
  if (timber) return n - 0.5;
  const known = DRESSED[n];
  if (known !== undefined) return known;
  return n < 1 ? n : n < 6 ? n - 0.5 : n - 0.75;
}

/**
 * The prototype section of a nominal size. Full-sawn is the name itself (common practice before about 1920 and for
 * scale lumber); dressed follows DOC PS 20: the table for boards and dimension lumber, 1/2 in off timbers, which are
 * 5 in and thicker.
 */
export function sectionOf(n: Nominal, milling: Milling): PrototypeSection {
  if (milling === "full-sawn" || n.round) return { thickness: inches(n.thickness), width: inches(n.width) };
  const timber = n.thickness >= 5;
  return { thickness: inches(dressedInches(n.thickness, timber)), width: inches(dressedInches(n.width, timber)) };
}

/** Sizes that are met most, for lists and proposals. Common practice. */
export const COMMON_SIZES: readonly string[] = [
  "1×4",
  "1×6",
  "1×8",
  "2×4",
  "2×6",
  "2×8",
  "2×10",
  "2×12",
  "3×6",
  "3×8",
  "3×10",
  "3×12",
  "4×4",
  "4×6",
  "4×8",
  "4×10",
  "6×6",
  "6×8",
  "8×8",
  "6×10",
  "8×10",
  "10×10",
  "8×12",
  "10×12",
  "12×12",
  "12×14",
  "14×14",
  "14×16",
  "16×16",
];

/** Thickness and width of a nominal name at prototype size, full-sawn: what outlines are drawn from. Errors: a name that is no size. */
export function nominalMm(name: string): PrototypeSection {
  const n = parseNominal(name);
  if (!n) throw new Error(`“${name}” is no nominal size; write one such as 12×12.`);
  return sectionOf(n, "full-sawn");
}
