import { NEAR } from "../../geometry";
import type { Face, Joint, Member } from "../../frame";
import type { Vec2, Vec3 } from "../../geometry";
import { prototype, toModel } from "../../units";
import type { Context } from "../kind";
import { timberOf } from "../timber";
import type { Elevation } from "./frame";
import { drawnId, pathAt } from "./ids";
import { axesOfBar, lengthOf, type Bar } from "./layout";
import { letterOf, type TracedParams } from "./parameters";

export interface CrossMember {
  readonly member: Member;
  readonly joints: readonly Joint[];
}
/** How far beside a stick's end a cross member may still lie on it, model mm. */
const SLACK = NEAR;

/**
 * Members that run across the places, model mm: lapped on the side of a member at every place, or butted between the
 * same member of two places. Where the elevation is mirrored, so are they. Errors: a member that is not there, a place
 * along it that it does not reach.
 */
export function crossMembers(p: TracedParams, ctx: Context, lay: Elevation, places: readonly number[]): CrossMember[] {
  const mm = (n: number): number => toModel(ctx.scale, prototype(n));
  const name = (place: number, id: string): string => `${ctx.structure}/${pathAt(place, places.length, id)}`;
  return p.crosses.flatMap((c): CrossMember[] => {
    const trace = p.members.find((t) => t.id === c.on);
    if (!trace) throw new Error(`The ${c.role} “${c.id}” lies on a member that is not there any more; choose another.`);
    const timber = timberOf(c.section, ctx.stock(c.section), c.flat);
    const whole = lay.bars.filter((b) => drawnId(b.id) === c.on);
    const along = mm(c.at);
    const out: CrossMember[] = [];
    const twins = [...new Set(whole.map((b) => b.id.replace(/\/\d+$/, "")))];
    for (const twin of twins) {
      const stick = stickAt(
        whole.filter((b) => b.id.replace(/\/\d+$/, "") === twin),
        along,
      );
      if (!stick)
        throw new Error(`The ${c.role} “${c.id}” lies past the end of the ${trace.role} it is on; move it along.`);
      const mirrored = twin !== c.on;
      const id = `${c.id}${mirrored ? "-mirrored" : ""}`;
      const { bar, at } = stick;
      const { u, left } = axesOfBar(bar);
      // a twin is drawn the same way, so its left is the other's right
      const sign = (c.side === "left") === !mirrored ? 1 : -1;
      const up: Vec2 = [sign * left[0], sign * left[1]];
      const foot: Vec2 = [bar.a[0] + at * u[0], bar.a[1] + at * u[1]];
      const lift = c.run === "through" ? bar.timber.v / 2 : 0;
      const depth = lay.depth.get(bar.id)!;
      const point = (x: number): Vec3 => [x, foot[0] + lift * up[0], foot[1] + lift * up[1]];
      const member = (path: string, x0: number, x1: number, ends: Member["ends"]): Member => ({
        id: `${ctx.structure}/${path}`,
        structure: ctx.structure,
        assembly: `${ctx.structure}/across`,
        role: c.role,
        letter: letterOf(c.role),
        kind: "strip",
        nominal: timber.nominal,
        body: {
          shape: "straight",
          a: point(x0),
          b: point(x1),
          up: [0, up[0], up[1]],
          seat: [c.run === "through" ? "-" : "centre", "centre"],
          components: timber.components,
        },
        ends,
      });
      const half = bar.timber.w / 2;
      if (c.run === "through") {
        const square = { kind: "square", beyond: 0 } as const;
        const past = half + mm(c.overhang);
        const [first, last] = [mm(places[0]!) + depth - past, mm(places[places.length - 1]!) + depth + past];
        const m = member(`across/${id}`, first, last, [square, square]);
        const bFace: Face = sign > 0 ? "+v" : "-v";
        out.push({
          member: m,
          joints: places.map((_, i): Joint => ({
            kind: "lap",
            id: `${m.id}>${i + 1}`,
            a: m.id,
            b: name(i, bar.id),
            aFace: "-v",
            bFace,
            contact: "face",
          })),
        });
      } else
        places.slice(1).forEach((x, i) => {
          const m = member(`across/${id}/bay${i + 1}`, mm(places[i]!) + depth + half, mm(x) + depth - half, [
            undefined,
            undefined,
          ]);
          const butt = (end: 0 | 1, place: number, face: Face): Joint => ({
            kind: "butt",
            id: `${m.id}>${place + 1}`,
            a: m.id,
            end,
            b: name(place, bar.id),
            face,
            contact: "face",
          });
          out.push({ member: m, joints: [butt(0, i, "+w"), butt(1, i + 1, "-w")] });
        });
    }
    return out;
  });
}

/** The stick of a member, of those it was cut into, that reaches a station along it, and the station on that stick. */
function stickAt(sticks: readonly Bar[], along: number): { readonly bar: Bar; readonly at: number } | undefined {
  let from = 0;
  for (const bar of sticks) {
    const l = lengthOf(bar);
    if (along >= from - SLACK && along <= from + l + SLACK) return { bar, at: along - from };
    from += l;
  }
  return undefined;
}
