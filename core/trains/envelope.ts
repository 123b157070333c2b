import { hull, type Vec2 } from "../geometry";
import { unionOf } from "../geometry/union";
import type { CarDoc, TrackDoc } from "../job";
import { railAt, type CentreLine } from "./track";

/** A car on the model, mm. */
export interface ModelCar {
  readonly length: number;
  readonly trucks: number;
  readonly width: number;
  readonly bottom: number;
  readonly height: number;
}
export const modelCar = (c: CarDoc, ratio: number): ModelCar => ({ length: c.length / ratio, trucks: c.trucks / ratio, width: c.width / ratio, bottom: c.bottom / ratio, height: c.height / ratio }); // prettier-ignore
/** A car where it stands: its middle, and which way it looks. Its trucks stand on the centre line, its body on the chord between them. */
export interface CarPlace {
  readonly middle: Vec2;
  readonly along: Vec2;
}
/** A car whose rear truck is at a station. */
export function carAt(line: CentreLine, car: ModelCar, s: number): CarPlace {
  const rear = line.at(s).at;
  const far = (t: number): number => {
    const p = line.at(t).at;
    return Math.hypot(p[0] - rear[0], p[1] - rear[1]) - car.trucks;
  };
  // along a curve the front truck is a little further on than the trucks are apart
  let [lo, hi] = [s + car.trucks, s + car.trucks * 1.7];
  if (far(lo) > 0) [lo, hi] = [s + car.trucks * 0.5, lo];
  for (let i = 0; i < 60 && hi - lo > 1e-9; i++) {
    const mid = (lo + hi) / 2;
    if (far(mid) < 0) lo = mid;
    else hi = mid;
  }
  const front = line.at((lo + hi) / 2).at;
  const l = Math.hypot(front[0] - rear[0], front[1] - rear[1]) || 1;
  return { middle: [(rear[0] + front[0]) / 2, (rear[1] + front[1]) / 2], along: [(front[0] - rear[0]) / l, (front[1] - rear[1]) / l] }; // prettier-ignore
}
/** The outline of a car's body from above, counter-clockwise. */
export function bodyOf({ middle: [x, y], along: [c, s] }: CarPlace, car: Pick<ModelCar, "length" | "width">): Vec2[] {
  const [l, w] = [car.length / 2, car.width / 2];
  return ([[-l, -w], [l, -w], [l, w], [-l, w]] as const).map(([a, b]): Vec2 => [x + a * c - b * s, y + a * s + b * c]); // prettier-ignore
}
/** How far a car's body reaches inward at its middle and outward at its ends on an arc of a radius, from the centre line, model mm: exact, by Pythagoras; the handbooks' B²/8R and (L² − B²)/8R are its first terms. */
export function reachOnArc(
  radius: number,
  car: Pick<ModelCar, "length" | "trucks" | "width">,
): { readonly inward: number; readonly outward: number } {
  // prettier-ignore
  // how far the chord between the trucks is from the curve's centre
  const chord = Math.sqrt(Math.max(0, radius ** 2 - (car.trucks / 2) ** 2));
  return { inward: radius - (chord - car.width / 2), outward: Math.hypot(chord + car.width / 2, car.length / 2) - radius }; // prettier-ignore
}
/** Where a car is looked at on a track: from before its first end to past its last, model mm apart. */
export function* carPlaces(
  line: CentreLine,
  car: ModelCar,
  step: number,
): Generator<readonly [s: number, place: CarPlace]> {
  // prettier-ignore
  const from = -car.trucks / 2;
  const n = Math.max(1, Math.ceil(line.length / step));
  for (let i = 0; i <= n; i++) {
    const s = from + (line.length * i) / n;
    yield [s, carAt(line, car, s)];
  }
}
/** From where to where a car reaches whose rear truck is at a station: on a grade from its lower end to the roof of its higher one. */
export function heightsAt(track: TrackDoc, car: ModelCar, s: number): { readonly low: number; readonly high: number } {
  const over = (car.length - car.trucks) / 2;
  const ends = [railAt(track, s - over), railAt(track, s + car.trucks + over)];
  return { low: Math.min(...ends) + car.bottom, high: Math.max(...ends) + car.height };
}
/** All that a car's body sweeps on a track, as outlines. */
export const envelope = (line: CentreLine, car: ModelCar): Vec2[][] =>
  unionOf(envelopePieces(line, car).map((p) => p.ring)) as Vec2[][];
/** The same in convex pieces, each from one station of the rear truck to the next, joined, so that nothing between two is left out. */
export function envelopePieces(
  line: CentreLine,
  car: ModelCar,
): { readonly ring: readonly Vec2[]; readonly from: number; readonly to: number }[] {
  // prettier-ignore
  const places = [...carPlaces(line, car, Math.max(2, car.trucks / 10))].map(([s, place]) => ({ s, body: bodyOf(place, car) })); // prettier-ignore
  return places.slice(1).map((p, i) => ({ ring: hull([...places[i]!.body, ...p.body]), from: places[i]!.s, to: p.s }));
}
