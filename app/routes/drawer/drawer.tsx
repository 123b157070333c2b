import Papa from "papaparse";
import { useRef, useState } from "react";
import { data, Form, Link, useActionData, useLocation, useNavigation, useSubmit } from "react-router";
import { lotWords, readDrawerRows, readLot, type Movement } from "core/drawer";
import { printMm, model, parseNumber } from "core/units";
import { formOf, TooLarge } from "~/data/body.server";
import { enter, inDrawer, leastOffcut, ledger, setLeastOffcut, undoLine } from "~/data/drawer.server";
import { faultWords } from "~/data/faults.server";
import { jobNames } from "~/data/shelf.server";
import { FileInput } from "~/ui/FileInput";
import { StageLine } from "~/ui/StageLine";
import { AddToDrawer } from "./AddToDrawer";
import type { Route } from "./+types/drawer";

export const meta: Route.MetaFunction = () => [{ title: "Drawer · Cardo" }];
/** Lines of the ledger that are shown, the last ones first. */
const LINES = 60;

export function loader() {
  const lines = ledger();
  const undone = new Set(lines.flatMap((m) => m.undoes ?? []));
  return {
    held: inDrawer(),
    least: leastOffcut(),
    lines: lines.slice(-LINES).reverse().map((m) => ({ ...m, undone: undone.has(m.id) })), // prettier-ignore
    older: Math.max(0, lines.length - LINES),
    jobs: jobNames(),
  };
}

export async function action({ request }: Route.ActionArgs) {
  try {
    return await act(await formOf(request, 2_000_000));
  } catch (e) {
    if (e instanceof Response) throw e;
    const fault = e instanceof TooLarge ? e.message : faultWords(e);
    if (fault === undefined) throw e;
    return data({ sentence: fault }, { status: e instanceof TooLarge ? 413 : 503 });
  }
}
/** A sentence of what was wrong with what was typed; faults of the server go on. */
function told(f: () => void): { sentence: string } | { done: string } {
  try {
    f();
    return { done: "kept" };
  } catch (e) {
    if (faultWords(e) !== undefined) throw e;
    return { sentence: (e as Error).message };
  }
}
async function act(form: FormData) {
  const word = (name: string): string => String(form.get(name) ?? "").trim();
  const file = form.get("file");
  switch (word("do")) {
    case "add":
      return told(() => {
        const [row] = readDrawerRows([Object.fromEntries([...form].map(([k, v]) => [k, String(v)]))]);
        enter([{ ...row!, why: "bought" }]);
      });
    case "count":
      return told(() => {
        const h = inDrawer().find((x) => x.key === word("key"));
        if (!h) throw new Error("This is not in the drawer any more.");
        const n = Number(word("count"));
        if (!(Number.isInteger(n) && n >= 0 && n <= 1e6)) throw new Error(`Read “${word("count")}”; write how many there are, a whole number.`); // prettier-ignore
        const [place, note] = [word("place").slice(0, 200), word("note").slice(0, 200)];
        const price = word("price") === "" ? undefined : parseNumber(word("price"));
        if (price !== undefined && !(price >= 0 && price <= 1e6)) throw new Error(`Read “${word("price")}”; write a price such as 1.20.`); // prettier-ignore
        const same = n === h.count && place === h.place && note === h.note && price === h.price;
        if (!same) enter([{ lot: readLot({ ...h.lot }), count: n - h.count, why: "counted", place, note, ...(price === undefined ? {} : { price }) }]); // prettier-ignore
      });
    case "undo":
      return undoLine(word("line")) ? { done: "undone" } : { sentence: "This line is taken back already." };
    case "least": {
      const mm = parseNumber(word("least"), "mm");
      if (!(mm >= 0 && mm <= 2000))
        return { sentence: `Read “${word("least")}”; write a length in mm from 0 to 2000.` };
      setLeastOffcut(mm);
      return { done: "kept" };
    }
    case "import": {
      if (!(file instanceof File) || file.size === 0) return { sentence: "No file was chosen. Choose a table (.csv) such as “Save as CSV” makes." }; // prettier-ignore
      const text = (await file.text()).replace(/^\uFEFF/, "");
      return told(() => {
        const { data: rows } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
        try {
          enter(readDrawerRows(rows).map((r) => ({ ...r, why: "bought" as const })));
        } catch (e) {
          if (faultWords(e) !== undefined) throw e;
          throw new Error(`“${file.name}” was not taken. ${(e as Error).message}`, { cause: e });
        }
      });
    }
    default:
      return { sentence: "Nothing was asked for." };
  }
}

const WHY: Readonly<Record<Movement["why"], string>> = {
  bought: "came in",
  counted: "counted anew",
  taken: "taken out",
  cut: "cut",
  offcut: "offcut back",
  undone: "taken back",
};
const mm = (x: number): string => printMm(model(x), 2);

/** What one owns, by size, and every movement of it. */
export default function Drawer({ loaderData }: Route.ComponentProps) {
  const { held, least, lines, older, jobs } = loaderData;
  const said = useActionData<typeof action>();
  const busy = useNavigation().state !== "idle";
  const submit = useSubmit();
  const file = useRef<HTMLInputElement>(null);
  const [find, setFind] = useState("");
  const shown = held.filter((h) => matches(`${lotWords(h.lot)} ${h.lot.material} ${h.place} ${h.note}`, find));
  const from = (useLocation().state as { from?: unknown } | null)?.from;
  const worth = held.reduce((s, h) => s + (h.price ?? 0) * h.count, 0);
  return (
    <div className="flex h-screen overflow-hidden">
      <StageLine />
      <main id="main" className="min-w-0 flex-1 overflow-auto px-8 py-5">
        <div className="flex flex-wrap items-center gap-3">
          <h1 className="head text-[29px]">Drawer</h1>
          <span className="mr-auto">
            {typeof from === "string" && from.startsWith("/jobs/") && (
              <Link className="link" to={from}>
                ← Back to the job
              </Link>
            )}
          </span>
          <Link className="btn" to="/drawer/together" state={{ from }}>
            Plan several jobs
          </Link>
          <input
            className="field !w-56"
            placeholder="Find by name, size, place"
            aria-label="Find in the drawer"
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
          <FileInput
            input={file}
            label="Table of stock"
            accept=".csv,text/csv"
            chosen={(f) => {
              const form = new FormData();
              form.set("do", "import");
              form.set("file", f);
              void submit(form, { method: "post", action: "/drawer", encType: "multipart/form-data" });
            }}
          />
          <button type="button" className="btn" disabled={busy} onClick={() => file.current?.click()}>
            Take in a CSV
          </button>
          <Link className="btn" to="/drawer/drawer.csv" reloadDocument>
            Save as CSV
          </Link>
        </div>
        <p className="mt-1 max-w-3xl text-[17px] text-ink-2">
          What you own. Plans of every job take from here first; what is marked as cut goes out, and offcuts worth
          keeping come back.
        </p>
        {said && "sentence" in said && (
          <p role="alert" className="mt-4 border-l-[3px] border-fault bg-shade px-4 py-2 text-fault">
            {said.sentence}
          </p>
        )}
        <AddToDrawer key={lines.length} busy={busy} />
        {held.length === 0 ? (
          <p className="mt-4 text-lg">The drawer is empty. Add what you have above, or take in a table.</p>
        ) : (
          <table className="list mt-4 text-[15px]">
            <thead>
              <tr>
                <th>What</th>
                <th className="num">Section</th>
                <th className="num">Length</th>
                <th className="w-24">Count</th>
                <th className="w-24">Price each</th>
                <th className="w-40">Place</th>
                <th className="w-48">Note</th>
                <th>
                  <span className="sr-only">Keep</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {shown.map((h) => (
                <tr key={h.key}>
                  <td>
                    {h.lot.name}
                    <span className="block text-ink-2">{h.lot.material}</span>
                  </td>
                  <td className="num">
                    {h.lot.form === "round"
                      ? `⌀ ${mm(h.lot.thickness)}`
                      : h.lot.form === "sheet"
                        ? mm(h.lot.thickness)
                        : `${mm(h.lot.thickness)} × ${mm(h.lot.width)}`}
                  </td>
                  <td className="num">
                    {h.lot.form === "sheet" ? `${mm(h.lot.width)} × ${mm(h.lot.length)}` : mm(h.lot.length)}
                  </td>
                  <Holding key={`${h.count}|${h.price}|${h.place}|${h.note}`} h={h} busy={busy} />
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {shown.length === 0 && held.length > 0 && <p className="mt-3">Nothing in the drawer has “{find}” in it.</p>}
        {worth > 0 && <p className="mt-2 text-ink-2">What has a price is worth {worth.toFixed(2)} together.</p>}
        <Form method="post" action="/drawer" className="mt-6 flex flex-wrap items-end gap-3">
          <input type="hidden" name="do" value="least" />
          <label className="flex flex-col text-[15px]">
            Offcuts are kept from (model mm)
            <input key={least} name="least" className="field !w-40" defaultValue={String(least)} />
          </label>
          <button className="btn" disabled={busy}>
            Keep
          </button>
        </Form>
        <section className="mt-6" aria-label="Ledger">
          <h2 className="label">Ledger</h2>
          {lines.length === 0 && <p>Nothing has come in or gone out yet.</p>}
          <ul>
            {lines.map((m) => (
              <li key={m.id} className="row flex flex-wrap items-baseline gap-x-3 py-1 text-[15px]">
                <span className="w-36 shrink-0 text-ink-2">{m.at.slice(0, 16).replace("T", " ")}</span>
                <span className="num w-14 shrink-0 text-right font-semibold">
                  {m.count > 0 ? "+" : m.count < 0 ? "−" : "±"}
                  {Math.abs(m.count)}
                </span>
                <span className={`min-w-0 flex-1 ${m.undone ? "line-through" : ""}`}>
                  {lotWords(m.lot)}, {WHY[m.why]}
                  {m.job && ` for ${jobs[m.job] ?? "a job that is not on the shelf"}`}
                </span>
                {!m.undone && m.undoes === undefined && (
                  <Form method="post" action="/drawer">
                    <input type="hidden" name="do" value="undo" />
                    <input type="hidden" name="line" value={m.id} />
                    <button
                      className="link min-h-6"
                      disabled={busy}
                      aria-label={`Take back: ${lotWords(m.lot)}, ${WHY[m.why]}`}
                    >
                      Take back
                    </button>
                  </Form>
                )}
              </li>
            ))}
          </ul>
          {older > 0 && <p className="mt-1 text-ink-2">{older} older lines are not shown.</p>}
        </section>
      </main>
    </div>
  );
}

/** Whether every word that was typed is in a text; "2x8" finds "2×8". */
const matches = (text: string, typed: string): boolean => {
  const plain = (t: string): string => t.toLowerCase().replace(/(\d)\s*[x×]\s*(\d)/g, "$1×$2");
  return plain(typed)
    .split(/\s+/)
    .every((w) => plain(text).includes(w));
};

type Held = Awaited<ReturnType<typeof loader>>["held"][number];
/** The cells of a lot that can be written: kept together. */
function Holding({ h, busy }: { h: Held; busy: boolean }) {
  const id = `lot-${h.key}`;
  const cell = (name: string, label: string, value: string) => (
    <td>
      <input
        form={id}
        name={name}
        className="field"
        aria-label={`${label} of ${lotWords(h.lot)}`}
        defaultValue={value}
      />
    </td>
  );
  return (
    <>
      {cell("count", "Count", String(h.count))}
      {cell("price", "Price", h.price === undefined ? "" : String(h.price))}
      {cell("place", "Place", h.place)}
      {cell("note", "Note", h.note)}
      <td>
        <Form method="post" action="/drawer" id={id}>
          <input type="hidden" name="do" value="count" />
          <input type="hidden" name="key" value={h.key} />
          <button className="btn" disabled={busy} aria-label={`Keep ${lotWords(h.lot)}`}>
            Keep
          </button>
        </Form>
      </td>
    </>
  );
}
