import type { Piece, Resolved } from "../frame";
import { dot, type Vec2, type Vec3 } from "../geometry";
import type { StructureDesign } from "../job";
import { bayBlocks } from "./bayBlocks";
import { template } from "./template";
import type { NamedDrawing } from "./kindSheets";

/** A template of everything of a structure that is put together by itself. */
export function buildSheets(s: StructureDesign, pieces: readonly Piece[]): NamedDrawing[] {
  const blocks = bayBlocks(s);
  const own = (s.kind.builds?.(s.variant.params, s.context) ?? []).flatMap((b): NamedDrawing[] => {
    const sticks = s.resolved.sticks.filter(b.has);
    if (sticks.length === 0) return [];
    return [
      { what: b.name, drawing: template(s, pieces, { sticks, view: { ...b, id: "side" }, shift: cornerShift(sticks, b) }) }, // prettier-ignore
    ];
  });
  return blocks ? [...alikeOnce(own), { what: "spacer blocks", drawing: blocks }] : alikeOnce(own);
}
/** What is drawn alike, marks and all, stands on one sheet: "Right truss and left truss", "Strut and knees at U2, 3 alike". */
function alikeOnce(all: readonly NamedDrawing[]): NamedDrawing[] {
  const groups = new Map<string, NamedDrawing[]>();
  for (const d of all) {
    const looks = JSON.stringify(d.drawing, (_, v: unknown) => (typeof v === "number" ? Math.round(v * 1e4) : v));
    const group = groups.get(looks);
    if (group) group.push(d);
    else groups.set(looks, [d]);
  }
  return [...groups.values()].map(([first, ...more]) => {
    const other = more[0]?.what;
    const what =
      more.length > 1
        ? `${first!.what}, ${more.length + 1} alike`
        : other
          ? `${first!.what} and ${other[0]!.toLowerCase()}${other.slice(1)}`
          : first!.what;
    return { what, drawing: first!.drawing };
  });
}

/** How far a drawing of sticks is moved so that its lower left corner is at 0, 0. */
export function cornerShift(sticks: readonly Resolved[], b: { readonly right: Vec3; readonly up: Vec3 }): Vec2 {
  let [x, y] = [Infinity, Infinity];
  for (const k of sticks)
    for (const p of k.parts)
      for (const f of p.faces)
        for (const c of f.corners) {
          x = Math.min(x, dot(c, b.right));
          y = Math.min(y, dot(c, b.up));
        }
  return [-x, -y];
}
