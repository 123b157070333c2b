import { loadWelder, weldedStl } from "core/drawing/welded";
import type { Vec3 } from "core/geometry";

/** Welds bodies into one solid. `wasm` is where a browser finds the library of solids. */
export const welder = (wasm?: string) => ({
  /** Convex bodies by their corners as one STL file, or in how many bodies they fall. */
  async stl(
    bodies: readonly (readonly Vec3[])[],
    name: string,
  ): Promise<{ readonly bytes?: Uint8Array; readonly bodies: number }> {
    // prettier-ignore
    const got = weldedStl(await loadWelder(wasm === undefined ? undefined : () => wasm), bodies, name);
    return typeof got === "number" ? { bodies: got } : { bytes: got, bodies: 1 };
  },
});
export type StlWelder = ReturnType<typeof welder>;
