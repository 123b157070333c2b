import { planeAt, NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import type { Behind } from "./behind";
import { underSlopes, type CladFace } from "./cladFace";
import { lay, onBase, LEAST, SQUARE, trimOf } from "./layBoard";
import { onWall } from "../plan/sides";
import { rootOf, type BuildingLayout, type Wall } from "../plan/layout";
import { rest } from "./rest";
import { coreOf } from "./underRoof";

/** Boards lying along the wall from its foot up, edge to edge or as clapboards each over the one below. */
export function courses(b: Builder, l: BuildingLayout, f: CladFace, behind: readonly Behind[]): void {
  const { v, t, mm } = l;
  const w = f.wall;
  const board = t.siding;
  const lapped = v.siding === "clapboard";
  const step = lapped ? Math.min(mm(v.exposure), board.v * 0.95) : board.v;
  // a clapboard's back lies on the upper outer edge of the one below: the sine of its lean is thickness over exposure
  const lean = lapped ? board.w / step : 0;
  const cos = Math.sqrt(1 - lean * lean);
  const tall = board.v * cos + board.w * lean;
  const rows = Math.ceil((f.head - f.foot - NEAR) / step);
  const slanted = f.slopes.length > 0;
  const headDatum = `${rootOf(l, w.name)}/clad-head`;
  b.datums[headDatum] = planeAt(onWall(w, 0, 0, f.head), [0, 0, 1]);
  const trim = trimOf(b, l, w);
  let below: readonly Behind[] = [];
  for (let i = 0; i < rows; i++) {
    const z0 = f.foot + i * step;
    if (f.head - z0 < LEAST) break;
    // where the slopes leave nothing of it
    const ends = slanted ? underSlopes(l, f, z0) : [f.from, f.to];
    if (ends[1]! - ends[0]! < 2 * LEAST) continue;
    const z1 = z0 + (lapped ? tall : board.v);
    const ripped = !slanted && z1 > f.head + NEAR;
    if (lapped && ripped && f.head - z0 < step * 0.5) continue;
    const holes = f.holes.filter((h) => !h.under && h.low <= z0 + NEAR && h.high >= Math.min(z1, f.head) - NEAR);
    // a clapboard touches with its upper edge alone
    const edge = z1 - (lapped ? board.w * lean : 0);
    const row: Behind[] = [];
    const [s0b, s1b] = overBase(f, z1);
    if (s1b - s0b < 2 * LEAST) continue;
    // between a roof and the covering under a shed dormer's cheek a course is longest at its foot
    const [footFrom, footTo] = overBase(f, z0);
    if (slanted && Math.min(footTo, ends[1]!) - Math.max(footFrom, ends[0]!) < 2 * LEAST) continue;
    rest(
      [s0b, s1b],
      [...holes.map((h) => [h.from, h.to] as const), ...coreOf(b, w, f.holes, [z0, Math.min(z1, f.head)])],
    ).forEach(([s0, s1], j) => {
      if (slanted && (s1 < ends[0]! + LEAST || s0 > ends[1]! - LEAST)) return;
      const above = slanted ? underSlopes(l, f, z1) : [s0, s1];
      const cut = slanted && (s0 < above[0]! || s1 > above[1]!);
      const top = slanted ? underSlopes(l, f, edge) : [s0, s1];
      const id = lay(b, l, f, behind, {
        id: `course/${i + 1}-${j + 1}`,
        role: lapped ? "clapboard" : "board",
        letter: "SD",
        timber: board,
        s: [s0, s1],
        z: [z0, z1],
        upright: false,
        ...(f.base ? { ends: baseEnd(f) === "end0" ? [undefined, SQUARE] : [SQUARE, undefined] } : {}),
        out: lapped ? (board.w * cos + board.v * lean) / 2 : board.w / 2,
        ...(lapped ? { tilt: lean } : {}),
        touch: {
          s: lapped ? [Math.max(s0, top[0]!), Math.min(s1, top[1]!)] : [Math.max(s0, ends[0]!), Math.min(s1, ends[1]!)],
          z: lapped ? [ripped ? edge : edge - 1e-3, edge] : [z0, Math.min(z1, f.head)],
        },
        below,
        trim,
        onFirst: i === 1 || f.base !== undefined,
      });
      row.push({ id, s: [s0, s1], z: [z0, z1] });
      onBase(b, f, id, baseEnd(f));
      if (cut)
        for (const d of f.slopes)
          b.join({
            kind: "trim",
            id: `${id}/${d.split("/").pop()}`,
            a: id,
            datum: d,
            as: sideOfDatum(b, w, d),
            contact: "gap",
          });
      if (ripped) b.join({ kind: "trim", id: `${id}/rip`, a: id, datum: headDatum, as: "length", contact: "gap" });
    });
    below = row;
  }
}
/** Which end of a course comes down on the covering under a dormer's cheek. */
const baseEnd = (f: CladFace): "end0" | "end1" => (f.base && f.base.at(1) > f.base.at(0) ? "end1" : "end0");
/** From where to where along a wall a level stands over the covering it ends on below. */
function overBase(f: CladFace, z: number): [number, number] {
  const { base } = f;
  if (!base) return [f.from, f.to];
  const slope = base.at(1) - base.at(0);
  const s = (z - base.at(0)) / slope;
  return slope < 0 ? [Math.max(f.from, s), f.to] : [f.from, Math.min(f.to, s)];
}
/** Which end of a board lying along the wall a slope cuts. */
function sideOfDatum(b: Builder, w: Wall, datum: string): "end0" | "end1" {
  const { n } = b.datums[datum]!;
  return n[0] * w.e[0] + n[1] * w.e[1] < 0 ? "end0" : "end1";
}
