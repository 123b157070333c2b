import { cutLengthWords } from "./benchWords";
import type { Design } from "./design";
import type { Issue } from "./issue";

/** What is noted at the bench beside prints and cuts: a step done, not done after all, or skipped; a note, with a picture if one likes; actual lengths; pieces broken or lost. */
export const BENCH_KINDS = ["done", "undone", "skipped", "note", "measured", "lost"] as const;
export type BenchKind = (typeof BENCH_KINDS)[number];
/** What a note of the bench says. */
export interface BenchNote {
  /** The step it is about, and what that was called. */
  readonly step?: string;
  readonly title?: string;
  readonly text?: string;
  /** What it was joined with, and how long that takes, minutes. */
  readonly joining?: { readonly name: string; readonly handle: number; readonly full: number };
  /** What it was coated with, and how that was mixed. */
  readonly coat?: { readonly name: string; readonly mix: string };
  /** How long it took, minutes. */
  readonly minutes?: number;
  readonly picture?: { readonly hash: string; readonly width: number; readonly height: number };
  /** Actual lengths beside the planned ones, model mm. */
  readonly lengths?: readonly MeasuredLength[];
  /** What the step's pieces were like, so that it can be told when they are others. */
  readonly print?: string;
}
export interface MeasuredLength {
  readonly stick: string;
  readonly mark: string;
  readonly planned: number;
  readonly actual: number;
}
const NOTHING = "0".repeat(64);

/** A note of the bench: it freezes nothing, and stands among the prints and cuts of the job. */
export const benchEvent = (kind: BenchKind, id: string, at: string, bench: BenchNote, sticks: readonly string[] = []): Issue => ({ id, kind, at, hash: NOTHING, versions: { catalogue: 0, kinds: {} }, pieces: [], plan: {}, sticks, bench }); // prettier-ignore
export const isBenchNote = (i: Issue): boolean => (BENCH_KINDS as readonly string[]).includes(i.kind);

/** What pieces are like, as a short text that changes when one of them does: their lengths to a hundredth and the cuts of their ends. */
export function printOf(d: Design, sticks: readonly string[]): string {
  const wanted = new Set(sticks);
  const words = d.pieces
    .flatMap((p) => p.sticks.filter((s) => wanted.has(s)).map((s) => `${s} ${cutLengthWords(p.shape)} ${p.stock}`))
    .sort()
    .join("\n");
  // FNV-1a: enough to tell that something is another
  let h = 0x811c9dc5;
  for (let i = 0; i < words.length; i++) h = Math.imul(h ^ words.charCodeAt(i), 0x01000193) >>> 0;
  return `${wanted.size}-${h.toString(16)}`;
}

/** Lengths that were measured last, by stick: a later one stands for an earlier. */
export function measuredLengths(issues: readonly Issue[]): ReadonlyMap<string, MeasuredLength> {
  const out = new Map<string, MeasuredLength>();
  for (const i of issues) for (const l of i.bench?.lengths ?? []) out.set(l.stick, l);
  return out;
}
/** How far what is cut to a length comes out, on the whole, and how much the pieces differ among themselves; model mm. */
export interface StopError {
  readonly mark: string;
  readonly planned: number;
  readonly count: number;
  readonly mean: number;
  readonly spread: number;
  /** What to set the stop to, so that the next ones come out true. */
  readonly setTo: number;
}
/** An error of the stop that is worth setting it anew, model mm. Common practice: a knife's cut is no truer. */
const WORTH = 0.05;
/** Where the pieces of a mark come out too long or too short on the whole: what the stop should be set to for those that are still to be cut. */
export function stopErrors(issues: readonly Issue[]): StopError[] {
  const byMark = new Map<string, MeasuredLength[]>();
  for (const l of measuredLengths(issues).values()) byMark.set(l.mark, [...(byMark.get(l.mark) ?? []), l]);
  return [...byMark].flatMap(([mark, all]): StopError[] => {
    const off = all.map((l) => l.actual - l.planned);
    const mean = off.reduce((a, b) => a + b, 0) / off.length;
    const { planned } = all.at(-1)!;
    return Math.abs(mean) < WORTH ? [] : [{ mark, planned, count: all.length, mean, spread: Math.max(...off) - Math.min(...off), setTo: planned - mean }]; // prettier-ignore
  });
}
