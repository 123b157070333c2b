import type { Vec3 } from "../geometry";
import type { CoatDoc } from "../job";
import type { Path } from "./clear";

/** One step of a build: what is new in it, where it is done, and what has to be done before. */
export interface Step {
  /** Stays the same as long as what it is about does. */
  readonly id: string;
  readonly structure: string;
  /** "Front wall: 12 studs". */
  readonly title: string;
  /** On a template, put together lying; where it stands; a coat of its finish; or what was added by hand. */
  readonly place: "board" | "join" | "finish" | "own";
  /** The sub-assembly that it is of or that it places. */
  readonly unit: string | undefined;
  /** What is new, sticks by id. */
  readonly sticks: readonly string[];
  /** What is there already when it begins: on its board, or standing. */
  readonly there: readonly string[];
  /** How it is looked at. */
  readonly view: { readonly right: Vec3; readonly up: Vec3; readonly eye: Vec3 };
  /** How it comes to its place, in words: "from above". */
  readonly way: string;
  /** The same as paths: what is moved as one, and the path on which it could be taken away again. */
  readonly moves: readonly { readonly sticks: readonly string[]; readonly path: Path }[];
  /** Steps that must be done before. What neither comes before nor after another may be done in any order. */
  readonly after: readonly string[];
  readonly joining: string;
  /** The joining's name where somebody chose it, and which one it took the place of. */
  readonly chosen?: { readonly name: string; readonly instead: string };
  /** What to check, and what to know, a sentence each. */
  readonly checks: readonly string[];
  /** It lifts or turns what was put together before: that has to hold. */
  readonly lifts: boolean;
  /** What holds it while the glue sets, where nothing does that is there already. */
  readonly fixture: string | undefined;
  /** What it is coated with, and how much of it, model mm². */
  readonly coat?: CoatDoc & { readonly area: number };
  /** Of a step added by hand: what it takes and how long it rests then, minutes. */
  readonly own?: { readonly minutes: number; readonly rest: number };
}
/** A piece that cannot be brought to its place in a straight line, with what closes its way. */
export interface NoWay {
  readonly sticks: readonly string[];
  readonly unit: string | undefined;
  readonly text: string;
}
export interface Assembly {
  readonly steps: readonly Step[];
  readonly noWay: readonly NoWay[];
}
/** Which way round a structure is put together: standing, or upside down from its deck. */
export type Way = "up" | "down";

/** Steps of one sub-assembly on its board. */
export interface Built {
  readonly steps: Step[];
  readonly noWay: readonly NoWay[];
}
/** When on its board a piece is laid: first, since it lies under the rest; with most of it; on top; or on the other face, once that is turned over. */
export type Phase = "first" | "main" | "over" | "under";
