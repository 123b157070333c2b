// @vitest-environment jsdom
import { screen, waitFor } from "@testing-library/react";
import { Blob as NodeBlob } from "node:buffer";
import { beforeAll, describe, expect, it, vi } from "vitest";
import { bare, example, openJob, setUpScreens, workers } from "~/screen.fixture";

setUpScreens();
// the page's own kind of file does not pass through a channel of Node's
beforeAll(() => void vi.stubGlobal("Blob", NodeBlob));
/** What is saved while an act goes on: names and the first bytes. */
async function saved(act: () => Promise<void>): Promise<{ name: string; text: string }> {
  const blobs: Blob[] = [];
  vi.stubGlobal("URL", Object.assign(URL, { createObjectURL: (b: Blob) => (blobs.push(b), "blob:x"), revokeObjectURL: () => undefined })); // prettier-ignore
  let name = "";
  const click = vi.spyOn(HTMLAnchorElement.prototype, "click").mockImplementation(function (this: HTMLAnchorElement) {
    name = this.download;
  });
  await act();
  await waitFor(() => expect(blobs).toHaveLength(1));
  click.mockRestore();
  return { name, text: await blobs[0]!.text() };
}

describe("the jigs", () => {
  it("of a bent are drawn by a worker and told with their pages; a sheet is saved as SVG and DXF", async () => {
    const job = await openJob(bare(example("gulch-trestle")), "jigs");
    await screen.findByText(/^1 sheet, 1 page$/);
    expect(workers.started).toContain("draft");
    await screen.findByRole("region", { name: /^Page of .*template/ });
    expect(screen.getByText(/Not printed yet\. This design is issue [0-9A-F]{7}\./)).toBeTruthy();
    const svg = await saved(() => job.user.click(screen.getByRole("button", { name: "SVG" })));
    expect(svg.name).toBe("bent-4-of-9-template.svg");
    expect(svg.text).toMatch(/^<\?xml|^<svg/);
    const dxf = await saved(() => job.user.click(screen.getByRole("button", { name: "DXF" })));
    expect([dxf.name, dxf.text.trimStart().slice(0, 1)]).toEqual(["bent-4-of-9-template.dxf", "0"]);
  });
  it("of a truss are chosen by tick, counted before they are printed, and none is no print", async () => {
    const job = await openJob(bare(example("howe-truss")), "jigs");
    const told = await screen.findByText(/^\d+ sheets?, \d+ pages?$/);
    const boxes = screen.queryAllByRole("checkbox");
    if (boxes.length < 2) return expect(told.textContent).toMatch(/^1 sheet/);
    await job.user.click(screen.getByRole("button", { name: "None" }));
    expect(screen.getByText("no sheet is ticked")).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>("button", { name: "Print jigs (PDF)" }).disabled).toBe(true);
    await job.user.click(boxes[0]!);
    expect(screen.getByText(new RegExp(`^1 of ${boxes.length} sheets`))).toBeTruthy();
  });
  it("as things are made by figures that the job proposes, refused in words, saved, and kept in their drawer", async () => {
    const job = await openJob(bare(example("howe-truss")), "jigs");
    await screen.findByText(/^\d+ sheets?, \d+ pages?$/);
    await job.user.click(screen.getByRole("tab", { name: "Workshop jigs" }));
    await screen.findByText(/The stick lies against the fence and the stop/);
    // the ties are the most that are alike: 80 of 10 ft, 35 mm
    await job.user.selectOptions(
      screen.getByLabelText("For this job"),
      screen.getByRole("option", { name: "80 × X1: 35.00 mm" }),
    );
    expect(job.words()).toMatch(/Cuts 35 mm, from the slot's right edge to the stop\./);
    expect(job.refusal(await job.type(/^Length of the piece/, "601"))).toMatch(
      "Read 601.00 mm; it may be from 1 to 600 mm.",
    );
    await job.type(/^Length of the piece/, "35.5");
    const svg = await saved(() => job.user.click(screen.getByRole("button", { name: "Plates (SVG)" })));
    expect(svg.name).toBe("length-jig-35-5.svg");
    expect(svg.text).toMatch(/<svg/);
    const stl = await saved(() => job.user.click(screen.getByRole("button", { name: "Solid (STL)" })));
    expect(stl.text.slice(0, 10)).toBe("Length jig");
    await job.user.click(screen.getByRole("button", { name: "Try the cut" }));
    // two contours of the base, three on it, at 8 mm/s
    await screen.findByText(/✓ Nothing to object to\. It takes \d+ s\./);
    expect(screen.getByLabelText<HTMLInputElement>("Seconds of the cut").max).toMatch(/^\d+\.\d+$/);
    await job.user.click(screen.getByRole("button", { name: "Close" }));
    await job.user.click(screen.getByRole("button", { name: "Keep this jig" }));
    await screen.findByRole("button", { name: "Length jig: 35.50 mm × 2.33 mm" });
    await job.user.selectOptions(screen.getByLabelText("Jig"), "square");
    await job.type(/^Leg, wide/, "25");
    expect(job.words()).toMatch(/A leg of 25 mm is more than half of a side of 40 mm\./);
    expect(screen.getByRole<HTMLButtonElement>("button", { name: "Plates (SVG)" }).disabled).toBe(true);
    // the kept one is taken up again, and taken out
    await job.user.click(screen.getByRole("button", { name: "Length jig: 35.50 mm × 2.33 mm" }));
    expect(job.words()).toMatch(/Cuts 35\.5 mm/);
    await job.user.click(screen.getByRole("button", { name: /^Take Length jig/ }));
    await screen.findByText(/No jig is kept yet/);
  });
  it("are corrected for a printer whose bars were measured, which this browser remembers", async () => {
    const job = await openJob(bare(example("gulch-trestle")), "jigs");
    await screen.findByText(/^1 sheet, 1 page$/);
    await job.type("Another printer, by name", "Hall");
    await screen.findByText("Correction: none.");
    expect(job.refusal(await job.type(/^Bar across/, "100"))).toMatch(
      /Read 100\.00 mm for a bar of 150 mm\. Print at 100 %/,
    );
    await job.type(/^Bar across/, "151.05");
    await screen.findByText("Correction: −0.70 % across.");
    expect(JSON.parse(localStorage.getItem("cardo-printers")!)).toMatchObject({
      on: "Hall",
      printers: [{ name: "Hall", up: 1 }],
    });
    await job.user.click(screen.getByRole("button", { name: "No correction" }));
    await screen.findByText("Correction: none.");
    await job.user.selectOptions(screen.getByLabelText("Printed on"), "");
    expect(job.refusal(await job.type("Another printer, by name", "Hall"))).toMatch(
      "“Hall” is there already; choose it above.",
    );
    await job.user.selectOptions(screen.getByLabelText("Printed on"), "Hall");
    await job.user.click(screen.getByRole("button", { name: "Forget this printer" }));
    expect(JSON.parse(localStorage.getItem("cardo-printers")!)).toEqual({ printers: [], on: "" });
  });
  it("of an empty job are none, with what to do", async () => {
    const job = await openJob(bare(example("empty-job")), "jigs");
    await screen.findByText("No template yet");
    expect(job.words()).toMatch(/Frame a structure and its full-size template is here/);
  });
});
