import { NEAR } from "../../geometry";
import { feet, prototype } from "../../units";
import type { Builder } from "../builder";
import type { Context } from "../kind";
import { defaultsOf } from "../spec";
import { timberOf } from "../timber";
import { bentFrame } from "../trestle/frame";
import { bentSpec, type BentValues } from "../trestle/parameters";
import type { TrussLayout } from "./layout";
import { chordSeat, type SideTruss } from "./sideTruss";
import type { TrussValues } from "./parameters";

/** Bearing blocks under each bearing, and framed bents under them as piers. */
export function piersAndBlocks(
  b: Builder,
  v: TrussValues,
  ctx: Context,
  l: TrussLayout,
  trusses: readonly SideTruss[],
): void {
  const block = timberOf(v.block, ctx.stock(v.block));
  const lattice = v.kind === "plank";
  const supported = v.kind !== "scissors" && v.kind !== "fink";
  if (!v.blocks || !supported) return;
  const under = l.chord.v / 2;
  for (const t of trusses)
    for (const [end, s] of l.topology.supports.entries()) {
      const x = l.topology.points[s]![0] + (end === 0 ? -1 : 1) * l.bearing.aside;
      const seat = chordSeat(l, t, l.bearing.chord, x, block.w, -1);
      const z = seat.z + under;
      const id = `${t.place.root}/block/${s}`;
      const half =
        (lattice ? l.chord.w + 2 * l.timbers.plank.w : l.chord.w) / 2 + (lattice ? l.chord.w / 2 : 0) + l.mm(152.4);
      b.stick({
        id,
        assembly: t.place.root,
        role: "bearing block",
        letter: "K",
        timber: block,
        a: t.place.at(x, -half, z - under),
        b: t.place.at(x, half, z - under),
        up: t.place.turn([0, 0, 1]),
        seat: ["+", "centre"],
        square: true,
      });
      for (const c of seat.on)
        b.join({
          kind: "lap",
          id: `${id}>${c.slice(t.place.root.length + 1)}`,
          a: id,
          b: c,
          aFace: "+v",
          bFace: "-v",
          // a block may reach past a chord that ends short
          contact:
            v.chordShape !== "plies" || v.packing > 0 || v.camber > 0 || block.w / 2 > l.mm(v.chordEnd) + NEAR
              ? "line"
              : "face",
        });
    }
  if (v.piers === "none" || v.position === "roof" || trusses.length === 0) return;
  l.starts.forEach((_, i) => {
    const pair = trusses.filter((t) => t.place.span === i + 1);
    const mid = pair.reduce((s, t) => s + t.place.y, 0) / pair.length;
    l.topology.supports.forEach((s, end) => {
      const outermost = (i === 0 && end === 0) || (i === l.starts.length - 1 && end === 1);
      if (outermost && v.piers === "between") return;
      const x = l.topology.points[s]![0] + (end === 0 ? -1 : 1) * l.bearing.aside;
      const z = chordSeat(l, pair[0]!, l.bearing.chord, x, block.w, -1).z + under;
      const top = pair[0]!.place.at(
        x,
        mid - pair[0]!.place.y,
        z - under - block.v - (Math.abs(v.grade) / 200) * block.w,
      );
      const wide = (pair.length > 1 ? v.apart : 0) + feet(6);
      const values = {
        ...defaultsOf(bentSpec),
        height: v.pierHeight,
        stories: v.pierHeight > feet(24) ? 2 : 1,
        storyHeights: [v.pierHeight / 2, feet(15), feet(15)],
        spacings: [wide / 4, wide / 4, feet(3)],
        batters: [2, 0.5, 0],
        capSet: "overhang",
        capOverhang: prototype(Math.max(feet(1), wide * 0.1)),
      } as unknown as BentValues;
      const root = `${ctx.structure}/pier${i + 1}${end === 0 ? "a" : "b"}`;
      const frame = bentFrame(values, ctx, {
        root,
        place: (p) => [top[0] + p[0], top[1] + p[1], top[2] + p[2]],
        turn: (d) => d,
        capTilt: 0,
        lowestSwayLift: 0,
        lowStoriesBare: true,
      });
      b.members.push(...(i > 0 ? frame.members.map((m) => ({ ...m, loose: true })) : frame.members));
      b.joints.push(...frame.joints);
      for (const t of pair) {
        const id = `${t.place.root}/block/${s}`;
        b.join({
          kind: "bearing",
          id: `${id}>cap`,
          a: id,
          b: `${root}/cap`,
          aFace: "-v",
          bFace: "+v",
          contact: "line",
        });
      }
    });
  });
}
