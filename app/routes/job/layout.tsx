import { Outlet, useLocation } from "react-router";
import { JobProvider } from "~/job/JobContext";
import { ConflictDialog } from "~/job/ConflictDialog";
import { Header } from "~/job/Header";
import { Shortcuts } from "~/job/Shortcuts";
import { StageLine } from "~/ui/StageLine";
import { readJob } from "~/data/jobs.server";
import type { Route } from "./+types/layout";

export function loader({ params }: Route.LoaderArgs) {
  const job = readJob(params.job);
  if (!job) throw new Response("This job is not on the shelf any more.", { status: 404 });
  return { job };
}
/** The screen holds the job from here on; every change goes through its own queue. */
export const shouldRevalidate = ({
  currentParams,
  nextParams,
}: {
  currentParams: { job?: string };
  nextParams: { job?: string };
}): boolean => currentParams.job !== nextParams.job;
export const meta: Route.MetaFunction = ({ loaderData }) => [{ title: `${loaderData?.job.doc.name ?? "Job"} · Cardo` }];

export default function JobLayout({ loaderData }: Route.ComponentProps) {
  const stage = useLocation().pathname.split("/")[3] ?? "";
  return (
    <JobProvider key={loaderData.job.id} initial={loaderData.job}>
      <div className="flex h-screen min-h-[600px] overflow-hidden">
        <StageLine />
        <div className="flex min-w-0 flex-1 flex-col">
          <Header stage={stage} />
          <div className="min-h-0 flex-1">
            <Outlet />
          </div>
        </div>
      </div>
      <ConflictDialog />
      <Shortcuts />
    </JobProvider>
  );
}
