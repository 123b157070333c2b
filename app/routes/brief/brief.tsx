import { lazy, Suspense, useState } from "react";
import { useSearchParams } from "react-router";
import { becomes, rescaled } from "core/job";
import { scaleLabel, scaleOf, SCALES, parseNumber } from "core/units";
import { toast } from "sonner";
import { askDrafter } from "~/job/framer";
import { pdfFonts } from "~/job/pdfFonts";
import { fileName, saveFile } from "~/job/saveFile";
import { usePaper } from "~/job/usePaper";
import { useJob } from "~/job/JobContext";
import { LengthField, SelectField, TextField } from "~/ui/Fields";
import { Findings } from "~/ui/Findings";
import { Next } from "~/ui/Next";
import { Sources } from "./Sources";

const SitePlan = lazy(() => import("./plan/SitePlan"));
const Inside = lazy(() => import("./inside/Inside"));
const Years = lazy(() => import("./years/Years"));
const VIEWS = {
  job: "The job",
  plan: "Plan of the spot",
  inside: "Inside",
  years: "Years",
  sources: "Where it comes from",
} as const;

/** What is built, where, at which scale, and why it was decided so; and the spot from above with what stands on it. */
export default function Brief() {
  const [search, setSearch] = useSearchParams();
  const asked = search.get("view");
  const shown = asked !== null && asked in VIEWS ? (asked as keyof typeof VIEWS) : "job";
  return (
    <div className="flex h-full flex-col">
      <div role="tablist" aria-label="Brief" className="flex gap-5 border-b border-hair px-8">
        {(Object.keys(VIEWS) as (keyof typeof VIEWS)[]).map((id) => (
          <button
            key={id}
            role="tab"
            aria-selected={shown === id}
            className={`head min-h-[40px] text-[18px] ${shown === id ? "border-b-2 border-vermilion" : "text-ink-2"}`}
            onClick={() => setSearch(id === "job" ? {} : { view: id }, { replace: true })}
          >
            {VIEWS[id]}
          </button>
        ))}
      </div>
      <div className="min-h-0 flex-1">
        {shown === "plan" ? (
          <Suspense fallback={<p className="p-8 text-ink-2">Drawing the plan …</p>}>
            <SitePlan />
          </Suspense>
        ) : shown === "inside" ? (
          <Suspense fallback={<p className="p-8 text-ink-2">Looking inside …</p>}>
            <Inside />
          </Suspense>
        ) : shown === "years" ? (
          <Suspense fallback={<p className="p-8 text-ink-2">Looking back …</p>}>
            <Years />
          </Suspense>
        ) : shown === "sources" ? (
          <Sources />
        ) : (
          <TheJob />
        )}
      </div>
    </div>
  );
}

function TheJob() {
  const { doc, edit, findings } = useJob();
  const b = doc.brief;
  const set =
    <K extends keyof typeof b>(key: K, label: string) =>
    (value: (typeof b)[K]): void =>
      void edit(label, (d) => void ((d.brief as typeof b)[key] = value));
  const custom = b.scale.id === "custom";
  const [said, setSaid] = useState<readonly string[]>([]);
  /** What was found before the scale was changed: what is found now and was not then is told with it. */
  const [before, setBefore] = useState<ReadonlySet<string>>(new Set());
  // the same structures in another scale, with its stock; what had to give is told
  const toScale = (id: string, ratio?: number): void => {
    const next = rescaled(doc, scaleOf(id, ratio));
    edit("Change the scale", (d) => becomes(d, next.doc));
    setBefore(new Set(findings.map((f) => f.key)));
    setSaid(next.said.length > 0 ? next.said : ["Nothing had to give."]);
  };
  const pickScale = (id: string): void => toScale(id, b.scale.ratio);
  return (
    <div className="h-full overflow-auto px-8 py-5">
      <div className="grid max-w-5xl grid-cols-2 gap-x-12 gap-y-8">
        <section className="space-y-4">
          <h2 className="head text-[24px]">The job</h2>
          <TextField
            label="Name"
            value={doc.name}
            keep={(t) =>
              t.trim()
                ? void edit("Rename the job", (d) => void (d.name = t.trim().slice(0, 120)))
                : ["A job needs a name."]
            }
          />
          <TextField
            label="Built for"
            value={b.client ?? ""}
            placeholder="nobody else"
            keep={(t) =>
              void edit(
                "Built for",
                (d) => void (t.trim() ? (d.brief.client = t.trim().slice(0, 200)) : delete d.brief.client),
              )
            }
          />
          <TextField label="Railroad" value={b.railroad} keep={(t) => set("railroad", "Railroad")(t.slice(0, 200))} />
          <SelectField
            label="Scale"
            value={custom ? "custom" : b.scale.id}
            options={[
              ...SCALES.map((s) => ({ value: s.id, label: scaleLabel(s) })),
              { value: "custom", label: "Another ratio" },
            ]}
            keep={pickScale}
            hint="Published ratios: NMRA S-1.2, NEM 010."
          />
          {custom && (
            <TextField
              label="Ratio, 1 to"
              value={String(b.scale.ratio)}
              keep={(t) => {
                const r = parseNumber(t.replace(/^\s*1:/, ""));
                if (!(r >= 1 && r <= 1000))
                  return [`Read “${t}”; write a number from 1 to 1000, such as 43.5 for 1:43.5.`];
                toScale("custom", r);
              }}
            />
          )}
          {said.length > 0 && (
            <div role="status" className="border-l-[3px] border-ochre bg-shade px-4 py-2 text-[15px]">
              <b>What had to give</b>
              <ul className="max-h-56 list-disc overflow-auto pl-5">
                {said.map((t) => (
                  <li key={t}>{t}</li>
                ))}
              </ul>
              <Findings heading="Found since" only={(f) => f.level !== "remark" && !before.has(f.key)} />
              <button className="link min-h-6" onClick={() => setSaid([])}>
                Understood
              </button>
            </div>
          )}
          <p className="text-[15px] text-ink-2">
            A foot of the prototype is {(304.8 / b.scale.ratio).toFixed(3)} mm on the model. Units are at the top of the
            screen.
          </p>
        </section>
        <section className="space-y-4">
          <h2 className="head text-[24px]">The spot</h2>
          <TextField
            label="Where it goes"
            long
            value={b.place}
            placeholder="The gap it fills, what stands beside it, what has to be kept"
            keep={(t) => set("place", "Where it goes")(t.slice(0, 500))}
          />
          <div className="grid grid-cols-2 gap-4">
            <LengthField
              label="Length of the spot"
              world="model"
              mm={b.spotLength}
              empty={0}
              units={b.units}
              keep={(mm) =>
                mm < 0 || mm > 1e5 ? ["Write a length from 0 to 100 m."] : set("spotLength", "Length of the spot")(mm)
              }
            />
            <LengthField
              label="Depth of the spot"
              world="model"
              mm={b.spotDepth}
              empty={0}
              units={b.units}
              keep={(mm) =>
                mm < 0 || mm > 1e5 ? ["Write a length from 0 to 100 m."] : set("spotDepth", "Depth of the spot")(mm)
              }
            />
          </div>
          <SelectField
            label="Track"
            value={b.track}
            options={[
              { value: "over", label: "over it" },
              { value: "beside", label: "beside it" },
              { value: "under", label: "under it" },
              { value: "none", label: "none near" },
            ]}
            keep={set("track", "Track")}
          />
          <TextField
            label="Era"
            value={b.era}
            placeholder="Summer 1909"
            keep={(t) => set("era", "Era")(t.slice(0, 100))}
          />
        </section>
        <Decisions />
        <div className="col-span-2 flex max-w-3xl flex-wrap items-center gap-x-8 gap-y-3">
          <BriefPdf />
          <Next />
        </div>
      </div>
    </div>
  );
}

/** The brief as a page: to be sent to whom it is for, or put beside the bench. */
function BriefPdf() {
  const { doc, ask } = useJob();
  const [paper] = usePaper();
  const [making, setMaking] = useState(false);
  const make = async (): Promise<void> => {
    setMaking(true);
    try {
      const fonts = await pdfFonts();
      const date = new Date().toISOString().slice(0, 10);
      saveFile(await askDrafter((w) => w.brief(ask, date, paper, fonts)), fileName(`${doc.name} brief`, "pdf"));
    } catch (e) {
      toast.error(`The brief could not be made: ${(e as Error).message}`);
    }
    setMaking(false);
  };
  return (
    <button className="btn" disabled={making} onClick={() => void make()}>
      {making ? "Making it …" : "The brief as a page (PDF)"}
    </button>
  );
}
function Decisions() {
  const { doc, edit } = useJob();
  const [what, setWhat] = useState("");
  const [reason, setReason] = useState("");
  const add = (): void => {
    edit(
      "Note a decision",
      (d) =>
        void d.brief.decisions.push({
          id: `d${crypto.randomUUID().slice(0, 6)}`,
          what: what.trim().slice(0, 300),
          reason: reason.trim().slice(0, 2000),
        }),
    );
    setWhat("");
    setReason("");
  };
  return (
    <section className="col-span-2">
      <h2 className="head text-[24px]">Decisions</h2>
      <p className="mb-2 text-[15px] text-ink-2">What was decided and why: so that later you may dare to touch it.</p>
      <table className="list">
        <thead>
          <tr>
            <th className="w-[40%]">Decided</th>
            <th>Because</th>
            <th className="w-20">Agreed</th>
            <th>
              <span className="sr-only">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {doc.brief.decisions.map((x, i) => (
            <tr key={x.id}>
              <td>
                <TextField
                  label={<span className="sr-only">Decision {i + 1}</span>}
                  value={x.what}
                  keep={(t) =>
                    void edit("Change a decision", (d) => void (d.brief.decisions[i]!.what = t.slice(0, 300)))
                  }
                />
              </td>
              <td>
                <TextField
                  label={<span className="sr-only">Reason {i + 1}</span>}
                  value={x.reason}
                  keep={(t) =>
                    void edit("Change a reason", (d) => void (d.brief.decisions[i]!.reason = t.slice(0, 2000)))
                  }
                />
              </td>
              <td className="!pt-3 text-center">
                <input
                  type="checkbox"
                  className="size-5"
                  aria-label={`Agreed: ${x.what}`}
                  checked={x.agreed === true}
                  onChange={(e) => {
                    const on = e.target.checked;
                    edit(on ? "Agreed" : "Not agreed", (d) => void (on ? (d.brief.decisions[i]!.agreed = true) : delete d.brief.decisions[i]!.agreed)); // prettier-ignore
                  }}
                />
              </td>
              <td className="w-24 !pt-3 num">
                <button
                  className="link"
                  onClick={() => edit("Remove a decision", (d) => void d.brief.decisions.splice(i, 1))}
                >
                  Remove
                </button>
              </td>
            </tr>
          ))}
          <tr>
            <td>
              <input
                className="field"
                aria-label="New decision"
                placeholder="Decided …"
                value={what}
                onChange={(e) => setWhat(e.target.value)}
              />
            </td>
            <td>
              <input
                className="field"
                aria-label="Its reason"
                placeholder="because …"
                value={reason}
                onChange={(e) => setReason(e.target.value)}
                onKeyDown={(e) => e.key === "Enter" && what.trim() && add()}
              />
            </td>
            <td />
            <td className="num">
              <button className="btn" disabled={!what.trim()} onClick={add}>
                Note it
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  );
}
