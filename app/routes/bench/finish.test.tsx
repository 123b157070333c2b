// @vitest-environment jsdom
import { screen, waitFor, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { emptyJob, newStructure, writeJobFile } from "core/job";
import { coatsUsed } from "~/data/coatsUsed.server";
import { coats } from "~/data/drawer.server";
import { importJob } from "~/data/jobs.server";
import { bare, example, openJob, setUpScreens } from "~/screen.fixture";

setUpScreens();
const open = async (doc = bare(example("gulch-trestle"))) => {
  const job = await openJob(doc, "bench");
  await waitFor(() => expect(job.words()).toMatch(/0 of \d+ steps done/));
  return job;
};
type Job = Awaited<ReturnType<typeof open>>;
const press = async (job: Job, name: string | RegExp) => job.user.click(await screen.findByRole("button", { name }));
const tab = (job: Job, name: string) => job.user.click(screen.getByRole("tab", { name }));
const steps = () => within(screen.getByRole("navigation", { name: "Steps" })).getAllByRole("button").map((b) => b.textContent ?? ""); // prettier-ignore

describe("the finish at the bench", () => {
  it("is taken as usual, becomes a step with its own clock, and is found again with its mix in every job", async () => {
    const job = await open();
    await tab(job, "Finish");
    await waitFor(() => expect(job.words()).toMatch(/frame members 15 pieces, wood 84\.\d cm²/));
    await press(job, "Take the usual finish");
    await waitFor(() => expect(job.words()).toMatch(/1\. Weathered wood stain/));
    const mix = screen.getByLabelText("Mix of Weathered wood stain");
    await job.user.clear(mix);
    await job.user.type(mix, "Two drops of ink in a cap of alcohol");
    await job.user.tab();
    expect((await job.kept()).build!.coats[0]).toMatchObject({
      id: "stain",
      mix: "Two drops of ink in a cap of alcohol",
    });
    await tab(job, "Steps");
    await waitFor(() => expect(steps()).toHaveLength(8));
    expect(steps()[0]).toMatch(/^1\. Stain the frame members: Weathered wood stain, can be done now/);
    expect(steps()[1]).toMatch(/waits for a step before/);
    expect(job.words()).toMatch(
      /Weathered wood stain, 84\.\d cm²: dry to the touch after 20 min, to be painted over after 2 h/,
    );
    expect(screen.queryByLabelText(/Joined with/)).toBeNull();
    await press(job, "Done, start the clock");
    await waitFor(() => expect(steps()[1]).toMatch(/waits for glue/));
    await job.kept();
    expect(job.events()[0]!.bench).toMatchObject({ joining: { handle: 20, full: 120 }, coat: { name: "Weathered wood stain" } }); // prettier-ignore
    await waitFor(() =>
      expect(coatsUsed()[0]).toMatchObject({
        name: "Weathered wood stain",
        mix: "Two drops of ink in a cap of alcohol",
      }),
    );
  });
  it("says what would go wrong before it does, and takes it back when that is mended", async () => {
    const job = await open();
    await tab(job, "Finish");
    await press(job, "Take the usual finish");
    await waitFor(() => expect(job.words()).toMatch(/1\. Weathered wood stain/));
    await job.user.selectOptions(screen.getByLabelText("When the frame members are done"), "standing");
    await waitFor(() => expect(job.words()).toMatch(/Warning\. The frame members are stained after they are glued/));
    await job.user.selectOptions(screen.getByLabelText("When the frame members are done"), "loose");
    await waitFor(() => expect(job.words()).not.toMatch(/Warning\./));
    await job.user.selectOptions(screen.getByLabelText("Another coat on the frame members"), "wash");
    await waitFor(() => expect(job.words()).toMatch(/2\. Dark wash/));
    await press(job, "Take Weathered wood stain off the frame members");
    await waitFor(() => expect(job.words()).toMatch(/1\. Dark wash/));
    expect((await job.kept()).build!.finish[0]).toMatchObject({ group: "framing", coats: ["wash"] });
  });
  it("keeps one's own coats for every job", async () => {
    const job = await open();
    await tab(job, "Finish");
    await job.user.click(screen.getByText("Your own coats, for every job"));
    await job.user.type(screen.getByLabelText("Another coat"), "Mineral red");
    await press(job, "Add it");
    await waitFor(() => expect(coats().at(-1)).toMatchObject({ id: "own-mineral-red", kind: "paint" }));
    const over = await screen.findByLabelText("Mineral red: minutes to paint over");
    await job.user.clear(over);
    await job.user.type(over, "10");
    await job.user.tab();
    // refused by the server in words: it could be painted over before it is touched
    await waitFor(() => expect(coats().at(-1)!.over).toBe(720));
    await job.user.clear(screen.getByLabelText("Mineral red: minutes to touch"));
    await job.user.type(screen.getByLabelText("Mineral red: minutes to touch"), "soon");
    expect(job.refusal(await job.type("Mineral red: minutes to touch", "soon"))).toMatch(/Read “soon”; write a number/);
  });
});

describe("cautions", () => {
  it("stand beside the act they belong to, once a session", async () => {
    sessionStorage.clear();
    const job = await open();
    expect(screen.queryByRole("note")).toBeNull();
    await job.user.selectOptions(screen.getByLabelText(/Joined with/), "ca-thin");
    expect(screen.getByRole("note").textContent).toMatch(
      /^Caution\. Cyanoacrylate only with fresh air and eye protection/,
    );
    await press(job, "Understood, for this session");
    expect(screen.queryByRole("note")).toBeNull();
    await press(job, "Next ›");
    await job.user.selectOptions(screen.getByLabelText(/Joined with/), "ca-thick");
    expect(screen.queryByRole("note")).toBeNull();
    await job.user.selectOptions(screen.getByLabelText(/Joined with/), "solvent");
    expect(screen.getByRole("note").textContent).toMatch(/Solvent cement only with fresh air, away from flames/);
  });
});

describe("the order by hand", () => {
  it("refuses what cannot be built with the reason, and takes what can", async () => {
    const job = await open();
    await job.user.click(screen.getByRole("button", { name: /^4\. 8 batter posts/ }));
    await job.user.click(screen.getByText("Change the order by hand"));
    await press(job, "Earlier");
    expect(screen.getByRole("alert").textContent).toMatch(/cannot come before “Bent: 1 sill”: it lies on it, or would close its way/); // prettier-ignore
    await press(job, "Part it …");
    await job.user.clear(screen.getByLabelText("The last pieces, of 8"));
    await job.user.type(screen.getByLabelText("The last pieces, of 8"), "3");
    await press(job, "Make them a step of their own");
    await waitFor(() => expect(steps().slice(3, 5).map((s) => s.split(",")[0])).toEqual(["4. 5 batter posts", "5. 3 batter posts"])); // prettier-ignore
    await job.user.click(screen.getByRole("button", { name: /^1\. 1 cap/ }));
    await job.user.click(screen.getByText("Change the order by hand"));
    await press(job, "Later");
    await waitFor(() => expect(steps()[1]).toMatch(/^2\. 1 cap/));
    expect((await job.kept()).build!.order.map((e) => e.kind)).toEqual(["split", "move"]);
  });
  it("adds a step of one's own with its clock, and goes back to the order that was found", async () => {
    const job = await open();
    await job.user.click(screen.getByText("Change the order by hand"));
    await press(job, "Add a step after it …");
    await job.user.type(screen.getByLabelText("What is done"), "Nut castings");
    await job.user.clear(screen.getByLabelText("Rests then, min"));
    await job.user.type(screen.getByLabelText("Rests then, min"), "30");
    await press(job, "Add the step");
    await waitFor(() => expect(steps()).toHaveLength(8));
    expect(steps()[1]).toMatch(/^2\. Nut castings/);
    await press(job, /The order as it was found \(1 change by hand\)/);
    await waitFor(() => expect(steps()).toHaveLength(7));
  });
});

describe("masters and fasteners", () => {
  it("make fills of a mould with spares, and the pieces are cut no more", async () => {
    const job = await open({ ...emptyJob("Shed"), structures: [newStructure("building", "b", "Shed", {})] });
    await tab(job, "Pieces");
    const many = await screen.findByLabelText("Needed many times");
    await job.user.selectOptions(many, within(many).getAllByRole("option").find((o) => /^stud, /.test(o.textContent ?? ""))!); // prettier-ignore
    await press(job, "Make them from a master");
    await waitFor(() => expect(job.words()).toMatch(/\d+ needed and 2 to spare: \d+ fills? of 6/));
    expect(job.refusal(await job.type("At once", "none"))).toMatch(/Read “none”; write a number from 1/);
    await job.type("At once", "500");
    await waitFor(() => expect(job.words()).toMatch(/: 1 fill of 500, to be taken out 60 min later/));
    expect((await job.kept()).build!.masters[0]).toMatchObject({ role: "stud", atOnce: 500, spare: 2 });
    await tab(job, "Steps");
    await waitFor(() => expect(steps().some((x) => /Cast \d+ × S\d+ stud/.test(x))).toBe(true));
  });
  it("pin parts together, with what is wrong with that", async () => {
    const job = await open();
    await tab(job, "Pieces");
    await waitFor(() => expect(screen.getByLabelText("Where")).toBeTruthy());
    const place = within(screen.getByLabelText("Where")).getAllByRole("option").find((o) => /^batter post on sway brace/.test(o.textContent ?? ""))!; // prettier-ignore
    await job.user.selectOptions(screen.getByLabelText("Where"), place);
    await job.user.selectOptions(screen.getByLabelText("By"), "screw");
    await press(job, "Add it");
    await waitFor(() => expect(job.words()).toMatch(/Gulch trestle|Bent 4.*: \d+ holes in each part/));
    await job.type("Long", "9 mm");
    await waitFor(() =>
      expect(job.words()).toMatch(/Fault\. A screw 0\.8 mm thick and 9\.0 mm long goes through 4\.4 mm/),
    );
    await job.type("Long", "4 mm");
    await waitFor(() => expect(job.words()).not.toMatch(/Fault\. A screw/));
  });
});

describe("lights", () => {
  it("tell the resistor, the current and the wire, by hand, and what cannot be", async () => {
    const job = await open();
    await tab(job, "Lights");
    await press(job, "Add lamps");
    // (12 V − 3.1 V) ÷ 5 mA is 1,780 Ω, 1.8 kΩ of the series; 8.9 V ÷ 1,800 Ω is 4.94 mA
    await waitFor(() =>
      expect(job.words()).toMatch(
        /3 × 1 in series: a resistor of 1\.8 kΩ \(reckoned 1\.8 kΩ\), 0\.125 W; 4\.9 mA flow/,
      ),
    );
    expect(job.words()).toMatch(/All together 14\.8 mA at 12 V ?: a supply of 19 mA or more\. Wire: 2,?070 mm/);
    await job.type("In series", "4");
    await job.type("How many", "4");
    await waitFor(() =>
      expect(job.words()).toMatch(
        /4 lamps of 3\.1 V in series want 13\.4 V, and the supply gives 12: 3 at most in series/,
      ),
    );
    await job.type("Supply, V direct current", "48");
    await waitFor(() => expect(job.words()).toMatch(/no low voltage for a model/));
    expect(job.refusal(await job.type("Each, V", "many"))).toBe("Read “many”; write from 0.5 to 24.");
    expect((await job.kept()).build!.lights).toMatchObject({ supply: 48, lamps: [{ series: 4 }] });
  });
});

describe("evenings over several jobs, and the log as a book", () => {
  it("lay out another job's steps beside one's own", async () => {
    const other = { ...emptyJob("Second bent"), structures: [newStructure("trestle-bent", "b2", "Second", {})] };
    await importJob(writeJobFile({ doc: other, issues: [], files: {} }));
    const job = await open();
    await tab(job, "Evenings");
    expect(job.words()).toMatch(/in 7 steps/);
    await job.user.click(await screen.findByText("Together with other jobs"));
    await job.user.click(screen.getByLabelText("Second bent"));
    await waitFor(() => expect(job.words()).toMatch(/in 1[3-9] steps/));
    expect(job.words()).toMatch(/Second bent: Bent: 1 cap/);
    expect(job.words()).toMatch(/Gulch trestle: Bent: 1 cap|: Bent: 1 cap/);
  });
  it("offers the log as a book", async () => {
    const job = await open();
    await press(job, "Done, start the clock");
    await job.kept();
    await tab(job, "Log");
    expect(screen.getByRole("link", { name: "The log as a book (PDF)" }).getAttribute("href")).toMatch(/\/log\.pdf\?paper=/); // prettier-ignore
  });
});
