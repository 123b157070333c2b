/** Lamps of a model: resistors, currents and holes. Low voltage only. Example: circuitOf(12, [{ count: 3, volts: 3.1, milliamps: 10, series: 3 }]). */
export * from "./circuit";
