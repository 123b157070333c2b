import { unpackSeen } from "core/drawing";
import type { Look, LookAt } from "core/job";
import type { Ask } from "~/workers/heldDesigns";
import { askLooker } from "./framer";

/** A picture that was asked for: on its way, and there once it has come. */
interface Held {
  readonly key: string;
  readonly coming: Promise<Look>;
  look?: Look;
}
/** How many pictures are kept: the one that is shown, the one that is being made, and one begun while a value is typed. */
const KEPT = 3;
let held: Held[] = [];
const keyOf = (ask: Ask, structure: string, at: LookAt): string =>
  [ask.n, structure, at.view, at.build ?? "", at.bare].join(" ");

/** The picture of a structure by a worker: one that was asked for before, also ahead, is not made again. */
export function lookFor(ask: Ask, structure: string, at: LookAt): Promise<Look> {
  const key = keyOf(ask, structure, at);
  const known = held.find((h) => h.key === key);
  if (known) return known.coming;
  const coming = askLooker((w) => w.look(ask, structure, at)).then(
    (l) => (h.look = { ...l, shown: unpackSeen(l.shown) }),
  );
  const h: Held = { key, coming };
  held = [h, ...held].slice(0, KEPT);
  coming.catch(() => (held = held.filter((x) => x !== h)));
  return coming;
}
/** The picture where it has come already. */
export const lookReady = (ask: Ask, structure: string, at: LookAt): Look | undefined => {
  const key = keyOf(ask, structure, at);
  return held.find((h) => h.key === key)?.look;
};
