import { ALIKE } from "../../geometry";
import { solveTruss, type Mechanism } from "../../statics";
import { topologyOf } from "./counters";
import { byMember, modelOf, unitLoads, type MemberForces, type NoForces, type TrussModel } from "./statics";
import type { TopologyValues } from "./topology";

/**
 * Forces under a unit panel load. A queen post with an open middle panel is a mechanism; under symmetrical load it stands,
 * and what it then carries is found with a brace that carries nothing, and said. Any other mechanism is refused with the
 * reason.
 */
export function forcesOf(v: TopologyValues): MemberForces | NoForces {
  const t = topologyOf(v);
  const m = modelOf(t);
  const solved = solveTruss(m.truss, [unitLoads(m, t.loaded)]);
  if (!("ok" in solved)) return { ok: true, forces: byMember(m, solved[0]!), redundant: solved[0]!.redundant };
  if (v.kind === "queen") {
    const braced = { ...t, webs: [...t.webs, { id: "none", a: "L1", b: "U2", role: "counter", lane: 0 } as const] };
    const k = modelOf(braced);
    const held = solveTruss(k.truss, [unitLoads(k, t.loaded)]);
    if (!("ok" in held)) {
      const forces = byMember(k, held[0]!);
      if (Math.abs(forces.get("none") ?? 0) < ALIKE) {
        forces.delete("none");
        return { ok: true, forces, redundant: solved.redundant, caveat: OPEN_PANEL };
      }
    }
  }
  if (v.kind === "plank") {
    // planks of some numbers of panels meet in closed rounds, which only the chords hold
    const k = modelOf(t, () => 1, true);
    const held = solveTruss(k.truss, [unitLoads(k, t.loaded)]);
    if (!("ok" in held)) return { ok: true, forces: byMember(k, held[0]!), redundant: 0, caveat: STIFF_CHORDS };
  }
  return { ok: false, reason: whyNot(m, solved) };
}
export const STIFF_CHORDS =
  "With this number of panels the planks alone would give: what is found counts on the stiffness of the chords, which run through. One panel more or less makes the planks hold one another.";
export const OPEN_PANEL =
  "The middle panel is open, so the queen post carries symmetrical load only: under a load on one side it gives. Cross the panel with counters, or rely on stiff chords.";

const whyNot = (m: TrussModel, s: Mechanism): string => {
  const way = Math.abs(s.direction[0]) > Math.abs(s.direction[1]) ? "along" : "up and down";
  const short = s.redundant < 0 ? ` It is short of ${-s.redundant} member${s.redundant === -1 ? "" : "s"}.` : "";
  return `The truss is a mechanism: ${m.names[s.node]} moves ${way} and nothing holds it.${short}`;
};
