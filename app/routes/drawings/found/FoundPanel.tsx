import { useState } from "react";
import { toast } from "sonner";
import { searchOn } from "core/found";
import { sheetSize } from "core/job";
import { meanScale } from "core/prototype";
import { proposeSection } from "core/structures";
import { printInchFraction, printNumber } from "core/units";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { useWork } from "~/sources/useWork";
import { useSheet } from "../sheet";
import { WorkProgress } from "../WorkProgress";
import { useTrace } from "../trace/useTrace";

/** Looks for members in what is shown, and offers them: nothing is put in unasked. */
export function FoundPanel() {
  const job = useJob();
  const { P } = useUnits();
  const sheet = useSheet();
  const t = useTrace();
  const { drawing, scale, lines, found, setFound, view, onPicture, picked, pick } = sheet;
  const work = useWork();
  const [said, setSaid] = useState<string>();
  const look = async (): Promise<void> => {
    setSaid(undefined);
    const perInch = scale && 25.4 / meanScale(scale);
    const size = sheetSize(drawing);
    const corners = view
      ? (
          [
            [0, 0],
            [view.width, 0],
            [0, view.height],
            [view.width, view.height],
          ] as const
        ).map(([x, y]) => onPicture(view.toWorld(x, y)))
      : [[0, 0] as const, [size.width, size.height] as const];
    const of = (k: 0 | 1, limit: number) =>
      [
        Math.max(0, Math.min(...corners.map((c) => c[k]))),
        Math.min(limit, Math.max(...corners.map((c) => c[k]))),
      ] as const;
    const [[x0, x1], [y0, y1]] = [of(0, size.width), of(1, size.height)];
    const search = searchOn(lines ? "vector" : "scan", Math.min(x1 - x0, y1 - y0), size.width, perInch);
    try {
      const got = await work.run((w, told) =>
        lines
          ? w.findInLines(lines, drawing.lines!.hidden, search)
          : w.findInPicture(drawing.picture!, { x: x0, y: y0, width: x1 - x0, height: y1 - y0 }, search, told),
      );
      if (!got) return setSaid("Stopped; nothing was changed.");
      setFound(got);
      setSaid(got.length === 0 ? "No members were found here. Zoom to the structure and look again." : undefined);
    } catch (e) {
      setSaid((e as Error).message);
    }
  };
  const accept = (ids: readonly string[]): void => {
    const [refused] = t.accept(found.filter((f) => ids.includes(f.id)));
    if (refused) return void toast.error(refused);
    setFound(found.filter((f) => !ids.includes(f.id)));
  };
  return (
    <section className="space-y-2">
      <h2 className="label">Found lines</h2>
      {work.progress ? (
        <WorkProgress work={work} />
      ) : (
        <button className="btn" onClick={() => void look()}>
          Find members {lines ? "on the sheet" : "in what is shown"}
        </button>
      )}
      {said && (
        <p className="text-[15px]" aria-live="polite">
          {said}
        </p>
      )}
      {found.length > 0 && (
        <>
          <p className="text-[15px]">
            {found.length} {found.length === 1 ? "member is" : "members are"} offered, the surest first.
          </p>
          <div className="flex gap-3 text-[15px]">
            <button className="link" onClick={() => accept(found.map((f) => f.id))}>
              Accept all
            </button>
            <button className="link" onClick={() => setFound([])}>
              Refuse all
            </button>
          </div>
          <ol className="space-y-1">
            {found.map((f, i) => {
              const mm = scale ? f.width * meanScale(scale) : undefined;
              return (
                <li
                  key={f.id}
                  className={`flex items-center gap-2 border-l-[3px] pl-2 text-[15px] ${picked === f.id ? "border-vermilion" : "border-verdigris"}`}
                  onPointerEnter={() => pick(f.id)}
                  onFocus={() => pick(f.id)}
                >
                  <span className="min-w-0 flex-1">
                    {mm === undefined
                      ? `${printNumber(f.width, 1)} px wide`
                      : `${job.doc.brief.units.prototype === "m" ? P(mm) : printInchFraction(mm, 8)} wide: ${proposeSection(mm, "post", job.doc.stock.milling)}`}
                  </span>
                  <button
                    className="btn !min-h-[28px] !px-2 !text-[15px]"
                    aria-label={`Accept ${i + 1}`}
                    onClick={() => accept([f.id])}
                  >
                    Accept
                  </button>
                  <button
                    className="btn !min-h-[28px] !px-2 !text-[15px]"
                    aria-label={`Refuse ${i + 1}`}
                    onClick={() => setFound(found.filter((x) => x.id !== f.id))}
                  >
                    Refuse
                  </button>
                </li>
              );
            })}
          </ol>
        </>
      )}
    </section>
  );
}
