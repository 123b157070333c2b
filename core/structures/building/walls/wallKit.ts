export { buttJoint, touching } from "../../touching";
import type { Face } from "../../../frame";
import type { Vec3 } from "../../../geometry";
import type { Builder } from "../../builder";
import type { Timber } from "../../timber";
import { onWall } from "../plan/sides";
import { rootOf, type BuildingLayout, type Wall } from "../plan/layout";

/** An upright of a wall: the middle of its width along the wall, what it is, and from where to where it stands. */
export interface Upright {
  readonly id: string;
  readonly role: string;
  readonly s: number;
  readonly half: number;
  readonly z0: number;
  readonly z1: number;
  readonly timber: Timber;
  /** Stands in the thickness of the wall from `inner` to its inside, not flush with its outside. */
  readonly turned?: boolean;
}
/** How far two members of a row must stand apart for another to go between, model mm. */
export const LEAST_GAP = 0.2;

/** What every piece of a wall shares. */
export interface WallKit {
  readonly b: Builder;
  readonly l: BuildingLayout;
  readonly w: Wall;
  readonly root: string;
  /** A stick lying along the wall, its width in the wall's thickness, or `edge` on edge; z is its underside. */
  along(id: string, role: string, letter: string, t: Timber, s0: number, s1: number, z: number, o?: AlongSet): string;
}
interface AlongSet {
  readonly edge?: boolean;
  readonly inward?: number;
  readonly square?: boolean | readonly [boolean, boolean];
}
export function wallKit(b: Builder, l: BuildingLayout, w: Wall): WallKit {
  const root = rootOf(l, w.name);
  return {
    b,
    l,
    w,
    root,
    along: (path, role, letter, t, s0, s1, z, o = {}) => {
      const id = `${root}/${path}`;
      const inward = o.inward ?? 0;
      const [high, deep] = o.edge ? [t.v, t.w] : [t.w, t.v];
      const at = (s: number): Vec3 => onWall(w, s, inward + deep / 2, z + high / 2);
      b.stick({
        id,
        assembly: root,
        role,
        letter,
        timber: t,
        a: at(s0),
        b: at(s1),
        up: o.edge ? [0, 0, 1] : w.n,
        square: o.square ?? true,
      });
      return id;
    },
  };
}
/** Faces of what lies flat along a wall, and of its uprights. */
export const TOP: Face = "-w";
export const UNDER: Face = "+w";
export const OUTER: Face = "+v";
export const INNER: Face = "-v";
export const RIGHT: Face = "+w";
export const LEFT: Face = "-w";
/** Faces of what stands on edge along a wall. */
export const EDGE = { top: "+v", under: "-v", outer: "+w", inner: "-w" } as const satisfies Record<string, Face>;
