import { inches, printFeetInches } from "../units";

/** A straight flight from one level to another: the last riser lands on the upper level, so there is one tread fewer. */
export interface Flight {
  readonly risers: number;
  readonly riser: number;
  readonly tread: number;
  readonly treads: number;
  readonly run: number;
  /** Along the nosings, from the first to the upper level. */
  readonly stringer: number;
  /** From level. */
  readonly angle: number;
  /** 2 · riser + tread: 24 to 25 in is common practice for a comfortable stair. */
  readonly stride: number;
}
/** About what a riser is, prototype mm: common practice. */
export const USUAL_RISER = inches(7);
/** Prototype mm. Source: International Residential Code R311.7.5: riser at most 7 3/4 in, tread at least 10 in. */
export const CODE = { riser: inches(7.75), tread: inches(10) };

/** A flight of that rise, prototype mm, with as many equal risers as come nearest to the one wanted. Errors: a rise, riser or tread that is not above 0. */
export function flight(rise: number, tread: number, wanted: number = USUAL_RISER): Flight {
  if (!(rise > 0) || !(tread > 0) || !(wanted > 0))
    throw new Error(
      `A stair of rise ${printFeetInches(rise)}, tread ${printFeetInches(tread)} and riser ${printFeetInches(wanted)} goes nowhere; all have to be above 0.`,
    );
  const risers = Math.max(1, Math.round(rise / wanted));
  const riser = rise / risers;
  const treads = risers - 1;
  return {
    risers,
    riser,
    tread,
    treads,
    run: treads * tread,
    stringer: risers * Math.hypot(riser, tread),
    angle: (Math.atan2(riser, tread) * 180) / Math.PI,
    stride: 2 * riser + tread,
  };
}

/** The flight whose treads land exactly on a level `run` away: the tread follows from the run. Errors: as above, and a rise of a single riser, which has no run. */
export function flightInRun(rise: number, run: number, wanted: number = USUAL_RISER): Flight {
  const risers = Math.max(1, Math.round(rise / wanted));
  if (risers < 2)
    throw new Error(
      `A rise of ${printFeetInches(rise)} is a single step, so no run of treads leads up to it; set the tread instead.`,
    );
  return flight(rise, run / (risers - 1), wanted);
}

/** What the code for real dwellings would say, a sentence each, sizes in inches. A prototype may be steeper: it is told, never forbidden. */
export function stairRemarks(f: Flight): string[] {
  const inch = (mm: number): string => `${(mm / 25.4).toFixed(2)} in`;
  const out: string[] = [];
  if (f.riser > CODE.riser + 1e-6)
    out.push(
      `Risers of ${inch(f.riser)} are higher than the ${inch(CODE.riser)} a residential code allows (IRC R311.7.5); prototypes often were.`,
    );
  if (f.treads > 0 && f.tread < CODE.tread - 1e-6)
    out.push(
      `Treads of ${inch(f.tread)} are shallower than the ${inch(CODE.tread)} a residential code asks for (IRC R311.7.5); prototypes often were.`,
    );
  if (f.treads > 0 && (f.stride < inches(24) - 1e-6 || f.stride > inches(25) + 1e-6))
    out.push(`Twice the riser and the tread make ${inch(f.stride)}; 24 to 25 in walk well.`);
  return out;
}
