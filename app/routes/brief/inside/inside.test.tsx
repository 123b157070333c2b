// @vitest-environment jsdom
import { screen, waitFor, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { feet } from "core/units";
import { bare, example, openJob, setUpScreens } from "~/screen.fixture";

setUpScreens();
const open = async (name = "agents-cottage") => {
  const job = await openJob(bare(example(name)), "brief");
  await job.user.click(await screen.findByRole("tab", { name: "Inside" }));
  return job;
};
const way = () => within(screen.getByRole("region", { name: "In the way" }));
const things = async (job: Awaited<ReturnType<typeof open>>) => (await job.kept()).inside![0]!.things;

describe("the inside of a building", () => {
  it("is its room with its bodies, what is in the way, and what is seen of them from outside", async () => {
    const job = await open();
    await screen.findByRole("button", { name: "Stove" });
    expect(way().getByText("✓ Nothing is in the way.")).toBeTruthy();
    const plan = screen.getByRole("region", { name: "Plan of the room" });
    expect([...plan.querySelectorAll("[data-stick]")].map((g) => g.textContent).sort()).toEqual(["Bed", "Chair", "Shelf", "Stove", "Table"]); // prettier-ignore
    const seen = within(screen.getByRole("region", { name: "What is seen" }));
    expect(seen.getByText("Shelf").closest("li")!.textContent).toBe("Shelf not seen: it may be left out");
    expect(seen.getByText("Chair").closest("li")!.textContent).toMatch(/^Chair \d+ % through the front$/);
    // from far to the left one looks in past the front's windows no more
    await job.type(/^To the right of its middle/, "-3 m");
    await waitFor(() => expect(seen.getByText("Chair").closest("li")!.textContent).not.toMatch(/through the front$/));
    expect((await job.kept()).inside![0]!.eye).toEqual({ before: 600, right: -3000, over: 300 });
  });
  it("takes a body where there is room for it, refuses in words what cannot be, and moves it clear in one press", async () => {
    const job = await open();
    await screen.findByRole("button", { name: "Stove" });
    await job.user.selectOptions(screen.getByLabelText("What stands in it"), "counter");
    await screen.findByRole("button", { name: "Counter" });
    expect(way().getByText("✓ Nothing is in the way.")).toBeTruthy();
    expect(job.refusal(await job.type(/^To, over the floor/, "0"))).toMatch(/Its top has to be over its foot/);
    expect(job.refusal(await job.type("Turned, degrees", "round"))).toMatch(/Read “round”; write degrees/);
    await job.type(/^From the left/, "13'");
    await job.type(/^From the front/, "8'");
    await waitFor(() =>
      expect(way().getByText(/Counter stands in Table: move it .* to the (front|back)/)).toBeTruthy(),
    );
    const before = (await things(job)).at(-1)!;
    expect([before.x, before.y]).toEqual([feet(13), feet(8)]);
    while (way().queryAllByRole("button", { name: "Move it" }).length > 0) await job.user.click(way().getAllByRole("button", { name: "Move it" })[0]!); // prettier-ignore
    expect((await things(job)).at(-1)).not.toEqual(before);
    await job.user.click(screen.getByRole("button", { name: "Take it out" }));
    await waitFor(() => expect(screen.queryByRole("button", { name: "Counter" })).toBeNull());
    await job.user.click(screen.getByRole("button", { name: /^Undo: Take Counter out/ }));
    await screen.findByRole("button", { name: "Counter" });
  });
  it("has a box that slides in among the jigs, and a section", async () => {
    const job = await open();
    await job.user.click(await screen.findByRole("checkbox", { name: /in a box of card/ }));
    expect(job.refusal(await job.type(/^Left all round/, "21 mm"))).toMatch(/it may be from 0 to 20\.0 mm/);
    await job.user.click(screen.getByRole("tab", { name: "From the front" }));
    await screen.findByRole("region", { name: /^Section of the room/ });
    expect((await job.kept()).inside![0]!.box).toBe(0.5);
    await job.go("Jigs");
    await waitFor(() =>
      expect(job.words()).toMatch(/Cottage: inside, plan and section .* Cottage: box that slides in/),
    );
  });
  it("has lamps whose wires are listed in the order they are laid, and what light does at the walls", async () => {
    const job = await open();
    await screen.findByRole("button", { name: "Stove" });
    const lamps = () => within(screen.getByRole("region", { name: "Lamps" }));
    await job.user.click(lamps().getByRole("button", { name: "Hang a lamp" }));
    await job.user.click(lamps().getByRole("button", { name: "Hang a lamp" }));
    await lamps().findByRole("button", { name: "Lamp 2" });
    // of three in a row: one string of two, three wires
    expect(lamps().getByText(/^3 wires, \d+ mm in all with some to spare/)).toBeTruthy();
    expect(
      lamps()
        .getAllByRole("listitem")
        .map((l) => l.textContent)
        .filter((t) => /to/.test(t!)),
    ).toHaveLength(3);
    const doc = await job.kept();
    expect(doc.build!.lights!.lamps[0]).toMatchObject({ id: "room", count: 2, series: 3 });
    expect(doc.inside![0]!.lamps!.map((l) => l.name)).toEqual(["Lamp 1", "Lamp 2"]);
    // the plan shows them, with the wires
    const plan = screen.getByRole("region", { name: "Plan of the room" });
    expect(plan.querySelectorAll("polyline")).toHaveLength(3);
    const before = lamps().getByText(/^3 wires/).textContent;
    await job.user.selectOptions(lamps().getByLabelText("Wires go down in the corner"), "front left");
    await waitFor(() => expect(lamps().getByText(/^3 wires/).textContent).not.toBe(before));
    expect(job.refusal(await job.type(/^Up from the floor/, "-3'"))).toMatch(/Write a length from 0 to 100 m|Read/);
    await job.type(/^From the left/, "90'");
    await waitFor(() => expect(job.words()).toMatch(/Lamp 2 hangs outside the room of Cottage\./));
    await job.user.click(lamps().getByRole("button", { name: "Take it down" }));
    await waitFor(() => expect(lamps().queryByRole("button", { name: "Lamp 2" })).toBeNull());
  });
  it("is nothing where no structure has a room, which is said", async () => {
    const job = await open("gulch-trestle");
    await waitFor(() => expect(job.words()).toMatch(/No structure of this job has a room/));
  });
});
