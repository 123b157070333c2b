import { add, addScaled, cross, dot, negate, normalize, planeAt, scale, sub, type Plane, type Vec3 } from "../geometry";
import { axesOf, workLength } from "./axes";
import { componentOf, wholeId } from "./component";
import type { End, Face, Frame, FrameNode, Joint, LapJoint, Member, NodeEnd } from "./member";
import { stockBodies, stockFace, turnedFace } from "./stock-body";

/** What a cut is for: an end, along the length (rip, taper, backing), or a notch or hole. */
export type CutClass = "end0" | "end1" | "length" | "notch";
/** A half-space that a member keeps the inside of, and the joint (or free end) it comes from. */
export interface Cut extends Plane {
  readonly as: "end0" | "end1" | "length";
  readonly from: string;
}
/** A convex cutter that a member loses: the inside of all its planes. */
export interface Cutter {
  readonly from: string;
  readonly planes: readonly Plane[];
}
export interface MemberCuts {
  readonly cuts: readonly Cut[];
  readonly cutters: readonly Cutter[];
}

const asEnd = (e: End): "end0" | "end1" => (e === 0 ? "end0" : "end1");
/** The end of a straight or round member's work line, and the direction that leaves the member there. */
function endOf(m: Member, end: End): { readonly point: Vec3; readonly out: Vec3 } {
  const x = axesOf(m.body);
  const point = end === 0 ? x.origin : addScaled(x.origin, x.u, workLength(m));
  return { point, out: end === 0 ? negate(x.u) : x.u };
}
/** Middle of a member's work line: which stretch of a bent strip another member meets. */
export function middleOf(m: Member): Vec3 {
  if (m.body.shape === "run") return m.body.rings[m.body.rings.length >> 1]!.at;
  const x = axesOf(m.body);
  return addScaled(x.origin, x.u, workLength(m) / 2);
}
/** Keep what lies outside a member's face, `gap` mm away from it. */
function outside(m: Member, face: Face, gap: number): Plane {
  const turned = turnedFace(m, face);
  return gap === 0 ? turned : { n: turned.n, d: turned.d - gap };
}
const NONE: readonly never[] = [];
const cutBy = (p: Plane, as: Cut["as"], from: string): Cut => ({ n: p.n, d: p.d, as, from });

/** Where three planes meet. Errors: planes that do not. */
export function threePlanes(a: Plane, b: Plane, c: Plane): Vec3 {
  const bc = cross(b.n, c.n);
  const det = dot(a.n, bc);
  if (Math.abs(det) < 1e-12) throw new Error("Three planes of a joint do not meet in a point.");
  const p = add(add(scale(bc, a.d), scale(cross(c.n, a.n), b.d)), scale(cross(a.n, b.n), c.d));
  return scale(p, 1 / det);
}

/** The two sides across a stock face: for ±w the v sides, for ±v the w sides. */
export const sidesAcross = (f: Face): readonly [Face, Face] => (f[1] === "w" ? ["-v", "+v"] : ["-w", "+w"]);

/** Corners of the crossing of two lapped, not parallel, members on the plane of a's face: the stock widths, uncut. */
export function crossingOf(a: Member, b: Member, j: Pick<LapJoint, "aFace" | "bFace">): readonly Vec3[] {
  const [nearA, nearB] = [
    a.body.shape === "run" ? middleOf(b) : undefined,
    b.body.shape === "run" ? middleOf(a) : undefined,
  ];
  const on = stockFace(a, j.aFace, nearA);
  const [a0, a1] = sidesAcross(j.aFace).map((f) => stockFace(a, f, nearA)) as [Plane, Plane];
  const [b0, b1] = sidesAcross(j.bFace).map((f) => stockFace(b, f, nearB)) as [Plane, Plane];
  return [threePlanes(on, a0, b0), threePlanes(on, a0, b1), threePlanes(on, a1, b1), threePlanes(on, a1, b0)];
}

function lapEndCut(a: Member, b: Member, j: LapJoint): Cut | undefined {
  if (!j.finish) return undefined;
  const { end, finish, beyond, past } = j.finish;
  const from = j.id;
  if (finish === "flush") {
    const f = stockFace(b, past);
    return { n: f.n, d: f.d + beyond, as: asEnd(end), from };
  }
  const { out } = endOf(a, end);
  const reach = Math.max(...crossingOf(a, b, j).map((p) => dot(p, out)));
  return { n: out, d: reach + beyond, as: asEnd(end), from };
}

function mitreCut(a: Member, end: End, b: Member, bEnd: End, from: string): Cut {
  const [ea, eb] = [endOf(a, end), endOf(b, bEnd)];
  const n = sub(ea.out, eb.out);
  if (Math.hypot(...n) < 1e-9)
    throw new Error(`"${a.id}" and "${b.id}" run side by side, so their ends have no mitre.`);
  return { ...planeAt(scale(add(ea.point, eb.point), 0.5), n), as: asEnd(end), from };
}

/** The side of `above` that looks along the member that ends at the node. */
function facing(above: Member, m: Member, end: End): Face {
  const inward = negate(endOf(m, end).out);
  const x = axesOf(above.body);
  const candidates: [Face, Vec3][] = [
    ["+v", x.v],
    ["-v", negate(x.v)],
    ["+w", x.w],
    ["-w", negate(x.w)],
  ];
  return candidates.reduce((best, c) => (dot(c[1], inward) > dot(best[1], inward) + 1e-12 ? c : best))[0];
}

/** Cuts at a node: trimmed by all above, mitred among equals, `gap` short of what is above. */
function nodeCuts(node: FrameNode, member: (id: string) => Member, put: (m: string, c: Cut) => void): void {
  const above: string[] = [...(node.passing ?? [])];
  for (const tier of node.tiers) {
    for (const e of tier) {
      const m = member(e.member);
      for (const id of above) {
        const upper = member(id);
        for (const face of e.faces?.[id] ?? [facing(upper, m, e.end)])
          put(e.member, { ...outside(upper, face, node.gap), as: asEnd(e.end), from: node.id });
      }
      for (const other of tier)
        if (other !== e) put(e.member, mitreCut(m, e.end, member(other.member), other.end, node.id));
    }
    above.push(...tier.map((e: NodeEnd) => e.member));
  }
}

function freeEndCut(m: Member, end: End): Cut | undefined {
  const free = m.ends[end];
  if (!free || m.body.shape === "run" || m.body.shape === "panel") return undefined;
  const { point, out } = endOf(m, end);
  const from = `${m.id}:free${end}`;
  if (free.kind === "square") return { n: out, d: dot(out, point) + free.beyond, as: asEnd(end), from };
  const n: Vec3 = free.kind === "plumb" ? normalize([out[0], out[1], 0]) : [0, 0, Math.sign(out[2])];
  return { ...planeAt(addScaled(point, out, free.beyond), n), as: asEnd(end), from };
}

/** The planes of b's sides, moved out by `clearance`: what b needs to pass through. */
function passage(b: Member, clearance: number): Plane[] {
  const body = stockBodies(b)[0]!.parts()[0]!;
  return body.faces
    .filter((f) => f.tag !== "a" && f.tag !== "b")
    .map((f) => ({ n: f.plane.n, d: f.plane.d + clearance }));
}

/**
 * Every cut of every member (and, under id#name, of single components that joints name), from its joints, nodes and free ends. A plane comes from another member's uncut stock face
 * or a datum, never from something already cut, so the order of joints does not matter.
 * Errors: two members of one name; a joint or node that names a member, face or datum that is not there.
 */
export function cutsOf(frame: Frame): ReadonlyMap<string, MemberCuts> {
  const out = new Map<string, { readonly member: Member; cuts: readonly Cut[]; cutters: readonly Cutter[] }>();
  for (const member of frame.members) {
    const before = out.size;
    out.set(member.id, { member, cuts: NONE, cutters: NONE });
    if (out.size === before) throw new Error(`Two members are called "${member.id}".`);
  }
  const of = (id: string) => {
    let known = out.get(id);
    if (!known) {
      const name = wholeId(id);
      const whole = out.get(name);
      if (!whole) throw new Error(`A joint names the member "${id}", which is not in the frame.`);
      out.set(
        id,
        (known = { member: componentOf(whole.member, id.slice(name.length + 1), id), cuts: NONE, cutters: NONE }),
      );
    }
    return known;
  };
  const member = (id: string): Member => of(id).member;
  // most sticks have two cuts: lists that grow would keep room for a dozen
  const put = (id: string, c: Cut | undefined): void => {
    if (!c) return;
    const own = of(id);
    own.cuts = own.cuts.length === 0 ? [c] : [...own.cuts, c];
  };
  const carve = (id: string, c: Cutter): void => {
    const own = of(id);
    own.cutters = [...own.cutters, c];
  };

  for (const m of frame.members)
    if (m.ends[0] || m.ends[1]) for (const end of [0, 1] as const) put(m.id, freeEndCut(m, end));
  for (const j of frame.joints) applyJoint(j);
  for (const n of frame.nodes) nodeCuts(n, member, put);
  return out;

  function datum(name: string, j: Joint): Plane {
    const known = frame.datums[name];
    if (!known) throw new Error(`Joint "${j.id}" names the datum "${name}", which is not in the frame.`);
    return known;
  }
  function applyJoint(j: Joint): void {
    const a = member(j.a);
    // most joints of a whole trestle only lay one stick on another
    if (j.kind === "lap" && !j.finish) return void member(j.b);
    switch (j.kind) {
      case "butt":
        return put(j.a, cutBy(outside(member(j.b), j.face, j.gap ?? 0), asEnd(j.end), j.id));
      case "lap":
        return put(j.a, lapEndCut(a, member(j.b), j));
      case "mitre":
        put(j.a, mitreCut(a, j.end, member(j.b), j.bEnd, j.id));
        return put(j.b, mitreCut(member(j.b), j.bEnd, a, j.end, j.id));
      case "notch":
        return carve(j.a, {
          from: j.id,
          planes: j.faces.map((f) => ("datum" in f ? datum(f.datum, j) : stockFace(member(f.of), f.face))),
        });
      case "through":
      case "rod-in-hole":
        return carve(j.a, { from: j.id, planes: passage(member(j.b), j.clearance) });
      case "trim": {
        return put(j.a, cutBy(datum(j.datum, j), j.as, j.id));
      }
      case "bearing":
        member(j.b);
        return;
    }
  }
}
