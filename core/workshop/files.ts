import { capped, type Triangle } from "../drawing/stl";
import { line, outline, text, toDxf, toSvg, type Drawing, type Entity } from "../drawing";
import { polygonArea, type Vec2, type Vec3 } from "../geometry";
import { grownBy } from "../geometry/grown";
import type { Made } from "./kinds";
import { without, type Area, type Levels, type Plate } from "./plate";

/** Clear between two plates in a file, mm. */
const APART = 4;
const across = (a: Area, i: 0 | 1): readonly [number, number] => {
  const of = a.flatMap((r) => r.map((p) => p[i]));
  return [Math.min(...of), Math.max(...of)];
};

/** The plates of a jig beside one another, each as often as it is wanted: contours led round by half the kerf, holes inside of what they leave, lines and words on layers of their own. Errors: a kerf that closes a hole or eats a plate. */
export function platesDrawing(made: Made, kerf: number): Drawing {
  if (!(kerf >= 0)) throw new RangeError(`A kerf of ${kerf} mm is below 0; give what the cutter takes away.`);
  const [inner, outer, engraved, marks]: [Entity[], Entity[], Entity[], Entity[]] = [[], [], [], []];
  let x = 0;
  const put = (p: Plate): void => {
    const [[x0, x1], [y0]] = [across(p.area, 0), across(p.area, 1)];
    const to = ([a, b]: Vec2): Vec2 => [x + a - x0, b - y0];
    for (const r of p.area) {
      const hole = polygonArea(r) < 0;
      const moved = grownBy(r, hole ? -kerf / 2 : kerf / 2);
      if (moved.length === 0)
        throw new RangeError(`A kerf of ${kerf} mm closes a slot or hole of the ${p.name}; make it wider.`);
      for (const m of moved) (hole ? inner : outer).push(outline(m.map(to), "outline"));
    }
    for (const [a, b] of p.lines) engraved.push(line(to(a), to(b), "thin"));
    for (const w of p.words) marks.push(text(to(w.at), w.text, w.size));
    x += x1 - x0 + APART + kerf;
  };
  for (const p of made.plates) for (let n = 0; n < p.count; n++) put(p);
  const layers = [
    { name: "engrave", entities: engraved },
    { name: "marks", entities: marks },
    { name: "cut-holes", entities: inner },
    { name: "cut-outlines", entities: outer },
  ];
  return { layers: layers.filter((l) => l.entities.length > 0) };
}
/** The plates as a file: SVG of their true size, or DXF in mm. */
export const platesFile = (made: Made, kerf: number, as: "svg" | "dxf", title: string): string =>
  as === "dxf" ? toDxf(platesDrawing(made, kerf)) : toSvg(platesDrawing(made, kerf), { title, margin: 2, words: true });

/** A flat area at a height. */
const lifted = (a: Area, z: number): Vec3[][] => a.map((r) => r.map(([x, y]): Vec3 => [x, y, z]));
/** A solid of layers as one closed surface, counter-clockwise seen from outside: caps where a layer shows, and walls round each. */
export function solidOf(levels: Levels): Triangle[] {
  const out: Triangle[] = [...capped(lifted(levels[0]!.area, 0), true)];
  levels.forEach((l, i) => {
    const from = levels[i - 1]?.to ?? 0;
    const above = levels[i + 1];
    out.push(...capped(lifted(above ? without(l.area, above.area) : l.area, l.to), false));
    for (const r of l.area)
      r.forEach(([x, y], n) => {
        const [X, Y] = r[(n + 1) % r.length]!;
        out.push(
          [
            [x, y, from],
            [X, Y, from],
            [X, Y, l.to],
          ],
          [
            [x, y, from],
            [X, Y, l.to],
            [x, y, l.to],
          ],
        );
      });
  });
  return out;
}
/** What a closed surface encloses, mm³. */
export const volumeOf = (t: readonly Triangle[]): number =>
  t.reduce((s, [a, b, c]) => s + (a[0] * (b[1] * c[2] - b[2] * c[1]) - a[1] * (b[0] * c[2] - b[2] * c[0]) + a[2] * (b[0] * c[1] - b[1] * c[0])) / 6, 0); // prettier-ignore
