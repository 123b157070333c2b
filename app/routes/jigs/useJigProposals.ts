import { useMemo } from "react";
import { setUps } from "core/cutting";
import { bendOf } from "core/frame";
import { tubeOf } from "core/lumber";
import { printNumber } from "core/units";
import type { Values } from "core/workshop";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";

/** What of this job a jig is asked for: lengths of set-ups, angles of its cuts, tubes it has. */
export function useJigProposals(kind: string): readonly { readonly label: string; readonly values: Values }[] {
  const { design, doc } = useJob();
  const { M } = useUnits();
  return useMemo(() => {
    const all = setUps(design.pieces, doc.cutting.allowance);
    const many = all.map((s) => ({ s, n: s.pieces.reduce((t, p) => t + p.sticks.length, 0) })).filter((x) => x.n > 1);
    const wide = (s: (typeof all)[number]): number => Math.max(...s.pieces[0]!.piece.shape.section);
    if (kind === "length")
      return many
        .sort((a, b) => b.n - a.n)
        .slice(0, 10)
        .map(({ s, n }) => ({ label: `${n} × ${s.pieces.map((p) => p.piece.mark).join(", ")}: ${M(s.length, 2)}`, values: { length: round(s.length), wide: round(wide(s)) } })); // prettier-ignore
    if (kind === "mitre") {
      const found = new Map<string, { angle: number; n: number; wide: number }>();
      for (const { s, n } of many)
        for (const c of s.pieces[0]!.piece.shape.ends.flat()) {
          const angle = Math.abs(c.mitre);
          if (angle < 0.05 || angle > 60 || Math.abs(c.bevel) > 0.05) continue;
          const key = angle.toFixed(1);
          const known = found.get(key) ?? { angle, n: 0, wide: 0 };
          found.set(key, { angle, n: known.n + n, wide: Math.max(known.wide, wide(s)) });
        }
      return [...found.values()].sort((a, b) => b.n - a.n).slice(0, 10).map((a) => ({ label: `${printNumber(a.angle, 1)}°, ${a.n} cuts`, values: { angle: round(a.angle), wide: round(a.wide) } })); // prettier-ignore
    }
    if (kind === "bending") {
      const bent = design.structures.flatMap((s) => s.resolved.sticks).flatMap((k) => bendOf(k) ?? []);
      const alike = new Map(bent.map((b) => [`${b.radius.toFixed(1)} ${b.thick.toFixed(2)}`, b] as const));
      return [...alike.values()].slice(0, 10).map((b) => ({ label: `Radius ${M(b.radius, 1)}, ${M(b.thick, 2)} thick`, values: { radius: round(b.radius), angle: Math.max(5, Math.min(200, Math.round(b.angle))), thick: round(b.thick) } })); // prettier-ignore
    }
    if (kind === "cradle") {
      const tubes = [...new Set(design.pieces.map((p) => p.stock))].flatMap((id) => tubeOf(id) ?? []);
      return tubes.map((t) => ({ label: t.name, values: { diameter: round(t.width) } }));
    }
    if (kind === "stripper")
      return [...design.stock.values()].filter((m) => m.item.shape === "strip").slice(0, 10).map((m) => ({ label: `${m.item.name}: ${M(m.item.width, 2)}`, values: { wide: round(m.item.width) } })); // prettier-ignore
    return [];
  }, [design, doc.cutting.allowance, kind, M]);
}
const round = (x: number): number => Number(x.toFixed(3));
