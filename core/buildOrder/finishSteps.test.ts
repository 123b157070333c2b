import { describe, expect, it } from "vitest";
import { assemblyOf } from "../assembly";
import { replay } from "../assembly/replay.fixture";
import { designOf } from "../job";
import { at, built, but, demo, finished, outOfOrder } from "./built.fixture";
import { comesAfter } from "./partialOrder";
import { orderMistakes } from "./mistakes";

const house = demo("tool-house-framed");
const store = demo("company-store");
const after = (a: { readonly steps: readonly { readonly id: string; readonly after: readonly string[] }[] }) => new Map(a.steps.map((x) => [x.id, new Set(x.after)] as const)); // prettier-ignore

describe("an order with its finish", () => {
  it("is the order of assembly as it was while nothing was decided", () => {
    const d = designOf(house);
    const { a, s } = built(d);
    expect(a).toEqual(assemblyOf(s));
  });
  it("has every stick of a group in one chain of each coat, and stays an order that can be built", () => {
    for (const doc of [house, store, demo("gulch-trestle")]) {
      const d = finished(doc);
      d.structures.forEach((_, n) => {
        const { a, s, parts } = built(d, n);
        expect(outOfOrder(a.steps)).toEqual([]);
        expect(replay(s.resolved, a)).toEqual([]);
        for (const p of parts.filter((x) => x.structure === s.structure.id))
          for (const c of p.coats) {
            const coated = a.steps.filter((x) => x.coat?.id === c.id && x.id.includes(`/finish/${p.group}/`)).flatMap((x) => x.sticks); // prettier-ignore
            expect([...coated].sort()).toEqual(p.sticks.map((k) => k.id).sort());
          }
      });
    }
  });
  it("stains loose wood before any of it is joined, and primes before it paints", () => {
    const { a } = built(finished(house));
    const stain = a.steps[at(a.steps, /^Stain the frame members/)]!;
    const joined = a.steps.filter((x) => !x.coat && x.sticks.some((k) => stain.sticks.includes(k)));
    expect(joined.length).toBeGreaterThan(20);
    const order = after(a);
    for (const x of joined) expect(comesAfter(order, x.id, stain.id)).toBe(true);
    for (const paint of a.steps.filter((x) => x.coat?.id === "body")) {
      const primer = a.steps.find((x) => x.coat?.kind === "primer" && x.unit === paint.unit && x.sticks.join() === paint.sticks.join())!; // prettier-ignore
      expect(paint.after).toEqual([primer.id]);
    }
  });
  it("paints a wall on its board when all of its boards are on, and before it is lifted", () => {
    const { a } = built(finished(house));
    const order = after(a);
    const walls = a.steps.filter((x) => x.coat?.id === "body");
    expect(walls.map((x) => x.unit).sort()).toEqual(["Back wall", "Front wall", "Left end", "Right end"]);
    for (const w of walls) {
      const boards = a.steps.filter((x) => x.place === "board" && x.unit === w.unit && x.sticks.some((k) => w.sticks.includes(k))); // prettier-ignore
      const place = a.steps.find((x) => x.place === "join" && x.unit === w.unit)!;
      for (const b of boards) expect(comesAfter(order, w.id, b.id)).toBe(true);
      expect(comesAfter(order, place.id, w.id)).toBe(true);
    }
  });
  it("puts the panes in after the sash is painted where it is painted loose, and tells where layers shut them in before", () => {
    const { a, s } = built(finished(store));
    const order = after(a);
    const glass = a.steps.filter((x) => !x.coat && x.sticks.some((k) => s.resolved.sticks.find((o) => o.id === k)!.member.role === "glazing")); // prettier-ignore
    expect(glass.length).toBeGreaterThan(4);
    const sash = a.steps.filter((x) => x.coat?.id === "sash");
    expect(sash.length).toBeGreaterThan(0);
    for (const g of glass) for (const p of sash) expect(comesAfter(order, p.id, g.id)).toBe(false);
    const board = built(finished(store, but("openings", { when: "board" })));
    expect(orderMistakes(board.s, board.a, board.parts).map((m) => m.key)).toContain(`${s.structure.id}:glazing:openings`); // prettier-ignore
  });
  it("paints what stands before the roof closes it, where that can be", () => {
    const { a } = built(finished(house, but("walls", { when: "standing" })));
    const [walls, roof] = [at(a.steps, /^Paint the walls/), at(a.steps, /roof boards?$/)];
    expect(walls).toBeGreaterThan(0);
    expect(walls).toBeLessThan(roof);
  });
  it("reckons the area of what is coated: a bent's timbers, all round, by hand", () => {
    const { a, s } = built(finished(demo("gulch-trestle")));
    const stain = a.steps.find((x) => x.coat)!;
    // of each stick the sides of its box and both ends, less what slanted ends take
    const box = s.resolved.sticks.reduce((t, k) => { const l = Math.hypot(...[0, 1, 2].map((i) => (k.member.body as unknown as { a: number[]; b: number[] }).b[i]! - (k.member.body as unknown as { a: number[]; b: number[] }).a[i]!)); return t + 2 * (k.size[0] + k.size[1]) * l + 2 * k.size[0] * k.size[1]; }, 0); // prettier-ignore
    expect(stain.coat!.area / box).toBeGreaterThan(0.9);
    expect(stain.coat!.area / box).toBeLessThan(1.1);
  });
});

describe("mistakes of order and finish", () => {
  const keys = (b: ReturnType<typeof built>): string[] => orderMistakes(b.s, b.a, b.parts).filter((m) => m.level !== "remark").map((m) => m.key.split(":").slice(1).join(":")); // prettier-ignore
  it("are none in the usual finish of a framed house", () => {
    expect(keys(built(finished(house)))).toEqual([]);
  });
  it.each<[string, Parameters<typeof but>, string, RegExp]>([
    ["stain after white glue", ["framing", { when: "standing" }], "stain:framing", /does not take where white glue was\. Stain them loose, or tint the glue/],
    ["stain over primer", ["framing", { coats: ["primer", "stain"] }], "stain-over:framing", /comes over Grey primer .* bare wood first/],
  ])("%s", (_, change, key, words) => {
    const b = built(finished(house, but(...change)));
    expect(keys(b)).toContain(key);
    expect(orderMistakes(b.s, b.a, b.parts).find((m) => m.key.endsWith(key))!.text).toMatch(words);
  }); // prettier-ignore
  it("tell slick plastic without primer, stain on plastic, and panes that are in before the paint", () => {
    expect(keys(built(finished(store, but("openings", { coats: ["sash"] }))))).toContain("primer:openings");
    expect(keys(built(finished(store, but("openings", { coats: ["stain"] }))))).toContain("stain-plastic:openings");
    const late = built(finished(store, but("openings", { when: "standing" })));
    expect(keys(late)).toContain("glazing:openings");
    expect(keys(built(finished(store)))).not.toContain("glazing:openings");
  });
  it("tell pieces that are glued where they are painted, and none for stain", () => {
    const b = built(finished(house));
    const bare = orderMistakes(b.s, b.a, b.parts).filter((m) => m.key.includes(":bare:"));
    expect(bare.map((m) => m.key.split(":").at(-1)).sort()).toEqual(["roof", "trim", "walls"]);
  });
});
