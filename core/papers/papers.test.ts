import { execFileSync } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createRequire } from "node:module";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { pageSvg, toPdf, type Entity, type PagePlan, type PictureBytes } from "../drawing";
import type { PaperDoc } from "../job";
import { feet, inches } from "../units";
import { cutSize, dotsPerInch, paperPages, paperRemarks, pictureSize } from ".";

const HASH = "a".repeat(64);
const HO = 87.1;
/** 1200 × 300 pixels that show 12 boards of 4 in across. */
const floor = (over: Partial<PaperDoc> = {}): PaperDoc => ({ id: "floor", name: "Floor", picture: { hash: HASH, type: "image/png", width: 1200, height: 300 }, motif: "boards", along: "across", units: 12, unit: inches(4), count: 1, bleed: 2, ...over }); // prettier-ignore
const cover = { length: feet(24), height: feet(16) };
const NONE: PictureBytes = { type: "image/png", bytes: new Uint8Array() };
const WORDS = { job: "Depot", scale: "HO, 1:87.1", date: "2026-05-01" };
const pages = (papers: readonly PaperDoc[], paper: "A4" | "Letter" = "A4"): PagePlan => paperPages(papers, HO, new Map([[HASH, NONE]]), paper, WORDS); // prettier-ignore
const images = (p: PagePlan) => p.drawing.layers[0]!.entities.flatMap((e: Entity) => (e.kind === "image" ? [e] : []));
const clips = (p: PagePlan) => [...new Map(images(p).map((e) => [JSON.stringify(e.clip), e.clip!])).values()];

describe("how large a paper is", () => {
  it("follows from what its picture shows, counted across or up", () => {
    const long = (12 * 4 * 25.4) / HO;
    expect(pictureSize(floor(), HO)).toEqual({ wide: expect.closeTo(long, 9), high: expect.closeTo(long / 4, 9) });
    expect(pictureSize(floor({ along: "up", units: 6 }), HO)).toEqual({ wide: expect.closeTo((4 * 6 * 4 * 25.4) / HO, 9), high: expect.closeTo((6 * 4 * 25.4) / HO, 9) }); // prettier-ignore
    expect(cutSize(floor({ cover }), HO)).toEqual({ wide: expect.closeTo((24 * 304.8) / HO, 9), high: expect.closeTo((16 * 304.8) / HO, 9) }); // prettier-ignore
    expect(dotsPerInch(floor(), HO)).toBeCloseTo((1200 / long) * 25.4, 6);
  });
  it("is remarked on where nothing was made so, where the walls differ, and where dots are coarse", () => {
    const said = (p: Partial<PaperDoc>, walls = {}): readonly string[] => paperRemarks([floor(p)], HO, walls).map((r) => `${r.level}: ${r.text}`); // prettier-ignore
    expect(said({})).toEqual([]);
    expect(said({ unit: inches(14) })[0]).toMatch(
      /^warning: A board of Floor is 1′-2″; they were made from 0′-2″ to 1′-0″\. Count again/,
    );
    expect(said({ unit: inches(2) })).toEqual([]);
    expect(said({ unit: inches(1.9) })).toHaveLength(1);
    expect(said({ motif: "bricks", unit: inches(9) }, { bricks: inches(8) })[0]).toMatch(
      /those of the walls of this job are 0′-8″/,
    );
    expect(said({ motif: "bricks", unit: inches(8.3) }, { bricks: inches(8) })).toEqual([]);
    expect(said({ motif: "sign", units: 1, unit: feet(60) })[0]).toMatch(/prints with 145 dots to the inch/);
    expect(said({ cover: { length: inches(20), height: inches(4) } })[0]).toMatch(
      /smaller than the picture \(14\.0 mm × 3\.5 mm\)/,
    );
  });
});

describe("papers on pages", () => {
  it("repeat a picture without a gap over all that is covered and its bleed, board after board", () => {
    const plan = pages([floor({ cover })]);
    const [clip, ...more] = clips(plan);
    expect(more).toEqual([]);
    const [wide, high] = [cover.length / HO, cover.height / HO];
    expect([clip!.wide, clip!.high]).toEqual([expect.closeTo(wide + 4, 9), expect.closeTo(high + 4, 9)]);
    const one = pictureSize(floor(), HO);
    const xs = [...new Set(images(plan).map((e) => Number((e.at[0] - clip!.at[0]).toFixed(6))))].sort((a, b) => a - b);
    const ys = [...new Set(images(plan).map((e) => Number((e.at[1] - clip!.at[1]).toFixed(6))))].sort((a, b) => a - b);
    expect(images(plan)).toHaveLength(xs.length * ys.length);
    // the first board begins at the trim, so the row before it shows in the bleed alone
    for (const [all, step, reach] of [
      [xs, one.wide, wide + 4],
      [ys, one.high, high + 4],
    ] as const) {
      expect(all[0]!).toBeLessThanOrEqual(0);
      expect(all.at(-1)! + step).toBeGreaterThanOrEqual(reach);
      all.slice(1).forEach((x, i) => expect(x - all[i]!).toBeCloseTo(step, 5));
      expect(all.some((x) => Math.abs(x - 2) < 1e-5)).toBe(true);
    }
  });
  it("part what is larger than a page, and the pattern goes on from part to part", () => {
    const large = floor({ cover: { length: feet(80), height: feet(20) } });
    const plan = pages([large]);
    const all = clips(plan);
    expect(all.length).toBeGreaterThan(1);
    const wide = all.reduce((n, c) => n + c.wide - 4, 0);
    expect(wide).toBeCloseTo((80 * 304.8) / HO, 6);
    const one = pictureSize(large, HO);
    // a part begins where the one before it ended, in the pattern too
    const phase = all.map((c) => { const e = images(plan).find((i) => i.clip === c || JSON.stringify(i.clip) === JSON.stringify(c))!; return (((c.at[0] + 2 - e.at[0]) % one.wide) + one.wide) % one.wide; }); // prettier-ignore
    const step = wide / all.length;
    phase.forEach((p, i) => { const want = (i * step) % one.wide; expect(Math.min(Math.abs(p - want), one.wide - Math.abs(p - want))).toBeLessThan(1e-6); }); // prettier-ignore
  });
  it("lay all prints side by side inside the page, none on another with its marks, as many as are wanted", () => {
    const papers = [floor({ cover: { length: feet(10), height: feet(8) }, count: 3 }), floor({ id: "sign", name: "Sign", motif: "sign", units: 1, unit: feet(6), count: 9, bleed: 0 })]; // prettier-ignore
    const plan = pages(papers, "Letter");
    expect(plan.pages).toHaveLength(1);
    const boxes = clips(plan);
    expect(boxes).toHaveLength(12);
    const { at, size } = plan.pages[0]!.window;
    const [dx, dy] = plan.pages[0]!.shift;
    for (const b of boxes) {
      expect(b.at[0] + dx).toBeGreaterThan(at[0] + 3.5);
      expect(b.at[1] + dy).toBeGreaterThan(at[1] + 3.5);
      expect(b.at[0] + b.wide + dx).toBeLessThan(at[0] + size[0] - 3.5);
      expect(b.at[1] + b.high + dy).toBeLessThan(at[1] + size[1] - 3.5);
    }
    const apart = (a: (typeof boxes)[number], b: (typeof boxes)[number]): boolean => a.at[0] + a.wide < b.at[0] - 6 || b.at[0] + b.wide < a.at[0] - 6 || a.at[1] + a.high < b.at[1] - 6 || b.at[1] + b.high < a.at[1] - 6; // prettier-ignore
    boxes.forEach((a, i) => boxes.slice(i + 1).forEach((b) => expect(apart(a, b)).toBe(true)));
    // a sign is one picture without bleed; eight cut marks each
    expect(images(plan).filter((e) => e.clip!.wide === e.wide)).toHaveLength(9);
    expect(plan.drawing.layers[0]!.entities.filter((e) => e.kind === "path")).toHaveLength(12 * 8);
  });
  it("leave out what has no picture, and are no page where there is nothing", () => {
    expect(paperPages([floor()], HO, new Map(), "A4", WORDS).pages).toEqual([]);
    expect(pages([]).pages).toEqual([]);
  });
  it.skipIf(!existsSync("/usr/bin/pdftoppm"))("print a board within 0.1 % of its width: a page rasterised and measured", async () => {
    // 12 boards of 100 pixels, black and white by turns: 3 ft each, so that there is something to measure
    const bytes = new Uint8Array(await sharp(Buffer.from(Uint8Array.from({ length: 1200 * 300 }, (_, i) => (Math.floor((i % 1200) / 100) % 2) * 255)), { raw: { width: 1200, height: 300, channels: 1 } }).png().toBuffer()); // prettier-ignore
    const paper = floor({ motif: "other", unit: feet(3), cover: { length: feet(30), height: feet(10) } });
    const plan = paperPages([paper], HO, new Map([[HASH, { type: "image/png", bytes }]]), "A4", WORDS);
    const font = (f: string): Uint8Array => readFileSync(createRequire(import.meta.url).resolve(f));
    const fonts = { label: font("@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff"), text: font("@fontsource/source-sans-3/files/source-sans-3-latin-400-normal.woff") }; // prettier-ignore
    const pdf = await toPdf([{ name: "Papers", plan }], { title: "Papers", date: new Date("2026-05-01"), fonts });
    const dir = mkdtempSync(join(tmpdir(), "cardo-papers-"));
    writeFileSync(join(dir, "p.pdf"), pdf);
    const DPI = 1200;
    const page = plan.pages[0]!;
    const [clip] = clips(plan);
    const px = (mm: number): number => (mm / 25.4) * DPI;
    // one row of dots through the middle of the boards
    const row = Math.round(px(297 - (clip!.at[1] + clip!.high / 2 + page.shift[1])));
    execFileSync("pdftoppm", ["-r", String(DPI), "-y", String(row), "-H", "1", "-x", "0", "-W", String(Math.ceil(px(210))), "-gray", "-png", "-singlefile", join(dir, "p.pdf"), join(dir, "p")]); // prettier-ignore
    const { data, info } = await sharp(join(dir, "p.png")).raw().toBuffer({ resolveWithObject: true });
    const dark = (x: number): boolean => data[x * info.channels]! < 128;
    const edges: number[] = [];
    const [from, to] = [Math.round(px(clip!.at[0] + page.shift[0])), Math.round(px(clip!.at[0] + clip!.wide + page.shift[0]))]; // prettier-ignore
    for (let x = from + 2; x < to - 2; x++) if (dark(x) !== dark(x + 1)) edges.push(x);
    // nine edges between ten boards: eight widths of a board
    const want = px(feet(3) / HO);
    const inner = edges.filter((x) => x > from + px(2) + 5 && x < to - px(2) - 5);
    expect(inner).toHaveLength(9);
    expect((inner.at(-1)! - inner[0]!) / 8 / want).toBeCloseTo(1, 3);
    expect(Math.abs((inner.at(-1)! - inner[0]!) / 8 / want - 1)).toBeLessThan(0.001);
    expect(inner[0]! - from - px(2)).toBeLessThan(want + 2);
    // the page's own bar is 150 mm, too, and the preview shows the same boxes
    expect(pageSvg(plan, page).match(/<svg x=/g)!.length).toBe(images(plan).length);
  }, 60_000); // prettier-ignore
});

describe("doors and windows in a wallpaper", () => {
  const holes = (p: PagePlan) => p.drawing.layers[0]!.entities.flatMap((e) => (e.kind === "path" && e.line === "hidden" ? [e.points] : [])); // prettier-ignore
  it("are drawn where they are, to be cut out, as large as they are", () => {
    const one = pages([floor({ cover: { length: feet(20), height: feet(9), holes: [{ x: feet(4), y: feet(3), wide: feet(3), high: feet(4) }] } })]); // prettier-ignore
    const [ring] = holes(one);
    expect(holes(one)).toHaveLength(1);
    const [clip] = clips(one);
    const at = [clip!.at[0] + 2, clip!.at[1] + 2] as const;
    expect(ring![0]![0] - at[0]).toBeCloseTo(feet(4) / HO, 6);
    expect(ring![0]![1] - at[1]).toBeCloseTo(feet(3) / HO, 6);
    expect(ring![2]![0] - ring![0]![0]).toBeCloseTo(feet(3) / HO, 6);
    expect(ring![2]![1] - ring![0]![1]).toBeCloseTo(feet(4) / HO, 6);
  });
  it("that lie over a seam are parted with the print: their areas add up", () => {
    const wide = pages([floor({ cover: { length: feet(120), height: feet(12), holes: [{ x: feet(2), y: 0, wide: feet(116), high: feet(7) }] } })]); // prettier-ignore
    const rings = holes(wide);
    expect(rings.length).toBeGreaterThan(1);
    const area = rings.reduce((n, r) => n + (r[2]![0] - r[0]![0]) * (r[2]![1] - r[0]![1]), 0);
    expect(area).toBeCloseTo((feet(116) / HO) * (feet(7) / HO), 4);
  });
});
