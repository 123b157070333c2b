// @vitest-environment jsdom
import { screen, waitFor, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { bare, example, openExample, openJob, setUpScreens } from "~/screen.fixture";

setUpScreens();
const open = async () => {
  const job = await openExample("agents-cottage", "jigs");
  await job.user.click(await screen.findByRole("tab", { name: "Printed papers" }));
  await screen.findByRole("region", { name: "Station sign" });
  return job;
};
const paper = (name: string) => within(screen.getByRole("region", { name }));

describe("printed papers", () => {
  it("are shown on their page at their size, a floor repeated with its bleed", async () => {
    await open();
    expect(paper("Station sign").getByText("Printed 21.0 mm × 5.3 mm.")).toBeTruthy();
    expect(paper("Floor of the room").getByText("The picture is 14.0 mm × 9.3 mm; it covers 77.0 mm × 42.0 mm.")).toBeTruthy(); // prettier-ignore
    const page = screen.getByRole("region", { name: "Page of papers" });
    const shown = [...page.querySelectorAll("image")].map((i) => i.getAttribute("href"));
    // two signs; 81 × 46 mm of floor by pictures of 14 × 9.3, from the one that the bleed begins in
    expect(new Set(shown).size).toBe(2);
    expect(shown.filter((h) => h === shown[0]).length + shown.filter((h) => h !== shown[0]).length).toBe(2 + 7 * 6);
    const link = screen.getByRole("link", { name: "Print papers (PDF)" });
    expect(link.getAttribute("href")).toMatch(/^\/jobs\/[\w-]+\/papers\.pdf\?paper=A4$/);
  });
  it("are changed in the job's own lengths, refused in words, judged, and removed with the way back", async () => {
    const job = await open();
    const floor = () => paper("Floor of the room");
    const put = async (label: string | RegExp, text: string): Promise<HTMLElement> => {
      const f = floor().getByLabelText(label, { selector: "input" });
      await job.user.clear(f);
      await job.user.type(f, text);
      await job.user.tab();
      return f;
    };
    await put(/^One board is/, "1'-6");
    await waitFor(() => expect(floor().getByText(/A board of Floor of the room is 1′-6″; they were made from 0′-2″ to 1′-0″/)).toBeTruthy()); // prettier-ignore
    expect((await job.kept()).papers![1]!.unit).toBeCloseTo(18 * 25.4, 6);
    expect(job.refusal(await put("Boards on it", "none"))).toMatch(/Read “none”; write a number from 0\.1 to 1000/);
    expect(job.refusal(await put(/^Bleed/, "21 mm"))).toMatch(/Read 21\.0 mm; it may be from 0 to 20\.0 mm/);
    await job.user.selectOptions(floor().getByLabelText("It shows"), "sign");
    await waitFor(() => expect(floor().getByLabelText(/^It is wide/)).toBeTruthy());
    expect((await job.kept()).papers![1]).toMatchObject({ motif: "sign", units: 1 });
    await job.user.click(floor().getByRole("checkbox", { name: /Repeat it/ }));
    await waitFor(() => expect(floor().getByText(/^Printed/)).toBeTruthy());
    expect((await job.kept()).papers![1]).not.toHaveProperty("cover");
    await job.user.click(floor().getByRole("button", { name: "Remove" }));
    await waitFor(() => expect(screen.queryByRole("region", { name: "Floor of the room" })).toBeNull());
    await job.user.click(screen.getByRole("button", { name: /^Undo: Remove Floor of the room/ }));
    await screen.findByRole("region", { name: "Floor of the room" });
  });
  it("are as large as the floor or a wall of a room, in one choice", async () => {
    const job = await open();
    const choice = await paper("Floor of the room").findByLabelText<HTMLSelectElement>("As large as");
    expect(choice.value).toBe("-1");
    await job.user.selectOptions(choice, "Cottage: floor or ceiling");
    await waitFor(() => expect(paper("Floor of the room").getByText(/it covers 92\.9 mm × 57\.9 mm/)).toBeTruthy());
    expect((await job.kept()).papers![1]!.cover!.length / (304.8 / 3.5)).toBeCloseTo(92.92, 1);
    await waitFor(() => expect(choice.selectedOptions[0]!.textContent).toBe("Cottage: floor or ceiling"));
  });
  it("say what they are for while there are none", async () => {
    const job = await openJob(bare(example("gulch-trestle")), "jigs");
    await job.user.click(await screen.findByRole("tab", { name: "Printed papers" }));
    await waitFor(() => expect(job.words()).toMatch(/No paper yet A sign, a floor of boards/));
    expect(screen.queryByRole("link", { name: "Print papers (PDF)" })).toBeNull();
  });
});
