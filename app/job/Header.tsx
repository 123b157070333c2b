import {
  ArrowUturnLeftIcon,
  ArrowUturnRightIcon,
  LightBulbIcon,
  PrinterIcon,
  QuestionMarkCircleIcon,
} from "@heroicons/react/24/outline";
import { lazy, Suspense, useEffect, useState } from "react";
import { scaleLabel } from "core/units";
import { Link } from "react-router";
import { useJob } from "./JobContext";
import { openHelp } from "./Shortcuts";
import { clockOf } from "./useKeeping";

// plans and lists are fetched when they are asked for
const Booklet = lazy(() => import("./Booklet").then((m) => ({ default: m.Booklet })));

/** Name of the job, undo and redo, scale, units, and when it was last kept. */
export function Header({ stage }: { stage: string }) {
  const job = useJob();
  const { doc, design } = job;
  const units = doc.brief.units;
  const set = (change: Partial<typeof units>): void =>
    void job.edit("Change units", (d) => void Object.assign(d.brief.units, change));
  const [printing, setPrinting] = useState(false);
  const structure = design.structures[0]?.structure.name;
  return (
    <header className="stage-head flex h-[52px] shrink-0 items-center gap-3 border-b border-hair px-5">
      <h1 className="head truncate text-[25px] leading-none">{doc.name}</h1>
      <span className="hidden min-w-0 truncate text-[15px] text-ink-2 xl:inline">
        {[stage === "framing" || stage === "jigs" ? structure : "", doc.brief.railroad].filter(Boolean).join(" · ")}
      </span>
      <div className="ml-auto flex items-center gap-1.5">
        <IconButton
          label={job.undoLabel ? `Undo: ${job.undoLabel}` : "Undo"}
          disabled={!job.canUndo}
          onClick={job.undo}
        >
          <ArrowUturnLeftIcon className="size-5" />
        </IconButton>
        <IconButton
          label={job.redoLabel ? `Redo: ${job.redoLabel}` : "Redo"}
          disabled={!job.canRedo}
          onClick={job.redo}
        >
          <ArrowUturnRightIcon className="size-5" />
        </IconButton>
        <Link
          to={`/jobs/${job.id}/brief`}
          title="Scale: change it in the Brief"
          className="head ml-2 rounded-[3px] bg-ink px-2.5 py-1 text-[15px] whitespace-nowrap text-film"
        >
          {scaleLabel(design.scale)}
        </Link>
        <Toggle
          name="Prototype"
          value={units.prototype}
          options={[
            ["ft-in", "ft-in"],
            ["m", "m"],
          ]}
          onChange={(prototype) => set({ prototype })}
        />
        <Toggle
          name="Model"
          value={units.model}
          options={[
            ["mm", "mm"],
            ["in", "in"],
            ["64ths", "1/64"],
          ]}
          onChange={(model) => set({ model })}
        />
        <IconButton label="Print a booklet" onClick={() => setPrinting(true)}>
          <PrinterIcon className="size-5" />
        </IconButton>
        {printing && (
          <Suspense>
            <Booklet close={() => setPrinting(false)} />
          </Suspense>
        )}
        <IconButton label="Light: film or lamp" onClick={flipTheme}>
          <LightBulbIcon className="size-5" />
        </IconButton>
        <IconButton label="Shortcuts (?)" onClick={openHelp}>
          <QuestionMarkCircleIcon className="size-5" />
        </IconButton>
        <Kept />
      </div>
    </header>
  );
}

/** What there is to say while nothing can be kept. */
export function AwayBanner() {
  const { kept, fault } = useJob();
  if (kept !== "away") return null;
  return (
    <p role="status" className="border-b border-hair bg-shade px-5 py-1 text-[15px]">
      <b className="text-fault">{fault ?? "The server does not answer."}</b> What you do stays in this browser, also
      when you load the page again, and is kept when {fault ? "that is mended" : "the server is back"}.
    </p>
  );
}

function flipTheme(): void {
  const next = document.documentElement.dataset.theme === "lamp" ? "film" : "lamp";
  document.documentElement.dataset.theme = next;
  try {
    localStorage.setItem("cardo-theme", next);
  } catch {
    // private windows may refuse: the theme then lasts as long as the page
  }
}

/** Whether what one did is kept, in the same place in the same words. */
function Kept() {
  const { kept, keptAt } = useJob();
  const [clock, setClock] = useState("");
  useEffect(() => setClock(clockOf(new Date(keptAt))), [keptAt]);
  const words = {
    kept: clock ? `Kept at ${clock}` : "",
    keeping: "Keeping …",
    away: "Not kept yet",
    gone: "Off the shelf",
  }[kept];
  const more = {
    kept: "Everything is kept.",
    keeping: "On its way to the server.",
    away: "The server does not answer. What you do stays in this browser and is kept when it is back.",
    gone: "This job was taken off the shelf. What you do stays in this browser.",
  }[kept];
  return (
    <span
      role="status"
      title={more}
      className={`w-[92px] text-right text-[15px] whitespace-nowrap ${kept === "away" || kept === "gone" ? "font-semibold text-fault" : "text-ink-2"}`}
    >
      {words}
      {kept === "away" && <span className="sr-only">. {more}</span>}
    </span>
  );
}

function IconButton({
  label,
  children,
  ...rest
}: {
  label: string;
  children: React.ReactNode;
  disabled?: boolean;
  onClick: () => void;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      className="grid size-9 place-items-center rounded-[3px] hover:bg-shade disabled:opacity-35"
      {...rest}
    >
      {children}
    </button>
  );
}

function Toggle<T extends string>({
  name,
  value,
  options,
  onChange,
}: {
  name: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (v: T) => void;
}) {
  return (
    <div role="radiogroup" aria-label={`${name} unit`} className="ml-1 flex shrink-0 items-center gap-1">
      <span className="head hidden text-[15px] text-ink-2 min-[1180px]:inline">{name}</span>
      <span className="flex overflow-hidden rounded-[3px] border border-edge">
        {options.map(([v, text], i) => (
          <button
            key={v}
            role="radio"
            aria-checked={v === value}
            tabIndex={v === value ? 0 : -1}
            onClick={() => onChange(v)}
            onKeyDown={(e) => {
              const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[e.key];
              if (by === undefined) return;
              e.preventDefault();
              e.stopPropagation();
              const next = (i + by + options.length) % options.length;
              onChange(options[next]![0]);
              (e.currentTarget.parentElement!.children[next] as HTMLElement).focus();
            }}
            className={`head min-h-[26px] px-2 text-[15px] whitespace-nowrap ${v === value ? "bg-ink text-film" : "bg-film"}`}
          >
            {text}
          </button>
        ))}
      </span>
    </div>
  );
}
