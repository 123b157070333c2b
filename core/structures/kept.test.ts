import { describe, expect, it } from "vitest";
import "./all";
import kept from "./kept.json";
import { cameOf, specDigest, type KeptKind } from "./kept.fixture";
import { KIND_IDS, framerOf } from "./registry";

// Structures of every kind as their version framed them. What comes otherwise was broken, or changed on purpose: then the
// kind's version counts up, so that jigs printed before are told as out of date, and they are kept anew by
// npm run keep, which makes what ships of the kinds anew as well: the schema, the starts' pictures
describe("what was framed before is framed the same, or the kind's version says so", () => {
  for (const id of KIND_IDS.filter((k) => k !== "traced"))
    describe(id, () => {
      const { version, spec, cases } = (kept as unknown as Record<string, KeptKind>)[id]!;
      const kind = framerOf(id);
      it("is of the version they were kept at, with the parameters it had", () => {
        expect(kind.version, "kept anew after the version counted up?").toBe(version);
        expect(specDigest(kind), "a parameter's default, limits or choices changed; keep them anew").toBe(spec);
      });
      it.each(cases.map((c, i) => [i + 1, c] as const))("structure %d", (_, c) => {
        expect(cameOf(kind, c.params, c.bench)).toBe(c.came);
      });
    });
});
