import { readLot, simulatedPrices, type PriceService } from "core/drawer";
import { jsonOf } from "~/data/body.server";
import { onlySent } from "~/data/onlySent.server";
import type { Route } from "./+types/prices";

/** Whoever is asked for prices: another service takes its place here. */
const service: PriceService = simulatedPrices;
export const loader = onlySent("A list of lots");

/** Quotes for lots, in their order; null where there is none. */
export async function action({ request }: Route.ActionArgs) {
  try {
    const raw = await jsonOf(request, 400_000);
    if (!Array.isArray(raw) || raw.length > 2000) throw new Error("Lots are a list of at most 2,000.");
    const quotes = await service.quote(raw.map((l) => readLot(l as Record<string, unknown>)));
    return Response.json({ quotes: quotes.map((q) => q ?? null) });
  } catch (e) {
    if (e instanceof Response) throw e;
    return Response.json({ sentence: (e as Error).message }, { status: 400 });
  }
}
