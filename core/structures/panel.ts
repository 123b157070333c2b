import type { Member, PanelBody } from "../frame";
import type { Vec2, Vec3 } from "../geometry";
import { model } from "../units";

/** A sheet part: its lower face lies in the plane of u and v, its thickness along u × v. Model mm. */
export interface PanelSeed {
  readonly id: string;
  readonly assembly: string;
  readonly role: string;
  readonly letter: string;
  readonly origin: Vec3;
  readonly u: Vec3;
  readonly v: Vec3;
  readonly outline: readonly Vec2[];
  readonly thickness: number;
  readonly bevel?: readonly number[];
  readonly holes?: PanelBody["holes"];
  readonly loose?: boolean;
  readonly grounded?: boolean;
  /** A sheet that is sold, and what is on its face; plain sheet of that thickness where it does not say. */
  readonly stock?: string;
  readonly texture?: NonNullable<PanelBody["texture"]>;
  readonly over?: NonNullable<Member["over"]>;
  /** Where it is parted, along u. */
  readonly splices?: readonly number[];
}
/** A sheet part as a member of a structure. */
export const panelMember = (structure: string, s: PanelSeed): Member => ({
  id: s.id,
  structure,
  assembly: s.assembly,
  role: s.role,
  letter: s.letter,
  kind: "panel",
  nominal: [0, 0],
  ends: [undefined, undefined],
  ...(s.loose ? { loose: true } : {}),
  ...(s.grounded ? { grounded: true } : {}),
  ...(s.texture ? { turning: s.texture.turns ? "face" : "none" } : {}),
  ...(s.over ? { over: s.over } : {}),
  ...(s.splices?.length ? { splices: s.splices } : {}),
  body: {
    shape: "panel",
    origin: s.origin,
    u: s.u,
    v: s.v,
    outline: s.outline,
    bevel: s.bevel ?? s.outline.map(() => 0),
    thickness: model(s.thickness),
    stock: s.stock ?? "sheet",
    ...(s.texture ? { texture: s.texture } : {}),
    holes: s.holes ?? [],
  },
});
/** Corners of a rectangle from where to where along u and v, counter-clockwise from the lower left. */
export const rectangleOf = ([u0, u1]: readonly [number, number], [v0, v1]: readonly [number, number]): readonly Vec2[] => [[u0, v0], [u1, v0], [u1, v1], [u0, v1]]; // prettier-ignore
/** A square-edged opening in a panel, from where to where along u and v. */
export const rectangleHole = (
  name: string,
  u: readonly [number, number],
  v: readonly [number, number],
): PanelBody["holes"][number] => ({ name, outline: rectangleOf(u, v), bevel: [0, 0, 0, 0] });
