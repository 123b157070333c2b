// @vitest-environment jsdom
import { render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { createRoutesStub } from "react-router";
import { URLSearchParams as NodeParams } from "node:url";
import { beforeAll, describe, expect, it, vi } from "vitest";
import { lotWords, stickLot } from "core/drawer";
import { stockItem } from "core/lumber";
import { scaleOf } from "core/units";
import { inDrawer, leastOffcut, ledger } from "~/data/drawer.server";
import { setUpScreens } from "~/screen.fixture";
import { loader as csv } from "./csv";
import Drawer, { action, loader } from "./drawer";
import { action as prices } from "./prices";

setUpScreens("kept");
// the page's own kind of fields does not pass into a request of Node's
beforeAll(() => void vi.stubGlobal("URLSearchParams", NodeParams));
const open = () => {
  const Stub = createRoutesStub([{ path: "/drawer", Component: Drawer as never, loader: loader as never, action: (async ({ request }: { request: Request }) => send(fieldsOf(await request.text()))) as never }]); // prettier-ignore
  render(<Stub initialEntries={["/drawer"]} />);
  return userEvent.setup();
};
const lots = () => inDrawer().map((h) => `${h.count} ${lotWords(h.lot)}`);
/** The page's own forms and files do not pass through a request of Node's: the fields come as they are. */
const send = (form: FormData) => action({ request: { url: "http://127.0.0.1/drawer", headers: new Headers(), formData: () => Promise.resolve(form) }, params: {}, context: {} } as never); // prettier-ignore
const fieldsOf = (text: string): FormData => {
  const form = new FormData();
  for (const [k, v] of new URLSearchParams(text)) form.append(k, v);
  return form;
};
/** The row of a lot; its name stands among the sizes to choose from as well. */
const row = async (name: string) =>
  within(await waitFor(() => screen.getAllByRole("row").find((r) => r.querySelector("td")?.textContent?.startsWith(name)) ?? Promise.reject(new Error(name)))); // prettier-ignore

describe("the drawer", () => {
  it("takes in what is of a series, and what is of one's own size in any notation", async () => {
    const user = open();
    await screen.findByText(/The drawer is empty/);
    await user.selectOptions(screen.getByLabelText("Size"), "scale/12x12");
    await user.clear(screen.getByLabelText("Count"));
    await user.type(screen.getByLabelText("Count"), "6");
    await user.click(screen.getByRole("button", { name: "Add" }));
    await row("Scale lumber, HO 12×12");
    expect(lots()).toEqual(["6 Scale lumber, HO 12×12, 279.4 mm long"]);
    await user.selectOptions(screen.getByLabelText("From"), "own");
    await user.type(screen.getByLabelText("Called"), "Stirring stick");
    await user.type(screen.getByLabelText("Thickness"), "1/16 in");
    await user.type(screen.getByLabelText("Width"), "4.7");
    await user.type(screen.getByLabelText("Length"), "7 in");
    await user.click(screen.getByRole("button", { name: "Add" }));
    const own = await row("Stirring stick");
    expect(own.getByText("1.59 mm × 4.70 mm")).toBeTruthy();
    expect(own.getByText("177.80 mm")).toBeTruthy();
  });
  it("says what is wrong with what was typed, and keeps nothing of it", async () => {
    const user = open();
    await row("Scale lumber, HO 12×12");
    const before = ledger().length;
    await user.selectOptions(screen.getByLabelText("From"), "own");
    await user.type(screen.getByLabelText("Thickness"), "thin");
    await user.click(screen.getByRole("button", { name: "Add" }));
    expect((await screen.findByRole("alert")).textContent).toMatch(/thickness “thin” is no size in mm; write a number above 0, up to 500\./); // prettier-ignore
    expect(ledger()).toHaveLength(before);
  });
  it("takes in tubes of the series and shapes of one's own, and refuses a shape that is none in words", async () => {
    const user = open();
    await row("Scale lumber, HO 12×12");
    await user.selectOptions(screen.getByLabelText("From"), "tube");
    await user.selectOptions(screen.getByLabelText("Size"), "tube/pipe/50");
    await user.click(screen.getByRole("button", { name: "Add" }));
    await row("Plastic pipe 50 mm");
    await user.selectOptions(screen.getByLabelText("From"), "own");
    await user.selectOptions(screen.getByLabelText("Form"), "I");
    const type = async (sizes: readonly string[]): Promise<void> => {
      for (const [i, label] of ["Depth", "Flanges reach", "Web thick", "Flanges thick"].entries()) {
        await user.clear(screen.getByLabelText(label));
        await user.type(screen.getByLabelText(label), sizes[i]!);
      }
      await user.clear(screen.getByLabelText("Length"));
      await user.type(screen.getByLabelText("Length"), "250");
      await user.click(screen.getByRole("button", { name: "Add" }));
    };
    const before = ledger().length;
    await type(["2", "3", "0,4", "0.4"]);
    expect((await screen.findByRole("alert")).textContent).toMatch(/flanges reach 3 mm and the shape is 2 mm deep/);
    expect(ledger()).toHaveLength(before);
    await type(["1/8 in", "2", "0,4", "0.4"]);
    await row("Own wood I shape, 3.175 × 2 mm");
    expect(lots().filter((l) => /pipe|shape/.test(l))).toEqual(["1 Plastic pipe 50 mm, 1000.0 mm long", "1 Own wood I shape, 3.175 × 2 mm, web 0.4, flange 0.4, 250.0 mm long"]); // prettier-ignore
    expect(inDrawer().map((h) => h.lot.section).filter(Boolean)).toEqual(["tube/pipe/50", "shape/own/wood/I/3.175x2/0.4/0.4"]); // prettier-ignore
  });
  it("counts anew, with a place and a price, and takes a line back", async () => {
    const user = open();
    const lot = await row("Scale lumber, HO 12×12");
    const count = lot.getByLabelText(/^Count of/);
    await user.clear(count);
    await user.type(count, "4");
    await user.type(lot.getByLabelText(/^Place of/), "tray 3");
    await user.type(lot.getByLabelText(/^Price of/), "0,65");
    await user.click(lot.getByRole("button", { name: /^Keep/ }));
    await screen.findByText(/counted anew/);
    expect(inDrawer().find((h) => h.lot.name === "Scale lumber, HO 12×12")).toMatchObject({
      count: 4,
      place: "tray 3",
      price: 0.65,
    });
    await screen.findByText("What has a price is worth 2.60 together.");
    await user.click(screen.getAllByRole("button", { name: /^Take back: Scale lumber.*counted anew/ })[0]!);
    await screen.findByDisplayValue("6");
    expect(inDrawer().find((h) => h.lot.name === "Scale lumber, HO 12×12")).toMatchObject({ count: 6 });
    const bad = (await row("Scale lumber, HO 12×12")).getByLabelText(/^Count of/);
    await user.clear(bad);
    await user.type(bad, "some");
    await user.click((await row("Scale lumber, HO 12×12")).getByRole("button", { name: /^Keep/ }));
    expect((await screen.findByRole("alert")).textContent).toBe(
      "Read “some”; write how many there are, a whole number.",
    );
  });
  it("finds as people type, and keeps the least offcut", async () => {
    const user = open();
    await row("Stirring stick");
    await user.type(screen.getByLabelText("Find in the drawer"), "12x12 tray");
    await waitFor(() => expect(screen.getAllByRole("row")).toHaveLength(2));
    await row("Scale lumber, HO 12×12");
    await user.type(screen.getByLabelText("Find in the drawer"), " zinc");
    expect(screen.getByText(/Nothing in the drawer has “12x12 tray zinc” in it/)).toBeTruthy();
    const least = screen.getByLabelText(/^Offcuts are kept from/);
    await user.clear(least);
    await user.type(least, "25 mm");
    await user.click(within(least.closest("form")!).getByRole("button", { name: "Keep" }));
    await waitFor(() => expect(leastOffcut()).toBe(25));
  });
  it("goes out as a table and comes in again, whole or not at all", async () => {
    const text = new TextDecoder("utf-8", { ignoreBOM: true }).decode(await csv().arrayBuffer());
    expect(text.split("\r\n")[0]).toBe(
      "\uFEFFform,material,name,sheet,section,thickness,width,length,count,price,place,note",
    );
    const before = lots();
    const table = (body: string): FormData => {
      const form = new FormData();
      form.set("do", "import");
      form.set(
        "file",
        Object.assign(new File([body], "mine.csv", { type: "text/csv" }), { text: () => Promise.resolve(body) }),
      );
      return form;
    };
    expect(await send(table(text))).toEqual({ done: "kept" });
    expect(lots()).toEqual(before.map((l) => l.replace(/^\d+/, (n) => String(2 * Number(n)))));
    const lines = ledger().length;
    expect(await send(table("form,material,thickness,width,length,count\nstrip,wood,1,2,300,3\nstrip,tin,1,2,300,3"))).toEqual({ sentence: "“mine.csv” was not taken. Row 2: material “tin” is not known; write wood, styrene, card, clear." }); // prettier-ignore
    expect(ledger()).toHaveLength(lines);
    const none = new FormData();
    none.set("do", "import");
    expect(await send(none)).toMatchObject({ sentence: expect.stringMatching(/^No file was chosen/) });
    const wish = new FormData();
    wish.set("do", "wish");
    expect(await send(wish)).toEqual({ sentence: "Nothing was asked for." });
  });
});

describe("the price service", () => {
  const ask = (body: unknown) => prices({ request: new Request("http://127.0.0.1/drawer/prices", { method: "POST", body: JSON.stringify(body), headers: { "content-type": "application/json" } }), params: {}, context: {} } as never); // prettier-ignore
  it("answers in the order of what was asked, and refuses what is no lot", async () => {
    const item = stockItem(scaleOf("HO"), "scale/12x12")!;
    const r = await (await ask([stickLot(item, 279.4), stickLot(item, 60)])).json();
    expect(r).toEqual({ quotes: [{ pack: expect.any(Number), price: expect.any(Number) }, null] });
    const bad = await ask([{ form: "plank" }]);
    expect([bad.status, (await bad.json()).sentence]).toEqual([400, "form “plank” is not known; write strip, round or sheet."]); // prettier-ignore
    expect((await ask({})).status).toBe(400);
  });
});
