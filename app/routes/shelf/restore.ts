import { randomUUID } from "node:crypto";
import { rmSync } from "node:fs";
import { open } from "node:fs/promises";
import { join } from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import type { ReadableStream as NodeStream } from "node:stream/web";
import { Busy, limited, Queue, tooLarge } from "~/data/body.server";
import { dataDir } from "~/data/db.server";
import { makeFolder } from "~/data/folder.server";
import { faultWords } from "~/data/faults.server";
import { BackupError, restoreBackup } from "~/data/restore.server";
import { onlySent } from "~/data/onlySent.server";
import type { Route } from "./+types/restore";

/** The most that a backup may weigh, bytes; the room on the disk is asked beside it. */
const MOST = 64 * 1024 ** 3;
const restores = new Queue(1);

export const loader = onlySent("A backup");
/** Takes in a backup as it comes, and puts it in the place of everything. The answer is what came back, or a sentence. */
export async function action({ request }: Route.ActionArgs) {
  const refuse = (sentence: string, status: number): Response => Response.json({ ok: false, sentence }, { status });
  const file = join(dataDir(), `upload-${randomUUID()}-half`);
  try {
    return await restores.run(async () => {
      const { body } = limited(request, MOST);
      if (!body) return refuse("No file came with the request. Choose a backup that Cardo made (.zip).", 400);
      makeFolder(dataDir());
      // opened before anything comes: a stream that breaks off at once would else make the file after it was taken away
      const into = (await open(file, "w")).createWriteStream();
      await pipeline(Readable.fromWeb(body as NodeStream), into);
      return Response.json({ ok: true, restored: await restoreBackup(file) });
    });
  } catch (e) {
    if (e instanceof BackupError) return refuse(e.message, 400);
    if (e instanceof Busy) return refuse("A backup is being put in place already.", 503);
    const large = tooLarge(e);
    if (large) return refuse(large.message, 413);
    const fault = faultWords(e);
    if (fault) return refuse(fault, 503);
    if (request.signal.aborted) return refuse("The upload broke off.", 400);
    throw e;
  } finally {
    rmSync(file, { force: true });
  }
}
