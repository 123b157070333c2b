import { TOLERANCE, type Vec3 } from "../geometry";
import type { Turning } from "./member";
import type { PieceShape } from "./pieceShape";

type Turn = (p: Vec3) => Vec3;
/** Quarter turns about u, and each of them after turning end for end about v: all rotations a stick has, no mirror among them. */
const QUARTERS: readonly Turn[] = [
  (p) => p,
  (p) => [p[0], -p[2], p[1]],
  (p) => [p[0], -p[1], -p[2]],
  (p) => [p[0], p[2], -p[1]],
];
const TURNS: readonly Turn[] = [
  ...QUARTERS,
  ...QUARTERS.map(
    (q): Turn =>
      (p) =>
        q([-p[0], p[1], -p[2]]),
  ),
];
/** Turns that keep the -w face down: none, and end for end on that face. */
const FACE_TURNS: readonly Turn[] = [(p) => p, (p) => [-p[0], -p[1], p[2]]];

const WAYS: Readonly<Record<Turning, readonly Turn[]>> = { any: TURNS, face: FACE_TURNS, none: [(p) => p] };

/** The same shape seen in a mirror across v. */
export const mirrored = (s: PieceShape): PieceShape => {
  const m = (p: Vec3): Vec3 => [p[0], -p[1], p[2]];
  return {
    ...s,
    corners: s.corners.map(m),
    notchCorners: s.notchCorners.map((c) => c.map(m)),
    cutNormals: s.cutNormals.map(m),
  };
};

/**
 * Whether two shapes are the same piece of material, one turned over or end for end as its stock allows, corners within
 * 0.02 mm and cuts within 0.05°. Mirror images are not the same unless a turn makes them so.
 */
export function samePiece(a: PieceShape, b: PieceShape, turning: Turning = "any"): boolean {
  const tol = TOLERANCE.samePiece;
  if (a.kind !== b.kind || Math.abs(a.overall - b.overall) > tol) return false;
  if (a.corners.length === 0 || a.notchCorners.length !== b.notchCorners.length) return false;
  return WAYS[turning].some((turn) => {
    const size = turn([0, b.section[0], b.section[1]]);
    if (Math.abs(Math.abs(size[1]) - a.section[0]) > tol || Math.abs(Math.abs(size[2]) - a.section[1]) > tol)
      return false;
    const reversed = turn([1, 0, 0])[0] < 0;
    const place = (p: Vec3): Vec3 => {
      const q = turn(p);
      return reversed ? [q[0] + b.overall, q[1], q[2]] : q;
    };
    if (!sameLines(a, b, reversed)) return false;
    if (!sameSet(a.corners, b.corners.map(place), tol)) return false;
    const angle = 2 * Math.sin((TOLERANCE.samePieceAngle * Math.PI) / 360);
    if (!sameSet(a.cutNormals, b.cutNormals.map(turn), angle)) return false;
    const left = b.notchCorners.map((n) => n.map(place));
    return a.notchCorners.every((n) => {
      const i = left.findIndex((m) => sameSet(n, m, tol));
      if (i >= 0) left.splice(i, 1);
      return i >= 0;
    });
  });
}

/** Whether the lines of two sheets lie alike, the second turned by half a turn or as it is. */
function sameLines(a: PieceShape, b: PieceShape, reversed: boolean): boolean {
  if (!a.lines || !b.lines) return a.lines === b.lines;
  const { across, pitch, first } = b.lines;
  if (across !== a.lines.across || Math.abs(pitch - a.lines.pitch) > 1e-9) return false;
  const extent = across === "u" ? b.overall : b.section[0];
  const off = (reversed ? extent - first : first) - a.lines.first;
  return Math.abs(off - Math.round(off / pitch) * pitch) <= TOLERANCE.samePiece;
}

function sameSet(a: readonly Vec3[], b: readonly Vec3[], tol: number): boolean {
  const covered = (x: readonly Vec3[], y: readonly Vec3[]): boolean =>
    x.every((p) => y.some((q) => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]) <= tol));
  return covered(a, b) && covered(b, a);
}
