import { memo, useState } from "react";
import { markSize, type Flat, type SheetJob } from "core/jigs/sheetParts";
import type { Vec2 } from "core/geometry";
import { moveOfSheet, type CutMove } from "core/drawer";
import { lookOf, textureOf } from "core/lumber";
import {
  cutWordsOf,
  sheetGapWords,
  sizeOf,
  turnedPoint,
  usedPercent,
  type NestedSheet,
  type NestResult,
  type Turn,
} from "core/nesting";
import { printNumber } from "core/units";
import { marksOf } from "~/job/useCutMarks";
import type { SheetPlans, ShownSheets } from "~/job/useSheetPlans";
import type { LayoutHand } from "./layoutHand";
import { SearchBanner } from "./SearchBanner";

/** Every sheet with its parts as they lie on it, the cuts in their order, and what is left. */
export function SheetLayout({ sheets, hand, none }: { sheets: SheetPlans; hand: LayoutHand; none: string }) {
  const { plans, seeking, stopped, fault, stop, again } = sheets;
  const open = plans.some((p) => p.result?.status === "planned" && sheetGapWords(p.job.problem, p.result) !== "");
  if (!hand.drawer) return <p className="text-lg">Looking into the drawer …</p>;
  if (plans.length === 0) return <p className="text-lg">{none}</p>;
  return (
    <div className="space-y-6">
      <SearchBanner seeking={seeking} stopped={stopped} open={open} what="layout" stop={stop} again={again}>
        What is shown can be cut; better layouts are looked for behind it.
      </SearchBanner>
      {fault && <p className="text-fault">{fault}</p>}
      {plans.map((p) => (
        <OneSheet key={p.job.stock} shown={p} hand={hand} />
      ))}
    </div>
  );
}

type Planned = Extract<NestResult, { status: "planned" }>;
const OneSheet = memo(
  function OneSheet({ shown, hand }: { shown: ShownSheets; hand: LayoutHand }) {
    const { job, result, seeking } = shown;
    const parts = job.problem.parts.reduce((s, p) => s + p.sticks.length, 0);
    const count = `${parts} ${parts === 1 ? "part" : "parts"}`;
    return (
      // what is out of sight is not laid out
      <section aria-label={job.name} className="[contain-intrinsic-size:auto_500px] [content-visibility:auto]">
        <h2 className="head text-[20px]">
          {job.name}: {result?.status === "planned" ? <Sheets n={result.sheets.length} /> : count}
        </h2>
        {result === undefined && <p className="text-ink-2">Being laid out …</p>}
        {result?.status === "too large" && (
          <Trouble
            marks={result.parts.map((i) => job.problem.parts[i]!.mark)}
            what="larger than every sheet there is. Give a larger sheet at the right, or let the wall be parted in Framing (its own longest sheet)."
          />
        )}
        {result?.status === "not enough" && (
          <Trouble
            marks={result.left.map((i) => job.problem.parts[i]!.mark)}
            what="left over: the sheets on hand are not enough. Add some at the right."
          />
        )}
        {result?.status === "planned" && <Plan job={job} r={result} count={count} seeking={seeking} hand={hand} />}
      </section>
    );
  },
  (a, b) =>
    a.shown.job === b.shown.job &&
    a.shown.result === b.shown.result &&
    a.shown.seeking === b.shown.seeking &&
    a.hand === b.hand,
);
const Sheets = ({ n }: { n: number }) => <>{`${n} ${n === 1 ? "sheet" : "sheets"}`}</>;

function Trouble({ marks, what }: { marks: readonly string[]; what: string }) {
  return (
    <p className="border-l-[3px] border-fault pl-3 text-fault">
      {marks.join(", ")} {marks.length === 1 ? "is" : "are"} {what}
    </p>
  );
}

function Plan({
  job,
  r,
  count,
  seeking,
  hand,
}: {
  job: SheetJob;
  r: Planned;
  count: string;
  seeking: boolean;
  hand: LayoutHand;
}) {
  const gap = sheetGapWords(job.problem, r);
  const { item, problem } = job;
  return (
    <>
      <p className="mb-2 text-[15px] text-ink-2">
        {count}.{" "}
        {gap === "" ? (
          <b className="text-verdigris">✓ No layout takes less.</b>
        ) : (
          <b className="text-ochre">
            {capital(gap)}
            {seeking ? "; a better one is looked for." : "."}
          </b>
        )}{" "}
        Parts cover {printNumber(usedPercent(problem, r), 0)} % of the sheets.
        {item?.texture &&
          ` Its lines run from left to right${textureOf(item.texture.id).turns ? "" : ", what is up on the wall is up"}; each part lies where they ask for it.`}
        {item?.material === "wood" && " The grain runs from left to right."}
        {" Seen from the face."}
      </p>
      <ol className="space-y-5">
        {r.sheets.map((s, i) => (
          <li key={i}>
            <OneLayout n={i + 1} sheet={s} job={job} hand={hand} />
          </li>
        ))}
      </ol>
    </>
  );
}
const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);
/** The largest piece that is left whole, in words. */
function leftWords(s: NestedSheet, M: LayoutHand["M"]): string {
  const [best] = [...s.left].sort((a, b) => b.wide * b.high - a.wide * a.high);
  return best && Math.min(best.wide, best.high) >= 5 ? `; left whole ${M(best.wide)} × ${M(best.high)}` : "";
}

/** Pixels a sheet takes at most from left to right, and from top to bottom; and a millimetre of it. */
const [ACROSS, DOWN, MM] = [760, 400, 3];
function OneLayout({ n, sheet, job, hand }: { n: number; sheet: NestedSheet; job: SheetJob; hand: LayoutHand }) {
  const { cut, selected, drawer, select, M, mark, takeBack } = hand;
  const size = job.problem.sizes[sheet.size]!;
  const { wide, long } = size;
  const k = Math.min(MM, ACROSS / long, DOWN / wide);
  const look = lookOf(job.stock);
  const sticks = sheet.placed.map((s) => s.stick);
  const done = sticks.every((s) => cut.has(s));
  const moves = (): CutMove[] =>
    job.item ? [moveOfSheet(drawer?.held ?? [], job.item, { wide, long, drawer: size.drawer === true, left: sheet.left, sticks }, drawer?.least ?? Infinity)] : []; // prettier-ignore
  const marks = new Map(sheet.placed.map((s) => [s.stick, job.problem.parts[s.part]!.mark]));
  return (
    <div>
      <div className="mb-1.5 flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <span className="head text-[16px]">Sheet {n}</span>
        <span className="text-[15px] text-ink-2">
          {M(wide)} × {M(long)}
          {leftWords(sheet, M)}
          {size.drawer && "; out of the drawer"}
        </span>
        {done ? (
          <>
            <span className="font-semibold text-verdigris">✓ Cut</span>
            <button className="link min-h-6 text-[14px]" onClick={() => takeBack(sticks)}>
              Take back
            </button>
          </>
        ) : (
          <button
            className="btn print:hidden"
            onClick={() =>
              mark(
                sticks.filter((s) => !cut.has(s)),
                moves(),
              )
            }
          >
            Mark as cut
          </button>
        )}
      </div>
      <svg
        width={long * k + 2}
        height={wide * k + 2}
        viewBox={`-1 -1 ${long * k + 2} ${wide * k + 2}`}
        role="img"
        aria-label={`Sheet ${n}: ${marksOf(sticks, marks)}`}
        className={`block max-w-full ${done ? "opacity-60" : ""}`}
      >
        <rect width={long * k} height={wide * k} fill="var(--shade)" stroke="var(--edge)" strokeDasharray="5 3" />
        {sheet.placed.map((s) => {
          const part = job.problem.parts[s.part]!;
          const on = s.stick === selected;
          const [h, w] = sizeOf(part.outline, s.turn);
          const to = (q: Vec2): string => {
            const [x, y] = turnedPoint(part.outline, s.turn, q);
            return `${((y + s.at[1]) * k).toFixed(2)},${((x + s.at[0]) * k).toFixed(2)}`;
          };
          const flat: Flat = job.flat[s.part]!;
          // upright where it is larger so; the picture has the sheet's y to the right
          const letters = part.mark.length;
          const [level, upright] = [1, 0].map((q) => k * markSize(flat.label, letters, ((s.turn + q) % 4) as Turn, 15 / k)) as [number, number]; // prettier-ignore
          const tall = upright > level + 1;
          const [cx, cy] = to(flat.label.at).split(",");
          return (
            <g key={s.stick} onClick={() => select(s.stick)} style={{ cursor: "pointer" }}>
              <title>{`${part.mark}, ${flat.role}: ${M(w, 2)} × ${M(h, 2)}`}</title>
              <path
                d={flat.rings.map((r) => `M${r.map(to).join("L")}Z`).join("")}
                fillRule="evenodd"
                fill={on ? "var(--picked)" : `var(--${look})`}
                stroke={on ? "var(--vermilion)" : "var(--ink)"}
                strokeWidth={1.2}
                strokeLinejoin="round"
              />
              {flat.lines.length <= 120 && (
                <path
                  d={flat.lines.map(([a, b]) => `M${to(a)}L${to(b)}`).join("")}
                  stroke="var(--ink)"
                  strokeWidth={0.3}
                  opacity={0.4}
                />
              )}
              {Math.max(level, upright) >= 6 && (
                <text
                  x={cx}
                  y={cy}
                  dy="0.35em"
                  textAnchor="middle"
                  fontSize={tall ? upright : level}
                  transform={tall ? `rotate(-90 ${cx} ${cy})` : undefined}
                  fontWeight={600}
                  fontFamily="var(--font-label)"
                  fill="var(--ink)"
                  stroke={on ? "var(--picked)" : `var(--${look})`}
                  strokeWidth={3}
                  paintOrder="stroke"
                >
                  {part.mark}
                </text>
              )}
            </g>
          );
        })}
      </svg>
      {sheet.cuts.length > 0 && <Cuts cuts={sheet.cuts} M={M} />}
    </div>
  );
}

/** The cuts of a sheet, one below the other; of some hundred only when they are asked for. */
function Cuts({ cuts, M }: { cuts: NestedSheet["cuts"]; M: LayoutHand["M"] }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="text-[15px]" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="link min-h-6 cursor-pointer">
        {cuts.length} {cuts.length === 1 ? "cut" : "cuts"}, in order
      </summary>
      {open && (
        <>
          <p className="text-ink-2">Measured from the upper left corner; each goes right across the piece in hand.</p>
          <ol className="ml-6 list-decimal">
            {cuts.map((c, i) => (
              <li key={i}>{cutWordsOf(c, (mm) => M(mm, 1))}</li>
            ))}
          </ol>
        </>
      )}
    </details>
  );
}
