import { ArrowRightIcon } from "@heroicons/react/20/solid";
import { Link, useLocation } from "react-router";
import { useJob } from "~/job/JobContext";

/** The next useful step, as a link to its stage; on that very stage as words, since a link that leads nowhere helps nobody. */
export function Next() {
  const job = useJob();
  const here = useLocation().pathname.split("/")[3];
  const { next } = job;
  if (!next) return null;
  return (
    <p className="border-t border-hair pt-3 text-[16px]">
      <span className="label mr-1.5">{next.stage === here ? "Now" : "Next"}</span>
      {next.stage === here ? (
        next.text
      ) : (
        <Link className="inline-block min-h-6 hover:text-vermilion" to={`/jobs/${job.id}/${next.stage}`}>
          {next.text} <ArrowRightIcon className="inline size-4 text-vermilion" />
        </Link>
      )}
    </p>
  );
}
