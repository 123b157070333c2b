import { profileBoxes } from "../../frame";
import { MODULI, solveTruss, type Material } from "../../statics";
import type { Context } from "../kind";
import { trussLayout } from "./layout";
import type { TrussValues } from "./parameters";
import { modelOf, standsForStiffness, unitLoads } from "./statics";

/** How the model's span stands under a model train. Model mm and N/mm². */
export interface SpanCheck {
  readonly ok: true;
  /** Length of a span on the model, mm. */
  readonly span: number;
  /** On one truss, N. */
  readonly load: number;
  readonly sag: number;
  /** The span over the sag. */
  readonly sagRatio: number;
  readonly stress: number;
  readonly allowable: number;
  readonly worst: string;
  readonly material: string;
  readonly verdict: string;
}
/** Gravity, m/s². */
const G = 9.81;
/** A lift-out span that sags more than this share of its length will be seen, and wheels will feel it. Common practice. */
export const STIFF = 500;
/** Said beside every answer. */
export const SPAN_LIMITS =
  "Pinned joints, whole glue lines, straight grain and the load spread evenly are taken for granted; the floor's own stiffness, knocks and creep are not in it. Load the finished span with twice the train before it crosses an aisle. For the model alone: no guide to a real bridge.";

/** Sag and stress of one side truss under half the train's weight, by the stiffness method with the real sections and a published modulus; undefined where the truss is a mechanism. */
export function spanUnderTrain(v: TrussValues, ctx: Context): SpanCheck | undefined {
  const l = trussLayout(v, ctx);
  const t = l.topology;
  const { name, E, allowable } = MODULI[v.material as Material];
  const area = (member: string): number => {
    const role = member.split("/")[0]!;
    const chord = t.chords.find((c) => c.id === role);
    if (chord) {
      const i = chord.points.indexOf(member.slice(role.length + 1).split("-")[0]!);
      const post = chord.roles[i] === "end post" || chord.roles[i] === "rafter";
      const parts = post ? l.timbers.endPost.components : l.chord.components;
      return parts.flatMap(profileBoxes).reduce((s, c) => s + c.size[0] * c.size[1], 0);
    }
    const timber = v.kind === "plank" ? l.timbers.plank : l.timbers[role as "vertical" | "diagonal" | "counter"];
    if (!timber) return 1;
    const pairs = t.webs.find((w) => w.id === member)?.lane === 1 ? 2 : 1;
    return pairs * (timber.round ? (Math.PI / 4) * timber.v ** 2 : timber.v * timber.w);
  };
  let m = modelOf(t, (x) => E * area(x));
  const span = t.points[t.supports[1]]![0];
  // grams per 100 mm over the span, on half as many trusses
  const load = ((v.trainWeight * v.tracks * span) / 100 / 1000) * G * (v.trusses && v.position !== "roof" ? 0.5 : 1);
  const per = load / t.loaded.length;
  const under = () => solveTruss(m.truss, [unitLoads(m, t.loaded).map(([x, y]) => [x * per, y * per] as const)]);
  let solved = under();
  if ("ok" in solved && v.kind === "plank") {
    m = modelOf(t, (x) => E * area(x), true);
    solved = under();
  }
  if ("ok" in solved) return undefined;
  const r = solved[0]!;
  const sag = Math.max(...r.displacements.map((d) => -d[1]), 0);
  let [stress, worst] = [0, ""];
  m.bars.forEach((b, i) => {
    const s = Math.abs(r.forces[i]!) / area(b.member);
    if (s > stress && !standsForStiffness(b.member)) [stress, worst] = [s, b.member];
  });
  const ratio = sag > 0 ? span / sag : Infinity;
  return {
    ok: true,
    span,
    load,
    sag,
    sagRatio: ratio,
    stress,
    allowable,
    worst,
    material: name,
    verdict:
      stress > allowable
        ? "Too weak: a member is stressed beyond what the material should carry."
        : ratio < STIFF
          ? `It will be seen to sag: more than a ${STIFF}th of the span.`
          : "Stiff and strong enough under this train.",
  };
}
