import { describe, expect, it } from "vitest";
import { readFileSync } from "node:fs";
import { designOf, readJobFile } from "../../job";
import { trestleLayout, type TrestleValues } from "../../structures";
import { jigSheets } from "..";

const read = readJobFile(readFileSync("examples/summit-curve-trestle.json", "utf8"));
const design = designOf(read.doc);
const s = design.structures[0]!;
const l = trestleLayout(s.variant.params as unknown as TrestleValues, s.context);
const sheets = jigSheets(design, "2026-11-25");
const layer = (what: string, name: string) =>
  sheets.find((x) => x.words.title.endsWith(what))!.drawing.layers.find((x) => x.name === name)!.entities;
const words = (what: string, name: string): string[] =>
  layer(what, name).flatMap((e) => (e.kind === "text" ? [e.text] : []));

describe("jigs of a whole trestle", () => {
  it("mark on one template the foot of every bent, as deep under the cap as the bent is high", () => {
    const told = words("template, all bents", "sill-lines").join("; ");
    for (const b of l.bents) {
      expect(told).toMatch(new RegExp(`bents?[\\d, ]* ?\\b${b.number}\\b`));
      const depth = l.mm(b.values.height);
      const lines = layer("template, all bents", "sill-lines").flatMap((e) => (e.kind === "path" ? e.points : []));
      expect(Math.min(...lines.map((p) => Math.abs(p[1] + depth)))).toBeLessThan(0.02);
    }
  });
  it("turn the track board over: what is on the left of the track lies on the right", () => {
    const numbers = layer("track board, upside down", "bent-lines").flatMap((e) =>
      e.kind === "text" && /^\d+$/.test(e.text) ? [{ n: Number(e.text), at: e.at }] : [],
    );
    expect(numbers.map((x) => x.n)).toEqual(l.bents.map((b) => b.number));
    // a bent's number stands past its left end, so on the board below its centre
    for (const { n, at } of numbers) expect(at[1]).toBeLessThan(-l.bents[n - 1]!.deck[1]);
  });
  it("list every footing, and give spacer blocks that differ inside and outside the curve", () => {
    const rows = words("ground and footings", "footing-list").filter((w) => /^[LR]\d$/.test(w));
    expect(rows).toHaveLength(l.bents.length * 4);
    const blocks = words("spacer blocks", "spacer-blocks").join(" ");
    expect(blocks).toMatch(/2–3 outer/);
    expect(blocks).toMatch(/2–3 inner/);
    // by hand: chord at the pack's radius less the cap; a curve of 762 mm to the right, bays of 15 ft
    const y = Math.abs(l.packs[0]!.y);
    for (const r of [762 - y, 762 + y]) {
      const clear = 2 * r * Math.sin(52.5 / 762 / 2) - l.timbers.cap.w;
      const told = [...blocks.matchAll(/(\d+\.\d\d) mm/g)].map((m) => Number(m[1]));
      expect(Math.min(...told.map((t) => Math.abs(t - clear)))).toBeLessThan(0.03);
    }
  });
});
