import sharp from "sharp";
import { PAPERS, toPdf, type PaperId, type PictureBytes } from "core/drawing";
import { paperPages, pictureSize } from "core/papers";
import { scaleLabel, scaleOf } from "core/units";
import { pdfFonts } from "~/data/fonts.server";
import { readJob } from "~/data/jobs.server";
import { originalOf } from "~/data/pictures.server";
import { fileName } from "~/job/saveFile";
import type { Route } from "./+types/papersPdf";

/** Pictures are printed with so many dots to the inch at most. */
const DOTS = 400;
/** How far a printer may be off and still be corrected. */
const correction = (text: string | null): number => {
  const n = Number(text);
  return n > 0.9 && n < 1.1 ? n : 1;
};
/** The printed papers of a job as one PDF. In the query `paper`, and `across` and `up`, by which the printer is corrected. */
export async function loader({ params, request }: Route.LoaderArgs) {
  const job = readJob(params.job);
  if (!job) throw new Response("This job is not on the shelf any more.", { status: 404 });
  const { doc } = job.confirmed;
  const query = new URL(request.url).searchParams;
  const asked = query.get("paper") ?? "";
  const paper: PaperId = asked in PAPERS ? (asked as PaperId) : "A4";
  const scale = scaleOf(doc.brief.scale.id, doc.brief.scale.ratio);
  const pictures = new Map<string, PictureBytes>();
  // of a picture that is printed in several sizes the largest one says how many dots it needs
  const widest = new Map<string, number>();
  for (const p of doc.papers ?? []) widest.set(p.picture.hash, Math.max(widest.get(p.picture.hash) ?? 0, pictureSize(p, scale.ratio).wide)); // prettier-ignore
  for (const [hash, wide] of widest) {
    const picture = await printed(hash, wide);
    if (picture) pictures.set(hash, picture);
  }
  const date = new Date().toISOString().slice(0, 10);
  const plan = paperPages(doc.papers ?? [], scale.ratio, pictures, paper, { job: doc.name, scale: scaleLabel(scale), date }); // prettier-ignore
  if (plan.pages.length === 0) throw new Response("This job has no papers to be printed.", { status: 404 });
  const correct = { across: correction(query.get("across")), up: correction(query.get("up")) };
  const made = await toPdf([{ name: "Papers", plan }], { title: `${doc.name}: papers`, date: new Date(), fonts: pdfFonts(), ...(correct.across === 1 && correct.up === 1 ? {} : { correct }) }); // prettier-ignore
  return new Response(made as Uint8Array<ArrayBuffer>, {
    headers: { "content-type": "application/pdf", "content-disposition": `attachment; filename="${fileName(`${doc.name} papers`, "pdf")}"` }, // prettier-ignore
  });
}
/** A picture as it is printed so wide, model mm, without loss; undefined where its file is gone or cannot be read. */
async function printed(hash: string, wide: number): Promise<PictureBytes | undefined> {
  try {
    const most = Math.max(16, Math.ceil((wide / 25.4) * DOTS));
    const bytes = await sharp(originalOf(hash)).resize({ width: most, withoutEnlargement: true }).flatten({ background: "#fff" }).png().toBuffer(); // prettier-ignore
    return { type: "image/png", bytes };
  } catch {
    return undefined;
  }
}
