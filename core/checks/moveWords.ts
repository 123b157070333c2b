import { model, printMm } from "../units";

/** A part of a move as it is told and done, model mm: rounded up to a tenth, so that it is enough. */
export const outward = (x: number): number => (Math.sign(x) * Math.ceil(Math.abs(x) * 10 - 1e-6)) / 10 + 0;
/** "12.0 mm to the left and 3.0 mm to the back". */
export function moveWords([x, y]: readonly [number, number]): string {
  const far = (n: number): string => printMm(model(Math.abs(n)), 1);
  const parts = [
    Math.abs(x) >= 0.05 ? `${far(x)} to the ${x > 0 ? "right" : "left"}` : "",
    Math.abs(y) >= 0.05 ? `${far(y)} to the ${y > 0 ? "back" : "front"}` : "",
  ].filter(Boolean);
  return parts.join(" and ") || "a hair";
}
