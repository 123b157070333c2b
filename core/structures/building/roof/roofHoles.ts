import type { Joint, Member } from "../../../frame";
import { normalize, planeAt, type Vec3, NEAR } from "../../../geometry";
import type { Builder } from "../../builder";
import { dormerOpenings } from "./dormer";
import { onFacet } from "./facets";
import { rootOf, type BuildingLayout, type Part, type Side, type Slope } from "../plan/layout";
import { sideName } from "../plan/sides";
import { inverse, placed } from "../../place";
import { alongOf, planeZ, sideFace, slopePlane } from "./slopes";

/** An opening through a slope of the main part: along the eave to the right as seen from outside, and inward of the wall, level. Model mm. */
export interface RoofHole {
  readonly name: string;
  readonly side: Side;
  readonly x: readonly [number, number];
  readonly inward: readonly [number, number];
}
/** The chimneys and stacks of the main part, on the slopes that it has. */
export function roofHolesOf(l: BuildingLayout): RoofHole[] {
  const { main, mm, v } = l;
  return v.roofHoles.flatMap((h, i): RoofHole[] => {
    const side = (["S", "E", "N", "W"] as const).find((s) => sideName(main.place, s) === h.side)!;
    if (!main.slopes[side]) return [];
    const long = side === "S" || side === "N" ? main.p[1] - main.p[0] : main.q[1] - main.q[0];
    const x = mm(h.at) - long / 2;
    const [w, d] = [mm(h.width) / 2, mm(h.length) / 2];
    return [{ name: `chimney${i + 1}`, side, x: [x - w, x + w], inward: [mm(h.inward) - d, mm(h.inward) + d] }];
  });
}
/** Every opening that rafters are headed off for: chimneys, and what lies under dormers. */
export const headedHoles = (l: BuildingLayout): RoofHole[] => [...roofHolesOf(l), ...dormerOpenings(l)];
const signOf = (side: Side): 1 | -1 => (side === "S" || side === "E" ? 1 : -1);

/** Cuts the rafters in the way of each opening and heads them off between those that run on. Errors: an opening that leaves no rafter beside it. */
export function headOff(b: Builder, l: BuildingLayout): void {
  const { main, t } = l;
  const local = placed(b, main.place);
  for (const h of headedHoles(l)) {
    const s = main.slopes[h.side]!;
    const sign = signOf(h.side);
    const prefix = `${rootOf(l, main.name)}/roof/${h.side}/`;
    const half = t.rafter.w / 2;
    const own = b.members
      .filter(
        (m) =>
          m.id.startsWith(prefix) && /rafter/.test(m.role) && m.role !== "barge rafter" && m.body.shape === "straight",
      )
      .map((m) => ({ m, ...runOf(m, main, h.side) }))
      .map((r) => ({ ...r, x: sign * r.at }))
      .sort((p, q) => p.x - q.x);
    const header = t.rafter.w * Math.hypot(1, s.k);
    const spans = (r: (typeof own)[number]): boolean => r.from < h.inward[0] - header && r.to > h.inward[1] + header;
    const inWay = own.filter((r) => r.x + half > h.x[0] + NEAR && r.x - half < h.x[1] - NEAR);
    const before = own.filter((r) => r.x + half <= h.x[0] + NEAR && spans(r)).pop();
    const after = own.find((r) => r.x - half >= h.x[1] - NEAR && spans(r));
    if (!before || !after || !inWay.every(spans))
      throw new Error(
        `The ${h.name.replace(/(\d+)/, " $1")} has no rafters beside it that run on past it: move it away from gable, eave, ridge and hips.`,
      );
    if (inWay.length === 0 && !h.name.startsWith("dormer")) continue;
    const n = slopePlane(main, s).n;
    const at = (x: number, inward: number): Vec3 => onFacet(main, s, x, inward);
    const heads = ([0, 1] as const).map((k) => {
      const id = `${prefix}${h.name}-header${k + 1}`;
      local.stick({
        id,
        assembly: `${rootOf(l, main.name)}/roof/slope-${h.side}`,
        role: "header",
        letter: "H",
        timber: t.rafter,
        a: at(before.x, h.inward[k]),
        b: at(after.x, h.inward[k]),
        up: n,
        // its +w looks down the slope
        seat: ["+", k === 0 ? "-" : "+"],
      });
      b.join({
        kind: "butt",
        id: `${id}>left`,
        a: id,
        end: 0,
        b: before.m.id,
        face: sideFace(h.side, sign > 0),
        contact: "face",
      });
      b.join({
        kind: "butt",
        id: `${id}>right`,
        a: id,
        end: 1,
        b: after.m.id,
        face: sideFace(h.side, sign < 0),
        contact: "face",
      });
      return id;
    });
    const crossing = b.members.filter((x) => x.role === "collar tie" && crosses(x, s, h));
    for (const { m } of inWay) {
      const upper = `${m.id}-over`;
      b.members.push({ ...m, id: upper });
      // what finishes its upper end, or laps on it over the opening, goes with the upper part
      b.joints.forEach((j, i) => (b.joints[i] = retarget(j, m.id, upper)));
      b.join({ kind: "butt", id: `${m.id}>header`, a: m.id, end: 1, b: heads[0]!, face: "+w", contact: "face" });
      b.join({ kind: "butt", id: `${upper}>header`, a: upper, end: 0, b: heads[1]!, face: "-w", contact: "face" });
      // a collar tie that would cross the opening has nothing to lap on
      const near = new Set([m.id, upper, before.m.id, after.m.id]);
      const held = new Set(b.joints.flatMap((j) => (j.kind === "lap" && near.has(j.b) ? [j.a] : [])));
      const lost = crossing.filter((x) => held.has(x.id) && b.members.includes(x));
      for (const x of lost) {
        b.members.splice(b.members.indexOf(x), 1);
        for (let i = b.joints.length - 1; i >= 0; i--) if (b.joints[i]!.a === x.id) b.joints.splice(i, 1);
      }
    }
  }
}
const normalOf = (part: Part, s: Slope): Vec3 => slopePlane(part, s).n;
function runOf(m: Member, part: Part, side: Side): { readonly at: number; readonly from: number; readonly to: number } {
  const body = m.body as Extract<Member["body"], { shape: "straight" }>;
  const [p, q] = [inverse(part.place, body.a), inverse(part.place, body.b)];
  const inward = (w: Vec3): number =>
    side === "S"
      ? w[1] - part.q[0]
      : side === "N"
        ? part.q[1] - w[1]
        : side === "E"
          ? part.p[1] - w[0]
          : w[0] - part.p[0];
  return { at: side === "S" || side === "N" ? p[0] : p[1], from: inward(p), to: inward(q) };
}
/** Whether a tie lies at the height of an opening. */
function crosses(tie: Member, s: Slope, h: RoofHole): boolean {
  const z = (tie.body as { a: Vec3 }).a[2];
  return z > planeZ(s, h.inward[0]) - 6 && z < planeZ(s, h.inward[1]) + 6;
}
function retarget(j: Joint, id: string, upper: string): Joint {
  if (j.a === id) {
    const far =
      (j.kind === "butt" && j.end === 1) ||
      (j.kind === "trim" && j.as === "end1") ||
      (j.kind === "mitre" && j.end === 1) ||
      (j.kind === "notch" && j.id.endsWith(">high"));
    return far ? { ...j, a: upper } : j;
  }
  if (j.kind === "mitre" && j.b === id && j.bEnd === 1) return { ...j, b: upper };
  if (j.kind === "lap" && j.b === id && /\/collar\//.test(j.a)) return { ...j, b: upper };
  // hips meet the king commons at the ridge
  if (j.kind === "butt" && j.b === id && /\/hip-/.test(j.a)) return { ...j, b: upper };
  return j;
}
/** Datums of an opening's four plumb sides. */
export function holePlanes(
  b: Builder,
  l: BuildingLayout,
  s: Slope,
  h: RoofHole,
): readonly { readonly datum: string }[] {
  const { main } = l;
  const local = placed(b, main.place);
  const e = alongOf(h.side);
  const root = `${rootOf(l, main.name)}/${h.name}`;
  const inward: Vec3 = normalize([normalOf(main, s)[0], normalOf(main, s)[1], 0]);
  const put = (name: string, at: Vec3, n: Vec3): { datum: string } => ({
    datum: local.datum(`${root}-${name}`, planeAt(at, n)),
  });
  return [
    put("left", onFacet(main, s, h.x[0], 0), [-e[0], -e[1], 0]),
    put("right", onFacet(main, s, h.x[1], 0), e),
    // the slope's normal leans out over the eave
    put("low", onFacet(main, s, 0, h.inward[0]), inward),
    put("high", onFacet(main, s, 0, h.inward[1]), [-inward[0], -inward[1], 0]),
  ];
}
