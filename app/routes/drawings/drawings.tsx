import type { PDFDocumentProxy } from "pdfjs-dist";
import { useRef, useState } from "react";
import type { DrawingDoc } from "core/job";
import type { SheetLines } from "core/sources";
import { useJob } from "~/job/JobContext";
import { openFile, openPdfPage } from "~/sources/openFile";
import { sendLines, sendPicture } from "~/sources/sendFile";
import { Next } from "~/ui/Next";
import { PdfPages } from "./PdfPages";
import { Sheet } from "./Sheet";
import { newId } from "./sheet";

const ACCEPTED = "image/png,image/jpeg,image/webp,image/tiff,application/pdf,image/svg+xml,.dxf,.tif,.tiff,.svg,.pdf";

/** Drawings and photographs of the prototype: taken in, scaled, measured, traced. */
export default function Drawings() {
  const job = useJob();
  const [which, setWhich] = useState<string>();
  const [busy, setBusy] = useState<string>();
  const [refused, setRefused] = useState<string>();
  const [pdf, setPdf] = useState<{ readonly doc: PDFDocumentProxy; readonly name: string }>();
  const file = useRef<HTMLInputElement>(null);
  const drawing = job.doc.drawings.find((d) => d.id === which) ?? job.doc.drawings[0];

  /** Does what may be refused, with a word about it meanwhile; nothing else of the job is touched when it is. */
  const taking = async (what: string, work: () => Promise<void>): Promise<void> => {
    setBusy(what);
    setRefused(undefined);
    try {
      await work();
    } catch (e) {
      setRefused(e instanceof TypeError ? "The upload broke off. Try it again." : (e as Error).message);
    } finally {
      setBusy(undefined);
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
    what: { picture?: Blob; lines?: SheetLines; unit?: number },
    fileName = name,
  ): Promise<void> => {
    const [picture, lines] = await Promise.all([
      what.picture && sendPicture(job.id, what.picture, fileName),
      what.lines && sendLines(job.id, what.lines),
    ]);
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
    taking("Taking it in …", async () => {
      const name = f.name.replace(/\.[a-z0-9]+$/i, "").slice(0, 100) || "Drawing";
      const opened = await openFile(f);
      if (opened.kind === "picture") await keep(name, { picture: opened.file }, f.name);
      else if (opened.kind === "lines") await keep(name, { lines: opened.lines });
      else if (opened.doc.numPages === 1) await page(opened.doc, name, 1);
      else setPdf({ doc: opened.doc, name });
    });
  const page = async (doc: PDFDocumentProxy, name: string, n: number): Promise<void> => {
    const got = await openPdfPage(doc, n);
    await keep(doc.numPages > 1 ? `${name}, page ${n}` : name, got);
    void doc.destroy();
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
      <input
        ref={file}
        type="file"
        accept={ACCEPTED}
        className="sr-only"
        tabIndex={-1}
        aria-label="Picture"
        onChange={(e) => {
          const f = e.target.files?.[0];
          if (f) void upload(f);
          e.target.value = "";
        }}
      />
      {pdf && (
        <PdfPages
          doc={pdf.doc}
          close={() => setPdf(undefined)}
          choose={(n) => {
            setPdf(undefined);
            void taking("Taking the page in …", () => page(pdf.doc, pdf.name, n));
          }}
        />
      )}
      {drawing ? (
        <Sheet key={drawing.id} drawing={drawing} setWhich={setWhich} upload={start} busy={busy} refused={refused} />
      ) : (
        <div className="max-w-2xl p-10">
          <h2 className="head text-[27px]">No drawing yet</h2>
          <p className="my-3">
            Upload a plan sheet, a field drawing or a photo, straight or slanted. A known length gives it its scale;
            then everything on it can be measured, traced into a frame of its own, or laid under one.
          </p>
          <button className="act my-3" disabled={busy !== undefined} onClick={start}>
            {busy ?? "Upload a drawing"}
          </button>
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
