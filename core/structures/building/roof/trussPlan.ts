import { rafterStations } from "./rafterStations";
import { hasTrusses } from "../plan/nominal";
import { planeZ, type RoofKit } from "./slopes";

/** Where trusses stand along p: as near to equal bays as the middles between two rafters come. Model mm. */
export function trussStations(k: RoofKit): number[] {
  const { l, part } = k;
  const [lo, hi] = part.p;
  const stations = rafterStations(k);
  const middles = stations.slice(1).flatMap((p, i) => {
    const before = stations[i]!;
    const room = p - before - l.t.rafter.w - 0.2;
    return room > Math.max(l.t.tie.w, l.t.principal.w, l.t.kingPost.w) ? [(p + before) / 2] : [];
  });
  const n = Math.max(2, Math.round((hi - lo) / l.mm(l.v.trussSpacing)));
  const wanted = Array.from({ length: n - 1 }, (_, i) => lo + ((hi - lo) * (i + 1)) / n);
  const near = wanted.flatMap((w) => {
    const best = [...middles].sort((a, b) => Math.abs(a - w) - Math.abs(b - w))[0];
    return best === undefined ? [] : [best];
  });
  return [...new Set(near)].sort((a, b) => a - b);
}

/** The lines that a roof on trusses is laid out from: how far in from the wall the purlins lie, evenly between the heel of the principals and the post they end at. */
export function purlinLines(k: RoofKit) {
  const { l, part } = k;
  const { v, t } = l;
  const slope = part.slopes.S!;
  const { k: pitch, plate } = slope;
  const stretch = Math.hypot(1, pitch);
  /** The underside of the rafters, where principals and purlins have their tops. */
  const under = (inward: number): number => planeZ(slope, inward) - t.rafter.v * stretch;
  const tieTop = plate + t.tie.v;
  const heel = (tieTop - under(0)) / pitch;
  const run = (part.q[1] - part.q[0]) / 2;
  // how far in from the wall the principals end: at the king post's side, or at the queen post's
  const face = v.roofFrame === "queens" ? (2 * run * v.queenAt) / 100 - t.kingPost.v / 2 : run - t.kingPost.v / 2;
  const at = Array.from({ length: v.purlins }, (_, i) => heel + ((face - heel) * (i + 1)) / (v.purlins + 1));
  return { pitch, stretch, under, plate, tieTop, heel, face, at };
}
/** Where purlins and their posts stand in a gable wall, from and to along q: no gable stud has room there. Empty without trusses. */
export function purlinsInGable(k: RoofKit): readonly (readonly [number, number])[] {
  const { l, part } = k;
  const { t } = l;
  if (!hasTrusses(l.v) || part !== l.main) return [];
  const { pitch, stretch, at } = purlinLines(k);
  return at.flatMap((inward) => {
    const foot = inward + (t.purlin.v * pitch) / stretch;
    const from = Math.min(inward - t.purlin.w / 2, foot - t.stud.v / 2);
    const to = Math.max(foot + t.purlin.w / 2, foot + t.stud.v / 2);
    return [[part.q[0] + from, part.q[0] + to] as const, [part.q[1] - to, part.q[1] - from] as const];
  });
}
