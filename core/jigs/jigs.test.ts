import { execFileSync } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { boundsOfDrawing, OVERLAP, PAPERS, type PaperId } from "../drawing";
import { designOf, emptyJob, newStructure, type Design } from "../job";
import { jigDxf, jigPdf, jigSheets, jigSvg, pagesOf } from ".";

const font = (f: string): Uint8Array => readFileSync(`node_modules/@fontsource/${f}`);
const FONTS = {
  label: font("barlow-condensed/files/barlow-condensed-latin-600-normal.woff"),
  text: font("source-sans-3/files/source-sans-3-latin-400-normal.woff"),
};
const DATE = new Date("2026-05-01T00:00:00Z");
const designAt = (id: string, ratio: number): Design =>
  designOf({
    ...emptyJob("Test"),
    brief: { ...emptyJob("").brief, scale: { id, ratio } },
    structures: [newStructure("trestle-bent", "g", "Bent")],
  });
const sheetAt = (id: string, ratio: number) => jigSheets(designAt(id, ratio), "2026-05-01")[0]!;
const pdfOf = (paper: PaperId, id = "HO", ratio = 304.8 / 3.5) =>
  jigPdf([sheetAt(id, ratio)], paper, "Test", DATE, FONTS);
let dir = "";
beforeAll(() => void (dir = mkdtempSync(join(tmpdir(), "cardo-jigs-"))));
afterAll(() => rmSync(dir, { recursive: true, force: true }));
/** Programs outside the project read what it writes; where one is not installed its check says so by being skipped. */
const has = (p: string): boolean => existsSync(`/usr/bin/${p}`);
const file = (name: string, data: string | Uint8Array): string => {
  const f = join(dir, name);
  writeFileSync(f, data);
  return f;
};

describe("jig sheets", () => {
  it.skipIf(!has("pdftoppm"))(
    "print their check bars true: 150 mm and 6 in on both edges within 0.1 mm at 600 dpi",
    async () => {
      const pdf = file("bars.pdf", await pdfOf("A4"));
      execFileSync("pdftoppm", ["-r", "600", "-gray", "-png", pdf, join(dir, "bars")]);
      const { data, info } = await sharp(join(dir, "bars-1.png")).raw().toBuffer({ resolveWithObject: true });
      const dark = (x: number, y: number): boolean => data[(y * info.width + x) * info.channels]! < 128;
      const mm = 600 / 25.4;
      /** Longest dark run on each line across the given band, mm, longest first and one per bar. */
      const runs = (upright: boolean, from: number, to: number): number[] => {
        const found: number[] = [];
        const length = upright ? info.height : info.width;
        for (let a = Math.round(from * mm); a < to * mm; a++) {
          let run = 0;
          let best = 0;
          for (let b = 0; b < length; b++) {
            run = (upright ? dark(a, b) : dark(b, a)) ? run + 1 : 0;
            best = Math.max(best, run);
          }
          found.push(best / mm);
        }
        return found.filter((n) => n > 100);
      };
      const near = (list: number[], want: number): void =>
        expect(Math.min(...list.map((n) => Math.abs(n - want)))).toBeLessThan(0.1);
      const below = runs(false, info.height / mm - 37, info.height / mm - 25.2);
      const left = runs(true, 8, 19.5);
      for (const want of [150, 152.4]) {
        near(below, want);
        near(left, want);
      }
    },
  );
  it.skipIf(!has("qpdf"))(
    "leave qpdf nothing to complain about, ask for no scaling, and are the same bytes twice",
    async () => {
      const bytes = await pdfOf("Letter", "F", 304.8 / 15);
      expect(execFileSync("qpdf", ["--check", file("a.pdf", bytes)]).toString()).toMatch(
        /No syntax or stream encoding errors/,
      );
      const json = execFileSync("qpdf", ["--json", join(dir, "a.pdf")]).toString();
      expect(json).toContain('"/PrintScaling": "/None"');
      expect(Buffer.compare(Buffer.from(await pdfOf("Letter", "F", 304.8 / 15)), Buffer.from(bytes))).toBe(0);
    },
  );
  it("tile every paper so that pages overlap, crosses coincide, and nothing is left out", () => {
    const sheet = sheetAt("G", 22.5);
    const { min, max } = boundsOfDrawing(sheet.drawing);
    for (const paper of Object.keys(PAPERS) as PaperId[]) {
      const plan = pagesOf(sheet, paper);
      expect(plan.pages.length).toBeGreaterThan(1);
      const windows = plan.pages.map((p) =>
        [0, 1].map((k) => [p.window.at[k]! - p.shift[k]!, p.window.at[k]! - p.shift[k]! + p.window.size[k]!] as const),
      );
      for (const k of [0, 1] as const) {
        expect(Math.min(...windows.map((w) => w[k]![0]))).toBeLessThan(min[k]);
        expect(Math.max(...windows.map((w) => w[k]![1]))).toBeGreaterThan(max[k]);
      }
      plan.pages.forEach((p, i) => {
        const right = plan.pages.findIndex((q) => q.row === p.row && q.column === p.column + 1);
        if (right >= 0) expect(windows[i]![0]![1] - windows[right]![0]![0]).toBeCloseTo(OVERLAP, 9);
        // crosses lie on the same points of the drawing on both pages
        const crosses = (q: number) =>
          plan.pages[q]!.furniture.flatMap((e) =>
            e.kind === "circle" ? [[e.centre[0] - plan.pages[q]!.shift[0], e.centre[1] - plan.pages[q]!.shift[1]]] : [],
          );
        if (right >= 0)
          expect(
            crosses(i).filter((a) => crosses(right).some((b) => Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!) < 1e-9)),
          ).toHaveLength(2);
      });
    }
  });
  it("agree on every outline in PDF, SVG and DXF", async () => {
    const sheet = sheetAt("HO", 304.8 / 3.5);
    const members = sheet.drawing.layers.find((l) => l.name === "members")!.entities;
    const cap = members
      .filter((e) => e.kind === "path")
      .find(
        (e) =>
          Math.abs(Math.max(...e.points.map((p) => p[0])) - 24.5) < 1e-6 &&
          Math.max(...e.points.map((p) => p[1])) > -1e-6,
      )!;
    expect(cap.points).toHaveLength(4);
    const svg = jigSvg(sheet);
    const size = (text: string): number[] => {
      const n = [...text.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])]);
      return [0, 1].map((k) => Math.max(...n.map((p) => p[k]!)) - Math.min(...n.map((p) => p[k]!)));
    };
    const group = /<g id="members"[^>]*>([\s\S]*?)<\/g>/.exec(svg)![1]!;
    const inSvg = [...group.matchAll(/ d="M([^"]*)Z"/g)].map((m) => size(m[1]!));
    const own = members
      .filter((e) => e.kind === "path")
      .map((e) => [0, 1].map((k) => Math.max(...e.points.map((p) => p[k]!)) - Math.min(...e.points.map((p) => p[k]!))));
    expect(inSvg).toEqual(own.map((o) => o.map((n) => expect.closeTo(n, 4))));
    if (has("rsvg-convert"))
      expect(execFileSync("rsvg-convert", ["-f", "png", file("a.svg", svg)]).length).toBeGreaterThan(1000);
    // the PDF's path operators, in points
    if (has("qpdf")) {
      const plain = execFileSync("qpdf", ["--qdf", "--stream-data=uncompress", file("p.pdf", await pdfOf("A4")), "-"], {
        maxBuffer: 1e8,
      }).toString("latin1");
      const paths = [...plain.matchAll(/((?:-?[\d.]+ -?[\d.]+ [ml]\s+){4})h/g)].map((m) =>
        size(m[1]!).map((n) => (n * 25.4) / 72),
      );
      for (const o of own) expect(paths.some((p) => p.every((n, k) => Math.abs(n - o[k]!) < 1e-3))).toBe(true);
    }
  });
  const ezdxf = (): boolean => {
    try {
      execFileSync("/usr/bin/python3", ["-c", "import ezdxf"], { stdio: "ignore" });
      return true;
    } catch {
      return false;
    }
  };
  it.skipIf(!ezdxf())("are read by ezdxf without errors, in mm, by layer, the cap at its length", () => {
    const dxf = file("a.dxf", jigDxf(sheetAt("HO", 304.8 / 3.5)));
    const script = `
import ezdxf, json, sys
doc = ezdxf.readfile(sys.argv[1])
audit = doc.audit()
spans = [max(p[0] for p in e.get_points()) - min(p[0] for p in e.get_points()) for e in doc.modelspace().query('LWPOLYLINE[layer=="members"]')]
print(json.dumps({"errors": [str(e) for e in audit.errors], "units": doc.units, "layers": sorted(l.dxf.name for l in doc.layers), "spans": spans}))`;
    const read = JSON.parse(execFileSync("/usr/bin/python3", ["-c", script, dxf]).toString()) as {
      errors: string[];
      units: number;
      layers: string[];
      spans: number[];
    };
    expect(read.errors).toEqual([]);
    expect(read.units).toBe(4);
    expect(read.layers).toEqual(
      expect.arrayContaining(["members", "fence-lines", "centre-line", "piece-marks", "check-bars"]),
    );
    expect(read.spans.some((s) => Math.abs(s - 49) < 1e-4)).toBe(true);
  });
});
