import { NEAR } from "../../../geometry";
import type { Contact, Face } from "../../../frame";
import type { Builder } from "../../builder";
import type { Timber } from "../../timber";
import { onWall } from "../plan/sides";
import { type BuildingLayout, type Wall } from "../plan/layout";
import { buttJoint, wallKit, LEAST_GAP, LEFT, RIGHT, TOP, UNDER, type Upright, type WallKit } from "./wallKit";
import { postsOf, studsOf } from "./uprights";
import { wallOpenings } from "../openings/wallOpenings";
import { sheetWall } from "./wallSheet";
import { braces, kneeBraces } from "./braces";

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
  b.join(buttJoint(id, 0, under, faces[0], face));
  b.join(buttJoint(id, 1, over, faces[1], face));
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
  wallOpenings(k, t, under, lower, uprights);
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
    k.b.join(buttJoint(id, 0, a, left.turned ? OUTER_OF_TURNED.right : RIGHT, deep(left)));
    k.b.join(buttJoint(id, 1, c, right.turned ? OUTER_OF_TURNED.left : LEFT, deep(right)));
  });
}
/** Faces of a stud that stands flat in the wall: its width lies along it. */
const OUTER_OF_TURNED = { right: "+v", left: "-v" } as const;
