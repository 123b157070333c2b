import { calibrated, meanScale, type Calibrated, type Calibration } from "core/prototype";
import type { CalibrationDoc } from "core/job";
import { printNumber, parseNumber } from "core/units";
import { useJob } from "~/job/JobContext";
import { Figure, useUnits } from "~/job/units";
import { LengthField, SelectField, TextField } from "~/ui/Fields";
import { useSheet } from "../sheet";
import { Layers } from "./Layers";
import { KnownLengthForm } from "./KnownLengthForm";
import { StatedScale } from "./StatedScale";
import { UnderFrames } from "./UnderFrames";
import { TrustNote } from "../straighten/TrustNote";

function fitOf(c: CalibrationDoc | undefined): { fit?: Calibrated; fault?: string } {
  try {
    const fit = c && calibrated(c as Calibration);
    return fit ? { fit } : {};
  } catch (e) {
    return { fault: (e as Error).message };
  }
}

/** What gives the drawing its scale, and how well it all agrees. */
export function ScalePanel() {
  const job = useJob();
  const { P } = useUnits();
  const { drawing, scale, change, points, tool, choose, picked, pick } = useSheet();
  const c = drawing.calibration;
  const { fit, fault } = fitOf(c);
  const asking = (tool === "known" || tool === "count") && points.length === 2;
  const wrong = fit?.residuals.filter((r) => r.wrong).length ?? 0;
  return (
    <>
      <section>
        <h2 className="label">Scale</h2>
        {asking ? (
          <KnownLengthForm key={`${points[0]!.join()}/${points[1]!.join()}`} />
        ) : (
          !c && (
            <p className="mt-1 text-[15px]">
              Not calibrated yet. Press{" "}
              <button className="link" onClick={() => choose("known")}>
                Known length
              </button>{" "}
              and both ends of something you know; several lengths show a typing error or a stretched scan.
            </p>
          )
        )}
        {fault && (
          <p role="alert" className="text-[15px] text-fault">
            {fault}
          </p>
        )}
        {fit && scale && (
          <p className="mt-1 text-[15px]" aria-live="polite">
            {stretchWords(fit)} <b>{printNumber(25.4 / meanScale(scale), 2)} pixels</b> to a prototype inch.
          </p>
        )}
        {fit?.undecided && (
          <p className="mt-1 border-l-[3px] border-ochre pl-2 text-[15px]">
            These lengths disagree, and too few are there to tell which is wrong. Add another.
          </p>
        )}
        {wrong > 0 && (
          <p className="mt-1 border-l-[3px] border-fault pl-2 text-[15px]">
            {wrong === 1 ? "One length disagrees" : `${wrong} lengths disagree`} with the rest: look at its figure and
            its ends.
          </p>
        )}
      </section>
      {c && c.lengths.length > 0 && (
        <section>
          <h2 className="label">Known lengths</h2>
          <ul className="space-y-3">
            {c.lengths.map((k, i) => {
              const r = fit?.residuals[i];
              return (
                <li
                  key={k.id}
                  className={`border-l-[3px] pl-2 ${r?.wrong ? "border-fault" : k.id === picked ? "border-vermilion" : "border-hair"}`}
                  onFocus={() => pick(k.id)}
                  onPointerDown={() => pick(k.id)}
                >
                  <LengthField
                    label={k.name}
                    world="prototype"
                    mm={k.length}
                    units={job.doc.brief.units}
                    hint={k.count ? `${k.count} counted, ${P(k.each!)} each.` : ""}
                    keep={(mm) =>
                      mm > 0
                        ? void change("Change a known length", (d) => {
                            const x = d.calibration!.lengths[i]!;
                            x.length = mm;
                            delete x.count;
                            delete x.each;
                          })
                        : ["The length has to be more than nothing."]
                    }
                  />
                  {r && (
                    <p className={`text-[15px] ${r.wrong ? "font-semibold text-fault" : "text-ink-2"}`}>
                      {residualWords(r.mm, r.relative, P)}
                      {r.wrong ? ": wrong?" : ""}
                    </p>
                  )}
                  <div className="flex gap-3 text-[15px]">
                    <button
                      className="link"
                      onClick={() =>
                        change(
                          "Use of a known length",
                          (d) => void (d.calibration!.lengths[i]!.use = k.use === "scale" ? "check" : "scale"),
                        )
                      }
                    >
                      {k.use === "scale" ? "Only check with it" : "Scale by it"}
                    </button>
                    <button
                      className="link"
                      onClick={() =>
                        change(`Remove ${k.name}`, (d) => {
                          d.calibration!.lengths.splice(i, 1);
                          if (d.calibration!.lengths.length === 0 && !d.calibration!.stated) delete d.calibration;
                        })
                      }
                    >
                      Remove
                    </button>
                  </div>
                </li>
              );
            })}
          </ul>
          {c.lengths.length > 1 && !c.stated && (
            <div className="mt-2">
              <SelectField
                label="Across and up"
                value={c.stretch}
                options={[
                  { value: "auto", label: "one scale, if the lengths allow" },
                  { value: "together", label: "always one scale" },
                  { value: "apart", label: "each a scale of its own" },
                ]}
                keep={(v) => void change("Scale across and up", (d) => void (d.calibration!.stretch = v))}
              />
            </div>
          )}
        </section>
      )}
      <StatedScale />
      {c && (
        <TextField
          label="Turned by, degrees"
          value={printNumber(c.tilt, 2).replace("−", "-")}
          hint="Counter-clockwise; the Level and Plumb tools find it."
          keep={(t) => {
            const n = parseNumber(t, "°");
            if (!(Math.abs(n) <= 180)) return [`Read “${t}”; write degrees from -180 to 180.`];
            change("Turn the drawing", (d) => void (d.calibration!.tilt = n));
          }}
        />
      )}
      <TrustNote />
      <UnderFrames />
      <Layers />
    </>
  );
}
function stretchWords(f: Calibrated): string {
  const share = f.kx / f.ky - 1;
  if (Math.abs(share) < 1e-6) return "";
  return `The sheet is stretched: ${printNumber(Math.abs(share) * 100, 1)} % more ${share < 0 ? "across than up" : "up than across"}.`;
}
function residualWords(mm: number, relative: number, P: (mm: number) => string) {
  if (Math.abs(relative) < 0.0005) return "It agrees.";
  return (
    <>
      It measures <Figure>{P(Math.abs(mm))}</Figure> {mm > 0 ? "longer" : "shorter"} (
      {printNumber(Math.abs(relative) * 100, 1)} %)
    </>
  );
}
