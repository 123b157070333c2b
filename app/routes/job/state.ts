import { JobError } from "core/job";
import { readJob, rowOf } from "~/data/jobs.server";
import type { Route } from "./+types/state";

/** The job as it stands, for a tab that has to catch up; nothing when it is still at the revision that the tab has. */
export function loader({ params, request }: Route.LoaderArgs) {
  const row = rowOf(params.job);
  if (!row) return Response.json({ sentence: "This job is not on the shelf any more." }, { status: 410 });
  if (String(row.revision) === new URL(request.url).searchParams.get("since"))
    return new Response(null, { status: 204 });
  try {
    return Response.json(readJob(params.job));
  } catch (e) {
    if (e instanceof JobError) return Response.json({ sentence: e.message }, { status: 422 });
    throw e;
  }
}
