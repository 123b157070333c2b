import { boundsOf } from "../geometry";
import type { BriefDoc, Design, EraDoc, EraKind, StructureDesign } from "../job";
import { cutSize } from "../papers/size";

/** Something that can be given years. */
export interface Offered {
  readonly kind: EraKind;
  readonly structure?: string;
  readonly what: string;
  readonly label: string;
}
/** The year that a brief names in its era: "Summer 1909" is 1909; undefined where it names none. */
export const yearOf = (b: Pick<BriefDoc, "era">): number | undefined => {
  const found = /\b(1[789]\d\d|2[01]\d\d)\b/.exec(b.era);
  return found ? Number(found[1]) : undefined;
};
/** Whether something is there in a year. */
export const isThere = (e: Pick<EraDoc, "from" | "to">, year: number): boolean =>
  (e.from === undefined || e.from <= year) && (e.to === undefined || e.to >= year);

/** What a row of a structure's tables is called: "opening 3, window, front". */
function rowLabel(s: StructureDesign, path: string): string {
  const [table, i] = path.split(".") as [string, string];
  const row = (s.variant.params[table] as readonly Record<string, unknown>[] | undefined)?.[Number(i)];
  const facts = ["kind", "wall", "side"].map((k) => row?.[k]).filter((x): x is string => typeof x === "string");
  const spec = s.kind.spec[table];
  const noun = spec?.type === "table" ? spec.noun : table;
  return `${noun} ${Number(i) + 1}${facts.length > 0 ? `, ${facts.join(", ")}` : ""}`;
}
const isRow = (path: string): boolean => /^\w+\.\d+$/.test(path);
/** All of a job that can be given years. */
export function offered(d: Design): Offered[] {
  const own = d.structures.flatMap((s): Offered[] => {
    const structure = s.structure.id;
    const of = d.structures.length > 1 ? `${s.structure.name}: ` : "";
    const roles = [...new Set(s.resolved.sticks.map((k) => k.member.role))].sort();
    const rows = [...new Set(s.resolved.sticks.flatMap((k) => (s.kind.about?.(k.member) ?? []).filter(isRow)))].sort((a, b) => a.localeCompare(b, "en", { numeric: true })); // prettier-ignore
    const bodies = d.doc.inside?.find((x) => x.structure === structure)?.things ?? [];
    return [
      ...rows.map((what): Offered => ({ kind: "row", structure, what, label: `${of}${rowLabel(s, what)}` })),
      ...roles.map((what): Offered => ({ kind: "role", structure, what, label: `${of}every ${what}` })),
      ...bodies.map((b): Offered => ({ kind: "body", structure, what: b.id, label: `${of}inside, ${b.name}` })),
    ];
  });
  return [
    ...own,
    ...(d.doc.papers ?? []).map((p): Offered => ({ kind: "paper", what: p.id, label: `printed paper, ${p.name}` })),
    ...(d.doc.spot?.things ?? []).map((t): Offered => ({ kind: "thing", what: t.id, label: `on the spot, ${t.name}` })),
  ];
}
/** The sticks that something is of; none for papers, things and bodies. */
export function sticksOfEra(s: StructureDesign, e: Pick<EraDoc, "kind" | "structure" | "what">): string[] {
  if (e.structure !== s.structure.id) return [];
  const is = e.kind === "role" ? (k: (typeof s.resolved.sticks)[number]) => k.member.role === e.what : e.kind === "row" ? (k: (typeof s.resolved.sticks)[number]) => (s.kind.about?.(k.member) ?? []).includes(e.what) : undefined; // prettier-ignore
  return is ? s.resolved.sticks.filter(is).map((k) => k.id) : [];
}
/** The sticks of a structure that are not there in a year. */
export const gone = (d: Design, s: StructureDesign, year: number): string[] =>
  (d.doc.years ?? []).flatMap((e) => (isThere(e, year) ? [] : sticksOfEra(s, e)));

/** How large something is, its sides from the longest on, model mm; undefined where there is no such thing in the job. */
export function sizeOf(d: Design, e: EraDoc): readonly number[] | undefined {
  const sides = (...x: number[]): number[] => x.sort((a, b) => b - a);
  const ratio = d.scale.ratio;
  if (e.kind === "paper") {
    const p = d.doc.papers?.find((x) => x.id === e.what);
    if (!p) return undefined;
    const { wide, high } = cutSize(p, ratio);
    return sides(wide, high);
  }
  if (e.kind === "thing") {
    const t = d.doc.spot?.things.find((x) => x.id === e.what);
    return t && sides(t.length, t.depth, t.high - t.low);
  }
  if (e.kind === "body") {
    const b = d.doc.inside?.find((x) => x.structure === e.structure)?.things.find((x) => x.id === e.what);
    return b && sides(b.length / ratio, b.depth / ratio, (b.high - b.low) / ratio);
  }
  const s = d.structures.find((x) => x.structure.id === e.structure);
  const own = new Set(s ? sticksOfEra(s, e) : []);
  const parts = s?.resolved.sticks.filter((k) => own.has(k.id)).flatMap((k) => k.parts) ?? [];
  if (parts.length === 0) return undefined;
  const { min, max } = boundsOf(parts);
  return sides(max[0] - min[0], max[1] - min[1], max[2] - min[2]);
}
/** From where a structure is looked at in a year. */
export const YEAR_VIEWS = {
  front: { right: [1, 0, 0], up: [0, 0, 1], eye: [0, -1, 0] },
  right: { right: [0, 1, 0], up: [0, 0, 1], eye: [1, 0, 0] },
  back: { right: [-1, 0, 0], up: [0, 0, 1], eye: [0, 1, 0] },
  left: { right: [0, -1, 0], up: [0, 0, 1], eye: [-1, 0, 0] },
  above: { right: [1, 0, 0], up: [0, 1, 0], eye: [0, 0, 1] },
} as const;
export type YearView = keyof typeof YEAR_VIEWS;
/** The years that a job's spans and its own year reach over, a few more at either end. */
export function yearsSpan(d: Pick<Design, "doc">): readonly [number, number] {
  const own = yearOf(d.doc.brief);
  const all = [...(d.doc.years ?? []).flatMap((e) => [e.from, e.to]), own].filter((y): y is number => y !== undefined);
  return all.length > 0 ? [Math.min(...all) - 5, Math.max(...all) + 5] : [1880, 1960];
}
/** "from 1899 to 1915", "until 1915", "from 1899 on". */
export const spanWords = ({ from, to }: Pick<EraDoc, "from" | "to">): string => (from === undefined ? (to === undefined ? "always" : `until ${to}`) : to === undefined ? `from ${from} on` : `from ${from} to ${to}`); // prettier-ignore
