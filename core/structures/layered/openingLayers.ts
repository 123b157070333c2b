import type { Vec2 } from "../../geometry";
import type { PanelBody } from "../../frame";
import { rectangleHole, rectangleOf } from "../panel";
import { holeUnder, springing, underArch, type Arch } from "./arch";

/** How a window or door is divided. */
export type LayeredStyle = "fixed" | "hung" | "casement" | "panel" | "glazed" | "boards" | "split";

/** What a window or door of layers is made from; model mm, the opening as it is seen in the wall. */
export interface LayeredSeed {
  readonly style: LayeredStyle;
  /** It stands on the floor and its frame has no foot. */
  readonly door: boolean;
  readonly width: number;
  readonly height: number;
  /** How far each layer reaches past the opening: what it is glued by. Below 0 it goes into the opening with that much room. */
  readonly lap: number;
  /** Width of the frame that is seen in the opening. */
  readonly edge: number;
  /** Stiles, top and meeting rails. */
  readonly stile: number;
  readonly bottomRail: number;
  readonly bar: number;
  /** Panes or panels of each sash, across and up. */
  readonly across: number;
  readonly up: number;
  /** Width of ledges and braces on boards. */
  readonly ledge: number;
  /** Between the halves of a split door. */
  readonly seam: number;
  /** How far an arched head rises over its springing; a square one has none. */
  readonly rise?: number;
}
const archOf = (s: LayeredSeed): Arch | undefined => (s.rise ? { half: s.width / 2, rise: s.rise, crown: s.height } : undefined); // prettier-ignore
export type LayerName =
  | "frame"
  | "upper sash"
  | "lower sash"
  | "sash"
  | "glazing"
  | "door face"
  | "door back"
  | "boards"
  | "lower boards"
  | "upper boards"
  | "ledge"
  | "brace";
/** One part of a layer: x from the middle of the opening, y from its foot, seen from outside. */
export interface LayerPart {
  readonly layer: LayerName;
  readonly name: string;
  readonly outline: readonly Vec2[];
  readonly holes: PanelBody["holes"];
  /** Which layer it is in, from the outside: 0 is the frame. */
  readonly order: number;
  /** The part whose outer side it is laid on. */
  readonly on?: string;
}
type Span = readonly [number, number];

/** From where to where each of `count` panes reaches, with bars between. */
function panes([from, to]: Span, count: number, bar: number): Span[] {
  const clear = (to - from - (count - 1) * bar) / count;
  return Array.from({ length: count }, (_, i): Span => [from + i * (clear + bar), from + i * (clear + bar) + clear]);
}
const size = (o: readonly Vec2[], k: 0 | 1): number =>
  Math.max(...o.map((p) => p[k])) - Math.min(...o.map((p) => p[k]));

/**
 * The layers of a window or door from the outside in, every one of them as large as the frame, so that they are lined up
 * by their edges: the frame; one layer for each sash with its panes cut out and the rest of the opening free; the
 * glazing. A sash's halves meet in one rail's height, which both have: the upper one ends where that rail ends and the
 * lower one begins where it begins. An opening of 30 × 60 with a frame of 1, stiles of 2 and bars of 0.5, two panes wide,
 * has panes of (30 − 2 − 4 − 0.5) / 2 = 11.75. Doors have a face with their panels on a back, or boards with ledges and
 * a brace that rises from the left. Under an arched head each part ends on an arc of its own round the same middle, as far
 * in as it is at the sides; what an arc leaves of a pane that is narrower than a bar stays closed. Common practice.
 */
export function openingLayers(s: LayeredSeed): LayerPart[] {
  const foot = s.door ? 0 : -s.lap;
  const whole: { readonly x: Span; readonly y: Span } = { x: [-s.width / 2 - s.lap, s.width / 2 + s.lap], y: [foot, s.height + s.lap] }; // prettier-ignore
  const [x0, x1] = [-s.width / 2 + s.edge, s.width / 2 - s.edge];
  const [y0, y1] = [s.door ? 0 : s.edge, s.height - s.edge];
  const arch = archOf(s);
  /** How much further out than the opening something is that reaches so far to its sides. */
  const past = (x: Span): number => Math.max(Math.abs(x[0]), Math.abs(x[1])) - s.width / 2;
  const part = (order: number, layer: LayerName, holes: PanelBody["holes"] = [], y: Span = whole.y): LayerPart => {
    const outline = rectangleOf(whole.x, y);
    return { layer, name: layer, order, outline: arch ? underArch(outline, arch, s.lap) : outline, holes };
  };
  const hole = (name: string, x: Span, y: Span) => holeUnder(rectangleHole(name, x, y), arch, past(x));
  const grid = (name: string, x: Span, y: Span, across: number, up: number, bar: number): PanelBody["holes"] =>
    panes(x, across, bar)
      .flatMap((px, i) => panes(y, up, bar).map((py, k) => rectangleHole(`${name}${i + 1}.${k + 1}`, px, py)))
      .map((h) => holeUnder(h, arch, past(x)))
      .filter((h) => !arch || (h.outline.length > 2 && Math.min(size(h.outline, 0), size(h.outline, 1)) > s.bar));
  // at a door the hole runs out of the frame
  const frame = part(0, "frame", [hole("light", [x0, x1], [s.door ? -1 : y0, y1])]);
  const inner: Span = [x0 + s.stile, x1 - s.stile];
  switch (s.style) {
    case "fixed":
      return [frame, part(1, "sash", grid("pane", inner, [y0 + s.bottomRail, y1 - s.stile], s.across, s.up, s.bar)), part(2, "glazing")]; // prettier-ignore
    case "casement": {
      const leaf = (from: number, to: number, k: number) => grid(`leaf${k}.`, [from + s.stile, to - s.stile], [y0 + s.bottomRail, y1 - s.stile], s.across, s.up, s.bar); // prettier-ignore
      return [frame, part(1, "sash", [...leaf(x0, 0, 1), ...leaf(0, x1, 2)]), part(2, "glazing")];
    }
    case "hung": {
      const middle = (y0 + y1) / 2;
      const [low, high] = [middle - s.stile / 2, middle + s.stile / 2];
      return [
        frame,
        part(1, "upper sash", [
          ...grid("pane", inner, [high, y1 - s.stile], s.across, s.up, s.bar),
          hole("free", [x0, x1], [y0, low]),
        ]),
        part(2, "lower sash", [
          ...grid("pane", inner, [y0 + s.bottomRail, low], s.across, s.up, s.bar),
          hole("free", [x0, x1], [high, y1]),
        ]),
        part(3, "glazing"),
      ];
    }
    case "panel":
      return [frame, part(1, "door face", grid("panel", inner, [y0 + s.bottomRail, y1 - s.stile], s.across, s.up, s.stile)), part(2, "door back")]; // prettier-ignore
    case "glazed": {
      const middle = (y0 + y1) / 2;
      const [low, high] = [middle - s.stile / 2, middle + s.stile / 2];
      const holes = [
        ...grid("pane", inner, [high, y1 - s.stile], s.across, s.up, s.bar),
        ...grid("panel", inner, [y0 + s.bottomRail, low], s.across, 1, s.stile),
      ];
      return [frame, part(1, "door face", holes), part(2, "door back", [], [foot, middle]), part(2, "glazing", [], [middle, whole.y[1]])]; // prettier-ignore
    }
    case "boards":
      return [frame, part(1, "boards"), ...ledged(s, [x0, x1], [y0, y1], "boards", "")];
    case "split": {
      const middle = (y0 + y1) / 2;
      const [low, high] = [middle - s.seam / 2, middle + s.seam / 2];
      return [
        frame,
        part(1, "lower boards", [], [foot, low]),
        part(1, "upper boards", [], [high, whole.y[1]]),
        ...ledged(s, [x0, x1], [y0, low], "lower boards", "lower "),
        ...ledged(s, [x0, x1], [high, y1], "upper boards", "upper "),
      ];
    }
  }
}
/** Two ledges on the boards of a leaf, a ledge's width in from its top and foot, and a brace from the foot at the left to the top at the right; a low leaf has one ledge in its middle. */
function ledged(s: LayeredSeed, [x0, x1]: Span, [y0, top]: Span, on: string, which: string): LayerPart[] {
  const arch = archOf(s);
  // under an arch they end where it springs
  const y1 = arch ? Math.max(y0, Math.min(top, springing(arch, x1 - s.width / 2))) : top;
  const inset = Math.min(s.ledge / 2, (x1 - x0) / 8);
  const x: Span = [x0 + inset, x1 - inset];
  const high = y1 - y0;
  if (arch && high < s.ledge) return [];
  const laid = (layer: LayerName, name: string, outline: readonly Vec2[]): LayerPart => ({ layer, name: `${which}${name}`, order: 1, outline, holes: [], on }); // prettier-ignore
  if (high < 3 * s.ledge) {
    const half = Math.min(s.ledge, high / 2) / 2;
    return [laid("ledge", "ledge", rectangleOf(x, [(y0 + y1) / 2 - half, (y0 + y1) / 2 + half]))];
  }
  const clear = Math.min(s.ledge, (high - 2 * s.ledge) / 3);
  const [a, b] = [y0 + clear + s.ledge, y1 - clear - s.ledge];
  const out = [
    laid("ledge", "ledge 1", rectangleOf(x, [a - s.ledge, a])),
    laid("ledge", "ledge 2", rectangleOf(x, [b, b + s.ledge])),
  ];
  // a leaf that is narrow for it has no brace
  const d = b - a > 2 * s.ledge ? footOf(x[1] - x[0], b - a, s.ledge) : Infinity;
  if (d < 0.6 * (x[1] - x[0]))
    out.push(laid("brace", "brace", [[x[0], a], [x[0] + d, a], [x[1], b], [x[1] - d, b]])); // prettier-ignore
  return out;
}
/**
 * How long the level cut of a brace of a width is, that fills a length and rises by `rise`: d = width / sin of its slope,
 * whose run is length − d. Squared, d² (rise² − width²) + 2 width² length d − width² (length² + rise²) = 0. A brace 3 wide
 * in 20 × 40 has d = 3.252.
 */
export function footOf(length: number, rise: number, width: number): number {
  const [a, h] = [width * width, rise * rise];
  return (-a * length + width * Math.sqrt(a * length * length + (h - a) * (length * length + h))) / (h - a);
}
/** The least that is cut out of any of its parts, across or up: below 0 where there is no room for a pane. Model mm. */
export function leastPane(s: LayeredSeed): number {
  const holes = (of: LayeredSeed) => openingLayers(of).flatMap((p) => p.holes.map((h) => h.outline));
  const square = holes({ ...s, rise: 0 }).flatMap((o) => [o[1]![0] - o[0]![0], o[2]![1] - o[1]![1]]);
  return Math.min(...square, ...(s.rise ? holes(s).flatMap((o) => [size(o, 0), size(o, 1)]) : []));
}
