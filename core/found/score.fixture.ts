import type { TrueMember } from "./sheets.fixture";
import { alongLine, offLine, strokeLength, type FoundMember } from "./stroke";

/** Whether an offer is a member: centre lines within `off` pixels over what they share, which is 70 % of both, width within 15 %. */
export function isMember(f: FoundMember, m: TrueMember, off = 2): boolean {
  if (Math.abs(f.width / m.width - 1) > 0.15) return false;
  const [s, t] = [alongLine(m, f.a), alongLine(m, f.b)].sort((a, b) => a - b) as [number, number];
  const l = strokeLength(m);
  const [from, to] = [Math.max(0, s), Math.min(l, t)];
  if (to - from < 0.7 * l || to - from < 0.7 * (t - s)) return false;
  const at = (q: number): number => {
    const u = [(m.b[0] - m.a[0]) / l, (m.b[1] - m.a[1]) / l] as const;
    return Math.abs(offLine(f, [m.a[0] + q * u[0], m.a[1] + q * u[1]]));
  };
  return at(from) <= off && at(to) <= off;
}
export interface Tally {
  readonly members: number;
  readonly offered: number;
  readonly found: number;
  readonly right: number;
}
export function tally(offers: readonly FoundMember[], members: readonly TrueMember[], off = 2): Tally {
  return {
    members: members.length,
    offered: offers.length,
    found: members.filter((m) => offers.some((f) => isMember(f, m, off))).length,
    right: offers.filter((f) => members.some((m) => isMember(f, m, off))).length,
  };
}
