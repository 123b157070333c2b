import { planeAt, NEAR } from "../../../geometry";
import type { Slope } from "../plan/layout";
import { type RoofKit, over, planeZ, plateId, sideFace, slopePlane, wallOn } from "./slopes";
import { TOP } from "../walls/wallKit";
import type { Interruption } from "./valley";

/** Collar ties and ceiling joists, on the side of the rafters that looks to the nearer end's opposite. */
export function ties(
  k: RoofKit,
  stations: readonly number[],
  slopes: readonly Slope[],
  top: readonly Slope[],
  runs: readonly number[],
  breakIn: number | undefined,
  interrupted: readonly Interruption[],
  ridgeUnder: number,
): void {
  const { b, l, part, root } = k;
  const { v, t } = l;
  if ((v.collar === "none" && v.ceiling === "none") || part.onRoof) return;
  const planes = slopes.map((s, i) => [
    b.datum(`${root}/roof-${s.side}`, slopePlane(part, s)),
    ...(breakIn === undefined ? [] : [b.datum(`${root}/roof-${s.side}-upper`, slopePlane(part, top[i]!))]),
  ]);
  stations.forEach((at, i) => {
    const last = i === stations.length - 1;
    // a gable has studs of its own, and lookouts cross the bay beside it
    if ((i === 0 && part.open !== "W") || last) return;
    const right = i < stations.length - 2;
    const beside = (thick: number): number => at + (right ? 1 : -1) * (t.rafter.w / 2 + thick / 2);
    // the gables' studs may be as deep as the last bay is wide
    const studs = (v.framing === "posts" ? t.girt : t.stud).w + 0.05;
    const widest = Math.max(t.collar.w, t.ceiling.w);
    const edge = beside(widest) + (right ? 1 : -1) * (widest / 2);
    if (Math.max(edge, edge + widest) > part.p[1] - studs || (part.open !== "W" && edge - widest < part.p[0] + studs))
      return;
    const far = beside(2 * widest);
    if (interrupted.some((x) => x.covers(at) || x.covers(far))) return;
    const tie = (path: string, role: string, letter: string, timber: typeof t.collar, z: number): string => {
      const p = beside(timber.w);
      const id = `${root}/roof/${path}/${i + 1}`;
      b.stick({
        id,
        assembly: `${root}/roof/frame`,
        role,
        letter,
        timber,
        a: [p, part.q[0], z],
        b: [p, part.q[1], z],
        up: [0, 0, 1],
        seat: ["-", "centre"],
      });
      planes.forEach((datums, j) =>
        datums.forEach((datum, n) =>
          b.join({
            kind: "trim",
            id: `${id}/end${j}${n}`,
            a: id,
            datum,
            as: j === 0 ? "end0" : "end1",
            contact: "gap",
          }),
        ),
      );
      return id;
    };
    const lap = (id: string, j: number, upper: boolean): void => {
      const side = slopes[j]!.side;
      // a tie runs along +q with its width up: its +w looks along +p
      b.join({
        kind: "lap",
        id: `${id}>${side}`,
        a: id,
        b: `${root}/roof/${side}/${i + 1}${upper ? "-upper" : ""}`,
        aFace: right ? "-w" : "+w",
        bFace: sideFace(side, right),
        contact: "face",
      });
    };
    if (v.collar !== "none" && (v.collar === "every" || i % 2 === 0)) {
      // between the plates and where the rafters' undersides meet the ridge, clear of a gambrel's break
      const eave = Math.max(...slopes.map((s) => s.plate));
      const under = (s: Slope, inward: number): number => planeZ(s, inward) - t.rafter.v * Math.hypot(1, s.k);
      const highest =
        (breakIn === undefined
          ? Math.min(ridgeUnder, ...top.map((s, j) => under(s, runs[j]! - t.ridge.w / 2)))
          : Math.min(ridgeUnder, under(slopes[0]!, breakIn) - 0.2 * t.collar.v)) - t.collar.v;
      if (highest < eave + t.ceiling.v) return;
      const share = breakIn === undefined ? v.collarAt / 100 : 1;
      const z = eave + t.ceiling.v + (highest - eave - t.ceiling.v) * share;
      const id = tie("collar", "collar tie", "CT", t.collar, z);
      slopes.forEach((_, j) => lap(id, j, false));
    }
    if (
      v.ceiling !== "none" &&
      // a monitor is open below: it lets out light and smoke
      part.name !== "monitor" &&
      (v.ceiling === "every" || i % 2 === 0) &&
      slopes.every((s) => Math.abs(s.plate - slopes[0]!.plate) < NEAR)
    ) {
      if (ridgeUnder < slopes[0]!.plate + t.ceiling.v) return;
      const id = tie("ceiling", "ceiling joist", "CJ", t.ceiling, slopes[0]!.plate);
      // no further than the outside of the walls, where the slope would let them
      (["S", "N"] as const).forEach((side, j) => {
        const datum = b.datum(`${root}/outside-${side}`, planeAt(over(part, side, 0, 0, 0), [0, j === 0 ? -1 : 1, 0]));
        b.join({ kind: "trim", id: `${id}/out${side}`, a: id, datum, as: j === 0 ? "end0" : "end1", contact: "gap" });
      });
      slopes.forEach((s) =>
        b.join({
          kind: "lap",
          id: `${id}>plate${s.side}`,
          a: id,
          b: plateId(l, wallOn(part, s.side)!, undefined),
          aFace: "-v",
          bFace: TOP,
          contact: "line",
        }),
      );
    }
  });
}
