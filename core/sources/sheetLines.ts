import type { Vec2 } from "../geometry";

/** How a line is drawn, as far as its file says. */
export type Dash = "solid" | "dashed";
/** Lines of a vector sheet, x right and y down, in the sheet's own units. Curves are kept as their points; a whole circle keeps its centre. */
export type SheetEntity =
  | {
      readonly kind: "path";
      readonly layer: number;
      readonly points: readonly Vec2[];
      readonly closed: boolean;
      /** Width of the pen, sheet units; 0 is not known. */
      readonly pen: number;
      readonly dash: Dash;
      /** Straight edges stand for what was drawn; a curve's points only approach it. */
      readonly curved: boolean;
    }
  | {
      readonly kind: "circle";
      readonly layer: number;
      readonly centre: Vec2;
      readonly radius: number;
    }
  | {
      readonly kind: "text";
      readonly layer: number;
      readonly at: Vec2;
      readonly text: string;
      /** Height of its letters, sheet units, and degrees counter-clockwise. */
      readonly size: number;
      readonly turn: number;
    };
/** A vector sheet as Cardo keeps it. */
export interface SheetLines {
  readonly format: "cardo-lines";
  readonly width: number;
  readonly height: number;
  /** Millimetres to a unit, of the paper or of the thing itself; 0 is not known. */
  readonly unit: number;
  readonly of: "paper" | "real";
  readonly layers: readonly string[];
  /** Layers that the file has off. */
  readonly off: readonly number[];
  readonly entities: readonly SheetEntity[];
}

/** The most that a sheet may hold. A sheet of a large bridge has some thousands. */
export const MOST_ENTITIES = 60_000;
export const MOST_POINTS = 400_000;
export const MOST_LAYERS = 500;

/** Something a file holds that is not taken, in a sentence. */
export class SourceError extends Error {
  constructor(sentence: string) {
    super(sentence);
    this.name = "SourceError";
  }
}

/** Collects entities in the file's own axes and lays them out on a sheet from 0, 0. Errors: too many of them. */
export class SheetBuilder {
  private readonly names = new Map<string, number>();
  private readonly entities: SheetEntity[] = [];
  private points = 0;
  layer(name: string): number {
    const known = this.names.get(name);
    if (known !== undefined) return known;
    if (this.names.size >= MOST_LAYERS)
      throw new SourceError(`The drawing has more than ${MOST_LAYERS} layers. Export only those with the structure.`);
    this.names.set(name, this.names.size);
    return this.names.size - 1;
  }
  add(e: SheetEntity): void {
    const numbers =
      e.kind === "path" ? e.points.flat() : e.kind === "circle" ? [...e.centre, e.radius] : [...e.at, e.size];
    if (!numbers.every(Number.isFinite)) return;
    this.points += e.kind === "path" ? e.points.length : 1;
    if (this.entities.length >= MOST_ENTITIES || this.points > MOST_POINTS)
      throw new SourceError(
        `The drawing has more than ${MOST_ENTITIES.toLocaleString("en")} lines or ${MOST_POINTS.toLocaleString("en")} points. Export only the sheet with the structure.`,
      );
    this.entities.push(e);
  }
  get count(): number {
    return this.entities.length;
  }
  /** The sheet. `page` is its size where the file has one; else it is as large as what is on it, with a margin. `flip` turns y from up to down. */
  build(o: {
    readonly unit: number;
    readonly of: "paper" | "real";
    readonly off?: readonly string[];
    readonly flip: boolean;
    readonly page?: { readonly min: Vec2; readonly max: Vec2 };
  }): SheetLines {
    if (this.entities.length === 0)
      throw new SourceError("The drawing has no lines that can be read here: it needs lines, polylines, arcs or text.");
    const box = o.page ?? margin(boundsOf(this.entities));
    const place = (p: Vec2): Vec2 => [tidy(p[0] - box.min[0]), tidy(o.flip ? box.max[1] - p[1] : p[1] - box.min[1])];
    const entities = this.entities.map((e): SheetEntity => {
      if (e.kind === "path") return { ...e, points: e.points.map(place) };
      return e.kind === "circle" ? { ...e, centre: place(e.centre) } : { ...e, at: place(e.at), turn: e.turn || 0 };
    });
    const layers = [...this.names.keys()];
    return {
      format: "cardo-lines",
      width: tidy(box.max[0] - box.min[0]),
      height: tidy(box.max[1] - box.min[1]),
      unit: o.unit,
      of: o.of,
      layers,
      off: layers.flatMap((n, i) => (o.off?.includes(n) ? [i] : [])),
      entities,
    };
  }
}
/** Twelve figures: finer than any drawing, and the same text on every machine. */
const tidy = (n: number): number => Number(n.toPrecision(12));

function boundsOf(entities: readonly SheetEntity[]): { min: Vec2; max: Vec2 } {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  const see = (x: number, y: number): void => {
    [x0, y0, x1, y1] = [Math.min(x0, x), Math.min(y0, y), Math.max(x1, x), Math.max(y1, y)];
  };
  for (const e of entities)
    if (e.kind === "path") e.points.forEach((p) => see(p[0], p[1]));
    else if (e.kind === "text") see(e.at[0], e.at[1]);
    else {
      see(e.centre[0] - e.radius, e.centre[1] - e.radius);
      see(e.centre[0] + e.radius, e.centre[1] + e.radius);
    }
  return { min: [x0, y0], max: [x1, y1] };
}
function margin(b: { min: Vec2; max: Vec2 }): { min: Vec2; max: Vec2 } {
  const m = 0.04 * Math.max(b.max[0] - b.min[0], b.max[1] - b.min[1], 1e-6);
  return { min: [b.min[0] - m, b.min[1] - m], max: [b.max[0] + m, b.max[1] + m] };
}

/** Checks lines that come from outside. Errors: SourceError with what is wrong. */
export function readSheetLines(text: string): SheetLines {
  const bad = (what: string): never => {
    throw new SourceError(`These are no lines of a drawing: ${what}.`);
  };
  let raw: Partial<SheetLines>;
  try {
    raw = JSON.parse(text) as Partial<SheetLines>;
  } catch {
    return bad("they are no JSON");
  }
  const number = (n: unknown): boolean => typeof n === "number" && Number.isFinite(n) && Math.abs(n) < 1e12;
  const at = (p: unknown): boolean => Array.isArray(p) && p.length === 2 && p.every(number);
  if (typeof raw !== "object" || raw === null || raw.format !== "cardo-lines") bad("they do not say “cardo-lines”");
  if (!number(raw.width) || !number(raw.height) || !(raw.width! > 0 && raw.height! > 0)) bad("the sheet has no size");
  if (!number(raw.unit) || raw.unit! < 0 || (raw.of !== "paper" && raw.of !== "real")) bad("the unit is not told");
  if (
    !Array.isArray(raw.layers) ||
    raw.layers.length > MOST_LAYERS ||
    raw.layers.some((l) => typeof l !== "string" || l.length > 200)
  )
    bad("the layers are not named");
  if (!Array.isArray(raw.off) || !raw.off.every(number)) bad("the layers that are off are not told");
  if (!Array.isArray(raw.entities) || raw.entities.length > MOST_ENTITIES) bad(`more than ${MOST_ENTITIES} entities`);
  let points = 0;
  const layers = raw.layers!.length;
  for (const e of raw.entities!) {
    if (!(Number.isInteger(e?.layer) && e.layer >= 0 && e.layer < layers)) bad("an entity is on no layer");
    if (e.kind === "path") {
      points += e.points?.length ?? 0;
      if (!Array.isArray(e.points) || e.points.length < 2 || points > MOST_POINTS || !e.points.every(at))
        bad("a path has no points");
      if (
        typeof e.closed !== "boolean" ||
        typeof e.curved !== "boolean" ||
        !number(e.pen) ||
        (e.dash !== "solid" && e.dash !== "dashed")
      )
        bad("a path is not told whole");
    } else if (e.kind === "circle") {
      if (!at(e.centre) || !number(e.radius)) bad("a circle has no centre");
    } else if (e.kind === "text") {
      if (!at(e.at) || typeof e.text !== "string" || e.text.length > 2000 || !number(e.size) || !number(e.turn))
        bad("a text is not told whole");
    } else bad("an entity is of no known kind");
  }
  return raw as SheetLines;
}
