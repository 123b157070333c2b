import earcut from "earcut";
import { cross, insideRing, sub, type Vec3 } from "../geometry";
import { faceContours, toLocal, type Resolved } from "../frame";

export type Triangle = readonly [Vec3, Vec3, Vec3];

/**
 * A finished stick as a closed surface of triangles, counter-clockwise seen from outside, in its own axes (length along x)
 * so that it lies flat. What is of one convex part is taken by its faces; a sheet with holes by the contours of both its
 * faces and the walls between them, without the seams of the parts that it is reckoned in. Model mm. Undefined for a
 * shape of several parts that is no sheet: it is not one closed surface.
 */
export function surfaceOf(s: Resolved): Triangle[] | undefined {
  const local = (p: Vec3): Vec3 => toLocal(s.axes, p);
  if (s.parts.length === 1)
    return s.parts[0]!.faces.flatMap((f) => {
      const c = f.corners.map(local);
      return c.slice(2).map((p, i): Triangle => [c[0]!, c[i + 1]!, p]);
    });
  if (s.member.body.shape !== "panel") return undefined;
  const { thickness } = s.member.body;
  const [lower, upper] = [cornersOf(faceContours(s, "-w", thickness)), cornersOf(faceContours(s, "+w", thickness))];
  if (!lower || !upper || lower.length !== upper.length) return undefined;
  const out: Triangle[] = [...capped(lower, true), ...capped(upper, false)];
  for (const ring of lower) {
    const match = upper.reduce<Vec3[] | undefined>((best, u) => (u.length === ring.length && near(u, ring) < (best ? near(best, ring) : Infinity) ? u : best), undefined); // prettier-ignore
    if (!match) return undefined;
    const from = startOf(match, ring[0]!);
    ring.forEach((p, i) => {
      const n = ring.length;
      const [q, P, Q] = [ring[(i + 1) % n]!, match[(from + i) % n]!, match[(from + i + 1) % n]!];
      out.push([p, q, Q], [p, Q, P]);
    });
  }
  return out;
}
/** The contours without the points on straight edges, which are no corners. */
const cornersOf = (rings: readonly Vec3[][] | undefined): Vec3[][] | undefined =>
  rings?.map((ring) =>
    ring.filter((p, i) => {
      const [a, b] = [ring[(i + ring.length - 1) % ring.length]!, ring[(i + 1) % ring.length]!];
      return Math.abs((p[0] - a[0]) * (b[1] - a[1]) - (p[1] - a[1]) * (b[0] - a[0])) > 1e-6 * apart(a, b);
    }),
  );
const flatArea = (r: readonly Vec3[]): number => r.reduce((sum, p, i) => { const q = r[(i + 1) % r.length]!; return sum + p[0] * q[1] - q[0] * p[1]; }, 0) / 2; // prettier-ignore
const apart = (a: Vec3, b: Vec3): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
/** The corner of a ring that lies over a point of the other face. */
const startOf = (ring: readonly Vec3[], p: Vec3): number =>
  ring.reduce((best, q, i) => (apart(q, p) < apart(ring[best]!, p) ? i : best), 0);
/** How far two rings lie apart, where they run the same way. */
const near = (a: readonly Vec3[], b: readonly Vec3[]): number =>
  Math.sign(flatArea(a)) === Math.sign(flatArea(b)) ? apart(middle(a), middle(b)) : Infinity; // prettier-ignore
const middle = (r: readonly Vec3[]): Vec3 => [r.reduce((x, p) => x + p[0], 0) / r.length, r.reduce((y, p) => y + p[1], 0) / r.length, 0]; // prettier-ignore
/** A level face of outer contours and their holes as triangles; the lower one looks down. */
export function capped(rings: readonly (readonly Vec3[])[], down: boolean): Triangle[] {
  const outer = rings.filter((r) => flatArea(r) > 0);
  return outer.flatMap((o) => {
    const holes = rings.filter((r) => flatArea(r) < 0 && insideRing(r[0]!, o));
    const corners = [o, ...holes].flat();
    const starts = holes.map((_, i) => [o, ...holes.slice(0, i)].reduce((n, r) => n + r.length, 0));
    const index = earcut(corners.flatMap((p) => [p[0], p[1]]), starts); // prettier-ignore
    return Array.from({ length: index.length / 3 }, (_, i): Triangle => {
      const [a, b, c] = [corners[index[3 * i]!]!, corners[index[3 * i + 1]!]!, corners[index[3 * i + 2]!]!];
      const up = (b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]) > 0;
      return up === down ? [a, c, b] : [a, b, c];
    }).flatMap((t) => parted(t, corners));
  });
}
/** A triangle parted at every corner that lies on one of its edges: panes in a row are in line, and what joins them runs past their corners. */
function parted(t: Triangle, corners: readonly Vec3[]): Triangle[] {
  for (let i = 0; i < 3; i++) {
    const [a, b, c] = [t[i]!, t[(i + 1) % 3]!, t[(i + 2) % 3]!];
    const long = apart(a, b);
    const on = corners.find((p) => {
      const along = ((p[0] - a[0]) * (b[0] - a[0]) + (p[1] - a[1]) * (b[1] - a[1])) / long;
      const off = Math.abs((p[0] - a[0]) * (b[1] - a[1]) - (p[1] - a[1]) * (b[0] - a[0])) / long;
      return off < 1e-6 && along > 1e-5 && along < long - 1e-5;
    });
    if (on) return [...parted([a, on, c], corners), ...parted([on, b, c], corners)];
  }
  return [t];
}

/** A piece as a binary STL file, model mm; undefined where it is no closed surface. */
export function stlOf(s: Resolved, name: string): Uint8Array | undefined {
  const all = surfaceOf(s);
  return all && stlBytes(all, name);
}
/** A closed surface as a binary STL file. */
export function stlBytes(all: readonly Triangle[], name: string): Uint8Array {
  const bytes = new Uint8Array(84 + 50 * all.length);
  new TextEncoder().encodeInto(name.slice(0, 79), bytes);
  const view = new DataView(bytes.buffer);
  view.setUint32(80, all.length, true);
  all.forEach((t, i) => {
    const n = cross(sub(t[1], t[0]), sub(t[2], t[0]));
    const long = Math.hypot(...n) || 1;
    [...n.map((x) => x / long), ...t.flat()].forEach((x, k) => view.setFloat32(84 + 50 * i + 4 * k, x, true));
  });
  return bytes;
}
