import { nominalMm } from "../../lumber";
import { type End, type Face, type Frame, type Joint, type Member, type Seat } from "../../frame";
import type { Vec3 } from "../../geometry";
import { prototype, toModel, type Model } from "../../units";
import type { Context } from "../kind";
import { timberOf, type Timber } from "../timber";
import { bentLayout, postAt, type PostLine } from "./layout";
import type { BentValues } from "./parameters";
import { swayLine, tooLow } from "./swayRoom";

interface MemberSeed {
  readonly id: string;
  readonly role: string;
  readonly letter: string;
  readonly timber: Timber;
  readonly a: Vec3;
  readonly b: Vec3;
  readonly up: Vec3;
  readonly seat: readonly [Seat, Seat];
  readonly ends?: Member["ends"];
  readonly round?: { readonly diameter: Model; readonly stock: string };
  readonly spliceOver?: readonly number[];
}
const SQUARE: Member["ends"] = [
  { kind: "square", beyond: 0 },
  { kind: "square", beyond: 0 },
];
const CUT_BY_JOINTS: Member["ends"] = [undefined, undefined];

/** Where a bent stands and what is particular to it there; a bent of its own stands at the origin. Lengths model mm. */
export interface BentSite {
  /** Path of its members: "gulch/bent7". */
  readonly root: string;
  /** From the bent's own axes to the structure's: points, and directions. */
  readonly place: (p: Vec3) => Vec3;
  readonly turn: (d: Vec3) => Vec3;
  /** How far the cap is tilted about the centre of its top, radians; positive lifts its +y end. */
  readonly capTilt: number;
  /** How much higher the foot of the lowest story's sway braces stands than their clearance says. */
  readonly lowestSwayLift: number;
  /** Piles: no sill; each is cut off level where this height is, at its foot's y. */
  readonly ground?: (y: number) => number;
  /** Round timber for posts, its diameter and stock. */
  readonly pile?: { readonly diameter: Model; readonly stock: string };
  /** Leave a story without sway braces that has no room for them, where a bent of its own is refused. */
  readonly lowStoriesBare: boolean;
}
const same = (p: Vec3): Vec3 => p;
const ownSite = (structure: string): BentSite => ({
  root: `${structure}/bent`,
  place: same,
  turn: same,
  capTilt: 0,
  lowestSwayLift: 0,
  lowStoriesBare: false,
});

/**
 * The frame of a bent: cap, posts, sill, horizontals between stories and braces, in the plane x = 0 with the top of the
 * cap at z = 0. Outline levels and post lines come from nominal sizes and stay; thicknesses are the stock's own, so the
 * lengths between give. Lengths are model mm. Errors: a story too low for its sway braces.
 */
export function bentFrame(v: BentValues, ctx: Context, site: BentSite = ownSite(ctx.structure)): Frame {
  const lay = bentLayout(v);
  const mm = (n: number): number => toModel(ctx.scale, prototype(n));
  const { root, place, turn } = site;
  const members: Member[] = [];
  const joints: Joint[] = [];
  const timber = (name: string): Timber => timberOf(name, ctx.stock(name));
  const put = (s: MemberSeed): void => {
    members.push({
      id: s.id,
      structure: ctx.structure,
      assembly: root,
      role: s.role,
      letter: s.letter,
      kind: s.round ? "round" : "strip",
      nominal: s.timber.nominal,
      body: s.round
        ? { shape: "round", a: place(s.a), b: place(s.b), up: turn(s.up), ...s.round }
        : {
            shape: "straight",
            a: place(s.a),
            b: place(s.b),
            up: turn(s.up),
            seat: s.seat,
            components: s.timber.components,
          },
      ends: s.ends ?? CUT_BY_JOINTS,
      ...(s.spliceOver ? { spliceOver: s.spliceOver } : {}),
    });
  };
  const join = (j: Joint): void => void joints.push(j);
  const level = (
    id: string,
    role: string,
    letter: string,
    t: Timber,
    half: number,
    z: number,
    seat: Seat,
    tilt = 0,
  ): void =>
    put({
      id,
      role,
      letter,
      timber: t,
      a: [0, -mm(half) * Math.cos(tilt), mm(z) - mm(half) * Math.sin(tilt)],
      b: [0, mm(half) * Math.cos(tilt), mm(z) + mm(half) * Math.sin(tilt)],
      up: [0, -Math.sin(tilt), Math.cos(tilt)],
      seat: [seat, "centre"],
      ends: SQUARE,
      spliceOver: lay.posts.map((p) => mm(half + postAt(p, z, lay.capUnder))),
    });

  const cap = timber(v.cap);
  const sill = timber(v.sill);
  const post = timber(v.post);
  const middle = timber(v.middleSill);
  const sash = timber(v.sash);
  const solid = v.between !== "sash";
  const postThick = site.pile?.diameter ?? post.w;
  const postHalf = (site.pile?.diameter ?? post.v) / 2;
  level(`${root}/cap`, "cap", "C", cap, lay.capHalf, lay.capTop, "+", site.capTilt);
  if (!site.ground) level(`${root}/sill`, "sill", "S", sill, lay.sillHalf, lay.sillFoot, "-");
  if (solid)
    lay.levels.forEach((z, i) =>
      level(`${root}/level${i + 1}/sill`, "intermediate sill", "M", middle, lay.levelHalves[i]!, z, "centre"),
    );

  // posts: butted between whatever carries and is carried, story by story or right through
  const tops = [`${root}/cap`, ...(solid ? lay.levels.map((_, i) => `${root}/level${i + 1}/sill`) : [])];
  const feet = [...tops.slice(1), `${root}/sill`];
  const zTops = [lay.capUnder, ...(solid ? lay.levels : [])];
  const zFeet = [...zTops.slice(1), lay.sillTop];
  const through = !solid || lay.levels.length === 0;
  // what is thinner by its name than the posts carries the middle of them
  const bears = (on: string): "face" | "line" => {
    const size = on === `${root}/cap` ? v.cap : on === `${root}/sill` ? v.sill : v.middleSill;
    return nominalMm(size).thickness < nominalMm(v.post).thickness ? "line" : "face";
  };
  const postId = (p: PostLine, story: number): string =>
    through ? `${root}/post/${p.name}` : `${root}/story${story + 1}/post/${p.name}`;
  tops.forEach((top, s) =>
    lay.posts.forEach((p) => {
      const id = postId(p, s);
      const at = (z: number): Vec3 => [0, mm(postAt(p, z, lay.capUnder)), mm(z)];
      const onGround =
        site.ground && s === tops.length - 1 ? site.ground(mm(postAt(p, zFeet[s]!, lay.capUnder))) : undefined;
      const role = site.ground ? "pile" : p.lean === 0 ? "plumb post" : "batter post";
      put({
        id,
        role,
        letter: site.ground ? "Q" : "P",
        timber: post,
        ...(site.pile ? { round: site.pile } : {}),
        ...(onGround === undefined ? {} : { ends: [{ kind: "level", beyond: 0 }, undefined] as const }),
        a: onGround === undefined ? at(zFeet[s]!) : onLine(p, onGround),
        b: at(zTops[s]!),
        up: [0, -1, 0],
        seat: ["centre", "centre"],
      });
      join({ kind: "butt", id: `${id}>head`, a: id, end: 1, b: top, face: "-v", contact: bears(top), remedy: PROUD });
      if (onGround === undefined)
        join({
          kind: "butt",
          id: `${id}>foot`,
          a: id,
          end: 0,
          b: feet[s]!,
          face: "+v",
          contact: bears(feet[s]!),
          remedy: PROUD,
        });
    }),
  );

  /** A pile's centre line at a height, model mm. */
  function onLine(p: PostLine, z: number): Vec3 {
    return [0, mm(p.yTop) + p.lean * (mm(lay.capUnder) - z), z];
  }
  const lapContact = site.pile ? "line" : "face";

  const faces = [
    { name: "front", x: 1, own: "-w", other: "+w", seat: "-" },
    { name: "back", x: -1, own: "+w", other: "-w", seat: "+" },
  ] as const;
  const outer = [lay.posts[0]!, lay.posts[lay.posts.length - 1]!] as const;
  /** Laps a face brace on every post it passes and finishes it past the outer two. `left` is the end at the -y side. */
  const lapOnPosts = (
    id: string,
    f: (typeof faces)[number],
    story: number,
    end: "square" | "flush",
    beyond: number,
  ): void =>
    lay.posts.forEach((p) => {
      const at: End | undefined = p === outer[0] ? 0 : p === outer[1] ? 1 : undefined;
      const past: Face = at === 0 ? "+v" : "-v";
      const finish =
        at === undefined ? {} : { finish: { end: at, finish: end, beyond: end === "flush" ? 0 : mm(beyond), past } };
      join({
        kind: "lap",
        id: `${id}>${p.name}`,
        a: id,
        b: postId(p, story),
        aFace: f.own,
        bFace: f.other,
        contact: lapContact,
        ...finish,
      });
    });

  if (v.between !== "solid")
    lay.levels.forEach((z, i) =>
      faces.forEach((f) => {
        const id = `${root}/level${i + 1}/sash/${f.name}`;
        const on = solid ? middle : post;
        const x = (f.x * (on === post ? postThick : on.w)) / 2;
        const half = mm(lay.levelHalves[i]!);
        put({
          id,
          role: "sash brace",
          letter: "H",
          timber: sash,
          a: [x, -half, mm(z)],
          b: [x, half, mm(z)],
          up: [0, 0, 1],
          seat: ["centre", f.seat],
          ...(solid ? { ends: SQUARE } : {}),
        });
        if (solid)
          join({
            kind: "lap",
            id: `${id}>sill`,
            a: id,
            b: `${root}/level${i + 1}/sill`,
            aFace: f.own,
            bFace: f.other,
            contact: "face",
          });
        else lapOnPosts(id, f, 0, "square", v.levelOverhang);
      }),
    );

  if (v.sway) {
    const brace = timber(v.swayBrace);
    const horizontal = (solid ? middle.v : sash.v) / 2;
    const reach = Math.abs(postAt(outer[1], lay.capUnder, lay.capUnder)) + lay.outerHalf;
    const sunk = mm(reach) * Math.tan(Math.abs(site.capTilt));
    const above = [
      mm(lay.capTop) - cap.v / Math.cos(site.capTilt) - sunk,
      ...lay.levels.map((z) => mm(z) - horizontal),
    ];
    const below = [
      ...lay.levels.map((z) => mm(z) + horizontal),
      (site.ground ? Math.max(...outer.map((p) => onGroundOf(p))) : mm(lay.sillFoot) + sill.v) + site.lowestSwayLift,
    ];
    above.forEach((zTop, s) =>
      faces.forEach((f) => {
        const id = `${root}/story${s + 1}/sway/${f.name}`;
        const work = swayLine(v, lay, mm, postHalf, brace.v / 2, zTop, below[s]!);
        if (!work && site.lowStoriesBare) return;
        if (!work) throw new Error(tooLow(s));
        // the front one falls to the right, the back one to the left: its mirror image across the centre line
        const [l, r] = f.x === 1 ? work : [[-work[1][0], work[1][1]] as const, [-work[0][0], work[0][1]] as const];
        const x = (f.x * postThick) / 2;
        put({
          id,
          role: "sway brace",
          letter: "B",
          timber: brace,
          a: [x, l[0], l[1]],
          b: [x, r[0], r[1]],
          up: [0, 0, 1],
          seat: ["centre", f.seat],
        });
        lapOnPosts(id, f, solid ? s : 0, v.swayEnd === "flush" ? "flush" : "square", v.swayBeyond);
      }),
    );
  }
  return { members, joints, nodes: [], datums: {} };

  function onGroundOf(p: PostLine): number {
    return site.ground!(mm(postAt(p, lay.sillTop, lay.capUnder)));
  }
}

const PROUD = "Choose a stick as thick as the post for what it stands on, or shave the post flush.";
