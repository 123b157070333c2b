import type { Resolved } from "../frame";
import { lookOf } from "../lumber";
import { buildOf, FINISH_GROUPS, type BuildDoc, type CoatDoc, type Design, type FinishGroup, type FinishPartDoc, type StructureDesign } from "../job"; // prettier-ignore
import { surfaceOf } from "./area";
import { COATS } from "./coats";
import { finishGroupOf } from "./groups";

/** A group of parts of a structure as it is to be finished. */
export interface FinishPart {
  readonly structure: string;
  readonly structureName: string;
  readonly group: FinishGroup;
  readonly sticks: readonly Resolved[];
  /** All round, before it is joined, model mm². */
  readonly area: number;
  /** What it is mostly of. */
  readonly material: "wood" | "styrene";
  readonly when: FinishPartDoc["when"];
  readonly coats: readonly CoatDoc[];
  /** Whether it was decided; what was not has no coats. */
  readonly decided: boolean;
}

/** What of a structure is finished alike, in the order of the groups. */
export function groupsOf(s: StructureDesign): ReadonlyMap<FinishGroup, readonly Resolved[]> {
  const out = new Map<FinishGroup, Resolved[]>(FINISH_GROUPS.map((g) => [g, []]));
  for (const k of s.resolved.sticks) {
    const g = finishGroupOf(k);
    if (g) out.get(g)!.push(k);
  }
  return new Map([...out].filter(([, sticks]) => sticks.length > 0));
}
const materialOf = (sticks: readonly Resolved[]): "wood" | "styrene" =>
  2 * sticks.filter((k) => lookOf(k.stock) === "timber").length >= sticks.length ? "wood" : "styrene";

/** The finish of everything a job makes, decided or not. */
export function finishParts(d: Pick<Design, "structures" | "doc">): FinishPart[] {
  const { coats, finish } = buildOf(d.doc);
  const coat = new Map(coats.map((c) => [c.id, c] as const));
  return d.structures.flatMap((s) =>
    [...groupsOf(s)].map(([group, sticks]): FinishPart => {
      const row = finish.find((f) => f.structure === s.structure.id && f.group === group);
      return {
        structure: s.structure.id,
        structureName: s.structure.name,
        group,
        sticks,
        area: sticks.reduce((a, k) => a + surfaceOf(k), 0),
        material: materialOf(sticks),
        when: row?.when ?? usualTime(group, materialOf(sticks)),
        coats: (row?.coats ?? []).flatMap((id) => coat.get(id) ?? []),
        decided: row !== undefined,
      };
    }),
  );
}
/** When a group is finished where nothing was said: wood that is stained, trim, and windows loose, so that a brush reaches all of it and no edge is painted against another colour; the rest on its board. Common practice. */
const usualTime = (group: FinishGroup, material: "wood" | "styrene"): FinishPartDoc["when"] =>
  group === "trim" || group === "openings" || group === "rods" || (material === "wood" && group !== "roof" && group !== "walls") ? "loose" : "board"; // prettier-ignore
/** Coats of a group by its material, where nothing was said. Common practice. */
function usualCoats(group: FinishGroup, material: "wood" | "styrene"): readonly string[] {
  const colour = { walls: "body", trim: "trim", openings: "sash", roof: "roof", rods: "roof", framing: "body", floors: "body", ground: "body" }[group]; // prettier-ignore
  if (material === "styrene" || group === "rods") return ["primer", colour, ...(group === "walls" || group === "roof" ? ["wash"] : [])]; // prettier-ignore
  return group === "framing" || group === "floors" || group === "ground" ? ["stain"] : ["primer", colour];
}
/** The job's build with the usual finish for all groups that none was decided for; `own` are the builder's coats, which go before those one begins with. */
export function usualFinish(d: Pick<Design, "structures" | "doc">, own: readonly CoatDoc[] = COATS): BuildDoc {
  const build = buildOf(d.doc);
  const coats = [...build.coats];
  const taken = (id: string): string => {
    const c = own.find((x) => x.id === id) ?? COATS.find((x) => x.id === id)!;
    if (!coats.some((x) => x.id === c.id)) coats.push(c);
    return c.id;
  };
  const fresh = finishParts(d)
    .filter((p) => !p.decided)
    .map((p): FinishPartDoc => ({ structure: p.structure, group: p.group, when: p.when, coats: usualCoats(p.group, p.material).map(taken) })); // prettier-ignore
  return { ...build, coats, finish: [...build.finish, ...fresh] };
}

/** How much of a coat a job takes: what it covers, model mm², and millilitres with a third more for what stays in brush and cup. */
export interface CoatQuantity {
  readonly coat: CoatDoc;
  readonly area: number;
  readonly millilitres: number;
  readonly parts: readonly FinishPart[];
}
/** What stays in brush and cup. Common practice. */
const LOST = 1 / 3;
export function quantities(parts: readonly FinishPart[]): CoatQuantity[] {
  const by = new Map<string, { coat: CoatDoc; area: number; parts: FinishPart[] }>();
  for (const p of parts)
    for (const coat of p.coats) {
      const q = by.get(coat.id) ?? { coat, area: 0, parts: [] };
      by.set(coat.id, { coat, area: q.area + p.area, parts: [...q.parts, p] });
    }
  return [...by.values()].map((q) => ({ ...q, millilitres: (q.area / 100 / q.coat.covers) * (1 + LOST) }));
}
