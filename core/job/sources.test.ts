import { describe, expect, it } from "vitest";
import "../structures/all";
import { sourcePages } from "../lists/sourcePages";
import { emptyJob, newStructure } from "./create";
import { checkJob } from "./read";
import { sourceCounts, sourcedDimensions, toFindOut } from "./sources";
import type { JobDoc } from "./document";

const doc = (sources: NonNullable<JobDoc["structures"][number]["sources"]>): JobDoc => ({ ...emptyJob("x"), structures: [{ ...newStructure("trestle-bent", "b", "Bent", {}), sources }] }); // prettier-ignore
const all = (d: JobDoc) => sourcedDimensions(d.structures[0]!);

describe("where dimensions come from", () => {
  it("is asked of every dimension that has an effect, and of no choice or flag", () => {
    const d = all(doc({}));
    expect(d.length).toBeGreaterThan(10);
    expect(new Set(d.map((x) => x.path)).size).toBe(d.length);
    for (const x of d) expect(["choice", "flag", "table"]).not.toContain(x.spec.type);
    expect(d.every((x) => x.usual && toFindOut(x))).toBe(true);
    // the height of a bent that is not sway-braced has no sway brace to be known
    const bare = { ...doc({}), structures: [newStructure("trestle-bent", "b", "Bent", { sway: "none" })] };
    expect(all(bare).length).toBeLessThanOrEqual(d.length);
  });
  it("is counted, and what is measured or counted is found out", () => {
    const [a, b, c] = all(doc({})).map((x) => x.path);
    const d = all(doc({ [a!]: { how: "measured", from: "Sheet 12", why: "" }, [b!]: { how: "assumed", from: "", why: "" }, [c!]: { how: "counted", from: "boards", why: "" } })); // prettier-ignore
    expect(sourceCounts(d)).toEqual({ measured: 1, counted: 1, "stand-in": 0, estimated: 0, assumed: 1, "not said": d.length - 3 }); // prettier-ignore
    expect(d.filter(toFindOut).map((x) => x.path)).toEqual(d.map((x) => x.path).filter((p) => p !== a && p !== c));
  });
  it("is printed with room to write, for what is still to be found out alone", () => {
    const [a] = all(doc({}));
    const words = (d: JobDoc): string => sourcePages(d, "A4", "2026-05-01").pages.flatMap((p) => p.furniture.flatMap((e) => (e.kind === "text" ? [e.text] : []))).join("\n"); // prettier-ignore
    expect(words(doc({}))).toContain(a!.spec.label);
    expect(words(doc({ [a!.path]: { how: "measured", from: "", why: "" } })).split("\n")).not.toContain(a!.spec.label);
    expect(words(doc({ [a!.path]: { how: "estimated", from: "by the door", why: "" } }))).toContain(
      "estimated: by the door",
    );
    expect(words(emptyJob("x"))).toContain("Nothing is framed yet.");
  });
  it("is checked when a file is read", () => {
    expect(() => checkJob(JSON.parse(JSON.stringify(doc({ height: { how: "guessed" as never, from: "", why: "" } }))))).toThrow(/sources/); // prettier-ignore
    expect(checkJob(JSON.parse(JSON.stringify(doc({ height: { how: "measured", from: "a", why: "b" } })))).structures[0]!.sources).toEqual({ height: { how: "measured", from: "a", why: "b" } }); // prettier-ignore
  });
});
