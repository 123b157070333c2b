import { readLot, type SetAside } from "core/drawer";
import { jsonOf, TooLarge } from "~/data/body.server";
import { putAside, setAside } from "~/data/drawer.server";
import { faultWords } from "~/data/faults.server";
import { jobNames } from "~/data/shelf.server";
import type { Route } from "./+types/aside";

/** What is set aside, for which jobs. */
export const loader = () => Response.json({ aside: setAside() });

/** Sets lots aside for jobs in place of what was set aside for them before; without lots they let go of all. */
export async function action({ request }: Route.ActionArgs) {
  try {
    const raw = (await jsonOf(request, 400_000)) as { jobs?: unknown; lots?: unknown } | undefined;
    const names = jobNames();
    const jobs = Array.isArray(raw?.jobs) ? raw.jobs.map(String).filter((j) => names[j] !== undefined) : [];
    if (jobs.length === 0) throw new Error("None of these jobs is on the shelf.");
    if (!Array.isArray(raw?.lots) || raw.lots.length > 2000) throw new Error("Lots are a list of at most 2,000.");
    const fresh = raw.lots.map((l): SetAside => {
      const { lot, count } = l as { lot: Record<string, unknown>; count: unknown };
      if (!Number.isInteger(count) || (count as number) < 1 || (count as number) > 1e6) throw new Error(`Read “${String(count)}”; a count is a whole number above 0.`); // prettier-ignore
      return { lot: readLot(lot ?? {}), count: count as number, jobs };
    });
    putAside([...setAside().filter((a) => !a.jobs.some((j) => jobs.includes(j))), ...fresh]);
    return loader();
  } catch (e) {
    const fault = faultWords(e);
    if (fault) return Response.json({ fault }, { status: 503 });
    return Response.json({ sentence: (e as Error).message }, { status: e instanceof TooLarge ? 413 : 400 });
  }
}
