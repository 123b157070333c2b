import { useCallback, useMemo, useRef, useState, type ReactNode } from "react";
import { toast } from "sonner";
import { pageSvg, type PictureBytes } from "core/drawing";
import { MOTIFS, type Motif, type CoverDoc, type PaperDoc } from "core/job";
import { cutSize, MOTIF, paperPages, paperRemarks, pictureSize, type PaperRemark } from "core/papers";
import { inches, parseNumber, scaleLabel, tellIn } from "core/units";
import { parseSheetName } from "core/lumber";
import { coversOf, type RoomCover } from "core/inside/covers";
import type { Room } from "core/inside/room";
import { askLooker } from "~/job/framer";
import { useAnswer } from "~/job/useAnswer";
import { useJob } from "~/job/JobContext";
import { usePaper } from "~/job/usePaper";
import { correctionNow } from "~/job/usePrinters";
import { useUnits } from "~/job/units";
import { sendPicture } from "~/sources/sendFile";
import { LengthField, SelectField, TextField } from "~/ui/Fields";
import { FileInput } from "~/ui/FileInput";
import { PaperChoice } from "~/ui/PaperChoice";
import { SidePanel } from "~/ui/SidePanel";
import { PageView } from "./PageView";

/** Signs, floors, brick papers, wallpapers and curtains at their true size, all on as few pages as they need. */
export function Papers({ tabs }: { tabs: ReactNode }) {
  const job = useJob();
  const { doc, design, edit } = job;
  const [paper, setPaper] = usePaper();
  const [page, setPage] = useState(0);
  const [busy, setBusy] = useState(false);
  const file = useRef<HTMLInputElement>(null);
  const papers = useMemo(() => doc.papers ?? [], [doc.papers]);
  const { scale } = design;
  const today = useMemo(() => new Date().toISOString().slice(0, 10), []);
  const plan = useMemo(() => {
    const pictures = new Map(papers.map((p) => [p.picture.hash, { type: "image/jpeg", bytes: new Uint8Array(), href: `/pictures/${p.picture.hash}` } satisfies PictureBytes])); // prettier-ignore
    return paperPages(papers, scale.ratio, pictures, paper, { job: doc.name, scale: scaleLabel(scale), date: today });
  }, [papers, scale, paper, doc.name, today]);
  const remarks = useMemo(() => paperRemarks(papers, scale.ratio, wallsOf([...design.sheets.keys()])), [papers, scale.ratio, design.sheets]); // prettier-ignore
  const { ask } = job;
  const rooms = useAnswer<readonly Room[]>(useCallback(() => askLooker((w) => w.rooms(ask)), [ask]));
  const places = useMemo(() => (rooms.answer ?? []).flatMap((r) => coversOf(r, scale.ratio)), [rooms.answer, scale.ratio]); // prettier-ignore
  const at = Math.max(0, Math.min(page, plan.pages.length - 1));
  const shown = plan.pages[at];
  const svg = useMemo(() => (shown ? pageSvg(plan, shown) : ""), [plan, shown]);
  const add = (name: string, picture: PaperDoc["picture"]): void =>
    void edit(`Print ${name}`, (d) => {
      (d.papers ??= []).push({ id: `p${crypto.randomUUID().slice(0, 6)}`, name: name.slice(0, 80), picture, motif: "sign", along: "across", units: 1, unit: inches(48), count: 1, bleed: 2 }); // prettier-ignore
    });
  const take = async (f: File): Promise<void> => {
    setBusy(true);
    try {
      add(f.name.replace(/\.\w+$/, "") || "Paper", await sendPicture(job.id, f, f.name || "paper"));
    } catch (e) {
      toast.error(`The picture was not taken. ${(e as Error).message}`);
    }
    setBusy(false);
  };
  const { correct } = correctionNow();
  const query = new URLSearchParams({ paper, ...(correct ? { across: String(correct.across), up: String(correct.up) } : {}) }); // prettier-ignore
  return (
    <div className="stage flex h-full">
      <div className="stage-main flex min-w-0 flex-1 flex-col">
        <div className="flex flex-wrap items-end gap-3 px-7 pt-3">
          {tabs}
          <span className="ml-auto">
            <PaperChoice paper={paper} choose={setPaper} />
          </span>
          {plan.pages.length > 0 && (
            <a className="act flex min-h-10 items-center" href={`/jobs/${job.id}/papers.pdf?${query}`} download>
              Print papers (PDF)
            </a>
          )}
          {plan.pages.length > 1 && (
            <span className="flex items-center gap-2">
              <button className="btn" aria-label="Page before" disabled={at === 0} onClick={() => setPage(at - 1)}>
                ‹
              </button>
              Page {at + 1} of {plan.pages.length}
              <button
                className="btn"
                aria-label="Next page"
                disabled={at === plan.pages.length - 1}
                onClick={() => setPage(at + 1)}
              >
                ›
              </button>
            </span>
          )}
        </div>
        <div
          className="mt-3 flex min-h-0 flex-1 border-t border-hair bg-shade"
          onDragOver={(e) => e.preventDefault()}
          onDrop={(e) => {
            e.preventDefault();
            const f = [...e.dataTransfer.files].find((x) => x.type.startsWith("image/"));
            if (f) void take(f);
          }}
        >
          {shown ? (
            <PageView page={{ svg, size: [shown.size[0], shown.size[1]] }} label="papers" />
          ) : (
            <div className="max-w-2xl p-10">
              <h2 className="head text-[27px]">No paper yet</h2>
              <p className="my-3 text-lg">
                A sign, a floor of boards, a brick paper, a wallpaper, a curtain: add its picture at the right, say how
                much of it is how large on the prototype, and it is printed at its true size with all others on one
                page.
              </p>
            </div>
          )}
        </div>
      </div>
      <SidePanel label="Papers">
        <div className="space-y-5 text-[15px]">
          <section className="space-y-2">
            <h2 className="label">Add a paper</h2>
            <FileInput input={file} label="Picture to print" accept="image/*" chosen={(f) => void take(f)} />
            <button className="btn min-h-10" disabled={busy} onClick={() => file.current?.click()}>
              {busy ? "Sending …" : "Choose a picture"}
            </button>
            {doc.drawings.some((d) => d.picture) && (
              <SelectField
                label="or one of the drawings"
                value=""
                options={[{ value: "", label: "Choose one" }, ...doc.drawings.filter((d) => d.picture).map((d) => ({ value: d.id, label: d.name }))]} // prettier-ignore
                keep={(id) => {
                  const d = doc.drawings.find((x) => x.id === id);
                  if (d?.picture) add(d.name, d.picture);
                }}
              />
            )}
          </section>
          {papers.map((p, i) => (
            <OnePaper key={p.id} p={p} i={i} places={places} remarks={remarks.filter((r) => r.paper === p.id)} />
          ))}
          {papers.length > 0 && (
            <p className="text-ink-2">
              Cut along the marks at the corners; what is repeated runs over them so that no white shows. Fix the print
              with a clear coat before water-based glue comes near it.
            </p>
          )}
        </div>
      </SidePanel>
    </div>
  );
}
/** How large what a paper shows is on the walls of the job, prototype mm. */
function wallsOf(names: readonly string[]): Partial<Record<Motif, number>> {
  const brick = names.map(parseSheetName).find((w) => w?.texture === "brick");
  return brick ? { bricks: brick.pitch } : {};
}

/** Covers of one size with the same doors and windows. */
const alike = (a: CoverDoc, b: CoverDoc): boolean =>
  Math.abs(a.length - b.length) < 1 && Math.abs(a.height - b.height) < 1 && JSON.stringify(a.holes ?? []) === JSON.stringify(b.holes ?? []); // prettier-ignore

function OnePaper({
  p,
  i,
  places,
  remarks,
}: {
  p: PaperDoc;
  i: number;
  places: readonly RoomCover[];
  remarks: readonly PaperRemark[];
}) {
  const { doc, design, edit } = useJob();
  const { M, units } = useUnits();
  const change = (label: string, f: (p: PaperDoc) => void): void => void edit(`${label}, ${p.name}`, (d) => f(d.papers![i]!)); // prettier-ignore
  const one = MOTIF[p.motif].one;
  const whole = one === "picture";
  const [own, cut] = [pictureSize(p, design.scale.ratio), cutSize(p, design.scale.ratio)];
  const length = (label: string, mm: number, keep: (p: PaperDoc, mm: number) => void) => (
    <LengthField
      label={label}
      world="prototype"
      mm={mm}
      units={doc.brief.units}
      keep={(n) => {
        if (!(n >= 1 && n <= 1e6)) return ["Write a length up to 1 km."];
        change(label, (x) => keep(x, n));
      }}
    />
  );
  return (
    <section aria-label={p.name} className="space-y-2 border-t border-hair pt-3">
      <div className="flex items-start gap-3">
        <img src={`/pictures/${p.picture.hash}`} alt="" className="max-h-20 w-20 border border-hair object-contain" />
        <div className="min-w-0 flex-1">
          <TextField
            label="Name"
            value={p.name}
            keep={(t) =>
              t.trim() ? change("Name", (x) => void (x.name = t.trim().slice(0, 80))) : ["A paper needs a name."]
            }
          />{" "}
        </div>
      </div>
      <SelectField
        label="It shows"
        value={p.motif}
        options={MOTIFS.map((m) => ({ value: m, label: MOTIF[m].label }))}
        keep={(m) =>
          change("What it shows", (x) => {
            x.motif = m;
            // bricks and boards are repeated, a sign is not
            if (MOTIF[m].one === "picture") x.units = 1;
            else x.cover ??= { length: inches(240), height: inches(120) };
          })
        }
      />
      <div className="grid grid-cols-2 items-end gap-2">
        {whole ? (
          length(p.along === "across" ? "It is wide" : "It is high", p.unit, (x, n) => void (x.unit = n))
        ) : (
          <TextField
            label={`${one[0]!.toUpperCase()}${one.slice(1)}s on it`}
            value={String(p.units)}
            keep={(t) => {
              const n = parseNumber(t);
              if (!(n >= 0.1 && n <= 1000)) return [`Read “${t}”; write a number from 0.1 to 1000, such as 12 or 4.5.`];
              change("How many it shows", (x) => void (x.units = n));
            }}
          />
        )}
        <SelectField
          label={whole ? "measured" : "counted"}
          value={p.along}
          options={[
            { value: "across", label: "across it" },
            { value: "up", label: "up it" },
          ]}
          keep={(v) => change("How it is counted", (x) => void (x.along = v))}
        />
      </div>
      {!whole && length(`One ${one} is`, p.unit, (x, n) => void (x.unit = n))}
      <label className="flex min-h-8 items-center gap-2">
        <input
          type="checkbox"
          className="size-4.5"
          checked={p.cover !== undefined}
          onChange={(e) => {
            const on = e.target.checked;
            change(on ? "Repeat" : "Print once", (x) => void (on ? (x.cover = { length: inches(240), height: inches(120) }) : delete x.cover)); // prettier-ignore
          }}
        />
        Repeat it over a floor or a wall
      </label>
      {p.cover && places.length > 0 && (
        <SelectField
          label="As large as"
          value={String(places.findIndex((x) => alike(x.cover, p.cover!)))} // prettier-ignore
          options={[{ value: "-1", label: "its own figures" }, ...places.map((x, n) => ({ value: String(n), label: x.name }))]} // prettier-ignore
          keep={(n) => {
            const to = places[Number(n)];
            if (to) change(`As large as ${to.name}`, (x) => void (x.cover = structuredClone(to.cover)));
          }}
        />
      )}
      {p.cover && (
        <div className="grid grid-cols-2 gap-2">
          {length("Covers along", p.cover.length, (x, n) => void (x.cover!.length = n))}
          {length("Covers up", p.cover.height, (x, n) => void (x.cover!.height = n))}
        </div>
      )}
      <div className="grid grid-cols-2 gap-2">
        <TextField
          label="How often"
          value={String(p.count)}
          keep={(t) => {
            const n = parseNumber(t);
            if (!(Number.isInteger(n) && n >= 1 && n <= 200))
              return [`Read “${t}”; write a whole number from 1 to 200.`];
            change("How often", (x) => void (x.count = n));
          }}
        />
        {p.cover && (
          <LengthField
            label="Bleed"
            world="model"
            mm={p.bleed}
            units={doc.brief.units}
            keep={(n) => (n >= 0 && n <= 20 ? change("Bleed", (x) => void (x.bleed = n)) : [`Read ${M(n)}; it may be from 0 to ${M(20)}.`])} // prettier-ignore
          />
        )}
      </div>
      <p className="text-ink-2">
        {p.cover
          ? `The picture is ${M(own.wide)} × ${M(own.high)}; it covers ${M(cut.wide)} × ${M(cut.high)}.`
          : `Printed ${M(own.wide)} × ${M(own.high)}.`}
      </p>
      {remarks.map((r) => (
        <p key={r.text} className={`border-l-[3px] pl-3 ${r.level === "warning" ? "border-ochre" : "border-edge"}`}>
          {tellIn(r.text, units)}
        </p>
      ))}
      <button className="link min-h-6" onClick={() => edit(`Remove ${p.name}`, (d) => void d.papers!.splice(i, 1))}>
        Remove
      </button>
    </section>
  );
}
