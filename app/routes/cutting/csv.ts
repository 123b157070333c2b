import Papa from "papaparse";
import { cutTable } from "core/job";
import { readDesign } from "~/data/jobs.server";
import { fileName } from "~/routes/job/file";
import type { Route } from "./+types/csv";

export function loader({ params }: Route.LoaderArgs) {
  const design = readDesign(params.job);
  if (!design) throw new Response("This job is not on the shelf any more.", { status: 404 });
  const { columns, rows } = cutTable(design);
  return new Response(`\uFEFF${Papa.unparse({ fields: [...columns], data: rows.map((r) => [...r]) })}\r\n`, {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": `attachment; filename="${fileName(`${design.doc.name} cut list`, "csv")}"`,
    },
  });
}
