import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { closeDb } from "~/data/db.server";
import { createJob } from "~/data/jobs.server";
import { listCards } from "~/data/shelf.server";
import { loader } from "./backup";
import { action } from "./restore";

let dir = "";
beforeEach(() => {
  dir = mkdtempSync(join(tmpdir(), "cardo-backups-"));
  process.env.CARDO_DATA = dir;
});
afterEach(() => {
  closeDb();
  rmSync(dir, { recursive: true, force: true });
});
const get = (path: string): Response => loader({ request: new Request(`http://127.0.0.1${path}`) });
const restore = async (body: BodyInit | null, headers: Record<string, string> = {}) => {
  const init = { method: "POST", body, headers, duplex: "half" } as RequestInit;
  const r = (await action({ request: new Request("http://127.0.0.1/restore", init) } as never)) as Response;
  return { status: r.status, ...((await r.json()) as { ok: boolean; sentence?: string; restored?: { jobs: number } }) };
};
const shelf = (): string[] => listCards().map((c) => c.name);

describe("the Shelf's backup", () => {
  it("says how much it would hold, comes as a file, and puts everything back", async () => {
    createJob("Coal shed");
    expect(await get("/backup?size").json()).toEqual({ jobs: 1, bytes: 0 });
    const file = get("/backup");
    expect(file.headers.get("content-disposition")).toMatch(/^attachment; filename="cardo-\d{4}-\d\d-\d\d\.backup\.zip"$/); // prettier-ignore
    const bytes = new Uint8Array(await file.arrayBuffer());
    createJob("Oil shed");
    expect(await restore(bytes)).toMatchObject({ status: 200, ok: true, restored: { jobs: 1 } });
    expect(shelf()).toEqual(["Coal shed"]);
  });
  it("refuses what is none in a sentence, and keeps what is there", async () => {
    createJob("Coal shed");
    expect(await restore("no zip")).toMatchObject({
      status: 400,
      sentence: expect.stringMatching(/no backup of Cardo's/) as string,
    });
    expect(await restore(null)).toMatchObject({
      status: 400,
      sentence: expect.stringMatching(/No file came/) as string,
    });
    expect(await restore("x", { "content-length": String(2 ** 40) })).toMatchObject({ status: 413 });
    const broken = new ReadableStream({
      start(c) {
        c.enqueue(new Uint8Array(1000));
        c.error(new Error("the other side left"));
      },
    });
    await restore(broken).catch((e: unknown) => expect((e as Error).message).toBe("the other side left"));
    expect(shelf()).toEqual(["Coal shed"]);
    // what came in is taken away once its writing has ended
    await vi.waitFor(() => expect(readdirSync(dir).filter((n) => /half/.test(n))).toEqual([]));
  });
  it("leaves nothing beside the database when the reader goes away", async () => {
    for (let i = 0; i < 30; i++) createJob(`Shed ${i}`);
    const reader = get("/backup").body!.getReader();
    await reader.read();
    await reader.cancel();
    for (let i = 0; i < 100 && readdirSync(dir).some((n) => /half/.test(n)); i++) await new Promise((r) => setTimeout(r, 20)); // prettier-ignore
    expect(readdirSync(dir).filter((n) => /half/.test(n))).toEqual([]);
  });
});
