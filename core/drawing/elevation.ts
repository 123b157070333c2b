import { contoursOf, cornersFlat, dot, hullSeen, type Vec2, type Vec3 } from "../geometry";
import { textureLines, type Resolved } from "../frame";
import { VIEW_AXES } from "../structures/viewAxes";

/** From where a structure is looked at: the directions to the right and up on the drawing, and towards the eye. */
export interface View {
  readonly id: "front" | "side" | "plan";
  readonly right: Vec3;
  readonly up: Vec3;
  readonly eye: Vec3;
}
/** Bents stand across the track: the front is seen looking back along it, the side from the right of the track, the plan from above with the track running to the right. */
export const VIEWS: Readonly<Record<View["id"], View>> = {
  front: { id: "front", ...VIEW_AXES.front },
  side: { id: "side", ...VIEW_AXES.side },
  plan: { id: "plan", ...VIEW_AXES.plan },
};
/** One stick on an elevation: the outlines of its parts, [right, up] mm, and how near it is to the eye. */
export interface Shown {
  readonly id: string;
  readonly role: string;
  /** The stock item that it is of. */
  readonly stock: string;
  readonly outlines: readonly (readonly Vec2[])[];
  /** Nearest and farthest along the line of sight, mm; larger is nearer. */
  readonly near: number;
  readonly far: number;
  /** The corners of the box round its outlines, and its middle. */
  readonly min: Vec2;
  readonly max: Vec2;
  readonly centre: Vec2;
  /** Direction of its length on the drawing; nearly [0, 0] when it is seen end on. */
  readonly along: Vec2;
}

/** A stick as an elevation gives it: its outlines also as x and y by turns, since a whole trestle has tens of thousands of corners. */
export interface Seen extends Shown {
  readonly flat: readonly ArrayLike<number>[];
}

/** Sticks as an eye sees them, the farthest first, so that painting them in order hides what is hidden. */
export function elevation(sticks: readonly Resolved[], view: View): Seen[] {
  const shown = sticks.map((s) => shownOf(s, view));
  const depth = new Float64Array(shown.length);
  const order = new Uint32Array(shown.length);
  for (let i = 0; i < shown.length; i++) {
    depth[i] = shown[i]!.near + shown[i]!.far;
    order[i] = i;
  }
  liftOver(sticks, shown, depth);
  order.sort((a, b) => depth[a]! - depth[b]! || a - b);
  return shown.map((_, i) => shown[order[i]!]!);
}

/** Brings what lies over others before them: a slope's rafters reach further towards the eye than the boards at their upper ends, a wall further than the roof that hangs out over it. */
function liftOver(sticks: readonly Resolved[], shown: readonly Shown[], depth: Float64Array): void {
  const under = new Map<string, number>();
  const farthest = new Map<string, number>();
  const groups = new Map<string, number[]>();
  const name = (assembly: string, role: string): string => `${assembly}|${role}`;
  const asked = new Set(sticks.flatMap(({ member: { over } }) => (over ? [name(over.assembly, over.role), name(over.own ?? over.assembly, over.role)] : []))); // prettier-ignore
  sticks.forEach(({ member: m }, i) => {
    const key = name(m.assembly, m.role);
    if (asked.has(key)) {
      under.set(key, Math.max(under.get(key) ?? -Infinity, depth[i]!));
      farthest.set(key, Math.min(farthest.get(key) ?? Infinity, shown[i]!.far));
    }
    if (!m.over) return;
    const group = groups.get(m.over.group);
    if (group) group.push(i);
    else groups.set(m.over.group, [i]);
  });
  const placed = new Map<string, number>();
  sticks.forEach(({ member: { id, over } }, i) => {
    const on = over?.on === undefined ? undefined : placed.get(over.on);
    if (on !== undefined) depth[i] = Math.max(depth[i]!, depth[on]! + 1e-3);
    placed.set(id, i);
    const own = over?.own === undefined ? undefined : under.get(name(over.own, over.role));
    if (own !== undefined) depth[i] = Math.max(depth[i]!, own + 1e-3);
  });
  for (const all of groups.values()) {
    const { over } = sticks[all[0]!]!.member;
    const top = under.get(name(over!.assembly, over!.role));
    if (top === undefined) continue;
    // seen from below a board is behind its ribs, whatever it lies over from before
    const behind = farthest.get(name(over!.assembly, over!.role))! + 1e-6;
    if (all.every((i) => shown[i]!.near <= behind)) continue;
    const lift = top + 1e-3 - Math.min(...all.map((i) => depth[i]!));
    if (lift > 0) for (const i of all) depth[i] = depth[i]! + lift;
  }
}

/** A face that is turned further from the eye than this (the cosine) shows nothing of what is on it. */
const TURNED_AWAY = 0.05;
/** A face is seen in its true shape from here. */
const FACE_ON = 0.999;
function shownOf(s: Resolved, view: View): Seen {
  const { eye, right, up } = view;
  const outlines: number[][] = [];
  let [near, far, left, most, low, high] = [-Infinity, Infinity, Infinity, -Infinity, Infinity, -Infinity];
  for (const part of s.parts) {
    const flat = part.flat ?? cornersFlat(part).flat();
    for (let i = 0; i < flat.length; i += 3) {
      const depth = flat[i]! * eye[0] + flat[i + 1]! * eye[1] + flat[i + 2]! * eye[2];
      if (depth > near) near = depth;
      if (depth < far) far = depth;
    }
    const outline = hullSeen(flat, right, up, 1e-7);
    for (let i = 0; i < outline.length; i += 2) {
      const [x, y] = [outline[i]!, outline[i + 1]!];
      if (x < left) left = x;
      if (x > most) most = x;
      if (y < low) low = y;
      if (y > high) high = y;
    }
    outlines.push(outline);
  }
  // of a sheet that faces the eye its contours, without the seams of the parts that it is reckoned in
  if (s.member.body.shape === "panel" && outlines.length > 1) {
    const faced = Math.abs(dot(s.axes.w, eye));
    const whole = faced > FACE_ON ? contoursOf(outlines) : faced > TURNED_AWAY ? facesSeen(s, view) : undefined;
    if (whole) outlines.splice(0, Infinity, ...whole);
  }
  // lines of a sheet's face are outlines of two corners, which enclose nothing
  if (s.member.body.shape === "panel" && s.member.body.texture && dot(s.axes.w, eye) > TURNED_AWAY)
    for (const [a, b] of textureLines(s)) outlines.push([dot(a, right), dot(a, up), dot(b, right), dot(b, up)]);
  const [u, v] = [dot(s.axes.u, right), dot(s.axes.u, up)];
  return new SeenStick(s.id, s.member.role, s.stock, outlines, [near, far, left, low, most, high, u, v]);
}
/** Of a sheet that lies aslant its edges that are seen and its face, each without the seams of its parts; undefined where they do not fit together. */
function facesSeen(s: Resolved, { eye, right, up }: View): number[][] | undefined {
  const near = dot(s.axes.w, eye) > 0 ? "+w" : "-w";
  const faces = new Map<string, number[][]>();
  for (const part of s.parts)
    for (const f of part.faces)
      if ((f.tag === near || /^e\d+$/.test(f.tag)) && dot(f.plane.n, eye) > 1e-6)
        faces.set(f.tag, [...(faces.get(f.tag) ?? []), f.corners.flatMap((c) => [dot(c, right), dot(c, up)])]);
  const edges = [...faces].sort(([a], [b]) => Number(a === near) - Number(b === near));
  const out = edges.map(([, parts]) => contoursOf(parts));
  return out.every((c) => c !== undefined) ? out.flat() : undefined;
}
/** What is known of a stick on a drawing beside its outlines: near, far, left, low, right, high, and the direction of its length. */
export type SeenBox = ArrayLike<number>;
export class SeenStick implements Seen {
  readonly near: number;
  readonly far: number;
  readonly min: Vec2;
  readonly max: Vec2;
  readonly centre: Vec2;
  readonly along: Vec2;
  private points: readonly (readonly Vec2[])[] | undefined;
  constructor(
    readonly id: string,
    readonly role: string,
    readonly stock: string,
    readonly flat: readonly ArrayLike<number>[],
    box: SeenBox,
  ) {
    this.near = box[0]!;
    this.far = box[1]!;
    this.min = [box[2]!, box[3]!];
    this.max = [box[4]!, box[5]!];
    this.centre = [(box[2]! + box[4]!) / 2, (box[3]! + box[5]!) / 2];
    this.along = [box[6]!, box[7]!];
  }
  get outlines(): readonly (readonly Vec2[])[] {
    return (this.points ??= this.flat.map((o) =>
      Array.from({ length: o.length / 2 }, (_, i): Vec2 => [o[2 * i]!, o[2 * i + 1]!]),
    ));
  }
}

/** The box round sticks as they are shown, mm; undefined where there are none. */
export function boundsOfShown(shown: readonly Shown[]): { readonly min: Vec2; readonly max: Vec2 } | undefined {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { min, max } of shown) {
    if (min[0] < x0) x0 = min[0];
    if (min[1] < y0) y0 = min[1];
    if (max[0] > x1) x1 = max[0];
    if (max[1] > y1) y1 = max[1];
  }
  return Number.isFinite(x0) ? { min: [x0, y0], max: [x1, y1] } : undefined;
}
