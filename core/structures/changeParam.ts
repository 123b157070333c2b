import type { Params, KindFace } from "./kind";
import { paramAt, printParam, valueAt, withValue } from "./spec";

/** Parameters with one changed, and what had to go along with it in words; empty when nothing had. */
export interface Changed {
  readonly params: Params;
  readonly along: string;
}

/**
 * Changes one parameter. Where the kind knows that others have to go along (a door made a window gets a sill), and the
 * change alone would be refused or leave them meaningless, they are changed with it.
 */
export function changeParam(kind: KindFace, params: Params, path: string, value: unknown): Changed {
  const plain = withValue(params, path, value);
  const followed = kind.follow?.(plain, path);
  if (!followed || followed === plain) return { params: plain, along: "" };
  if (kind.check(followed).length > kind.check(plain).length) return { params: plain, along: "" };
  const row = path.split(".").slice(0, 2).join(".");
  const before = valueAt(plain, row) as Readonly<Record<string, unknown>>;
  const after = valueAt(followed, row) as Readonly<Record<string, unknown>>;
  const along = Object.keys(after)
    .filter((k) => after[k] !== before[k])
    .map((k) => {
      const p = paramAt(kind.spec, `${row}.${k}`)!;
      return `${p.label.replace(/^.*?, /, "")} ${printParam(p, after[k])}`;
    });
  return { params: followed, along: along.join(", ") };
}
