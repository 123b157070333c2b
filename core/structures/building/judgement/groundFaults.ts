import { nominalMm } from "../../../lumber";
import { inches } from "../../../units";
import { fi } from "../plan/nominal";
import type { BuildingValues } from "../parameters";

/** Where the ground comes up to what stands on the foundation, a sentence each. Nominal sizes, prototype mm. */
export function groundFaults(v: BuildingValues): string[] {
  if (v.foundation === "none" || v.foundation === "bents") return [];
  const under =
    (v.floor === "under" ? nominalMm(v.plank).thickness + nominalMm(v.joist).width : 0) +
    nominalMm(v.sillBeam).thickness;
  const [l, w] = [v.length, v.width];
  const parts: { name: string; x: readonly number[]; y: readonly number[] }[] = [
    { name: "the main part", x: [0, l], y: [0, w] },
    ...v.wings.flatMap((g, i) => {
      if (g.kind !== "gable" && g.kind !== "lean") return [];
      const s = [g.at, g.at + g.length];
      const name = `wing ${i + 1}`;
      return [
        g.side === "front"
          ? { name, x: s, y: [-g.depth, 0] }
          : g.side === "right"
            ? { name, x: [l, l + g.depth], y: s }
            : g.side === "back"
              ? { name, x: s.map((a) => l - a), y: [w, w + g.depth] }
              : { name, x: [-g.depth, 0], y: s.map((a) => w - a) },
      ];
    }),
  ];
  return parts.flatMap(({ name, x, y }) => {
    const depth = Math.min(
      ...x.flatMap((a) => y.map((b) => v.groundDepth + (a * v.groundFall) / 100 + (b * v.groundBack) / 100)),
    );
    const least = under + inches(4);
    return depth < least
      ? [
          `The ground comes within ${fi(Math.max(0, depth))} of the floor under ${name}; floor, sill beam and foundation take ${fi(least)}. Raise the floor over the ground, or lessen its fall.`,
        ]
      : [];
  });
}
