/** A length on the prototype, in millimetres. */
export type Prototype = number & { readonly __unit: "prototype mm" };
/** A length on the model, in millimetres. */
export type Model = number & { readonly __unit: "model mm" };
/** An angle in degrees. */
export type Degrees = number & { readonly __unit: "deg" };
/** An angle in radians. */
export type Radians = number & { readonly __unit: "rad" };

/** Says that a number is a prototype length in mm. */
export const prototype = (mm: number): Prototype => mm as Prototype;
/** Says that a number is a model length in mm. */
export const model = (mm: number): Model => mm as Model;
/** Says that a number is an angle in degrees. */
export const degrees = (deg: number): Degrees => deg as Degrees;

export const MM_PER_INCH = 25.4;
export const MM_PER_FOOT = 304.8;

/** Prototype mm from inches. */
export const inches = (n: number): Prototype => prototype(n * MM_PER_INCH);
/** Prototype mm from feet and, if any, inches. */
export const feet = (ft: number, inch = 0): Prototype => prototype(ft * MM_PER_FOOT + inch * MM_PER_INCH);

/** Radians from degrees. */
export const toRadians = (d: Degrees): Radians => ((d * Math.PI) / 180) as Radians;
/** Degrees from radians. */
export const toDegrees = (r: number): Degrees => ((r * 180) / Math.PI) as Degrees;

/** Batter (run per 12 of height, so inches per foot) to its angle from plumb. */
export const batterAngle = (in12: number): Degrees => toDegrees(Math.atan(in12 / 12));
