// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { newStructure } from "core/job";
import { framer } from "~/workers/framer";
import { largeTrestle } from "../../../bench/largeTrestleValues";
import { bare, example, openJob, server, setUpScreens, workers, type OpenJob } from "~/screen.fixture";

setUpScreens();
const open = async (name = "gulch-trestle"): Promise<OpenJob> => {
  const job = await openJob(bare(example(name)), "framing");
  await job.user.click(screen.getByRole("tab", { name: "Parameters" }));
  const unfold = screen.queryByRole("button", { name: "Unfold all" });
  if (unfold) await job.user.click(unfold);
  return job;
};
const params = async (job: OpenJob, n = 0) => (await job.kept()).structures[n]!.variants[0]!.params;
const sticks = (): number => Number(/(\d+) pieces/.exec(document.body.textContent ?? "")?.[1]);

describe("parameters of a bent", () => {
  it.each([
    ["21'6", 6553.2],
    ["21′-6″", 6553.2],
    ["6.5 m", 6500],
    // in HO a foot is 3.5 mm
    ["75 mm model", (75 * 304.8) / 3.5],
    ["3 in model", (76.2 * 304.8) / 3.5],
    ["240 in", 6096],
  ])("take a height as people write it: %s", async (text, mm) => {
    const job = await open();
    expect(job.refusal(await job.type(/^Height/, text))).toBe("");
    expect((await params(job)).height).toBeCloseTo(mm, 6);
  });
  it.each([
    ["2'", /from .*′.* to .*′/],
    ["900 ft", /from .*′.* to .*′/],
    ["10 mm model", /mm on the model/],
    ["1 m", /from .* m to .* m/],
    ["tall", /Read “tall”/],
    ["12 mm clear", /no distance between timbers|gap/],
  ])("refuse a height in the unit that was typed: %s", async (text, words) => {
    const job = await open();
    const before = (await params(job)).height;
    expect(job.refusal(await job.type(/^Height/, text))).toMatch(words);
    expect((await params(job)).height).toBe(before);
  });
  it("are sent as one small change with the revision it was made on, and undone by name", async () => {
    const job = await open();
    server.sent.length = 0;
    await job.type(/^Height/, "22'");
    await job.kept();
    const sent = server.sent.filter((s) => s.url.endsWith("/revisions")).map((s) => s.body as { base: number; patches: object[] }); // prettier-ignore
    expect(sent).toHaveLength(1);
    expect(sent[0]!.base).toBe(0);
    expect(sent[0]!.patches).toEqual([{ op: "set", path: ["structures", "#gulch", "variants", "#v1", "params", "height"], value: 6705.6 }].map((p) => expect.objectContaining({ ...p, path: expect.arrayContaining(["params", "height"]) as unknown }))); // prettier-ignore
    await job.user.click(screen.getByRole("button", { name: /^Undo: Height.*22′-0″/ }));
    await waitFor(() => expect(job.words()).toMatch(/Undone: Height.*22′-0″/));
    expect((await params(job)).height).toBeCloseTo(6400.8, 6);
    await job.user.click(screen.getByRole("button", { name: /^Redo: Height/ }));
    expect((await params(job)).height).toBeCloseTo(6705.6, 6);
  });
  it("are found by a word, and a word that nothing has is told", async () => {
    const job = await open();
    await job.user.type(screen.getByLabelText("Find a parameter"), "sway");
    expect(screen.queryByRole("textbox", { name: /^Height/ })).toBeNull();
    expect(job.words()).toMatch(/[Ss]way/);
    await job.user.clear(screen.getByLabelText("Find a parameter"));
    await job.user.type(screen.getByLabelText("Find a parameter"), "carburettor");
    expect(job.words()).toMatch(/No parameter has “ ?carburettor/);
  });
  it("choose more stories, and the drawing has what stands then", async () => {
    const job = await open();
    expect(sticks()).toBe(15);
    await job.user.selectOptions(screen.getByRole("combobox", { name: "Stories" }), "1");
    // a story less: four posts, an intermediate sill and a pair of sway braces
    await waitFor(() => expect(sticks()).toBe(8));
    await job.kept();
  });
});

describe("the board of a bent", () => {
  it("draws every stick, and a press shows its ticket with both worlds' lengths", async () => {
    const job = await openJob(bare(example("gulch-trestle")), "framing");
    expect(document.querySelectorAll("path[data-stick]")).toHaveLength(15);
    const cap = document.querySelector('path[data-stick="gulch/bent/cap"]')!;
    document.elementsFromPoint = () => [cap];
    const board = cap.closest("svg")!;
    fireEvent.pointerDown(board, { clientX: 300, clientY: 100, button: 0, pointerId: 1 });
    fireEvent.pointerUp(board, { clientX: 300, clientY: 100, button: 0, pointerId: 1 });
    document.elementsFromPoint = () => [];
    await waitFor(() => expect(job.words()).toMatch(/C1 cap · 1 of them/));
    expect(job.words()).toMatch(/Long edges 49\.00 mm 14′-0″/);
    await job.user.click(screen.getByRole("button", { name: "Leave this stick out" }));
    expect((await job.kept()).structures[0]!.variants[0]!.overrides).toEqual({ "bent/cap": { omit: true } });
    await waitFor(() => expect(job.words()).toMatch(/Changed by hand .* cap : left out/));
    expect(sticks()).toBe(14);
    await job.user.click(screen.getByRole("button", { name: "Take back" }));
    expect((await job.kept()).structures[0]!.variants[0]!.overrides).toEqual({});
  });
  it("is looked at from the front, the side and above", async () => {
    const job = await openJob(bare(example("gulch-trestle")), "framing");
    const outline = (): string => [...document.querySelectorAll("path[data-stick]")].map((p) => p.getAttribute("d")).join(); // prettier-ignore
    const front = outline();
    await job.user.click(screen.getByRole("button", { name: "Side" }));
    const side = outline();
    await job.user.click(screen.getByRole("button", { name: "Plan" }));
    expect(new Set([front, side, outline()]).size).toBe(3);
    await job.user.click(screen.getByRole("button", { name: "Elevation" }));
    expect(outline()).toBe(front);
  });
});

describe("a frame too large for the page", () => {
  const large = () => {
    const s = newStructure("trestle", "long", "Long trestle");
    const params = { ...largeTrestle(40) };
    return { ...bare(example("gulch-trestle")), structures: [{ ...s, variants: [{ ...s.variants[0]!, params }] }] };
  };
  const look = (): HTMLElement => document.querySelector("main")!;

  it("is made by a worker after an edit; until it answers the picture before stands, and only the latest is asked for", async () => {
    const job = await openJob(large(), "framing");
    const first = sticks();
    expect(first).toBeGreaterThan(1200);
    await job.user.click(screen.getByRole("tab", { name: "Parameters" }));
    await job.user.click(screen.getByRole("button", { name: "Unfold all" }));
    let answer = (): void => undefined;
    workers.hold = new Promise((done) => (answer = done));
    const field = screen.getByLabelText<HTMLTextAreaElement>("Bays");
    const shorter = (n: number): string => field.value.split(/[,;] /).slice(0, n).join(", ");
    await job.type("Bays", shorter(35));
    // the field has the new value at once, the board the old picture
    expect(screen.getByLabelText<HTMLTextAreaElement>("Bays").value.split(/[,;] /)).toHaveLength(35);
    expect(sticks()).toBe(first);
    expect(look().textContent).toMatch(/framing …/);
    await job.type("Bays", shorter(33));
    await job.type("Bays", shorter(30));
    answer();
    await waitFor(() => expect(look().textContent).not.toMatch(/framing …/));
    // of 39 bays nine are gone
    const perBay = (first - sticks()) / 9;
    expect(perBay).toBeGreaterThan(20);
    expect((await params(job)).bays).toHaveLength(30);
    await waitFor(() => expect(look().textContent).toMatch(/\d+ marks/));
  });
  it("is begun while its value is typed, so that leaving the field shows it at once and asks for nothing", async () => {
    const job = await openJob(large(), "framing");
    const first = sticks();
    await job.user.click(screen.getByRole("tab", { name: "Parameters" }));
    await job.user.click(screen.getByRole("button", { name: "Unfold all" }));
    const looked = vi.spyOn(framer, "look");
    const field = screen.getByLabelText<HTMLTextAreaElement>("Bays");
    const nine = field.value.split(/[,;] /).slice(0, 30).join(", ");
    fireEvent.change(field, { target: { value: nine } });
    await waitFor(() => expect(looked).toHaveBeenCalledTimes(1));
    const begun = await looked.mock.results[0]!.value;
    // a word more in the channel than the answer itself
    await new Promise((r) => setTimeout(r, 50));
    expect(sticks()).toBe(first);
    expect((await params(job)).bays).toHaveLength(39);
    fireEvent.blur(field);
    expect(sticks()).toBe(begun.sticks);
    expect(begun.sticks).toBeLessThan(first);
    expect(look().textContent).not.toMatch(/framing …/);
    expect(looked).toHaveBeenCalledTimes(1);
    expect((await params(job)).bays).toHaveLength(30);
    // what the range does not have, or is not read, begins nothing
    for (const value of ["15', 900'", "15', tall"]) fireEvent.change(field, { target: { value } });
    await new Promise((r) => setTimeout(r, 50));
    expect(looked).toHaveBeenCalledTimes(1);
    looked.mockRestore();
  });
  it("that is waited for is made, also where the next value is being typed by then", async () => {
    const job = await openJob(large(), "framing");
    const first = sticks();
    await job.user.click(screen.getByRole("tab", { name: "Parameters" }));
    await job.user.click(screen.getByRole("button", { name: "Unfold all" }));
    const field = screen.getByLabelText<HTMLTextAreaElement>("Bays");
    const bays = field.value.split(/[,;] /);
    let answer = (): void => undefined;
    workers.hold = new Promise((done) => (answer = done));
    fireEvent.change(field, { target: { value: bays.slice(0, 36).join(", ") } });
    fireEvent.change(field, { target: { value: bays.slice(0, 30).join(", ") } });
    fireEvent.blur(field);
    // typed on while the first is still being made, and not left
    fireEvent.change(field, { target: { value: bays.slice(0, 20).join(", ") } });
    answer();
    await waitFor(() => expect(look().textContent).not.toMatch(/framing …/));
    expect(sticks()).toBeLessThan(first - 9 * 20);
    expect((await params(job)).bays).toHaveLength(30);
  });
  it("tells why it cannot be framed, and goes on when it can again", async () => {
    const job = await openJob(large(), "framing");
    await job.user.click(screen.getByRole("tab", { name: "Parameters" }));
    await job.user.click(screen.getByRole("button", { name: "Unfold all" }));
    const was = sticks();
    await job.type("Bays", "15', 15'");
    await waitFor(() => expect(sticks()).toBeLessThan(was));
    await job.user.click(screen.getByRole("button", { name: /^Undo: Bays/ }));
    await waitFor(() => expect(sticks()).toBe(was));
  });
});

describe("values that cannot be framed", () => {
  it("are told on the board where the frame would be, in the units of the job", async () => {
    const doc = structuredClone(bare(example("summit-snowshed")));
    const params = doc.structures[0]!.variants[0]!.params as Record<string, unknown>;
    Object.assign(params, { curve: "model", modelRadius: 60 });
    const job = await openJob(doc, "framing");
    expect(screen.getByRole("heading", { name: "It cannot be framed like this" })).toBeTruthy();
    expect(job.words()).toMatch(/A radius of 17′-1 11\/16″ is too sharp for bays of 10′-0″; use at least 83′-4″\./);
    await job.user.click(screen.getByRole("tab", { name: "Parameters" }));
    await job.user.click(screen.getByRole("button", { name: "Unfold all" }));
    const radius = screen.getByLabelText(/^Model radius/);
    await job.user.clear(radius);
    await job.user.type(radius, "900");
    await job.user.tab();
    await waitFor(() => expect(screen.queryByRole("heading", { name: "It cannot be framed like this" })).toBeNull());
  });
});

describe("a copy fitted into the spot", () => {
  it("of a truss takes panels out and stands beside the one it was made from, with what was given up", async () => {
    const doc = bare(example("howe-truss"));
    const job = await openJob({ ...doc, brief: { ...doc.brief, spotLength: 240, spotDepth: 0 } }, "framing");
    const menu = () => screen.findByRole("button", { name: /^Bridge over the Notch river/ });
    await job.user.click(await menu());
    await job.user.click(await screen.findByRole("menuitem", { name: "Fit a copy into the spot" }));
    await screen.findByText(/variants at one scale/);
    const s = (await job.kept()).structures[0]!;
    const made = s.variants.find((v) => v.name === "Fitted to the spot")!;
    expect(made.params.panels).toBe(4);
    expect(made.reason).toMatch(
      /^Given up: 2 panels: 325\.5 mm long became 220\.5 mm.* Doors, windows and lumber keep their sizes\.$/,
    );
    expect(s.chosen).toBe(made.id);
  });
});
