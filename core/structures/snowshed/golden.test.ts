import { describe, expect, it } from "vitest";
import { feet } from "../../units";
import { bill, inInches, longOf, made, sum, cubicInches } from "../golden.fixture";

// three bays of 10 ft, 16 ft clear, 20 ft under caps of 10×12 on posts of 10×10; 6 in 12
const shed = { bays: 3, bay: feet(10) };

describe("a snowshed of three bays, counted by hand", () => {
  it("has four frames of two posts, a cap, two rafters, a king post, two knees; everything between them three times", () => {
    const { counts } = made("snowshed", shed);
    expect(counts()).toMatchObject({
      cap: 4,
      post: 8,
      mudsill: 8,
      rafter: 8,
      "king post": 4,
      "knee brace": 8,
      // three rows on both sides, three purlins to both slopes
      girt: 3 * 2 * 3,
      purlin: 3 * 2 * 3,
      // 20 ft of wall and the cap beside it are covered by rows of 10 in
      plank: 3 * 2 * 12,
    });
  });
  it("stands 16 ft apart between its posts, each 20 ft high under the caps; caps run 1 ft past the posts", () => {
    const { of } = made("snowshed", shed);
    const left = inInches(of("post", /left/), 1);
    const right = inInches(of("post", /right/), 1);
    expect(Math.max(...left) - Math.min(...right) - 2 * 10).toBeCloseTo(16 * 12, 3);
    for (const post of of("post")) expect(longOf(post)).toBeCloseTo(20 * 12, 3);
    for (const cap of of("cap")) expect(longOf(cap)).toBeCloseTo(16 * 12 + 2 * 10 + 2 * 12, 3);
    // the middle of the shed is at 0, the last frame a bay and a half on
    expect((inInches(of("cap", /frame4/), 0)[0] + inInches(of("cap", /frame4/), 0)[1]) / 2).toBeCloseTo(180, 3);
  });
  it("has knees that reach 3 ft along post and cap", () => {
    const { of } = made("snowshed", { ...shed, kneeReach: feet(3) });
    for (const knee of of("knee brace", /left/)) {
      const [y0, y1] = inInches([knee], 1);
      const [z0, z1] = inInches([knee], 2);
      expect(y1 - y0).toBeCloseTo(z1 - z0, 1);
    }
    expect(made("snowshed", { ...shed, kneeReach: 0 }).of("knee brace")).toEqual([]);
  });
  it("takes its roof off bay by bay: open bays have no planks, one more bay is one more of each", () => {
    const whole = made("snowshed", shed);
    expect(made("snowshed", { ...shed, roofed: false }).of("roof plank")).toEqual([]);
    expect(made("snowshed", { ...shed, planked: "left" }).of("plank", /right/)).toEqual([]);
    expect(made("snowshed", { ...shed, kingPost: false }).of("king post")).toEqual([]);
    const more = made("snowshed", { ...shed, bays: 4 });
    expect(more.of("cap")).toHaveLength(5);
    expect(more.of("plank")).toHaveLength(whole.of("plank").length + 24);
  });
  it("is as much wood to the left as to the right", () => {
    const { sticks } = made("snowshed", shed);
    const side = (name: string): string[] =>
      bill(sticks.filter((k) => new RegExp(`/${name}\\d*(/|$)|${name}$`).test(k.id)));
    expect(side("left")).toEqual(side("right"));
    expect(side("left").length).toBeGreaterThan(15);
  });
  it("round a curve to the left is the mirror image of one to the right", () => {
    const curved = { ...shed, curve: "model", modelRadius: 600 };
    expect(bill(made("snowshed", { ...curved, hand: "left" }).sticks)).toEqual(bill(made("snowshed", { ...curved, hand: "right" }).sticks)); // prettier-ignore
  });
  it("has as much wood in its posts as their lengths and sections make", () => {
    const { of } = made("snowshed", shed);
    expect(sum(of("post").map(cubicInches))).toBeCloseTo(sum(of("post").map((k) => longOf(k) * 100)), 0);
  });
});
