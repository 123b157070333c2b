import { wholeId } from "../frame";
import type { Design } from "../job";
import { model, printMm } from "../units";
import { isThere, sizeOf, spanWords, sticksOfEra, yearOf } from "./items";

/** What is wrong with the years of something. */
export interface YearNote {
  readonly key: string;
  readonly level: "warning" | "remark";
  readonly text: string;
  /** The structure and the paths of its sticks that would be left out. */
  readonly structure?: string;
  readonly leave?: readonly string[];
}
/** What is exchanged is of one size within so much, model mm. */
const ALIKE = 0.2;
const list = (n: readonly number[]): string => n.map((x) => printMm(model(x), 1)).join(" × ");
/** What is too early or too late for the year that is modelled, and what does not fit what it is exchanged with. */
export function yearNotes(d: Design): YearNote[] {
  const all = d.doc.years ?? [];
  const year = yearOf(d.doc.brief);
  return all.flatMap((e): YearNote[] => {
    const out: YearNote[] = [];
    const note = (key: string, level: YearNote["level"], text: string, more: Partial<YearNote> = {}): void => void out.push({ key: `${e.id}:${key}`, level, text, ...more }); // prettier-ignore
    const size = sizeOf(d, e);
    if (!size) {
      note("none", "remark", `${e.name} has years, but nothing of that is in the job any more.`);
      return out;
    }
    if (e.from !== undefined && e.to !== undefined && e.from > e.to) {
      note("turned", "warning", `${e.name} would have come in ${e.from} and gone in ${e.to}: the years are the wrong way round.`); // prettier-ignore
      return out;
    }
    const other = all.find((x) => x.id === e.instead);
    if (year !== undefined && !isThere(e, year) && !other && !all.some((x) => x.instead === e.id)) {
      const early = e.from !== undefined && e.from > year;
      const s = d.structures.find((x) => x.structure.id === e.structure);
      const leave = s ? sticksOfEra(s, e).map((id) => wholeId(id).slice(s.structure.id.length + 1)) : [];
      note("year", "remark", `${e.name} was there ${spanWords(e)}, too ${early ? "late" : "early"} for ${year}: leave it out, or make it to be taken off.`, leave.length > 0 ? { structure: e.structure!, leave: [...new Set(leave)] } : {}); // prettier-ignore
    }
    if (!other) return out;
    const theirs = sizeOf(d, other);
    if (theirs && (theirs.length !== size.length || theirs.some((x, i) => Math.abs(x - size[i]!) > ALIKE))) note("size", "warning", `${e.name} and ${other.name} are to be exchanged, but are ${list(size)} and ${list(theirs)}: one does not fit the place of the other.`); // prettier-ignore
    const [first, second] = (e.from ?? -Infinity) <= (other.from ?? -Infinity) ? [e, other] : [other, e];
    const [left, came] = [first.to ?? Infinity, second.from ?? -Infinity];
    if (left >= came) note("both", "warning", `${first.name} and ${second.name} are to be exchanged, but both were there ${Number.isFinite(came) ? `in ${came}` : "from the beginning"}: end one before the other begins.`); // prettier-ignore
    else if (came - left > 1) note("between", "remark", `Between ${first.name} and ${second.name} the place was empty: from ${left + 1} to ${came - 1}.`); // prettier-ignore
    return out;
  });
}
