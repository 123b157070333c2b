import { boundsOfDrawing, line, outline, text, type Drawing, type Entity } from "../../drawing";
import { turnLocal, type Piece, type Resolved } from "../../frame";
import type { Vec2 } from "../../geometry";
import type { StructureDesign } from "../../job";
import { isCladding } from "../../structures";

/** How much of the stick a pattern shows behind its cut, mm at least. */
const SHOWS = 18;
/** Cuts as near to square in one direction as this need no pattern, degrees. */
const PLAIN = 0.5;

/** A plane across a stick's end: u = at + v·dv + w·dw along it. */
interface EndPlane {
  readonly at: number;
  readonly dv: number;
  readonly dw: number;
}
/** The cuts of a far end as planes, from where the section's middle lies. Undefined where a cut runs along the stick. */
function endPlanes(k: Resolved, end: "end0" | "end1"): EndPlane[] {
  return k.cuts.flatMap((c): EndPlane[] => {
    if (c.as !== end) return [];
    const [u, v, w] = turnLocal(k.axes, c.n);
    if (Math.abs(u) < 1e-6) return [];
    const o = k.axes.origin;
    const d = c.d - (c.n[0] * o[0] + c.n[1] * o[1] + c.n[2] * o[2]);
    return [{ at: (d - v * k.centre[0] - w * k.centre[1]) / u, dv: -v / u, dw: -w / u }];
  });
}

/**
 * The end of a stick unfolded: the four sides one beside another, cut off where the end is. Where each side's edge lies
 * along the stick is exact; a side that two cuts share has its corner too. Model mm, the stick standing up, its end on top.
 */
export function unfoldedEnd(
  k: Resolved,
  end: "end0" | "end1",
): { readonly line: Vec2[]; readonly folds: number[] } | undefined {
  const planes = endPlanes(k, end);
  if (planes.length === 0) return undefined;
  const [sv, sw] = [k.size[0] / 2, k.size[1] / 2];
  const sign = end === "end1" ? 1 : -1;
  // round the section: top, one side, bottom, the other side
  const corners: Vec2[] = [
    [sv, -sw],
    [sv, sw],
    [-sv, sw],
    [-sv, -sw],
    [sv, -sw],
  ];
  const height = (p: EndPlane, v: number, w: number): number => sign * (p.at + p.dv * v + p.dw * w);
  const least = (v: number, w: number): number => Math.min(...planes.map((p) => height(p, v, w)));
  const out: Vec2[] = [];
  const folds: number[] = [];
  let x = 0;
  corners.slice(1).forEach(([v1, w1], i) => {
    const [v0, w0] = corners[i]!;
    const wide = Math.hypot(v1 - v0, w1 - w0);
    // where two cuts are level on this side
    const breaks = [0, 1];
    planes.forEach((p, m) =>
      planes.slice(m + 1).forEach((q) => {
        const [a, b] = [height(p, v0, w0) - height(q, v0, w0), height(p, v1, w1) - height(q, v1, w1)];
        if (a * b < -1e-12) breaks.push(a / (a - b));
      }),
    );
    for (const t of breaks.sort((m, n) => m - n))
      out.push([x + t * wide, least(v0 + t * (v1 - v0), w0 + t * (w1 - w0))]);
    x += wide;
    folds.push(x);
  });
  return { line: out, folds };
}

/** Patterns for every piece with a compound cut, which a chopper cannot make: to be wrapped round the stick. Undefined where there are none. */
export function wrapRounds(s: StructureDesign, pieces: readonly Piece[]): Drawing | undefined {
  const entities: Entity[] = [];
  let [x, y, rowHigh] = [0, 0, 0];
  for (const p of pieces) {
    const stick = s.resolved.sticks.find((k) => k.id === p.sticks[0]);
    // thin boards are cut with a knife along their template
    if (!stick || p.shape.kind !== "strip" || isCladding(stick)) continue;
    p.shape.ends.forEach((cuts, e) => {
      const compound = cuts.length > 1 || cuts.some((c) => Math.abs(c.mitre) > PLAIN && Math.abs(c.bevel) > PLAIN);
      if (!compound) return;
      const flat = unfoldedEnd(stick, e === 0 ? "end0" : "end1");
      if (!flat) return;
      const top = Math.max(...flat.line.map((q) => q[1]));
      const low = Math.min(...flat.line.map((q) => q[1]));
      const wide = flat.folds[flat.folds.length - 1]!;
      const high = top - low + SHOWS;
      if (x > 0 && x + wide > 165) {
        x = 0;
        y -= rowHigh + 12;
        rowHigh = 0;
      }
      const put = (q: Vec2): Vec2 => [x + q[0], y - (top - q[1])];
      const foot = y - high;
      entities.push(outline([...flat.line.map(put), [x + wide, foot], [x, foot]], "outline"));
      for (const f of flat.folds.slice(0, -1))
        entities.push(line([x + f, foot], [x + f, y - (top - heightAt(flat.line, f))], "hidden"));
      entities.push(
        text([x + wide / 2, foot - 3.2], `${p.mark} ${e === 0 ? "first" : "far"} end`, 2, "middle", "label"),
      );
      entities.push(text([x + wide / 2, foot - 6], p.role, 1.7, "middle"));
      rowHigh = Math.max(rowHigh, high);
      x += Math.max(wide, 22) + 7;
    });
  }
  if (entities.length === 0) return undefined;
  const { min, max } = boundsOfDrawing({ layers: [{ name: "x", entities }] });
  return {
    layers: [
      { name: "wrap-round", entities },
      {
        name: "words",
        entities: [
          text(
            [min[0], max[1] + 4],
            "Cut out, fold along the dashes round the stick, sides meeting, and mark the end all round.",
            2.2,
          ),
        ],
      },
    ],
  };
}
function heightAt(path: readonly Vec2[], x: number): number {
  const at = path.find((p) => Math.abs(p[0] - x) < 1e-9);
  return at ? at[1] : path[0]![1];
}
