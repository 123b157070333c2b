import { dot, type Plane } from "../geometry";
import { turnLocal } from "./axes";
import { profileOf } from "./profileOf";
import type { Resolved } from "./resolve";

/** Numbers that differ by less than this are one: far below any tolerance of a cut, far above the noise of sums, mm (of unit vectors, too). */
const STEP = 1e-4;
const whole = (x: number): number => Math.round(x / STEP);

/**
 * What a stick is cut from and by, told in its own axes: two sticks of the same words are the same piece. Sticks of other
 * words may still be, turned over or end for end. Undefined for bent strips, whose cuts say too little of them.
 */
export function cutWords(s: Resolved): string | undefined {
  const { member, axes } = s;
  const body = member.body;
  if (body.shape === "run") return undefined;
  const out: (string | number)[] = [
    s.stock,
    member.letter,
    member.kind,
    member.turning ?? "",
    whole(s.size[0]),
    whole(s.size[1]),
  ];
  const local = (p: Plane): Plane => {
    const n = turnLocal(axes, p.n);
    return { n, d: p.d - dot(p.n, axes.origin) - n[1] * s.centre[0] - n[2] * s.centre[1] };
  };
  let from = 0;
  if (body.shape === "panel") {
    from = body.outline[0]![0];
    const outline = (points: typeof body.outline, bevel: readonly number[]): void => {
      out.push(points.length);
      points.forEach((p, i) => out.push(whole(p[0] - from), whole(p[1] - s.centre[0]), whole(bevel[i] ?? 0)));
    };
    out.push(whole(body.thickness));
    outline(body.outline, body.bevel);
    for (const h of body.holes) outline(h.outline, h.bevel);
    if (body.texture) {
      const { across, pitch, first } = body.texture;
      // where its lines lie from the first corner, whichever of them is named
      const off = first - (across === "u" ? from : body.outline[0]![1]);
      out.push("lines", across, whole(pitch), whole(off - Math.floor(off / pitch + STEP) * pitch));
    }
  } else {
    const profile = profileOf(s);
    // two shapes may be cut alike and show their backs to either side
    if (profile) out.push(profile.deep, profile.turned ? "turned" : "");
    const first = s.cuts.find((c) => c.as === "end0");
    if (!first) return undefined;
    const { n, d } = local(first);
    from = d / n[0];
  }
  const tell = (p: Plane): void => {
    const { n, d } = local(p);
    out.push(whole(n[0]), whole(n[1]), whole(n[2]), whole(d - n[0] * from));
  };
  for (const c of s.cuts) {
    out.push(c.as);
    tell(c);
  }
  for (const c of s.cutters) {
    out.push("out", c.planes.length);
    for (const p of c.planes) tell(p);
  }
  return out.join();
}
