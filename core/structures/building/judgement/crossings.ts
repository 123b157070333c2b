import { nominalMm } from "../../../lumber";
import { inches } from "../../../units";
import type { Remark } from "../../kind";
import { fi } from "../plan/nominal";
import type { BuildingValues } from "../parameters";

/** Levels that differ by less than a board look like a mistake, prototype mm. Common practice: a 1×6. */
const A_BOARD = inches(6);
/** What nobody sees, prototype mm. */
const EVEN = 1;

type Opening = BuildingValues["openings"][number];
const head = (o: Opening): number => o.sill + o.height;

/** Openings that a canopy or a flat roof crosses, and sills or heads along a wall that are nearly, but not quite, level. */
export function crossings(v: BuildingValues): Remark[] {
  return v.framing === "none" ? [] : [...canopyCrossings(v), ...roofCrossings(v), ...unevenLevels(v)];
}

/** Openings behind a canopy where its ledger meets the wall. */
function canopyCrossings(v: BuildingValues): Remark[] {
  return v.wings.flatMap((w, n) => {
    if (w.kind !== "canopy") return [];
    const deep = nominalMm(v.ridge).width;
    const low = w.height - deep;
    return v.openings.flatMap((o, i): Remark[] => {
      const beside = o.at + o.width / 2 <= w.at || o.at - o.width / 2 >= w.at + w.length;
      if (o.part !== 0 || o.wall !== w.side || beside || head(o) <= low || o.sill >= w.height) return [];
      const over = head(o) + deep;
      return [
        {
          level: "warning",
          param: `wings.${n}.height`,
          text: `Canopy ${n + 1} crosses opening ${i + 1}: it meets the wall between ${fi(low)} and ${fi(w.height)}, and the opening reaches from ${fi(o.sill)} to ${fi(head(o))}.`,
          fix: { label: `Set the canopy at ${fi(over)}`, value: over },
        },
      ];
    });
  });
}
/** Openings that a flat roof behind its parapet crosses. */
function roofCrossings(v: BuildingValues): Remark[] {
  if (v.roof !== "flat") return [];
  const low = v.wallHeight - nominalMm(v.rafter).width - nominalMm(v.lookout).width;
  return v.openings.flatMap((o, i): Remark[] =>
    o.part === 0 && head(o) > low && o.sill < v.wallHeight
      ? [
          {
            level: "warning",
            param: `openings.${i}.${o.kind === "window" ? "sill" : "height"}`,
            text: `The flat roof crosses opening ${i + 1}: it lies behind the wall between ${fi(low)} and ${fi(v.wallHeight)}, and the opening reaches from ${fi(o.sill)} to ${fi(head(o))}.`,
          },
        ]
      : [],
  );
}
/** Neighbouring windows along a wall whose sills, or heads, differ by less than a board. */
function unevenLevels(v: BuildingValues): Remark[] {
  const walls = new Map<string, { readonly o: Opening; readonly i: number }[]>();
  v.openings.forEach((o, i) => {
    if (o.kind !== "window") return;
    const key = `${o.part}|${o.wall}`;
    walls.set(key, [...(walls.get(key) ?? []), { o, i }]);
  });
  return [...walls.values()].flatMap((own) => {
    const row = [...own].sort((a, b) => a.o.at - b.o.at);
    return row.slice(1).flatMap((b, n): Remark[] => {
      const a = row[n]!;
      const off = [b.o.sill - a.o.sill, head(b.o) - head(a.o)];
      const k = off.findIndex((x) => Math.abs(x) >= EVEN && Math.abs(x) < A_BOARD);
      if (k < 0) return [];
      return [
        {
          param: `openings.${b.i}.sill`,
          text: `Openings ${a.i + 1} and ${b.i + 1} in the ${a.o.wall} wall have their ${k === 0 ? "sills" : "heads"} ${fi(Math.abs(off[k]!))} apart: less than a board looks like a mistake.`,
          fix: { label: "Level them", value: b.o.sill - off[k]! },
        },
      ];
    });
  });
}
