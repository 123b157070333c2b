import { NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import type { Behind } from "../cladding/behind";
import { flushEnds, highest, openEnds, wingAtCorner, type CladFace } from "../cladding/cladFace";
import { lay, onBase, LEAST, SQUARE } from "../cladding/layBoard";
import { rootOf, type BuildingLayout } from "../plan/layout";
import { rest } from "../cladding/rest";
import { wallOn } from "../roof/slopes";
import { touching } from "../walls/wallKit";

/** A board on each side of a corner, up to the eave or the gable's slopes. */
export function cornerBoards(b: Builder, l: BuildingLayout, f: CladFace, behind: readonly Behind[]): void {
  const t = l.t.cornerBoard;
  const w = f.wall;
  for (const side of ["left", "right"] as const) {
    if (isOpen(f, side) || flushEnds(l, f.part, w)[side === "left" ? 0 : 1]) continue;
    const out = w.through || wingAtCorner(l, f.part, w, side) ? 0 : t.w;
    const s: readonly [number, number] = side === "left" ? [-out, t.v - out] : [w.length - t.v + out, w.length + out];
    // where a wing stands at the corner there is none
    const wings = f.holes.filter((h) => /^wing/.test(h.id) && h.from < s[1] - NEAR && h.to > s[0] + NEAR);
    // the face that boards cover begins where this one ends
    const own: CladFace = { ...f, from: s[0], to: s[1], holes: [] };
    const top = f.slopes.length > 0 ? Math.min(f.head, highest(l, own, s[0], s[1])) : f.head;
    const ids = rest(
      [f.foot, f.head],
      wings.map((h) => [h.low, h.high]),
    ).flatMap(([z0, z1], j) => {
      if (z0 > top - LEAST) return [];
      const id = lay(b, l, own, behind, {
        id: j === 0 ? `corner-board/${side}` : `corner-board/${side}${j + 1}`,
        role: "corner board",
        letter: "XB",
        timber: t,
        s,
        z: [z0, z1],
        upright: true,
        out: t.w / 2,
        touch: { s, z: [z0, Math.min(z1, top)] },
        ends: [f.base ? undefined : SQUARE, f.slopes.length > 0 ? undefined : SQUARE],
      });
      onBase(b, f, id, "end0");
      for (const d of f.slopes)
        b.join({ kind: "trim", id: `${id}/${d.split("/").pop()}`, a: id, datum: d, as: "end1", contact: "gap" });
      return [id];
    });
    const id = ids[0];
    if (!id) continue;
    // an end wall's covers the edge of the long wall's
    const neighbour = w.through ? undefined : wallOn(f.part, (w.side === "E") === (side === "left") ? "S" : "N");
    if (
      neighbour &&
      b.members.some((m) => m.id === `${rootOf(l, neighbour.name)}/corner-board/${side === "left" ? "right" : "left"}`)
    )
      b.join(
        touching(id, `${rootOf(l, neighbour.name)}/corner-board/${side === "left" ? "right" : "left"}`, "+w", "+v"),
      );
  }
}
const isOpen = (f: CladFace, side: "left" | "right"): boolean => openEnds(f.part, f.wall)[side === "left" ? 0 : 1];
