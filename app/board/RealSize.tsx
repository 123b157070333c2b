import { useState } from "react";
import { parseLength } from "core/units";
import { Modal } from "~/ui/Modal";

const STORE = "cardo-pixels-per-mm";
/** A screen is taken to have 96 pixels to the inch until somebody has measured it. */
const ASSUMED = 96 / 25.4;
const BAR = 378;

function stored(): number | undefined {
  try {
    const n = Number(localStorage.getItem(STORE));
    return n > 1 && n < 40 ? n : undefined;
  } catch {
    return undefined;
  }
}

/** Shows the model at real size on a screen that was measured once. */
export function RealSize({ onSize }: { onSize: (pixelsPerMm: number) => void }) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState("");
  const [error, setError] = useState<string>();
  const measured = (): void => {
    const p = parseLength(text, "mm");
    const perMm = p.ok ? BAR / p.mm : NaN;
    if (!(perMm > 1 && perMm < 40))
      return setError(p.ok ? `Read “${text}”; the bar should be between 10 and 300 mm long.` : p.error);
    try {
      localStorage.setItem(STORE, String(perMm));
    } catch {
      // no storage: it is asked again next time
    }
    setOpen(false);
    onSize(perMm);
  };
  return (
    <>
      <button
        type="button"
        className="btn !px-2.5"
        title="Real size on this screen (Shift: measure the screen again)"
        onClick={(e) => (stored() && !e.shiftKey ? onSize(stored()!) : setOpen(true))}
      >
        Real size
      </button>
      <Modal open={open} onClose={() => setOpen(false)} title="Measure this screen once">
        <p className="my-3">
          Lay a rule on the screen and measure this bar; then the model can be shown at its real size.
        </p>
        <div className="my-4 h-4 bg-ink" style={{ width: BAR }} />
        <form
          className="flex items-end gap-3"
          onSubmit={(e) => {
            e.preventDefault();
            measured();
          }}
        >
          <label className="flex-1">
            Length of the bar (a bare number is millimetres)
            <input
              autoFocus
              className="field"
              value={text}
              placeholder={`about ${(BAR / ASSUMED).toFixed(0)}`}
              onChange={(e) => setText(e.target.value)}
            />
          </label>
          <button className="act">Show at real size</button>
        </form>
        {error && (
          <p role="alert" className="mt-2 text-fault">
            {error}
          </p>
        )}
      </Modal>
    </>
  );
}
