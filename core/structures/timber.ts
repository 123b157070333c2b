import { ALIKE } from "../geometry";
import { laminated, single, type Component } from "../frame";
import { parseNominal, type Match } from "../lumber";
import type { Model } from "../units";

/** What a member of an elevation looks like across its length, model mm: v lies in the elevation's plane, w across it. */
export interface Timber {
  readonly v: Model;
  readonly w: Model;
  readonly components: readonly Component[];
  readonly nominal: readonly [number, number];
  /** The stock of a round; v and w are its diameter. */
  readonly round?: string;
}

/** A nominal size as its stock makes it: the width shows in the elevation, or with `flat` the thickness; of two glued plies, the side that is twice a stick's is the one split. */
export function timberOf(name: string, m: Match, flat = false): Timber {
  let made = known.get(m);
  if (!made) known.set(m, (made = new Map()));
  const key = flat ? `${name} flat` : name;
  let timber = made.get(key);
  if (!timber) made.set(key, (timber = makeTimber(name, m, flat)));
  return timber;
}
const known = new WeakMap<Match, Map<string, Timber>>();

function makeTimber(name: string, m: Match, flat: boolean): Timber {
  const n = parseNominal(name)!;
  const nominal = [n.thickness, n.width] as const;
  if (n.round) {
    const d = m.section.width;
    return { v: d, w: d, components: single(d, d, m.item.id), nominal, round: m.item.id };
  }
  const [v, w] = flat ? [m.section.thickness, m.section.width] : [m.section.width, m.section.thickness];
  const doubled = 2 * (m.along === "thickness" ? m.item.thickness : m.item.width);
  const split = Math.abs(w - doubled) < ALIKE ? "w" : "v";
  const profile = m.item.profile && m.plies === 1 ? { ...m.item.profile, deep: flat ? ("w" as const) : ("v" as const) } : undefined; // prettier-ignore
  const components = m.plies === 1 ? single(v, w, m.item.id, profile) : laminated(v, w, 2, split, m.item.id);
  return { v, w, components, nominal };
}
