import { readTile } from "~/data/pictures.server";
import type { Route } from "./+types/tile";

/** One tile of a picture, always the same bytes for the same address. */
export async function loader({ params }: Route.LoaderArgs) {
  const tile = await readTile(params.hash, Number(params.level), Number(params.column), Number(params.row));
  if (!tile) return new Response("There is no such tile.", { status: 404 });
  return new Response(new Uint8Array(tile), {
    headers: {
      "content-type": "image/jpeg",
      "cache-control": "public, max-age=31536000, immutable",
      "x-content-type-options": "nosniff",
    },
  });
}
