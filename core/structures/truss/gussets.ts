import { clipPolygon, hull, type Vec2, type Vec3, NEAR } from "../../geometry";
import { model } from "../../units";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import type { TrussLayout } from "./layout";
import type { SideTruss } from "./sideTruss";
import type { TrussValues } from "./parameters";

/** Thickness of a gusset plate, prototype mm: half an inch, common practice. */
const PLATE = 12.7;

/**
 * Gusset plates on both faces at every panel point: the outline that covers each member for its reach. They lie on what is
 * widest there, chord or webs; what is narrower leaves a gap under them, to be packed.
 */
export function gussetPlates(b: Builder, v: TrussValues, ctx: Context, l: TrussLayout, t: SideTruss): void {
  const reach = l.mm(v.gussetReach);
  for (const [name, at] of Object.entries(l.topology.points)) {
    const chords = t.chords.filter((c) => c.points.includes(name));
    const webs = t.webs.filter((w) => w.web.a === name || w.web.b === name);
    const flat = webs.filter((w) => !w.timber.round);
    // webs may stand to one side of the middle
    const outermost = (side: 1 | -1): number =>
      Math.max(...chords.map((c) => widthOf(c.member) / 2), ...flat.map((w) => side * w.y + w.timber.w / 2));
    const stubs: Vec2[] = [];
    // a shade narrower than the members, so that what lies across them stays clear
    const stub = (to: Vec2, wide: number): void => {
      const deep = (v.camber > 0 ? 0.8 : 0.94) * wide;
      const n = Math.hypot(to[0] - at[0], to[1] - at[1]);
      const d: Vec2 = [(to[0] - at[0]) / n, (to[1] - at[1]) / n];
      const k = Math.min(reach, n / 2.5);
      for (const s of [-0.5, 0.5])
        for (const r of [0, k]) stubs.push([at[0] + d[0] * r - d[1] * s * deep, at[1] + d[1] * r + d[0] * s * deep]);
    };
    for (const c of chords) {
      const i = c.points.indexOf(name);
      const deep = c.member.body.shape === "straight" ? l.chord.v : 0;
      for (const k of [i - 1, i + 1]) if (c.points[k]) stub(l.topology.points[c.points[k]!]!, deep);
    }
    for (const w of webs) stub(l.topology.points[w.web.a === name ? w.web.b : w.web.a]!, w.timber.v);
    const outline = clipPolygon(
      hull(stubs),
      besideBeams(
        at,
        chords.some((c) => c.chord === "bottom" && c.role === "bottom chord"),
        v.position === "deck" && chords.some((c) => c.chord === "top" && c.role === "top chord"),
        l,
      ),
    );
    if (outline.length < 3) continue;
    const [x0, z0] = [Math.min(...outline.map((p) => p[0])), Math.min(...outline.map((p) => p[1]))];
    ([-1, 1] as const).forEach((side) => {
      const outer = outermost(side);
      const chord = chords.find((c) => Math.abs(widthOf(c.member) / 2 - outer) < NEAR);
      const id = `${t.place.root}/gusset/${name}/${side < 0 ? "near" : "far"}`;
      // seen from its own outside the outline runs the same way round: mirrored for the far plate
      const own = outline.map((p): Vec2 => (side < 0 ? [p[0] - x0, p[1] - z0] : [-(p[0] - x0), p[1] - z0]));
      const ordered = side < 0 ? own : [...own].reverse();
      const u: Vec3 = t.place.turn([side < 0 ? 1 : -1, 0, 0]);
      b.add({
        id,
        structure: ctx.structure,
        assembly: t.place.root,
        role: "gusset plate",
        letter: "Z",
        kind: "panel",
        nominal: [0, 0],
        ends: [undefined, undefined],
        body: {
          shape: "panel",
          origin: t.place.at(x0, side * outer, z0),
          u,
          v: t.place.turn([0, 0, 1]),
          outline: ordered,
          bevel: ordered.map(() => 0),
          thickness: model(l.mm(PLATE)),
          stock: "sheet",
          holes: [],
        },
      });
      for (const w of flat)
        if (Math.abs(w.y + (side * w.timber.w) / 2 - side * outer) < 0.01)
          b.join({
            kind: "bearing",
            id: `${id}>${w.web.id}`,
            a: id,
            b: w.id,
            aFace: "-w",
            bFace: side < 0 ? "+w" : "-w",
            contact: "line",
          });
      if (chord)
        b.join({
          kind: "bearing",
          id: `${id}>chord`,
          a: id,
          b: chord.id,
          aFace: "-w",
          bFace: side < 0 ? "+w" : "-w",
          contact: "line",
        });
    });
  }
}
/** Where a plate at a point may be: over the underside of a bottom chord, where blocks and floor beams are, and under the top of a deck bridge's top chord. */
function besideBeams(at: Vec2, bottom: boolean, deck: boolean, l: TrussLayout): readonly Vec2[] {
  const low = bottom ? at[1] - 0.47 * l.chord.v : -FAR;
  const high = deck ? at[1] + 0.47 * l.chord.v : FAR;
  return [
    [-FAR, low],
    [FAR, low],
    [FAR, high],
    [-FAR, high],
  ];
}
const FAR = 1e5;
const widthOf = (m: {
  body: { shape: string; components?: readonly { w: number; at: readonly [number, number] }[] };
}): number => {
  const c = m.body.components ?? [];
  return Math.max(...c.map((x) => x.at[1] + x.w / 2)) - Math.min(...c.map((x) => x.at[1] - x.w / 2));
};
