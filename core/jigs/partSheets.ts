import { boundsOfDrawing, elevation, line, outline, text, type Drawing, type Entity, type Layer } from "../drawing"; // prettier-ignore
import type { Piece, Resolved } from "../frame";
import { polygonArea, type Vec2 } from "../geometry";
import { unionOf } from "../geometry/union";
import type { StructureDesign } from "../job";
import { sheetOf } from "../lumber";
import { printMm } from "../units";
import type { NamedDrawing } from "./kindSheets";

/** Room between parts, and the width that rows fill: A4 and Letter have it between their margins. Model mm. */
const [APART, WIDE] = [4, 170];
/** Height of the letters under a part, and what the longest line of them takes. */
const [SIZE, CAPTION] = [1.9, 24];

/**
 * The parts that are cut from a sheet, one of each at its true outline with its mark, how many there are of it, how long
 * and how wide it is; a drawing for every sheet they come from. Rows are filled from the largest part down. Nothing for
 * parts that are told elsewhere. Model mm.
 */
export function partSheets(
  s: StructureDesign,
  pieces: readonly Piece[],
  has: (k: Resolved) => boolean,
): NamedDrawing[] {
  // prettier-ignore
  const stick = new Map(s.resolved.sticks.filter((k) => k.member.kind === "panel" && has(k)).map((k) => [k.id, k]));
  const groups = new Map<string, { readonly p: Piece; readonly k: Resolved; readonly n: number }[]>();
  for (const p of pieces) {
    const here = p.sticks.filter((id) => stick.has(id));
    if (here.length > 0) groups.set(p.stock, [...(groups.get(p.stock) ?? []), { p, k: stick.get(here[0]!)!, n: here.length }]); // prettier-ignore
  }
  return [...groups].map(([stock, parts]) => ({
    what: `parts of ${sheetOf(stock)?.name.replace(/^[A-Z](?=[a-z])/, (c) => c.toLowerCase()) ?? stock}`,
    drawing: laidOut(parts),
  }));
}

function laidOut(parts: readonly { readonly p: Piece; readonly k: Resolved; readonly n: number }[]): Drawing {
  const cut: Entity[] = [];
  const texture: Entity[] = [];
  const words: Entity[] = [];
  const drawn = parts
    .map(({ p, k, n }) => ({ n, p, ...flatSheet(k) }))
    .sort((a, b) => b.high - a.high || b.wide - a.wide);
  let [x, y, row] = [0, 0, 0];
  for (const d of drawn) {
    const caption = [d.p.mark, d.p.role, `${d.wide.toFixed(2)} × ${printMm(d.high, 2)}`];
    const [wide, high] = [Math.max(d.wide, CAPTION), d.high + caption.length * SIZE * 1.5 + 1];
    if (x > 0 && x + wide > WIDE) [x, y, row] = [0, y - row - APART, 0];
    const at = ([px, py]: Vec2): Vec2 => [x + px, y - d.high + py];
    for (const ring of d.rings) cut.push(outline(ring.map(at), "outline", polygonArea(ring) < 0 ? "white" : undefined));
    for (const [a, b] of d.lines) texture.push(line(at(a), at(b), "thin"));
    caption.forEach((c, i) => words.push(text([x, y - d.high - (i + 1) * SIZE * 1.5], c, SIZE)));
    if (d.n > 1) words.push(text([x + SIZE * (0.7 * d.p.mark.length + 1), y - d.high - SIZE * 1.5], `${d.n} ×`, SIZE));
    x += wide + APART;
    row = Math.max(row, high);
  }
  const layers: Layer[] = [
    { name: "members", entities: cut },
    ...(texture.length > 0 ? [{ name: "texture", entities: texture }] : []),
    { name: "piece-marks", entities: words },
  ];
  const { min } = boundsOfDrawing({ layers });
  const note =
    "One of each at full size: trace, or cut through the paper, as often as it says. Seen from its outer side.";
  return { layers: [...layers, { name: "notes", entities: [text([0, min[1] - 5], note, 2.2)] }] };
}
/** A sheet part seen square on from its outer side, its lower left corner at 0, 0: its closed contours and the lines on it. */
export function flatSheet(k: Resolved): {
  readonly rings: readonly (readonly Vec2[])[];
  readonly lines: readonly (readonly [Vec2, Vec2])[];
  readonly wide: number;
  readonly high: number;
} {
  // prettier-ignore
  const { u, v, w } = k.axes;
  const [shown] = elevation([k], { id: "side", right: u, up: v, eye: w });
  const [x0, y0] = shown!.min;
  const to = (p: Vec2): Vec2 => [p[0] - x0, p[1] - y0];
  const areas = shown!.outlines.filter((o) => o.length > 2);
  return {
    rings: (areas.length > 1 ? unionOf(areas) : areas).map((o) => o.map(to)),
    lines: shown!.outlines.flatMap((o) => (o.length === 2 ? [[to(o[0]!), to(o[1]!)] as const] : [])),
    wide: shown!.max[0] - x0,
    high: shown!.max[1] - y0,
  };
}
