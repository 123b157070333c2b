import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { execFileSync } from "node:child_process";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { benchEvent, emptyJob, writeJobFile } from "core/job";
import type * as Jobs from "~/data/jobs.server";
import type * as Pictures from "~/data/pictures.server";
import type * as LogPdf from "./logPdf";

let dir = "";
let jobs: typeof Jobs;
let pictures: typeof Pictures;
let logPdf: typeof LogPdf;
beforeAll(async () => {
  dir = mkdtempSync(join(tmpdir(), "cardo-log-"));
  process.env.CARDO_DATA = dir;
  jobs = await import("~/data/jobs.server");
  pictures = await import("~/data/pictures.server");
  logPdf = await import("./logPdf");
});
afterAll(() => rmSync(dir, { recursive: true, force: true }));

describe("the log as a book", () => {
  it("has every entry by its day, and its pictures, as a reader of PDF finds them", async () => {
    const png = await sharp({ create: { width: 640, height: 400, channels: 3, background: "#824" } })
      .png()
      .toBuffer();
    const { hash, width, height } = await pictures.addPicture(png, "glue-up.png");
    const at = (n: number): string => `2026-05-0${n}T19:30:00Z`;
    const issues = [
      benchEvent("done", "entry-1", at(1), { step: "s", title: "Bent: 1 cap" }),
      benchEvent("note", "entry-2", at(1), { text: "Clamped over night.", picture: { hash, width, height } }),
      benchEvent("note", "entry-3", at(2), { text: "Sanded flush." }),
    ];
    const id = await jobs.importJob(
      writeJobFile({ doc: emptyJob("Logged job"), issues, files: { [hash]: png.toString("base64") } }),
    );
    const answer = await logPdf.loader({ params: { job: id }, request: new Request("http://127.0.0.1/x?paper=Letter") } as never); // prettier-ignore
    const file = join(dir, "log.pdf");
    writeFileSync(file, Buffer.from(await answer.arrayBuffer()));
    const text = execFileSync("pdftotext", ["-layout", file, "-"], { encoding: "utf8" });
    expect(text).toMatch(/Log\s+[\s\S]*Logged job[\s\S]*2026-05-01[\s\S]*19:30\s+Done: Bent: 1 cap[\s\S]*19:30\s+Note: Clamped over night\.[\s\S]*2026-05-02[\s\S]*Note: Sanded flush\./); // prettier-ignore
    const images = execFileSync("pdfimages", ["-list", file], { encoding: "utf8" }).trim().split("\n").slice(2);
    expect(images).toHaveLength(1);
    expect(images[0]).toMatch(/\s640\s+400\s/);
    expect(execFileSync("pdfinfo", [file], { encoding: "utf8" })).toMatch(/Page size:\s+612 x 792/);
    execFileSync("qpdf", ["--check", file]);
  });
  it("says that a job is gone", async () => {
    await expect(logPdf.loader({ params: { job: "none" }, request: new Request("http://127.0.0.1/x") } as never)).rejects.toMatchObject({ status: 404 }); // prettier-ignore
  });
});
