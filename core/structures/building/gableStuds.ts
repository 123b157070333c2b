import { hull, type Vec2 } from "../../geometry";
import { type Wall } from "./layout";
import { hasTrusses } from "./nominal";
import { panel, rectangleHole } from "./panel";
import { onCentres } from "./sides";
import { type RoofKit, plateId } from "./slopes";
import { purlinsInGable } from "./trusses";
import { TOP, buttJoint, touching } from "./wallKit";

/** A rafter of a gable's end as the studs under it meet it. */
export interface EndRafter {
  readonly id: string;
  readonly q: readonly [number, number];
  readonly under: (q: number) => number;
}

/** A ridge board as what stands under it meets it. */
export interface RidgeEnd {
  readonly id: string;
  /** Its underside. */
  readonly z: number;
}

/** Studs of a gable over the end wall's plate, flat under the end rafters. */
export function gableStuds(
  k: RoofKit,
  wall: Wall,
  rafters: readonly EndRafter[],
  ridge: RidgeEnd | undefined,
  peakQ: number,
): void {
  const { b, l, part } = k;
  if (!wall.seen && !hasTrusses(l.v) && rafters.length > 0) return gableSheet(k, wall, rafters, ridge, peakQ);
  const stud = l.v.framing === "posts" ? l.t.girt : l.t.stud;
  const side = wall.side as "E" | "W";
  const plate = plateId(l, wall);
  const z0 = wall.top;
  const spacing = l.v.framing === "posts" ? l.v.bay / 2 : l.v.studSpacing;
  const places = new Set([
    ...onCentres(wall.length, l.mm(spacing), l.v.studFrom),
    ...(ridge ? [side === "E" ? peakQ - part.q[0] : part.q[1] - peakQ] : []),
  ]);
  const taken: number[] = [];
  const purlins = stud.w + l.t.stud.w > l.wall - 1e-6 ? purlinsInGable(k) : [];
  for (const s of [...places].reverse()) {
    if (taken.some((x) => Math.abs(x - s) < stud.v + 0.2)) continue;
    const q = side === "E" ? part.q[0] + s : part.q[1] - s;
    const [lo, hi] = [q - stud.v / 2, q + stud.v / 2];
    if (purlins.some(([from, to]) => lo < to && hi > from)) continue;
    if (lo < part.q[0] + l.wall || hi > part.q[1] - l.wall) continue;
    // where two slopes break, their undersides meet beside the line of the break
    const aside = part.roof === "gambrel" ? l.t.rafter.v : 0;
    const met = rafters.filter((r) => r.q[1] + aside > lo + 1e-6 && r.q[0] - aside < hi - 1e-6);
    if (met.length === 0) continue;
    const least = Math.min(...met.flatMap((r) => [r.under(lo), r.under(hi)]));
    if (least - z0 < stud.v) continue;
    const id = `${k.l.ctx.structure}/${wall.name}/gable/${Math.round(s / l.mm(25.4))}`;
    const depth = stud.w / 2;
    const p = side === "E" ? part.p[1] - depth : part.p[0] + depth;
    b.stick({
      id,
      assembly: `${k.l.ctx.structure}/${wall.name}`,
      role: "gable stud",
      letter: "GS",
      timber: stud,
      a: [p, q, z0],
      b: [p, q, Math.max(...met.map((r) => r.under(q)))],
      up: [0, 1, 0],
    });
    b.join(buttJoint(id, 0, plate, TOP, stud.w <= l.wall + 1e-6 ? "face" : "line"));
    const atRidge = ridge !== undefined && lo < peakQ + l.t.ridge.w / 2 && hi > peakQ - l.t.ridge.w / 2;
    const sole =
      met.length === 1 &&
      !atRidge &&
      stud.w <= l.t.rafter.w + 1e-6 &&
      lo > met[0]!.q[0] - 1e-6 &&
      hi < met[0]!.q[1] + 1e-6;
    met.forEach((r, i) => b.join({ ...buttJoint(id, 1, r.id, "-v", sole ? "face" : "gap"), id: `${id}>r${i}` }));
    if (atRidge) b.join({ ...buttJoint(id, 1, ridge.id, "-v", "gap"), id: `${id}>ridge` });
    taken.push(s);
  }
}

/**
 * The sheet of a gable whose framing nobody sees, over the end wall's plate: flush with the outside, up to the
 * undersides of the end rafters, round the ridge board.
 */
function gableSheet(
  k: RoofKit,
  wall: Wall,
  rafters: readonly EndRafter[],
  ridge: RidgeEnd | undefined,
  peakQ: number,
): void {
  const { b, l, part } = k;
  const thickness = Math.min(l.v.roofSheet, l.wall, l.t.rafter.w);
  const half = l.t.ridge.w / 2;
  const top =
    ridge === undefined
      ? Infinity
      : Math.min(...rafters.flatMap((r) => [r.under(peakQ - half), r.under(peakQ + half)]));
  const under = (q: number): number => Math.min(top, ...rafters.map((r) => r.under(q)));
  // where the roof's line breaks: at its foot over the walls' insides, at the ridge board, where two rafters meet
  const [q0, q1] = [part.q[0] + l.wall, part.q[1] - l.wall];
  const lines = [...rafters.map((r) => r.under), () => wall.top, ...(ridge === undefined ? [] : [() => top])];
  const breaks = lines.flatMap((f, i) =>
    lines.slice(i + 1).map((g) => {
      // two straight lines meet where their difference is nought
      const [d0, d1] = [f(q0) - g(q0), f(q1) - g(q1)];
      return Math.abs(d1 - d0) < 1e-9 ? q0 : q0 + ((q1 - q0) * d0) / (d0 - d1);
    }),
  );
  const side = wall.side as "E" | "W";
  const z0 = wall.top;
  const flat = (q: number, z: number): Vec2 => [side === "E" ? q - part.q[0] : part.q[1] - q, z - z0];
  const at = flat(peakQ, z0)[0];
  const slot = [at - half, at + half] as const;
  const outline = hull(
    // beside a low eave the rafters come down on the plate further in
    [q0, q1, ...breaks.filter((q) => q > q0 && q < q1)]
      .filter((q) => under(q) >= z0 - 1e-9)
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
    const level = Math.abs(a[1] - c[1]) < 1e-9;
    if (level && a[1] < 1e-9) return b.join(touching(id, plateId(l, wall), edge as never, TOP));
    for (const r of rafters) b.join(touching(id, r.id, edge as never, "-v"));
    if (ridge !== undefined) b.join(touching(id, ridge.id, edge as never, "-v"));
  });
}
