import { EllipsisHorizontalIcon } from "@heroicons/react/24/outline";
import { Menu, MenuButton, MenuItem, MenuItems } from "@headlessui/react";
import { useEffect, useRef } from "react";
import { Form, Link, redirect, useFetcher } from "react-router";
import { toast } from "sonner";
import { designOf, issuedMarks } from "core/job";
import { elevation, VIEWS } from "core/drawing";
import { scaleLabel, scaleOf } from "core/units";
import {
  clearDeleted,
  createJob,
  deleteJob,
  duplicateJob,
  editJob,
  importJob,
  listJobs,
  readJob,
  restoreJob,
} from "~/data/jobs.server";
import { progressOf } from "~/job/progress";
import { StageLine } from "~/ui/StageLine";
import type { Route } from "./+types/shelf";

export const meta: Route.MetaFunction = () => [{ title: "Shelf · Cardo" }];
/** The most that a job file may weigh: its pictures come as text. */
const MAX_JOB_MB = 200;

export function loader() {
  clearDeleted();
  return {
    jobs: listJobs().map(({ id, doc, changedAt, issues }) => {
      const design = designOf(doc, issuedMarks(issues));
      const first = design.structures.find((s) => !s.fault);
      const outlines = first ? elevation(first.resolved.sticks, VIEWS[first.kind.home]).flatMap((s) => s.outlines) : [];
      return {
        id,
        name: doc.name,
        railroad: doc.brief.railroad,
        scale: scaleLabel(scaleOf(doc.brief.scale.id, doc.brief.scale.ratio)),
        what: first ? first.kind.describe(first.variant.params) : "nothing framed yet",
        changedAt,
        outlines: outlines.map((o) => o.map((p) => [Number(p[0].toFixed(2)), Number(p[1].toFixed(2))])),
        stages: progressOf(doc, issues).size,
      };
    }),
  };
}

export async function action({ request }: Route.ActionArgs) {
  const form = await request.formData();
  const id = String(form.get("job") ?? "");
  const name = String(form.get("name") ?? "")
    .trim()
    .slice(0, 120);
  switch (form.get("do")) {
    case "new":
      return redirect(`/jobs/${createJob(name || "New job")}/brief`);
    case "rename": {
      const job = readJob(id);
      if (!name) return { sentence: "A job needs a name." };
      if (job) editJob(id, job.revision, "Rename the job", [{ op: "replace", path: ["name"], value: name }]);
      return { done: "renamed" };
    }
    case "duplicate":
      duplicateJob(id);
      return { done: "duplicated" };
    case "delete":
      deleteJob(id);
      return { done: "deleted", job: id, name: readName(form) };
    case "restore":
      restoreJob(id);
      return { done: "restored" };
    case "import": {
      const file = form.get("file");
      if (!(file instanceof File) || file.size === 0)
        return { sentence: "No file was chosen. Choose a job file that Cardo exported (.json)." };
      if (file.size > MAX_JOB_MB * 1048576)
        return {
          sentence: `The file has ${Math.round(file.size / 1048576)} MB; a job file has at most ${MAX_JOB_MB} MB.`,
        };
      try {
        return redirect(`/jobs/${await importJob(await file.text())}`);
      } catch (e) {
        return { sentence: `“${file.name}” was not imported. ${(e as Error).message}` };
      }
    }
    default:
      return { sentence: "Nothing was asked for." };
  }
}
const readName = (form: FormData): string => String(form.get("name") ?? "The job");

export default function Shelf({ loaderData, actionData }: Route.ComponentProps) {
  const importing = useFetcher<typeof action>();
  const acting = useFetcher<typeof action>();
  const file = useRef<HTMLInputElement>(null);
  const deleted = acting.data && "done" in acting.data && acting.data.done === "deleted" ? acting.data : undefined;
  const submit = acting.submit;
  useEffect(() => {
    if (deleted?.job)
      toast(`“${deleted.name}” was taken off the shelf.`, {
        duration: 15000,
        action: {
          label: "Undo",
          onClick: () => void submit({ do: "restore", job: deleted.job! }, { method: "post", action: "/?index" }),
        },
      });
  }, [deleted, submit]);
  const sentence =
    importing.data && "sentence" in importing.data
      ? importing.data.sentence
      : actionData && "sentence" in actionData
        ? actionData.sentence
        : undefined;
  return (
    <div className="flex h-screen overflow-hidden">
      <StageLine />
      <main className="min-w-0 flex-1 overflow-auto px-8 py-5">
        <div className="flex flex-wrap items-center gap-3">
          <h1 className="head mr-auto text-[29px]">Shelf</h1>
          <Form method="post" className="flex gap-2">
            <input type="hidden" name="do" value="new" />
            <input name="name" className="field !w-52" placeholder="Name of a new job" aria-label="Name of a new job" />
            <button className="act">New job</button>
          </Form>
          <importing.Form method="post" encType="multipart/form-data">
            <input type="hidden" name="do" value="import" />
            <input
              ref={file}
              type="file"
              name="file"
              accept=".json,application/json"
              className="sr-only"
              tabIndex={-1}
              aria-label="Job file"
              onChange={(e) => {
                if (e.target.value) importing.submit(e.target.form);
                e.target.value = "";
              }}
            />
            <button
              type="button"
              className="btn"
              disabled={importing.state !== "idle"}
              onClick={() => file.current?.click()}
            >
              {importing.state === "idle" ? "Import a job file" : "Importing …"}
            </button>
          </importing.Form>
        </div>
        {sentence && (
          <p role="alert" className="mt-4 border-l-[3px] border-fault bg-shade px-4 py-2 text-fault">
            {sentence}
          </p>
        )}
        <ul className="mt-6 grid grid-cols-[repeat(auto-fill,minmax(270px,1fr))] gap-6">
          {loaderData.jobs.map((j) => (
            <Card key={j.id} job={j} act={(data) => void acting.submit(data, { method: "post", action: "/?index" })} />
          ))}
        </ul>
        {loaderData.jobs.length === 0 && (
          <p className="text-lg">The shelf is empty. Name a new job above, or import a job file.</p>
        )}
        <p className="mt-10 max-w-3xl border-t border-hair pt-3 text-[15px] text-ink-2">
          Cardo is for models. A real building or bridge follows local codes and a licensed engineer. Sharp blades: cut
          away from the hand, several light passes; wear eye protection at saws and when sticks snap.
        </p>
      </main>
    </div>
  );
}

type JobCard = Route.ComponentProps["loaderData"]["jobs"][number];

function Card({ job, act: ask }: { job: JobCard; act: (data: Record<string, string>) => void }) {
  const act = (what: string, extra: Record<string, string> = {}): void => ask({ do: what, job: job.id, ...extra });
  const rename = (): void => {
    const name = window.prompt("Name of the job", job.name)?.trim();
    if (name) act("rename", { name });
  };
  const item = "block w-full px-3 py-1.5 text-left text-[16px] data-focus:bg-shade";
  return (
    <li className="border border-hair">
      <Link
        to={`/jobs/${job.id}`}
        aria-label={`Open ${job.name}`}
        className="block h-[190px] bg-shade p-3 hover:bg-film"
      >
        <Thumb outlines={job.outlines} />
      </Link>
      <div className="flex items-start gap-2 border-t border-hair px-3 py-2">
        <div className="min-w-0 flex-1">
          <Link to={`/jobs/${job.id}`} className="head block truncate text-[20px] leading-tight hover:text-vermilion">
            {job.name}
          </Link>
          <p className="text-[15px] text-ink-2">
            {job.scale} · {job.what}
          </p>
          <p className="mt-1 flex items-center gap-1" aria-label={`${job.stages} of 7 stages have something`}>
            {Array.from({ length: 7 }, (_, i) => (
              <span key={i} className={`size-2.5 rounded-full border border-ink ${i < job.stages ? "bg-ink" : ""}`} />
            ))}
            <span className="ml-2 text-[14px] text-ink-2">{job.changedAt.slice(0, 10)}</span>
          </p>
        </div>
        <Menu>
          <MenuButton className="grid size-9 place-items-center hover:bg-shade" aria-label={`More for ${job.name}`}>
            <EllipsisHorizontalIcon className="size-6" />
          </MenuButton>
          <MenuItems anchor="bottom end" className="z-40 w-52 border border-edge bg-film py-1 focus:outline-none">
            <MenuItem>
              <button className={item} onClick={rename}>
                Rename
              </button>
            </MenuItem>
            <MenuItem>
              <button className={item} onClick={() => act("duplicate")}>
                Duplicate
              </button>
            </MenuItem>
            <MenuItem>
              <a className={item} href={`/jobs/${job.id}/file`} download>
                Export the job file
              </a>
            </MenuItem>
            <MenuItem>
              <button className={`${item} text-fault`} onClick={() => act("delete", { name: job.name })}>
                Delete
              </button>
            </MenuItem>
          </MenuItems>
        </Menu>
      </div>
    </li>
  );
}

/** The structure's own drawing, small. */
function Thumb({ outlines }: { outlines: number[][][] }) {
  const pts = outlines.flat();
  if (pts.length === 0) return <div className="grid h-full place-items-center text-ink-2">Nothing is framed yet</div>;
  const [x0, x1] = [Math.min(...pts.map((p) => p[0]!)), Math.max(...pts.map((p) => p[0]!))];
  const [y0, y1] = [Math.min(...pts.map((p) => p[1]!)), Math.max(...pts.map((p) => p[1]!))];
  return (
    <svg viewBox={`${x0} ${-y1} ${x1 - x0} ${y1 - y0}`} className="h-full w-full overflow-visible" aria-hidden>
      {outlines.map((o, i) => (
        <polygon
          key={i}
          points={o.map((p) => `${p[0]},${-p[1]!}`).join(" ")}
          fill="var(--timber)"
          stroke="var(--ink)"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
          strokeLinejoin="round"
        />
      ))}
    </svg>
  );
}
