import express from "express";
import { request, type IncomingHttpHeaders, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { doors, policy } from "../scripts/doors.mjs";

let server: Server;
let port = 0;
beforeAll(async () => {
  const app = express();
  app.use(
    doors({
      names: ["127.0.0.1", "cardo.local"],
      takes: (p) => (p.endsWith("/revisions") ? "json" : p === "/restore" ? "zip" : p === "/" ? "form" : undefined),
    }),
  );
  app.all("*", (_, res) => void res.send("in"));
  await new Promise<void>((up) => (server = app.listen(0, "127.0.0.1", () => up())));
  port = (server.address() as AddressInfo).port;
});
afterAll(() => void server.close());

interface Answer {
  readonly status: number;
  readonly text: string;
  readonly headers: IncomingHttpHeaders;
}
const ask = (method: string, path: string, headers: Record<string, string> = {}, body = ""): Promise<Answer> =>
  new Promise((done, failed) => {
    const r = request(
      { port, host: "127.0.0.1", method, path, headers: { host: `127.0.0.1:${port}`, ...headers } },
      (res) => {
        let text = "";
        res.setEncoding("utf8").on("data", (d: string) => (text += d));
        res.on("end", () => done({ status: res.statusCode!, text, headers: res.headers }));
      },
    );
    r.on("error", failed).end(body);
  });
const JSON_TYPE = { "content-type": "application/json" };
const FORM = { "content-type": "application/x-www-form-urlencoded" };
const own = (): Record<string, string> => ({ origin: `http://127.0.0.1:${port}` });

describe("the doors", () => {
  it.each([
    ["of Cardo's own page, by its origin", () => own()],
    ["of Cardo's own page, by both", () => ({ ...own(), "sec-fetch-site": "same-origin" })],
    ["by what the browser says alone", () => ({ "sec-fetch-site": "same-origin" })],
  ])("let in a change %s", async (_, headers) => {
    expect(await ask("POST", "/jobs/a/revisions", { ...JSON_TYPE, ...headers() })).toMatchObject({ status: 200, text: "in" }); // prettier-ignore
    expect(await ask("POST", "/?index", { ...FORM, ...headers() })).toMatchObject({ status: 200 });
  });
  it.each([
    ["another site's page", { origin: "http://evil.example" }],
    ["another port of this machine", { origin: "http://127.0.0.1:1" }],
    ["a page without an origin", { origin: "null" }],
    ["a form of another site without an origin", { "sec-fetch-site": "cross-site" }],
    ["a neighbour", { "sec-fetch-site": "same-site" }],
    ["an address that was typed", { "sec-fetch-site": "none" }],
    ["nobody", {}],
  ] as [string, Record<string, string>][])("keep out a change of %s", async (_, headers) => {
    const r = await ask("POST", "/jobs/a/revisions", { ...JSON_TYPE, ...headers });
    expect(r.status).toBe(403);
    expect(r.text).toBe("Only Cardo's own page may change something. Open the Shelf and do it there.\n");
  });
  it("take JSON as JSON only, and nothing that a page sends unasked", async () => {
    for (const type of [
      "text/plain",
      "application/x-www-form-urlencoded",
      "multipart/form-data; boundary=x",
      "application/jsonx",
      "",
    ])
      // prettier-ignore
      expect((await ask("POST", "/jobs/a/revisions", { ...own(), "content-type": type })).status).toBe(415);
    expect((await ask("POST", "/jobs/a/revisions", { ...own(), "content-type": "application/json; charset=utf-8" })).status).toBe(200); // prettier-ignore
    expect((await ask("POST", "/?index", { ...own(), "content-type": "text/plain" })).status).toBe(415);
  });
  it("take a backup as a zip, and nothing at all where nothing is sent", async () => {
    expect((await ask("POST", "/restore", { ...own(), "content-type": "application/zip" })).status).toBe(200);
    expect((await ask("POST", "/restore", { ...own(), ...FORM })).text).toBe("This takes a backup, sent as application/zip.\n"); // prettier-ignore
    const r = await ask("POST", "/jobs/a/brief", { ...own(), ...FORM });
    expect([r.status, r.headers.allow, r.text]).toEqual([405, "GET, HEAD", "Nothing is sent to this address.\n"]);
  });
  it.each(["evil.example", "127.0.0.1.evil.example", "evil.example:80", "127.0.0.1:99999999", "a@127.0.0.1", "[::2]"])(
    "are not opened under the name %j",
    async (host) => {
      expect([400, 421]).toContain((await ask("GET", "/", { host })).status);
    },
  );
  it("know the server's names with any port and in any case", async () => {
    for (const host of ["127.0.0.1", "127.0.0.1:8080", "Cardo.LOCAL:3000"])
      expect((await ask("GET", "/", { host })).status).toBe(200);
  });
  it.each([
    ["PUT", "/", 405],
    ["DELETE", "/jobs/a", 405],
    ["PATCH", "/", 405],
    ["OPTIONS", "/", 405],
    ["GET", "/jobs/a%00b/state", 400],
    ["GET", "/jobs/%0a", 400],
    ["GET", "/jobs/%E0%A4%A", 400],
    ["GET", "/%", 400],
    ["GET", `/${"a".repeat(5000)}`, 414],
  ] as const)("answer %s %j with %i and a sentence", async (method, path, status) => {
    const r = await ask(method, path);
    expect(r.status).toBe(status);
    expect(r.text).toMatch(/^[A-Z].*\.\n$/);
  });
  it("put the headers on every answer, refusals too", async () => {
    for (const r of [await ask("GET", "/"), await ask("POST", "/"), await ask("GET", "/", { host: "evil.example" })]) {
      expect(r.headers).toMatchObject({
        "x-content-type-options": "nosniff",
        "referrer-policy": "no-referrer",
        "cross-origin-opener-policy": "same-origin",
        "cross-origin-resource-policy": "same-origin",
        "cross-origin-embedder-policy": "require-corp",
      });
      expect(r.headers["content-security-policy"]).toContain("frame-ancestors 'none'");
      expect(r.headers["content-security-policy"]).not.toMatch(/script-src[^;]*'unsafe-(inline|eval)'/);
    }
    expect(policy("'nonce-x'")).toContain("script-src 'self' 'wasm-unsafe-eval' 'nonce-x'");
    const worker = await ask("GET", "/assets/prototype.worker-a1B2.js");
    expect(worker.headers["content-security-policy"]).toMatch(/script-src[^;]*'unsafe-eval'/);
  });
});
