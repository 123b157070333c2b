import { dot, type Vec3 } from "../geometry";
import type { Frame, Member } from "./member";

/** A frame moved as a whole. */
export function moved(f: Frame, by: Vec3): Frame {
  const p = (q: Vec3): Vec3 => [q[0] + by[0], q[1] + by[1], q[2] + by[2]];
  const body = (x: Member["body"]): Member["body"] => {
    switch (x.shape) {
      case "panel":
        return { ...x, origin: p(x.origin) };
      case "run":
        return { ...x, rings: x.rings.map((r) => ({ ...r, at: p(r.at) })) };
      default:
        return { ...x, a: p(x.a), b: p(x.b) };
    }
  };
  return {
    ...f,
    members: f.members.map((m) => ({ ...m, body: body(m.body) })),
    datums: Object.fromEntries(Object.entries(f.datums).map(([k, d]) => [k, { n: d.n, d: d.d + dot(d.n, by) }])),
  };
}
