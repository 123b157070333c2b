/**
 * Tracks on the spot and the cars on them: what the longest car sweeps, and how much room it leaves to what stands there.
 * Plan coordinates, model mm. Example: reachOnArc(600, modelCar(CARS[2]!, 87.1)).inward is 24.0: half the width and the middle ordinate.
 */
export * from "./cars";
export * from "./track";
export * from "./envelope";
export * from "./clearance";
