import { redirect } from "react-router";
import { listStages } from "~/data/shelf.server";
import type { Route } from "./+types/start";

/** A job opens where there is something to see: its framing, or its brief when it is empty. */
export function loader({ params }: Route.LoaderArgs) {
  const framed = listStages(params.job)?.includes("framing");
  return redirect(`/jobs/${encodeURIComponent(params.job)}/${framed ? "framing" : "brief"}`);
}
