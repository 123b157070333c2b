import { entryOf, nominalOf, type Entry, type EntryEnd, type EntryNotch, type EntryRip } from "../frame";
import { otherStock, shapeOf, stockName } from "../lumber";
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

/**
 * The cut list as a table in the job's own units: model lengths in mm, or in decimal inches where the job reads inches.
 * A row holds all that makes its piece. A cut says how the piece lies for it, its start at the left: on its "face", or on
 * its "edge", rolled a quarter towards you. A lengthwise cut runs from one distance from the near edge at the start to
 * another at the far tip; a notch takes out, between two heights over the table, an outline of points "along/from the
 * near edge"; a sheet part is such an outline. A channel lies on its web, an angle on the leg that is its width, with the
 * other standing along the near edge. Lines of a sheet's face are told from its start or from its near edge.
 */
export function cutTable(d: Design): CutTable {
  const { units } = d.doc.brief;
  const inches = units.model !== "mm";
  const unit = inches ? "in" : "mm";
  const length = (mm: number): number => (inches ? Number((mm / 25.4).toFixed(4)) : Number(mm.toFixed(2)));
  const degrees = (n: number): number => Number(n.toFixed(2)) + 0;
  const theory = theoreticalOf(d);
  const end = (cuts: readonly EntryEnd[]): Cell[] => {
    const [first, ...more] = cuts;
    const others = more.map((c) => `${c.lies} mitre ${degrees(c.mitre)} bevel ${degrees(c.bevel)} at ${length(c.at)}`);
    if (!first) return ["", "", "", "", ""];
    return [first.lies, degrees(first.mitre), degrees(first.bevel), length(first.at), others.join("; ")];
  };
  const rip = (r: EntryRip): string =>
    `${r.lies} ${length(r.start)} to ${length(r.far)} bevel ${degrees(r.bevel)} keep ${r.keep}`;
  const notch = (n: EntryNotch): string => {
    const points = (list: readonly (readonly number[])[]): string =>
      list.map((p) => p.map((x) => length(x)).join("/")).join(" ");
    if ("corners" in n) return `corners ${points(n.corners)}`;
    const [lower, upper] = [points(n.lower), points(n.upper)];
    return `${n.lies} from ${length(n.from)} to ${length(n.to)}: ${lower}${lower === upper ? "" : ` above: ${upper}`}`;
  };
  const linesOf = ({ shape: { lines } }: (typeof d.pieces)[number]): string =>
    lines
      ? `${lines.across === "u" ? "square to the length" : "along the length"} every ${length(lines.pitch)} from ${length(lines.first)}`
      : "";
  const all = <T>(list: readonly T[], one: (x: T) => string): string => list.map(one).join("; ");
  const shaped = (e: Entry): Cell[] =>
    e.outline
      ? ["", "", "", "", "", "", "", "", "", "", "", all(e.notches, notch), notch(e.outline)]
      : [...end(e.ends[0]), ...end(e.ends[1]), all(e.rips, rip), all(e.notches, notch), ""];
  return {
    columns: [
      "mark",
      "count",
      "piece",
      "nominal",
      "form",
      "stock",
      `thickness_${unit}`,
      `width_${unit}`,
      `web_${unit}`,
      `flange_${unit}`,
      `tip_to_tip_${unit}`,
      "tip_to_tip_prototype",
      `theoretical_${unit}`,
      `long_edge_${unit}`,
      `short_edge_${unit}`,
      ...["a", "b"].flatMap((e) => [
        `end_${e}_lies_on`,
        `end_${e}_mitre_deg`,
        `end_${e}_bevel_deg`,
        `end_${e}_at_${unit}`,
        `end_${e}_more`,
      ]),
      "lengthwise_cuts",
      "notches_and_holes",
      "outline",
      "texture_lines",
      "hand",
      "goes_to",
    ],
    rows: d.pieces.map((p) => {
      const entry = entryOf(p.shape);
      const theoretical = theory.get(p.sticks[0]!);
      const profile = shapeOf(p.stock)?.profile;
      return [
        p.mark,
        p.sticks.length,
        p.role,
        otherStock(p.stock) ? "" : nominalOf(p.shape.kind, p.nominal),
        profile?.form ?? p.shape.kind,
        stockName(d.scale, p.stock),
        length(entry.thickness),
        length(entry.width),
        profile ? length(profile.web) : "",
        profile ? length(profile.flange) : "",
        length(p.shape.overall),
        printPrototype(toPrototype(d.scale, p.shape.overall), units.prototype),
        theoretical === undefined ? "" : length(theoretical),
        length(p.shape.longPoint),
        length(p.shape.shortPoint),
        ...shaped(entry),
        linesOf(p),
        p.handOf ? `mirror of ${p.handOf}` : p.handed ? "handed" : "",
        whereRanges(p.sticks),
      ];
    }),
  };
}
