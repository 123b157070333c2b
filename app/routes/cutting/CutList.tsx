import { ChevronDownIcon, ChevronUpIcon } from "@heroicons/react/20/solid";
import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from "@tanstack/react-table";
import { useMemo, useState } from "react";
import type { Piece } from "core/frame";
import { bothEnds, serves, whereWords, type CutStatus } from "core/job";
import { hull } from "core/geometry";
import { catalogue } from "core/lumber";
import { isStyrene } from "~/board/Ticket";
import { useJob } from "~/job/JobContext";
import { Figure, useUnits } from "~/job/units";

interface Row {
  readonly piece: Piece;
  readonly stock: string;
  readonly statuses: readonly CutStatus[];
}
const column = createColumnHelper<Row>();
const natural = (a: string, b: string): number => a.localeCompare(b, "en", { numeric: true });

/** The cut list: sortable, with a drawing of each piece, and what is cut already. */
export function CutList() {
  const job = useJob();
  const { P, M, up } = useUnits();
  const [sorting, setSorting] = useState<SortingState>([]);
  const [filter, setFilter] = useState("");
  const rows = useMemo((): Row[] => {
    const names = new Map(catalogue(job.design.scale).map((i) => [i.id, i.name]));
    return job.design.pieces.map((piece) => ({
      piece,
      stock: names.get(piece.stock) ?? piece.stock,
      statuses: job.statuses.filter((s) => piece.sticks.includes(s.stick)),
    }));
  }, [job.design, job.statuses]);
  const columns = useMemo(
    () => [
      column.accessor((r) => r.piece.mark, {
        id: "mark",
        header: "Mark",
        sortingFn: (a, b) => natural(a.original.piece.mark, b.original.piece.mark),
        cell: (c) => <b className="head text-[18px]">{c.getValue()}</b>,
      }),
      column.accessor((r) => r.piece.sticks.length, { id: "count", header: "Count" }),
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
          const e = bothEnds(c.row.original.piece.shape.ends);
          return e.first === e.far ? (
            ["both " + e.first, e.relation].filter(Boolean).join(", ")
          ) : (
            <>
              {e.first}
              <br />
              {e.far}
            </>
          );
        },
      }),
      column.accessor((r) => r.piece.sticks.map(whereWords).join("; "), {
        id: "where",
        header: "Goes to",
        cell: (c) => <span className="text-[14px] text-ink-2">{c.getValue()}</span>,
      }),
      column.display({ id: "cut", header: "Cut", cell: (c) => <CutCell row={c.row.original} /> }),
    ],
    [M, P, up],
  );
  const table = useReactTable({
    data: rows,
    columns,
    state: { sorting, globalFilter: filter },
    onSortingChange: setSorting,
    onGlobalFilterChange: setFilter,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
    globalFilterFn: (r, _, text: string) =>
      [r.original.piece.mark, r.original.piece.role, r.original.stock, ...r.original.piece.sticks].some((t) =>
        t.toLowerCase().includes(text.toLowerCase()),
      ),
  });
  const gone = job.statuses.filter((s) => s.state === "not needed");
  return (
    <>
      <input
        className="field mb-2 !w-64"
        aria-label="Show only rows with"
        placeholder="Show only …"
        value={filter}
        onChange={(e) => setFilter(e.target.value)}
      />
      <table className="list text-[15px]">
        <thead>
          {table.getHeaderGroups().map((g) => (
            <tr key={g.id}>
              {g.headers.map((h) => {
                const dir = h.column.getIsSorted();
                return (
                  <th
                    key={h.id}
                    aria-sort={dir === "asc" ? "ascending" : dir === "desc" ? "descending" : "none"}
                    className={["length", "long"].includes(h.id) ? "num" : ""}
                  >
                    {h.column.getCanSort() ? (
                      <button
                        className="head inline-flex items-center gap-0.5"
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
          {table.getRowModel().rows.map((r) => (
            <tr
              key={r.id}
              data-mark={r.original.piece.mark}
              aria-selected={r.original.piece.sticks.includes(job.selected ?? "")}
              tabIndex={0}
              onKeyDown={(e) => {
                if (e.target === e.currentTarget && (e.key === "Enter" || e.key === " ")) {
                  e.preventDefault();
                  job.select(r.original.piece.sticks[0]);
                }
              }}
              onClick={() => job.select(r.original.piece.sticks[0])}
              className="cursor-pointer"
            >
              {r.getVisibleCells().map((c) => (
                <td key={c.id}>{flexRender(c.column.columnDef.cell, c.getContext())}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {gone.length > 0 && (
        <section className="mt-5">
          <h3 className="label">Cut, and no longer needed</h3>
          <ul className="text-[15px]">
            {gone.map((s) => (
              <li key={s.stick} className="row py-1">
                <b className="head">{s.mark}</b> {s.role}, {whereWords(s.stick)}: {s.words}
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

/** Whether the sticks of a row are cut, and whether what was cut still serves. */
function CutCell({ row }: { row: Row }) {
  const job = useJob();
  const [busy, setBusy] = useState(false);
  const good = new Set(row.statuses.filter(serves).map((s) => s.stick));
  const left = row.piece.sticks.filter((s) => !good.has(s));
  const off = row.statuses.filter((s) => s.state !== "valid");
  const issue = async (kind: "cut" | "uncut", sticks: readonly string[]): Promise<void> => {
    setBusy(true);
    await job.addIssue(kind, sticks);
    setBusy(false);
  };
  return (
    <div className="flex flex-col items-start gap-1" onClick={(e) => e.stopPropagation()}>
      {row.statuses.length > off.length && (
        <span className="font-semibold whitespace-nowrap text-verdigris">✓ {row.statuses.length - off.length} cut</span>
      )}
      {[...new Set(off.map((s) => s.words))].map((w) => (
        <span key={w} className="text-ochre">
          {off.filter((s) => s.words === w).length} {w}
        </span>
      ))}
      {left.length > 0 && (
        <button className="btn" disabled={busy} onClick={() => void issue("cut", left)}>
          Mark as cut
        </button>
      )}
      {row.statuses.length > 0 && (
        <button
          className="link text-[14px]"
          disabled={busy}
          onClick={() =>
            void issue(
              "uncut",
              row.statuses.map((s) => s.stick),
            )
          }
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
  const axis = shape.ends[0][0]?.face[1] === "v" ? 2 : 1;
  const points = hull(
    shape.corners.map((c) => [c[0], c[axis]!] as const),
    1e-6,
  );
  const depth = Math.max(...points.map((p) => p[1])) - Math.min(...points.map((p) => p[1]));
  const k = Math.min(120 / shape.overall, 14 / depth);
  return (
    <svg width={124} height={18} className="block" aria-hidden>
      <polygon
        points={points.map((p) => `${2 + p[0] * k},${9 - p[1] * k}`).join(" ")}
        fill={isStyrene(piece.stock) ? "var(--styrene)" : "var(--timber)"}
        stroke="var(--ink)"
        strokeWidth={1.2}
        strokeLinejoin="round"
      />
    </svg>
  );
}
