import type { Contact, Face, Joint } from "../../frame";
import { planeAt, type Vec3 } from "../../geometry";
import { model } from "../../units";
import type { Builder } from "../builder";
import type { Timber } from "../timber";
import { clearInside, onCentres, onWall, rootOf, type BuildingLayout, type Gap, type Wall } from "./layout";

/** An upright of a wall: the middle of its width along the wall, what it is, and from where to where it stands. */
export interface Upright {
  readonly id: string;
  readonly role: string;
  readonly s: number;
  readonly half: number;
  readonly z0: number;
  readonly z1: number;
  readonly timber: Timber;
  /** Stands in the thickness of the wall from `inner` to its inside, not flush with its outside. */
  readonly turned?: boolean;
}
/** How far two members of a row must stand apart for another to go between, model mm. */
const LEAST_GAP = 0.2;
const NEAR = 1e-6;

/** What every piece of a wall shares. */
export interface WallKit {
  readonly b: Builder;
  readonly l: BuildingLayout;
  readonly w: Wall;
  readonly root: string;
  /** A stick lying along the wall, its width in the wall's thickness, or `edge` on edge; z is its underside. */
  along(id: string, role: string, letter: string, t: Timber, s0: number, s1: number, z: number, o?: AlongSet): string;
}
interface AlongSet {
  readonly edge?: boolean;
  readonly inward?: number;
  readonly square?: boolean | readonly [boolean, boolean];
}
export function wallKit(b: Builder, l: BuildingLayout, w: Wall): WallKit {
  const root = rootOf(l, w.name);
  return {
    b,
    l,
    w,
    root,
    along: (path, role, letter, t, s0, s1, z, o = {}) => {
      const id = `${root}/${path}`;
      const inward = o.inward ?? 0;
      const [high, deep] = o.edge ? [t.v, t.w] : [t.w, t.v];
      const at = (s: number): Vec3 => onWall(w, s, inward + deep / 2, z + high / 2);
      b.stick({
        id,
        assembly: root,
        role,
        letter,
        timber: t,
        a: at(s0),
        b: at(s1),
        up: o.edge ? [0, 0, 1] : w.n,
        square: o.square ?? true,
      });
      return id;
    },
  };
}
/** Faces of what lies flat along a wall, and of its uprights. */
export const TOP: Face = "-w";
export const UNDER: Face = "+w";
export const OUTER: Face = "+v";
export const INNER: Face = "-v";
export const RIGHT: Face = "+w";
export const LEFT: Face = "-w";
/** Faces of what stands on edge along a wall. */
export const EDGE = { top: "+v", under: "-v", outer: "+w", inner: "-w" } as const satisfies Record<string, Face>;

const butt = (a: string, end: 0 | 1, b: string, face: Face, contact: Contact = "face"): Joint => ({
  kind: "butt",
  id: `${a}>${b.slice(b.indexOf("/") + 1)}`,
  a,
  end,
  b,
  face,
  contact,
});
export { butt as buttJoint };

/** Places an upright, flush with the outside of the wall, and joins its ends to what lies under and over it. */
function stand(
  k: WallKit,
  u: Upright,
  under: string,
  over: string,
  faces: readonly [Face, Face] = [TOP, UNDER],
): string {
  const { b, w, root } = k;
  const id = `${root}/${u.id}`;
  const deep = u.turned ? u.timber.w : u.timber.v;
  const inward = u.turned ? w.thick - deep / 2 : deep / 2;
  b.stick({
    id,
    assembly: root,
    role: u.role,
    letter: LETTERS[u.role] ?? "S",
    timber: u.timber,
    a: onWall(w, u.s, inward, u.z0),
    b: onWall(w, u.s, inward, u.z1),
    up: u.turned ? w.e : w.n,
  });
  const face = deep <= w.thick + NEAR ? "face" : "line";
  b.join(butt(id, 0, under, faces[0], face));
  b.join(butt(id, 1, over, faces[1], face));
  return id;
}
const LETTERS: Readonly<Record<string, string>> = {
  stud: "S",
  "king stud": "KS",
  "jack stud": "JS",
  cripple: "C",
  "corner post": "CP",
  post: "P",
  "opening post": "OP",
};

/** A wall of studs or of posts and girts. Errors: openings that leave no room for what holds them. */
export function frameWall(b: Builder, l: BuildingLayout, w: Wall): void {
  const k = wallKit(b, l, w);
  const posts = l.v.framing === "posts";
  const t = posts ? l.t.post : l.t.stud;
  const plates = posts ? 1 : l.v.topPlates;
  const under = w.top - plates * t.w;
  // the sole is cut out at doors
  const doors = w.gaps.filter((g) => g.door);
  const soles: { id: string; from: number; to: number }[] = [];
  const [start, finish] = w.runs ?? [w.from, w.to];
  const square = w.runs === undefined;
  let at = start;
  [...doors, undefined].forEach((d, i) => {
    const to = d ? d.from : finish;
    if (to - at > NEAR)
      soles.push({
        id: k.along(`sole/${i + 1}`, posts ? "sill" : "sole plate", "L", t, at, to, w.foot, { square }),
        from: at,
        to,
      });
    at = d ? d.to : at;
  });
  const lower = k.along("plate/1", "top plate", "T", t, start, finish, under, { square });
  if (plates === 2) {
    // the upper plate laps the other way over the corners
    const lapped = lappedPlate(l, w);
    const upper = k.along("plate/2", "top plate", "T", t, lapped[0], lapped[1], under + t.w, { square });
    b.join({ kind: "lap", id: `${upper}>1`, a: upper, b: lower, aFace: UNDER, bFace: TOP, contact: "face" });
  }
  const soleAt = (s: number): string => {
    const own = soles.find((x) => s > x.from - NEAR && s < x.to + NEAR);
    if (!own)
      throw new Error(
        `Nothing is left of the sole of the ${w.name} wall beside its door. Move the door from the corner.`,
      );
    return own.id;
  };
  const foot = w.foot + t.w;
  const framed = posts ? postsOf(l, w, foot, under) : studsOf(l, w, foot, under);
  // a wall that nobody sees the frame of keeps its plates and corners, and a sheet between them
  const uprights = w.seen ? framed : framed.filter((u) => u.id.startsWith("corner/") || /corner post/.test(u.role));
  const full = uprights.filter((u) => u.z1 >= under - NEAR && u.z0 <= foot + NEAR);
  for (const u of full) stand(k, u, soleAt(u.s), lower);
  if (!w.seen) {
    sheetWall(
      k,
      full,
      foot,
      under,
      soles.map((x) => x.id),
    );
    return;
  }
  openings(k, t, under, lower, uprights);
  if (!posts && l.v.corner === "blocked" && w.through) cornerBlocks(k, t, under, full);
  const rows = l.v.blockingRows;
  const knees = posts && l.v.knees > 0 ? l.mm(l.v.knees) : 0;
  const row = posts ? l.t.girt : t;
  const clear = under - (knees > 0 ? knees + 0.71 * l.t.knee.v + row.w / 2 + 0.1 : 0);
  for (let i = 1; i <= rows; i++) {
    const z = foot + ((clear - foot) * i) / (rows + (knees > 0 ? 0 : 1)) - row.w / 2;
    blocking(k, row, z, full, i, posts ? "girt" : "blocking");
  }
  // a bay has no room for braces
  if (w.runs) return;
  if (knees > 0) kneeBraces(k, full, lower, under, knees);
  braces(k, full, foot, under);
}

/** The sheet of a wall whose framing is not seen: between its corners, its openings cut out. */
function sheetWall(k: WallKit, full: readonly Upright[], foot: number, under: number, soles: readonly string[]): void {
  const { b, l, w, root } = k;
  const middle = w.length / 2;
  const from = Math.max(...full.filter((u) => u.s < middle).map((u) => u.s + u.half));
  const to = Math.min(...full.filter((u) => u.s > middle).map((u) => u.s - u.half));
  const thickness = Math.min(l.v.roofSheet, w.thick);
  const id = `${root}/sheet`;
  b.add({
    id,
    structure: l.ctx.structure,
    assembly: root,
    role: "wall sheet",
    letter: "WS",
    kind: "panel",
    nominal: [0, 0],
    ends: [undefined, undefined],
    body: {
      shape: "panel",
      origin: onWall(w, from, thickness, foot),
      u: w.e,
      v: [0, 0, 1],
      outline: [
        [0, 0],
        [to - from, 0],
        [to - from, under - foot],
        [0, under - foot],
      ],
      bevel: [0, 0, 0, 0],
      thickness: model(thickness),
      stock: "sheet",
      holes: w.gaps.map((g) => {
        const [a, c] = [g.from - from, g.to - from];
        const [lo, hi] = [g.door ? -1 : g.sill - foot, g.head - foot];
        return {
          name: g.name,
          outline: [
            [a, lo],
            [c, lo],
            [c, hi],
            [a, hi],
          ],
          bevel: [0, 0, 0, 0],
        };
      }),
    },
  });
  soles.forEach((sole, i) =>
    b.join({ kind: "bearing", id: `${id}>sole${i + 1}`, a: id, b: sole, aFace: "e0", bFace: TOP, contact: "line" }),
  );
}

/** From where to where the upper of two plates runs: over the corners of an end wall, between them on the others; where the plates are level with each other. */
export function lappedPlate(l: BuildingLayout, w: Wall): readonly [number, number] {
  const part = l.parts.find((p) => p.walls.includes(w));
  if (!part) return w.runs ?? [w.from, w.to];
  const level = part.walls.every((x) => Math.abs(x.top - w.top) < NEAR);
  if (!level) return [w.from, w.to];
  if (!w.through) return [0, w.length];
  // an open side has no wall to lap
  const beside = ({ S: ["W", "E"], N: ["E", "W"] } as const)[w.side as "S" | "N"];
  return [part.open === beside[0] ? 0 : l.wall, w.length - (part.open === beside[1] ? 0 : l.wall)];
}

/** Studs of a wall: ends and corners, kings and jacks, and those on centres that none of these stand in the way of. */
export function studsOf(l: BuildingLayout, w: Wall, foot: number, under: number): Upright[] {
  const { stud, cornerPost } = l.t;
  const half = stud.w / 2;
  const out: Upright[] = [];
  const full = { half, z0: foot, z1: under, timber: stud };
  const solid = l.v.corner === "solid" && w.through;
  const end = (right: boolean): void => {
    const sign = right ? -1 : 1;
    const s0 = right ? w.to : w.from;
    const name = right ? "right" : "left";
    if (solid) {
      out.push({
        ...full,
        id: `corner/${name}`,
        role: "corner post",
        s: s0 + sign * (cornerPost.w / 2),
        half: cornerPost.w / 2,
        timber: cornerPost,
      });
      return;
    }
    out.push({ ...full, id: `corner/${name}`, role: "stud", s: s0 + sign * half });
    if (!w.through) return;
    if (l.v.corner === "blocked")
      out.push({ ...full, id: `corner/${name}2`, role: "stud", s: s0 + sign * (2 * stud.w + half) });
    if (l.v.corner === "turned")
      out.push({
        ...full,
        id: `corner/${name}2`,
        role: "stud",
        s: s0 + sign * (stud.w + stud.v / 2),
        half: stud.v / 2,
        turned: true,
      });
  };
  end(false);
  end(true);
  const jacks = l.v.openingFrame === "jacks";
  for (const g of w.gaps) {
    const [a, b] = [g.from, g.to];
    const off = jacks ? stud.w + half : half;
    out.push(
      { ...full, id: `${g.name}/king/left`, role: jacks ? "king stud" : "stud", s: a - off },
      { ...full, id: `${g.name}/king/right`, role: jacks ? "king stud" : "stud", s: b + off },
    );
  }
  const taken = [...out];
  for (const s of onCentres(w.length, l.mm(l.v.studSpacing), l.v.studFrom)) {
    if (s - half < w.from || s + half > w.to) continue;
    if (taken.some((u) => Math.abs(u.s - s) < u.half + half + LEAST_GAP)) continue;
    const g = w.gaps.find((x) => s + half > x.from - stud.w && s - half < x.to + stud.w);
    if (!g) out.push({ ...full, id: `stud/${name(s, l)}`, role: "stud", s });
    else {
      const [lo, hi] = [g.from - (jacks ? 0 : -half), g.to - (jacks ? 0 : half)];
      if (s - half < lo - NEAR || s + half > hi + NEAR) continue;
      out.push({ ...full, id: `${g.name}/cripple/${name(s, l)}`, role: "cripple", s, z0: g.head, z1: under });
    }
  }
  return out.sort((a, b) => a.s - b.s);
}
/** A station's name that survives edits elsewhere: its place in prototype inches. */
const name = (s: number, l: BuildingLayout): string => String(Math.round(s / l.mm(25.4)));

/** Posts by bays, and posts beside each opening. */
export function postsOf(l: BuildingLayout, w: Wall, foot: number, under: number): Upright[] {
  const { post, girt } = l.t;
  const n = Math.max(1, Math.round(w.length / l.mm(l.v.bay)));
  const full = { z0: foot, z1: under };
  const half = post.w / 2;
  const out: Upright[] = [];
  for (let i = 0; i <= n; i++) {
    // the first and last stand in the corners, the others on the lines of the bays
    const line = (w.length * i) / n;
    const s = i === 0 ? w.from + half : i === n ? w.to - half : line;
    if (s - half < w.from - NEAR || s + half > w.to + NEAR) continue;
    const stands = (g: Gap): boolean => s + half > g.from - girt.w + NEAR && s - half < g.to + girt.w - NEAR;
    if (i > 0 && i < n && w.gaps.some(stands)) continue;
    out.push({
      ...full,
      id: `post/${i + 1}`,
      role: i === 0 || i === n ? "corner post" : "post",
      s,
      half,
      timber: post,
    });
  }
  const beside = girt.w / 2;
  for (const g of w.gaps)
    for (const [s, side] of [
      [g.from - beside, "left"],
      [g.to + beside, "right"],
    ] as const)
      if (!out.some((u) => Math.abs(u.s - s) < u.half + beside - NEAR))
        out.push({ ...full, id: `${g.name}/post/${side}`, role: "opening post", s, half: beside, timber: girt });
  return out.sort((a, b) => a.s - b.s);
}

/** Header, window sill, jacks and cripples of every opening. */
function openings(k: WallKit, t: Timber, under: number, plate: string, uprights: readonly Upright[]): void {
  const { b, l, w } = k;
  const posts = l.v.framing === "posts";
  const jacks = !posts && l.v.openingFrame === "jacks";
  for (const g of w.gaps) {
    const kings = [
      [...uprights].reverse().find((u) => u.role !== "cripple" && u.s < g.from),
      uprights.find((u) => u.role !== "cripple" && u.s > g.to),
    ] as const;
    const [left, right] = kings.map((u) => u && `${k.root}/${u.id}`) as [string, string];
    const [s0, s1] = jacks ? [g.from - t.w, g.to + t.w] : [g.from, g.to];
    const flat = posts || !jacks;
    const size = posts ? l.t.girt : flat ? t : l.t.header;
    const high = flat ? size.w : size.v;
    const plies = flat ? 1 : 2 * size.w <= w.thick + NEAR ? 2 : 1;
    const top = Math.min(g.head + high, under);
    const headers = Array.from({ length: plies }, (_, i) => {
      const id = k.along(`${g.name}/header/${i + 1}`, "header", "H", size, s0, s1, g.head, {
        edge: !flat,
        inward: i === 0 ? 0 : w.thick - size.w,
        square: false,
      });
      return id;
    });
    const faces = flat ? { top: TOP, under: UNDER } : { top: EDGE.top, under: EDGE.under };
    for (const h of headers) {
      b.join(butt(h, 0, left, RIGHT));
      b.join(butt(h, 1, right, LEFT));
    }
    const stock = posts ? l.t.girt : t;
    const sill =
      !g.door &&
      k.along(`${g.name}/sill`, "window sill", "W", stock, g.from, g.to, g.sill - stock.w, { square: false });
    const sides = jacks
      ? ([-1, 1] as const).map((side) => {
          const s = side < 0 ? g.from - t.w / 2 : g.to + t.w / 2;
          const u: Upright = {
            id: `${g.name}/jack/${side < 0 ? "left" : "right"}`,
            role: "jack stud",
            s,
            half: t.w / 2,
            z0: w.foot + t.w,
            z1: g.head,
            timber: t,
          };
          const id = `${k.root}/${u.id}`;
          b.stick({
            id,
            assembly: k.root,
            role: u.role,
            letter: "JS",
            timber: t,
            a: onWall(w, s, t.v / 2, u.z0),
            b: onWall(w, s, t.v / 2, u.z1),
            up: w.n,
          });
          b.join(butt(id, 0, soleUnder(k, s), TOP));
          headers.forEach((h, i) =>
            b.join(butt(id, 1, h, faces.under, plies === 2 ? (i === 0 ? "line" : "gap") : "line")),
          );
          return id;
        })
      : [left, right];
    if (sill) {
      b.join(butt(sill, 0, sides[0]!, RIGHT, stock.v <= w.thick + NEAR ? "face" : "line"));
      b.join(butt(sill, 1, sides[1]!, LEFT, stock.v <= w.thick + NEAR ? "face" : "line"));
    }
    for (const u of uprights.filter((x) => x.role === "cripple" && x.id.startsWith(`${g.name}/`))) {
      const cripple = (
        id: string,
        z0: number,
        z1: number,
        under: string,
        uf: Face,
        over: string,
        of: Face,
        contact: Contact,
      ): void => {
        if (z1 - z0 < u.timber.w / 2) return;
        const full = `${k.root}/${id}`;
        b.stick({
          id: full,
          assembly: k.root,
          role: "cripple",
          letter: "C",
          timber: u.timber,
          a: onWall(w, u.s, u.timber.v / 2, z0),
          b: onWall(w, u.s, u.timber.v / 2, z1),
          up: w.n,
        });
        b.join(butt(full, 0, under, uf, contact));
        b.join(butt(full, 1, over, of));
      };
      cripple(u.id, top, under, headers[0]!, faces.top, plate, UNDER, flat ? "face" : "line");
      if (sill)
        cripple(
          u.id.replace("/cripple/", "/foot/"),
          w.foot + t.w,
          g.sill - stock.w,
          soleUnder(k, u.s),
          TOP,
          sill,
          UNDER,
          "face",
        );
    }
  }
}
/** The sole plate under a place of the wall. */
function soleUnder(k: WallKit, s: number): string {
  const before = k.w.gaps.filter((g) => g.door && g.to < s + NEAR).length;
  return `${k.root}/sole/${before + 1}`;
}

function cornerBlocks(k: WallKit, t: Timber, under: number, full: readonly Upright[]): void {
  const { b, w } = k;
  const foot = w.foot + t.w;
  const high = under - foot;
  const length = Math.min(k.l.mm(300), high / 5);
  for (const side of ["left", "right"]) {
    const [u, v] = [full.find((x) => x.id === `corner/${side}`)!, full.find((x) => x.id === `corner/${side}2`)!];
    const s = (u.s + v.s) / 2;
    [0, 1, 2].forEach((i) => {
      const z = foot + ((high - length) * i) / 2;
      const id = `${k.root}/corner/${side}-block${i + 1}`;
      b.stick({
        id,
        assembly: k.root,
        role: "corner block",
        letter: "CB",
        timber: t,
        a: onWall(w, s, t.v / 2, z),
        b: onWall(w, s, t.v / 2, z + length),
        up: w.n,
        square: true,
      });
      b.join({
        kind: "bearing",
        id: `${id}>${side}`,
        a: id,
        b: `${k.root}/${u.id}`,
        aFace: side === "left" ? LEFT : RIGHT,
        bFace: side === "left" ? RIGHT : LEFT,
        contact: "face",
      });
    });
  }
}

/** One row between the uprights, at a height: left out where an opening or something low is in the way. */
function blocking(k: WallKit, t: Timber, z: number, full: readonly Upright[], row: number, role: string): void {
  full.slice(1).forEach((right, i) => {
    const left = full[i]!;
    const [s0, s1] = [left.s + left.half, right.s - right.half];
    if (s1 - s0 < Math.max(LEAST_GAP, t.w / 2)) return;
    if (left.id.replace(/2$/, "") === right.id.replace(/2$/, "")) return;
    if (k.w.gaps.some((g) => g.from < s1 - NEAR && g.to > s0 + NEAR)) return;
    const id = k.along(
      `${role}/${row}/${left.id.replaceAll("/", "-")}`,
      role,
      role === "girt" ? "G" : "B",
      t,
      s0,
      s1,
      z,
      { square: false },
    );
    const deep = (u: Upright): Contact => (u.turned || t.v > u.timber.v + NEAR ? "line" : "face");
    const [a, c] = [`${k.root}/${left.id}`, `${k.root}/${right.id}`];
    k.b.join(butt(id, 0, a, left.turned ? OUTER_OF_TURNED.right : RIGHT, deep(left)));
    k.b.join(butt(id, 1, c, right.turned ? OUTER_OF_TURNED.left : LEFT, deep(right)));
  });
}
/** Faces of a stud that stands flat in the wall: its width lies along it. */
const OUTER_OF_TURNED = { right: "+v", left: "-v" } as const;

function kneeBraces(k: WallKit, full: readonly Upright[], plate: string, under: number, reach: number): void {
  const { b, l, w } = k;
  const t = l.t.knee;
  const room = reach + t.v;
  full.forEach((u, i) => {
    if (!/post/.test(u.role) || u.role === "opening post") return;
    for (const side of [1, -1] as const) {
      const next = full[i + side];
      if (!next) continue;
      const face = u.s + side * u.half;
      const gap = Math.abs(next.s - u.s) - u.half - next.half;
      if (gap < (next.role === "opening post" ? 1 : 2) * room) continue;
      const [lo, hi] = side > 0 ? [face, face + room] : [face - room, face];
      if (w.gaps.some((g) => g.to > lo && g.from < hi && g.head > under - room - l.t.girt.v)) continue;
      const id = `${k.root}/knee/${u.id.replaceAll("/", "-")}-${side > 0 ? "right" : "left"}`;
      b.stick({
        id,
        assembly: k.root,
        role: "knee brace",
        letter: "N",
        timber: t,
        a: onWall(w, face, w.thick / 2, under - reach),
        b: onWall(w, face + side * reach, w.thick / 2, under),
        up: [side * -w.e[0], side * -w.e[1], 1],
      });
      const fits = t.w <= Math.min(u.timber.v, w.thick) + NEAR ? "face" : "line";
      b.join(butt(id, 0, `${k.root}/${u.id}`, side > 0 ? RIGHT : LEFT, fits));
      b.join(butt(id, 1, plate, UNDER, fits));
    }
  });
}

/** Diagonal braces from both upper corners down towards the middle, let into the outside or laid on the inside. */
function braces(k: WallKit, full: readonly Upright[], foot: number, under: number): void {
  const { b, l, w } = k;
  if (l.v.wallBrace === "none") return;
  const t = l.t.brace;
  const inside = l.v.wallBrace === "inside";
  if (inside) [foot, under] = [w.foot, clearInside(l, w, w.thick + t.w, under)];
  const high = under - foot;
  // the sole's top and the plate's underside cut both ends; on the inside they lie on the sole
  b.datums[`${k.root}/foot`] = planeAt(onWall(w, 0, 0, foot), [0, 0, -1]);
  b.datums[`${k.root}/head`] = planeAt(onWall(w, 0, 0, under), [0, 0, 1]);
  const lines: (readonly [number, number])[] = [];
  for (const side of ["left", "right"] as const) {
    // inside a long wall the end walls stand in its corners
    const corner = t.v + (inside && w.through ? w.thick : 0);
    const s0 = side === "left" ? w.from + corner : w.to - corner;
    const sign = side === "left" ? 1 : -1;
    // at 45° if there is room, else steeper
    const run = [1, 0.75, 0.577]
      .map((x) => x * high)
      .find((r) => {
        const [lo, hi] = side === "left" ? [s0 - 2 * t.v, s0 + r + 2 * t.v] : [s0 - r - 2 * t.v, s0 + 2 * t.v];
        return (
          lo > w.from - 2 * t.v &&
          hi < w.to + 2 * t.v &&
          Math.abs(r) < (w.to - w.from) / 2 - t.v &&
          !w.gaps.some((g) => g.to + 2 * l.t.stud.w > lo && g.from - 2 * l.t.stud.w < hi) &&
          !lines.some(([p, q]) => p < hi && q > lo)
        );
      });
    if (!run) continue;
    const [top, low] = [s0, s0 + sign * run];
    lines.push([Math.min(top, low), Math.max(top, low)]);
    const inward = inside ? w.thick + t.w / 2 : t.w / 2;
    const id = `${k.root}/brace/${side}`;
    b.stick({
      id,
      assembly: k.root,
      role: inside ? "brace" : "let-in brace",
      letter: "D",
      timber: t,
      a: onWall(w, low, inward, foot),
      b: onWall(w, top, inward, under),
      up: [sign * w.e[0] * high, sign * w.e[1] * high, run],
    });
    b.join({ kind: "trim", id: `${id}/foot`, a: id, datum: `${k.root}/foot`, as: "end0", contact: "gap" });
    b.join({ kind: "trim", id: `${id}/head`, a: id, datum: `${k.root}/head`, as: "end1", contact: "gap" });
    const slant = Math.hypot(run, high) / high;
    /** From where to where along the wall the brace is between two heights. */
    const reach = (z0: number, z1: number): readonly [number, number] => {
      const at = (z: number): number => low + ((top - low) * (Math.min(Math.max(z, foot), under) - foot)) / high;
      const half = (t.v / 2) * slant;
      return [Math.min(at(z0), at(z1)) - half, Math.max(at(z0), at(z1)) + half];
    };
    const crossed = full.filter((u) => {
      const [lo, hi] = reach(foot, under);
      return u.s + u.half > lo + NEAR && u.s - u.half < hi - NEAR;
    });
    // the brace's side that lies in the studs: w = u × v
    const outFace: Face = sign > 0 ? "-w" : "+w";
    const inFace: Face = sign > 0 ? "+w" : "-w";
    const seatFaces = [
      { of: id, face: "+v" },
      { of: id, face: "-v" },
      { of: id, face: inFace },
    ] as const;
    for (const u of crossed) {
      const stud = `${k.root}/${u.id}`;
      if (inside) {
        if (u.turned) continue;
        const through = u.s - u.half > Math.min(top, low) + 2.5 * t.v && u.s + u.half < Math.max(top, low) - 2.5 * t.v;
        b.join({
          kind: "lap",
          id: `${id}>${u.id}`,
          a: id,
          b: stud,
          aFace: outFace,
          bFace: INNER,
          contact: through ? "face" : "gap",
        });
      } else if (!u.turned || u.timber.w > w.thick - t.w)
        b.join({
          kind: "notch",
          id: `${stud}>${side}`,
          a: stud,
          b: id,
          contact: "face",
          faces: seatFaces,
        });
    }
    if (inside)
      for (const m of b.members.filter((x) => x.assembly === k.root && /^(sole plate|sill|top plate)$/.test(x.role)))
        b.join({
          kind: "bearing",
          id: `${id}>${m.id.slice(k.root.length + 1)}`,
          a: id,
          b: m.id,
          aFace: outFace,
          bFace: INNER,
          contact: "gap",
        });
    else
      for (const m of b.members.filter((x) => x.assembly === k.root && /^(blocking|corner block|girt)$/.test(x.role))) {
        const [s0, s1, z0, z1] = extent(k, m.body as never);
        const [lo, hi] = reach(z0, z1);
        if (s1 > lo + NEAR && s0 < hi - NEAR)
          b.join({ kind: "notch", id: `${m.id}>${side}`, a: m.id, b: id, contact: "gap", faces: seatFaces });
      }
  }
}

/** From where to where a stick of a wall reaches along it and up. */
function extent(
  k: WallKit,
  m: { a: Vec3; b: Vec3; components: readonly { v: number; w: number }[] },
): readonly [number, number, number, number] {
  const at = (p: Vec3): number => (p[0] - k.w.origin[0]) * k.w.e[0] + (p[1] - k.w.origin[1]) * k.w.e[1];
  const [p, q] = [at(m.a), at(m.b)];
  const half = m.components[0]!.w / 2;
  return Math.abs(m.a[2] - m.b[2]) > NEAR
    ? [p - half, p + half, Math.min(m.a[2], m.b[2]), Math.max(m.a[2], m.b[2])]
    : [Math.min(p, q), Math.max(p, q), m.a[2] - half, m.a[2] + half];
}
