import { length, sub, cross } from "../../geometry";
import { bayLine, type BentPlace, type TrestleLayout } from "./layout";

/** Bents at which one length of a run of `bays` bays each ends and the next begins: neighbours of different `shift` are staggered. A straight stick also ends where its line turns. */
export function jointsAlong(l: TrestleLayout, y: number, bays: number, shift: number, straight: boolean): number[] {
  const last = l.bents.length - 1;
  const out = [0];
  for (let i = 1; i < last; i++) if ((i + shift) % bays === 0 || (straight && turns(l, i, y))) out.push(i);
  return [...out, last];
}

/** Whether the straight line of a pack bends at a bent. */
function turns(l: TrestleLayout, i: number, y: number): boolean {
  const [before, at, after] = [l.bents[i - 1]!, l.bents[i]!, l.bents[i + 1]!] as [BentPlace, BentPlace, BentPlace];
  const [p, q] = [bayLine(l, before, at, y), bayLine(l, at, after, y)];
  return length(cross(p.d, q.d)) > 1e-7 || length(sub(p.left, q.left)) > 1e-7;
}
