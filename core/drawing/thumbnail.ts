import type { Seen } from "./elevation";

/** The box that a thumbnail is drawn in, units of its own. */
export const THUMBNAIL = { width: 540, height: 380 } as const;
/** What is seen of a stick in fewer of these cells than this says nothing at that size. */
const LEAST_CELLS = 2;
const CELL = 2;
/** Longest path that is worth keeping, characters. */
const LONGEST = 48_000;

/**
 * An elevation as one small SVG path, y downwards: an outline for each stick that is still seen at that size, the
 * farthest first. Sticks in the way are found by painting all of them into cells and counting what is left of each.
 */
export function thumbnail(shown: readonly Seen[]): string {
  if (shown.length === 0) return "";
  const min = [Math.min(...shown.map((s) => s.min[0])), Math.min(...shown.map((s) => s.min[1]))] as const;
  const max = [Math.max(...shown.map((s) => s.max[0])), Math.max(...shown.map((s) => s.max[1]))] as const;
  const k = Math.min(THUMBNAIL.width / (max[0] - min[0] || 1), THUMBNAIL.height / (max[1] - min[1] || 1));
  const left = (THUMBNAIL.width - (max[0] - min[0]) * k) / 2;
  const top = (THUMBNAIL.height - (max[1] - min[1]) * k) / 2;
  const outlines = shown.flatMap((s) =>
    s.flat.map((f) => Array.from(f, (v, i) => (i % 2 ? top + (max[1] - v) * k : left + (v - min[0]) * k))),
  );
  const cells = new Int32Array(Math.ceil(THUMBNAIL.width / CELL) * Math.ceil(THUMBNAIL.height / CELL)).fill(-1);
  outlines.forEach((o, i) => paint(cells, o, i));
  const seen = new Int32Array(outlines.length);
  for (const c of cells) if (c >= 0) seen[c]!++;
  const pathOf = (o: readonly number[]): string => {
    let out = "";
    let last = "";
    for (let i = 0; i < o.length; i += 2) {
      const at = `${Math.round(o[i]!)},${Math.round(o[i + 1]!)}`;
      if (at !== last) out += `${i ? "L" : "M"}${at}`;
      last = at;
    }
    return `${out}Z`;
  };
  // what is seen most is kept first when there is too much
  const order = outlines.map((_, i) => i).filter((i) => seen[i]! >= LEAST_CELLS);
  const kept = new Set<number>();
  let size = 0;
  for (const i of [...order].sort((a, b) => seen[b]! - seen[a]!)) {
    size += pathOf(outlines[i]!).length;
    if (size > LONGEST) break;
    kept.add(i);
  }
  return order.filter((i) => kept.has(i)).map((i) => pathOf(outlines[i]!)).join(""); // prettier-ignore
}

/** Fills the cells whose middle lies inside a polygon (x and y by turns) with a number. */
function paint(cells: Int32Array, o: readonly number[], n: number): void {
  const wide = Math.ceil(THUMBNAIL.width / CELL);
  const ys = o.filter((_, i) => i % 2);
  const first = Math.max(0, Math.floor(Math.min(...ys) / CELL));
  const last = Math.min(Math.ceil(THUMBNAIL.height / CELL) - 1, Math.ceil(Math.max(...ys) / CELL));
  for (let row = first; row <= last; row++) {
    const y = (row + 0.5) * CELL;
    const cross: number[] = [];
    for (let i = 0; i < o.length; i += 2) {
      const [ax, ay] = [o[i]!, o[i + 1]!];
      const [bx, by] = [o[(i + 2) % o.length]!, o[(i + 3) % o.length]!];
      if (ay > y !== by > y) cross.push(ax + ((y - ay) / (by - ay)) * (bx - ax));
    }
    cross.sort((a, b) => a - b);
    for (let i = 0; i + 1 < cross.length; i += 2)
      for (let c = Math.ceil(cross[i]! / CELL - 0.5); c <= Math.floor(cross[i + 1]! / CELL - 0.5); c++)
        if (c >= 0 && c < wide) cells[row * wide + c] = n;
  }
}
