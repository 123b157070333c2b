import { NEAR } from "../geometry";
import type { Params, Remark } from "./kind";
import { paramAt, pathsOf, printParam, valueAt, type Spec } from "./spec";

/** A remark for every value in play that lies out of the usual range of its parameter, with the nearest usual value as the remedy. */
export function unusual(spec: Spec, params: Params, shown: (path: string) => boolean): Remark[] {
  const cells = (path: string): string[] => {
    const p = spec[path];
    return p?.type === "table"
      ? (valueAt(params, path) as readonly unknown[]).flatMap((_, i) =>
          Object.keys(p.columns).map((c) => `${path}.${i}.${c}`),
        )
      : [path];
  };
  return pathsOf(spec)
    .filter(shown)
    .flatMap(cells)
    .filter(shown)
    .flatMap((path): Remark[] => {
      const p = paramAt(spec, path)!;
      if (p.type !== "length" && p.type !== "batter" && p.type !== "number") return [];
      const value = Number(valueAt(params, path));
      const [lo, hi] = p.usual;
      if (value >= lo - NEAR && value <= hi + NEAR) return [];
      const nearest = value < lo ? lo : hi;
      return [
        {
          param: path,
          text: `${p.label} is ${printParam(p, value)}; usual is ${printParam(p, lo)} to ${printParam(p, hi)}.`,
          fix: { label: `Set ${printParam(p, nearest)}`, value: nearest },
        },
      ];
    });
}
