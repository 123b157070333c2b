// @vitest-environment jsdom
import { screen, waitFor, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { joinings } from "~/data/drawer.server";
import { issuesOf } from "~/data/jobs.server";
import { bare, example, openJob, server, setUpScreens } from "~/screen.fixture";
import { loader as logZip } from "./logZip";

setUpScreens();
const open = async () => {
  const job = await openJob(bare(example("gulch-trestle")), "bench");
  await waitFor(() => expect(job.words()).toMatch(/0 of 7 steps done/));
  return job;
};
type Job = Awaited<ReturnType<typeof open>>;
const press = (job: Job, name: string | RegExp) => job.user.click(screen.getByRole("button", { name }));
const steps = () => within(screen.getByRole("navigation", { name: "Steps" })).getAllByRole("button");

describe("the steps at the bench", () => {
  it("are the bent's seven; each is done, starts its clock, asks for a note, and the next one comes up", async () => {
    const job = await open();
    expect(steps().map((s) => s.textContent)).toEqual([
      "1. 1 cap, can be done now",
      "2. 1 intermediate sill, can be done now",
      "3. 1 sill, can be done now",
      "4. 8 batter posts, waits for a step before",
      "5. 2 sway braces, waits for a step before",
      "6. 2 sway braces, turned over, waits for a step before",
      "7. Place: Bent, waits for a step before",
    ]);
    await waitFor(() => expect(job.words()).toMatch(/C1 1 × cap, 49\.0 mm/));
    expect(job.words()).toMatch(/1\. Bent: 1 cap .* It comes from above, onto the template\./);
    await press(job, "Done, start the clock");
    await waitFor(() => expect(job.words()).toMatch(/Done: Bent: 1 cap .* 2\. Bent: 1 intermediate sill/));
    await press(job, "Nothing to note");
    expect(job.words()).toMatch(/1 of 7 steps done · drying: Bent: 1 cap \(in 4[45] min\)/);
    for (let i = 0; i < 4; i++) await press(job, "Done, start the clock");
    // what is turned over has to hold
    await waitFor(() => expect(steps()[5]!.textContent).toMatch(/waits for glue/));
    await press(job, "Done all the same");
    await job.kept();
    expect(job.events().map((e) => [e.kind, e.bench?.title])).toEqual(["1 cap", "1 intermediate sill", "1 sill", "8 batter posts", "2 sway braces", "2 sway braces, turned over"].map((t) => ["done", `Bent: ${t}`])); // prettier-ignore
    expect(job.events()[0]!.bench!.joining).toEqual({ name: "White glue", handle: 45, full: 1440 });
  });
  it("may be skipped with a reason, and taken back", async () => {
    const job = await open();
    await press(job, "Skip …");
    await job.user.type(screen.getByLabelText("Why it is skipped"), "bought ready");
    await press(job, "Skip it");
    await waitFor(() => expect(job.words()).toMatch(/2\. Bent: 1 intermediate sill/));
    await job.user.click(steps()[0]!);
    expect(job.words()).toMatch(/✓ Skipped: bought ready/);
    await press(job, "Not done after all");
    await waitFor(() => expect(steps()[0]!.textContent).toMatch(/can be done now/));
    await job.kept();
    expect(job.events().map((e) => e.kind)).toEqual(["skipped", "undone"]);
  });
  it("keep a length that is measured, say what is wrong with one that cannot be, and set the stop by it", async () => {
    const job = await open();
    await job.user.click(screen.getByText("Note, picture or length for this step"));
    const field = screen.getByLabelText("It is");
    await job.user.type(field, "94");
    await press(job, "Keep the length");
    expect(job.words()).toMatch(/Read 94\.00 mm; C1 is 49\.00 mm long\. Measure it again/);
    await job.user.clear(field);
    await job.user.type(field, "49.15");
    await press(job, "Keep the length");
    await waitFor(() => expect(job.words()).toMatch(/C1 is 0\.15 mm too long: trim it/));
    await job.user.click(screen.getByRole("tab", { name: "Pieces" }));
    expect(job.words()).toMatch(/C1 comes out 0\.15 mm too long : set the stop to 48\.85 mm for the next/);
    await job.user.click(screen.getByRole("tab", { name: "Log" }));
    expect(job.words()).toMatch(/Measured: Bent: 1 cap; C1 is 49\.15 mm, planned 49\.00 mm/);
  });
  it("are noted while the server is away, and kept when it is back", async () => {
    const job = await open();
    server.away = true;
    await press(job, "Done, start the clock");
    await press(job, "Note, picture or length");
    await job.user.type(screen.getAllByLabelText("Note")[0]!, "The cap split; a new one.");
    await job.user.click(screen.getAllByRole("button", { name: "Note it" })[0]!);
    await waitFor(() => expect(job.words()).toMatch(/The server does not answer/));
    expect(issuesOf(job.id)).toEqual([]);
    server.away = false;
    await waitFor(() => expect(issuesOf(job.id).map((i) => [i.kind, i.bench?.text])).toEqual([["done", undefined], ["note", "The cap split; a new one."]])); // prettier-ignore
    const zip = await logZip({ params: { job: job.id } } as never).arrayBuffer();
    expect(Buffer.from(zip).subarray(0, 2).toString()).toBe("PK");
  });
  it("are large for the bench, nothing but the step and its buttons", async () => {
    const job = await open();
    await press(job, "Large, for the bench");
    expect(screen.queryByRole("navigation", { name: "Steps" })).toBeNull();
    await press(job, "Next ›");
    expect(job.words()).toMatch(/2\. Bent: 1 intermediate sill/);
    await press(job, "Leave large view");
    expect(steps()).toHaveLength(7);
  });
});

describe("the evenings", () => {
  it("lay the build out over the times one has, as a list for the wall and a calendar", async () => {
    const job = await open();
    await job.user.click(screen.getByRole("tab", { name: "Evenings" }));
    expect(job.words()).toMatch(/About \d+ hours of work in 7 steps, done on \w{3} \w{3} \d\d \d{4}/);
    expect(screen.getAllByText("Bent: 8 batter posts")).toHaveLength(1);
    const list = () => screen.getAllByRole("heading", { level: 2 }).map((h) => h.textContent!.slice(0, 3));
    expect(list().every((d) => ["Tue", "Thu", "Sat"].includes(d))).toBe(true);
    for (let n = 0; n < 3; n++) await job.user.click(screen.getAllByRole("button", { name: "Remove" })[0]!);
    expect(job.words()).toMatch(/Tell when you have time/);
    await press(job, "Another time");
    expect(list().every((d) => d === "Sun")).toBe(true);
    await job.user.selectOptions(screen.getByLabelText("Day 1"), "1");
    expect(list().every((d) => d === "Mon")).toBe(true);
  });
});

describe("pieces and glues at the bench", () => {
  it("put one that broke back on the cut list", async () => {
    const job = await open();
    await job.go("Cutting");
    await job.user.click(screen.getAllByRole("button", { name: "Mark as cut" })[0]!);
    await job.kept();
    await job.go("Bench");
    await job.user.click(screen.getByRole("tab", { name: "Pieces" }));
    await waitFor(() => expect(job.words()).toMatch(/1 of 15 pieces are cut and fit/));
    await press(job, "One broke");
    await waitFor(() => expect(job.words()).toMatch(/Nothing is cut yet/));
    await job.kept();
    expect(job.events().map((e) => [e.kind, e.sticks])).toEqual([["cut", ["gulch/bent/cap"]], ["lost", ["gulch/bent/cap"]]]); // prettier-ignore
  });
  it("keep the times of glues for every job, and take one of one's own", async () => {
    const job = await open();
    await job.user.click(screen.getByRole("tab", { name: "Glues" }));
    const handle = screen.getByLabelText("White glue: handle, minutes");
    await job.user.clear(handle);
    await job.user.type(handle, "20");
    await job.user.tab();
    await waitFor(() => expect(joinings().find((j) => j.id === "white")!.handle).toBe(20));
    await job.user.type(screen.getByLabelText("Another glue"), "Hide glue");
    await press(job, "Add it");
    await waitFor(() => expect(joinings().at(-1)).toMatchObject({ id: "own-hide-glue", name: "Hide glue" }));
    await job.user.click(screen.getByRole("tab", { name: "Steps" }));
    expect(job.words()).toMatch(/handle after 20 min/);
    await job.user.selectOptions(screen.getByLabelText(/Joined with/), "own-hide-glue");
    expect(job.words()).toMatch(/handle after 30 min/);
  });
});

describe("what a step is joined with", () => {
  it("is kept with the job, taken for all steps of its material in one press, judged, and undone", async () => {
    const job = await open();
    const select = (): HTMLSelectElement => screen.getByLabelText<HTMLSelectElement>(/Joined with/);
    expect(screen.queryByRole("button", { name: /of this material so/ })).toBeNull();
    await job.user.selectOptions(select(), "solvent");
    const [own] = (await job.kept()).build!.glues!;
    expect(own).toMatchObject({ with: "solvent", name: "Solvent cement" });
    await waitFor(() => expect(job.words()).toMatch(/is joined with solvent cement, which does not hold wood or card/));
    await press(job, "Next ›");
    expect(select().value).toBe("white");
    await press(job, "‹ Back");
    await job.user.selectOptions(select(), "aliphatic");
    await waitFor(() => expect(job.words()).not.toMatch(/does not hold wood/));
    await job.user.click(await screen.findByRole("button", { name: /^Join all \d+ others of this material so$/ }));
    await press(job, "Next ›");
    await waitFor(() => expect(select().value).toBe("aliphatic"));
    expect((await job.kept()).build!.glues!.map((g) => [g.step === own!.step, g.instead, g.with])).toEqual([[true, undefined, "aliphatic"], [false, "white", "aliphatic"]]); // prettier-ignore
    await job.user.click(screen.getByRole("button", { name: /^Undo: Join all such steps/ }));
    await waitFor(() => expect(select().value).toBe("white"));
  });
});
