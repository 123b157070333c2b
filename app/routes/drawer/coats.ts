import { readCoats } from "core/finish";
import { coatsUsed } from "~/data/coatsUsed.server";
import { coats, keepCoats } from "~/data/drawer.server";
import { keepTable } from "~/data/keptTable.server";
import type { Route } from "./+types/coats";

/** The builder's own list of coats, and what was painted with which mix in all jobs, the last first. */
export const loader = () => Response.json({ coats: coats(), used: coatsUsed() });
/** Keeps the whole list; answers with it, or why not. */
export const action = ({ request }: Route.ActionArgs) => keepTable(request, (raw) => keepCoats(readCoats(raw)), loader);
