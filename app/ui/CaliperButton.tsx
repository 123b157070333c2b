import { useEffect, useState } from "react";
import { readCaliper, simulatedCaliper, type CaliperPort, type Reading } from "core/devices";

/** The caliper that is asked: one on a serial line takes its place here. What it measures is near what is expected, and a little off. */
const portFor = (near: number): CaliperPort => simulatedCaliper(near + (Math.random() - 0.5) * 0.01 * near);

/** Reads a length from the caliper: what it shows runs along, and can be taken once it rests. `near` is about what is measured, mm. */
export function CaliperButton({
  near,
  M,
  take,
}: {
  near: number;
  M: (mm: number, decimals?: number) => string;
  take: (mm: number) => void;
}) {
  // prettier-ignore
  const [open, setOpen] = useState(false);
  const [reading, setReading] = useState<Reading>();
  useEffect(() => (open ? readCaliper(portFor(near), setReading) : undefined), [open, near]);
  if (!open)
    return (
      <button className="link min-h-6 text-[15px]" onClick={() => (setReading(undefined), setOpen(true))}>
        From the caliper
      </button>
    );
  return (
    <span className="flex flex-wrap items-center gap-2 text-[15px]">
      <output className="num min-w-[88px] text-right font-semibold">{reading ? M(reading.mm, 2) : "…"}</output>
      <button
        className="btn"
        disabled={!reading?.steady}
        onClick={() => {
          setOpen(false);
          take(reading!.mm);
        }}
      >
        Take it
      </button>
      <button className="link min-h-6" onClick={() => setOpen(false)}>
        Leave it
      </button>
      <span className="w-full text-ink-2">A stand-in sends these readings, as one on a serial line would.</span>
    </span>
  );
}
