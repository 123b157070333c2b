import { add, clip, cornersOf, cross, dot, normalize, type Plane, type Solid, type Vec3 } from "../geometry";
import { degrees, model, type Degrees, type Model } from "../units";
import { fromLocal, toLocal, turnLocal } from "./axes";
import type { Cut } from "./cuts";
import { developed, developedStations } from "./develop";
import type { Face, PanelBody } from "./member";
import { profileOf } from "./profileOf";
import type { Resolved } from "./resolve";

/**
 * One cut of an end as one sets it. `face` lies down; `mitre` is the angle of the cut's trace on it from square, `bevel`
 * the tilt of the blade from upright. Looking along the piece towards that end, positive mitre shortens the right-hand
 * side and positive bevel the upper. `at` is where the cut meets the section's centre line, mm from the piece's start.
 */
export interface EndCut {
  readonly face: Face;
  readonly mitre: Degrees;
  readonly bevel: Degrees;
  readonly at: Model;
}
/** A plane in the piece's own axes: start tip at u = 0, section centre at v = w = 0. */
export type LocalPlane = Plane;
/** A finished stick in its own axes, laid with its start tip at u = 0: the entry of the cut list. Lengths are model mm. */
export interface PieceShape {
  readonly kind: "strip" | "round" | "bent" | "panel" | "block";
  /** Section along v and w. Of a strip the wide way is v: lying on -w it lies on its wide face, on -v on its edge. */
  readonly section: readonly [Model, Model];
  /** Tip to tip. */
  readonly overall: Model;
  /** Longest and shortest of the lengthwise edges. */
  readonly longPoint: Model;
  readonly shortPoint: Model;
  readonly ends: readonly [readonly EndCut[], readonly EndCut[]];
  /** Cuts along the length: rips, tapers, backing. The wood is where n·p ≤ d. */
  readonly rips: readonly LocalPlane[];
  /** What is taken out: the inside of all planes of each. */
  readonly notches: readonly (readonly LocalPlane[])[];
  /** Corners before notches, and corners of what each notch takes: how two pieces are compared. */
  readonly corners: readonly Vec3[];
  readonly notchCorners: readonly (readonly Vec3[])[];
  /** Directions of all cut faces. */
  readonly cutNormals: readonly Vec3[];
  /** Lines on a sheet's face: square to its length ("u") or along it ("v"), the first so far from its start or from the near edge, then one every pitch. */
  readonly lines?: { readonly across: "u" | "v"; readonly pitch: Model; readonly first: Model };
}

const FACE_AXIS: Record<string, Vec3> = { "+v": [0, 1, 0], "-v": [0, -1, 0], "+w": [0, 0, 1], "-w": [0, 0, -1] };
/** A blade this near to upright is upright, degrees. */
const NO_BEVEL = 0.005;

/** Mitre and bevel of a cut plane (outward normal n in the piece's axes) at an end, with a face down. */
export function setting(n: Vec3, end: 0 | 1, face: Face): { readonly mitre: Degrees; readonly bevel: Degrees } {
  const down = FACE_AXIS[face]!;
  const s = end === 1 ? 1 : -1;
  // forward = ±u and up = −down, so right-hand = forward × up
  const right: Vec3 = [0, s * down[2], -s * down[1]];
  const tidy = (deg: number): Degrees => degrees(Math.abs(deg) < 1e-9 ? 0 : deg);
  return {
    mitre: tidy((Math.atan2(dot(n, right), s * n[0]) * 180) / Math.PI),
    bevel: tidy((Math.asin(Math.max(-1, Math.min(1, -dot(n, down)))) * 180) / Math.PI),
  };
}

/** The face to lay down for a cut: one on which it needs no bevel, the wide one first; else the wide one. */
const faceDown = (n: Vec3, end: 0 | 1): Face =>
  (["-w", "-v"] as const).find((f) => Math.abs(setting(n, end, f).bevel) < NO_BEVEL) ?? "-w";

/** Whether a stick's axes are turned by a quarter for the list, so that its wide way is v: what may lie on one face alone keeps it. */
const rolls = (s: Resolved): boolean =>
  s.member.body.shape !== "panel" &&
  s.member.turning !== "face" &&
  (s.size[0] < s.size[1] || (Math.abs(s.size[0] - s.size[1]) < 1e-9 && profileOf(s)?.deep === "w"));

/** From space to a stick's own axes, its start tip at u = 0 and its section's centre on the axis; a bent strip as it lies straight. */
export function onPiece(s: Resolved): { readonly point: (p: Vec3) => Vec3; readonly plane: (p: Plane) => LocalPlane } {
  const body = s.member.body;
  const rolled = rolls(s);
  const half = profileOf(s)?.turned ? -1 : 1;
  const roll = (p: Vec3): Vec3 => (rolled ? [p[0], -half * p[2], half * p[1]] : half < 0 ? [p[0], -p[1], -p[2]] : p);
  const stations = body.shape === "run" ? developedStations(body, s.centre) : [];
  const local = (p: Vec3): Vec3 => {
    if (body.shape === "run") return roll(developed(body, s.centre, stations, p));
    const q = toLocal(s.axes, p);
    return roll([q[0], q[1] - s.centre[0], q[2] - s.centre[1]]);
  };
  const start = Math.min(...s.whole.flatMap((w) => cornersOf(w).map((p) => local(p)[0])));
  return {
    point: (p) => {
      const q = local(p);
      return [q[0] - start, q[1], q[2]];
    },
    plane: (p) => {
      const n = turnLocal(s.axes, p.n);
      // the plane's point nearest the axes' origin, moved into the piece's axes
      const d = p.d - dot(p.n, s.axes.origin) - n[1] * s.centre[0] - n[2] * s.centre[1] - n[0] * start;
      return { n: roll(n), d };
    },
  };
}

/** The lines of a sheet as they lie on the piece; `point` goes from the sheet's axes to the piece's. */
function linesOf(
  { across, pitch, first }: NonNullable<PanelBody["texture"]>,
  point: (p: Vec3) => Vec3,
  width: number,
): NonNullable<PieceShape["lines"]> {
  // prettier-ignore
  const at = across === "u" ? point([first, 0, 0])[0] : point([0, first, 0])[1] + width / 2;
  const rest = at - Math.floor(at / pitch + 1e-7) * pitch;
  return { across, pitch, first: model(Math.max(0, rest)) };
}

/** Shape of a cut stick in its own axes. */
export function pieceShape(s: Resolved): PieceShape {
  const body = s.member.body;
  const { point, plane } = onPiece(s);
  const corners = distinct(s.whole.flatMap((w) => cornersOf(w).map(point)));
  const overall = Math.max(...corners.map((p) => p[0]));
  const [v, w] = rolls(s) ? [s.size[1], s.size[0]] : s.size;
  const section: readonly [Model, Model] = [model(v), model(w)];
  const bent = body.shape === "run";
  const cutPlanes = bent ? bentCuts(s, point) : s.cuts.map((c) => ({ as: c.as, ...plane(c) }));
  const endCuts = (end: 0 | 1): EndCut[] => {
    const square = { face: "-w" as const, mitre: degrees(0), bevel: degrees(0), at: model(end ? overall : 0) };
    if (body.shape === "panel") return [square];
    const active = cutPlanes.filter((c) => c.as === `end${end}` && (bent || touchesPlane(corners, c)));
    return active
      .map((c): EndCut => {
        const face = faceDown(c.n, end);
        return { face, ...setting(c.n, end, face), at: model(c.d / c.n[0]) };
      })
      .filter((c, i, list) => list.findIndex((o) => sameCut(o, c)) === i);
  };
  const ends = [endCuts(0), endCuts(1)] as const;
  const edges = body.shape === "panel" ? [overall] : edgeLengths(cutPlanes, section, overall);
  const lines = body.shape === "panel" && body.texture ? linesOf(body.texture, (p) => point(fromLocal(s.axes, p)), v) : undefined; // prettier-ignore
  const holeParts = bent ? [] : s.cutters.map((c) => c.planes.map(plane));
  const notches = holeParts.filter((_, i) => removed(s, i).length > 0);
  return {
    kind: s.member.kind,
    section,
    overall: model(overall),
    longPoint: model(Math.max(...edges)),
    shortPoint: model(Math.min(...edges)),
    ends,
    rips: cutPlanes.filter((c) => c.as === "length" && touchesPlane(corners, c)).map(({ n, d }) => ({ n, d })),
    notches,
    corners,
    ...(lines ? { lines } : {}),
    notchCorners: s.cutters.map((_, i) => distinct(removed(s, i).map(point))).filter((c) => c.length > 0),
    cutNormals: bent
      ? []
      : s.whole.flatMap((w) => w.faces.filter((f) => !(f.tag in FACE_AXIS)).map((f) => plane(f.plane).n)),
  };
}

/** The ends of a bent strip as they come out on its straight blank: a plane through the corners of each. */
function bentCuts(s: Resolved, onBlank: (p: Vec3) => Vec3): (LocalPlane & { readonly as: Cut["as"] })[] {
  const out: (LocalPlane & { readonly as: Cut["as"] })[] = [];
  for (const part of s.whole)
    for (const f of part.faces) {
      if (f.tag in FACE_AXIS || f.tag === "seam" || f.corners.length < 3) continue;
      const p = f.corners.map(onBlank);
      const n = p.reduce<Vec3>((sum, q, i) => add(sum, cross(q, p[(i + 1) % p.length]!)), [0, 0, 0]);
      const unit = normalize(n);
      const d = p.reduce((sum, q) => sum + dot(q, unit), 0) / p.length;
      out.push({ n: unit, d, as: Math.abs(unit[0]) < ALONG ? "length" : unit[0] > 0 ? "end1" : "end0" });
    }
  return out;
}
/** A face of a blank that leans less than this off its length is cut along it. */
const ALONG = 0.05;

const sameCut = (a: EndCut, b: EndCut): boolean =>
  a.face === b.face &&
  Math.abs(a.mitre - b.mitre) < 1e-6 &&
  Math.abs(a.bevel - b.bevel) < 1e-6 &&
  Math.abs(a.at - b.at) < 1e-6;
const touchesPlane = (points: readonly Vec3[], p: Plane): boolean =>
  points.filter((q) => Math.abs(dot(q, p.n) - p.d) < 1e-5).length >= 3;
const distinct = (points: readonly Vec3[]): Vec3[] =>
  points.filter((p, i) => points.findIndex((q) => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]) < 1e-6) === i);

/** What is taken out less deep than this is none, model mm: the figures of a list would have it flat, and a saw passes it over. */
const LEAST_DEEP = 0.01;
/** Corners of what cutter i takes out of a stick, in space: none where that is no more than a scratch. */
function removed(s: Resolved, i: number): Vec3[] {
  const planes = s.cutters[i]!.planes.map((p) => ({ ...p, tag: "" }));
  return s.whole.flatMap((w) => {
    const taken = planes.reduce<Solid | undefined>((x, p) => x && clip(x, p), w);
    return taken && thicknessOf(taken) >= LEAST_DEEP ? cornersOf(taken) : [];
  });
}
/** The least that a body measures square to one of its faces. */
function thicknessOf(body: Solid): number {
  const corners = cornersOf(body);
  return Math.min(...body.faces.map(({ plane }) => Math.max(...corners.map((p) => plane.d - dot(plane.n, p)))));
}

/** Lengths of the four lengthwise edges of the stock between the end cuts. */
function edgeLengths(
  cuts: readonly (LocalPlane & { as: string })[],
  section: readonly [number, number],
  overall: number,
): number[] {
  const corner = [-0.5, 0.5].flatMap((i) => [-0.5, 0.5].map((k) => [i * section[0], k * section[1]] as const));
  return corner.map(([v, w]) => {
    const at = (c: LocalPlane): number => (c.d - c.n[1] * v - c.n[2] * w) / c.n[0];
    const lo = cuts.filter((c) => c.as === "end0").map(at);
    const hi = cuts.filter((c) => c.as === "end1").map(at);
    return (hi.length ? Math.min(...hi) : overall) - (lo.length ? Math.max(...lo) : 0);
  });
}
