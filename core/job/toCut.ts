import { stockLengths, wantedByItem, type StickJob } from "../cutting";
import { drawerLengths, type Holding } from "../drawer";
import { stockItem } from "../lumber";
import type { Design } from "./design";
import { madeSticks } from "./masters";

/** What a design still has to be cut from sticks, by item in the order of their ids, each with the lengths there are, without what is made from a master: those that lie in the drawer first, where the job takes from it. */
export const stickJobs = (
  d: Design,
  done: ReadonlySet<string> = new Set(),
  held: readonly Holding[] = [],
): StickJob[] =>
  [...wantedByItem(d.pieces, d.doc.cutting, new Set([...done, ...madeSticks(d)]))]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([id, wanted]): StickJob => {
      const item = stockItem(d.scale, id)!;
      const sold = stockLengths(item, d.doc.stock.sticks[id]);
      const had = d.doc.useDrawer === false ? [] : drawerLengths(held, item, sold);
      return { item, wanted, lengths: [...had, ...sold], settings: { ...d.doc.cutting } };
    });
