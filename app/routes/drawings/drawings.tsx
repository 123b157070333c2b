import { useRef, useState } from "react";
import { useJob } from "~/job/JobContext";
import { Next } from "~/ui/Next";
import { Sheet } from "./Sheet";

/** Pictures of the prototype: uploaded, calibrated, measured. */
export default function Drawings() {
  const job = useJob();
  const [which, setWhich] = useState<string>();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string>();
  const file = useRef<HTMLInputElement>(null);
  const drawing = job.doc.drawings.find((d) => d.id === which) ?? job.doc.drawings[0];
  const upload = async (f: File): Promise<void> => {
    setBusy(true);
    setRefused(undefined);
    try {
      const body = new FormData();
      body.set("file", f);
      const a = (await (await fetch(`/jobs/${job.id}/pictures`, { method: "POST", body })).json()) as {
        ok: boolean;
        sentence?: string;
        picture?: { hash: string; type: string; width: number; height: number };
      };
      if (!a.picture) return setRefused(a.sentence ?? "The picture was not taken.");
      const { hash, type, width, height } = a.picture;
      const id = `p${crypto.randomUUID().slice(0, 6)}`;
      const name = f.name.replace(/\.[a-z0-9]+$/i, "").slice(0, 100) || "Drawing";
      job.edit(
        `Upload ${name}`,
        (d) => void d.drawings.push({ id, name, picture: { hash, type, width, height }, measures: [] }),
      );
      setWhich(id);
    } catch {
      setRefused("The upload broke off. Try it again.");
    } finally {
      setBusy(false);
    }
  };
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
        accept="image/png,image/jpeg,image/webp"
        className="sr-only"
        tabIndex={-1}
        aria-label="Picture"
        onChange={(e) => {
          const f = e.target.files?.[0];
          if (f) void upload(f);
          e.target.value = "";
        }}
      />
      {drawing ? (
        <Sheet
          key={drawing.id}
          drawing={drawing}
          setWhich={setWhich}
          upload={() => file.current?.click()}
          busy={busy}
          refused={refused}
        />
      ) : (
        <div className="max-w-2xl p-10">
          <h2 className="head text-[27px]">No drawing yet</h2>
          <p className="my-3">
            Upload a plan sheet, a field drawing or a straight photo. Two points and a known length give it its scale;
            then everything on it can be measured, and it can lie under the frame.
          </p>
          <button className="act my-3" disabled={busy} onClick={() => file.current?.click()}>
            {busy ? "Taking it in …" : "Upload a drawing"}
          </button>
          <p className="text-[15px] text-ink-2">
            PNG, JPEG or WebP, up to 160 megapixels (an A0 sheet at 300 dpi). You can drop it here too. The demo job
            “Gulch trestle” has one.
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
