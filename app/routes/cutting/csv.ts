import Papa from "papaparse";
import { cutRows, designOf, issuedMarks } from "core/job";
import { readJob } from "~/data/jobs.server";
import { fileName } from "~/routes/job/file";
import type { Route } from "./+types/csv";

export function loader({ params }: Route.LoaderArgs) {
  const state = readJob(params.job);
  if (!state) throw new Response("This job is not on the shelf any more.", { status: 404 });
  const rows = cutRows(designOf(state.doc, issuedMarks(state.issues)));
  return new Response(`\uFEFF${Papa.unparse(rows as object[])}\r\n`, {
    headers: {
      "content-type": "text/csv; charset=utf-8",
      "content-disposition": `attachment; filename="${fileName(`${state.doc.name} cut list`, "csv")}"`,
    },
  });
}
