import type { Design, StructureDesign } from "../job";
import type { OuterWall } from "../structures";
import { feet, inches, printFeetInches } from "../units";
import type { Finding } from "./findings";

/**
 * What was built, as ratios and sizes: proportions that a practitioner looks up a real example for before believing them.
 * Common practice of wooden railroad and farm buildings, from memory of standard plans; prototype mm.
 */
const BUILT = {
  /** Length to width of a main room. */
  lengthToWidth: 5,
  /** The narrower side of a building that people go into. */
  narrow: feet(6),
  /** Eaves over the floor to the narrower side. */
  heightToWidth: 1.6,
  /** A door for people: how wide at least, how high at least. */
  doorWide: inches(26),
  doorHigh: feet(6, 4),
  /** What is lower is a hatch or a chute. */
  hatch: feet(4, 6),
  /** A door for freight is no wider. */
  freight: feet(14),
  /** Height to width of a window. */
  windowShape: [0.5, 3.4],
  /** Of a wall's face. */
  openShare: 0.55,
  /** Between the head of an opening and the top of its wall. */
  overHead: inches(4),
} as const;
const fi = (mm: number): string => printFeetInches(mm);
const times = (x: number): string => x.toFixed(1);

/** Proportions of buildings that were hardly ever built, each with why it looks wrong. */
export function plausible(d: Design): Finding[] {
  return d.structures.flatMap((s) => (s.fault ? [] : ofWalls(s, d.scale.ratio)));
}
function ofWalls(s: StructureDesign, ratio: number): Finding[] {
  const walls = s.kind.outerWalls?.(s.variant.params, s.context) ?? [];
  const side = (x: NonNullable<OuterWall["inside"]>["side"]): OuterWall | undefined => walls.find((w) => w.inside?.side === x); // prettier-ignore
  const [front, end] = [side("front"), side("left")];
  if (!front || !end) return [];
  const name = s.structure.name;
  const out: Finding[] = [];
  const say = (key: string, text: string): void => void out.push({ key: `${s.structure.id}:plausible:${key}`, level: "remark", text, structure: s.structure.id, sticks: [] }); // prettier-ignore
  const [long, wide] = [front.length, end.length].map((x) => x * ratio).sort((a, b) => b - a) as [number, number];
  const high = Math.min(front.height, end.height) * ratio;
  if (wide < BUILT.narrow) say("narrow", `${name} is ${fi(wide)} wide. Hardly anything that people go into was built narrower than ${fi(BUILT.narrow)}: look for a real one, or take out length instead of width.`); // prettier-ignore
  else if (long / wide > BUILT.lengthToWidth) say("long", `${name} is ${times(long / wide)} times as long as it is wide (${fi(long)} by ${fi(wide)}); up to ${BUILT.lengthToWidth} times was built. Look for a real one, or take out bays.`); // prettier-ignore
  if (high / wide > BUILT.heightToWidth) say("high", `The walls of ${name} are ${times(high / wide)} times as high as it is wide (${fi(high)} over ${fi(wide)}); towers aside, up to ${BUILT.heightToWidth} times was built.`); // prettier-ignore
  // a kind that looks at the height of its doors itself has said so
  const toldByKind = s.kind.remarks(s.variant.params, s.context).some((r) => /^openings\.\d+\.height$/.test(r.param));
  for (const w of walls) {
    const face = w.length * w.height;
    const open = w.openings.reduce((n, o) => n + (o.to - o.from) * (o.head - o.sill), 0);
    if (open / face > BUILT.openShare) say(`open:${w.name}`, `Openings take ${Math.round((100 * open) / face)} % of the ${w.name} of ${name}: what is left hardly carries the roof. Storefronts aside, up to ${100 * BUILT.openShare} % was built.`); // prettier-ignore
    w.openings.forEach((o, i) => {
      const [across, up] = [(o.to - o.from) * ratio, (o.head - o.sill) * ratio];
      const at = `${o.door ? "The door" : "A window"} in the ${w.name} of ${name}`;
      const key = (what: string): string => `${what}:${w.name}:${i}`;
      if (o.door) {
        // a wide one is for freight
        if (across < BUILT.doorWide && up > BUILT.hatch) say(key("door"), `${at} is ${fi(across)} wide, a door for children: people's doors were built ${fi(BUILT.doorWide)} and wider. Squeeze walls by whole bays and leave doors full size.`); // prettier-ignore
        else if (across > BUILT.freight) say(key("door"), `${at} is ${fi(across)} wide; freight and wagon doors were built up to ${fi(BUILT.freight)}.`); // prettier-ignore
        if (!toldByKind && up < BUILT.doorHigh && up > BUILT.hatch) say(key("high"), `${at} is ${fi(up)} high, a door for children: people's doors were built ${fi(BUILT.doorHigh)} and higher.`); // prettier-ignore
      } else {
        const shape = up / across;
        if (shape > BUILT.windowShape[1] || shape < BUILT.windowShape[0]) say(key("window"), `${at} is ${fi(across)} by ${fi(up)}: ${shape > 1 ? `${times(shape)} times as high as wide` : `${times(1 / shape)} times as wide as high`}; sashes were built from ${times(1 / BUILT.windowShape[0])} times as wide as high to ${times(BUILT.windowShape[1])} times as high as wide.`); // prettier-ignore
      }
      const over = (w.height - o.head) * ratio;
      if (over < BUILT.overHead && over > -1) say(key("head"), `${at} ends ${fi(Math.max(0, over))} under the top of its wall: there is no room for a header.`); // prettier-ignore
    });
  }
  return out;
}
