import { addScaled, cross, dot, normalize, planeAt, sub, type Vec3, NEAR } from "../../geometry";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { frameRoot, type SnowshedLayout } from "./layout";

/**
 * Planks side by side along a bay's chord, from where the frames' planes cut theirs to where they do: how many, and for
 * each what it has to do with the frames. On a curve the bay's ends lean, so that more than one may be cut to them.
 */
interface PlankRow {
  readonly from: number;
  readonly count: number;
  /** Whether plank r is cut to the plane of the near frame, and of the far one. */
  readonly cut: (r: number) => readonly [boolean, boolean];
  /** Whether plank r lies over an upright (half of which is in the bay), and so on nothing between the uprights. */
  readonly overUpright: (r: number) => boolean;
}
/** `lefts` is how far left of the track the row reaches, `upright` how wide along the track what stands at its ends. */
function plankRow(
  l: SnowshedLayout,
  i: number,
  chord: Vec3,
  lefts: readonly number[],
  plank: number,
  upright: number,
): PlankRow {
  const along = (k: number, left: number, on = 0): number => dot(chord, l.at(k, on, left, 0));
  const near = lefts.map((x) => along(i, x));
  const far = lefts.map((x) => along(i + 1, x));
  const [from, to] = [Math.min(...near), Math.max(...far)];
  const count = Math.max(1, Math.ceil((to - from - 0.02) / plank));
  const [first, last] = [(r: number): number => from + r * plank, (r: number): number => from + (r + 1) * plank];
  const clear = [
    Math.max(...lefts.map((x) => along(i, x, upright / 2))) + 0.05 * plank,
    Math.min(...lefts.map((x) => along(i + 1, x, -upright / 2))) - 0.05 * plank,
  ] as const;
  return {
    from,
    count,
    cut: (r) => [r === 0 || first(r) < Math.max(...near) - NEAR, r === count - 1 || last(r) > Math.min(...far) + NEAR],
    overUpright: (r) => last(r) < clear[0] || first(r) > clear[1] || r === 0 || r === count - 1,
  };
}
/** Cuts plank r of a row to the frames' planes, and where it lies over an upright lets its neighbour towards the middle hold it. */
function endPlank(b: Builder, ctx: Context, i: number, name: string, r: number, row: PlankRow): void {
  const id = `${name}${r + 1}`;
  const [near, far] = row.cut(r);
  if (near)
    b.join({ kind: "trim", id: `${id}/from`, a: id, datum: `${frameRoot(ctx, i)}/back`, as: "length", contact: "gap" });
  if (far)
    b.join({ kind: "trim", id: `${id}/to`, a: id, datum: `${frameRoot(ctx, i + 1)}/plane`, as: "length", contact: "gap" }); // prettier-ignore
  if (!row.overUpright(r) || row.count === 1) return;
  const first = r < row.count / 2;
  b.join({
    kind: "bearing",
    id: `${id}>beside`,
    a: id,
    b: `${name}${first ? r + 2 : r}`,
    aFace: first ? "+v" : "-v",
    bFace: first ? "-v" : "+v",
    contact: "gap",
  });
}

/** Planks upright on the girts of one wall of a bay, those at its ends cut to the frames' planes. */
export function wallPlanks(
  b: Builder,
  ctx: Context,
  l: SnowshedLayout,
  i: number,
  side: 1 | -1,
  out: Vec3,
  d: number,
  girts: readonly string[],
  high: number,
): void {
  const { plank } = l.t;
  const root = `${ctx.structure}/bay${i + 1}`;
  const name = side > 0 ? "left" : "right";
  const chord = normalize(sub(l.at(i + 1, 0, 0, 0), l.at(i, 0, 0, 0)));
  const outer = l.half + l.t.post.v;
  const row = plankRow(l, i, chord, [side * outer, side * (outer + plank.w + 0.5)], plank.v, l.t.post.w);
  for (let r = 0; r < row.count; r++) {
    const s = row.from + (r + 0.5) * plank.v;
    const base: Vec3 = addScaled(addScaled([0, 0, 0], chord, s), out, d + plank.w / 2);
    const id = `${root}/plank/${name}${r + 1}`;
    b.stick({
      id,
      assembly: root,
      role: "plank",
      letter: "W",
      timber: plank,
      a: base,
      b: [base[0], base[1], high],
      up: chord,
      square: true,
    });
    endPlank(b, ctx, i, `${root}/plank/${name}`, r, row);
    // over a post there is no girt behind a plank
    const atPost = row.overUpright(r);
    // width along the chord: +w looks to the left of the track
    for (const g of [girts[0]!, girts[girts.length - 1]!])
      b.join({
        kind: "bearing",
        id: `${id}>${g.split("/").pop()}`,
        a: id,
        b: g,
        aFace: side > 0 ? "-w" : "+w",
        bFace: side > 0 ? "-w" : "+w",
        contact: atPost ? "gap" : "line",
      });
    if (atPost)
      for (const k of [i, i + 1])
        b.join({
          kind: "bearing",
          id: `${id}>post${k + 1}`,
          a: id,
          b: `${frameRoot(ctx, k)}/post/${name}`,
          aFace: "-w",
          bFace: "+v",
          contact: "gap",
        });
  }
}

interface SlopeOf {
  readonly side: 1 | -1;
  readonly out: Vec3;
  readonly up: Vec3;
  readonly n: Vec3;
  readonly d: number;
  readonly chord: Vec3;
  readonly purlins: readonly string[];
}
/** Planks up one slope of a bay, from past the cap's end to the plumb plane of the peak. */
export function roofPlanks(b: Builder, ctx: Context, l: SnowshedLayout, i: number, s: SlopeOf): void {
  const { roofPlank } = l.t;
  const root = `${ctx.structure}/bay${i + 1}`;
  const name = s.side > 0 ? "left" : "right";
  const eave = l.capHalf + roofPlank.v / 2;
  const row = plankRow(l, i, s.chord, [0, s.side * eave], roofPlank.v, l.t.rafter.w);
  const middle = l.at(i, 0, 0, 0);
  const far = l.at(i + 1, 0, 0, 0);
  const peak: Vec3 = [(middle[0] + far[0]) / 2, (middle[1] + far[1]) / 2, 0];
  const ridge = `${root}/ridge-${name}`;
  b.datums[ridge] = planeAt(peak, [-s.out[0], -s.out[1], 0]);
  const base = dot(s.out, peak);
  for (let r = 0; r < row.count; r++) {
    const x = row.from + (r + 0.5) * roofPlank.v;
    const at = (left: number): Vec3 => {
      const p = addScaled(addScaled([0, 0, 0], s.chord, x), s.out, base + left);
      return [p[0], p[1], (s.d - s.n[0] * p[0] - s.n[1] * p[1]) / s.n[2]];
    };
    const id = `${root}/roof-plank/${name}${r + 1}`;
    // up the slope with its width along the track: where +w looks is where it lies on, or away
    const inward = dot(cross(s.up, s.chord), s.n) > 0;
    b.stick({
      id,
      assembly: root,
      role: "roof plank",
      letter: "RD",
      timber: roofPlank,
      a: at(eave),
      b: at(0),
      up: s.chord,
      seat: ["centre", inward ? "-" : "+"],
      square: [true, false],
    });
    b.join({ kind: "trim", id: `${id}/ridge`, a: id, datum: ridge, as: "end1", contact: "gap" });
    endPlank(b, ctx, i, `${root}/roof-plank/${name}`, r, row);
    const atRafter = row.overUpright(r);
    for (const p of [s.purlins[0]!, s.purlins[s.purlins.length - 1]!])
      b.join({
        kind: "bearing",
        id: `${id}>${p.split("/").pop()}`,
        a: id,
        b: p,
        aFace: inward ? "-w" : "+w",
        bFace: "+v",
        contact: atRafter ? "gap" : "line",
      });
    if (atRafter)
      for (const k of [i, i + 1])
        b.join({
          kind: "bearing",
          id: `${id}>rafter${k + 1}`,
          a: id,
          b: `${frameRoot(ctx, k)}/rafter/${name}`,
          aFace: inward ? "-w" : "+w",
          bFace: "+v",
          contact: "gap",
        });
  }
}
