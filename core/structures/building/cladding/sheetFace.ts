import { dot, NEAR, polygonArea, clipPolygon, type Vec2 } from "../../../geometry";
import { textureOf } from "../../../lumber";
import type { Builder } from "../../builder";
import { onWall } from "../plan/sides";
import { rootOf, type BuildingLayout } from "../plan/layout";
import { panel, UNMOVED } from "../roof/panel";
import { rectangleHole } from "../../panel";
import { wholeBoards } from "../../../carpentry";
import type { Behind } from "./behind";
import type { CladFace } from "./cladFace";
import { faceParts, halfOf, type Rectangle } from "./faceParts";
import { LEAST } from "./layBoard";
import { touching } from "../walls/wallKit";
import { wallLines } from "../../wallLines";

/**
 * The textured sheet of a wall: the same face that boards would cover, as one panel to each connected part of it, cut out
 * for openings, and parted again, on a line of its texture where the lines stand upright, where it is longer than the sheet
 * is sold. An end wall of 70 mm with a gable is one panel of five corners; its lines begin at its left end.
 */
export function sheetFace(b: Builder, l: BuildingLayout, f: CladFace, behind: readonly Behind[]): void {
  const w = f.wall;
  const sheet = l.sheet!;
  const keep = keptBy(b, f);
  const face: Rectangle = { from: f.from, to: f.to, low: f.foot, high: f.head };
  const lines = wallLines(sheet.item, l.courses, f.from);
  let n = 0;
  const laid: { readonly id: string; readonly outline: readonly Vec2[] }[] = [];
  for (const run of runsOf(l, face))
    for (const part of faceParts({ ...face, from: run[0], to: run[1] }, f.holes, keep)) {
      const mitre = part.outline.map((p, i) => {
        const q = part.outline[(i + 1) % part.outline.length]!;
        const along = (s: number): boolean => Math.abs(p[0] - s) < NEAR && Math.abs(q[0] - s) < NEAR;
        return (f.mitred?.[0] && along(f.from)) || (f.mitred?.[1] && along(f.to)) ? -45 : 0;
      });
      const id = panel(b, l, UNMOVED, {
        id: `${rootOf(l, w.name)}/facing/${++n}`,
        assembly: rootOf(l, w.name),
        role: "facing",
        letter: "FS",
        origin: onWall(w, 0, 0, 0),
        u: w.e,
        v: [0, 0, 1],
        outline: part.outline,
        bevel: mitre,
        thickness: sheet.item.thickness,
        stock: sheet.item.id,
        texture: lines,
        holes: part.out.map((r, i) => rectangleHole(r.id ?? `rest${i + 1}`, [r.from, r.to], [r.low, r.high])),
      });
      hold(b, id, part.outline, part.out, behind);
      // sheets that meet on a seam are glued edge to edge
      for (const before of laid) {
        const [mine, its] = [edgeAt(part.outline, run[0]), edgeAt(before.outline, run[0])];
        if (mine && its && mine.low < its.high - NEAR && its.low < mine.high - NEAR)
          b.join(touching(id, before.id, mine.face, its.face));
      }
      laid.push({ id, outline: part.outline });
    }
}
/** The upright edge of an outline at a place of the wall. */
function edgeAt(
  outline: readonly Vec2[],
  s: number,
): { readonly face: `e${number}`; readonly low: number; readonly high: number } | undefined {
  const i = outline.findIndex((p, k) => Math.abs(p[0] - s) < NEAR && Math.abs(outline[(k + 1) % outline.length]![0] - s) < NEAR); // prettier-ignore
  if (i < 0) return undefined;
  const [a, c] = [outline[i]![1], outline[(i + 1) % outline.length]![1]];
  return { face: `e${i}`, low: Math.min(a, c), high: Math.max(a, c) };
}
/** Keeps what lies under a gable's slopes and over the covering under a dormer's cheek, in the plane of the framing's outside. */
function keptBy(b: Builder, f: CladFace): (polygon: readonly Vec2[]) => readonly Vec2[] {
  const w = f.wall;
  const o = onWall(w, 0, 0, 0);
  const halves = [...f.slopes, ...(f.base ? [f.base.datum] : [])].map((name) => {
    const { n, d } = b.datums[name]!;
    return [dot(n, w.e), n[2], d - dot(n, o)] as const;
  });
  return (p) => halves.reduce<readonly Vec2[]>((q, [a, c, d]) => (q.length > 2 ? halfOf(q, a, c, d) : []), p);
}
/** From where to where along a face each sheet reaches: as far as it is sold, upright lines on the last of them. */
export function runsOf(l: BuildingLayout, face: Rectangle): (readonly [number, number])[] {
  const { item } = l.sheet!;
  const upright = textureOf(item.texture!.id).runs === "upright";
  const longest = Math.max(...item.sizes.map(([across, along]) => (upright ? across : along)));
  const length = face.to - face.from;
  if (length <= longest + NEAR) return [[face.from, face.to]];
  const count = Math.ceil((length - NEAR) / longest);
  const equal = length / count;
  const step = upright ? Math.max(item.texture!.pitch, Math.min(wholeBoards(longest, item.texture!.pitch).under.length, wholeBoards(equal, item.texture!.pitch).over.length)) : equal; // prettier-ignore
  return Array.from({ length: Math.ceil((length - NEAR) / step) }, (_, i) => [face.from + i * step, Math.min(face.to, face.from + (i + 1) * step)] as const); // prettier-ignore
}
/** Joins a facing to the sticks that it lies on, but for what shows in its holes alone. */
function hold(
  b: Builder,
  id: string,
  outline: readonly Vec2[],
  out: readonly Rectangle[],
  behind: readonly Behind[],
): void {
  const shown = (m: Behind): boolean => {
    const r: Vec2[] = [
      [m.s[0], m.z[0]],
      [m.s[1], m.z[0]],
      [m.s[1], m.z[1]],
      [m.s[0], m.z[1]],
    ];
    const met = clipPolygon(outline, r);
    if (met.length < 3) return false;
    const cut = out.reduce((s, h) => s + Math.max(0, Math.min(h.to, m.s[1]) - Math.max(h.from, m.s[0])) * Math.max(0, Math.min(h.high, m.z[1]) - Math.max(h.low, m.z[0])), 0); // prettier-ignore
    return polygonArea(met) - cut > LEAST * LEAST;
  };
  const firm = behind.filter((m) => shown(m) && !m.slants);
  for (const m of firm.length > 0 ? firm : behind.filter(shown))
    b.join({
      kind: "bearing",
      id: `${id}>${m.id.split("/").slice(-2).join("-")}`,
      a: id,
      b: m.id,
      aFace: "-w",
      bFace: "+v",
      contact: m.slants ? "gap" : "line",
    });
}
