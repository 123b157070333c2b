import {
  addScaled,
  areaOf,
  boundsOf,
  axesIn,
  clipPolygon,
  dot,
  flat,
  heightOver,
  hull,
  penetrationDepth,
  polygonArea,
  TOLERANCE,
  type Plane,
  type SolidFace,
  type Vec2,
  type Vec3,
} from "../geometry";
import { crossingOf, middleOf, sidesAcross } from "./cuts";
import { memberLookup, wholeId } from "./component";
import type { Face, Joint, LapJoint, Member } from "./member";
import type { ResolvedFrame } from "./resolve";
import { stockFace } from "./stock-body";

/** How a joint bears: the area that should and the area that does, mm², and whether that is what its contact class asks. */
export interface Bearing {
  readonly joint: string;
  readonly a: string;
  readonly b: string;
  readonly kind: Joint["kind"] | "node";
  readonly wanted: number;
  readonly borne: number;
  readonly touches: boolean;
  readonly ok: boolean;
}

const facesOf = (r: ResolvedFrame, member: string, pick: (f: SolidFace) => boolean): SolidFace[] =>
  (r.byMember.get(member) ?? []).flatMap((s) => s.parts.flatMap((p) => p.faces.filter(pick)));

/** Where two faces lie against each other: on a plane, whose normal looks out of the first, its corners in space. */
export interface Patch {
  readonly plane: Plane;
  readonly corners: readonly Vec3[];
  /** Model mm². */
  readonly area: number;
}
/** Where two sets of flat faces lie against each other. */
export function patches(as: readonly SolidFace[], bs: readonly SolidFace[]): Patch[] {
  const out: Patch[] = [];
  for (const f of as)
    for (const g of bs) {
      if (dot(f.plane.n, g.plane.n) > -0.999999) continue;
      const heights = g.corners.map((p) => heightOver(f.plane, p));
      if (Math.min(...heights) > TOLERANCE.contact || Math.max(...heights) < -TOLERANCE.contact) continue;
      const axes = axesIn(f.plane.n);
      const flatten = (c: readonly Vec3[]): Vec2[] => hull(c.map((p) => flat(p, axes)));
      const shared = clipPolygon(flatten(f.corners), flatten(g.corners));
      if (shared.length < 3) continue;
      // long faces that are not quite parallel may still meet where they lie on each other
      const along = addScaled([0, 0, 0], f.plane.n, f.plane.d);
      const at = (q: Vec2): Vec3 => addScaled(addScaled(along, axes[0], q[0]), axes[1], q[1]);
      if (shared.some((q) => Math.abs(heightOver(g.plane, at(q))) > TOLERANCE.contact)) continue;
      out.push({ plane: f.plane, corners: shared.map(at), area: Math.abs(polygonArea(shared)) });
    }
  return out;
}
/** Area that two sets of flat faces share where they lie against each other, mm². */
const sharedArea = (as: readonly SolidFace[], bs: readonly SolidFace[]): number =>
  patches(as, bs).reduce((s, p) => s + p.area, 0);

const total = (faces: readonly SolidFace[]): number => faces.reduce((s, f) => s + areaOf(f.corners), 0);

/** Whether two solids come within the contact tolerance anywhere: no plane parts them by more. */
function near(r: ResolvedFrame, a: string, b: string): boolean {
  const parts = (id: string) => (r.byMember.get(id) ?? []).flatMap((s) => s.parts);
  const tol = TOLERANCE.contact;
  const bs = parts(b).map((s) => ({ s, box: boundsOf([s]) }));
  return parts(a).some((s) => {
    const box = boundsOf([s]);
    return bs.some(
      (o) =>
        [0, 1, 2].every((k) => box.min[k]! <= o.box.max[k]! + tol && o.box.min[k]! <= box.max[k]! + tol) &&
        penetrationDepth(s, o.s, -tol) >= -tol,
    );
  });
}

/** The area a lap should show: the crossing of both widths, or for parallel members the strip they share. */
function lapWanted(a: Member, b: Member, j: LapJoint, r: ResolvedFrame): number {
  const [nearA, nearB] = [middleOf(b), middleOf(a)];
  const on = stockFace(a, j.aFace, nearA);
  const [aSide] = sidesAcross(j.aFace).map((f) => stockFace(a, f, nearA)) as [Plane];
  const [bSide] = sidesAcross(j.bFace).map((f) => stockFace(b, f, nearB)) as [Plane];
  if (Math.abs(dot(aSide.n, bSide.n)) < 0.999999) return areaOf(crossingOf(a, b, j));
  // side by side: both faces as they are, each widened to its stock, so that only lengths limit
  const pick = (f: Face) => (s: SolidFace) => s.tag === f;
  const axes = axesIn(on.n);
  const span = (faces: readonly SolidFace[]) => hull(faces.flatMap((f) => f.corners.map((p) => flat(p, axes))));
  const shared = clipPolygon(span(facesOf(r, a.id, pick(j.aFace))), span(facesOf(r, b.id, pick(j.bFace))));
  return Math.abs(polygonArea(shared));
}

/**
 * Checks every joint of a cut frame against its contact class: a face bears on at least 99 % of the end face, or of the
 * crossing of both widths for a lap; a line touches somewhere; a gap is not asked to touch.
 */
export function bearings(r: ResolvedFrame): Bearing[] {
  const member = memberLookup(r.frame);
  const of = (j: Joint, b: string, as: readonly SolidFace[], bs: readonly SolidFace[], wanted = total(as)): Bearing => {
    const borne = sharedArea(as, bs);
    const touches = borne > 0 || near(r, j.a, b);
    const ok =
      j.contact === "gap" || (j.contact === "line" ? touches : wanted > 0 && borne >= TOLERANCE.bearing * wanted);
    return { joint: j.id, a: j.a, b, kind: j.kind, wanted, borne, touches, ok };
  };
  const any = (): boolean => true;
  const out: Bearing[] = [];
  for (const j of r.frame.joints) {
    if (j.kind === "trim") continue;
    const cut = facesOf(r, j.a, (f) => f.tag === j.id);
    switch (j.kind) {
      case "butt":
      case "mitre":
        out.push(of(j, j.b, cut, facesOf(r, j.b, any)));
        break;
      case "notch":
      case "through":
      case "rod-in-hole": {
        const on = [j.b, ...((j.kind === "notch" && j.also) || [])].flatMap((id) => facesOf(r, id, any));
        // where a cutter has split a stick, its convex parts meet on the cutter's planes too: that is no wall of the notch
        out.push(of(j, j.b, cut, on, total(cut) - sharedArea(cut, facesOf(r, j.a, any))));
        break;
      }
      case "lap":
        out.push(
          of(
            j,
            j.b,
            facesOf(r, j.a, (f) => f.tag === j.aFace),
            facesOf(r, j.b, (f) => f.tag === j.bFace),
            lapWanted(member(j.a), member(j.b), j, r),
          ),
        );
        break;
      case "bearing": {
        const end = j.aFace === "end0" || j.aFace === "end1" ? j.aFace : undefined;
        const froms = new Set(
          (r.byMember.get(j.a) ?? []).flatMap((s) => s.cuts.filter((c) => c.as === end).map((c) => c.from)),
        );
        const own = facesOf(r, j.a, (f) => (end ? froms.has(f.tag) || f.tag === end : f.tag === j.aFace));
        out.push(
          of(
            j,
            j.b,
            own,
            facesOf(r, j.b, (f) => f.tag === j.bFace),
          ),
        );
      }
    }
  }
  for (const n of r.frame.nodes) {
    const all = [...(n.passing ?? []), ...n.tiers.flat().map((e) => e.member)];
    for (const e of n.tiers.flat())
      for (const b of all) {
        if (b === e.member) continue;
        const borne = sharedArea(
          facesOf(r, e.member, (f) => f.tag === n.id),
          facesOf(r, b, any),
        );
        const touches = borne > 0 || near(r, e.member, b);
        out.push({ joint: n.id, a: e.member, b, kind: "node", wanted: 0, borne, touches, ok: true });
      }
  }
  return out;
}

/** The groups of members that hang together by touching joints; a sound structure is one group. What stands on the ground is held by it. Loose members are left out. */
export function connectedGroups(r: ResolvedFrame, found: readonly Bearing[] = bearings(r)): string[][] {
  const parent = new Map(r.frame.members.filter((m) => !m.loose).map((m) => [m.id, m.id]));
  const root = (id: string): string => {
    let x = id;
    while (parent.get(x) !== x) x = parent.get(x)!;
    return x;
  };
  const grounded = r.frame.members.filter((m) => m.grounded && !m.loose).map((m) => m.id);
  for (const id of grounded.slice(1)) parent.set(root(id), root(grounded[0]!));
  for (const { a, b, touches } of found) {
    const [x, y] = [wholeId(a), wholeId(b)];
    if (touches && parent.has(x) && parent.has(y)) parent.set(root(x), root(y));
  }
  const groups = new Map<string, string[]>();
  for (const id of parent.keys()) groups.set(root(id), [...(groups.get(root(id)) ?? []), id]);
  return [...groups.values()];
}
