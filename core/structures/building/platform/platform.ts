import type { Member } from "../../../frame";
import { polygonArea, type Vec2, NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import { frameFloor } from "../floors/floor";
import { edgesOf, frameOutline, insideOf } from "../floors/outlineFloor";
import type { SideName } from "../parameters";
import { onWall, sideFrame } from "../plan/sides";
import { rootOf, type BuildingLayout, type Wall } from "../plan/layout";
import { inverse, placed, quartersOf, type Placement } from "../../place";
import { buttJoint, touching } from "../walls/wallKit";

/** Which way round a side of the main part lies: all that what stands outside of it needs of a wall. */
type SideLine = Pick<Wall, "origin" | "e" | "n" | "length">;
const COMPASS = { front: "S", right: "E", back: "N", left: "W" } as const;

/** A wall of the main part by its name; of a floor alone the line of that side. */
export const wallNamed = (l: BuildingLayout, side: string): SideLine =>
  l.main.walls.find((w) => w.name === side) ?? sideFrame(l.main.p, l.main.q, COMPASS[side as SideName]);

/** Platforms along the walls of the main part: joists, rims and planks on beams and posts down to the ground; round wings and bays that stand in them. */
export function platforms(b: Builder, l: BuildingLayout): void {
  const { v, t, mm } = l;
  v.wings.forEach((w, i) => {
    if (w.kind !== "platform") return;
    const wall = wallNamed(l, w.side);
    const root = rootOf(l, `platform${i + 1}`);
    const middle = mm(w.at) + mm(w.length) / 2;
    const [x, y] = onWall(wall, middle, 0, 0);
    const place: Placement = { quarters: quartersOf(wall.e), at: [x, y] };
    const local = placed(b, place);
    const half = mm(w.length) / 2;
    const p = [-half, half] as const;
    const q = [-mm(w.depth), -l.proud - mm(v.plankGap)] as const;
    const top = mm(w.height);
    const over = mm(v.plankOver);
    const inside = footprints(l, w.side, middle);
    const wide = Math.max(t.sillBeam.v, t.pier.v) / 2;
    if (!inside.some((f) => f[0]![0] < p[1] && f[3]![0] > p[0])) {
      frameFloor(local, l, { root, p, q, top, loose: true, over });
      const beams = [q[0] + wide, q[1] - wide].map((at) => ({ q: at, from: p[0], to: p[1] }));
      carry(b, l, place, root, top, beams);
      return;
    }
    outlinesRound(p, q, inside).forEach((outline, n) => {
      const own = n === 0 ? root : `${root}-${n + 1}`;
      // planks hang over its outer edges, not where it meets a wall
      const planked = outline.map(([x, y]): Vec2 => [
        x < p[0] + NEAR ? x - over : x > p[1] - NEAR ? x + over : x,
        y < q[0] + NEAR ? y - over : y,
      ]);
      frameOutline(local, l, { root: own, top, outline, planked });
      // under every rim along the wall: the front, the wall's side, before what stands in it
      const edges = edgesOf(outline);
      const lines = edges.filter((e) => Math.abs(e.n[1]) > 1 - NEAR).map((e) => e.a[1] - Math.sign(e.n[1]) * wide);
      const beams = [...new Set(lines.map((x) => Math.round(x * 1e6) / 1e6))].flatMap((at) =>
        insideOf(edges, 1, at).map(({ from, to }) => ({ q: at, from, to })),
      );
      carry(b, l, place, own, top, beams);
    });
  });
}
/**
 * A rectangle less what stands in it from its upper side, each given by its corners from left to right: one outline, or one
 * to each side of what is as deep as the rectangle. Counter-clockwise.
 */
function outlinesRound(
  p: readonly [number, number],
  q: readonly [number, number],
  inside: readonly Vec2[][],
): Vec2[][] {
  // prettier-ignore
  const cut = ([x0, y0]: Vec2, [x1, y1]: Vec2, y: number): Vec2 => [x0 + ((x1 - x0) * (y - y0)) / (y1 - y0), y];
  const free = (x: number): boolean => !inside.some((f) => f[0]![0] <= x && f[3]![0] >= x);
  const chain: Vec2[] = free(p[0]) ? [[p[0], q[1]]] : [];
  for (const f of [...inside].sort((m, n) => m[0]![0] - n[0]![0])) {
    const line = [cut(f[0]!, f[1]!, q[1]), f[1]!, f[2]!, cut(f[2]!, f[3]!, q[1])];
    chain.push(...clipLine(line, p[0], p[1]));
  }
  if (free(p[1])) chain.push([p[1], q[1]]);
  // what stands at an end leaves no edge there
  const drop = (i: 0 | -1, next: 1 | -2): boolean =>
    chain.length > 2 && Math.abs(chain.at(i)![0] - chain.at(next)![0]) < NEAR;
  while (drop(0, 1)) chain.shift();
  while (drop(-1, -2)) chain.pop();
  const runs: Vec2[][] = [[]];
  chain.forEach((at, i) => {
    const next = chain[i + 1];
    const [here, there] = [at[1] > q[0] + NEAR, next && next[1] > q[0] + NEAR];
    if (here) runs[runs.length - 1]!.push(at);
    if (!next || here === there) return;
    const edge = cut(at, next, q[0]);
    runs[runs.length - 1]!.push(edge);
    if (here) runs.push([]);
  });
  return runs.flatMap((run): Vec2[][] => {
    if (run.length < 2) return [];
    const around: Vec2[] = [[run[0]![0], q[0]], [run[run.length - 1]![0], q[0]], ...run.reverse()];
    const corners = around.filter(
      (c, i) => Math.hypot(c[0] - around.at(i - 1)![0], c[1] - around.at(i - 1)![1]) > NEAR,
    );
    return Math.abs(polygonArea(corners)) > NEAR ? [corners] : [];
  });
}
/** What of a line that runs to greater x lies between two of them. */
function clipLine(line: readonly Vec2[], lo: number, hi: number): Vec2[] {
  return line.flatMap((at, i): Vec2[] => {
    const out: Vec2[] = at[0] >= lo && at[0] <= hi ? [at] : [];
    const next = line[i + 1];
    if (!next) return out;
    for (const x of [lo, hi])
      if (at[0] < x !== next[0] < x && at[0] !== x && next[0] !== x) {
        const f = (x - at[0]) / (next[0] - at[0]);
        out.push([x, at[1] + (next[1] - at[1]) * f]);
      }
    return out;
  });
}

/** What of the plan wings and bays against a wall take, with room for what stands out from their walls, in the axes of a platform whose middle is there: p along the wall, q outward below 0. */
function footprints(l: BuildingLayout, side: string, middle: number): Vec2[][] {
  const { v, mm } = l;
  const m = l.proud + mm(v.plankGap);
  return v.wings.flatMap((w): Vec2[][] => {
    if (w.side !== side || !["gable", "lean", "bay"].includes(w.kind)) return [];
    const [from, to, deep] = [mm(w.at) - middle, mm(w.at) + mm(w.length) - middle, mm(w.depth)];
    const angle = w.kind === "bay" ? (v.baySlant * Math.PI) / 180 : Math.PI / 2;
    const [back, half, out] = [deep / Math.tan(angle), Math.tan(angle / 2), m / Math.sin(angle)];
    return [
      [
        [from - out, 0],
        [from + back - m * half, -deep - m],
        [to - back + m * half, -deep - m],
        [to + out, 0],
      ],
    ];
  });
}

/** Beams under a platform's joists, on posts down to the ground. Along p at a q of the platform's axes, model mm. */
function carry(
  b: Builder,
  l: BuildingLayout,
  place: Placement,
  root: string,
  top: number,
  beams: readonly { readonly q: number; readonly from: number; readonly to: number }[],
): void {
  const { v, t, mm } = l;
  const local = placed(b, place);
  const under = top - t.plank.w - t.joist.v;
  const foot = under - t.sillBeam.w;
  const wide = Math.max(t.sillBeam.v, t.pier.v) / 2;
  // between rims thicker than the beams are wide the joists hang from the rims
  const hung = t.joist.w > wide + t.sillBeam.v / 2 - NEAR;
  const posts = beams.map(({ q, from, to }) => {
    const n = Math.max(1, Math.round((to - from - t.pier.w) / mm(v.pierSpacing)));
    return Array.from({ length: n + 1 }, (_, k) => {
      const s = from + t.pier.w / 2 + ((to - from - t.pier.w) * k) / n;
      return { s, ground: groundUnder(l, place, s, q) };
    });
  });
  // too low for beams and posts: its joists lie on sleepers of the scenery
  if (posts.flat().some((x) => foot - x.ground < 0.5)) return;
  const joists = b.members.filter((x) => x.id.startsWith(`${root}/joist/`));
  const rims = b.members.filter((x) => x.id.startsWith(`${root}/rim/`));
  beams.forEach(({ q, from, to }, k) => {
    const beam = local.stick({
      id: `${root}/beam/${k + 1}`,
      assembly: root,
      role: "beam",
      letter: "SB",
      timber: t.sillBeam,
      a: [from, q, under],
      b: [to, q, under],
      up: [0, 1, 0],
      seat: ["centre", "+"],
      square: true,
      loose: true,
    }).id;
    const crossed = joists.filter((m) => crossesLine(m, place, q, wide));
    for (const m of crossed)
      b.join({
        kind: "lap",
        id: `${m.id}>${k + 1}`,
        a: m.id,
        b: beam,
        aFace: "-v",
        bFace: "+w",
        contact: hung || crossed.length < joists.length ? "gap" : "line",
      });
    // a beam too short for a joist carries the rims
    if (crossed.length < joists.length) for (const m of rims) b.join(touching(beam, m.id, "+w", "-v"));
    posts[k]!.forEach(({ s, ground }, j) => {
      const post = local.stick({
        id: `${root}/post/${k + 1}-${j + 1}`,
        assembly: root,
        role: "foundation post",
        letter: "FP",
        timber: t.pier,
        a: [s, q, ground],
        b: [s, q, foot],
        up: [0, 1, 0],
        square: [true, false],
        loose: true,
      }).id;
      b.join(buttJoint(post, 1, beam, "-w", t.pier.v <= t.sillBeam.v + NEAR ? "face" : "line"));
    });
  });
}
/** Whether a joist lies over a beam at a q of the platform's axes. */
function crossesLine(m: Member, place: Placement, q: number, wide: number): boolean {
  if (m.body.shape !== "straight") return false;
  const [a, c] = [inverse(place, m.body.a)[1], inverse(place, m.body.b)[1]];
  return Math.min(a, c) < q + wide && Math.max(a, c) > q - wide;
}
function groundUnder(l: BuildingLayout, place: Placement, p: number, q: number): number {
  const [c, s] = [[1, 0, -1, 0][place.quarters]!, [0, 1, 0, -1][place.quarters]!];
  return l.ground(c * p - s * q + place.at[0], s * p + c * q + place.at[1]);
}
