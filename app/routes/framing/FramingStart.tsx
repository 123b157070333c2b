import { lazy, Suspense } from "react";
import { Link } from "react-router";
import { useJob } from "~/job/JobContext";
import { Next } from "~/ui/Next";

const KindChooser = lazy(() => import("./KindChooser"));

/** What to do when nothing is framed yet: everything that can be, as pictures. */
export function FramingStart() {
  const job = useJob();
  return (
    <div className="h-full overflow-auto">
      <div className="max-w-6xl px-8 py-5">
        <div className="flex flex-wrap items-end gap-4">
          <div className="max-w-2xl">
            <h2 className="head text-[27px]">What will you frame?</h2>
            <p className="mt-1">
              Press a picture. It starts with usual sizes; then press any figure on the drawing and type, or drag the
              red squares, until it is yours.
            </p>
          </div>
          <Link className="btn ml-auto inline-flex items-center" to={`/jobs/${job.id}/drawings`}>
            Trace one over a drawing
          </Link>
        </div>
        <div className="mt-5">
          <Suspense fallback={<p className="text-ink-2">Fetching the pictures …</p>}>
            <KindChooser choose={(s) => job.edit(`Frame: ${s.name}`, (d) => void d.structures.push(s))} />
          </Suspense>
        </div>
        <p className="mt-8 mb-4 text-ink-2">
          The demo job “Gulch trestle” on the Shelf shows one already fitted over its plan sheet.
        </p>
        <div className="max-w-md">
          <Next />
        </div>
      </div>
    </div>
  );
}
