import type { Member } from "../../../frame";
import { planeAt, type Vec3, NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import type { Timber } from "../../timber";
import type { Behind } from "./behind";
import type { CladFace, Hole } from "./cladFace";
import { onWall } from "../plan/sides";
import { rootOf, type BuildingLayout, type Wall } from "../plan/layout";
import { touching } from "../walls/wallKit";

/** Strips narrower than this are not laid, model mm. */
export const LEAST = 0.25;
export interface Laid {
  readonly id: string;
  readonly role: string;
  readonly letter: string;
  readonly timber: Timber;
  readonly s: readonly [number, number];
  readonly z: readonly [number, number];
  readonly upright: boolean;
  /** How far its middle stands out from the framing. */
  readonly out: number;
  readonly ends?: Member["ends"];
  readonly tilt?: number;
  /** Where it lies on what is behind, when that is not all of it. */
  readonly touch?: { readonly s: readonly [number, number]; readonly z: readonly [number, number] };
  /** The course under it or the boards before it, which hold it where nothing behind does. */
  readonly below?: readonly Behind[];
  /** What holds a short piece that lies on nothing behind: the casings and corner boards of its wall. */
  readonly trim?: readonly string[];
  /** The second course holds the first, which may lie on nothing. */
  readonly onFirst?: boolean;
  /** The face of what is behind that it lies on. */
  readonly on?: "+v" | "-w";
}
/** Places one board, notches it round the holes that it runs into, and holds it to what lies behind. */
export function lay(b: Builder, l: BuildingLayout, f: CladFace, behind: readonly Behind[], x: Laid): string {
  const w = f.wall;
  const root = rootOf(l, w.name);
  const id = `${root}/${x.id}`;
  const mid = (r: readonly [number, number]): number => (r[0] + r[1]) / 2;
  const at = (s: number, z: number): Vec3 => onWall(w, s, -x.out, z);
  b.stick({
    id,
    assembly: root,
    role: x.role,
    letter: x.letter,
    timber: x.timber,
    a: x.upright ? at(x.s[0] + x.timber.v / 2, x.z[0]) : at(x.s[0], mid(x.z)),
    b: x.upright ? at(x.s[0] + x.timber.v / 2, x.z[1]) : at(x.s[1], mid(x.z)),
    up: x.upright ? w.e : x.tilt ? [-w.n[0] * x.tilt, -w.n[1] * x.tilt, Math.sqrt(1 - x.tilt * x.tilt)] : [0, 0, 1],
    ends: x.ends ?? [
      { kind: "square", beyond: 0 },
      { kind: "square", beyond: 0 },
    ],
  });
  const notched = f.holes.filter((h) => overlaps(h, x.s, x.z));
  const touch = x.touch ?? x;
  const least = Math.min(LEAST, (touch.z[1] - touch.z[0]) / 2);
  // a thousand boards ask this of hundreds of sticks each
  const shows = behind.filter((m) => {
    const left = Math.max(m.s[0], touch.s[0]);
    const right = Math.min(m.s[1], touch.s[1]);
    if (right - left <= Math.min(LEAST, (m.s[1] - m.s[0]) / 2)) return false;
    const low = Math.max(m.z[0], touch.z[0]);
    const high = Math.min(m.z[1], touch.z[1]);
    const hides = (h: Hole): boolean =>
      h.from < left + NEAR && h.to > right - NEAR && h.low < low + NEAR && h.high > high - NEAR;
    return high - low > least && !notched.some(hides);
  });
  const firm = shows.filter((m) => !m.slants);
  const from = firm.length > 0 ? firm : shows;
  const on = [...new Set([from[0], from[from.length - 1]])].filter((m) => m !== undefined);
  for (const m of on)
    b.join({
      kind: "bearing",
      id: `${id}>${m.id.split("/").slice(-2).join("-")}`,
      a: id,
      b: m.id,
      aFace: x.upright ? "+w" : "-w",
      bFace: x.on ?? "+v",
      contact: m.slants ? "gap" : "line",
    });
  if (firm.length === 0 || x.onFirst)
    for (const m of x.below ?? [])
      if (x.upright || (m.s[0] < x.s[1] - LEAST && m.s[1] > x.s[0] + LEAST))
        b.join(touching(id, m.id, x.upright ? "-v" : "-w", x.upright ? "+v" : "+w"));
  // a short piece beside a door may lie on no stud at all: the casing and the corner board hold it
  if (firm.length === 0) for (const t of x.trim ?? []) b.join(touching(id, t, "-w", "+v"));
  for (const h of notched) {
    const b0 = on[0]?.id ?? behind[0]?.id;
    if (b0) b.join({ kind: "notch", id: `${id}>${h.id}`, a: id, b: b0, contact: "gap", faces: holeDatums(b, l, w, h) });
  }
  return id;
}
/** The trim of a wall that was placed before its boards. */
export function trimOf(b: Builder, l: BuildingLayout, w: Wall): string[] {
  const root = rootOf(l, w.name);
  return b.members.flatMap((m) =>
    m.assembly === root && /casing|corner board|water table|frieze/.test(m.role) ? [m.id] : [],
  );
}
/** Datums of a hole's four sides: what lies inside all of them is cut away. */
function holeDatums(b: Builder, l: BuildingLayout, w: Wall, h: Hole): readonly { datum: string }[] {
  const root = `${rootOf(l, w.name)}/hole-${h.id}`;
  const out: { datum: string }[] = [];
  const put = (name: string, at: Vec3, n: Vec3): void => {
    b.datums[`${root}-${name}`] = planeAt(at, n);
    out.push({ datum: `${root}-${name}` });
  };
  put("left", onWall(w, h.from, 0, 0), [-w.e[0], -w.e[1], 0]);
  put("right", onWall(w, h.to, 0, 0), w.e);
  if (Number.isFinite(h.low)) put("low", onWall(w, 0, 0, h.low), [0, 0, -1]);
  for (const d of h.under ?? []) out.push({ datum: d });
  if (Number.isFinite(h.high)) put("high", onWall(w, 0, 0, h.high), [0, 0, 1]);
  return out;
}
/** The parts of a box that stick out of holes. */
const overlaps = (h: Hole, s: readonly [number, number], z: readonly [number, number]): boolean =>
  h.from < s[1] - NEAR && h.to > s[0] + NEAR && h.low < z[1] - NEAR && h.high > z[0] + NEAR;
/** Cut square where it ends. */
export const SQUARE = { kind: "square", beyond: 0 } as const;
/** Cuts what reaches down to the covering under a dormer's cheek. */
export function onBase(b: Builder, f: CladFace, id: string, end: "end0" | "end1"): void {
  if (f.base) b.join({ kind: "trim", id: `${id}/base`, a: id, datum: f.base.datum, as: end, contact: "gap" });
}
