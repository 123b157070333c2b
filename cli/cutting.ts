import { sheetPlanFaults } from "../core/checks/sheetPlan";
import { setUps } from "../core/cutting";
import { stlBytes } from "../core/drawing/stl";
import "../core/jigs/allSheets";
import { sheetJobs, USUAL_CUTTING } from "../core/jigs/sheetParts";
import { cutStatuses, designOf, doneSticks, issuedMarks, setUpWords, type Design, type Issue } from "../core/job";
import { sheetOf } from "../core/lumber";
import { nestings, usedPercent } from "../core/nesting";
import { model, printMm } from "../core/units";
import { makeJig, platesFile, solidOf, usualValues, WORKSHOP, workshopKind } from "../core/workshop";

const thousandth = (mm: number): number => Number(mm.toFixed(3));
/** A length in mm from an option. Errors: a sentence. */
function length(text: string | undefined, own: number, most: number, name: string): number {
  const mm = text === undefined ? own : Number(text);
  if (!(mm >= 0 && mm <= most)) throw new Error(`${name} “${text}” is no length in mm from 0 to ${most}.`);
  return mm;
}

/** The sheets of a job as they are laid out, each checked before it is told. Errors: options that are none, in a sentence. */
export function sheetReport(
  d: Design,
  issues: readonly Issue[],
  o: { by?: string; apart?: string; edge?: string; card?: string },
) {
  if (o.by !== undefined && o.by !== "snap" && o.by !== "free") throw new Error(`Cut by “${o.by}” is not known; choose snap or free.`); // prettier-ignore
  const said = d.doc.sheetCutting ?? USUAL_CUTTING;
  const how = { by: o.by ?? said.by, apart: length(o.apart, said.apart, 20, "Apart"), edge: length(o.edge, said.edge, 50, "Edge") }; // prettier-ignore
  const done = doneSticks(cutStatuses(d, issues), issues);
  if (o.card !== undefined && !sheetOf(o.card)) throw new Error(`Card “${o.card}” is no sheet; give one such as sheet/card/0.5.`); // prettier-ignore
  const design = o.card === undefined ? d : designOf({ ...d.doc, sheetCutting: { ...said, card: o.card } }, issuedMarks(issues)); // prettier-ignore
  const sheets = sheetJobs(design, done).map(({ stock, name, problem: own }) => {
    const problem = { ...own, ...how };
    const result = [...nestings(problem)].at(-1)!;
    const marks = (parts: readonly number[]): string[] => parts.map((i) => problem.parts[i]!.mark);
    if (result.status !== "planned") return { stock, name, status: result.status, marks: marks(result.status === "too large" ? result.parts : result.left) }; // prettier-ignore
    const faults = sheetPlanFaults(problem, result.sheets);
    if (faults.length > 0) throw new Error(faults.join(" "));
    return {
      stock,
      name,
      status: result.status,
      used_percent: Number(usedPercent(problem, result).toFixed(1)),
      sheets: result.sheets.map((s) => ({
        wide: thousandth(problem.sizes[s.size]!.wide),
        long: thousandth(problem.sizes[s.size]!.long),
        parts: s.placed.map((p) => ({ mark: problem.parts[p.part]!.mark, stick: p.stick, quarter_turns: p.turn, at: p.at.map(thousandth) })), // prettier-ignore
        cuts: s.cuts.map((c) => ({ along: c.along, at: thousandth(c.at), from: thousandth(c.from), to: thousandth(c.to) })), // prettier-ignore
        left: s.left.map((r) => [r.x, r.y, r.wide, r.high].map(thousandth)),
      })),
    };
  });
  return { ...how, sheets };
}
/** The settings of the stop for what is cut from sticks. */
export const setUpReport = (d: Design) => ({
  setups: setUps(d.pieces, d.doc.cutting.allowance).map((s) => {
    const { cuts, pieces, how } = setUpWords(d, s, (mm) => printMm(model(mm), 2));
    return { stop_mm: thousandth(s.length), cuts, pieces, ...(how ? { how } : {}) };
  }),
});
/** A workshop jig and its files. Errors: a kind or figures that are none, in a sentence. */
export function jigReport(id: string, set: string, kerfText: string) {
  const kind = workshopKind(id);
  if (!kind) throw new Error(`Jig “${id}” is not known; choose ${WORKSHOP.map((k) => k.id).join(", ")}.`);
  const figures: Record<string, number> = { ...usualValues(kind) };
  for (const pair of set.split(",").filter(Boolean)) {
    const [name, text] = pair.split("=");
    if (!kind.fields.some((f) => f.id === name) || text === undefined) throw new Error(`“${pair}” is no figure of this jig; its figures are ${kind.fields.map((f) => `${f.id} (${f.label})`).join(", ")}.`); // prettier-ignore
    figures[name!] = Number(text);
  }
  const made = makeJig(kind, figures);
  const kerf = length(kerfText, 0, 3, "Kerf");
  const files = { [`${id}.svg`]: platesFile(made, kerf, "svg", kind.name), [`${id}.dxf`]: platesFile(made, kerf, "dxf", kind.name), [`${id}.stl`]: stlBytes(solidOf(made.solid), kind.name) }; // prettier-ignore
  return { jig: kind.name, use: kind.use, figures, says: made.words, files };
}
