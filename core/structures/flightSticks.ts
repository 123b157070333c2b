import type { Flight } from "../carpentry";
import type { Member } from "../frame";
import { ALIKE, planeAt, type Vec3 } from "../geometry";
import type { Builder } from "./builder";
import type { Local } from "./place";
import type { Timber } from "./timber";
import { buttJoint, touching } from "./touching";

/** A railing's posts stand no further apart along the flight, prototype mm: 6 ft, common practice. */
const RAIL_BAY = 6 * 304.8;

/** What a flight is made of, and how prototype mm become those of the model. */
export interface FlightStock {
  readonly mm: (prototypeMm: number) => number;
  readonly t: Readonly<Record<"tread" | "stringer" | "rail", Timber>>;
}
/** A flight in axes whose q runs up: it lands at q0, its foot stands on `ground`. Model mm. */
export interface FlightSet {
  readonly root: string;
  readonly half: number;
  readonly q0: number;
  readonly ground: number;
  readonly f: Flight;
  readonly rail: boolean;
}
/** Notched stringers, treads on them, railings if asked for. */
export function layFlight(b: Builder, l: FlightStock, local: Local, x: FlightSet): void {
  const { t, mm } = l;
  const { root, half, q0, ground, f } = x;
  const [rise, run] = [mm(f.riser), mm(f.tread)];
  const stringers = [-half + t.stringer.w / 2, ...(2 * half > mm(1500) ? [0] : []), half - t.stringer.w / 2];
  const treads = Array.from({ length: f.treads }, (_, k) => {
    // tread k + 1 from below, its back at the riser above it
    const z = ground + (k + 1) * rise;
    const back = q0 - (f.treads - 1 - k) * run;
    return local.stick({
      id: `${root}/tread/${k + 1}`,
      assembly: root,
      role: "tread",
      letter: "TR",
      timber: t.tread,
      a: [-half, back - t.tread.v, z],
      b: [half, back - t.tread.v, z],
      up: [0, 1, 0],
      seat: ["-", "+"],
      square: true,
      loose: true,
    }).id;
  });
  const landing = local.datum(`${root}/landing`, planeAt([0, q0, 0], [0, 1, 0]));
  const foot = local.datum(`${root}/ground`, planeAt([0, 0, ground], [0, 0, -1]));
  stringers.forEach((p, j) => {
    const id = `${root}/stringer/${j + 1}`;
    // its upper edge runs through the inner corners of the notches' upper ends, so that each notch is whole
    const lift = (k: number): Vec3 => [p, q0 - f.treads * run + k * run, ground + k * rise];
    local.stick({
      id,
      assembly: root,
      role: "stair stringer",
      letter: "ST",
      timber: t.stringer,
      a: lift(0),
      b: lift(f.treads),
      up: [0, 0, 1],
      seat: ["+", "centre"],
      loose: true,
    });
    b.join({ kind: "trim", id: `${id}/landing`, a: id, datum: landing, as: "end1", contact: "gap" });
    b.join({ kind: "trim", id: `${id}/ground`, a: id, datum: foot, as: "end0", contact: "gap" });
    treads.forEach((tr, k) => {
      const riser = local.datum(`${root}/riser-${k + 1}`, planeAt([0, q0 - (f.treads - 1 - k) * run, 0], [0, 1, 0]));
      b.join({
        kind: "notch",
        id: `${id}>${k + 1}`,
        a: id,
        b: tr,
        contact: "line",
        faces: [{ of: tr, face: "-w" }, { datum: riser }],
      });
    });
  });
  if (!x.rail) return;
  const size = t.rail;
  for (const side of [-1, 1] as const) {
    const p = side * (half + size.w / 2);
    const high = mm(34 * 25.4);
    const post = (k: number): Member => {
      const tread = treads[k]!;
      const z = ground + (k + 1) * rise;
      const q = q0 - (f.treads - 1 - k) * run - t.tread.v / 2;
      const m = local.stick({
        id: `${root}/rail-post/${side}-${k + 1}`,
        assembly: root,
        role: "rail post",
        letter: "RP",
        timber: size,
        a: [p, q, z - t.tread.w],
        b: [p, q, z + high],
        up: [0, 1, 0],
        ends: [{ kind: "square", beyond: 0 }, undefined],
        loose: true,
      });
      b.join(touching(m.id, tread, side > 0 ? "+w" : "-w", "+w"));
      return m;
    };
    // at both ends, and between them none further apart than a rail is stiff
    const last = f.treads - 1;
    const bays = Math.max(1, Math.ceil((last * Math.hypot(rise, run)) / mm(RAIL_BAY) - ALIKE));
    const places = last === 0 ? [0] : Array.from({ length: bays + 1 }, (_, i) => Math.round((i * last) / bays));
    const posts = places.map(post);
    if (posts.length < 2) {
      b.joints.push({
        kind: "trim",
        id: `${posts[0]!.id}/top`,
        a: posts[0]!.id,
        datum: local.datum(`${root}/rail-top`, planeAt([0, 0, ground + rise + high], [0, 0, 1])),
        as: "end1",
        contact: "gap",
      });
      continue;
    }
    const at = (k: number): Vec3 => [p, q0 - (f.treads - 1 - k) * run - t.tread.v / 2, ground + (k + 1) * rise + high];
    const ends = [at(0), at(last)];
    const slope = (ends[1]![2] - ends[0]![2]) / (ends[1]![1] - ends[0]![1]);
    const past = size.v;
    const ext = (e: Vec3, d: number): Vec3 => [e[0], e[1] + d, e[2] + d * slope];
    const rail = local.stick({
      id: `${root}/rail/${side}`,
      assembly: root,
      role: "railing",
      letter: "HL",
      timber: size,
      a: ext(ends[0]!, -past),
      // no further than the landing
      b: ext(ends[1]!, Math.min(past, t.tread.v / 2)),
      up: [0, 0, 1],
      seat: ["-", "centre"],
      ends: [
        { kind: "plumb", beyond: 0 },
        { kind: "plumb", beyond: 0 },
      ],
      loose: true,
    }).id;
    posts.forEach((m) => b.join(buttJoint(m.id, 1, rail, "-v", "line")));
  }
}
