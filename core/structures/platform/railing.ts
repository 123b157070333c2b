import { evenly } from "../../carpentry";
import { NEAR, negate, planeAt, type Vec3 } from "../../geometry";
import type { Builder } from "../builder";
import type { Timber } from "../timber";
import { touching } from "../touching";
import type { Hand } from "./hand";
import { gapsOf, railHeights, runsOf, type PlatformLayout, type SideLine } from "./layout";
import type { Side } from "./parameters";

/** A place beside an edge: from the left end, in from the edge, and over the ground. */
type Beside = readonly [along: number, inward: number, up: number];
interface Edge {
  readonly hand: Hand;
  readonly line: SideLine;
}
const place = ({ hand, line }: Edge, [t, s, z]: Beside): Vec3 => hand.at(line.from[0] + line.right[0] * t + line.inward[0] * s, line.from[1] + line.right[1] * t + line.inward[1] * s, z); // prettier-ignore
const inwards = ({ hand, line }: Edge): Vec3 => hand.dir(...line.inward);
/** Both ends of a level stick along an edge, in the order in which its thickness grows inwards when it stands on edge, and downwards when it lies. */
function along(e: Edge, from: Beside, to: Beside): readonly [Vec3, Vec3] {
  const [a, b] = [place(e, from), place(e, to)];
  const s = inwards(e);
  // z × inwards
  return (b[0] - a[0]) * -s[1] + (b[1] - a[1]) * s[0] > 0 ? [a, b] : [b, a];
}
/** Middles of things along a run, the first and the last flush with its ends, as few as are no further apart than `most`. */
export function spread(from: number, to: number, width: number, most: number): number[] {
  const room = to - from - width;
  if (room < width) return [(from + to) / 2];
  const n = Math.max(1, Math.ceil(room / most - 1e-9));
  return evenly(to - from, n + 1, width, 0).at.map((x) => from + x);
}

/**
 * The railing of one side: posts on the deck's edge, the handrail flat on them, the other rails on edge inside them,
 * pickets inside the rails; open where stairs land and at gates, whose leaves hang in the line of the posts. Posts divide
 * each length evenly: 20 ft with posts at most 6 ft apart has four bays and five posts. A post stands on the deck, and on the cover of its edge, whose top is flush. Model mm.
 */
export function railing(
  b: Builder,
  l: PlatformLayout,
  hand: Hand,
  side: Side,
  on: { readonly deck: readonly string[]; readonly covers: readonly string[] },
): void {
  const { timber, mm, v } = l;
  const line = l.sides[side];
  const e: Edge = { hand, line };
  const root = `${hand.root}/rail-${side}`;
  const [post, bar] = [timber.railPost, timber.railBar];
  const high = l.top + mm(v.railHigh);
  const stick = (id: string, role: string, letter: string, t: Timber, ends: readonly [Vec3, Vec3], up: Vec3): string => // prettier-ignore
    b.stick({ id: `${root}/${id}`, assembly: root, role, letter, timber: t, a: ends[0], b: ends[1], up, square: true }).id; // prettier-ignore
  const end = side === "left" || side === "right";
  runsOf(l, side).forEach(([from, to], k) => {
    const n = `${k + 1}`;
    const posts = spread(from, to, post.w, mm(v.railApart)).map((t, i) => {
      const id = stick(`${n}/post${i + 1}`, "railing post", "RP", post, [place(e, [t, post.v / 2, l.top]), place(e, [t, post.v / 2, high - bar.w])], inwards(e)); // prettier-ignore
      for (const d of on.deck) b.join(touching(id, d, "end0", "+w"));
      for (const c of on.covers) b.join(touching(id, c, "end0", "e2"));
      return id;
    });
    // the handrail of an end reaches those round the corner
    const reach = l.railDeep - (post.v + bar.v) / 2;
    const corner = (room: number): boolean => end && Math.abs(room - l.railDeep) < NEAR;
    const ends = [corner(from) ? from - reach : from, corner(line.length - to) ? to + reach : to];
    const hr = stick(`${n}/handrail`, "handrail", "HR", bar, along(e, [ends[0]!, post.v / 2, high - bar.w / 2], [ends[1]!, post.v / 2, high - bar.w / 2]), inwards(e)); // prettier-ignore
    for (const p of posts) b.join(touching(p, hr, "end1", "+w"));
    const rails = railHeights(l).map((z, i) => stick(`${n}/rail${i + 1}`, "rail", "RL", bar, along(e, [from, post.v + bar.w / 2, z], [to, post.v + bar.w / 2, z]), [0, 0, 1])); // prettier-ignore
    for (const r of rails) for (const p of posts) b.join(touching(r, p, "-w", "+v"));
    if (v.railing !== "fence") return;
    const { picket } = timber;
    const inside = post.v + bar.w + picket.w / 2;
    spread(from, to, picket.v, mm(v.picketGap) + picket.v).forEach((t, i) => {
      // its wide side along the railing, its thickness growing inwards
      const foot = place(e, [t, inside, l.top]);
      const [a, c] = along(e, [0, 0, 0], [1, 0, 0]);
      const id = stick(`${n}/picket${i + 1}`, "picket", "PK", picket, [foot, place(e, [t, inside, high - bar.w])], [c[0] - a[0], c[1] - a[1], 0]); // prettier-ignore
      for (const r of rails) b.join(touching(id, r, "+w", "+w"));
    });
  });
  if (!l.railed[side]) return;
  gapsOf(l, side).forEach((g) => {
    const row = v.gates[Number(g.name.slice(5)) - 1];
    if (!g.name.startsWith("Gate") || !row?.leaf) return;
    leaf(b, l, e, `${hand.root}/gate${g.name.slice(5)}`, g);
  });
}
/** What a gate's leaf is smaller than its opening by, on both sides and over the deck, prototype mm: 1 in, common practice. */
export const LEAF_ROOM = 25.4;
/** A gate's leaf in the line of the posts: stiles, rails between them and a brace from the lower left to the upper right. It is built by itself. */
function leaf(
  b: Builder,
  l: PlatformLayout,
  e: Edge,
  root: string,
  g: { readonly from: number; readonly to: number },
): void {
  // prettier-ignore
  const bar = l.timber.railBar;
  const room = l.mm(LEAF_ROOM);
  const [from, to] = [g.from + room, g.to - room];
  const [low, high] = [l.top + room, l.top + l.mm(l.v.railHigh)];
  const s = l.timber.railPost.v / 2;
  const [x, y] = along(e, [0, 0, 0], [1, 0, 0]);
  const level: Vec3 = [y[0] - x[0], y[1] - x[1], 0];
  const stick = (id: string, role: string, letter: string, a: Vec3, c: Vec3, up: Vec3, square: boolean): string =>
    b.stick({ id: `${root}/${id}`, assembly: root, role, letter, timber: bar, a, b: c, up, square, loose: true }).id;
  const stiles = [from + bar.v / 2, to - bar.v / 2].map((t, i) => stick(`stile${i + 1}`, "gate stile", "GS", place(e, [t, s, low]), place(e, [t, s, high]), level, true)); // prettier-ignore
  [low + bar.v / 2, high - bar.v / 2].forEach((z, i) => {
    const id = stick(`rail${i + 1}`, "gate rail", "GR", place(e, [from + bar.v, s, z]), place(e, [to - bar.v, s, z]), [0, 0, 1], true); // prettier-ignore
    for (const st of stiles) for (const end of ["end0", "end1"] as const) for (const f of ["+v", "-v"] as const) b.join(touching(id, st, end, f)); // prettier-ignore
  });
  // its point in the corner is cut to the rail and to the stile
  const brace = stick("brace", "gate brace", "GB", place(e, [from + bar.v, s, low + bar.v]), place(e, [to - bar.v, s, high - bar.v]), [0, 0, 1], false); // prettier-ignore
  const right = e.hand.dir(...e.line.right);
  const cut = (end: 0 | 1, name: string, at: Beside, n: Vec3): void => {
    b.datums[`${root}/${name}`] = planeAt(place(e, at), n);
    b.join({ kind: "trim", id: `${brace}>${name}`, a: brace, datum: `${root}/${name}`, as: `end${end}`, contact: "gap" }); // prettier-ignore
  };
  cut(0, "lower rail", [0, 0, low + bar.v], [0, 0, -1]);
  cut(0, "left stile", [from + bar.v, 0, 0], negate(right));
  cut(1, "upper rail", [0, 0, high - bar.v], [0, 0, 1]);
  cut(1, "right stile", [to - bar.v, 0, 0], right);
}
