import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Vec2 } from "../geometry";
import { withoutBorder } from "./border";
import { joinCollinear } from "./collinear";
import { membersAmong, type MemberSearch } from "./members";
import { strokeLength, type Stroke } from "./stroke";

const SEARCH: MemberSearch = { least: 4, most: 60, skew: 1, slack: 2 };
const stroke = (x1: number, y1: number, x2: number, y2: number, more: Partial<Stroke> = {}): Stroke => ({
  a: [x1, y1],
  b: [x2, y2],
  pen: 2,
  dashed: false,
  gaps: [],
  ...more,
});
/** A timber's four edges: from a to b along its middle, so wide. */
function timber(a: Vec2, b: Vec2, width: number, more: Partial<Stroke> = {}): Stroke[] {
  const l = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [nx, ny] = [(-(b[1] - a[1]) / l) * (width / 2), ((b[0] - a[0]) / l) * (width / 2)];
  const p: Vec2[] = [
    [a[0] + nx, a[1] + ny],
    [b[0] + nx, b[1] + ny],
    [b[0] - nx, b[1] - ny],
    [a[0] - nx, a[1] - ny],
  ];
  return p.map((q, i) => stroke(q[0], q[1], p[(i + 1) % 4]![0], p[(i + 1) % 4]![1], more));
}
const sizes = (strokes: readonly Stroke[], o = SEARCH) =>
  membersAmong(strokes, o)
    .map((m) => `${m.width.toFixed(0)}×${strokeLength(m).toFixed(0)}`)
    .sort();

describe("members among strokes", () => {
  it("are pairs of edges wherever a timber lies, with its width and its middle line", () => {
    const n = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(n(0, 180), n(6, 40), n(3, 12), n(-300, 300), (angle, width, slender, x) => {
        const [c, s] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)];
        const l = Math.max(80, width * slender);
        const found = membersAmong(timber([x, 40], [x + l * c, 40 + l * s], width), SEARCH);
        expect(found.length).toBe(1);
        expect(found[0]!.width).toBeCloseTo(width, 6);
        expect(strokeLength(found[0]!)).toBeCloseTo(l, 6);
        const mid = [0, 1].map((k) => (found[0]!.a[k]! + found[0]!.b[k]!) / 2);
        expect(mid[0]).toBeCloseTo(x + (l * c) / 2, 6);
        expect(mid[1]).toBeCloseTo(40 + (l * s) / 2, 6);
      }),
      { seed: 6, numRuns: 60 },
    );
  });
  it("are not the bay between two posts, nor what is wider or squarer than a timber", () => {
    const posts = [...timber([100, 100], [100, 300], 20), ...timber([150, 100], [150, 300], 20)];
    expect(sizes(posts)).toEqual(["20×200", "20×200"]);
    expect(sizes(timber([0, 0], [300, 0], 90))).toEqual([]);
    expect(sizes(timber([0, 0], [50, 0], 40))).toEqual([]);
  });
  it("are all of them where posts stand closer than they are wide", () => {
    const row = [0, 1, 2, 3].flatMap((i) => timber([100 + i * 36, 0], [100 + i * 36, 300], 24));
    expect(sizes(row)).toEqual(["24×300", "24×300", "24×300", "24×300"]);
  });
  it("are not dimension lines, which are drawn with a thinner pen", () => {
    const dims = [stroke(0, -30, 400, -30, { pen: 0.9 }), stroke(0, -46, 400, -46, { pen: 0.9 })];
    expect(sizes([...timber([0, 0], [400, 0], 24), ...dims])).toEqual(["24×400"]);
  });
  it("go on behind a brace that crosses them, and end at a sill that is as stout", () => {
    // a brace 14 wide goes over a post of 24: the post's edges have gaps where it does
    const edge = (x: number, [from, to]: Vec2): Stroke[] => [stroke(x, 0, x, from), stroke(x, to, x, 300)];
    const ends = [stroke(38, 0, 62, 0), stroke(38, 300, 62, 300)];
    const behind = (x: number): Vec2 => {
      const [y, half] = [185 - ((x + 60) * 65) / 220, 7 * Math.hypot(1, 65 / 220)];
      return [y - half, y + half];
    };
    const over = timber([-60, 185], [160, 120], 14);
    expect(sizes([...edge(38, behind(38)), ...edge(62, behind(62)), ...ends, ...over])).toContain("24×300");
    const through = timber([-60, 152.5], [160, 152.5], 25);
    const two = sizes([...edge(38, [140, 165]), ...edge(62, [140, 165]), ...ends, ...through]);
    expect(two).toEqual(["24×135", "24×140", "25×220"]);
  });
  it("are lapped behind when their dashes end at another, and offered as hidden", () => {
    const row = (y: number): Stroke => stroke(20, y, 180, y, { dashed: true });
    const posts = [...timber([0, -100], [0, 200], 30), ...timber([200, -100], [200, 200], 30)];
    const found = membersAmong([...posts, row(40), row(58)], SEARCH).find((m) => m.hidden)!;
    expect(found.width).toBeCloseTo(18, 6);
    // from the far side of one post to the far side of the other
    expect(strokeLength(found)).toBeCloseTo(230, 6);
  });
  it("are ranked: closed, slender and in whole inches before the rest", () => {
    const sure = timber([0, 0], [400, 0], 24);
    const open = [stroke(0, 200, 400, 200), stroke(30, 218.9, 380, 218.9)];
    const [first, second] = membersAmong([...open, ...sure], { ...SEARCH, perInch: 2 });
    expect(first!.width).toBeCloseTo(24, 6);
    expect(first!.score).toBeGreaterThan(second!.score);
  });
});

describe("the sheet's border", () => {
  const frame = timber([50, 350], [950, 350], 640);
  const block = [stroke(700, 560, 950, 560), stroke(700, 560, 700, 670)];
  const bent = [...timber([300, 300], [600, 300], 24), ...timber([450, 312], [450, 500], 24)];
  it("goes with the title block that hangs on it, and the structure stays", () => {
    const rest = withoutBorder([...frame, ...block, ...bent], 2);
    expect(rest).toEqual(bent);
  });
  it("is none where only the structure is on the sheet", () => {
    const house = [
      ...timber([0, 0], [600, 0], 20),
      ...timber([0, 300], [600, 300], 20),
      ...timber([10, 10], [10, 290], 20),
      ...timber([590, 10], [590, 290], 20),
    ];
    expect(sizes(house)).toEqual(["20×280", "20×280", "20×600", "20×600"]);
  });
});

describe("strokes in one line", () => {
  it("are joined where others pass at both ends of the gap, and the gap is remembered", () => {
    const pair = [stroke(0, 0, 100, 0), stroke(140, 0, 300, 0)];
    const passing = [stroke(100, -40, 100, 60), stroke(140, -40, 140, 60)];
    const o = { most: 40, slack: 2 };
    expect(joinCollinear(pair, o).length).toBe(2);
    const [line] = joinCollinear([...pair, ...passing], o);
    expect([line!.a, line!.b, line!.gaps]).toEqual([[0, 0], [300, 0], [[100, 140]]]);
    // not in one line, or too far
    expect(joinCollinear([stroke(0, 0, 100, 0), stroke(140, 6, 300, 6), ...passing], o).length).toBe(4);
    expect(joinCollinear([stroke(0, 0, 100, 0), stroke(400, 0, 500, 0), ...passing], o).length).toBe(4);
  });
});
