import type { Vec2 } from "../geometry";
import type { Fitting, FittingDoc } from "../job";
import { feet, inches } from "../units";

/** What a body is called and how large it begins, prototype mm: along, deep, high. Common practice of joiners and furniture makers; a person is one of 5 ft 8 in. */
export const FITTING: Readonly<Record<Fitting, { readonly label: string; readonly size: readonly [number, number, number] }>> = {
  counter: { label: "Counter", size: [feet(8), feet(2), inches(42)] },
  desk: { label: "Desk", size: [feet(5), inches(30), inches(30)] },
  table: { label: "Table", size: [feet(5), feet(3), inches(30)] },
  chair: { label: "Chair", size: [inches(18), inches(18), inches(36)] },
  bench: { label: "Bench", size: [feet(6), inches(18), inches(34)] },
  bed: { label: "Bed", size: [inches(78), feet(3), inches(24)] },
  shelf: { label: "Shelf", size: [feet(4), feet(1), inches(78)] },
  cabinet: { label: "Cabinet", size: [feet(3), inches(18), feet(6)] },
  stove: { label: "Stove", size: [feet(2), feet(2), inches(40)] },
  stair: { label: "Stair", size: [feet(10), feet(3), feet(8)] },
  partition: { label: "Partition", size: [feet(8), inches(4), feet(8)] },
  machine: { label: "Machine", size: [feet(5), feet(3), inches(54)] },
  crate: { label: "Crate or barrel", size: [feet(2), feet(2), inches(30)] },
  person: { label: "Person", size: [inches(20), inches(12), inches(68)] },
  other: { label: "Something else", size: [feet(2), feet(2), feet(2)] },
}; // prettier-ignore

/** A body from above, counter-clockwise, model mm of its room. */
export function fittingOutline(f: Pick<FittingDoc, "x" | "y" | "turn" | "length" | "depth">, ratio: number): Vec2[] {
  const t = (f.turn * Math.PI) / 180;
  const [c, s] = [Math.cos(t), Math.sin(t)];
  const [l, d] = [f.length / 2, f.depth / 2];
  return ([[-l, -d], [l, -d], [l, d], [-l, d]] as const).map(([x, y]): Vec2 => [(f.x + x * c - y * s) / ratio, (f.y + x * s + y * c) / ratio]); // prettier-ignore
}
