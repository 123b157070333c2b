// @vitest-environment jsdom
import { screen, waitFor } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { emptyJob, newStructure, type JobDoc } from "core/job";
import { feet } from "core/units";
import { openJob, setUpScreens } from "~/screen.fixture";

setUpScreens();
const PLAIN = { length: feet(24), width: feet(16), roof: "none", floor: "none", siding: "none", foundation: "none", casings: false, openings: [] }; // prettier-ignore
const doc = (): JobDoc => ({ ...emptyJob("Yard"), brief: { ...emptyJob("Yard").brief, spotLength: 400, spotDepth: 200 }, structures: [{ ...newStructure("building", "s", "Depot", PLAIN), place: { x: 0, y: -70, z: 0, turn: 0 } }] }); // prettier-ignore
const open = async () => {
  const job = await openJob(doc(), "brief");
  await job.user.click(screen.getByRole("tab", { name: "Plan of the spot" }));
  await screen.findByText(/ of \d placed/);
  return job;
};

describe("tracks on the spot", () => {
  it("are added, typed and told; a car that touches a structure is found, and one press cures it", async () => {
    const job = await open();
    await job.user.click(screen.getByRole("button", { name: "Add a track" }));
    await job.type("Name", "Team track");
    await job.user.selectOptions(screen.getByLabelText("Longest car on it"), "coach-85");
    // an 85 ft car is 10 ft wide: 35.0 mm in HO
    expect(job.words()).toMatch(/35\.0 mm wide, 50\.[78] mm high on the model\./);
    await job.type(/^Begins, up/, "-110 mm");
    // the shed reaches to 28 mm before its middle, the car 17.5 mm beside the track
    await waitFor(() => expect(job.words()).toMatch(/The longest car on Team track goes into the .* of Depot by \d+\.\d mm/)); // prettier-ignore
    await job.user.click(screen.getByRole("button", { name: "Move it clear" }));
    await waitFor(() => expect(job.words()).not.toMatch(/goes into/));
    const kept = await job.kept();
    expect(kept.structures[0]!.place!.y).toBeGreaterThan(-70);
    expect(kept.spot!.tracks[0]).toMatchObject({ name: "Team track", car: "coach-85", y: -110 });
  });
  it("curve, with what a car reaches inward and outward, and refuse what is no track", async () => {
    const job = await open();
    await job.user.click(screen.getByRole("button", { name: "Add a track" }));
    await job.user.selectOptions(screen.getByLabelText("Piece 1"), "right");
    await job.type(/^Radius/, "24 in");
    await waitFor(() => expect(job.words()).toMatch(/On 610 mm radius it reaches \d\d\.\d mm from the middle of the track inward and \d\d\.\d mm outward/)); // prettier-ignore
    expect(job.refusal(await job.type(/^Radius/, "3 mm"))).toBe("It may be from 20 to 1000000 mm.");
    expect(job.refusal(await job.type("Runs, degrees", "north"))).toBe("Read “north”; write degrees from -360 to 360.");
    await job.user.click(screen.getByRole("button", { name: "Add a piece" }));
    expect((await job.kept()).spot!.tracks[0]!.pieces.map((p) => p.kind)).toEqual(["right", "left"]);
    await job.user.click(screen.getByRole("button", { name: "Remove piece 1" }));
    await job.user.click(screen.getByRole("button", { name: "Remove the track" }));
    expect((await job.kept()).spot!.tracks).toEqual([]);
  });
  it("pass what has to stay, and cars of one's own", async () => {
    const job = await open();
    await job.user.click(screen.getByRole("button", { name: "Add what is there" }));
    await job.type("Name", "Yard lamp");
    await job.user.selectOptions(screen.getByLabelText("What it is"), "stands already");
    await job.type(/^Its middle, up/, "-118 mm");
    await job.user.click(screen.getByText("Cars of your own"));
    await job.user.click(screen.getByRole("button", { name: "Add a car" }));
    await job.type("Name of the car", "Ore jimmy");
    expect(job.refusal(await job.type(/^Wide/, "90 ft"))).toBe("No car is that size.");
    await job.type(/^Wide/, "8 ft");
    await job.user.click(screen.getByRole("button", { name: "Add a track" }));
    expect(screen.getByRole("option", { name: "Ore jimmy" })).toBeTruthy();
    await waitFor(() => expect(job.words()).toMatch(/goes into Yard lamp by .* Move the track by/));
    const { spot } = await job.kept();
    expect(spot!.cars[0]).toMatchObject({ name: "Ore jimmy", width: 2438.4 });
    expect(spot!.things[0]).toMatchObject({ name: "Yard lamp", kind: "stands already", y: -118 });
  });
});
