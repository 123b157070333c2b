import { useMemo } from "react";
import type { Vec2 } from "core/geometry";
import { snap, type Segment, type Targets } from "core/prototype";
import { useSheet } from "./sheet";
import { useTrace } from "./trace/useTrace";

/** How near a press has to be to catch something, pixels of the screen. */
const REACH = 9;

/** What presses catch: ends and lines of a vector drawing, found members, traced members, measures. Answers the snapped pixel. */
export function useTargets(): (p: Vec2) => { readonly at: Vec2; readonly caught: "point" | "line" | undefined } {
  const { drawing, lines, found, view } = useSheet();
  const t = useTrace();
  const drawn = useMemo((): Targets => {
    const off = new Set(drawing.lines?.hidden);
    const points: Vec2[] = [];
    const segments: Segment[] = [];
    for (const e of lines?.entities ?? []) {
      if (off.has(lines!.layers[e.layer]!) || e.kind === "text") continue;
      if (e.kind === "circle") points.push(e.centre);
      else if (!e.curved) {
        const n = e.closed ? e.points.length : e.points.length - 1;
        for (let i = 0; i < n; i++) segments.push([e.points[i]!, e.points[(i + 1) % e.points.length]!]);
      }
    }
    return { points, segments };
  }, [lines, drawing.lines?.hidden]);
  const members = (t.anchor && t.params?.members.map((m): Segment => [t.onSheet(m.from), t.onSheet(m.to)])) || [];
  const own: Targets = {
    points: [
      ...drawing.measures.flatMap((m) => m.points as Vec2[]),
      ...drawing.openings.flatMap((o) => [o.from, o.to] as Vec2[]),
    ],
    segments: [...members, ...found.flatMap(edgesOf)],
  };
  return (p) => {
    const reach = REACH / (view?.k ?? 1);
    const got = snap(
      p,
      { points: [...drawn.points, ...own.points], segments: [...drawn.segments, ...own.segments] },
      reach,
    );
    return got ? { at: got.at, caught: got.on } : { at: p, caught: undefined };
  };
}
/** The two edges and the middle of a found member. */
function edgesOf(f: { a: Vec2; b: Vec2; width: number }): Segment[] {
  const l = Math.hypot(f.b[0] - f.a[0], f.b[1] - f.a[1]);
  const n: Vec2 = [-(f.b[1] - f.a[1]) / l, (f.b[0] - f.a[0]) / l];
  return [-0.5, 0, 0.5].map((k): Segment => {
    const move = (p: Vec2): Vec2 => [p[0] + k * f.width * n[0], p[1] + k * f.width * n[1]];
    return [move(f.a), move(f.b)];
  });
}
