import { feet, MM_PER_INCH } from "../units";
import type { Params, KindFace } from "./kind";
import { paramAt, valueAt, withValue, type Row, type TableParam } from "./spec";

/**
 * A row that could be added to a table parameter: its columns' defaults, or the last row moved along until the kind's
 * check has nothing more to say than before, made smaller if need be; where there is no such place, the one it says least of. Errors: a path that is no table.
 */
export function newRow(kind: KindFace, params: Params, path: string): Row {
  const spec = paramAt(kind.spec, path);
  if (spec?.type !== "table") throw new Error(`“${path}” is no table.`);
  const own = kind.newRow?.(params, path);
  if (own) return own as Row;
  const rows = valueAt(params, path) as readonly Row[];
  const plain = Object.fromEntries(Object.entries(spec.columns).map(([k, c]) => [k, c.def]));
  const before = kind.check(params).length;
  if (!("at" in spec.columns)) return plain;
  const faults = (r: Row): number => kind.check(withValue(params, path, [...rows, r])).length;
  let [best, least]: [Row, number] = [plain, faults(plain)];
  const first = Object.entries(spec.columns).find(([, c]) => c.type === "choice" && /wall|side|Against/i.test(c.label));
  const places = first?.[1].type === "choice" ? first[1].options.map((o) => ({ [first[0]]: o.value })) : [{}];
  for (const size of SIZES)
    for (const base of [...rows.slice(-1), plain])
      for (const place of [{}, ...places])
        // at its full size every foot is tried, smaller ones every other
        for (let at = 1; at <= 120; at += size === 1 ? 1 : 3) {
          const row = { ...smaller(spec, base, size), ...place, at: feet(at) };
          const n = faults(row);
          if (n <= before) return row;
          if (n < least) [best, least] = [row, n];
        }
  return best;
}
/** What is added is made smaller where it has no room at its usual size. */
const SIZES = [1, 0.8, 0.6, 0.45];
function smaller(spec: TableParam, row: Row, size: number): Row {
  if (size === 1) return row;
  const cells = Object.entries(spec.columns).flatMap(([k, c]): [string, number][] => {
    if (c.type !== "length" || k === "at" || typeof row[k] !== "number") return [];
    // whole inches read well
    const cut = Math.max(c.min, Math.round((row[k] * size) / MM_PER_INCH) * MM_PER_INCH);
    return [[k, Math.min(row[k], cut)]];
  });
  return { ...row, ...Object.fromEntries(cells) };
}
