import { Suspense, useEffect, useRef } from "react";
import { data, isRouteErrorResponse, Outlet, useLocation, useParams } from "react-router";
import { JobError } from "core/job/error";
import { ConflictDialog } from "~/job/ConflictDialog";
import { AwayBanner, Header } from "~/job/Header";
import { JobProvider, useKinds, useJob } from "~/job/JobContext";
import { LastPicture } from "~/job/LastPicture";
import { Shortcuts } from "~/job/Shortcuts";
import { useCardPicture } from "~/job/useCardPicture";
import { useProgress } from "~/job/useProgress";
import { StageLine, STAGES } from "~/ui/StageLine";
import { useInBrowser } from "~/ui/useInBrowser";
import { readJob, type JobState } from "~/data/jobs.server";
import { drawnRevision } from "~/data/shelf.server";
import type { Route } from "./+types/layout";

export function loader({ params }: Route.LoaderArgs) {
  try {
    const job = readJob(params.job);
    if (job) return { job, drawn: drawnRevision(params.job) };
  } catch (e) {
    if (e instanceof JobError) throw data(e.message, { status: 422 });
    throw e;
  }
  throw data("This job is not on the shelf any more.", { status: 404 });
}
/** The screen holds the job from here on; every change goes through its own queue. */
export const shouldRevalidate = ({
  currentParams,
  nextParams,
}: {
  currentParams: { job?: string };
  nextParams: { job?: string };
}): boolean => currentParams.job !== nextParams.job;

export default function JobLayout({ loaderData }: Route.ComponentProps) {
  const { job, drawn } = loaderData;
  const before = <Before name={job.confirmed.doc.name} />;
  // frames are made in the browser alone: the page comes with the last picture of the job
  if (!useInBrowser()) return before;
  return (
    <Suspense fallback={before}>
      <Job key={job.id} job={job} drawn={drawn} />
    </Suspense>
  );
}

function Job({ job, drawn }: { job: JobState; drawn: number }) {
  // before the provider, whose state would be lost if it were not finished at first
  useKinds(job.confirmed.doc);
  return (
    <JobProvider initial={job}>
      <Stage drawn={drawn} />
    </JobProvider>
  );
}

function Stage({ drawn }: { drawn: number }) {
  const stage = useLocation().pathname.split("/")[3] ?? "";
  useCardPicture(drawn);
  const progress = useProgress();
  const { doc } = useJob();
  const name = STAGES.find((s) => s.id === stage)?.name ?? "Job";
  useEffect(() => {
    document.title = `${name} · ${doc.name} · Cardo`;
  }, [name, doc.name]);
  // a stage that one has gone to is where the keyboard goes on, and what a reader reads
  const first = useRef(true);
  useEffect(() => {
    if (!first.current) document.getElementById("main")?.focus({ preventScroll: true });
    first.current = false;
  }, [stage]);
  return (
    <>
      <div className="stage-page flex h-screen min-h-[600px] overflow-hidden">
        <StageLine progress={progress} />
        <div className="flex min-w-0 flex-1 flex-col">
          <Header stage={stage} />
          <AwayBanner />
          <main id="main" tabIndex={-1} aria-label={name} className="min-h-0 flex-1 focus:outline-none">
            <Outlet />
          </main>
        </div>
      </div>
      <ConflictDialog />
      <Shortcuts />
    </>
  );
}

/** The page before its script is there: which job it is, and how it looked last. */
function Before({ name }: { name: string }) {
  return (
    <div className="flex h-screen min-h-[600px] overflow-hidden">
      <StageLine />
      <div className="flex min-w-0 flex-1 flex-col">
        <header className="flex h-[52px] shrink-0 items-center border-b border-hair px-5">
          <h1 className="head truncate text-[25px] leading-none">{name}</h1>
        </header>
        <main id="main" aria-busy className="grid min-h-0 flex-1 place-items-center">
          <LastPicture />
        </main>
      </div>
    </div>
  );
}

/** A job that cannot be shown: why, and what can still be done with it. */
export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  const { job } = useParams();
  if (!isRouteErrorResponse(error) || error.status !== 422) throw error;
  return (
    <div className="flex h-screen overflow-hidden">
      <StageLine />
      <main id="main" className="max-w-xl p-10">
        <h1 className="head text-3xl">This job cannot be read</h1>
        <p className="my-4">{String(error.data)}</p>
        <p className="my-4">
          Export it to keep what is stored of it, or delete it; a deleted job can be put back for a month. All other
          jobs on the Shelf are as they were.
        </p>
        <form method="post" action="/?index" className="flex gap-3">
          <a className="act" href={`/jobs/${job}/file`} download>
            Export what is stored
          </a>
          <input type="hidden" name="do" value="delete" />
          <input type="hidden" name="job" value={job} />
          <button className="btn">Delete the job</button>
          <a className="btn" href="/">
            To the Shelf
          </a>
        </form>
      </main>
    </div>
  );
}
