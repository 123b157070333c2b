import type { CutMove } from "../drawer";
import { samePiece, type IssuedMark, type Piece, type PieceShape } from "../frame";
import { printMm } from "../units";
import type { BenchKind, BenchNote } from "./bench";
import type { Design } from "./design";

/** A piece as it was when it was issued. */
export type FrozenPiece = Pick<Piece, "mark" | "role" | "nominal" | "stock" | "shape" | "sticks">;
/**
 * What printing jigs or marking pieces as cut freezes: the pieces, the stick settings, and the versions of catalogue and
 * generators, under a hash. Issues are only ever added to.
 */
export interface Issue {
  readonly id: string;
  readonly kind: "print" | "cut" | "uncut" | BenchKind;
  /** ISO time. */
  readonly at: string;
  readonly hash: string;
  readonly versions: { readonly catalogue: number; readonly kinds: Readonly<Record<string, number>> };
  readonly pieces: readonly FrozenPiece[];
  /** Kerf and allowance, model mm, and the lengths sticks were planned on. */
  readonly plan: unknown;
  /** Ids of the sticks that were cut (or, for "uncut", that were not cut after all); all of the print's for "print". */
  readonly sticks: readonly string[];
  /** What cutting them took out of the drawer and put into it: told to the ledger, and not kept here. */
  readonly moves?: readonly CutMove[];
  /** What is noted at the bench beside prints and cuts. */
  readonly bench?: BenchNote;
}

/** The marks that issues have given out, each with the shape it stands for, first come first. */
export function issuedMarks(issues: readonly Issue[]): IssuedMark[] {
  const seen = new Map<string, IssuedMark>();
  for (const i of issues)
    for (const p of i.pieces) if (!seen.has(p.mark)) seen.set(p.mark, { mark: p.mark, stock: p.stock, shape: p.shape });
  return [...seen.values()];
}

/** How a stick that was cut stands to the design as it is now. `by` is model mm. */
export interface CutStatus {
  readonly stick: string;
  readonly mark: string;
  readonly role: string;
  readonly at: string;
  readonly state: "valid" | "too long" | "too short" | "other ends" | "other section" | "not needed";
  readonly by: number;
  /** The state in words, with the number. */
  readonly words: string;
  /** The piece as it was cut. */
  readonly frozen: FrozenPiece;
}

/** Sticks that are cut, latest word first applied: a later "uncut" takes a stick back, a later "cut" replaces it. */
export function cutSticks(
  issues: readonly Issue[],
): ReadonlyMap<string, { readonly issue: Issue; readonly piece: FrozenPiece }> {
  const cut = new Map<string, { issue: Issue; piece: FrozenPiece }>();
  for (const issue of issues)
    for (const s of issue.sticks) {
      // what is broken or lost is to be cut again
      if (issue.kind === "uncut" || issue.kind === "lost") cut.delete(s);
      const piece = issue.kind === "cut" ? issue.pieces.find((p) => p.sticks.includes(s)) : undefined;
      if (piece) cut.set(s, { issue, piece });
    }
  return cut;
}

const sameEnds = (a: PieceShape, b: PieceShape): boolean =>
  [0, 1].every((e) => {
    const [x, y] = [a.ends[e]!, b.ends[e]!];
    return (
      x.length === y.length &&
      x.every((c, i) => Math.abs(c.mitre - y[i]!.mitre) <= 0.05 && Math.abs(c.bevel - y[i]!.bevel) <= 0.05)
    );
  });

/** What a part of a structure's card mock-up is noted by when it is cut. */
export const cardStick = (structure: string, n: number): string => `card/${structure}/${n}`;
export const isCardStick = (stick: string): boolean => /^card\/.*\/\d+$/.test(stick);
/** Parts of mock-ups that are cut, latest word first applied. They freeze no piece: a mock-up is there to be tried, not to fit. */
function cutCards(issues: readonly Issue[]): ReadonlySet<string> {
  const cut = new Set<string>();
  for (const i of issues)
    for (const s of i.sticks.filter(isCardStick))
      if (i.kind === "cut") cut.add(s);
      else if (i.kind === "uncut" || i.kind === "lost") cut.delete(s);
  return cut;
}
/** All that need not be cut again: sticks that serve, and parts of mock-ups that are cut. */
export const doneSticks = (statuses: readonly CutStatus[], issues: readonly Issue[]): ReadonlySet<string> =>
  new Set([...statuses.filter(serves).map((s) => s.stick), ...cutCards(issues)]);

/** Every cut stick told whether it still serves. */
export function cutStatuses(d: Design, issues: readonly Issue[]): CutStatus[] {
  const cut = [...cutSticks(issues)];
  if (cut.length === 0) return [];
  const now = new Map(d.pieces.flatMap((p) => p.sticks.map((s) => [s, p] as const)));
  return cut.map(([stick, { issue, piece: frozen }]): CutStatus => {
    const base = { stick, mark: frozen.mark, role: frozen.role, at: issue.at, frozen };
    const cur = now.get(stick);
    if (!cur) return { ...base, state: "not needed", by: 0, words: "no longer needed" };
    if (cur.stock !== frozen.stock)
      return { ...base, state: "other section", by: 0, words: "cut again: it is of another section now" };
    if (samePiece(cur.shape, frozen.shape)) return { ...base, state: "valid", by: 0, words: "still valid" };
    const by = frozen.shape.overall - cur.shape.overall;
    if (!sameEnds(cur.shape, frozen.shape))
      return {
        ...base,
        state: "other ends",
        by,
        words:
          by > 0
            ? `its ends differ; it is ${printMm(by)} longer than needed, so the new ends may be cut on it`
            : "cut again: its ends differ",
      };
    return by > 0
      ? { ...base, state: "too long", by, words: `${printMm(by)} too long: trim` }
      : { ...base, state: "too short", by, words: `${printMm(-by)} too short: cut again` };
  });
}
/** Whether a status lets the stick serve, as it is or trimmed. */
export const serves = (s: CutStatus): boolean => s.state === "valid" || s.state === "too long";
