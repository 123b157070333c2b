// @vitest-environment jsdom
import { fireEvent, screen, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { newStructure, type JobDoc, type PlaceDoc } from "core/job";
import { feet, scaleOf } from "core/units";
import { bare, example, openJob, setUpScreens, type OpenJob } from "~/screen.fixture";

setUpScreens();
const PLAIN = { length: feet(24), width: feet(16), roof: "none", floor: "none", siding: "none", foundation: "none", casings: false, openings: [] }; // prettier-ignore
const at = (x: number, y = 0): PlaceDoc => ({ x, y, z: 0, turn: 0 });
/** A job of sheds of studs, each 84 by 56 mm in HO, on a spot of 400 by 200 mm. */
function yard(...places: (PlaceDoc | undefined)[]): JobDoc {
  const doc = bare(example("gulch-trestle"));
  return {
    ...doc,
    drawings: [],
    brief: { ...doc.brief, spotLength: 400, spotDepth: 200, scale: { id: "HO", ratio: scaleOf("HO").ratio } },
    structures: places.map((place, i) => ({
      ...newStructure("building", `s${i}`, ["Depot", "Freight house", "Privy"][i]!, PLAIN),
      ...(place ? { place } : {}),
    })),
  };
}
async function open(...places: (PlaceDoc | undefined)[]): Promise<OpenJob> {
  const job = await openJob(yard(...places), "brief");
  await job.user.click(screen.getByRole("tab", { name: "Plan of the spot" }));
  await screen.findByText(/ of \d placed/);
  return job;
}
const places = async (job: OpenJob) => (await job.kept()).structures.map((s) => s.place);
const press = (name: string) => screen.findByRole("button", { name });

describe("the plan of the spot", () => {
  it("says what to do while nothing is on it, and puts one structure in the middle, the next beside it", async () => {
    const job = await open(undefined, undefined);
    await screen.findByText("Press “Put it on the plan” at the right to place a structure.");
    await job.user.click(screen.getAllByRole("button", { name: "Put it on the plan" })[0]!);
    await screen.findByText(/1 of 2 placed/);
    await job.user.click(await press("Put it on the plan"));
    const [a, b] = await places(job);
    expect(a).toEqual(at(0));
    // 10 mm between: the shed is 24 ft long, 84 mm
    expect(b).toEqual(at(94));
    expect(screen.getByText(/2 of 2 placed/)).toBeTruthy();
    await job.user.click(screen.getByRole("button", { name: /^Undo: Put Freight house on the plan/ }));
    expect((await places(job))[1]).toBeUndefined();
  });
  it("finds a structure its place, or says in words that there is none and moves nothing", async () => {
    const job = await open(at(300));
    await job.user.click(await press("Depot"));
    await job.user.click(await press("Find it a place"));
    await screen.findByText(/Depot is inside the spot and clear of everything: .* from where it stood/);
    const [p] = await places(job);
    expect(p!.x).toBeCloseTo(200 - 42, 0);
    expect(p!.turn).toBe(0);
    await job.user.click(screen.getByRole("tab", { name: "The job" }));
    await screen.findByLabelText(/^Length of the spot/);
    await job.type(/^Length of the spot/, "70");
    await job.type(/^Depth of the spot/, "70");
    await job.user.click(screen.getByRole("tab", { name: "Plan of the spot" }));
    await job.user.click(await press("Depot"));
    await job.user.click(await press("Find it a place"));
    await screen.findByText(/Depot takes 84\.\d mm × 56\.\d mm .*, and the spot is smaller/);
    expect((await places(job))[0]).toEqual(p);
  });
  it("keeps what is typed of a place, in the units of the job, and refuses in words", async () => {
    const job = await open(at(0), at(100));
    await job.user.click(await press("Freight house"));
    await screen.findByLabelText(/^Its middle, across/);
    await job.type(/^Its middle, across/, "120.5");
    await job.type(/^Its middle, up/, "-1 in");
    await job.type(/^Its foot over the spot/, "12");
    await job.type("Turned, degrees", "382,5");
    expect((await places(job))[1]).toEqual({ x: 120.5, y: -25.4, z: 12, turn: 22.5 });
    const across = await job.type(/^Its middle, across/, "200 m");
    expect(job.refusal(across)).toBe("Write a length up to 100 m.");
    const turn = await job.type("Turned, degrees", "some");
    expect(job.refusal(turn)).toBe("Read “some”; write degrees, such as 22.5.");
    expect((await places(job))[1]).toEqual({ x: 120.5, y: -25.4, z: 12, turn: 22.5 });
    await job.user.click(await press("A quarter round"));
    expect((await places(job))[1]!.turn).toBe(112.5);
    await job.user.click(await press("Take it off"));
    expect((await places(job))[1]).toBeUndefined();
  });
  it("moves and turns by the keyboard", async () => {
    const job = await open(at(0), at(100));
    await job.user.click(await press("Depot"));
    const move = await press("Move Depot");
    expect(move.getAttribute("aria-description")).toMatch(/^0\.0 mm across, 0\.0 mm up, turned 0°\./);
    fireEvent.keyDown(move, { key: "ArrowLeft" });
    fireEvent.keyDown(await press("Move Depot"), { key: "ArrowUp", shiftKey: true });
    fireEvent.keyDown(await press("Turn Depot"), { key: "ArrowLeft", shiftKey: true });
    fireEvent.keyDown(await press("Turn Depot"), { key: "ArrowRight" });
    expect((await places(job))[0]).toEqual({ x: -1, y: 10, z: 0, turn: 14 });
  });
  it("drags one against another: the walls touch; with Alt they go freely", async () => {
    const job = await open(at(0), at(100));
    await job.user.click(await press("Freight house"));
    // the page is 900 by 600: the plan's 400 mm are 780 pixels wide, less what is kept free at its sides
    const k = 780 / 400;
    const drag = async (mm: number, altKey: boolean): Promise<void> => {
      const hold = await press("Move Freight house");
      fireEvent.pointerDown(hold, { pointerId: 1, clientX: 500, clientY: 300 });
      fireEvent.pointerMove(hold, { pointerId: 1, clientX: 500 + mm * k, clientY: 300, altKey });
      fireEvent.pointerUp(hold, { pointerId: 1, clientX: 500 + mm * k, clientY: 300, altKey });
    };
    await drag(-14.8, false);
    expect((await places(job))[1]).toEqual(at(84));
    await drag(3, true);
    const freely = (await places(job))[1]!;
    expect(freely.x).toBeCloseTo(87, 1);
  });
  it("shows what is clear round the picked one, and what stands in another with the way out of it", async () => {
    const job = await open(at(0), at(82));
    await job.user.click(await press("Depot"));
    // 200 less 42, and 100 less 28
    expect(await screen.findAllByText("158.0 mm")).toHaveLength(2);
    expect(screen.getAllByText("72.0 mm")).toHaveLength(2);
    const clash = await screen.findByText(/Depot and Freight house stand in each other on the plan/);
    expect(clash.textContent).toMatch(/Freight house is clear 2\.00 mm to the right/);
    await job.user.click(within(clash.closest("li")!).getByRole("button", { name: "Move Freight house clear" }));
    expect((await places(job))[1]!.x).toBeCloseTo(84, 2);
    expect(await screen.findByText("✓ Nothing to object to.")).toBeTruthy();
  });
  it("is where one comes back to, and is left by the other tab", async () => {
    const job = await open(at(0));
    await job.user.click(screen.getByRole("tab", { name: "The job" }));
    expect(await screen.findByLabelText("Name")).toBeTruthy();
    await job.user.click(screen.getByRole("tab", { name: "Plan of the spot" }));
    await screen.findByText(/1 of 1 placed/);
    expect(screen.getByText("400 mm × 200 mm", { exact: false })).toBeTruthy();
  });
  it("sends one to the framing when there is nothing to place", async () => {
    const job = await open();
    expect(screen.getByRole("link", { name: "Frame a structure" }).getAttribute("href")).toBe(`/jobs/${job.id}/framing`); // prettier-ignore
    expect(await screen.findByText("Nothing is framed yet.")).toBeTruthy();
  });
});
