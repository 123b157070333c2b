import fontkit from "@pdf-lib/fontkit";
import {
  appendBezierCurve,
  clip,
  closePath,
  concatTransformationMatrix,
  endPath,
  fill,
  fillAndStroke,
  lineTo,
  moveTo,
  PDFDocument,
  PDFHexString,
  PDFName,
  popGraphicsState,
  PrintScaling,
  pushGraphicsState,
  rectangle,
  rgb,
  degrees,
  drawText,
  setDashPattern,
  setFillingRgbColor,
  setLineWidth,
  setStrokingRgbColor,
  stroke,
  type PDFFont,
  type PDFImage,
  type PDFOperator,
  type PDFPage,
} from "pdf-lib";
import type { Vec2 } from "../geometry";
import { CAP_HEIGHT, LINES, type Drawing, type Entity, type Fill, type Tint } from "./drawing";
import type { PagePlan } from "./pages";
import type { Printer } from "./printer";

/** Typefaces as static TTF or WOFF bytes. */
export interface PdfFonts {
  readonly label: Uint8Array;
  readonly text: Uint8Array;
}
/** Pages under a name, which the reader's list of contents shows. */
export interface PdfPart {
  readonly name: string;
  readonly plan: PagePlan;
}
export interface PdfOptions {
  readonly title: string;
  readonly date: Date;
  readonly fonts: PdfFonts;
  /** What the printer needs the page larger by, across and up it; as it is where it is left out. */
  readonly correct?: Pick<Printer, "across" | "up">;
}
const PT = 72 / 25.4;
const TINT: Record<Tint, readonly [number, number, number]> = {
  timber: [0.98, 0.95, 0.88],
  black: [0, 0, 0],
  white: [1, 1, 1],
  grey: [0.8, 0.8, 0.8],
};
const rgbOf = (f: Fill): readonly [number, number, number] =>
  f in TINT
    ? TINT[f as Tint]
    : ([1, 3, 5].map((i) => parseInt(f.slice(i, i + 2), 16) / 255) as [number, number, number]);
/** Circle by four Bézier arcs: control distance over radius. */
const KAPPA = 0.5522847498;

/** Page plans as one PDF: vector, full size, print scaling off, the same bytes for the same input. */
export async function toPdf(parts: readonly PdfPart[], options: PdfOptions): Promise<Uint8Array> {
  const doc = await PDFDocument.create({ updateMetadata: false });
  doc.registerFontkit(fontkit);
  doc.setTitle(options.title);
  doc.setCreator("Cardo");
  doc.setProducer("Cardo");
  doc.setCreationDate(options.date);
  doc.setModificationDate(options.date);
  doc.catalog.getOrCreateViewerPreferences().setPrintScaling(PrintScaling.None);
  const fonts = {
    label: new Typeface(await doc.embedFont(options.fonts.label, { subset: true })),
    text: new Typeface(await doc.embedFont(options.fonts.text, { subset: true })),
  };
  // a picture that stands on many pages is in the file once
  const pictures = new Map<Uint8Array, PDFImage>();
  for (const { plan } of parts)
    for (const e of [...entitiesOf(plan.drawing), ...plan.pages.flatMap((p) => p.furniture)])
      if (e.kind === "image" && !pictures.has(e.picture.bytes))
        pictures.set(e.picture.bytes, await (e.picture.type === "image/png" ? doc.embedPng(e.picture.bytes) : doc.embedJpg(e.picture.bytes))); // prettier-ignore
  const marks: { name: string; page: PDFPage }[] = [];
  for (const { name, plan } of parts) {
    const drawn = entitiesOf(plan.drawing).map(withExtent);
    for (const p of plan.pages) {
      const page = doc.addPage([p.size[0] * PT, p.size[1] * PT]);
      if (p === plan.pages[0]) marks.push({ name, page });
      const { at, size } = p.window;
      const { across, up } = options.correct ?? { across: 1, up: 1 };
      // from the middle of the page, so that the margins give on both sides alike
      const [x, y] = [(p.size[0] * PT * (1 - across)) / 2, (p.size[1] * PT * (1 - up)) / 2];
      if (options.correct) page.pushOperators(pushGraphicsState(), concatTransformationMatrix(across, 0, 0, up, x, y));
      page.pushOperators(
        pushGraphicsState(),
        rectangle(at[0] * PT, at[1] * PT, size[0] * PT, size[1] * PT),
        clip(),
        endPath(),
      );
      for (const e of drawn) if (reaches(e, p)) paint(page, e.entity, p.shift, fonts, pictures);
      page.pushOperators(popGraphicsState());
      for (const e of p.furniture) paint(page, e, [0, 0], fonts, pictures);
      if (options.correct) page.pushOperators(popGraphicsState());
    }
  }
  addBookmarks(doc, marks);
  return doc.save({ useObjectStreams: false });
}

/** A bookmark for each part, in order: PDF 1.7 (ISO 32000-1) 12.3.3, a flat outline whose entries show their page. */
function addBookmarks(doc: PDFDocument, marks: readonly { readonly name: string; readonly page: PDFPage }[]): void {
  if (marks.length === 0) return;
  const { context } = doc;
  const [root, ...items] = Array.from({ length: marks.length + 1 }, () => context.nextRef());
  marks.forEach(({ name, page }, i) =>
    context.assign(
      items[i]!,
      context.obj({
        Title: PDFHexString.fromText(name),
        Parent: root!,
        Dest: [page.ref, "Fit"],
        ...(i > 0 ? { Prev: items[i - 1]! } : {}),
        ...(i + 1 < items.length ? { Next: items[i + 1]! } : {}),
      }),
    ),
  );
  context.assign(root!, context.obj({ Type: "Outlines", First: items[0]!, Last: items.at(-1)!, Count: items.length }));
  doc.catalog.set(PDFName.of("Outlines"), root!);
  doc.catalog.set(PDFName.of("PageMode"), PDFName.of("UseOutlines"));
}

/** A typeface of a document. Words are set once: the same marks stand on many pages, and setting them takes longer than drawing them. */
class Typeface {
  private readonly known = new Map<string, { readonly wide: number; readonly glyphs: PDFHexString }>();
  private readonly keys = new WeakMap<PDFPage, PDFName>();
  constructor(private readonly font: PDFFont) {}
  /** How wide words are at size 1, and what shows them. */
  set(words: string): { readonly wide: number; readonly glyphs: PDFHexString } {
    let w = this.known.get(words);
    if (!w) this.known.set(words, (w = { wide: this.font.widthOfTextAtSize(words, 1), glyphs: this.font.encodeText(words) })); // prettier-ignore
    return w;
  }
  /** The name it goes by on a page. */
  on(page: PDFPage): PDFName {
    let key = this.keys.get(page);
    if (!key) this.keys.set(page, (key = page.node.newFontDictionary(this.font.name, this.font.ref)));
    return key;
  }
}
/** An entity with the box that its ink stays in, mm: of words the circle that they cannot leave. */
interface Drawn {
  readonly entity: Entity;
  readonly min: Vec2;
  readonly max: Vec2;
}
function withExtent(entity: Entity): Drawn {
  const about = (points: readonly Vec2[], by: number): Drawn => {
    let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
    for (const [x, y] of points) [x0, y0, x1, y1] = [Math.min(x0, x), Math.min(y0, y), Math.max(x1, x), Math.max(y1, y)]; // prettier-ignore
    return { entity, min: [x0 - by, y0 - by], max: [x1 + by, y1 + by] };
  };
  // no line is wider than a millimetre; no letter is wider than three of its heights
  if (entity.kind === "path") return about(entity.points, 1);
  if (entity.kind === "circle") return about([entity.centre], entity.radius + 1);
  if (entity.kind === "image") return about([entity.at, [entity.at[0] + entity.wide, entity.at[1] + entity.high]], 0);
  return about([entity.at], entity.size * (2 + 3 * entity.text.length));
}
/** Whether anything of an entity may lie in a page's window: of a drawing on many pages most is elsewhere. */
const reaches = ({ min, max }: Drawn, p: PagePlan["pages"][number]): boolean =>
  min[0] + p.shift[0] <= p.window.at[0] + p.window.size[0] &&
  max[0] + p.shift[0] >= p.window.at[0] &&
  min[1] + p.shift[1] <= p.window.at[1] + p.window.size[1] &&
  max[1] + p.shift[1] >= p.window.at[1];
const entitiesOf = (d: Drawing): Entity[] => d.layers.flatMap((l) => [...l.entities]);

function paint(
  page: PDFPage,
  e: Entity,
  shift: Vec2,
  fonts: Readonly<Record<"label" | "text", Typeface>>,
  pictures: ReadonlyMap<Uint8Array, PDFImage>,
): void {
  // prettier-ignore
  const X = (x: number): number => (x + shift[0]) * PT;
  const Y = (y: number): number => (y + shift[1]) * PT;
  if (e.kind === "text") {
    const face = fonts[e.font];
    const size = (e.size / CAP_HEIGHT) * PT;
    const { wide, glyphs } = face.set(e.text);
    const back = { start: 0, middle: 0.5, end: 1 }[e.anchor] * wide * size;
    const t = ((e.turn ?? 0) * Math.PI) / 180;
    page.pushOperators(
      ...drawText(glyphs, {
        x: X(e.at[0]) - back * Math.cos(t),
        y: Y(e.at[1]) - back * Math.sin(t),
        size,
        font: face.on(page),
        rotate: degrees(e.turn ?? 0),
        xSkew: degrees(0),
        ySkew: degrees(0),
        color: rgb(0, 0, 0),
      }),
    );
    return;
  }
  if (e.kind === "image") {
    if (e.clip) page.pushOperators(pushGraphicsState(), rectangle(X(e.clip.at[0]), Y(e.clip.at[1]), e.clip.wide * PT, e.clip.high * PT), clip(), endPath()); // prettier-ignore
    page.drawImage(pictures.get(e.picture.bytes)!, { x: X(e.at[0]), y: Y(e.at[1]), width: e.wide * PT, height: e.high * PT }); // prettier-ignore
    if (e.clip) page.pushOperators(popGraphicsState());
    return;
  }
  const ops: PDFOperator[] = [pushGraphicsState()];
  if (e.line) {
    const look = LINES[e.line];
    ops.push(
      setStrokingRgbColor(0, 0, 0),
      setLineWidth(look.width * PT),
      setDashPattern(
        look.dash.map((d) => d * PT),
        0,
      ),
    );
  }
  if (e.fill) ops.push(setFillingRgbColor(...rgbOf(e.fill)));
  if (e.kind === "path") {
    e.points.forEach((p, i) => ops.push(i === 0 ? moveTo(X(p[0]), Y(p[1])) : lineTo(X(p[0]), Y(p[1]))));
    if (e.closed) ops.push(closePath());
  } else {
    const [x, y, r, k] = [X(e.centre[0]), Y(e.centre[1]), e.radius * PT, e.radius * PT * KAPPA];
    ops.push(
      moveTo(x + r, y),
      appendBezierCurve(x + r, y + k, x + k, y + r, x, y + r),
      appendBezierCurve(x - k, y + r, x - r, y + k, x - r, y),
      appendBezierCurve(x - r, y - k, x - k, y - r, x, y - r),
      appendBezierCurve(x + k, y - r, x + r, y - k, x + r, y),
    );
  }
  ops.push(e.line && e.fill ? fillAndStroke() : e.fill ? fill() : e.line ? stroke() : endPath(), popGraphicsState());
  page.pushOperators(...ops);
}
