import { nominalMm } from "../../lumber";
import { envelope, stockFace, type Face, type Member } from "../../frame";
import { addScaled, cross, distance, normalize, sub, type Vec3, ALIKE, NEAR } from "../../geometry";
import { prototype, toModel } from "../../units";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { contactOf, layOnTwo, type Support } from "../lay";
import { timberOf, type Timber } from "../timber";
import { bentLayout, postAt, type BentLayout, type PostLine } from "../trestle/layout";
import { bentPoint, bentRoot } from "./bentPlace";
import type { BentPlace, TrestleLayout } from "./layout";
import type { TrestleValues } from "./parameters";

/** Whether a bay, counted from 0, has longitudinal braces. */
export const bayBraced = (v: TrestleValues, bay: number): boolean =>
  v.braces === "every" || ((v.braces === "alternate" || v.braces === "towers") && bay % 2 === 0);

/** Longitudinal girts at each story line and diagonal braces on the outer posts, bay by bay. */
export function bracing(b: Builder, v: TrestleValues, ctx: Context, l: TrestleLayout): void {
  const members = new Map(b.members.map((m) => [m.id, m]));
  l.bents.slice(1).forEach((to, bay) => {
    const from = l.bents[bay]!;
    if (v.girts !== "none" && (v.braces !== "towers" || bayBraced(v, bay))) girts(b, v, ctx, l, from, to, members);
    if (bayBraced(v, bay)) braces(b, v, ctx, l, from, to, members);
  });
}

/** Height of story line i (from 0) under the top of the cap, model mm. */
const lineZ = (at: BentPlace, l: TrestleLayout, i: number): number =>
  -l.mm(at.values.storyHeights.slice(0, i + 1).reduce((s, h) => s + h, 0));

/** How far a straight stick reaches along the track over all, model mm. */
const thick = (m: Member | undefined): number =>
  m?.body.shape === "straight" ? envelope(m.body.components).size[1] : 0;

/** Girts between the horizontals of neighbouring bents, cut to their faces. */
function girts(
  b: Builder,
  v: TrestleValues,
  ctx: Context,
  l: TrestleLayout,
  from: BentPlace,
  to: BentPlace,
  members: ReadonlyMap<string, Member>,
): void {
  const timber = timberOf(v.girt, ctx.stock(v.girt));
  const between = from.values.between;
  const count = Math.min(from.values.stories, to.values.stories) - 1;
  const lay = bentLayout(from.values);
  const posts = v.girts === "every" ? lay.posts : [lay.posts[0]!, lay.posts[lay.posts.length - 1]!];
  const on = (at: BentPlace, level: number, front: boolean): string =>
    `${bentRoot(ctx.structure, at)}/level${level + 1}/${between === "solid" ? "sill" : `sash/${front ? "front" : "back"}`}`;
  for (let i = 0; i < count; i++)
    for (const p of posts) {
      const id = `${ctx.structure}/bay${from.number}/girt${i + 1}/${p.name}`;
      const point = (at: BentPlace): Vec3 => {
        const z = lineZ(at, l, i);
        return bentPoint(at)([0, l.mm(postAt(p, z * ctx.scale.ratio, lay.capUnder)), z]);
      };
      const sills = [on(from, i, true), on(to, i, false)] as const;
      const target = members.get(sills[0]);
      const [p0, p1] = [point(from), point(to)];
      if (!target || !members.has(sills[1])) continue;
      b.stick({
        id,
        assembly: `${ctx.structure}/bay${from.number}`,
        role: "girt",
        letter: "G",
        timber,
        a: p0,
        b: p1,
        up: [0, 0, 1],
      });
      // on a grade a girt runs from middle to middle, and meets the faces a little above the one and below the other
      const steep = Math.abs(p1[2] - p0[2]) / Math.hypot(p1[0] - p0[0], p1[1] - p0[1]);
      const part = target.body.shape === "straight" ? target.body.components[0]! : undefined;
      const off = timber.v * Math.hypot(1, steep) + steep * (part?.w ?? 0);
      const contact = off <= (part?.v ?? 0) + ALIKE ? "face" : "line";
      // one deeper than the sill meets the posts over and under it where they stand proud of the sill's sides
      const proud = (at: BentPlace, over: boolean): string | undefined => {
        const post = `${bentRoot(ctx.structure, at)}/story${i + (over ? 1 : 2)}/post/${p.name}`;
        return between === "solid" && contact === "line" && thick(members.get(post)) > thick(target) + NEAR
          ? post
          : undefined;
      };
      b.join({
        kind: "butt",
        id: `${id}>0`,
        a: id,
        end: 0,
        b: proud(from, p1[2] >= p0[2]) ?? sills[0],
        face: "+w",
        contact,
      });
      b.join({
        kind: "butt",
        id: `${id}>1`,
        a: id,
        end: 1,
        b: proud(to, p1[2] <= p0[2]) ?? sills[1],
        face: "-w",
        contact,
      });
    }
}

/** Diagonals that lie on the outer posts of both bents: on each side the way that the sway braces leave free. */
function braces(
  b: Builder,
  v: TrestleValues,
  ctx: Context,
  l: TrestleLayout,
  from: BentPlace,
  to: BentPlace,
  members: ReadonlyMap<string, Member>,
): void {
  const timber = timberOf(v.brace, ctx.stock(v.brace));
  const lay = bentLayout(from.values);
  const [left, right] = [lay.posts[0]!, lay.posts[lay.posts.length - 1]!];
  const stories = Math.min(from.values.stories, to.values.stories);
  for (let s = 0; s < stories; s++)
    for (const p of [left, right]) {
      // the front sway brace leaves the foot free on the right-hand side (-y), the top on the other
      const rises = p === left;
      const ends = braceEnds(v, ctx, l, [from, to], p, s, rises, timber, members);
      if (!ends) continue;
      const posts = [members.get(ends[0].post), members.get(ends[1].post)] as const;
      if (!posts[0] || !posts[1]) continue;
      // at a skew bent the sway braces leave no room on the inside
      const skew = (from.number === 1 && v.skewStart !== 0) || (to.number === l.bents.length && v.skewEnd !== 0);
      for (const where of v.braceFaces === "both" && !skew
        ? (["outside", "inside"] as const)
        : (["outside"] as const)) {
        const face: Face = (p === left) === (where === "outside") ? "+v" : "-v";
        layBrace(b, ctx, {
          id: `${ctx.structure}/bay${from.number}/story${s + 1}/brace/${p.name}/${where}`,
          bay: from.number,
          posts: [posts[0], posts[1]],
          at: [ends[0].at, ends[1].at],
          face,
          timber,
        });
      }
    }
}

/** Half width of a round's flat over its radius: tan 11.25° for 16 flats. */
const FLAT = Math.tan(Math.PI / 16);

interface BraceSeed {
  readonly id: string;
  readonly bay: number;
  readonly posts: readonly [Member, Member];
  /** On the posts' centre lines. */
  readonly at: readonly [Vec3, Vec3];
  readonly face: Face;
  readonly timber: Timber;
}

function layBrace(b: Builder, ctx: Context, s: BraceSeed): void {
  const support = (m: Member): Support => {
    // of a round only the flat towards the brace bears
    const inset = m.body.shape === "round" ? (m.body.diameter / 2) * (1 - FLAT) : 0;
    const side = (f: Face) => {
      const p = stockFace(m, f);
      return { n: p.n, d: p.d - inset };
    };
    return { face: stockFace(m, s.face), sides: [side("-w"), side("+w")] };
  };
  const on = [support(s.posts[0]), support(s.posts[1])] as const;
  const foot = (i: 0 | 1): Vec3 => {
    const f = on[i].face;
    const p = s.at[i];
    return addScaled(p, f.n, f.d - (p[0] * f.n[0] + p[1] * f.n[1] + p[2] * f.n[2]));
  };
  const out = normalize([0, 1, 2].map((k) => on[0].face.n[k]! + on[1].face.n[k]!) as unknown as Vec3);
  const laid = layOnTwo(on, foot(0), foot(1), out, s.timber.v);
  const d = normalize(sub(laid.b, laid.a));
  b.stick({
    id: s.id,
    assembly: `${ctx.structure}/bay${s.bay}`,
    role: "longitudinal brace",
    letter: "N",
    timber: s.timber,
    a: laid.a,
    b: laid.b,
    up: cross(laid.out, d),
    seat: ["centre", "-"],
  });
  ([0, 1] as const).forEach((end) =>
    b.join({
      kind: "lap",
      id: `${s.id}>${end}`,
      a: s.id,
      b: s.posts[end].id,
      aFace: "-w",
      bFace: s.face,
      contact: s.posts[end].body.shape === "round" ? "line" : contactOf(laid.gaps[end]),
      finish: { end, finish: "flush", beyond: 0, past: end === 0 ? "-w" : "+w" },
      remedy: "The posts do not lie in one plane: shim the brace or dress the post.",
    }),
  );
}

type Bents = readonly [BentPlace, BentPlace];
type BraceEnd = { readonly post: string; readonly at: Vec3 };

/** Where a brace's centre line meets the posts at both ends, clear of what is above and below; undefined where the story is too low for two that share a post. */
function braceEnds(
  v: TrestleValues,
  ctx: Context,
  l: TrestleLayout,
  bents: Bents,
  p: PostLine,
  story: number,
  rises: boolean,
  brace: Timber,
  members: ReadonlyMap<string, Member>,
): readonly [BraceEnd, BraceEnd] | undefined {
  const rooms = bents.map((at) => room(v, ctx, l, at, p, story));
  const post = members.get(rooms[0]!.post);
  if (!post) return undefined;
  const thick = post.body.shape === "round" ? post.body.diameter : timberOf(v.post, ctx.stock(v.post)).w;
  const lay = bentLayout(bents[0].values);
  const foot = (at: BentPlace): Vec3 => bentPoint(at)([0, l.mm(postAt(p, lay.capUnder, lay.capUnder)), 0]);
  const [here, there] = [foot(bents[0]), foot(bents[1])];
  const run = Math.hypot(there[0] - here[0], there[1] - here[1]) - thick;
  const skew = Math.abs(bents[1].place.heading - bents[0].place.heading);
  // on a battered post a brace leans: outside it stands higher than the post's middle, inside lower
  const out = post.body.shape === "round" ? post.body.diameter / 2 : timberOf(v.post, ctx.stock(v.post)).v / 2;
  const leans = ((out + brace.w) * Math.abs(p.lean)) / Math.hypot(1, p.lean);
  const [clearTop, clearFoot] = [l.mm(v.swayTop) + leans, l.mm(v.swayBottom) + leans];
  // the steeper the brace, the taller its crossing with the post
  let half: number = brace.v;
  let zs: readonly [number, number] = [0, 0];
  for (let i = 0; i < 8; i++) {
    const [at, to] = bents.map((x, k) => {
      const r = rooms[k]!;
      return x.cap[2] + ((k === 0) === rises ? r.foot + clearFoot + half : r.top - clearTop - half);
    }) as [number, number];
    zs = [at, to];
    const steep = Math.abs(to - at) / run;
    half =
      (brace.v / 2) * Math.hypot(1, steep) + (((thick / 2) * 1.05 + brace.v * Math.tan(skew)) * steep) / Math.cos(skew);
  }
  if (rooms.some((r) => r.top - r.foot < clearTop + clearFoot + 4.2 * half)) return undefined;
  // at the other end of the same post a sway brace comes by, on the side that looks into this bay
  const rise = Math.abs(zs[1] - zs[0]) / run;
  const upTo = half + leans + rise * timberOf(v.swayBrace, ctx.stock(v.swayBrace)).w;
  const meets = bents.some((at, k) => {
    const id = `${bentRoot(ctx.structure, at)}/story${story + 1}/sway/${k === 0 ? "front" : "back"}`;
    const onPost = (z: number): Vec3 =>
      bentPoint(at)([0, l.mm(postAt(p, (z - at.cap[2]) * ctx.scale.ratio, lay.capUnder)), z - at.cap[2]]);
    // it leans with its post: its corner reaches further in than its thickness
    const deep = brace.w + (half * Math.abs(p.lean)) / Math.hypot(1, p.lean);
    const edge = swayEdge(v, ctx, l, lay, deep, members.get(id), foot(at), onPost);
    return edge && (edge.atTop ? zs[k]! + upTo > edge.z : zs[k]! - upTo < edge.z);
  });
  if (meets) return undefined;
  // on steep ground it comes down past the foot of the higher bent, whose mudsills reach out along the track
  const reach = v.bentKind === "framed" && v.footing === "mudsill" ? l.mm(v.mudsillLength) / 2 : 0;
  const past = bents.some((at, k) => {
    const there = zs[k]! + ((zs[1 - k]! - zs[k]!) * reach) / (run + thick);
    return zs[k]! > at.footZ && there - half < at.footZ;
  });
  if (past) return undefined;
  return bents.map((at, k): BraceEnd => {
    const z = zs[k]! - at.cap[2];
    return {
      post: rooms[k]!.post,
      at: bentPoint(at)([0, l.mm(postAt(p, z * ctx.scale.ratio, lay.capUnder)), z]),
    };
  }) as unknown as readonly [BraceEnd, BraceEnd];
}

/** How far towards the middle of its story a sway brace comes on an outer post and on a brace so thick that lies inside it, model mm: the height of its edge there. Undefined where there is none. */
function swayEdge(
  v: TrestleValues,
  ctx: Context,
  l: TrestleLayout,
  lay: BentLayout,
  brace: number,
  sway: Member | undefined,
  post: Vec3,
  onPost: (z: number) => Vec3,
): { readonly z: number; readonly atTop: boolean } | undefined {
  if (sway?.body.shape !== "straight") return undefined;
  const { a, b } = sway.body;
  const [own, other] = distance([post[0], post[1], a[2]], a) < distance([post[0], post[1], b[2]], b) ? [a, b] : [b, a];
  const steep = Math.abs(b[2] - a[2]) / Math.hypot(b[0] - a[0], b[1] - a[1]);
  const { v: wide } = timberOf(v.swayBrace, ctx.stock(v.swayBrace));
  // its line may end beyond the post's
  const [q, run] = [onPost(own[2]), Math.hypot(b[0] - a[0], b[1] - a[1])];
  const beyond = ((own[0] - q[0]) * (own[0] - other[0]) + (own[1] - q[1]) * (own[1] - other[1])) / run;
  const reach = (wide / 2) * Math.hypot(1, steep) + (l.mm(lay.outerHalf) + brace + Math.max(0, beyond)) * steep;
  const atTop = own[2] > other[2];
  return { z: own[2] + (atTop ? -reach : reach), atTop };
}

/** The post of a story, and the heights under the top of the cap between which it is free. */
function room(
  v: TrestleValues,
  ctx: Context,
  l: TrestleLayout,
  at: BentPlace,
  p: PostLine,
  story: number,
): { readonly post: string; readonly top: number; readonly foot: number } {
  const values = at.values;
  const lay = bentLayout(values);
  const root = bentRoot(ctx.structure, at);
  const solid = values.between !== "sash";
  const deep = (name: string): number => timberOf(name, ctx.stock(name)).v;
  const half = Math.max(values.between === "solid" ? 0 : deep(v.sash), solid ? deep(v.middleSill) : 0) / 2;
  const tall = (n: number): number => toModel(ctx.scale, prototype(n));
  const out = Math.abs(tall(postAt(p, lay.capUnder, lay.capUnder))) + l.mm(nominalMm(values.post).width);
  const tilted = out * Math.tan(Math.abs(at.capTilt));
  return {
    post: !solid || values.stories === 1 ? `${root}/post/${p.name}` : `${root}/story${story + 1}/post/${p.name}`,
    top: story === 0 ? -l.timbers.cap.v / Math.cos(at.capTilt) - tilted : lineZ(at, l, story - 1) - half,
    foot:
      story < values.stories - 1
        ? lineZ(at, l, story) + half
        : v.bentKind === "pile"
          ? at.footZ - at.cap[2] + Math.abs((tall(postAt(p, lay.sillTop, lay.capUnder)) * v.crossfall) / 100)
          : -tall(values.height) + deep(v.sill),
  };
}
