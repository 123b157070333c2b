import { nominalOf, wholeId, type Piece, type Resolved } from "../frame";
import { otherStock, sheetOf } from "../lumber";
import { dot, polygonArea, type Vec2 } from "../geometry";
import { unionOf } from "../geometry/union";
import {
  boundsOfDrawing,
  checkBar,
  elevation,
  line,
  outline,
  text,
  VIEWS,
  wrapped,
  type Drawing,
  type Entity,
  type Layer,
  type SheetText,
  type Shown,
  type View,
} from "../drawing";
import { bothEnds, furtherCount, type StructureDesign } from "../job";
import { printMm } from "../units";
import { marksAside, placeMarks } from "./marks";

/** Which sticks a template is of, from where they are seen, and how far the drawing is moved. */
export interface TemplateOf {
  readonly sticks: readonly Resolved[];
  readonly view: View;
  readonly shift: Vec2;
  /** Marks stand beside the drawing with leaders, where the sticks are too thin to carry them. */
  readonly aside?: boolean;
}
const shifted = (list: readonly Shown[], by: Vec2): Shown[] =>
  list.map((x) => ({
    ...x,
    outlines: x.outlines.map((o) => o.map((p): Vec2 => [p[0] + by[0], p[1] + by[1]])),
    centre: [x.centre[0] + by[0], x.centre[1] + by[1]],
    min: [x.min[0] + by[0], x.min[1] + by[1]],
    max: [x.max[0] + by[0], x.max[1] + by[1]],
  }));

/** A stick may lean by this much out of a drawing and still be laid on it: its sine, and the cosine of its face's. A clapboard leans on the one below. */
const LEANS = 0.02;
const FACE_LEANS = 0.95;
/** Whether a stick lies in the drawing's plane with one of its faces up: then it is drawn as long as it is. */
function liesFlat({ axes, member }: Resolved, { eye }: View): boolean {
  if (Math.abs(dot(axes.u, eye)) > LEANS) return false;
  if (member.body.shape === "round" || member.body.shape === "run") return true;
  return Math.max(Math.abs(dot(axes.v, eye)), Math.abs(dot(axes.w, eye))) > FACE_LEANS;
}

/** A stick's outline; of one that is notched, that of all its parts together. */
const wholeOutlines = (x: Shown): readonly (readonly Vec2[])[] =>
  x.outlines.length > 1 ? unionOf(x.outlines) : x.outlines;
/** The lines on a sheet's face. */
const onFace = (x: Shown): Entity[] => x.outlines.flatMap((o) => (o.length === 2 ? [line(o[0]!, o[1]!, "thin")] : []));

/**
 * The full-size template a frame of a structure is built on: the outline of each of its sticks as it lies on the front elevation, piece marks,
 * fence lines along the outer posts, centre line, overall dimensions and the list of parts. Model mm.
 */
export function template(s: StructureDesign, pieces: readonly Piece[], of?: TemplateOf): Drawing {
  // one frame is built on it, as often as it stands: what joins several comes after
  const lying =
    of?.sticks ?? s.resolved.sticks.filter((k) => k.member.assembly === s.resolved.sticks[0]?.member.assembly);
  const look = of?.view ?? VIEWS[s.kind.home];
  const shown = shifted(elevation(lying, look), of?.shift ?? [0, 0]);
  const mark = new Map(pieces.flatMap((p) => p.sticks.map((id) => [id, p.mark] as const)));
  const here = new Set(lying.map((k) => k.member.id));
  // what lies in the plane of the bent is built on the template; what laps on its faces goes on after it is lifted off
  const lapped = new Set(
    of?.aside
      ? []
      : s.resolved.frame.joints
          .filter((j) => j.kind === "lap" && here.has(wholeId(j.a)) && here.has(wholeId(j.b)))
          .map((j) => wholeId(j.a)),
  );
  // what leans out of the drawing is shown shorter than it is: it is there to be met, not to be built here
  const level = new Set(lying.filter((k) => liesFlat(k, look)).map((k) => k.id));
  const leaning = shown.filter((x) => !level.has(x.id));
  const middle = shown.filter((x) => level.has(x.id) && !lapped.has(wholeId(x.id)));
  const depth = Math.max(...middle.map((x) => x.near), -Infinity);
  const faces = shown.filter((x) => level.has(x.id) && lapped.has(wholeId(x.id)));
  const front = faces.filter((x) => x.near > depth);
  const back = faces.filter((x) => x.near <= depth);
  const draw = (list: typeof shown, style: "outline" | "thin" | "hidden"): Entity[] =>
    list.flatMap((x) =>
      wholeOutlines(x).map((o) =>
        outline(o, style, style !== "outline" ? undefined : polygonArea(o) < 0 ? "white" : "timber"),
      ),
    );
  const onFaces = [...middle, ...front].flatMap(onFace);
  const members: Layer[] = [
    { name: "members", entities: draw(middle, "outline") },
    ...(onFaces.length > 0 ? [{ name: "texture", entities: onFaces }] : []),
    { name: "front-braces", entities: draw(front, "thin") },
    { name: "back-braces", entities: draw(back, "hidden") },
    { name: "beside", entities: draw(leaning, "thin") },
  ];
  const { min, max } = boundsOfDrawing({ layers: members });
  const led = of?.aside ? marksAside(middle, { min, max }, (id) => mark.get(id) ?? "?") : undefined;
  const within = led ? middle.filter((x) => !led.placed.has(x.id)) : middle;
  // face members of both sides have their marks off the middle, where they cross
  const marks = placeMarks(
    [...within, ...front, ...back, ...leaning].map((x) => ({
      shown: x,
      mark: mark.get(x.id) ?? "?",
      best: front.includes(x) ? -0.64 : back.includes(x) ? 0.64 : 0,
    })),
    led?.entities,
  );
  const centre = s.kind.centreLine(s.variant.params, s.context);
  return {
    layers: [
      ...members,
      {
        name: "centre-line",
        entities: centre === undefined ? [] : [line([centre, min[1] - 6], [centre, max[1] + 2.5], "centre")],
      },
      { name: "fence-lines", entities: fences(lying, shown) },
      { name: "piece-marks", entities: [...(led?.entities ?? []), ...marks] },
      {
        name: "dimensions",
        entities: [
          ...across([min[0], max[1] + 9 + (led?.above ?? 0)], [max[0], max[1] + 9 + (led?.above ?? 0)], max[1]),
          ...upright(min[0] - 9, min[1], max[1], min[0]),
          ...(s.kind.home === "front" || of ? capDimension(shown, max[1] + 4) : []),
        ],
      },
      {
        name: "parts-list",
        entities: partsList(
          lying.filter((k) => level.has(k.id)),
          pieces,
          [min[0], min[1] - 14 - (led?.below ?? 0)],
        ),
      },
    ],
  };
}

/** Strips fixed against the outer posts, one post section wide, clear of what crosses. */
function fences(sticks: readonly Resolved[], shown: readonly Shown[]): Entity[] {
  const posts = shown.filter((s) => /post$/.test(s.role) && !/^(end|king|rail) post$/.test(s.role));
  const out: Entity[] = [];
  for (const side of [-1, 1]) {
    const reach = (p: (typeof posts)[number]): number => side * p.centre[0];
    const outer = posts.filter(
      (p) => !posts.some((q) => Math.abs(q.centre[1] - p.centre[1]) < 1 && reach(q) > reach(p) + 1e-6),
    );
    for (const p of outer) {
      const o = p.outlines[0]!;
      // the long edge that lies outermost, shortened at both ends
      const edges = o.map((a, i) => [a, o[(i + 1) % o.length]!] as const);
      const length = (e: readonly [Vec2, Vec2]): number => Math.hypot(e[1][0] - e[0][0], e[1][1] - e[0][1]);
      const long = edges.filter((e) => length(e) > 0.5 * Math.max(...edges.map(length)));
      const [a, b] = long.reduce((x, y) => (side * (y[0][0] + y[1][0]) > side * (x[0][0] + x[1][0]) ? y : x));
      const l = length([a, b]);
      const d: Vec2 = [(b[0] - a[0]) / l, (b[1] - a[1]) / l];
      const n: Vec2 = side * d[1] > 0 ? [d[1], -d[0]] : [-d[1], d[0]];
      const wide = sticks.find((s) => s.id === p.id)!.size[0];
      const at = (t: number, w: number): Vec2 => [a[0] + d[0] * t + n[0] * w, a[1] + d[1] * t + n[1] * w];
      const clear = Math.min(2, l / 8) + wide;
      out.push(outline([at(clear, 0), at(l - clear, 0), at(l - clear, wide), at(clear, wide)], "fence"));
      out.push(
        text(
          at(l / 2, side > 0 ? wide + 2.6 : wide + 1),
          "fence",
          1.7,
          "middle",
          "text",
          (Math.atan2(d[1], d[0]) * 180) / Math.PI + (d[1] < 0 ? 180 : 0),
        ),
      );
    }
  }
  return out;
}

const tick = (p: Vec2): Entity => line([p[0] - 1, p[1] - 1], [p[0] + 1, p[1] + 1], "thin");
function across(a: Vec2, b: Vec2, from: number): Entity[] {
  return [
    line(a, b, "dimension"),
    tick(a),
    tick(b),
    ...[a, b].map((p) => line([p[0], from + 0.8], [p[0], p[1] + 1.5], "dimension")),
    text([(a[0] + b[0]) / 2, a[1] + 0.9], printMm(b[0] - a[0], 2), 2, "middle"),
  ];
}
function upright(x: number, y0: number, y1: number, from: number): Entity[] {
  return [
    line([x, y0], [x, y1], "dimension"),
    tick([x, y0]),
    tick([x, y1]),
    ...[y0, y1].map((y) => line([x - 1.5, y], [from - 0.8, y], "dimension")),
    text([x - 0.9, (y0 + y1) / 2], printMm(y1 - y0, 2), 2, "middle", "text", 90),
  ];
}
function capDimension(shown: readonly Shown[], y: number): Entity[] {
  const cap = shown.find((k) => k.role === "cap");
  if (!cap) return [];
  const xs = cap.outlines.flat().map((p) => p[0]);
  return across([Math.min(...xs), y], [Math.max(...xs), y], y - 4);
}

/** Columns of a parts list: head, and where each starts, for letters 1 mm high. */
const PARTS = [
  ["Mark", 0],
  ["Count", 6],
  ["Piece", 12],
  ["Stock", 27],
  ["Section", 36],
  ["Tip to tip", 52],
  ["End cuts", 62],
] as const;
/** Of which the end cuts take the rest, in as many lines as they need. */
const PARTS_WIDTH = 90;
/** Rows up to which a parts list stands in one column at its usual size. */
const ONE_COLUMN = 24;

/** A plain sheet in as few letters as its column has room for: "plain .040", "Core 3 mm". */
const shortSheet = (stock: string): string | undefined =>
  sheetOf(stock)
    ?.name.replace(/ (sheet|board)\b/, "")
    .replace("Styrene", "plain")
    .replace("Basswood", "Wood")
    .replace(/ in$/, "");
/** The pieces that lie on a sheet, with how many of each lie there, their stock and end cuts. A long list stands in two columns, so that it does not take a page of its own. */
function partsList(lying: readonly Resolved[], pieces: readonly Piece[], at: Vec2): Entity[] {
  const here = new Set(lying.map((k) => k.id));
  const own = pieces.map((p) => ({ p, n: p.sticks.filter((id) => here.has(id)).length })).filter(({ n }) => n > 0);
  const two = own.length > ONE_COLUMN;
  const [size, row] = two ? [1.25, 2.7] : [1.9, 4];
  const put = (cells: readonly string[], column: number, y: number, font: "label" | "text"): Entity[] =>
    cells.map((c, i) => text([at[0] + (PARTS[i]![1] + column * PARTS_WIDTH) * size * 0.8, y], c, size, "start", font));
  const cells = ({ p, n }: (typeof own)[number]): string[] => {
    // a sheet by the pitch of its lines: its whole name is in the cut list
    const texture = sheetOf(p.stock)?.texture;
    const nominal = texture
      ? `sheet ${(texture.pitch / 25.4).toFixed(3).replace(/^0/, "")}`
      : (shortSheet(p.stock) ?? otherStock(p.stock) ?? nominalOf(p.shape.kind, p.nominal));
    const section = [...p.shape.section].sort((x, y) => x - y).map((x) => x.toFixed(2));
    return [p.mark, `${n}`, p.role, nominal, `${section.join(" × ")} mm`, printMm(p.shape.overall, 2)];
  };
  const ends = ({ p }: (typeof own)[number]): string[] => {
    const e = bothEnds(p.shape);
    const words = e.first === e.far ? ["both", e.first, e.relation].filter(Boolean).join(" ") : `${e.first}; ${e.far}`;
    const room = (PARTS_WIDTH - PARTS[6][1] - 1) * size * 0.8;
    return wrapped([words, furtherCount(p.shape)].filter(Boolean).join("; "), room, size, "text");
  };
  const rows = own.map((o) => ({ cells: cells(o), ends: ends(o) }));
  const lines = rows.reduce((n, r) => n + r.ends.length, 0);
  const heads = PARTS.map(([head]) => head);
  const out = own.length > 0 ? put(heads, 0, at[1], "label") : [];
  if (two) out.push(...put(heads, 1, at[1], "label"));
  let [line, column] = [1, 0];
  for (const r of rows) {
    if (two && column === 0 && line > lines / 2 + 0.5) [line, column] = [1, 1];
    const y = (k: number): number => at[1] - (line + k) * row;
    out.push(...put(r.cells, column, y(0), "text"));
    const x = at[0] + (PARTS[6][1] + column * PARTS_WIDTH) * size * 0.8;
    out.push(...r.ends.map((words, k) => text([x, y(k)], words, size)));
    line += r.ends.length;
  }
  return out;
}

/** The template with check bars and a title under it, for the formats that are not cut into pages. */
export function singleSheet(d: Drawing, words: SheetText): Drawing {
  const { min } = boundsOfDrawing(d);
  const y = min[1] - 10;
  return {
    layers: [
      ...d.layers,
      {
        name: "check-bars",
        entities: [
          ...checkBar([min[0], y], 150, 10, "150 mm", false),
          ...checkBar([min[0], y - 7], 152.4, 25.4, "6 in", false),
          ...checkBar([min[0] - 8, y + 8], 150, 10, "150 mm", true),
        ],
      },
      {
        name: "title",
        entities: [
          text([min[0], y - 13], `${words.title} · ${words.job}`, 3, "start", "label"),
          text([min[0], y - 17.5], `Full size for ${words.scale} · ${words.date} · Issue ${words.issue}`, 2.3),
        ],
      },
    ],
  };
}
