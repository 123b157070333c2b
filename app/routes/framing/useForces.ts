import { useEffect, useMemo, useState } from "react";
import type { MemberForces, TrussValues } from "core/structures";
import type * as Truss from "core/structures/truss";
import type { StructureDesign } from "core/job";

/** The forces of a truss under a unit panel load, and the frame's sticks they go with. What computes them is loaded for a truss alone. */
export function useForces(design: StructureDesign | undefined, fault: string | undefined) {
  const [truss, setTruss] = useState<typeof Truss>();
  const isTruss = design?.kind.offers?.includes("forces") === true && !fault;
  useEffect(() => {
    if (isTruss && !truss) void import("core/structures/truss").then((m) => setTruss(m));
  }, [isTruss, truss]);
  return useMemo(() => {
    if (!isTruss || !truss) return undefined;
    const v = design.variant.params as unknown as TrussValues;
    return { v, f: truss.forcesOf(truss.outlineOf(v)) };
  }, [design, isTruss, truss]);
}
/** Colours of what a member does. */
export const TINT = { tension: "var(--tension)", compression: "var(--vermilion)", nothing: "var(--ink-2)" } as const;
/** What a stick does by the member it belongs to, undefined where it is none of the truss's own. */
export function forceTint(f: MemberForces): (stick: string) => string | undefined {
  const chords = new Map<string, number>();
  for (const [m, n] of f.forces) {
    const id = m.split("/")[0]!;
    if (["bottom", "top", "left", "right"].includes(id) && Math.abs(n) > Math.abs(chords.get(id) ?? 0))
      chords.set(id, n);
  }
  const most = Math.max(...[...f.forces.values()].map(Math.abs), 1e-12);
  return (stick) => {
    const own = /\/span\d+\/(?:left|right|truss)\/(.+?)(?:#.*)?$/.exec(stick)?.[1];
    if (!own || /^(block|gusset)/.test(own)) return undefined;
    const web = f.forces.get(own.replace(/\/(near|far)$/, ""));
    const n = web ?? chords.get(/^(bottom|top|left|right)/.exec(own)?.[1] ?? "");
    if (n === undefined) return undefined;
    return Math.abs(n) < 1e-9 * most ? TINT.nothing : n > 0 ? TINT.tension : TINT.compression;
  };
}
