import { dot, hull, type Vec2, type Vec3 } from "../geometry";
import type { EndCut, LocalPlane, PieceShape } from "./pieceShape";

/**
 * How a piece lies while a cut is made, its start at your left: on its wide "face", or on its "edge", rolled a quarter
 * towards you from there. Places on it are told as [from the start, from the edge that is near you], model mm.
 */
export type Lies = "face" | "edge";
/** A cut of an end: mitre and bevel in degrees as `EndCut` has them, `at` where it crosses the section's centre line, mm from the start. */
export interface EntryEnd {
  readonly lies: Lies;
  readonly mitre: number;
  readonly bevel: number;
  readonly at: number;
}
/** A cut along the length: where its line on the side that lies down stands from the near edge at the start and at the far tip, mm; the blade's tilt, degrees, positive where the upper side keeps less; which part is kept. */
export interface EntryRip {
  readonly lies: Lies;
  readonly start: number;
  readonly far: number;
  readonly bevel: number;
  readonly keep: "near" | "far";
}
/** What a notch, pocket or hole takes out: between two heights over the table the outline below and, where it is another, above; or, of none so plain, its corners [along, across, up]. */
export type EntryNotch =
  | {
      readonly lies: Lies;
      readonly from: number;
      readonly to: number;
      readonly lower: readonly Vec2[];
      readonly upper: readonly Vec2[];
    }
  | { readonly corners: readonly Vec3[] };

/** A row of the cut list as a saw needs it: all that makes the piece, mm and degrees, nothing of where it goes. */
export interface Entry {
  readonly kind: PieceShape["kind"];
  /** Of a strip the lesser side; of a sheet part how thick the sheet is. */
  readonly thickness: number;
  readonly width: number;
  /** Tip to tip. */
  readonly overall: number;
  readonly ends: readonly [readonly EntryEnd[], readonly EntryEnd[]];
  readonly rips: readonly EntryRip[];
  readonly notches: readonly EntryNotch[];
  /** A sheet part's outline; its ends and rips say nothing then. */
  readonly outline?: EntryNotch;
}

/** A point of a piece's own axes as it lies: along, from the near edge, over the table. */
const laid = (lies: Lies, [v, w]: readonly [number, number], p: Vec3): Vec3 =>
  lies === "face" ? [p[0], p[1] + v / 2, p[2] + w / 2] : [p[0], w / 2 - p[2], p[1] + v / 2];
const turned = (lies: Lies, n: Vec3): Vec3 => (lies === "face" ? n : [n[0], -n[2], n[1]]);

/** Heights that differ by less are one, mm. */
const SAME_HEIGHT = 1e-4;

function ripOf(p: LocalPlane, shape: PieceShape): EntryRip {
  const lies = (["face", "edge"] as const).find((l) => Math.abs(turned(l, p.n)[2]) < 1e-4);
  const best = lies ?? (Math.abs(p.n[1]) >= Math.abs(p.n[2]) ? "face" : "edge");
  const n = turned(best, p.n);
  // a point of the plane, to move it to where the piece lies
  const foot = laid(best, shape.section, [p.n[0] * p.d, p.n[1] * p.d, p.n[2] * p.d]);
  const d = dot(n, foot);
  return {
    lies: best,
    start: d / n[1],
    far: (d - n[0] * shape.overall) / n[1],
    bevel: (Math.asin(Math.max(-1, Math.min(1, n[2]))) * 180) / Math.PI,
    keep: n[1] > 0 ? "near" : "far",
  };
}

/** What convex corners enclose, as plainly as it can be told. */
function outlineOf(corners: readonly Vec3[], section: readonly [number, number]): EntryNotch {
  for (const lies of ["face", "edge"] as const) {
    const points = corners.map((c) => laid(lies, section, c));
    const [from, to] = [Math.min(...points.map((p) => p[2])), Math.max(...points.map((p) => p[2]))];
    const at = (h: number): Vec2[] =>
      hull(
        points.filter((p) => Math.abs(p[2] - h) < SAME_HEIGHT).map((p): Vec2 => [p[0], p[1]]),
        1e-7,
      );
    const between = points.some((p) => Math.abs(p[2] - from) >= SAME_HEIGHT && Math.abs(p[2] - to) >= SAME_HEIGHT);
    const [lower, upper] = [at(from), at(to)];
    if (!between && lower.length >= 3 && upper.length >= 3) return { lies, from, to, lower, upper };
  }
  return { corners: corners.map((c) => laid("face", section, c)) };
}

const endOf = (c: EndCut): EntryEnd => ({
  lies: c.face[1] === "w" ? "face" : "edge",
  mitre: c.mitre,
  bevel: c.bevel,
  at: c.at,
});

/** The row of the cut list that a piece's shape makes. */
export function entryOf(shape: PieceShape): Entry {
  const sheet = shape.kind === "panel" || shape.kind === "block";
  const flat = outlineOf(shape.corners, shape.section);
  return {
    kind: shape.kind,
    thickness: shape.section[1],
    width: shape.section[0],
    overall: shape.overall,
    ends: [shape.ends[0].map(endOf), shape.ends[1].map(endOf)],
    rips: shape.rips.map((r) => ripOf(r, shape)),
    notches: shape.notchCorners.map((n) => outlineOf(n, shape.section)),
    ...(sheet ? { outline: flat } : {}),
  };
}
