import { useCallback } from "react";
import { toast } from "sonner";
import { minutesWords } from "core/assembly";
import { COAT_WORDS, GROUP_WORDS, TIME_WORDS } from "core/finish";
import { emptyBuild, FINISH_TIMES, type BuildDoc, type CoatDoc, type FinishPartDoc } from "core/job";
import { printArea, printNumber } from "core/units";
import { askDrafter, askLooker } from "~/job/framer";
import { useJob } from "~/job/JobContext";
import { pdfFonts } from "~/job/pdfFonts";
import { fileName, saveFile } from "~/job/saveFile";
import { useAnswer } from "~/job/useAnswer";
import { usePaper } from "~/job/usePaper";
import { correctionNow } from "~/job/usePrinters";
import { TextField } from "~/ui/Fields";
import type { ShownFinish } from "~/workers/assembler";
import { CoatList } from "./CoatList";
import { Mistakes } from "./Mistakes";
import type { BenchOrder } from "./useBench";
import { useCoats } from "./useCoats";

type Part = ShownFinish["parts"][number];

/** What is coated with what and when: each group of parts, the coats and their mixes, how much it takes, and what would go wrong. */
export function Finish({ order }: { order: BenchOrder }) {
  const job = useJob();
  const { doc, ask, edit } = job;
  const units = doc.brief.units;
  const own = useCoats();
  const [paper] = usePaper();
  const shown = useAnswer(useCallback(() => askLooker((w) => w.finish(ask)), [ask]));
  const parts = shown.answer?.parts ?? [];
  const change = (label: string, f: (b: BuildDoc) => void): void => void edit(label, (d) => f((d.build ??= emptyBuild()))); // prettier-ignore
  const row = (b: BuildDoc, p: Part): FinishPartDoc => {
    const found = (): FinishPartDoc | undefined => b.finish.find((f) => f.structure === p.structure && f.group === p.group); // prettier-ignore
    if (!found()) b.finish.push({ structure: p.structure, group: p.group, when: p.when, coats: [] });
    return found()!;
  };
  const usual = async (): Promise<void> => {
    const next = await askLooker((w) => w.usualFinish(ask, own.coats));
    edit("Take the usual finish", (d) => void (d.build = next));
  };
  const print = async (): Promise<void> => {
    try {
      const date = new Date().toISOString().slice(0, 10);
      const planned = { done: new Set<string>(), sticks: [], sheets: [], wanted: [], quotes: [], spare: 0 };
      const fonts = await pdfFonts();
      const made = await askDrafter((w) => w.booklet(ask, date, paper, ["finish"], planned, fonts, correctionNow().correct)); // prettier-ignore
      saveFile(made, fileName(`${doc.name} finish plan`, "pdf"));
    } catch (e) {
      toast.error(`The plan could not be printed: ${(e as Error).message}`);
    }
  };
  const open = parts.some((p) => !p.decided);
  const structures = [...new Set(parts.map((p) => p.structure))];
  return (
    <>
      <div className="flex flex-wrap items-center gap-3">
        <p className="mr-auto text-ink-2">
          What is coated, with what and when. Each coat becomes a step with its own clock.
        </p>
        {open && parts.length > 0 && (
          <button className="act min-h-11" onClick={() => void usual()}>
            Take the usual finish
          </button>
        )}
        {doc.build && doc.build.finish.length > 0 && (
          <button className="btn min-h-11" onClick={() => void print()}>
            Print the plan (PDF)
          </button>
        )}
      </div>
      <div className="-mx-7">
        <Mistakes all={order.mistakes} />
      </div>
      {!shown.answer && <p className="mt-4">{shown.fault ?? "The parts are being looked up …"}</p>}
      {structures.map((s) => {
        const mine = parts.filter((p) => p.structure === s);
        return (
          <section key={s} className="mt-4">
            <h2 className="label">{mine[0]!.structureName}</h2>
            <table className="list text-[16px]">
              <thead>
                <tr>
                  <th className="w-44">Parts</th>
                  <th className="num w-36">Surface</th>
                  <th className="w-52">When</th>
                  <th>Coats, the first one first</th>
                </tr>
              </thead>
              <tbody>
                {mine.map((p) => (
                  <tr key={p.group}>
                    <td>
                      {GROUP_WORDS[p.group]}
                      <span className="block text-[15px] text-ink-2">
                        {`${p.pieces} ${p.pieces === 1 ? "piece" : "pieces"}, ${p.material}`}
                      </span>
                    </td>
                    <td className="num">
                      {printArea(p.area, units.model)}
                      {p.glued > 0 && (
                        <span className="block text-[15px] text-ink-2">{printArea(p.glued, units.model)} masked</span>
                      )}
                    </td>
                    <td>
                      <select
                        className="field min-h-10"
                        aria-label={`When the ${GROUP_WORDS[p.group]} are done`}
                        value={p.when}
                        onChange={(e) => change(`When the ${GROUP_WORDS[p.group]} are done`, (b) => void (row(b, p).when = e.target.value as Part["when"]))} // prettier-ignore
                      >
                        {FINISH_TIMES.map((t) => (
                          <option key={t} value={t}>
                            {TIME_WORDS[t]}
                          </option>
                        ))}
                      </select>
                    </td>
                    <td>
                      <Coats part={p} own={own.coats} change={(label, f) => change(label, (b) => f(b, row(b, p)))} />
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        );
      })}
      {shown.answer && shown.answer.coats.length > 0 && (
        <section className="mt-5">
          <h2 className="label">Coats of this job and their mixes</h2>
          <table className="list text-[16px]">
            <thead>
              <tr>
                <th>Coat</th>
                <th className="w-96">Mix</th>
                <th className="num">Covers here</th>
                <th className="num">Takes about</th>
                <th>Dry to touch, to paint over</th>
              </tr>
            </thead>
            <tbody>
              {shown.answer.coats.map(({ coat, area, millilitres, on }) => (
                <tr key={coat.id}>
                  <td>
                    {coat.name}
                    <span className="block text-[15px] text-ink-2">
                      {COAT_WORDS[coat.kind]}: {on.join(", ")}
                    </span>
                  </td>
                  <td>
                    <TextField
                      label={<span className="sr-only">Mix of {coat.name}</span>}
                      value={coat.mix}
                      placeholder="three parts red, one brown"
                      keep={(t) => change(`Mix of ${coat.name}`, (b) => void (b.coats.find((c) => c.id === coat.id)!.mix = t.trim().slice(0, 300)))} // prettier-ignore
                    />
                  </td>
                  <td className="num">{printArea(area, units.model)}</td>
                  <td className="num">{printNumber(millilitres, 1)} ml</td>
                  <td>
                    {minutesWords(coat.touch)}, {minutesWords(coat.over)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-1 max-w-3xl text-[15px] text-ink-2">
            Surfaces are all round, with nothing taken off for joints, and a third more for what stays in brush and cup.
            Masks for glue faces are among the Jigs, at full size.
          </p>
        </section>
      )}
      <CoatList {...own} />
    </>
  );
}

/** The coats of a group: each can be taken off, and another put on. */
function Coats({
  part,
  own,
  change,
}: {
  part: Part;
  own: readonly CoatDoc[];
  change: (label: string, f: (b: BuildDoc, row: FinishPartDoc) => void) => void;
}) {
  const words = GROUP_WORDS[part.group];
  const { doc } = useJob();
  const here = doc.build?.coats ?? [];
  const all = [...here, ...own.filter((c) => !here.some((x) => x.id === c.id))];
  return (
    <div className="flex flex-wrap items-center gap-2">
      {part.coats.map((c, i) => (
        <span key={i} className="inline-flex items-center gap-1.5 border border-edge bg-film px-2 py-1">
          {`${i + 1}. ${c.name}`}
          <button
            className="link min-h-6 min-w-6"
            aria-label={`Take ${c.name} off the ${words}`}
            onClick={() => change(`${c.name} off the ${words}`, (_, row) => void row.coats.splice(i, 1))}
          >
            ×
          </button>
        </span>
      ))}
      <select
        className="field !w-44 min-h-10"
        aria-label={`Another coat on the ${words}`}
        value=""
        onChange={(e) => {
          const coat = all.find((c) => c.id === e.target.value)!;
          change(`${coat.name} on the ${words}`, (b, row) => {
            if (!b.coats.some((c) => c.id === coat.id)) b.coats.push({ ...coat });
            row.coats.push(coat.id);
          });
        }}
      >
        <option value="">{part.coats.length > 0 ? "then …" : "no coat; add …"}</option>
        {all.map((c) => (
          <option key={c.id} value={c.id}>
            {c.name}
          </option>
        ))}
      </select>
    </div>
  );
}
