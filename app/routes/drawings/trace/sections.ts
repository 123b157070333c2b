import { parseNominal } from "core/lumber";

export const LAYER_WORDS = [
  { value: "near", label: "near: on the face towards you" },
  { value: "middle", label: "middle: in the plane" },
  { value: "far", label: "far: on the back" },
] as const;
/** Reads a nominal size as it is kept; undefined when it is none. */
export function readSection(t: string): string | undefined {
  const n = parseNominal(t);
  return n && `${n.thickness}×${n.width}`;
}
