import { model, prototype, type Model, type Prototype } from "./brands";

/** A modelling scale: prototype length = ratio × model length. */
export interface Scale {
  readonly id: string;
  readonly name: string;
  readonly ratio: number;
}

/**
 * The published scales: NMRA Standard S-1.2 (Z, N, TT, HO, S, O, No. 1, G, F), NEM 010 for the European ratios.
 * HO is 3.5 mm, OO 4 mm, British O 7 mm and F 15 mm to the foot, so their ratios are 304.8 over that.
 */
export const SCALES: readonly Scale[] = [
  { id: "Z", name: "Z", ratio: 220 },
  { id: "N", name: "N", ratio: 160 },
  { id: "TT", name: "TT", ratio: 120 },
  { id: "HO", name: "HO", ratio: 304.8 / 3.5 },
  { id: "H0", name: "H0 (NEM)", ratio: 87 },
  { id: "OO", name: "OO", ratio: 304.8 / 4 },
  { id: "S", name: "S", ratio: 64 },
  { id: "O", name: "O", ratio: 48 },
  { id: "O45", name: "0 (NEM)", ratio: 45 },
  { id: "O7", name: "O (7 mm)", ratio: 304.8 / 7 },
  { id: "1", name: "No. 1", ratio: 32 },
  { id: "G", name: "II / G", ratio: 22.5 },
  { id: "F", name: "F", ratio: 304.8 / 15 },
];

/** The published scale of that id, or a custom one of the ratio given. Errors: an unknown id with no ratio, or a ratio outside 1 to 1000. */
export function scaleOf(id: string, ratio?: number): Scale {
  const known = SCALES.find((s) => s.id === id);
  if (known) return known;
  if (ratio === undefined || !(ratio >= 1 && ratio <= 1000))
    throw new Error(`Scale "${id}" is not a published one; a custom scale needs a ratio from 1 to 1000.`);
  return { id: "custom", name: "Custom", ratio };
}

/** Model length of a prototype length. */
export const toModel = (s: Scale, p: Prototype): Model => model(p / s.ratio);
/** Prototype length of a model length. */
export const toPrototype = (s: Scale, m: Model): Prototype => prototype(m * s.ratio);
/** "HO 1:87.1": the name with its ratio, to one decimal where it is not whole. */
export const scaleLabel = (s: Scale): string =>
  `${s.name} 1:${Number.isInteger(s.ratio) ? s.ratio : s.ratio.toFixed(1)}`;
