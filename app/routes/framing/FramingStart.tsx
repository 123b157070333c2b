import { Link } from "react-router";
import { newStructure } from "core/job";
import { KINDS } from "core/structures";
import { useJob } from "~/job/JobContext";
import { Next } from "~/ui/Next";

/** What to do when nothing is framed yet. */
export function FramingStart() {
  const job = useJob();
  const add = (kind: string, name: string, values = {}): void =>
    void job.edit(
      `Frame a ${name.toLowerCase()}`,
      (d) =>
        void d.structures.push(
          newStructure(kind, `s${crypto.randomUUID().slice(0, 6)}`, name, structuredClone(values)),
        ),
    );
  return (
    <div className="max-w-2xl p-10">
      <h2 className="head text-[27px]">Nothing is framed yet</h2>
      <p className="my-3">
        Choose what to frame. It starts with usual sizes; then press any figure on the drawing and type, or drag the red
        squares, until it is yours. A calibrated drawing from the Drawings stage can lie under it.
      </p>
      <div className="my-5 flex flex-wrap gap-3">
        {KINDS.filter((k) => k.id !== "traced").map((k) => (
          <button key={k.id} className="act" onClick={() => add(k.id, k.name)}>
            Frame a {k.name.toLowerCase()}
          </button>
        ))}
        <Link className="btn inline-flex items-center" to={`/jobs/${job.id}/drawings`}>
          Trace one over a drawing
        </Link>
      </div>
      {KINDS.filter((k) => k.starts).map((k) => (
        <p key={k.id} className="-mt-2 mb-5">
          {k.name}s may start as{" "}
          {k.starts!.map((x, i) => (
            <span key={x.name}>
              {i > 0 && ", "}
              <button className="link" onClick={() => add(k.id, x.name, x.params)}>
                {x.name.toLowerCase()}
              </button>
            </span>
          ))}
          .
        </p>
      ))}
      <p className="mb-6 text-ink-2">
        The demo job “Gulch trestle” on the Shelf shows one already fitted over its plan sheet.
      </p>
      <Next />
    </div>
  );
}
