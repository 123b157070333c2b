/**
 * Files of every format in the real browser: whole ones, broken ones, and those that are made to cost. The page stays
 * awake, each is taken in or refused in Cardo's own words within its time, and what was there stays.
 */
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { PDFDocument } from "pdf-lib";
import sharp from "sharp";
import { openDemo } from "../../scripts/demoBrowser";
import { bombs } from "./bombs";
import { seeded, type Random } from "./random";

const SLOW_MS = 45_000;
/** The longest that the page may be held. */
const HELD_MS = 1500;
/** Words that only libraries use. */
const FOREIGN = /undefined|\bnull\b|is not a|cannot read prop|\bNaN\b|\bat \w+ \(|error:|xref|unexpected|token|vips|invalid|bad |corrupt|assert|stack|heap|alloc/i; // prettier-ignore

async function seeds(): Promise<readonly { name: string; bytes: Buffer }[]> {
  const d = await PDFDocument.create();
  const p = d.addPage([300, 200]);
  for (let i = 0; i < 20; i++) p.drawLine({ start: { x: 10, y: 8 * i }, end: { x: 290, y: 150 } });
  p.drawText("BENT 4", { x: 20, y: 180 });
  const raster = sharp({ create: { width: 300, height: 200, channels: 3, background: "#eee" } });
  return [
    { name: "a.pdf", bytes: Buffer.from(await d.save()) },
    { name: "b.pdf", bytes: Buffer.from(await d.save({ useObjectStreams: false })) },
    { name: "a.dxf", bytes: readFileSync("examples/snowshed-plan.dxf") },
    {
      name: "a.svg",
      bytes: Buffer.from(
        `<svg xmlns="http://www.w3.org/2000/svg" width="300" height="200"><g transform="scale(2) rotate(3)"><path d="M1 2 L30 40 C1 2 3 4 5 6z"/><text x="4" y="5">sill</text><circle cx="3" cy="4" r="5"/></g></svg>`,
      ),
    },
    { name: "a.png", bytes: await raster.clone().png().toBuffer() },
    { name: "a.jpg", bytes: await raster.clone().jpeg().toBuffer() },
    { name: "a.webp", bytes: await raster.clone().webp().toBuffer() },
    { name: "a.tif", bytes: await raster.clone().tiff().toBuffer() },
  ];
}
/** A file with some of its bytes changed, cut off, doubled or swapped, numbers made large, or words of others put in. */
export function broken(bytes: Buffer, r: Random): Buffer {
  let out = Buffer.from(bytes);
  for (let n = r.int(1, 6); n > 0; n--) {
    const at = r.int(0, Math.max(0, out.length - 1));
    const long = r.int(1, 60);
    switch (r.int(0, 6)) {
      case 0:
        out[at] = r.int(0, 255);
        break;
      case 1:
        out = out.subarray(0, at);
        break;
      case 2:
        out = Buffer.concat([out.subarray(0, at), out.subarray(at + long)]);
        break;
      case 3:
        out = Buffer.concat([out.subarray(0, at), out.subarray(at, at + long), out.subarray(at)]);
        break;
      case 4:
        out = Buffer.from(out.toString("latin1").replace(/\d+(\.\d+)?/g, (d) => (r.int(0, 20) === 0 ? r.pick(["-1", "1e308", "99999999999", "0", "NaN"]) : d)), "latin1"); // prettier-ignore
        break;
      case 5:
        out.fill(r.int(0, 255), at, Math.min(out.length, at + long));
        break;
      default:
        out = Buffer.concat([out.subarray(0, at), Buffer.from(r.pick(["<script>", "]]>", "endstream", "\0\0\0\0", "%%EOF", "0\nSEQEND\n", "&lt;", "\u202e"])), out.subarray(at)]); // prettier-ignore
    }
  }
  return out;
}

/** Uploads `count` broken files after the bombs; `note` is told of faults. */
export async function fuzzUploads(
  count: number,
  seed: number,
  note: (what: string, where: string) => void,
): Promise<number> {
  const { page, close } = await openDemo(4981);
  const folder = mkdtempSync(join(tmpdir(), "cardo-uploads-"));
  const outside: string[] = [];
  page.on("request", (q) => {
    const { protocol, host } = new URL(q.url());
    if (!["data:", "blob:"].includes(protocol) && host !== "127.0.0.1:4981") outside.push(q.url());
  });
  page.on("dialog", (d) => (note("a dialog came up", d.message()), void d.dismiss()));
  const fresh = async (): Promise<void> => {
    await page.goto("http://127.0.0.1:4981/");
    await page.getByLabel("Name of a new job").fill("Uploads");
    await page.getByRole("button", { name: "New job" }).click();
    await page.waitForURL(/brief/);
    await page.goto(page.url().replace("brief", "drawings"));
    await page.getByRole("button", { name: "Upload a drawing" }).waitFor();
    await page.evaluate(() => {
      const w = window as unknown as { held: number };
      w.held = 0;
      let last = performance.now();
      setInterval(() => {
        const now = performance.now();
        w.held = Math.max(w.held, now - last - 20);
        last = now;
      }, 20);
    });
  };
  const once = async (name: string, bytes: Buffer, where: string): Promise<string> => {
    const drawings = page.locator("button[aria-label^='Remove the drawing']");
    const before = await drawings.count();
    await page.evaluate(() => ((window as unknown as { held: number }).held = 0));
    const from = Date.now();
    const path = join(folder, name);
    writeFileSync(path, bytes);
    await page.getByLabel("Picture", { exact: true }).setInputFiles(path);
    const said = page.getByRole("alert").first();
    let end = "";
    while (Date.now() - from < SLOW_MS && end === "") {
      if ((await page.getByRole("button", { name: "Stop", exact: true }).count()) > 0) {
        await page.waitForTimeout(30);
        continue;
      }
      if (await page.getByRole("heading", { name: "Which page?" }).count()) {
        await page.getByRole("button", { name: "Page 1", exact: true }).click();
        continue;
      }
      if ((await drawings.count()) > before) end = "taken";
      else if (await said.count()) end = await said.innerText();
      else await page.waitForTimeout(20);
    }
    const held = await page.evaluate(() => (window as unknown as { held: number }).held);
    if (end === "") {
      note("it took too long", where);
      await fresh();
    } else if (FOREIGN.test(end.replace(/“.*?”/g, "")) || (end !== "taken" && !/[.?]$/.test(end))) note(`words of others: ${end}`, where); // prettier-ignore
    if (held > HELD_MS) note(`the page was held for some time by ${name}`, `${where}, ${Math.round(held)} ms`);
    return `${end}; ${((Date.now() - from) / 1000).toFixed(1)} s, page held ${Math.round(held)} ms`;
  };
  await fresh();
  if (process.env.BOMBS !== "no")
    for (const b of await bombs())
      console.log(`${b.name}, ${(b.bytes.length / 1e6).toFixed(1)} MB: ${await once(b.name, b.bytes, b.name)}`);
  const whole = await seeds();
  for (let i = 0; i < count; i++) {
    if (i % 40 === 0) await fresh();
    const r = seeded(seed + i);
    const s = r.pick(whole);
    await once(`${i}-${s.name}`, broken(s.bytes, r), `upload ${seed + i}, ${s.name}`);
  }
  for (const url of new Set(outside)) note("a request went outside", url);
  await close();
  rmSync(folder, { recursive: true });
  return count;
}
