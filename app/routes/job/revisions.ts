import { readEntry, RequestError } from "core/keeping";
import { keepEntry, type Kept } from "~/data/keep.server";
import type { Route } from "./+types/revisions";

const STATUS = { conflict: 409, refused: 422, gone: 410 } as const;

/** Everything that is to be kept of a job comes through here, one entry at a time. */
export async function action({ request, params }: Route.ActionArgs) {
  const answer = (k: Kept): Response => Response.json(k, { status: k.ok ? 200 : STATUS[k.why] });
  const refuse = (sentence: string): Response =>
    Response.json({ ok: false, why: "refused", sentences: [sentence] } satisfies Kept, { status: 400 });
  const raw: unknown = await request.json().catch(() => undefined);
  if (raw === undefined) return refuse("The change could not be read: it is no JSON.");
  try {
    return answer(keepEntry(params.job, readEntry(raw)));
  } catch (e) {
    if (e instanceof RequestError) return refuse(e.message);
    throw e;
  }
}
