import type { StructureDesign } from "../job";
import type { Remark } from "../structures";
import type { Finding } from "./findings";

/** Remarks of a structure as findings. Several may be about one parameter: each has a key of its own. */
export function remarkFindings(s: StructureDesign, sort: string, list: readonly Remark[]): Finding[] {
  const before = new Map<string, number>();
  const nth = (param: string): string => {
    const n = (before.get(param) ?? 0) + 1;
    before.set(param, n);
    return n === 1 ? param : `${param}#${n}`;
  };
  return list.map((r) => ({
    key: `${s.structure.id}:${sort}:${nth(r.param)}`,
    level: r.level ?? "remark",
    text: r.text,
    structure: s.structure.id,
    sticks: [],
    ...(r.fix ? { remedy: { label: r.fix.label, do: "set" as const, param: r.param, value: r.fix.value } } : {}),
  }));
}
