import { clipAll, prism, subtract, type Solid, type TaggedPlane, type Vec3 } from "../geometry";
import { toRadians } from "../units";
import type { EndCut, PieceShape } from "./pieceShape";

const FACE_DOWN: Record<string, Vec3> = { "+v": [0, 1, 0], "-v": [0, -1, 0], "+w": [0, 0, 1], "-w": [0, 0, -1] };

/** The plane that a saw set to an end cut makes, in the piece's axes. The inverse of how the setting was read. */
export function planeOfCut(c: EndCut, end: 0 | 1): TaggedPlane {
  const down = FACE_DOWN[c.face]!;
  const s = end === 1 ? 1 : -1;
  const [m, b] = [toRadians(c.mitre), toRadians(c.bevel)];
  const right: Vec3 = [0, s * down[2], -s * down[1]];
  const n: Vec3 = [0, 1, 2].map(
    (k) => (k === 0 ? s * Math.cos(m) * Math.cos(b) : right[k]! * Math.sin(m) * Math.cos(b)) - down[k]! * Math.sin(b),
  ) as unknown as Vec3;
  return { n, d: n[0] * c.at, tag: `end${end}` };
}

/** The solid that comes of cutting a stick as the list says: its section, end cuts, rips and notches. Straight pieces only. */
export function rebuild(p: PieceShape): Solid[] {
  const [v, w] = [p.section[0] / 2, p.section[1] / 2];
  const room = p.overall + 4 * (v + w);
  const base: Vec3[] = [
    [-room, -v, -w],
    [-room, v, -w],
    [-room, v, w],
    [-room, -v, w],
  ];
  const stick = prism(base, [p.overall + 2 * room, 0, 0], ["-w", "+v", "+w", "-v"]);
  const ends = p.ends.flatMap((cuts, end) => cuts.map((c) => planeOfCut(c, end as 0 | 1)));
  const body = clipAll(stick, [...ends, ...p.rips.map((r) => ({ ...r, tag: "rip" }))]);
  if (!body) return [];
  return p.notches.reduce<Solid[]>((rest, planes) => rest.flatMap((s) => subtract(s, planes, "notch")), [body]);
}
