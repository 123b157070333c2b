// @vitest-environment jsdom
import { screen, waitFor, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { openExample, setUpScreens, type OpenJob } from "~/screen.fixture";

setUpScreens();
const open = (): Promise<OpenJob> => openExample("gulch-trestle", "drawings");
const tab = async (job: OpenJob, name: string): Promise<void> => {
  await screen.findByRole("toolbar", { name: "Tools" });
  await job.user.click(screen.getByRole("tab", { name }));
};
const drawing = async (job: OpenJob) => (await job.kept()).drawings[0]!;

describe("a drawing", () => {
  it("says its scale, its measures with both worlds' lengths, and how far they can be trusted", async () => {
    const job = await open();
    expect(job.words()).toMatch(/Plan sheet 12/);
    expect(job.words()).not.toMatch(/NaN|undefined|Infinity/);
    const d = await drawing(job);
    await tab(job, "Measures");
    // the cap of the sheet: 14 ft, 49 mm in HO
    expect(job.words()).toMatch(/Cap, end to end .*14′-0″ · 49\.0\d mm on the model/);
    for (const m of d.measures) expect(job.words()).toContain(m.name);
    await tab(job, "Scale");
    for (const k of d.calibration!.lengths) expect(job.words()).toContain(k.name);
  });
  it("has its known lengths corrected, and refuses nothing as a length", async () => {
    const job = await open();
    await tab(job, "Scale");
    const known = (await drawing(job)).calibration!.lengths[0]!;
    const field = screen.getAllByLabelText(new RegExp(known.name.replace(/[^a-zA-Z0-9 ]/g, ".")), { selector: "input" })[0]!; // prettier-ignore
    await job.user.clear(field);
    await job.user.type(field, "0{Tab}");
    expect(job.refusal(field)).not.toBe("");
    await job.user.clear(field);
    await job.user.type(field, "22 ft{Tab}");
    expect((await drawing(job)).calibration!.lengths[0]!.length).toBeCloseTo(22 * 304.8, 6);
  });
  it("is renamed, and taken away only with the way back", async () => {
    const job = await open();
    await tab(job, "Measures");
    await job.type("Name", "Sheet twelve");
    expect((await drawing(job)).name).toBe("Sheet twelve");
    await job.user.click(screen.getByRole("button", { name: "Remove the drawing Sheet twelve" }));
    await waitFor(async () => expect((await job.kept()).drawings).toHaveLength(0));
    await job.user.click(screen.getByRole("button", { name: /^Undo: / }));
    expect((await drawing(job)).name).toBe("Sheet twelve");
  });
  it("has tools that Escape leaves, each saying what to press", async () => {
    const job = await open();
    await tab(job, "Measures");
    const tools = within(screen.getByRole("toolbar", { name: "Tools" }));
    const said = new Set<string>();
    for (const b of tools.getAllByRole("button")) {
      await job.user.click(b);
      said.add(/(Press|Drag|Point) [^.]*\./.exec(job.words())?.[0] ?? "");
      await job.user.keyboard("{Escape}");
    }
    expect(tools.getAllByRole("button").length).toBeGreaterThan(3);
    expect(said.size).toBeGreaterThan(1);
    expect((await job.kept()).drawings).toHaveLength(1);
  });
});
