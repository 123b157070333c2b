import type { Contact } from "../../frame";
import { planeAt } from "../../geometry";
import { trimmersOf } from "./dormer";
import { onCentres, type Slope, type Wall } from "./layout";
import {
  birdsmouthOver,
  over,
  plateId,
  planeZ,
  rafter,
  sideFace,
  slopePlane,
  tail,
  tailDatum,
  wallOn,
  type RoofKit,
} from "./slopes";
import { buttJoint, TOP } from "./wallKit";
import { breakOf, upperSlope } from "./facets";
import { tailAtValley, type Interruption } from "./valley";

/** A rafter of a gable's end as the studs under it meet it. */
interface EndRafter {
  readonly id: string;
  readonly q: readonly [number, number];
  readonly under: (q: number) => number;
}

/** The stations of rafters along p: flush with both ends, between them on centres; an open end has none. */
export function rafterStations(k: RoofKit): number[] {
  const [lo, hi] = k.part.p;
  const half = k.l.t.rafter.w / 2;
  const spacing = k.l.mm(k.l.v.rafterSpacing);
  // a dormer's are laid out from its front
  if (k.part.onRoof) {
    const out = [hi - half];
    while (out[0]! - spacing > lo) out.unshift(out[0]! - spacing);
    return out;
  }
  const trimmers = k.part === k.l.main ? trimmersOf(k.l) : [];
  const clear = 2 * half + 0.2 + Math.max(k.l.t.collar.w, k.l.t.ceiling.w);
  const first = k.part.valley ? [] : [lo + half];
  const between = [
    ...trimmers,
    ...onCentres(hi - lo, spacing, "left")
      .map((s) => lo + s)
      .filter((p) => trimmers.every((x) => Math.abs(x - p) > clear)),
  ]
    .sort((a, b) => a - b)
    .filter((p) => p > lo + (first.length === 0 ? half + k.l.t.hip.w : 3 * half + 0.2) && p < hi - 3 * half - 0.2);
  return [...first, ...between, hi - half];
}

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
  const reach = part.onRoof ? part.p[0] + part.onRoof.reach : part.valley ? (part.q[1] - part.q[0]) / 2 : 0;
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
    deep(s) <= t.ridge.v + 1e-6 && Math.abs(planeZ(s, run - t.ridge.w / 2) - ridgeZ) < 1e-6 ? "face" : "line";
  const ends: Record<"W" | "E", EndRafter[]> = { W: [], E: [] };
  const stations = rafterStations(k);
  const pairOf = (at: number, name: string, fly: boolean): void => {
    slopes.forEach((s, i) => {
      const run = runs[i]!;
      const side = s.side;
      const cut = cuts.filter((x) => x.side === side && !fly);
      if (cut.some((x) => x.covers(at))) return;
      const id = `${side}/${name}`;
      const role = fly ? "barge rafter" : "common rafter";
      const full = `${root}/roof/${id}`;
      // beside an inner corner of the eaves the valley's tail cuts it short
      const met = fly ? undefined : tailAtValley(k, interrupted, side, at);
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
      const end =
        at === stations[0] && part.open !== "W" ? "W" : at === stations[stations.length - 1] ? "E" : undefined;
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
    if (wall) gableStuds(k, wall, ends[side], ridge, peakQ);
  });
  lookouts(k, slopes, stations, [over0, over1], gambrel ? slopes.map(() => breakIn) : runs);
  ties(k, stations, slopes, top, runs, gambrel ? breakIn : undefined, cuts, ridgeZ - t.ridge.v);
}
/** Studs of a gable over the end wall's plate, flat under the end rafters. */
export function gableStuds(
  k: RoofKit,
  wall: Wall,
  rafters: readonly EndRafter[],
  ridge: string | undefined,
  peakQ: number,
): void {
  const { b, l, part } = k;
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
  for (const s of [...places].reverse()) {
    if (taken.some((x) => Math.abs(x - s) < stud.v + 0.2)) continue;
    const q = side === "E" ? part.q[0] + s : part.q[1] - s;
    const [lo, hi] = [q - stud.v / 2, q + stud.v / 2];
    if (lo < part.q[0] + l.wall || hi > part.q[1] - l.wall) continue;
    // where two slopes break, their undersides meet beside the line of the break
    const aside = part.roof === "gambrel" ? l.t.rafter.v : 0;
    const met = rafters.filter((r) => r.q[1] + aside > lo + 1e-6 && r.q[0] - aside < hi - 1e-6);
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
    b.join(buttJoint(id, 0, plate, TOP, stud.w <= l.wall + 1e-6 ? "face" : "line"));
    const atRidge = ridge !== undefined && lo < peakQ + l.t.ridge.w / 2 && hi > peakQ - l.t.ridge.w / 2;
    const sole =
      met.length === 1 &&
      !atRidge &&
      stud.w <= l.t.rafter.w + 1e-6 &&
      lo > met[0]!.q[0] - 1e-6 &&
      hi < met[0]!.q[1] + 1e-6;
    met.forEach((r, i) => b.join({ ...buttJoint(id, 1, r.id, "-v", sole ? "face" : "gap"), id: `${id}>r${i}` }));
    if (atRidge) b.join({ ...buttJoint(id, 1, ridge, "-v", "gap"), id: `${id}>ridge` });
    taken.push(s);
  }
}

/** Short sticks, flat, from the first rafter inside over the gable's to the one that overhangs. */
function lookouts(
  k: RoofKit,
  slopes: readonly Slope[],
  stations: readonly number[],
  overs: readonly [number, number],
  runs: readonly number[],
): void {
  const { b, l, part, root } = k;
  const t = l.t.lookout;
  const half = l.t.rafter.w / 2;
  for (const right of [false, true]) {
    const o = overs[right ? 1 : 0];
    if (o <= l.t.rafter.w + 0.2 || stations.length < 3) continue;
    const inner = right ? stations[stations.length - 2]! : stations[1]!;
    const [e, n] = right ? [stations.length, stations.length - 1] : [1, 2];
    slopes.forEach((s, i) => {
      const cos = 1 / Math.hypot(1, s.k);
      const length = runs[i]! / cos;
      const count = Math.max(1, Math.floor(length / l.mm(l.v.rafterSpacing)));
      const all = Array.from(
        { length: count },
        (_, j) => `${root}/roof/${s.side}/lookout-${right ? "right" : "left"}${j + 1}`,
      );
      for (let j = 1; j <= count; j++) {
        const inward = (runs[i]! * j) / (count + 1);
        const id = `${root}/roof/${s.side}/lookout-${right ? "right" : "left"}${j}`;
        const fly = right ? part.p[1] + o - half : part.p[0] - o + half;
        const at = (p: number) => over(part, s.side, p, inward, planeZ(s, inward));
        const [p0, p1] =
          s.side === "S" ? [Math.min(inner, fly), Math.max(inner, fly)] : [Math.max(inner, fly), Math.min(inner, fly)];
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
        const endId = `${root}/roof/${s.side}/${e}`;
        const innerId = `${root}/roof/${s.side}/${n}`;
        // it runs to the right as seen from outside
        const flyEnd = (s.side === "S") === right ? 1 : 0;
        b.join(buttJoint(id, flyEnd, flyId, sideFace(s.side, !right)));
        b.join(buttJoint(id, flyEnd === 1 ? 0 : 1, innerId, sideFace(s.side, right)));
        b.join({
          kind: "notch",
          id: `${endId}>${right ? "r" : "l"}${j}`,
          a: endId,
          b: id,
          // the lookouts of one rafter lie on one plane, and one cut makes it
          also: all.filter((x) => x !== id),
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

/** Collar ties and ceiling joists, on the side of the rafters that looks to the nearer end's opposite. */
function ties(
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
    if (interrupted.some((x) => x.covers(at))) return;
    const last = i === stations.length - 1;
    // a gable has studs of its own, and lookouts cross the bay beside it
    if ((i === 0 && part.open !== "W") || last) return;
    const right = i < stations.length - 2;
    const beside = (thick: number): number => at + (right ? 1 : -1) * (t.rafter.w / 2 + thick / 2);
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
      (v.ceiling === "every" || i % 2 === 0) &&
      slopes.every((s) => Math.abs(s.plate - slopes[0]!.plate) < 1e-6)
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

/** A single slope: of a shed between its two walls, of a lean-to against the wall of the main part. */
export function shedRoof(k: RoofKit): void {
  const { l, part, b, root } = k;
  const { t } = l;
  const s = part.slopes.S!;
  const lean = part.roof === "lean";
  const width = part.q[1] - part.q[0];
  const { out } = part;
  const stations = rafterStations(k);
  const deep = t.rafter.v * Math.hypot(1, s.k);
  const overs = part.gableOut;
  let ledger: string | undefined;
  if (lean) {
    // on the wall, its top in the slope at its outside
    const z = planeZ(s, width - t.ridge.w);
    ledger = b.stick({
      id: `${root}/roof/ledger`,
      assembly: `${root}/roof/frame`,
      role: "ledger",
      letter: "LG",
      timber: t.ridge,
      a: [part.p[0] - overs, part.q[1], z],
      b: [part.p[1] + overs, part.q[1], z],
      up: [0, 0, 1],
      seat: ["+", "-"],
      square: true,
    }).id;
    k.holdOnMain(ledger, z - t.ridge.v, z);
  }
  const high = wallOn(part, "N");
  if (!lean) b.datum(`${root}/eave-high`, planeAt(over(part, "N", 0, -out, 0), [0, 1, 0]));
  const ends: Record<"W" | "E", EndRafter[]> = { W: [], E: [] };
  const place = (at: number, name: string, fly: boolean): string => {
    const id = `S/${name}`;
    const full = `${root}/roof/${id}`;
    rafter(k, {
      id,
      role: fly ? "barge rafter" : "common rafter",
      slope: s,
      at,
      from: -out,
      to: lean ? width : width + out,
      run: width,
      ends: [tail(k, full, s), undefined],
      assembly: "slope-S",
    });
    if (!fly) b.join(birdsmouthOver(k, full, s, at));
    if (ledger) b.join(buttJoint(full, 1, ledger, "+w", deep <= t.ridge.v + 1e-6 ? "face" : "line"));
    else {
      b.join({ kind: "trim", id: `${full}/high`, a: full, datum: `${root}/eave-high`, as: "end1", contact: "gap" });
      const plates = [...new Set([plateId(l, high!), plateId(l, high!, 1)])];
      if (!fly)
        b.join({
          kind: "notch",
          id: `${full}>high`,
          a: full,
          b: plates[0]!,
          also: plates.slice(1),
          contact: "face",
          faces: [
            { of: plates[0]!, face: "-w" },
            { of: plates[0]!, face: "-v" },
          ],
        });
    }
    return full;
  };
  stations.forEach((at, i) => {
    const id = place(at, String(i + 1), false);
    const end = i === 0 ? "W" : i === stations.length - 1 ? "E" : undefined;
    if (end) ends[end].push({ id, q: [part.q[0], part.q[1]], under: (q) => planeZ(s, q - part.q[0]) - deep });
  });
  if (overs > t.rafter.w + 0.2 && stations.length > 2) {
    place(part.p[0] - overs + t.rafter.w / 2, "barge-left", true);
    place(part.p[1] + overs - t.rafter.w / 2, "barge-right", true);
    lookouts(k, [s], stations, [overs, overs], [width]);
  }
  (["W", "E"] as const).forEach((side) => {
    const wall = wallOn(part, side);
    if (wall) gableStuds(k, wall, ends[side], undefined, part.q[1]);
  });
}
