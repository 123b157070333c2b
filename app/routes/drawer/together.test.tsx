// @vitest-environment jsdom
import { render, screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { createRoutesStub } from "react-router";
import { Toaster } from "sonner";
import { describe, expect, it } from "vitest";
import { stickLot } from "core/drawer";
import { emptyJob, newStructure, writeJobFile, type JobDoc } from "core/job";
import { stockItem } from "core/lumber";
import { scaleOf } from "core/units";
import { enter, inDrawer, ledger, setAside } from "~/data/drawer.server";
import { importJob, issuesOf } from "~/data/jobs.server";
import { setUpScreens, wordsOfPage } from "~/screen.fixture";
import Together, { loader } from "./together";

setUpScreens();
const bent = (name: string, height: number): JobDoc => ({ ...emptyJob(name), structures: [newStructure("trestle-bent", "s1", "Bent", { height })] }); // prettier-ignore
const shelf = (doc: JobDoc): Promise<string> => importJob(writeJobFile({ doc, issues: [], files: {} }));
const open = async (...names: string[]) => {
  const Stub = createRoutesStub([{ path: "/drawer/together", Component: Together as never, loader: loader as never }]);
  render(
    <>
      <Stub initialEntries={["/drawer/together"]} />
      <Toaster />
    </>,
  );
  const user = userEvent.setup();
  for (const n of names) await user.click(await screen.findByRole("checkbox", { name: new RegExp(n) }));
  await waitFor(() => expect(wordsOfPage()).not.toMatch(/being framed/));
  await waitFor(() => expect(wordsOfPage()).toMatch(/Proven/));
  return user;
};
const cutOf = (id: string): string[] => issuesOf(id).map((i) => `${i.kind} ${i.sticks.length}`);

describe("several jobs at once", () => {
  it("come off the same sticks, are marked in one act and taken back in one", async () => {
    const [a, b] = [await shelf(bent("First bent", 6096)), await shelf(bent("Second bent", 6400))];
    const item = stockItem(scaleOf("HO"), "scale/12x12")!;
    enter([{ lot: stickLot(item, 279.4), count: 1, why: "bought" }]);
    const user = await open("First bent", "Second bent");
    expect(wordsOfPage()).toMatch(/A First bent \d+ pieces to cut/);
    const section = within(screen.getByRole("region", { name: "Scale lumber, HO 12×12" }));
    // one stick carries pieces of both
    const shared = section.getAllByRole("listitem").find((li) => /A \w+.*B \w+|B \w+.*A \w+/.test(within(li).getByRole("img").getAttribute("aria-label")!))!; // prettier-ignore
    expect(shared).toBeTruthy();
    await user.click(within(shared).getByRole("button", { name: "Mark as cut" }));
    await waitFor(() =>
      expect(wordsOfPage()).toMatch(/Marked as cut: \d+ pieces? of \w+ bent, \d+ pieces? of \w+ bent/),
    );
    expect([cutOf(a), cutOf(b)]).toEqual([[expect.stringMatching(/^cut/)], [expect.stringMatching(/^cut/)]]);
    await waitFor(() => expect(within(shared).getByText("✓ Cut")).toBeTruthy());
    const out = ledger().filter((m) => m.why === "cut");
    expect(out.length).toBeLessThanOrEqual(1);
    await user.click(within(shared).getByRole("button", { name: "Take back" }));
    await waitFor(() => expect([cutOf(a).length, cutOf(b).length]).toEqual([2, 2]));
    expect(cutOf(a).at(-1)).toMatch(/^uncut/);
    await waitFor(() => expect(inDrawer().map((h) => h.count)).toEqual([1]));
  });
  it("are bought for together, each thing with the letters of those that want it; what lies there is set aside", async () => {
    const first = await shelf(bent("Third bent", 6096));
    await shelf(bent("Fourth bent", 6400));
    const item = stockItem(scaleOf("HO"), "scale/12x12")!;
    enter([{ lot: stickLot(item, 279.4), count: 2, why: "bought" }]);
    const user = await open("Third bent", "Fourth bent");
    await user.click(screen.getByRole("tab", { name: "To buy" }));
    const row = await waitFor(() => screen.getAllByRole("row").find((r) => /12×12/.test(r.textContent ?? "")) ?? Promise.reject(new Error("no row"))); // prettier-ignore
    expect(row.textContent).toMatch(/A, B$/);
    await user.click(screen.getByRole("button", { name: "Set aside what is taken from the drawer" }));
    await waitFor(() => expect(setAside().map((s) => [s.count, s.jobs.includes(first)])).toEqual([[2, true]]));
    await waitFor(() => expect(wordsOfPage()).toMatch(/2 × Scale lumber, HO 12×12, 279\.4 mm long/));
    await user.click(screen.getByRole("button", { name: "Let go" }));
    await waitFor(() => expect(setAside()).toEqual([]));
  });
});
