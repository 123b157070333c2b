// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { openExample, setUpScreens } from "~/screen.fixture";

setUpScreens();
// the page's own, which its stand-in here does not have
vi.stubGlobal("ImageData", class { constructor(readonly data: Uint8ClampedArray, readonly width: number, readonly height: number) {} }); // prettier-ignore

describe("structures on the photograph of their place", () => {
  it("stand on it where its corners say; corners, sides and papers are changed, and it is taken away", async () => {
    const job = await openExample("agents-cottage", "brief");
    await job.user.click(screen.getByRole("tab", { name: "Plan of the spot" }));
    await job.user.click(await screen.findByRole("tab", { name: "On a photograph" }));
    await screen.findByRole("region", { name: "Structures on the photograph of their place" });
    // made from 210 mm over the spot, 446 from its middle: the corners tell it back
    await screen.findByText(/^Taken from 2(09|10|11) mm over the spot, 44\d mm from its middle\.$/);
    const before = (await job.kept()).spot!.photo!;
    fireEvent.keyDown(screen.getByRole("button", { name: "Corner back left" }), { key: "ArrowUp", shiftKey: true });
    const after = (await job.kept()).spot!.photo!;
    expect(after.corners[3]![1]).toBe(Math.round(before.corners[3]![1] - 10));
    expect(after.corners.slice(0, 3)).toEqual(before.corners.slice(0, 3));
    await waitFor(() => expect(screen.queryByText(/^Taken from 210 mm over/)).toBeNull());
    expect(job.refusal(await job.type(/^Rectangle, deep/, "0"))).toMatch(/it may be from 1\.0 mm to 100 m/);
    fireEvent.change(screen.getByLabelText("roof"), { target: { value: "#112233" } });
    expect((await job.kept()).spot!.photo!.colours.roof).toBe("#112233");
    await job.user.selectOptions(screen.getByLabelText("Photograph of the place"), "");
    await screen.findByText(/Choose a photograph of the place at the right/);
    expect((await job.kept()).spot).not.toHaveProperty("photo");
  });
});
