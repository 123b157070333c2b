import { jsonOf, TooLarge } from "~/data/body.server";
import { faultWords } from "~/data/faults.server";
import { keepJig, keptJigs, removeJig } from "~/data/workshop.server";
import type { Route } from "./+types/jigs";

/** The jigs that are kept. */
export const loader = () => Response.json({ jigs: keptJigs() });

/** Keeps a jig, or takes one out; answers with those that are kept then, or why not. */
export async function action({ request }: Route.ActionArgs) {
  try {
    const raw = (await jsonOf(request, 20_000)) as Record<string, unknown> | undefined;
    if (raw?.do === "remove") removeJig(String(raw.id));
    else if (raw?.do === "keep") keepJig(raw);
    else throw new Error("Nothing was asked for.");
    return loader();
  } catch (e) {
    const fault = faultWords(e);
    if (fault) return Response.json({ fault }, { status: 503 });
    return Response.json({ sentence: (e as Error).message }, { status: e instanceof TooLarge ? 413 : 400 });
  }
}
