import { useMemo } from "react";
import { setUps, type SetUp } from "core/cutting";
import { lying } from "core/frame";
import { setUpWords } from "core/job";
import { lookOf } from "core/lumber";
import { useJob } from "~/job/JobContext";
import { useCutMarks } from "~/job/useCutMarks";
import { useDoneSticks } from "~/job/useDoneSticks";
import { useUnits } from "~/job/units";

/** What is still to be cut by settings of the stop, the longest first. */
export function useSetUps(): readonly SetUp[] {
  const { design, doc } = useJob();
  const done = useDoneSticks();
  return useMemo(() => setUps(design.pieces, doc.cutting.allowance, done), [design, doc.cutting.allowance, done]);
}

/** A card for each setting of the stop: the length to set, the piece as it lies, what comes off it. */
export function SetUps({ all }: { all: readonly SetUp[] }) {
  const { design, select, selected } = useJob();
  const { M } = useUnits();
  const { mark } = useCutMarks();
  const longest = all[0]?.length ?? 1;
  if (all.length === 0) return <p className="text-lg">Every piece that comes off a stick is cut.</p>;
  const pieces = all.reduce((s, x) => s + x.pieces.reduce((t, p) => t + p.sticks.length, 0), 0);
  return (
    <>
      <p className="mb-3 text-[15px] text-ink-2">
        {pieces} pieces in {all.length} {all.length === 1 ? "setting" : "settings"} of the stop, longest first: what
        went wrong long can still become something shorter.
      </p>
      <ol className="space-y-3">
        {all.map((s, i) => {
          const words = setUpWords(design, s, (mm) => M(mm, 2));
          const { piece } = s.pieces[0]!;
          const flat = lying(piece.shape);
          const k = Math.min(520 / longest, 6);
          const thick = Math.max(...flat.map((p) => Math.abs(p[1]))) * k;
          const half = Math.max(4, Math.min(16, thick));
          const on = s.pieces.some((p) => p.sticks.includes(selected ?? ""));
          return (
            // what is out of sight is not laid out
            <li
              key={`${s.length} ${piece.mark}`}
              className={`border-l-[3px] bg-shade px-4 py-2 [contain-intrinsic-size:auto_130px] [content-visibility:auto] ${on ? "border-vermilion" : "border-edge"}`}
            >
              <div className="flex flex-wrap items-center gap-x-4">
                <span className="head text-[17px]">{i + 1}</span>
                <span className="head text-[22px]">Stop at {M(s.length, 2)}</span>
                <span className="min-w-0 flex-1 text-[15px]">
                  {words.cuts}
                  {words.how && <span className="text-ink-2">; {words.how}</span>}
                </span>
                <button className="btn" onClick={() => mark(s.pieces.flatMap((p) => p.sticks))}>
                  Mark as cut
                </button>
              </div>
              <svg
                className="mt-1 block max-w-full"
                width={s.length * k + 4}
                height={2 * half + 10}
                role="img"
                aria-label={`${piece.mark} as it lies`}
                onClick={() => select(s.pieces[0]!.sticks[0])}
              >
                <polygon
                  points={flat
                    .map((p) => `${2 + p[0] * k},${half + 5 - (p[1] * k * half) / Math.max(thick, 1e-9)}`)
                    .join(" ")}
                  fill={`var(--${lookOf(piece.stock)})`}
                  stroke="var(--ink)"
                  strokeWidth={1.3}
                  strokeLinejoin="round"
                />
              </svg>
              <ul className="text-[15px]">
                {s.pieces.map((p, n) => (
                  <li key={p.piece.mark}>
                    <button className="link min-h-6" onClick={() => select(p.sticks[0])}>
                      {words.pieces[n]}
                    </button>
                  </li>
                ))}
              </ul>
            </li>
          );
        })}
      </ol>
    </>
  );
}
