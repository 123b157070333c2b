import { jsonOf, TooLarge } from "~/data/body.server";
import { faultWords } from "~/data/faults.server";
import { keepTogether, type Kept } from "~/data/keep.server";
import { onlySent } from "~/data/onlySent.server";
import type { Route } from "./+types/cut";

/** Pieces of the largest jobs, frozen, of some twenty of them. */
const MOST_BYTES = 40 * 1048576;
export const loader = onlySent("What was cut");

/** What was cut or taken back of several jobs in one act: all of it is kept, or nothing. */
export async function action({ request }: Route.ActionArgs) {
  const refuse = (sentence: string, status = 400): Response =>
    Response.json({ ok: false, why: "refused", sentences: [sentence] } satisfies Kept, { status });
  try {
    const raw = (await jsonOf(request, MOST_BYTES)) as { events?: unknown } | undefined;
    const events = raw?.events;
    if (!Array.isArray(events) || events.length > 200 || !events.every((e) => typeof (e as { job?: unknown } | null)?.job === "string")) return refuse("Events are a list, each with its job."); // prettier-ignore
    const kept = keepTogether(events as { job: string; event: unknown }[]);
    return Response.json(kept, { status: kept.ok ? 200 : 422 });
  } catch (e) {
    if (e instanceof TooLarge) return refuse(e.message, 413);
    const fault = faultWords(e);
    if (fault) return Response.json({ fault }, { status: 503 });
    throw e;
  }
}
