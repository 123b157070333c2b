import type { Vec2 } from "../geometry";

/** How a line is meant; what that looks like is in LINES. */
export type LineStyle = "outline" | "thin" | "centre" | "hidden" | "fence" | "dimension";
export interface LineLook {
  /** Width on paper, mm. */
  readonly width: number;
  /** On and off lengths, mm; empty is a full line. */
  readonly dash: readonly number[];
}
/** Drawing-office lines: thick outlines, thin dimensions, centre lines long-short-long, hidden lines dashed. */
export const LINES: Readonly<Record<LineStyle, LineLook>> = {
  outline: { width: 0.35, dash: [] },
  thin: { width: 0.15, dash: [] },
  centre: { width: 0.18, dash: [8, 1.5, 1.5, 1.5] },
  hidden: { width: 0.18, dash: [2, 1.2] },
  fence: { width: 0.25, dash: [5, 1.5] },
  dimension: { width: 0.13, dash: [] },
};
/** Tints of filled shapes. */
export type Tint = "timber" | "black" | "white" | "grey";
/** A tint, or a colour of one's own: "#d2b277". */
export type Fill = Tint | `#${string}`;

export type Entity =
  | {
      readonly kind: "path";
      readonly points: readonly Vec2[];
      readonly closed: boolean;
      readonly line?: LineStyle;
      readonly fill?: Fill;
    }
  | {
      readonly kind: "circle";
      readonly centre: Vec2;
      readonly radius: number;
      readonly line?: LineStyle;
      readonly fill?: Fill;
    }
  | {
      readonly kind: "text";
      readonly at: Vec2;
      readonly text: string;
      /** Height of a capital, mm. */
      readonly size: number;
      readonly anchor: "start" | "middle" | "end";
      readonly font: "label" | "text";
      /** Degrees, counter-clockwise. */
      readonly turn?: number;
    }
  | {
      readonly kind: "image";
      /** Its lower left corner. */
      readonly at: Vec2;
      readonly wide: number;
      readonly high: number;
      readonly picture: PictureBytes;
      /** What is shown of it, a box of the drawing; all where it is left out. */
      readonly clip?: { readonly at: Vec2; readonly wide: number; readonly high: number };
    };
/** A picture as a file of its own: what PDF and SVG take as it is. */
export interface PictureBytes {
  readonly type: "image/jpeg" | "image/png";
  readonly bytes: Uint8Array;
  /** Where a page of the application finds it: SVG refers to it there and does not carry it. */
  readonly href?: string;
}
export interface Layer {
  /** Named by what is on it; the same name in every format. */
  readonly name: string;
  readonly entities: readonly Entity[];
}
export type Path = Extract<Entity, { kind: "path" }>;
/** A drawing is data: layers of lines, shapes and text in mm, x to the right, y up. 100 mm is 100 mm in every format. */
export interface Drawing {
  readonly layers: readonly Layer[];
}

export const line = (a: Vec2, b: Vec2, style: LineStyle): Path => ({
  kind: "path",
  points: [a, b],
  closed: false,
  line: style,
});
export const outline = (points: readonly Vec2[], style: LineStyle, fill?: Fill): Path => ({
  kind: "path",
  points,
  closed: true,
  line: style,
  ...(fill ? { fill } : {}),
});
export const solidShape = (points: readonly Vec2[], fill: Fill): Entity => ({
  kind: "path",
  points,
  closed: true,
  fill,
});
export const rectangle = (x: number, y: number, w: number, h: number): Vec2[] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];
export const text = (
  at: Vec2,
  words: string,
  size: number,
  anchor: "start" | "middle" | "end" = "start",
  font: "label" | "text" = "text",
  turn = 0,
): Entity => ({ kind: "text", at, text: words, size, anchor, font, ...(turn ? { turn } : {}) });

/** Cap height over font size of both typefaces, near enough for placing. */
export const CAP_HEIGHT = 0.68;

/** Smallest box round all lines and shapes, text by its anchor; [0,0]–[0,0] when there is nothing. */
export function boundsOfDrawing(d: Drawing): { readonly min: Vec2; readonly max: Vec2 } {
  const points = d.layers.flatMap((l) =>
    l.entities.flatMap((e): readonly Vec2[] =>
      e.kind === "path"
        ? e.points
        : e.kind === "text"
          ? [e.at]
          : e.kind === "image"
            ? rectangle(e.at[0], e.at[1], e.wide, e.high)
            : [
                [e.centre[0] - e.radius, e.centre[1] - e.radius],
                [e.centre[0] + e.radius, e.centre[1] + e.radius],
              ],
    ),
  );
  if (points.length === 0) return { min: [0, 0], max: [0, 0] };
  const xs = points.map((p) => p[0]);
  const ys = points.map((p) => p[1]);
  return { min: [Math.min(...xs), Math.min(...ys)], max: [Math.max(...xs), Math.max(...ys)] };
}

/** Mean width of a letter over the capital's height in the fonts that ship, with room for wide words: measured 0.51 to 0.60 and 0.60 to 0.70 for whole phrases. */
export const LETTER = { label: 0.58, text: 0.7 } as const;
/** The same box with the room that words take. */
export function boundsWithWords(d: Drawing): { readonly min: Vec2; readonly max: Vec2 } {
  const words = d.layers.flatMap((l) =>
    l.entities.flatMap((e): Entity[] => {
      if (e.kind !== "text") return [];
      const wide = e.text.length * e.size * LETTER[e.font];
      const from = e.anchor === "start" ? 0 : e.anchor === "end" ? -wide : -wide / 2;
      const t = ((e.turn ?? 0) * Math.PI) / 180;
      const at = (x: number, y: number): Vec2 => [
        e.at[0] + x * Math.cos(t) - y * Math.sin(t),
        e.at[1] + x * Math.sin(t) + y * Math.cos(t),
      ];
      return [outline([at(from, 0), at(from + wide, 0), at(from + wide, e.size), at(from, e.size)], "thin")];
    }),
  );
  return boundsOfDrawing({ layers: [...d.layers, { name: "words", entities: words }] });
}

/** The one way numbers are written: no exponent, at most 5 decimals, no negative zero. */
export function num(n: number): string {
  const s = n.toFixed(5).replace(/\.?0+$/, "");
  return s === "-0" ? "0" : s;
}
/** The same drawing moved. */
export function moved(d: Drawing, by: Vec2): Drawing {
  const m = (p: Vec2): Vec2 => [p[0] + by[0], p[1] + by[1]];
  return {
    layers: d.layers.map((l) => ({
      ...l,
      entities: l.entities.map((e) =>
        e.kind === "path"
          ? { ...e, points: e.points.map(m) }
          : e.kind === "image"
            ? { ...e, at: m(e.at), ...(e.clip ? { clip: { ...e.clip, at: m(e.clip.at) } } : {}) }
            : e.kind === "circle"
              ? { ...e, centre: m(e.centre) }
              : { ...e, at: m(e.at) },
      ),
    })),
  };
}
