import {
  outline,
  PAPERS,
  rectangle,
  text,
  wrapped,
  type Entity,
  type Page,
  type PagePlan,
  type PaperId,
} from "../drawing";
import type { Design } from "../job";
import { stockName } from "../lumber";
import { printModel } from "../units";
import type { LabelGrid } from "./labelGrid";

/** Size of one label, mm. Errors: a grid that leaves labels smaller than can be read. */
export function labelSize(g: LabelGrid, paper: PaperId): readonly [number, number] {
  const [w, h] = PAPERS[paper];
  const wide = (w - 2 * g.left - (g.across - 1) * g.gapAcross) / g.across;
  const high = (h - 2 * g.top - (g.down - 1) * g.gapDown) / g.down;
  if (!(wide >= 20 && high >= 8)) throw new RangeError(`Labels of ${wide.toFixed(1)} × ${high.toFixed(1)} mm are too small to be read; have fewer of them, or smaller margins.`); // prettier-ignore
  return [wide, high];
}

/**
 * Labels for the trays that the pieces lie in, one for each mark in the order of the cut list: its mark, how many, what it
 * is, its length and what it is cut from. The first `skip` places of the first sheet stay free, where labels are gone
 * from it already. Errors: a grid of labels too small.
 */
export function labelPages(d: Design, g: LabelGrid, paper: PaperId, skip = 0): PagePlan {
  const [wide, high] = labelSize(g, paper);
  const [w, h] = PAPERS[paper];
  const each = g.across * g.down;
  const M = (mm: number): string => printModel(mm as never, d.doc.brief.units.model, 2);
  const pages: Entity[][] = [];
  d.pieces.forEach((p, i) => {
    const at = i + (skip % each);
    const page = (pages[Math.floor(at / each)] ??= []);
    const [column, row] = [at % g.across, Math.floor((at % each) / g.across)];
    const [x, y] = [g.left + column * (wide + g.gapAcross), h - g.top - row * (high + g.gapDown) - high];
    page.push(outline(rectangle(x, y, wide, high), "thin"));
    const big = Math.min(7, high / 3, (wide * 0.45) / (0.6 * p.mark.length));
    page.push(text([x + 2, y + high - big - 1.6], p.mark, big, "start", "label"));
    page.push(text([x + wide - 2, y + high - big - 1.6], `${p.sticks.length} ×`, Math.min(big, 4), "end", "label"));
    const room = high - big - 3.2;
    const size = Math.min(2.4, room / 3.6);
    const words = [p.role, M(p.shape.overall), stockName(d.scale, p.stock)].flatMap((t) => wrapped(t, wide - 4, size, "text")); // prettier-ignore
    words
      .slice(0, Math.floor(room / (size * 1.3)))
      .forEach((t, n) => page.push(text([x + 2, y + high - big - 2 - (n + 1) * size * 1.3], t, size)));
  });
  return {
    drawing: { layers: [] },
    columns: 1,
    rows: pages.length,
    pages: pages.map((entities, row): Page => ({
      size: [w, h],
      window: { at: [0, 0], size: [0, 0] },
      shift: [0, 0],
      column: 0,
      row,
      furniture: entities,
    })),
  };
}
