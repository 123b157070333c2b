import { useState } from "react";
import { toPixel, type SheetScale } from "core/prototype";
import { useJob } from "~/job/JobContext";

/** How the drawing lies under the frame: its opacity, and moving it until the lines agree. */
export function UnderControls({
  drawing,
  structure,
  name,
  opacity,
  anchor,
  scale,
}: {
  drawing: string;
  structure: string;
  name: string;
  opacity: number;
  anchor: readonly [number, number];
  scale: SheetScale;
}) {
  const job = useJob();
  const [live, setLive] = useState<number>();
  const under =
    (change: (u: { opacity: number; anchor: [number, number] }) => void) =>
    (d: Parameters<Parameters<typeof job.edit>[1]>[0]) => {
      const x = d.drawings.find((q) => q.id === drawing)?.under.find((u) => u.structure === structure);
      if (x) change(x);
    };
  const nudge = (x: number, y: number): void => {
    // the picture moves, so the point of it that stands on the origin moves the other way: by an inch of the prototype
    const at = toPixel(scale, anchor, [-x * 25.4, -y * 25.4]);
    job.edit(
      `Move ${name}`,
      under((u) => void (u.anchor = [at[0], at[1]])),
    );
  };
  return (
    <div className="flex items-center gap-2 bg-film/85 px-1.5 text-[15px]">
      <label className="flex items-center gap-2">
        <span className="max-w-52 truncate text-ink-2">
          {name}
          <span className="max-[1180px]:sr-only"> under the frame</span>
        </span>
        <input
          type="range"
          min={0}
          max={1}
          step={0.05}
          value={live ?? opacity}
          className="w-[92px] accent-[var(--ink)]"
          onChange={(e) => {
            const v = Number(e.target.value);
            setLive(v);
            job.preview(under((u) => void (u.opacity = v)));
          }}
          onPointerUp={() => {
            if (live !== undefined)
              job.edit(
                "Opacity of the drawing",
                under((u) => void (u.opacity = live)),
              );
            setLive(undefined);
          }}
          onKeyUp={() => {
            if (live !== undefined)
              job.edit(
                "Opacity of the drawing",
                under((u) => void (u.opacity = live)),
              );
            setLive(undefined);
          }}
        />
      </label>
      <span role="group" aria-label={`Move ${name} by an inch`} className="flex">
        {(
          [
            ["←", -1, 0, "left"],
            ["→", 1, 0, "right"],
            ["↑", 0, 1, "up"],
            ["↓", 0, -1, "down"],
          ] as const
        ).map(([t, x, y, w]) => (
          <button
            key={w}
            className="grid size-6 place-items-center border border-hair hover:bg-shade"
            aria-label={`Move ${name} ${w}`}
            onClick={() => nudge(x, y)}
          >
            {t}
          </button>
        ))}
      </span>
    </div>
  );
}
