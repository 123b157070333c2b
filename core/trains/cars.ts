import type { CarDoc } from "../job";
import { feet, inches } from "../units";

const car = (id: string, name: string, length: number, trucks: number, width: number, height: number): CarDoc => ({ id, name, length: feet(length), trucks: feet(trucks), width: inches(width), bottom: feet(2), height: inches(height) }); // prettier-ignore
/** Generic cars: length over the body and between truck centres, ft; width and height over the rail, in. From memory; freight cars by AAR plates B (10 ft 8 in × 15 ft 1 in), C and F. */
export const CARS: readonly CarDoc[] = [
  car("narrow-30", "Narrow gauge box car, 30 ft", 30, 20, 96, 132),
  car("box-36", "Wooden box car, 36 ft", 37, 26, 114, 156),
  car("box-40", "Box car, 40 ft (plate B)", 42, 31, 128, 181),
  car("box-50", "Box car, 50 ft (plate C)", 52, 41, 128, 186),
  car("coach-60", "Wooden coach, 60 ft", 60, 44, 120, 174),
  car("coach-80", "Heavyweight coach, 80 ft", 80, 60, 120, 174),
  car("coach-85", "Passenger car, 85 ft", 85, 59.5, 120, 174),
  car("flat-89", "Flat car, 89 ft (plate F)", 89, 66, 128, 204),
];
/** A car of the job's own or of those that ship, by its id; the 40 ft box car where there is none of that name. */
export const carOf = (id: string, own: readonly CarDoc[]): CarDoc =>
  own.find((c) => c.id === id) ?? CARS.find((c) => c.id === id) ?? CARS.find((c) => c.id === "box-40")!;
/** How high the floor of a car is over the rail, prototype mm, where the car does not say: freight cars stand from 3 ft 8 in to 4 ft 2 in; common practice. */
export const floorOf = (c: CarDoc): number => c.floor ?? feet(4);
