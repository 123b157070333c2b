import { apply, diff, PatchError, type Patch, type Path } from "./patches";

interface Variant {
  readonly id: string;
  readonly name: string;
}
interface Structures {
  readonly structures: readonly { readonly id: string; readonly variants: readonly Variant[] }[];
}

/**
 * The patches that bring onto `theirs` all that `mine` changed since `base`. Where both changed the same variant of a
 * structure, mine comes beside theirs as a variant of its own, named with `clock`; all else of mine takes its place. What
 * they took out and I changed is put back as I have it. `newId` gives ids for variants.
 */
export function keepMine<D extends Structures>(base: D, mine: D, theirs: D, clock: string, newId: () => string): Patch[] {
  const contested = new Map<string, Path>();
  const theirChanges = diff(base, theirs);
  const variantOf = (path: Path): string | undefined =>
    path[0] === "structures" && path[2] === "variants" && path.length > 4 ? path.slice(0, 4).join("/") : undefined;
  const theirVariants = new Set(theirChanges.map((p) => variantOf(p.path)).filter((v) => v !== undefined));
  const plain: Patch[] = [];
  for (const p of diff(base, mine)) {
    const v = variantOf(p.path);
    if (v !== undefined && theirVariants.has(v)) contested.set(v, p.path.slice(0, 4));
    else plain.push(p);
  }
  let out = theirs;
  for (const p of plain) out = onto(out, mine, p);
  for (const path of contested.values()) {
    const own = valueAt(mine, path) as Variant;
    const put: Patch = { op: "put", path: path.slice(0, 3), value: { ...own, id: newId(), name: `${own.name}, mine of ${clock}`.slice(0, 80) } }; // prettier-ignore
    out = onto(out, mine, put);
  }
  return diff(theirs, out);
} // prettier-ignore

/** Applies a patch; where its place was taken out, the item that held it comes back as `mine` has it. */
function onto<D>(doc: D, mine: D, p: Patch): D {
  try {
    return apply(doc, [p]).doc;
  } catch (e) {
    if (!(e instanceof PatchError)) throw e;
  }
  for (let n = p.path.length; n >= 1; n--) {
    const path = p.path.slice(0, n);
    const item = valueAt(mine, path);
    if (item === undefined) continue;
    const last = path[n - 1]!;
    const patch: Patch =
      typeof last === "string" && last.startsWith("#")
        ? { op: "put", path: path.slice(0, -1), value: item }
        : { op: "set", path, value: item };
    try {
      return apply(doc, [patch]).doc;
    } catch (e) {
      if (!(e instanceof PatchError)) throw e;
    }
  }
  return doc;
}

/** The value that a path of a patch leads to; undefined where it leads nowhere. */
export function valueAt(doc: unknown, path: Path): unknown {
  return path.reduce<unknown>((v, step) => {
    if (Array.isArray(v))
      return typeof step === "number" ? v[step] : v.find((x: { id?: unknown }) => `#${String(x?.id)}` === step);
    return typeof v === "object" && v !== null && Object.hasOwn(v, step)
      ? (v as Record<string, unknown>)[step as string]
      : undefined;
  }, doc);
}
