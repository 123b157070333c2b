import { NEAR } from "../../../geometry";
import { trimmersOf } from "./dormer";
import { everyRafter } from "./formers";
import { onCentres } from "../plan/sides";
import type { RoofKit } from "./slopes";

/** The stations of rafters along p: flush with both ends, between them on centres; an open end has none. */
export function rafterStations(k: RoofKit): number[] {
  const [lo, hi] = k.part.p;
  const half = k.l.t.rafter.w / 2;
  const spacing = k.l.mm(k.l.v.rafterSpacing);
  // a gabled dormer's are laid out from its front
  if (k.part.onRoof?.ridged) {
    const out = [hi - half];
    while (out[0]! - spacing > lo) out.unshift(out[0]! - spacing);
    return out;
  }
  // two dormers opposite each other share theirs
  const trimmers = (k.part === k.l.main ? trimmersOf(k.l) : [])
    .sort((a, b) => a - b)
    .filter((x, i, all) => i === 0 || x - all[i - 1]! > NEAR);
  const clear = 2 * half + 0.2 + Math.max(k.l.t.collar.w, k.l.t.ceiling.w);
  const first = k.part.valley ? [] : [lo + half];
  const between = [
    ...trimmers,
    ...onCentres(hi - lo, spacing, "left")
      .map((s) => lo + s)
      .filter((p) => trimmers.every((x) => Math.abs(x - p) > clear)),
  ]
    .sort((a, b) => a - b)
    .filter((p) => p > lo + (first.length === 0 ? half + k.l.t.hip.w : 3 * half + 0.2) && p < hi - 3 * half - 0.2);
  // beside the gables stand those that hold the lookouts
  const every = everyRafter(k.l);
  const taken = between.filter(
    (p, i) => i === 0 || i === between.length - 1 || i % every === every - 1 || trimmers.includes(p),
  );
  return [...first, ...taken, hi - half];
}
