import DxfParser from "dxf-parser";
import type { Vec2 } from "../geometry";
import { arcPoints, compose, growth, mapPoint, SAME, type Affine } from "./affine";
import { MOST_ENTITIES, SheetBuilder, SourceError, type SheetLines } from "./sheetLines";

/** Largest DXF that is read, characters, and the most records in it: each entity, vertex and table entry is one. */
const MOST_TEXT = 60_000_000;
const MOST_RECORDS = 300_000;
/** Millimetres of $INSUNITS: the codes of the DXF reference, header variables. */
const UNITS: Readonly<Record<number, number>> = {
  1: 25.4,
  2: 304.8,
  4: 1,
  5: 10,
  6: 1000,
  8: 25.4e-6,
  9: 0.0254,
  10: 914.4,
  14: 100,
};
/** Blocks within blocks, at most. */
const DEEP = 8;

interface Point {
  readonly x: number;
  readonly y: number;
  readonly bulge?: number;
}
/** What dxf-parser gives, as far as it is used here. */
interface Entity {
  readonly type: string;
  readonly layer?: string;
  readonly lineType?: string;
  readonly lineweight?: number;
  readonly vertices?: readonly Point[];
  readonly shape?: boolean;
  readonly center?: Point;
  readonly radius?: number;
  readonly startAngle?: number;
  readonly endAngle?: number;
  readonly majorAxisEndPoint?: Point;
  readonly axisRatio?: number;
  readonly controlPoints?: readonly Point[];
  readonly fitPoints?: readonly Point[];
  readonly knotValues?: readonly number[];
  readonly degreeOfSplineCurve?: number;
  readonly startPoint?: Point;
  readonly position?: Point;
  readonly text?: string;
  readonly textHeight?: number;
  readonly height?: number;
  readonly rotation?: number;
  readonly name?: string;
  readonly block?: string;
  readonly xScale?: number;
  readonly yScale?: number;
  readonly extrusionDirection?: { readonly z: number };
  /** The same of a light polyline. */
  readonly extrusionDirectionZ?: number;
  readonly inPaperSpace?: boolean;
  readonly visible?: boolean;
}
interface Block {
  readonly position?: Point;
  readonly entities?: readonly Entity[];
}

/** Lines, arcs and text of a DXF, with its layers and units. Errors: SourceError for what is broken or too much. */
export function readDxf(text: string): SheetLines {
  if (text.startsWith("AutoCAD Binary DXF"))
    throw new SourceError("This is a binary DXF; save it as an ASCII DXF and upload that.");
  if (!/^\s*(999[ \t]*\r?\n.*\r?\n\s*)*0[ \t]*\r?\n\s*SECTION/.test(text))
    throw new SourceError("This is no DXF: it should begin with a section. Save it as an ASCII DXF.");
  if (text.length > MOST_TEXT)
    throw new SourceError("The DXF is larger than 60 MB. Export only the sheet with the structure.");
  const records = countRecords(text);
  if (records > MOST_RECORDS)
    throw new SourceError(
      `The DXF has ${records.toLocaleString("en")} records; ${MOST_RECORDS.toLocaleString("en")} is the most. Export only the sheet with the structure.`,
    );
  let dxf: ReturnType<DxfParser["parseSync"]>;
  try {
    dxf = new DxfParser().parseSync(verticesLast(text));
  } catch {
    throw new SourceError(
      /EOF\s*$/.test(text)
        ? "The DXF is damaged: it holds something that is not what its group says. Save it again."
        : "The DXF breaks off before its end. Save it again.",
    );
  }
  if (!dxf) throw new SourceError("This is no DXF that can be read here.");
  const layers = (dxf.tables?.layer?.layers ?? {}) as Record<string, { visible?: boolean; frozen?: boolean }>;
  const types = (dxf.tables?.lineType?.lineTypes ?? {}) as Record<string, { pattern?: readonly unknown[] }>;
  const blocks = (dxf.blocks ?? {}) as unknown as Record<string, Block>;
  const dashedType = new Set(
    Object.entries(types)
      .filter(([, t]) => (t.pattern?.length ?? 0) > 1)
      .map(([n]) => n.toUpperCase()),
  );
  const out = new SheetBuilder();
  let drawn = 0;

  const draw = (e: Entity, m: Affine, inherited: string, depth: number): void => {
    if (e.visible === false || e.inPaperSpace) return;
    if (++drawn > 4 * MOST_ENTITIES)
      throw new SourceError("The DXF's blocks unfold to far more lines than a sheet has. Export only the structure.");
    const layerName = !e.layer || e.layer === "0" ? inherited : e.layer;
    const layer = out.layer(layerName.slice(0, 200));
    // an entity seen from below is mirrored
    const flip: Affine = (e.extrusionDirection?.z ?? e.extrusionDirectionZ ?? 1) < 0 ? [-1, 0, 0, 1, 0, 0] : SAME;
    const map = compose(m, flip);
    const path = (points: readonly Vec2[], closed: boolean, curved = false): void => {
      if (points.length < 2) return;
      const dash = dashedType.has((e.lineType ?? "").toUpperCase()) ? "dashed" : "solid";
      out.add({ kind: "path", layer, points: points.map((p) => mapPoint(map, p)), closed, pen: 0, dash, curved });
    };
    const at = (p: Point | undefined): Vec2 => [p?.x ?? 0, p?.y ?? 0];
    switch (e.type) {
      case "LINE":
        return path((e.vertices ?? []).map(at), false);
      case "LWPOLYLINE":
      case "POLYLINE": {
        const v = e.vertices ?? [];
        return path(
          bulged(v, e.shape === true),
          e.shape === true,
          v.some((p) => p.bulge),
        );
      }
      case "CIRCLE":
      case "ARC": {
        const [from, to] = [e.startAngle ?? 0, e.endAngle ?? 2 * Math.PI];
        const whole = e.type === "CIRCLE";
        if (whole && Math.abs(Math.abs(map[0]) - Math.abs(map[3])) < 1e-9 && Math.abs(map[1]) + Math.abs(map[2]) < 1e-9)
          return out.add({
            kind: "circle",
            layer,
            centre: mapPoint(map, at(e.center)),
            radius: (e.radius ?? 0) * growth(map),
          });
        const end = whole ? from + 2 * Math.PI : to <= from ? to + 2 * Math.PI : to;
        return path(arcPoints(at(e.center), e.radius ?? 0, e.radius ?? 0, from, end), whole, true);
      }
      case "ELLIPSE": {
        const a = at(e.majorAxisEndPoint);
        const r = Math.hypot(...a);
        const [from, to] = [e.startAngle ?? 0, e.endAngle ?? 2 * Math.PI];
        const end = to <= from ? to + 2 * Math.PI : to;
        return path(arcPoints(at(e.center), r, r * (e.axisRatio ?? 1), from, end, Math.atan2(a[1], a[0])), false, true);
      }
      case "SPLINE":
        return path(splinePoints(e, at), false, true);
      case "TEXT":
      case "MTEXT": {
        const p = mapPoint(map, at(e.startPoint ?? e.position));
        const words = (e.text ?? "")
          .replace(/\\[A-Za-z][^;\\]*;|[{}]/g, "")
          .replace(/\\P/g, " ")
          .replace(/%%d/gi, "°")
          .slice(0, 500);
        if (words.trim())
          out.add({
            kind: "text",
            layer,
            at: p,
            text: words.trim(),
            size: (e.textHeight ?? e.height ?? 1) * growth(map),
            turn: e.rotation ?? 0,
          });
        return;
      }
      case "INSERT":
      case "DIMENSION": {
        const block = blocks[e.name ?? e.block ?? ""];
        if (!block || depth >= DEEP) return;
        const turn = ((e.rotation ?? 0) * Math.PI) / 180;
        const [c, s] = [Math.cos(turn), Math.sin(turn)];
        const [sx, sy] = [e.xScale ?? 1, e.yScale ?? 1];
        const base = at(block.position);
        const place: Affine =
          e.type === "DIMENSION" ? SAME : [sx * c, sx * s, -sy * s, sy * c, e.position?.x ?? 0, e.position?.y ?? 0];
        const inner = compose(compose(map, place), [1, 0, 0, 1, -base[0], -base[1]]);
        return (block.entities ?? []).forEach((x) => draw(x, inner, layerName, depth + 1));
      }
    }
  };
  for (const e of (dxf.entities ?? []) as unknown as Entity[]) draw(e, SAME, e.layer || "0", 0);
  const off = Object.entries(layers)
    .filter(([, l]) => l.visible === false || l.frozen === true)
    .map(([n]) => n);
  return out.build({ unit: UNITS[Number(dxf.header?.$INSUNITS ?? 0)] ?? 0, of: "real", off, flip: true });
}

/** Group codes of a vertex of a light polyline (DXF reference, LWPOLYLINE): x, y, z, widths at both ends, bulge. */
const VERTEX = new Set([10, 20, 30, 40, 41, 42]);
/**
 * The same DXF with the vertices of each light polyline at its end and nothing between them, since the parser ends a
 * polyline, or turns in a circle, at a group that it does not know: vertex identifiers (91), data of applications (from
 * 1000 on), a direction of extrusion that comes after. The count of vertices is put right along with it.
 */
function verticesLast(text: string): string {
  if (!text.includes("LWPOLYLINE")) return text;
  const lines = text.split(/\r\n|\r|\n/);
  const out: string[] = [];
  let i = 0;
  while (i + 1 < lines.length) {
    const [code, value] = [lines[i]!, lines[i + 1]!];
    out.push(code, value);
    i += 2;
    if (Number(code) !== 0 || value.trim() !== "LWPOLYLINE") continue;
    const vertices: string[] = [];
    let count = 0;
    for (; i + 1 < lines.length && lines[i]!.trim() !== "0"; i += 2) {
      const group = Number(lines[i]);
      if (group === 10) count++;
      if (VERTEX.has(group) && count > 0) vertices.push(lines[i]!, lines[i + 1]!);
      else if (group !== 90 && group !== 91 && group !== 102 && group < 1000) out.push(lines[i]!, lines[i + 1]!);
    }
    out.push(" 90", String(count), ...vertices);
  }
  return [...out, ...lines.slice(i)].join("\n");
}

/** How many records a DXF has, without parsing it: lines that are the group code 0. */
function countRecords(text: string): number {
  let n = 0;
  const zero = /^[ \t]*0[ \t]*\r?$/gm;
  while (zero.exec(text) && n <= 4 * MOST_RECORDS) n++;
  return n;
}

/** Vertices with their bulges followed as arcs: a bulge is the tangent of a quarter of the arc's angle (DXF reference). */
function bulged(v: readonly Point[], closed: boolean): Vec2[] {
  const out: Vec2[] = [];
  v.forEach((p, i) => {
    out.push([p.x, p.y]);
    const q = v[(i + 1) % v.length]!;
    if (!p.bulge || (i === v.length - 1 && !closed)) return;
    const angle = 4 * Math.atan(p.bulge);
    const [dx, dy] = [q.x - p.x, q.y - p.y];
    const d = Math.hypot(dx, dy);
    if (d === 0) return;
    const r = d / (2 * Math.sin(angle / 2));
    const h = r * Math.cos(angle / 2);
    const c: Vec2 = [(p.x + q.x) / 2 - (h * dy) / d, (p.y + q.y) / 2 + (h * dx) / d];
    const from = Math.atan2(p.y - c[1], p.x - c[0]);
    out.push(...arcPoints(c, Math.abs(r), Math.abs(r), from, from + angle).slice(1, -1));
  });
  return out;
}

/** A B-spline followed in short steps (de Boor), or its fit points joined where it has no control points. */
function splinePoints(e: Entity, at: (p: Point) => Vec2): Vec2[] {
  const c = (e.controlPoints ?? []).map(at);
  const k = e.degreeOfSplineCurve ?? 3;
  const t = e.knotValues ?? [];
  if (c.length <= k || t.length < c.length + k + 1) return (e.fitPoints ?? e.controlPoints ?? []).map(at);
  const [from, to] = [t[k]!, t[c.length]!];
  const steps = Math.min(2000, 12 * c.length);
  return Array.from({ length: steps + 1 }, (_, i) => {
    const x = Math.min(from + ((to - from) * i) / steps, to - 1e-12 * (to - from));
    let s = k;
    while (s < c.length - 1 && t[s + 1]! <= x) s++;
    const d = Array.from({ length: k + 1 }, (_, j) => c[s - k + j]!);
    for (let r = 1; r <= k; r++)
      for (let j = k; j >= r; j--) {
        const [lo, hi] = [t[s - k + j]!, t[s + 1 + j - r]!];
        const a = hi > lo ? (x - lo) / (hi - lo) : 0;
        d[j] = [(1 - a) * d[j - 1]![0] + a * d[j]![0], (1 - a) * d[j - 1]![1] + a * d[j]![1]];
      }
    return d[k]!;
  });
}
