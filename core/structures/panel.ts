import type { Joint, Member, PanelBody } from "../frame";
import type { Vec2, Vec3 } from "../geometry";
import { textureOf, type SheetItem } from "../lumber";
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
  /** A sheet that is sold, and what is on its face; plain sheet of that thickness where it does not say. */
  readonly stock?: string;
  readonly texture?: NonNullable<PanelBody["texture"]>;
  readonly over?: NonNullable<Member["over"]>;
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
  ...(s.texture ? { turning: s.texture.turns ? "face" : "none" } : {}),
  ...(s.over ? { over: s.over } : {}),
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
/** A square-edged opening in a panel, from where to where along u and v. */
export const rectangleHole = (
  name: string,
  u: readonly [number, number],
  v: readonly [number, number],
): PanelBody["holes"][number] => ({
  name,
  outline: [
    [u[0], v[0]],
    [u[1], v[0]],
    [u[1], v[1]],
    [u[0], v[1]],
  ],
  bevel: [0, 0, 0, 0],
});
/**
 * Where the lines of a wall's textured sheet lie: level ones at the same heights all round, counted from the lowest foot,
 * so that courses meet at the corners; upright ones from the wall's left end, so that it begins with a whole board.
 */
export function wallLines(item: SheetItem, lowest: number, left: number): NonNullable<PanelBody["texture"]> {
  const { id, pitch } = item.texture!;
  const t = textureOf(id);
  const level = t.runs === "level";
  return { across: level ? "v" : "u", pitch, first: model(level ? lowest : left), turns: t.turns };
}
type Bearing = Extract<Joint, { kind: "bearing" }>;
/** A part held by another where their faces meet; where they do not, nothing is said. */
export const touching = (a: string, b: string, aFace: Bearing["aFace"], bFace: Bearing["bFace"]): Joint => ({
  kind: "bearing",
  id: `${a}>${b.slice(b.indexOf("/") + 1)}:${aFace}${bFace}`,
  a,
  b,
  aFace,
  bFace,
  contact: "gap",
});
