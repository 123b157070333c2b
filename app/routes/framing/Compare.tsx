import { useEffect, useMemo, useState } from "react";
import type { Comparison } from "core/checks";
import { boundsOfShown, elevation, VIEWS, type Shown } from "core/drawing";
import { designVariant, type StructureDoc } from "core/job";
import { kindOf } from "core/structures";
import { printNumber, tellIn } from "core/units";
import { askChecker } from "~/job/framer";
import { useFrames, useJob } from "~/job/JobContext";
import { TextField } from "~/ui/Fields";

/** The variants of a structure side by side at one scale, with their figures; one is chosen, and why is kept. */
export default function Compare({ structure: s, close }: { structure: StructureDoc; close: () => void }) {
  const job = useJob();
  useFrames(job.doc);
  const { units } = job.doc.brief;
  const [figures, setFigures] = useState<readonly Comparison[]>();
  const home = kindOf(s.kind).home;
  const drawn = useMemo(
    () =>
      s.variants.map((v) => {
        const d = designVariant(job.doc, s, v).structures[0]!;
        const shown = elevation(d.resolved.sticks, VIEWS[home]);
        return { v, d, shown, box: boxOf(shown) };
      }),
    [job.doc, s, home],
  );
  useEffect(() => {
    let waiting = true;
    setFigures(undefined);
    void askChecker((w) => w.compare(job.doc, s.id)).then(
      (c) => waiting && setFigures(c),
      () => undefined,
    );
    return () => {
      waiting = false;
    };
  }, [job.doc, s.id]);
  const wide = Math.max(...drawn.map((x) => x.box.w), 1);
  const high = Math.max(...drawn.map((x) => x.box.h), 1);
  const change = (label: string, f: (x: StructureDoc) => void): void =>
    void job.edit(label, (d) => f(d.structures.find((x) => x.id === s.id)! as StructureDoc));
  const rows: readonly (readonly [string, (c: Comparison) => string])[] = [
    ["Pieces", (c) => String(c.pieces)],
    ["Marks", (c) => String(c.marks)],
    ["Set-ups of the stop", (c) => String(c.setUps)],
    ["Sticks", (c) => String(c.sticks)],
    ["Price", (c) => (c.price === undefined ? "no prices given" : printNumber(c.price, 2))],
    ["Glue joints", (c) => String(c.glueJoints)],
    ["Weight of the model", (c) => `${printNumber(c.weight, 1)} g`],
    [
      "Findings",
      (c) => (c.fault && tellIn(c.fault, units)) ?? `${c.faults} faults, ${c.warnings} warnings, ${c.remarks} remarks`,
    ],
  ];
  return (
    <section aria-label="Variants side by side" className="flex h-full min-w-0 flex-1 flex-col overflow-auto">
      <div className="flex items-center gap-3 px-5 pt-3">
        <h2 className="head text-[21px]">{s.name}: variants at one scale</h2>
        <button className="btn" onClick={close}>
          Back to the drawing
        </button>
      </div>
      <div className="flex min-h-0 flex-1 gap-4 px-5 py-2" style={{ minHeight: 240 }}>
        {drawn.map(({ v, d, shown, box }) => (
          <figure key={v.id} className="flex min-w-0 flex-1 flex-col border-b border-hair">
            <svg
              className="min-h-0 flex-1"
              viewBox={`${box.x - wide * 0.04 - (wide - box.w) / 2} ${-box.top - (high - box.h) / 2 - high * 0.04} ${wide * 1.08} ${high * 1.08}`}
              role="img"
              aria-label={`${v.name}: ${d.kind.describe(v.params)}`}
            >
              <g transform="scale(1 -1)">
                {shown.map((x) => (
                  <path
                    key={x.id}
                    d={x.outlines
                      .map((o) => `M${o.map((p) => `${p[0].toFixed(2)} ${p[1].toFixed(2)}`).join("L")}Z`)
                      .join("")}
                    fill="var(--timber)"
                    stroke="var(--ink)"
                    strokeWidth={0.9}
                    vectorEffect="non-scaling-stroke"
                  />
                ))}
              </g>
            </svg>
            <figcaption className="py-1 text-center text-[16px]">
              <b>{v.name}</b>
              {v.id === s.chosen ? " · chosen" : ""} <span className="text-ink-2">{d.kind.describe(v.params)}</span>
              {d.fault && <p className="text-[15px] text-fault">{tellIn(d.fault, units)}</p>}
            </figcaption>
          </figure>
        ))}
      </div>
      <div className="px-5 pb-3">
        <table className="w-full table-fixed text-[15px]">
          <tbody>
            {rows.map(([name, of]) => (
              <tr key={name} className="border-b border-hair">
                <th scope="row" className="w-44 py-1 text-left font-normal text-ink-2">
                  {name}
                </th>
                {s.variants.map((v) => {
                  const c = figures?.find((x) => x.variant === v.id);
                  return (
                    <td key={v.id} className="py-1">
                      {c ? of(c) : "…"}
                    </td>
                  );
                })}
              </tr>
            ))}
            <tr>
              <th scope="row" className="py-1 text-left align-top font-normal text-ink-2">
                Choice and reason
              </th>
              {s.variants.map((v) => (
                <td key={v.id} className="py-1 pr-4 align-top">
                  {v.id === s.chosen ? (
                    <p className="min-h-[30px] font-semibold text-verdigris">✓ Chosen</p>
                  ) : (
                    <button className="btn" onClick={() => change(`Choose ${v.name}`, (x) => void (x.chosen = v.id))}>
                      Choose {v.name}
                    </button>
                  )}
                  <TextField
                    label="Why"
                    value={v.reason}
                    keep={(t) =>
                      change(
                        `Reason for ${v.name}`,
                        (x) => void (x.variants.find((y) => y.id === v.id)!.reason = t.slice(0, 1000)),
                      )
                    }
                  />
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
    </section>
  );
}
function boxOf(shown: readonly Shown[]): { x: number; top: number; w: number; h: number } {
  const b = boundsOfShown(shown);
  return b
    ? { x: b.min[0], top: b.max[1], w: b.max[0] - b.min[0], h: b.max[1] - b.min[1] }
    : { x: 0, top: 0, w: 1, h: 1 };
}
