import { MM_PER_FOOT, MM_PER_INCH, type Model, type Prototype } from "./brands";

const gcd = (a: number, b: number): number => (b > 0 ? gcd(b, a % b) : a);

/** A whole number of 1/denominator as "3 5/8" (lowest terms), "0" for none. */
export function printFraction(parts: number, denominator: number): string {
  const whole = Math.floor(parts / denominator);
  const rest = parts - whole * denominator;
  if (rest === 0) return String(whole);
  const g = gcd(rest, denominator);
  const frac = `${rest / g}/${denominator / g}`;
  return whole === 0 ? frac : `${whole} ${frac}`;
}

/** Feet and inches to the nearest 1/denominator in: 14′-6 1/2″, −0′-3″. Takes mm. */
export function printFeetInches(mm: number, denominator = 16): string {
  const parts = Math.round((Math.abs(mm) / MM_PER_INCH) * denominator);
  const ft = Math.floor(parts / (12 * denominator));
  const sign = mm < 0 && parts > 0 ? "−" : "";
  const rest = parts - ft * 12 * denominator;
  // an inch figure always stands before its fraction, so that 1′-0 1/16″ is not read as less than it is
  return `${sign}${ft}′-${rest > 0 && rest < denominator ? "0 " : ""}${printFraction(rest, denominator)}″`;
}

/** Inches and 1/denominator: 2 57/64 in. Takes mm. */
export function printInchFraction(mm: number, denominator = 64): string {
  const parts = Math.round((Math.abs(mm) / MM_PER_INCH) * denominator);
  return `${mm < 0 && parts > 0 ? "−" : ""}${printFraction(parts, denominator)} in`;
}

/** Fixed decimals with a true minus and no negative zero. */
export function printNumber(n: number, decimals: number): string {
  const s = Math.abs(n).toFixed(decimals);
  return n < 0 && Number(s) !== 0 ? `−${s}` : s;
}

/** Decimal inches: 2.894 in. Takes mm. */
export const printDecimalInches = (mm: number, decimals = 3): string => `${printNumber(mm / MM_PER_INCH, decimals)} in`;
/** Millimetres: 73.5 mm. */
export const printMm = (mm: number, decimals = 1): string => `${printNumber(mm, decimals)} mm`;
/** Metres: 6.40 m. Takes mm. */
export const printMetres = (mm: number, decimals = 3): string => `${printNumber(mm / 1000, decimals)} m`;

export type PrototypeUnit = "ft-in" | "m";
export type ModelUnit = "mm" | "in" | "64ths";
/** The units a person works in, on either side of the scale. */
export interface Units {
  readonly prototype: PrototypeUnit;
  readonly model: ModelUnit;
}

/** A prototype length in the unit chosen. */
export const printPrototype = (p: Prototype, unit: PrototypeUnit, denominator = 16): string =>
  unit === "m" ? printMetres(p) : printFeetInches(p, denominator);

/** A model length in the unit chosen; `decimals` is that of mm, one more is given to inches, 64ths are to the nearest. */
export function printModel(m: Model, unit: ModelUnit, decimals = 1): string {
  if (unit === "mm") return printMm(m, decimals);
  return unit === "in" ? printDecimalInches(m, decimals + 2) : printInchFraction(m, 64);
}

/** The unit in which a bare number is read in a field of each kind. */
export const barePrototype = (u: PrototypeUnit): "ft" | "m" => (u === "m" ? "m" : "ft");
export const bareModel = (u: ModelUnit): "mm" | "in" => (u === "mm" ? "mm" : "in");

/** Feet and decimals for a terse reading: used on rules. */
export const feetOf = (mm: number): number => mm / MM_PER_FOOT;
