import {
  birdsmouth,
  commonRafter,
  flight,
  flightInRun,
  hipJacks,
  hipRafter,
  hipRoof,
  jackDifference,
  rafterTable,
  stairRemarks,
  USUAL_RISER,
  type RafterLength,
} from "../core/carpentry";
import { parseLength, printFeetInches, prototype, scaleOf, toModel, type BareUnit } from "../core/units";

/** A length as it is read off the prototype and, where a scale is given, laid off on the model. */
type Told = { readonly prototype: string; readonly prototypeMm: number; readonly modelMm?: number };
type Options = Readonly<Record<string, string | undefined>>;

const round = (n: number, digits = 3): number => Number(n.toFixed(digits));
/** Reads a length of the prototype, mm. Errors: text that is no length. */
function read(name: string, text: string, bare: BareUnit): number {
  const p = parseLength(text, bare);
  if (!p.ok) throw new Error(`--${name}: ${p.error}`);
  return p.mm;
}
/** The same for a length that has to be something. */
function above(name: string, text: string, bare: BareUnit): number {
  const mm = read(name, text, bare);
  if (!(mm > 0)) throw new Error(`--${name} is “${text}”; write a length above nothing.`);
  return mm;
}
function teller(scale: string | undefined): (mm: number) => Told {
  const s = scale === undefined ? undefined : scaleOf(scale);
  return (mm) => ({
    prototype: printFeetInches(mm),
    prototypeMm: round(mm),
    ...(s ? { modelMm: round(toModel(s, prototype(mm))) } : {}),
  });
}

/** The rafter table's line for a rise in 12, and what it makes of a roof's run: theoretical lengths beside the shortened ones. */
export function rafterReport(rise: number, o: Options): unknown {
  const t = rafterTable(rise);
  const told = teller(o.scale);
  const lengths = (r: RafterLength) => ({
    theoretical: told(r.theoretical),
    shortening: told(r.shortening),
    tail: told(r.tail),
    cut: told(r.cut),
  });
  const table = {
    riseIn12: rise,
    inchesPerFootOfRun: { common: round(t.common, 4), hipOrValley: round(t.hip, 4) },
    jackDifferenceInches: { at16: round(jackDifference(rise, 16), 4), at24: round(jackDifference(rise, 24), 4) },
    sideCutOn12: { jack: round(t.jackSide, 4), hipOrValley: round(t.hipSide, 4) },
    degrees: {
      slope: round(t.slope),
      hipSlope: round(t.hipSlope),
      jackCheek: round(t.jackCheek),
      hipCheek: round(t.hipCheek),
      backing: round(t.backing),
    },
  };
  const walls =
    o.length !== undefined && o.width !== undefined
      ? [above("length", o.length, "ft"), above("width", o.width, "ft")]
      : undefined;
  const run = o.run !== undefined ? above("run", o.run, "ft") : walls ? Math.min(...walls) / 2 : undefined;
  if (run === undefined) return { table };
  const overhang = read("overhang", o.overhang ?? "0", "ft");
  const hip = read("hip", o.hip ?? "2", "in");
  const span = { rise, run, overhang, ridge: read("ridge", o.ridge ?? "2", "in"), hip };
  const spacing = above("jacks", o.jacks ?? "24", "in");
  const roof = walls && hipRoof({ length: walls[0]!, width: walls[1]!, overhang, rise });
  const squareFeet = (mm2: number): number => round(mm2 / 304.8 ** 2, 2);
  return {
    table,
    common: lengths(commonRafter(span)),
    hipOrValley: lengths(hipRafter(span)),
    jacks: hipJacks(span, spacing).map((j) => ({ fromCorner: told(j.at), ...lengths(j) })),
    ...(o.depth === undefined
      ? {}
      : { birdsmouth: mouth(rise, read("depth", o.depth, "in"), read("seat", o.seat ?? "4", "in"), told) }),
    ...(roof
      ? {
          hipRoof: {
            ridge: told(roof.ridge),
            common: told(roof.common),
            hip: told(roof.hip),
            height: told(roof.height),
            squareFeet: { side: squareFeet(roof.side), end: squareFeet(roof.end), all: squareFeet(roof.area) },
          },
        }
      : {}),
  };
}
function mouth(rise: number, depth: number, seat: number, told: (mm: number) => Told) {
  const b = birdsmouth(rise, depth, seat);
  return { seat: told(b.seat), heel: told(b.heel), plumbOverPlate: told(b.above), left: told(b.left) };
}

/** A flight of stairs of that rise: equal risers, treads that land on the level, and what a code for dwellings would say. */
export function stairReport(riseText: string, o: Options): unknown {
  const told = teller(o.scale);
  const rise = read("rise", riseText, "ft");
  const wanted = o.riser === undefined ? USUAL_RISER : read("riser", o.riser, "in");
  if (o.run !== undefined && o.tread !== undefined)
    throw new Error("A run and a tread together would not land: give one of them, the other follows.");
  const f =
    o.run !== undefined
      ? flightInRun(rise, read("run", o.run, "ft"), wanted)
      : flight(rise, read("tread", o.tread ?? "10", "in"), wanted);
  return {
    risers: f.risers,
    treads: f.treads,
    riser: told(f.riser),
    tread: told(f.tread),
    run: told(f.run),
    stringer: told(f.stringer),
    degrees: round(f.angle),
    remarks: stairRemarks(f),
  };
}
