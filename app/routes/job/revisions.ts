import { readEntry, RequestError } from "core/keeping";
import { jsonOf, TooLarge } from "~/data/body.server";
import { faultWords } from "~/data/faults.server";
import { keepEntry, type Kept } from "~/data/keep.server";
import { onlySent } from "~/data/onlySent.server";
import type { Route } from "./+types/revisions";

/** An entry carries a piece of a job at most; the largest job there was had 3 MB. */
const MOST_BYTES = 20 * 1048576;
const STATUS = { conflict: 409, refused: 422, gone: 410 } as const;

export const loader = onlySent("An edit");
/** Everything that is to be kept of a job comes through here, one entry at a time. */
export async function action({ request, params }: Route.ActionArgs) {
  const answer = (k: Kept): Response => Response.json(k, { status: k.ok ? 200 : STATUS[k.why] });
  const refuse = (sentence: string, status = 400): Response =>
    Response.json({ ok: false, why: "refused", sentences: [sentence] } satisfies Kept, { status });
  try {
    const raw = await jsonOf(request, MOST_BYTES);
    if (raw === undefined) return refuse("The change could not be read: it is no JSON.");
    return answer(keepEntry(params.job, readEntry(raw)));
  } catch (e) {
    if (e instanceof RequestError) return refuse(e.message);
    if (e instanceof TooLarge) return refuse(e.message, 413);
    // a fault is no refusal: what was sent waits in the browser
    const fault = faultWords(e);
    if (fault) return Response.json({ fault }, { status: 503 });
    throw e;
  }
}
