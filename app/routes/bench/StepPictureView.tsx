import { useCallback, useMemo } from "react";
import { wholeOf } from "core/assembly";
import { askLooker } from "~/job/framer";
import { useJob } from "~/job/JobContext";
import { useAnswer } from "~/job/useAnswer";
import type { ShownStep } from "~/workers/assembler";

/** What is there in a step, what is new in colour; pressing a stick shows its ticket. */
export function StepPictureView({ step, steps }: { step: ShownStep; steps: readonly ShownStep[] }) {
  const { ask, select, selected } = useJob();
  const { structure, sticks, there, view } = step;
  const whole = useMemo(() => {
    const own = wholeOf(step, steps, []);
    return own.length > 0 ? own : undefined;
  }, [step, steps]);
  const picture = useAnswer(
    useCallback(
      () => askLooker((w) => w.step(ask, { structure, sticks, there, view: { right: view.right, up: view.up, eye: view.eye } }, whole)), // prettier-ignore
      [ask, structure, sticks, there, view, whole],
    ),
  );
  const p = picture.answer;
  if (picture.fault) return <p className="text-fault">The picture could not be drawn: {picture.fault}</p>;
  if (!p) return <div className="h-full w-full" aria-busy />;
  const [, , w, h] = p.box;
  const margin = 0.03 * Math.max(w, h);
  return (
    <svg
      viewBox={`${-margin} ${-margin} ${w + 2 * margin} ${h + 2 * margin}`}
      className={`h-full w-full ${picture.fresh ? "" : "opacity-60"}`}
      role="img"
      aria-label={`${step.title}: what is new is coloured`}
    >
      <path
        d={p.hint}
        fill="none"
        stroke="var(--edge)"
        strokeWidth={0.6}
        vectorEffect="non-scaling-stroke"
        opacity={0.4}
      />
      {p.shapes.map((s, i) => (
        <path
          key={i}
          d={s.d}
          fill={s.fresh ? "var(--picked)" : "var(--film)"}
          stroke={s.id === selected || s.fresh ? "var(--vermilion)" : "var(--ink)"}
          strokeWidth={s.id === selected ? 2.4 : s.fresh ? 1.2 : 0.7}
          vectorEffect="non-scaling-stroke"
          strokeLinejoin="round"
          onClick={() => select(s.id)}
          style={{ cursor: "pointer" }}
        />
      ))}
    </svg>
  );
}
