import { readCoats } from "core/finish";
import { jsonOf, TooLarge } from "~/data/body.server";
import { coats, keepCoats } from "~/data/drawer.server";
import { faultWords } from "~/data/faults.server";
import { coatsUsed } from "~/data/coatsUsed.server";
import type { Route } from "./+types/coats";

/** The builder's own list of coats, and what was painted with which mix in all jobs, the last first. */
export const loader = () => Response.json({ coats: coats(), used: coatsUsed() });

/** Keeps the whole list; answers with it, or why not. */
export async function action({ request }: Route.ActionArgs) {
  try {
    keepCoats(readCoats(await jsonOf(request, 100_000)));
    return loader();
  } catch (e) {
    const fault = faultWords(e);
    if (fault) return Response.json({ fault }, { status: 503 });
    return Response.json({ sentence: (e as Error).message }, { status: e instanceof TooLarge ? 413 : 400 });
  }
}
