import { SeenStick, type Seen } from "./elevation";

/** An elevation in a few arrays, which pass from one thread to another without being copied. */
export interface PackedSeen {
  /** One id a line. */
  readonly ids: string;
  /** Roles and stock items, each named once. */
  readonly names: readonly string[];
  /** For each stick: its role, its stock, how many outlines; then for each of these how many numbers. */
  readonly heads: Uint32Array;
  /** The outlines' x and y by turns, mm, all in a row. */
  readonly points: Float64Array;
  /** Eight numbers a stick: near, far, left, low, right, high, and the direction of its length. */
  readonly boxes: Float64Array;
}

/** Packs an elevation; its order is kept. */
export function packSeen(shown: readonly Seen[]): PackedSeen {
  const numbers = new Map<string, number>();
  const numberOf = (name: string): number => {
    const known = numbers.get(name);
    if (known !== undefined) return known;
    numbers.set(name, numbers.size);
    return numbers.size - 1;
  };
  const outlines = shown.flatMap((s) => s.flat);
  const heads = new Uint32Array(3 * shown.length + outlines.length);
  const points = new Float64Array(outlines.reduce((n, o) => n + o.length, 0));
  const boxes = new Float64Array(8 * shown.length);
  let [h, p] = [0, 0];
  shown.forEach((s, i) => {
    heads[h++] = numberOf(s.role);
    heads[h++] = numberOf(s.stock);
    heads[h++] = s.flat.length;
    for (const o of s.flat) {
      heads[h++] = o.length;
      points.set(o, p);
      p += o.length;
    }
    boxes.set([s.near, s.far, s.min[0], s.min[1], s.max[0], s.max[1], s.along[0], s.along[1]], 8 * i);
  });
  return { ids: shown.map((s) => s.id).join("\n"), names: [...numbers.keys()], heads, points, boxes };
}
/** What passes to another thread whole instead of being copied. */
export const buffersOf = (p: PackedSeen): ArrayBuffer[] =>
  [p.heads.buffer, p.points.buffer, p.boxes.buffer] as ArrayBuffer[];

/** The elevation again; its outlines are windows on the packed points. */
export function unpackSeen({ ids, names, heads, points, boxes }: PackedSeen): Seen[] {
  let [h, p] = [0, 0];
  return (ids === "" ? [] : ids.split("\n")).map((id, i) => {
    const [role, stock, outlines] = [names[heads[h]!]!, names[heads[h + 1]!]!, heads[h + 2]!];
    h += 3;
    const flat = Array.from({ length: outlines }, () => points.subarray(p, (p += heads[h++]!)));
    return new SeenStick(id, role, stock, flat, boxes.subarray(8 * i, 8 * i + 8));
  });
}
