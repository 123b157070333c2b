import { normalize, sub, type Vec2, type Vec3, ALIKE, NEAR } from "../../geometry";
import { wholeId } from "../../frame";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { timberOf } from "../timber";
import { lateralsOf, portalOf, swayOf } from "./assemblies";
import type { TrussLayout } from "./layout";
import { chordSeat, type SideTruss, type WebStick } from "./sideTruss";
import type { TrussValues } from "./parameters";

/** Whether a chord of a truss comes by a panel point, other than as an end post. */
const chordBy = (t: SideTruss, chord: "bottom" | "top", point: string): boolean =>
  t.chords.some((c) => c.chord === chord && c.role !== "end post" && c.points.includes(point));
/** The stick of a chord, or its web, that shows its inner face at x. */
const innerChord = (
  l: TrussLayout,
  t: SideTruss,
  chord: "bottom" | "top",
  x: number,
  side: 0 | 1,
): string | undefined => {
  const ids = chordSeat(l, t, chord, x, 0, 1).on;
  const on = t.lattice ? ids[side === 0 ? 1 : 0] : ids[0];
  return on && on + l.inner.part;
};

/** Bracing between the two trusses of a span: crossed laterals in plan, struts and portals overhead, crossed sway braces of a deck bridge. */
export function bridgeBracing(
  b: Builder,
  v: TrussValues,
  ctx: Context,
  l: TrussLayout,
  pair: readonly [SideTruss, SideTruss],
): void {
  const root = `${ctx.structure}/span${pair[0].place.span}/bracing`;
  const overhead = v.position === "through";
  const deck = v.position === "deck";
  if (v.laterals) {
    // below a floor the braces lie under its beams; elsewhere between the chords
    const [lower, upper] = [lateralsOf(ctx, pair[0].place.span, "lower"), lateralsOf(ctx, pair[0].place.span, "upper")];
    if (!deck && v.floor === "beams") underBeams(b, v, ctx, l, pair, lower);
    else laterals(b, v, ctx, l, pair, "bottom", lower);
    if (overhead || deck) laterals(b, v, ctx, l, pair, "top", upper);
  }
  if (overhead && v.portals) struts(b, v, ctx, l, pair, root);
  if (deck && v.sway) swayFrames(b, v, ctx, l, pair, root);
}

/** A pair of crossed braces in each panel, one above the other, cut to the chords' inner faces. */
function laterals(
  b: Builder,
  v: TrussValues,
  ctx: Context,
  l: TrussLayout,
  [right, left]: readonly [SideTruss, SideTruss],
  chord: "bottom" | "top",
  root: string,
): void {
  const timber = timberOf(v.lateral, ctx.stock(v.lateral), true);
  const list = l.topology.chords.find((c) => c.id === chord)!.points.filter((p) => chordBy(right, chord, p));
  const place = right.place;
  const wide = left.place.y - right.place.y;
  // overhead they clear the struts that stand at the panel points
  const strut =
    chord === "top" && v.position === "through" && v.portals ? timberOf(v.strut, ctx.stock(v.strut)) : undefined;
  const inset = Math.max(
    (strut ? strut.w / 2 : 0) + timber.w * 0.75,
    v.gussets ? l.mm(v.gussetReach) + l.chord.v / 2 + timber.w : 0,
  );
  // crossed where two have room one above the other; under beams and beside webs that stand proud of a shallow chord one, turn about
  const proud = right.webs.some((w) => Math.abs(w.y) + w.timber.w / 2 > l.chord.w / 2 + NEAR);
  const crossed =
    2 * timber.v <= l.inner.v + NEAR || !(l.inner.part || proud || (v.position === "deck" && chord === "top"));
  list.slice(1).forEach((q, i) => {
    const p = list[i]!;
    const [a, c] = [l.topology.points[p]!, l.topology.points[q]!];
    const span = Math.hypot(c[0] - a[0], c[1] - a[1]);
    if (span < 4 * inset) return;
    const on = (t: number): Vec2 => [a[0] + ((c[0] - a[0]) * t) / span, a[1] + ((c[1] - a[1]) * t) / span];
    const d: Vec3 = [(c[0] - a[0]) / span, 0, (c[1] - a[1]) / span];
    const up: Vec3 = [-d[2], 0, d[0]];
    const middle = (a[0] + c[0]) / 2;
    const chords = [innerChord(l, right, chord, middle, 0), innerChord(l, left, chord, middle, 1)];
    if (!chords[0] || !chords[1]) return;
    (crossed ? ([0, 1] as const) : [i % 2 === 0 ? (0 as const) : (1 as const)]).forEach((k) => {
      const id = `${root}/${p}-${q}${crossed ? (k === 0 ? "/above" : "/below") : ""}`;
      const off = crossed ? ((k === 0 ? 1 : -1) * timber.v) / 2 : 0;
      // what hangs below the chords keeps clear of their bearing blocks
      const hangs = chord === "bottom" && v.blocks && ((crossed && 2 * timber.v > l.chord.v) || v.camber > 0);
      const block = hangs ? timberOf(v.block, ctx.stock(v.block)).w / 2 + l.mm(25.4) : 0;
      const start = (n: string): number =>
        Math.max(
          inset + beside(l, right, n, timber),
          // two that come to one panel point at one height
          crossed ? 0 : (timber.w / 2) * (1.1 + span / wide),
          l.topology.supports.includes(n) ? block + timber.w * 0.75 : 0,
        );
      const [near, far] = [start(p), start(q)];
      const [s, e] = k === 0 ? [near, span - far] : [span - far, near];
      const [from, to] = [on(s), on(e)];
      b.stick({
        id,
        assembly: root,
        role: "lateral brace",
        letter: "A",
        timber,
        a: place.at(from[0] + up[0] * off, 0, from[1] + up[2] * off),
        b: place.at(to[0] + up[0] * off, wide, to[1] + up[2] * off),
        up: place.turn(up),
      });
      // w of a chord looks to -y: the right truss shows its -w face inwards, the left one +w
      b.join({ kind: "butt", id: `${id}>0`, a: id, end: 0, b: chords[0]!, face: "-w", contact: "line" });
      b.join({ kind: "butt", id: `${id}>1`, a: id, end: 1, b: chords[1]!, face: "+w", contact: "line" });
    });
    if (!crossed) return;
    b.join({
      kind: "lap",
      id: `${root}/${p}-${q}/cross`,
      a: `${root}/${p}-${q}/above`,
      b: `${root}/${p}-${q}/below`,
      aFace: "-v",
      bFace: "+v",
      contact: "face",
    });
  });
}

/** How much further from a panel point a lateral starts where an end post thicker than the chord comes to it: past the post. */
function beside(l: TrussLayout, t: SideTruss, p: string, brace: { readonly v: number }): number {
  const post = t.chords.find((c) => c.role === "end post" && c.points.includes(p));
  if (!post || l.timbers.endPost.w <= l.inner.w + NEAR) return 0;
  const [a, c] = [post.points[0]!, post.points[post.points.length - 1]!].map((n) => l.topology.points[n]!) as [
    Vec2,
    Vec2,
  ];
  const steep = Math.abs(c[1] - a[1]) / Math.max(ALIKE, Math.abs(c[0] - a[0]));
  return (l.timbers.endPost.v / 2) * Math.hypot(1, 1 / steep) + (2 * brace.v) / steep;
}

/** One brace in each panel, turn about, on the underside of the floor beams. */
function underBeams(
  b: Builder,
  v: TrussValues,
  ctx: Context,
  l: TrussLayout,
  [right, left]: readonly [SideTruss, SideTruss],
  root: string,
): void {
  const timber = timberOf(v.lateral, ctx.stock(v.lateral), true);
  const beam = timberOf(v.floorBeam, ctx.stock(v.floorBeam));
  const floor = root.replace("/bracing/lower", "/floor");
  const wide = left.place.y - right.place.y;
  const rods = l.timbers.vertical.round ? (beam.w + l.timbers.vertical.w) / 2 + l.mm(25.4) : 0;
  const middle = l.topology.points[l.topology.supports[1]]![0] / 2;
  const beams = l.topology.chords
    .find((c) => c.id === "bottom")!
    .points.slice(1, -1)
    .map((p) => {
      const px = l.topology.points[p]![0];
      const x = px + (px < middle - NEAR ? rods : -rods);
      return { id: `${floor}/beam/${p}`, x, z: chordSeat(l, right, "bottom", x, beam.w, -1).z - beam.v };
    });
  const inset = l.chord.w / 2 + timber.w;
  beams.slice(1).forEach((to, i) => {
    const from = beams[i]!;
    // too near each other for a brace to clear the next one
    if (to.x - from.x < 6 * timber.w) return;
    // two braces share a beam's underside: each ends before its middle
    const back = Math.min(beam.w * 0.4, timber.w * 0.55);
    const off = inset + 6 * timber.w;
    const [y0, y1] = i % 2 === 0 ? [off, wide - inset] : [wide - off, inset];
    // the beams of a cambered bridge hang at different heights, and are level where the brace is not
    const slope = (to.z - from.z) / (to.x - from.x);
    const [px, qx] =
      slope > 0 ? [from.x + beam.w / 2, to.x + timber.w / 2] : [from.x - timber.w / 2, to.x - beam.w / 2];
    const steep = slope === 0 ? 0 : (to.z - from.z) / (qx - px);
    const at = (x: number): number => from.z + steep * (x - (slope === 0 ? from.x : px));
    const id = `${root}/${i + 1}`;
    const up = normalize([-steep, 0, 1] as Vec3);
    b.stick({
      id,
      assembly: root,
      role: "lateral brace",
      letter: "A",
      timber,
      a: right.place.at(from.x + back, y0, at(from.x + back)),
      b: right.place.at(to.x - back, y1, at(to.x - back)),
      up: right.place.turn(up),
      seat: ["+", "centre"],
      square: true,
    });
    b.join({
      kind: "lap",
      id: `${id}>0`,
      a: id,
      b: from.id,
      aFace: "+v",
      bFace: "-v",
      contact: slope === 0 ? "line" : "gap",
    });
    b.join({
      kind: "lap",
      id: `${id}>1`,
      a: id,
      b: to.id,
      aFace: "+v",
      bFace: "-v",
      contact: slope === 0 ? "line" : "gap",
    });
  });
}

/** Struts between the top chords at the panel points; at both ends knee braces from them to the end posts, or to the end verticals. */
function struts(
  b: Builder,
  v: TrussValues,
  ctx: Context,
  l: TrussLayout,
  [right, left]: readonly [SideTruss, SideTruss],
  root: string,
): void {
  const timber = timberOf(v.strut, ctx.stock(v.strut));
  const place = right.place;
  const wide = left.place.y - right.place.y;
  const list = l.topology.chords.find((c) => c.id === "top")!.points.filter((p) => chordBy(right, "top", p));
  const lattice = v.kind === "plank";
  const steepest = Math.max(
    ...list.slice(1).map((p, i) => {
      const [a, c] = [l.topology.points[list[i]!]!, l.topology.points[p]!];
      return Math.abs((c[1] - a[1]) / (c[0] - a[0]));
    }),
    0,
  );
  for (const p of list) {
    const [x, mid] = l.topology.points[p]!;
    // between the flanges of an I to its web, where it fits and no rod stands beside that
    const beside = right.webs.some(
      (w) => w.timber.round && (w.web.a === p || w.web.b === p) && Math.abs(w.y) + w.timber.w / 2 > l.inner.w / 2,
    );
    const behind = beside || timber.v + timber.w * steepest > l.inner.v + NEAR ? l.chord : l.inner;
    // what is deeper than the chord stands up over it, as webs may stand proud; on an I its top lies at the upper flange's
    const lift = (timber.v - l.chord.v) / 2;
    const z =
      mid + (l.inner.part && behind === l.chord ? Math.abs(lift) : lift > 0 ? lift + (timber.w / 2) * steepest : 0);
    const endPosts = [right, left].map((t) => t.chords.find((c) => c.role === "end post" && c.points.includes(p))?.id);
    const stout = l.timbers.endPost.w > behind.w + NEAR && endPosts[0] !== undefined;
    const plated = v.gussets && b.members.some((m) => m.id === `${right.place.root}/gusset/${p}/far`);
    const faces = plated
      ? [`${right.place.root}/gusset/${p}/far`, `${left.place.root}/gusset/${p}/near`]
      : stout
        ? endPosts
        : [innerChord(l, right, "top", x, 0)!, innerChord(l, left, "top", x, 1)!].map((c) =>
            behind === l.chord ? wholeId(c) : c,
          );
    const id = `${root}/strut/${p}`;
    b.stick({
      id,
      assembly: portalOf(ctx, place.span, p),
      role: "overhead strut",
      letter: "H",
      timber,
      a: place.at(x, 0, z),
      b: place.at(x, wide, z),
      up: place.turn([0, 0, 1]),
    });
    b.join({
      kind: "butt",
      id: `${id}>0`,
      a: id,
      end: 0,
      b: faces[0]!,
      face: plated ? "+w" : "-w",
      contact: "line",
    });
    b.join({ kind: "butt", id: `${id}>1`, a: id, end: 1, b: faces[1]!, face: "+w", contact: "line" });
    // a gusset plate lies where a knee brace would stand
    if ((p !== list[0] && p !== list[list.length - 1]) || plated) continue;
    // rods in pairs stand proud of an end post as narrow as they stand apart
    const proud = right.webs.some(
      (w) =>
        w.timber.round &&
        (w.web.a === p || w.web.b === p) &&
        Math.abs(w.y) + w.timber.w / 2 > l.timbers.endPost.w / 2 + NEAR,
    );
    if (proud) continue;
    const verticals = [right, left].map((t) =>
      t.webs.find(
        (w) =>
          w.web.role === "vertical" && (w.web.a === p || w.web.b === p) && !w.timber.round && Math.abs(w.y) < ALIKE,
      ),
    );
    const posts = [right, left].map((t) => t.chords.find((c) => c.role === "end post" && c.points.includes(p)));
    const along = posts[0]
      ? normalize(
          sub(
            pointOf(
              l,
              posts[0].points.find((q) => q !== p)!,
            ),
            pointOf(l, p),
          ),
        )
      : ([0, 0, -1] as Vec3);
    const targets =
      posts[0] && posts[1]
        ? posts.map((c) => c!.id)
        : verticals[0] && verticals[1]
          ? verticals.map((w) => w!.id)
          : undefined;
    if (!targets || lattice) continue;
    const k = l.mm(v.knee);
    const post = l.timbers.endPost.w / 2;
    if (2 * (k + post) > wide - 2.2 * timber.v) continue;
    ([0, 1] as const).forEach((side) => {
      const [y, inward] = side === 0 ? [0, 1] : [wide, -1];
      const knee = `${root}/knee/${p}/${side === 0 ? "right" : "left"}`;
      // from the middle of the strut's underside, so that the leaning plane of the end posts meets a thin one too
      const under = z - timber.v / 2;
      const foot = place.at(x + along[0] * (k + post), y, under + along[2] * (k + post));
      const head = place.at(x, y + inward * (k + post), under);
      b.stick({
        id: knee,
        assembly: portalOf(ctx, place.span, p),
        role: "knee brace",
        letter: "J",
        timber,
        a: foot,
        b: head,
        up: place.turn([0, inward * Math.hypot(along[0], along[2]), 0]),
      });
      b.join({
        kind: "butt",
        id: `${knee}>post`,
        a: knee,
        end: 0,
        b: targets[side]!,
        face: side === 0 ? "-w" : "+w",
        contact: "line",
      });
      b.join({ kind: "butt", id: `${knee}>strut`, a: knee, end: 1, b: id, face: "-v", contact: "line" });
    });
  }
}
const pointOf = (l: TrussLayout, p: string): Vec3 => [l.topology.points[p]![0], 0, l.topology.points[p]![1]];

/** How far from a panel point of a vertical the diagonals that stand proud of it there have left it and what is fixed beside its middle. */
function proudBeside(l: TrussLayout, t: SideTruss, vertical: WebStick, aside: number): (point: string) => number {
  return (point) => {
    const [x, z] = l.topology.points[point]!;
    const own = t.webs.filter(
      (w) =>
        w.web.role !== "vertical" &&
        (w.web.a === point || w.web.b === point) &&
        Math.abs(w.y) + w.timber.w / 2 > vertical.timber.w / 2 + NEAR,
    );
    return Math.max(
      0,
      ...own.map((w) => {
        const [fx, fz] = l.topology.points[w.web.a === point ? w.web.b : w.web.a]!;
        const steep = Math.abs(fz - z) / Math.max(ALIKE, Math.abs(fx - x));
        return (aside + (w.timber.v / 2) * Math.hypot(1, 1 / steep)) * steep * 1.1;
      }),
    );
  };
}

/** Crossed braces between the verticals of a deck bridge's trusses at each panel point that has timber ones. */
function swayFrames(
  b: Builder,
  v: TrussValues,
  ctx: Context,
  l: TrussLayout,
  [right, left]: readonly [SideTruss, SideTruss],
  root: string,
): void {
  const timber = timberOf(v.lateral, ctx.stock(v.lateral), true);
  const place = right.place;
  const wide = left.place.y - right.place.y;
  for (const w of right.webs) {
    if (w.web.role !== "vertical" || w.timber.round || Math.abs(w.y) > ALIKE) continue;
    const other = left.webs.find((x) => x.web.id === w.web.id);
    if (!other) continue;
    const [p, q] = [l.topology.points[w.web.a]!, l.topology.points[w.web.b]!];
    const margin =
      l.timbers.endPost.v +
      l.chord.v / 2 +
      timber.w * Math.hypot(1, Math.abs(q[1] - p[1]) / wide) +
      (v.gussets ? l.mm(v.gussetReach) : 0);
    const beside = proudBeside(l, right, w, timber.v);
    const [lo, hi] = [
      Math.min(p[1], q[1]) + Math.max(margin, beside(p[1] < q[1] ? w.web.a : w.web.b)),
      Math.max(p[1], q[1]) - Math.max(margin, beside(p[1] < q[1] ? w.web.b : w.web.a)),
    ];
    if (hi - lo < 4 * timber.w) continue;
    ([0, 1] as const).forEach((k) => {
      const id = `${root}/sway/${w.web.a}/${k === 0 ? "rising" : "falling"}`;
      const x = p[0] + ((k === 0 ? 1 : -1) * timber.v) / 2;
      b.stick({
        id,
        assembly: swayOf(ctx, place.span, w.web.a),
        role: "sway brace",
        letter: "Y",
        timber,
        a: place.at(x, 0, k === 0 ? lo : hi),
        b: place.at(x, wide, k === 0 ? hi : lo),
        up: place.turn([1, 0, 0]),
      });
      b.join({ kind: "butt", id: `${id}>0`, a: id, end: 0, b: w.id, face: "-w", contact: "line" });
      b.join({ kind: "butt", id: `${id}>1`, a: id, end: 1, b: other.id, face: "+w", contact: "line" });
    });
  }
}
