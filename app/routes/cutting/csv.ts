import Papa from "papaparse";
import { cutRows } from "core/job";
import { readDesign } from "~/data/jobs.server";
import { fileName } from "~/routes/job/file";
import type { Route } from "./+types/csv";

export function loader({ params }: Route.LoaderArgs) {
  const design = readDesign(params.job);
  if (!design) throw new Response("This job is not on the shelf any more.", { status: 404 });
  const rows = cutRows(design);
  return new Response(`\uFEFF${Papa.unparse(rows as object[])}\r\n`, {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": `attachment; filename="${fileName(`${design.doc.name} cut list`, "csv")}"`,
    },
  });
}
