import fc from "fast-check";
import { feet, inches, prototype } from "../../units";
import { defaultsOf } from "../spec";
import { trussSpec, type TrussValues } from "./parameters";
import { TRUSS_KINDS } from "./topology";

const mm = (lo: number, hi: number) => fc.double({ min: lo, max: hi, noNaN: true });
const ft = (lo: number, hi: number) => mm(feet(lo), feet(hi));
const pick = <T>(...v: readonly T[]) => fc.constantFrom(...v);

/** Trusses of every kind over their parameters, for tests and long runs; those whose values cannot go together are left to `check`. */
export const randomTruss: fc.Arbitrary<TrussValues> = fc
  .record({
    kind: pick(...TRUSS_KINDS.map((k) => k.value)),
    place: pick("through", "pony", "deck"),
    panel: ft(9, 16),
    panels: fc.integer({ min: 3, max: 9 }),
    steep: mm(0.9, 1.7),
    ends: pick("inclined", "vertical"),
    slopes: pick("3", "5", "7"),
    hip: mm(0.7, 0.95),
    inner: mm(0.2, 0.55),
    camber: pick(0, 0, inches(3), inches(8)),
    counters: pick("none", "needed", "all"),
    trusses: fc.boolean(),
    spans: pick(1, 1, 2),
    piers: pick("none", "between", "all"),
    grade: pick(0, 0, 1.5, -3),
    chordShape: pick("plies", "plies", "plies", "I", "channel", "box"),
    chordPlies: pick(2, 3, 4),
    packing: pick(0, 0, inches(2)),
    rods: fc.boolean(),
    rodDiagonals: fc.boolean(),
    gussets: pick(false, false, true),
    gap: pick(0, inches(1)),
    floor: pick("beams", "beams", "ties"),
    tracks: pick(1, 1, 2),
    guards: fc.boolean(),
    laterals: fc.boolean(),
    portals: fc.boolean(),
    sway: fc.boolean(),
  })
  .map(({ place, panel, steep, hip, inner, rods, rodDiagonals, ...v }): TrussValues => {
    const roof = v.kind === "fink" || v.kind === "scissors";
    const few =
      v.kind === "king"
        ? 2
        : v.kind === "queen"
          ? 3
          : v.kind === "polygonal"
            ? Math.max(v.panels, Number(v.slopes) + 1)
            : v.panels;
    const lattice = v.kind === "plank";
    const span = roof ? feet(24) + panel : few * (lattice ? panel * 0.5 : panel);
    const depth = roof
      ? span * 0.22 * steep
      : lattice
        ? panel * 0.5 * (few >= 6 ? 3 : few >= 4 ? 2 : 1)
        : panel * steep;
    return {
      ...defaultsOf(trussSpec),
      ...v,
      spans: roof ? 1 : v.spans,
      panels: few,
      span: prototype(span),
      depth: prototype(Math.max(depth, feet(5))),
      hipDepth: prototype(Math.max(depth, feet(5)) * hip),
      innerDepth: prototype(depth * inner),
      position: roof ? "roof" : v.kind === "king" && place === "deck" ? "pony" : place,
      apart: feet(20) + (v.tracks - 1) * feet(13),
      clearHeight: feet(6),
      camber: prototype(lattice ? 0 : v.camber),
      vertical: rods ? "⌀2" : roof ? "6×8" : "8×8",
      diagonal: rodDiagonals && v.kind === "pratt" ? "⌀2" : "8×8",
      counter: rodDiagonals ? "⌀1.5" : "6×6",
      endPost: roof ? "6×8" : "12×12",
      chord: v.chordShape !== "plies" && !roof && !lattice ? "12×12" : roof ? "3×8" : "8×12",
      chordPlies: roof ? 2 : lattice ? 1 : v.chordPlies,
      // plates leave no room for laterals in short panels, and something has to hold the trusses together
      gussets: v.gussets && !lattice && v.kind !== "scissors" && v.floor !== "none",
      gap: prototype(
        v.gussets &&
          rods === false &&
          v.kind === "warren" &&
          v.chordShape === "plies" &&
          v.packing === 0 &&
          v.chordPlies === 2
          ? v.gap
          : 0,
      ),
      ...(roof || lattice ? { chordShape: "plies", packing: prototype(0) } : {}),
      floor: v.floor === "ties" && (place !== "deck" || v.kind === "king") ? "beams" : v.floor,
    } as unknown as TrussValues;
  });
