import { NEAR, onToLine, sizeOf, type NestProblem, type Placed, type Rect, type SnapCut, type Turn } from "./problem";
import type { Item, OpenSheet } from "./open";

/** How a place is chosen among what is left, and which of its two cuts is made first. */
export interface SnapRules {
  readonly choose: "first" | "short side" | "area";
  readonly split: "level" | "short" | "long";
}
interface Free extends Rect {
  /** What is left above whole rows is cut across first, what stands beside a part upright. */
  readonly row: boolean;
}
/**
 * A sheet that is cut from edge to edge: each part takes the lower left corner of what is left somewhere, and two cuts
 * part that into the part's own rectangle and two more. So the cuts in the order of the parts can be made one after
 * another, each right across the piece in hand. A part with lines is moved on to the next of the sheet's; what is before
 * it is trimmed off.
 */
export function snapSheet(p: NestProblem, size: number, rules: SnapRules): OpenSheet {
  const { wide, long } = p.sizes[size]!;
  const { edge, apart } = p;
  const cuts: SnapCut[] = [];
  // what is not square or not clean at the edges goes first
  if (edge > 0)
    cuts.push(
      { along: "y", at: edge - apart / 2, from: 0, to: long },
      { along: "y", at: wide - edge + apart / 2, from: 0, to: long },
      { along: "x", at: edge - apart / 2, from: edge, to: wide - edge },
      { along: "x", at: long - edge + apart / 2, from: edge, to: wide - edge },
    );
  // a part at the far edge needs no cut beside it
  let free: Free[] = [{ x: edge, y: edge, wide: wide - 2 * edge + apart, high: long - 2 * edge + apart, row: false }];
  const placed: Placed[] = [];
  return {
    size,
    take(item: Item): boolean {
      const part = p.parts[item.part]!;
      let best: { at: number; turn: Turn; off: number; wide: number; high: number; score: number } | undefined;
      for (const turn of part.turns) {
        const [w, h] = sizeOf(part.outline, turn);
        for (let i = 0; i < free.length; i++) {
          const f = free[i]!;
          const off = onToLine(f.x, part, turn);
          const [cw, ch] = [off + w + apart, h + apart];
          if (cw > f.wide + NEAR || ch > f.high + NEAR) continue;
          const [overW, overH] = [f.wide - cw, f.high - ch];
          const score =
            rules.choose === "first" ? i : rules.choose === "area" ? f.wide * f.high - cw * ch : Math.min(overW, overH);
          if (!best || score < best.score - NEAR) best = { at: i, turn, off, wide: cw, high: ch, score };
        }
      }
      if (!best) return false;
      const f = free[best.at]!;
      const [overW, overH] = [f.wide - best.wide, f.high - best.high];
      const level = rules.split === "level" ? !f.row : overW < overH === (rules.split === "short");
      const rest: Free[] = [];
      const [right, top] = [f.x + best.wide, f.y + best.high];
      const upright = (to: number): void => {
        if (overW + apart > NEAR) cuts.push({ along: "y", at: right - apart / 2, from: f.y, to });
      };
      const across = (to: number): void => {
        if (overH + apart > NEAR) cuts.push({ along: "x", at: top - apart / 2, from: f.x, to });
      };
      const [endX, endY] = [f.x + f.wide - apart, f.y + f.high - apart];
      if (level) {
        across(endX);
        upright(top - apart);
        rest.push({ x: right, y: f.y, wide: overW, high: best.high, row: true }, { x: f.x, y: top, wide: f.wide, high: overH, row: f.row }); // prettier-ignore
      } else {
        upright(endY);
        across(right - apart);
        rest.push({ x: f.x, y: top, wide: best.wide, high: overH, row: true }, { x: right, y: f.y, wide: overW, high: f.high, row: f.row }); // prettier-ignore
      }
      if (best.off > NEAR) cuts.push({ along: "y", at: f.x + best.off - apart / 2, from: f.y, to: top - apart });
      free = [...free.slice(0, best.at), ...rest.filter((r) => r.wide > apart + NEAR && r.high > apart + NEAR), ...free.slice(best.at + 1)]; // prettier-ignore
      placed.push({ part: item.part, stick: item.stick, turn: best.turn, at: [f.x + best.off, f.y] });
      return true;
    },
    done: () => ({
      size,
      placed,
      cuts,
      left: free.map((f) => ({ x: f.x, y: f.y, wide: f.wide - apart, high: f.high - apart })),
    }),
  };
}
