import { readFileSync, readdirSync } from "node:fs";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { volumeOf, type Solid } from "../geometry";
import { cutTable, designOf, readJobFile, type Design } from "../job";
import { KIND_IDS } from "../structures";
import { cutAsListed, differenceOf } from "./virtualBench";
import { jobFromSpec, notAsListed } from "./virtualBench.fixture";

const EXAMPLES = "examples";
const load = (file: string): Design => designOf(readJobFile(readFileSync(`${EXAMPLES}/${file}`, "utf8")).doc);
type Row = Record<string, string | number>;
const rowsOf = (d: Design): Row[] => {
  const { columns, rows } = cutTable(d);
  return rows.map((cells) => Object.fromEntries(columns.map((c, k) => [c, cells[k]!])));
};
const volume = (parts: readonly Solid[]): number => parts.reduce((v, p) => v + volumeOf(p), 0);
/** A strip as its row would be, cut square at both ends. */
const strip = (more: Row = {}): Row => ({
  form: "strip",
  thickness_mm: 2,
  width_mm: 6,
  tip_to_tip_mm: 40,
  end_a_lies_on: "face",
  end_a_mitre_deg: 0,
  end_a_bevel_deg: 0,
  end_a_at_mm: 0,
  end_a_more: "",
  end_b_lies_on: "face",
  end_b_mitre_deg: 0,
  end_b_bevel_deg: 0,
  end_b_at_mm: 40,
  end_b_more: "",
  lengthwise_cuts: "",
  notches_and_holes: "",
  outline: "",
  ...more,
});

describe("the virtual bench cuts a row as a person would (sizes reckoned by hand)", () => {
  it("square: 40 × 6 × 2", () => expect(volume(cutAsListed(strip()))).toBeCloseTo(480, 9));
  it("a mitre at the far end shortens the right-hand side, which is the near edge, by 6 tan 30", () => {
    const at = 40 - 3 * Math.tan(Math.PI / 6);
    const [s] = cutAsListed(strip({ end_b_mitre_deg: 30, end_b_at_mm: at }));
    const corners = s!.faces.flatMap((f) => f.corners);
    const longest = (y: number): number => Math.max(...corners.filter((p) => Math.abs(p[1] - y) < 1e-9).map((p) => p[0])); // prettier-ignore
    expect(longest(6)).toBeCloseTo(40, 9);
    expect(longest(0)).toBeCloseTo(40 - 6 * Math.tan(Math.PI / 6), 9);
  });
  it("a mitre at the start shortens the far edge, its right-hand side", () => {
    const [s] = cutAsListed(strip({ end_a_mitre_deg: 30, end_a_at_mm: 3 * Math.tan(Math.PI / 6) }));
    const corners = s!.faces.flatMap((f) => f.corners);
    const first = (y: number): number => Math.min(...corners.filter((p) => Math.abs(p[1] - y) < 1e-9).map((p) => p[0])); // prettier-ignore
    expect(first(0)).toBeCloseTo(0, 9);
    expect(first(6)).toBeCloseTo(6 * Math.tan(Math.PI / 6), 9);
  });
  it("a bevel shortens the upper face", () => {
    const [s] = cutAsListed(strip({ end_b_bevel_deg: 45, end_b_at_mm: 39 }));
    const top = s!.faces.flatMap((f) => f.corners).filter((p) => Math.abs(p[2] - 2) < 1e-9);
    expect(Math.max(...top.map((p) => p[0]))).toBeCloseTo(38, 9);
  });
  it("rolled towards you onto its edge, a bevel shortens what was the far edge", () => {
    const [s] = cutAsListed(strip({ end_b_lies_on: "edge", end_b_bevel_deg: 45, end_b_at_mm: 37 }));
    const corners = s!.faces.flatMap((f) => f.corners);
    const longest = (y: number): number => Math.max(...corners.filter((p) => Math.abs(p[1] - y) < 1e-9).map((p) => p[0])); // prettier-ignore
    expect(longest(0)).toBeCloseTo(40, 9);
    expect(longest(6)).toBeCloseTo(34, 9);
  });
  it("a taper from 6 to 4 keeps the near part", () =>
    expect(volume(cutAsListed(strip({ lengthwise_cuts: "face 6 to 4 bevel 0 keep near" })))).toBeCloseTo(400, 6));
  it("a rip at 1.5 keeps the far part", () =>
    expect(volume(cutAsListed(strip({ lengthwise_cuts: "face 1.5 to 1.5 bevel 0 keep far" })))).toBeCloseTo(360, 6));
  it("a notch 3 long, 2 into the near edge, right through", () => {
    const notch = "face from 0 to 2: 10/0 13/0 13/2 10/2";
    expect(volume(cutAsListed(strip({ notches_and_holes: notch })))).toBeCloseTo(480 - 12, 6);
  });
  it("in an inch list reads inches", () => {
    const mm = strip();
    const inch = Object.fromEntries(
      Object.entries(mm).map(([k, v]) => (k.endsWith("_mm") ? [k.replace(/_mm$/, "_in"), Number(v) / 25.4] : [k, v])),
    );
    expect(volume(cutAsListed(inch))).toBeCloseTo(480, 6);
  });
  it("says which words it cannot read", () => {
    expect(() => cutAsListed(strip({ lengthwise_cuts: "somewhere" }))).toThrow("“somewhere” cannot be read as a cut.");
    expect(() => cutAsListed({ thickness_mm: 1 })).toThrow("The row has no column “width”.");
  });
});

describe("what the cut list alone makes is the frame, within 0.02 mm; one mark is one piece; mirror images are such", () => {
  const files = readdirSync(EXAMPLES).filter((f) => f.endsWith(".json"));
  for (const file of files) it(file, () => expect(notAsListed(load(file))).toEqual([]));
  it("also where the list reads inches", () => {
    const { doc } = readJobFile(readFileSync(`${EXAMPLES}/tool-house-framed.json`, "utf8"));
    const units = { ...doc.brief.units, model: "in" as const };
    expect(notAsListed(designOf({ ...doc, brief: { ...doc.brief, units } }))).toEqual([]);
  });
  for (const id of KIND_IDS.filter((k) => k !== "traced"))
    it(`${id} with values from its spec`, { timeout: 120_000 }, () => {
      let framed = 0;
      for (let seed = 4_400_000; framed < (id === "trestle" ? 2 : 5); seed++) {
        const d = jobFromSpec(id, seed);
        if (!d) continue;
        framed++;
        expect(notAsListed(d), `${id} ${seed}`).toEqual([]);
      }
    });

  it("stringers that a cap would mark by less than a hundredth have no notch there", { timeout: 120_000 }, () => {
    for (const seed of [4_100_111, 4_100_436]) {
      const d = jobFromSpec("trestle", seed)!;
      const deep = rowsOf(d).filter((r) => r.piece === "stringer").map((r) => String(r.notches_and_holes)); // prettier-ignore
      expect(deep.length, String(seed)).toBeGreaterThan(1);
      for (const words of deep) expect(words, String(seed)).not.toMatch(/^(?=.*from (\S+) to \1:)/);
      expect(notAsListed(d), String(seed)).toEqual([]);
    }
  });
});

describe("every number that makes a piece counts", () => {
  const noticed = (row: Row, column: string, words: string): boolean =>
    differenceOf(cutAsListed(row), cutAsListed({ ...row, [column]: words })) > 0.02;
  /** The cell with each of its numbers moved, one at a time. */
  const moved = (text: string, by: number): string[] =>
    [...text.matchAll(/-?\d+(\.\d+)?/g)].map(
      (m) => `${text.slice(0, m.index)}${Number(m[0]) + by}${text.slice(m.index + m[0].length)}`,
    );
  for (const file of ["tool-house-framed.json", "summit-snowshed.json", "gulch-trestle.json"])
    it(file, { timeout: 120_000 }, () => {
      let rips = 0;
      for (const row of rowsOf(load(file))) {
        if (row.outline !== "") continue;
        for (const end of ["a", "b"]) {
          if (row[`end_${end}_more`] !== "") continue;
          for (const [column, by] of [["mitre_deg", 25], ["bevel_deg", 25], ["at_mm", 0.4]] as const) // prettier-ignore
            expect(noticed(row, `end_${end}_${column}`, `${Number(row[`end_${end}_${column}`]) + by}`), `${row.mark} ${end} ${column}`).toBe(true); // prettier-ignore
        }
        const cuts = String(row.lengthwise_cuts);
        if (cuts && !cuts.includes(";")) {
          rips++;
          for (const words of moved(cuts, 0.4).slice(0, 2))
            expect(noticed(row, "lengthwise_cuts", words), `${row.mark} ${words}`).toBe(true);
        }
        const notches = String(row.notches_and_holes);
        if (notches)
          expect(moved(notches, 0.4).filter((words) => noticed(row, "notches_and_holes", words)).length, `${row.mark}`).toBeGreaterThan(2); // prettier-ignore
      }
      if (file.startsWith("summit")) expect(rips).toBeGreaterThan(3);
    });
});
