import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { readJobFile, writeJobFile } from "core/job";
import type * as Jobs from "~/data/jobs.server";
import type * as Pictures from "~/data/pictures.server";
import type * as PapersPdf from "./papersPdf";

let dir = "";
let jobs: typeof Jobs;
let pictures: typeof Pictures;
let papers: typeof PapersPdf;
beforeAll(async () => {
  dir = mkdtempSync(join(tmpdir(), "cardo-papers-"));
  process.env.CARDO_DATA = dir;
  jobs = await import("~/data/jobs.server");
  pictures = await import("~/data/pictures.server");
  papers = await import("./papersPdf");
});
afterAll(() => rmSync(dir, { recursive: true, force: true }));
const ask = (job: string, query = "paper=A4") => papers.loader({ params: { job }, request: new Request(`http://127.0.0.1/x?${query}`) } as never); // prettier-ignore

describe("the printed papers of the agent's cottage", () => {
  // without the photograph of its place, which is no paper
  const whole = readJobFile(readFileSync("examples/agents-cottage.json", "utf8"));
  const printed = whole.doc.papers!.map((p) => p.picture.hash);
  const text = writeJobFile({ doc: { ...whole.doc, drawings: [], spot: { ...whole.doc.spot!, photo: undefined } as never }, issues: [], files: Object.fromEntries(printed.map((h) => [h, whole.files[h]!])) }); // prettier-ignore
  it("come with their pictures, as large as they are, as a reader of PDF finds them", async () => {
    const id = await jobs.importJob(text);
    const file = join(dir, "papers.pdf");
    writeFileSync(file, Buffer.from(await (await ask(id)).arrayBuffer()));
    execFileSync("qpdf", ["--check", file]);
    const words = execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" });
    // 6 ft in HO are 21.0 mm; a quarter as high. 22 × 12 ft are 77.0 × 42.0
    expect(words).toMatch(/Floor of the room: 77\.0 mm × 42\.0 mm/);
    expect(words).toMatch(/Agent's cottage: papers at full size for HO.*1:87\.1 .* page 1 of 1/);
    const images = execFileSync("pdfimages", ["-list", file], { encoding: "utf8" }).trim().split("\n").slice(2);
    // each picture is in the file once, however often it is shown: by its number
    expect(new Set(images.map((l) => l.trim().split(/\s+/)[10])).size).toBe(2);
    // dots to the inch as pdfimages reckons them: the sign's 960 pixels were scaled to 400 to the inch of 21 mm at most
    const dots = images.map((l) => Number(l.trim().split(/\s+/)[12]));
    expect(Math.max(...dots)).toBeLessThanOrEqual(405);
    const scaled = join(dir, "scaled.pdf");
    writeFileSync(scaled, Buffer.from(await (await ask(id, "paper=Letter&across=1.007&up=0.996")).arrayBuffer()));
    expect(execFileSync("pdfinfo", [scaled], { encoding: "utf8" })).toMatch(/Page size:\s+612 x 792/);
    const content = execFileSync("qpdf", ["--qdf", "--object-streams=disable", scaled, "-"], { encoding: "latin1" });
    expect(content).toMatch(/1\.007 0 0 0?\.996/);
  });
  it("have the dots that the largest print of a picture needs", async () => {
    const { doc, files } = readJobFile(text);
    const sign = doc.papers![0]!;
    doc.papers = [sign, { ...sign, id: "large", count: 1, unit: sign.unit * 2 }];
    const own = { [sign.picture.hash]: files[sign.picture.hash]! };
    const id = await jobs.importJob(writeJobFile({ doc, issues: [], files: own }));
    const file = join(dir, "large.pdf");
    writeFileSync(file, Buffer.from(await (await ask(id)).arrayBuffer()));
    const images = execFileSync("pdfimages", ["-list", file], { encoding: "utf8" }).trim().split("\n").slice(2);
    // 42.0 mm at 400 dots to the inch, not the 331 of the print that comes first
    expect(new Set(images.map((l) => Number(l.trim().split(/\s+/)[3])))).toEqual(new Set([662]));
  });
  it("leave with the job file and come back with it, and a whole picture is shown in one piece", async () => {
    const id = await jobs.importJob(text);
    const out = [...jobs.exportJob(id)!.pieces].join("");
    const { doc, files } = readJobFile(out);
    expect(Object.keys(files).sort()).toEqual(doc.papers!.map((p) => p.picture.hash).sort());
    expect(doc.papers).toEqual(readJobFile(text).doc.papers);
    const shown = await pictures.wholePicture(doc.papers![0]!.picture.hash);
    expect(shown?.subarray(0, 3).toString("hex")).toBe("ffd8ff");
    for (const none of ["../cardo.db", "f".repeat(64), ""]) expect(await pictures.wholePicture(none)).toBeUndefined();
  });
  it("say that there are none, that the job is gone, or that its file lacks a picture", async () => {
    await expect(ask("none")).rejects.toMatchObject({ status: 404 });
    const { doc } = readJobFile(text);
    const { papers: _, ...bare } = doc;
    const id = await jobs.importJob(writeJobFile({ doc: bare, issues: [], files: {} }));
    await expect(ask(id)).rejects.toMatchObject({ status: 404 });
    await expect(jobs.importJob(writeJobFile({ doc, issues: [], files: {} }))).rejects.toThrow(
      /“Station sign” has no picture/,
    );
  });
});
