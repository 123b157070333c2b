import { nominalMm } from "../../../lumber";
import { printFeetInches } from "../../../units";
import type { Noted, NotedOpening, Remark } from "../../kind";
import { hasSoffit, sloped } from "../plan/nominal";
import type { BuildingValues } from "../parameters";

/** A framed opening is the one noted when both its sides are within this share. Common practice: castings are chosen that near. */
const SAME_SIZE = 0.08;
/** Trim that differs by less is the same board, prototype mm. */
const SAME_TRIM = 26;

/** How a casting stands to the wall by the way it is mounted, and how it is mounted to stand so. */
const STANDS = { flange: "proud", behind: "recessed", inside: "flush", built: "flush" } as const;
const MOUNTS = { proud: "flange", recessed: "behind", flush: "inside" } as const;

/** What drawings note and the building has otherwise: openings and eaves. */
export const noteRemarks = (v: BuildingValues, noted: Noted): Remark[] => [
  ...openingNotes(v, noted.openings),
  ...eaveNotes(v, noted.eaves),
];

const ENDS = { bare: "bare tails", fascia: "a fascia before its tails", boxed: "a fascia, closed from below" } as const;
/** Eaves that end otherwise than a drawing shows: tails are cut for a fascia that is not there, or left long where there is one. */
function eaveNotes(v: BuildingValues, noted: Noted["eaves"]): Remark[] {
  if (!sloped(v)) return [];
  const has = hasSoffit(v) ? "boxed" : v.fascia === "board" ? "fascia" : "bare";
  return noted
    .filter((n) => n.eave !== has)
    .map((n): Remark => {
      const board = nominalMm(v.fasciaSize).thickness;
      const tails =
        n.eave === "bare"
          ? ` Its tails are cut ${printFeetInches(board)} short for a board that is not there.`
          : has === "bare"
            ? ` Its tails are ${printFeetInches(board)} too long for the board before them.`
            : "";
      // one step at a time: a soffit wants its fascia first
      const fix =
        n.eave === "boxed" && has === "fascia"
          ? { param: "soffit", label: "Close the eaves", value: true }
          : n.eave === "fascia" && has === "boxed"
            ? { param: "soffit", label: "Leave the soffits out", value: false }
            : n.eave === "bare"
              ? { param: "fascia", label: "Leave the tails bare", value: "bare" }
              : { param: "fascia", label: "Put a fascia on", value: "board" };
      return {
        level: "warning",
        param: fix.param,
        text: `“${n.drawing}” notes eaves with ${ENDS[n.eave]}; the frame has ${ENDS[has]}.${tails}`,
        fix: { label: fix.label, value: fix.value },
      };
    });
}

/** What a drawing notes of openings and the building has otherwise: how they stand to the wall, the trim round them. An opening of the same kind and size is the one that is meant. */
function openingNotes(v: BuildingValues, noted: readonly NotedOpening[]): Remark[] {
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
