/**
 * Makes the demo job files in examples/: npx tsx scripts/make-examples.ts. The plan sheet is drawn from the same bent,
 * then turned a little and scanned at no round scale, as a sheet comes off a scanner; the snowshed's plan is a vector
 * drawing at full size; the tool house is photographed from aside through a lens with barrel.
 */
import { createHash } from "node:crypto";
import { mkdirSync, writeFileSync } from "node:fs";
import sharp from "sharp";
import { toDxf, toSvg, type Drawing } from "../core/drawing";
import type { Vec2 } from "../core/geometry";
import { designOf, emptyJob, newStructure, writeJobFile, type JobDoc } from "../core/job";
import { layStraightened, resample } from "../core/prototype";
import { readDxf } from "../core/sources";
import { emptyTrace, usualOrder, type Trace, type TracedParams } from "../core/structures";
import { feet, inches } from "../core/units";
import { planSheet } from "./planSheet";
import { cottagePapers } from "./paperPictures";
import { placePicture } from "./placePicture";
import { agentsCottage, companyStore, silos } from "./sheetJobs";
import { curvedSnowshed, depot, framedToolHouse, oreBin, sectionHouses } from "./buildingJobs";
import { summitTrestle, howeJob } from "./wholeJobs";
import { flatFront, FRONT, photograph, photoKeystone, PHOTO } from "./toolHouse";

const TILT = 0.85;
const PX_PER_SHEET_MM = 9.37;
const SHEET = 1 / 48;
const hashOf = (b: Buffer): string => createHash("sha256").update(b).digest("hex");
const round = (p: Vec2): [number, number] => [Number(p[0].toFixed(2)), Number(p[1].toFixed(2))];
const railroad = "Pellam Notch Railway";

function bentJob(): JobDoc {
  const job = emptyJob("Gulch trestle");
  const bent = newStructure("trestle-bent", "gulch", "Bent 4 of 9");
  Object.assign(bent.variants[0]!, { name: "As the plan sheet shows" });
  Object.assign(bent.variants[0]!.params, { height: feet(21), batters: [2.5, 0.5, 0], swayBeyond: inches(3) });
  return {
    ...job,
    brief: {
      ...job.brief,
      railroad,
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

async function gulch(): Promise<void> {
  const job = bentJob();
  const sheet = planSheet(designOf(job), 0, {
    title: ["PELLAM NOTCH RAILWAY", "STANDARD FRAMED TRESTLE BENT", "TWO STORIES  ·  FOUR POSTS"],
    notes: [
      "CAP 12 × 14",
      "POSTS, SILLS 12 × 12",
      "SWAY BRACES 3 × 10",
      "BATTER 2 1/2 IN 12",
      "SHEET 12",
      "SCALE 1/4 IN = 1 FT",
    ],
    scale: SHEET,
    origin: [150, 190],
    block: "strip",
    busy: true,
    leaders: false,
  });
  const { png, width, height, toPixel } = await scan(sheet.drawing);
  const hash = hashOf(png);
  const at = (p: Vec2): [number, number] => round(toPixel(sheet.onSheet(p)));
  const [cap, foot] = [49 / 2, 73.5];
  job.drawings.push({
    id: "sheet12",
    name: "Plan sheet 12",
    picture: { hash, type: "image/jpeg", width, height },
    calibration: {
      lengths: [
        { id: "k1", name: "Cap, end to end", from: at([-cap, 0]), to: at([cap, 0]), length: feet(14), use: "scale" },
        { id: "k2", name: "Height", from: at([0, 0]), to: at([0, -foot]), length: feet(21), use: "check" },
      ],
      stretch: "auto",
      tilt: TILT,
    },
    measures: [
      {
        id: "capm",
        name: "Cap, end to end",
        kind: "length",
        points: [at([-cap, -2]), at([cap, -2])],
        usedFor: "gulch:capLength",
      },
    ],
    openings: [],
    under: [{ structure: "gulch", view: "front", anchor: at([0, 0]), opacity: 0.45 }],
  });
  writeFileSync("examples/plan-sheet-12.jpg", png);
  write("gulch-trestle", job, { [hash]: png });
  console.log(`plan sheet ${width} × ${height}, ${Math.round(png.length / 1024)} kB`);
}

/** A member of the snowshed from its middle line in prototype inches; the centre line is at 0. */
function timber(id: string, role: string, section: string, from: Vec2, to: Vec2): Trace {
  const inch = (p: Vec2): [number, number] => [inches(p[0]), inches(p[1])];
  const line = { from: inch(from), to: inch(to) };
  const square = () => ({ kind: "square" as const, beyond: 0 });
  return {
    id,
    role,
    section,
    ...line,
    seat: "centre",
    flat: false,
    layer: "middle",
    order: usualOrder(line),
    ends: [square(), square()],
  };
}
/** Half of the cross frame; the sill and the tie beam are drawn up to the centre line, and all of it is mirrored. */
const SNOWSHED: TracedParams = {
  ...emptyTrace(),
  members: [
    timber("s1", "sill", "10×12", [-108, 6], [0, 6]),
    timber("p1", "post", "10×10", [-96, 12], [-96, 204]),
    timber("t1", "tie beam", "10×12", [-114, 210], [0, 210]),
    timber("r1", "rafter", "8×10", [-100, 216], [0, 266]),
    timber("n1", "knee brace", "6×8", [-91, 168], [-55, 204]),
  ],
  mirror: 0,
};
function snowshed(): void {
  const s = newStructure("traced", "shed", "Snowshed bent");
  s.variants[0]!.params = SNOWSHED as never;
  s.variants[0]!.name = "As the plan shows";
  const job = emptyJob("Snowshed");
  Object.assign(job.brief, {
    railroad,
    place: "Above the upper tunnel, on the uphill side of the main line.",
    track: "over",
    era: "Winter 1911",
  });
  job.structures.push(s);
  const sheet = planSheet(designOf(job), 0, {
    title: ["PELLAM NOTCH RAILWAY", "SNOWSHED, CROSS FRAME", "FRAMES 8 FT APART"],
    notes: [
      "POSTS 10 × 10",
      "SILL, TIE BEAM 10 × 12",
      "RAFTERS 8 × 10",
      "KNEE BRACES 6 × 8",
      "SHEET 31",
      "DRAWN AT FULL SIZE",
    ],
    scale: SHEET,
    origin: [150, 70],
    block: "strip",
    busy: true,
    leaders: false,
  });
  const full = enlarged(sheet.drawing, 1 / SHEET);
  const dxf = toDxf(full);
  const lines = readDxf(dxf);
  const file = Buffer.from(JSON.stringify(lines));
  const hash = hashOf(file);
  const margin = (lines.width - sheet.size[0] / SHEET) / 2;
  const at = (p: Vec2): [number, number] => {
    const [x, y] = sheet.onSheet(p);
    return [Number((x / SHEET + margin).toFixed(3)), Number((lines.height - margin - y / SHEET).toFixed(3))];
  };
  job.drawings.push({
    id: "sheet31",
    name: "Snowshed, sheet 31",
    lines: { hash, width: lines.width, height: lines.height, hidden: [] },
    calibration: { lengths: [], stated: { ratio: 1, unit: 1 }, stretch: "auto", tilt: 0 },
    measures: [],
    openings: [],
    under: [{ structure: "shed", view: "front", anchor: at([0, 0]), opacity: 0.45 }],
  });
  Object.assign(SNOWSHED, {
    places: [0, 8, 16].map((f) => feet(f)),
    crosses: [-1, 1].flatMap((k, i) => [
      {
        id: `l${i + 1}`,
        role: "purlin",
        section: "4×6",
        flat: false,
        on: "r1",
        at: inches(k < 0 ? 24 : 84),
        run: "through",
        side: "left",
        overhang: inches(12),
      },
    ]),
  });
  writeFileSync("examples/snowshed-plan.dxf", dxf);
  write("snowshed", job, { [hash]: file });
  console.log(`snowshed plan: ${lines.entities.length} entities, ${Math.round(file.length / 1024)} kB`);
}
function enlarged(d: Drawing, k: number): Drawing {
  const p = (q: Vec2): Vec2 => [q[0] * k, q[1] * k];
  return {
    layers: d.layers.map((l) => ({
      ...l,
      entities: l.entities.map((e) =>
        e.kind === "path"
          ? { ...e, points: e.points.map(p) }
          : e.kind === "circle"
            ? { ...e, centre: p(e.centre), radius: e.radius * k }
            : e.kind === "image"
              ? { ...e, at: p(e.at), wide: e.wide * k, high: e.high * k }
              : { ...e, at: p(e.at), size: e.size * k },
      ),
    })),
  };
}

async function toolHouse(): Promise<void> {
  const photo = await photograph(await flatFront());
  const hash = hashOf(photo);
  const { data, info } = await sharp(photo).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  const k = photoKeystone();
  const laid = layStraightened(k);
  const flat = resample({ width: info.width, height: info.height, data: new Uint8ClampedArray(data) }, k, laid)!;
  const straight = await sharp(Buffer.from(flat.data), { raw: { width: flat.width, height: flat.height, channels: 4 } })
    .flatten({ background: "#ffffff" })
    .jpeg({ quality: 70, mozjpeg: true })
    .toBuffer();
  const straightHash = hashOf(straight);
  const on = (x: number, y: number): [number, number] =>
    round([laid.origin[0] + inches(x) * laid.perMm, laid.origin[1] + inches(y) * laid.perMm]);
  const job = emptyJob("Tool house");
  Object.assign(job.brief, {
    railroad,
    place: "Beside the section foreman's house at Pellam.",
    track: "beside",
    era: "About 1908",
  });
  const { door, window: w, wall } = FRONT;
  job.drawings.push(
    {
      id: "photo",
      name: "Front, from the track",
      picture: { hash, type: "image/jpeg", width: PHOTO.width, height: PHOTO.height },
      measures: [],
      openings: [],
      under: [],
    },
    {
      id: "straight",
      name: "Front, straightened",
      picture: { hash: straightHash, type: "image/jpeg", width: flat.width, height: flat.height },
      calibration: {
        lengths: [
          {
            id: "k1",
            name: "Door, high",
            from: on(door.x, door.y),
            to: on(door.x, door.y + door.h),
            length: inches(door.h),
            use: "check",
          },
        ],
        stated: { ratio: 1, unit: 1 / laid.perMm },
        stretch: "auto",
        tilt: 0,
      },
      measures: [
        { id: "m1", name: "Wall, across", kind: "across", points: [on(0, wall.h - 20), on(wall.w, wall.h - 20)] },
        {
          id: "m2",
          name: "Boards to the weather",
          kind: "count",
          points: [on(wall.w - 8, 8), on(wall.w - 8, 88)],
          count: 11,
        },
      ],
      openings: [
        {
          id: "o1",
          name: "Door",
          kind: "door",
          from: on(door.x, door.y),
          to: on(door.x + door.w, door.y + door.h),
          set: "recessed",
          by: inches(3),
          trim: inches(5),
          sill: "threshold plank, 2 in",
          swing: "left",
          casting: "",
          note: "",
        },
        {
          id: "o2",
          name: "Window",
          kind: "window",
          from: on(w.x, w.y),
          to: on(w.x + w.w, w.y + w.h),
          set: "recessed",
          by: inches(2),
          trim: inches(5),
          sill: "sloped, 2 in, past the trim",
          swing: "slides",
          casting: "double hung, 6 over 6",
          note: "",
        },
      ],
      under: [],
      straightened: {
        drawing: "photo",
        corners: k.corners.map(round) as never,
        width: k.width,
        height: k.height,
        lens: k.lens.k,
        size: [PHOTO.width, PHOTO.height],
      },
    },
  );
  writeFileSync("examples/tool-house-photo.jpg", photo);
  write("tool-house", job, { [hash]: photo, [straightHash]: straight });
  console.log(
    `tool house ${info.width} × ${info.height}, ${Math.round(photo.length / 1024)} kB, straightened ${flat.width} × ${flat.height}`,
  );
}

function write(name: string, doc: JobDoc, files: Readonly<Record<string, Buffer>>): void {
  const text = Object.fromEntries(Object.entries(files).map(([h, b]) => [h, b.toString("base64")]));
  writeFileSync(`examples/${name}.json`, writeJobFile({ doc, issues: [], files: text }));
}
mkdirSync("examples", { recursive: true });
await gulch();
snowshed();
await toolHouse();
write("summit-curve-trestle", summitTrestle(), {});
write("howe-truss", howeJob(), {});
write("tool-house-framed", framedToolHouse(), {});
write("ore-bin", oreBin(), {});
write("summit-snowshed", curvedSnowshed(), {});
write("depot", depot(), {});
write("section-houses", sectionHouses(), {});
write("company-store", companyStore(), {});
const { papers, files: paperFiles } = await cottagePapers();
const cottage = agentsCottage();
const place = await placePicture(cottage.brief.spotLength, cottage.brief.spotDepth);
write("agents-cottage", { ...cottage, papers, drawings: [place.drawing], spot: { ...cottage.spot!, photo: place.photo } }, { ...paperFiles, ...place.files }); // prettier-ignore
write("silos", silos(), {});
write("empty-job", { ...emptyJob("Empty job"), brief: { ...emptyJob("").brief, railroad } }, {});
