import { nominalMm } from "../../../lumber";
import { printFeetInches } from "../../../units";
import type { Noted, NotedOpening, Remark } from "../../kind";
import { openingNotes } from "../../openingNotes";
import { hasSoffit, sloped } from "../plan/nominal";
import type { BuildingValues } from "../parameters";

/** How a casting stands to the wall by the way it is mounted, and how it is mounted to stand so. */
const STANDS = { flange: "proud", behind: "recessed", inside: "flush", built: "flush" } as const;
const MOUNTS = { proud: "flange", recessed: "behind", flush: "inside" } as const;

/** What drawings note and the building has otherwise: openings and eaves. */
export const noteRemarks = (v: BuildingValues, noted: Noted): Remark[] => [
  ...openings(v, noted.openings),
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

/** The openings of a building as they are framed, for what is noted of them. */
function openings(v: BuildingValues, noted: readonly NotedOpening[]): Remark[] {
  const trim = v.casings ? nominalMm(v.casing).width : 0;
  const framed = v.openings.map((o) => ({ door: o.kind !== "window", width: o.width, height: o.height, stands: STANDS[o.mount as keyof typeof STANDS], trim })); // prettier-ignore
  return openingNotes(framed, noted, {
    mounts: MOUNTS,
    trim: (wanted) => ({
      param: "casings",
      ...(wanted === 0
        ? { fix: { label: "Leave casings out", value: false } }
        : v.casings
          ? {}
          : { fix: { label: "Put casings on", value: true } }),
    }),
  });
}
