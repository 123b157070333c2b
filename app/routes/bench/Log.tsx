import { shortHash, type Issue } from "core/job";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { marksOf } from "~/job/useCutMarks";
import { clockOf } from "~/job/useKeeping";
import { usePaper } from "~/job/usePaper";
import { LogNote } from "./LogNote";

const WORD = { print: "Jigs printed", cut: "Cut", uncut: "Taken back: not cut", done: "Done", undone: "Not done after all", skipped: "Skipped", note: "Note", measured: "Measured", lost: "Broken or lost" } as const; // prettier-ignore

/** An entry of the log in words, its pieces by their marks. `M` tells model mm. */
export function logWords(i: Issue, M: (mm: number, decimals?: number) => string): string {
  if (i.kind === "print") return `${WORD.print}, issue ${shortHash(i.hash)}`;
  if (i.kind === "cut" || i.kind === "uncut") return `${WORD[i.kind]}: ${marks(i)}`;
  const b = i.bench ?? {};
  const parts = [
    b.title ?? "",
    b.text ?? "",
    ...(b.lengths ?? []).map((l) => `${l.mark} is ${M(l.actual, 2)}, planned ${M(l.planned, 2)}`),
    b.joining && i.kind === "done" && b.joining.full > 0 ? `with ${b.joining.name.toLowerCase()}` : "",
    b.minutes !== undefined ? `${b.minutes} min` : "",
  ].filter(Boolean);
  return `${WORD[i.kind]}: ${parts.join("; ")}`.replace(/: $/, "");
}
const marks = (i: Issue): string =>
  marksOf(i.sticks, new Map(i.pieces.flatMap((p) => p.sticks.map((s) => [s, p.mark] as const))), Infinity);

/** Pixels of a tile; the coarsest one holds the whole picture in its upper left corner. */
const TILE = 512;
/** How large a picture of the log is shown at most, pixels. */
const SHOWN = 360;
function Picture({ hash, width, height, alt }: { hash: string; width: number; height: number; alt: string }) {
  const part = 2 ** -Math.max(0, Math.ceil(Math.log2(Math.max(width, height) / TILE)));
  const [w, h] = [width * part, height * part];
  const k = Math.min(1, SHOWN / Math.max(w, h));
  return (
    <span className="mt-1 block overflow-hidden border border-hair" style={{ width: w * k, height: h * k }}>
      <img src={`/pictures/${hash}`} alt={alt} className="max-w-none" style={{ width: TILE * k, height: TILE * k }} />
    </span>
  );
}

/** What happened when, the last first; only ever added to. */
export function Log() {
  const { id, issues } = useJob();
  const { M } = useUnits();
  const [paper] = usePaper();
  return (
    <>
      <section className="max-w-4xl" aria-label="Write it down">
        <LogNote />
      </section>
      <p className="my-2 flex gap-4 text-[15px]">
        {issues.length > 0 && (
          <a className="link" href={`/jobs/${id}/log.zip`} download>
            The log as text with its pictures (ZIP)
          </a>
        )}
        {issues.length > 0 && (
          <a className="link" href={`/jobs/${id}/log.pdf?paper=${paper}`} download>
            The log as a book (PDF)
          </a>
        )}
      </p>
      <ul className="max-w-4xl">
        {[...issues].reverse().map((i) => (
          <li key={i.id} className="row flex gap-5 py-2 text-[17px]">
            <span className="w-40 shrink-0 text-ink-2">
              {i.at.slice(0, 10)} {clockOf(new Date(i.at))}
            </span>
            <span className="min-w-0">
              {logWords(i, M)}
              {i.bench?.picture && (
                <Picture {...i.bench.picture} alt={i.bench.text ?? i.bench.title ?? "Picture of the log"} />
              )}
            </span>
          </li>
        ))}
        {issues.length === 0 && <li className="text-ink-2">Nothing has happened yet.</li>}
      </ul>
    </>
  );
}
