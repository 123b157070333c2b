import type { Vec2 } from "../geometry";
import { box, joined, ringPiece, ringRound, strip, without, type Area, type Levels, type Plate } from "./plate";

/** A figure that a jig is made by. */
export interface Field {
  readonly id: string;
  readonly label: string;
  readonly hint: string;
  readonly unit: "mm" | "degrees" | "count";
  readonly def: number;
  readonly min: number;
  readonly max: number;
}
export type Values = Readonly<Record<string, number>>;
/** A jig as it is made: plates to cut and glue, or one solid to print; what it tells of itself, and how it is used. */
export interface Made {
  readonly plates: readonly Plate[];
  readonly solid: Levels;
  readonly words: readonly string[];
}
export interface WorkshopKind {
  readonly id: string;
  readonly name: string;
  readonly use: string;
  readonly fields: readonly Field[];
  /** Errors: figures that make none, in a sentence. */
  make(v: Values): Made;
}

const mm = (id: string, label: string, def: number, min: number, max: number, hint = ""): Field => ({ id, label, hint, unit: "mm", def, min, max }); // prettier-ignore
const count = (id: string, label: string, def: number, min: number, max: number, hint = ""): Field => ({ id, label, hint, unit: "count", def, min, max }); // prettier-ignore
const PLATE = mm(
  "plate",
  "Plate, thick",
  3,
  0.5,
  12,
  "What it is cut from; of two plates the upper lies on the lower.",
);
const KERF = mm("slot", "Slot for the blade", 0.4, 0.1, 3, "As wide as the saw cuts, or a knife needs.");
const HIGH = mm("high", "High", 6, 0.5, 60);
/** What a fence and a rim are wide, and how far a base reaches beyond what stands on it, so that both are glued all round. */
const [FENCE, RIM] = [8, 3];

const f2 = (x: number): string => String(Number(x.toFixed(2)));
const plate = (name: string, area: Area, thickness: number, more: Partial<Plate> = {}): Plate => ({ name, area, thickness, count: 1, lines: [], words: [], ...more }); // prettier-ignore
const label = (at: Vec2, text: string, size = 3): Plate["words"][number] => ({ at, text, size });
/** A base with what stands on it, as two plates and as one solid. */
function stacked(
  base: Area,
  top: Area,
  t: number,
  onBase: Partial<Plate>,
  onTop: Partial<Plate>,
  words: readonly string[],
): Made {
  return {
    // where the upper plate is glued stands on the lower one
    plates: [
      plate("base", base, t, {
        lines: top.flatMap((r) => r.map((p, i) => [p, r[(i + 1) % r.length]!] as const)),
        ...onBase,
      }),
      plate("on the base", top, t, onTop),
    ],
    solid: [{ to: t, area: base }, { to: 2 * t, area: top }], // prettier-ignore
    words,
  };
}
const single = (area: Area, t: number, words: readonly string[], more: Partial<Plate> = {}): Made => ({ plates: [plate("plate", area, t, more)], solid: [{ to: t, area }], words }); // prettier-ignore

const lengthJig: WorkshopKind = {
  id: "length",
  name: "Length jig",
  use: "The stick lies against the fence and the stop; cut at the slot. Every piece is as long as the last.",
  fields: [mm("length", "Length of the piece", 50, 1, 600), mm("wide", "Stick, wide", 4, 0.3, 40), PLATE, KERF],
  make: ({ length: l, wide: w, plate: t, slot: k }) => {
    const [x0, x1] = [-15, l! + FENCE + RIM];
    const base = without([box(x0, -FENCE - RIM, x1, w! + 6)], [box(-k!, -1, 0, w! + 3)]);
    // the fence stops short of the stop, so that dust does not hold a stick off it
    const fence = box(x0 + RIM, -FENCE, l! - 0.6, 0);
    // and is open where the blade goes down
    const whole = without([fence], [strip([-k! / 2, 0], 90, k! + 1, 30)]);
    const stop = box(l!, 0.6, l! + FENCE, w! + 6 - RIM);
    if (stop[2]![1] - stop[0]![1] < 1) throw new RangeError(`A stick of ${f2(w!)} mm leaves the stop no room; take one from 1 mm.`); // prettier-ignore
    const at: Vec2 = [x0 + RIM + 1, -FENCE + 2.5];
    return stacked(base, joined(whole, [stop]), t!, {}, { words: [label(at, f2(l!))] }, [`Cuts ${f2(l!)} mm, from the slot's right edge to the stop.`, "The blade goes down into the slot."]); // prettier-ignore
  },
};
const spacer: WorkshopKind = {
  id: "spacer",
  name: "Spacer or gauge block",
  use: "Stands between two members while the glue sets, or under an edge for a reveal of its own width.",
  fields: [
    mm("gap", "Clear gap", 5, 0.2, 200),
    mm("long", "Long", 40, 5, 300),
    HIGH,
    count("count", "How many", 2, 1, 50),
  ],
  make: ({ gap, long, high, count: n }) => single([box(0, 0, long!, gap!)], high!, [`Keeps ${f2(gap!)} mm clear.`], { count: n!, words: gap! >= 3 ? [label([long! / 2 - 4, gap! / 2 - 1], f2(gap!), Math.min(3, gap! * 0.6))] : [] }), // prettier-ignore
};
const stripper: WorkshopKind = {
  id: "stripper",
  name: "Plank stripper",
  use: "The sheet's edge lies against the fence; the knife runs along the slot in several light passes and takes off a plank.",
  fields: [mm("wide", "Plank, wide", 2.3, 0.4, 60), mm("long", "Long", 120, 30, 400), PLATE, KERF],
  make: ({ wide: w, long: l, plate: t, slot: k }) => {
    const base = without([box(0, -FENCE - RIM, l!, w! + 30)], [box(6, w!, l! - 6, w! + k!)]);
    const fence = box(RIM, -FENCE, l! - RIM, 0);
    return stacked(base, [fence], t!, {}, { words: [label([RIM + 2, -FENCE + 2.5], `plank ${f2(w!)}`)] }, [`Planks of ${f2(w!)} mm, from the fence to the slot's near edge.`]); // prettier-ignore
  },
};
const square: WorkshopKind = {
  id: "square",
  name: "Right-angle block",
  use: "Holds two walls square while the corner sets; the cut-out keeps the glue off it.",
  fields: [
    mm("side", "Side", 40, 15, 200),
    mm("leg", "Leg, wide", 12, 5, 60),
    HIGH,
    count("count", "How many", 2, 1, 20),
  ],
  make: ({ side: s, leg, high, count: n }) => {
    if (leg! > s! / 2) throw new RangeError(`A leg of ${f2(leg!)} mm is more than half of a side of ${f2(s!)} mm.`);
    const l: Vec2[] = [[0, 0], [s!, 0], [s!, leg!], [leg!, leg!], [leg!, s!], [0, s!]]; // prettier-ignore
    return single(without([l], [ringRound([0, 0], 6)]), high!, ["Check it against a square before you trust it, and after it was glued to."], { count: n! }); // prettier-ignore
  },
};
const mitre: WorkshopKind = {
  id: "mitre",
  name: "Mitre block",
  use: "The stick lies in the channel; the saw runs in the slot: one is square, the others cut the angle to either hand.",
  fields: [
    { id: "angle", label: "Angle from square", hint: "0° is a square cut.", unit: "degrees", def: 14, min: 0, max: 60 },
    mm("wide", "Stick, wide", 4, 0.3, 40),
    mm("fit", "Loose by", 0.2, 0, 2, "The channel is wider than the stick by this."),
    PLATE,
    KERF,
  ],
  make: ({ angle: a, wide, fit, plate: t, slot: k }) => {
    const w = wide! + fit!;
    const tall = w + 2 * FENCE;
    // slots lean over the whole of both fences: as far apart as they reach, and a little
    const lean = Math.tan((a! * Math.PI) / 180) * (tall + 4) + k! / Math.cos((a! * Math.PI) / 180);
    const step = lean + 12;
    const l = 2 * step + lean + 24;
    const at = [12 + lean / 2, 12 + lean / 2 + step, 12 + lean / 2 + 2 * step];
    const base = [box(-RIM, -FENCE - RIM, l + RIM, w + FENCE + RIM)];
    const fences: Area = [box(0, -FENCE, l, 0), box(0, w, l, w + FENCE)];
    const slots = at.map((x, i) => strip([x, w / 2], 90 + [a!, 0, -a!][i]!, k!, tall + 20));
    return stacked(base, without(fences, slots), t!, { words: [] }, { words: [label([2, -FENCE + 2.5], `${f2(a!)}°`)] }, [`Cuts ${f2(a!)}° from square to either hand, and square.`, "Measure a cut with the protractor first: the angle is only as true as the slots."]); // prettier-ignore
  },
};
const drill: WorkshopKind = {
  id: "drill",
  name: "Drill guide, equally spaced",
  use: "Lies on the work; the drill goes down through each hole in turn.",
  fields: [mm("long", "Length to divide", 102, 5, 1000), mm("margin", "Margin at each end", 10, 0, 400), count("count", "Holes", 5, 1, 100), mm("drill", "Drill, diameter", 1, 0.3, 10), mm("wide", "Guide, wide", 10, 3, 60), PLATE], // prettier-ignore
  make: ({ long: l, margin: m, count: n, drill: d, wide: w, plate: t }) => {
    const [at, step] = spaced(l!, m!, n!);
    if (n! > 1 && step <= d!)
      throw new RangeError(
        `Holes of ${f2(d!)} mm every ${f2(step)} mm run into one another; have fewer, or a finer drill.`,
      );
    if (w! <= d! + 1) throw new RangeError(`A guide ${f2(w!)} mm wide is too narrow for holes of ${f2(d!)} mm.`);
    if (m! <= d! / 2 + 0.5) throw new RangeError(`A margin of ${f2(m!)} mm breaks the first hole out of the end; give ${f2(d! / 2 + 1)} mm or more.`); // prettier-ignore
    return single(without([box(0, 0, l!, w!)], at.map((x) => ringRound([x, w! / 2], d!))), t!, [n! > 1 ? `${n} holes, ${f2(step)} mm from one to the next, ${f2(m!)} mm at each end.` : "One hole in the middle."]); // prettier-ignore
  },
};
/** Places along a length with a margin at each end and the rest divided evenly, and how far one is from the next: five on 102 mm with 10 at each end are 20.5 apart. One stands in the middle. Errors: margins that leave nothing. */
export function spaced(length: number, margin: number, n: number): readonly [readonly number[], number] {
  if (n === 1) return [[length / 2], 0];
  const step = (length - 2 * margin) / (n - 1);
  if (!(step > 0)) throw new RangeError(`Margins of ${f2(margin)} mm leave nothing of ${f2(length)} mm to divide.`);
  return [Array.from({ length: n }, (_, i) => margin + i * step), step];
}
const cradle: WorkshopKind = {
  id: "cradle",
  name: "Cradle for tubes",
  use: "Two combs stand in the base's slots and hold the tubes parallel, as far apart as they will stand.",
  fields: [mm("diameter", "Tube, diameter", 30, 2, 150), count("count", "Tubes", 3, 1, 20), mm("gap", "Clear between them", 2, 0, 60), mm("apart", "Combs apart", 60, 10, 400), PLATE, mm("fit", "Tabs loose by", 0.1, -0.2, 1, "Try a test coupon first.")], // prettier-ignore
  make: ({ diameter: d, count: n, gap, apart, plate: t, fit }) => {
    if (n! > 1 && gap! < 1) throw new RangeError(`A comb needs 1 mm between two tubes to stand; read ${f2(gap!)} mm.`);
    const wide = n! * d! + (n! - 1) * gap! + 16;
    const middle = (i: number): number => 8 + d! / 2 + i * (d! + gap!);
    const high = d! / 2 + 8;
    const tabs = [0.2, 0.8].map((k) => box(wide * k - 5, -t!, wide * k + 5, 1));
    // the tube lies in the lower half of its round
    const cups = Array.from({ length: n! }, (_, i) => ringRound([middle(i), high], d!));
    const comb = joined([box(0, 0, wide, high)], tabs);
    const slot = t! + fit!;
    const slots = [0, apart!].flatMap((y) => [0.2, 0.8].map((k) => box(wide * k - 5 - fit! / 2, y - slot / 2, wide * k + 5 + fit! / 2, y + slot / 2))); // prettier-ignore
    const base = without([box(-4, -12, wide + 4, apart! + 12)], slots);
    // printed, it stands as one: bars with cups lying on their sides cannot; the base and the combs are printed flat
    return { plates: [plate("base", base, t!), plate("comb", without(comb, cups), t!, { count: 2 })], solid: [{ to: t!, area: without(comb, cups) }], words: [`Holds ${n} ${n === 1 ? "tube" : "tubes"} of ${f2(d!)} mm, ${f2(d! + gap!)} mm from middle to middle.`, "The solid is one comb: print two, and the base from its plate."] }; // prettier-ignore
  },
};
/** How wide the form of a bending board is, and its keepers, which stand every so far along the bend, mm. */
const [FORM, KEEPER, LEAD] = [12, 10, 1];
const bending: WorkshopKind = {
  id: "bending",
  name: "Bending board",
  use: "Soak or warm the strip, lay it round the form behind the keepers and leave it there till it is dry or cold. What is laminated is glued on it, ply on ply.",
  fields: [
    mm("radius", "Radius inside of the bend", 150, 5, 2000),
    { id: "angle", label: "Bend", hint: "From end to end.", unit: "degrees", def: 60, min: 5, max: 200 },
    mm("thick", "Strip, thick", 1, 0.2, 20, "All plies together."),
    { id: "back", label: "Springs back by, percent", hint: "What it opens again, tried on one: 0 laminated, 5 to 15 soaked.", unit: "count", def: 0, min: 0, max: 40 }, // prettier-ignore
    mm("fit", "Loose by", 0.2, 0, 2),
    PLATE,
  ],
  make: ({ radius: r, angle: a, thick, back, fit, plate: t }) => {
    const bent = r! * (1 - back! / 100);
    if (bent < 4) throw new RangeError(`A radius of ${f2(bent)} mm, springing back allowed for, is too tight for a form.`); // prettier-ignore
    const inner = Math.max(2, bent - FORM);
    const [from, to] = [90 - a! / 2, 90 + a! / 2];
    const outer = bent + thick! + fit!;
    // a keeper at either end and as many between as stand a hand's width apart
    const arc = (outer * a! * Math.PI) / 180;
    const gaps = Math.max(2, Math.ceil(arc / 45));
    const half = ((KEEPER / 2) * 180) / Math.PI / outer;
    if (2.4 * half >= (a! - 2 * half) / gaps) throw new RangeError(`A bend of ${f2(a!)}° on ${f2(r!)} mm is too short for three keepers of ${KEEPER} mm; bend it longer.`); // prettier-ignore
    const keepers = Array.from({ length: gaps + 1 }, (_, i) => from + half + ((to - from - 2 * half) * i) / gaps);
    // a little longer than the strip, whose ends then lie on it
    const lead = (LEAD * 180) / Math.PI / bent;
    const form = ringPiece([0, 0], inner, bent, from - lead, to + lead);
    const blocks = keepers.map((d) => ringPiece([0, 0], outer, outer + FENCE, d - half, d + half));
    const rim = (RIM * 180) / Math.PI / Math.max(inner, RIM);
    const wide = outer + FENCE + RIM;
    // round a small form a plate without a hole in its middle
    const whole = inner - RIM < 6 || to - from + 2 * (rim + lead) > 330;
    const base = whole ? box(-wide, Math.min(...[form, ...blocks].flat().map((p) => p[1])) - RIM, wide, wide) : ringPiece([0, 0], inner - RIM, wide, from - rim - lead, to + rim + lead); // prettier-ignore
    return stacked(joined([base]), joined([form, ...blocks]), t!, {}, { words: [label([-4, bent - FORM / 2 - 1.5], `R ${f2(r!)}`)] }, [`Bends to ${f2(r!)} mm inside${back! > 0 ? `, round a form of ${f2(bent)} mm since it springs back by ${back} %` : ""}.`, `A strip of ${f2((bent + thick! / 2) * ((a! * Math.PI) / 180))} mm reaches from end to end.`]); // prettier-ignore
  },
};
const coupon: WorkshopKind = {
  id: "coupon",
  name: "Test coupon for fits",
  use: "Cut it from the sheet you will use and push a strip of the same sheet into each slot: the one that holds without force is your fit.",
  fields: [mm("sheet", "Sheet, thick", 1, 0.2, 12), mm("step", "Wider from slot to slot by", 0.05, 0.01, 0.5), count("count", "Slots", 8, 3, 20)], // prettier-ignore
  make: ({ sheet: t, step, count: n }) => {
    const pitch = Math.max(8, t! + 6);
    const widths = Array.from({ length: n! }, (_, i) => t! + (i - 2) * step!);
    if (widths[0]! <= 0)
      throw new RangeError(`Slots ${f2(step!)} mm apart in width leave none for a sheet of ${f2(t!)} mm.`);
    const slots = widths.map((w, i) => box(pitch * (i + 0.5) - w / 2, 8, pitch * (i + 0.5) + w / 2, 21));
    const words = widths.map((_, i) => label([pitch * (i + 0.5) - 2.6, 3], `${i - 2 < 0 ? "−" : "+"}${Math.abs((i - 2) * step!).toFixed(2)}`, 1.7)); // prettier-ignore
    return single(without([box(0, 0, pitch * n!, 20)], slots), t!, [`Slots from ${f2(widths[0]!)} to ${f2(widths.at(-1)!)} mm.`], { words }); // prettier-ignore
  },
};

/** The jigs there are, in the order that one comes to need them. */
export const WORKSHOP: readonly WorkshopKind[] = [
  lengthJig,
  spacer,
  stripper,
  square,
  mitre,
  drill,
  cradle,
  bending,
  coupon,
];
export const workshopKind = (id: string): WorkshopKind | undefined => WORKSHOP.find((k) => k.id === id);
/** A kind's usual figures. */
export const usualValues = (k: WorkshopKind): Values => Object.fromEntries(k.fields.map((f) => [f.id, f.def]));
/** A jig made of figures that came from outside. Errors: a figure that is missing or out of its range, and what the kind itself refuses, in a sentence. */
export function makeJig(k: WorkshopKind, v: Readonly<Record<string, unknown>>): Made {
  const values: Record<string, number> = {};
  for (const f of k.fields) {
    const n = v[f.id];
    const whole = f.unit === "count";
    if (typeof n !== "number" || !(n >= f.min && n <= f.max) || (whole && !Number.isInteger(n))) throw new RangeError(`${f.label}: read ${String(n)}; it may be ${whole ? "a whole number " : ""}from ${f.min} to ${f.max}${f.unit === "mm" ? " mm" : f.unit === "degrees" ? "°" : ""}.`); // prettier-ignore
    values[f.id] = n;
  }
  return k.make(values);
}
