import { printNumber, type Units } from "./printLength";

/** An area of the model in its unit: "210.5 cm²", "32.6 sq in". `mm2` in model mm². */
export const printArea = (mm2: number, model: Units["model"]): string =>
  model === "mm" ? `${printNumber(mm2 / 100, 1)} cm²` : `${printNumber(mm2 / 645.16, 1)} sq in`;
