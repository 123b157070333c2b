import { PassThrough, Readable } from "node:stream";
import { backupSize, writeBackup } from "~/data/backup.server";
import { now } from "~/data/rows.server";

/** Everything that is kept, as one zip, or what that would hold as JSON (`?size`). */
export function loader({ request }: { request: Request }) {
  if (new URL(request.url).searchParams.has("size")) return Response.json(backupSize());
  const out = new PassThrough();
  // a zip that breaks off is told as one when it is restored
  writeBackup(out).catch((e: unknown) => out.destroy(e as Error));
  return new Response(Readable.toWeb(out) as ReadableStream, {
    headers: {
      "content-type": "application/zip",
      "content-disposition": `attachment; filename="cardo-${now().slice(0, 10)}.backup.zip"`,
      "cache-control": "no-store",
    },
  });
}
