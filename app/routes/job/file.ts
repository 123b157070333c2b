import { exportJob } from "~/data/jobs.server";
import type { Route } from "./+types/file";

/** A name as files may have it. */
export const fileName = (name: string, ending: string): string =>
  `${
    name
      .toLowerCase()
      .normalize("NFKD")
      .replace(/[^a-z0-9]+/g, "-")
      .replace(/^-|-$/g, "") || "job"
  }.${ending}`;

export function loader({ params }: Route.LoaderArgs) {
  const file = exportJob(params.job);
  if (!file) throw new Response("This job is not on the shelf any more.", { status: 404 });
  return new Response(file.text, {
    headers: {
      "content-type": "application/json; charset=utf-8",
      "content-disposition": `attachment; filename="${fileName(file.name, "cardo.json")}"`,
    },
  });
}
