import type { Face } from "../../frame";
import type { Vec3 } from "../../geometry";
import type { SheetItem } from "../../lumber";
import type { Builder } from "../builder";
import { panelMember, rectangleOf } from "../panel";

type Span = readonly [number, number];
/** A box of a platform's own axes that is made of sheet: from where to where along, across and up; `thin` is the direction of the sheet's thickness. Model mm. */
export interface PlateSeed {
  readonly id: string;
  readonly assembly: string;
  readonly role: string;
  readonly letter: string;
  readonly item: SheetItem;
  readonly p: Span;
  readonly q: Span;
  readonly z: Span;
  readonly thin: "p" | "q" | "z";
  readonly grounded?: boolean;
}
/**
 * One of two platforms that mirror each other: places given in its own axes (p along, q across from its front edge, z up)
 * come out right-handed in one and left-handed in the other. The first looks towards smaller y, its mirror image towards greater.
 */
export interface Hand {
  /** What its parts' names begin with. */
  readonly root: string;
  readonly at: (p: number, q: number, z: number) => Vec3;
  readonly dir: (p: number, q: number) => Vec3;
  /** Adds a plate and gives its id. */
  plate(s: PlateSeed): string;
  /** The face of an upright plate that looks inwards (+1) or outwards (−1) across the platform. */
  across(side: 1 | -1): Face;
  /** The edge of a plate that lies level, or of one that stands across, which looks inwards (+1) or outwards (−1). */
  edge(side: 1 | -1, thin: "p" | "z"): Face;
}
/** Places parts of a platform whose front edge lies at a y, seen from smaller y (1) or mirrored (−1). */
export function handed(b: Builder, structure: string, root: string, y0: number, h: 1 | -1): Hand {
  const at = (p: number, q: number, z: number): Vec3 => [p, y0 + h * q, z];
  return {
    root,
    at,
    dir: (p, q) => [p, h * q, 0],
    plate: (s) => {
      const y = s.q.map((q) => y0 + h * q).sort((m, n) => m - n) as unknown as Span;
      const seed = { id: `${root}/${s.id}`, assembly: `${root}/${s.assembly}`, role: s.role, letter: s.letter, stock: s.item.id, thickness: s.item.thickness, ...(s.grounded ? { grounded: true } : {}) }; // prettier-ignore
      const placed =
        s.thin === "z"
          ? { origin: [0, 0, s.z[0]] as Vec3, u: [1, 0, 0] as Vec3, v: [0, 1, 0] as Vec3, outline: rectangleOf(s.p, y) }
          : s.thin === "q"
            ? { origin: [0, y[1], 0] as Vec3, u: [1, 0, 0] as Vec3, v: [0, 0, 1] as Vec3, outline: rectangleOf(s.p, s.z) } // prettier-ignore
            : { origin: [s.p[0], 0, 0] as Vec3, u: [0, 1, 0] as Vec3, v: [0, 0, 1] as Vec3, outline: rectangleOf(y, s.z) }; // prettier-ignore
      return b.add(panelMember(structure, { ...seed, ...placed })).id;
    },
    // the thickness of a plate along the platform grows towards smaller y
    across: (side) => (side * h > 0 ? "-w" : "+w"),
    edge: (side, thin) => (side * h > 0 ? (thin === "z" ? "e2" : "e1") : thin === "z" ? "e0" : "e3"),
  };
}
