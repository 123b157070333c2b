import { describe, expect, it } from "vitest";
import { toDxf, toSvg } from "../drawing";
import type { Vec2 } from "../geometry";
import { readDxf, readSvg, type SheetLines } from "../sources";
import { inkStrokes, membersAmong, Stopped, vectorStrokes } from ".";
import { tally, type Tally } from "./score.fixture";
import { MEASURING_SEEDS, membersOn, scanOf, sheetOf } from "./sheets.fixture";

const sum = (list: readonly Tally[]): Tally =>
  list.reduce((s, t) => ({
    members: s.members + t.members,
    offered: s.offered + t.offered,
    found: s.found + t.found,
    right: s.right + t.right,
  }));
/** Scans take seconds each: two sheets here, as many as one likes in bench/foundLines.ts. */
const SCANNED = MEASURING_SEEDS.filter((_, i) => i % 4 === 0);
/** Pixels to the prototype inch of a sheet, from its scale: model mm of a foot in HO are 3.5. */
const perInch = (k: number, perMm: number): number => (perMm * k * 3.5) / 12;

describe("members found on scans that were not used for tuning", () => {
  it.each(["clean", "tilted", "noisy"] as const)(
    "%s: nine of ten members offered, nine of ten offers members",
    async (how) => {
      const tallies: Tally[] = [];
      for (const seed of SCANNED) {
        const sheet = sheetOf(seed);
        const scan = await scanOf(sheet, how, seed);
        const inch = perInch(sheet.k, scan.perMm);
        const offers = membersAmong(await inkStrokes(scan.image), {
          least: 4,
          most: 26 * inch,
          skew: 1,
          slack: 2.5,
          perInch: inch,
        });
        tallies.push(tally(offers, membersOn(sheet, scan.toPixel, scan.perMm)));
      }
      const t = sum(tallies);
      expect(t.found / t.members).toBeGreaterThanOrEqual(0.9);
      expect(t.right / t.offered).toBeGreaterThanOrEqual(0.9);
    },
    120_000,
  );
  it("stops when it is told to", async () => {
    const { image } = await scanOf(sheetOf(MEASURING_SEEDS[1]), "noisy", 1);
    await expect(inkStrokes(image, (done) => done < 0.3)).rejects.toThrow(Stopped);
  });
});

describe("members found on vector sheets", () => {
  const readers: readonly (readonly [
    string,
    (seed: number) => { lines: SheetLines; at: (p: Vec2) => Vec2; k: number },
  ])[] = [
    [
      "SVG",
      (seed) => {
        const sheet = sheetOf(seed);
        return {
          lines: readSvg(toSvg(sheet.drawing, { title: "s", margin: 0 })),
          at: ([x, y]) => [x, sheet.size[1] - y],
          k: sheet.k,
        };
      },
    ],
    [
      "DXF",
      (seed) => {
        const sheet = sheetOf(seed);
        const lines = readDxf(toDxf(sheet.drawing));
        const m = (lines.width - sheet.size[0]) / 2;
        return { lines, at: ([x, y]) => [x + m, sheet.size[1] + (lines.height - sheet.size[1]) / 2 - y], k: sheet.k };
      },
    ],
  ];
  it.each(readers)("%s: at least 98 of 100 members offered, 95 of 100 offers members, exactly", (_, read) => {
    const tallies = MEASURING_SEEDS.map((seed) => {
      const { lines, at, k } = read(seed);
      const inch = perInch(k, 1);
      const offers = membersAmong(vectorStrokes(lines, new Set()), {
        least: inch,
        most: 26 * inch,
        skew: 0.1,
        slack: 0.05,
        perInch: inch,
      });
      return tally(offers, membersOn(sheetOf(seed), at, 1), 1e-3);
    });
    const t = sum(tallies);
    expect(t.found / t.members).toBeGreaterThanOrEqual(0.98);
    expect(t.right / t.offered).toBeGreaterThanOrEqual(0.95);
  });
});
