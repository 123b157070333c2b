import { inkStrokes } from "./core/found/inkStrokes";
import { membersAmong } from "./core/found/members";
import { scanOf, sheetOf, membersOn, TUNING_SEEDS } from "./core/found/sheets.fixture";
import { tally, isMember } from "./core/found/score.fixture";
import sharp from "sharp";
const only = process.argv[2] ? Number(process.argv[2]) : undefined;
const hows = process.argv[3] ? [process.argv[3] as "clean"] : (["clean", "tilted", "noisy"] as const);
let [M, O, F, R] = [0, 0, 0, 0];
for (const seed of only ? [only] : TUNING_SEEDS) for (const how of hows) {
  const sheet = sheetOf(seed);
  const scan = await scanOf(sheet, how, seed);
  const t0 = Date.now();
  const s = await inkStrokes(scan.image);
  const perInch = scan.perMm * sheet.k * 3.5 / 12;
  const found = membersAmong(s, { least: 4, most: 26 * perInch, skew: 1, slack: 2.5, perInch });
  const truth = membersOn(sheet, scan.toPixel, scan.perMm);
  const t = tally(found, truth);
  M += t.members; O += t.offered; F += t.found; R += t.right;
  console.log(seed, how, JSON.stringify(t), Date.now() - t0, "ms", "px/in", perInch.toFixed(2), "missed:", truth.filter((m) => !found.some((f) => isMember(f, m))).map((m) => m.id + "(" + m.width.toFixed(1) + ")").join(" "), "wrong:", found.filter((f) => !truth.some((m) => isMember(f, m))).map((f) => `${f.width.toFixed(0)}x${Math.hypot(f.b[0]-f.a[0], f.b[1]-f.a[1]).toFixed(0)}@${f.a.map(Math.round)} ${f.score.toFixed(2)}`).join("; "));
  if (only) {
    const line = (x: any, c: string, w: number) => `<line x1="${x.a[0]}" y1="${x.a[1]}" x2="${x.b[0]}" y2="${x.b[1]}" stroke="${c}" stroke-width="${w}" opacity="0.7"/>`;
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${scan.image.width}" height="${scan.image.height}">` + s.map((x) => line(x, x.dashed ? "blue" : "green", 2)).join("") + found.map((f) => line(f, truth.some((m) => isMember(f, m)) ? "orange" : "red", Math.max(2, f.width * 0.6))).join("") + `</svg>`;
    const pts = truth.flatMap((m) => [m.a, m.b]);
    const m = 80; const x0 = Math.max(0, Math.min(...pts.map(p => p[0])) - m), y0 = Math.max(0, Math.min(...pts.map(p => p[1])) - m);
    const full = await sharp(Buffer.from(scan.image.data), { raw: { width: scan.image.width, height: scan.image.height, channels: 1 } }).toColourspace("srgb").composite([{ input: Buffer.from(svg) }]).png().toBuffer();
    await sharp(full).extract({ left: Math.round(x0), top: Math.round(y0), width: Math.round(Math.min(scan.image.width - x0 - 2, Math.max(...pts.map(p => p[0])) + m - x0)), height: Math.round(Math.min(scan.image.height - y0 - 2, Math.max(...pts.map(p => p[1])) + m - y0)) }).toFile("/tmp/found.png");
  }
}
console.log("recall", (F / M).toFixed(3), "precision", (R / O).toFixed(3));
process.exit(0);
