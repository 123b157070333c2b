import { stlOf } from "../core/drawing/stl";
import { weldedStl, type Welder } from "../core/drawing/welded";
import { bodiesOf, gluedUpWith } from "../core/frame";
import type { Design } from "../core/job";

/** Solids to be written by the names of their files, and the marks of what is none. */
export interface Solids {
  readonly files: readonly { readonly name: string; readonly bytes: Uint8Array }[];
  readonly left: readonly string[];
}
/** Each piece of some marks, or of all, that is one closed surface, lying flat. */
export function pieceSolids(d: Design, marks?: readonly string[]): Solids {
  const sticks = new Map(d.structures.flatMap((s) => s.resolved.sticks.map((k) => [k.id, k] as const)));
  const made = d.pieces
    .filter((p) => marks?.includes(p.mark) ?? true)
    .map((p) => ({ mark: p.mark, bytes: stlOf(sticks.get(p.sticks[0]!)!, `${p.mark} ${p.role}`) }));
  return {
    files: made.flatMap(({ mark, bytes }) => (bytes ? [{ name: `${mark}.stl`, bytes }] : [])),
    left: made.filter((m) => !m.bytes).map((m) => m.mark),
  };
}
/**
 * What pieces of some marks, or all, are glued up to, each whole as one closed surface under the first mark in it. Wholes
 * of the same marks are alike and written once; another whole under the same mark has a number behind it.
 */
export function wholeSolids(d: Design, welder: Welder, marks?: readonly string[]): Solids {
  const markOf = new Map(d.pieces.flatMap((p) => p.sticks.map((s) => [s, p.mark] as const)));
  const frameOf = new Map(d.structures.flatMap((s) => s.resolved.sticks.map((k) => [k.id, s.resolved] as const)));
  const [files, left, done, kinds]: [{ name: string; bytes: Uint8Array }[], string[], Set<string>, Set<string>] = [[], [], new Set(), new Set()]; // prettier-ignore
  for (const p of d.pieces) {
    if (marks && !marks.includes(p.mark)) continue;
    let count = 0;
    for (const stick of p.sticks) {
      if (done.has(stick)) continue;
      const all = gluedUpWith(frameOf.get(stick)!, stick);
      all.forEach((k) => done.add(k.id));
      const kind = all.map((k) => markOf.get(k.id)).sort().join(" "); // prettier-ignore
      if (kinds.has(kind)) continue;
      kinds.add(kind);
      const name = ++count > 1 ? `${p.mark}-${count}` : p.mark;
      const bytes = weldedStl(welder, bodiesOf(all), all[0]!.member.assembly);
      if (typeof bytes === "number") left.push(name);
      else files.push({ name: `${name}.stl`, bytes });
    }
  }
  return { files, left };
}
