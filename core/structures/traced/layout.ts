import type { Vec2 } from "../../geometry";
import type { Timber } from "../timber";
import type { Trace } from "./parameters";

/** A member on the elevation, model mm: its centre line, half its width there, and where it comes from. */
export interface Bar {
  readonly id: string;
  readonly trace: Trace;
  readonly timber: Timber;
  readonly a: Vec2;
  readonly b: Vec2;
  /** Ends that were drawn; the others come from being cut where another runs through. */
  readonly drawn: readonly [boolean, boolean];
}
export const lengthOf = (p: { readonly a: Vec2; readonly b: Vec2 }): number =>
  Math.hypot(p.b[0] - p.a[0], p.b[1] - p.a[1]);
/** Unit vector along, and the one to its left. */
export function axesOfBar(p: { readonly a: Vec2; readonly b: Vec2 }): { readonly u: Vec2; readonly left: Vec2 } {
  const l = lengthOf(p);
  const u: Vec2 = [(p.b[0] - p.a[0]) / l, (p.b[1] - p.a[1]) / l];
  return { u, left: [-u[1], u[0]] };
}
/** The bar's rectangle, counter-clockwise, lengthened at its ends. */
export function rectangleOf(p: Bar, more: readonly [number, number] = [0, 0]): Vec2[] {
  const { u, left } = axesOfBar(p);
  const h = p.timber.v / 2;
  const at = (q: Vec2, s: number, t: number): Vec2 => [q[0] + s * u[0] + t * left[0], q[1] + s * u[1] + t * left[1]];
  return [at(p.a, -more[0], -h), at(p.b, more[1], -h), at(p.b, more[1], h), at(p.a, -more[0], h)];
}

/** How near to the centre line counts as on it, prototype mm. */
const ON_LINE = 8;
const mirrorOf = (p: Vec2, y: number): [number, number] => [2 * y - p[0], p[1]];
const same = (p: Vec2, q: Vec2): boolean => Math.hypot(p[0] - q[0], p[1] - q[1]) <= ON_LINE;

/** What stands for a traced member once all is mirrored: itself, itself made whole across the centre line, or itself and a twin. */
export interface Mirrored {
  readonly trace: Trace;
  readonly twin: boolean;
}
/** Draws the other half. A level member that ends at the centre line becomes whole; one that is its own mirror image stays. Prototype mm. */
export function mirrorTraces(members: readonly Trace[], mirror: number | null | undefined): Mirrored[] {
  if (mirror === null || mirror === undefined) return members.map((trace) => ({ trace, twin: false }));
  const swapped = { left: "right", right: "left", centre: "centre" } as const;
  return members.flatMap((m): Mirrored[] => {
    const [f, t] = [mirrorOf(m.from, mirror), mirrorOf(m.to, mirror)];
    const plumb = Math.abs(m.to[0] - m.from[0]) <= ON_LINE;
    if (same(f, m.to) && same(t, m.from)) return [{ trace: m, twin: false }];
    if (same(f, m.from) && same(t, m.to)) return [{ trace: m, twin: false }];
    const level = Math.abs(m.to[1] - m.from[1]) <= ON_LINE;
    if (level && !plumb && Math.abs(m.to[0] - mirror) <= ON_LINE)
      return [{ trace: { ...m, to: mirrorOf(m.from, mirror), ends: [m.ends[0], m.ends[0]] }, twin: false }];
    if (level && !plumb && Math.abs(m.from[0] - mirror) <= ON_LINE)
      return [{ trace: { ...m, from: mirrorOf(m.to, mirror), ends: [m.ends[1], m.ends[1]] }, twin: false }];
    return [
      { trace: m, twin: false },
      { trace: { ...m, from: f, to: t, seat: swapped[m.seat] }, twin: true },
    ];
  });
}
