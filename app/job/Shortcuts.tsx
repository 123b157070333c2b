import { Suspense, useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { toast } from "sonner";
import { Modal } from "~/ui/Modal";
import { STAGES } from "~/ui/StageLine";
import { useFrames, useJob } from "./JobContext";

const KEYS: readonly (readonly [string, string])[] = [
  ["1–8", "Go to a stage, Shelf to Bench"],
  ["/", "Find a piece mark or a stick"],
  ["F", "Fit the drawing"],
  ["M", "Measure"],
  ["U", "Flip the units"],
  ["[  ]", "Step through the pieces"],
  ["↑ ↓ ← →", "On the drawing: move a cross, with Shift finely; Space presses there"],
  ["Esc", "Let go of what is selected, leave a tool"],
  ["Ctrl Z", "Undo"],
  ["Ctrl Shift Z", "Redo"],
  ["?", "This list"],
];
/** Stages on which the design is edited. */
const EDITED = new Set(["brief", "drawings", "framing", "stock", "cutting"]);
const OFF = "cardo-single-keys-off";
export const openHelp = (): void => void window.dispatchEvent(new Event("cardo-help"));
/** Single keys that a board answers to are sent on as events of the window. */
export const BOARD_KEY = "cardo-key";

/** Keyboard shortcuts of a job, the list of them, and the finder. */
export function Shortcuts() {
  const job = useJob();
  const go = useNavigate();
  const [help, setHelp] = useState(false);
  const [find, setFind] = useState(false);
  const [off, setOff] = useState(false);
  const api = useRef(job);
  api.current = job;
  useEffect(() => {
    try {
      setOff(localStorage.getItem(OFF) === "1");
    } catch {
      // no storage: single keys stay on
    }
    const open = (): void => setHelp(true);
    window.addEventListener("cardo-help", open);
    return () => window.removeEventListener("cardo-help", open);
  }, []);
  useEffect(() => {
    const on = (e: KeyboardEvent): void => {
      const target = e.target as HTMLElement;
      if (e.defaultPrevented || target.closest("input, textarea, select, [role=dialog], [contenteditable]")) return;
      const j = api.current;
      const letter = e.key.toLowerCase();
      if ((e.ctrlKey || e.metaKey) && (letter === "z" || letter === "y")) {
        e.preventDefault();
        // only where one sees what it undoes
        if (!EDITED.has(location.pathname.split("/")[3] ?? ""))
          return void toast("Undo works where the design is edited: on the stages from Brief to Cutting.", {
            id: "undo",
          });
        return letter === "y" || e.shiftKey ? j.redo() : j.undo();
      }
      if (e.ctrlKey || e.metaKey || e.altKey) return;
      if (e.key === "?") return setHelp(true);
      if (off) return;
      if (/^[1-8]$/.test(e.key)) {
        const stage = STAGES[Number(e.key) - 1]!.id;
        return void go(stage === "shelf" ? "/" : `/jobs/${j.id}/${stage}`);
      }
      if (e.key === "/") {
        e.preventDefault();
        return setFind(true);
      }
      if (e.key.toLowerCase() === "u")
        return void j.edit(
          "Flip units",
          (d) =>
            void (d.brief.units =
              d.brief.units.prototype === "m" ? { prototype: "ft-in", model: "in" } : { prototype: "m", model: "mm" }),
        );
      if (e.key === "Escape") return j.select(undefined);
      if (e.key === "[" || e.key === "]") {
        return j.whenFramed(() => {
          const pieces = j.design.pieces;
          const at = pieces.findIndex((p) => p.sticks.includes(j.selected ?? ""));
          const next = pieces[(at + (e.key === "]" ? 1 : -1) + pieces.length) % pieces.length];
          j.select(next?.sticks[0]);
        });
      }
      window.dispatchEvent(new CustomEvent(BOARD_KEY, { detail: e.key.toLowerCase() }));
    };
    window.addEventListener("keydown", on);
    return () => window.removeEventListener("keydown", on);
  }, [go, off]);
  const switchKeys = (v: boolean): void => {
    setOff(v);
    try {
      localStorage.setItem(OFF, v ? "1" : "0");
    } catch {
      // no storage: it lasts as long as the page
    }
  };
  return (
    <>
      <Modal open={help} onClose={() => setHelp(false)} title="Shortcuts">
        <table className="list my-3">
          <tbody>
            {KEYS.map(([k, what]) => (
              <tr key={k}>
                <td className="head w-32">{k}</td>
                <td>{what}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <label className="flex items-center gap-2">
          <input type="checkbox" checked={off} onChange={(e) => switchKeys(e.target.checked)} /> Switch single keys off
          (those with Ctrl stay)
        </label>
      </Modal>
      <Modal open={find} onClose={() => setFind(false)} title="Find a piece">
        <Suspense fallback={null}>
          <Finder done={() => setFind(false)} />
        </Suspense>
      </Modal>
    </>
  );
}

function Finder({ done }: { done: () => void }) {
  const { design, doc, select } = useJob();
  useFrames(doc);
  const [text, setText] = useState("");
  const words = text.trim().toLowerCase();
  const hits = design.pieces.filter(
    (p) => words && [p.mark, p.role, ...p.sticks].some((t) => t.toLowerCase().includes(words)),
  );
  const pick = (stick: string | undefined): void => {
    if (!stick) return;
    select(stick);
    done();
  };
  return (
    <form
      className="mt-3"
      onSubmit={(e) => {
        e.preventDefault();
        pick(hits[0]?.sticks[0]);
      }}
    >
      <input
        autoFocus
        className="field"
        aria-label="Piece mark, role or place"
        placeholder="P1, sway brace, cap …"
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <ul className="mt-2">
        {hits.slice(0, 12).map((p) => (
          <li key={p.mark} className="row">
            <button
              type="button"
              className="flex w-full gap-3 py-1.5 text-left hover:bg-shade"
              onClick={() => pick(p.sticks[0])}
            >
              <b className="head w-12">{p.mark}</b> {p.role}{" "}
              <span className="ml-auto text-ink-2">{p.sticks.length} alike</span>
            </button>
          </li>
        ))}
        {words && hits.length === 0 && (
          <li className="py-2 text-ink-2">No piece mark or stick has “{text.trim()}” in it.</li>
        )}
      </ul>
    </form>
  );
}
