import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { fits, licenceOf, misfits } from "./licences.mjs";

describe("licences", () => {
  it("of every package fit the project's, which stands at the root", () => {
    expect(misfits()).toEqual([]);
    const { license } = JSON.parse(readFileSync("package.json", "utf8")) as { license: string };
    expect(readFileSync("LICENSE", "utf8")).toMatch(new RegExp(`^${license} License`));
  });
  it.each([
    ["MIT", true],
    ["(MIT OR GPL-3.0-only)", true],
    ["MIT AND ISC", true],
    ["MIT AND GPL-3.0-only", false],
    ["GPL-3.0-only", false],
    ["SEE LICENSE IN LICENSE.md", false],
    ["UNLICENSED", false],
    ["", false],
  ])("%j fits: %s", (expression, does) => expect(fits(expression)).toBe(does));
  it("are read however a package states them", () => {
    expect(licenceOf({ license: "MIT" })).toBe("MIT");
    expect(licenceOf({ license: { type: "ISC" } })).toBe("ISC");
    expect(licenceOf({ licenses: [{ type: "MIT" }, { type: "Apache-2.0" }] })).toBe("MIT OR Apache-2.0");
    expect(licenceOf({})).toBe("");
  });
});
