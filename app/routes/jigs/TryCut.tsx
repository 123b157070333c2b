import { useEffect, useMemo, useState } from "react";
import { simulatedCutter, type CutReport } from "core/devices";
import { printNumber } from "core/units";
import { useUnits } from "~/job/units";
import { Modal } from "~/ui/Modal";

/** The machine that is asked: another one takes its place here. */
const cutter = simulatedCutter();
/** How much faster the cut is played than it is made. */
const FASTER = 20;
const clock = (s: number): string =>
  s < 60 ? `${Math.ceil(s)} s` : `${Math.floor(s / 60)} min ${Math.round(s % 60)} s`;

/** A file tried on the cutter that ships: what is wrong with it, how long it takes, and the cut played. */
export function TryCut({
  name,
  material,
  make,
  close,
}: {
  name: string;
  material: string;
  make: () => Promise<string>;
  close: () => void;
}) {
  const { M } = useUnits();
  const [report, setReport] = useState<CutReport>();
  const [said, setSaid] = useState("");
  const [at, setAt] = useState(0);
  const [playing, setPlaying] = useState(false);
  useEffect(() => {
    let gone = false;
    make()
      .then((file) => cutter.take(file, material))
      .then(
        (r) => !gone && (setReport(r), setAt(r.seconds)),
        (e: unknown) => !gone && setSaid((e as Error).message),
      );
    return () => {
      gone = true;
    };
    // the file is asked for once
  }, []);
  const whole = report?.seconds ?? 0;
  useEffect(() => {
    if (!playing) return;
    let last = performance.now();
    let frame = requestAnimationFrame(function tick(now) {
      const step = ((now - last) / 1000) * FASTER;
      last = now;
      setAt((t) => {
        if (t + step >= whole) setPlaying(false);
        return Math.min(whole, t + step);
      });
      frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, whole]);
  const done = useMemo(() => report?.steps.filter((s) => s.does !== "move" && s.to <= at) ?? [], [report, at]);
  const now = report?.steps.find((s) => s.from <= at && at < s.to);
  const path = (points: readonly (readonly [number, number])[]): string =>
    `M${points.map((p) => `${p[0].toFixed(2)},${p[1].toFixed(2)}`).join("L")}`;
  const [w, h] = report?.size ?? [1, 1];
  return (
    <Modal open onClose={close} title={`${name} on the cutter`} wide>
      {said && <p className="text-fault">{said}</p>}
      {!report && !said && <p role="status">Reading the file …</p>}
      {report && (
        <>
          <p className="text-[15px] text-ink-2">
            A stand-in that ships with Cardo, with a bed of {M(cutter.bed.wide, 0)} × {M(cutter.bed.high, 0)}. The file
            takes {M(w)} × {M(h)} of it.
          </p>
          {report.faults.length === 0 ? (
            <p className="my-2 font-semibold text-verdigris">✓ Nothing to object to. It takes {clock(whole)}.</p>
          ) : (
            <ul className="my-2 text-fault">
              {report.faults.map((f) => (
                <li key={f}>{f}</li>
              ))}
            </ul>
          )}
          <svg
            viewBox={`-2 -2 ${w + 4} ${h + 4}`}
            className="block max-h-[46vh] w-full bg-shade"
            role="img"
            aria-label="The cut as far as it is played"
          >
            <path
              d={report.steps
                .filter((s) => s.does !== "move")
                .map((s) => path(s.points))
                .join("")}
              fill="none"
              stroke="var(--edge)"
              strokeWidth={0.8}
              vectorEffect="non-scaling-stroke"
            />
            {(["cut", "engrave"] as const).map((d) => (
              <path
                key={d}
                d={done
                  .filter((s) => s.does === d)
                  .map((s) => path(s.points))
                  .join("")}
                fill="none"
                stroke={d === "cut" ? "var(--vermilion)" : "var(--ink)"}
                strokeWidth={1.8}
                vectorEffect="non-scaling-stroke"
              />
            ))}
            {now && (
              <path
                d={path(now.points)}
                fill="none"
                stroke="var(--ochre)"
                strokeWidth={2.5}
                vectorEffect="non-scaling-stroke"
              />
            )}
          </svg>
          <div className="mt-3 flex items-center gap-4">
            <button
              className="btn"
              onClick={() => {
                if (at >= whole) setAt(0);
                setPlaying(!playing);
              }}
            >
              {playing ? "Stop" : "Play the cut"}
            </button>
            <input
              type="range"
              className="min-w-0 flex-1 accent-[var(--vermilion)]"
              aria-label="Seconds of the cut"
              min={0}
              max={whole}
              step={whole / 200 || 1}
              value={at}
              onChange={(e) => {
                setPlaying(false);
                setAt(Number(e.target.value));
              }}
            />
            <span className="w-32 text-right text-[15px]">
              {printNumber(at, 0)} of {printNumber(whole, 0)} s
            </span>
          </div>
        </>
      )}
    </Modal>
  );
}
