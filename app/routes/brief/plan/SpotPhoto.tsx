import { useCallback, useEffect, useMemo, useRef } from "react";
import { emptySpot, spotOf, type JobDoc, type PaperColoursDoc, type SpotPhotoDoc } from "core/job";
import { PAPERS } from "core/spot/papers";
import type { PhotoOverlay } from "core/spot";
import { Board, type BoardView } from "~/board/Board";
import { askLooker } from "~/job/framer";
import { useAnswer } from "~/job/useAnswer";
import { fileName, saveFile } from "~/job/saveFile";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { LengthField, SelectField } from "~/ui/Fields";
import { Handle } from "./SpotHandles";

const CORNERS = ["front left", "front right", "back right", "back left"] as const;
/** The structures are drawn no larger than this on the longer side of the photograph, pixels. */
const MOST = 1400;

/** The photograph of the place that was chosen, and the structures as they stand on it. */
export function useSpotPhoto(on: boolean) {
  const { doc, ask } = useJob();
  const { photo } = spotOf(doc);
  const drawing = doc.drawings.find((d) => d.id === photo?.drawing);
  const picture = drawing?.picture;
  const request = useMemo(() => (on && photo && picture ? () => askLooker((w) => w.onPhoto(ask, [picture.width, picture.height], MOST)) : undefined), [on, photo, picture, ask]); // prettier-ignore
  const { answer, fault } = useAnswer<PhotoOverlay>(request, 60);
  return { photo, drawing, picture, overlay: photo ? answer : undefined, fault };
}
type Photo = ReturnType<typeof useSpotPhoto>;

/** The photograph with the structures standing on it, and a handle on each corner of the rectangle. */
export function PhotoBoard({ p }: { p: Photo }) {
  const { photo, picture, overlay, fault } = p;
  if (!photo || !picture)
    return (
      <p className="p-8 text-lg">
        Choose a photograph of the place at the right: one on which a level rectangle of known size can be seen, such as
        the edges of the spot or a sheet of paper laid on it.
      </p>
    );
  return (
    <>
      <Board
        label="Structures on the photograph of their place"
        bounds={{ min: [0, 0], max: [picture.width, picture.height] }}
        padding={[30, 30, 30, 80]}
        fitKey={picture.hash}
        overlay={(v) =>
          CORNERS.map((name, i) => (
            <Handle
              key={name}
              view={v}
              label={`Corner ${name}`}
              at={[photo.corners[i]![0], picture.height - photo.corners[i]![1]]}
              icon={<span className="text-[13px] font-semibold">{i + 1}</span>}
              pull={(to) => (s) => void (s.photo!.corners[i] = [Math.round(to[0]), Math.round(picture.height - to[1])])}
            />
          ))
        }
      >
        {(v) => <Picture v={v} p={p} />}
      </Board>
      {fault && (
        <p className="pointer-events-none absolute inset-x-0 top-4 text-center text-[17px] text-fault">{fault}</p>
      )}
      {overlay && !overlay.sure && !fault && (
        <p className="pointer-events-none absolute inset-x-0 top-4 text-center text-[15px] text-ink-2">
          The rectangle is seen too squarely to tell how the lens draws: heights are only near.
        </p>
      )}
    </>
  );
}
function Picture({ v, p: { photo, picture, overlay } }: { v: BoardView; p: Photo }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const c = canvas.current?.getContext("2d");
    if (!c || !overlay) return;
    c.canvas.width = overlay.width;
    c.canvas.height = overlay.height;
    c.putImageData(new ImageData(overlay.rgba, overlay.width, overlay.height), 0, 0);
  }, [overlay]);
  const { width, height, hash } = picture!;
  const box = { x: v.X(0), y: v.Y(height), width: width * v.k, height: height * v.k };
  return (
    <>
      <rect width={v.width} height={v.height} fill="transparent" />
      <image href={`/pictures/${hash}`} {...box} preserveAspectRatio="none" />
      <foreignObject {...box} style={{ pointerEvents: "none" }}>
        <canvas ref={canvas} style={{ width: "100%", height: "100%", display: "block" }} />
      </foreignObject>
      <polygon
        points={photo!.corners.map(([x, y]) => `${v.X(x)},${v.Y(height - y)}`).join(" ")}
        fill="none"
        stroke="var(--vermilion)"
        strokeWidth={1.4}
        strokeDasharray="8 5"
        style={{ pointerEvents: "none" }}
      />
    </>
  );
}
/** Which photograph, how large its rectangle is, and the papers that the mock-up is shown in. */
export function PhotoFields({ p: { photo, overlay, picture, drawing } }: { p: Photo }) {
  const { doc, edit } = useJob();
  const { M } = useUnits();
  const { spotLength, spotDepth } = doc.brief;
  const change = (label: string, f: (x: SpotPhotoDoc) => void): void => void edit(label, (d) => f(d.spot!.photo!));
  const choose = (id: string): void =>
    void edit(id ? "A photograph of the place" : "No photograph of the place", (d: JobDoc) => {
      const spot = (d.spot ??= emptySpot());
      const own = d.drawings.find((x) => x.id === id)?.picture;
      if (!own) return void delete spot.photo;
      const [w, h] = [own.width, own.height];
      // a rectangle seen from before it, to be dragged to where it is
      spot.photo = { drawing: id, corners: [[w * 0.2, h * 0.85], [w * 0.8, h * 0.85], [w * 0.7, h * 0.5], [w * 0.3, h * 0.5]].map((c) => c.map(Math.round)) as [number, number][], length: spotLength > 0 ? spotLength : 300, depth: spotDepth > 0 ? spotDepth : 200, colours: { ...PAPERS } }; // prettier-ignore
    });
  const colour = (k: keyof PaperColoursDoc, label: string) => (
    <label className="flex min-h-9 items-center gap-3 text-[15px]">
      <input
        type="color"
        className="h-8 w-12 border border-edge"
        value={photo!.colours[k]}
        onChange={(e) => change(`Paper of the ${label}`, (x) => void (x.colours[k] = e.target.value))}
      />
      {label}
    </label>
  );
  const side = (k: "length" | "depth", label: string) => (
    <LengthField
      label={label}
      world="model"
      mm={photo![k]}
      units={doc.brief.units}
      hint=""
      keep={(mm) => (mm >= 1 && mm <= 1e5 ? change(label, (x) => void (x[k] = mm)) : [`Read ${M(mm)}; it may be from ${M(1)} to 100 m.`])} // prettier-ignore
    />
  );
  const save = useCallback(async () => {
    if (!overlay || !picture) return;
    const c = document.createElement("canvas");
    [c.width, c.height] = [picture.width, picture.height];
    const under = new Image();
    under.src = `/pictures/${picture.hash}`;
    await under.decode();
    const over = document.createElement("canvas");
    [over.width, over.height] = [overlay.width, overlay.height];
    over.getContext("2d")!.putImageData(new ImageData(overlay.rgba, overlay.width, overlay.height), 0, 0);
    const on = c.getContext("2d")!;
    on.drawImage(under, 0, 0, c.width, c.height);
    on.drawImage(over, 0, 0, c.width, c.height);
    const blob = await new Promise<Blob | null>((done) => c.toBlob(done, "image/png"));
    if (blob) saveFile(blob, fileName(`${doc.name} on ${drawing?.name ?? "its place"}`, "png"));
  }, [overlay, picture, doc.name, drawing?.name]);
  const offered = doc.drawings.filter((d) => d.picture);
  return (
    <section className="space-y-2" aria-label="On a photograph">
      <h2 className="label">On a photograph</h2>
      {offered.length === 0 ? (
        <p className="text-[15px] text-ink-2">Upload a photograph of the place under Drawings: then it stands here.</p>
      ) : (
        <SelectField
          label="Photograph of the place"
          value={drawing?.id ?? ""}
          options={[{ value: "", label: "none" }, ...offered.map((d) => ({ value: d.id, label: d.name }))]}
          keep={choose}
        />
      )}
      {photo && (
        <>
          <p className="text-[15px] text-ink-2">
            Drag the corners to those of a level rectangle round the middle of the spot: 1 and 2 in front, 3 and 4
            behind. The photograph has to be whole, not cut out of another.
          </p>
          <div className="grid grid-cols-2 gap-2">
            {side("length", "Rectangle, along")}
            {side("depth", "Rectangle, deep")}
          </div>
          {overlay && (
            <p className="text-[15px]">
              {`Taken from ${M(overlay.eye[2], 0)} over the spot, ${M(Math.hypot(overlay.eye[0], overlay.eye[1]), 0)} from its middle.`}
            </p>
          )}
          <h3 className="label">Papers of the mock-up</h3>
          <p className="text-[15px] text-ink-2">The card mock-up among the jigs is printed in them too.</p>
          {colour("walls", "walls")}
          {colour("roof", "roof")}
          {colour("rest", "trim and framing")}
          <button className="btn" disabled={!overlay} onClick={() => void save()}>
            Save the picture (PNG)
          </button>
        </>
      )}
    </section>
  );
}
