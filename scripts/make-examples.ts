/**
 * Makes the demo job files in examples/: npx tsx scripts/make-examples.ts. The plan sheet is drawn from the same bent,
 * then turned a little and scanned at no round scale, as a sheet comes off a scanner.
 */
import { createHash } from "node:crypto";
import { mkdirSync, writeFileSync } from "node:fs";
import sharp from "sharp";
import { elevation, line, outline, text, toSvg, VIEWS, type Drawing, type Entity } from "../core/drawing";
import type { Vec2 } from "../core/geometry";
import { designOf, emptyJob, newStructure, writeJobFile, type JobDoc } from "../core/job";
import { feet, inches, printFeetInches, scaleOf, toPrototype, model } from "../core/units";

const TILT = 0.85;
const PX_PER_SHEET_MM = 9.37;
/** The sheet is drawn at 1/4 in to the foot. */
const SHEET = 1 / 48;

function bentJob(): JobDoc {
  const job = emptyJob("Gulch trestle");
  const bent = newStructure("trestle-bent", "gulch", "Bent 4 of 9");
  Object.assign(bent.variants[0]!, { name: "As the plan sheet shows" });
  Object.assign(bent.variants[0]!.params, { height: feet(21), batters: [2.5, 0.5, 0], swayBeyond: inches(3) });
  return {
    ...job,
    brief: {
      ...job.brief,
      railroad: "Pellam Notch Railway",
      place: "The gulch below the summit curve, between the two tunnels; the main line runs over it.",
      spotLength: 1180,
      spotDepth: 420,
      era: "Summer 1909",
      decisions: [
        {
          id: "posts",
          what: "Four-post bents with solid sills between stories",
          reason: "Plan sheet 12 shows them, and the posts come out short enough for one stick.",
        },
        {
          id: "braces",
          what: "Sway braces square and a little long",
          reason: "The builder's photo shows ragged ends past the posts.",
        },
      ],
    },
    structures: [bent],
  };
}

/** The sheet: title block, border, the bent with its dimensions, at sheet mm. */
function planSheet(job: JobDoc): { drawing: Drawing; k: number; origin: Vec2 } {
  const d = designOf(job);
  const s = d.structures[0]!;
  const k = toPrototype(scaleOf("HO"), model(1)) * SHEET;
  const origin: Vec2 = [150, 190];
  const at = (p: Vec2): Vec2 => [origin[0] + p[0] * k, origin[1] + p[1] * k];
  const shown = elevation(s.resolved.sticks, VIEWS.front);
  const members: Entity[] = shown.flatMap((x) => {
    const back = x.role === "sway brace" && x.far < -1;
    return x.outlines.map((o) => (back ? outline(o.map(at), "hidden") : outline(o.map(at), "outline", "white")));
  });
  const dims: Entity[] = [];
  const tick = (p: Vec2): Entity => line([p[0] - 1.2, p[1] - 1.2], [p[0] + 1.2, p[1] + 1.2], "outline");
  const dim = (a: Vec2, b: Vec2, words: string, upright: boolean): void => {
    dims.push(line(a, b, "thin"), tick(a), tick(b));
    dims.push(
      text(
        [(a[0] + b[0]) / 2 - (upright ? 1.5 : 0), (a[1] + b[1]) / 2 + (upright ? 0 : 1.2)],
        words,
        3,
        "middle",
        "label",
        upright ? 90 : 0,
      ),
    );
  };
  const dimensions = s.kind.dimensions(s.variant.params, s.context);
  const height = dimensions.find((x) => x.id === "height")!;
  const cap = dimensions.find((x) => x.id === "capLength")!;
  const left = at(height.from)[0] - 24;
  dim([left, at(height.from)[1]], [left, at(height.to)[1]], printFeetInches(height.value), true);
  for (const y of [at(height.from)[1], at(height.to)[1]]) dims.push(line([left - 3, y], [at([-30, 0])[0], y], "thin"));
  dim([at(cap.from)[0], at(cap.from)[1] + 14], [at(cap.to)[0], at(cap.to)[1] + 14], printFeetInches(cap.value), false);
  for (const p of [cap.from, cap.to]) dims.push(line([at(p)[0], at(p)[1] + 1], [at(p)[0], at(p)[1] + 17], "thin"));
  const notes = [
    text([24, 227], "PELLAM NOTCH RAILWAY", 6, "start", "label"),
    text([24, 219], "STANDARD FRAMED TRESTLE BENT", 4.2, "start", "label"),
    text([24, 213], "TWO STORIES  ·  FOUR POSTS", 3, "start", "label"),
    text([220, 60], "CAP 12 × 14", 2.8, "start", "label"),
    text([220, 55], "POSTS AND SILLS 12 × 12", 2.8, "start", "label"),
    text([220, 50], "SWAY BRACES 3 × 10", 2.8, "start", "label"),
    text([220, 45], "OUTER BATTER 2 1/2 IN 12", 2.8, "start", "label"),
    text([220, 30], "SHEET 12", 4, "start", "label"),
    text([220, 24], "SCALE 1/4 IN = 1 FT", 2.8, "start", "label"),
    text([220, 19], "ENGINEER'S OFFICE, MAY 1909", 2.8, "start", "label"),
  ];
  const frame = (x: number, y: number, w: number, h: number): Entity =>
    outline(
      [
        [x, y],
        [x + w, y],
        [x + w, y + h],
        [x, y + h],
      ],
      "outline",
    );
  return {
    drawing: {
      layers: [
        {
          name: "border",
          entities: [
            frame(0, 0, 300, 250),
            frame(12, 12, 276, 226),
            frame(216, 12, 72, 56),
            line([216, 38], [288, 38], "thin"),
          ],
        },
        { name: "ground", entities: [line([30, at(height.to)[1] - 0.6], [270, at(height.to)[1] - 2], "thin")] },
        { name: "bent", entities: [line(at([0, 6]), at([0, -80]), "centre"), ...members] },
        { name: "dimensions", entities: dims },
        { name: "notes", entities: notes },
      ],
    },
    k,
    origin,
  };
}

async function scan(
  drawing: Drawing,
): Promise<{ png: Buffer; width: number; height: number; toPixel: (p: Vec2) => Vec2 }> {
  const svg = toSvg(drawing, { title: "Plan sheet 12", margin: 0 }).replace(
    /Barlow Condensed|Source Sans 3/g,
    "DejaVu Sans Condensed",
  );
  const flat = await sharp(Buffer.from(svg), { density: 200 })
    .resize({ width: Math.round(300 * PX_PER_SHEET_MM) })
    .flatten({ background: "#efe6cf" })
    .png()
    .toBuffer({ resolveWithObject: true });
  const [w0, h0] = [flat.info.width, flat.info.height];
  const px = w0 / 300;
  const turned = await sharp(flat.data)
    .rotate(-TILT, { background: "#d9cfb8" })
    .png()
    .toBuffer({ resolveWithObject: true });
  const [w, h] = [turned.info.width, turned.info.height];
  const noise = await sharp({
    create: {
      width: w,
      height: h,
      channels: 3,
      background: "#808080",
      noise: { type: "gaussian", mean: 128, sigma: 14 },
    },
  })
    .grayscale()
    .png()
    .toBuffer();
  const png = await sharp(turned.data)
    .blur(0.7)
    .composite([{ input: noise, blend: "soft-light" }])
    .grayscale()
    .tint("#efe4c8")
    .jpeg({ quality: 62, mozjpeg: true })
    .toBuffer();
  const t = (TILT * Math.PI) / 180;
  // turned counter-clockwise by TILT about the middle, y down
  const toPixel = ([x, y]: Vec2): Vec2 => {
    const [dx, dy] = [x * px - w0 / 2, (250 - y) * px - h0 / 2];
    return [w / 2 + dx * Math.cos(t) + dy * Math.sin(t), h / 2 - dx * Math.sin(t) + dy * Math.cos(t)];
  };
  return { png, width: w, height: h, toPixel };
}

const bent = bentJob();
const sheet = planSheet(bent);
const { png, width, height, toPixel } = await scan(sheet.drawing);
const hash = createHash("sha256").update(png).digest("hex");
const onSheet = (p: Vec2): Vec2 => [sheet.origin[0] + p[0] * sheet.k, sheet.origin[1] + p[1] * sheet.k];
const round = (p: Vec2): [number, number] => [Number(p[0].toFixed(2)), Number(p[1].toFixed(2))];
const capHalf = 49 / 2;
bent.drawings.push({
  id: "sheet12",
  name: "Plan sheet 12",
  picture: { hash, type: "image/jpeg", width, height },
  calibration: {
    from: round(toPixel(onSheet([-capHalf, 0]))),
    to: round(toPixel(onSheet([capHalf, 0]))),
    length: feet(14),
    tilt: TILT,
  },
  measures: [
    {
      id: "capm",
      name: "Cap, end to end",
      kind: "length",
      points: [round(toPixel(onSheet([-capHalf, -2]))), round(toPixel(onSheet([capHalf, -2])))],
      usedFor: "gulch:capLength",
    },
  ],
  under: { structure: "gulch", anchor: round(toPixel(onSheet([0, 0]))), opacity: 0.45 },
});
const empty = { ...emptyJob("Empty job"), brief: { ...emptyJob("").brief, railroad: "Pellam Notch Railway" } };

mkdirSync("examples", { recursive: true });
writeFileSync("examples/plan-sheet-12.jpg", png);
writeFileSync(
  "examples/gulch-trestle.json",
  writeJobFile({ doc: bent, issues: [], files: { [hash]: png.toString("base64") } }),
);
writeFileSync("examples/empty-job.json", writeJobFile({ doc: empty, issues: [], files: {} }));
console.log(`plan sheet ${width} × ${height}, ${Math.round(png.length / 1024)} kB`);
