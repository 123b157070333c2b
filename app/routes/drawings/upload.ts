import { addLines, addPicture, MAX_BYTES } from "~/data/pictures.server";
import type { Route } from "./+types/upload";

/** Takes in one picture, or the lines of a vector drawing. What it is, its bytes say; the answer is a picture, lines or a sentence. */
export async function action({ request }: Route.ActionArgs) {
  try {
    if (Number(request.headers.get("content-length") ?? 0) > MAX_BYTES + 1e6)
      throw new Error(
        `The file has ${Math.round(Number(request.headers.get("content-length")) / 1048576)} MB; ${Math.round(MAX_BYTES / 1048576)} MB is the most.`,
      );
    const file = (await request.formData()).get("file");
    if (!(file instanceof File)) throw new Error("No file came with the upload. Upload a PNG, JPEG or WebP picture.");
    const bytes = Buffer.from(await file.arrayBuffer());
    if (bytes[0] === "{".charCodeAt(0)) return Response.json({ ok: true, lines: addLines(bytes) });
    const picture = await addPicture(bytes, file.name.slice(0, 80));
    return Response.json({ ok: true, picture });
  } catch (e) {
    return Response.json({ ok: false, sentence: (e as Error).message });
  }
}
