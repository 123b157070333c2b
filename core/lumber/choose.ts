import { toModel, type Scale } from "../units";
import { matches, matchOf, type Match, type Wanted } from "./match";
import { sectionOf, type Milling, type Nominal } from "./nominal";
import { stockItem, type SeriesId } from "./series";

/** What a job has decided about stock: the series it is fitted from, and the sizes picked by hand. */
export interface StockPolicy {
  readonly milling: Milling;
  readonly series: readonly SeriesId[];
  /** By nominal name, "12×12". */
  readonly choices: Readonly<Record<string, StockChoice>>;
}
export interface StockChoice {
  readonly item: string;
  readonly plies: 1 | 2;
  readonly along: "thickness" | "width";
}

/** The section a nominal size asks for on the model, mm. */
export function wantedSection(n: Nominal, milling: Milling, scale: Scale): Wanted {
  const p = sectionOf(n, milling);
  return {
    thickness: toModel(scale, p.thickness),
    width: toModel(scale, p.width),
    ...(n.round ? { round: true as const } : {}),
  };
}

/**
 * The stock a nominal size is really made of: the one picked by hand, else the nearest single stick of the job's
 * series. It depends on the size, the policy and the scale alone, never on a length. Errors: a picked item that the
 * catalogue does not have; a policy without a strip series.
 */
export function chooseStock(n: Nominal, name: string, policy: StockPolicy, scale: Scale): Match {
  const wanted = wantedSection(n, policy.milling, scale);
  const pick = policy.choices[name];
  if (pick) {
    const item = stockItem(scale, pick.item);
    if (!item) throw new Error(`Stock "${pick.item}" chosen for ${name} is in no series; choose another in Stock.`);
    return matchOf(item, pick.plies, pick.along, wanted, scale);
  }
  const best = matches(wanted, policy.series, scale, false)[0];
  if (!best) throw new Error(`No strip series is chosen, so ${name} cannot be matched; choose one in Stock.`);
  return best;
}
