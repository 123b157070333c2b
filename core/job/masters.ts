import { buildOf, type MasterDoc } from "./buildDoc";
import type { Design } from "./design";
import type { Piece } from "../frame";

/** What is made of one master: the pieces of a mark, of which the first is the master. */
export interface MasterPlan {
  readonly master: MasterDoc;
  readonly mark: string;
  readonly role: string;
  /** Sticks of the structure under this mark. */
  readonly sticks: readonly string[];
  /** How many are made with those to spare; the master itself stays out. */
  readonly wanted: number;
  /** How often the mould is filled, or the printer runs. */
  readonly pours: number;
}
/** How many of a mark it pays to make a mould for. Common practice. */
const LEAST = 3;
/** Every mark that is made from a master. A mould holds so many at once, and all of them are made: the last fill is a whole one. */
export function masterPlans(d: Pick<Design, "doc" | "pieces">): MasterPlan[] {
  return buildOf(d.doc).masters.flatMap((master) =>
    d.pieces.flatMap((p: Piece): MasterPlan[] => {
      if (p.role !== master.role) return [];
      const sticks = p.sticks.filter((s) => s.startsWith(`${master.structure}/`));
      // one or two of a mark are sooner cut
      if (sticks.length < LEAST) return [];
      const wanted = sticks.length + master.spare;
      return [{ master, mark: p.mark, role: p.role, sticks, wanted, pours: Math.ceil(wanted / master.atOnce) }];
    }),
  );
}
/** Sticks that are cast or printed and so not cut: all but the master of each mark; of what is printed the master too. */
export const madeSticks = (d: Pick<Design, "doc" | "pieces">): ReadonlySet<string> =>
  new Set(masterPlans(d).flatMap((m) => (m.master.by === "printed" ? m.sticks : m.sticks.slice(1))));
