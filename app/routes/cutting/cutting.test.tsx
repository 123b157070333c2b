// @vitest-environment jsdom
import { screen, waitFor, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { holdings, stickLot } from "core/drawer";
import { stockItem } from "core/lumber";
import { scaleOf } from "core/units";
import { enter, inDrawer, ledger } from "~/data/drawer.server";
import { bare, example, openJob, setUpScreens, workers } from "~/screen.fixture";

setUpScreens();
const open = async () => {
  const job = await openJob(bare(example("gulch-trestle")), "cutting");
  // the chart is drawn once the first plan is there
  await waitFor(() => expect(job.words()).toMatch(/Pieces Kerf Offcuts/));
  return job;
};
const marks = (): string[] => [...document.querySelectorAll("[data-row-mark]")].map((m) => m.textContent ?? "");
const press = async (job: Awaited<ReturnType<typeof open>>, name: string | RegExp, n = 0): Promise<void> =>
  job.user.click(screen.getAllByRole("button", { name })[n]!);

const markRow = (job: Awaited<ReturnType<typeof open>>, n: number): Promise<void> => press(job, "Mark as cut", n);

describe("the cut list on its screen", () => {
  it("has the bent's nine rows with lengths, ends and places", async () => {
    const job = await open();
    expect(job.words()).toMatch(/9 rows · 15 pieces/);
    // 12 ft at 1:87.1 would be 42 mm; the cap of the sheet is 14 ft, 49 mm
    expect(job.words()).toMatch(/C1 1 cap Scale lumber, HO 12×14 49\.00 mm 14′-0″ 49\.00 mm both square cap/);
    expect(job.words()).toMatch(/P2 2 batter post .* 2\.4° mitre, parallel story 1 post L1; story 1 post R1/);
  });
  it("of a building of sheet tells of a panel how long, wide and thick it is, its lines and its holes", async () => {
    const job = await openJob(bare(example("company-store")), "cutting");
    await waitFor(() => expect(job.words()).toMatch(/rows · 427 pieces/));
    await job.user.click(screen.getByRole("cell", { name: "FS1" }));
    // 30 ft are 105 mm, less the ends' faces of 1.016; 24 ft and 3 of parapet are 94.5
    await waitFor(() => expect(job.words()).toMatch(/Long 102\.97 mm .* Wide 94\.50 mm .* Thick 1\.02 mm/));
    expect(job.words()).toMatch(/Lines along its length every 0\.81 mm/);
    expect(job.words()).not.toMatch(/0×0|Both ends square/);
  });
  it("finds rows as people type, and says when there are none", async () => {
    const job = await open();
    await job.user.type(screen.getByLabelText(/Show only rows with/), "12x14");
    expect(job.words()).toMatch(/1 of 9 rows/);
    await job.user.clear(screen.getByLabelText(/Show only rows with/));
    await job.user.type(screen.getByLabelText(/Show only rows with/), "zinc");
    expect(job.words()).toMatch(/zinc/);
    expect(marks()).toEqual([]);
  });
  it("keeps what is pressed under the press: another row is selected, and the buttons are the same ones", async () => {
    const job = await open();
    const buttons = screen.getAllByRole("button", { name: "Mark as cut" });
    await job.user.click(screen.getAllByText("cap")[0]!);
    expect(document.querySelector("tr[aria-selected=true]")).not.toBeNull();
    expect(screen.getAllByRole("button", { name: "Mark as cut" }).map((b, i) => b === buttons[i])).toEqual(
      buttons.map(() => true),
    );
  });
  it("marks a piece as cut, says what it did with the way back beside it, and notes it", async () => {
    const job = await open();
    await markRow(job, 0);
    await job.kept();
    await waitFor(() => expect(job.words()).toMatch(/Marked as cut: 1 × C1/));
    await job.kept();
    expect(job.events().map((e) => [e.kind, e.sticks])).toEqual([["cut", ["gulch/bent/cap"]]]);
    expect(document.querySelector("[data-sonner-toast] [data-button]")?.textContent).toBe("Undo");
    await job.go("Bench");
    await job.user.click(screen.getByRole("tab", { name: "Pieces" }));
    expect(job.words()).toMatch(/1 of 15 pieces are cut and fit C1 1 × cap ✓ still valid/);
    await press(job, "Take back");
    await waitFor(() => expect(job.words()).toMatch(/Not cut after all: 1 × C1/));
    await waitFor(() => expect(job.events().map((e) => e.kind)).toEqual(["cut", "uncut"]));
    await waitFor(() => expect(job.words()).toMatch(/Nothing is cut yet/));
    await job.user.click(screen.getByRole("tab", { name: "Log" }));
    expect(job.words()).toMatch(/Taken back: not cut: 1 × C1 .* Cut: 1 × C1/);
  });
  it("tells on the bench what still fits after the design moved on, and takes it back there", async () => {
    const job = await open();
    await markRow(job, 5);
    await job.kept();
    await job.go("Framing");
    await job.user.click(screen.getByRole("tab", { name: "Parameters" }));
    await job.user.click(screen.getByRole("button", { name: "Unfold all" }));
    await job.type(/^Height/, "20'");
    await job.kept();
    await job.go("Bench");
    await job.user.click(screen.getByRole("tab", { name: "Pieces" }));
    // 1 ft of 21 less: the story below is lower now, so its posts are too long
    expect(job.words()).toMatch(/0 of 15 pieces are cut and fit P3 2 × batter post \d\.\d mm too long: trim/);
    await press(job, "Take back");
    await waitFor(() => expect(job.words()).toMatch(/Nothing is cut yet/));
  });
  it.each([
    ["Kerf", "11", "Read 11.00 mm; it may be from 0 to 10.0 mm."],
    ["Kerf", "-1", /Read “-1”|may be from 0/],
    ["Allowance", "1 in", /Read 25\.4\d* mm; it may be from 0 to 20\.0 mm\./],
  ])("refuses %s %s in words", async (label, text, words) => {
    const job = await open();
    expect(job.refusal(await job.type(new RegExp(`^${label}`), text))).toMatch(words);
    expect((await job.kept()).cutting).toMatchObject({ kerf: 0, allowance: 0 });
  });
  it("plans the sticks in a worker, and takes the kerf into account", async () => {
    const job = await open();
    await job.user.click(screen.getByRole("tab", { name: "Stick layout" }));
    await waitFor(() => expect(job.words()).toMatch(/Scale lumber, HO 12×12.*\d+ sticks?/));
    expect(workers.started).toContain("planner");
    await job.type(/^Kerf/, "0.5");
    expect((await job.kept()).cutting.kerf).toBe(0.5);
    const ticket = within(document.querySelector("aside") ?? document.body);
    expect(ticket.getByLabelText<HTMLInputElement>(/^Kerf/).value).toBe("0.50 mm");
  });
  const sheets = async () => {
    const job = await openJob(bare(example("agents-cottage")), "cutting");
    await job.user.click(screen.getByRole("tab", { name: "Sheet layout" }));
    await waitFor(() => expect(screen.getByRole("region", { name: "Styrene sheet .060 in" })).toBeTruthy());
    return { job, core: within(screen.getByRole("region", { name: "Styrene sheet .060 in" })) };
  };
  it("lays the parts of sheet on sheets, tells what is left of each, and marks a whole sheet as cut", async () => {
    const { job, core } = await sheets();
    await waitFor(() => expect(core.getByRole("heading").textContent).toBe("Styrene sheet .060 in: 1 sheet"));
    expect(core.getByText(/4 parts\./).textContent).toMatch(
      /No layout takes less\. Parts cover 27 % of the sheets\. Seen from the face\.$/,
    );
    // the gables stand 57.17 mm on the core's side of a sheet of 152.4: the rest of its width is left
    await waitFor(() =>
      expect(core.getByText(/left whole/).textContent).toBe("152.4 mm × 304.8 mm; left whole 95.2 mm × 304.8 mm"),
    );
    expect(core.getByRole("img").getAttribute("aria-label")).toMatch(
      /^Sheet 1: 1 × WC\d, 1 × WC\d, 1 × WC\d, 1 × WC\d$/,
    );
    const walls = within(screen.getByRole("region", { name: "Textured sheet, clapboards .060 in" }));
    expect(walls.getByText(/4 parts\./).textContent).toMatch(
      /Its lines run from left to right, what is up on the wall is up; each part lies where they ask for it\./,
    );
    await job.user.click(core.getByRole("button", { name: "Mark as cut" }));
    await job.kept();
    await waitFor(() =>
      expect(document.querySelector("[data-sonner-toast]")?.textContent).toMatch(/Marked as cut: 1 × WC/),
    );
    await waitFor(() => expect(job.events().map((e) => [e.kind, e.sticks.length])).toEqual([["cut", 4]]));
    await waitFor(() => expect(core.getByText("✓ Cut")).toBeTruthy());
  });
  it("lays a card mock-up out when it is wanted, books it as cut, and takes it back", async () => {
    const { job } = await sheets();
    expect(screen.queryByRole("region", { name: "Card 0.5 mm" })).toBeNull();
    await job.user.selectOptions(screen.getByLabelText("Card mock-ups of buildings"), "sheet/card/0.5");
    const card = within(await screen.findByRole("region", { name: "Card 0.5 mm" }));
    await waitFor(() => expect(card.getByRole("img").getAttribute("aria-label")).toBe("Sheet 1: 1 × card 1, 1 × card 2, 1 × card 3")); // prettier-ignore
    await job.user.click(card.getByRole("button", { name: "Mark as cut" }));
    await waitFor(() => expect(job.events().map((e) => [e.kind, e.sticks, e.pieces])).toEqual([["cut", ["card/cottage/1", "card/cottage/2", "card/cottage/3"], []]])); // prettier-ignore
    await waitFor(() => expect(document.querySelector("[data-sonner-toast]")?.textContent).toMatch(/Marked as cut: 3 × card mock-up/)); // prettier-ignore
    await waitFor(() => expect(card.getByText("✓ Cut")).toBeTruthy());
    // what is left of the card lies in the drawer
    await waitFor(() => expect(holdings(ledger()).map((h) => [h.lot.material, h.lot.width === 500])).toContainEqual(["card", true])); // prettier-ignore
    await job.user.click(card.getByRole("button", { name: "Take back" }));
    await waitFor(() => expect(holdings(ledger())).toEqual([]));
    await waitFor(() => expect(card.getByRole("button", { name: "Mark as cut" })).toBeTruthy());
    await job.user.selectOptions(screen.getByLabelText("Card mock-ups of buildings"), "");
    await waitFor(() => expect(screen.queryByRole("region", { name: "Card 0.5 mm" })).toBeNull());
    expect((await job.kept()).sheetCutting).not.toHaveProperty("card");
  });
  it("tells the cuts of a sheet in their order when they are asked for", async () => {
    const { job, core } = await sheets();
    const cuts = await waitFor(() => core.getByText(/^\d+ cuts, in order$/));
    expect(core.queryAllByRole("listitem")).toHaveLength(1);
    await job.user.click(cuts);
    await waitFor(() =>
      expect(core.queryAllByRole("listitem").length).toBe(1 + Number(cuts.textContent!.split(" ")[0])),
    );
    expect(core.getAllByRole("listitem")[1]!.textContent).toMatch(
      /^(level, \d+\.\d mm down|upright, \d+\.\d mm in), from 0\.0 mm to (304|152)\.\d mm$/,
    );
  });
  it("takes how sheets are cut and which there are, or says what would do", async () => {
    const { job, core } = await sheets();
    await job.user.selectOptions(screen.getByLabelText("Parts are cut"), "free");
    expect((await job.kept()).sheetCutting).toEqual({ by: "free", apart: 0, edge: 0, sizes: {} });
    expect(job.refusal(await job.type(/^Left between parts/, "21"))).toMatch(
      "Read 21.00 mm; it may be from 0 to 20.0 mm.",
    );
    await job.user.selectOptions(screen.getByLabelText("Sizes there are of"), "sheet/styrene/60");
    await job.user.click(screen.getAllByRole("button", { name: "Remove" })[1]!);
    expect(job.refusal(await job.type(/^Across its lines/, "4"))).toMatch(
      "Read 4.0 mm; a sheet is from 5.0 mm to 5000.0 mm.",
    );
    await job.type(/^Across its lines/, "30");
    const { sizes } = (await job.kept()).sheetCutting!;
    expect(sizes["sheet/styrene/60"]!.map((s) => [s.wide, Math.round(s.long), s.count])).toEqual([[30, 305, null]]);
    await waitFor(() =>
      expect(core.getByText(/larger than every sheet there is/).textContent).toMatch(
        /^WC\d, WC\d, WC\d, WC\d are larger/,
      ),
    );
    await job.user.click(screen.getByRole("button", { name: "Usual sizes" }));
    expect((await job.kept()).sheetCutting?.sizes).toEqual({});
  });
  it("has the settings of the stop, longest first, and marks all of one as cut", async () => {
    const job = await open();
    await job.user.click(screen.getByRole("tab", { name: "Set-ups" }));
    expect(job.words()).toMatch(/15 pieces in 9 settings of the stop, longest first/);
    expect(job.words()).toMatch(/1 Stop at 76\.54 mm both ends square/);
    expect(job.words()).toMatch(
      /6 Stop at 34\.10 mm both ends 11\.8° mitre, parallel ; 2 side by side Mark as cut P3 as it lies 2 × P3, batter post, Scale lumber, HO 12×12/,
    );
    await press(job, "Mark as cut", 5);
    await job.kept();
    await waitFor(() => expect(job.events().map((e) => [e.kind, e.sticks.length])).toEqual([["cut", 2]]));
    await waitFor(() => expect(job.words()).toMatch(/13 pieces in 8 settings/));
  });
  it("takes what lies in the drawer first, and moves it with what is marked as cut", async () => {
    const item = stockItem(scaleOf("HO"), "scale/12x14")!;
    enter([{ lot: stickLot(item, 100), count: 2, why: "bought" }]);
    const job = await open();
    await job.user.click(screen.getByRole("tab", { name: "Stick layout" }));
    const section = await waitFor(() => within(screen.getByRole("region", { name: /12×14/ })));
    await waitFor(() => expect(section.getByText(/1 of them lies in the drawer/)).toBeTruthy());
    expect(section.getByText(/To be bought: 0 mm of stock/)).toBeTruthy();
    // the cap of 49 leaves 51 of it, which is worth keeping
    await job.user.click(section.getByRole("button", { name: "Mark as cut" }));
    await job.kept();
    await waitFor(() => expect(inDrawer().map((h) => [h.lot.length, h.count])).toEqual([[51, 1], [100, 1]])); // prettier-ignore
    await waitFor(() => expect(section.getByText("Take back")).toBeTruthy());
    await job.user.click(section.getByText("Take back"));
    await job.kept();
    await waitFor(() => expect(inDrawer().map((h) => [h.lot.length, h.count])).toEqual([[100, 2]])); // prettier-ignore
    await job.user.click(screen.getByLabelText(/Plans take what lies in the drawer first/));
    expect((await job.kept()).useDrawer).toBe(false);
    await waitFor(() => expect(screen.getByRole("region", { name: /12×14/ }).textContent).not.toMatch(/drawer/));
    await job.user.click(screen.getByLabelText(/Plans take what lies in the drawer first/));
    expect((await job.kept()).useDrawer).toBeUndefined();
  });
  it("tells what to buy, with some to spare, in packs at a price", async () => {
    const job = await open();
    await job.user.click(screen.getByRole("tab", { name: "To buy" }));
    await waitFor(() =>
      expect(job.words()).toMatch(
        /Scale lumber, HO 12×14, 279\.4 mm long 0\.05 m 1 1 of \d+ \d+\.\d\d \d+ over; 1 offcut up to 230\.4 mm/,
      ),
    );
    expect(job.words()).toMatch(/Together \d+\.\d\d/);
    expect(job.refusal(await job.type(/^To spare/, "plenty"))).toMatch(
      "Read “plenty”; write a share from 0 to 300 percent.",
    );
    // half of a stick is used: 300 % of it are two more
    await job.type(/^To spare/, "300 %");
    await waitFor(() => expect(job.words()).toMatch(/HO 3×10, 279\.4 mm long 0\.26 m 4 1 of \d+/));
  });
  it("asks for labels in figures, and says which would do", async () => {
    const job = await open();
    await job.user.click(screen.getByText("Labels for trays"));
    expect(job.refusal(await job.type("Labels across", "0"))).toMatch("Read “0”; write a whole number from 1 to 10.");
    await job.type("Labels across", "4");
    expect(JSON.parse(localStorage.getItem("cardo-labels")!)).toMatchObject({ across: 4, down: 8 });
  });
  it("says that nothing is cut from sheet where a bent is framed", async () => {
    const job = await open();
    await job.user.click(screen.getByRole("tab", { name: "Sheet layout" }));
    expect(job.words()).toMatch(/Nothing of this job is cut from sheet\./);
  });
  it("says that there is nothing to cut where nothing is framed", async () => {
    const job = await openJob({ ...bare(example("gulch-trestle")), structures: [] }, "cutting");
    expect(job.words()).toMatch(/There is nothing to cut yet\. Frame a structure first/);
    expect(screen.getByRole<HTMLButtonElement>("button", { name: "Cut list (PDF)" }).disabled).toBe(true);
  });
});
