import { NEAR } from "../../../geometry";
import type { Vec3 } from "../../../geometry";
import { model } from "../../../units";
import type { Builder } from "../../builder";
import type { Timber } from "../../timber";
import { rootOf, type BuildingLayout, type Part } from "../plan/layout";
import { move, placed, turn } from "../../place";
import { buttJoint } from "../walls/wallKit";

/** The lines of a part's sill beams: under its long walls, and one in the middle where the joists' span asks for it. */
function beamLines(l: BuildingLayout, part: Part): number[] {
  const half = l.t.sillBeam.v / 2;
  const [q0, q1] = [part.q[0] + half, part.q[1] - half];
  const middle = l.v.floor === "under" && part.q[1] - part.q[0] > l.mm(14 * 304.8) ? [(q0 + q1) / 2] : [];
  return [q0, ...middle, q1];
}
function stationsOf(l: BuildingLayout, part: Part): number[] {
  const half = l.t.pier.w / 2;
  const [p0, p1] = [part.p[0] + half, part.p[1] - half];
  const n = Math.max(1, Math.round((p1 - p0) / l.mm(l.v.pierSpacing)));
  return Array.from({ length: n + 1 }, (_, i) => p0 + ((p1 - p0) * i) / n);
}
/** Tops of the sill beams: under the joists, or under the soles. */
export const sillTop = (l: BuildingLayout): number => -l.floorDepth;

/** Sill beams of every part on posts, piers or a strip, down to the ground. Errors: ground above the sill beams. */
export function foundation(b: Builder, l: BuildingLayout): void {
  const { v, t } = l;
  if (v.foundation === "none") return;
  const top = sillTop(l);
  const under = top - t.sillBeam.w;
  for (const part of l.parts) {
    const local = placed(b, part.place);
    const root = `${rootOf(l, part.name)}/foundation`;
    const sill = (id: string, a: readonly [number, number], c: readonly [number, number], square: boolean): string =>
      local.stick({
        id: `${root}/sill/${id}`,
        assembly: root,
        role: "sill beam",
        letter: "SB",
        timber: t.sillBeam,
        a: [a[0], a[1], top],
        b: [c[0], c[1], top],
        up: [-(c[1] - a[1]), c[0] - a[0], 0],
        seat: ["centre", "+"],
        square,
      }).id;
    const lines = beamLines(l, part);
    const beams = lines.map((q, i) => sill(String(i + 1), [part.p[0], q], [part.p[1], q], true));
    const ends = [part.p[0] + t.sillBeam.v / 2, part.p[1] - t.sillBeam.v / 2].flatMap((p, i) =>
      part.open === (i === 0 ? "W" : "E")
        ? []
        : lines.slice(1).map((q, j) => {
            const id = sill(`end${i + 1}${j + 1}`, [p, lines[j]!], [p, q], false);
            // beams run along +p with their width to +q
            local.join(buttJoint(id, 0, beams[j]!, "+v"));
            local.join(buttJoint(id, 1, beams[j + 1]!, "-v"));
            return { id, end: i + 1, bay: j + 1 };
          }),
    );

    const carried = v.floor === "under" ? `${rootOf(l, part.name)}/floor/` : undefined;
    tieDown(b, l, part, beams, carried);
    if (v.foundation === "strip") {
      const half = t.pier.w / 2;
      // wider than its beam it is flush with the outside
      const wider = Math.max(0, half - t.sillBeam.v / 2);
      const middles = lines.map((q, i) => (i === 0 ? q + wider : i === lines.length - 1 ? q - wider : q));
      middles.forEach(
        (q, i) =>
        strip(b, l, part, `${root}/strip/${i + 1}`, beams[i]!, [part.p[0], q + half], [1, 0], part.p[1] - part.p[0], under), // prettier-ignore
      );
      // between the long ones, under the end beams
      ends.forEach(({ id, end, bay }) => {
        const p = end === 1 ? part.p[0] : part.p[1] - 2 * half;
        const [from, to] = [middles[bay - 1]! + half, middles[bay]! - half];
        strip(b, l, part, `${root}/strip/end${end}${bay}`, id, [p, from], [0, 1], to - from, under);
      });
      continue;
    }
    lines.forEach((q, i) =>
      stationsOf(l, part).forEach((p, j) => {
        // wider than its beam it stands flush with the outside
        const wider = Math.max(0, (t.pier.v - t.sillBeam.v) / 2);
        const [x, y] = move(part.place, [p, i === 0 ? q + wider : i === lines.length - 1 ? q - wider : q, 0]);
        const ground = l.ground(x, y);
        if (under - ground < 0.5)
          throw new Error(
            `The ground stands at or over the sill beam near the ${part.name === "main" ? "main part" : part.name}: raise the floor over the ground, or lessen the fall of the ground.`,
          );
        const id = `${root}/${v.foundation === "posts" ? "post" : "pier"}/${i + 1}-${j + 1}`;
        const timber: Timber = t.pier;
        b.stick({
          id,
          assembly: root,
          role: v.foundation === "posts" ? "foundation post" : "pier",
          letter: v.foundation === "posts" ? "FP" : "K",
          timber,
          a: [x, y, ground],
          b: [x, y, under],
          up: turn(part.place, [0, 1, 0]),
          square: [true, false],
        });
        b.join(buttJoint(id, 1, beams[i]!, "-w", timber.v <= t.sillBeam.v + NEAR ? "face" : "line"));
      }),
    );
  }
}

/** A low wall under a sill beam, its foot on ground that may fall along it: from a corner of the part's plan, its left side along `way`. */
function strip(
  b: Builder,
  l: BuildingLayout,
  part: Part,
  id: string,
  beam: string,
  corner: readonly [number, number],
  way: readonly [number, number],
  length: number,
  under: number,
): void {
  const wide = l.t.pier.w;
  const [from, to] = [0, length].map((s) => {
    // the middle of its foot
    const [p, q] = [corner[0] + way[0] * s + (way[1] * wide) / 2, corner[1] + way[1] * s - (way[0] * wide) / 2];
    return move(part.place, [p, q, 0]);
  }) as [Vec3, Vec3];
  const [g0, g1] = [l.ground(from[0], from[1]), l.ground(to[0], to[1])];
  if (under - Math.max(g0, g1) < 0.5)
    throw new Error(
      "The ground stands at or over the sill beam: raise the floor over the ground, or lessen the fall of the ground.",
    );
  const low = Math.min(g0, g1);
  const at = move(part.place, [corner[0], corner[1], 0]);
  b.add({
    id,
    structure: l.ctx.structure,
    assembly: `${rootOf(l, part.name)}/foundation`,
    role: "foundation",
    letter: "K",
    kind: "block",
    nominal: [0, 0],
    ends: [undefined, undefined],
    body: {
      shape: "panel",
      // it stands on edge: u along the wall, v up, its thickness to the right of the way
      origin: [at[0], at[1], low],
      u: turn(part.place, [way[0], way[1], 0]),
      v: [0, 0, 1],
      outline: [
        [0, g0 - low],
        [length, g1 - low],
        [length, under - low],
        [0, under - low],
      ],
      bevel: [0, 0, 0, 0],
      thickness: model(wide),
      stock: "cast",
      holes: [],
    },
  });
  b.join({ kind: "bearing", id: `${id}>beam`, a: id, b: beam, aFace: "e2", bFace: "-w", contact: "line" });
}

/** What stands on the sill beams: the rims of a floor, else the soles of the walls. */
function tieDown(b: Builder, l: BuildingLayout, part: Part, beams: readonly string[], floor: string | undefined): void {
  const [first, last] = [beams[0]!, beams[beams.length - 1]!];
  if (floor) {
    const joists = b.members.filter((m) => m.id.startsWith(floor) && /\/(rim|joist)\//.test(m.id));
    for (const m of joists)
      for (const beam of beams)
        if (touchesLine(m.body, b, beam))
          b.join({
            kind: "lap",
            id: `${m.id}>${beam.slice(-1)}`,
            a: m.id,
            b: beam,
            aFace: "-v",
            bFace: "+w",
            // between rims thicker than the sill beams are wide a joist hangs from the rims
            contact: /\/joist\//.test(m.id) && l.t.joist.w > l.t.sillBeam.v - NEAR ? "gap" : "line",
          });
    return;
  }
  for (const w of part.walls)
    for (const m of b.members.filter((x) => x.id.startsWith(`${rootOf(l, w.name)}/sole/`)))
      for (const beam of [first, last])
        if (touchesLine(m.body, b, beam))
          b.join({
            kind: "lap",
            id: `${m.id}>${beam.slice(-1)}`,
            a: m.id,
            b: beam,
            aFace: "+w",
            bFace: "+w",
            contact: "line",
          });
}
/** Whether a straight stick comes over a beam as seen from above. */
function touchesLine(body: { shape: string }, b: Builder, beam: string): boolean {
  const other = b.members.find((m) => m.id === beam)!.body;
  if (body.shape !== "straight" || other.shape !== "straight") return false;
  const mine = body as typeof other;
  const half = Math.max(other.components[0]!.v, 0.5) / 2;
  return [0, 1].every((k) => {
    const [a0, a1] = [Math.min(mine.a[k]!, mine.b[k]!), Math.max(mine.a[k]!, mine.b[k]!)];
    const [c0, c1] = [Math.min(other.a[k]!, other.b[k]!), Math.max(other.a[k]!, other.b[k]!)];
    return a0 <= c1 + half && c0 <= a1 + half;
  });
}
