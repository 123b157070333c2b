import type { SheetItem } from "../../lumber";
import type { Builder } from "../builder";
import { touching } from "../touching";
import type { Hand } from "./hand";
import type { BuiltUp } from "./layout";

type Span = readonly [number, number];
export interface BeamSeed {
  readonly id: string;
  readonly assembly: string;
  readonly name: string;
  readonly letters: readonly [flange: string, web: string];
  readonly section: BuiltUp;
  readonly flange: SheetItem;
  readonly web: SheetItem;
  /** The direction of its length. */
  readonly along: "p" | "q";
  /** From where to where: webs, and flanges, which are parted elsewhere so that no seam goes through. */
  readonly parts: { readonly web: readonly Span[]; readonly flange: readonly Span[] };
  /** Its middle across its length, and its underside. */
  readonly middle: number;
  readonly under: number;
}
/** The plates of a beam by what they are: ids, one for each length they are parted into. */
export interface Beam {
  readonly top: readonly string[];
  readonly bottom: readonly string[];
  readonly webs: readonly string[];
}
/** Middles of a section's webs from its own middle: one, or two flush with the flanges' edges. */
const websOf = (s: BuiltUp, t: number): readonly number[] => (s.shape === "I" ? [0] : [-(s.wide - t) / 2, (s.wide - t) / 2]); // prettier-ignore

/**
 * A level beam of sheet: flanges over its whole width, webs between them, and at the ends of a box a plate that closes it.
 * A girder 20 in high of flanges of .020 in HO (5.83 mm) has webs of 5.83 − 2 × 0.508 = 4.82 mm. Model mm.
 */
export function beam(b: Builder, hand: Hand, s: BeamSeed): Beam {
  const { section, along } = s;
  const [tf, tw] = [s.flange.thickness, s.web.thickness];
  const across = along === "p" ? "q" : "p";
  const seed = { assembly: s.assembly };
  const put = (id: string, role: string, letter: string, item: SheetItem, reach: Span, wide: Span, z: Span, thin: "p" | "q" | "z"): string => // prettier-ignore
    hand.plate({ ...seed, id: `${s.id}/${id}`, role: `${s.name} ${role}`, letter, item, ...(along === "p" ? { p: reach, q: wide } : { p: wide, q: reach }), z, thin }); // prettier-ignore
  const closed = section.shape === "box" ? tw : 0;
  const ends: Span = [s.parts.web[0]![0], s.parts.web.at(-1)![1]];
  // a box is shorter by the plates that close it
  const inner = (parts: readonly Span[]): readonly Span[] => parts.map(([from, to]) => [from === ends[0] ? from + closed : from, to === ends[1] ? to - closed : to]); // prettier-ignore
  const whole: Span = [s.middle - section.wide / 2, s.middle + section.wide / 2];
  const [low, high] = [s.under, s.under + section.high];
  const numbered = (name: string, i: number, n: number): string => (n > 1 ? `${name}${i + 1}` : name);
  const flanges = (name: string, z: Span): string[] => inner(s.parts.flange).map((r, i, all) => put(numbered(name, i, all.length), "flange", s.letters[0], s.flange, r, whole, z, "z")); // prettier-ignore
  const bottom = flanges("bottom", [low, low + tf]);
  const top = flanges("top", [high - tf, high]);
  const webs = websOf(section, tw).flatMap(
    (m, k, both) =>
    inner(s.parts.web).map((r, i, all) => put(numbered(both.length > 1 ? `web${"ab"[k]}` : "web", i, all.length), "web", s.letters[1], s.web, r, [s.middle + m - tw / 2, s.middle + m + tw / 2], [low + tf, high - tf], across)), // prettier-ignore
  );
  for (const w of webs) {
    for (const f of bottom) b.join(touching(w, f, "e0", "+w"));
    for (const f of top) b.join(touching(w, f, "e2", "-w"));
  }
  if (closed > 0)
    ends.forEach((at, i) => {
      const reach: Span = i === 0 ? [at, at + closed] : [at - closed, at];
      const plate = put(`end${i + 1}`, "end plate", "EP", s.web, reach, whole, [low, high], along);
      const face = along === "p" ? (i === 0 ? "+w" : "-w") : hand.across(i === 0 ? 1 : -1);
      for (const f of [...bottom, ...top, ...webs]) {
        const level = !webs.includes(f);
        const edge = along === "p" ? (i === 0 ? "e3" : "e1") : hand.edge(i === 0 ? -1 : 1, level ? "z" : "p");
        b.join(touching(f, plate, edge, face));
      }
    });
  return { top, bottom, webs };
}

export interface ColumnSeed {
  readonly id: string;
  readonly assembly: string;
  readonly section: BuiltUp;
  readonly flange: SheetItem;
  readonly web: SheetItem;
  /** Its middle, and from where to where it stands. */
  readonly p: number;
  readonly q: number;
  readonly z: Span;
  readonly grounded: boolean;
}
/** A column of sheet: two flanges along the platform, one web or two between them. `high` of its section lies across the platform. Gives the ids of its plates. */
export function column(b: Builder, hand: Hand, s: ColumnSeed): string[] {
  const [tf, tw] = [s.flange.thickness, s.web.thickness];
  const { wide, high } = s.section;
  const seed = { assembly: s.assembly, z: s.z, grounded: s.grounded };
  const flanges = ([-1, 1] as const).map((side) => {
    const out = s.q + (side * high) / 2;
    return hand.plate({ ...seed, id: `${s.id}/flange${side < 0 ? 1 : 2}`, role: "column flange", letter: "CF", item: s.flange, p: [s.p - wide / 2, s.p + wide / 2], q: side < 0 ? [out, out + tf] : [out - tf, out], thin: "q" }); // prettier-ignore
  });
  const webs = websOf(s.section, tw).map(
    (m, k, both) =>
    hand.plate({ ...seed, id: `${s.id}/web${both.length > 1 ? "ab"[k] : ""}`, role: "column web", letter: "CW", item: s.web, p: [s.p + m - tw / 2, s.p + m + tw / 2], q: [s.q - high / 2 + tf, s.q + high / 2 - tf], thin: "p" }), // prettier-ignore
  );
  for (const w of webs) {
    b.join(touching(w, flanges[0]!, hand.edge(-1, "p"), hand.across(1)));
    b.join(touching(w, flanges[1]!, hand.edge(1, "p"), hand.across(-1)));
  }
  return [...flanges, ...webs];
}
