import { useEffect, useMemo, useState } from "react";
import {
  SHOPPING_COLUMNS,
  shoppingList,
  shoppingRows,
  shoppingTotal,
  unplanned,
  type Quote,
  type Wanted,
} from "core/drawer";
import type { ItemPlan } from "core/cutting";
import type { NestResult } from "core/nesting";
import type { StockItem } from "core/lumber";
import { printNumber, type Units, parseNumber } from "core/units";
import { post } from "~/job/post";
import type { DrawerState } from "~/job/useDrawer";
import type { ShownSheets } from "~/job/useSheetPlans";
import { TextField } from "~/ui/Fields";

/** What the plans need and what of it has to be bought, with the prices that were asked for. */
export interface ShoppingState {
  readonly wanted: readonly Wanted[];
  readonly quotes: readonly (Quote | undefined)[];
  /** What has no layout, and is not in the list. */
  readonly lacks: readonly string[];
  /** Nobody named prices. */
  readonly unpriced: boolean;
}
const uncut = (r: NestResult, cut: ReadonlySet<string>): NestResult =>
  r.status === "planned" ? { ...r, sheets: r.sheets.filter((s) => !s.placed.every((p) => cut.has(p.stick))) } : r;
/** `cut` is what is cut already. */
export function useShopping(
  open: boolean,
  plans: readonly ItemPlan[],
  sheets: readonly ShownSheets[],
  drawer: DrawerState | undefined,
  item: (id: string) => StockItem | undefined,
  cut: ReadonlySet<string>,
): ShoppingState {
  const wanted = useMemo(() => {
    if (!open) return [];
    const sticks = plans.flatMap((plan) => {
      const of = item(plan.item);
      // what is cut off a stick already needs no stick any more
      const left = plan.sticks.filter((s) => !s.cuts.every((c) => cut.has(c.stick)));
      return of ? [{ item: of, plan: { ...plan, sticks: left } }] : [];
    });
    const flat = sheets.flatMap(({ job, result }) => (job.item && result ? [{ item: job.item, problem: job.problem, result: uncut(result, cut) }] : [])); // prettier-ignore
    return shoppingList(sticks, flat, drawer?.least ?? 40);
  }, [open, plans, sheets, drawer?.least, item, cut]);
  const lots = JSON.stringify(wanted.map((w) => w.lot));
  const [known, setKnown] = useState<{ readonly lots: string; readonly quotes: readonly (Quote | null)[]; readonly fault: boolean }>({ lots: "[]", quotes: [], fault: false }); // prettier-ignore
  useEffect(() => {
    if (lots === "[]") return;
    let gone = false;
    post<{ quotes: readonly (Quote | null)[] }>("/drawer/prices", JSON.parse(lots)).then(
      ({ quotes }) => !gone && setKnown({ lots, quotes, fault: false }),
      () => !gone && setKnown({ lots, quotes: [], fault: true }),
    );
    return () => {
      gone = true;
    };
  }, [lots]);
  const quotes = known.lots === lots ? known.quotes : [];
  const lacks = open ? unplanned(plans, sheets.flatMap(({ job, result }) => (result ? [{ name: job.name, result }] : []))) : []; // prettier-ignore
  return {
    wanted,
    lacks,
    quotes: wanted.map((_, i) => quotes[i] ?? undefined),
    unpriced: known.lots === lots && known.fault,
  };
}

export function Shopping({
  state,
  spare,
  setSpare,
  seeking,
  unit,
  whom,
}: {
  state: ShoppingState;
  spare: number;
  setSpare: (n: number) => void;
  seeking: boolean;
  unit: Units["model"];
  /** For whom a thing is wanted, where several jobs are planned together. */
  whom?: (w: Wanted) => string;
}) {
  const { wanted, quotes } = state;
  const rows = shoppingRows(wanted, quotes, spare, unit);
  const total = shoppingTotal(wanted, quotes, spare);
  if (wanted.length === 0 && state.lacks.length === 0)
    return <p className="text-lg">{seeking ? "Being planned …" : "Nothing is needed any more: every piece is cut."}</p>;
  return (
    <>
      <p className="mb-3 text-[15px] text-ink-2">
        What the stick and sheet layouts take: what there is first, the rest to be bought.
        {seeking && " Better layouts are looked for still; this can become less."}
        {state.lacks.length > 0 && (
          <b className="text-fault"> Not in the list, since no layout was found: {state.lacks.join(", ")}.</b>
        )}
        {state.unpriced && " No prices: nobody answered."}
      </p>
      <div className="mb-3 w-56">
        <TextField
          label="To spare, percent"
          value={String(spare)}
          hint="Sticks break and cuts go wrong."
          keep={(t) => {
            const n = parseNumber(t, "%");
            if (!(n >= 0 && n <= 300)) return [`Read “${t}”; write a share from 0 to 300 percent.`];
            setSpare(n);
          }}
        />
      </div>
      <table className="list text-[15px]">
        <thead>
          <tr>
            {SHOPPING_COLUMNS.map((c, i) => (
              <th key={c} className={i > 0 && i < 6 ? "num" : undefined}>
                {c}
              </th>
            ))}
            {whom && <th>For</th>}
          </tr>
        </thead>
        <tbody>
          {rows.map((cells, row) => (
            <tr key={cells[0]}>
              {cells.map((c, i) => (
                <td
                  key={SHOPPING_COLUMNS[i]}
                  className={`${i > 0 && i < 6 ? "num" : ""} ${i === 3 ? "font-semibold" : ""}`}
                >
                  {c}
                </td>
              ))}
              {whom && <td>{whom(wanted[row]!)}</td>}
            </tr>
          ))}
        </tbody>
        {total > 0 && (
          <tfoot>
            <tr>
              <td colSpan={5} className="font-semibold">
                Together
              </td>
              <td className="num font-semibold">{printNumber(total, 2)}</td>
              <td colSpan={whom ? 2 : 1} />
            </tr>
          </tfoot>
        )}
      </table>
      <p className="mt-3 text-[15px] text-ink-2">
        Prices are invented: they come from a stand-in for a shop that ships with Cardo, and show how a list is priced.
      </p>
    </>
  );
}
