import { createHash } from "node:crypto";
import { readFileSync } from "node:fs";
import { findings } from "../checks";
import { toDxf, toSvg, type Drawing } from "../drawing";
import { cutTable, designOf, readJobFile } from "../job";
import { jigSheets } from "./sheets";

/** Jobs whose papers are kept: one of each kind of structure that is not too large. */
export const KEPT_JOBS = ["howe-truss", "ore-bin", "snowshed", "summit-snowshed", "tool-house-framed"] as const;
const hash = (x: unknown): string => createHash("sha256").update(JSON.stringify(x)).digest("hex").slice(0, 12);
const rounded = (_: string, v: unknown): unknown => (typeof v === "number" ? Number(v.toFixed(2)) : v);
/** A drawing to a hundredth, without the issue that it is printed as. */
const looks = (d: Drawing): string => hash(JSON.parse(JSON.stringify(d, rounded)) as unknown);

/** What comes of a job on paper: a digest of its cut list, its findings, each of its sheets, and the first sheet as files. */
export function papersOf(job: string): Record<string, string> {
  const d = designOf(readJobFile(readFileSync(`examples/${job}.json`, "utf8")).doc);
  const sheets = jigSheets(d, "2026-01-01");
  const { columns, rows } = cutTable(d);
  const first = sheets[0]!.drawing;
  const exact = JSON.parse(JSON.stringify(first, rounded)) as Drawing;
  return {
    list: `${rows.length} rows of ${columns.length}: ${hash(rows)}`,
    findings: hash(findings(d).map((f) => [f.level, f.text, f.remedy?.label])),
    svg: hash(toSvg(exact, { title: job, margin: 10, words: true })),
    dxf: hash(toDxf(exact)),
    ...Object.fromEntries(sheets.map((s) => [`sheet ${s.fileName}`, looks(s.drawing)])),
  };
}
