// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { deleteJob, readJob, restoreJob } from "~/data/jobs.server";
import { keepEntry } from "~/data/keep.server";
import { bare, example, openJob, server, setUpScreens, type OpenJob } from "~/screen.fixture";

setUpScreens();
const open = (): Promise<OpenJob> => openJob(bare(example("gulch-trestle")), "brief");
const head = (): string => document.querySelector("header")!.textContent ?? "";
/** What another tab would have kept meanwhile. */
const elsewhere = (job: OpenJob, path: readonly string[], value: unknown) =>
  keepEntry(job.id, { kind: "edit", id: crypto.randomUUID(), base: readJob(job.id)!.confirmed.revision, label: "Elsewhere", patches: [{ op: "set", path: [...path], value }] } as never); // prettier-ignore

describe("a server that is away", () => {
  it("is told in the header and above the stage; what is typed waits in the browser and is kept when it is back", async () => {
    const job = await open();
    server.away = true;
    await job.type("Name", "Typed in the dark");
    await waitFor(() => expect(head()).toMatch(/Not kept yet/));
    expect(job.words()).toMatch(/The server does not answer\. What you do stays in this browser/);
    expect(readJob(job.id)!.confirmed.doc.name).toBe("Gulch trestle");
    expect(Object.keys(localStorage).some((k) => k.includes(job.id))).toBe(true);
    // closing the page asks
    const closing = new Event("beforeunload", { cancelable: true });
    window.dispatchEvent(closing);
    expect(closing.defaultPrevented).toBe(true);
    await job.type("Era", "Winter");
    server.away = false;
    window.dispatchEvent(new Event("online"));
    const doc = await job.kept();
    expect([doc.name, doc.brief.era]).toEqual(["Typed in the dark", "Winter"]);
    expect(job.words()).not.toMatch(/does not answer/);
    expect(Object.keys(localStorage).some((k) => k.includes(job.id))).toBe(false);
  });
  it("undoes what was never kept, in its order", async () => {
    const job = await open();
    server.away = true;
    await job.type("Name", "First");
    await job.type("Name", "Second");
    await job.user.click(screen.getByRole("button", { name: /^Undo: Rename the job/ }));
    expect(screen.getByRole("heading", { level: 1 }).textContent).toBe("First");
    server.away = false;
    window.dispatchEvent(new Event("online"));
    expect((await job.kept()).name).toBe("First");
    const sent = server.sent.map((s) => (s.body as { kind: string }).kind);
    expect(sent.slice(-3)).toEqual(["edit", "edit", "undo"]);
  });
});

describe("another tab", () => {
  it("that was first: both are kept where they do not meet, and the person is asked", async () => {
    const job = await open();
    elsewhere(job, ["brief", "era"], "Autumn 1910");
    await job.type("Railroad", "Mine alone");
    await waitFor(() => expect(job.words()).toMatch(/Another tab changed this job first/));
    await job.user.click(screen.getByRole("button", { name: "Keep mine" }));
    const doc = await job.kept();
    expect([doc.brief.era, doc.brief.railroad]).toEqual(["Autumn 1910", "Mine alone"]);
  });
  it("that was first: what is here can be let go", async () => {
    const job = await open();
    elsewhere(job, ["brief", "railroad"], "Theirs");
    await job.type("Railroad", "Mine");
    await waitFor(() => expect(job.words()).toMatch(/Another tab changed this job first/));
    await job.user.click(screen.getByRole("button", { name: "Go on from what is there" }));
    expect((await job.kept()).brief.railroad).toBe("Theirs");
    expect(screen.getByLabelText<HTMLInputElement>("Railroad").value).toBe("Theirs");
  });
  it("that deleted the job: told once, and what is typed waits until it is put back", async () => {
    const job = await open();
    deleteJob(job.id);
    await job.type("Era", "After the end");
    await waitFor(() => expect(head()).toMatch(/Off the shelf/));
    await waitFor(() => expect(job.words()).toMatch(/This job was taken off the shelf in another tab/));
    expect(job.words().match(/taken off the shelf in another tab/g)).toHaveLength(1);
    restoreJob(job.id);
    expect(readJob(job.id)!.confirmed.doc.brief.era).toBe("Summer 1909");
  });
});

describe("the header", () => {
  it("flips the units of both worlds, by pointer and by arrow, and every figure follows", async () => {
    const job = await open();
    await job.user.click(screen.getByRole("radio", { name: "m" }));
    expect((await job.kept()).brief.units.prototype).toBe("m");
    const mm = screen.getByRole("radio", { name: "mm" });
    mm.focus();
    await job.user.keyboard("{ArrowRight}");
    expect((await job.kept()).brief.units).toEqual({ prototype: "m", model: "in" });
    expect(screen.getByRole("radio", { name: "in" })).toBe(document.activeElement);
    // 1,180 mm are 46.457 in
    expect(screen.getByLabelText<HTMLInputElement>(/^Length of the spot/).value).toMatch(/^46\.45/);
  });
  it("takes single keys: u flips, digits go to stages, ? explains; in a field they are letters", async () => {
    const job = await open();
    await job.user.keyboard("u");
    expect((await job.kept()).brief.units).toEqual({ prototype: "m", model: "mm" });
    await job.user.keyboard("?");
    await waitFor(() => expect(job.words()).toMatch(/Switch single keys off/));
    await job.user.keyboard("{Escape}");
    await job.type("Era", "u 4 ?");
    const doc = await job.kept();
    expect([doc.brief.era, doc.brief.units.prototype]).toEqual(["u 4 ?", "m"]);
    fireEvent.keyDown(document.body, { key: "5" });
    await waitFor(() => expect(document.title).toMatch(/^Stock/));
  });
  it("finds a piece by its mark, its role or where it goes", async () => {
    const job = await open();
    await job.user.keyboard("/");
    await job.user.type(await screen.findByLabelText("Piece mark, role or place"), "sway");
    await waitFor(() => expect(job.words()).toMatch(/B1 .*sway brace/));
    await job.user.clear(screen.getByLabelText("Piece mark, role or place"));
    await job.user.type(screen.getByLabelText("Piece mark, role or place"), "P3{Enter}");
    await job.go("Framing");
    await waitFor(() => expect(job.words()).toMatch(/P3 batter post · 2 alike/));
  });
});
