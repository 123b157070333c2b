import { rectangleOf } from "../structures/panel";
import type { Vec2 } from "../geometry";
import { insideDrawing, roomOf, type Room, type RoomOpening } from "../inside";
import { insideOf, type StructureDesign, type Design } from "../job";
import { cardNet, type CardModel, type CardWall } from "./cardNet";
import type { NamedDrawing } from "./kindSheets";

/** A box of card that slides into a room, open at the top, with so much left all round: its walls with their openings as they are seen from outside the box, and its floor. Model mm. */
export function boxCard(r: Room, gap: number): CardModel {
  const [wide, deep, high] = [r.wide - 2 * gap, r.deep - 2 * gap, r.high - gap];
  const wall = (name: string, length: number, all: readonly RoomOpening[], mirrored: boolean): CardWall => ({
    name,
    length,
    foot: 0,
    top: [[0, high], [length, high]] as readonly Vec2[], // prettier-ignore
    eave: false,
    gaps: all.map((o) => ({
      door: o.door,
      from: mirrored ? length + gap - o.to : o.from - gap,
      to: mirrored ? length + gap - o.from : o.to - gap,
      sill: o.sill,
      head: Math.min(o.head, high),
    })),
  });
  const { front, right, back, left } = r.openings;
  const strip = [wall("front", wide, front, false), wall("right", deep, right, false), wall("back", wide, back, true), wall("left", deep, left, true)]; // prettier-ignore
  return {
    strips: [strip],
    slopes: [{ words: "floor", shape: rectangleOf([0, wide], [0, deep]), tabbed: () => true }],
  };
}
/** The inside of a structure at full size, and the box that slides in. */
export function insideSheets(s: StructureDesign, d: Design): NamedDrawing[] {
  const inside = insideOf(d.doc, s.structure.id);
  const room =
    inside.things.length > 0 || (inside.lamps?.length ?? 0) > 0 || inside.box !== undefined ? roomOf(s) : undefined;
  if (!room) return [];
  const box = inside.box === undefined ? [] : [{ what: "box that slides in", drawing: cardNet(boxCard(room, inside.box)) }]; // prettier-ignore
  return [
    {
      what: "inside, plan and section",
      drawing: insideDrawing(room, inside, d.scale.ratio, d.doc.build?.lights?.lamps),
    },
    ...box,
  ];
}
