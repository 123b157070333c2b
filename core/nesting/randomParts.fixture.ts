import { stream } from "../cutting/stream";
import type { NestPart, NestProblem, Turn } from "./problem";

/** A problem drawn by a seed: rectangles and triangles, some with lines, on sheets as they are sold and one offcut. */
export function randomNest(
  seed: number,
  by: NestProblem["by"],
  more: { readonly plain?: boolean; readonly kinds?: number } = {},
): NestProblem {
  const random = stream(seed);
  const between = (a: number, b: number): number => a + random() * (b - a);
  const parts = Array.from({ length: 1 + Math.floor(random() * (more.kinds ?? 12)) }, (_, i): NestPart => {
    const [w, h, tip] = [between(4, 80), between(4, 110), random()];
    const slanted = !more.plain && random() < 0.3;
    const lined = !more.plain && random() < 0.4;
    const across = random() < 0.5 ? "x" : "y";
    const turns: readonly Turn[] = lined ? (across === "x" ? [0, 2] : [1, 3]) : [0, 1, 2, 3];
    return {
      mark: `P${i + 1}`,
      sticks: Array.from({ length: 1 + Math.floor(random() * 5) }, (_, n) => `${i}/${n}`),
      outline: slanted ? [[0, 0], [w, 0], [w * tip, h]] : [[0, 0], [w, 0], [w, h], [0, h]], // prettier-ignore
      turns,
      ...(lined ? { lines: { across, pitch: 1.5, first: between(0, 1.5) } } : {}),
    };
  });
  const sold = [{ wide: 152.4, long: 304.8, count: null, cost: 1 }, { wide: 304.8, long: 609.6, count: null, cost: 4 }]; // prettier-ignore
  return {
    parts,
    sizes: more.plain ? [sold[0]!] : [...sold, { wide: 100, long: 120, count: 1, cost: 0 }],
    apart: random() < 0.5 ? 0 : 0.3,
    edge: random() < 0.5 ? 0 : 2,
    by,
  };
}
