import { useRef, type PointerEvent } from "react";
import { fromPixel, toPixel } from "core/prototype";
import type { Vec2 } from "core/geometry";
import { emptySpot, scaleOfDrawing, spotOf, type JobDoc, type SpotUnderDoc } from "core/job";
import type { BoardView } from "~/board/Board";
import { PictureTiles } from "~/board/PictureTiles";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { LengthField, SelectField } from "~/ui/Fields";

/** A drawing that can lie under the plan, with how large it is; undefined where none does. */
export function useSpotPicture() {
  const { doc, design } = useJob();
  const { under } = spotOf(doc);
  const drawing = doc.drawings.find((d) => d.id === under?.drawing);
  const scale = drawing && scaleOfDrawing(drawing);
  if (!under || !drawing?.picture || !scale) return undefined;
  const unit = under.of === "model" ? 1 : 1 / design.scale.ratio;
  /** Where a pixel of it lies on the plan, model mm. */
  const at = (p: Vec2): Vec2 => fromPixel(scale, under.anchor, p).map((x) => x * unit) as unknown as Vec2;
  return { under, drawing, picture: drawing.picture, scale, unit, at };
}
export type SpotPicture = NonNullable<ReturnType<typeof useSpotPicture>>;
/** Its corners on the plan, model mm. */
export const cornersOf = ({ picture: { width, height }, at }: SpotPicture): Vec2[] =>
  ([[0, 0], [width, 0], [width, height], [0, height]] as const).map(at); // prettier-ignore
/** The pixel that has to lie in the spot's middle for the picture to go on by so much, model mm. */
export const movedAnchor = ({ scale, under, unit }: SpotPicture, by: Vec2): [number, number] => {
  const [x, y] = toPixel(scale, under.anchor, [-by[0] / unit, -by[1] / unit]);
  return [x, y];
};

/** The picture under the plan; while it `moves` it is what a drag takes along. */
export function SpotPictureLayer({ p, view, moves }: { p: SpotPicture; view: BoardView; moves: boolean }) {
  const { edit, preview } = useJob();
  const from = useRef<{ readonly x: number; readonly y: number; readonly p: SpotPicture }>(undefined);
  const to = (e: PointerEvent): ((d: JobDoc) => void) | undefined => {
    const s = from.current;
    if (!s) return undefined;
    const anchor = movedAnchor(s.p, [(e.clientX - s.x) / view.k, (s.y - e.clientY) / view.k]);
    return (d) => void (d.spot!.under!.anchor = anchor);
  };
  const [a, , c] = cornersOf(p).map(([x, y]) => [view.X(x), view.Y(y)] as const);
  return (
    <>
      <PictureTiles
        picture={p.picture}
        scale={p.scale}
        anchor={p.under.anchor}
        unit={p.unit}
        view={view}
        opacity={p.under.opacity}
      />
      {moves && a && c && (
        <rect
          x={Math.min(a[0], c[0])}
          y={Math.min(a[1], c[1])}
          width={Math.abs(c[0] - a[0])}
          height={Math.abs(c[1] - a[1])}
          fill="transparent"
          stroke="var(--vermilion)"
          strokeDasharray="8 5"
          style={{ cursor: "move", touchAction: "none" }}
          onPointerDown={(e) => {
            e.stopPropagation();
            e.currentTarget.setPointerCapture(e.pointerId);
            from.current = { x: e.clientX, y: e.clientY, p };
          }}
          onPointerMove={(e) => {
            const f = to(e);
            if (f) preview(f);
          }}
          onPointerUp={(e) => {
            const f = to(e);
            from.current = undefined;
            if (f) edit("Move the picture of the spot", f);
          }}
          onPointerCancel={() => {
            from.current = undefined;
            preview(undefined);
          }}
        />
      )}
    </>
  );
}

/** Which calibrated drawing lies under the plan, of what it was measured, and where it lies. */
export function SpotPictureFields({ moves, setMoves }: { moves: boolean; setMoves: (on: boolean) => void }) {
  const { doc, edit } = useJob();
  const { M } = useUnits();
  const p = useSpotPicture();
  const offered = doc.drawings.filter((d) => d.picture && scaleOfDrawing(d));
  const change = (label: string, f: (u: SpotUnderDoc) => void): void => void edit(label, (d) => f(d.spot!.under!));
  const lay = (id: string): void =>
    void edit(id ? "Lay a picture under the plan" : "Take the picture away", (d) => {
      const spot = (d.spot ??= emptySpot());
      const drawing = d.drawings.find((x) => x.id === id);
      if (drawing?.picture)
        spot.under = { drawing: id, anchor: [drawing.picture.width / 2, drawing.picture.height / 2], of: "model", opacity: 0.6 }; // prettier-ignore
      else delete spot.under;
    });
  const middle = p && p.at([p.picture.width / 2, p.picture.height / 2]);
  const place = (k: 0 | 1, label: string) =>
    p &&
    middle && (
      <LengthField
        label={label}
        world="model"
        mm={middle[k]}
        units={doc.brief.units}
        hint=""
        keep={(mm) => {
          if (Math.abs(mm) > 1e5) return [`Read ${M(mm)}; it may be up to 100 m.`];
          const by: Vec2 = k === 0 ? [mm - middle[0], 0] : [0, mm - middle[1]];
          change("Move the picture of the spot", (u) => void (u.anchor = movedAnchor(p, by)));
        }}
      />
    );
  return (
    <section className="mt-5 space-y-2" aria-label="Picture under the plan">
      <h2 className="label">Photograph or sketch under it</h2>
      {offered.length === 0 ? (
        <p className="text-[15px] text-ink-2">
          Upload a photograph of the place from above under Drawings and calibrate it by a length you measured there:
          then it can lie under the plan.
        </p>
      ) : (
        <SelectField
          label="Picture"
          value={p?.under.drawing ?? ""}
          options={[{ value: "", label: "none" }, ...offered.map((d) => ({ value: d.id, label: d.name }))]}
          keep={lay}
        />
      )}
      {p && (
        <>
          <SelectField
            label="What was measured on it"
            value={p.under.of}
            options={[
              { value: "model", label: "is of the layout, at its own size" },
              { value: "prototype", label: "is of the prototype" },
            ]}
            keep={(v) => change("What was measured on the picture", (u) => void (u.of = v))}
          />
          <label className="flex items-center gap-3 text-[15px]">
            Opacity
            <input
              type="range"
              min={0.1}
              max={1}
              step={0.1}
              className="min-h-8 flex-1"
              value={p.under.opacity}
              onChange={(e) => change("Opacity of the picture", (u) => void (u.opacity = Number(e.target.value)))}
            />
          </label>
          <button className="btn" aria-pressed={moves} onClick={() => setMoves(!moves)}>
            {moves ? "It lies right" : "Move it by dragging"}
          </button>
          <div className="grid grid-cols-2 gap-2">
            {place(0, "Middle, across")}
            {place(1, "Middle, up")}
          </div>
        </>
      )}
    </section>
  );
}
