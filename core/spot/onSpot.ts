import { clearAlong, roomBetween } from "../geometry/convexRoom";
import type { Vec2 } from "../geometry";
import { spotOf, type Design, type ThingKind } from "../job";
import { directionIn, standing } from "../site";
import { blocksOfStanding, thingBlocks, within } from "../trains";
import { inNobodysWay, sidesOf } from "./obstacles";

/** A structure that reaches over the edge of its spot, or stands in something on it: by how much, and the move that cures it, where one does. Model mm. */
export interface OffSpot {
  readonly structure: string;
  readonly what: "edge" | "thing";
  /** The edge, or the thing by its id, name and kind. */
  readonly edge?: "left" | "right" | "front" | "back";
  readonly thing?: { readonly id: string; readonly name: string; readonly kind: ThingKind };
  /** What of the structure is in it the deepest. */
  readonly part?: string;
  readonly by: number;
  readonly move?: Vec2;
}
/** What is less is not told, model mm. */
const HAIR = 0.1;

/** What of the structures on the plan is off the spot or in what is on it. */
export function offSpot(d: Design): OffSpot[] {
  const sides = sidesOf(d);
  const things = spotOf(d.doc).things.filter((t) => !inNobodysWay(t.kind));
  return standing(d).flatMap((s): OffSpot[] => {
    const structure = s.design.structure.id;
    const out: OffSpot[] = [];
    const over = ([0, 1] as const).map((k) => [-sides[k] - s.min[k], s.max[k] - sides[k]] as const);
    // a move along the axis on which it is over, where the structure is no larger than the spot
    const move = over.map(([low, high], k) => (low + high > HAIR ? undefined : low > 0 ? low : high > 0 ? -Math.min(high, sides[k]! + s.min[k]!) : 0)); // prettier-ignore
    const [edge, by] = ([["left", over[0]![0]], ["right", over[0]![1]], ["front", over[1]![0]], ["back", over[1]![1]]] as const).reduce((a, b) => (b[1] > a[1] ? b : a)); // prettier-ignore
    if (by > HAIR) out.push({ structure, what: "edge", edge, by, ...(move[0] !== undefined && move[1] !== undefined ? { move: [move[0], move[1]] as const } : {}) }); // prettier-ignore
    const blocks = things.length > 0 ? blocksOfStanding(s) : [];
    for (const t of things) {
      // of each part what of the structure is at its heights
      const pairs = thingBlocks(t).flatMap((box) => blocks.flatMap((b) => { const part = within(b, box.low + HAIR, box.high - HAIR); return part && part.ring.length >= 3 ? [{ pair: [box.ring, part.ring] as const, name: part.name, depth: -roomBetween(part.ring, box.ring) }] : []; })); // prettier-ignore
      const deepest = pairs.reduce((a, h) => (h.depth > a.depth ? h : a), { depth: 0, name: "" });
      if (deepest.depth <= HAIR) continue;
      const ways = ([[1, 0], [-1, 0], [0, 1], [0, -1]] as const).map((w) => { const e = directionIn({ x: 0, y: 0, z: 0, turn: t.turn }, [w[0], w[1], 0]); const v: Vec2 = [e[0], e[1]]; const far = clearAlong(pairs.map((p) => p.pair), v); return [v[0] * far, v[1] * far] as Vec2; }); // prettier-ignore
      const stays = (m: Vec2): boolean => ([0, 1] as const).every((k) => s.min[k] + m[k] >= -sides[k] - HAIR && s.max[k] + m[k] <= sides[k] + HAIR); // prettier-ignore
      const least = (all: readonly Vec2[]): Vec2 | undefined => [...all].sort((a, b) => Math.hypot(...a) - Math.hypot(...b))[0]; // prettier-ignore
      out.push({ structure, what: "thing", thing: { id: t.id, name: t.name, kind: t.kind }, part: deepest.name, by: deepest.depth, move: least(ways.filter(stays)) ?? least(ways)! }); // prettier-ignore
    }
    return out;
  });
}
