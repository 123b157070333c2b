import { nominalMm } from "../../../lumber";
import { printFeetInches } from "../../../units";
import type { NotedOpening, Remark } from "../../kind";
import type { BuildingValues } from "../parameters";

/** A framed opening is the one noted when both its sides are within this share. Common practice: castings are chosen that near. */
const SAME_SIZE = 0.08;
/** Trim that differs by less is the same board, prototype mm. */
const SAME_TRIM = 26;

/** How a casting stands to the wall by the way it is mounted, and how it is mounted to stand so. */
const STANDS = { flange: "proud", behind: "recessed", inside: "flush", built: "flush" } as const;
const MOUNTS = { proud: "flange", recessed: "behind", flush: "inside" } as const;

/** What a drawing notes of openings and the building has otherwise: how they stand to the wall, the trim round them. An opening of the same kind and size is the one that is meant. */
export function noteRemarks(v: BuildingValues, noted: readonly NotedOpening[]): Remark[] {
  const casing = v.casings ? nominalMm(v.casing).width : 0;
  const near = (a: number, b: number): boolean => Math.abs(a - b) <= SAME_SIZE * Math.max(a, b);
  return noted.flatMap((n): Remark[] => {
    const i = v.openings.findIndex(
      (o) => (o.kind !== "window") === n.door && near(o.width, n.width) && near(o.height, n.height),
    );
    const o = v.openings[i];
    if (!o) return [];
    const out: Remark[] = [];
    const stands = STANDS[o.mount as keyof typeof STANDS];
    if (stands !== n.set)
      out.push({
        level: "warning",
        param: `openings.${i}.mount`,
        text: `“${n.name}” is noted ${n.set} on “${n.drawing}”, and opening ${i + 1}, which has its size, is mounted so that it stands ${stands}.`,
        fix: { label: `Let it stand ${n.set}`, value: MOUNTS[n.set] },
      });
    if (Math.abs(casing - n.trim) > SAME_TRIM)
      out.push({
        param: "casings",
        text: `“${n.name}” is noted with ${n.trim > 0 ? `trim ${printFeetInches(n.trim)} wide` : "no trim"} on “${n.drawing}”; the frame has ${casing > 0 ? `casings of ${printFeetInches(casing)}` : "no casings"}.`,
        ...(n.trim === 0
          ? { fix: { label: "Leave casings out", value: false } }
          : v.casings
            ? {}
            : { fix: { label: "Put casings on", value: true } }),
      });
    return out;
  });
}
