import { Readable } from "node:stream";
import { exportJob } from "~/data/jobs.server";
import { fileName } from "~/job/saveFile";
import type { Route } from "./+types/file";

export function loader({ params }: Route.LoaderArgs) {
  const file = exportJob(params.job);
  if (!file) throw new Response("This job is not on the shelf any more.", { status: 404 });
  return new Response(Readable.toWeb(Readable.from(file.pieces)) as ReadableStream, {
    headers: {
      "content-type": "application/json; charset=utf-8",
      // pictures are packed already: packing them again takes minutes
      "cache-control": "no-store, no-transform",
      "content-disposition": `attachment; filename="${fileName(file.name, "cardo.json")}"`,
    },
  });
}
