import { ArrowRightIcon } from "@heroicons/react/20/solid";
import { Link } from "react-router";
import { designHash, serves } from "core/job";
import { useJob } from "~/job/JobContext";

/** Stock this far off its section is worth a look, percent. */
const OFF = 5;

/** The next useful step of a job, as a sentence with the stage it leads to. */
function useNext(): { readonly stage: string; readonly text: string } {
  const { doc, design, findings, issues, statuses } = useJob();
  if (doc.structures.length === 0 && doc.drawings.length === 0)
    return { stage: "drawings", text: "Upload a drawing, or start framing without one" };
  if (doc.structures.length === 0) return { stage: "framing", text: "Frame a structure" };
  if (doc.drawings.length > 0 && doc.drawings.every((d) => !d.calibration))
    return { stage: "drawings", text: `Calibrate ${doc.drawings[0]!.name}` };
  if (findings.some((f) => f.level === "fault" && f.aside === undefined))
    return { stage: "framing", text: "Look at the faults found" };
  const open = [...design.stock].filter(([n, m]) => !doc.stock.choices[n] && m.error.worstPercent >= OFF).length;
  const last = [...issues].reverse().find((i) => i.kind === "print");
  if (!last)
    return open > 0
      ? { stage: "stock", text: `Choose stock for ${open} ${open === 1 ? "section" : "sections"}` }
      : { stage: "jigs", text: "Print the jigs" };
  if (last.hash !== designHash(design)) return { stage: "jigs", text: "The printed jigs are stale: print them again" };
  const todo = design.structures.reduce((n, s) => n + s.resolved.sticks.length, 0) - statuses.filter(serves).length;
  return todo > 0 ? { stage: "cutting", text: `Cut ${todo} pieces` } : { stage: "bench", text: "All is cut: build it" };
}

export function Next() {
  const { id } = useJob();
  const next = useNext();
  return (
    <p className="border-t border-hair pt-3 text-[16px]">
      <span className="label mr-1.5">Next</span>
      <Link className="hover:text-vermilion" to={`/jobs/${id}/${next.stage}`}>
        {next.text} <ArrowRightIcon className="inline size-4 text-vermilion" />
      </Link>
    </p>
  );
}
