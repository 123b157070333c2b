import { execFileSync } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { stream } from "../cutting/stream";
import { stlBytes } from "../drawing/stl";
import { polygonArea, type Vec2 } from "../geometry";
import { common, makeJig, platesDrawing, platesFile, ringRound, solidOf, spaced, usualValues, volumeOf, WORKSHOP, workshopKind, type Area, type Made, type WorkshopKind } from "."; // prettier-ignore

const kind = (id: string): WorkshopKind => workshopKind(id)!;
const made = (id: string, more: Record<string, number> = {}): Made => makeJig(kind(id), { ...usualValues(kind(id)), ...more }); // prettier-ignore
const area = (a: Area): number => a.reduce((s, r) => s + polygonArea(r), 0);
const reach = (rings: Area, i: 0 | 1) => { const of = rings.flatMap((r) => r.map((p) => p[i])); return [Math.min(...of), Math.max(...of)] as const; }; // prettier-ignore
/** Figures over the whole of what is offered; those that are refused say why. */
function drawn(k: WorkshopKind, seed: number): Made | undefined {
  const random = stream(seed);
  const values = Object.fromEntries(k.fields.map((f) => { const x = f.min + random() ** 2 * (f.max - f.min); return [f.id, f.unit === "count" ? Math.round(x) : x]; })); // prettier-ignore
  try {
    return makeJig(k, values);
  } catch (e) {
    expect((e as Error).message).toMatch(/^[A-Z].{20,}\.$/);
    return undefined;
  }
}

describe("jigs as things, by hand", () => {
  it("a length jig stops the stick where its piece ends", () => {
    const m = made("length", { length: 61.25, wide: 4 });
    // the blade's slot ends at 0, the stop begins at the length
    const slot = m.plates[0]!.area.find((r) => polygonArea(r) < 0)!;
    expect(Math.max(...slot.map((p) => p[0]))).toBe(0);
    const stop = m.plates[1]!.area.find((r) => r.every((p) => p[0] > 61))!;
    expect(Math.min(...stop.map((p) => p[0]))).toBe(61.25);
    expect(m.words[0]).toContain("61.25 mm");
    // the stick's place, 4 mm wide from the fence, is clear
    const stick: Vec2[] = [[-15, 0], [61.25, 0], [61.25, 4], [-15, 4]]; // prettier-ignore
    expect(area(common(m.plates[1]!.area, [stick]))).toBeCloseTo(0, 6);
  });
  it("a spacer is as wide as the gap, and there are as many as wanted", () => {
    const m = made("spacer", { gap: 5.25, long: 40, high: 6, count: 3 });
    expect(area(m.plates[0]!.area)).toBeCloseTo(210, 9);
    expect(volumeOf(solidOf(m.solid))).toBeCloseTo(210 * 6, 6);
    expect(platesDrawing(m, 0).layers.find((l) => l.name === "cut-outlines")!.entities).toHaveLength(3);
  });
  it("a plank stripper cuts its plank from the fence to the slot's near edge", () => {
    const m = made("stripper", { wide: 2.3, slot: 0.4 });
    const slot = m.plates[0]!.area.find((r) => polygonArea(r) < 0)!;
    expect(reach([slot], 1).map((x) => Number(x.toFixed(9)))).toEqual([2.3, 2.7]);
    expect(reach(m.plates[1]!.area, 1)[1]).toBe(0);
  });
  it("a bending board's form is as round as the bend, tighter by what springs back, and its keepers leave the strip its room", () => {
    const m = made("bending", { radius: 150, angle: 60, thick: 1, fit: 0.2, back: 0 });
    const radii = (r: readonly Vec2[]) => r.map((p) => Math.hypot(...p));
    const [form, ...keepers] = [...m.plates[1]!.area].sort((a, b) => Math.min(...radii(a)) - Math.min(...radii(b)));
    expect(Math.max(...radii(form!))).toBeCloseTo(150, 4);
    // 60° on 151.2 mm are 158 mm: four gaps of less than 45, five keepers
    expect(keepers).toHaveLength(5);
    for (const k of keepers) expect(Math.min(...radii(k))).toBeCloseTo(151.2, 4);
    // the form is 12 wide and 1 longer at either end: a sixth of a ring from 138 to 150, and 2 mm of 150 more
    expect(area([form!])).toBeCloseTo(((Math.PI / 3 + 2 / 150) / 2) * (150 ** 2 - 138 ** 2), 0);
    expect(m.words[1]).toBe("A strip of 157.6 mm reaches from end to end.");
    const tight = made("bending", { radius: 150, back: 10 });
    expect(Math.max(...radii(tight.plates[1]!.area.reduce((a, b) => (Math.min(...radii(a)) < Math.min(...radii(b)) ? a : b))))).toBeCloseTo(135, 4); // prettier-ignore
  });
  it("a right-angle block's sides are square, and its corner is cut out", () => {
    const m = made("square", { side: 40, leg: 12 });
    // two legs of 12 on 40, less a quarter of a circle of 6
    expect(area(m.plates[0]!.area)).toBeCloseTo(40 * 12 + 28 * 12 - (Math.PI * 9) / 4, 1);
    expect(m.plates[0]!.area[0]!.some((p) => Math.hypot(...p) < 2.9)).toBe(false);
  });
  it("a mitre block's slots lean by the angle to either hand, and one is square", () => {
    const m = made("mitre", { angle: 14, wide: 4, fit: 0.2, slot: 0.4 });
    // two fences in four pieces each
    expect(m.plates[1]!.area).toHaveLength(8);
    const lower = m.plates[1]!.area.filter((r) => r.every((p) => p[1] < 1e-6));
    const lean = lower.flatMap((r) => r.map((p, i) => [p, r[(i + 1) % r.length]!] as const)).filter(([a, b]) => Math.abs(a[1] - b[1]) > 1); // prettier-ignore
    const angles = lean.map(([a, b]) => Math.abs((Math.atan2(b[0] - a[0], Math.abs(b[1] - a[1])) * 180) / Math.PI));
    expect(angles.map((x) => x.toFixed(3)).sort()).toEqual(["0.000", "0.000", "0.000", "0.000", "14.000", "14.000", "14.000", "14.000"]); // prettier-ignore
    // the channel is free for the stick and the fit
    expect(area(common(m.plates[1]!.area, [[[0, 0], [200, 0], [200, 4.2], [0, 4.2]]]))).toBeCloseTo(0, 6); // prettier-ignore
  });
  it("a drill guide spaces its holes evenly: five on 102 mm with 10 at each end are 20.5 apart", () => {
    expect(spaced(102, 10, 5)).toEqual([[10, 30.5, 51, 71.5, 92], 20.5]);
    expect(spaced(102, 10, 1)).toEqual([[51], 0]);
    expect(() => spaced(20, 10, 3)).toThrow("Margins of 10 mm leave nothing of 20 mm to divide.");
    const m = made("drill");
    const holes = m.plates[0]!.area.filter((r) => polygonArea(r) < 0).map((r) => (Math.min(...r.map((p) => p[0])) + Math.max(...r.map((p) => p[0]))) / 2).sort((a, b) => a - b); // prettier-ignore
    expect(holes.map((x) => Number(x.toFixed(6)))).toEqual([10, 30.5, 51, 71.5, 92]);
    // what is round is never tighter than its drill
    expect(Math.min(...ringRound([0, 0], 1).map((p, i, r) => { const q = r[(i + 1) % r.length]!; return Math.hypot((p[0] + q[0]) / 2, (p[1] + q[1]) / 2); }))).toBeCloseTo(0.5, 9); // prettier-ignore
  });
  it("a cradle's tubes stand clear of each other in its cups, and its tabs fill the base's slots but for the fit", () => {
    const m = made("cradle", { diameter: 30, count: 3, gap: 2, plate: 3, fit: 0.1, apart: 60 });
    const [base, comb] = m.plates;
    expect(comb!.count).toBe(2);
    const slots = base!.area.filter((r) => polygonArea(r) < 0);
    expect(slots.map((r) => -polygonArea(r)).map((x) => x.toFixed(3))).toEqual(Array(4).fill((10.1 * 3.1).toFixed(3)));
    // three tubes and two gaps between the outer cups' sides
    const top = comb!.area[0]!.filter((p) => p[1] > 22.9).map((p) => p[0]).sort((a, b) => a - b); // prettier-ignore
    expect(top.length).toBe(8);
    expect(top[6]! - top[1]!).toBeCloseTo(94, 1);
    // tabs reach a plate's thickness down
    expect(reach(comb!.area, 1)[0]).toBe(-3);
  });
  it("a coupon's slots step from two below the sheet on", () => {
    const m = made("coupon", { sheet: 1, step: 0.05, count: 8 });
    const xs = m.plates[0]!.area[0]!.filter((p) => Math.abs(p[1] - 8) < 1e-9).map((p) => p[0]).sort((a, b) => a - b); // prettier-ignore
    const widths = Array.from({ length: 8 }, (_, i) => Number((xs[2 * i + 1]! - xs[2 * i]!).toFixed(4)));
    expect(widths).toEqual([0.9, 0.95, 1, 1.05, 1.1, 1.15, 1.2, 1.25]);
    expect(m.plates[0]!.words.map((w) => w.text)).toEqual(["−0.10", "−0.05", "+0.00", "+0.05", "+0.10", "+0.15", "+0.20", "+0.25"]); // prettier-ignore
  });
});

describe("what cannot be made", () => {
  it.each([
    ["length", { length: 0 }, "Length of the piece: read 0; it may be from 1 to 600 mm."],
    ["mitre", { angle: 61 }, "Angle from square: read 61; it may be from 0 to 60°."],
    ["spacer", { count: 1.5 }, "How many: read 1.5; it may be a whole number from 1 to 50."],
    ["square", { side: 20, leg: 11 }, "A leg of 11 mm is more than half of a side of 20 mm."],
    ["drill", { count: 100 }, "Holes of 1 mm every 0.83 mm run into one another; have fewer, or a finer drill."],
    ["drill", { margin: 0.4 }, "A margin of 0.4 mm breaks the first hole out of the end; give 1.5 mm or more."],
    ["cradle", { gap: 0.5 }, "A comb needs 1 mm between two tubes to stand; read 0.5 mm."],
    ["coupon", { sheet: 0.4, step: 0.3 }, "Slots 0.3 mm apart in width leave none for a sheet of 0.4 mm."],
  ])("%s with %o", (id, more, said) => expect(() => made(id, more)).toThrow(said));
  it("a kerf that closes a slot, or is below 0", () => {
    expect(() => platesDrawing(made("stripper", { slot: 0.4 }), 0.5)).toThrow("A kerf of 0.5 mm closes a slot or hole of the base; make it wider."); // prettier-ignore
    expect(() => platesDrawing(made("spacer"), -1)).toThrow("below 0");
  });
});

describe("plates and solids over all that is offered", () => {
  it.each(WORKSHOP.map((k) => [k.id, k] as const))(
    "%s: what the kerf leaves is the plate, upper plates lie on lower ones, solids hold what their layers do",
    (_, k) => {
      let whole = 0;
      for (let seed = 1; seed <= 16; seed++) {
        const m = drawn(k, seed);
        if (!m) continue;
        whole++;
        for (const p of m.plates) {
          expect(area(p.area)).toBeGreaterThan(0);
          // no corner is written twice, so that a contour is one clean line
          const sides = p.area.flatMap((r) =>
            r.map((q, i) => Math.hypot(q[0] - r[(i + 1) % r.length]![0], q[1] - r[(i + 1) % r.length]![1])),
          );
          expect(Math.min(...sides)).toBeGreaterThan(1e-7); // prettier-ignore
        }
        m.solid.slice(1).forEach((l, i) => expect(area(common(l.area, m.solid[i]!.area))).toBeCloseTo(area(l.area), 3));
        const volume = m.solid.reduce((s, l, i) => s + area(l.area) * (l.to - (m.solid[i - 1]?.to ?? 0)), 0);
        expect(volumeOf(solidOf(m.solid)) / volume).toBeCloseTo(1, 6);
      }
      expect(whole).toBeGreaterThan(2);
    },
  );
  it.skipIf(!existsSync("/usr/bin/admesh"))("solids are closed surfaces to admesh", () => {
    const dir = mkdtempSync(join(tmpdir(), "cardo-jig-"));
    for (const k of WORKSHOP)
      for (const m of [makeJig(k, usualValues(k)), drawn(k, 3), drawn(k, 11)]) {
        if (!m) continue;
        const file = join(dir, `${k.id}.stl`);
        writeFileSync(file, stlBytes(solidOf(m.solid), k.name));
        const said = execFileSync("/usr/bin/admesh", [file], { encoding: "utf8" });
        expect(said, k.id).toMatch(/Total disconnected facets\s*:\s*0\s+0/);
        for (const what of ["Degenerate facets", "Edges fixed", "Facets removed", "Facets added", "Facets reversed", "Backwards edges"]) expect(said, `${k.id}: ${what}`).toMatch(new RegExp(`${what}\\s*:\\s*0`)); // prettier-ignore
      }
  });
  const clients = existsSync("/usr/bin/rsvg-convert") && existsSync("/usr/lib/python3/dist-packages/ezdxf");
  it.skipIf(!clients)("plates are read by ezdxf without a fault, closed, and by librsvg at their size", () => {
    const dir = mkdtempSync(join(tmpdir(), "cardo-jig-"));
    for (const k of WORKSHOP) {
      const m = makeJig(k, usualValues(k));
      writeFileSync(join(dir, "a.dxf"), platesFile(m, 0.15, "dxf", k.name));
      const script = "import ezdxf,sys\nd=ezdxf.readfile(sys.argv[1]); a=d.audit(); m=d.modelspace()\nprint(len(a.errors), d.units, sum(1 for e in m.query('LWPOLYLINE') if not e.closed and e.dxf.layer.startswith('cut')))"; // prettier-ignore
      expect(execFileSync("/usr/bin/python3", ["-c", script, join(dir, "a.dxf")], { encoding: "utf8" }).trim(), k.id).toBe("0 4 0"); // prettier-ignore
    }
    // a spacer of 40 × 5: 40 mm and the kerf and the margins at both sides are 44.15 mm, at 254 dpi ten dots each
    const one = makeJig(kind("spacer"), { ...usualValues(kind("spacer")), count: 1 });
    writeFileSync(join(dir, "a.svg"), platesFile(one, 0.15, "svg", "Spacer"));
    execFileSync("rsvg-convert", ["--dpi-x", "254", "--dpi-y", "254", "-o", join(dir, "a.png"), join(dir, "a.svg")]);
    const png = readFileSync(join(dir, "a.png"));
    expect([png.readUInt32BE(16), png.readUInt32BE(20)].map((n) => Math.round(n / 10))).toEqual([44, 9]);
  });
});
