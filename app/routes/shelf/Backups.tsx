import { useEffect, useRef, useState } from "react";
import { useRevalidator } from "react-router";
import type { Restored } from "~/data/restore.server";
import { FileInput } from "~/ui/FileInput";
import { Modal } from "~/ui/Modal";

const weight = (bytes: number): string => (bytes < 1e6 ? "under 1 MB" : `about ${Math.round(bytes / 1e6)} MB`);
const jobs = (n: number): string => (n === 1 ? "one job" : `${n} jobs`);

/** Everything as one file, and such a file put in the place of everything. */
export function Backups({ count }: { count: number }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button className="btn" onClick={() => setOpen(true)}>
        Back up or restore
      </button>
      <Modal open={open} onClose={() => setOpen(false)} title="Back up or restore">
        <BackUp count={count} />
        <Restore count={count} />
      </Modal>
    </>
  );
}

function BackUp({ count }: { count: number }) {
  const [bytes, setBytes] = useState<number>();
  useEffect(() => {
    let here = true;
    void fetch("/backup?size")
      .then((r) => r.json() as Promise<{ bytes: number }>)
      .then(
        (s) => here && setBytes(s.bytes),
        () => undefined,
      );
    return () => void (here = false);
  }, []);
  return (
    <section className="mt-3">
      <p>
        A backup is one file with everything: {jobs(count)}, what was printed and cut, the history that Undo needs, and
        all drawings{bytes === undefined ? "" : ` (${weight(bytes)})`}. Keep it on another disk.
      </p>
      <p className="mt-3">
        <a className="act" href="/backup" download>
          Download a backup
        </a>
      </p>
    </section>
  );
}

function Restore({ count }: { count: number }) {
  const { revalidate } = useRevalidator();
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<File>();
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState<{ readonly ok: boolean; readonly words: string }>();
  const restore = async (): Promise<void> => {
    setBusy(true);
    setSaid(undefined);
    try {
      const r = await fetch("/restore", {
        method: "POST",
        body: file!,
        headers: { "content-type": "application/zip" },
      });
      const answer = (await r.json()) as { ok: true; restored: Restored } | { ok: false; sentence: string };
      setSaid({ ok: answer.ok, words: answer.ok ? backAgain(answer.restored) : answer.sentence });
      if (answer.ok) await revalidate();
    } catch {
      setSaid({ ok: false, words: "The server did not answer. Look whether it runs, then do it again." });
    }
    setFile(undefined);
    setBusy(false);
  };
  return (
    <section className="mt-5 border-t border-hair pt-4">
      <p>
        Restoring puts a backup in the place of everything on this shelf. What is here now stays beside the database
        under another name.
      </p>
      <FileInput
        input={input}
        label="Backup"
        accept=".zip,application/zip"
        chosen={(f) => {
          setSaid(undefined);
          setFile(f);
        }}
      />
      {file && !busy && (
        <p className="mt-3 border-l-[3px] border-vermilion pl-3">
          {count === 0
            ? `“${file.name}” is put on the shelf, which is empty.`
            : `${count === 1 ? "The one job" : `All ${count} jobs`} on this shelf give${count === 1 ? "s" : ""} way to what is in “${file.name}”.`}
        </p>
      )}
      <p className="mt-3 flex flex-wrap gap-2">
        {file && (
          <button className="act" disabled={busy} onClick={() => void restore()}>
            {busy ? "Putting it in place …" : "Restore it"}
          </button>
        )}
        {!busy && (
          <button className="btn" onClick={() => input.current?.click()}>
            {file ? "Choose another" : "Choose a backup"}
          </button>
        )}
      </p>
      <p role="status" className={`mt-3 empty:hidden ${said?.ok === false ? "text-fault" : ""}`}>
        {said?.words}
      </p>
    </section>
  );
}
function backAgain({ madeAt, jobs: n, before }: Restored): string {
  const at = new Date(madeAt);
  const when = `${at.toLocaleDateString("en-CA")} at ${at.toLocaleTimeString("en-GB").slice(0, 5)}`;
  return `${n === 1 ? "One job is" : `${n} jobs are`} back as of ${when}.${before ? ` What was here before is kept as ${before}.` : ""}`;
}
