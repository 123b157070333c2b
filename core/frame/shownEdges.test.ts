import { describe, expect, it } from "vitest";
import { distance } from "../geometry";
import { model } from "../units";
import { shownEdges, type Resolved } from ".";
import { sheetFixture as sheet } from "./sheet.fixture";

const hole = { name: "w", outline: [[8, 4], [12, 4], [12, 8], [8, 8]], bevel: [0, 0, 0, 0] } as const; // prettier-ignore
const total = (s: Resolved): number => shownEdges(s).reduce((n, [a, b]) => n + distance(a, b), 0);

describe("the edges that one sees", () => {
  it("of a plain sheet are those of a box, each told by both of its faces", () => {
    expect(total(sheet({}))).toBeCloseTo(2 * (4 * 20 + 4 * 10 + 4 * 1), 9);
  });
  it("of a sheet with a window are those of the sheet and of the window, and no seam", () => {
    expect(total(sheet({ holes: [hole] }))).toBeCloseTo(4 * 20 + 4 * 10 + 4 + (8 * 4 + 4), 6);
  });
  it("with a texture have its lines as well", () => {
    const texture = { across: "v", pitch: model(2), first: model(1), turns: true } as const;
    expect(total(sheet({ holes: [hole], texture })) - total(sheet({ holes: [hole] }))).toBeCloseTo(5 * 20 - 2 * 4, 6);
  });
  it("with a bevel join the corners of both faces", () => {
    // the right edge 45° in on its outside
    const [plain, bevelled] = [sheet({ holes: [hole] }), sheet({ holes: [hole], bevel: [0, 45, 0, 0] })];
    expect(total(bevelled) - total(plain)).toBeCloseTo(-2 + 2 * (Math.SQRT2 - 1), 6);
  });
});
