import { beforeEach, describe, expect, it, vi } from "vitest";

/** The registry and what stands on it, as a page has them before anything was loaded. */
const page = async () => ({
  ...(await import("./registry")),
  ...(await import("../job/create")),
  ...(await import("../job/design")),
});

describe("kinds that are loaded when a job needs them", () => {
  beforeEach(() => void vi.resetModules());
  it("says of a kind that was not loaded that it was not, and of an unknown one which are known", async () => {
    const { kindOf, kindsAtHand, facesAtHand } = await page();
    expect([kindsAtHand(["building"]), facesAtHand(["building"])]).toEqual([false, false]);
    expect(() => kindOf("building")).toThrow(/was not loaded/);
    expect(() => kindOf("lighthouse")).toThrow(/“lighthouse” is no kind .*known are trestle-bent, trestle, truss/);
    // no loading would help with that one
    expect(kindsAtHand(["lighthouse"])).toBe(true);
  });
  it("loads the face of a building alone: its parameters and dimensions are there, its sticks are not", async () => {
    const { kindOf, framerOf, kindsAtHand, facesAtHand, loadFaces, newStructure, emptyJob, designOf } = await page();
    await loadFaces(["building"]);
    expect([kindsAtHand(["building"]), facesAtHand(["building"])]).toEqual([false, true]);
    expect(kindOf("building").spec.length).toMatchObject({ type: "length", group: "Plan" });
    expect(() => framerOf("building")).toThrow(/was not loaded/);
    const job = { ...emptyJob("Depot"), structures: [newStructure("building", "s", "Shed", {})] };
    const shed = designOf(job).structures[0]!;
    expect(shed.kind.dimensions(shed.variant.params, shed.context).length).toBeGreaterThan(3);
    // that its sticks cannot be made yet is no fault of its values, and is not held on to
    expect(() => shed.resolved).toThrow(/was not loaded/);
    expect(() => shed.fault).toThrow(/was not loaded/);
    const { loadKinds } = await page();
    await loadKinds(["building"]);
    expect(shed.fault).toBeUndefined();
    expect(shed.resolved.sticks.length).toBeGreaterThan(50);
    expect("frame" in kindOf("building")).toBe(true);
  });
  it("loads the whole of a kind that has no face of its own", async () => {
    const { framerOf, loadFaces } = await page();
    await loadFaces(["trestle-bent", "trestle-bent"]);
    expect(framerOf("trestle-bent").frame).toBeTypeOf("function");
  });
});
