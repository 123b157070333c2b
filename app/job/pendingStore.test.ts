import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { emptyJob } from "core/job";
import type { Left } from "./pendingStore";

class Store {
  private readonly map = new Map<string, string>();
  full = false;
  getItem = (k: string): string | null => this.map.get(k) ?? null;
  setItem = (k: string, v: string): void => {
    if (this.full) throw new Error("quota");
    this.map.set(k, v);
    (this as unknown as Record<string, string>)[k] = v;
  };
  removeItem = (k: string): void => {
    this.map.delete(k);
    delete (this as unknown as Record<string, string>)[k];
  };
}
/** Locks as a browser holds them, over all tabs: `held` are the names of tabs that live. */
const locks = (held: Set<string>) => ({
  request: async (name: string, _: unknown, then: (lock: object | null) => unknown) => {
    if (held.has(name)) return then(null);
    held.add(name);
    const out = then({ name });
    // one that is held for good answers with a promise that never settles
    if (!(out instanceof Promise)) held.delete(name);
    return out instanceof Promise ? undefined : out;
  },
});
const left = (id: string): Left => ({
  confirmed: { doc: emptyJob("J"), revision: 3, past: [], future: [], older: 0, at: "", events: [] },
  pending: [{ kind: "edit", id, base: 3, label: "Name", patches: [{ op: "set", path: ["name"], value: id }] }],
});
let session: Store;
let local: Store;
const held = new Set<string>();
/** The module as a new page has it. */
const page = async () => {
  vi.resetModules();
  return import("./pendingStore");
};
beforeEach(() => {
  session = new Store();
  local = new Store();
  held.clear();
  vi.stubGlobal("sessionStorage", session);
  vi.stubGlobal("localStorage", local);
  vi.stubGlobal("navigator", { locks: locks(held) });
});
afterEach(() => vi.unstubAllGlobals());

describe("what is not kept yet", () => {
  it("is there again after the page is loaded again, and gone once it is kept", async () => {
    const before = await page();
    expect(before.readLeft("job")).toBeUndefined();
    expect(before.storeLeft("job", left("one"))).toBe(true);
    const after = await page();
    expect(after.readLeft("job")!.pending.map((e) => e.id)).toEqual(["one"]);
    expect(after.readLeft("other")).toBeUndefined();
    after.storeLeft("job", { ...left("one"), pending: [] });
    expect((await page()).readLeft("job")).toBeUndefined();
  });
  it("is told when the browser does not take it", async () => {
    const p = await page();
    local.full = true;
    expect(p.storeLeft("job", left("one"))).toBe(false);
    vi.stubGlobal("localStorage", undefined);
    expect(p.storeLeft("job", left("one"))).toBe(false);
    expect(p.readLeft("job")).toBeUndefined();
  });
  it("of a tab that is closed is taken over, of one that lives it is not", async () => {
    const closed = await page();
    await closed.claimTab();
    closed.storeLeft("job", left("orphan"));
    session.removeItem("cardo-tab");
    const taker = await page();
    await taker.claimTab();
    const got: string[] = [];
    const take = (l: Left): boolean => (got.push(l.pending[0]!.id), true);
    // its lock is still held: it lives
    await taker.takeOrphans("job", take);
    expect(got).toEqual([]);
    held.forEach((n) => n !== `cardo-tab-${session.getItem("cardo-tab")}` && held.delete(n));
    await taker.takeOrphans("job", take);
    expect(got).toEqual(["orphan"]);
    await taker.takeOrphans("job", take);
    expect(got).toEqual(["orphan"]);
  });
  it("stays with the closed tab as long as nobody takes it", async () => {
    (await page()).storeLeft("job", left("orphan"));
    session.removeItem("cardo-tab");
    const taker = await page();
    await taker.claimTab();
    await taker.takeOrphans("job", () => false);
    const got: string[] = [];
    await taker.takeOrphans("job", (l) => (got.push(l.pending[0]!.id), true));
    expect(got).toEqual(["orphan"]);
  });
  it("of a copied tab goes on under a name of its own", async () => {
    const first = await page();
    await first.claimTab();
    const name = session.getItem("cardo-tab");
    const copy = await page();
    await copy.claimTab();
    expect(session.getItem("cardo-tab")).not.toBe(name);
  });
  it("that is damaged counts as none", async () => {
    const p = await page();
    p.storeLeft("job", left("one"));
    const [key] = Object.keys(local).filter((k) => k.startsWith("cardo-pending"));
    local.setItem(key!, "{broken");
    expect(p.readLeft("job")).toBeUndefined();
    local.setItem(key!, '{"pending":5}');
    expect(p.readLeft("job")).toBeUndefined();
  });
});
