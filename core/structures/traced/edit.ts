import type { Vec2 } from "../../geometry";
import { COMMON_SIZES, parseNominal, sectionOf, type Milling } from "../../lumber";
import { usualOrder } from "./frame";
import { letterOf, type Trace, type TracedParams } from "./parameters";

/** What is drawn of a new member; the rest is as usual. Prototype mm. */
export type Drawn = Pick<Trace, "role" | "section" | "from" | "to" | "seat" | "flat" | "layer">;

/** An id nothing has yet, by the letter of the role: "r3". */
export function freeId(p: Pick<TracedParams, "members" | "crosses">, role: string): string {
  const taken = new Set([...p.members, ...p.crosses].map((m) => m.id));
  const letter = letterOf(role).toLowerCase();
  for (let n = 1; ; n++) if (!taken.has(`${letter}${n}`)) return `${letter}${n}`;
}
/** Puts a member in; answers its id. */
export function addTrace(p: TracedParams, d: Drawn): string {
  const id = freeId(p, d.role);
  const square = () => ({ kind: "square" as const, beyond: 0 });
  p.members.push({ ...d, id, order: usualOrder(d), ends: [square(), square()] });
  return id;
}
/** Takes a member out, with its joints and what lies across on it. */
export function removeTrace(p: TracedParams, id: string): void {
  p.members = p.members.filter((m) => m.id !== id);
  p.joints = p.joints.filter((j) => j.a !== id && j.b !== id);
  p.crosses = p.crosses.filter((c) => c.id !== id && c.on !== id);
}
/** Copies a member `times` over, each moved on by `by`, prototype mm: a copy, or a row at a spacing along any line. Answers the ids. */
export function copyTrace(p: TracedParams, id: string, by: Vec2, times: number): string[] {
  const m = p.members.find((x) => x.id === id);
  if (!m) return [];
  return Array.from({ length: times }, (_, i) => {
    const move = (q: Vec2): [number, number] => [q[0] + (i + 1) * by[0], q[1] + (i + 1) * by[1]];
    const copy = {
      ...m,
      id: freeId(p, m.role),
      from: move(m.from),
      to: move(m.to),
      ends: [{ ...m.ends[0] }, { ...m.ends[1] }] as Trace["ends"],
    };
    p.members.push(copy);
    return copy.id;
  });
}
/** Chooses a joint between two drawn members, or with undefined leaves it to the proposal. */
export function chooseJoint(
  p: TracedParams,
  a: string,
  b: string,
  choice?: { kind: TracedParams["joints"][number]["kind"]; depth?: number },
): void {
  p.joints = p.joints.filter((j) => !((j.a === a && j.b === b) || (j.a === b && j.b === a)));
  if (choice) p.joints.push({ a, b, ...choice });
}

/** Widths that differ by less are one width as measured: dressed planks and timbers do, by a quarter inch. Prototype mm. */
const ALIKE = 8;
/** Roles whose timbers are thin: planks on edge. */
const PLANKS = /brace|girt|purlin|board|rafter|stringer|stud/;
/** The nominal size nearest to a width measured across, prototype mm: square timber for what carries, planks for braces and boards. */
export function proposeSection(width: number, role: string, milling: Milling): string {
  const sizes = COMMON_SIZES.map((name) => ({ name, ...sectionOf(parseNominal(name)!, milling) }));
  const off = (s: { width: number }): number => Math.abs(s.width - width);
  const least = Math.min(...sizes.map(off));
  const near = sizes.filter((s) => off(s) < least + ALIKE).sort((a, b) => a.thickness - b.thickness);
  return (PLANKS.test(role) ? near[0]! : near[near.length - 1]!).name;
}
