/**
 * Devices of the bench, each behind one small interface, with a stand-in that ships so that everything can be tried without
 * the machine. Example: (await simulatedCutter().take(svg, "styrene")).faults is empty where a file can be cut.
 */
export * from "./cutter";
export * from "./simulatedCutter";
export * from "./caliper";
