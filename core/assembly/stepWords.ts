import type { Resolved } from "../frame";
import { dot, scale, type Vec3 } from "../geometry";
import type { Body } from "./body";
import type { Path } from "./clear";
import type { NoWay, Phase } from "./step";
import type { Unit } from "./units";

const Z: Vec3 = [0, 0, 1];
export const back = (v: Vec3): Vec3 => scale(v, -1);
export const capital = (t: string): string => t.charAt(0).toUpperCase() + t.slice(1);
/** "12 studs", "1 cap". */
export function countOf(n: number, role: string): string {
  if (n === 1) return `1 ${role}`;
  const plural = /(s|x|ch|sh)$/.test(role) ? `${role}es` : /[^aeiou]y$/.test(role) ? `${role.slice(0, -1)}ies` : `${role}s`; // prettier-ignore
  return `${n} ${/(glazing|blocking)$/.test(role) ? role : plural}`;
}
/** Where something comes from, in words: against the board's own directions, or the structure's. */
export function wayWords({ along: from, first }: Path, u?: Pick<Unit, "right" | "up" | "eye">): string {
  if (first) return `${wayWords({ along: from })}, beside its place, then pressed on`;
  const near = (a: Vec3): boolean => dot(from, a) > 0.99;
  if (u) {
    if (near(u.eye)) return "from above, onto the template";
    if (near(u.up) || near(back(u.up)) || near(u.right) || near(back(u.right))) return "slid in from the side, lying flat"; // prettier-ignore
    return "slid in along its length";
  }
  if (near(Z)) return "from above";
  if (near(back(Z))) return "from below";
  if (near([0, -1, 0])) return "from the front";
  if (near([0, 1, 0])) return "from the back";
  if (near([1, 0, 0])) return "from the right end";
  if (near([-1, 0, 0])) return "from the left end";
  return from[2] > 0.2 ? "from above, square to its slope" : from[2] < -0.2 ? "from below, square to its slope" : "straight along its own direction"; // prettier-ignore
}
export function checksOnBoard(u: Unit, first: boolean, phase: Phase): string[] {
  if (phase === "under") return ["Lift it when the glue holds, turn it, and lay it flat again."];
  if (!first) return ["Flush with what it meets; wipe off what is squeezed out."];
  const span = (n: Vec3): number => {
    const h = u.sticks.flatMap((k) => k.parts.flatMap((p) => p.faces.flatMap((f) => f.corners.map((c) => dot(c, n)))));
    return h.reduce((a, x) => Math.max(a, x), -Infinity) - h.reduce((a, x) => Math.min(a, x), Infinity);
  };
  const [w, h] = [span(u.right), span(u.up)];
  return [`On the lines of its template: ${w.toFixed(1)} mm by ${h.toFixed(1)} mm over all, corner to corner ${Math.hypot(w, h).toFixed(1)} mm where it is square.`]; // prettier-ignore
}
export function checksOfJoin(u: Unit | undefined, own: readonly Resolved[], first: boolean, up: number): string[] {
  if (first) return [up > 0 ? "On a flat, level board: everything stands on it." : "Upside down on a flat board."];
  if (u) return ["Dry first. Upright and square: a right-angle block in the corner, a rule along it."];
  return own.length > 3 ? ["Equal spaces: the spacer block or the template beside it."] : [];
}
export const stuckWords = (stuck: readonly Body[], unit: string | undefined): NoWay[] =>
  stuck.length === 0
    ? []
    : [{ unit, sticks: stuck.flatMap((b) => b.sticks.map((k) => k.id)), text: `${unit ? `${unit}: ` : ""}${countOf(stuck.flatMap((b) => b.sticks).length, "piece")} (${[...new Set(stuck.flatMap((b) => b.sticks.map((k) => k.member.role)))].slice(0, 4).join(", ")}) hold one another so that none comes in straight past the rest: tilt or spring one in, or leave a part of it loose until the others are there.` }]; // prettier-ignore
