import type { Member } from "../../frame";
import type { Vec2, Vec3 } from "../../geometry";
import { model } from "../../units";
import type { Builder } from "../builder";
import type { BuildingLayout } from "./layout";
import { move, turn, type Placement } from "./place";

/** A sheet part in a part's own axes: its lower face lies in the plane of u and v, its thickness along u × v. Model mm. */
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
  readonly holes?: Extract<Member["body"], { shape: "panel" }>["holes"];
  readonly loose?: boolean;
}
/** Places a panel where its part stands. */
export function panel(b: Pick<Builder, "add">, l: BuildingLayout, place: Placement, s: PanelSeed): string {
  return b.add({
    id: s.id,
    structure: l.ctx.structure,
    assembly: s.assembly,
    role: s.role,
    letter: s.letter,
    kind: "panel",
    nominal: [0, 0],
    ends: [undefined, undefined],
    ...(s.loose ? { loose: true } : {}),
    body: {
      shape: "panel",
      origin: move(place, s.origin),
      u: turn(place, s.u),
      v: turn(place, s.v),
      outline: s.outline,
      bevel: s.bevel ?? s.outline.map(() => 0),
      thickness: model(s.thickness),
      stock: "sheet",
      holes: s.holes ?? [],
    },
  }).id;
}
