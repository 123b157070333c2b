import Ajv from "ajv";
import { readFileSync, readdirSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { emptyJob, newStructure, readJobFile } from "../core/job";
import { jobSchema } from "./jobSchema";

const read = (file: string): unknown => JSON.parse(readFileSync(file, "utf8"));
const validate = new Ajv({ strict: false, allErrors: true }).compile(read("docs/job.schema.json") as object);
const wrong = (job: unknown): string[] =>
  validate(job) ? [] : (validate.errors ?? []).map((e) => `${e.instancePath} ${e.message}`);

describe("the schema of job files", () => {
  it("in docs is what the kinds declare today: npx tsx scripts/make-schema.ts writes it anew", async () => {
    expect(readFileSync("docs/job.schema.json", "utf8")).toBe(await jobSchema());
  });
  it.each(readdirSync("examples").filter((f) => f.endsWith(".json")))(
    "has no objection to examples/%s as it is read and written again",
    (file) => {
      const { doc } = readJobFile(readFileSync(`examples/${file}`, "utf8"));
      expect(wrong(JSON.parse(JSON.stringify(doc)))).toEqual([]);
    },
  );
  it("takes a place on the plan and a noted eave, and refuses what Cardo refuses", () => {
    const job = { ...emptyJob("Yard"), structures: [newStructure("building", "s", "Depot", {})] };
    const place = { x: 1, y: 2, z: 0, turn: 90 };
    expect(wrong({ ...job, structures: [{ ...job.structures[0]!, place }] })).toEqual([]);
    expect(wrong({ ...job, structures: [{ ...job.structures[0]!, place: { ...place, turn: 400 } }] })).not.toEqual([]);
    expect(wrong({ ...job, structures: [{ ...job.structures[0]!, kind: "lighthouse" }] })).not.toEqual([]);
    expect(wrong({ ...job, version: 1 })).not.toEqual([]);
    const drawing = { id: "d", name: "West side", measures: [], openings: [], under: [] };
    expect(wrong({ ...job, drawings: [{ ...drawing, eave: "boxed" }] })).toEqual([]);
    expect(wrong({ ...job, drawings: [{ ...drawing, eave: "curled" }] })).not.toEqual([]);
  });
});
