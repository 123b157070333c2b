import { clipPolygon, polygonArea, type Vec2, NEAR } from "../../geometry";
import { axesOfBar, lengthOf, rectangleOf, type Bar } from "./layout";

/** How two bars of one layer meet: with an end of one, with ends of both, or crossing. */
export interface Meeting {
  readonly p: Bar;
  readonly q: Bar;
  /** The end of each that takes part; undefined passes by. */
  readonly pEnd: 0 | 1 | undefined;
  readonly qEnd: 0 | 1 | undefined;
  /** Middle of the crossing along each, model mm from its start. */
  readonly pAt: number;
  readonly qAt: number;
}
/** How far short of another member an end may be drawn, in its own widths, and how far past its far side. */
const SHORT = 0.3;
const PAST = 0.5;
/** Members nearer to parallel than this do not cross: sine of 8°. */
const PARALLEL = Math.sin((8 * Math.PI) / 180);

function span(poly: readonly Vec2[], p: Bar): readonly [number, number] {
  const { u } = axesOfBar(p);
  const s = poly.map((x) => (x[0] - p.a[0]) * u[0] + (x[1] - p.a[1]) * u[1]);
  return [Math.min(...s), Math.max(...s)];
}
/** The end of p near a stretch of it; undefined when p goes on past it on both sides. */
function endAt(p: Bar, [from, to]: readonly [number, number]): 0 | 1 | undefined {
  const l = lengthOf(p);
  const past = PAST * p.timber.v;
  const [before, after] = [from, l - to];
  if (before > past && after > past) return undefined;
  return before <= after ? 0 : 1;
}

/** Whether and how two bars meet; undefined when they are apart or run side by side. */
export function meet(p: Bar, q: Bar): Meeting | undefined {
  const [up, uq] = [axesOfBar(p).u, axesOfBar(q).u];
  const sine = Math.abs(up[0] * uq[1] - up[1] * uq[0]);
  const more = (x: Bar): readonly [number, number] => {
    const m = SHORT * x.timber.v;
    return [x.drawn[0] ? m : 0, x.drawn[1] ? m : 0];
  };
  const common = clipPolygon(rectangleOf(p, more(p)), rectangleOf(q, more(q)));
  if (common.length < 3 || Math.abs(polygonArea(common)) < NEAR) return undefined;
  const [sp, sq] = [span(common, p), span(common, q)];
  const [pEnd, qEnd] = [endAt(p, sp), endAt(q, sq)];
  // side by side: only two that follow each other in one line meet
  if (sine < PARALLEL && (pEnd === undefined || qEnd === undefined || sp[1] - sp[0] > 2 * p.timber.v)) return undefined;
  return { p, q, pEnd, qEnd, pAt: (sp[0] + sp[1]) / 2, qAt: (sq[0] + sq[1]) / 2 };
}
