import type { Contact, Face } from "../../../frame";
import { planeAt, type Vec3, NEAR } from "../../../geometry";
import type { Timber } from "../../timber";
import { everyRafter } from "./formers";
import { hasSoffit } from "../plan/nominal";
import { hipRunOf } from "./hipRun";
import type { Side, Slope } from "../plan/layout";
import {
  birdsmouthOver,
  eaveDatum,
  inwardOf,
  levelCut,
  plateId,
  planeZ,
  rafter,
  sideFace,
  slopePlane,
  tail,
  wallOn,
  type RoofKit,
} from "./slopes";
import { buttJoint, TOP } from "../walls/wallKit";

const AROUND = ["S", "E", "N", "W"] as const;
/** The corners of a part: which eave wall and which end meet there. */
const CORNERS = [
  ["S", "W"],
  ["S", "E"],
  ["N", "E"],
  ["N", "W"],
] as const;

/**
 * A hip roof to a ridge, to a point or to a deck, one slope all round. Commons stand at the ridge's ends and in the
 * middle of each end; jacks are laid out from them, so that they meet in pairs at the hips.
 */
export function hipRoof(k: RoofKit): void {
  const { l, part, b, root } = k;
  const { v, t, mm } = l;
  const run = hipRunOf(l, part);
  const deck = part.roof === "hipdeck";
  const slope = (x: Side): Slope => part.slopes[x]!;
  const { out } = part;
  const [p0, p1] = [part.p[0] + run, part.p[1] - run];
  const [q0, q1] = [part.q[0] + run, part.q[1] - run];
  const point = !deck && p1 - p0 < NEAR;
  const half = t.rafter.w / 2;
  const spacing = mm(v.rafterSpacing) * everyRafter(l);
  const k0 = slope("S").k;
  const deep = t.rafter.v * Math.hypot(1, k0);
  const peakZ = planeZ(slope("S"), run);
  const top = deck
    ? deckFrame(k, [p0, p1], [q0, q1], peakZ)
    : point
      ? undefined
      : b.stick({
          id: `${root}/roof/ridge`,
          assembly: `${root}/roof/frame`,
          role: "ridge board",
          letter: "RB",
          timber: t.ridge,
          a: [p0 - half, 0, planeZ(slope("S"), run - t.ridge.w / 2)],
          b: [p1 + half, 0, planeZ(slope("S"), run - t.ridge.w / 2)],
          up: [0, 0, 1],
          seat: ["+", "centre"],
          square: true,
        }).id;
  const common = (side: Side, name: string, at: number, to = run): string => {
    const id = `${side}/${name}`;
    const full = `${root}/roof/${id}`;
    rafter(k, {
      id,
      role: "common rafter",
      slope: slope(side),
      at,
      from: -out,
      to,
      ends: [tail(k, full, slope(side)), undefined],
      assembly: `slope-${side}`,
    });
    b.join(birdsmouthOver(k, full, slope(side), at));
    return full;
  };
  const fits: Contact = deep <= t.ridge.v + NEAR ? "face" : "line";
  // commons of the long sides: at both ends of the ridge, between them on centres from its first end
  // beside a deck's corner there is room for the hip
  const beside = deck ? t.hip.w * Math.SQRT1_2 + half + 0.1 : 0;
  const onDeck = (lo: number, hi: number): number[] =>
    hi - lo < 2 * half + 0.2 ? [(lo + hi) / 2] : [lo, ...steps(lo, hi, spacing, 2 * half + 0.2), hi];
  const stations = point ? [p0] : onDeck(p0 + beside, p1 - beside);
  stations.forEach((p, i) => {
    const pair = (["S", "N"] as const).map((side) => common(side, `common${i + 1}`, p));
    if (point) {
      b.join({ kind: "mitre", id: `${pair[0]}>N`, a: pair[0]!, end: 1, b: pair[1]!, bEnd: 1, contact: "face" });
    } else if (deck) {
      b.join(buttJoint(pair[0]!, 1, `${root}/roof/deck/rim-S`, "+w", fits));
      b.join(buttJoint(pair[1]!, 1, `${root}/roof/deck/rim-N`, "+w", fits));
    } else {
      b.join(buttJoint(pair[0]!, 1, top!, "+w", fits));
      b.join(buttJoint(pair[1]!, 1, top!, "-w", fits));
    }
  });
  // commons of the ends
  const ends: Record<"W" | "E", string> = { W: "", E: "" };
  for (const side of ["W", "E"] as const) {
    if (deck) {
      const list = onDeck(q0 + beside, q1 - beside);
      list.forEach((q, i) => {
        const id = common(side, `common${i + 1}`, q);
        // an end rim stands between the others, which the outer commons meet as well
        b.join(buttJoint(id, 1, `${root}/roof/deck/rim-${side}`, "+w", i > 0 && i < list.length - 1 ? fits : "line"));
      });
      continue;
    }
    const name = b.datum(
      `${root}/ridge-end-${side}`,
      planeAt([side === "W" ? p0 - half : p1 + half, 0, 0], [side === "W" ? 1 : -1, 0, 0]),
    );
    const id = (ends[side] = common(side, "common", 0));
    b.join({ kind: "trim", id: `${id}/top`, a: id, datum: name, as: "end1", contact: "gap" });
    const flank = `${root}/roof/S/common${side === "W" ? 1 : stations.length}`;
    b.join({
      kind: "bearing",
      id: `${id}>peak`,
      a: id,
      b: flank,
      aFace: "end1",
      bFace: sideFace("S", side === "E"),
      // one no wider than the ridge lies on the ridge's end alone
      contact: t.rafter.w > t.ridge.w + NEAR ? "line" : "gap",
    });
  }
  AROUND.forEach((side) => b.datum(`${root}/roof-${side}`, slopePlane(part, slope(side))));
  // beside rafters thicker than itself a ridge's ends run on, and their corners are planed as well
  if (top !== undefined && t.rafter.w > t.ridge.w + NEAR)
    for (const end of ["W", "E"] as const)
      b.join({
        kind: "trim",
        id: `${top}/back${end}`,
        a: top,
        datum: `${root}/roof-${end}`,
        as: end === "W" ? "end0" : "end1",
        contact: "gap",
      });
  // the commons at a ridge's ends stand across the hips' lines: their corners are planed to the end slopes
  if (!deck)
    for (const side of ["S", "N"] as const)
      for (const end of ["W", "E"] as const) {
        const id = `${root}/roof/${side}/common${end === "W" ? 1 : stations.length}`;
        b.join({
          kind: "trim",
          id: `${id}/back${end}`,
          a: id,
          datum: `${root}/roof-${end}`,
          as: "length",
          contact: "gap",
        });
      }
  for (const [eave, end] of CORNERS) {
    const hip = hipRafter(k, eave, end, run, deck, {
      side: `${root}/roof/${eave}/common${end === "W" ? 1 : stations.length}`,
      end: deck ? "" : ends[end],
    });
    jacks(k, hip, eave, end, run, spacing);
    jacks(k, hip, end, eave, run, spacing, deck ? undefined : 0);
  }
}

/** Places from one line towards another, on centres, that keep clear of both. */
function steps(from: number, to: number, spacing: number, clear: number): number[] {
  const out: number[] = [];
  for (let x = from + spacing; x < to - clear; x += spacing) out.push(x);
  return out;
}
const signOf = (side: Side): 1 | -1 => (side === "S" || side === "W" ? -1 : 1);

/** A hip from the corner of the eaves to the peak, between the commons there. */
function hipRafter(
  k: RoofKit,
  eave: "S" | "N",
  end: "E" | "W",
  run: number,
  deck: boolean,
  peak: { side: string; end: string },
): string {
  const { l, part, b, root } = k;
  const { v, t } = l;
  const s = part.slopes[eave]!;
  const { out } = part;
  const corner: readonly [number, number] = [part.p[end === "W" ? 0 : 1], part.q[eave === "S" ? 0 : 1]];
  const [dx, dy] = [-signOf(end), -signOf(eave)];
  const drop = v.backing === "dropped" ? (t.hip.w * s.k) / (2 * Math.SQRT2) : 0;
  const at = (inward: number): Vec3 => [corner[0] + dx * inward, corner[1] + dy * inward, planeZ(s, inward) - drop];
  const id = `${root}/roof/hip-${eave}${end}`;
  b.stick({
    id,
    assembly: `${root}/roof/frame`,
    role: "hip rafter",
    letter: "HR",
    theoretical: run * Math.hypot(Math.SQRT2, s.k),
    timber: t.hip,
    a: at(-out),
    b: at(run),
    up: [0, 0, 1],
    seat: ["+", "centre"],
  });
  const tails = out - (v.fascia === "board" ? t.fascia.w : 0);
  for (const side of [eave, end])
    b.join({
      kind: "trim",
      id: `${id}/tail${side}`,
      a: id,
      datum: eaveDatum(k, part.slopes[side]!, tails),
      as: "end0",
      contact: "gap",
    });
  if (hasSoffit(v)) levelCut(k, id, s);
  if (v.backing === "backed")
    for (const side of [eave, end])
      b.join({
        kind: "trim",
        id: `${id}/back${side}`,
        a: id,
        datum: `${root}/roof-${side}`,
        as: "length",
        contact: "gap",
      });
  if (deck) {
    const name = b.datum(`${root}/deck-corner-${eave}${end}`, planeAt(at(run), [dx, dy, 0]));
    b.join({ kind: "trim", id: `${id}/top`, a: id, datum: name, as: "end1", contact: "gap" });
    b.join({
      kind: "bearing",
      id: `${id}>deck`,
      a: id,
      b: `${root}/roof/deck/rim-${eave}`,
      aFace: "end1",
      bFace: "+w",
      contact: "line",
    });
  } else {
    // beside a ridge much wider than the rafters it ends against the ridge's end
    const meets = t.ridge.w / 2 < t.rafter.w / 2 + t.hip.w / Math.SQRT2 - 0.01;
    b.join(buttJoint(id, 1, peak.side, sideFace(eave, end === "E"), meets ? "line" : "gap"));
    b.join(buttJoint(id, 1, peak.end, sideFace(end, eave === "N"), "line"));
  }
  const [we, wn] = [wallOn(part, eave)!, wallOn(part, end)!];
  const on = l.v.topPlates === 2 && l.v.framing !== "posts" ? plateId(l, wn) : plateId(l, we);
  b.join({
    kind: "notch",
    id: `${id}>corner`,
    a: id,
    b: on,
    contact: "line",
    faces: [
      { of: on, face: TOP },
      { of: plateId(l, we, 1), face: "+v" },
      { of: plateId(l, wn, 1), face: "+v" },
    ],
  });
  return id;
}

/** The jacks of one side of a hip: from the line of the commons towards the corner, each cut to the hip's cheek. */
function jacks(k: RoofKit, hip: string, side: Side, other: Side, run: number, spacing: number, line?: number): void {
  const { l, part, b, root } = k;
  const { t } = l;
  const s = part.slopes[side]!;
  const along = side === "S" || side === "N" ? part.p : part.q;
  const toCorner = signOf(other);
  const corner = along[toCorner < 0 ? 0 : 1];
  const start = line ?? corner - toCorner * run;
  const least = Math.max(s.seat, l.wall) + t.hip.w * Math.SQRT1_2 + t.rafter.w / 2 + 0.3;
  const { out } = part;
  // on the cheek of a backed hip the jacks' tops lie lower than its ridge line, which a dropped one as a whole makes good
  const lower = l.v.backing === "dropped" ? 0 : (t.hip.w * s.k) / (2 * Math.SQRT2);
  const [deep, hipDeep] = [t.rafter.v * Math.hypot(1, s.k) + lower, t.hip.v * Math.hypot(1, s.k / Math.SQRT2)];
  for (let i = 1; ; i++) {
    const at = start + toCorner * i * spacing;
    const m = Math.abs(corner - at);
    if (toCorner * (corner - at) < least) return;
    if (m > run - t.rafter.w - 0.1) continue;
    const id = `${side}/jack-${other}${i}`;
    const full = `${root}/roof/${id}`;
    rafter(k, {
      id,
      role: "jack rafter",
      slope: s,
      at,
      from: -out,
      to: m,
      ends: [tail(k, full, s), undefined],
      assembly: `slope-${side}`,
    });
    b.join(birdsmouthOver(k, full, s, at));
    b.join(buttJoint(full, 1, hip, cheekFace(side, other), deep <= hipDeep + NEAR ? "face" : "line"));
  }
}
/** The face of the hip between two sides that looks to the first of them. */
function cheekFace(side: Side, other: Side): Face {
  const u = [inwardOf(side)[0] + inwardOf(other)[0], inwardOf(side)[1] + inwardOf(other)[1]] as const;
  // w = u × z; a jack lies on the side its own wall looks from
  const w = [u[1], -u[0]] as const;
  const n = inwardOf(side);
  return w[0] * n[0] + w[1] * n[1] < 0 ? "+w" : "-w";
}

/** The rim and joists of a flat deck over the hips: rims stand on edge, their outsides at the slopes' ends. */
function deckFrame(k: RoofKit, p: readonly [number, number], q: readonly [number, number], z: number): undefined {
  const { l, b, root } = k;
  const { t } = l;
  const assembly = `${root}/roof/deck`;
  const put = (side: Side, a: Vec3, c: Vec3, square: boolean, timber: Timber): string =>
    // seen from outside it runs to the right: its +w looks out
    b.stick({
      id: `${assembly}/rim-${side}`,
      assembly,
      role: "deck rim",
      letter: "DR",
      timber,
      a,
      b: c,
      up: [0, 0, 1],
      seat: ["+", "+"],
      square,
    }).id;
  const rims = {
    S: put("S", [p[0], q[0], z], [p[1], q[0], z], true, t.ridge),
    N: put("N", [p[1], q[1], z], [p[0], q[1], z], true, t.ridge),
    E: put("E", [p[1], q[0], z], [p[1], q[1], z], false, t.ridge),
    W: put("W", [p[0], q[1], z], [p[0], q[0], z], false, t.ridge),
  };
  // an end rim's start is at its left as seen from outside
  b.join(buttJoint(rims.E, 0, rims.S, "-w"));
  b.join(buttJoint(rims.E, 1, rims.N, "-w"));
  b.join(buttJoint(rims.W, 0, rims.N, "-w"));
  b.join(buttJoint(rims.W, 1, rims.S, "-w"));
  const w = t.ridge.w;
  steps(p[0] + w / 2, p[1] - w / 2, l.mm(l.v.rafterSpacing), w + t.rafter.w / 2 + 0.3).forEach((x, i) => {
    const id = `${assembly}/joist/${i + 1}`;
    b.stick({
      id,
      assembly,
      role: "deck joist",
      letter: "DJ",
      timber: t.rafter,
      a: [x, q[0], z],
      b: [x, q[1], z],
      up: [0, 0, 1],
      seat: ["+", "centre"],
    });
    const fits = t.rafter.v <= t.ridge.v + NEAR ? "face" : "line";
    b.join(buttJoint(id, 0, rims.S, "-w", fits));
    b.join(buttJoint(id, 1, rims.N, "-w", fits));
  });
}
