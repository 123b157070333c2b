import { addScaled, cross, dot, normalize, scale, sub, ALIKE, NEAR } from "../../geometry";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { timberOf } from "../timber";
import { placeAt } from "./alignment";
import { bayLine, type TrestleLayout } from "./layout";
import type { TrestleValues } from "./parameters";

/** Planks on edge behind both end bents, from the top of the stringers down to the foot of the cap. */
export function bulkheads(b: Builder, v: TrestleValues, ctx: Context, l: TrestleLayout): void {
  const plank = timberOf(v.bulkhead, ctx.stock(v.bulkhead));
  const last = l.bents.length - 1;
  for (const i of [0, last]) {
    const at = l.bents[i]!;
    const root = `${ctx.structure}/bent${at.number}`;
    const cap = b.members.find((m) => m.id === `${root}/cap`);
    if (!cap || cap.body.shape !== "straight") continue;
    const side = i === 0 ? -1 : 1;
    const along = scale(at.place.along, side);
    const left = normalize(sub(cap.body.b, cap.body.a));
    const up = cross(at.place.along, left);
    const half = Math.hypot(...sub(cap.body.b, cap.body.a)) / 2;
    // the lowest corner of the stringers' top over the cap's
    const tops = [-half, half].map((y) => {
      const line = i === 0 ? bayLine(l, at, l.bents[1]!, y) : bayLine(l, l.bents[last - 1]!, at, y);
      return dot(sub(addScaled(i === 0 ? line.a : line.b, line.d, side * l.timbers.cap.w), at.cap), up);
    });
    // ties of a canted deck lie on chords, which sag inwards away from the bent
    const bay = i === 0 ? l.bents[1]!.station : at.station - l.bents[last - 1]!.station;
    const sag =
      at.place.heading === placeAt(l.alignment, at.station).heading
        ? 0
        : (bay * bay * Math.abs(l.alignment.curvature)) / 8;
    // room for ties that cross a skew end on a grade
    const top =
      Math.min(...tops) -
      2 * half * Math.abs(l.alignment.grade * Math.tan(at.place.heading - placeAt(l.alignment, at.station).heading)) -
      0.03 * l.timbers.cap.w * Math.sign(Math.abs(l.alignment.grade) + Math.abs(l.cant)) -
      2.5 * sag * Math.abs(Math.sin(l.cant));
    const n = Math.floor((top + l.timbers.cap.v) / plank.v + ALIKE);
    for (let k = 0; k < n; k++) {
      const z = top - k * plank.v;
      const mid = addScaled(addScaled(at.cap, along, l.timbers.cap.w / 2), up, z);
      const id = `${root}/bulkhead${k + 1}`;
      b.stick({
        id,
        assembly: root,
        role: "bulkhead plank",
        letter: "E",
        timber: plank,
        a: addScaled(mid, left, -half),
        b: addScaled(mid, left, half),
        up,
        seat: ["+", side < 0 ? "+" : "-"],
        square: true,
      });
      // a cap less deep than the planks are wide is not reached: they lie on the stringers' ends
      if (k === 0)
        for (const m of b.members.filter((x) => x.role === "stringer"))
          b.join({
            kind: "bearing",
            id: `${m.id}>${id}`,
            a: m.id,
            b: id,
            aFace: side < 0 ? "end0" : "end1",
            bFace: side < 0 ? "-w" : "+w",
            contact: "gap",
          });
      if (k > 0)
        b.join({
          kind: "bearing",
          id: `${id}>above`,
          a: `${root}/bulkhead${k}`,
          b: id,
          aFace: "-v",
          bFace: "+v",
          contact: "face",
        });
      if (z - plank.v < -NEAR)
        b.join({
          kind: "lap",
          id: `${id}>cap`,
          a: id,
          b: `${root}/cap`,
          aFace: side < 0 ? "+w" : "-w",
          bFace: side < 0 ? "-w" : "+w",
          contact: "face",
        });
    }
  }
}
