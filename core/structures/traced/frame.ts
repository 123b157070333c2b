import type { End, Face, Frame, Joint, Member } from "../../frame";
import { clipPolygon, polygonArea, type Plane, type Vec2, type Vec3, NEAR } from "../../geometry";
import { prototype, toModel } from "../../units";
import type { Context } from "../kind";
import { timberOf } from "../timber";
import { crossMembers } from "./cross";
import { drawnId, pathAt, TWIN } from "./ids";
import { axesOfBar, lengthOf, mirrorTraces, rectangleOf, type Bar } from "./layout";
import { meet, type Meeting } from "./meeting";
import { letterOf, type Trace, type TraceJoint, type TracedParams } from "./parameters";

type Kind = TraceJoint["kind"];
/** A joint as it is made between two bars: proposed, or chosen by hand. `cut` is the one that is cut or laid on. */
export interface Made {
  readonly a: string;
  readonly b: string;
  readonly kind: Kind;
  readonly proposed: Kind;
  readonly possible: readonly Kind[];
  readonly depth: number;
}
/** The elevation before it is set at its places: bars cut where others run through, and what joins them. */
export interface Elevation {
  readonly bars: readonly Bar[];
  /** How far each bar's middle stands before the elevation's plane, model mm. */
  readonly depth: ReadonlyMap<string, number>;
  readonly joints: readonly Joint[];
  readonly datums: Readonly<Record<string, Plane>>;
  readonly made: readonly Made[];
}

const keyOf = (a: string, b: string): string => [drawnId(a), drawnId(b)].sort().join("|");

function barsOf(p: TracedParams, ctx: Context): Bar[] {
  const mm = (n: number): number => toModel(ctx.scale, prototype(n));
  return mirrorTraces(p.members, p.mirror).map(({ trace, twin }) => {
    const timber = timberOf(trace.section, ctx.stock(trace.section), trace.flat);
    const line = { a: trace.from.map(mm) as unknown as Vec2, b: trace.to.map(mm) as unknown as Vec2 };
    if (!(lengthOf(line) > NEAR))
      throw new Error(`The ${trace.role} “${trace.id}” has no length: drag its ends apart.`);
    const { left } = axesOfBar(line);
    const off = trace.seat === "centre" ? 0 : ((trace.seat === "left" ? 1 : -1) * timber.v) / 2;
    const shift = (q: Vec2): Vec2 => [q[0] + off * left[0], q[1] + off * left[1]];
    return {
      id: trace.id + (twin ? TWIN : ""),
      trace,
      timber,
      a: shift(line.a),
      b: shift(line.b),
      drawn: [true, true],
    };
  });
}

/** Bars in two where one that runs through them in the same layer crosses, unless the crossing is halved or left alone. */
function splitAtCrossings(bars: readonly Bar[], chosen: (a: string, b: string) => TraceJoint | undefined): Bar[] {
  const cutsOf = new Map<string, number[]>();
  eachPair(bars, (p, q) => {
    const m = p.trace.layer === q.trace.layer ? meet(p, q) : undefined;
    if (!m || m.pEnd !== undefined || m.qEnd !== undefined) return;
    const kind = chosen(p.id, q.id)?.kind ?? proposedKind(m);
    if (kind !== "butt") return;
    const [cut, at] = lower(p, q) === p ? [p, m.pAt] : [q, m.qAt];
    cutsOf.set(cut.id, [...(cutsOf.get(cut.id) ?? []), at]);
  });
  return bars.flatMap((bar) => {
    const at = [...new Set(cutsOf.get(bar.id) ?? [])].sort((a, b) => a - b);
    if (at.length === 0) return [bar];
    const { u } = axesOfBar(bar);
    const point = (s: number): Vec2 => [bar.a[0] + s * u[0], bar.a[1] + s * u[1]];
    const stops = [0, ...at, lengthOf(bar)];
    return at.concat(0).map((_, i): Bar => ({
      ...bar,
      id: `${bar.id}/${i + 1}`,
      a: point(stops[i]!),
      b: point(stops[i + 1]!),
      drawn: [i === 0, i === at.length],
    }));
  });
}
function eachPair(bars: readonly Bar[], f: (p: Bar, q: Bar) => void): void {
  bars.forEach((p, i) => bars.slice(i + 1).forEach((q) => f(p, q)));
}
/** The one of two that gives way; of equals the later drawn. */
const lower = (p: Bar, q: Bar): Bar => (p.trace.order < q.trace.order ? p : q);

function possibleKinds(m: Meeting): readonly Kind[] {
  if (m.pEnd !== undefined && m.qEnd !== undefined) return ["butt", "mitre", "notch", "none"];
  return m.pEnd === undefined && m.qEnd === undefined ? ["halved", "butt", "none"] : ["butt", "notch", "none"];
}
/** Equals are mitred at their ends and halved where they cross; otherwise the higher one runs through and the other butts on it. */
function proposedKind(m: Meeting): Kind {
  const equal = m.p.trace.order === m.q.trace.order;
  if (m.pEnd !== undefined && m.qEnd !== undefined) return equal ? "mitre" : "butt";
  return m.pEnd === undefined && m.qEnd === undefined && equal ? "halved" : "butt";
}

/** A meeting and who gives way in it: `cut` ends on `on` with `end`; undefined where the two cross. */
interface Met {
  readonly m: Meeting;
  readonly cut: Bar;
  readonly on: Bar;
  readonly end: End | undefined;
}
function metOf(m: Meeting): Met {
  // an end butts on what passes; where both end, the lower one does
  const cut = m.pEnd === undefined ? m.q : m.qEnd === undefined ? m.p : lower(m.p, m.q);
  return { m, cut, on: cut === m.p ? m.q : m.p, end: cut === m.p ? m.pEnd : m.qEnd };
}
/** Whether two that both end here are kept apart by a third, on whose two sides they butt. */
function parted({ m }: Met, all: readonly Met[]): boolean {
  if (m.pEnd === undefined || m.qEnd === undefined) return false;
  const buttsOf = (bar: Bar, end: End) =>
    all.filter((x) => x.cut === bar && x.end === end && x.on !== m.p && x.on !== m.q);
  return buttsOf(m.p, m.pEnd).some((x) =>
    buttsOf(m.q, m.qEnd!).some(
      (y) => y.on === x.on && sideTowards(x.on, m.p, m.pEnd!) !== sideTowards(y.on, m.q, m.qEnd!),
    ),
  );
}

/** The side of q that looks at the body of p, which ends on it with `end`. */
function sideTowards(q: Bar, p: Bar, end: End): Face {
  const { left } = axesOfBar(q);
  const far = end === 0 ? p.b : p.a;
  return (far[0] - q.a[0]) * left[0] + (far[1] - q.a[1]) * left[1] > 0 ? "+v" : "-v";
}

/** Lays a traced elevation out in model mm: mirrors it, cuts what gives way, proposes joints and takes those chosen by hand. Errors: a member of no length. */
export function layElevation(p: TracedParams, ctx: Context): Elevation {
  const mm = (n: number): number => toModel(ctx.scale, prototype(n));
  const choices = new Map(p.joints.map((j) => [keyOf(j.a, j.b), j]));
  const chosen = (a: string, b: string): TraceJoint | undefined => choices.get(keyOf(a, b));
  const bars = splitAtCrossings(barsOf(p, ctx), chosen);
  const depth = depthsOf(bars);
  const joints: Joint[] = [];
  const datums: Record<string, Plane> = {};
  const made: Made[] = [];
  const met: Met[] = [];
  eachPair(bars, (a, b) => {
    if (a.trace.layer !== b.trace.layer) return lap(a, b);
    const m = meet(a, b);
    if (m) met.push(metOf(m));
  });
  for (const { m, cut, on, end } of met.filter((x) => !parted(x, met))) {
    const [a, b] = [m.p, m.q];
    const choice = chosen(a.id, b.id);
    const possible = possibleKinds(m);
    const proposed = proposedKind(m);
    const kind = choice && possible.includes(choice.kind) ? choice.kind : proposed;
    const usual = Math.min(on.timber.v / 4, mm(50));
    const deep = choice?.depth === undefined ? usual : mm(choice.depth);
    made.push({ a: cut.id, b: on.id, kind, proposed, possible, depth: (deep / mm(1000)) * 1000 });
    const jointId = `${cut.id}>${on.id}`;
    switch (kind) {
      case "butt":
      case "notch": {
        if (end === undefined) break;
        const face = sideTowards(on, cut, end);
        const gap = kind === "notch" ? -deep : 0;
        joints.push({ kind: "butt", id: jointId, a: cut.id, end, b: on.id, face, gap, contact: "face" });
        if (kind === "notch") letIn(cut, on, face, deep, jointId);
        break;
      }
      case "mitre":
        joints.push({ kind: "mitre", id: jointId, a: a.id, end: m.pEnd!, b: b.id, bEnd: m.qEnd!, contact: "face" });
        break;
      case "halved":
        halve(lower(a, b), lower(a, b) === a ? b : a, jointId);
    }
  }
  return { bars, depth, joints, datums, made };

  /** b loses what a's end takes up. */
  function letIn(a: Bar, b: Bar, face: Face, deep: number, joint: string): void {
    const { left } = axesOfBar(b);
    const sign = face === "+v" ? 1 : -1;
    const n: Vec2 = [-sign * left[0], -sign * left[1]];
    const d = n[0] * b.a[0] + n[1] * b.a[1] - (b.timber.v / 2 - deep);
    datums[`${joint}:floor`] = { n: [0, n[0], n[1]], d };
    const faces = (["+v", "-v", "+w", "-w"] as const).map((f) => ({ of: a.id, face: f }));
    joints.push({
      kind: "notch",
      id: `${joint}:in`,
      a: b.id,
      b: a.id,
      faces: [...faces, { datum: `${joint}:floor` }],
      contact: "face",
    });
  }
  /** Each loses half where they cross: `behind` its near half, `before` its far half. */
  function halve(behind: Bar, before: Bar, joint: string): void {
    const x = depth.get(behind.id)!;
    datums[`${joint}:near`] = { n: [-1, 0, 0], d: -x };
    datums[`${joint}:far`] = { n: [1, 0, 0], d: x };
    const sides = (of: Bar) => (["+v", "-v"] as const).map((face) => ({ of: of.id, face }));
    const halving = (a: Bar, b: Bar, datum: string, id: string): Joint => ({
      kind: "notch",
      id,
      a: a.id,
      b: b.id,
      faces: [...sides(b), { datum: `${joint}:${datum}` }],
      contact: "face",
    });
    joints.push(halving(behind, before, "near", joint), halving(before, behind, "far", `${joint}:other`));
  }
  function lap(a: Bar, b: Bar): void {
    const rank = { far: -1, middle: 0, near: 1 } as const;
    const [la, lb] = [rank[a.trace.layer], rank[b.trace.layer]];
    if (Math.abs(la - lb) > 1 || overlapArea(a, b) < NEAR) return;
    // the one that is not in the middle is laid on
    const [on, laid] = la === 0 ? [a, b] : [b, a];
    const kind = chosen(a.id, b.id)?.kind === "none" ? "none" : "lap";
    made.push({ a: laid.id, b: on.id, kind, proposed: "lap", possible: ["lap", "none"], depth: 0 });
    if (kind === "none") return;
    const near = laid.trace.layer === "near";
    const [aFace, bFace] = (near ? ["-w", "+w"] : ["+w", "-w"]) as [Face, Face];
    joints.push({ kind: "lap", id: `${laid.id}>${on.id}`, a: laid.id, b: on.id, aFace, bFace, contact: "face" });
  }
}

const overlapArea = (a: Bar, b: Bar): number => Math.abs(polygonArea(clipPolygon(rectangleOf(a), rectangleOf(b))));

/** Near and far members lie on the faces of the middle ones they cross; where they cross none, on the thickest. */
function depthsOf(bars: readonly Bar[]): ReadonlyMap<string, number> {
  const middle = bars.filter((b) => b.trace.layer === "middle");
  return new Map(
    bars.map((b) => {
      if (b.trace.layer === "middle") return [b.id, 0];
      const crossed = middle.filter((m) => overlapArea(m, b) > NEAR);
      const out = Math.max(0, ...(crossed.length > 0 ? crossed : middle).map((m) => m.timber.w / 2)) + b.timber.w / 2;
      return [b.id, b.trace.layer === "near" ? out : -out];
    }),
  );
}

/** The frame of a traced structure: its elevation at each place, and what runs across. Model mm. Errors: as layElevation; a cross member on one that is not there. */
export function tracedFrame(p: TracedParams, ctx: Context): Frame {
  const mm = (n: number): number => toModel(ctx.scale, prototype(n));
  const lay = layElevation(p, ctx);
  const places = [...p.places].sort((a, b) => a - b);
  const members: Member[] = [];
  const joints: Joint[] = [];
  const datums: Record<string, Plane> = {};
  places.forEach((at, i) => {
    const x0 = mm(at);
    const name = (id: string): string => `${ctx.structure}/${pathAt(i, places.length, id)}`;
    const cutEnds = new Set(
      lay.joints.flatMap((j) =>
        j.kind === "mitre" ? [`${j.a}:${j.end}`, `${j.b}:${j.bEnd}`] : j.kind === "butt" ? [`${j.a}:${j.end}`] : [],
      ),
    );
    for (const bar of lay.bars)
      members.push(memberOf(bar, x0 + lay.depth.get(bar.id)!, name(bar.id), name("").replace(/\/$/, ""), cutEnds));
    for (const j of lay.joints) joints.push(renamed(j, name));
    for (const [key, d] of Object.entries(lay.datums)) datums[name(key)] = { n: d.n, d: d.d + d.n[0] * x0 };
  });
  crossMembers(p, ctx, lay, places).forEach((c) => {
    members.push(c.member);
    joints.push(...c.joints);
  });
  return { members, joints, nodes: [], datums };

  function memberOf(bar: Bar, x: number, id: string, assembly: string, cutEnds: ReadonlySet<string>): Member {
    const { left } = axesOfBar(bar);
    const in3 = (q: Vec2): Vec3 => [x, q[0], q[1]];
    const end = (k: End): Member["ends"][0] => {
      if (cutEnds.has(`${bar.id}:${k}`)) return undefined;
      const e = bar.drawn[k] ? bar.trace.ends[k] : { kind: "square" as const, beyond: 0 };
      return { kind: e.kind, beyond: mm(e.beyond) };
    };
    return {
      id,
      structure: ctx.structure,
      assembly,
      role: bar.trace.role,
      letter: letterOf(bar.trace.role),
      kind: "strip",
      nominal: bar.timber.nominal,
      body: {
        shape: "straight",
        a: in3(bar.a),
        b: in3(bar.b),
        up: [0, left[0], left[1]],
        seat: ["centre", "centre"],
        components: bar.timber.components,
      },
      ends: [end(0), end(1)],
    };
  }
}
function renamed(j: Joint, name: (id: string) => string): Joint {
  const base = { ...j, id: name(j.id), a: name(j.a), ...("b" in j ? { b: name(j.b) } : {}) } as Joint;
  if (base.kind !== "notch") return base;
  return {
    ...base,
    faces: base.faces.map((f) => ("datum" in f ? { datum: name(f.datum) } : { ...f, of: name(f.of) })),
  };
}

/** Order by how a member runs: level ones run through, plumb ones butt on them, slanted ones on both. Common practice. */
export function usualOrder(t: Pick<Trace, "from" | "to">): number {
  const slope = Math.abs(Math.atan2(t.to[1] - t.from[1], t.to[0] - t.from[0])) * (180 / Math.PI);
  const off = Math.min(slope, 180 - slope);
  return off < 3 ? 30 : off > 87 ? 20 : 10;
}
