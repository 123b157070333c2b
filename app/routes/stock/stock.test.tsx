// @vitest-environment jsdom
import { screen, waitFor, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { emptyJob, newStructure, writeJobFile } from "core/job";
import { importJob, readJob } from "~/data/jobs.server";
import { bare, example, openJob, setUpScreens } from "~/screen.fixture";

setUpScreens();
const open = () => openJob(bare(example("gulch-trestle")), "stock");
const row = (size: string): HTMLElement => screen.getByRole("button", { name: `Section ${size}: show what would do` }).closest("tr")!; // prettier-ignore
const cells = (size: string): string[] => within(row(size)).getAllByRole("cell").map((c) => c.textContent ?? ""); // prettier-ignore

describe("the stock", () => {
  it("says of each section what it is cut from and how far off that is, by hand reckoning", async () => {
    const job = await open();
    // HO: a foot is 3.5 mm, so 12×14 is 3.5 × 4.083 mm (12 in ÷ 87.1 = 3.499)
    expect(cells("12×14").slice(1, 4)).toEqual([
      "3.50 mm× 4.08 mm",
      "Scale lumber, HO 12×14nearest",
      "3.50 mm× 4.08 mm",
    ]);
    await job.user.click(screen.getByLabelText("Strip wood, inch fractions"));
    await job.user.click(screen.getByLabelText("Scale lumber"));
    // 1/8 in is 3.175 mm: 0.325 mm thin, 0.32 ÷ 3.5 = 9.3 %
    const [, , from, , model, , percent] = cells("12×12");
    expect(from).toMatch(/^Strip wood 1\/8 × 1\/8 in|^Styrene strip \.125 × \.125/);
    expect(model).toBe("−0.32 mm−0.32 mm");
    expect(percent).toBe("−9.3 %−9.3 %");
    expect((await job.kept()).stock.series).not.toContain("scale");
  });
  it("keeps one series at least", async () => {
    const job = await open();
    for (const name of ["Strip wood, inch fractions", "Strip wood, metric", "Styrene strip, inch thousandths"]) {
      const box = screen.getByLabelText<HTMLInputElement>(name);
      if (box.checked) await job.user.click(box);
    }
    expect(screen.getByLabelText<HTMLInputElement>("Scale lumber").disabled).toBe(true);
  });
  it("takes a piece of stock by hand and the nearest again", async () => {
    const job = await open();
    await job.user.click(screen.getByRole("button", { name: /^Strip wood 1\/8 × 1\/8 in/ }));
    expect(cells("12×12")[2]).toBe("Strip wood 1/8 × 1/8 inchosen");
    expect((await job.kept()).stock.choices["12×12"]).toMatchObject({ plies: 1 });
    await job.user.click(screen.getByRole("button", { name: "Take the nearest of the series again" }));
    expect((await job.kept()).stock.choices).toEqual({});
  });
  it("glues two plies, and says which way", async () => {
    const job = await open();
    await job.user.click(screen.getByLabelText("only of two plies"));
    await job.user.click(screen.getByRole("button", { name: /Two plies of Scale lumber, HO 6×12, face to face/ }));
    expect(cells("12×12")[2]).toMatch(/^Two plies of Scale lumber, HO 6×12/);
  });
  it("frames a timber of a shape, sold or of one's own, and says what is wrong with one that is none", async () => {
    const job = await open();
    await job.user.click(screen.getByText("As a shape: I, H, channel or angle"));
    await job.user.click(screen.getByRole("button", { name: /^Styrene H shape \.156/ }));
    expect(cells("12×12")[2]).toMatch(/^Styrene H shape \.156 × \.156 in/);
    expect((await job.kept()).stock.choices["12×12"]).toMatchObject({ item: "shape/H/156" });
    await job.user.selectOptions(screen.getByLabelText("Form"), "channel");
    const use = async (sizes: readonly string[]): Promise<void> => {
      for (const [i, label] of ["Depth", "Flanges reach", "Web thick", "Flanges thick"].entries()) {
        await job.user.clear(screen.getByLabelText(label));
        await job.user.type(screen.getByLabelText(label), sizes[i]!);
      }
      await job.user.click(screen.getByRole("button", { name: "Cut 12×12 from it" }));
    };
    await use(["4", "3", "thick", "0.5"]);
    expect(screen.getByRole("alert").textContent).toMatch(/^Web thick: Read “thick”/);
    await use(["4", "3", "0,5", "0.5 mm"]);
    expect((await job.kept()).stock.choices["12×12"]).toMatchObject({ item: "shape/own/wood/channel/4x3/0.5/0.5" });
  });
  it("takes lengths, counts and prices as people type them", async () => {
    const job = await open();
    await job.type("Length 1", "22 in");
    await job.type("Count 1", "6");
    await job.type("Price 1", "1,25");
    const [sticks] = Object.values((await job.kept()).stock.sticks);
    expect(sticks![0]).toEqual({ length: 558.8, count: 6, price: 1.25 });
    await job.user.click(screen.getByRole("button", { name: "Add a length" }));
    expect(screen.getByLabelText<HTMLInputElement>("Length 3").value).toBe("300.0 mm");
    await job.user.click(screen.getByRole("button", { name: "Usual lengths again" }));
    expect((await job.kept()).stock.sticks).toEqual({});
  });
  it.each([
    ["Length 1", "0", /a stick is from 1 mm to 100 m long/],
    ["Length 1", "long", /Read “long”/],
    ["Count 1", "2.5", "Read “2.5”; write a whole number, or nothing for as many as needed."],
    ["Count 1", "-1", /whole number/],
    ["Price 1", "dear", "Read “dear”; write a price such as 1.20."],
  ])("refuses %s %s in words", async (label, text, words) => {
    const job = await open();
    expect(job.refusal(await job.type(label, text))).toMatch(words);
    expect((await job.kept()).stock.sticks).toEqual({});
  });
  it("tells errors in the model's unit of the job", async () => {
    const job = await open();
    await job.user.click(screen.getByRole("radio", { name: "in" }));
    await job.user.click(screen.getByLabelText("Scale lumber"));
    expect(cells("12×12").join(" ")).not.toMatch(/ mm/);
    await job.kept();
  });
});

describe("textured sheets", () => {
  const house = {
    ...emptyJob("Sheet house"),
    structures: [newStructure("building", "s", "House", { siding: "sheet" })],
  };
  const sheetCells = (): string[] => within(screen.getByRole("combobox", { name: "Sheet for clapboards" }).closest("tr")!).getAllByRole("cell").map((c) => c.textContent ?? ""); // prettier-ignore
  it("say what is wanted and which is had, and are chosen and left to the nearest again", async () => {
    const job = await openJob(house, "stock");
    const [name, wanted, , really, off, thick] = sheetCells();
    expect([name, wanted, really, off, thick]).toEqual([
      "Clapboards",
      "0′-6″1.75 mm",
      "0′-5 1/4″1.52 mm",
      "−12.9 %",
      "1.02 mm",
    ]);
    await job.user.selectOptions(screen.getByLabelText("Sheet for clapboards"), "sheet/clapboard/80");
    expect(sheetCells()[4]).toBe("+16.1 %");
    expect((await job.kept()).stock.choices["clapboard 6"]).toMatchObject({ item: "sheet/clapboard/80" });
    await job.user.selectOptions(screen.getByLabelText("Sheet for clapboards"), "");
    expect((await job.kept()).stock.choices).toEqual({});
  });
  it("are taken as proposed with the sections", async () => {
    const job = await openJob(house, "stock");
    await job.user.click(screen.getByRole("button", { name: "Take them as proposed" }));
    expect(Object.keys((await job.kept()).stock.choices)).toContain("clapboard 6");
  });
  it("shows the best of each way, with what it does to look and fit, and takes one in all jobs of the scale", async () => {
    const other = await importJob(writeJobFile({ doc: bare(example("gulch-trestle")), issues: [], files: {} }));
    const job = await open();
    const ways = within(screen.getByRole("region", { name: "Ways to come by it" }));
    const rip = ways.getByRole("button", { name: /^Ripped off a sheet: Basswood sheet/ });
    expect(rip.textContent).toMatch(/True to size|too (thick|thin|wide|narrow)/);
    expect(ways.getAllByRole("button").length).toBe(3);
    await job.user.click(rip);
    const [name, choice] = Object.entries((await job.kept()).stock.choices)[0]!;
    expect(choice.item).toMatch(/^strip\/wood\//);
    await job.user.click(screen.getByRole("button", { name: /Take it in all other HO .* jobs too/ }));
    await waitFor(() => expect(job.words()).toMatch(/Chosen in \d+ other jobs?; each can undo it/));
    expect(readJob(other)!.confirmed.doc.stock.choices[name]).toEqual(choice);
    // this one stays at the revision that the screen has
    await job.user.click(screen.getByRole("button", { name: /Take the nearest of the series again/ }));
    expect((await job.kept()).stock.choices).toEqual({});
    // what is chosen there already is no change
    expect(readJob(other)!.confirmed.past.at(-1)!.label).toBe(`${name} as in another job`);
  });
});
