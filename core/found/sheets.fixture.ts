/** Plan sheets to find members on: structures over many shapes, rendered as scans. Seeds to tune by and to measure by are kept apart. */
import fc from "fast-check";
import sharp from "sharp";
import { planSheet, type PlanSheet } from "../../scripts/planSheet";
import { stream } from "../cutting/stream";
import { toSvg } from "../drawing";
import type { Vec2 } from "../geometry";
import { parseNominal } from "../lumber";
import { designOf, emptyJob, newStructure, type Design } from "../job";
import { emptyTrace, usualOrder, type Trace } from "../structures";
import { randomBent } from "../structures/trestle/randomBent.fixture";
import { bentLayout } from "../structures/trestle/layout";
import type { BentValues } from "../structures/trestle/parameters";
import { feet, inches } from "../units";
import type { GrayImage } from "./inkStrokes";

export const TUNING_SEEDS = [1, 2, 3, 4, 7, 13, 14, 16, 19, 22, 25, 101, 103, 106, 109] as const;
export const MEASURING_SEEDS = [301, 302, 303, 304, 306, 307, 308, 309] as const;

type P = readonly [number, number];
function trace(id: string, role: string, section: string, from: P, to: P, layer: Trace["layer"] = "middle"): Trace {
  const inch = (p: P): [number, number] => [inches(p[0]), inches(p[1])];
  const square = { kind: "square", beyond: 0 } as const;
  const line = { from: inch(from), to: inch(to) };
  return {
    id,
    role,
    section,
    ...line,
    seat: "centre",
    flat: false,
    layer,
    order: usualOrder(line),
    ends: [square, square],
  };
}
function tracedDesign(members: readonly Trace[]): Design {
  const s = newStructure("traced", "t", "Traced");
  s.variants[0]!.params = { ...emptyTrace(), members: [...members], mirror: 0 };
  return designOf({ ...emptyJob("Traced"), structures: [s] });
}
/** A truss of panels with posts and diagonals, and a shed's frame with rafters and knee braces, by a stream of numbers. */
function truss(random: () => number): Design {
  const panels = 2 + Math.floor(random() * 3);
  const [bay, high] = [90 + 60 * random(), 100 + 70 * random()];
  const half = panels * bay;
  const members: Trace[] = [
    trace("bottom", "bottom chord", "10×12", [-half - 20, 0], [0, 0]),
    trace("top", "top chord", "10×10", [-half + bay - 12, high], [0, high]),
    trace("end", "brace", "8×10", [-half + 4, 6], [-half + bay, high - 5]),
  ];
  for (let i = 1; i <= panels; i++) {
    const y = -half + i * bay;
    members.push(trace(`post${i}`, "post", "8×8", [y, 6], [y, high - 5]));
    if (i < panels) members.push(trace(`brace${i}`, "brace", "6×8", [y + 4, 6], [y + bay - 4, high - 5]));
  }
  return tracedDesign(members);
}
function shed(random: () => number): Design {
  const [half, high] = [90 + 50 * random(), 130 + 60 * random()];
  const knee = 26 + 16 * random();
  return tracedDesign([
    trace("sill", "sill", "10×12", [-half - 16, 6], [0, 6]),
    trace("post", "post", "10×10", [-half, 12], [-half, high]),
    trace("tie", "tie beam", "10×12", [-half - 22, high + 6], [0, high + 6]),
    trace("knee", "knee brace", "6×8", [-half + 5, high - knee], [-half + 5 + knee, high]),
    trace("rafter", "rafter", "8×10", [-half - 10, high + 12], [0, high + 12 + (half + 10) * (0.4 + 0.3 * random())]),
    trace("girt", "girt", "3×8", [-half - 8, high * 0.45], [0, high * 0.45], "near"),
  ]);
}
function bent(seed: number): Design {
  const s = newStructure("trestle-bent", "b", "Bent");
  // as an office draws them on one sheet: not a needle, and posts that stand clear of each other
  const usual = (v: BentValues): boolean => {
    const gaps = v.spacings.slice(0, Math.ceil(v.posts / 2));
    const spread = bentLayout(v).posts[0]!.yTop * -2;
    const clear = gaps.every((g) => g > 2.5 * inches(parseNominal(v.post)!.width));
    return (
      v.height < feet(70) &&
      v.height < 4 * spread &&
      v.posts <= 6 &&
      clear &&
      ends(v) &&
      v.between !== "both" &&
      stout(v)
    );
  };
  const ends = (v: BentValues): boolean => v.capSet === "overhang" && v.sillSet === "overhang";
  // sills between stories are as wide as the posts that stand on them, sash braces on posts lighter
  const stout = (v: BentValues): boolean => {
    const wide = (n: string): number => parseNominal(n)!.width;
    return v.between === "solid" ? wide(v.middleSill) >= wide(v.post) : wide(v.sash) <= 0.85 * wide(v.post);
  };
  s.variants[0]!.params = fc.sample(randomBent.filter(usual), { seed, numRuns: 1 })[0]! as never;
  return designOf({ ...emptyJob("Bent"), structures: [s] });
}

/** The sheet of a seed: every third a bent, a truss, a shed. */
export function sheetOf(seed: number): PlanSheet {
  const random = stream(seed * 7919);
  const kind = seed % 3;
  const d = kind === 0 ? truss(random) : kind === 1 ? bent(seed) : shed(random);
  if (d.structures[0]!.fault) throw new Error(`Sheet ${seed}: ${d.structures[0]!.fault}`);
  const pts = d.structures[0]!.resolved.sticks.flatMap((x) =>
    x.parts.flatMap((p) => p.faces.flatMap((f) => f.corners)),
  );
  const of = (i: number, f: (...n: number[]) => number): number => f(...pts.map((p) => p[i]!));
  const [w, h] = [of(1, Math.max) - of(1, Math.min), of(2, Math.max) - of(2, Math.min)];
  const perModel = 304.8 / 3.5;
  const scale = [1 / 24, 1 / 32, 1 / 48, 1 / 64, 1 / 96, 1 / 128, 1 / 192].find(
    (q) => w * perModel * q < 190 && h * perModel * q < 125,
  )!;
  const k = perModel * scale;
  const origin: Vec2 = [
    150 - ((of(1, Math.max) + of(1, Math.min)) / 2) * k,
    142 - ((of(2, Math.max) + of(2, Math.min)) / 2) * k,
  ];
  return planSheet(d, 0, {
    title: ["PELLAM NOTCH RAILWAY", "STANDARD FRAME", `SHEET ${seed}`],
    notes: ["POSTS AND SILLS 12 × 12", "BRACES 3 × 10", "SCALE AS SHOWN", "ENGINEER'S OFFICE"],
    scale,
    origin,
    block: (["right", "left", "strip"] as const)[seed % 3 === 2 ? Math.floor(random() * 3) : seed % 3]!,
    heightOn: random() < 0.5 ? "left" : "right",
    busy: random() < 0.7,
  });
}

export interface Scan {
  readonly image: GrayImage;
  /** A point of the sheet, mm, on the scan, pixels. */
  readonly toPixel: (p: Vec2) => Vec2;
  readonly perMm: number;
}
/** The sheet as a scanner gives it: clean at 200 dpi, turned by 1.5° at 200 dpi, or noisy at 150 dpi. */
export async function scanOf(sheet: PlanSheet, how: "clean" | "tilted" | "noisy", seed: number): Promise<Scan> {
  const [W, H] = sheet.size;
  const dpi = how === "noisy" ? 150 : 200;
  const svg = toSvg(sheet.drawing, { title: "sheet", margin: 4 }).replace(
    /Barlow Condensed|Source Sans 3/g,
    "DejaVu Sans",
  );
  const perMm = Math.round(((W + 8) * dpi) / 25.4) / (W + 8);
  const flat = await sharp(Buffer.from(svg), { density: 160 })
    .resize({ width: Math.round((W + 8) * perMm) })
    .flatten({ background: how === "clean" ? "#ffffff" : "#e9e2cf" })
    .grayscale()
    .png()
    .toBuffer({ resolveWithObject: true });
  const [w0, h0] = [flat.info.width, flat.info.height];
  const tilt = how === "tilted" ? 1.5 : 0;
  const turned = await sharp(flat.data)
    .rotate(-tilt, { background: "#d9cfb8" })
    .grayscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const [w, h] = [turned.info.width, turned.info.height];
  const random = stream(seed);
  const data = new Uint8Array(w * h);
  for (let i = 0; i < data.length; i++) {
    const noise = how === "noisy" ? 22 * (random() + random() + random() + random() - 2) : 0;
    const speck = how === "noisy" && random() < 0.0006 ? -120 : 0;
    data[i] = Math.max(0, Math.min(255, turned.data[i * turned.info.channels]! + noise + speck));
  }
  const t = (tilt * Math.PI) / 180;
  const toPixel = ([x, y]: Vec2): Vec2 => {
    const [dx, dy] = [(x + 4) * perMm - w0 / 2, (H + 4 - y) * perMm - h0 / 2];
    return [w / 2 + dx * Math.cos(t) + dy * Math.sin(t), h / 2 - dx * Math.sin(t) + dy * Math.cos(t)];
  };
  return { image: { width: w, height: h, data }, toPixel, perMm };
}

export interface TrueMember {
  readonly id: string;
  readonly a: Vec2;
  readonly b: Vec2;
  readonly width: number;
}
/** Members of the sheet in other coordinates, each place once: what stands exactly behind another is not to be seen. */
export function membersOn(sheet: PlanSheet, to: (p: Vec2) => Vec2, perMm: number): TrueMember[] {
  const out: TrueMember[] = [];
  for (const m of sheet.members) {
    const t = { id: m.id, a: to(m.a), b: to(m.b), width: m.width * perMm };
    const near = (p: Vec2, q: Vec2): boolean => Math.hypot(p[0] - q[0], p[1] - q[1]) < 2;
    if (!out.some((o) => (near(o.a, t.a) && near(o.b, t.b)) || (near(o.a, t.b) && near(o.b, t.a)))) out.push(t);
  }
  return out;
}
