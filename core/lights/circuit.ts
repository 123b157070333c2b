/** Light-emitting diodes that are wired alike: so many, each of a forward voltage and a current, so many of them in a row on one resistor. */
export interface LampGroup {
  readonly count: number;
  /** Forward voltage of one, V, and its current, mA. */
  readonly volts: number;
  readonly milliamps: number;
  /** In series on one resistor. */
  readonly series: number;
}
/** One string of a group: what its resistor has to be, the next of the E24 series, and what flows then. */
export interface StringSum {
  /** How many strings there are like this, and how many lamps are on each. */
  readonly strings: number;
  readonly lamps: number;
  /** Ohms reckoned, and the E24 value at or above it. */
  readonly exact: number;
  readonly ohms: number;
  /** What flows with that, mA, and what the resistor turns into heat, W; the rating to take. */
  readonly milliamps: number;
  readonly watts: number;
  readonly rating: number;
}
export interface CircuitSum {
  readonly strings: readonly StringSum[];
  /** All together, mA. */
  readonly milliamps: number;
  /** Why it cannot be, a sentence each. */
  readonly faults: readonly string[];
}
/** Above this it is no low voltage for a model any more, V; the voltage that a resistor keeps at least for the current to be steady. Common practice. */
const [LOW, KEPT] = [24, 1];
/** The E24 series: IEC 60063. */
const E24 = [1, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2, 2.2, 2.4, 2.7, 3, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2, 9.1] as const; // prettier-ignore
/** Ratings of resistors as sold, W; one is taken that is warm, not hot: twice what it has to bear. */
const RATINGS = [0.125, 0.25, 0.5, 1, 2, 5] as const;

/** The resistor of the E24 series at or above a value, ohms. Example: 247 gives 270. */
export function nextE24(ohms: number): number {
  if (!(ohms > 0)) return 0;
  for (let k = Math.floor(Math.log10(ohms)) - 1; ; k++)
    for (const e of E24) {
      const r = Number((e * 10 ** k).toPrecision(3));
      if (r >= ohms - 1e-9) return r;
    }
}

/** The sums of a circuit on a supply of so many volts of direct current: strings side by side, each with a resistor of its own. R = (U − n·Uf) / I. */
export function circuitOf(supply: number, groups: readonly LampGroup[]): CircuitSum {
  const faults: string[] = [];
  if (supply > LOW) faults.push(`A supply of ${supply} V is no low voltage for a model: take ${LOW} V at most; mains work is for a licensed electrician.`); // prettier-ignore
  const strings = groups.flatMap((g): StringSum[] => {
    if (g.count === 0) return [];
    const room = Math.floor((supply - KEPT) / g.volts + 1e-9);
    if (room < 1) {
      faults.push(`${supply} V do not light a lamp of ${g.volts} V: take a supply of ${Math.ceil(g.volts + KEPT)} V at least.`); // prettier-ignore
      return [];
    }
    if (g.series > room) {
      faults.push(`${g.series} lamps of ${g.volts} V in series want ${Number((g.series * g.volts + KEPT).toFixed(1))} V, and the supply gives ${supply}: ${room} at most in series.`); // prettier-ignore
      return [];
    }
    const sum = (strings: number, lamps: number): StringSum => {
      const over = supply - lamps * g.volts;
      const exact = (over / g.milliamps) * 1000;
      const ohms = nextE24(exact);
      const milliamps = (over / ohms) * 1000;
      const watts = (over * milliamps) / 1000;
      return { strings, lamps, exact, ohms, milliamps, watts, rating: RATINGS.find((r) => r >= 2 * watts) ?? RATINGS.at(-1)! }; // prettier-ignore
    };
    const [whole, rest] = [Math.floor(g.count / g.series), g.count % g.series];
    return [...(whole > 0 ? [sum(whole, g.series)] : []), ...(rest > 0 ? [sum(1, rest)] : [])];
  });
  return { strings, milliamps: strings.reduce((t, s) => t + s.strings * s.milliamps, 0), faults };
}
/** Where so many holes stand along a length with equal spaces, half a space at either end: from its beginning, mm. */
export const equallySpaced = (length: number, count: number): number[] => Array.from({ length: count }, (_, i) => ((i + 0.5) * length) / count); // prettier-ignore
