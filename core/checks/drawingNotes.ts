import { partedMeasures, scaleOfDrawing, type Design, type StructureDesign } from "../job";
import { measureValue } from "../prototype";
import { nominalMm } from "../lumber";
import { printParam, type BuildingValues } from "../structures";
import { printFeetInches } from "../units";
import type { Finding } from "./findings";

/** A framed opening is the one noted when both its sides are within this share. Common practice: castings are chosen that near. */
const SAME_SIZE = 0.08;
/** Trim that differs by less is the same board, prototype mm. */
const SAME_TRIM = 26;

/** How a casting stands to the wall by the way it is mounted, and how it is mounted to stand so. */
const STANDS = { flange: "proud", behind: "recessed", inside: "flush", built: "flush" } as const;
const MOUNTS = { proud: "flange", recessed: "behind", flush: "inside" } as const;

interface Noted {
  readonly name: string;
  readonly drawing: string;
  readonly door: boolean;
  readonly set: keyof typeof MOUNTS;
  readonly trim: number;
  readonly width: number;
  readonly height: number;
}
/** The openings noted on drawings that have a scale, prototype mm. */
const notedOn = (d: Design): Noted[] =>
  d.doc.drawings.flatMap((drawing) => {
    const scale = scaleOfDrawing(drawing);
    if (!scale) return [];
    return drawing.openings
      .filter((o) => o.kind !== "vent" && o.kind !== "other")
      .map((o): Noted => ({
        name: o.name,
        drawing: drawing.name,
        door: o.kind !== "window",
        set: o.set,
        trim: o.trim,
        width: measureValue("across", [o.from, o.to], scale),
        height: measureValue("up", [o.from, o.to], scale),
      }));
  });

/** Parameters that were set from a measure which reads otherwise now, each with the new value on offer. */
export const measuredAnew = (d: Design): Finding[] =>
  partedMeasures(d.doc).map(({ measure, drawing, target, value, measured }) => ({
    key: `${target.to}:measured`,
    level: "remark",
    text: `${target.spec.label} was set from “${measure}” on “${drawing}”, which reads ${printParam(target.spec, measured)} now; it is ${printParam(target.spec, value)}.`,
    structure: target.structure,
    sticks: [],
    remedy: { label: `Take ${printParam(target.spec, measured)}`, do: "set", param: target.path, value: measured },
  }));

/** What the drawings note of openings and the framed buildings have otherwise: how they stand to the wall, the trim round them. */
export function drawingNotes(d: Design): Finding[] {
  const noted = notedOn(d);
  if (noted.length === 0) return [];
  return d.structures.flatMap((s) => (s.kind.id === "building" && !s.fault ? notesOf(s, noted) : []));
}
function notesOf(s: StructureDesign, noted: readonly Noted[]): Finding[] {
  const v = s.variant.params as unknown as BuildingValues;
  const structure = s.structure.id;
  const casing = v.casings ? nominalMm(v.casing).width : 0;
  const near = (a: number, b: number): boolean => Math.abs(a - b) <= SAME_SIZE * Math.max(a, b);
  return noted.flatMap((n): Finding[] => {
    const i = v.openings.findIndex(
      (o) => (o.kind !== "window") === n.door && near(o.width, n.width) && near(o.height, n.height),
    );
    const o = v.openings[i];
    if (!o) return [];
    const out: Finding[] = [];
    const stands = STANDS[o.mount as keyof typeof STANDS];
    if (stands !== n.set)
      out.push({
        key: `${structure}:noted:${n.drawing}:${n.name}`,
        level: "warning",
        text: `“${n.name}” is noted ${n.set} on “${n.drawing}”, and opening ${i + 1}, which has its size, is mounted so that it stands ${stands}.`,
        structure,
        sticks: [],
        remedy: { label: `Let it stand ${n.set}`, do: "set", param: `openings.${i}.mount`, value: MOUNTS[n.set] },
      });
    if (Math.abs(casing - n.trim) > SAME_TRIM)
      out.push({
        key: `${structure}:trim:${n.drawing}:${n.name}`,
        level: "remark",
        text: `“${n.name}” is noted with ${n.trim > 0 ? `trim ${printFeetInches(n.trim)} wide` : "no trim"} on “${n.drawing}”; the frame has ${casing > 0 ? `casings of ${printFeetInches(casing)}` : "no casings"}.`,
        structure,
        sticks: [],
        ...(n.trim === 0
          ? { remedy: { label: "Leave casings out", do: "set" as const, param: "casings", value: false } }
          : v.casings
            ? {}
            : { remedy: { label: "Put casings on", do: "set" as const, param: "casings", value: true } }),
      });
    return out;
  });
}
