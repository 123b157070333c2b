import { describe, expect, it } from "vitest";
import { single, resolve, emptyFrame, type Member } from "../frame";
import { model } from "../units";
import {
  boundsOfDrawing,
  elevation,
  line,
  moved,
  num,
  outline,
  pageSvg,
  paginate,
  PAPERS,
  rectangle,
  text,
  toDxf,
  toSvg,
  VIEWS,
  type Drawing,
  type SheetText,
} from ".";

const words: SheetText = {
  job: "Job",
  title: "Title",
  scale: "HO 1:87.1",
  date: "2026-05-01",
  issue: "ABC1234",
  graphic: { length: 35, label: "10 ft" },
};
const drawing: Drawing = {
  layers: [
    {
      name: "members",
      entities: [
        outline(rectangle(0, 0, 100, 50), "outline", "timber"),
        { kind: "circle", centre: [50, 25], radius: 5, line: "thin" },
      ],
    },
    {
      name: "notes",
      entities: [
        line([0, -10], [100, -10], "hidden"),
        text([0, 60], "14′-6″ × <2> & “3” ⅛ °", 3, "middle", "label", 90),
      ],
    },
  ],
};

describe("a drawing is data", () => {
  it("writes numbers one way: no exponent, no negative zero, at most five decimals", () => {
    expect([num(1e-9), num(-1e-9), num(0.1 + 0.2), num(1234.5), num(-2.50004), num(1e6)]).toEqual([
      "0",
      "0",
      "0.3",
      "1234.5",
      "-2.50004",
      "1000000",
    ]);
  });
  it("knows its bounds and can be moved", () => {
    expect(boundsOfDrawing(drawing)).toEqual({ min: [0, -10], max: [100, 60] });
    expect(boundsOfDrawing(moved(drawing, [5, 5]))).toEqual({ min: [5, -5], max: [105, 65] });
    expect(boundsOfDrawing({ layers: [] })).toEqual({ min: [0, 0], max: [0, 0] });
  });
  it("is large enough for its words where that is asked: what stands at the right edge is not cut off", () => {
    const words = { kind: "text", at: [90, 10], text: "both square; 1 notch", size: 2, anchor: "start", font: "text" } as const; // prettier-ignore
    const d = { layers: [{ name: "list", entities: [words, { ...words, at: [0, 0] as const, text: "x" }] }] };
    const wide = (svg: string): number => Number(/width="([\d.]+)mm"/.exec(svg)![1]);
    // letters of 2 mm at 0.7 of that from 90 mm on, and both margins
    expect(wide(toSvg(d, { title: "t", margin: 5, words: true }))).toBeCloseTo(90 + words.text.length * 1.4 + 10, 3);
    expect(wide(toSvg(d, { title: "t", margin: 5 }))).toBeCloseTo(100, 3);
  });
  it("is SVG at true size, a group to a layer, with its text made harmless", () => {
    const svg = toSvg(drawing, { title: "<script>", margin: 5 });
    expect(svg).toContain('width="110mm" height="80mm" viewBox="0 0 110 80"');
    expect(svg).toContain('<g id="members"');
    expect(svg).toContain("&lt;2&gt; &amp;");
    expect(svg).not.toContain("<script>");
    expect(svg).toContain('d="M5 65L105 65L105 15L5 15Z"');
    expect(toSvg(drawing, { title: "<script>", margin: 5 })).toBe(svg);
  });
  it("is DXF with a layer to a layer, lines of their kind, and text that every reader's font has", () => {
    const dxf = toDxf(drawing);
    expect(dxf).toContain("CARDO_HIDDEN");
    expect(dxf).toContain(`14'-6" x <2> & ?3? ? %%d`);
    expect(toDxf(drawing)).toBe(dxf);
    // every character is plain ASCII
    expect([...dxf].every((c) => c.charCodeAt(0) < 127)).toBe(true);
  });
  it("goes on one page where it fits, upright or lying as takes fewer", () => {
    const one = paginate(drawing, "A4", words);
    expect([one.pages.length, one.pages[0]!.size]).toEqual([1, [210, 297]]);
    const wide = paginate(
      { layers: [{ name: "m", entities: [outline(rectangle(0, 0, 240, 100), "outline")] }] },
      "A4",
      words,
    );
    expect([wide.pages.length, wide.pages[0]!.size]).toEqual([1, [297, 210]]);
    // the window's middle shows the drawing's middle
    const { window, shift } = wide.pages[0]!;
    expect(120 + shift[0]).toBeCloseTo(window.at[0] + window.size[0] / 2, 9);
    expect(50 + shift[1]).toBeCloseTo(window.at[1] + window.size[1] / 2, 9);
  });
  it("keeps everything of a page on the page, on every paper", () => {
    for (const [id, [w, h]] of Object.entries(PAPERS)) {
      const page = paginate(drawing, id as keyof typeof PAPERS, words).pages[0]!;
      const { min, max } = boundsOfDrawing({ layers: [{ name: "f", entities: page.furniture }] });
      expect(min[0], id).toBeGreaterThanOrEqual(0);
      expect(min[1], id).toBeGreaterThanOrEqual(0);
      expect(max[0], id).toBeLessThanOrEqual(Math.max(w, h));
      expect(max[1], id).toBeLessThanOrEqual(Math.max(w, h));
      expect(pageSvg(paginate(drawing, id as keyof typeof PAPERS, words), page)).toContain("page-window");
    }
  });
  it("says the same of two plans only when they are alike", () => {
    expect(paginate(drawing, "A4", words)).toEqual(paginate(drawing, "A4", words));
    expect(paginate(drawing, "A3", words)).not.toEqual(paginate(drawing, "A4", words));
  });
});

describe("an elevation", () => {
  const stick = (id: string, x: number): Member => ({
    id,
    structure: "t",
    assembly: "t",
    role: "cap",
    letter: "C",
    kind: "strip",
    nominal: [1, 1],
    ends: [
      { kind: "square", beyond: 0 },
      { kind: "square", beyond: 0 },
    ],
    body: {
      shape: "straight",
      a: [x, -10, 0],
      b: [x, 10, 0],
      up: [0, 0, 1],
      seat: ["+", "centre"],
      components: single(model(4), model(2), "x"),
    },
  });
  const { sticks } = resolve({ ...emptyFrame, members: [stick("near", 5), stick("far", -5)] });
  it("puts what is far first, so that painting in order hides what is hidden", () => {
    expect(elevation(sticks, VIEWS.front).map((s) => s.id)).toEqual(["far", "near"]);
    const [far] = elevation(sticks, VIEWS.front);
    expect([far!.near, far!.far]).toEqual([-4, -6]);
    expect(far!.outlines[0]).toEqual(
      expect.arrayContaining(
        [
          [-10, -4],
          [10, 0],
        ].map((p) => p.map((n) => expect.closeTo(n, 9))),
      ),
    );
  });
  it("shows a cap end on from the side, and its length from the front", () => {
    const width = (view: keyof typeof VIEWS): number => {
      const xs = elevation(sticks, VIEWS[view])[0]!
        .outlines.flat()
        .map((p) => p[0]);
      return Math.max(...xs) - Math.min(...xs);
    };
    expect(width("front")).toBeCloseTo(20, 9);
    expect(width("side")).toBeCloseTo(2, 9);
    // from above the track runs to the right, so the cap lies upright
    expect(width("plan")).toBeCloseTo(2, 9);
  });
});
