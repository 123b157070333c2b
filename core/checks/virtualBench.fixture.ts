import { onPiece, pieceShape, type Resolved } from "../frame";
import { boundsOf, convexOf, cornersOf, cross, dot, sub, type Solid, type Vec3 } from "../geometry";
import { cutTable, designOf, emptyJob, newStructure, type Design } from "../job";
import { contextOf, valuesFrom, type Bench } from "../structures/fromSpec.fixture";
import { framerOf } from "../structures";
import { scaleOf } from "../units";
import { cutAsListed, differenceOf } from "./virtualBench";

/** The ways a stick can lie along the bench; those of a board that shows one face keep it up. */
const QUARTERS: readonly ((p: Vec3) => Vec3)[] = [
  (p) => p,
  (p) => [p[0], -p[2], p[1]],
  (p) => [p[0], -p[1], -p[2]],
  (p) => [p[0], p[2], -p[1]],
];
const END_FOR_END = (p: Vec3): Vec3 => [-p[0], -p[1], p[2]];
const WAYS = [...QUARTERS, ...QUARTERS.map((q) => (p: Vec3) => END_FOR_END(q(p)))];
const ONE_FACE = [QUARTERS[0]!, END_FOR_END];

/** A solid after a motion or a mirroring of space. */
function changed(s: Solid, change: (p: Vec3) => Vec3): Solid {
  const origin = change([0, 0, 0]);
  const turned = (d: Vec3): Vec3 => sub(change(d), origin);
  const mirrored = dot(cross(turned([1, 0, 0]), turned([0, 1, 0])), turned([0, 0, 1])) < 0;
  return {
    faces: s.faces.map((f) => {
      const corners = f.corners.map(change);
      const n = turned(f.plane.n);
      return { ...f, plane: { n, d: dot(n, corners[0]!) }, corners: mirrored ? corners.reverse() : corners };
    }),
  };
}
/** The parts moved so that their box begins at 0, 0, 0, after a change of space. */
function laid(parts: readonly Solid[], change: (p: Vec3) => Vec3): Solid[] {
  const made = parts.map((s) => changed(s, change));
  const { min } = boundsOf(made);
  return made.map((s) => changed(s, (p): Vec3 => [p[0] - min[0], p[1] - min[1], p[2] - min[2]]));
}
const sizeOf = (parts: readonly Solid[]): Vec3 => boundsOf(parts).max;
/** How much two pieces differ at best, turned over and end for end as their stock allows, mm. */
function apart(a: readonly Solid[], b: readonly Solid[], ways: readonly ((p: Vec3) => Vec3)[]): number {
  const own = laid(a, (p) => p);
  const [x, y, z] = sizeOf(own);
  let least = Infinity;
  for (const way of ways) {
    const other = laid(b, way);
    const s = sizeOf(other);
    if (Math.max(Math.abs(s[0] - x), Math.abs(s[1] - y), Math.abs(s[2] - z)) > 0.1) continue;
    least = Math.min(least, differenceOf(own, other));
    if (least < 0.02) break;
  }
  return least;
}
/** A stick of a frame in its own axes. */
function asItLies(s: Resolved): Solid[] {
  const { point } = onPiece(s);
  const [v, w] = pieceShape(s).section;
  const move = (p: Vec3): Vec3 => {
    const q = point(p);
    return [q[0], q[1] + v / 2, q[2] + w / 2];
  };
  // a bent strip lies straight on its blank, which is no motion of space
  const bent = s.member.body.shape === "run";
  return s.parts.map((part) => (bent ? convexOf(cornersOf(part).map(move)) : changed(part, move)));
}

/**
 * What of a design does not come off the bench as it stands in the frame, with by how much, mm: a piece that its row
 * does not make; sticks under one mark that are not one piece; a "mirror of" that is no mirror image.
 */
export function notAsListed(d: Design, within = 0.02): string[] {
  const sticks = new Map(d.structures.flatMap((s) => s.resolved.sticks.map((k) => [k.id, k] as const)));
  const { columns, rows } = cutTable(d);
  const out: string[] = [];
  rows.forEach((cells, i) => {
    const piece = d.pieces[i]!;
    const own = `${piece.mark} ${piece.role}`;
    const say = (words: string, off: number): void => {
      if (off > within) out.push(`${own}: ${words}, ${off.toFixed(3)} mm`);
    };
    const first = sticks.get(piece.sticks[0]!)!;
    const solid = asItLies(first);
    const row = Object.fromEntries(columns.map((c, k) => [c, cells[k]!]));
    say(`the row makes another than ${first.id}`, differenceOf(cutAsListed(row), solid));
    const ways = first.member.turning === "face" ? ONE_FACE : WAYS;
    // alike sticks are alike by their corners; one that is not by its solid would be another piece
    const seen = new Set<string>();
    for (const id of piece.sticks.slice(1)) {
      const lies = asItLies(sticks.get(id)!);
      const key = lies.map((s) => cornersOf(s).map((p) => p.map((x) => x.toFixed(2)).join()).join()).join("|"); // prettier-ignore
      if (seen.has(key)) continue;
      seen.add(key);
      say(`${id} is another piece`, apart(solid, lies, ways));
    }
  });
  d.pieces.forEach((p) => {
    if (!p.handOf) return;
    const ways = sticks.get(p.sticks[0]!)!.member.turning === "face" ? ONE_FACE : WAYS;
    const solidOf = (x: string): Solid[] => asItLies(sticks.get(d.pieces.find((o) => o.mark === x)!.sticks[0]!)!);
    const seen = laid(solidOf(p.mark), (q) => [q[0], -q[1], q[2]]);
    const off = apart(seen, solidOf(p.handOf), ways);
    if (off > within) out.push(`${p.mark} ${p.role}: no mirror image of ${p.handOf}, ${off.toFixed(3)} mm`);
  });
  return out;
}

/** A structure from what its kind's spec offers as a job of its own. Undefined where it is refused. */
export function jobFromSpec(kindId: string, seed: number): Design | undefined {
  const kind = framerOf(kindId);
  const { params, bench } = valuesFrom(kind, seed);
  if (kind.check(params, contextOf(bench)).length > 0) return undefined;
  const d = designOf(jobOn(bench, kindId, params));
  return d.structures[0]!.fault ? undefined : d;
}
function jobOn(bench: Bench, kindId: string, params: Readonly<Record<string, unknown>>) {
  const job = emptyJob("Bench");
  const { id, ratio } = scaleOf(bench.scale as never);
  return {
    ...job,
    brief: { ...job.brief, scale: { id, ratio } },
    stock: { ...job.stock, milling: bench.milling, series: [...bench.series] },
    structures: [newStructure(kindId, "t", "Bench", params)],
  };
}
