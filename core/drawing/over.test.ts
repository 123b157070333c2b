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
});
