import { writeFileSync } from "node:fs";
import { gulchWhole, howeJob } from "../scripts/wholeJobs";
import { writeJobFile } from "../core/job";
for (const [n, d] of [["gulch-trestle-whole", gulchWhole()], ["howe-truss", howeJob()]] as const) writeFileSync(`examples/${n}.json`, writeJobFile({ doc: d, issues: [], files: {} }));
