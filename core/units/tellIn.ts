import { MM_PER_FOOT, MM_PER_INCH, model } from "./brands";
import { printModel, printNumber, type Units } from "./printLength";

/** Feet and inches as printFeetInches writes them. */
const FEET = /(−?)(\d+)′-(?:(\d+) )?(?:(\d+)\/(\d+)|(\d+))″/g;
/** Millimetres of the model as printMm writes them, but not the second side of a section such as 1.5 × 4.7 mm. */
const MM = /(?<![\d.] × )(?<![\d.,])(−?)(\d+(?:\.\d+)?) mm(?! (?:of paper|strip|bar))\b/g;

/** A prototype length as people with metres say it: from a metre up in metres, below in whole mm. */
export const printMetric = (mm: number): string =>
  Math.abs(mm) < 1000 ? `${printNumber(mm, 0)} mm` : `${printNumber(mm / 1000, 3).replace(/(\.\d\d)0$/, "$1")} m`;

/**
 * A sentence in the units of a job. Core writes its sentences in feet and inches, and in mm of the model; this turns the
 * figures of those that a person does not work in. What was rounded to a sixteenth of an inch stays as near as that.
 */
export function tellIn(text: string, units: Units): string {
  let out = text;
  // the model first: metres may leave mm of the prototype behind
  if (units.model !== "mm")
    out = out.replace(MM, (_, sign: string, n: string) => sign + printModel(model(Number(n)), units.model, 2));
  if (units.prototype === "m")
    out = out.replace(FEET, (_, sign: string, ft: string, whole = "0", top = "0", under = "1", inches = "0") => {
      const inch = Number(whole) + Number(top) / Number(under) + Number(inches);
      return sign + printMetric(Number(ft) * MM_PER_FOOT + inch * MM_PER_INCH);
    });
  return out;
}
