import { useRef, useState } from "react";
import type { DrawingDoc } from "core/job";
import { useJob } from "~/job/JobContext";
import { WorkStopped } from "~/job/Endable";
import { openFile, type OpenPdf } from "~/sources/openFile";
import { sendLines, sendPicture } from "~/sources/sendFile";
import { FileInput } from "~/ui/FileInput";
import { Next } from "~/ui/Next";
import type { ReadLines } from "~/workers/readLines";
import { PdfPages } from "./PdfPages";
import { Sheet } from "./Sheet";
import { newId } from "./sheet";
import { WorkProgress, type Work } from "./WorkProgress";

const ACCEPTED = "image/png,image/jpeg,image/webp,image/tiff,application/pdf,image/svg+xml,.dxf,.tif,.tiff,.svg,.pdf";

/** Drawings and photographs of the prototype: taken in, scaled, measured, traced. */
export default function Drawings() {
  const job = useJob();
  const [which, setWhich] = useState<string>();
  const [progress, setProgress] = useState<Work["progress"]>();
  const [refused, setRefused] = useState<string>();
  const [pdf, setPdf] = useState<{ readonly doc: OpenPdf; readonly name: string }>();
  const file = useRef<HTMLInputElement>(null);
  const drawing = job.doc.drawings.find((d) => d.id === which) ?? job.doc.drawings[0];

  const stopping = useRef<AbortController>(undefined);
  const work: Work = { progress, stop: () => stopping.current?.abort() };
  /** Does what may be refused or stopped, with a word about it meanwhile; nothing else of the job is touched then. */
  const taking = async (what: string, act: (signal: AbortSignal) => Promise<void>): Promise<void> => {
    const controller = (stopping.current = new AbortController());
    setProgress({ what });
    setRefused(undefined);
    try {
      await act(controller.signal);
    } catch (e) {
      if (e instanceof WorkStopped) setRefused("Stopped; nothing was taken in.");
      else setRefused(e instanceof TypeError ? "The upload broke off. Try it again." : (e as Error).message);
    } finally {
      setProgress(undefined);
    }
  };
  const add = (name: string, d: Pick<DrawingDoc, "picture" | "lines" | "calibration">): void => {
    const id = newId("p");
    const refusedWhy = job.edit(
      `Upload ${name}`.slice(0, 100),
      (x) => void x.drawings.push({ id, name, measures: [], openings: [], under: [], ...d }),
    );
    if (refusedWhy.length > 0) throw new Error(refusedWhy[0]);
    setWhich(id);
  };
  const keep = async (
    name: string,
    what: { picture?: Blob; lines?: ReadLines; unit?: number },
    signal: AbortSignal,
    fileName = name,
  ): Promise<void> => {
    const told = (done: number): void =>
      setProgress(done < 1 ? { what: "Sending it", done } : { what: "Looking at it and keeping it" });
    const lines = what.lines && (await sendLines(job.id, what.lines, { signal, told }));
    const picture = what.picture && (await sendPicture(job.id, what.picture, fileName, { signal, told }));
    // what is drawn at full size, in known units, is to scale as it is
    const full = what.lines && what.lines.of === "real" && what.lines.unit > 0;
    const stated = full
      ? {
          calibration: { lengths: [], stated: { ratio: 1, unit: what.lines!.unit }, stretch: "auto" as const, tilt: 0 },
        }
      : {};
    add(name, {
      ...(picture ? { picture: { ...picture, ...(what.unit ? { unit: what.unit } : {}) } } : {}),
      ...(lines ? { lines } : {}),
      ...stated,
    });
  };
  const upload = (f: File): Promise<void> =>
    taking("Taking it in", async (signal) => {
      const name = f.name.replace(/\.[a-z0-9]+$/i, "").slice(0, 100) || "Drawing";
      const opened = await openFile(f, signal, (what) => setProgress({ what }));
      if (opened.kind === "picture") await keep(name, { picture: opened.file }, signal, f.name);
      else if (opened.kind === "lines") await keep(name, { lines: opened.lines }, signal);
      else if (opened.doc.pages === 1) await page(opened.doc, name, 1, signal);
      else setPdf({ doc: opened.doc, name });
    });
  const page = async (doc: OpenPdf, name: string, n: number, signal: AbortSignal): Promise<void> => {
    try {
      const got = await doc.page(n, signal);
      await keep(doc.pages > 1 ? `${name}, page ${n}` : name, got, signal);
    } finally {
      doc.close();
    }
  };
  const start = (): void => file.current?.click();
  return (
    <div
      className="flex h-full flex-col"
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        const f = e.dataTransfer.files[0];
        if (f) void upload(f);
      }}
    >
      <FileInput input={file} label="Picture" accept={ACCEPTED} chosen={(f) => void upload(f)} />
      {pdf && (
        <PdfPages
          doc={pdf.doc}
          close={() => {
            pdf.doc.close();
            setPdf(undefined);
          }}
          choose={(n) => {
            setPdf(undefined);
            void taking("Reading the page", (signal) => page(pdf.doc, pdf.name, n, signal));
          }}
        />
      )}
      {drawing ? (
        <Sheet key={drawing.id} drawing={drawing} setWhich={setWhich} upload={start} work={work} refused={refused} />
      ) : (
        <div className="max-w-2xl p-10">
          <h2 className="head text-[27px]">No drawing yet</h2>
          <p className="my-3">
            Upload a plan sheet, a field drawing or a photo, straight or slanted. A known length gives it its scale;
            then everything on it can be measured, traced into a frame of its own, or laid under one.
          </p>
          {progress ? (
            <div className="my-3 max-w-md">
              <WorkProgress work={work} />
            </div>
          ) : (
            <button className="act my-3" onClick={start}>
              Upload a drawing
            </button>
          )}
          <p className="text-[15px] text-ink-2">
            PNG, JPEG, WebP or TIFF up to 160 megapixels (an A0 sheet at 300 dpi); PDF, of which you choose the page;
            SVG; DXF. You can drop it here too. The demo jobs have a scan, a slanted photograph and a vector plan.
          </p>
          {refused && (
            <p role="alert" className="my-4 border-l-[3px] border-fault bg-shade px-4 py-2 text-fault">
              {refused}
            </p>
          )}
          <div className="mt-8">
            <Next />
          </div>
        </div>
      )}
    </div>
  );
}
