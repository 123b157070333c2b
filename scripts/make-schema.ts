/** Writes docs/job.schema.json: npx tsx scripts/make-schema.ts. */
import { writeFileSync } from "node:fs";
import { jobSchema } from "./jobSchema";

writeFileSync("docs/job.schema.json", await jobSchema());
