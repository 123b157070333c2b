import { useCallback, useState } from "react";
import { FASTENER_WORDS } from "core/fasteners";
import { emptyBuild, type FastenerDoc } from "core/job";
import { bareModel, parseLength } from "core/units";
import { askLooker } from "~/job/framer";
import { useJob } from "~/job/JobContext";
import { useAnswer } from "~/job/useAnswer";
import { useUnits } from "~/job/units";
import { TextField } from "~/ui/Fields";
import { Mistakes } from "./Mistakes";
import type { BenchOrder } from "./useBench";

const KINDS = Object.keys(FASTENER_WORDS) as FastenerDoc["kind"][];
/** Pins, dowels, screws, bolts and magnets: where two sorts of parts meet, the same holes in both, and what does not fit. */
export function Fasteners({ order }: { order: BenchOrder }) {
  const { doc, ask, edit } = useJob();
  const { M } = useUnits();
  const shown = useAnswer(useCallback(() => askLooker((w) => w.fasteners(ask)), [ask]));
  const all = doc.build?.fasteners ?? [];
  const change = (label: string, f: (all: FastenerDoc[]) => void): void => void edit(label, (d) => f((d.build ??= emptyBuild()).fasteners)); // prettier-ignore
  const bare = bareModel(doc.brief.units.model);
  const open = shown.answer?.meetings ?? [];
  const [chosen, setChosen] = useState("");
  const [kind, setKind] = useState<FastenerDoc["kind"]>("pin");
  const nameOf = (id: string): string => doc.structures.find((s) => s.id === id)?.name ?? id;
  const words = (joint: string): string => joint.replace(">", " on ");
  return (
    <section className="mt-7 max-w-5xl" aria-label="Pins, screws and magnets">
      <h2 className="label">Pins, screws and magnets</h2>
      <p className="text-[15px] text-ink-2">
        Where glue alone will not hold, or a part lifts off. Both parts get the same holes; drilling patterns at full
        size are among the Jigs.
      </p>
      {all.map((f, i) => {
        const size = (k: "diameter" | "length", label: string, most: number) => (
          <div className="w-32">
            <TextField
              label={label}
              value={M(f[k], 1)}
              keep={(t) => {
                const p = parseLength(t, bare);
                if (!p.ok) return [p.error];
                if (!(p.mm >= (k === "diameter" ? 0.2 : 0.5) && p.mm <= most)) return [`Read “${t}”; it may be up to ${M(most, 0)}.`]; // prettier-ignore
                change(`${label} of the ${FASTENER_WORDS[f.kind]}`, (x) => void (x[i]![k] = p.mm));
              }}
            />
          </div>
        );
        const count = shown.answer?.holes[f.id] ?? 0;
        return (
          <div key={f.id} className="row flex flex-wrap items-end gap-4 py-2">
            <b className="w-60">
              {FASTENER_WORDS[f.kind]}, {words(f.joint)}
              <span className="block text-[15px] font-normal text-ink-2">
                {nameOf(f.structure)}: {count} {count === 1 ? "hole" : "holes"} in each part
              </span>
            </b>
            {size("diameter", "Thick", 20)}
            {size("length", f.kind === "magnet" ? "High, each" : "Long", 200)}
            <div className="w-28">
              <TextField
                label="At each place"
                value={String(f.count)}
                keep={(t) => {
                  const n = Number(t);
                  if (!(Number.isInteger(n) && n >= 1 && n <= 20)) return [`Read “${t}”; write a whole number from 1 to 20.`]; // prettier-ignore
                  change(`How many ${FASTENER_WORDS[f.kind]}s`, (x) => void (x[i]!.count = n));
                }}
              />
            </div>
            <button
              className="link min-h-10"
              onClick={() => change(`Without the ${FASTENER_WORDS[f.kind]}`, (x) => void x.splice(i, 1))}
            >
              Leave it out
            </button>
          </div>
        );
      })}
      <div className="-mx-7">
        <Mistakes all={order.mistakes.filter((m) => m.key.includes(":fastener:"))} />
      </div>
      {open.length > 0 && (
        <form
          className="mt-2 flex flex-wrap items-end gap-3"
          onSubmit={(e) => {
            e.preventDefault();
            const pick = chosen || `${open[0]!.structure}|${open[0]!.joint}`;
            const at = pick.indexOf("|");
            change(`Add a ${FASTENER_WORDS[kind]}`, (x) => void x.push({ id: `f${Date.now().toString(36)}`, structure: pick.slice(0, at), joint: pick.slice(at + 1), kind, diameter: 0.8, length: 4, count: 1 })); // prettier-ignore
          }}
        >
          <label className="flex flex-col text-[15px]">
            Where
            <select className="field !w-96 min-h-11" value={chosen} onChange={(e) => setChosen(e.target.value)}>
              {open.map((m) => (
                <option key={`${m.structure}|${m.joint}`} value={`${m.structure}|${m.joint}`}>
                  {`${words(m.joint)}, ${m.count} ${m.count === 1 ? "place" : "places"} (${nameOf(m.structure)})`}
                </option>
              ))}
            </select>
          </label>
          <label className="flex flex-col text-[15px]">
            By
            <select
              className="field !w-48 min-h-11"
              value={kind}
              onChange={(e) => setKind(e.target.value as FastenerDoc["kind"])}
            >
              {KINDS.map((k) => (
                <option key={k} value={k}>
                  {FASTENER_WORDS[k]}
                </option>
              ))}
            </select>
          </label>
          <button className="btn min-h-11">Add it</button>
        </form>
      )}
    </section>
  );
}
