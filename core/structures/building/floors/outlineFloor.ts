import type { Face, Joint } from "../../../frame";
import { clipPolygon, planeAt, polygonArea, type Vec2, ALIKE, NEAR } from "../../../geometry";
import { boardBreaks } from "./boardRows";
import type { BuildingLayout } from "../plan/layout";
import type { Local } from "../../place";
import { buttJoint, touching } from "../walls/wallKit";

/** An edge of an outline, its inside to the left: from where to where, along it, and out of it. */
export interface Edge {
  readonly i: number;
  readonly a: Vec2;
  readonly b: Vec2;
  readonly n: Vec2;
}

/** A floor of any outline, in axes whose joists run along q and planks along p. Counter-clockwise, model mm. */
export interface OutlineFloor {
  readonly root: string;
  readonly outline: readonly Vec2[];
  /** The outline that the planks are cut to, where they hang over some of the rims: as many corners, in the same order. */
  readonly planked?: readonly Vec2[];
  /** The planks' upper side. */
  readonly top: number;
}
/** The corners counter-clockwise. */
export const turned = (outline: readonly Vec2[]): Vec2[] =>
  polygonArea(outline) < 0 ? [...outline].reverse() : [...outline];
export const edgesOf = (outline: readonly Vec2[]): Edge[] =>
  outline.map((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    const l = Math.hypot(b[0] - a[0], b[1] - a[1]);
    return { i, a, b, n: [(b[1] - a[1]) / l, -(b[0] - a[0]) / l] };
  });
/** Which corners turn inwards. */
export const reflexCorners = (outline: readonly Vec2[]): boolean[] =>
  outline.map((p, i) => {
    const o = outline[(i + outline.length - 1) % outline.length]!;
    const q = outline[(i + 1) % outline.length]!;
    return (p[0] - o[0]) * (q[1] - p[1]) - (p[1] - o[1]) * (q[0] - p[0]) < 0;
  });

/** Where lines along one axis lie inside: pairs of places, with the edges they end on. */
export function insideOf(
  edges: readonly Edge[],
  axis: 0 | 1,
  at: number,
): { from: number; to: number; first: Edge; last: Edge }[] {
  const other = axis === 0 ? 1 : 0;
  const met = edges
    .filter((e) => e.a[axis] <= at !== e.b[axis] <= at)
    .map((e) => ({
      e,
      x: e.a[other] + ((e.b[other] - e.a[other]) * (at - e.a[axis])) / (e.b[axis] - e.a[axis]),
    }))
    .sort((m, n) => m.x - n.x);
  return met.flatMap((m, i) =>
    i % 2 === 0 && met[i + 1] ? [{ from: m.x, to: met[i + 1]!.x, first: m.e, last: met[i + 1]!.e }] : [],
  );
}

/** What of a shape lies behind the inner side of an edge's rim. */
function behindRim(shape: readonly Vec2[], e: Edge, w: number): Vec2[] {
  const at = (p: Vec2): number => (e.a[0] - p[0]) * e.n[0] + (e.a[1] - p[1]) * e.n[1] - w;
  return shape.flatMap((p, i): Vec2[] => {
    const q = shape[(i + 1) % shape.length]!;
    const [a, b] = [at(p), at(q)];
    const out: Vec2[] = a >= 0 ? [p] : [];
    if (a * b < 0) out.push([p[0] + ((q[0] - p[0]) * a) / (a - b), p[1] + ((q[1] - p[1]) * a) / (a - b)]);
    return out;
  });
}
/** Whether a joist across p ends on the inner side of an edge's rim, between its mitres. */
function onRim(edges: readonly Edge[], e: Edge, at: number, half: number, w: number): boolean {
  const inner = (x: Edge, y: Edge): number => {
    // where the inner sides of two rims meet: n · p = n · a − w for both
    const [d, c] = [x, y].map((z) => z.n[0] * z.a[0] + z.n[1] * z.a[1] - w) as [number, number];
    const det = x.n[0] * y.n[1] - x.n[1] * y.n[0];
    return Math.abs(det) < ALIKE ? y.a[0] : (d * y.n[1] - c * x.n[1]) / det;
  };
  const n = edges.length;
  const ends = [inner(edges[(e.i + n - 1) % n]!, e), inner(e, edges[(e.i + 1) % n]!)];
  return at - half > Math.min(...ends) + 0.02 && at + half < Math.max(...ends) - 0.02;
}

/** Rims along every edge, mitred at the corners, joists between them, blocking in rows, planks cut to the outline. */
export function frameOutline(b: Local, l: BuildingLayout, f: OutlineFloor, lifts = true): void {
  const { v, t, mm } = l;
  const { joist, plank } = t;
  const edges = edgesOf(f.outline);
  const top = f.top - plank.w;
  const loose = { loose: lifts };
  const rim = (e: Edge): string => `${f.root}/rim/${e.i + 1}`;
  // a rim runs with the outside to its right: its +w looks out
  for (const e of edges)
    b.stick({
      id: rim(e),
      assembly: f.root,
      role: "rim joist",
      letter: "RJ",
      timber: joist,
      a: [...e.a, top],
      b: [...e.b, top],
      up: [0, 0, 1],
      seat: ["+", "+"],
      ...loose,
    });
  edges.forEach((e, i) => {
    const next = edges[(i + 1) % edges.length]!;
    b.join({ kind: "mitre", id: `${rim(e)}>next`, a: rim(e), end: 1, b: rim(next), bEnd: 0, contact: "face" });
  });
  const half = joist.w / 2;
  const ps = f.outline.map((c) => c[0]);
  const [p0, p1] = [Math.min(...ps), Math.max(...ps)];
  interface Piece {
    readonly id: string;
    readonly p: number;
    readonly from: number;
    readonly to: number;
  }
  const joists: Piece[] = [];
  for (let p = p0 + mm(v.joistSpacing), n = 1; p < p1 - NEAR; p += mm(v.joistSpacing), n++) {
    // beside a corner it steps clear of it
    const near = ps.find((x) => Math.abs(x - p) < joist.w + 0.1);
    const at = near === undefined ? p : near + (p >= near ? 1 : -1) * (joist.w + 0.1);
    const sides = [at - half, at, at + half].map((x) => insideOf(edges, 0, x));
    sides[1]!.forEach((m, k) => {
      const all = sides.map((s) => s[k]).filter((x) => x !== undefined);
      const shortest = Math.min(...all.map((x) => x.to)) - Math.max(...all.map((x) => x.from));
      // between rims that lie nearly along it there is no room
      const steep = Math.max(...[m.first, m.last].map((e) => Math.abs(e.n[0])));
      if (all.length < 3 || shortest < 6 * joist.w || steep > 0.94) return;
      const inner = (e: Edge): number => joist.w / Math.max(0.2, Math.abs(e.n[1]));
      const [lo, hi] = [
        Math.max(...all.map((x) => x.from)) + inner(m.first),
        Math.min(...all.map((x) => x.to)) - inner(m.last),
      ];
      // a rim beside it may reach into it at a corner: as far as the rims it ends on
      const [low, high] = [Math.min(...all.map((x) => x.from)), Math.max(...all.map((x) => x.to))];
      const own = [m.first, m.last].reduce<Vec2[]>(
        (shape, e) => behindRim(shape, e, joist.w),
        [
          [at - half, low],
          [at + half, low],
          [at + half, high],
          [at - half, high],
        ],
      );
      const meets = (e: Edge): boolean => {
        const [dx, dy] = [-e.n[0] * joist.w, -e.n[1] * joist.w];
        const band: Vec2[] = [e.a, e.b, [e.b[0] + dx, e.b[1] + dy], [e.a[0] + dx, e.a[1] + dy]];
        return Math.abs(polygonArea(clipPolygon(own, band))) > NEAR;
      };
      if (
        hi - lo < 4 * joist.w ||
        ![m.first, m.last].every((e) => onRim(edges, e, at, half, joist.w)) ||
        edges.some((e) => e !== m.first && e !== m.last && meets(e))
      )
        return;
      const id = `${f.root}/joist/${n}${k > 0 ? ("bcdef"[k - 1] ?? `-${k + 1}`) : ""}`;
      b.stick({
        id,
        assembly: f.root,
        role: "joist",
        letter: "JO",
        timber: joist,
        a: [at, m.from, top],
        b: [at, m.to, top],
        up: [0, 0, 1],
        seat: ["+", "centre"],
        ...loose,
      });
      b.join(buttJoint(id, 0, rim(m.first), "-w", "line"));
      b.join({ ...buttJoint(id, 1, rim(m.last), "-w", "line"), id: `${id}>far` });
      joists.push({ id, p: at, from: lo, to: hi });
    });
  }
  const qs = f.outline.map((c) => c[1]);
  const [q0, q1] = [Math.min(...qs), Math.max(...qs)];
  for (let row = 1; row <= v.floorBlocking; row++) {
    const q = q0 + ((q1 - q0) * row) / (v.floorBlocking + 1);
    joists.forEach((j, i) => {
      const next = joists.find(
        (x, n) => n > i && x.p > j.p + NEAR && x.from < q - joist.w * 2 && x.to > q + joist.w * 2,
      );
      if (!next || next.p - j.p > mm(v.joistSpacing) * 1.5 || j.from > q - joist.w * 2 || j.to < q + joist.w * 2)
        return;
      if (next.p - j.p < 2 * joist.w) return;
      const clear = insideOf(edges, 1, q).some((s) => s.from < j.p && s.to > next.p);
      if (!clear) return;
      const step = v.blockingSet === "staggered" ? ((i % 2 ? 1 : -1) * joist.w) / 2 : 0;
      const id = `${f.root}/blocking/${row}-${i + 1}`;
      b.stick({
        id,
        assembly: f.root,
        role: "blocking",
        letter: "B",
        timber: joist,
        a: [j.p, q + step, top],
        b: [next.p, q + step, top],
        up: [0, 0, 1],
        seat: ["+", "centre"],
        ...loose,
      });
      b.join(buttJoint(id, 0, j.id, "+w"));
      b.join({ ...buttJoint(id, 1, next.id, "-w"), id: `${id}>far` });
    });
  }
  planks(b, l, f, f.planked ? edgesOf(f.planked) : edges, joists, lifts);
}

/** What of a row lies together, from where to where: spans that share an edge, or overlap from one level to the next. */
function together(levels: readonly (readonly ReturnType<typeof insideOf>[number][])[]): [number, number][] {
  const groups: { spans: { level: number; s: ReturnType<typeof insideOf>[number] }[] }[] = [];
  levels.forEach((spans, level) => {
    for (const s of spans) {
      const joined = groups.filter((g) =>
        g.spans.some(
          (o) =>
            o.s.first === s.first ||
            o.s.last === s.last ||
            (o.level === level - 1 && o.s.from < s.to - NEAR && o.s.to > s.from + NEAR),
        ),
      );
      const into = joined[0] ?? { spans: [] };
      if (!joined[0]) groups.push(into);
      into.spans.push({ level, s });
      for (const g of joined.slice(1)) {
        into.spans.push(...g.spans);
        groups.splice(groups.indexOf(g), 1);
      }
    }
  });
  return groups.map((g): [number, number] => [
    Math.min(...g.spans.map((x) => x.s.from)),
    Math.max(...g.spans.map((x) => x.s.to)),
  ]);
}

/** Rows of planks; ends and corners are cut along the outline, inner corners notched out. */
function planks(
  b: Local,
  l: BuildingLayout,
  f: OutlineFloor,
  edges: readonly Edge[],
  joists: readonly { readonly id: string; readonly p: number; readonly from: number; readonly to: number }[],
  lifts: boolean,
): void {
  const { v, t, mm } = l;
  const { plank } = t;
  const step = plank.v + mm(v.plankGap);
  const outline = f.planked ?? f.outline;
  const reflex = reflexCorners(outline);
  const qs = outline.map((c) => c[1]);
  const [q0, q1] = [Math.min(...qs), Math.max(...qs)];
  // what lies outside of an edge, as a pocket is bounded
  const pocket = (e: Edge): string =>
    b.datum(`${f.root}/pocket-${e.i + 1}`, planeAt([...e.a, 0], [-e.n[0], -e.n[1], 0]));
  const datum = (e: Edge): string => b.datum(`${f.root}/edge-${e.i + 1}`, planeAt([...e.a, 0], [...e.n, 0]));
  for (let i = 0; q0 + i * step < q1 - 0.1; i++) {
    const [lo, hi] = [q0 + i * step, Math.min(q0 + i * step + plank.v, q1)];
    const levels = [
      lo + NEAR,
      hi - NEAR,
      (lo + hi) / 2,
      ...qs.filter((q) => q > lo && q < hi).flatMap((q) => [q - NEAR, q + NEAR]),
    ];
    const parts = together([...levels].sort((m, n) => m - n).map((q) => insideOf(edges, 1, q)));
    const carried = joists.filter((j) => j.from < (lo + hi) / 2 && j.to > (lo + hi) / 2);
    parts.forEach((range, k) => {
      // broken where the whole width of the row lies inside
      const whole = (p: number): boolean =>
        levels.every((q) => insideOf(edges, 1, q).some((x) => x.from < p - NEAR && x.to > p + NEAR));
      const breaks = boardBreaks(range, carried.map((j) => j.p).filter(whole), mm(v.plankLength), i);
      breaks.slice(1).forEach((to, j) => {
        const from = breaks[j]!;
        const bounds = edges.filter(
          (e) =>
            Math.min(e.a[1], e.b[1]) < hi - NEAR &&
            Math.max(e.a[1], e.b[1]) > lo + NEAR &&
            Math.min(e.a[0], e.b[0]) < to + NEAR &&
            Math.max(e.a[0], e.b[0]) > from - NEAR,
        );
        const id = `${f.root}/plank/${i + 1}-${k + 1}${j > 0 ? `-${j + 1}` : ""}`;
        // edges that meet in inner corners of this piece bound pockets cut out of it
        const corner = (e: Edge): boolean =>
          reflex[e.i]! && e.a[1] > lo + NEAR && e.a[1] < hi - NEAR && e.a[0] > from + NEAR && e.a[0] < to - NEAR;
        const pockets: Edge[][] = [];
        for (const e of bounds) {
          if (!corner(e)) continue;
          const before = edges[(e.i + edges.length - 1) % edges.length]!;
          const known = pockets.find((x) => x.includes(before) || x.includes(e));
          if (known) known.push(...[before, e].filter((x) => !known.includes(x)));
          else pockets.push([before, e]);
        }
        const pocketed = pockets.flat();
        const ends = bounds.filter((e) => !pocketed.includes(e));
        const cut = (end: 0 | 1): boolean => ends.some((e) => sideOf(e) === `end${end}`);
        b.stick({
          id,
          assembly: f.root,
          role: "plank",
          letter: "PL",
          timber: plank,
          a: [from, lo, f.top],
          b: [to, lo, f.top],
          up: [0, 1, 0],
          seat: ["-", "+"],
          ends: [
            j === 0 && cut(0) ? undefined : { kind: "square", beyond: 0 },
            j === breaks.length - 2 && cut(1) ? undefined : { kind: "square", beyond: 0 },
          ],
          loose: lifts,
        });
        for (const e of ends)
          b.join({ kind: "trim", id: `${id}/edge${e.i + 1}`, a: id, datum: datum(e), as: sideOf(e), contact: "gap" });
        if (hi < lo + plank.v - NEAR && !ends.some((e) => sideOf(e) === "length"))
          b.join({
            kind: "trim",
            id: `${id}/rip`,
            a: id,
            datum: b.datum(`${f.root}/far`, { n: [0, 1, 0], d: q1 }),
            as: "length",
            contact: "gap",
          });
        pockets.forEach((x, n) =>
          b.join({
            kind: "notch",
            id: `${id}>corner${n + 1}`,
            a: id,
            b: `${f.root}/rim/1`,
            contact: "gap",
            faces: x.map((e) => ({ datum: pocket(e) })),
          }),
        );
        const on = [
          ...joists.filter((x) => x.p > from - NEAR && x.p < to + NEAR && x.from < hi && x.to > lo).map((x) => x.id),
          ...bounds.map((e) => `${f.root}/rim/${e.i + 1}`),
        ];
        for (const m of on) b.join(lies(id, m));
      });
    });
  }
}
const lies = (id: string, on: string): Joint => touching(id, on, "-w" as Face, "+v" as Face);
/** What of a plank along p an edge cuts. */
const sideOf = (e: Edge): "end0" | "end1" | "length" =>
  Math.abs(e.n[0]) < 0.2 ? "length" : e.n[0] < 0 ? "end0" : "end1";
