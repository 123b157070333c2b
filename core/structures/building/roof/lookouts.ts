import { NEAR } from "../../../geometry";
import type { Slope } from "../plan/layout";
import { type RoofKit, over, planeZ, sideFace } from "./slopes";
import { flushRafter, valleyJack, type Interruption } from "./valley";
import { buttJoint } from "../walls/wallKit";

/** How much of a rafter's depth the notches for lookouts may take: more would cut it in two. Common practice, no source. */
const DEEPEST_NOTCH = 0.6;

/** Short sticks, flat, from the first rafter inside over the gable's to the one that overhangs; of stock too thick to be let into the rafters, stubs on the gable's own. */
export function lookouts(
  k: RoofKit,
  slopes: readonly Slope[],
  stations: readonly number[],
  overs: readonly [number, number],
  runs: readonly number[],
  interrupted: readonly Interruption[] = [],
): void {
  const { b, l, part, root } = k;
  const t = l.t.lookout;
  const half = l.t.rafter.w / 2;
  for (const right of [false, true]) {
    const o = overs[right ? 1 : 0];
    if (o <= l.t.rafter.w + 0.2 || stations.length < 3) continue;
    const own = right ? stations[stations.length - 1]! : stations[0]!;
    const letIn = t.w <= DEEPEST_NOTCH * l.t.rafter.v;
    const from = !letIn ? own : right ? stations[stations.length - 2]! : stations[1]!;
    const [e, n] = right ? [stations.length, stations.length - 1] : [1, 2];
    slopes.forEach((s, i) => {
      const cos = 1 / Math.hypot(1, s.k);
      const length = runs[i]! / cos;
      // beside a wing flush with the gable they begin over its valley, and lie on what that leaves of the rafters
      const flush = interrupted.find((x) => x.side === s.side && x.flush === (right ? "E" : "W"));
      const inner = letIn && flush ? valleyJack(l, flush, stations[right ? stations.length - 2 : 1]!) : undefined;
      const low = flush ? Math.abs(from - (right ? part.p[1] : part.p[0])) + 2 * t.v + l.t.hip.w : 0;
      // as far apart as the rafters, and never edge to edge
      const count = Math.max(1, Math.floor(length / Math.max(l.mm(l.v.rafterSpacing), 1.5 * t.v)));
      const places = Array.from({ length: count }, (_, j) => ({
        id: `${root}/roof/${s.side}/lookout-${right ? "right" : "left"}${j + 1}`,
        n: j + 1,
        inward: (runs[i]! * (j + 1)) / (count + 1),
      })).filter((x) => x.inward >= low);
      for (const { id, n: j, inward } of places) {
        const fly = right ? part.p[1] + o - half : part.p[0] - o + half;
        const at = (p: number) => over(part, s.side, p, inward, planeZ(s, inward));
        const [p0, p1] =
          s.side === "S" ? [Math.min(from, fly), Math.max(from, fly)] : [Math.max(from, fly), Math.min(from, fly)];
        b.stick({
          id,
          assembly: `${root}/roof/slope-${s.side}`,
          role: "lookout",
          letter: "LO",
          timber: t,
          a: at(p0),
          b: at(p1),
          up: over({ p: [0, 0], q: [0, 0] }, s.side, 0, 1, s.k),
          seat: ["centre", "+"],
        });
        const flyId = `${root}/roof/${s.side}/barge-${right ? "right" : "left"}`;
        const endId = `${root}/roof/${s.side}/${flush ? flushRafter(flush) : e}`;
        const innerId = letIn ? `${root}/roof/${s.side}/${inner ?? n}` : endId;
        // it runs to the right as seen from outside
        const flyEnd = (s.side === "S") === right ? 1 : 0;
        const whole = t.w <= l.t.rafter.v + NEAR ? "face" : "line";
        b.join(buttJoint(id, flyEnd, flyId, sideFace(s.side, !right), whole));
        b.join(buttJoint(id, flyEnd === 1 ? 0 : 1, innerId, sideFace(s.side, right), whole));
        if (!letIn) continue;
        b.join({
          kind: "notch",
          id: `${endId}>${right ? "r" : "l"}${j}`,
          a: endId,
          b: id,
          // the lookouts of one rafter lie on one plane, and one cut makes it
          also: places.flatMap((x) => (x.id === id ? [] : [x.id])),
          contact: "face",
          faces: [
            { of: id, face: "-w" },
            { of: id, face: "+v" },
            { of: id, face: "-v" },
          ],
        });
      }
    });
  }
}
