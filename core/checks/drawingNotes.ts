import { partedMeasures, scaleOfDrawing, type Design } from "../job";
import { measureValue } from "../prototype";
import { printParam, type NotedOpening } from "../structures";
import type { Finding } from "./findings";
import { remarkFindings } from "./remarkFindings";

/** The openings noted on drawings that have a scale. */
const notedOn = (d: Design): NotedOpening[] =>
  d.doc.drawings.flatMap((drawing) => {
    const scale = scaleOfDrawing(drawing);
    if (!scale) return [];
    return drawing.openings
      .filter((o) => o.kind !== "vent" && o.kind !== "other")
      .map((o): NotedOpening => ({
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

/** What the drawings note, of openings and eaves, and a structure has otherwise. */
export function drawingNotes(d: Design): Finding[] {
  const noted = {
    openings: notedOn(d),
    eaves: d.doc.drawings.flatMap((x) => (x.eave ? [{ drawing: x.name, eave: x.eave }] : [])),
  };
  if (noted.openings.length + noted.eaves.length === 0) return [];
  return d.structures.flatMap((s) =>
    s.fault ? [] : remarkFindings(s, "noted", s.kind.notes?.(s.variant.params, noted) ?? []),
  );
}
