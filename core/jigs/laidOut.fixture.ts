import { EndType, inflatePathsD, JoinType } from "clipper2-ts";
import { cutAsListed } from "../checks/virtualBench";
import type { Drawing } from "../drawing";
import { cornersOf, hull, polygonArea, type Solid, type Vec2, type Vec3 } from "../geometry";
import { unionOf } from "../geometry/union";
import { cutTable, type Design } from "../job";

/** What tells outlines apart however they lie: area, girth and greatest width, mm. */
type Look = readonly [number, number, number];
function lookOf(p: readonly Vec2[]): Look {
  const girth = p.reduce((s, a, i) => s + Math.hypot(a[0] - p[(i + 1) % p.length]![0], a[1] - p[(i + 1) % p.length]![1]), 0); // prettier-ignore
  const widest = Math.max(...p.flatMap((a) => p.map((b) => Math.hypot(a[0] - b[0], a[1] - b[1]))));
  return [Math.abs(polygonArea(p)), girth, widest];
}
const alike = (a: Look, b: Look): boolean =>
  Math.abs(a[0] - b[0]) < 0.02 * Math.max(a[1], b[1]) &&
  Math.abs(a[1] - b[1]) < Math.max(0.12, 0.012 * a[1]) &&
  Math.abs(a[2] - b[2]) < 0.04;

/** Without the slits that numbers to a hundredth leave between a piece's parts. */
const closed = (rings: Vec2[][]): Vec2[][] => {
  const paths = rings.map((r) => r.map(([x, y]) => ({ x, y })));
  const grown = inflatePathsD(paths, 0.01, JoinType.Miter, EndType.Polygon, 4, 6);
  return inflatePathsD(grown, -0.01, JoinType.Miter, EndType.Polygon, 4, 6).map((r) =>
    r.map(({ x, y }): Vec2 => [x, y]),
  );
};
/** The outlines that a piece shows as it lies on the bench, on each of its four sides. */
function looksOf(parts: readonly Solid[]): Look[] {
  const views: ((p: Vec3) => Vec2)[] = [(p) => [p[0], p[1]], (p) => [p[0], p[2]], (p) => [p[1], p[2]]];
  return views.map((view) => {
    const rings = closed(unionOf(parts.map((s) => hull(cornersOf(s).map(view), 1e-9))));
    return lookOf(
      rings.reduce((a, b) => (Math.abs(polygonArea(b)) > Math.abs(polygonArea(a)) ? b : a), rings[0] ?? []),
    );
  });
}

/**
 * Lays a sheet by what is on it and the cut list alone: each outline has to be that of a piece of its parts list, as many
 * of each as the list says. Gives what does not go: outlines that no piece fills, pieces without an outline.
 */
export function notLaid(d: Design, drawing: Drawing): string[] {
  // a template of many heights lists each bent's posts instead
  if (!drawing.layers.some((l) => l.name === "parts-list")) return [];
  const layer = (name: string) => drawing.layers.find((l) => l.name === name)?.entities ?? [];
  const outlines = ["members", "front-braces", "back-braces"]
    .flatMap(layer)
    .flatMap((e) => (e.kind === "path" && e.closed && e.fill !== "white" ? [lookOf(e.points)] : []));
  // a row of the parts list is its cells at one height: mark, count, ...
  const cells = layer("parts-list").flatMap((e) => (e.kind === "text" && e.font === "text" ? [e] : []));
  const wanted: { mark: string; looks: Look[] }[] = [];
  const { columns, rows } = cutTable(d);
  cells.forEach((c, i) => {
    const count = Number(cells[i + 1]?.text);
    const row = rows.find((r) => r[0] === c.text);
    if (!row || !(count > 0)) return;
    const looks = looksOf(cutAsListed(Object.fromEntries(columns.map((k, n) => [k, row[n]!]))));
    for (let n = 0; n < count; n++) wanted.push({ mark: c.text, looks });
  });
  // each piece takes an outline, those before it make room (augmenting paths)
  const taken = new Map<number, number>();
  const fits = wanted.map((w) => outlines.flatMap((o, i) => (w.looks.some((l) => alike(l, o)) ? [i] : [])));
  const place = (w: number, seen: Set<number>): boolean =>
    fits[w]!.some((o) => {
      if (seen.has(o)) return false;
      seen.add(o);
      const by = taken.get(o);
      if (by !== undefined && !place(by, seen)) return false;
      taken.set(o, w);
      return true;
    });
  const left = wanted.flatMap((w, i) => (place(i, new Set()) ? [] : [w.mark]));
  const open = outlines.length - taken.size;
  return [...left.map((m) => `${m} fills no outline`), ...(open > 0 ? [`${open} outlines of ${outlines.length} are filled by no piece`] : [])]; // prettier-ignore
}
