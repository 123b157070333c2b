import { ChevronDownIcon, ChevronRightIcon, ChevronUpIcon } from "@heroicons/react/20/solid";
import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from "@tanstack/react-table";
import { useVirtualizer } from "@tanstack/react-virtual";
import { useEffect, useMemo, useRef, useState } from "react";
import { flushSync } from "react-dom";
import { lying, type Piece } from "core/frame";
import { bothEnds, furtherCount, serves, whereWords } from "core/job";
import { lookOf } from "core/lumber";
import { useCutMarks } from "~/job/useCutMarks";
import { useJob } from "~/job/JobContext";
import { Figure, useUnits } from "~/job/units";
import { GROUPINGS, linesOf, rowHas, rowsOf, type Grouping, type Row } from "./cutRows";

const column = createColumnHelper<Row>();
const natural = (a: string, b: string): number => a.localeCompare(b, "en", { numeric: true });
/** Height of a row before it is measured, px. */
const USUAL_ROW = 58;

/** The cut list: sorted, filtered, parted into groups that fold, with a drawing of each piece, and what is cut already. */
export function CutList() {
  const job = useJob();
  const { P, M, up } = useUnits();
  const [sorting, setSorting] = useState<SortingState>([]);
  const [filter, setFilter] = useState("");
  const [grouping, setGrouping] = useState<Grouping>("none");
  const [folded, setFolded] = useState<ReadonlySet<string>>(new Set());
  const printing = usePrinting();
  const rows = useMemo(() => rowsOf(job.design, job.statuses, grouping), [job.design, job.statuses, grouping]);
  const columns = useMemo(
    () => [
      column.accessor((r) => r.piece.mark, {
        id: "mark",
        header: "Mark",
        sortingFn: (a, b) => natural(a.original.piece.mark, b.original.piece.mark),
        cell: (c) => <b className="head text-[18px]">{c.getValue()}</b>,
      }),
      column.accessor((r) => r.sticks.length, { id: "count", header: "Count" }),
      column.accessor((r) => r.piece.shape.overall, {
        id: "drawing",
        header: "Piece",
        enableSorting: false,
        cell: (c) => (
          <>
            <Small piece={c.row.original.piece} />
            <span className="text-ink-2">{c.row.original.piece.role}</span>
          </>
        ),
      }),
      column.accessor("stock", { header: "Stock" }),
      column.accessor((r) => r.piece.shape.overall, {
        id: "length",
        header: "Tip to tip",
        cell: (c) => (
          <span className="num block">
            <b>
              <Figure>{M(c.getValue(), 2)}</Figure>
            </b>
            <br />
            <span className="text-ink-2">
              <Figure>{P(up(c.getValue()))}</Figure>
            </span>
          </span>
        ),
      }),
      column.accessor((r) => r.piece.shape.longPoint, {
        id: "long",
        header: "Edges",
        cell: (c) => {
          const { longPoint, shortPoint } = c.row.original.piece.shape;
          return (
            <span className="num block">
              <Figure>{M(longPoint, 2)}</Figure>
              {longPoint - shortPoint > 0.0005 && (
                <>
                  <br />
                  <Figure>{M(shortPoint, 2)}</Figure>
                </>
              )}
            </span>
          );
        },
      }),
      column.accessor((r) => Math.abs(r.piece.shape.ends[0][0]?.mitre ?? 0), {
        id: "ends",
        header: "End cuts",
        cell: (c) => {
          const { shape } = c.row.original.piece;
          const e = bothEnds(shape);
          const work = furtherCount(shape);
          return (
            <>
              {e.first === e.far ? ["both " + e.first, e.relation].filter(Boolean).join(", ") : e.first}
              {e.first !== e.far && (
                <>
                  <br />
                  {e.far}
                </>
              )}
              {work && <span className="block text-ink-2">{work}</span>}
            </>
          );
        },
      }),
      column.accessor("where", {
        header: "Goes to",
        cell: (c) => <Where text={c.getValue()} whole={printing} />,
      }),
      column.display({ id: "cut", header: "Cut", cell: (c) => <CutCell row={c.row.original} /> }),
    ],
    [M, P, up, printing],
  );
  const table = useReactTable({
    data: rows,
    columns,
    state: { sorting, globalFilter: filter },
    onSortingChange: setSorting,
    onGlobalFilterChange: setFilter,
    getRowId: (r) => r.id,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
    globalFilterFn: (r, _, text: string) => rowHas(r.original, text),
  });
  const model = table.getRowModel();
  const cells = new Map(model.rows.map((r) => [r.original.id, r]));
  const lines = linesOf(
    model.rows.map((r) => r.original),
    folded,
  );
  const groups = [...new Set(rows.map((r) => r.group))];
  const gone = job.statuses.filter((s) => s.state === "not needed");
  const { takeBack } = useCutMarks();
  const list = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: lines.length,
    getScrollElement: () => list.current?.closest<HTMLElement>("[data-scrolls]") ?? null,
    estimateSize: (i) => (lines[i]?.kind === "group" ? 38 : USUAL_ROW),
    getItemKey: (i) => {
      const l = lines[i]!;
      return l.kind === "group" ? `group ${l.name}` : l.row.id;
    },
    overscan: 12,
    initialRect: { width: 800, height: 900 },
  });
  const items = virtual.getVirtualItems();
  const shown = printing ? lines.map((_, index) => ({ index, start: 0, end: 0 })) : items;
  const before = printing ? 0 : (items[0]?.start ?? 0);
  const after = printing ? 0 : virtual.getTotalSize() - (items.at(-1)?.end ?? 0);
  const fold = (name: string): void =>
    setFolded((f) => {
      const next = new Set(f);
      if (!next.delete(name)) next.add(name);
      return next;
    });
  return (
    <div ref={list}>
      <div className="mb-2 flex flex-wrap items-end gap-3 print:hidden">
        <label className="text-[15px]">
          Show only rows with
          <input
            type="search"
            className="field mt-0.5 block !w-64"
            placeholder="P1, stud, 2x4, front …"
            value={filter}
            onChange={(e) => setFilter(e.target.value)}
          />
        </label>
        <label className="text-[15px]">
          Grouped
          <select
            className="field mt-0.5 block !w-36"
            value={grouping}
            onChange={(e) => {
              setGrouping(e.target.value as Grouping);
              setFolded(new Set());
            }}
          >
            {Object.entries(GROUPINGS).map(([id, name]) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        {grouping !== "none" && (
          <button className="btn" onClick={() => setFolded(folded.size < groups.length ? new Set(groups) : new Set())}>
            {folded.size < groups.length ? "Fold all" : "Unfold all"}
          </button>
        )}
        <p role="status" className="ml-auto pb-1 text-[15px] text-ink-2">
          {model.rows.length === rows.length ? rows.length : `${model.rows.length} of ${rows.length}`} rows ·{" "}
          {model.rows.reduce((n, r) => n + r.original.sticks.length, 0)} pieces
        </p>
      </div>
      {lines.length === 0 ? (
        <p className="border-l-[3px] border-edge bg-shade px-4 py-2">
          No row has “{filter.trim()}”. Look for a mark such as P1, a part such as stud, a size such as 2x4, a stock, or
          a place such as front.{" "}
          <button className="link" onClick={() => setFilter("")}>
            Show all rows
          </button>
        </p>
      ) : (
        <table className="list text-[15px]" aria-rowcount={lines.length + 1}>
          <thead>
            {table.getHeaderGroups().map((g) => (
              <tr key={g.id}>
                {g.headers.map((h) => {
                  const dir = h.column.getIsSorted();
                  return (
                    <th
                      key={h.id}
                      scope="col"
                      aria-sort={
                        !h.column.getCanSort()
                          ? undefined
                          : dir === "asc"
                            ? "ascending"
                            : dir === "desc"
                              ? "descending"
                              : "none"
                      }
                      className={["length", "long"].includes(h.id) ? "num" : ""}
                    >
                      {h.column.getCanSort() ? (
                        <button
                          className="head inline-flex min-h-6 items-center gap-0.5"
                          onClick={h.column.getToggleSortingHandler()}
                        >
                          {flexRender(h.column.columnDef.header, h.getContext())}
                          {dir === "asc" ? (
                            <ChevronUpIcon className="size-4" />
                          ) : dir === "desc" ? (
                            <ChevronDownIcon className="size-4" />
                          ) : null}
                        </button>
                      ) : (
                        flexRender(h.column.columnDef.header, h.getContext())
                      )}
                    </th>
                  );
                })}
              </tr>
            ))}
          </thead>
          <tbody>
            {before > 0 && <tr aria-hidden style={{ height: before }} />}
            {shown.map(({ index }) => {
              const l = lines[index]!;
              if (l.kind === "group")
                return (
                  <tr key={`group ${l.name}`} data-index={index} ref={virtual.measureElement}>
                    <th colSpan={columns.length} scope="rowgroup" className="!static !bg-shade">
                      <button
                        className="head flex min-h-6 w-full items-center gap-1.5 text-[17px]"
                        aria-expanded={!folded.has(l.name)}
                        onClick={() => fold(l.name)}
                      >
                        <ChevronRightIcon className={`size-5 ${folded.has(l.name) ? "" : "rotate-90"}`} />
                        {l.name}
                        <span className="ml-2 font-normal text-ink-2">
                          {l.pieces} {l.pieces === 1 ? "piece" : "pieces"}, {l.rows} {l.rows === 1 ? "row" : "rows"}
                          {l.cut > 0 && ` · ${l.cut} cut`}
                        </span>
                      </button>
                    </th>
                  </tr>
                );
              const r = cells.get(l.row.id)!;
              return (
                <tr
                  key={l.row.id}
                  data-index={index}
                  ref={virtual.measureElement}
                  data-mark={l.row.piece.mark}
                  aria-rowindex={index + 2}
                  aria-selected={l.row.sticks.includes(job.selected ?? "")}
                  tabIndex={0}
                  onKeyDown={(e) => {
                    if (e.target === e.currentTarget && (e.key === "Enter" || e.key === " ")) {
                      e.preventDefault();
                      job.select(l.row.sticks[0]);
                    }
                  }}
                  onClick={() => job.select(l.row.sticks[0])}
                  className="cursor-pointer"
                >
                  {r.getVisibleCells().map((c) => (
                    <td key={c.id}>{flexRender(c.column.columnDef.cell, c.getContext())}</td>
                  ))}
                </tr>
              );
            })}
            {after > 0 && <tr aria-hidden style={{ height: after }} />}
          </tbody>
        </table>
      )}
      {gone.length > 0 && (
        <section className="mt-5">
          <h2 className="label">Cut, and no longer needed</h2>
          <ul className="text-[15px]">
            {gone.map((s) => (
              <li key={s.stick} className="row flex items-baseline gap-2 py-1">
                <b className="head">{s.mark}</b> {s.role}, {whereWords(s.stick)}: {s.words}
                <button className="link ml-auto min-h-6" onClick={() => takeBack([s.stick])}>
                  Take back
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

/** True while the browser prints: then every row is there, not only those in sight. */
function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    // at once, since the page is taken as it stands when the event is over
    const set = (v: boolean) => (): void => flushSync(() => setPrinting(v));
    const [before, after] = [set(true), set(false)];
    window.addEventListener("beforeprint", before);
    window.addEventListener("afterprint", after);
    return () => {
      window.removeEventListener("beforeprint", before);
      window.removeEventListener("afterprint", after);
    };
  }, []);
  return printing;
}

/** Longest text of places that stands in a row without being asked for, letters. */
const PLACES = 130;
/** Where pieces go; a long list is cut off until it is asked for. */
function Where({ text, whole }: { text: string; whole: boolean }) {
  const [open, setOpen] = useState(false);
  if (text.length <= PLACES || whole) return <span className="text-[14px] text-ink-2">{text}</span>;
  const short = text.slice(0, text.lastIndexOf(" ", PLACES));
  return (
    <span className="text-[14px] text-ink-2">
      {open ? text : `${short} …`}{" "}
      <button
        className="link min-h-6"
        onClick={(e) => {
          e.stopPropagation();
          setOpen(!open);
        }}
      >
        {open ? "less" : "more"}
      </button>
    </span>
  );
}

/** Whether the sticks of a row are cut, and whether what was cut still serves. What can be pressed keeps its place. */
function CutCell({ row }: { row: Row }) {
  const { mark, takeBack } = useCutMarks();
  const good = new Set(row.statuses.filter(serves).map((s) => s.stick));
  const left = row.sticks.filter((s) => !good.has(s));
  const off = row.statuses.filter((s) => s.state !== "valid");
  const cut = row.statuses.length - off.length;
  return (
    <div className="flex flex-col items-start gap-1" onClick={(e) => e.stopPropagation()}>
      {left.length > 0 ? (
        <button className="btn print:hidden" onClick={() => mark(left)}>
          Mark as cut
        </button>
      ) : (
        <span className="flex min-h-[34px] items-center font-semibold whitespace-nowrap text-verdigris">
          ✓ {cut} cut
        </span>
      )}
      {left.length > 0 && cut > 0 && (
        <span className="font-semibold whitespace-nowrap text-verdigris">✓ {cut} cut</span>
      )}
      {[...new Set(off.map((s) => s.words))].map((w) => (
        <span key={w} className="text-ochre">
          {off.filter((s) => s.words === w).length} {w}
        </span>
      ))}
      {row.statuses.length > 0 && (
        <button
          className="link min-h-6 text-[14px] print:hidden"
          onClick={() => takeBack(row.statuses.map((s) => s.stick))}
        >
          Take back
        </button>
      )}
    </div>
  );
}

/** The piece lying on its cutting face, to fit a row. */
function Small({ piece }: { piece: Piece }) {
  const { shape } = piece;
  const points = lying(shape);
  const depth = Math.max(...points.map((p) => p[1])) - Math.min(...points.map((p) => p[1]));
  const k = Math.min(120 / shape.overall, 14 / depth);
  return (
    <svg width={124} height={18} className="block" aria-hidden>
      <polygon
        points={points.map((p) => `${2 + p[0] * k},${9 - p[1] * k}`).join(" ")}
        fill={`var(--${lookOf(piece.stock)})`}
        stroke="var(--ink)"
        strokeWidth={1.2}
        strokeLinejoin="round"
      />
    </svg>
  );
}
