/**
 * What one owns: sticks and sheets by size, how many of each, and a ledger of every movement. Sizes in model mm.
 * Example: holdings([{ lot, count: 6, … }, { lot, count: -1, … }])[0].count is 5.
 */
export * from "./lot";
export * from "./ledger";
export * from "./csv";
export * from "./forPlans";
export * from "./shopping";
export * from "./simulatedPrices";
