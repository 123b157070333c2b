import { nominalMm } from "../../../lumber";
import type { Frame, Member } from "../../../frame";
import { dot, type Vec3 } from "../../../geometry";
import { feet, prototype } from "../../../units";
import type { Builder } from "../../builder";
import { defaultsOf } from "../../spec";
import { trestleCheck } from "../../whole-trestle/check";
import { trestleFrame } from "../../whole-trestle/frame";
import { trestleLayout } from "../../whole-trestle/layout";
import { trestleSpec, type TrestleValues } from "../../whole-trestle/parameters";
import { rootOf, type BuildingLayout } from "../plan/layout";
import type { BuildingValues } from "../parameters";

/** The bents of a heavy stand as a trestle's: as many as asked for, their caps as long as the floor is wide, the outer ones flush with its ends. */
export function standValues(v: BuildingValues): TrestleValues {
  const cap = nominalMm(v.standCap);
  const n = v.standBents;
  const bay = (v.length - cap.thickness) / (n - 1);
  const post = nominalMm(v.standPost);
  // outer posts half a foot in from the ends of the caps, the others evenly between
  const outer = v.width - post.thickness - feet(1);
  const gap = outer / (v.standPosts - 1);
  return {
    ...defaultsOf(trestleSpec),
    bentSet: "each",
    bays: Array.from({ length: n - 1 }, () => bay),
    groundBy: "heights",
    heights: Array.from({ length: n }, () => v.standHeight),
    posts: v.standPosts,
    spacings: [gap, gap, gap],
    batters: [v.standBatter, v.standPosts > 4 ? v.standBatter / 2 : 0, 0],
    capSet: "length",
    capLength: v.width,
    cap: v.standCap,
    post: v.standPost,
    sill: v.standCap,
    middleSill: v.standCap,
    swayBrace: v.standBrace,
    brace: v.standBrace,
    girt: v.standGirt,
    topStory: v.standStory,
    story: v.standStory,
    leastStory: prototype(v.standStory / 2),
    footing: v.standFooting,
    girts: "outer",
    braces: "every",
    braceFaces: "outside",
    stringers: false,
    ties: false,
    bulkheads: false,
  };
}
/** Why a stand cannot be framed, in the words of its bents. */
export const standFaults = (v: BuildingValues): string[] => trestleCheck(standValues(v)).map((s) => `Stand: ${s}`);

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
