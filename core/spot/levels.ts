import { roomBetween } from "../geometry/convexRoom";
import { spotOf, type Design } from "../job";
import { carOf, centreLine, floorOf, modelCar, railAt, thingOutline } from "../trains";

/** A level beside or across a track that does not agree with it: by how much, and at what height it would. Model mm. */
export interface OffLevel {
  readonly thing: { readonly id: string; readonly name: string };
  readonly track: { readonly id: string; readonly name: string };
  readonly what: "platform over the car floor" | "road off the rail";
  readonly by: number;
  readonly would: number;
}
/** A platform this near to a car serves it, and how much a road may be off the rail, or a platform over the floor, prototype mm: 4 ft, 2 in. Common practice. */
const [SERVES, AGREES] = [1219.2, 50.8];
/** How finely a track is looked along, model mm. */
const STEP = 5;

/** Platforms that are higher than the floor of the cars beside them, whose doors then open on nothing, and roads that do not meet the rail where they cross it. */
export function offLevels(d: Design): OffLevel[] {
  const { things, tracks, cars } = spotOf(d.doc);
  const { ratio } = d.scale;
  return things.flatMap((t) =>
    tracks.flatMap((track): OffLevel[] => {
      const line = centreLine(track);
      const ring = thingOutline(t);
      const n = Math.max(1, Math.ceil(line.length / STEP));
      const own = carOf(track.car, cars);
      const reach = t.kind === "platform" ? modelCar(own, ratio).width / 2 + SERVES / ratio : 0;
      // the places of the track that are beside it, or in it
      const along = Array.from({ length: n + 1 }, (_, i) => (line.length * i) / n).filter((s) => roomBetween([line.at(s).at], ring) <= reach); // prettier-ignore
      if (along.length === 0) return [];
      const rails = along.map((s) => railAt(track, s));
      const names = { thing: { id: t.id, name: t.name }, track: { id: track.id, name: track.name } };
      if (t.kind === "platform") {
        const would = Math.min(...rails) + floorOf(own) / ratio;
        // what is higher than the cars is over them: a roof, another storey
        return t.high > would + AGREES / ratio && t.low < would ? [{ ...names, what: "platform over the car floor", by: t.high - would, would }] : []; // prettier-ignore
      }
      if (t.kind !== "road") return [];
      const off = rails.map((r) => t.high - r).reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
      // it passes over the cars, or far enough below the rail
      const high = modelCar(own, ratio).height;
      const passes = t.low >= Math.max(...rails) + high || t.high <= Math.min(...rails) - high / 2;
      return Math.abs(off) > AGREES / ratio && !passes ? [{ ...names, what: "road off the rail", by: off, would: t.high - off }] : []; // prettier-ignore
    }),
  );
}
