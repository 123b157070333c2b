import { useEffect, useRef } from "react";
import { data, Form, Link, redirect, useFetcher, useNavigation, useSearchParams, useSubmit } from "react-router";
import { toast } from "sonner";
import { clearDeleted, createJob, deleteJob, duplicateJob, importJob, restoreJob, rowOf } from "~/data/jobs.server";
import { Busy, formOf, Queue, TooLarge } from "~/data/body.server";
import { faultWords } from "~/data/faults.server";
import { keepEntry } from "~/data/keep.server";
import { listCards, moveToFolder } from "~/data/shelf.server";
import { FileInput } from "~/ui/FileInput";
import { StageLine } from "~/ui/StageLine";
import type { Route } from "./+types/shelf";
import { Backups } from "./Backups";
import { Card } from "./Card";
import { findCards, foldersOf, PAGE, readQuery, SORTS } from "./findCards";
import { useMissingPictures } from "./useMissingPictures";

export const meta: Route.MetaFunction = () => [{ title: "Shelf · Cardo" }];
/** The most that a job file may weigh: the pictures of one come as text, four letters to three bytes, and all else beside them. */
const MAX_JOB_MB = 360;

export function loader({ request }: Route.LoaderArgs) {
  const query = readQuery(new URL(request.url).searchParams);
  const all = listCards();
  const found = findCards(all, query);
  return {
    query,
    count: all.length,
    found: found.length,
    folders: foldersOf(all),
    jobs: found.slice(0, query.show),
  };
}

/** Job files are read whole: one after another. */
const imports = new Queue(4);

export async function action({ request }: Route.ActionArgs) {
  try {
    // a file is told by its kind of form; all else is a few words
    const file = /^multipart/i.test(request.headers.get("content-type") ?? "");
    return file
      ? await imports.run(async () => act(await formOf(request, MAX_JOB_MB * 1048576 + 1e6)))
      : await act(await formOf(request, 100_000));
  } catch (e) {
    if (e instanceof Response) throw e;
    const fault = e instanceof Busy || e instanceof TooLarge ? e.message : faultWords(e);
    if (fault === undefined) throw e;
    return data({ sentence: fault }, { status: e instanceof TooLarge ? 413 : 503 });
  }
}
async function act(form: FormData) {
  const id = String(form.get("job") ?? "");
  const name = String(form.get("name") ?? "")
    .trim()
    .slice(0, 120);
  switch (form.get("do")) {
    case "new":
      return redirect(`/jobs/${createJob(name || "New job")}/brief`);
    case "rename": {
      const job = rowOf(id);
      if (!name) return { sentence: "A job needs a name." };
      if (!job) return { sentence: "This job is not on the shelf any more." };
      const entry = crypto.randomUUID();
      const patches = [{ op: "set", path: ["name"], value: name }] as const;
      const kept = keepEntry(id, { kind: "edit", id: entry, base: job.revision, label: "Rename the job", patches });
      return kept.ok ? { done: "renamed" } : { sentence: "The job could not be renamed; open it to see why." };
    }
    case "folder":
      moveToFolder(id, String(form.get("folder") ?? ""));
      return { done: "moved" };
    case "duplicate":
      return duplicateJob(id) ? { done: "duplicated" } : { sentence: "This job is not on the shelf any more." };
    case "delete":
      deleteJob(id);
      clearDeleted();
      return { done: "deleted", job: id, name: name || "The job" };
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

export default function Shelf({ loaderData, actionData }: Route.ComponentProps) {
  const { jobs, query, found, count, folders } = loaderData;
  // an import is a navigation: a fetcher's way to the new job would be lost where pictures come in meanwhile
  const open = useSubmit();
  const importing = useNavigation().formData?.get("do") === "import";
  const acting = useFetcher<typeof action>();
  const file = useRef<HTMLInputElement>(null);
  const deleted = acting.data && "done" in acting.data && acting.data.done === "deleted" ? acting.data : undefined;
  const submit = acting.submit;
  useMissingPictures(jobs);
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
  const sentence = [acting.data, actionData]
    .map((d) => (d && "sentence" in d ? d.sentence : undefined))
    .find((s) => s !== undefined);
  return (
    <div className="flex h-screen overflow-hidden">
      <StageLine />
      <main id="main" className="min-w-0 flex-1 overflow-auto px-8 py-5">
        <div className="flex flex-wrap items-center gap-3">
          <h1 className="head mr-auto text-[29px]">Shelf</h1>
          <Form method="post" className="flex gap-2">
            <input type="hidden" name="do" value="new" />
            <input name="name" className="field !w-52" placeholder="Name of a new job" aria-label="Name of a new job" />
            <button className="act">New job</button>
          </Form>
          <FileInput
            input={file}
            label="Job file"
            accept=".json,application/json"
            chosen={(f) => {
              const form = new FormData();
              form.set("do", "import");
              form.set("file", f);
              void open(form, { method: "post", encType: "multipart/form-data" });
            }}
          />
          <button type="button" className="btn" disabled={importing} onClick={() => file.current?.click()}>
            {importing ? "Importing …" : "Import a job file"}
          </button>
          <Backups count={count} />
        </div>
        {sentence && (
          <p role="alert" className="mt-4 border-l-[3px] border-fault bg-shade px-4 py-2 text-fault">
            {sentence}
          </p>
        )}
        {count > 0 && <FindBar folders={folders} />}
        <p role="status" className="mt-3 text-[15px] text-ink-2">
          {found === count
            ? `${count} ${count === 1 ? "job" : "jobs"}`
            : found === 0
              ? `No job has “${query.q}” on its card${query.folder ? ` in the folder “${query.folder}”` : ""}. Look for part of a name, a scale, a railroad or what is framed.`
              : `${found} of ${count} jobs`}
        </p>
        <ul className="mt-3 grid grid-cols-[repeat(auto-fill,minmax(270px,1fr))] gap-6">
          {jobs.map((j) => (
            <Card
              key={j.id}
              job={j}
              folders={folders.map(([name]) => name)}
              act={(data) => void acting.submit(data, { method: "post", action: "/?index" })}
            />
          ))}
        </ul>
        {found > jobs.length && <More query={query} />}
        {count === 0 && <p className="text-lg">The shelf is empty. Name a new job above, or import a job file.</p>}
        <p className="mt-10 max-w-3xl border-t border-hair pt-3 text-[15px] text-ink-2">
          Cardo is for models. A real building or bridge follows local codes and a licensed engineer. Sharp blades: cut
          away from the hand, several light passes; wear eye protection at saws and when sticks snap.
        </p>
      </main>
    </div>
  );
}

/** Words to find, the order, the folder: they stand in the address, so that a look back finds the same. */
function FindBar({ folders }: { folders: readonly (readonly [string, number])[] }) {
  const [params] = useSearchParams();
  const submit = useSubmit();
  const wait = useRef<ReturnType<typeof setTimeout>>(undefined);
  const ask = (form: HTMLFormElement): void => {
    clearTimeout(wait.current);
    wait.current = setTimeout(() => void submit(form, { replace: true, preventScrollReset: true }), 150);
  };
  return (
    <Form role="search" className="mt-4 flex flex-wrap items-end gap-3" onChange={(e) => ask(e.currentTarget)}>
      <label className="text-[15px]">
        Find
        <input
          name="q"
          type="search"
          className="field mt-0.5 block !w-64"
          defaultValue={params.get("q") ?? ""}
          placeholder="Name, scale, railroad, 8x16 …"
        />
      </label>
      <label className="text-[15px]">
        Order
        <select name="sort" className="field mt-0.5 block !w-40" defaultValue={params.get("sort") ?? "changed"}>
          {Object.entries(SORTS).map(([id, name]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {folders.length > 0 && (
        <label className="text-[15px]">
          Folder
          <select name="folder" className="field mt-0.5 block !w-52" defaultValue={params.get("folder") ?? ""}>
            <option value="">All jobs</option>
            {folders.map(([name, n]) => (
              <option key={name} value={name}>
                {name} ({n})
              </option>
            ))}
          </select>
        </label>
      )}
      <noscript>
        <button className="btn">Find</button>
      </noscript>
    </Form>
  );
}

function More({ query }: { query: { readonly show: number } }) {
  const [params] = useSearchParams();
  const busy = useNavigation().state !== "idle";
  const next = new URLSearchParams(params);
  next.set("show", String(query.show + PAGE));
  return (
    <p className="mt-6">
      <Link className="btn" to={`?${next}`} preventScrollReset replace>
        {busy ? "Fetching more …" : "Show more"}
      </Link>
    </p>
  );
}
