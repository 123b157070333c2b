/**
 * One change of one place in a document. A path leads down by keys of objects, by numbers in plain lists, and by "#id"
 * in lists whose items have an id, so that it still finds its place when another tab has put something before it.
 * `set` gives a place a value, `cut` takes it out, `put` adds an item with an id to a list, before another or at its end.
 * Sample: { op: "set", path: ["structures", "#gulch", "variants", "#first", "params", "height"], value: 6400.8 }
 */
export type Patch =
  | { readonly op: "set"; readonly path: Path; readonly value: unknown }
  | { readonly op: "cut"; readonly path: Path }
  | { readonly op: "put"; readonly path: Path; readonly value: unknown; readonly before?: string };
export type Path = readonly (string | number)[];
/** A patch that finds no place, in a sentence. */
export class PatchError extends Error {}

type Obj = Readonly<Record<string, unknown>>;
const isObject = (v: unknown): v is Obj => typeof v === "object" && v !== null && !Array.isArray(v);
const idOf = (v: unknown): string | undefined => (isObject(v) && typeof v.id === "string" ? v.id : undefined);
/** Whether every item of a list has an id of its own: then it is changed item by item. */
const keyed = (list: readonly unknown[]): boolean => {
  const ids = list.map(idOf);
  return ids.every((i) => i !== undefined) && new Set(ids).size === ids.length;
};
const same = (a: unknown, b: unknown): boolean =>
  a === b || (typeof a === "object" && typeof b === "object" && JSON.stringify(a) === JSON.stringify(b));

/** The patches that lead from one document to another, each as near to the changed value as can be. Undefined counts as absent. */
export function diff(from: unknown, to: unknown, path: Path = []): Patch[] {
  if (from === to) return [];
  if (isObject(from) && isObject(to)) {
    const keys = new Set([...Object.keys(from), ...Object.keys(to)]);
    return [...keys].flatMap((k): Patch[] => {
      const at = [...path, k];
      if (to[k] === undefined) return from[k] === undefined ? [] : [{ op: "cut", path: at }];
      return from[k] === undefined ? [{ op: "set", path: at, value: to[k] }] : diff(from[k], to[k], at);
    });
  }
  if (Array.isArray(from) && Array.isArray(to)) {
    if (keyed(from) && keyed(to)) return diffKeyed(from, to, path);
    if (from.length === to.length && !keyed(from)) return from.flatMap((v: unknown, i) => diff(v, to[i], [...path, i]));
  }
  return same(from, to) ? [] : [{ op: "set", path, value: to }];
}
function diffKeyed(from: readonly unknown[], to: readonly unknown[], path: Path): Patch[] {
  const before = new Map(from.map((v) => [idOf(v)!, v]));
  const after = new Set(to.map((v) => idOf(v)!));
  const kept = to.filter((v) => before.has(idOf(v)!));
  // another order of what stays is rare; then the list is set whole
  const order = from.map((v) => idOf(v)!).filter((i) => after.has(i));
  if (kept.some((v, n) => idOf(v) !== order[n])) return [{ op: "set", path, value: to }];
  return [
    ...from.flatMap((v): Patch[] => (after.has(idOf(v)!) ? [] : [{ op: "cut", path: [...path, `#${idOf(v)}`] }])),
    ...kept.flatMap((v) => diff(before.get(idOf(v)!), v, [...path, `#${idOf(v)}`])),
    // from the end, so that each finds the one it stands before
    ...to
      .map((v, n): Patch[] => {
        if (before.has(idOf(v)!)) return [];
        const next = idOf(to[n + 1]);
        return [{ op: "put", path, value: v, ...(next === undefined ? {} : { before: next }) }];
      })
      .reverse()
      .flat(),
  ];
}

/** A document with patches applied, sharing all that did not change, and the patches that take it back. Errors: PatchError where a path leads nowhere. */
export function apply<D>(doc: D, patches: readonly Patch[]): { readonly doc: D; readonly inverse: Patch[] } {
  let out: unknown = doc;
  const inverse: Patch[] = [];
  for (const p of patches) {
    const [next, back] = at(out, p.path, p, []);
    out = next;
    inverse.unshift(back);
  }
  return { doc: out as D, inverse };
}

type Done = readonly [value: unknown, back: Patch];
function at(v: unknown, path: Path, p: Patch, gone: Path): Done {
  const [step, ...rest] = path;
  if (step === undefined) return here(v, p);
  if (Array.isArray(v)) {
    const i = typeof step === "number" ? step : v.findIndex((x) => `#${idOf(x)}` === step);
    if (!Number.isInteger(i) || i < 0 || i >= v.length) throw lost(p, [...gone, step]);
    if (rest.length === 0 && p.op === "cut") {
      const after = idOf(v[i + 1]);
      if (idOf(v[i]) === undefined) throw lost(p, [...gone, step]);
      const put: Patch = { op: "put", path: gone, value: v[i], ...(after === undefined ? {} : { before: after }) };
      return [v.filter((_, n) => n !== i), put];
    }
    const [next, back] = at(v[i], rest, p, [...gone, step]);
    return [v.map((x: unknown, n) => (n === i ? next : x)), back];
  }
  if (!isObject(v) || typeof step !== "string" || step === "__proto__") throw lost(p, [...gone, step]);
  const has = Object.hasOwn(v, step);
  if (rest.length === 0 && p.op !== "put") {
    if (p.op === "cut" && !has) throw lost(p, [...gone, step]);
    const path_ = [...gone, step];
    const back: Patch = has ? { op: "set", path: path_, value: v[step] } : { op: "cut", path: path_ };
    if (p.op === "set") return [{ ...v, [step]: p.value }, back];
    return [Object.fromEntries(Object.entries(v).filter(([k]) => k !== step)), back];
  }
  if (!has) throw lost(p, [...gone, step]);
  const [next, back] = at(v[step], rest, p, [...gone, step]);
  return [{ ...v, [step]: next }, back];
}
/** What is done at the very place that a path names. */
function here(v: unknown, p: Patch): Done {
  if (p.op === "set") return [p.value, { op: "set", path: p.path, value: v }];
  if (p.op === "cut" || !Array.isArray(v) || idOf(p.value) === undefined) throw lost(p, p.path);
  const id = idOf(p.value)!;
  const known = v.findIndex((x) => idOf(x) === id);
  if (known >= 0) {
    const path = [...p.path, `#${id}`];
    return [v.map((x: unknown, n) => (n === known ? p.value : x)), { op: "set", path, value: v[known] }];
  }
  const before = p.before === undefined ? -1 : v.findIndex((x) => idOf(x) === p.before);
  const n = before < 0 ? v.length : before;
  return [[...v.slice(0, n), p.value, ...v.slice(n)], { op: "cut", path: [...p.path, `#${id}`] }];
}
const lost = (p: Patch, path: Path): PatchError =>
  new PatchError(`The change of ${p.path.join(", ")} finds no place in the job: there is no ${path.join(", ")}.`);
