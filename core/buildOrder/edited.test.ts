import { describe, expect, it } from "vitest";
import { assemblyOf } from "../assembly";
import { replay } from "../assembly/replay.fixture";
import { stream } from "../cutting/stream";
import { designOf, type OrderEditDoc } from "../job";
import { at, built, demo, finished, outOfOrder } from "./built.fixture";
import { applied, edited, joinFault, moveFault, splitFault } from "./edited";

const bent = built(designOf(demo("gulch-trestle")));
const { s } = bent;
const { steps } = bent.a;
const step = (title: RegExp) => steps[at(steps, title)]!;
const own = (e: Partial<OrderEditDoc> & Pick<OrderEditDoc, "kind" | "step">): OrderEditDoc => e;

describe("an order changed by hand", () => {
  it("refuses to move a step before what carries it, with the reason, and nothing else", () => {
    const [cap, posts] = [step(/\d cap$/), step(/batter posts$/)];
    expect(steps.indexOf(cap)).toBeLessThan(steps.indexOf(posts));
    expect(moveFault(steps, posts.id, cap.id)).toBe(`“${posts.title}” cannot come before “${cap.title}”: it lies on it, or would close its way.`); // prettier-ignore
    expect(moveFault(steps, cap.id, undefined)).toMatch(/cannot come before “.*cap”/);
    expect(moveFault(steps, "gone", cap.id)).toBe("One of these is no step any more.");
    expect(moveFault(steps, cap.id, cap.id)).toBeUndefined();
  });
  it("parts a step and joins it again: the pieces are the same, each once", () => {
    const posts = step(/batter posts$/);
    const parted = applied(s, steps, own({ kind: "split", step: posts.id, sticks: posts.sticks.slice(-1) }));
    if (typeof parted === "string") throw new Error(parted);
    expect(parted).toHaveLength(steps.length + 1);
    const [a, b] = parted.filter((x) => x.id.startsWith(posts.id));
    expect([a!.sticks.length, b!.sticks.length]).toEqual([posts.sticks.length - 1, 1]);
    expect([a!.title, b!.title]).toEqual([posts.title.replace(/\d+(?= batter)/, (n) => String(Number(n) - 1)), posts.title.replace(/\d+(?= batter)/, "1")]); // prettier-ignore
    expect(replay(s.resolved, { steps: parted, noWay: [] })).toEqual([]);
    const one = applied(s, parted, own({ kind: "join", step: b!.id, with: a!.id }));
    if (typeof one === "string") throw new Error(one);
    expect(one).toHaveLength(steps.length);
    expect(one.find((x) => x.id === posts.id)!.sticks).toEqual(posts.sticks);
    expect(replay(s.resolved, { steps: one, noWay: [] })).toEqual([]);
  });
  it("refuses to part all or none of a step, and to join what is not done at one place or has a step between", () => {
    const posts = step(/batter posts$/);
    for (const sticks of [[], posts.sticks, ["other"]]) expect(splitFault(s, steps, posts.id, sticks)).toMatch(/^Take some of the \d+ pieces of /); // prettier-ignore
    const house = built(designOf(demo("tool-house-framed")));
    const list = house.a.steps;
    const joins = list.filter((x) => x.place === "join");
    const board = list.find((x) => x.place === "board")!;
    expect(joinFault(list, board.id, joins[0]!.id)).toMatch(/are not done at one place/);
    // two walls, and what lies on both of them
    const faults = joins.slice(1).map((x) => joinFault(list, joins[0]!.id, x.id));
    expect(faults.filter((f) => f && /has to be done between/.test(f)).length).toBeGreaterThan(3);
  });
  it("adds a step after one and before another, with its clock, and not the wrong way round", () => {
    const [cap, posts] = [step(/\d cap$/), step(/batter posts$/)];
    const add = own({ kind: "add", step: `${s.structure.id}/own/1`, title: "Nut castings", text: "Four on each side.", with: cap.id, before: posts.id, minutes: 25, rest: 60 }); // prettier-ignore
    const more = applied(s, steps, add);
    if (typeof more === "string") throw new Error(more);
    const at = more.findIndex((x) => x.title === "Nut castings");
    expect(more[at]!.own).toEqual({ minutes: 25, rest: 60 });
    expect(more.findIndex((x) => x.id === cap.id)).toBeLessThan(at);
    expect(more.findIndex((x) => x.id === posts.id)).toBeGreaterThan(at);
    expect(applied(s, steps, { ...add, with: posts.id, before: cap.id })).toMatch(/which come the other way round/);
    expect(applied(s, steps, { ...add, with: "gone" })).toMatch(/was added beside one that is no step any more/);
  });
  it("leaves out what cannot be any more, and tells it", () => {
    const gone = edited(s, steps, [own({ kind: "move", step: `${s.structure.id}/x`, title: "Old step" }), own({ kind: "move", step: "elsewhere/x" })]); // prettier-ignore
    expect(gone.steps).toBe(steps);
    expect(gone.mistakes.map((m) => m.text)).toEqual(["“Old step” is no step any more: the design went on. This change of the order by hand is left out."]); // prettier-ignore
  });
  it.each(["tool-house-framed", "gulch-trestle", "howe-truss", "agents-cottage"])("can be built whatever was accepted, by swept solids: %s", (name) => {
    const d = finished(demo(name));
    d.structures.forEach((_, n) => {
      const { s, a } = built(d, n);
      let list = a.steps;
      const r = stream(41 + n);
      const pick = (k: number): number => Math.floor(r() * k);
      let taken = 0;
      for (let i = 0; i < 80; i++) {
        const x = list[pick(list.length)]!;
        const other = list[pick(list.length)]!.id;
        const e = [
          own({ kind: "move", step: x.id, ...(r() < 0.1 ? {} : { before: other }) }),
          own({ kind: "split", step: x.id, sticks: x.sticks.filter(() => r() < 0.5) }),
          own({ kind: "join", step: x.id, with: other }),
          own({ kind: "add", step: `${s.structure.id}/own/${i}`, title: "Own", with: x.id }),
        ][pick(4)]!;
        const next = applied(s, list, e);
        if (typeof next === "string") continue;
        list = next;
        taken++;
      }
      expect(taken).toBeGreaterThan(15);
      expect(outOfOrder(list)).toEqual([]);
      expect(replay(s.resolved, { steps: list, noWay: assemblyOf(s).noWay })).toEqual([]);
    });
  }); // prettier-ignore
});
