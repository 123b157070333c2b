import { NEAR, type Vec3 } from "../geometry";
import { fromLocal, toLocal } from "./axes";
import type { Resolved } from "./resolve";

/**
 * The lines of a textured panel as they are left on its finished face, model mm in space: each from edge to edge, parted by
 * holes and cuts. None for a panel that has no texture.
 */
export function textureLines(s: Resolved): (readonly [Vec3, Vec3])[] {
  const { body } = s.member;
  if (body.shape !== "panel" || !body.texture) return [];
  const { across, pitch, first } = body.texture;
  const [i, k] = across === "u" ? [0, 1] : [1, 0];
  const spans = new Map<number, (readonly [number, number])[]>();
  for (const part of s.parts) {
    const face = part.faces.find((f) => f.tag === "+w");
    if (!face) continue;
    const corners = face.corners.map((c) => toLocal(s.axes, c));
    const along = corners.map((c) => c[i]!);
    const from = Math.ceil((Math.min(...along) - first + NEAR) / pitch);
    const to = Math.floor((Math.max(...along) - first - NEAR) / pitch);
    for (let n = from; n <= to; n++) {
      const at = first + n * pitch;
      const met: number[] = [];
      corners.forEach((a, c) => {
        const b = corners[(c + 1) % corners.length]!;
        if (a[i]! > at !== b[i]! > at) met.push(a[k]! + ((at - a[i]!) / (b[i]! - a[i]!)) * (b[k]! - a[k]!));
      });
      if (met.length === 2) spans.set(n, [...(spans.get(n) ?? []), [Math.min(...met), Math.max(...met)]]);
    }
  }
  const put = (at: number, other: number): Vec3 =>
    fromLocal(s.axes, i === 0 ? [at, other, body.thickness] : [other, at, body.thickness]);
  return [...spans].flatMap(([n, all]) => {
    const at = first + n * pitch;
    const joined: [number, number][] = [];
    // parts of a cut panel meet: a line runs on through their seam
    for (const [a, b] of [...all].sort((x, y) => x[0] - y[0])) {
      const last = joined.at(-1);
      if (last && a <= last[1] + NEAR) last[1] = Math.max(last[1], b);
      else joined.push([a, b]);
    }
    return joined.map(([a, b]) => [put(at, a), put(at, b)] as const);
  });
}
