import type { Builder } from "../builder";
import type { Timber } from "../timber";
import { cladFace, openEnds } from "./cladFace";
import { onWall } from "./sides";
import { rootOf, type BuildingLayout, type Part, type Wall } from "./layout";
import { touching } from "./wallKit";

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
    const [openLeft, openRight] = openEnds(part, w);
    const [start, end] = [openLeft ? l.proud : 0, w.length - (openRight ? l.proud : 0)];
    let from = start;
    const pieces: string[] = [];
    const turns = { turnsLeft: false, turnsRight: false };
    [...doors, undefined].forEach((g, i) => {
      const to = g ? Math.min(g[0], end) : end;
      if (to - from > 0.3) {
        const id = `${root}/${path}/${i + 1}`;
        const at = (s: number) => onWall(w, s, 0, z + timber.v / 2);
        const [open, close] = [
          from === 0 && !openLeft && meets(part, w, "left", footOf),
          !g && !openRight && meets(part, w, "right", footOf),
        ];
        // its inner face lies on the framing: seen from outside it runs to the right, so its +w looks out
        b.stick({
          id,
          assembly: root,
          role,
          letter,
          timber,
          a: at(from),
          b: at(to),
          up: [0, 0, 1],
          seat: ["centre", "-"],
          square: [!open, !close],
        });
        pieces.push(id);
        if (open) turns.turnsLeft = true;
        if (close) turns.turnsRight = true;
        for (const m of b.members.filter(
          (x) => x.assembly === root && /stud|post|sole|sill|top plate|sheet/.test(x.role),
        ))
          b.join(touching(id, m.id, "-w", "+v"));
        for (const m of b.members.filter(
          (x) => x.id.startsWith(`${rootOf(l, part.name)}/`) && /rim|end joist|sill beam/.test(x.role),
        ))
          b.join(touching(id, m.id, "-w", "+w"));
      }
      from = g ? Math.max(from, g[1]) : from;
    });
    if (pieces.length > 0) ends.set(w.side, { first: pieces[0]!, last: pieces[pieces.length - 1]!, z, ...turns });
  }
  const squared = (id: string, end: 0 | 1): void => {
    const i = b.members.findIndex((m) => m.id === id);
    const m = b.members[i]!;
    const square = { kind: "square", beyond: 0 } as const;
    b.members[i] = { ...m, ends: end === 0 ? [square, m.ends[1]] : [m.ends[0], square] };
  };
  for (const side of ["S", "E", "N", "W"] as const) {
    const [a, c] = [ends.get(side), ends.get(NEXT[side])];
    if (a && c && a.turnsRight && c.turnsLeft && Math.abs(a.z - c.z) < 1e-6)
      b.join({ kind: "mitre", id: `${a.last}>corner`, a: a.last, end: 1, b: c.first, bEnd: 0, contact: "face" });
    else {
      // where a wing leaves the next wall no room for one, it ends at the corner
      if (a?.turnsRight) squared(a.last, 1);
      if (c?.turnsLeft) squared(c.first, 0);
    }
  }
}
/** Whether a band turns the corner of a wall: there is a wall beyond it that ends level as this one. */
function meets(part: Part, w: Wall, side: "left" | "right", footOf: (w: Wall) => number | undefined): boolean {
  const beyond =
    side === "right" ? NEXT[w.side] : (Object.entries(NEXT).find(([, x]) => x === w.side)![0] as Wall["side"]);
  const other = part.walls.find((x) => x.side === beyond);
  const [own, next] = [footOf(w), other && footOf(other)];
  return own !== undefined && next !== undefined && Math.abs(own - next) < 1e-6;
}
