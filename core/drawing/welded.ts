import type { ManifoldToplevel } from "manifold-3d";
import type { Vec3 } from "../geometry";
import { stlBytes, type Triangle } from "./stl";

/** Corners are laid on a grid of this, model mm, so that faces that meet are the same to the last digit. */
const GRID = 1e-5;

/** Welds bodies that touch into one. */
export interface Welder {
  /**
   * Convex bodies, each by its corners, as one closed surface of triangles, counter-clockwise seen from outside, and in how many pieces that
   * falls: bodies that share a face, or a part of one, are one piece. Model mm.
   */
  weld(parts: readonly (readonly Vec3[])[]): { readonly triangles: readonly Triangle[]; readonly pieces: number };
}
/** A welder on a library of exact solids (WASM). `locate` gives the address of its binary where the loader cannot find it, as in a browser. */
export async function loadWelder(locate?: (file: string) => string): Promise<Welder> {
  const { default: load } = await import("manifold-3d");
  const wasm: ManifoldToplevel = await load(...((locate ? [{ locateFile: locate }] : []) as []));
  wasm.setup();
  const { Manifold } = wasm;
  const snapped = (p: Vec3): [number, number, number] => [Math.round(p[0] / GRID) * GRID, Math.round(p[1] / GRID) * GRID, Math.round(p[2] / GRID) * GRID]; // prettier-ignore
  return {
    weld(parts) {
      const bodies = parts.map((p) => Manifold.hull(p.map(snapped)));
      const one = Manifold.union(bodies);
      const apart = one.decompose();
      const mesh = one.getMesh();
      const at = (i: number): Vec3 => [0, 1, 2].map((k) => mesh.vertProperties[i * mesh.numProp + k]!) as unknown as Vec3; // prettier-ignore
      const triangles = Array.from({ length: mesh.numTri }, (_, t): Triangle => [0, 1, 2].map((k) => at(mesh.triVerts[3 * t + k]!)) as unknown as Triangle); // prettier-ignore
      for (const m of [...bodies, ...apart, one]) m.delete();
      return { triangles, pieces: apart.length };
    },
  };
}

/** Bodies that touch as one in a binary STL file, model mm; how many pieces they fall into where they are not one. */
export function weldedStl(w: Welder, bodies: readonly (readonly Vec3[])[], name: string): Uint8Array | number {
  const { triangles, pieces } = w.weld(bodies);
  return pieces === 1 ? stlBytes(triangles, name) : pieces;
}
