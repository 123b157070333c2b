import { describe, expect, it } from "vitest";
import { readEntry, RequestError } from ".";

const edit = { kind: "edit", id: "entry-1", base: 0, label: "Height", patches: [{ op: "set", path: ["name"], value: "x" }] }; // prettier-ignore
const refused = (raw: unknown): string => {
  try {
    readEntry(raw);
  } catch (e) {
    if (e instanceof RequestError) return e.message;
    throw e;
  }
  return "taken";
};
describe("a request to keep something", () => {
  it("is taken as it is when it is one", () => {
    expect(readEntry(edit)).toBe(edit);
    for (const raw of [
      { kind: "undo", id: "entry-2", base: 3 },
      { kind: "event", id: "entry-3", base: 0, event: {} },
      { ...edit, patches: [] },
    ])
      // prettier-ignore
      expect(readEntry(raw)).toBe(raw);
  });
  it.each([
    [null, "it is no object"],
    ["text", "it is no object"],
    [[edit], "it is no object"],
    [{}, "does not say whether it is an edit"],
    [{ keepMine: {} }, "does not say whether it is an edit"],
    [{ ...edit, kind: "constructor" }, "does not say whether it is an edit"],
    [{ ...edit, kind: "__proto__" }, "does not say whether it is an edit"],
    [{ ...edit, id: 5 }, "needs an id of its own"],
    [{ ...edit, id: "a b" }, "needs an id of its own"],
    [{ ...edit, base: "0" }, "which revision it was made on"],
    [{ ...edit, base: 1.5 }, "which revision it was made on"],
    [{ ...edit, label: 7 }, "label should be text"],
    [{ ...edit, patches: {} }, "patches are a list of at most 20000"],
    [{ ...edit, patches: [{ op: "replace", path: ["name"], value: 1 }] }, "a patch sets, cuts or puts"],
    [{ ...edit, patches: [{ op: "set", path: "name", value: 1 }] }, "the path of a patch"],
    [{ ...edit, patches: [{ op: "set", path: [-1], value: 1 }] }, "the path of a patch"],
    [{ ...edit, patches: [{ op: "set", path: Array(40).fill("a"), value: 1 }] }, "the path of a patch"],
    [{ ...edit, patches: [{ op: "set", path: ["name"] }] }, "a patch lacks its value"],
    [
      { ...edit, patches: [{ op: "set", path: ["name"], value: 1, more: 2 }] },
      "Cardo knows nothing called “more” here",
    ],
    [{ ...edit, more: 1 }, "Cardo knows nothing called “more” here"],
    [{ kind: "event", id: "entry-3", base: 0, event: 5 }, "an event says what happened"],
  ])("is refused in a sentence: %j", (raw, words) => {
    expect(refused(raw)).toContain(words);
    expect(refused(raw)).toMatch(/^The change .*\.$/);
  });
});
