// @vitest-environment jsdom
import { screen, waitFor } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { bare, example, openJob, setUpScreens } from "~/screen.fixture";

setUpScreens();
const open = async () => {
  const job = await openJob(bare(example("gulch-trestle")), "brief");
  await job.user.click(screen.getByRole("tab", { name: "Where it comes from" }));
  await screen.findByRole("button", { name: /^Print what/ });
  return job;
};
describe("where dimensions come from", () => {
  it("is told of each, counted, kept with its reason, and narrowed to what is to be found out", async () => {
    const job = await open();
    const [first] = screen.getAllByRole("combobox", { name: /^Where Height/ });
    expect(first).toBeTruthy();
    const named = first!.getAttribute("aria-label")!.replace(/^Where (.*) comes from$/, "$1");
    expect(job.words()).toMatch(
      /0 measured, 0 counted, 0 from plans that stand in; 0 estimated, 0 assumed, \d+ not said/,
    );
    await job.user.selectOptions(first!, "measured");
    await job.type(`${named}: which one`, "Sheet 12");
    await job.type(`${named}: why`, "The only dimensioned elevation.");
    await waitFor(() => expect(job.words()).toMatch(/1 measured, 0 counted/));
    const { sources } = (await job.kept()).structures[0]!;
    expect(Object.values(sources!)).toEqual([{ how: "measured", from: "Sheet 12", why: "The only dimensioned elevation." }]); // prettier-ignore
    await job.user.click(screen.getByLabelText("only what is to be found out"));
    expect(screen.queryByRole("combobox", { name: `Where ${named} comes from` })).toBeNull();
    await job.user.type(screen.getByLabelText("Find a dimension"), "zzz");
    expect(job.words()).toMatch(/No dimension has “zzz”/);
  });
  it("is left unsaid again", async () => {
    const job = await open();
    const [first] = screen.getAllByRole("combobox", { name: /^Where / });
    await job.user.selectOptions(first!, "assumed");
    expect(Object.keys((await job.kept()).structures[0]!.sources!)).toHaveLength(1);
    await job.user.selectOptions(first!, "");
    expect((await job.kept()).structures[0]!.sources).toEqual({});
  });
});
