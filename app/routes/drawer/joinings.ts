import { readJoinings, type Joining } from "core/assembly";
import { jsonOf, TooLarge } from "~/data/body.server";
import { joinings, keepJoinings } from "~/data/drawer.server";
import { faultWords } from "~/data/faults.server";
import type { Route } from "./+types/joinings";

/** The glues of the bench and their times. */
export const loader = () => Response.json({ joinings: joinings() satisfies readonly Joining[] });

/** Keeps the whole table; answers with it, or why not. */
export async function action({ request }: Route.ActionArgs) {
  try {
    keepJoinings(readJoinings(await jsonOf(request, 100_000)));
    return loader();
  } catch (e) {
    const fault = faultWords(e);
    if (fault) return Response.json({ fault }, { status: 503 });
    return Response.json({ sentence: (e as Error).message }, { status: e instanceof TooLarge ? 413 : 400 });
  }
}
