import { describe, expect, it } from "vitest";
import { findings } from "./checks";
import { cutTable, designOf, emptyJob, newStructure, readJobText, type JobDoc } from "./job";
import { jigSheets } from "./jigs";
import { registerSheets } from "./jigs/kindSheets";
import { line } from "./drawing";
import { feet, inches, prototype, toModel } from "./units";
import { builder } from "./structures/builder";
import type { StructureKind } from "./structures/kind";
import { kindOf, registerKind } from "./structures/registry";
import { count, defaultsOf, dto, length, section, type ParamsOf } from "./structures/spec";
import { timberOf } from "./structures/timber";

// a right-of-way fence: posts in a row and rails on their faces. All that makes it a kind stands here, and one line that makes it known.
const group = "Fence";
const spec = {
  posts: count({ group, label: "Posts", def: 4, min: 2, max: 40, help: "" }),
  spacing: length({ group, label: "Posts apart", def: feet(8), min: feet(2), max: feet(20), usual: [feet(6), feet(10)], help: "" }), // prettier-ignore
  height: length({ group, label: "Height", def: feet(4), min: feet(1), max: feet(10), usual: [feet(3), feet(6)], help: "" }), // prettier-ignore
  rails: count({ group, label: "Rails", def: 2, min: 1, max: 5, help: "" }),
  post: section({ group, label: "Post", def: "6×6", help: "" }),
  rail: section({ group, label: "Rail", def: "2×6", help: "" }),
};
type Values = ParamsOf<typeof spec>;
const fence: StructureKind = {
  id: "fence",
  name: "Fence",
  purpose: "Posts and rails along the right of way.",
  headline: [{ dimension: "height", words: "high" }],
  version: 1,
  spec,
  Params: dto(spec),
  home: "side",
  initial: () => defaultsOf(spec),
  check: (p) => {
    const v = p as Values;
    return v.rails * inches(8) > v.height ? ["So many rails do not fit; take fewer, or a higher fence."] : [];
  },
  shown: () => true,
  frame: (p, ctx) => {
    const v = p as Values;
    const b = builder(ctx.structure);
    const mm = (x: number): number => toModel(ctx.scale, prototype(x));
    const [post, rail] = [timberOf(v.post, ctx.stock(v.post)), timberOf(v.rail, ctx.stock(v.rail))];
    const posts = Array.from({ length: v.posts }, (_, i) => {
      const x = mm(v.spacing) * i;
      return b.stick({
        id: `${ctx.structure}/post${i + 1}`,
        assembly: ctx.structure,
        role: "post",
        letter: "P",
        timber: post,
        a: [x, 0, 0],
        b: [x, 0, mm(v.height)],
        up: [0, 1, 0],
        square: true,
      }).id;
    });
    for (let i = 1; i <= v.rails; i++) {
      const z = (mm(v.height) * (i - 0.5)) / v.rails;
      // along +x with its width upright its +w looks to −y
      const id = b.stick({
        id: `${ctx.structure}/rail${i}`,
        assembly: ctx.structure,
        role: "rail",
        letter: "R",
        timber: rail,
        a: [-post.v / 2, -post.v / 2, z],
        b: [mm(v.spacing) * (v.posts - 1) + post.v / 2, -post.v / 2, z],
        up: [0, 0, 1],
        seat: ["centre", "-"],
        square: true,
      }).id;
      for (const on of posts) b.join({ kind: "lap", id: `${id}>${on}`, a: id, b: on, aFace: "-w", bFace: "-v", contact: "face" }); // prettier-ignore
    }
    return b.frame();
  },
  dimensions: (p, ctx) => {
    const h = toModel(ctx.scale, prototype((p as Values).height));
    return [{ id: "height", label: "Height", param: "height", value: (p as Values).height, unit: "length", from: [0, 0], to: [0, h], side: "left", tier: 0, handles: [] }]; // prettier-ignore
  },
  centreLine: () => undefined,
  remarks: () => [],
  describe: (p) => `Fence of ${(p as Values).posts} posts`,
};
registerKind(fence);

const job = (values: Partial<Values> = {}): JobDoc => ({ ...emptyJob("Line"), structures: [newStructure("fence", "f", "Fence", values)] }); // prettier-ignore

describe("a kind that nobody else knows of", () => {
  it("is framed, cut and judged: 4 posts and 2 rails, two marks, nothing to object to", () => {
    const d = designOf(job());
    expect(d.structures[0]!.fault).toBeUndefined();
    expect(d.structures[0]!.resolved.sticks).toHaveLength(6);
    expect(d.pieces.map((p) => [p.role, p.sticks.length]).sort()).toEqual([["post", 4], ["rail", 2]]); // prettier-ignore
    expect(findings(d).filter((f) => f.level === "fault")).toEqual([]);
    expect(cutTable(d).rows.length).toBe(2);
  });
  it("says in its own sentence what cannot be", () => {
    expect(designOf(job({ rails: 5, height: feet(2) })).structures[0]!.fault).toMatch(/So many rails do not fit/);
  });
  it("is read from a job file, each value checked", () => {
    expect(readJobText(JSON.stringify(job())).doc.structures[0]!.kind).toBe("fence");
    const wrong = job();
    (wrong.structures[0]!.variants[0]!.params as Record<string, unknown>).posts = 1;
    expect(() => readJobText(JSON.stringify(wrong))).toThrow(/Posts/);
  });
  it("gets a template, or the sheets that it brings along", () => {
    expect(jigSheets(designOf(job()), "today").map((s) => s.words.title)).toEqual(["Fence: template"]);
    registerSheets("fence", () => [{ what: "post holes", drawing: { layers: [{ name: "holes", entities: [line([0, 0], [1, 0], "outline")] }] } }]); // prettier-ignore
    expect(jigSheets(designOf(job()), "today").map((s) => s.words.title)).toEqual(["Fence: post holes"]);
  });
  it("says how large it is by a dimension of its own", () => {
    const k = kindOf("fence");
    const d = designOf(job());
    const dims = k.dimensions(d.structures[0]!.variant.params, d.structures[0]!.context);
    expect(k.headline.some((h) => dims.some((x) => x.id === h.dimension))).toBe(true);
  });
});
describe("every kind", () => {
  it("has a headline that its dimensions know, and says what it is for", async () => {
    const { KINDS } = await import("./structures/all");
    for (const k of KINDS.filter((x) => x.id !== "traced")) {
      const d = designOf({ ...emptyJob("x"), structures: [newStructure(k.id, "s", "It")] }).structures[0]!;
      const ids = k.dimensions(d.variant.params, d.context).map((x) => x.id);
      expect(
        k.headline.some((h) => ids.includes(h.dimension)),
        k.id,
      ).toBe(true);
      expect(k.purpose).toMatch(/\.$/);
    }
  });
});
