import { NEAR } from "../../../geometry";
import type { Contact } from "../../../frame";
import type { Slope } from "../plan/layout";
import { type RoofKit, birdsmouthOver, over, planeZ, rafter, tail, tailDatum, wallOn } from "./slopes";
import { buttJoint } from "../walls/wallKit";
import { breakOf, upperSlope } from "./facets";
import { flushRafter, type Interruption, tailAtValley } from "./valley";
import { type EndRafter, gableStuds } from "../walls/gableStuds";
import { rafterStations } from "./rafterStations";
import { lookouts } from "./lookouts";
import { ties } from "./ties";

/** Gable, saltbox and gambrel roofs, and a single slope: rafters in pairs, ridge, studs of the gables, ties. */
export function gableRoof(k: RoofKit, interrupted: readonly Interruption[]): void {
  const { l, part, b, root } = k;
  const { v, t } = l;
  const [peakQ] = part.peak;
  // a wing's own roof is not broken into
  const cuts = part.valley ? [] : interrupted;
  const gambrel = part.roof === "gambrel";
  const slopes = (["S", "N"] as const).map((x) => part.slopes[x]!);
  const runs = [peakQ - part.q[0], part.q[1] - peakQ];
  const { out } = part;
  const over0 = part.open === "W" ? 0 : part.gableOut;
  const over1 = part.gableOut;
  const breakIn = breakOf(l, part);
  const upper = slopes.map((s): Slope => (gambrel ? upperSlope(s, v.upperRise / 12, breakIn) : s));
  const top = slopes.map((_, i) => (gambrel ? upper[i]! : slopes[i]!));
  // a wing's ridge runs in over the main part, to where both its valleys meet
  const reach = part.onRoof?.ridged
    ? part.p[0] + part.onRoof.ridged.reach
    : part.valley
      ? (part.q[1] - part.q[0]) / 2
      : 0;
  const ridgeZ = Math.min(...top.map((s, i) => planeZ(s, runs[i]! - t.ridge.w / 2)));
  const ridge = b.stick({
    id: `${root}/roof/ridge`,
    assembly: `${root}/roof/frame`,
    role: "ridge board",
    letter: "RB",
    timber: t.ridge,
    a: [part.p[0] - over0 - reach, peakQ, ridgeZ],
    b: [part.p[1] + over1, peakQ, ridgeZ],
    up: [0, 0, 1],
    seat: ["+", "centre"],
    square: [!part.valley, true],
  }).id;
  const deep = (s: Slope): number => t.rafter.v * Math.hypot(1, s.k);
  const onRidge = (s: Slope, run: number): Contact =>
    deep(s) <= t.ridge.v + NEAR && Math.abs(planeZ(s, run - t.ridge.w / 2) - ridgeZ) < NEAR ? "face" : "line";
  const ends: Record<"W" | "E", EndRafter[]> = { W: [], E: [] };
  const stations = rafterStations(k);
  const pairOf = (at: number, name: string, fly: boolean): void => {
    slopes.forEach((s, i) => {
      const run = runs[i]!;
      const side = s.side;
      const cut = cuts.filter((x) => x.side === side && !fly);
      const end =
        at === stations[0] && part.open !== "W" ? "W" : at === stations[stations.length - 1] ? "E" : undefined;
      if (cut.some((x) => x.covers(at))) {
        const flush = fly ? undefined : cut.find((x) => x.flush !== undefined && x.flush === end);
        if (flush)
          ends[flush.flush!].push({
            id: `${root}/roof/${side}/${flushRafter(flush)}`,
            q: side === "S" ? [part.q[0], part.q[0] + run] : [part.q[1] - run, part.q[1]],
            under: (qq) => planeZ(s, side === "S" ? qq - part.q[0] : part.q[1] - qq) - deep(s),
          });
        return;
      }
      const id = `${side}/${name}`;
      const role = fly ? "barge rafter" : "common rafter";
      const full = `${root}/roof/${id}`;
      // beside an inner corner of the eaves the valley's tail cuts it short
      const met = tailAtValley(k, interrupted, side, at);
      const low = rafter(k, {
        id,
        role,
        slope: s,
        at,
        from: met ? met.from : -out,
        to: gambrel ? breakIn : run,
        ends: [met ? undefined : tail(k, full, s), undefined],
        assembly: `slope-${side}`,
      });
      if (met) {
        b.join(buttJoint(low, 0, met.valley, met.face, "gap"));
        b.join({ kind: "trim", id: `${low}/eave`, a: low, datum: tailDatum(k, s), as: "end0", contact: "gap" });
      }
      if (!fly) b.join(birdsmouthOver(k, low, s, at));
      let high = low;
      if (gambrel) {
        high = rafter(k, {
          id: `${id}-upper`,
          role: "upper rafter",
          slope: upper[i]!,
          at,
          from: breakIn,
          to: run,
          assembly: `slope-${side}`,
        });
        b.join({ kind: "mitre", id: `${low}>upper`, a: low, end: 1, b: high, bEnd: 0, contact: "face" });
      }
      b.join(buttJoint(high, 1, ridge, side === "S" ? "+w" : "-w", onRidge(top[i]!, run)));
      if (end && !fly) {
        const q = (inward: number): number => over(part, side, at, inward, 0)[1];
        const range = (x: number, y: number): readonly [number, number] => [Math.min(q(x), q(y)), Math.max(q(x), q(y))];
        const inward = (qq: number): number => (side === "S" ? qq - part.q[0] : part.q[1] - qq);
        ends[end].push({
          id: low,
          q: range(0, gambrel ? breakIn : run),
          under: (qq) => planeZ(s, inward(qq)) - deep(s),
        });
        if (gambrel)
          ends[end].push({
            id: high,
            q: range(breakIn, run),
            under: (qq) => planeZ(upper[i]!, inward(qq)) - deep(upper[i]!),
          });
      }
    });
  };
  stations.forEach((at, i) => pairOf(at, String(i + 1), false));
  const half = t.rafter.w / 2;
  const clear = t.rafter.w + 0.2;
  if (over0 > clear) pairOf(part.p[0] - over0 + half, "barge-left", true);
  if (over1 > clear) pairOf(part.p[1] + over1 - half, "barge-right", true);
  (["W", "E"] as const).forEach((side) => {
    const wall = wallOn(part, side);
    if (wall) gableStuds(k, { wall, rafters: ends[side], ridge: { id: ridge, z: ridgeZ - t.ridge.v }, peakQ });
  });
  lookouts(k, slopes, stations, [over0, over1], gambrel ? slopes.map(() => breakIn) : runs, cuts);
  ties(k, stations, slopes, top, runs, gambrel ? breakIn : undefined, cuts, ridgeZ - t.ridge.v);
}
