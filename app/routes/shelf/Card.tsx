import { EllipsisHorizontalIcon } from "@heroicons/react/24/outline";
import { Menu, MenuButton, MenuItem, MenuItems } from "@headlessui/react";
import { useId, useState } from "react";
import { Link } from "react-router";
import type { Card as CardData } from "~/data/shelf.server";
import { Modal } from "~/ui/Modal";

/** Stages a job goes through after the Shelf. */
const STAGES = 7;

/** One job: a drawing of what is framed, its name, and what can be done with it. */
export function Card({
  job,
  folders,
  act: ask,
}: {
  job: CardData;
  folders: readonly string[];
  act: (data: Record<string, string>) => void;
}) {
  const [asks, setAsks] = useState<"rename" | "folder">();
  const act = (what: string, extra: Record<string, string> = {}): void => ask({ do: what, job: job.id, ...extra });
  const done = new Set([...job.stages, ...job.bench]).size;
  const item = "block w-full px-3 py-1.5 text-left text-[16px] data-focus:bg-shade";
  return (
    <li className="border border-hair">
      <Link
        to={`/jobs/${job.id}`}
        aria-label={`Open ${job.name}`}
        className="block h-[190px] bg-shade p-3 hover:bg-film"
      >
        <Picture job={job} />
      </Link>
      <div className="flex items-start gap-2 border-t border-hair px-3 py-2">
        <div className="min-w-0 flex-1">
          <Link
            to={`/jobs/${job.id}`}
            className="head block min-h-6 truncate text-[20px] leading-tight hover:text-vermilion"
          >
            {job.name}
          </Link>
          {job.fault ? (
            <p className="text-[15px] text-fault">{job.fault}</p>
          ) : (
            <p className="text-[15px] text-ink-2">
              {job.scale} · {job.what}
            </p>
          )}
          <p className="mt-1 flex items-center gap-1">
            <span role="img" aria-label={`${done} of ${STAGES} stages have something`} className="flex gap-1">
              {Array.from({ length: STAGES }, (_, i) => (
                <span key={i} className={`size-2.5 rounded-full border border-ink ${i < done ? "bg-ink" : ""}`} />
              ))}
            </span>
            <span className="ml-2 truncate text-[14px] text-ink-2">
              {job.changedAt.slice(0, 10)}
              {job.folder && ` · ${job.folder}`}
            </span>
          </p>
        </div>
        <Menu>
          <MenuButton className="grid size-9 place-items-center hover:bg-shade" aria-label={`More for ${job.name}`}>
            <EllipsisHorizontalIcon className="size-6" />
          </MenuButton>
          <MenuItems anchor="bottom end" className="z-40 w-52 border border-edge bg-film py-1 focus:outline-none">
            {!job.fault && (
              <>
                <MenuItem>
                  <button className={item} onClick={() => setAsks("rename")}>
                    Rename
                  </button>
                </MenuItem>
                <MenuItem>
                  <button className={item} onClick={() => act("duplicate")}>
                    Duplicate
                  </button>
                </MenuItem>
              </>
            )}
            <MenuItem>
              <button className={item} onClick={() => setAsks("folder")}>
                Put into a folder
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
      <Modal open={asks === "rename"} onClose={() => setAsks(undefined)} title={`Rename “${job.name}”`}>
        <OneField
          label="Name of the job"
          value={job.name}
          button="Rename"
          done={(name) => {
            setAsks(undefined);
            if (name && name !== job.name) act("rename", { name });
          }}
        />
      </Modal>
      <Modal open={asks === "folder"} onClose={() => setAsks(undefined)} title={`Folder of “${job.name}”`}>
        <OneField
          label="Folder: one that is there, a new one, or nothing for none"
          value={job.folder}
          button="Put it there"
          proposals={folders}
          done={(folder) => {
            setAsks(undefined);
            if (folder !== job.folder) act("folder", { folder });
          }}
        />
      </Modal>
    </li>
  );
}

function OneField({
  label,
  value,
  button,
  proposals,
  done,
}: {
  label: string;
  value: string;
  button: string;
  proposals?: readonly string[];
  done: (text: string) => void;
}) {
  const id = useId();
  return (
    <form
      className="mt-3 flex items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        done(String(new FormData(e.currentTarget).get("text") ?? "").trim());
      }}
    >
      <label className="flex-1 text-[15px]">
        {label}
        <input name="text" autoFocus className="field" defaultValue={value} list={proposals ? id : undefined} />
      </label>
      {proposals && (
        <datalist id={id}>
          {proposals.map((p) => (
            <option key={p} value={p} />
          ))}
        </datalist>
      )}
      <button className="act">{button}</button>
    </form>
  );
}

/** The structure's own drawing, small, as it was when the job was last kept. */
function Picture({ job }: { job: CardData }) {
  const middle = "grid h-full place-items-center text-ink-2";
  if (job.fault) return <div className={`${middle} text-fault`}>This job cannot be read</div>;
  if (!job.stages.includes("framing")) return <div className={middle}>Nothing is framed yet</div>;
  if (job.drawn < 0) return <div className={middle}>Being drawn …</div>;
  return (
    <img
      src={`/jobs/${job.id}/card.svg?revision=${job.drawn}`}
      alt=""
      loading="lazy"
      decoding="async"
      className="h-full w-full object-contain"
    />
  );
}
