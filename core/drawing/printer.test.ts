import { execFileSync } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { correctionWords, measured, rectangle, solidShape, text, toPdf, type PagePlan, type Printer } from ".";

const plain: Printer = { name: "Hall", across: 1, up: 1 };
const require = createRequire(import.meta.url);
const font = (name: string): Uint8Array => readFileSync(require.resolve(name));
const fonts = {
  label: font("@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff"),
  text: font("@fontsource/source-sans-3/files/source-sans-3-latin-400-normal.woff"),
};
const page = (side: number): PagePlan => ({
  drawing: { layers: [] },
  columns: 1,
  rows: 1,
  pages: [{ size: [120, 120], window: { at: [0, 0], size: [120, 120] }, shift: [0, 0], column: 0, row: 0, furniture: [solidShape(rectangle(10, 10, side, side), "black"), text([2, 2], "x", 2)] }], // prettier-ignore
});
const pdf = (correct?: Pick<Printer, "across" | "up">) => toPdf([{ name: "Bar", plan: page(100) }], { title: "Bar", date: new Date("2026-05-01T00:00:00Z"), fonts, ...(correct ? { correct } : {}) }); // prettier-ignore

describe("a printer's correction", () => {
  it("is the bar that was wanted by the one that was measured, each way for itself, and adds up", () => {
    const once = measured(measured(plain, "across", 151.05), "up", 149.4);
    expect([once.across, once.up]).toEqual([150 / 151.05, 150 / 149.4]);
    expect(correctionWords(once)).toBe("−0.70 % across, +0.40 % up");
    expect(correctionWords(plain)).toBe("none");
    // measured again on a page that was corrected: a true bar changes nothing
    expect(measured(once, "across", 150).across).toBeCloseTo(once.across, 12);
    expect(measured(once, "across", 150.15).across).toBeCloseTo((150 / 151.05) * (150 / 150.15), 12);
  });
  it.each([0, 142, 158, NaN, -150])("refuses a bar of %d mm", (mm) => expect(() => measured(plain, "up", mm)).toThrow(/for a bar of 150 mm\. Print at 100 %.*it may be from 142\.5 to 157\.5 mm\./)); // prettier-ignore
  it("leaves a page as it is where no printer is chosen, byte for byte", async () => {
    const bytes = Buffer.from(await pdf());
    expect(bytes.equals(Buffer.from(await pdf()))).toBe(true);
    expect(bytes.equals(Buffer.from(await pdf({ across: 1.01, up: 1 })))).toBe(false);
  });
  it.skipIf(!existsSync("/usr/bin/pdftoppm"))(
    "brings 100 mm out as 100.0 ± 0.05 mm on a printer that is off by 0.7 % and −0.4 %",
    async () => {
      // the printer that is none: it draws everything so much larger
      const off = [1.007, 0.996] as const;
      const DOTS = 30;
      const dir = mkdtempSync(join(tmpdir(), "cardo-printer-"));
      const comesOut = async (correct?: Pick<Printer, "across" | "up">): Promise<readonly [number, number]> => {
        writeFileSync(join(dir, "a.pdf"), await pdf(correct));
        execFileSync("pdftoppm", ["-r", String(25.4 * DOTS), "-gray", "-png", "-singlefile", join(dir, "a.pdf"), join(dir, "a")]); // prettier-ignore
        const { data, info } = await sharp(join(dir, "a.png"), { limitInputPixels: false }).raw().toBuffer({ resolveWithObject: true }); // prettier-ignore
        const dark = (x: number, y: number): boolean => data[(y * info.width + x) * info.channels]! < 128;
        const middle = [Math.floor(info.width / 2), Math.floor(info.height / 2)] as const;
        const run = (at: (i: number) => boolean, n: number): number => Array.from({ length: n }, (_, i) => at(i)).filter(Boolean).length; // prettier-ignore
        return [(run((i) => dark(i, middle[1]), info.width) / DOTS) * off[0], (run((i) => dark(middle[0], i), info.height) / DOTS) * off[1]]; // prettier-ignore
      };
      const first = await comesOut();
      expect(first.map((x) => x.toFixed(1))).toEqual(["100.7", "99.6"]);
      // its bars are measured, and the next page is printed with that
      const known = measured(measured(plain, "across", first[0] * 1.5), "up", first[1] * 1.5);
      for (const side of await comesOut(known)) expect(Math.abs(side - 100)).toBeLessThan(0.05);
    },
  );
});
