import { readJoinings, type Joining } from "core/assembly";
import { joinings, keepJoinings } from "~/data/drawer.server";
import { keepTable } from "~/data/keptTable.server";
import type { Route } from "./+types/joinings";

/** The glues of the bench and their times. */
export const loader = () => Response.json({ joinings: joinings() satisfies readonly Joining[] });
/** Keeps the whole table; answers with it, or why not. */
export const action = ({ request }: Route.ActionArgs) => keepTable(request, (raw) => keepJoinings(readJoinings(raw)), loader); // prettier-ignore
