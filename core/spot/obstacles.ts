import type { Vec2 } from "../geometry";
import { spotOf, type Design } from "../job";
import { standing, type Place } from "../site";
import { blocksOfStanding, carOf, modelCar, sweptBlocks, thingBlocks, type Block } from "../trains";

/** Something that a structure may not stand in, in parts, and how far it has to stay from it. Plan coordinates, model mm. */
export interface Obstacle {
  readonly id: string;
  readonly name: string;
  readonly parts: readonly Block[];
  readonly apart: number;
}
/** What nothing of a structure may stand in: all that is there but water, in which piers stand. */
export const inNobodysWay = (kind: string): boolean => kind === "water";

/** What is on the spot beside one structure: things, the other structures, and what the longest cars sweep, from which it stays so far. */
export function obstaclesTo(d: Design, structure: string, besideTrack: number): Obstacle[] {
  const { things, tracks, cars } = spotOf(d.doc);
  return [
    ...things.filter((t) => !inNobodysWay(t.kind)).map((t): Obstacle => ({ id: t.id, name: t.name, parts: thingBlocks(t), apart: 0 })), // prettier-ignore
    ...standing(d).filter((s) => s.design.structure.id !== structure).map((s): Obstacle => ({ id: s.design.structure.id, name: s.design.structure.name, parts: blocksOfStanding(s), apart: 0 })), // prettier-ignore
    ...tracks.map((t): Obstacle => {
      const car = modelCar(carOf(t.car, cars), d.scale.ratio);
      return { id: t.id, name: `the cars on ${t.name}`, apart: besideTrack, parts: sweptBlocks(t, car) };
    }),
  ];
}
/** The sides of the spot from its middle, model mm; a side that is not known is as long as it likes. */
export const sidesOf = ({ doc: { brief: { spotLength, spotDepth } } }: Design): Vec2 => [spotLength > 0 ? spotLength / 2 : Infinity, spotDepth > 0 ? spotDepth / 2 : Infinity]; // prettier-ignore
/** Where a structure stands, or would without a place: on the spot's middle, its foot on it. */
export const placeOr = (place: Place | undefined, low: number): Place => place ?? { x: 0, y: 0, z: -low, turn: 0 };
