import { MEASURES, measureValue, UNSCALED, type SheetScale } from "../prototype";
import { kindOf, paramAt, pathsOf, valueAt, type Params, type SingleParam } from "../structures";
import { chosenVariant } from "./chosenVariant";
import type { JobDoc, MeasureDoc } from "./document";
import { scaleOfDrawing } from "./drawings";

/** A parameter that a measure can set: "structure:path", with the words it is known by. */
export interface Target {
  readonly to: string;
  readonly structure: string;
  readonly path: string;
  readonly label: string;
  readonly spec: SingleParam;
}
/** A rise or a batter told as inches in 12. */
const perFoot = (p: SingleParam): boolean => p.type === "number" && /in 12/.test(p.unit);
/** Whether a parameter takes what a measure gives: lengths from lengths and spacings, counts from spacings, batters and rises from slopes. */
function takes(p: SingleParam, m: Pick<MeasureDoc, "kind" | "count">): boolean {
  const { unit } = MEASURES[m.kind];
  switch (p.type) {
    case "length":
      return unit === "length" || unit === "spacing";
    case "batter":
      return unit === "angle" || unit === "batter";
    case "count":
      return unit === "spacing" && m.count !== undefined;
    case "number":
      return perFoot(p) ? unit === "angle" || unit === "pitch" : p.unit === "°" && unit === "angle";
    default:
      return false;
  }
}
/** The paths of a parameter's values: of a table, its cells. */
function cellsOf(p: SingleParam | undefined, path: string, params: Params): string[] {
  if (p?.type !== "table") return [path];
  const rows = (valueAt(params, path) as readonly unknown[] | undefined) ?? [];
  return rows.flatMap((_, i) => Object.keys(p.columns).map((c) => `${path}.${i}.${c}`));
}

/** Every parameter in play of a job's structures that a measure can set. */
export function measureTargets(doc: Pick<JobDoc, "structures">, m: Pick<MeasureDoc, "kind" | "count">): Target[] {
  const several = doc.structures.length > 1;
  return doc.structures.flatMap((s) => {
    const kind = kindOf(s.kind);
    const params = chosenVariant(s).params as Params;
    return pathsOf(kind.spec)
      .filter((p) => kind.shown(params, p))
      .flatMap((p) => cellsOf(paramAt(kind.spec, p), p, params))
      .flatMap((path): Target[] => {
        const spec = paramAt(kind.spec, path);
        if (!spec || !takes(spec, m) || !kind.shown(params, path)) return [];
        const label = several ? `${s.name}: ${spec.label}` : spec.label;
        return [{ to: `${s.id}:${path}`, structure: s.id, path, label, spec }];
      });
  });
}

/**
 * What a measure sets a parameter to, in the parameter's own unit: mm to a hundredth, inches in 12 to a thousandth, a
 * whole number of what was counted. Errors: what `measureValue` refuses.
 */
export function measuredFor(m: MeasureDoc, scale: SheetScale | undefined, p: SingleParam): number {
  if (p.type === "count") return m.count!;
  const v = measureValue(m.kind, m.points, scale ?? UNSCALED, m.count);
  if (p.type === "length") return Math.round(v * 100) / 100;
  const degrees = MEASURES[m.kind].unit === "angle";
  // an angle from plumb, or from level: a batter is the lesser of both, a rise is from level
  const inTwelve = (angle: number): number => 12 * Math.tan((angle * Math.PI) / 180);
  const fromLevel = m.kind === "lean" ? 90 - v : Math.min(v, 180 - v);
  const value = !degrees
    ? v
    : p.type === "batter"
      ? inTwelve(Math.min(v, Math.abs(90 - v), 180 - v))
      : perFoot(p)
        ? inTwelve(fromLevel)
        : v;
  return Math.round(value * 1000) / 1000;
}

/** A parameter that was set from a measure, and reads otherwise there now: the sheet was calibrated anew, or the value changed by hand. */
export interface Parted {
  readonly measure: string;
  readonly drawing: string;
  readonly target: Target;
  readonly value: number;
  readonly measured: number;
}
/** Every parameter that no longer is what its measure reads. Lengths that differ by less than 1 mm of the prototype, and the rest by a thousandth, are the same. */
export function partedMeasures(doc: JobDoc): Parted[] {
  return doc.drawings.flatMap((d) => {
    const scale = scaleOfDrawing(d);
    return d.measures.flatMap((m): Parted[] => {
      if (!m.usedFor) return [];
      const target = measureTargets(doc, m).find((t) => t.to === m.usedFor);
      if (!target || (!scale && MEASURES[m.kind].unit !== "angle")) return [];
      const s = doc.structures.find((x) => x.id === target.structure)!;
      const value = valueAt(chosenVariant(s).params, target.path);
      let measured: number;
      try {
        measured = measuredFor(m, scale, target.spec);
      } catch {
        return [];
      }
      const same = target.spec.type === "length" ? 1 : 1e-3;
      if (typeof value !== "number" || Math.abs(value - measured) <= same) return [];
      return [{ measure: m.name, drawing: d.name, target, value, measured }];
    });
  });
}
