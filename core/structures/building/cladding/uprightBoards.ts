import { planeAt, NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import type { Timber } from "../../timber";
import type { Behind } from "./behind";
import { highest, type CladFace } from "./cladFace";
import { lay, onBase, LEAST, SQUARE, trimOf } from "./layBoard";
import { onWall } from "../plan/sides";
import { rootOf, type BuildingLayout } from "../plan/layout";
import { rest } from "./rest";
import { heightUnder } from "./underRoof";

/** Planks on end, with battens over their joints or without. */
export function uprightBoards(b: Builder, l: BuildingLayout, f: CladFace, behind: readonly Behind[]): void {
  const { t } = l;
  const w = f.wall;
  const board = t.siding;
  const count = Math.ceil((f.to - f.from - NEAR) / board.v);
  const slanted = f.slopes.length > 0;
  const edge = `${rootOf(l, w.name)}/clad-edge`;
  b.datums[edge] = planeAt(onWall(w, f.to, 0, 0), w.e);
  const boards: Behind[] = [];
  const trim = trimOf(b, l, w);
  const laid = (
    name: string,
    s0: number,
    s1: number,
    timber: Timber,
    out: number,
    role: string,
    letter: string,
    ripped: boolean,
  ): void => {
    const holes = f.holes.filter((h) => !h.under && h.from <= s0 + NEAR && h.to >= s1 - NEAR);
    const foot = f.base ? Math.max(f.foot, Math.min(f.base.at(s0), f.base.at(s1))) : f.foot;
    // under a roof against the wall nothing is left up to the lower of its heights over the board's edges
    const roofs = f.holes.filter((h) => h.under && h.from < s0 + NEAR && h.to > s1 - NEAR);
    const taken = roofs.flatMap((h): (readonly [number, number])[] => {
      const top = Math.min(heightUnder(b, w, h, s0), heightUnder(b, w, h, s1));
      return top > h.low + NEAR ? [[h.low, top]] : [];
    });
    rest([foot, f.head], [...holes.map((h) => [h.low, h.high] as const), ...taken]).forEach(([z0, z1], j) => {
      const top = slanted && z1 > f.head - NEAR;
      const under = slanted ? Math.min(z1, highest(l, f, s0, Math.min(s1, f.to))) : z1;
      const cutLow = f.base !== undefined && j === 0;
      if (under - (cutLow ? Math.max(f.base!.at(s0), f.base!.at(s1)) : z0) < LEAST) return;
      const batten = role === "batten";
      const id = lay(b, l, f, batten ? boards : behind, {
        id: `${name}-${j + 1}`,
        role,
        letter,
        timber,
        s: [s0, Math.min(s0 + timber.v, s1 + NEAR)],
        z: [z0, z1],
        upright: true,
        out,
        ends: [cutLow ? undefined : SQUARE, top ? undefined : SQUARE],
        touch: { s: [s0, s1], z: [z0, under] },
        // a strip over the edge of the next wall's cladding is held by its neighbour
        below: boards.slice(-4),
        trim,
        onFirst: name === "board/2" || f.base !== undefined,
        ...(batten ? { on: "-w" } : {}),
      });
      if (cutLow) onBase(b, f, id, "end0");
      if (!batten) boards.push({ id, s: [s0, s1], z: [z0, under] });
      if (slanted)
        for (const d of f.slopes)
          b.join({ kind: "trim", id: `${id}/${d.split("/").pop()}`, a: id, datum: d, as: "end1", contact: "gap" });
      if (ripped) b.join({ kind: "trim", id: `${id}/rip`, a: id, datum: edge, as: "length", contact: "gap" });
    });
  };
  for (let i = 0; i < count; i++) {
    const s0 = f.from + i * board.v;
    const s1 = Math.min(s0 + board.v, f.to);
    if (s1 - s0 < LEAST) break;
    laid(`board/${i + 1}`, s0, s1, board, board.w / 2, "board", "SD", s0 + board.v > f.to + NEAR);
    if (l.v.siding === "batten" && i > 0) {
      const k = t.batten;
      if (s0 + k.v / 2 > f.to) continue;
      laid(`batten/${i}`, s0 - k.v / 2, s0 + k.v / 2, k, board.w + k.w / 2, "batten", "BT", false);
    }
  }
}
