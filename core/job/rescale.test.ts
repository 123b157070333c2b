import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { scaleOf } from "../units";
import { chooseStock, parseNominal } from "../lumber";
import { designOf } from "./design";
import { emptyJob, newStructure } from "./create";
import { readJobText } from "./read";
import { rescaled } from "./rescale";
import type { JobDoc } from "./document";

const [HO, O, N] = ["HO", "O", "N"].map((id) => scaleOf(id)) as [ReturnType<typeof scaleOf>, ReturnType<typeof scaleOf>, ReturnType<typeof scaleOf>]; // prettier-ignore
const demo = (file: string): JobDoc => readJobText(readFileSync(`examples/${file}`, "utf8")).doc;

describe("a job in another scale", () => {
  it.each(readdirSync("examples").filter((f) => f.endsWith(".json")))("frames in O and N, and is the first one again but for what was said: %s", (file) => {
    const first = demo(file);
    if (first.brief.scale.id !== "HO") return;
    const o = rescaled(first, O);
    const n = rescaled(o.doc, N);
    const back = rescaled(n.doc, HO);
    for (const r of [o, n, back]) {
      const d = designOf(r.doc);
      for (const s of d.structures) {
        const was = designOf(first).structures.find((x) => x.structure.id === s.structure.id)!;
        // a fault of the values is one in every scale; thin stock may add a sentence of its own, never a broken frame
        if (was.fault === undefined && s.fault !== undefined) expect(s.fault).toMatch(/stock|sheet|thick|mm/);
      }
    }
    const told = [...o.said, ...n.said, ...back.said].join("\n");
    // places, tracks and lengths come back to where they were
    back.doc.structures.forEach((s, i) => {
      const a = first.structures[i]!;
      if (a.place) for (const k of ["x", "y", "z"] as const) expect(s.place![k]).toBeCloseTo(a.place[k], 6);
      s.variants.forEach((v, j) => {
        for (const [key, value] of Object.entries(a.variants[j]!.params)) {
          if (typeof value === "number") expect(v.params[key] as number).toBeCloseTo(value, 6);
          else if (JSON.stringify(v.params[key]) !== JSON.stringify(value)) expect(told).toContain(a.name);
        }
      });
    });
    for (const [name, c] of Object.entries(first.stock.choices)) if (back.doc.stock.choices[name]?.item !== c.item) expect(told).toContain(name); // prettier-ignore
  }); // prettier-ignore
  it("cuts the same prototype: every stick's length grows by the ratio of the scales", () => {
    const doc = { ...emptyJob("x"), structures: [newStructure("trestle-bent", "b", "Bent", {})] };
    const [a, b] = [designOf(doc), designOf(rescaled(doc, O).doc)];
    const cap = (d: typeof a): number => d.pieces.find((p) => p.role === "cap")!.shape.overall;
    expect(cap(b) / cap(a)).toBeCloseTo(HO.ratio / O.ratio, 9);
    expect(b.pieces.map((p) => p.mark)).toEqual(a.pieces.map((p) => p.mark));
  });
  it("keeps what is of the hand and the spot, and lets grow what is of the model", () => {
    const doc: JobDoc = { ...emptyJob("x"), brief: { ...emptyJob("x").brief, spotLength: 300, spotDepth: 100 }, cutting: { kerf: 0.3, allowance: 0.5 }, structures: [{ ...newStructure("trestle", "t", "Trestle", { modelRadius: 600 }), place: { x: 10, y: -20, z: 5, turn: 30 } }], spot: { tracks: [{ id: "t", name: "Main", x: 1, y: 2, turn: 10, rail: 3, car: "box-40", pieces: [{ kind: "left", length: 100, radius: 600, ease: 40 }] }], things: [], cars: [] } }; // prettier-ignore
    const { doc: big, said } = rescaled(doc, O);
    const f = HO.ratio / 48;
    expect(big.cutting).toEqual(doc.cutting);
    expect(big.brief.spotLength).toBe(300);
    expect(said.join()).toMatch(/spot stays as it was measured: 300 mm × 100 mm/);
    expect(big.structures[0]!.place).toEqual({ x: expect.closeTo(10 * f, 6), y: expect.closeTo(-20 * f, 6), z: expect.closeTo(5 * f, 6), turn: 30 }); // prettier-ignore
    expect(big.structures[0]!.variants[0]!.params.modelRadius).toBeCloseTo(600 * f, 6);
    expect(big.spot!.tracks[0]!.pieces[0]).toMatchObject({ radius: expect.closeTo(600 * f, 6) as number });
    expect(rescaled(doc, HO)).toEqual({ doc, said: [] });
    // the first job is left as it was
    expect(doc.structures[0]!.place!.x).toBe(10);
  });
  it("takes stock of the same series anew, and leaves one's own to the nearest, with a word on each", () => {
    const job = emptyJob("x");
    const c = (item: string) => ({ item, plies: 1 as const, along: "thickness" as const });
    const doc = { ...job, stock: { ...job.stock, choices: { "12×12": c("inch/8x8"), "4×8": c("own/wood/1.2x2.4"), "2×6": c("scale/2x6") } } }; // prettier-ignore
    const { doc: big, said } = rescaled(doc, O);
    expect(big.stock.choices["2×6"]).toEqual(c("scale/2x6"));
    expect(big.stock.choices["4×8"]).toBeUndefined();
    // a foot is a quarter of an inch in O
    expect(big.stock.choices["12×12"]!.item).toBe("inch/16x16");
    expect(said).toHaveLength(2);
    expect(said[0]).toMatch(/^12×12 is cut from Strip wood 1\/4 × 1\/4 in, 0\.0 % off, where it was Strip wood 1\/8 × 1\/8 in/); // prettier-ignore
    expect(said[1]).toMatch(/^4×8 was cut from Own wood strip, 1\.2 × 2\.4 mm; in O 1:48 it is left to the nearest/);
    expect(chooseStock(parseNominal("4×8")!, "4×8", big.stock, O).item.series).toBe("scale");
  });
});
