import { jsonOf, TooLarge } from "./body.server";
import { faultWords } from "./faults.server";

/** Keeps a table that the bench edits as a whole, and answers with it; or says why it cannot be kept. */
export async function keepTable(
  request: Request,
  keep: (raw: unknown) => void,
  answer: () => Response,
): Promise<Response> {
  // prettier-ignore
  try {
    keep(await jsonOf(request, 100_000));
    return answer();
  } catch (e) {
    const fault = faultWords(e);
    if (fault) return Response.json({ fault }, { status: 503 });
    return Response.json({ sentence: (e as Error).message }, { status: e instanceof TooLarge ? 413 : 400 });
  }
}
