import { useJob } from "~/job/JobContext";
import { TextField } from "~/ui/Fields";
import { useSheet } from "./sheet";
import { WorkProgress, type Work } from "./WorkProgress";

/** All drawings of the job: which is in hand, its name, and another. */
export function DrawingsList({
  setWhich,
  upload,
  work,
  refused,
}: {
  setWhich: (id: string) => void;
  upload: () => void;
  work: Work;
  refused: string | undefined;
}) {
  const job = useJob();
  const { drawing, change } = useSheet();
  return (
    <section>
      <h2 className="label">Drawings</h2>
      <ul>
        {job.doc.drawings.map((d) => (
          <li key={d.id} className="row flex items-center gap-2 py-1">
            <button
              className={`min-w-0 flex-1 truncate text-left ${d.id === drawing.id ? "font-semibold" : ""}`}
              aria-current={d.id === drawing.id}
              onClick={() => setWhich(d.id)}
            >
              {d.name}
            </button>
            <button
              className="link text-[15px]"
              aria-label={`Remove the drawing ${d.name}`}
              onClick={() =>
                job.edit(
                  `Remove ${d.name}`.slice(0, 100),
                  (x) => void (x.drawings = x.drawings.filter((y) => y.id !== d.id)),
                )
              }
            >
              Remove
            </button>
          </li>
        ))}
      </ul>
      <div className="mt-2">
        {work.progress ? (
          <WorkProgress work={work} />
        ) : (
          <button className="btn" onClick={upload}>
            Upload another
          </button>
        )}
      </div>
      {refused && (
        <p role="alert" className="mt-2 border-l-[3px] border-fault pl-2 text-[15px] text-fault">
          {refused}
        </p>
      )}
      <div className="mt-3">
        <TextField
          label="Name"
          value={drawing.name}
          keep={(t) =>
            t.trim()
              ? void change("Rename the drawing", (d) => void (d.name = t.trim().slice(0, 120)))
              : ["A drawing needs a name."]
          }
        />
      </div>
    </section>
  );
}
