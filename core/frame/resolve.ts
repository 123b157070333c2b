import {
  clipAll,
  dot,
  eightCorners,
  Hexahedron,
  negate,
  sub,
  subtract,
  type Solid,
  type TaggedPlane,
  type Vec3,
} from "../geometry";
import { axesOf, fromLocal, sectionBox, toLocal, type Axes } from "./axes";
import { cutsOf, type Cut, type Cutter, type MemberCuts } from "./cuts";
import type { Frame, Member } from "./member";
import { spliceCuts } from "./splice";
import { panelPlanes, stockBodies, type StockBody } from "./stock-body";

/** One stick as it comes off the saw: a component of a member with its cuts, and its convex parts in space. */
export interface Resolved {
  /** The member's id, with #name for one of several components. */
  readonly id: string;
  readonly member: Member;
  readonly stock: string;
  readonly size: readonly [number, number];
  /** Section centre from the work line along v and w, mm. */
  readonly centre: readonly [number, number];
  readonly axes: Axes;
  readonly cuts: readonly Cut[];
  readonly cutters: readonly Cutter[];
  /** Convex parts after end and lengthwise cuts, before notches and holes. */
  readonly whole: readonly Solid[];
  /** Convex parts of the finished stick. */
  readonly parts: readonly Solid[];
}
/** A frame with every stick cut. */
export interface ResolvedFrame {
  readonly frame: Frame;
  readonly sticks: readonly Resolved[];
  readonly byMember: ReadonlyMap<string, readonly Resolved[]>;
}

/** How far a part of a panel reaches along v, and its middle there. */
function reachOf(
  x: Axes,
  whole: readonly Solid[],
  body: Pick<StockBody, "size" | "centre">,
): Pick<Resolved, "size" | "centre"> {
  // prettier-ignore
  const vs = whole.flatMap((p) => p.faces.flatMap((f) => f.corners.map((c) => toLocal(x, c)[1])));
  const [low, high] = [Math.min(...vs), Math.max(...vs)];
  return { size: [high - low, body.size[1]], centre: [(low + high) / 2, body.centre[1]] };
}
/** "cap#s1" for the first part of a spliced cap, "cap#2s1" for that of its second ply. */
const partId = (body: string, member: string, part: number): string =>
  `${body === member ? `${member}#` : body}s${part + 1}`;
const NO_CUTS: MemberCuts = { cuts: [], cutters: [] };

/** The solid of a straight stick that two planes cut, one at each end: most sticks by far. Undefined where it takes more than that. */
function sawn(member: Member, body: Pick<StockBody, "size" | "centre">, cuts: readonly Cut[]): Solid | undefined {
  if (member.body.shape !== "straight" || cuts.length !== 2) return undefined;
  const [c, d] = cuts as readonly [Cut, Cut];
  const [start, far] = c.as === "end0" ? [c, d] : [d, c];
  if (start.as !== "end0" || far.as !== "end1") return undefined;
  const x = axesOf(member.body);
  const [s, f] = [dot(start.n, x.u), dot(far.n, x.u)];
  if (s > -1e-6 || f < 1e-6) return undefined;
  const { origin: o, u, v, w } = x;
  const flat = eightCorners();
  for (let i = 0; i < 4; i++) {
    const [dv, dw] = CORNERS[i]!;
    const [a, c] = [body.centre[0] + (dv * body.size[0]) / 2, body.centre[1] + (dw * body.size[1]) / 2];
    const px = o[0] + v[0] * a + w[0] * c;
    const py = o[1] + v[1] * a + w[1] * c;
    const pz = o[2] + v[2] * a + w[2] * c;
    const t0 = (start.d - start.n[0] * px - start.n[1] * py - start.n[2] * pz) / s;
    const t1 = (far.d - far.n[0] * px - far.n[1] * py - far.n[2] * pz) / f;
    if (t1 - t0 < 1e-6) return undefined;
    const [k, m] = [3 * i, 3 * i + 12];
    flat[k] = px + u[0] * t0;
    flat[k + 1] = py + u[1] * t0;
    flat[k + 2] = pz + u[2] * t0;
    flat[m] = px + u[0] * t1;
    flat[m + 1] = py + u[1] * t1;
    flat[m + 2] = pz + u[2] * t1;
  }
  return new Hexahedron(flat, () => sawnSides(flat, x, start, far));
}
function sawnSides(flat: readonly number[], x: Axes, start: Cut, far: Cut): TaggedPlane[] {
  const side = (n: Vec3, corner: number, tag: string): TaggedPlane => ({
    n,
    d: n[0] * flat[corner]! + n[1] * flat[corner + 1]! + n[2] * flat[corner + 2]!,
    tag,
  });
  return [
    side(negate(x.w), 0, "-w"),
    side(x.v, 3, "+v"),
    side(x.w, 6, "+w"),
    side(negate(x.v), 9, "-v"),
    { n: start.n, d: start.d, tag: start.from },
    { n: far.n, d: far.d, tag: far.from },
  ];
}

/** A sheet part or block in one with nothing but its outline and the bevels of its edges. Undefined where the bevels meet, or for all others. */
function plainPanel(member: Member, own: MemberCuts): Resolved | undefined {
  const body = member.body;
  if (
    body.shape !== "panel" ||
    body.holes.length > 0 ||
    own.cuts.length > 0 ||
    own.cutters.length > 0 ||
    member.splices?.length
  )
    // prettier-ignore
    return undefined;
  const x = axesOf(body);
  const n = body.outline.length;
  // each edge on the upper side is shifted inwards by what its bevel takes
  const line = (i: number): readonly [number, number, number] => {
    const [p, q] = [body.outline[i]!, body.outline[(i + 1) % n]!];
    const l = Math.hypot(q[0] - p[0], q[1] - p[1]);
    const [a, b] = [(q[1] - p[1]) / l, -(q[0] - p[0]) / l];
    return [a, b, a * p[0] + b * p[1] - body.thickness * Math.tan(((body.bevel[i] ?? 0) * Math.PI) / 180)];
  };
  const lower: Vec3[] = [];
  const upper: Vec3[] = [];
  for (let i = 0; i < n; i++) {
    const [e, f] = [line((i + n - 1) % n), line(i)];
    const det = e[0] * f[1] - e[1] * f[0];
    if (Math.abs(det) < 1e-9) return undefined;
    const u = (e[2] * f[1] - e[1] * f[2]) / det;
    const v = (e[0] * f[2] - e[2] * f[0]) / det;
    const p = body.outline[i]!;
    lower.push(fromLocal(x, [p[0], p[1], 0]));
    upper.push(fromLocal(x, [u, v, body.thickness]));
  }
  for (let i = 0; i < n; i++) {
    // an edge that has turned round has been swallowed by its neighbours
    const k = (i + 1) % n;
    const [d, e] = [sub(lower[k]!, lower[i]!), sub(upper[k]!, upper[i]!)];
    if (dot(d, e) <= 0) return undefined;
  }
  const planes = panelPlanes(member as never).edges;
  const parts: Solid[] = [
    {
      corners: [...lower, ...upper],
      faces: [
        ...planes.map((plane, i) => {
          const k = (i + 1) % n;
          return {
            corners: [lower[i]!, lower[k]!, upper[k]!, upper[i]!],
            plane: { n: plane.n, d: plane.d },
            tag: plane.tag,
          };
        }),
        { corners: [...lower].reverse(), plane: { n: negate(x.w), d: -dot(x.w, x.origin) }, tag: "-w" },
        { corners: upper, plane: { n: x.w, d: dot(x.w, x.origin) + body.thickness }, tag: "+w" },
      ],
    },
  ];
  const box = sectionBox(body);
  return {
    id: member.id,
    member,
    stock: body.stock,
    size: box.size,
    centre: box.centre,
    axes: x,
    cuts: own.cuts,
    cutters: own.cutters,
    whole: parts,
    parts,
  };
}
/** A single stick that two planes cut and nothing else: no splice, no notch. Undefined for all others. */
function plainStick(member: Member, own: MemberCuts): Resolved | undefined {
  const body = member.body;
  if (body.shape !== "straight" || body.components.length !== 1 || member.splices?.length) return undefined;
  if (own.cutters.length > 0 || own.cuts.length !== 2 || body.components[0]!.name !== "") return undefined;
  const c = body.components[0]!;
  if (c.profile) return undefined;
  const { size, centre } = sectionBox(body);
  const solid = sawn(member, { size, centre }, own.cuts);
  if (!solid) return undefined;
  const parts = [solid];
  return {
    id: member.id,
    member,
    stock: c.stock,
    size,
    centre,
    axes: axesOf(body),
    cuts: own.cuts,
    cutters: own.cutters,
    whole: parts,
    parts,
  };
}
const SHAPE_PARTS = ["web", "upper", "lower"] as const;
/** The corners of a section, counter-clockwise seen against u, as halves of its size. */
const CORNERS = [
  [-1, -1],
  [1, -1],
  [1, 1],
  [-1, 1],
] as const;

/** Cuts every member of a frame. Errors: an end that neither a joint nor a free end finishes; a stick of which nothing is left; whatever the joints refuse. */
export function resolve(frame: Frame): ResolvedFrame {
  const all = cutsOf(frame);
  const sticks: Resolved[] = [];
  const byMember = new Map<string, Resolved[]>();
  for (const member of frame.members) {
    const common = all.get(member.id) ?? NO_CUTS;
    const plain = plainStick(member, common) ?? plainPanel(member, common);
    if (plain) {
      sticks.push(plain);
      byMember.set(member.id, [plain]);
      continue;
    }
    const holes = member.body.shape === "panel" ? panelPlanes(member as never) : undefined;
    const spliced = spliceCuts(member);
    const sticksOf = stockBodies(member).flatMap((body) =>
      spliced.map((cuts, part) => ({ body, splices: cuts, part })),
    );
    const own = sticksOf.map(({ body, splices, part }): Resolved => {
      const single = body.id === member.id ? NO_CUTS : (all.get(body.id) ?? NO_CUTS);
      const cuts = [...common.cuts, ...single.cuts, ...splices];
      const ownCutters = [
        ...common.cutters,
        ...single.cutters,
        ...(holes?.holes.map((h) => ({ from: h.name, planes: h.planes })) ?? []),
      ];
      if (member.body.shape === "straight" || member.body.shape === "round")
        for (const end of ["end0", "end1"] as const)
          if (!cuts.some((c) => c.as === end))
            throw new Error(
              `Nothing says how the ${member.role} "${body.id}" ends at its ${end === "end0" ? "start" : "far end"}.`,
            );
      const sawnOff = body.shaped ? undefined : sawn(member, body, cuts);
      const planes = sawnOff ? [] : [...(holes?.edges ?? []), ...cuts.map((c) => ({ ...c, tag: c.from }))];
      const whole = sawnOff
        ? [sawnOff]
        : body
            .parts()
            .map((p) => clipAll(p, planes))
            .filter((p): p is Solid => p !== undefined);
      const parts = ownCutters.reduce<readonly Solid[]>(
        (rest, c) => rest.flatMap((p) => subtract(p, c.planes, c.from)),
        whole,
      );
      if (parts.length === 0)
        throw new Error(
          `Nothing is left of the ${member.role} "${member.id}" after its cuts: what it joins is too close together.`,
        );
      // a part of a panel may be lower than the whole: beside a gable's peak
      const { size, centre } = member.body.shape === "panel" && spliced.length > 1 ? reachOf(axesOf(member.body), whole, body) : body; // prettier-ignore
      return {
        id: spliced.length === 1 ? body.id : partId(body.id, member.id, part),
        member,
        stock: body.stock,
        size,
        centre,
        axes: axesOf(member.body),
        cuts,
        cutters: ownCutters,
        whole,
        parts,
      };
    });
    sticks.push(...own);
    byMember.set(member.id, own);
    own.forEach((k, i) => {
      const { body } = sticksOf[i]!;
      if (body.id !== member.id)
        byMember.set(
          body.id,
          own.filter((_, n) => sticksOf[n]!.body === body),
        );
      if (k.id !== body.id) byMember.set(k.id, [k]);
      // what joints name of a shape is part of its one stick
      if (body.shaped) for (const part of SHAPE_PARTS) byMember.set(`${body.id}#${part}`, [k]);
    });
  }
  return { frame, sticks, byMember };
}
