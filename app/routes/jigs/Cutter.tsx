import { lazy, Suspense, useCallback, useState } from "react";
import { model } from "core/units";
import { useJob } from "~/job/JobContext";
import { askDrafter } from "~/job/framer";
import { useUnits } from "~/job/units";
import { useAnswer } from "~/job/useAnswer";
import { LengthField } from "~/ui/Fields";
import { recall, remember } from "~/ui/remembered";

// what reads a file and plays its cut is fetched when one is tried
const TryCut = lazy(() => import("./TryCut").then((m) => ({ default: m.TryCut })));
/** The widest kerf that is taken, model mm. */
const MOST = 3;
const KEY = "cardo-cutter-kerf";
/** What the cutter takes away, as this browser remembers it, model mm. */
export const cutterKerf = (): number => {
  const kerf = Number(recall(KEY));
  return kerf >= 0 && kerf <= MOST ? kerf : 0;
};

interface Props {
  /** Makes a file and saves it under a name. */
  readonly save: (name: string, make: () => Promise<Blob>) => Promise<void>;
  readonly busy: boolean;
}
/** The parts of each sheet as closed contours for a cutter, led round by half its kerf, which this browser remembers. Nothing where nothing is of sheet. */
export function Cutter({ save, busy }: Props) {
  const { ask, doc } = useJob();
  const { M } = useUnits();
  const [kerf, setKerf] = useState(cutterKerf);
  const [tried, setTried] = useState<number>();
  const { answer } = useAnswer(useCallback(() => askDrafter((w) => w.cuts(ask, kerf)), [ask, kerf]));
  if (!answer || answer.length === 0) return null;
  const keep = (mm: number): readonly string[] => {
    if (!(mm >= 0 && mm <= MOST)) return [`Read ${M(mm, 2)}; it may be from 0 to ${M(MOST)}.`];
    setKerf(mm);
    remember(KEY, String(mm));
    return [];
  };
  return (
    <section>
      <h2 className="label">For a cutter</h2>
      <p className="mb-2">
        Every part as often as it is wanted, as closed contours; holes before outlines, lines to engrave and marks on
        layers of their own.
      </p>
      <LengthField
        label="Kerf of the cutter"
        world="model"
        units={doc.brief.units}
        mm={model(kerf)}
        hint="Contours are led round by half of it."
        keep={keep}
      />
      <ul className="mt-2">
        {answer.map((f, n) => (
          <li key={f.fileName} className="row py-1">
            <span className="block">{f.name}</span>
            <span className="flex flex-wrap items-center gap-x-3 text-ink-2">
              {f.parts} {f.parts === 1 ? "part" : "parts"}, {f.size}
              {(["svg", "dxf"] as const).map((as) => (
                <button
                  key={as}
                  className="link min-h-6"
                  disabled={busy}
                  aria-label={`${f.name} as ${as.toUpperCase()}`}
                  onClick={() => void save(`${f.fileName}.${as}`, () => askDrafter((w) => w.cutFile(ask, kerf, n, as)))}
                >
                  {as.toUpperCase()}
                </button>
              ))}
              <button className="link min-h-6" aria-label={`Try the cut of ${f.name}`} onClick={() => setTried(n)}>
                Try it
              </button>
            </span>
            {f.lost.length > 0 && (
              <span className="block text-vermilion">The kerf leaves nothing of a contour of {f.lost.join(", ")}.</span>
            )}
          </li>
        ))}
      </ul>
      {tried !== undefined && answer[tried] && (
        <Suspense>
          <TryCut
            name={answer[tried].name}
            material={answer[tried].name}
            make={() => askDrafter((w) => w.cutFile(ask, kerf, tried, "dxf")).then((b) => b.text())}
            close={() => setTried(undefined)}
          />
        </Suspense>
      )}
      <p className="mt-2 text-ink-2">
        Never cut plastic that holds chlorine (vinyl, PVC) with a laser: its smoke is poison. Styrene melts and burns;
        card and wood catch fire. Draw the smoke off and stay beside it.
      </p>
    </section>
  );
}
