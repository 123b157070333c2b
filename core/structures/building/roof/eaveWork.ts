import type { Vec2, Vec3 } from "../../../geometry";
import type { Builder } from "../../builder";
import type { BuildingLayout, Part, Side, Slope } from "../plan/layout";
import { hasSoffit } from "../plan/nominal";
import { panel } from "./panel";
import { inverse, placed } from "../../place";
import { alongOf, inwardOf, over, planeZ, soffitLevel, type RoofKit, roofKit } from "./slopes";
import { buttJoint, touching } from "../walls/wallKit";

const AROUND = ["S", "E", "N", "W"] as const;

/** The eaves of a part that run free along their whole wall. */
function freeEaves(l: BuildingLayout, part: Part): Side[] {
  return AROUND.filter((side) => {
    const w = part.walls.find((x) => x.side === side);
    return (
      part.slopes[side] && w && part.open !== side && !l.parts.some((p) => p.against === w.name && part === l.main)
    );
  });
}

/** Soffits under the eaves that run free: a level sheet from the cladding to the fascia, on the level cuts of the tails; mitred at the corners of a hip roof. */
export function soffits(b: Builder, l: BuildingLayout): void {
  if (!hasSoffit(l.v)) return;
  for (const part of l.parts) {
    if (part.valley) continue;
    const k = roofKit(placed(b, part.place), l, part);
    const hip = part.roof === "hip" || part.roof === "hipdeck";
    for (const side of freeEaves(l, part)) {
      const s = part.slopes[side]!;
      const [lo, hi] = side === "S" || side === "N" ? part.p : part.q;
      const [inner, outer] = [l.proud, part.out - l.t.fascia.w];
      const past = hip ? outer : part.gableOut;
      const past0 = part.open ? 0 : past;
      const [a, c] = [lo - past0, hi + past];
      // seen from outside it runs to the right; its lower face lies in u and v
      const e = alongOf(side);
      const n = inwardOf(side);
      const thickness = l.v.roofSheet;
      const positive = side === "S" || side === "E";
      const start = positive ? a : c;
      const long = c - a;
      const wide = outer - inner;
      // from above, counter-clockwise: the outer edge, then the inner one
      const outline: Vec2[] = hip
        ? [
            [0, 0],
            [long, 0],
            [long - wide, wide],
            [wide, wide],
          ]
        : [
            [0, 0],
            [long, 0],
            [long, wide],
            [0, wide],
          ];
      const id = panel(b, l, part.place, {
        id: `${k.root}/roof/soffit-${side}`,
        assembly: `${k.root}/roof/slope-${side}`,
        role: "soffit",
        letter: "SO",
        origin: over(part, side, start, -outer, soffitLevel(k, s) - thickness),
        u: e,
        v: n,
        outline,
        thickness,
      });
      for (const r of tailsOf(b, k, side)) b.join(touching(r.id, id, "end0", "+w"));
    }
  }
}
interface Tail {
  readonly id: string;
  readonly at: number;
}
/** The common rafters and jacks of an eave with where they stand along it. */
function tailsOf(b: Builder, k: RoofKit, side: Side): Tail[] {
  const prefix = `${k.root}/roof/${side}/`;
  return b.members.flatMap((m): Tail[] => {
    if (!m.id.startsWith(prefix) || !/^(common|jack) rafter$/.test(m.role) || m.id.endsWith("-over")) return [];
    if (m.body.shape !== "straight") return [];
    const p = inverse(k.part.place, m.body.a);
    return [{ id: m.id, at: side === "S" || side === "N" ? p[0] : p[1] }];
  });
}

/** Where the straight underside of a slope's tails ends, inward of the wall (below 0 outside of it). */
function tailEnd(k: RoofKit, s: Slope): number {
  const { v, t } = k.l;
  const stretch = Math.hypot(1, s.k);
  const { out } = k.part;
  if (v.fascia === "board") return t.fascia.w - out;
  if (v.tail === "square") return (t.rafter.v * s.k) / stretch - out;
  if (v.tail === "plumb") return -out;
  return Math.max(-out, (soffitLevel(k, s) + t.rafter.v * stretch - planeZ(s, 0)) / s.k);
}

/** Brackets under wide eaves: an upright on the wall and a strut out to the rafter over it, at every so many rafters. */
export function eaveBrackets(b: Builder, l: BuildingLayout): void {
  const { v, t, mm } = l;
  if (!v.brackets || hasSoffit(v)) return;
  const size = t.bracket;
  for (const part of l.parts) {
    if (part.valley) continue;
    const k = roofKit(placed(b, part.place), l, part);
    for (const side of freeEaves(l, part)) {
      if (
        part === l.main &&
        v.wings.some((w) => w.kind === "canopy" && w.side === part.walls.find((x) => x.side === side)!.name)
      )
        continue;
      const s = part.slopes[side]!;
      const stretch = Math.hypot(1, s.k);
      const under = (inward: number): number => planeZ(s, inward) - t.rafter.v * stretch;
      const reach = Math.min(mm(v.bracketReach), -tailEnd(k, s) - l.proud - 2 * size.v);
      if (reach < 2 * size.v) continue;
      const all = tailsOf(b, k, side).filter((r) => b.joints.some((j) => j.id === `${r.id}>plate`));
      const sorted = [...all].sort((x, y) => x.at - y.at);
      const [lo, hi] = side === "S" || side === "N" ? part.p : part.q;
      let last = -Infinity;
      for (const [i, r] of sorted.entries()) {
        const clear = size.w / 2 + 0.05;
        if (r.at < lo + clear + (part.open ? l.proud : 0) || r.at > hi - clear) continue;
        const end = i === sorted.length - 1;
        if (r.at - last < mm(v.bracketSpacing) * 0.9 && !(end && r.at - last > mm(v.bracketSpacing) * 0.5)) continue;
        last = r.at;
        const assembly = `${k.root}/roof/brackets`;
        const root = `${assembly}/${side}${i + 1}`;
        const place = placed(b, part.place);
        const face = -l.proud - size.v / 2;
        const outer = -l.proud - size.v;
        const foot = under(outer) - reach * 1.05;
        const up: Vec3 = [-inwardOf(side)[0], -inwardOf(side)[1], 0];
        const upright = place.stick({
          id: `${root}/upright`,
          assembly,
          role: "eave bracket",
          letter: "EB",
          timber: size,
          a: over(part, side, r.at, face, foot),
          b: over(part, side, r.at, face, under(face)),
          up,
          square: [true, false],
        }).id;
        b.join(buttJoint(upright, 1, r.id, "-v", "line"));
        const strut = place.stick({
          id: `${root}/strut`,
          assembly,
          role: "eave bracket",
          letter: "EB",
          timber: size,
          a: over(part, side, r.at, outer, foot + size.v),
          b: over(part, side, r.at, outer - reach, under(outer - reach)),
          up: [0, 0, 1],
        }).id;
        b.join(buttJoint(strut, 0, upright, "+v", "line"));
        b.join({ ...buttJoint(strut, 1, r.id, "-v", "line"), id: `${strut}>rafter` });
      }
    }
  }
}
