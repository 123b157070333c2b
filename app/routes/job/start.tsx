import { redirect } from "react-router";
import { readJob } from "~/data/jobs.server";
import type { Route } from "./+types/start";

/** A job opens where there is something to see: its framing, or its brief when it is empty. */
export function loader({ params }: Route.LoaderArgs) {
  const job = readJob(params.job);
  return redirect(`/jobs/${params.job}/${job && job.doc.structures.length > 0 ? "framing" : "brief"}`);
}
