// @vitest-environment jsdom
import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { bare, example, openExample, openJob, setUpScreens } from "~/screen.fixture";

setUpScreens();
const plan = (job: Awaited<ReturnType<typeof openExample>>) => job.user.click(screen.getByRole("tab", { name: "Plan of the spot" })); // prettier-ignore
const fields = async () => within(await screen.findByRole("region", { name: "Picture under the plan" }));
const images = (): SVGImageElement[] => [
  ...screen.getByRole("region", { name: "Plan of the spot" }).querySelectorAll("image"),
];

describe("a picture under the plan of the spot", () => {
  it("lies in its middle, is moved by figures and by dragging, and is as large as was measured on it", async () => {
    const job = await openExample("gulch-trestle", "brief");
    await plan(job);
    const of = await fields();
    expect(images()).toHaveLength(0);
    const [drawing] = example("gulch-trestle").drawings;
    await job.user.selectOptions(of.getByLabelText("Picture"), drawing!.id);
    await waitFor(() => expect(images().length).toBeGreaterThan(0));
    const kept = async () => (await job.kept()).spot!.under!;
    const { width, height } = drawing!.picture!;
    expect(await kept()).toEqual({ drawing: drawing!.id, anchor: [width / 2, height / 2], of: "model", opacity: 0.6 });
    const wide = (): number => { const m = /matrix\(([-\d.e]+)/.exec(document.querySelector("[data-sheet]")!.getAttribute("transform")!)!; return Number(m[1]); }; // prettier-ignore
    const large = wide();
    await job.user.selectOptions(of.getByLabelText("What was measured on it"), "prototype");
    // of the prototype it is smaller by the scale
    await waitFor(() => expect(large / wide()).toBeCloseTo(304.8 / 3.5, 3));
    await job.type(/^Middle, across/, "40 mm");
    await job.type(/^Middle, up/, "-15 mm");
    await waitFor(() => expect(of.getByLabelText<HTMLInputElement>(/^Middle, up/).value).toBe("−15.00 mm"));
    expect(of.getByLabelText<HTMLInputElement>(/^Middle, across/).value).toBe("40.00 mm");
    const before = (await kept()).anchor;
    await job.user.click(of.getByRole("button", { name: "Move it by dragging" }));
    const grip = screen
      .getByRole("region", { name: "Plan of the spot" })
      .querySelector("rect[stroke-dasharray='8 5']")!;
    fireEvent.pointerDown(grip, { clientX: 100, clientY: 100, pointerId: 1 });
    fireEvent.pointerMove(grip, { clientX: 150, clientY: 100, pointerId: 1 });
    fireEvent.pointerUp(grip, { clientX: 150, clientY: 100, pointerId: 1 });
    await waitFor(() => expect(of.getByLabelText<HTMLInputElement>(/^Middle, across/).value).not.toBe("40.00 mm"));
    expect((await kept()).anchor[0]).toBeLessThan(before[0]);
    // the sheet lies a little askew: its pixels move both ways, its middle to the side alone
    expect(of.getByLabelText<HTMLInputElement>(/^Middle, up/).value).toBe("−15.00 mm");
    await job.user.click(screen.getByRole("button", { name: /^Undo: Move the picture of the spot/ }));
    await waitFor(() => expect(of.getByLabelText<HTMLInputElement>(/^Middle, across/).value).toBe("40.00 mm"));
    await job.user.selectOptions(of.getByLabelText("Picture"), "");
    await waitFor(() => expect(images()).toHaveLength(0));
    expect((await job.kept()).spot).not.toHaveProperty("under");
  });
  it("says how to come by one where none is calibrated", async () => {
    const job = await openJob(bare(example("gulch-trestle")), "brief");
    await plan(job);
    expect(
      (await fields()).getByText(/Upload a photograph of the place from above under Drawings and calibrate it/),
    ).toBeTruthy();
  });
});
