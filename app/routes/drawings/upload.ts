import { Busy, formOf, Queue, TooLarge } from "~/data/body.server";
import { faultWords } from "~/data/faults.server";
import { rowOf } from "~/data/jobs.server";
import { addLines, addPicture, MAX_BYTES, MOST_OF_A_JOB, weightOf } from "~/data/pictures.server";
import { onlySent } from "~/data/onlySent.server";
import type { Route } from "./+types/upload";

/** A picture is read whole: one after another, and not too many that wait. */
const uploads = new Queue(8);

export const loader = onlySent("A picture");
/** Takes in one picture, or the lines of a vector drawing. What it is, its bytes say; the answer is a picture, lines or a sentence. */
export async function action({ request, params }: Route.ActionArgs) {
  const refuse = (sentence: string, status = 200): Response => Response.json({ ok: false, sentence }, { status });
  try {
    return await uploads.run(async () => {
      const file = (await formOf(request, MAX_BYTES + 1e6)).get("file");
      if (!(file instanceof File)) return refuse("No file came with the upload. Upload a PNG, JPEG or WebP picture.");
      // a hash is found in the text, so that a job that cannot be read is weighed too
      const has = new Set(rowOf(params.job)?.doc.match(/[0-9a-f]{64}/g));
      const megabytes = (n: number): number => Math.round(n / 1048576);
      const kept = weightOf(has);
      if (kept + file.size > MOST_OF_A_JOB)
        return refuse(
          `The drawings of this job have ${megabytes(kept)} MB already, and this one has ${megabytes(file.size)}; ${megabytes(MOST_OF_A_JOB)} MB is the most for a job. Remove one that is not needed, or save this one as JPEG.`,
        );
      const bytes = Buffer.from(await file.arrayBuffer());
      if (bytes[0] === "{".charCodeAt(0)) return Response.json({ ok: true, lines: addLines(bytes) });
      return Response.json({ ok: true, picture: await addPicture(bytes, file.name.slice(0, 80)) });
    });
  } catch (e) {
    if (e instanceof Busy) return refuse(e.message, 503);
    if (e instanceof TooLarge) return refuse(e.message, 413);
    const fault = faultWords(e);
    return fault ? refuse(fault, 503) : refuse((e as Error).message);
  }
}
