import type { Frame, Member, Resolved } from "../frame";
import type { Vec3 } from "../geometry";
import type { Match, SheetMatch, SheetWanted } from "../lumber";
import type { Scale } from "../units";
import type { Spec } from "./spec";
import type { TrestleLayout } from "./whole-trestle/layout";

/** What a generator is told besides its parameters. `stock` gives what a nominal size ("12×12") is really made of, `sheet` what a textured sheet is. */
export interface Context {
  readonly structure: string;
  readonly scale: Scale;
  readonly stock: (nominal: string) => Match;
  readonly sheet: (wanted: SheetWanted) => SheetMatch;
}
/** A point of an elevation, [across, up], model mm. */
export type ElevationPoint = readonly [number, number];
/** Elevations and plan: from the end, from the side, from above. */
export type ViewId = "front" | "side" | "plan";
/** A square to drag: moving it by d (prototype mm along `axis`) changes the parameter by gain × d. */
export interface Handle {
  readonly param: string;
  readonly at: ElevationPoint;
  readonly axis: ElevationPoint;
  readonly gain: number;
}
/** A dimension line between two points of an elevation. With `param` its figure is edited in place; without, it is derived. */
export interface Dimension {
  readonly id: string;
  readonly label: string;
  readonly param?: string;
  /** Prototype mm, or for another unit the parameter's own value: inches per foot of a batter, % of a grade. */
  readonly value: number;
  readonly unit: "length" | "batter" | "number";
  /** The view it stands on; the kind's home where it does not say. */
  readonly view?: ViewId;
  readonly from: ElevationPoint;
  readonly to: ElevationPoint;
  /** Where the line stands: outside the drawing on one side, tier 0 nearest; "at" is a figure beside `to`. */
  readonly side: "left" | "right" | "top" | "bottom" | "at";
  readonly tier: number;
  readonly handles: readonly Handle[];
}
export interface Remark {
  readonly text: string;
  /** A warning tells what will look or work wrong; what says nothing is unusual only. */
  readonly level?: "warning";
  readonly param: string;
  readonly fix?: { readonly label: string; readonly value: unknown };
}

/** An opening as a drawing notes it, prototype mm: how it stands to the wall, and the trim round it (0 is none). */
export interface NotedOpening {
  readonly name: string;
  readonly drawing: string;
  readonly door: boolean;
  readonly set: "flush" | "recessed" | "proud";
  readonly trim: number;
  readonly width: number;
  readonly height: number;
}

/** What drawings note of a structure. */
export interface Noted {
  readonly openings: readonly NotedOpening[];
  /** How the eaves end, drawing by drawing: bare tails, a fascia, or closed from below. */
  readonly eaves: readonly { readonly drawing: string; readonly eave: "bare" | "fascia" | "boxed" }[];
}
/** Where one stands and what one wants to see past a structure: across it and up, in its own axes, model mm. */
export interface ViewLine {
  readonly eye: readonly [y: number, z: number];
  /** The middle of what is to be seen, its foot and its top. */
  readonly seen: { readonly y: number; readonly low: number; readonly high: number };
  /** In words: "the cars on the track behind it". */
  readonly words: string;
}

/** An opening in a wall: model mm from the wall's left end seen from outside, and over the level that the wall says. */
export interface WallOpening {
  readonly name: string;
  readonly door: boolean;
  readonly from: number;
  readonly to: number;
  readonly sill: number;
  readonly head: number;
}
/** A wall as a neighbour meets it, in its structure's own axes, model mm: its outermost face from the left end seen from outside. */
export interface OuterWall {
  /** In words: "front wall". */
  readonly name: string;
  /** Its foot at the left end. */
  readonly from: Vec3;
  /** Level directions: to its right end, and out of it. */
  readonly along: Vec3;
  readonly out: Vec3;
  readonly length: number;
  readonly height: number;
  /** Over its foot. */
  readonly openings: readonly WallOpening[];
  /** Of a wall round the main room: which of its four it is, and how far its inner face lies behind its outer one. */
  readonly inside?: { readonly side: "front" | "right" | "back" | "left"; readonly behind: number };
}

/** Something that is put together by itself before it is joined: its sticks, and the directions to the right, up and towards the eye as it lies on the bench. */
export interface Build {
  readonly id: string;
  readonly name: string;
  readonly has: (s: Resolved) => boolean;
  readonly right: Vec3;
  readonly up: Vec3;
  readonly eye: Vec3;
}
/** A table of forces; the ground drawn on its side; a copy fitted into a spot; members traced on a drawing in place of parameters; a count of what is left out because nobody sees it. */
export type Offer = "forces" | "fit" | "trace" | "unseen";
/** How a structure is made smaller by whole parts: what such a part is called, and the values with so many fewer of them, undefined where that is too many. */
export interface Shrink {
  /** One and several: "bay", "bays". */
  readonly part: readonly [string, string];
  less(p: Params, n: number): Params | undefined;
}
/** A kind of structure: all that the rest of Cardo asks of one. Parameters are prototype mm, frames model mm. */
export interface StructureKind {
  readonly id: string;
  readonly name: string;
  /** What it is for, a sentence. */
  readonly purpose: string;
  /** Which of its dimensions says how large it is, the first that it has, and the words that follow the length: "high at the tallest bent". */
  readonly headline: readonly { readonly dimension: string; readonly words: string }[];
  /** What the screen offers beside its parameters. */
  readonly offers?: readonly Offer[];
  /** How it is fitted into a spot along its length and from front to back, by whole parts; lumber keeps its sizes. */
  readonly shrinks?: { readonly length?: Shrink; readonly depth?: Shrink };
  /** Where its bents stand and the ground under them, of a kind that follows a ground. */
  readonly ground?: (p: Params, ctx: Context) => TrestleLayout;
  /** What stiffens its small butt joints once it stands; without it ends too small for glue are not told. */
  readonly stiffenedBy?: string;
  /** Counts up when the same parameters would give other sticks. */
  readonly version: number;
  readonly spec: Spec;
  readonly Params: new () => object;
  /** The elevation it is drawn and dimensioned on. */
  readonly home: "front" | "side";
  /** What a new structure of the kind starts with. */
  initial(): Params;
  /** What a new one may start as besides, each with the values that differ from the usual. */
  readonly starts?: readonly { readonly name: string; readonly params: Params }[];
  /** Why values that are each in range cannot go together; a sentence each. What depends on the scale (a radius in model mm) or on real stock is only told with a context. */
  check(params: Params, context?: Context): string[];
  /** Which parameters matter for these values; the others are not shown. */
  shown(params: Params, path: string): boolean;
  frame(params: Params, context: Context): Frame;
  dimensions(params: Params, context: Context): readonly Dimension[];
  /** Where the elevation's plumb centre line stands, model mm across; undefined where it has none. */
  centreLine(params: Params, context: Context): number | undefined;
  /** What of it is put together by itself, and how it is looked at then; a kind of one piece has none. */
  builds?(params: Params, context: Context): readonly Build[];
  /** What is unusual for the prototype; with a context also what hands and brushes say of the model. */
  remarks(params: Params, context?: Context): readonly Remark[];
  /** What the drawings note of openings and these values have otherwise. */
  notes?(params: Params, noted: Noted): readonly Remark[];
  /** Where it is looked at from, and what it must not hide. */
  viewLine?(params: Params, context: Context): ViewLine | undefined;
  /** The walls that look outside. */
  outerWalls?(params: Params, context: Context): readonly OuterWall[];
  /** A row of its own to add to one of its tables, where a place along a wall is not what tells rows apart. */
  newRow?(params: Params, path: string): Params | undefined;
  /** What of the parameters a stick belongs to: groups by their names, rows of tables by their paths ("openings.2"). */
  about?(stick: Pick<Member, "id" | "role" | "assembly">): readonly string[];
  /**
   * The same values with what has to go along with the change at a path: a door that becomes a window gets a sill.
   * Undefined where nothing has to.
   */
  follow?(params: Params, path: string): Params | undefined;
  /** How many sticks are left out because nobody sees them. */
  unseen?(params: Params, context: Context): number;
  /** A line of words: "Framed bent, 4 posts, 2 stories". */
  describe(params: Params): string;
}
/** All of a kind but what makes its sticks, which can be large: enough for a screen that shows frames made elsewhere. */
export type KindFace = Omit<StructureKind, "frame" | "unseen">;
export type Params = Readonly<Record<string, unknown>>;
