import { hull, type Vec2, ALIKE } from "../../../geometry";
import type { Gable } from "./gableStuds";
import { panel } from "../roof/panel";
import { rectangleHole } from "../../panel";
import { type RoofKit, plateId } from "../roof/slopes";
import { interruptionsOf } from "../roof/valley";
import { TOP, touching } from "./wallKit";

/**
 * The sheet of a gable whose framing nobody sees, over the end wall's plate: flush with the outside, up to the
 * undersides of the end rafters, round the ridge board.
 */
export function gableSheet(k: RoofKit, { wall, rafters, ridge, peakQ }: Gable): void {
  const { b, l, part } = k;
  const thickness = Math.min(l.v.roofSheet, l.wall, l.t.rafter.w);
  const half = l.t.ridge.w / 2;
  const top =
    ridge === undefined
      ? Infinity
      : Math.min(...rafters.flatMap((r) => [r.under(peakQ - half), r.under(peakQ + half)]));
  const under = (q: number): number => Math.min(top, ...rafters.map((r) => r.under(q)));
  // where the roof's line breaks: at its foot over the walls' insides, at the ridge board, where two rafters meet
  const side = wall.side as "E" | "W";
  // a flush wing's valley comes down through the corner
  const valley = thickness + l.t.hip.w * Math.SQRT1_2 + 0.05;
  const inset = (eave: "S" | "N"): number =>
    part === l.main && interruptionsOf(l).some((i) => i.flush === side && i.side === eave)
      ? Math.max(l.wall, valley)
      : l.wall;
  const [q0, q1] = [part.q[0] + inset("S"), part.q[1] - inset("N")];
  const lines = [...rafters.map((r) => r.under), () => wall.top, ...(ridge === undefined ? [] : [() => top])];
  const breaks = lines.flatMap((f, i) =>
    lines.slice(i + 1).map((g) => {
      // two straight lines meet where their difference is nought
      const [d0, d1] = [f(q0) - g(q0), f(q1) - g(q1)];
      return Math.abs(d1 - d0) < ALIKE ? q0 : q0 + ((q1 - q0) * d0) / (d0 - d1);
    }),
  );
  const z0 = wall.top;
  const flat = (q: number, z: number): Vec2 => [side === "E" ? q - part.q[0] : part.q[1] - q, z - z0];
  const at = flat(peakQ, z0)[0];
  const slot = [at - half, at + half] as const;
  const outline = hull(
    // beside a low eave the rafters come down on the plate further in
    [q0, q1, ...breaks.filter((q) => q > q0 && q < q1)]
      .filter((q) => under(q) >= z0 - ALIKE)
      .flatMap((q) => [flat(q, z0), flat(q, Math.max(z0, under(q)))]),
    1e-7,
  );
  if (outline.length < 3) return;
  const p = side === "E" ? part.p[1] - thickness : part.p[0] + thickness;
  const id = panel(b, l, part.place, {
    id: `${l.ctx.structure}/${wall.name}/gable/sheet`,
    assembly: `${l.ctx.structure}/${wall.name}`,
    role: "gable sheet",
    letter: "WS",
    origin: [p, side === "E" ? part.q[0] : part.q[1], z0],
    u: [0, side === "E" ? 1 : -1, 0],
    v: [0, 0, 1],
    outline,
    thickness,
    // a ridge deeper than the rafters is let in
    holes: ridge !== undefined && ridge.z < top ? [rectangleHole("ridge", slot, [ridge.z - z0, top - z0 + 1])] : [],
  });
  outline.forEach((a, i) => {
    const c = outline[(i + 1) % outline.length]!;
    const edge = `e${i}` as const;
    const level = Math.abs(a[1] - c[1]) < ALIKE;
    if (level && a[1] < ALIKE) return b.join(touching(id, plateId(l, wall), edge as never, TOP));
    for (const r of rafters) b.join(touching(id, r.id, edge as never, "-v"));
    if (ridge !== undefined) b.join(touching(id, ridge.id, edge as never, "-v"));
  });
}
