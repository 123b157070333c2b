import { wholePicture } from "~/data/pictures.server";
import type { Route } from "./+types/picture";

/** A whole picture in one piece, always the same bytes for the same address. */
export async function loader({ params }: Route.LoaderArgs) {
  const bytes = await wholePicture(params.hash);
  if (!bytes) return new Response("There is no such picture.", { status: 404 });
  return new Response(new Uint8Array(bytes), {
    headers: {
      "content-type": "image/jpeg",
      "cache-control": "public, max-age=31536000, immutable",
      "x-content-type-options": "nosniff",
    },
  });
}
