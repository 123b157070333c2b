// @vitest-environment jsdom
import { describe, expect, it } from "vitest";
import { readFileSync } from "node:fs";
import { listCards } from "~/data/shelf.server";
import { readJob } from "~/data/jobs.server";
import { setUpScreens } from "~/screen.fixture";
import { action, loader } from "./shelf";

setUpScreens();
const post = async (
  fields: Record<string, string | File>,
): Promise<{ sentence?: string; done?: string; to?: string }> => {
  const body = new FormData();
  for (const [k, v] of Object.entries(fields)) body.set(k, v);
  const request = {
    url: "http://127.0.0.1/?index",
    headers: new Headers({ "content-type": "multipart/form-data" }),
    formData: () => Promise.resolve(body),
  } as unknown as Request;
  const r = (await action({ request, params: {}, context: {} } as never)) as Response | { sentence?: string; done?: string }; // prettier-ignore
  return r instanceof Response ? { to: r.headers.get("location") ?? "" } : r;
};
const idIn = (to: string | undefined): string => to!.split("/")[2]!;
const file = (text: string, name = "job.cardo.json"): File => {
  const f = new File([text], name, { type: "application/json" });
  return Object.assign(f, { text: () => Promise.resolve(text) });
};
const GULCH = readFileSync("examples/gulch-trestle.json", "utf8");

describe("what is done on the Shelf", () => {
  it("makes, renames, copies, files, deletes and puts back a job", async () => {
    const id = idIn((await post({ do: "new", name: "  Coal shed  " })).to);
    expect(readJob(id)!.confirmed.doc.name).toBe("Coal shed");
    expect(await post({ do: "rename", job: id, name: "Oil shed" })).toEqual({ done: "renamed" });
    expect(await post({ do: "duplicate", job: id })).toEqual({ done: "duplicated" });
    expect(await post({ do: "folder", job: id, folder: "Yard" })).toEqual({ done: "moved" });
    expect(new Map(listCards().map((c) => [c.name, c.folder]))).toEqual(new Map([["Oil shed", "Yard"], ["Oil shed, copy", ""]])); // prettier-ignore
    expect(await post({ do: "delete", job: id, name: "Oil shed" })).toMatchObject({ done: "deleted", job: id });
    expect(listCards().map((c) => c.name)).toEqual(["Oil shed, copy"]);
    await post({ do: "restore", job: id });
    expect(listCards()).toHaveLength(2);
  });
  it("gives a job without a name one, and refuses to take a name away", async () => {
    const id = idIn((await post({ do: "new", name: " " })).to);
    expect(readJob(id)!.confirmed.doc.name).toBe("New job");
    expect(await post({ do: "rename", job: id, name: " " })).toEqual({ sentence: "A job needs a name." });
  });
  it.each([
    [{ do: "rename", job: "gone", name: "X" }, "This job is not on the shelf any more."],
    [{ do: "duplicate", job: "gone" }, "This job is not on the shelf any more."],
    [{ do: "import" }, "No file was chosen. Choose a job file that Cardo exported (.json)."],
    [{ do: "import", file: file("") }, "No file was chosen. Choose a job file that Cardo exported (.json)."],
    [{ do: "import", file: file("wood", "wood.txt") }, /^“wood\.txt” was not imported\. .*JSON/],
    [{ do: "import", file: file("{}") }, /was not imported/],
    [
      { do: "import", file: file(JSON.stringify({ ...JSON.parse(GULCH), files: {} })) },
      /The drawing “.*” has no picture in the file\. Export the job again\./,
    ],
    [{ do: "burn" }, "Nothing was asked for."],
  ] as [Record<string, string | File>, string | RegExp][])("refuses %j in words", async (fields, words) => {
    const before = listCards().length;
    expect((await post(fields)).sentence ?? "").toMatch(words);
    expect(listCards()).toHaveLength(before);
  });
  it("imports what it exported, again and again, each under an id of its own", async () => {
    const [a, b] = [idIn((await post({ do: "import", file: file(GULCH) })).to), idIn((await post({ do: "import", file: file(GULCH) })).to)]; // prettier-ignore
    expect(a).not.toBe(b);
    expect(readJob(a)!.confirmed.doc).toEqual(readJob(b)!.confirmed.doc);
    const found = loader({ request: new Request("http://127.0.0.1/?find=gulch+HO"), params: {}, context: {} } as never);
    expect(found.jobs.map((j) => j.id)).toEqual(expect.arrayContaining([a, b]));
    expect(found.count).toBeGreaterThan(2);
  });
});
