import { NEAR } from "../../../geometry";
import type { Contact, Face } from "../../../frame";
import type { Timber } from "../../timber";
import type { Gap } from "../plan/layout";
import { onWall } from "../plan/sides";
import { isOver, stacksOf, type Stack } from "./stacks";
import { buttJoint, EDGE, LEFT, RIGHT, TOP, UNDER, type Upright, type WallKit } from "../walls/wallKit";

/** What short uprights of an opening stand on or reach up to: a plate, a sill, a header. */
interface Level {
  readonly id: string;
  readonly face: Face;
  readonly z: number;
  readonly contact: Contact;
}
/** What a stack is framed with: all of it is the same for each of its openings. */
interface Kit extends WallKit {
  readonly t: Timber;
  readonly posts: boolean;
  readonly jacks: boolean;
  /** Headers lie flat, their width in the wall. */
  readonly flat: boolean;
  readonly header: Timber;
  /** How high a header is, and how many lie side by side in the wall. */
  readonly high: number;
  readonly plies: number;
  /** Underside of the plate, and the plate. */
  readonly plate: Level;
  readonly uprights: readonly Upright[];
}

/** Header, window sill, jacks and cripples of every opening: of those over each other the lowest first, since the upper ones stand on it. */
export function wallOpenings(k: WallKit, t: Timber, under: number, plate: string, uprights: readonly Upright[]): void {
  const { l, w } = k;
  const posts = l.v.framing === "posts";
  const jacks = !posts && l.v.openingFrame === "jacks";
  const flat = posts || !jacks;
  const header = posts ? l.t.girt : flat ? t : l.t.header;
  const kit: Kit = {
    ...k,
    t,
    posts,
    jacks,
    flat,
    header,
    high: flat ? header.w : header.v,
    plies: flat ? 1 : 2 * header.w <= w.thick + NEAR ? 2 : 1,
    plate: { id: plate, face: UNDER, z: under, contact: "face" },
    uprights,
  };
  for (const stack of stacksOf(l, w)) frameStack(kit, stack);
}

function frameStack(k: Kit, stack: Stack): void {
  const framed: Framed[] = [];
  /** The highest header of the stack under an opening at a place of the wall; the sole where there is none. */
  const below = (g: Gap, s: number): Level => {
    const under = framed.filter((x) => isOver(g, x.g) && s > x.s[0] - NEAR && s < x.s[1] + NEAR);
    return under.sort((a, b) => b.top.z - a.top.z)[0]?.top ?? soleUnder(k, s);
  };
  const inner = k.uprights.filter(
    (u) => u.role !== "cripple" && u.z0 > k.w.foot + k.t.w + NEAR && u.s > stack.from && u.s < stack.to,
  );
  for (const g of stack.gaps) {
    for (const u of inner.filter((x) => x.id.startsWith(`${g.name}/`)))
      upright(k, u.id, u.role, u.role === "king stud" ? "KS" : u.role === "stud" ? "S" : "OP", u.timber, u.s, below(g, u.s), k.plate); // prettier-ignore
    framed.push(frameOpening(k, stack, g, below));
  }
  const top = stack.gaps[stack.gaps.length - 1]!;
  for (const u of k.uprights.filter((x) => x.role === "cripple" && x.id.startsWith(`${top.name}/cripple/`)))
    cripples(k, framed, inner, u, below);
}
interface Framed {
  readonly g: Gap;
  readonly s: readonly [number, number];
  /** The upper side of its header, its underside, and the underside of its window sill. */
  readonly top: Level;
  readonly under: Level;
  readonly sill: Level | undefined;
}

/** Header from upright to upright, the sill, and what stands under the header's ends. */
function frameOpening(k: Kit, stack: Stack, g: Gap, below: (g: Gap, s: number) => Level): Framed {
  const { b, l, w, t } = k;
  const stands = (u: Upright): boolean => u.role !== "cripple" && u.z0 < Math.max(g.sill, w.foot + t.w) + NEAR;
  const kings = [
    [...k.uprights].reverse().find((u) => stands(u) && u.s < g.from),
    k.uprights.find((u) => stands(u) && u.s > g.to),
  ] as const;
  const [left, right] = kings.map((u) => u && `${k.root}/${u.id}`) as [string, string];
  // between the two that the whole stack stands between, or nearer ones of its own
  const own = (u: Upright | undefined): boolean => u !== undefined && u.z0 > w.foot + t.w + NEAR;
  const out = k.jacks ? t.w : 0;
  const edges = [own(kings[0]) ? g.from : stack.from, own(kings[1]) ? g.to : stack.to] as const;
  const [s0, s1] = [edges[0] - out, edges[1] + out];
  const headers = Array.from({ length: k.plies }, (_, i) =>
    k.along(`${g.name}/header/${i + 1}`, "header", "H", k.header, s0, s1, g.head, {
      edge: !k.flat,
      inward: i === 0 ? 0 : w.thick - k.header.w,
      square: false,
    }),
  );
  const faces = k.flat ? { top: TOP, under: UNDER } : { top: EDGE.top, under: EDGE.under };
  // a header thicker than the wall stands proud inside
  const whole = (k.flat ? k.header.v : k.header.w) <= w.thick + NEAR ? "face" : "line";
  for (const h of headers) {
    b.join(buttJoint(h, 0, left, RIGHT, whole));
    b.join(buttJoint(h, 1, right, LEFT, whole));
  }
  const stock = k.posts ? l.t.girt : t;
  // a side of its own stands where the uprights are further away than it is thick
  const sided = ([0, 1] as const).map((i) => k.jacks || Math.abs(edges[i] - [g.from, g.to][i]!) > stock.w - NEAR);
  const inside = [sided[0] ? g.from : edges[0], sided[1] ? g.to : edges[1]] as const;
  const sill =
    !g.door &&
    k.along(`${g.name}/sill`, "window sill", "W", stock, inside[0], inside[1], g.sill - stock.w, { square: false });
  const head = (i: number): Level => ({
    id: headers[i]!,
    face: faces.under,
    z: g.head,
    contact: k.plies === 1 || i === 0 ? "line" : "gap",
  });
  const sides = ([-1, 1] as const).map((side, i) => {
    if (!sided[i]) return [left, right][i]!;
    const s = side < 0 ? g.from - stock.w / 2 : g.to + stock.w / 2;
    const name = `${g.name}/${k.jacks ? "jack" : "side"}/${side < 0 ? "left" : "right"}`;
    const [role, letter] = k.jacks ? ["jack stud", "JS"] : k.posts ? ["opening post", "OP"] : ["stud", "S"];
    const id = upright(k, name, role!, letter!, stock, s, below(g, s), head(0));
    headers.slice(1).forEach((h, n) => b.join(buttJoint(id, 1, h, head(n + 1).face, head(n + 1).contact)));
    return id;
  });
  if (sill) {
    b.join(buttJoint(sill, 0, sides[0]!, RIGHT, stock.v <= w.thick + NEAR ? "face" : "line"));
    b.join(buttJoint(sill, 1, sides[1]!, LEFT, stock.v <= w.thick + NEAR ? "face" : "line"));
  }
  const top = Math.min(g.head + k.high, k.plate.z);
  return {
    g,
    s: [s0, s1],
    top: { id: headers[0]!, face: faces.top, z: top, contact: k.flat ? "face" : "line" },
    under: head(0),
    sill: sill ? { id: sill, face: UNDER, z: g.sill - stock.w, contact: "face" } : undefined,
  };
}

/** The pieces of a stud that openings interrupt: from sole or header up to the next sill, beside an opening that is narrower, and up to the plate. */
function cripples(
  k: Kit,
  framed: readonly Framed[],
  inner: readonly Upright[],
  u: Upright,
  below: (g: Gap, s: number) => Level,
): void {
  const station = u.id.split("/").pop()!;
  const put = (name: string, from: Level, to: Level): void => {
    if (to.z - from.z < u.timber.w / 2) return;
    if (inner.some((x) => Math.abs(x.s - u.s) < x.half + u.half + NEAR && x.z0 < to.z - NEAR)) return;
    // what stands on what, the lower end told first
    upright(k, `${name}/${station}`, "cripple", "C", u.timber, u.s, from, to);
  };
  let from: Level | undefined;
  let last: Framed | undefined;
  for (const x of framed) {
    const [lo, hi] = [x.g.from - (k.jacks ? 0 : -u.half), x.g.to - (k.jacks ? 0 : u.half)];
    const through = u.s - u.half > lo - NEAR && u.s + u.half < hi + NEAR;
    if (u.s < x.s[0] || u.s > x.s[1]) continue;
    // beside a narrower opening, clear of its jack
    const clear = u.s + u.half < x.g.from - k.t.w - NEAR || u.s - u.half > x.g.to + k.t.w + NEAR;
    const start = from ?? below(x.g, u.s);
    if (through) {
      if (x.sill) put(`${x.g.name}/foot`, start, x.sill);
    } else if (clear) put(`${x.g.name}/beside`, start, x.under);
    [from, last] = [x.top, x];
  }
  if (from && last) put(`${last.g.name}/cripple`, from, k.plate);
}

/** Places a short upright, flush with the outside of the wall, from what it stands on to what it reaches. */
function upright(
  k: Kit,
  name: string,
  role: string,
  letter: string,
  timber: Timber,
  s: number,
  from: Level,
  to: Level,
): string {
  // prettier-ignore
  const id = `${k.root}/${name}`;
  k.b.stick({
    id,
    assembly: k.root,
    role,
    letter,
    timber,
    a: onWall(k.w, s, timber.v / 2, from.z),
    b: onWall(k.w, s, timber.v / 2, to.z),
    up: k.w.n,
  });
  k.b.join(buttJoint(id, 0, from.id, from.face, from.contact));
  k.b.join(buttJoint(id, 1, to.id, to.face, to.contact));
  return id;
}
/** The sole plate under a place of the wall. */
function soleUnder(k: Kit, s: number): Level {
  const before = k.w.gaps.filter((g) => g.door && g.to < s + NEAR).length;
  return { id: `${k.root}/sole/${before + 1}`, face: TOP, z: k.w.foot + k.t.w, contact: "face" };
}
