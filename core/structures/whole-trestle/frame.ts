import type { Frame } from "../../frame";
import { planeAt, ALIKE } from "../../geometry";
import { toModel, prototype } from "../../units";
import { builder } from "../builder";
import type { Context } from "../kind";
import { timberOf } from "../timber";
import { bentFrame } from "../trestle/frame";
import { bracing } from "./bracing";
import { bentPoint, bentRoot, bentTurn } from "./bentPlace";
import { deck } from "./deck";
import { footings } from "./footings";
import { trestleLayout, type BentPlace } from "./layout";
import type { TrestleValues } from "./parameters";
import { stringers } from "./stringers";

/**
 * The frame of a whole trestle: its bents, what ties them together along the track, stringers, ties and deck, and their
 * footings. Model mm, see `placeAt` for the axes. Errors: a bent whose posts leave no room.
 */
export function trestleFrame(v: TrestleValues, ctx: Context): Frame {
  const l = trestleLayout(v, ctx);
  const b = builder(ctx.structure);
  for (const at of l.bents) {
    const frame = oneBent(v, ctx, at);
    b.members.push(...frame.members);
    b.joints.push(...frame.joints);
    b.datums[`bent${at.number}`] = planeAt(at.deck, at.place.along);
  }
  footings(b, v, ctx, l);
  bracing(b, v, ctx, l);
  if (v.stringers) stringers(b, v, ctx, l);
  if (v.stringers && v.ties) deck(b, v, ctx, l);
  const stands = v.bentKind === "pile" ? "pile" : v.footing === "none" ? "sill" : v.footing;
  b.members.forEach((m, i) => m.role === stands && (b.members[i] = { ...m, grounded: true }));
  return b.frame();
}

/** One bent where it stands. */
export function oneBent(v: TrestleValues, ctx: Context, at: BentPlace): Frame {
  const lines = at.values.storyHeights.reduce((s, h) => s + h, 0);
  const lowest = at.values.height - lines;
  const lift = v.swayStep > 0 ? lowest - Math.floor(lowest / v.swayStep + ALIKE) * v.swayStep : 0;
  const pile = v.bentKind === "pile" ? timberOf(v.pileSize, ctx.stock(v.pileSize)) : undefined;
  return bentFrame(at.values, ctx, {
    root: bentRoot(ctx.structure, at),
    place: bentPoint(at),
    turn: bentTurn(at),
    capTilt: at.capTilt,
    lowestSwayLift: toModel(ctx.scale, prototype(lift)),
    lowStoriesBare: true,
    ...(pile ? { ground: (y: number) => at.groundZ - at.cap[2] + (y * v.crossfall) / 100 } : {}),
    ...(pile?.round ? { pile: { diameter: pile.v, stock: pile.round } } : {}),
  });
}
