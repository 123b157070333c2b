import { feet } from "../units";
import type { Params, StructureKind } from "./kind";
import { paramAt, valueAt, withValue, type Row } from "./spec";

/**
 * A row that could be added to a table parameter: its columns' defaults, or the last row moved along until the kind's
 * check has nothing more to say than before; where there is no such place, the one it says least of. Errors: a path that is no table.
 */
export function newRow(kind: StructureKind, params: Params, path: string): Row {
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
  for (const base of [...rows.slice(-1), plain])
    for (const place of [{}, ...places])
      for (let at = 1; at <= 120; at++) {
        const row = { ...base, ...place, at: feet(at) };
        const n = faults(row);
        if (n <= before) return row;
        if (n < least) [best, least] = [row, n];
      }
  return best;
}
