// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { emptyJob, newStructure, writeJobFile, type JobDoc, type SpotDoc, type TrackDoc } from "core/job";
import { centreLine } from "core/trains";
import { feet } from "core/units";
import { importJob } from "~/data/jobs.server";
import { openJob, setUpScreens } from "~/screen.fixture";
import { alongPiece } from "./SpotHandles";

setUpScreens();
const PLAIN = { length: feet(24), width: feet(16), roof: "none", floor: "none", siding: "none", foundation: "none", casings: false, openings: [] }; // prettier-ignore
const track: TrackDoc = { id: "t", name: "Spur", x: -100, y: -60, turn: 0, rail: 0, car: "coach-60", pieces: [{ kind: "straight", length: 120 }, { kind: "left", length: 100, radius: 500 }] }; // prettier-ignore
const spot: SpotDoc = { tracks: [track], cars: [], things: [{ id: "x", name: "Lamp", kind: "has to stay", x: 120, y: 40, turn: 0, length: 10, depth: 6, low: 0, high: 60 }] }; // prettier-ignore
const doc = (): JobDoc => ({ ...emptyJob("Yard"), brief: { ...emptyJob("Yard").brief, spotLength: 400, spotDepth: 200 }, structures: [{ ...newStructure("building", "s", "Depot", PLAIN), place: { x: 0, y: 0, z: 0, turn: 0 } }], spot }); // prettier-ignore
const open = async () => {
  const job = await openJob(doc(), "brief");
  await job.user.click(screen.getByRole("tab", { name: "Plan of the spot" }));
  await screen.findByText(/1 of 1 placed/);
  return job;
};
const press = (name: string | RegExp) => screen.findByRole("button", { name });

describe("handles on the plan", () => {
  it("move, turn and lengthen a track by the keyboard", async () => {
    const job = await open();
    await job.user.click(await press(/^Spur/));
    fireEvent.keyDown(await press("Move Spur"), { key: "ArrowRight", shiftKey: true });
    fireEvent.keyDown(await press("Move Spur"), { key: "ArrowDown" });
    fireEvent.keyDown(await press("End of piece 1 of Spur"), { key: "ArrowRight", shiftKey: true });
    const t = (await job.kept()).spot!.tracks[0]!;
    expect([t.x, t.y, t.pieces[0]!.length]).toEqual([-90, -61, 130]);
    fireEvent.keyDown(await press("Turn Spur"), { key: "ArrowUp", shiftKey: true });
    expect((await job.kept()).spot!.tracks[0]!.turn).toBeGreaterThan(10);
    expect(screen.getByRole("button", { name: /^Undo: Turn Spur/ })).toBeTruthy();
  });
  it("drag a thing in millimetres, freely with Alt, and leave it where the drag is broken off", async () => {
    const job = await open();
    await job.user.click(await press(/^Lamp/));
    const before = (await job.kept()).spot!.things[0]!;
    const hold = await press("Move Lamp");
    fireEvent.pointerDown(hold, { pointerId: 1, clientX: 500, clientY: 300 });
    fireEvent.pointerMove(hold, { pointerId: 1, clientX: 560, clientY: 300 });
    fireEvent.pointerCancel(hold, { pointerId: 1 });
    expect((await job.kept()).spot!.things[0]).toEqual(before);
    fireEvent.pointerDown(await press("Move Lamp"), { pointerId: 1, clientX: 500, clientY: 300 });
    fireEvent.pointerMove(await press("Move Lamp"), { pointerId: 1, clientX: 533, clientY: 300 });
    fireEvent.pointerUp(await press("Move Lamp"), { pointerId: 1, clientX: 533, clientY: 300 });
    const after = (await job.kept()).spot!.things[0]!;
    expect(after.x).toBeGreaterThan(before.x + 5);
    expect(after.x).toBe(Math.round(after.x));
    expect(after.y).toBe(before.y);
    fireEvent.keyDown(await press("Size of Lamp"), { key: "ArrowRight" });
    expect((await job.kept()).spot!.things[0]!.length).toBe(before.length + 2);
  });
  it("find the length of a straight piece and of a curve that ends nearest to a point", () => {
    expect(alongPiece(track, 0, [-40, -20])).toBeCloseTo(60, 9);
    const bent: TrackDoc = { ...track, turn: 30 };
    for (const far of [30, 150, 400]) {
      const p = centreLine({ ...bent, pieces: [bent.pieces[0]!, { ...bent.pieces[1]!, length: far }] }).at(
        120 + far,
      ).at;
      expect(alongPiece(bent, 1, p)).toBeCloseTo(far, 6);
      const right: TrackDoc = { ...bent, pieces: [bent.pieces[0]!, { kind: "right", length: far, radius: 500 }] };
      expect(alongPiece(right, 1, centreLine(right).at(120 + far).at)).toBeCloseTo(far, 6);
    }
  });
});

describe("another job", () => {
  it("stands on the spot as its own plan has it, is looked at again, and is told where it has placed nothing", async () => {
    const keep = (d: JobDoc) => importJob(writeJobFile({ doc: d, issues: [], files: {} }));
    await keep({ ...doc(), name: "Freight house" });
    await keep({ ...emptyJob("Nothing placed"), structures: [newStructure("building", "s", "Shed", PLAIN)] });
    const job = await open();
    await job.user.selectOptions(await screen.findByLabelText("Another job stands there"), "Nothing placed");
    await screen.findByText(/Nothing of “Nothing placed” has a place on its own plan/);
    await job.user.selectOptions(screen.getByLabelText("Another job stands there"), "Freight house");
    await screen.findByText(/The structures of another job, as they were when it was taken/);
    const t = (await job.kept()).spot!.things.at(-1)!;
    expect([t.name, t.parts!.length > 0, t.length]).toEqual(["Freight house", true, expect.closeTo(84, 0)]);
    await job.user.click(screen.getByRole("button", { name: "Look again" }));
    expect(screen.queryByRole("button", { name: "Size of Freight house" })).toBeNull();
  });
});

describe("the section of the spot", () => {
  it("is looked at from the right or the front, cut where one says, with its levels, and printed if asked", async () => {
    const job = await open();
    await job.user.click(screen.getByRole("tab", { name: "In section" }));
    const board = await screen.findByRole("region", { name: "Section of the spot" });
    await waitFor(() => expect(board.textContent).toMatch(/0\.0 mm rail, Spur/));
    expect(board.textContent).toMatch(/14\.0 mm car floor, Spur/);
    await job.type(/^Cut at, from the middle/, "30 mm");
    await waitFor(() => expect(screen.getByText(/seen from the right, cut 30\.0 mm to the right of the middle/)).toBeTruthy()); // prettier-ignore
    expect(job.refusal(await job.type(/^Cut at, from the middle/, "900 m"))).toMatch(/it may be up to 100 m/);
    await job.user.selectOptions(screen.getByLabelText("Cut"), "length");
    await waitFor(() => expect(screen.getByText(/seen from the front, cut/)).toBeTruthy());
    await job.user.click(await press("Through Depot"));
    expect((await job.kept()).spot!.cut).toEqual({ along: "length", at: 0 });
    await job.user.click(await press("Do not print it"));
    expect((await job.kept()).spot).not.toHaveProperty("cut");
  });
  it("knows grades and car floors, and refuses a grade that is none", async () => {
    const job = await open();
    await job.user.click(await press(/^Spur/));
    expect(job.refusal(await job.type("Grade, %", "steep"))).toMatch(/Read “steep”; write a grade from -20 to 20 %/);
    await job.type("Grade, %", "2,5 %");
    expect((await job.kept()).spot!.tracks[0]!.grade).toBe(2.5);
  });
});
