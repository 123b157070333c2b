// @vitest-environment jsdom
import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { bare, example, openJob, setUpScreens } from "~/screen.fixture";

setUpScreens();
const open = async (name = "agents-cottage") => {
  const job = await openJob(bare(example(name)), "brief");
  await job.user.click(await screen.findByRole("tab", { name: "Years" }));
  await screen.findByLabelText("What to give years to");
  return job;
};

describe("the years of a job", () => {
  it("are given to what is found by name, drawn, judged against the year that is modelled, and taken back", async () => {
    const job = await open();
    await screen.findByRole("img", { name: "Cottage in 1909, from the front" });
    await job.user.type(screen.getByLabelText("What to give years to"), "nothing called so");
    await screen.findByText("Nothing of the job is called that.");
    await job.user.clear(screen.getByLabelText("What to give years to"));
    await job.user.type(screen.getByLabelText("What to give years to"), "inside stove");
    await job.user.click(await screen.findByRole("button", { name: /inside, Stove/ }));
    expect(job.refusal(await job.type("First year", "soon"))).toBe(
      "Read “soon”; write a year, such as 1909, or nothing.",
    );
    await job.type("First year", "1921");
    await waitFor(() => expect(job.words()).toMatch(/Stove was there from 1921 on, too late for 1909/));
    expect((await job.kept()).years![0]).toMatchObject({ kind: "body", from: 1921 });
    fireEvent.change(screen.getByRole("slider", { name: "Year that is shown" }), { target: { value: "1925" } });
    await screen.findByRole("img", { name: "Cottage in 1925, from the front" });
    expect(screen.getByRole("img", { name: "from 1921 on; there in 1925" })).toBeTruthy();
    await job.user.click(screen.getByRole("button", { name: "Back to it" }));
    await screen.findByRole("img", { name: "from 1921 on; not there in 1909" });
    await job.user.click(screen.getByRole("button", { name: "No years for it" }));
    await waitFor(async () => expect((await job.kept()).years).toEqual([]));
  });
  it("leave sticks out in one press, and bring them back with undo", async () => {
    const job = await open("tool-house-framed");
    await job.user.type(screen.getByLabelText("What to give years to"), "opening 1");
    await job.user.click((await screen.findAllByRole("button", { name: /opening 1/ }))[0]!);
    await job.type("Last year", "1900");
    const told = await screen.findByText(/was there until 1900, too early for/);
    await job.user.click(within(told.closest("li")!).getByRole("button", { name: "Leave it out" }));
    const { overrides } = (await job.kept()).structures[0]!.variants[0]!;
    expect(Object.values(overrides).filter((o) => o.omit).length).toBeGreaterThan(3);
    await job.user.click(screen.getByRole("button", { name: /^Undo: Leave it out/ }));
    await waitFor(async () => expect(Object.values((await job.kept()).structures[0]!.variants[0]!.overrides).filter((o) => o.omit)).toEqual([])); // prettier-ignore
  });
});
