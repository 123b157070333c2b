import { freeFor } from "core/drawer";
import { inDrawer, leastOffcut, setAside } from "~/data/drawer.server";
import type { Route } from "./+types/state";

/** What the drawer holds for the plans of a job: all but what is set aside for others. */
export function loader({ request }: Route.LoaderArgs) {
  const job = new URL(request.url).searchParams.get("job") ?? undefined;
  return Response.json({ held: freeFor(inDrawer(), setAside(), job), least: leastOffcut() });
}
