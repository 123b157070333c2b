import { describe, expect, it } from "vitest";
import { type Prototype } from "../units";
import { roughOpening } from ".";

describe("openings", () => {
  const casting = {
    part: 0,
    wall: "front",
    kind: "window",
    at: 100 as Prototype,
    width: 36 as Prototype,
    height: 60 as Prototype,
    sill: 30 as Prototype,
    lap: 3 as Prototype,
  };
  // by hand: what goes into the wall is the body within the flange; from behind the frame shows within its rebate; a jamb stands outside of the clear opening
  it.each([
    ["flange", 36 - 6 + 0.2, 33 - 0.1, 87 + 0.1],
    ["behind", 36 - 6, 33, 87],
    ["inside", 36 + 0.2, 29.9, 90.1],
    ["built", 36 + 6 + 0.2, 27 - 0.1, 93.1],
  ])("mounted %s leave the rough opening that the casting needs", (mount, width, sill, head) => {
    const r = roughOpening({ ...casting, mount }, 0.1);
    expect([r.width, r.sill, r.head]).toEqual([
      expect.closeTo(width, 9),
      expect.closeTo(sill, 9),
      expect.closeTo(head, 9),
    ]);
  });
  it("a door's stands on the floor", () => {
    expect(roughOpening({ ...casting, kind: "door", sill: 0 as Prototype, mount: "inside" }, 0.1)).toMatchObject({
      sill: 0,
      head: expect.closeTo(60.1, 9) as number,
    });
  });
});
