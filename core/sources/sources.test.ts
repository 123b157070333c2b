import { PDFDocument, rgb } from "pdf-lib";
import * as pdfjs from "pdfjs-dist/legacy/build/pdf.mjs";
import { describe, expect, it } from "vitest";
import { line, outline, text, toDxf, toSvg, type Drawing } from "../drawing";
import {
  MOST_ENTITIES,
  checkPdf,
  readDxf,
  readPdfPage,
  readSheetLines,
  readSvg,
  type SheetEntity,
  type SheetLines,
} from ".";

const paths = (s: SheetLines) =>
  s.entities.filter((e): e is Extract<SheetEntity, { kind: "path" }> => e.kind === "path");
const texts = (s: SheetLines) =>
  s.entities.filter((e): e is Extract<SheetEntity, { kind: "text" }> => e.kind === "text");
/** Sizes of a path's box. */
const box = (e: { points: readonly (readonly [number, number])[] }) =>
  ([0, 1] as const).map((k) =>
    Number((Math.max(...e.points.map((p) => p[k])) - Math.min(...e.points.map((p) => p[k]))).toFixed(9)),
  );

const DRAWING: Drawing = {
  layers: [
    {
      name: "frame",
      entities: [
        outline(
          [
            [10, 20],
            [70, 20],
            [70, 24],
            [10, 24],
          ],
          "outline",
        ),
        line([0, 0], [90, 50], "hidden"),
      ],
    },
    { name: "words", entities: [text([5, 40], "SILL 10 × 12", 3)] },
  ],
};

describe("SVG", () => {
  it("comes back from our own writer to the digit, with layers, pen, dashes and paper size", () => {
    const s = readSvg(toSvg(DRAWING, { title: "t", margin: 5 }));
    expect([s.width, s.height, s.unit, s.of]).toEqual([100, 60, 1, "paper"]);
    expect(s.layers).toEqual(["frame", "words"]);
    const [frame, dashed] = paths(s);
    expect(frame!.points).toEqual([
      [15, 35],
      [75, 35],
      [75, 31],
      [15, 31],
    ]);
    expect([frame!.closed, frame!.pen, dashed!.dash]).toEqual([true, 0.35, "dashed"]);
    expect(texts(s)[0]!.text).toBe("SILL 10 × 12");
  });
  it("follows transforms, shapes, curves and hidden parts", () => {
    const s = readSvg(`<svg xmlns="http://www.w3.org/2000/svg" width="4in" viewBox="0 0 400 200">
      <defs><rect id="no" width="9" height="9"/></defs>
      <g id="a" transform="translate(10 20) rotate(90)" stroke="black" stroke-width="2"><line x1="0" y1="0" x2="50" y2="0"/>
      <g style="display:none"><rect width="5" height="5"/></g></g>
      <circle cx="50" cy="60" r="7"/><path d="M0 0h30v10c0 10 -10 10 -10 0z m 50 0 l 9 9" stroke="red"/>
      <polyline points="1,2 3,4 5,2" fill="none" stroke="blue"/></svg>`);
    expect(s.unit).toBeCloseTo(25.4 / 100, 12);
    const [turned, curve, rest, poly] = paths(s);
    expect(turned!.points).toEqual([
      [10, 20],
      [10, 70],
    ]);
    expect(s.layers).toEqual(["a", "drawing"]);
    expect([curve!.curved, curve!.closed, rest!.curved]).toEqual([true, true, false]);
    expect(rest!.points).toEqual([
      [50, 0],
      [59, 9],
    ]);
    expect(poly!.points.length).toBe(3);
    const used =
      readSvg(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 90 90"><defs><g id="p"><path d="M0 0h4"/></g></defs>
      <use href="#p" x="10" y="20"/><g transform="scale(2)"><use href="#p"/></g></svg>`);
    expect(paths(used).map((p) => p.points)).toEqual([
      [
        [10, 20],
        [14, 20],
      ],
      [
        [0, 0],
        [8, 0],
      ],
    ]);
    expect(s.entities.filter((e) => e.kind === "circle").length).toBe(1);
  });
  const svg = (inside: string): string => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">${inside}</svg>`;
  it.each([
    [svg(`<script>alert(1)</script>`), "holds a <script>"],
    [svg(`<rect width="1" height="1" onclick="x()"/>`), "holds an event handler"],
    [svg(`<image href="http://x/y.png"/>`), "a link to something outside it"],
    [svg(`<foreignObject/>`), "holds a <foreignobject>"],
    [`<!DOCTYPE svg [<!ENTITY a "aaaa">]>${svg("&a;")}`, "declares entities of its own"],
    [svg(`<g>`), /^The SVG breaks off or is misspelt in line 1, column \d+\. Save it again\.$/],
    [svg(""), "has no lines that can be read here"],
    [`<html></html>`, "begins with <html>"],
    [svg(`<path d="M0 0${"h1v1".repeat(250_000)}" stroke="black"/>`), "points"],
    [svg("<g>".repeat(300) + "</g>".repeat(300)), "more than 200 deep"],
    // things used within things used: ten each, eight deep
    [
      svg(
        `<path id="u0" d="M0 0h1"/>` +
          [1, 2, 3, 4, 5, 6, 7].map((i) => `<g id="u${i}">${`<use href="#u${i - 1}"/>`.repeat(10)}</g>`).join(""),
      ),
      "more than 60,000 lines",
    ],
  ])("refuses in a sentence, case %#", (file, why) => {
    expect(() => readSvg(file)).toThrow(why);
    expect(() => readSvg(file)).toThrow(/\.$/);
  });
});

describe("DXF", () => {
  it("comes back from our own writer to the digit, in mm", () => {
    const s = readDxf(toDxf(DRAWING));
    expect([s.unit, s.of]).toEqual([1, "real"]);
    const frame = paths(s).find((p) => p.closed)!;
    expect(box(frame)).toEqual([60, 4]);
    expect(s.layers[frame.layer]).toBe("frame");
    expect(paths(s).find((p) => !p.closed)!.dash).toBe("dashed");
    expect(texts(s)[0]!.text).toContain("SILL 10 x 12");
  });
  const pairs = (...v: (string | number)[]): string => v.map(String).join("\n") + "\n";
  const dxf = (entities: string, units = 1, blocks = ""): string =>
    pairs(
      0,
      "SECTION",
      2,
      "HEADER",
      9,
      "$INSUNITS",
      70,
      units,
      0,
      "ENDSEC",
      0,
      "SECTION",
      2,
      "TABLES",
      0,
      "TABLE",
      2,
      "LAYER",
      70,
      2,
    ) +
    pairs(
      0,
      "LAYER",
      2,
      "ON",
      70,
      0,
      62,
      7,
      6,
      "CONTINUOUS",
      0,
      "LAYER",
      2,
      "OFF",
      70,
      0,
      62,
      -7,
      6,
      "CONTINUOUS",
      0,
      "ENDTAB",
      0,
      "ENDSEC",
    ) +
    pairs(0, "SECTION", 2, "BLOCKS") +
    blocks +
    pairs(0, "ENDSEC", 0, "SECTION", 2, "ENTITIES") +
    entities +
    pairs(0, "ENDSEC", 0, "EOF");
  const seg = (layer: string, x1: number, y1: number, x2: number, y2: number): string =>
    pairs(0, "LINE", 8, layer, 10, x1, 20, y1, 30, 0, 11, x2, 21, y2, 31, 0);
  it("knows units, layers that are off, arcs, bulges and blocks within blocks", () => {
    const block =
      pairs(0, "BLOCK", 8, "ON", 2, "POST", 70, 0, 10, 1, 20, 0, 30, 0) + seg("0", 1, 0, 1, 8) + pairs(0, "ENDBLK");
    const bulge = pairs(0, "LWPOLYLINE", 8, "ON", 90, 2, 70, 0, 10, 0, 20, 0, 42, 1, 10, 4, 20, 0);
    const arc = pairs(0, "ARC", 8, "ON", 10, 0, 20, 0, 30, 0, 40, 5, 50, 0, 51, 90);
    const insert = pairs(0, "INSERT", 8, "ON", 2, "POST", 10, 20, 20, 0, 30, 0, 41, 2, 42, 2, 43, 1, 50, 90);
    const s = readDxf(dxf(seg("OFF", 0, 0, 9, 9) + bulge + arc + insert, 2, block));
    expect(s.unit).toBe(304.8);
    expect(s.off.map((i) => s.layers[i])).toEqual(["OFF"]);
    const [off, half, quarter, post] = paths(s);
    expect(box(off!)).toEqual([9, 9]);
    // a bulge of 1 is half a circle on its chord
    expect(box(half!)[0]).toBeCloseTo(4, 9);
    expect(box(half!)[1]).toBeCloseTo(2, 6);
    expect(box(quarter!)).toEqual([5, 5]);
    expect(box(post!)[0]).toBeCloseTo(16, 9);
    expect(s.layers[post!.layer]).toBe("ON");
  });
  describe("light polylines with groups between their vertices", () => {
    const at = (...groups: (string | number)[]) => paths(readDxf(dxf(pairs(0, "LWPOLYLINE", 8, "ON", ...groups) + seg("ON", 0, 0, 9, 0))))[0]!.points; // prettier-ignore
    // y runs down on a sheet
    const triangle = at(90, 3, 70, 1, 10, 0, 20, 0, 10, 4, 20, 0, 10, 0, 20, 3);
    it("lose no vertex for an identifier (91), and keep their bulges", () => {
      expect(triangle).toHaveLength(3);
      expect(at(90, 3, 70, 1, 10, 0, 20, 0, 91, 7, 10, 4, 20, 0, 91, 8, 10, 0, 20, 3, 91, 9)).toEqual(triangle);
      const arc = at(90, 2, 70, 0, 10, 0, 20, 0, 42, 1, 10, 4, 20, 0);
      expect(at(90, 2, 70, 0, 10, 0, 20, 0, 91, 1, 42, 1, 10, 4, 20, 0, 91, 2)).toEqual(arc);
      expect(arc.length).toBeGreaterThan(10);
    });
    it("end at a group that nobody knows, wherever it stands, and at data of applications", () => {
      expect(at(90, 3, 70, 1, 10, 0, 5001, "x", 20, 0, 10, 4, 20, 0, 10, 0, 20, 3)).toEqual(triangle);
      expect(at(90, 3, 70, 1, 10, 0, 20, 0, 10, 4, 20, 0, 10, 0, 20, 3, 1001, "ACME", 1010, 5, 1020, 6)).toEqual(triangle); // prettier-ignore
    });
    it("say how many vertices they have by having them", () => {
      expect(at(90, 300, 70, 1, 10, 0, 20, 0, 10, 4, 20, 0, 10, 0, 20, 3)).toEqual(triangle);
      expect(at(70, 1, 10, 0, 20, 0, 10, 4, 20, 0, 10, 0, 20, 3)).toEqual(triangle);
    });
    it("seen from below are mirrored", () => {
      const xs = (p: readonly (readonly number[])[]): number[] => p.map((q) => q[0]! - p[0]![0]!);
      const below = at(90, 3, 70, 1, 10, 0, 20, 0, 10, 4, 20, 0, 10, 0, 20, 3, 210, 0, 220, 0, 230, -1);
      xs(below).forEach((x, i) => expect(x).toBeCloseTo(-xs(triangle)[i]!, 9));
    });
  });
  it.each([
    ["AutoCAD Binary DXF\r\n\u001a", "binary DXF"],
    ["0\nSECTION\n2\nENTITIES\n0\nLINE\n8\nx", "^The DXF breaks off before its end\\. Save it again\\.$"],
    [
      "0\nSECTION\n2\nENTITIES\n0\nLINE\n8\n0\n10\n5\n30\n1\n0\nENDSEC\n0\nEOF\n",
      "^The DXF is damaged: it holds something that is not what its group says\\. Save it again\\.$|no lines",
    ],
    ["\u00ff\u00d8\u00ff\u00e0 a photograph", "This is no DXF: it should begin with a section"],
    [dxf(seg("ON", 0, 0, 1, 1).repeat(1_000_000 / 4)).repeat(1), "more than|records"],
    [dxf(""), "no lines that can be read"],
  ])("refuses in a sentence, case %#", (file, why) => expect(() => readDxf(file)).toThrow(new RegExp(why)));
  it("refuses a million entities without reading them", () => {
    const started = Date.now();
    expect(() => readDxf(dxf(seg("ON", 0, 0, 1, 1).repeat(1_000_000)))).toThrow(/records; 300,000 is the most/);
    expect(Date.now() - started).toBeLessThan(5000);
    const bomb = (i: number): string =>
      pairs(0, "BLOCK", 8, "0", 2, `B${i}`, 70, 0, 10, 0, 20, 0, 30, 0) +
      (i === 0 ? seg("0", 0, 0, 1, 1) : pairs(0, "INSERT", 8, "0", 2, `B${i - 1}`, 10, 0, 20, 0, 30, 0).repeat(20)) +
      pairs(0, "ENDBLK");
    const blocks = [0, 1, 2, 3, 4, 5, 6].map(bomb).join("");
    expect(() => readDxf(dxf(pairs(0, "INSERT", 8, "ON", 2, "B6", 10, 0, 20, 0, 30, 0), 1, blocks))).toThrow(
      /more than|unfold/,
    );
  });
});

describe("PDF", () => {
  const open = async (d: PDFDocument) => pdfjs.getDocument({ data: await d.save(), verbosity: 0 }).promise;
  const read = async (d: PDFDocument, n = 1) => readPdfPage(await open(d), n, pdfjs.OPS as never);
  it("keeps lines as lines, y down, in points, with pen, dashes and words", async () => {
    const d = await PDFDocument.create();
    d.addPage([100, 100]);
    const p = d.addPage([300, 200]);
    p.drawLine({ start: { x: 10, y: 20 }, end: { x: 100, y: 20 }, thickness: 2, dashArray: [4, 2] });
    p.drawRectangle({ x: 50, y: 60, width: 40, height: 30, borderWidth: 1, borderColor: rgb(0, 0, 0) });
    p.drawText("SHEET 7", { x: 20, y: 150, size: 14 });
    const { lines, pictures } = await read(d, 2);
    expect([lines!.width, lines!.height, pictures]).toEqual([300, 200, false]);
    expect(lines!.unit).toBeCloseTo(25.4 / 72, 12);
    const [dashed, rect] = paths(lines!);
    expect(dashed!.points).toEqual([
      [10, 180],
      [100, 180],
    ]);
    expect([dashed!.dash, dashed!.pen]).toEqual(["dashed", 2]);
    expect(box(rect!)).toEqual([40, 30]);
    expect(texts(lines!)[0]).toMatchObject({ text: "SHEET 7", at: [20, 50], turn: expect.closeTo(0, 9) as number });
    expect((await read(d, 1)).lines).toBeUndefined();
  });
  it("refuses JavaScript in a sentence", async () => {
    const d = await PDFDocument.create();
    d.addPage();
    d.addJavaScript("main", "app.alert('hello')");
    await expect(open(d).then(checkPdf)).rejects.toThrow("carries JavaScript, so it is not taken");
  });
});

describe("lines from outside", () => {
  const good = readSvg(toSvg(DRAWING, { title: "t", margin: 5 }));
  it("are read back as they were", () => expect(readSheetLines(JSON.stringify(good))).toEqual(good));
  it.each([
    ["{", "they are no JSON"],
    [JSON.stringify({ ...good, width: -1 }), "no size"],
    [
      JSON.stringify({
        ...good,
        entities: [
          {
            kind: "path",
            layer: 0,
            points: [
              [0, "x"],
              [1, 1],
            ],
          },
        ],
      }),
      "a path has no points",
    ],
    [JSON.stringify({ ...good, entities: [{ ...good.entities[0], layer: 9 }] }), "on no layer"],
    [JSON.stringify({ ...good, entities: Array(MOST_ENTITIES + 1).fill(good.entities[0]) }), "more than 60000"],
  ])("are refused when they are not whole, case %#", (file, why) => expect(() => readSheetLines(file)).toThrow(why));
});
