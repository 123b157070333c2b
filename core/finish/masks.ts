import { elevation, outline, text, type Drawing, type Entity } from "../drawing";
import { joinedPairs, patches, toLocal, type Patch, type Piece, type Resolved } from "../frame";
import { dot, type SolidFace, type Vec2 } from "../geometry";
import type { StructureDesign } from "../job";
import { printMm } from "../units";
import { finishGroupOf, GROUP_WORDS } from "./groups";
import type { FinishPart } from "./plan";

/** A face that is glued after its piece is painted. */
export interface GlueFace {
  readonly stick: string;
  /** What is glued on it. */
  readonly other: string;
  readonly patch: Patch;
}
/** Faces smaller than this are scraped bare in one stroke, and get no mask of their own, mm². Common practice. */
const SCRAPED = 2;
/** Between masks, and the width that rows fill, mm; the height of letters. */
const [APART, WIDE, SIZE] = [5, 170, 1.9];

/**
 * Faces of a group that are glued after it is painted: of what is painted loose wherever it meets another stick, of what
 * is painted on its board where it meets what is built elsewhere. What is painted where it stands has none.
 */
export function glueFaces(s: StructureDesign, part: FinishPart): GlueFace[] {
  if (part.when === "standing" || !part.coats.some((c) => c.kind !== "stain" && c.kind !== "decal")) return [];
  const own = new Set(part.sticks.map((k) => k.id));
  const faces = (k: Resolved): SolidFace[] => k.parts.flatMap((p) => p.faces);
  const out: GlueFace[] = [];
  for (const [x, y] of joinedPairs(s.resolved)) {
    if (!own.has(x.id) && !own.has(y.id)) continue;
    if (part.when === "board" && x.member.assembly === y.member.assembly) continue;
    if (x.member.loose || y.member.loose) continue;
    for (const [k, o] of [
      [x, y],
      [y, x],
    ] as const)
      // prettier-ignore
      if (own.has(k.id)) for (const patch of patches(faces(k), faces(o))) out.push({ stick: k.id, other: o.id, patch });
  }
  return out;
}
/** How much of a group's surface is glued after it is painted, model mm². */
export const gluedArea = (faces: readonly GlueFace[]): number => faces.reduce((a, f) => a + f.patch.area, 0);

/** A face of a panel with its masks, its lower left corner at 0, 0, and how many are masked alike. */
interface PanelFace {
  readonly name: string;
  readonly wide: number;
  readonly high: number;
  readonly rim: readonly (readonly Vec2[])[];
  readonly masks: readonly (readonly Vec2[])[];
  readonly count: number;
}
/** On which face of a stick a patch lies: 1 on that which its w looks out of, -1 on the other, 0 on a side. */
function sideOf(k: Resolved, { plane: { n } }: Patch): 1 | -1 | 0 {
  const along = dot(n, k.axes.w);
  return along > 0.999 ? 1 : along < -0.999 ? -1 : 0;
}
/** A patch flat in its own plane, its longest side along x and its lower left corner at 0, 0. */
function laidFlat({ corners, plane: { n } }: Patch): Vec2[] {
  let [long, at] = [-1, 0];
  const side = (i: number): number => Math.hypot(...[0, 1, 2].map((k) => corners[(i + 1) % corners.length]![k]! - corners[i]![k]!)); // prettier-ignore
  corners.forEach((_, i) => side(i) > long + 1e-6 && ([long, at] = [side(i), i]));
  const u = [0, 1, 2].map((k) => (corners[(at + 1) % corners.length]![k]! - corners[at]![k]!) / long) as [number, number, number]; // prettier-ignore
  const v = [n[1] * u[2] - n[2] * u[1], n[2] * u[0] - n[0] * u[2], n[0] * u[1] - n[1] * u[0]];
  const flat = corners.map((c): Vec2 => [u[0] * c[0] + u[1] * c[1] + u[2] * c[2], v[0]! * c[0] + v[1]! * c[1] + v[2]! * c[2]]); // prettier-ignore
  const [x, y] = [Math.min(...flat.map((p) => p[0])), Math.min(...flat.map((p) => p[1]))];
  return flat.map((p) => [p[0] - x, p[1] - y]);
}

/** The masks of a group at full size: on sheets the faces in their place on the panel, of sticks each mask once with how many of it. Undefined where nothing is masked. */
export function maskDrawing(s: StructureDesign, part: FinishPart, pieces: readonly Piece[]): Drawing | undefined {
  const faces = glueFaces(s, part).filter((f) => f.patch.area >= SCRAPED);
  if (faces.length === 0) return undefined;
  const markOf = new Map(pieces.flatMap((p) => p.sticks.map((x) => [x, p.mark] as const)));
  const stick = new Map(part.sticks.map((k) => [k.id, k] as const));
  const [shapes, words]: [Entity[], Entity[]] = [[], []];
  let [x, y, row] = [0, 0, 0];
  const place = (wide: number, high: number, lines: readonly string[]): Vec2 => {
    const need = high + lines.length * SIZE * 1.5 + APART;
    if (x > 0 && x + wide > WIDE) [x, y, row] = [0, y - row, 0];
    const at: Vec2 = [x, y - high];
    lines.forEach((t, i) => words.push(text([at[0], at[1] - (i + 1) * SIZE * 1.5], t, SIZE)));
    x += Math.max(wide, 26) + APART;
    row = Math.max(row, need);
    return at;
  };
  const panels = new Map<string, PanelFace>();
  const byStick = new Map<string, GlueFace[]>();
  for (const f of faces) byStick.set(f.stick, [...(byStick.get(f.stick) ?? []), f]);
  for (const [id, own] of byStick) {
    const k = stick.get(id)!;
    if (k.member.body.shape !== "panel") continue;
    // each face of the panel that something lies on, seen from its own side
    for (const sign of [1, -1] as const) {
      const on = own.filter((f) => sideOf(k, f.patch) === sign);
      if (on.length === 0) continue;
      const local = (p: readonly [number, number, number]): Vec2 => {
        const [u, v] = toLocal(k.axes, p);
        return [sign * u, v];
      };
      const rim = k.parts.flatMap((p) => p.faces.filter((f) => f.tag === (sign > 0 ? "+w" : "-w")).map((f) => f.corners.map(local))); // prettier-ignore
      const all = rim.flat();
      const [x0, y0] = [Math.min(...all.map((p) => p[0])), Math.min(...all.map((p) => p[1]))];
      const [x1, y1] = [Math.max(...all.map((p) => p[0])), Math.max(...all.map((p) => p[1]))];
      const put = (r: readonly Vec2[]): Vec2[] => r.map(([a, b]) => [a - x0, b - y0]);
      const face: PanelFace = { name: `${markOf.get(id) ?? ""} ${sign > 0 ? "face" : "back"}`, wide: x1 - x0, high: y1 - y0, rim: rim.map(put), masks: on.map((f) => put(f.patch.corners.map(local))), count: 1 }; // prettier-ignore
      const key = JSON.stringify([face.name, face.masks], (_, v: unknown) => (typeof v === "number" ? Math.round(v * 10) : v)); // prettier-ignore
      const known = panels.get(key);
      panels.set(key, known ? { ...known, count: known.count + 1 } : face);
    }
  }
  // panels of a mark that are masked alike stand once
  for (const f of panels.values()) {
    const at = place(f.wide, f.high, [`${f.count > 1 ? `${f.count} × ` : ""}${f.name}: ${f.masks.length} ${f.masks.length === 1 ? "mask" : "masks"}`]); // prettier-ignore
    const put = (r: readonly Vec2[]): Vec2[] => r.map(([a, b]) => [a + at[0], b + at[1]]);
    for (const r of f.rim) shapes.push(outline(put(r), "thin", "white"));
    for (const m of f.masks) shapes.push(outline(put(m), "outline", "grey"));
  }
  const kinds = new Map<string, { flat: Vec2[]; count: number; marks: Set<string> }>();
  for (const f of faces) {
    const k = stick.get(f.stick)!;
    // what lies on a panel's face is drawn on it already
    if (k.member.body.shape === "panel" && sideOf(k, f.patch) !== 0) continue;
    const flat = laidFlat(f.patch);
    const key = flat.map((p) => p.map((c) => c.toFixed(1)).join()).sort().join(" "); // prettier-ignore
    const known = kinds.get(key) ?? { flat, count: 0, marks: new Set<string>() };
    known.count++;
    known.marks.add(markOf.get(f.stick) ?? f.stick);
    kinds.set(key, known);
  }
  for (const { flat, count, marks } of [...kinds.values()].sort((a, b) => b.count - a.count)) {
    const [wide, high] = [Math.max(...flat.map((p) => p[0])), Math.max(...flat.map((p) => p[1]))];
    const names = [...marks];
    const at = place(wide, high, [`${count} × for ${names.slice(0, 4).join(", ")}${names.length > 4 ? " …" : ""}`, `${printMm(wide as never, 1)} × ${printMm(high as never, 1)}`]); // prettier-ignore
    shapes.push(outline(flat.map(([a, b]): Vec2 => [a + at[0], b + at[1]]), "outline", "grey")); // prettier-ignore
  }
  return { layers: [{ name: "masks", entities: shapes }, { name: "words", entities: words }] }; // prettier-ignore
}

/** Masks for edges where two colours meet: of each build in which a group is painted on it while another, of another colour, is there, what has to be covered, at full size as one looks at it. */
export function edgeMasks(
  s: StructureDesign,
  parts: readonly FinishPart[],
): { readonly what: string; readonly drawing: Drawing }[] {
  // prettier-ignore
  const own = parts.filter((p) => p.structure === s.structure.id);
  const colour = (p: FinishPart): string | undefined => p.coats.findLast((c) => c.kind === "paint")?.id;
  return (s.kind.builds?.(s.variant.params, s.context) ?? []).flatMap((b) =>
    own.flatMap((p) => {
      if (p.when === "loose" || !colour(p)) return [];
      const sticks = s.resolved.sticks.filter(b.has);
      if (!sticks.some((k) => finishGroupOf(k) === p.group)) return [];
      const covered = sticks.filter((k) => own.some((o) => o !== p && colour(o) && colour(o) !== colour(p) && o.when !== "standing" && finishGroupOf(k) === o.group)); // prettier-ignore
      if (covered.length === 0) return [];
      const seen = elevation(covered, { ...b, id: "side" });
      return [{ what: `to cover on ${b.name.toLowerCase()} while the ${GROUP_WORDS[p.group]} are painted`, drawing: { layers: [{ name: "masks", entities: seen.flatMap((k) => k.outlines.filter((o) => o.length > 2).map((o) => outline(o as Vec2[], "outline", "grey"))) }] } }]; // prettier-ignore
    }),
  );
}
