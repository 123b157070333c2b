import type { Piece } from "core/frame";
import { stockName } from "core/lumber";
import { nominalOf } from "core/frame";
import { whereRanges, whereWords, type CutStatus, type Design } from "core/job";
import { hasWords } from "core/units";

/** How the cut list is parted: by what a piece is, by what it is cut from, by the tray its sticks go into. */
export const GROUPINGS = { none: "not at all", part: "by part", stock: "by stock", tray: "by tray" } as const;
export type Grouping = keyof typeof GROUPINGS;

/** A row: a piece, or of a piece the sticks that go into one tray. */
export interface Row {
  readonly id: string;
  readonly piece: Piece;
  readonly sticks: readonly string[];
  readonly stock: string;
  readonly nominal: string;
  readonly where: string;
  readonly group: string;
  readonly statuses: readonly CutStatus[];
}

/** What is built together, and so lies in one tray: the words of a stick's assembly. */
export function trayOf(assembly: string): string {
  const words = whereWords(assembly).trim();
  return words === "" || !assembly.includes("/") ? "Everything" : words.charAt(0).toUpperCase() + words.slice(1);
}

/** The rows of a design's cut list, grouped as asked. */
export function rowsOf(design: Design, statuses: readonly CutStatus[], grouping: Grouping): Row[] {
  const name = (id: string): string => stockName(design.scale, id);
  const cut = new Map(statuses.map((s) => [s.stick, s]));
  const assembly = new Map(
    grouping === "tray"
      ? design.structures.flatMap((s) => s.resolved.sticks.map((k) => [k.id, trayOf(k.member.assembly)] as const))
      : [],
  );
  const row = (piece: Piece, sticks: readonly string[], group: string): Row => ({
    id: group ? `${group}|${piece.mark}` : piece.mark,
    piece,
    sticks,
    stock: name(piece.stock),
    nominal: nominalOf(piece.shape.kind, piece.nominal),
    where: whereRanges(sticks),
    group,
    statuses: sticks.flatMap((s) => cut.get(s) ?? []),
  });
  return design.pieces.flatMap((p): Row[] => {
    if (grouping === "part") return [row(p, p.sticks, p.role.charAt(0).toUpperCase() + p.role.slice(1))];
    if (grouping === "stock") return [row(p, p.sticks, name(p.stock))];
    if (grouping === "none") return [row(p, p.sticks, "")];
    const trays = new Map<string, string[]>();
    for (const s of p.sticks) {
      const tray = assembly.get(s) ?? "Everything";
      const own = trays.get(tray);
      if (own) own.push(s);
      else trays.set(tray, [s]);
    }
    return [...trays].map(([tray, sticks]) => row(p, sticks, tray));
  });
}

/** Whether a row answers to what was typed: mark, part, size, stock or place, in any order. */
export const rowHas = (r: Row, text: string): boolean =>
  hasWords([r.piece.mark, r.piece.role, r.nominal, r.stock, r.where].join(" "), text);

/** Rows and the headings of their groups in order, those of folded groups left out. */
export type Line =
  | { readonly kind: "group"; readonly name: string; readonly rows: number; readonly pieces: number; readonly cut: number } // prettier-ignore
  | { readonly kind: "row"; readonly row: Row };
export function linesOf(rows: readonly Row[], folded: ReadonlySet<string>): Line[] {
  const groups = new Map<string, Row[]>();
  for (const r of rows) {
    const own = groups.get(r.group);
    if (own) own.push(r);
    else groups.set(r.group, [r]);
  }
  const natural = new Intl.Collator("en", { numeric: true });
  return [...groups]
    .sort(([a], [b]) => natural.compare(a, b))
    .flatMap(([name, list]): Line[] => [
      ...(name === ""
        ? []
        : [
            {
              kind: "group" as const,
              name,
              rows: list.length,
              pieces: list.reduce((n, r) => n + r.sticks.length, 0),
              cut: list.reduce((n, r) => n + r.statuses.filter((s) => s.state === "valid").length, 0),
            },
          ]),
      ...(folded.has(name) ? [] : list.map((row): Line => ({ kind: "row", row }))),
    ]);
}
