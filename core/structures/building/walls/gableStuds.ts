import { NEAR } from "../../../geometry";
import { type Wall } from "../plan/layout";
import { gableSheet } from "./gableSheet";
import { hasTrusses } from "../plan/nominal";
import { onCentres } from "../plan/sides";
import { type RoofKit, plateId } from "../roof/slopes";
import { purlinsInGable } from "../roof/trussPlan";
import { TOP, buttJoint } from "./wallKit";

/** A rafter of a gable's end as the studs under it meet it. */
export interface EndRafter {
  readonly id: string;
  readonly q: readonly [number, number];
  readonly under: (q: number) => number;
}

/** A ridge board as what stands under it meets it. */
export interface RidgeEnd {
  readonly id: string;
  /** Its underside. */
  readonly z: number;
}

/** A gable: the wall it stands on, the end rafters over it, the ridge and where it is. */
export interface Gable {
  readonly wall: Wall;
  readonly rafters: readonly EndRafter[];
  readonly ridge: RidgeEnd | undefined;
  readonly peakQ: number;
}

/** Studs of a gable over the end wall's plate, flat under the end rafters. */
export function gableStuds(k: RoofKit, gable: Gable): void {
  const { wall, rafters, ridge, peakQ } = gable;
  const { b, l, part } = k;
  if (!wall.seen && !hasTrusses(l.v) && rafters.length > 0) return gableSheet(k, gable);
  const stud = l.v.framing === "posts" ? l.t.girt : l.t.stud;
  const side = wall.side as "E" | "W";
  const plate = plateId(l, wall);
  const z0 = wall.top;
  const spacing = l.v.framing === "posts" ? l.v.bay / 2 : l.v.studSpacing;
  const places = new Set([
    ...onCentres(wall.length, l.mm(spacing), l.v.studFrom),
    ...(ridge ? [side === "E" ? peakQ - part.q[0] : part.q[1] - peakQ] : []),
  ]);
  const taken: number[] = [];
  const purlins = stud.w + l.t.stud.w > l.wall - NEAR ? purlinsInGable(k) : [];
  for (const s of [...places].reverse()) {
    if (taken.some((x) => Math.abs(x - s) < stud.v + 0.2)) continue;
    const q = side === "E" ? part.q[0] + s : part.q[1] - s;
    const [lo, hi] = [q - stud.v / 2, q + stud.v / 2];
    if (purlins.some(([from, to]) => lo < to && hi > from)) continue;
    if (lo < part.q[0] + l.wall || hi > part.q[1] - l.wall) continue;
    // where two slopes break, their undersides meet beside the line of the break
    const aside = part.roof === "gambrel" ? l.t.rafter.v : 0;
    const met = rafters.filter((r) => r.q[1] + aside > lo + NEAR && r.q[0] - aside < hi - NEAR);
    if (met.length === 0) continue;
    const least = Math.min(...met.flatMap((r) => [r.under(lo), r.under(hi)]));
    if (least - z0 < stud.v) continue;
    const id = `${k.l.ctx.structure}/${wall.name}/gable/${Math.round(s / l.mm(25.4))}`;
    const depth = stud.w / 2;
    const p = side === "E" ? part.p[1] - depth : part.p[0] + depth;
    b.stick({
      id,
      assembly: `${k.l.ctx.structure}/${wall.name}`,
      role: "gable stud",
      letter: "GS",
      timber: stud,
      a: [p, q, z0],
      b: [p, q, Math.max(...met.map((r) => r.under(q)))],
      up: [0, 1, 0],
    });
    b.join(buttJoint(id, 0, plate, TOP, stud.w <= l.wall + NEAR ? "face" : "line"));
    const atRidge = ridge !== undefined && lo < peakQ + l.t.ridge.w / 2 && hi > peakQ - l.t.ridge.w / 2;
    const sole =
      met.length === 1 &&
      !atRidge &&
      stud.w <= l.t.rafter.w + NEAR &&
      lo > met[0]!.q[0] - NEAR &&
      hi < met[0]!.q[1] + NEAR;
    met.forEach((r, i) => b.join({ ...buttJoint(id, 1, r.id, "-v", sole ? "face" : "gap"), id: `${id}>r${i}` }));
    if (atRidge) b.join({ ...buttJoint(id, 1, ridge.id, "-v", "gap"), id: `${id}>ridge` });
    taken.push(s);
  }
}
