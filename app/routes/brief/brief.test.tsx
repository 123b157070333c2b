// @vitest-environment jsdom
import { screen, waitFor, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { JobDoc } from "core/job";
import { bare, example, openJob, setUpScreens } from "~/screen.fixture";

setUpScreens();
const open = (choices: JobDoc["stock"]["choices"] = {}) => {
  const doc = bare(example("gulch-trestle"));
  return openJob({ ...doc, stock: { ...doc.stock, choices } }, "brief");
};

describe("the brief", () => {
  it("keeps what is typed when the field is left, each as a step of its own", async () => {
    const job = await open();
    await job.type("Name", "Bridge 14");
    await job.type("Railroad", "Pellam Notch Northern");
    await job.type("Where it goes", "Behind the mill");
    await job.type("Era", "Spring 1911");
    const doc = await job.kept();
    expect([doc.name, doc.brief.railroad, doc.brief.place, doc.brief.era]).toEqual([
      "Bridge 14",
      "Pellam Notch Northern",
      "Behind the mill",
      "Spring 1911",
    ]);
    expect(screen.getByRole("heading", { level: 1 }).textContent).toBe("Bridge 14");
    for (let i = 0; i < 2; i++) await job.user.click(screen.getByRole("button", { name: /^Undo: / }));
    const before = await job.kept();
    expect([before.brief.place, before.brief.era]).not.toContain("Spring 1911");
    expect(before.brief.railroad).toBe("Pellam Notch Northern");
    expect(before.brief.place).toMatch(/^The gulch/);
  });
  it("refuses a job without a name, and leaves what was typed to be mended", async () => {
    const job = await open();
    const name = await job.type("Name", "");
    expect(job.refusal(name)).toBe("A job needs a name.");
    await job.user.type(name, "{Escape}");
    expect((name as HTMLInputElement).value).toBe("Gulch trestle");
    expect(job.refusal(name)).toBe("");
    expect((await job.kept()).name).toBe("Gulch trestle");
  });
  it.each([
    ["1180", 1180],
    ["46 1/2 in", 1181.1],
    ["1.2 m", 1200],
    ["", 0],
  ])("reads the length of the spot: %s", async (text, mm) => {
    const job = await open();
    await job.type(/^Length of the spot/, text);
    expect((await job.kept()).brief.spotLength).toBeCloseTo(mm, 6);
  });
  it.each([
    ["-3", /from 0 to 100 m|Read “-3”/],
    ["200 m", "Write a length from 0 to 100 m."],
    ["a hand", /Read “a hand”/],
  ])("refuses the length of the spot in words: %s", async (text, words) => {
    const job = await open();
    const field = await job.type(/^Length of the spot/, text);
    expect(job.refusal(field)).toMatch(words);
    expect((await job.kept()).brief.spotLength).toBe(1180);
  });
  it("takes any published scale and any ratio, and says what a foot is", async () => {
    const job = await open();
    await job.user.selectOptions(screen.getByLabelText("Scale"), "O");
    expect(job.words()).toMatch(/A foot of the prototype is 6\.350 mm/);
    await job.user.selectOptions(screen.getByLabelText("Scale"), "custom");
    const ratio = await job.type("Ratio, 1 to", "0");
    expect(job.refusal(ratio)).toBe("Read “0”; write a number from 1 to 1000, such as 43.5 for 1:43.5.");
    await job.type("Ratio, 1 to", "43,5");
    expect(job.words()).toMatch(/A foot of the prototype is 7\.007 mm/);
    expect((await job.kept()).brief.scale).toEqual({ id: "custom", ratio: 43.5 });
  });
  it("takes the stock along into another scale, says what had to give, and one undo brings all of it back", async () => {
    const job = await open({ "12×12": { item: "inch/8x8", plies: 1, along: "thickness" } });
    await job.user.selectOptions(screen.getByLabelText("Scale"), "O");
    expect(job.words()).toMatch(/What had to give/);
    expect(job.words()).toMatch(
      /12×12 is cut from Strip wood 1\/4 × 1\/4 in, 0\.0 % off, where it was Strip wood 1\/8 × 1\/8 in/,
    );
    expect((await job.kept()).stock.choices["12×12"]!.item).toBe("inch/16x16");
    await job.user.click(screen.getByRole("button", { name: "Understood" }));
    expect(job.words()).not.toMatch(/What had to give/);
    await job.user.click(screen.getByRole("button", { name: /^Undo: Change the scale/ }));
    const { brief, stock } = await job.kept();
    expect([brief.scale.id, stock.choices["12×12"]!.item]).toEqual(["HO", "inch/8x8"]);
  });
  it("tells with a change of scale what is found since: sticks that are longer than their stock now", async () => {
    const job = await openJob(bare(example("howe-truss")), "brief");
    await job.user.selectOptions(screen.getByLabelText("Scale"), "custom");
    await job.type("Ratio, 1 to", "22.5");
    const since = await screen.findByRole("region", { name: "Found since" });
    await waitFor(() => expect(since.textContent).toMatch(/4 × stringer \(S1\) need 1259\.8 mm; the longest .* short/));
  });
  it("notes a decision with its reason, changes it, and takes it away", async () => {
    const job = await open();
    await job.user.type(screen.getByLabelText("New decision"), "No bent in the creek");
    await job.user.type(screen.getByLabelText("Its reason"), "the water stays clear{Enter}");
    expect((await job.kept()).brief.decisions.at(-1)).toMatchObject({ what: "No bent in the creek", reason: "the water stays clear" }); // prettier-ignore
    expect((screen.getByLabelText("New decision") as HTMLInputElement).value).toBe("");
    await job.type("Reason 3", "the water stays open");
    expect((await job.kept()).brief.decisions[2]!.reason).toBe("the water stays open");
    const row = screen.getByLabelText("Decision 3").closest("tr")!;
    await job.user.click(within(row).getByRole("button", { name: "Remove" }));
    expect((await job.kept()).brief.decisions).toHaveLength(2);
  });
});

describe("a job for somebody else", () => {
  it("keeps whom it is for and what was agreed, and nothing of it where it is taken back", async () => {
    const job = await open();
    await job.type("Built for", "The Historical Room");
    await job.user.type(screen.getByLabelText("New decision"), "Nine bents");
    await job.user.type(screen.getByLabelText("Its reason"), "As on their photograph{Enter}");
    const tick = await screen.findByRole("checkbox", { name: "Agreed: Nine bents" });
    await job.user.click(tick);
    const { brief } = await job.kept();
    expect(brief.client).toBe("The Historical Room");
    expect(brief.decisions.at(-1)).toMatchObject({ what: "Nine bents", agreed: true });
    await job.user.click(screen.getByRole("checkbox", { name: "Agreed: Nine bents" }));
    await job.type("Built for", "");
    const after = (await job.kept()).brief;
    expect(after).not.toHaveProperty("client");
    expect(after.decisions.at(-1)).not.toHaveProperty("agreed");
    expect(screen.getByRole("button", { name: "The brief as a page (PDF)" })).toBeTruthy();
  });
});
