import { describe, expect, it } from "vitest";
import { stepStates, tasksOf } from "../assembly";
import { sheetJobs } from "../jigs/sheetParts";
import { benchEvent, designOf, emptyBuild, madeSticks, masterPlans, stickJobs, type MasterDoc } from "../job";
import { demo, outOfOrder } from "./built.fixture";
import { buildOrder } from "./order";

const doc = demo("company-store");
const plain = designOf(doc);
const structure = plain.structures[0]!.structure.id;
// one or two of a mark are sooner cut
const quoins = plain.pieces.filter((p) => p.role === "quoin" && p.sticks.length >= 3);
const master: MasterDoc = { structure, role: "quoin", by: "cast", atOnce: 8, spare: 3, minutes: 90 };
const withMaster = (more: Partial<MasterDoc> = {}) => designOf({ ...doc, build: { ...emptyBuild(), masters: [{ ...master, ...more }] } }); // prettier-ignore

describe("what is made from one master", () => {
  it("is made with spares in whole fills, mark by mark", () => {
    const plans = masterPlans(withMaster());
    expect(plans.map((p) => p.mark)).toEqual(quoins.map((p) => p.mark));
    plans.forEach((p, i) => {
      const n = quoins[i]!.sticks.length;
      expect([p.sticks.length, p.wanted, p.pours]).toEqual([n, n + 3, Math.ceil((n + 3) / 8)]);
    });
  });
  it("is cut once a mark where it is cast, not at all where it is printed", () => {
    const all = quoins.reduce((n, p) => n + p.sticks.length, 0);
    expect(madeSticks(withMaster()).size).toBe(all - quoins.length);
    expect(madeSticks(withMaster({ by: "printed" })).size).toBe(all);
    const cut = (d: typeof plain): number => sheetJobs(d).flatMap((j) => j.problem.parts).reduce((n, p) => n + p.sticks.length, 0) + stickJobs(d).reduce((n, j) => n + j.wanted.length, 0); // prettier-ignore
    expect(cut(plain) - cut(withMaster())).toBe(all - quoins.length);
    expect(cut(plain) - cut(withMaster({ by: "printed" }))).toBe(all);
    expect(madeSticks(withMaster({ structure: "other" })).size).toBe(0);
  });
  it("is a step for each fill, each when the mould is free again, before the first piece is used", () => {
    const d = withMaster();
    const { steps } = buildOrder(d).orders[0]!;
    expect(outOfOrder(steps)).toEqual([]);
    const [plan] = masterPlans(d);
    const fills = steps.filter((x) => x.id.startsWith(`${structure}/master/${plan!.mark}/`));
    expect(fills).toHaveLength(plan!.pours);
    expect(fills.reduce((n, x) => n + Number(/(\d+) ×/.exec(x.title)![1]), 0)).toBe(plan!.wanted);
    const first = steps.findIndex((x) => x.sticks.some((k) => plan!.sticks.includes(k)));
    expect(steps.indexOf(fills.at(-1)!)).toBeLessThan(first);
    // the mould is busy for an hour and a half after a fill
    const poured = benchEvent("done", "entry-1", "2026-05-01T10:00:00Z", { step: fills[0]!.id, title: fills[0]!.title, joining: { name: "rest", handle: 90, full: 90 } }); // prettier-ignore
    const at = (min: number) => stepStates(steps, [poured], Date.parse("2026-05-01T10:00:00Z") + min * 60_000);
    if (fills.length > 1) {
      expect(at(80).get(fills[1]!.id)!.state).toBe("drying");
      expect(at(91).get(fills[1]!.id)!.state).toBe("open");
      const task = tasksOf(steps, at(0), [], 0, () => 0).find((t) => t.id === fills.at(-1)!.id)!;
      expect(task.after.every((a) => a.rest === 90)).toBe(true);
    }
  });
});
