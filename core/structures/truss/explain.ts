import { ALIKE } from "../../geometry";
import type { MemberForces } from "./statics";

/** A force this small beside the largest is none. */
const NONE = ALIKE;

/** What a member does and what it may be made of: "compression: a timber; a rod would buckle". `force` is per unit panel load, tension positive. */
export function whyOf(
  member: string,
  f: MemberForces,
): { readonly does: "tension" | "compression" | "nothing"; readonly why: string } {
  const force = f.forces.get(member) ?? 0;
  const most = Math.max(...[...f.forces.values()].map(Math.abs), 1e-12);
  if (Math.abs(force) < NONE * most)
    return {
      does: "nothing",
      why: member.startsWith("counter/")
        ? "Idle under an even load: it waits for a train on part of the span."
        : "Idle under an even load; it holds others in place.",
    };
  return force > 0
    ? { does: "tension", why: "In tension: a rod will do, or a timber whose ends are held." }
    : { does: "compression", why: "In compression: a timber; a rod would buckle." };
}
