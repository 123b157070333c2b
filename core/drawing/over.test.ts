import { describe, expect, it } from "vitest";
import { dormer, framed, house } from "../structures/building/building.fixture";
import { elevation, VIEWS } from "./elevation";

describe("a roof seen from the front", () => {
  it("has its boards painted after the rafters they lie on, and dormers after the boards behind them", () => {
    const { r } = framed({ ...house, covering: "boards", dormers: [dormer] });
    const order = elevation(r.sticks, VIEWS.side).map((x) => x.id);
    const last = (within: RegExp): number => order.reduce((n, id, i) => (within.test(id) ? i : n), -1);
    const first = (within: RegExp): number => order.findIndex((id) => within.test(id));
    expect(first(/main\/roof\/cover-S\//)).toBeGreaterThan(last(/main\/roof\/S\/\d+(-over)?$/));
    // the boards over the dormer's front wall lie behind it
    expect(first(/dormer1-front\/plate/)).toBeGreaterThan(first(/main\/roof\/cover-S\/board\/20-/));
  });
  it("has the boards of a shed dormer painted after its own rafters and nailer", () => {
    const shed = { ...dormer, roof: "shed", rise: 3 };
    const { r } = framed({ ...house, covering: "boards", dormers: [shed] });
    const order = elevation(r.sticks, VIEWS.side).map((x) => x.id);
    const at = (within: RegExp): number[] => order.flatMap((id, i) => (within.test(id) ? [i] : []));
    expect(Math.min(...at(/dormer1\/roof\/cover-S\//))).toBeGreaterThan(Math.max(...at(/dormer1\/roof\/S\/\d/)));
    expect(Math.min(...at(/dormer1\/roof\/S\/\d/))).toBeGreaterThan(Math.max(...at(/main\/roof\/S\/\d/)));
  });
});
