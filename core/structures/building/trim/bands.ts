import { NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import type { Timber } from "../../timber";
import { baysOf, type Bay } from "../bay/bayPlan";
import { bayFace } from "../bay/bayFace";
import { type CladFace, cladFace, flushEnds, openEnds } from "../cladding/cladFace";
import { onWall } from "../plan/sides";
import { rootOf, type BuildingLayout, type Part, type Wall } from "../plan/layout";
import { touching } from "../walls/wallKit";

/** Boards that run round the building on its framing: a water table at the foot of the cladding, a frieze under the eaves. Mitred at the corners where walls on both sides have one. */
export function bands(b: Builder, l: BuildingLayout): void {
  const { v, t } = l;
  for (const part of l.parts) {
    if (v.waterTable)
      band(
        b,
        l,
        part,
        "water-table",
        "water table",
        "WT",
        t.waterTable,
        (w) => cladFace(b, l, part, w).foot - t.waterTable.v,
      );
    if (v.frieze)
      band(b, l, part, "frieze", "frieze board", "FZ", t.frieze, (w) =>
        hasFrieze(l, part, w) ? cladFace(b, l, part, w).head : undefined,
      );
  }
  for (const bay of baysOf(l)) {
    if (v.waterTable)
      bayBand(b, l, bay, ["water-table", "water table", "WT", t.waterTable], (f) => f.foot - t.waterTable.v);
    if (v.frieze) bayBand(b, l, bay, ["frieze", "frieze board", "FZ", t.frieze], (f) => f.head);
  }
}
/** Whether a wall ends level under an eave, so that a frieze runs along it. */
export const hasFrieze = (l: BuildingLayout, part: Part, w: Wall): boolean =>
  l.v.frieze && (part.slopes[w.side] !== undefined || part.roof === "flat");

const NEXT = { S: "E", E: "N", N: "W", W: "S" } as const;
function band(
  b: Builder,
  l: BuildingLayout,
  part: Part,
  path: string,
  role: string,
  letter: string,
  timber: Timber,
  footOf: (w: Wall) => number | undefined,
): void {
  const ends = new Map<string, { first: string; last: string; z: number; turnsLeft: boolean; turnsRight: boolean }>();
  for (const w of part.walls) {
    const z = footOf(w);
    if (z === undefined) continue;
    const root = rootOf(l, w.name);
    const casing = l.v.casings ? l.t.casing.v : 0;
    const doors = [
      ...w.gaps
        .filter((g) => !g.open && (g.door ? -Infinity : g.sill) - casing < z + timber.v && g.head + casing > z)
        .map((g) => [g.from - casing, g.to + casing] as const),
      // where a wing stands, it runs round the wing
      ...cladFace(b, l, part, w)
        .holes.filter((h) => /^wing\d+(-eave)?$/.test(h.id) && h.high > z && h.low < z + timber.v)
        .map((h) => [h.from - l.proud + l.clad, h.to + l.proud - l.clad] as const),
    ].sort((m, n) => m[0] - n[0]);
    const flush = flushEnds(l, part, w);
    const [openLeft, openRight] = openEnds(part, w).map((open, i) => open || flush[i]) as [boolean, boolean];
    const start = openLeft && !flush[0] ? l.proud : 0;
    const end = w.length - (openRight && !flush[1] ? l.proud : 0);
    const left = !openLeft && meets(part, w, "left", footOf);
    const right = !openRight && meets(part, w, "right", footOf);
    const run: Run = { root, path, role, letter, timber, z, start, end, taken: doors, runsOn: [left, right] };
    const { pieces, ...turns } = piecesOf(b, w, run, `${rootOf(l, part.name)}/`);
    if (pieces.length > 0) ends.set(w.side, { first: pieces[0]!, last: pieces[pieces.length - 1]!, z, ...turns });
  }
  for (const side of ["S", "E", "N", "W"] as const) {
    const [a, c] = [ends.get(side), ends.get(NEXT[side])];
    if (a && c && a.turnsRight && c.turnsLeft && Math.abs(a.z - c.z) < NEAR)
      b.join({ kind: "mitre", id: `${a.last}>corner`, a: a.last, end: 1, b: c.first, bEnd: 0, contact: "face" });
    else {
      // where a wing leaves the next wall no room for one, it ends at the corner
      if (a?.turnsRight) squared(b, a.last, 1);
      if (c?.turnsLeft) squared(b, c.first, 0);
    }
  }
}
/** A band along one wall, between what takes its place. */
interface Run {
  readonly root: string;
  readonly path: string;
  readonly role: string;
  readonly letter: string;
  readonly timber: Timber;
  /** Its lower edge. */
  readonly z: number;
  readonly start: number;
  readonly end: number;
  /** Doors, windows, wings: from where to where, in order. */
  readonly taken: readonly (readonly [number, number])[];
  /** Whether it is mitred with the next wall's at its left and right end, not cut square. */
  readonly runsOn: readonly [boolean, boolean];
}
interface Pieces {
  readonly pieces: readonly string[];
  /** Whether the first and the last reach the corners they turn. */
  readonly turnsLeft: boolean;
  readonly turnsRight: boolean;
}
/** Its pieces from left to right, each on what lies behind it. */
function piecesOf(b: Builder, w: Wall, r: Run, part: string): Pieces {
  const pieces: string[] = [];
  let [turnsLeft, turnsRight] = [false, false];
  let from = r.start;
  [...r.taken, undefined].forEach((g, i) => {
    const to = g ? Math.min(g[0], r.end) : r.end;
    if (to - from > 0.3) {
      const id = `${r.root}/${r.path}/${i + 1}`;
      const at = (s: number) => onWall(w, s, 0, r.z + r.timber.v / 2);
      const [open, close] = [from === r.start && r.runsOn[0], !g && r.runsOn[1]];
      // its inner face lies on the framing: seen from outside it runs to the right, so its +w looks out
      b.stick({
        id,
        assembly: r.root,
        role: r.role,
        letter: r.letter,
        timber: r.timber,
        a: at(from),
        b: at(to),
        up: [0, 0, 1],
        seat: ["centre", "-"],
        square: [!open, !close],
      });
      pieces.push(id);
      turnsLeft ||= open;
      turnsRight ||= close;
      for (const m of b.members.filter(
        (x) => x.assembly === r.root && /stud|post|sole|sill|top plate|sheet/.test(x.role),
      ))
        b.join(touching(id, m.id, "-w", "+v"));
      for (const m of b.members.filter((x) => x.id.startsWith(part) && /rim|end joist|sill beam/.test(x.role)))
        b.join(touching(id, m.id, "-w", "+w"));
    }
    from = g ? Math.max(from, g[1]) : from;
  });
  return { pieces, turnsLeft, turnsRight };
}

/** The same boards round a bay window: square against the main wall, mitred at half of the slant in front. */
function bayBand(
  b: Builder,
  l: BuildingLayout,
  bay: Bay,
  [path, role, letter, timber]: readonly [string, string, string, Timber],
  footOf: (f: CladFace) => number,
): void {
  const faces = bay.walls.map((w) => bayFace(l, bay, w));
  const own = bay.walls.map((w, i) => {
    const z = footOf(faces[i]!);
    const casing = l.v.casings ? l.t.casing.v : 0;
    const taken = w.gaps
      .filter((g) => g.sill - casing < z + timber.v && g.head + casing > z)
      .map((g) => [g.from - casing, g.to + casing] as const);
    const run = { root: rootOf(l, w.name), path, role, letter, timber, z, start: 0, end: w.length, taken };
    return piecesOf(b, w, { ...run, runsOn: [i > 0, i < 2] }, `${rootOf(l, bay.name)}/`);
  });
  for (const i of [0, 1] as const) {
    const [p, q] = [own[i]!, own[i + 1]!];
    const [a, c] = [p.pieces.at(-1), q.pieces[0]];
    if (a && c && p.turnsRight && q.turnsLeft)
      b.join({ kind: "mitre", id: `${a}>corner`, a, end: 1, b: c, bEnd: 0, contact: "face" });
    else {
      if (a && p.turnsRight) squared(b, a, 1);
      if (c && q.turnsLeft) squared(b, c, 0);
    }
  }
}
/** Cuts an end square that meets nothing. */
function squared(b: Builder, id: string, end: 0 | 1): void {
  const i = b.members.findIndex((m) => m.id === id);
  const m = b.members[i]!;
  const square = { kind: "square", beyond: 0 } as const;
  b.members[i] = { ...m, ends: end === 0 ? [square, m.ends[1]] : [m.ends[0], square] };
}
/** Whether a band turns the corner of a wall: there is a wall beyond it that ends level as this one. */
function meets(part: Part, w: Wall, side: "left" | "right", footOf: (w: Wall) => number | undefined): boolean {
  const beyond =
    side === "right" ? NEXT[w.side] : (Object.entries(NEXT).find(([, x]) => x === w.side)![0] as Wall["side"]);
  const other = part.walls.find((x) => x.side === beyond);
  const [own, next] = [footOf(w), other && footOf(other)];
  return own !== undefined && next !== undefined && Math.abs(own - next) < NEAR;
}
