import { spanUnderTrain, SPAN_LIMITS, whyOf } from "core/structures";
import { widthOnCurve } from "core/statics";
import type { StructureDesign } from "core/job";
import { printNumber } from "core/units";
import { useState } from "react";
import { useJob } from "~/job/JobContext";
import { TINT, useForces } from "./useForces";
import { useUnits } from "~/job/units";
import { LengthField } from "~/ui/Fields";

const words = (m: string): string =>
  m
    .replace(/^(bottom|top|left|right)\//, (_, c: string) => `${c} chord `)
    .replace("/", " ")
    .replace("-", "–");

/** Forces in a list, why a member is a rod or a timber, how the model's span stands under a train, and the width that a curve asks for. */
export default function ForcesPanel({ design }: { design: StructureDesign }) {
  const own = useForces(design, design.fault);
  const job = useJob();
  const { M } = useUnits();
  const [curve, setCurve] = useState({ radius: 762, car: 0, trucks: 0 });
  if (!own) return null;
  const { v, f } = own;
  if (!f.ok) return <p className="text-[15px] text-fault">{f.reason}</p>;
  const span = v.position === "roof" ? undefined : spanUnderTrain(v, design.context);
  const ratio = job.design.scale.ratio;
  const [car, trucks] = [curve.car || (40 * 304.8) / ratio, curve.trucks || (30 * 304.8) / ratio];
  const width = widthOnCurve({
    radius: curve.radius,
    span: v.span / ratio,
    carWidth: (10 + 8 / 12) * (304.8 / ratio),
    carLength: car,
    truckCentres: trucks,
  });
  return (
    <div className="space-y-5">
      <section>
        <h2 className="label">Forces for a panel load of 1</h2>
        {f.caveat && <p className="mt-1 text-[15px] text-ochre">{f.caveat}</p>}
        <p className="mt-1 text-[15px] text-ink-2">
          <b style={{ color: TINT.tension }}>+ tension</b>, <b style={{ color: TINT.compression }}>− compression</b>;
          tick “Forces in tints” under Show to see them on the drawing.
          {f.redundant > 0
            ? ` ${f.redundant} member${f.redundant > 1 ? "s" : ""} more than statics needs: shares follow the sections.`
            : ""}
        </p>
        <table className="mt-2 w-full text-[14px]">
          <tbody>
            {[...f.forces].map(([m, n]) => {
              const w = whyOf(m, f);
              return (
                <tr key={m} title={w.why} className="border-b border-hair">
                  <td className="py-0.5 pr-2">{words(m)}</td>
                  <td className="text-right font-semibold" style={{ color: TINT[w.does] }}>
                    {w.does === "nothing" ? "0" : `${n > 0 ? "+" : "−"}${printNumber(Math.abs(n), 2)}`}
                  </td>
                  <td className="pl-2 text-ink-2">
                    {w.does === "tension"
                      ? "rod or timber"
                      : w.does === "compression"
                        ? "timber"
                        : m.startsWith("counter")
                          ? "waits"
                          : "idle"}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </section>
      {span && (
        <section>
          <h2 className="label">The model as a bridge</h2>
          <p
            className={`mt-1 text-[15px] font-semibold ${span.verdict.startsWith("Stiff") ? "text-verdigris" : "text-ochre"}`}
          >
            {span.verdict}
          </p>
          <p className="text-[15px]">
            {span.material}, {M(span.span)} span, {printNumber(span.load, 2)} N on each truss: it sags {M(span.sag, 3)}{" "}
            (1 in {Number.isFinite(span.sagRatio) ? Math.round(span.sagRatio) : "∞"}); the most stressed member (
            {words(span.worst)}) carries {printNumber(span.stress, 2)} N/mm² of {span.allowable}.
          </p>
          <p className="mt-1 text-[14px] text-ink-2">{SPAN_LIMITS}</p>
        </section>
      )}
      {v.position !== "roof" && (
        <section className="space-y-2">
          <h2 className="label">A curve across the span</h2>
          <LengthField
            label="Radius of the track"
            world="model"
            mm={curve.radius}
            units={job.doc.brief.units}
            keep={(mm) => setCurve({ ...curve, radius: Math.max(100, mm) })}
          />
          <LengthField
            label="Longest car, over all"
            world="model"
            mm={car}
            units={job.doc.brief.units}
            keep={(mm) => setCurve({ ...curve, car: mm })}
          />
          <LengthField
            label="Its truck centres"
            world="model"
            mm={trucks}
            units={job.doc.brief.units}
            keep={(mm) => setCurve({ ...curve, trucks: mm })}
          />
          <p className="text-[15px]">
            The girders must stand <b>{M(width.clear)}</b> clear for a car 10′-8″ wide: middle ordinate{" "}
            {M(width.middleOrdinate)}, sweep {M(width.inward)} inward and {M(width.outward)} outward. Set the track at
            the span&apos;s ends {M(Math.abs(width.trackOffset))}{" "}
            {width.trackOffset >= 0 ? "to the inside" : "to the outside"} of the middle.
          </p>
        </section>
      )}
    </div>
  );
}
