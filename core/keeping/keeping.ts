import { apply, PatchError, type Patch } from "./patches";

/** A change that can be taken back and done again. */
export interface Step {
  readonly label: string;
  readonly forward: readonly Patch[];
  readonly inverse: readonly Patch[];
}
/** What a person did, waiting to be kept. `id` lets the server know one that was sent twice; `base` is the revision it was made on. */
export type Entry<E = unknown> =
  | { readonly kind: "edit"; readonly id: string; readonly base: number; readonly label: string; readonly patches: readonly Patch[] } // prettier-ignore
  | { readonly kind: "undo" | "redo"; readonly id: string; readonly base: number }
  /** Something that happened at the bench: it stands beside the design, belongs to no revision and meets no conflict. */
  | { readonly kind: "event"; readonly id: string; readonly base: number; readonly event: E };
/** A document with what can be taken back and done again, the nearest last. */
export interface Head<D> {
  readonly doc: D;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
}
/** What the server has said it keeps. `older` is how many more changes it can take back than `past` tells. */
export interface Confirmed<D, E> extends Head<D> {
  readonly revision: number;
  readonly older: number;
  readonly at: string;
  readonly events: readonly E[];
}
/** How the job in one tab stands to the one on the server. */
export interface Keeping<D, E> {
  readonly confirmed: Confirmed<D, E>;
  readonly pending: readonly Entry<E>[];
  /** Confirmed with all that is pending: what the screen shows. */
  readonly head: Head<D>;
  readonly events: readonly E[];
  /** Another tab was first: its state, until one has said what to do with one's own. */
  readonly theirs?: Confirmed<D, E>;
  /** The job was taken off the shelf. */
  readonly gone: boolean;
}

/** At most this many changes can be taken back; revisions that no undo or redo needs any more are dropped after as many. */
export const HISTORY = 200;

/** What an entry does to a document and its history. Errors: PatchError. */
export function advance<D, E>(head: Head<D>, e: Entry<E>): Head<D> {
  if (e.kind === "event") return head;
  if (e.kind === "edit") {
    const { doc, inverse } = apply(head.doc, e.patches);
    const step = { label: e.label, forward: e.patches, inverse };
    return { doc, past: [...head.past, step].slice(-HISTORY), future: [] };
  }
  const step = (e.kind === "undo" ? head.past : head.future).at(-1);
  if (!step) throw new PatchError(`There is nothing to ${e.kind}.`);
  const { doc } = apply(head.doc, e.kind === "undo" ? step.inverse : step.forward);
  return e.kind === "undo"
    ? { doc, past: head.past.slice(0, -1), future: [...head.future, step] }
    : { doc, past: [...head.past, step], future: head.future.slice(0, -1) };
}
const isDesign = (e: Entry): boolean => e.kind !== "event";
/** A keeping from what is confirmed and what waits; an entry that no longer applies is left out with those that lean on it. */
function build<D, E>(confirmed: Confirmed<D, E>, entries: readonly Entry<E>[], rest: Partial<Keeping<D, E>> = {}): Keeping<D, E> {
  let head: Head<D> = confirmed;
  const pending: Entry<E>[] = [];
  for (const e of entries) {
    try {
      head = advance(head, e);
    } catch (x) {
      if (x instanceof PatchError) continue;
      throw x;
    }
    pending.push({ ...e, base: confirmed.revision + pending.filter(isDesign).length });
  }
  const events = [...confirmed.events, ...pending.flatMap((e) => (e.kind === "event" ? [e.event] : []))];
  return { confirmed, pending, head, events, gone: false, ...rest };
} // prettier-ignore

/**
 * The start of a tab: what the server told, and what an earlier visit left behind. `kept` are ids of entries that the
 * server has already; what was made on another state than the server's waits for a decision.
 */
export function startKeeping<D, E>(
  told: Confirmed<D, E>,
  left?: { readonly confirmed: Confirmed<D, E>; readonly pending: readonly Entry<E>[] },
  kept: ReadonlySet<string> = new Set(),
): Keeping<D, E> {
  return left ? meet(left, told, kept) : build(told, []);
}
/** What waits in a tab, met by a state of the server's. */
function meet<D, E>(
  own: { readonly confirmed: Confirmed<D, E>; readonly pending: readonly Entry<E>[] },
  told: Confirmed<D, E>,
  kept: ReadonlySet<string>,
): Keeping<D, E> {
  const waiting = own.pending.filter((e) => !kept.has(e.id));
  const first = waiting.find(isDesign);
  if (!first || first.base === told.revision) return build(told, waiting);
  // those of mine that the server has are no part of the difference
  const had = build(
    own.confirmed,
    own.pending.filter((e) => kept.has(e.id) && isDesign(e)),
  );
  // what happened at the bench meets no conflict: it is the server's, whatever becomes of the rest
  const confirmed = { ...own.confirmed, ...had.head, revision: first.base, events: told.events };
  return build(confirmed, waiting, { theirs: told });
}

export type Act<D, E> =
  | { readonly do: "edit"; readonly id: string; readonly label: string; readonly patches: readonly Patch[] }
  | { readonly do: "undo" | "redo"; readonly id: string }
  | { readonly do: "event"; readonly id: string; readonly event: E }
  /** The server keeps an entry, as the revision it says. */
  | { readonly do: "kept"; readonly id: string; readonly revision: number; readonly at: string }
  /** The server refuses an entry. */
  | { readonly do: "refused"; readonly id: string }
  /** The server was at another revision than the entry was made on, or another tab has kept something. */
  | { readonly do: "moved"; readonly to: Confirmed<D, E>; readonly kept?: ReadonlySet<string> }
  | { readonly do: "gone"; readonly gone: boolean }
  /** What to do with one's own after another was first: `mine` are the patches that bring it onto theirs; none lets it go. */
  | { readonly do: "settle"; readonly id: string; readonly label: string; readonly mine?: readonly Patch[] };

/** The next state of a tab. Errors: PatchError where an edit, undo or redo has no place; then nothing changed. */
export function keep<D, E>(k: Keeping<D, E>, act: Act<D, E>): Keeping<D, E> {
  switch (act.do) {
    case "edit":
      return added(k, { kind: "edit", id: act.id, label: act.label, patches: act.patches, base: 0 });
    case "undo":
    case "redo":
      return added(k, { kind: act.do, id: act.id, base: 0 });
    case "event":
      return added(k, { kind: "event", id: act.id, event: act.event, base: 0 });
    case "kept":
      return confirm(k, act);
    case "refused": {
      const e = k.pending.find((x) => x.id === act.id);
      return e ? build(k.confirmed, without(k.pending, e), { gone: k.gone, ...conflictOf(k) }) : k;
    }
    case "moved":
      return act.to.revision < k.confirmed.revision ? k : meet(k, act.to, act.kept ?? new Set());
    case "gone":
      return { ...k, gone: act.gone };
    case "settle": {
      if (!k.theirs) return k;
      const events = k.pending.filter((e) => !isDesign(e));
      const edit = byItem(act.mine ?? []).map((patches, n): Entry<E> => ({
        kind: "edit",
        id: `${act.id}-${n}`,
        label: act.label,
        patches,
        base: 0,
      }));
      return build(k.theirs, [...events, ...edit]);
    }
  }
}
/** Patches by the item of the document that they change: what is refused of one then takes no other with it. */
function byItem(patches: readonly Patch[]): Patch[][] {
  const groups = new Map<string, Patch[]>();
  for (const p of patches) {
    const item = p.path.slice(0, 2).join("/");
    groups.set(item, [...(groups.get(item) ?? []), p]);
  }
  return [...groups.values()];
}
const conflictOf = <D, E>(k: Keeping<D, E>): Partial<Keeping<D, E>> => (k.theirs ? { theirs: k.theirs } : {});

function added<D, E>(k: Keeping<D, E>, e: Entry<E>): Keeping<D, E> {
  const head = advance(k.head, e);
  const pending = [...k.pending, { ...e, base: k.confirmed.revision + k.pending.filter(isDesign).length }];
  return { ...k, head, pending, events: e.kind === "event" ? [...k.events, e.event] : k.events };
}
/** Moves an entry from pending to confirmed. One that is not the next of its kind was confirmed before. */
function confirm<D, E>(k: Keeping<D, E>, { id, revision, at }: { id: string; revision: number; at: string }): Keeping<D, E> {
  const e = k.pending.find((x) => x.id === id);
  if (!e) return k;
  const pending = k.pending.filter((x) => x !== e);
  if (e.kind === "event")
    return { ...k, pending, confirmed: { ...k.confirmed, at, events: [...k.confirmed.events, e.event] } };
  const { past, future, doc } = advance<D, E>(k.confirmed, e);
  const older = Math.max(0, Math.min(k.confirmed.older, HISTORY - past.length));
  return { ...k, pending, confirmed: { ...k.confirmed, doc, past, future, older, revision, at } };
} // prettier-ignore

/** Pending entries without a refused edit, and without the undo and redo that meant it. */
function without<E>(pending: readonly Entry<E>[], refused: Entry<E>): Entry<E>[] {
  const out: Entry<E>[] = [];
  // what stands on the stack of undo above the confirmed, by entry
  let [past, future]: [string[], string[]] = [[], []];
  for (const e of pending) {
    if (e.kind === "edit") [past, future] = [[...past, e.id], []];
    const meant = e.kind === "undo" ? past.at(-1) : e.kind === "redo" ? future.at(-1) : undefined;
    if (e.kind === "undo" && meant !== undefined) [past, future] = [past.slice(0, -1), [...future, meant]];
    if (e.kind === "redo" && meant !== undefined) [past, future] = [[...past, meant], future.slice(0, -1)];
    if (e !== refused && (meant === undefined || meant !== refused.id)) out.push(e);
  }
  return out;
}
