import { readLines } from "~/data/pictures.server";
import type { Route } from "./+types/lines";

/** The lines of a vector drawing, always the same for the same address. */
export function loader({ params }: Route.LoaderArgs) {
  const text = readLines(params.hash);
  if (!text) return new Response("There are no such lines.", { status: 404 });
  const headers = { "content-type": "application/json", "cache-control": "public, max-age=31536000, immutable" };
  return new Response(text, { headers: { ...headers, "x-content-type-options": "nosniff" } });
}
