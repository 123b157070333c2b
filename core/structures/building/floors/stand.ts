import { moved } from "../../../frame";
import type { Vec3 } from "../../../geometry";
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
