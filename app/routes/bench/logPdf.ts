import sharp from "sharp";
import { PAPERS, toPdf, type PaperId } from "core/drawing";
import { logPages, type LogEntry } from "core/lists/logPages";
import { model, printModel } from "core/units";
import { pdfFonts } from "~/data/fonts.server";
import { issuesOf, readJob } from "~/data/jobs.server";
import { originalOf } from "~/data/pictures.server";
import { fileName } from "~/job/saveFile";
import { logWords } from "./Log";
import type { Route } from "./+types/logPdf";

/** Pictures are printed with so many pixels at most: 250 to the inch. */
const PIXELS = 1200;
/** The log of a job as a printed book, its pictures in it. `paper` in the query. */
export async function loader({ params, request }: Route.LoaderArgs) {
  const job = readJob(params.job);
  if (!job) throw new Response("This job is not on the shelf any more.", { status: 404 });
  const { doc } = job.confirmed;
  const asked = new URL(request.url).searchParams.get("paper") ?? "";
  const paper: PaperId = asked in PAPERS ? (asked as PaperId) : "A4";
  const M = (mm: number, decimals = 1): string => printModel(model(mm), doc.brief.units.model, decimals);
  const entries: LogEntry[] = [];
  for (const i of issuesOf(params.job)) {
    const hash = i.bench?.picture?.hash;
    const picture = hash ? await printed(hash) : undefined;
    entries.push({ at: i.at.slice(0, 16).replace("T", " "), words: logWords(i, M), ...(picture ? { picture } : {}) });
  }
  const title = `${doc.name}: log`;
  const plan = logPages(doc.name, entries, paper, new Date().toISOString().slice(0, 10));
  const made = await toPdf([{ name: "Log", plan }], { title, date: new Date(), fonts: pdfFonts() });
  return new Response(made as Uint8Array<ArrayBuffer>, {
    headers: { "content-type": "application/pdf", "content-disposition": `attachment; filename="${fileName(`${doc.name} log`, "pdf")}"` }, // prettier-ignore
  });
}
/** A picture as it is printed; undefined where its file is gone or cannot be read. */
async function printed(hash: string): Promise<LogEntry["picture"]> {
  try {
    const { data, info } = await sharp(originalOf(hash)).rotate().resize(PIXELS, PIXELS, { fit: "inside", withoutEnlargement: true }).flatten({ background: "#fff" }).jpeg({ quality: 85 }).toBuffer({ resolveWithObject: true }); // prettier-ignore
    return { type: "image/jpeg", bytes: data, width: info.width, height: info.height };
  } catch {
    return undefined;
  }
}
