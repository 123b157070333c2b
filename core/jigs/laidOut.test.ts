import { readFileSync, readdirSync } from "node:fs";
import { describe, expect, it } from "vitest";
import "../structures/all";
import { boundsWithWords, type Drawing } from "../drawing";
import { designOf, emptyJob, newStructure, readJobFile, type Design } from "../job";
import { KIND_IDS, kindOf } from "../structures";
import { jigSheets, pagesOf, type JigSheet } from ".";
import { notLaid } from "./laidOut.fixture";

/** What is laid in its place on what stands already, or set by blocks and the track board: its stick needs no outline. */
const IN_PLACE: Readonly<Record<string, readonly string[]>> = {
  "trestle-bent": [],
  trestle: ["sill", "batter post", "pile", "sway brace", "mudsill", "longitudinal brace", "girt", "stringer", "tie", "guard timber", "walkway plank", "bulkhead plank"], // prettier-ignore
  truss: [],
  building: ["plank", "collar tie", "roof board", "ridge cap", "mudsill", "longitudinal brace", "eave bracket", "purlin", "purlin post"], // prettier-ignore
  snowshed: ["purlin", "roof plank"],
  sheet: ["gutter"],
  canopy: [],
  // round ones have patterns to wrap, not places on a board
  tubes: ["tube", "wrap", "hoop"],
  platform: [],
  traced: ["purlin"],
};
const words = (d: Drawing, layers: readonly string[]): string[] =>
  d.layers
    .filter((l) => layers.includes(l.name))
    .flatMap((l) => l.entities.flatMap((e) => (e.kind === "text" ? [e.text] : [])));

/** Pairs of marks that cover one another, and words outside of the pages. */
function crowded(sheet: JigSheet): string[] {
  const circles = sheet.drawing.layers
    .filter((l) => l.name === "piece-marks")
    .flatMap((l) => l.entities.flatMap((e) => (e.kind === "circle" && e.fill === "white" ? [e] : [])));
  const over = circles.flatMap(
    (a, i) =>
    circles
      .slice(i + 1)
      .filter((b) => Math.hypot(a.centre[0] - b.centre[0], a.centre[1] - b.centre[1]) < a.radius + b.radius - 1e-6)
      .map((b) => `marks at ${a.centre.map((x) => x.toFixed(1)).join()} and ${b.centre.map((x) => x.toFixed(1)).join()}`), // prettier-ignore
  );
  const off = (["A4", "Letter"] as const).flatMap((paper) => {
    const { pages, drawing } = pagesOf(sheet, paper);
    const { min, max } = boundsWithWords(drawing);
    const edge = (k: 0 | 1, far: boolean): number[] => pages.map((p) => p.window.at[k] + (far ? p.window.size[k] : 0) - p.shift[k]); // prettier-ignore
    const out = [0, 1].some((k) => min[k]! < Math.min(...edge(k as 0, false)) || max[k]! > Math.max(...edge(k as 0, true))); // prettier-ignore
    return out ? [`words past the edge of ${paper}`] : [];
  });
  return [...over, ...off];
}
function check(d: Design): void {
  expect(d.structures.map((s) => s.fault)).toEqual(d.structures.map(() => undefined));
  const sheets = jigSheets(d, "2026-11-27");
  for (const s of sheets) {
    expect(notLaid(d, s.drawing), s.words.title).toEqual([]);
    expect(crowded(s), s.words.title).toEqual([]);
  }
  const named = new Set(sheets.flatMap((s) => words(s.drawing, ["parts-list", "piece-marks"])));
  const kinds = d.structures.map((s) => s.kind.id);
  const spared = new Set(kinds.flatMap((k) => IN_PLACE[k]!));
  expect(d.pieces.filter((p) => !named.has(p.mark) && !spared.has(p.role)).map((p) => `${p.mark} ${p.role}`)).toEqual([]); // prettier-ignore
}

describe("sheets are laid by what is on them and the cut list alone", () => {
  const EXAMPLES = readdirSync("examples").filter((f) => f.endsWith(".json"));
  for (const file of EXAMPLES)
    it(file, () => check(designOf(readJobFile(readFileSync(`examples/${file}`, "utf8")).doc)));
  for (const id of KIND_IDS)
    for (const start of kindOf(id).starts ?? [])
      it(`${id}: ${start.name}`, () =>
        check(designOf({ ...emptyJob("Start"), structures: [newStructure(id, "t", start.name, start.params)] })));
});

describe("a truss bridge's sheets (counted by hand)", () => {
  const howe = designOf({
    ...emptyJob("Bridge"),
    structures: [newStructure("truss", "t", "Bridge", { kind: "howe" })],
  });
  const sheets = jigSheets(howe, "2026-11-27");
  const titles = sheets.map((s) => s.words.title.replace("Bridge: ", ""));
  it("are the trusses once, floor, deck, laterals, and the struts of five panel points in three sorts", () =>
    // the end portals' knees lie in the plane of the end posts, to the left and to the right; the three between have none
    expect(titles).toEqual([
      "Right truss and left truss",
      "Floor beams and stringers",
      "Ties and guard timbers",
      "Lower laterals",
      "Upper laterals",
      "Strut and knees at U1",
      "Strut and knees at U2, 3 alike",
      "Strut and knees at U5",
    ]));
  it("draw eighty ties under one line with a dot on each", () => {
    const deck = sheets[2]!.drawing.layers.find((l) => l.name === "piece-marks")!.entities;
    expect(deck.filter((e) => e.kind === "circle" && e.fill === "black")).toHaveLength(80);
    expect(deck.filter((e) => e.kind === "text" && e.text === "X1")).toHaveLength(1);
  });
  it("tell a strut in the plane of the end posts as beside the knees, not as laid there", () => {
    const [u1, u2] = [sheets[5]!.drawing, sheets[6]!.drawing];
    expect(words(u1, ["parts-list"])).not.toContain("overhead strut");
    expect(words(u1, ["parts-list"]).filter((w) => w === "knee brace").length).toBeGreaterThan(0);
    expect(words(u2, ["parts-list"])).toContain("overhead strut");
  });
});
