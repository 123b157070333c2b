import { describe, expect, it } from "vitest";
import type { Drawing, Entity } from "../../drawing";
import { polygonArea, type Vec2 } from "../../geometry";
import { fullSawn } from "../../structures/sound.fixture";
import { defaultsOf } from "../../structures/spec";
import { sheetLayout } from "../../structures/sheet/layout";
import { sheetSpec, type SheetValues } from "../../structures/sheet/parameters";
import { feet, scaleOf } from "../../units";
import { cardNet } from "../cardNet";
import { sheetMockup } from "./sheetMockup";

/** 24 × 16 ft in HO: 84 × 56 mm, 31.5 high, 6 in 12. */
const HO = fullSawn(scaleOf("HO"));
const mockup = (over: object = {}): Drawing => cardNet(sheetMockup(sheetLayout({ ...defaultsOf(sheetSpec), ...over } as unknown as SheetValues, HO))); // prettier-ignore
const outlines = (d: Drawing, style: "outline" | "thin"): (readonly Vec2[])[] => d.layers.find((l) => l.name === "card")!.entities.flatMap((e: Entity) => (e.kind === "path" && e.closed && e.line === style ? [e.points] : [])); // prettier-ignore
const area = (d: Drawing): number[] => outlines(d, "outline").map((o) => Math.abs(polygonArea(o)));
const folds = (d: Drawing): number => d.layers.find((l) => l.name === "folds")!.entities.length;
const window = { wall: "back", kind: "window", at: feet(8), width: feet(3), height: feet(5), sill: feet(2.5), mount: "inside", lap: 0, style: "hung", across: 2, up: 2, shutters: "none" }; // prettier-ignore

describe("the card mock-up of a building of sheet", () => {
  it("is four walls in a strip with three folds, and two slopes", () => {
    const d = mockup();
    const K = Math.hypot(1, 0.5);
    // walls by plain reckoning; slopes a foot over at the eave and at both ends
    const end = 56 * 31.5 + (56 * 14) / 2;
    expect(area(d)).toEqual([84 * 31.5, end, 84 * 31.5, end, 91 * 31.5 * K, 91 * 31.5 * K].map((x) => expect.closeTo(x, 6))); // prettier-ignore
    expect(folds(d)).toBe(3);
    // a glue tab for the last corner, one on each eave, one along the ridge
    expect(outlines(d, "thin")).toHaveLength(4);
  });
  it("of a shed is higher at the back, with one slope", () => {
    const [front, right, back, left, slope] = area(mockup({ roof: "shed" }));
    expect(front).toBeCloseTo(84 * 31.5, 6);
    expect(back).toBeCloseTo(84 * (31.5 + 28), 6);
    expect(right).toBeCloseTo(56 * (31.5 + 14), 6);
    expect(left).toBeCloseTo(right!, 6);
    expect(slope).toBeCloseTo(91 * (56 + 7) * Math.hypot(1, 0.5), 6);
  });
  it("of a flat roof has it as it lies inside the walls, with tabs all round", () => {
    const d = mockup({ roof: "flat" });
    const stack = 0.1 * 25.4;
    expect(area(d).at(-1)).toBeCloseTo((84 - 2 * stack) * (56 - 2 * stack), 6);
    expect(area(d)[0]).toBeCloseTo(84 * (31.5 + 7), 6);
    expect(outlines(d, "thin")).toHaveLength(5);
    expect(area(mockup({ roof: "none" }))).toHaveLength(4);
  });
  it("has its openings printed where they are seen from outside, and walls that run down as far as they do", () => {
    const d = mockup({ openings: [window], footBack: feet(2) });
    const printed = d.layers.find((l) => l.name === "printed")!.entities.flatMap((e) => (e.kind === "path" ? [e.points] : [])); // prettier-ignore
    expect(printed).toHaveLength(1);
    const back = outlines(d, "outline")[2]!;
    const left = Math.min(...back.map((p) => p[0]));
    // a fit of 0.1 mm round the casting
    expect(Math.min(...printed[0]!.map((p) => p[0])) - left).toBeCloseTo(28 - 5.25 - 0.1, 6);
    expect(Math.max(...back.map((p) => p[1])) - Math.min(...back.map((p) => p[1]))).toBeCloseTo(31.5 + 7, 6);
  });
  it("names each wall beside its doors, not on one", () => {
    const door = { ...window, wall: "front", kind: "door", at: feet(12), sill: 0, height: feet(7) };
    const words = mockup({ openings: [door] }).layers.find((l) => l.name === "printed")!.entities.flatMap((e) => (e.kind === "text" && e.text.startsWith("front:") ? [e.at[0] - 8] : [])); // prettier-ignore
    // left of it are 42 − 5.25 − 0.1 mm free
    expect(words).toEqual([expect.closeTo((42 - 5.35) / 2, 6)]);
  });
  it("stands clear of itself: no row lies on another", () => {
    const rows = outlines(mockup({ footBack: feet(3) }), "outline").map((o) => [Math.min(...o.map((p) => p[1])), Math.max(...o.map((p) => p[1]))] as const); // prettier-ignore
    const walls = Math.min(...rows.slice(0, 4).map((r) => r[0]));
    expect(rows[4]![1]).toBeLessThan(walls);
    expect(rows[5]![1]).toBeLessThan(rows[4]![0]);
  });
});
