import { type StockItem } from "core/lumber";
import { stockLengths } from "core/cutting";
import { bareModel, parseLength, parseNumber } from "core/units";
import { useJob } from "~/job/JobContext";
import { useUnits } from "~/job/units";
import { TextField } from "~/ui/Fields";

/** Lengths, counts and prices of the sticks an item is cut from. */
export function Lengths({ item }: { item: StockItem }) {
  const job = useJob();
  const { M } = useUnits();
  const own = job.doc.stock.sticks[item.id];
  const rows = own ?? stockLengths(item).map((s) => ({ length: s.length, count: s.count, price: 0 }));
  const change = (
    label: string,
    f: (rows: { length: number; count: number | null; price: number }[]) => void,
  ): readonly string[] =>
    job.edit(label, (d) => {
      const next = rows.map((r) => ({ ...r }));
      f(next);
      if (next.length > 0) d.stock.sticks[item.id] = next;
      else delete d.stock.sticks[item.id];
    });
  const bare = bareModel(job.doc.brief.units.model);
  const number = (t: string, whole: boolean): number => {
    const n = parseNumber(t);
    return n >= 0 && n <= 1e6 && (!whole || Number.isInteger(n)) ? n : NaN;
  };
  return (
    <section className="mt-6 max-w-2xl">
      <h2 className="label">Sticks of {item.name}</h2>
      <table className="list text-[15px]">
        <thead>
          <tr>
            <th>Length (model)</th>
            <th>On hand</th>
            <th>Price each</th>
            <th>
              <span className="sr-only">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r, i) => (
            <tr key={i}>
              <td>
                <TextField
                  label={<span className="sr-only">Length {i + 1}</span>}
                  value={M(r.length, 1)}
                  keep={(t) => {
                    const p = parseLength(t, bare);
                    return p.ok && p.mm >= 1 && p.mm <= 1e5
                      ? change("Stick length", (x) => void (x[i]!.length = p.mm))
                      : [p.ok ? `Read “${t}”; a stick is from 1 mm to 100 m long.` : p.error];
                  }}
                />
              </td>
              <td>
                <TextField
                  label={<span className="sr-only">Count {i + 1}</span>}
                  value={r.count === null ? "" : String(r.count)}
                  placeholder="as many as needed"
                  keep={(t) => {
                    const n = t.trim() === "" ? null : number(t, true);
                    return Number.isNaN(n)
                      ? [`Read “${t}”; write a whole number, or nothing for as many as needed.`]
                      : change("Sticks on hand", (x) => void (x[i]!.count = n));
                  }}
                />
              </td>
              <td>
                <TextField
                  label={<span className="sr-only">Price {i + 1}</span>}
                  value={r.price ? String(r.price) : ""}
                  placeholder="by length"
                  keep={(t) => {
                    const n = t.trim() === "" ? 0 : number(t, false);
                    return Number.isNaN(n)
                      ? [`Read “${t}”; write a price such as 1.20.`]
                      : change("Stick price", (x) => void (x[i]!.price = n));
                  }}
                />
              </td>
              <td className="num !pt-3">
                <button
                  className="link"
                  disabled={rows.length === 1}
                  onClick={() => change("Remove a stick length", (x) => void x.splice(i, 1))}
                >
                  Remove
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 flex gap-3">
        <button
          className="btn"
          onClick={() => change("Add a stick length", (x) => void x.push({ length: 300, count: null, price: 0 }))}
        >
          Add a length
        </button>
        {own && (
          <button
            className="btn"
            onClick={() => job.edit("Usual lengths again", (d) => void delete d.stock.sticks[item.id])}
          >
            Usual lengths again
          </button>
        )}
      </p>
    </section>
  );
}
