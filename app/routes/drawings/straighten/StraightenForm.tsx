import { useState } from "react";
import { toast } from "sonner";
import { bow, fitLens, LENS_RANGE, sortCorners, type Keystone } from "core/prototype";
import { printNumber } from "core/units";
import { sheetSize } from "core/job";
import { useJob } from "~/job/JobContext";
import { sendPicture } from "~/sources/sendFile";
import { useWork } from "~/sources/useWork";
import { LengthField } from "~/ui/Fields";
import { WorkProgress } from "../WorkProgress";
import { kept, newId, useSheet } from "../sheet";
import { trustWords } from "./TrustNote";

/** Takes the keystone, and the lens's barrel, out of a photograph: it becomes a drawing of its own that measures true in one plane. */
export function StraightenForm({ open }: { open: (id: string) => void }) {
  const job = useJob();
  const sheet = useSheet();
  const { drawing, points, setPoints, lens, setLens, guides, setGuides, choose } = sheet;
  const work = useWork();
  const [width, setWidth] = useState<number>();
  const [height, setHeight] = useState<number>();
  const [fault, setFault] = useState<string>();
  const size = sheetSize(drawing);
  const frame = { width: size.width, height: size.height };
  let keystone: Keystone | undefined;
  let said = "";
  if (points.length === 4 && width && height)
    try {
      keystone = { corners: sortCorners(points), width, height, lens: { k: lens, ...frame } };
      said = trustWords(keystone);
    } catch (e) {
      keystone = undefined;
      said = (e as Error).message;
    }
  const straighten = async (): Promise<void> => {
    setFault(undefined);
    try {
      const done = await work.run((w, told) => w.straighten(drawing.picture!, keystone!, told));
      if (!done) return;
      const name = `${drawing.name}, straightened`.slice(0, 120);
      const picture = await sendPicture(job.id, done.blob, "straightened.jpg");
      const id = newId("p");
      const k = keystone!;
      const refused = job.edit(`Straighten ${drawing.name}`.slice(0, 100), (d) => {
        d.drawings.push({
          id,
          name,
          picture,
          calibration: { lengths: [], stated: { ratio: 1, unit: 1 / done.laid.perMm }, stretch: "auto", tilt: 0 },
          measures: [],
          openings: [],
          under: [],
          straightened: {
            drawing: drawing.id,
            corners: k.corners.map(kept),
            width: k.width,
            height: k.height,
            lens,
            size: [size.width, size.height],
          },
        });
      });
      if (refused.length > 0) return setFault(refused[0]);
      toast(`“${name}” is a drawing of its own now, to scale.`);
      choose("look");
      open(id);
    } catch (e) {
      setFault((e as Error).message);
    }
  };
  const bows = guides.map((g) => bow({ k: lens, ...frame }, g));
  return (
    <section className="space-y-2">
      <h2 className="label">Straighten the photograph</h2>
      <p className="text-[15px]">
        {points.length < 4
          ? `${points.length} of 4 corners: a door, a window or a whole wall of known size.`
          : "Now its true size. Only what lies in its plane will measure true."}
      </p>
      {points.length > 0 && (
        <button className="link text-[15px]" onClick={() => setPoints([])}>
          Press the corners again
        </button>
      )}
      <LengthField
        label="Width of the rectangle"
        world="prototype"
        mm={width}
        units={job.doc.brief.units}
        keep={(mm) => void (mm > 0 && setWidth(mm))}
      />
      <LengthField
        label="Height of the rectangle"
        world="prototype"
        mm={height}
        units={job.doc.brief.units}
        keep={(mm) => void (mm > 0 && setHeight(mm))}
      />
      <label className="block text-[15px]">
        Lens:{" "}
        {lens === 0
          ? "none taken out"
          : `${lens > 0 ? "barrel" : "pincushion"} ${printNumber(Math.abs(lens) * 100, 1)} %`}
        <input
          type="range"
          min={-LENS_RANGE}
          max={LENS_RANGE}
          step={0.002}
          value={lens}
          className="w-full accent-[var(--ink)]"
          onChange={(e) => setLens(Number(e.target.value))}
        />
      </label>
      <div className="flex flex-wrap gap-2">
        <button className="btn" onClick={() => choose("guide")}>
          Straight guide
        </button>
        {guides.length > 0 && (
          <>
            <button className="btn" onClick={() => setLens(fitLens(frame, guides))}>
              Fit the lens
            </button>
            <button className="btn" onClick={() => setGuides([])}>
              Clear
            </button>
          </>
        )}
      </div>
      {guides.length > 0 && (
        <p className="text-[15px] text-ink-2">
          With this lens the {guides.length === 1 ? "guide bows" : "guides bow"}{" "}
          {bows.map((b) => printNumber(b, 1)).join(", ")} pixels.
        </p>
      )}
      {said && (
        <p className="text-[15px]" aria-live="polite">
          {said}
        </p>
      )}
      {fault && (
        <p role="alert" className="text-[15px] text-fault">
          {fault}
        </p>
      )}
      {work.progress ? (
        <WorkProgress work={work} />
      ) : (
        <button className="act" disabled={!keystone || !drawing.picture} onClick={() => void straighten()}>
          Straighten it
        </button>
      )}
    </section>
  );
}
