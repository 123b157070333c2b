import { chosenVariant } from "core/job";
import { Link } from "react-router";
import type { StructureDoc } from "core/job";
import { kindOf } from "core/structures";
import { useJob } from "~/job/JobContext";

/** Where a traced structure is changed: on the drawing it was traced over. */
export function TracedNote({ structure }: { structure: StructureDoc }) {
  const job = useJob();
  const over = job.doc.drawings.filter((d) => d.under.some((u) => u.structure === structure.id));
  return (
    <section className="space-y-2 text-[15px]">
      <h2 className="label">Traced frame</h2>
      <p>{kindOf(structure.kind).describe(chosenVariant(structure).params)}.</p>
      <p>
        It was drawn over{" "}
        {over.length > 0 ? over.map((d) => `“${d.name}”`).join(" and ") : "a drawing that is no longer there"}. Its
        members, joints and centre line are changed there, under Trace.
      </p>
      <Link className="link" to={`/jobs/${job.id}/drawings`}>
        Go to the drawing
      </Link>
    </section>
  );
}
