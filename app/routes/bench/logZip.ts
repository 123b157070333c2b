import { eq } from "drizzle-orm";
import { Readable } from "node:stream";
import yazl from "yazl";
import { model, printModel } from "core/units";
import { db } from "~/data/db.server";
import { pictures } from "~/data/schema.server";
import { issuesOf, readJob } from "~/data/jobs.server";
import { originalOf } from "~/data/pictures.server";
import { fileName } from "~/job/saveFile";
import { logWords } from "./Log";
import type { Route } from "./+types/logZip";

/** The log of a job as Markdown with its pictures, in a zip. */
export function loader({ params }: Route.LoaderArgs) {
  const job = readJob(params.job);
  if (!job) throw new Response("This job is not on the shelf any more.", { status: 404 });
  const { doc } = job.confirmed;
  const M = (mm: number, decimals = 1): string => printModel(model(mm), doc.brief.units.model, decimals);
  const zip = new yazl.ZipFile();
  const seen = new Set<string>();
  const lines = issuesOf(params.job).flatMap((i): string[] => {
    const words = `- **${i.at.slice(0, 16).replace("T", " ")}** ${logWords(i, M).replace(/([*_`#<>[\]])/g, "\\$1").replace(/\s*\n\s*/g, " ")}`; // prettier-ignore
    const hash = i.bench?.picture?.hash;
    if (!hash) return [words];
    const type = db().select({ type: pictures.type }).from(pictures).where(eq(pictures.hash, hash)).get()?.type ?? "";
    const name = `pictures/${hash.slice(0, 16)}.${type.split("/")[1]?.replace("jpeg", "jpg") ?? "bin"}`;
    if (!seen.has(hash)) zip.addFile(originalOf(hash), name, { compress: false });
    seen.add(hash);
    return [words, `  ![](${name})`];
  });
  zip.addBuffer(Buffer.from(`# ${doc.name}: log\n\nTimes are UTC.\n\n${lines.join("\n")}\n`), "log.md");
  zip.end();
  return new Response(Readable.toWeb(zip.outputStream as Readable) as ReadableStream, {
    headers: { "content-type": "application/zip", "content-disposition": `attachment; filename="${fileName(`${doc.name} log`, "zip")}"` }, // prettier-ignore
  });
}
