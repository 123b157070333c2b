import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from "@headlessui/react";
import { useEffect, useRef, useState } from "react";
import type { OpenPdf } from "~/sources/openFile";

/** How many pages are shown at once, and how wide each is, pixels. */
const SHOWN = 12;
const WIDE = 170;

/** Asks which page of a PDF is wanted. */
export function PdfPages({ doc, choose, close }: { doc: OpenPdf; choose: (page: number) => void; close: () => void }) {
  const [from, setFrom] = useState(1);
  const last = Math.min(doc.pages, from + SHOWN - 1);
  const shown = Array.from({ length: last - from + 1 }, (_, i) => from + i);
  return (
    <Dialog open onClose={close} className="relative z-40">
      <DialogBackdrop className="fixed inset-0 bg-ink/40" />
      <div className="fixed inset-0 grid place-items-center p-6">
        <DialogPanel className="max-h-full w-[860px] max-w-full overflow-auto border border-edge bg-film p-6">
          <DialogTitle className="head text-[23px]">Which page?</DialogTitle>
          <p className="mt-1 text-[15px] text-ink-2">
            The PDF has {doc.pages} pages. Each page that you take is a drawing of its own.
          </p>
          <ul className="mt-4 grid grid-cols-4 gap-4">
            {shown.map((n) => (
              <li key={n}>
                <button className="w-full border border-hair p-1.5 hover:border-vermilion" onClick={() => choose(n)}>
                  <Thumbnail doc={doc} page={n} />
                  <span className="head text-[16px]">Page {n}</span>
                </button>
              </li>
            ))}
          </ul>
          <div className="mt-4 flex justify-end gap-2">
            {doc.pages > SHOWN && (
              <>
                <button className="btn" disabled={from === 1} onClick={() => setFrom(from - SHOWN)}>
                  Earlier
                </button>
                <button className="btn" disabled={last === doc.pages} onClick={() => setFrom(from + SHOWN)}>
                  Later
                </button>
              </>
            )}
            <button className="btn" onClick={close}>
              None of them
            </button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
function Thumbnail({ doc, page }: { doc: OpenPdf; page: number }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    let here = true;
    doc.thumbnail(page, WIDE).then(
      (picture) => {
        if (!here || !canvas.current) return picture.close();
        canvas.current.width = picture.width;
        canvas.current.height = picture.height;
        canvas.current.getContext("bitmaprenderer")!.transferFromImageBitmap(picture);
      },
      // a page that cannot be drawn can still be chosen, which says why
      () => undefined,
    );
    return () => void (here = false);
  }, [doc, page]);
  return (
    <div className="grid min-h-[120px] place-items-center bg-shade">
      <canvas ref={canvas} width={WIDE} height={1} className="w-full" />
    </div>
  );
}
