import { jobNames } from "~/data/shelf.server";

/** The jobs on the shelf by their ids. */
export const loader = () => Response.json({ names: jobNames() });
