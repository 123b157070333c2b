import type { Face } from "../../../frame";
import { planeAt, type Vec3, NEAR } from "../../../geometry";
import { clearInside, onWall } from "../plan/sides";
import { buttJoint, INNER, LEFT, RIGHT, UNDER, type Upright, type WallKit, touching } from "./wallKit";

/** Knees between posts and plate, where bays and openings leave them room. */
export function kneeBraces(k: WallKit, full: readonly Upright[], plate: string, under: number, reach: number): void {
  const { b, l, w } = k;
  const t = l.t.knee;
  const room = reach + t.v;
  // in the middle of the wall; one thicker than the posts stands proud inside, not in the cladding
  const deep = Math.max(w.thick, t.w) / 2;
  full.forEach((u, i) => {
    if (!/post/.test(u.role) || u.role === "opening post") return;
    for (const side of [1, -1] as const) {
      const next = full[i + side];
      if (!next) continue;
      const face = u.s + side * u.half;
      const gap = Math.abs(next.s - u.s) - u.half - next.half;
      if (gap < (next.role === "opening post" ? 1 : 2) * room) continue;
      const [lo, hi] = side > 0 ? [face, face + room] : [face - room, face];
      if (w.gaps.some((g) => g.to > lo && g.from < hi && g.head > under - room - l.t.girt.v)) continue;
      const id = `${k.root}/knee/${u.id.replaceAll("/", "-")}-${side > 0 ? "right" : "left"}`;
      b.stick({
        id,
        assembly: k.root,
        role: "knee brace",
        letter: "N",
        timber: t,
        a: onWall(w, face, deep, under - reach),
        b: onWall(w, face + side * reach, deep, under),
        up: [side * -w.e[0], side * -w.e[1], 1],
      });
      const fits = t.w <= Math.min(u.timber.v, w.thick) + NEAR ? "face" : "line";
      b.join(buttJoint(id, 0, `${k.root}/${u.id}`, side > 0 ? RIGHT : LEFT, fits));
      b.join(buttJoint(id, 1, plate, UNDER, fits));
    }
  });
}

/** Diagonal braces from both upper corners down towards the middle, let into the outside or laid on the inside. */
export function braces(k: WallKit, full: readonly Upright[], foot: number, under: number): void {
  const { b, l, w } = k;
  if (l.v.wallBrace === "none") return;
  const t = l.t.brace;
  const inside = l.v.wallBrace === "inside";
  if (inside) [foot, under] = [w.foot, clearInside(l, w, w.thick + t.w, under)];
  const high = under - foot;
  // the sole's top and the plate's underside cut both ends; on the inside they lie on the sole
  b.datums[`${k.root}/foot`] = planeAt(onWall(w, 0, 0, foot), [0, 0, -1]);
  b.datums[`${k.root}/head`] = planeAt(onWall(w, 0, 0, under), [0, 0, 1]);
  const lines: (readonly [number, number])[] = [];
  for (const side of ["left", "right"] as const) {
    // inside a long wall the end walls stand in its corners
    const corner = t.v + (inside ? t.w + (w.through ? w.thick : 0) : 0);
    const s0 = side === "left" ? w.from + corner : w.to - corner;
    const sign = side === "left" ? 1 : -1;
    // at 45° if there is room, else steeper
    const run = [1, 0.75, 0.577]
      .map((x) => x * high)
      .find((r) => {
        const [lo, hi] = side === "left" ? [s0 - 2 * t.v, s0 + r + 2 * t.v] : [s0 - r - 2 * t.v, s0 + 2 * t.v];
        return (
          lo > w.from - 2 * t.v &&
          hi < w.to + 2 * t.v &&
          Math.abs(r) < (w.to - w.from) / 2 - t.v &&
          !w.gaps.some((g) => g.to + 2 * l.t.stud.w > lo && g.from - 2 * l.t.stud.w < hi) &&
          !lines.some(([p, q]) => p < hi && q > lo)
        );
      });
    if (!run) continue;
    const [top, low] = [s0, s0 + sign * run];
    lines.push([Math.min(top, low), Math.max(top, low)]);
    const inward = inside ? w.thick + t.w / 2 : t.w / 2;
    const id = `${k.root}/brace/${side}`;
    b.stick({
      id,
      assembly: k.root,
      role: inside ? "brace" : "let-in brace",
      letter: "D",
      timber: t,
      a: onWall(w, low, inward, foot),
      b: onWall(w, top, inward, under),
      up: [sign * w.e[0] * high, sign * w.e[1] * high, run],
    });
    b.join({ kind: "trim", id: `${id}/foot`, a: id, datum: `${k.root}/foot`, as: "end0", contact: "gap" });
    b.join({ kind: "trim", id: `${id}/head`, a: id, datum: `${k.root}/head`, as: "end1", contact: "gap" });
    const slant = Math.hypot(run, high) / high;
    /** From where to where along the wall the brace is between two heights. */
    const reach = (z0: number, z1: number): readonly [number, number] => {
      const at = (z: number): number => low + ((top - low) * (Math.min(Math.max(z, foot), under) - foot)) / high;
      const half = (t.v / 2) * slant;
      return [Math.min(at(z0), at(z1)) - half, Math.max(at(z0), at(z1)) + half];
    };
    const crossed = full.filter((u) => {
      const [lo, hi] = reach(foot, under);
      return u.s + u.half > lo + NEAR && u.s - u.half < hi - NEAR;
    });
    // the brace's side that lies in the studs: w = u × v
    const outFace: Face = sign > 0 ? "-w" : "+w";
    const inFace: Face = sign > 0 ? "+w" : "-w";
    const seatFaces = [
      { of: id, face: "+v" },
      { of: id, face: "-v" },
      { of: id, face: inFace },
    ] as const;
    for (const u of crossed) {
      const stud = `${k.root}/${u.id}`;
      if (inside) {
        if (u.turned) continue;
        const through = u.s - u.half > Math.min(top, low) + 2.5 * t.v && u.s + u.half < Math.max(top, low) - 2.5 * t.v;
        b.join({
          kind: "lap",
          id: `${id}>${u.id}`,
          a: id,
          b: stud,
          aFace: outFace,
          bFace: INNER,
          contact: through ? "face" : "gap",
        });
      } else if (!u.turned || u.timber.w > w.thick - t.w)
        b.join({
          kind: "notch",
          id: `${stud}>${side}`,
          a: stud,
          b: id,
          contact: "face",
          faces: seatFaces,
        });
    }
    if (inside)
      for (const m of b.members.filter((x) => x.assembly === k.root && /^(sole plate|sill|top plate)$/.test(x.role)))
        b.join(touching(id, m.id, outFace, INNER));
    else
      for (const m of b.members.filter(
        (x) => x.assembly === k.root && /^(blocking|corner block|girt|knee brace)$/.test(x.role),
      )) {
        const [s0, s1, z0, z1] = extent(k, m.body as never);
        const [lo, hi] = reach(z0, z1);
        if (s1 > lo + NEAR && s0 < hi - NEAR)
          b.join({ kind: "notch", id: `${m.id}>${side}`, a: m.id, b: id, contact: "gap", faces: seatFaces });
      }
  }
}

/** From where to where a stick of a wall reaches along it and up. */
function extent(
  k: WallKit,
  m: { a: Vec3; b: Vec3; components: readonly { v: number; w: number }[] },
): readonly [number, number, number, number] {
  const at = (p: Vec3): number => (p[0] - k.w.origin[0]) * k.w.e[0] + (p[1] - k.w.origin[1]) * k.w.e[1];
  const [p, q] = [at(m.a), at(m.b)];
  const half = m.components[0]!.w / 2;
  return Math.abs(m.a[2] - m.b[2]) > NEAR
    ? [p - half, p + half, Math.min(m.a[2], m.b[2]), Math.max(m.a[2], m.b[2])]
    : [Math.min(p, q), Math.max(p, q), m.a[2] - half, m.a[2] + half];
}
