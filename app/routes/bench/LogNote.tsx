import { useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import type { BenchNote, MeasuredLength } from "core/job";
import { parseLength, bareModel, parseNumber } from "core/units";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { sendPicture } from "~/sources/sendFile";
import { CaliperButton } from "~/ui/CaliperButton";
import { FileInput } from "~/ui/FileInput";
import type { ShownStep } from "~/workers/assembler";

/** Something to be written down: words, a picture dropped, pasted, chosen or taken, an actual length of one of the step's pieces. */
export function LogNote({ step, done }: { step?: ShownStep; done?: () => void }) {
  const job = useJob();
  const { M } = useUnits();
  const [text, setText] = useState("");
  const [busy, setBusy] = useState(false);
  const file = useRef<HTMLInputElement>(null);
  const about = step ? { step: step.id, title: step.title } : {};
  const keep = (bench: BenchNote): void => {
    job.note("note", { ...about, ...bench });
    toast("Noted in the log.", { id: "note" });
    done?.();
  };
  const take = async (f: File): Promise<void> => {
    setBusy(true);
    try {
      const { hash, width, height } = await sendPicture(job.id, f, f.name || "photograph");
      keep({ ...(text.trim() ? { text: text.trim() } : {}), picture: { hash, width, height } });
      setText("");
    } catch (e) {
      toast.error(`The picture was not taken. ${(e as Error).message}`);
    }
    setBusy(false);
  };
  const latest = useRef(take);
  latest.current = take;
  useEffect(() => {
    const pasted = (e: ClipboardEvent): void => {
      const f = [...(e.clipboardData?.files ?? [])].find((x) => x.type.startsWith("image/"));
      if (f) void latest.current(f);
    };
    window.addEventListener("paste", pasted);
    return () => window.removeEventListener("paste", pasted);
  }, []);
  return (
    <div
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        const f = [...e.dataTransfer.files].find((x) => x.type.startsWith("image/"));
        if (f) void take(f);
      }}
    >
      <textarea
        className="field"
        rows={2}
        aria-label="Note"
        placeholder="What went wrong and how it was saved, what was changed and why …"
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <div className="mt-1.5 flex flex-wrap gap-2">
        <button
          className="btn min-h-11"
          disabled={text.trim() === ""}
          onClick={() => {
            keep({ text: text.trim() });
            setText("");
          }}
        >
          Note it
        </button>
        <FileInput input={file} label="Picture for the log" accept="image/*" chosen={(f) => void take(f)} />
        <button className="btn min-h-11" disabled={busy} onClick={() => file.current?.click()}>
          {busy ? "Sending …" : "Add a picture"}
        </button>
      </div>
      {step && <Took keep={(minutes) => keep({ minutes })} />}
      {step && step.marks.length > 0 && <Length step={step} M={M} />}
    </div>
  );
}

/** How long a step took: the next plan of the evenings goes by it. */
function Took({ keep }: { keep: (minutes: number) => void }) {
  const [text, setText] = useState("");
  const n = parseNumber(text);
  return (
    <form
      className="mt-2 flex items-end gap-2 text-[15px]"
      onSubmit={(e) => {
        e.preventDefault();
        keep(n);
        setText("");
      }}
    >
      <label className="flex flex-col">
        It took, minutes
        <input className="field !w-28" inputMode="decimal" value={text} onChange={(e) => setText(e.target.value)} />
      </label>
      <button className="btn min-h-11" disabled={!(n > 0 && n <= 10_000)}>
        Keep the time
      </button>
    </form>
  );
}

/** The actual length of a piece beside the planned one, typed or from the caliper. */
function Length({ step, M }: { step: ShownStep; M: (mm: number, decimals?: number) => string }) {
  const { note, doc, design } = useJob();
  const [at, setAt] = useState(0);
  const [text, setText] = useState("");
  const [said, setSaid] = useState("");
  const mark = step.marks[Math.min(at, step.marks.length - 1)]!;
  const keep = (mm: number): void => {
    if (!(mm > 0 && Math.abs(mm - mark.overall) <= Math.max(5, 0.2 * mark.overall))) return setSaid(`Read ${M(mm, 2)}; ${mark.mark} is ${M(mark.overall, 2)} long. Measure it again, tip to tip.`); // prettier-ignore
    const own = design.pieces.find((p) => p.mark === mark.mark)?.sticks.find((s) => step.sticks.includes(s));
    const one: MeasuredLength = { stick: own ?? step.sticks[0]!, mark: mark.mark, planned: mark.overall, actual: mm };
    note("measured", { step: step.id, title: step.title, lengths: [one] });
    const off = mm - mark.overall;
    toast(Math.abs(off) < 0.05 ? `${mark.mark} is as planned.` : `${mark.mark} is ${M(Math.abs(off), 2)} too ${off > 0 ? "long: trim it" : "short"}.`, { id: "note" }); // prettier-ignore
    setText("");
    setSaid("");
  };
  return (
    <form
      className="mt-2 flex flex-wrap items-end gap-2 text-[15px]"
      onSubmit={(e) => {
        e.preventDefault();
        const p = parseLength(text, bareModel(doc.brief.units.model));
        if (p.ok) keep(p.mm);
        else setSaid(p.error);
      }}
    >
      <label className="flex flex-col">
        Actual length of
        <select className="field !w-40" value={at} onChange={(e) => setAt(Number(e.target.value))}>
          {step.marks.map((m, i) => (
            <option key={m.mark} value={i}>
              {m.mark}, planned {M(m.overall, 2)}
            </option>
          ))}
        </select>
      </label>
      <label className="flex flex-col">
        It is
        <input
          className="field !w-28"
          value={text}
          onChange={(e) => setText(e.target.value)}
          placeholder={M(mark.overall, 2)}
        />
      </label>
      <button className="btn min-h-11" disabled={text.trim() === ""}>
        Keep the length
      </button>
      <CaliperButton near={mark.overall} M={M} take={keep} />
      {said && (
        <p role="alert" className="w-full text-fault">
          {said}
        </p>
      )}
    </form>
  );
}
