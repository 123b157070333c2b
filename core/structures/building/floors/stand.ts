import type { Frame, Member } from "../../../frame";
import { dot, type Vec3 } from "../../../geometry";
import type { Builder } from "../../builder";
import { trestleFrame } from "../../whole-trestle/frame";
import { trestleLayout } from "../../whole-trestle/layout";
import { rootOf, type BuildingLayout } from "../plan/layout";
import { standValues } from "./standBents";

/** The bents, girts and braces under a floor, its joists on their caps. Errors: bents whose posts leave no room. */
export function stand(b: Builder, l: BuildingLayout): void {
  const v = standValues(l.v);
  const ctx = { ...l.ctx, structure: rootOf(l, "stand") };
  const lay = trestleLayout(v, ctx);
  const first = lay.bents[0]!;
  const half = l.mm(l.v.length) / 2;
  const shift: Vec3 = [-half + lay.timbers.cap.w / 2 - first.cap[0], -first.cap[1], -l.floorDepth - first.cap[2]];
  const frame = moved(trestleFrame(v, ctx), shift);
  for (const m of frame.members) b.add({ ...m, structure: l.ctx.structure });
  for (const j of frame.joints) b.join(j);
  Object.assign(b.datums, frame.datums);
  const joists = b.members.filter((m) => m.id.startsWith(`${rootOf(l, "main")}/floor/`) && /joist/.test(m.role));
  const [, ...inner] = lay.bents;
  for (const m of joists)
    for (const bent of [first, inner[inner.length - 1]!])
      b.join({
        kind: "lap",
        id: `${m.id}>bent${bent.number}`,
        a: m.id,
        b: `${ctx.structure}/bent${bent.number}/cap`,
        aFace: "-v",
        bFace: "+v",
        contact: "gap",
      });
}
/** A frame moved as a whole. */
function moved(f: Frame, by: Vec3): Frame {
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
