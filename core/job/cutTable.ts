import { nominalOf, type Piece } from "../frame";
import { catalogue, OTHER_STOCK } from "../lumber";
import { printPrototype, toPrototype } from "../units";
import { theoreticalOf } from "./cutList";
import type { Design } from "./design";
import { whereRanges } from "./whereRanges";

type Cell = string | number;
/** A cut list for a spreadsheet: every length a number in the unit its column names, every angle a number in degrees. */
export interface CutTable {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
}

/** Names of stock by id, with what is not cut from sticks. */
export function stockNames(d: Pick<Design, "scale">): (id: string) => string {
  const names = new Map(catalogue(d.scale).map((i) => [i.id, i.name]));
  return (id) => names.get(id) ?? OTHER_STOCK[id] ?? id;
}

/** The cut list as a table in the job's own units: model lengths in mm, or in decimal inches where the job reads inches. */
export function cutTable(d: Design): CutTable {
  const { units } = d.doc.brief;
  const inches = units.model !== "mm";
  const unit = inches ? "in" : "mm";
  const length = (mm: number): number => (inches ? Number((mm / 25.4).toFixed(4)) : Number(mm.toFixed(2)));
  const degrees = (n: number): number => Number(n.toFixed(2)) + 0;
  const name = stockNames(d);
  const theory = theoreticalOf(d);
  const end = (p: Piece, e: 0 | 1): Cell[] => {
    const [first, ...more] = p.shape.ends[e];
    const others = more.map((c) => `mitre ${degrees(c.mitre)} bevel ${degrees(c.bevel)}`).join("; ");
    return [degrees(first?.mitre ?? 0), degrees(first?.bevel ?? 0), others];
  };
  return {
    columns: [
      "mark",
      "count",
      "piece",
      "nominal",
      "stock",
      `thickness_${unit}`,
      `width_${unit}`,
      `tip_to_tip_${unit}`,
      "tip_to_tip_prototype",
      `theoretical_${unit}`,
      `long_edge_${unit}`,
      `short_edge_${unit}`,
      "end_a_mitre_deg",
      "end_a_bevel_deg",
      "end_a_more",
      "end_b_mitre_deg",
      "end_b_bevel_deg",
      "end_b_more",
      "hand",
      "goes_to",
    ],
    rows: d.pieces.map((p) => {
      const [a, b] = [...p.shape.section].sort((x, y) => x - y);
      const theoretical = theory.get(p.sticks[0]!);
      return [
        p.mark,
        p.sticks.length,
        p.role,
        OTHER_STOCK[p.stock] ? "" : nominalOf(p.shape.kind, p.nominal),
        name(p.stock),
        length(a!),
        length(b!),
        length(p.shape.overall),
        printPrototype(toPrototype(d.scale, p.shape.overall), units.prototype),
        theoretical === undefined ? "" : length(theoretical),
        length(p.shape.longPoint),
        length(p.shape.shortPoint),
        ...end(p, 0),
        ...end(p, 1),
        p.handOf ? `mirror of ${p.handOf}` : p.handed ? "handed" : "",
        whereRanges(p.sticks),
      ];
    }),
  };
}
