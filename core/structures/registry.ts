import { building } from "./building";
import { snowshed } from "./snowshed";
import type { StructureKind } from "./kind";
import { traced } from "./traced";
import { trestleBent } from "./trestle";
import { truss } from "./truss";
import { wholeTrestle } from "./whole-trestle";

/** Every kind of structure Cardo can frame: a new kind is one more line here. */
export const KINDS: readonly StructureKind[] = [trestleBent, wholeTrestle, truss, building, snowshed, traced];

/** The kind of that id. Errors: an id nobody registered. */
export function kindOf(id: string): StructureKind {
  const k = KINDS.find((x) => x.id === id);
  if (!k)
    throw new Error(`“${id}” is no kind of structure known here; known are ${KINDS.map((x) => x.id).join(", ")}.`);
  return k;
}
