import type { Design } from "../job";
import { USUAL_SHEET } from "../lumber";
import { model, printMm } from "../units";
import type { Finding } from "./findings";

/** Sheet parts that come out of no sheet of the usual size, as one matter. */
export function longSheets(d: Design): Finding[] {
  const long = d.pieces.filter((p) => p.shape.kind === "panel" && Math.max(p.shape.overall, p.shape.section[0]) > USUAL_SHEET); // prettier-ignore
  if (long.length === 0) return [];
  const size = (p: (typeof long)[number]): number => Math.max(p.shape.overall, p.shape.section[0]);
  const most = long.reduce((a, b) => (size(b) > size(a) ? b : a));
  const count = long.reduce((n, p) => n + p.sticks.length, 0);
  return [
    {
      key: "long-sheets",
      level: "warning",
      text: `${count === 1 ? `The ${most.role} ${most.mark} is` : `${count} sheet parts are longer than a sheet, ${most.mark} the most:`} ${printMm(model(size(most)), 0)} long; sheets are usually sold ${printMm(model(USUAL_SHEET), 0)} long. Get longer sheet, or part it over something that stands behind.`,
      sticks: long.flatMap((p) => p.sticks),
    },
  ];
}
