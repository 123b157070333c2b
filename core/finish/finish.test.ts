import { describe, expect, it } from "vitest";
import { boundsOfDrawing } from "../drawing";
import { demo, finished } from "../buildOrder/built.fixture";
import { designOf, emptyJob, newStructure } from "../job";
import { COATS, edgeMasks, finishGroupOf, finishParts, glueFaces, gluedArea, maskDrawing, quantities, readCoats, surfaceOf, usualFinish } from "."; // prettier-ignore

describe("groups", () => {
  it("take every stick of a house but its panes, by what it is", () => {
    const d = designOf(demo("agents-cottage"));
    for (const s of d.structures)
      for (const k of s.resolved.sticks) expect(finishGroupOf(k) === undefined).toBe(k.member.role === "glazing");
    const of = (role: string) => { const k = d.structures.flatMap((s) => s.resolved.sticks).find((x) => x.member.role === role); return k && finishGroupOf(k); }; // prettier-ignore
    expect([of("core sheet"), of("casing"), of("roof sheet"), of("door boards"), of("shutter")]).toEqual(["walls", "trim", "roof", "openings", "openings"]); // prettier-ignore
  });
});

describe("surfaces", () => {
  const one = (kind: string, values: object, role: string) => designOf({ ...emptyJob("x"), structures: [newStructure(kind, "s", "S", values as never)] }).structures[0]!.resolved.sticks.find((k) => k.member.role === role)!; // prettier-ignore
  it("of a square-cut stick are its four sides and two ends", () => {
    const cap = one("trestle-bent", {}, "cap");
    const long = (cap.member.body as unknown as { a: number[]; b: number[] }).b[1]! - (cap.member.body as unknown as { a: number[]; b: number[] }).a[1]!; // prettier-ignore
    const beyond = cap.member.ends.reduce((t, e) => t + (e?.beyond ?? 0), 0);
    const l = Math.abs(long) + beyond;
    const [v, w] = cap.size;
    expect(surfaceOf(cap)).toBeCloseTo(2 * (v + w) * l + 2 * v * w, 3);
  });
  it("of a sheet are both faces without its openings, and its rim", () => {
    const k = one("sheet", { roof: "flat", openings: [] }, "core sheet");
    const body = k.member.body as unknown as { outline: [number, number][]; thickness: number };
    const xs = body.outline.map((p) => p[0]);
    const ys = body.outline.map((p) => p[1]);
    const [w, h] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
    expect(surfaceOf(k) / (2 * w * h + 2 * (w + h) * body.thickness)).toBeCloseTo(1, 2);
  });
});

describe("a finish", () => {
  it("as usual stains wood, primes plastic, and has a coat for every group; what was decided stays", () => {
    const doc = demo("company-store");
    const d = designOf(doc);
    expect(finishParts(d).every((p) => !p.decided && p.coats.length === 0)).toBe(true);
    const own = { ...COATS[2]!, name: "Oxide red, my own" };
    const first = usualFinish(d, [own]);
    expect(first.coats.find((c) => c.id === "body")).toEqual(own);
    const kept = {
      structure: d.structures[0]!.structure.id,
      group: "walls" as const,
      when: "standing" as const,
      coats: [],
    };
    const again = usualFinish(designOf({ ...doc, build: { ...first, finish: [kept] } }));
    expect(again.finish.find((f) => f.group === "walls" && f.structure === kept.structure)).toEqual(kept);
    for (const p of finishParts(finished(doc))) {
      expect(p.decided && p.coats.length > 0).toBe(true);
      if (p.material === "styrene") expect(p.coats[0]!.kind).toBe("primer");
    }
  });
  it("takes as much of a coat as its groups have surface: hand reckoning, a third lost", () => {
    const parts = finishParts(finished(demo("tool-house-framed")));
    for (const q of quantities(parts)) {
      const mine = parts.filter((p) => p.coats.some((c) => c.id === q.coat.id));
      const area = mine.reduce((t, p) => t + p.area * p.coats.filter((c) => c.id === q.coat.id).length, 0);
      expect(q.area).toBeCloseTo(area, 6);
      expect(q.millilitres).toBeCloseTo((area / 100 / q.coat.covers) * (4 / 3), 9);
    }
  });
  it.each<[string, unknown, RegExp]>([
    ["nothing", [], /one to two hundred/],
    ["no name", [{ ...COATS[0], name: " " }], /a name and an id of its own/],
    ["one id twice", [COATS[0], COATS[0]], /a name and an id of its own/],
    ["no sort", [{ ...COATS[0], kind: "varnish" }], /“varnish” is no sort of coat; write stain, primer/],
    ["a time that is none", [{ ...COATS[0], touch: -1 }], /touch reads -1; write a number from 0/],
    ["painted over before it is touched", [{ ...COATS[0], touch: 90, over: 60 }], /painted over after 60 minutes, before it can be touched after 90/],
  ])("refuses a list of coats with %s", (_, raw, words) => expect(() => readCoats(raw)).toThrow(words)); // prettier-ignore
  it("keeps the list it begins with", () => expect(readCoats(JSON.parse(JSON.stringify(COATS)))).toEqual(COATS));
});

describe("masks", () => {
  const d = finished(demo("tool-house-framed"));
  const s = d.structures[0]!;
  const part = (group: string) => finishParts(d).find((p) => p.group === group)!;
  it("are for faces that lie on another stick, never larger than the piece, and none for stain", () => {
    expect(glueFaces(s, part("framing"))).toEqual([]);
    const trim = part("trim");
    const faces = glueFaces(s, trim);
    expect(faces.length).toBeGreaterThan(trim.sticks.length);
    for (const f of faces) expect(trim.sticks.some((k) => k.id === f.stick)).toBe(true);
    expect(gluedArea(faces)).toBeGreaterThan(0.05 * trim.area);
    expect(gluedArea(faces)).toBeLessThan(0.6 * trim.area);
  });
  it("of a lap are as large as the crossing: a sway brace on a post, by hand", () => {
    const bent = finished(demo("gulch-trestle"), (b) => ({ ...b, finish: b.finish.map((f) => ({ ...f, coats: ["primer"] })), coats: COATS.slice(0, 2) })); // prettier-ignore
    const faces = glueFaces(bent.structures[0]!, finishParts(bent)[0]!);
    const stick = new Map(bent.structures[0]!.resolved.sticks.map((k) => [k.id, k] as const));
    const brace = faces.find((f) => stick.get(f.stick)!.member.role === "sway brace" && stick.get(f.other)!.member.role === "batter post")!; // prettier-ignore
    const [a, b] = [stick.get(brace.stick)!, stick.get(brace.other)!];
    const cos = Math.abs(a.axes.u[0] * b.axes.u[0] + a.axes.u[1] * b.axes.u[1] + a.axes.u[2] * b.axes.u[2]);
    // two strips that cross at an angle share the product of their widths over its sine
    const [wide, post] = [Math.max(...a.size), Math.max(...b.size)];
    expect(brace.patch.area).toBeCloseTo((wide * post) / Math.sqrt(1 - cos * cos), 2);
    // each contact is a face of both
    expect(faces.filter((f) => f.stick === brace.other && f.other === brace.stick)).toHaveLength(1);
  });
  it("are drawn at full size, each once with how many", () => {
    const shop = finished(demo("company-store"));
    const drawing = maskDrawing(
      shop.structures[0]!,
      finishParts(shop).find((p) => p.group === "trim")!,
      shop.pieces,
    )!;
    const { min, max } = boundsOfDrawing(drawing) as unknown as { min: number[]; max: number[] };
    expect(max[0]! - min[0]!).toBeLessThan(230);
    const words = drawing.layers
      .find((l) => l.name === "words")!
      .entities.map((e) => (e.kind === "text" ? e.text : ""));
    expect(words.some((w) => /^\d+ × for /.test(w))).toBe(true);
    expect(maskDrawing(s, part("framing"), d.pieces)).toBeUndefined();
  });
  it("cover trim while a wall of another colour is painted on its board", () => {
    const masks = edgeMasks(s, finishParts(d));
    for (const m of masks) expect(m.what).toMatch(/^to cover on .* while the (walls and siding|roof) are painted$/);
    const standing = finished(demo("company-store"), (b) => ({ ...b, finish: b.finish.map((f) => (f.group === "walls" ? { ...f, when: "standing" } : f)) })); // prettier-ignore
    expect(edgeMasks(standing.structures[0]!, finishParts(standing)).length).toBeGreaterThan(0);
  });
});

describe("masks of panels that are alike", () => {
  it("stand once, with how many, as many faces as are glued", () => {
    const d = finished(demo("agents-cottage"));
    const s = d.structures[0]!;
    const trim = finishParts(d).find((p) => p.group === "trim" && p.structure === s.structure.id)!;
    const words = maskDrawing(s, trim, d.pieces)!.layers.find((l) => l.name === "words")!.entities.flatMap((e) => (e.kind === "text" ? [e.text] : [])); // prettier-ignore
    const faces = words.filter((w) => / (face|back): /.test(w));
    expect(faces.some((w) => /^7 × RC1 face: 1 mask$/.test(w))).toBe(true);
    const told = faces.reduce((n, w) => n + Number(/^(\d+) ×/.exec(w)?.[1] ?? 1) * Number(/: (\d+) mask/.exec(w)![1]), 0); // prettier-ignore
    const panels = new Map(trim.sticks.filter((k) => k.member.body.shape === "panel").map((k) => [k.id, k] as const));
    const lying = glueFaces(s, trim).filter((f) => f.patch.area >= 2 && panels.has(f.stick) && Math.abs(f.patch.plane.n.reduce((t, x, i) => t + x * panels.get(f.stick)!.axes.w[i]!, 0)) > 0.999); // prettier-ignore
    expect(told).toBe(lying.length);
  });
});
