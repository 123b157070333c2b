import { entryOf, nominalOf, type Entry } from "../frame";
import { otherStock, stockName } from "../lumber";
import { printPrototype, toPrototype } from "../units";
import type { Design } from "./design";
import { endWords } from "./sawWords";

/** A row of the cut list, ready to print. Lengths model mm unless said. */
export interface CutRow {
  readonly mark: string;
  readonly count: number;
  readonly piece: string;
  readonly nominal: string;
  readonly stock: string;
  readonly section_mm: string;
  readonly overall_mm: number;
  readonly overall_prototype: string;
  /** Of a rafter: by the framing square, before it is shortened; empty for all else. */
  readonly theoretical_mm: number | "";
  readonly long_edge_mm: number;
  readonly short_edge_mm: number;
  readonly end_a: string;
  readonly end_b: string;
  /** Every cut in numbers, with how the piece lies for it. */
  readonly cuts: Entry;
  readonly handed: string;
  readonly where: string;
}

/** Where a stick goes, without its structure: "story 1, post L2". */
export function whereWords(stick: string): string {
  const parts = stick.split("/");
  return parts
    .slice(parts[1] === "bent" ? 2 : 1)
    .map((w) =>
      w
        .replace(/^(story|level|bay|bent|span|track|ply|from|girt|plank|bulkhead|pier)(\d)/, "$1 $2")
        .replace(/^place(\d+)$/, "frame $1")
        .replace(/-mirrored/, " mirrored")
        .replace(/#s(\d+)$/, ", part $1")
        .replace(/#(\d+)s(\d+)$/, ", ply $1, part $2")
        .replace(/#(\d+)$/, ", ply $1"),
    )
    .join(" ");
}

/** The theoretical lengths of a design's rafters by stick, model mm. */
export function theoreticalOf(d: Pick<Design, "structures">): ReadonlyMap<string, number> {
  return new Map(
    d.structures.flatMap((s) =>
      s.resolved.sticks.flatMap((k) =>
        k.member.theoretical === undefined ? [] : [[k.id, k.member.theoretical] as const],
      ),
    ),
  );
}

/** The same with every number to a thousandth. */
const inThousandths = (e: Entry): Entry =>
  JSON.parse(JSON.stringify(e, (_key, v: unknown) => (typeof v === "number" ? Number(v.toFixed(3)) + 0 : v))) as Entry;

/** The cut list of a design: a row for each piece. */
export function cutRows(d: Design): CutRow[] {
  const mm = (n: number): number => Number(n.toFixed(3));
  const theory = theoreticalOf(d);
  return d.pieces.map((p) => ({
    mark: p.mark,
    count: p.sticks.length,
    piece: p.role,
    nominal: otherStock(p.stock) ? "" : nominalOf(p.shape.kind, p.nominal),
    stock: stockName(d.scale, p.stock),
    section_mm: [...p.shape.section]
      .sort((x, y) => x - y)
      .map((x) => x.toFixed(2))
      .join(" × "),
    overall_mm: mm(p.shape.overall),
    overall_prototype: printPrototype(toPrototype(d.scale, p.shape.overall), d.doc.brief.units.prototype),
    theoretical_mm: theory.has(p.sticks[0]!) ? mm(theory.get(p.sticks[0]!)!) : "",
    long_edge_mm: mm(p.shape.longPoint),
    short_edge_mm: mm(p.shape.shortPoint),
    end_a: endWords(p.shape.ends[0], 3, true),
    end_b: endWords(p.shape.ends[1], 3, true),
    cuts: inThousandths(entryOf(p.shape)),
    handed: p.handOf ? `mirror of ${p.handOf}` : p.handed ? "handed" : "",
    where: p.sticks.map(whereWords).join("; "),
  }));
}
