import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { polygonArea } from "../geometry";
import { designOf, readJobText } from "../job";
import { jigSheets, jigSvg } from ".";

const doc = readJobText(readFileSync("examples/agents-cottage.json", "utf8")).doc;
const sheet = (d: typeof doc) => jigSheets(designOf(d), "2026-11-28").find((s) => s.words.title === "Cottage: card mock-up")!; // prettier-ignore

describe("a card mock-up in colours of paper", () => {
  it("has its walls and slopes filled with what was chosen, each face once, and nothing of it where nothing was", () => {
    const { colours } = doc.spot!.photo!;
    const faces = sheet(doc).drawing.layers.find((l) => l.name === "paper")!.entities.flatMap((e) => (e.kind === "path" ? [e] : [])); // prettier-ignore
    const of = (fill: string) => faces.filter((f) => f.fill === fill);
    expect(of(colours.walls)).toHaveLength(4);
    expect(of(colours.roof)).toHaveLength(2);
    expect(faces).toHaveLength(6);
    // the front and the back are 27 ft long; the faces together are what is cut less the tabs
    const area = of(colours.walls).reduce((n, f) => n + Math.abs(polygonArea(f.points)), 0);
    const { length, width, wallHeight } = doc.structures[0]!.variants[0]!.params as Record<string, number>;
    const box = (2 * (length! + width!) * wallHeight!) / 87.0857 ** 2;
    expect(area).toBeGreaterThan(box * 0.95);
    expect(area).toBeLessThan(box * 1.6);
    const { photo: _, ...spot } = doc.spot!;
    expect(sheet({ ...doc, spot }).drawing.layers.map((l) => l.name)).not.toContain("paper");
  });
  it("comes out of a renderer in its colours", async () => {
    const dir = mkdtempSync(join(tmpdir(), "cardo-card-"));
    const own = { ...doc, spot: { ...doc.spot!, photo: { ...doc.spot!.photo!, colours: { walls: "#00c000", roof: "#c00000", rest: "#0000c0" } } } }; // prettier-ignore
    writeFileSync(join(dir, "card.svg"), jigSvg(sheet(own)));
    execFileSync("rsvg-convert", ["-w", "400", "-o", join(dir, "card.png"), join(dir, "card.svg")]);
    const { data } = await sharp(join(dir, "card.png")).flatten().raw().toBuffer({ resolveWithObject: true });
    const count = (r: number, g: number): number => { let n = 0; for (let i = 0; i < data.length; i += 3) if (data[i] === r && data[i + 1] === g && data[i + 2] === 0) n++; return n; }; // prettier-ignore
    const faces = sheet(own).drawing.layers.find((l) => l.name === "paper")!.entities.flatMap((e) => (e.kind === "path" ? [e] : [])); // prettier-ignore
    const area = (fill: string): number => faces.filter((f) => f.fill === fill).reduce((n, f) => n + Math.abs(polygonArea(f.points)), 0); // prettier-ignore
    // openings are grey and words black on them: of walls and roof as much is seen as their areas say, a little less
    expect(count(0, 192) / count(192, 0)).toBeLessThan(area("#00c000") / area("#c00000"));
    expect(count(0, 192) / count(192, 0)).toBeGreaterThan((0.6 * area("#00c000")) / area("#c00000"));
  });
});
