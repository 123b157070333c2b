import { expect } from "vitest";
import type { Frame, PanelBody, ResolvedFrame } from "../frame";
import { boundsOf, volumeOf } from "../geometry";

type Span = readonly [number, number];
/** From where to where parts of the structure “t” reach along x, y and z, model mm. */
export function reachOf(r: ResolvedFrame, ...ids: readonly string[]): readonly [Span, Span, Span] {
  const { min, max } = boundsOf(ids.flatMap((id) => r.byMember.get(`t/${id}`)!.flatMap((s) => s.parts)));
  return [0, 1, 2].map((k): Span => [min[k]!, max[k]!]) as unknown as readonly [Span, Span, Span];
}
/** Stretches to within a thousandth of a thousandth. */
export const near = (...pairs: readonly Span[]) => pairs.map((p) => p.map((x) => expect.closeTo(x, 6)));
/** How many members have each role. */
export const roleCounts = (f: Frame): Record<string, number> => {
  const out: Record<string, number> = {};
  for (const m of f.members) out[m.role] = (out[m.role] ?? 0) + 1;
  return out;
};
/** The panel of the structure “t” with that id. */
export const panelIn = (f: Frame, id: string): PanelBody =>
  f.members.find((m) => m.id === `t/${id}`)!.body as PanelBody;
/** Volume of a part of the structure “t”, mm³. */
export const volumeIn = (r: ResolvedFrame, id: string): number => r.byMember.get(`t/${id}`)![0]!.parts.reduce((s, p) => s + volumeOf(p), 0); // prettier-ignore
