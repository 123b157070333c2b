import { inDrawer, leastOffcut } from "~/data/drawer.server";

/** What the drawer holds, for the plans of a job. */
export const loader = () => Response.json({ held: inDrawer(), least: leastOffcut() });
