import type { NestedSheet } from "./problem";

/** One of a part's copies. */
export interface Item {
  readonly part: number;
  readonly stick: string;
}
/** A sheet that is being filled. */
export interface OpenSheet {
  readonly size: number;
  /** Gives an item a place; false where it has none. */
  take(item: Item): boolean;
  done(): NestedSheet;
}
