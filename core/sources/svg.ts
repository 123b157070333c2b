import { SaxesParser } from "saxes";
import svgpath from "svgpath";
import type { Vec2 } from "../geometry";
import { arcPoints, bezier, compose, growth, mapPoint, SAME, type Affine } from "./affine";
import { SheetBuilder, SourceError, type SheetEntity, type SheetLines } from "./sheetLines";

/** Largest SVG text that is read, characters. */
const MOST_TEXT = 30_000_000;
/** Millimetres of the units a length may carry; none is a CSS pixel, 96 to the inch. */
const UNITS: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  px: 25.4 / 96,
  "": 25.4 / 96,
};
/** Content that is drawn elsewhere or not at all. */
const ASIDE = new Set([
  "defs",
  "clippath",
  "mask",
  "pattern",
  "marker",
  "symbol",
  "metadata",
  "title",
  "desc",
  "style",
]);

interface Style {
  readonly m: Affine;
  readonly layer: number;
  readonly shown: boolean;
  readonly pen: number;
  readonly dashed: boolean;
  readonly stroked: boolean;
  readonly filled: boolean;
  readonly size: number;
}
type Attributes = Readonly<Record<string, string>>;

/** Reads a number with or without a unit; NaN when it is none. */
const number = (text: string | undefined, or: number): number => (text === undefined ? or : parseFloat(text));
function millimetres(text: string | undefined): number | undefined {
  const m = /^\s*([\d.eE+-]+)\s*([a-z]*)\s*$/i.exec(text ?? "");
  const unit = m ? UNITS[m[2]!.toLowerCase()] : undefined;
  return m && unit !== undefined && Number(m[1]) > 0 ? Number(m[1]) * unit : undefined;
}
/** The map of a transform attribute, read off where it takes three points. */
function matrixOf(transform: string | undefined): Affine {
  if (!transform) return SAME;
  const ends: Vec2[] = [];
  svgpath("M0 0L1 0L0 1")
    .transform(transform)
    .abs()
    .iterate((s) => void ends.push([Number(s[1]), Number(s[2])]));
  const [o, x, y] = ends as [Vec2, Vec2, Vec2];
  return [x[0] - o[0], x[1] - o[1], y[0] - o[0], y[1] - o[1], o[0], o[1]];
}
/** A property from the style attribute, else from its own. */
function property(a: Attributes, name: string): string | undefined {
  const m = new RegExp(`(?:^|;)\\s*${name}\\s*:\\s*([^;]+)`).exec(a.style ?? "");
  return m ? m[1]!.trim() : a[name];
}

function refuseActive(name: string, a: Attributes): void {
  const why =
    name === "script" || name === "foreignobject" || name === "iframe"
      ? `a <${name}>`
      : Object.keys(a).some((k) => /^on/i.test(k))
        ? "an event handler"
        : Object.entries(a).some(([k, v]) => /href$/i.test(k) && /^\s*(javascript|https?|file|ftp):/i.test(v))
          ? "a link to something outside it"
          : undefined;
  if (why) throw new SourceError(`The SVG holds ${why}, so it is not taken. Save it as plain SVG, with drawing only.`);
}

interface Node {
  readonly name: string;
  readonly a: Attributes;
  readonly children: (Node | string)[];
}
/** Deepest nesting, most elements, and how often a thing may be used within what is used. */
const DEEPEST = 200;
const MOST_NODES = 400_000;
const USED_WITHIN = 8;

/** The elements of an SVG, refused where they are active, broken or too many. */
function treeOf(text: string): Node {
  const parser = new SaxesParser({});
  const open: Node[] = [];
  let root: Node | undefined;
  let count = 0;
  parser.on("error", () => {
    throw new SourceError(
      `The SVG breaks off or is misspelt in line ${parser.line}, column ${parser.column}. Save it again.`,
    );
  });
  parser.on("doctype", (d) => {
    if (/<!ENTITY/i.test(d))
      throw new SourceError(
        "The SVG declares entities of its own, so it is not taken. Save it as plain SVG, with drawing only.",
      );
  });
  parser.on("opentag", (tag) => {
    const node: Node = {
      name: tag.name.replace(/^.*:/, "").toLowerCase(),
      a: tag.attributes as Attributes,
      children: [],
    };
    refuseActive(node.name, node.a);
    if (!root && node.name !== "svg") throw new SourceError(`This is no SVG: it begins with <${tag.name}>.`);
    if (open.length > DEEPEST)
      throw new SourceError(`The SVG nests its groups more than ${DEEPEST} deep. Save it as plain SVG.`);
    if (++count > MOST_NODES)
      throw new SourceError(
        `The SVG has more than ${MOST_NODES.toLocaleString("en")} elements. Export only the sheet with the structure.`,
      );
    open[open.length - 1]?.children.push(node);
    root ??= node;
    open.push(node);
  });
  parser.on("text", (t) => void open[open.length - 1]?.children.push(t));
  parser.on("closetag", () => void open.pop());
  parser.write(text).close();
  if (!root) throw new SourceError("This is no SVG that can be read here.");
  return root;
}
const byId = (n: Node, found = new Map<string, Node>()): ReadonlyMap<string, Node> => {
  if (n.a.id && !found.has(n.a.id)) found.set(n.a.id, n);
  for (const c of n.children) if (typeof c !== "string") byId(c, found);
  return found;
};
const wordsOf = (n: Node): string => n.children.map((c) => (typeof c === "string" ? c : wordsOf(c))).join("");

/** Lines, shapes and text of an SVG; its size gives the paper's scale. Errors: SourceError for what is broken, active or too much. */
export function readSvg(text: string): SheetLines {
  if (text.length > MOST_TEXT)
    throw new SourceError("The SVG is larger than 30 MB. Export only the sheet with the structure.");
  const out = new SheetBuilder();
  const root = treeOf(text);
  const ids = byId(root);
  const [page, unit] = pageOf(root.a);
  const visit = (n: Node, up: Style, used: number): void => {
    if (ASIDE.has(n.name) && !(used > 0 && n.name === "symbol")) return;
    const s = styleOf(up, n.a, n.name, out);
    if (!s.shown) return;
    if (n.name === "use") {
      const target = ids.get((n.a.href ?? n.a["xlink:href"] ?? "").slice(1));
      const moved = { ...s, m: compose(s.m, [1, 0, 0, 1, number(n.a.x, 0), number(n.a.y, 0)]) };
      if (target && used < USED_WITHIN) visit(target, moved, used + 1);
      return;
    }
    if (n.name === "text") {
      const said = wordsOf(n).replace(/\s+/g, " ").trim().slice(0, 500);
      const first = n.children.find((c): c is Node => typeof c !== "string" && c.a.x !== undefined);
      if (said) out.add(textOf(s, n.a.x === undefined && first ? { ...first.a } : n.a, said, out));
      return;
    }
    draw(n.name, n.a, s, out);
    for (const c of n.children) if (typeof c !== "string") visit(c, s, used);
  };
  const plain: Style = {
    m: SAME,
    layer: -1,
    shown: true,
    pen: 1,
    dashed: false,
    stroked: false,
    filled: true,
    size: 16,
  };
  for (const c of root.children) if (typeof c !== "string") visit(c, plain, 0);
  return out.build({ unit, of: "paper", flip: false, ...(page ? { page } : {}) });
}

function pageOf(a: Attributes): [{ min: Vec2; max: Vec2 } | undefined, number] {
  const box = (a.viewBox ?? "")
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [w, h] = [millimetres(a.width), millimetres(a.height)];
  if (box.length === 4 && box.every(Number.isFinite) && box[2]! > 0 && box[3]! > 0) {
    const [x, y, bw, bh] = box as [number, number, number, number];
    return [{ min: [x, y], max: [x + bw, y + bh] }, w ? w / bw : h ? h / bh : 0];
  }
  const px = 25.4 / 96;
  return w && h ? [{ min: [0, 0], max: [w / px, h / px] }, px] : [undefined, px];
}
const layerOf = (layer: number, out: SheetBuilder): number => (layer < 0 ? out.layer("drawing") : layer);

function styleOf(up: Style, a: Attributes, name: string, out: SheetBuilder): Style {
  const stroke = property(a, "stroke");
  const fill = property(a, "fill");
  const dash = property(a, "stroke-dasharray");
  const pen = property(a, "stroke-width");
  const hidden = property(a, "display") === "none" || /^(hidden|collapse)$/.test(property(a, "visibility") ?? "");
  // the outermost groups that are named are the layers
  const named = name === "g" && up.layer < 0 && a.id;
  return {
    m: compose(up.m, matrixOf(a.transform)),
    layer: named ? out.layer(named.slice(0, 200)) : up.layer,
    shown: up.shown && !hidden,
    pen: pen === undefined ? up.pen : number(pen, up.pen),
    dashed: dash === undefined ? up.dashed : !/^(none|0*)$/.test(dash.trim()),
    stroked: stroke === undefined ? up.stroked : stroke !== "none",
    filled: fill === undefined ? up.filled : fill !== "none",
    size: number(property(a, "font-size"), up.size),
  };
}

function textOf(s: Style, a: Attributes, text: string, out: SheetBuilder): SheetEntity {
  const at = mapPoint(s.m, [number(a.x, 0), number(a.y, 0)]);
  const turn = (-Math.atan2(s.m[1], s.m[0]) * 180) / Math.PI;
  return { kind: "text", layer: layerOf(s.layer, out), at, text, size: s.size * growth(s.m), turn };
}

function draw(name: string, a: Attributes, s: Style, out: SheetBuilder): void {
  const n = (key: string): number => number(a[key], 0);
  const path = (points: readonly Vec2[], closed: boolean, curved = false): void => {
    if (points.length < 2 || !(s.stroked || s.filled)) return;
    out.add({
      kind: "path",
      layer: layerOf(s.layer, out),
      points: points.map((p) => mapPoint(s.m, p)),
      closed,
      pen: s.stroked ? s.pen * growth(s.m) : 0,
      dash: s.dashed ? "dashed" : "solid",
      curved,
    });
  };
  const list = (): Vec2[] => {
    const v = (a.points ?? "")
      .trim()
      .split(/[\s,]+/)
      .map(Number);
    return v.flatMap((x, i): Vec2[] => (i % 2 === 0 && i + 1 < v.length ? [[x, v[i + 1]!]] : []));
  };
  switch (name) {
    case "line":
      return path(
        [
          [n("x1"), n("y1")],
          [n("x2"), n("y2")],
        ],
        false,
      );
    case "polyline":
      return path(list(), false);
    case "polygon":
      return path(list(), true);
    case "rect": {
      const [x, y, w, h] = [n("x"), n("y"), n("width"), n("height")];
      return path(
        [
          [x, y],
          [x + w, y],
          [x + w, y + h],
          [x, y + h],
        ],
        true,
      );
    }
    case "circle":
    case "ellipse": {
      const c: Vec2 = [n("cx"), n("cy")];
      const [rx, ry] = name === "circle" ? [n("r"), n("r")] : [n("rx"), n("ry")];
      const round =
        Math.abs(s.m[0] * s.m[2] + s.m[1] * s.m[3]) < 1e-9 &&
        Math.abs(Math.hypot(s.m[0], s.m[1]) - Math.hypot(s.m[2], s.m[3])) < 1e-9;
      if (name === "circle" && round)
        return out.add({
          kind: "circle",
          layer: layerOf(s.layer, out),
          centre: mapPoint(s.m, c),
          radius: rx * growth(s.m),
        });
      return path(arcPoints(c, rx, ry, 0, 2 * Math.PI).slice(0, -1), true, true);
    }
    case "path":
      return subpaths(a.d ?? "").forEach((p) => path(p.points, p.closed, p.curved));
  }
}

interface SubPath {
  points: Vec2[];
  closed: boolean;
  curved: boolean;
}
/** The parts of a path's data, curves followed in short steps. */
function subpaths(d: string): SubPath[] {
  const out: SubPath[] = [];
  let now: SubPath = { points: [], closed: false, curved: false };
  svgpath(d)
    .abs()
    .unshort()
    .unarc()
    .iterate((s, _, x, y) => {
      const v = s.slice(1).map(Number);
      switch (s[0]) {
        case "M":
          out.push((now = { points: [[v[0]!, v[1]!]], closed: false, curved: false }));
          break;
        case "L":
          now.points.push([v[0]!, v[1]!]);
          break;
        case "H":
          now.points.push([v[0]!, y]);
          break;
        case "V":
          now.points.push([x, v[0]!]);
          break;
        case "C":
        case "Q": {
          const c: Vec2[] = [[x, y]];
          for (let i = 0; i < v.length; i += 2) c.push([v[i]!, v[i + 1]!]);
          now.points.push(...bezier(c));
          now.curved = true;
          break;
        }
        case "Z": {
          now.closed = true;
          const first = now.points[0];
          if (first) now = { points: [first], closed: false, curved: false };
        }
      }
    });
  return out;
}
