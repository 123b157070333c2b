import { cornersFlat, hull, type Vec2 } from "../geometry";
import type { Design, StructureDesign } from "../job";
import { offLevels, offSpot } from "../spot";
import { model, printMm } from "../units";
import type { Finding } from "./findings";
import { moveWords, outward } from "./moveWords";

/** A structure may be turned on its spot; it is tried by this many degrees at a time. */
const TURN = 2;

/** The corners of a structure seen from above, with all that overhangs, model mm. */
function outlineOf(s: StructureDesign): Vec2[] {
  return hull(s.resolved.sticks.flatMap((k) => k.parts.flatMap((p) => cornersFlat(p).map((c): Vec2 => [c[0], c[1]]))));
}
/** How wide and deep the outline is when it is turned by so many degrees. */
function extent(outline: readonly Vec2[], degrees: number): readonly [number, number] {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  const across = outline.map(([x, y]) => x * c - y * s);
  const deep = outline.map(([x, y]) => x * s + y * c);
  return [Math.max(...across) - Math.min(...across), Math.max(...deep) - Math.min(...deep)];
}

/** Structures that stand over the edge of the spot or in what is on it, each with the move that cures it. */
export function offSpotFindings(d: Design): Finding[] {
  const tooLarge = new Set(spotFindings(d).map((f) => f.structure));
  return offSpot(d).flatMap((o): Finding[] => {
    // what is larger than the spot is told as that
    if (o.what === "edge" && tooLarge.has(o.structure)) return [];
    const { name } = d.structures.find((s) => s.structure.id === o.structure)!.structure;
    const remedy = o.move ? { remedy: { label: o.what === "edge" ? "Move it onto the spot" : "Move it clear", do: "move" as const, by: o.move.map(outward) as [number, number] } } : {}; // prettier-ignore
    const cure = o.move ? ` Move ${name} ${moveWords(o.move.map(outward) as [number, number])}.` : "";
    const common = { structure: o.structure, sticks: [], ...remedy };
    const by = printMm(model(o.by), 1);
    if (o.what === "edge") return [{ key: `${o.structure}:spot:edge`, level: "warning", text: `${name} reaches over the ${o.edge} edge of the spot by ${by}.${cure}`, ...common }]; // prettier-ignore
    const fixed = ["stands already", "has to stay", "wall"].includes(o.thing!.kind);
    return [{ key: `${o.structure}:spot:in:${o.thing!.id}`, level: fixed ? "fault" : "warning", text: `The ${o.part} of ${name} stands in ${o.thing!.name} (${o.thing!.kind}) by ${by}.${cure}`, ...common }]; // prettier-ignore
  });
}
/** Levels on the spot that do not agree with a track. */
export const levelFindings = (d: Design): Finding[] =>
  offLevels(d).map((o): Finding => {
    const [by, would] = [Math.abs(o.by), o.would].map((x) => printMm(model(x), 1));
    const text = o.what === "platform over the car floor" ? `${o.thing.name} is ${by} higher than the floor of the cars on ${o.track.name}: what is rolled out of their doors meets its edge. At ${would} over the spot it would be level with them.` : `${o.thing.name} lies ${by} ${o.by > 0 ? "over" : "under"} the rail of ${o.track.name} where it crosses: bring it to ${would} over the spot there.`; // prettier-ignore
    return { key: `${o.thing.id}:spot:level:${o.track.id}`, level: "warning", text, sticks: [] };
  });
/** Structures that are larger than the spot of the brief, however they are turned. A side of the spot that is not known (0) holds anything. */
export function spotFindings(d: Design): Finding[] {
  const { spotLength, spotDepth } = d.doc.brief;
  if (spotLength <= 0 && spotDepth <= 0) return [];
  const spot = [spotLength, spotDepth].map((x) => (x > 0 ? x : Infinity)) as [number, number];
  return d.structures.flatMap((s): Finding[] => {
    if (s.fault || s.resolved.sticks.length === 0) return [];
    const outline = outlineOf(s);
    const fits = ([a, b]: readonly [number, number]): boolean =>
      (a <= spot[0] + 0.05 && b <= spot[1] + 0.05) || (b <= spot[0] + 0.05 && a <= spot[1] + 0.05);
    for (let turn = 0; turn < 90; turn += TURN) if (fits(extent(outline, turn))) return [];
    const [a, b] = extent(outline, 0);
    const size = spot.every(Number.isFinite)
      ? `${printMm(model(spot[0]), 0)} × ${printMm(model(spot[1]), 0)}`
      : `${printMm(model(Math.min(...spot)), 0)} one way`;
    return [
      {
        key: `${s.structure.id}:spot`,
        level: "warning",
        text: `${s.structure.name} takes ${printMm(model(a), 0)} × ${printMm(model(b), 0)} with all that overhangs; the spot of the brief is ${size}. It does not fit, however it is turned.`,
        structure: s.structure.id,
        sticks: [],
      },
    ];
  });
}
