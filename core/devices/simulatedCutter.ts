import { areaPathsD, FillRule, intersectD } from "clipper2-ts";
import { insideRing, polygonArea, type Vec2 } from "../geometry";
import { grownBy } from "../geometry/grown";
import { readDxf, readSvg, type SheetEntity } from "../sources";
import type { CutReport, CutStep, Cutter, CutterBed } from "./cutter";

/** A small machine of the bench. Common practice. */
export const USUAL_BED: CutterBed = { wide: 400, high: 300, cutting: 8, engraving: 40, moving: 150 };
/** Ends and lines that are nearer are one, mm; areas that are smaller are none, mm². */
const [SAME, NOTHING] = [0.01, 0.02];
/** Words for plastic that holds chlorine, whose smoke is poison and eats the machine. */
const CHLORINE = /\b(pvc|vinyl|polyvinyl|chlor\w*|leatherette)\b/i;

type Path = Extract<SheetEntity, { kind: "path" }>;
interface Line {
  readonly points: readonly Vec2[];
  readonly closed: boolean;
  readonly cut: boolean;
}
const long = (p: readonly Vec2[]): number =>
  p.slice(1).reduce((s, q, i) => s + Math.hypot(q[0] - p[i]![0], q[1] - p[i]![1]), 0);

/** Lines of a file in mm, in their order; what is on a layer whose name begins with "cut" is cut through, all else that is a line is engraved. */
function linesOf(file: string): Line[] {
  const sheet = /^\s*</.test(file) ? readSvg(file) : readDxf(file);
  const mm = sheet.unit > 0 ? sheet.unit : 1;
  return sheet.entities
    .filter((e): e is Path => e.kind === "path")
    .map((e) => {
      const points = e.points.map(([x, y]): Vec2 => [x * mm, y * mm]);
      const [a, b] = [points[0]!, points.at(-1)!];
      const meets = points.length > 2 && Math.hypot(a[0] - b[0], a[1] - b[1]) < SAME;
      return { points: meets ? points.slice(0, -1) : points, closed: e.closed || meets, cut: /^cut/i.test(sheet.layers[e.layer] ?? "") }; // prettier-ignore
    });
}

/** What a file would do wrong on a bed. */
function faultsOf(lines: readonly Line[], bed: CutterBed, size: readonly [number, number]): string[] {
  const said: string[] = [];
  const cuts = lines.filter((l) => l.cut);
  if (cuts.length === 0) said.push("Nothing in it is cut: no line is on a layer whose name begins with “cut”.");
  const turned = size[0] > bed.wide + SAME || size[1] > bed.high + SAME;
  if (turned) said.push(`It takes ${size[0].toFixed(1)} × ${size[1].toFixed(1)} mm; the bed has ${bed.wide} × ${bed.high} mm.`); // prettier-ignore
  const open = cuts.filter((l) => !l.closed).length;
  if (open > 0)
    said.push(`${open} ${open === 1 ? "contour is" : "contours are"} open: what is round them does not come free.`);
  const rings = cuts.filter((l) => l.closed && l.points.length > 2).map((l) => l.points);
  const early = rings.filter((r, i) => rings.slice(0, i).some((o) => Math.abs(polygonArea(o)) > Math.abs(polygonArea(r)) && insideRing(r[0]!, o) && r.every((p) => insideRing(p, o)))).length; // prettier-ignore
  if (early > 0) said.push(`${early} inner ${early === 1 ? "contour is" : "contours are"} cut after what is round ${early === 1 ? "it" : "them"}: the part may have shifted by then.`); // prettier-ignore
  const edges = new Map<string, number>();
  for (const l of cuts)
    l.points.forEach((p, i) => {
      const q = l.points[i + 1] ?? (l.closed ? l.points[0]! : undefined);
      if (!q || Math.hypot(q[0] - p[0], q[1] - p[1]) < SAME) return;
      const ends = [p, q].map((e) => e.map((x) => Math.round(x / SAME)).join(",")).sort().join(" "); // prettier-ignore
      edges.set(ends, (edges.get(ends) ?? 0) + 1);
    });
  const double = [...edges.values()].filter((n) => n > 1).length;
  if (double > 0) said.push(`${double} ${double === 1 ? "line is" : "lines are"} cut twice, and burn.`);
  let crossing = 0;
  rings.forEach((a, i) =>
    rings.slice(i + 1).forEach((b) => {
      const path = (r: readonly Vec2[]) => [r.map(([x, y]) => ({ x, y }))];
      const both = Math.abs(areaPathsD(intersectD(path(a), path(b), FillRule.NonZero, 6)));
      // one in the other is a hole
      if (both > NOTHING && both < Math.min(Math.abs(polygonArea(a)), Math.abs(polygonArea(b))) - NOTHING) crossing++;
    }),
  );
  if (crossing > 0)
    said.push(`${crossing} ${crossing === 1 ? "contour overlaps another" : "pairs of contours overlap"}.`);
  return said;
}

/** What a machine does with lines in their order, from the upper left corner of its bed. */
function stepsOf(lines: readonly Line[], bed: CutterBed): CutStep[] {
  const steps: CutStep[] = [];
  let [at, now]: [Vec2, number] = [[0, 0], 0];
  const go = (does: CutStep["does"], points: readonly Vec2[], speed: number): void => {
    const to = now + long(points) / speed;
    if (to > now) steps.push({ does, points, from: now, to });
    now = to;
    at = points.at(-1)!;
  };
  for (const l of lines) {
    const way = l.closed ? [...l.points, l.points[0]!] : l.points;
    go("move", [at, way[0]!], bed.moving);
    go(l.cut ? "cut" : "engrave", way, l.cut ? bed.cutting : bed.engraving);
  }
  return steps;
}

/** A cutter that is none: it takes a file as a real one would, looks for what would spoil the work, and tells what it would do and how long that takes. */
export const simulatedCutter = (bed: CutterBed = USUAL_BED): Cutter => ({
  bed,
  take(file, material): Promise<CutReport> {
    if (CHLORINE.test(material)) return Promise.reject(new Error(`${material} holds chlorine and is not cut: its smoke is poison, and eats the machine.`)); // prettier-ignore
    try {
      const lines = linesOf(file);
      const all = lines.flatMap((l) => l.points);
      if (all.length === 0) return Promise.reject(new Error("There is no line in the file."));
      const range = (i: 0 | 1) => [Math.min(...all.map((p) => p[i])), Math.max(...all.map((p) => p[i]))] as const;
      const [[x0, x1], [y0, y1]] = [range(0), range(1)];
      const moved = lines.map((l) => ({ ...l, points: l.points.map(([x, y]): Vec2 => [x - x0, y - y0]) }));
      const steps = stepsOf(moved, bed);
      const size = [x1 - x0, y1 - y0] as const;
      return Promise.resolve({ faults: faultsOf(moved, bed, size), steps, seconds: steps.at(-1)?.to ?? 0, size });
    } catch (e) {
      return Promise.reject(e as Error);
    }
  },
});
/** What is left of a plate when a report's contours were cut with a kerf: outer contours lose half of it, holes gain half. mm. */
export function leftByCut(
  report: CutReport,
  kerf: number,
): { readonly outer: readonly (readonly Vec2[])[]; readonly holes: readonly (readonly Vec2[])[] } {
  const rings = report.steps.filter((s) => s.does === "cut").map((s) => s.points.slice(0, -1));
  const depth = (r: readonly Vec2[]): number => rings.filter((o) => o !== r && Math.abs(polygonArea(o)) > Math.abs(polygonArea(r)) && insideRing(r[0]!, o)).length; // prettier-ignore
  const split = (odd: 0 | 1) => rings.filter((r) => depth(r) % 2 === odd);
  return {
    outer: split(0).flatMap((r) => grownBy(r, -kerf / 2)),
    holes: split(1).flatMap((r) => grownBy(r, kerf / 2)),
  };
}
