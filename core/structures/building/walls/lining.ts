import { add, normalize, planeAt, scale, NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import { baysOf } from "../bay/bayPlan";
import { rest } from "../cladding/rest";
import { clearInside, onWall } from "../plan/sides";
import { rootOf, type BuildingLayout, type Wall } from "../plan/layout";
import { alongWall } from "../roof/slopes";
import { touching } from "./wallKit";

/** Planks on the inside of every wall from the floor up: a bin's sides. End walls' stand between those of the long walls. */
export function lining(b: Builder, l: BuildingLayout): void {
  const { v, t } = l;
  if (!v.lined) return;
  const plank = t.lining;
  const plates = l.plate * (v.framing === "posts" ? 1 : v.topPlates);
  for (const part of l.parts)
    for (const w of part.walls) {
      const inset = l.wall + (w.through ? 0 : plank.w);
      // under a flat roof's ledgers, which lie on the studs
      const ledgers = part.roof === "flat" ? l.mm(v.wallHeight) - t.rafter.v - t.lookout.v : Infinity;
      const partitions = part === l.main && (w.name === "front" || w.name === "back") ? l.partitions : [];
      const crossed = partitions.map((x) => {
        const ends = [x.origin[0] - x.thick, x.origin[0]].map((p) => alongWall(w, [p, 0, 0]));
        return [Math.min(...ends), Math.max(...ends)] as const;
      });
      // up to the plates, which the rafters hang beside
      const high = Math.min(ledgers, clearInside(l, w, l.wall + plank.w, w.top - plates));
      lineWall(b, l, { w, range: [inset, w.length - inset], high, crossed });
    }
  for (const bay of baysOf(l)) {
    // one that the room does not open into shows no inside
    if (!bay.main.gaps.some((g) => g.open && bay.name.endsWith(g.name.slice(3)))) continue;
    const main = `${rootOf(l, bay.name)}/main`;
    bay.walls.forEach((w, i) => {
      const corner = (k: 0 | 1, other: Wall | undefined): string => {
        if (!other) return main;
        const name = `${rootOf(l, w.name)}/lining-corner${k}`;
        // halves the corner: it keeps what lies towards the wall's middle
        const along = normalize(add(w.e, other.e));
        b.datums[name] = planeAt(onWall(w, k * w.length, 0, 0), k === 1 ? along : scale(along, -1));
        return name;
      };
      const ends = [corner(0, bay.walls[i - 1]), corner(1, bay.walls[i + 1])] as const;
      lineWall(b, l, { w, range: [0, w.length], high: bay.top - plates, crossed: [], ends });
    });
  }
}

/** A wall to be lined: along it, how high, and what stands in the way. Model mm. */
interface Lined {
  readonly w: Wall;
  readonly range: readonly [number, number];
  readonly high: number;
  /** Partitions that end in it. */
  readonly crossed: readonly (readonly [number, number])[];
  /** Datums that cut its planks; square where there are none. */
  readonly ends?: readonly [string, string];
}
function lineWall(b: Builder, l: BuildingLayout, { w, range, high, crossed, ends }: Lined): void {
  const plank = l.t.lining;
  const root = rootOf(l, w.name);
  const rows = Math.ceil((high - NEAR) / plank.v);
  const behind = b.members.filter((m) => m.id.startsWith(`${root}/`) && /post|stud|sole|sill|top plate/.test(m.role));
  const top = `${root}/lining-top`;
  b.datums[top] = planeAt([0, 0, high], [0, 0, 1]);
  let last: readonly string[] = [];
  for (let i = 0; i < rows; i++) {
    const [z0, z1] = [i * plank.v, (i + 1) * plank.v];
    if (high - z0 < 0.25) break;
    const cut = w.gaps.filter((g) => (g.door ? 0 : g.sill) <= z0 + NEAR && g.head >= Math.min(z1, high) - NEAR);
    const row: string[] = [];
    const pieces = rest(range, [...cut.map((g) => [g.from, g.to] as const), ...crossed]);
    pieces.forEach(([s0, s1], j) => {
      const id = `${root}/lining/${i + 1}-${j + 1}`;
      const inward = l.wall + plank.w / 2;
      const trimmed = [ends && s0 === range[0], ends && s1 === range[1]] as const;
      b.stick({
        id,
        assembly: root,
        role: "lining plank",
        letter: "LP",
        timber: plank,
        a: onWall(w, s0, inward, (z0 + z1) / 2),
        b: onWall(w, s1, inward, (z0 + z1) / 2),
        up: [0, 0, 1],
        square: [!trimmed[0], !trimmed[1]],
      });
      for (const k of [0, 1] as const)
        if (trimmed[k])
          b.join({ kind: "trim", id: `${id}/corner${k}`, a: id, datum: ends![k], as: `end${k}`, contact: "gap" });
      if (z1 > high + NEAR) b.join({ kind: "trim", id: `${id}/rip`, a: id, datum: top, as: "length", contact: "gap" });
      row.push(id);
      for (const below of last) b.join(touching(id, below, "-v", "+v"));
      for (const m of behind) b.join(touching(id, m.id, "+w", "-v"));
      for (const g of w.gaps) {
        const low = g.door ? -1 : g.sill;
        if (g.from >= s1 - NEAR || g.to <= s0 + NEAR || low >= z1 - NEAR || g.head <= z0 + NEAR) continue;
        const n = `${root}/lining-${g.name}`;
        b.datums[`${n}-left`] = planeAt(onWall(w, g.from, 0, 0), [-w.e[0], -w.e[1], 0]);
        b.datums[`${n}-right`] = planeAt(onWall(w, g.to, 0, 0), w.e);
        b.datums[`${n}-low`] = planeAt([0, 0, low], [0, 0, -1]);
        b.datums[`${n}-high`] = planeAt([0, 0, g.head], [0, 0, 1]);
        b.join({
          kind: "notch",
          id: `${id}>${g.name}`,
          a: id,
          b: behind[0]!.id,
          contact: "gap",
          faces: ["left", "right", "low", "high"].map((x) => ({ datum: `${n}-${x}` })),
        });
      }
    });
    last = row;
  }
}
