/** Requests of every sort against the built server: no answer is a fault of the server's, none takes long, and it stays. */
import { spawn } from "node:child_process";
import { mkdtempSync } from "node:fs";
import { request } from "node:http";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { seeded } from "./random";

const PORT = 4971;
const SLOW_MS = 10_000;
interface Sent {
  readonly method: string;
  readonly path: string;
  readonly headers: Record<string, string>;
  readonly body: string;
}
const send = ({ method, path, headers, body }: Sent): Promise<{ status: number; text: string }> =>
  new Promise((done, failed) => {
    const r = request(
      {
        port: PORT,
        host: "127.0.0.1",
        method,
        path,
        headers: { host: `127.0.0.1:${PORT}`, ...headers },
        timeout: SLOW_MS,
      },
      (res) => {
        let text = "";
        res.setEncoding("utf8").on("data", (d: string) => (text = (text + d).slice(0, 4000)));
        res.on("end", () => done({ status: res.statusCode!, text }));
      },
    );
    r.on("timeout", () => r.destroy(new Error(`no answer in ${SLOW_MS} ms`)));
    r.on("error", failed).end(body);
  });

/** Sends `count` requests; `note` is told of faults. */
export async function fuzzHttp(
  count: number,
  seed: number,
  note: (what: string, where: string) => void,
): Promise<number> {
  const data = mkdtempSync(join(tmpdir(), "cardo-fuzz-"));
  const env = { ...process.env, CARDO_DATA: data, HOST: "127.0.0.1", PORT: String(PORT), NODE_ENV: "production" };
  await new Promise((done) =>
    spawn(process.execPath, ["--import", "tsx", "scripts/seed.ts"], { env, stdio: "ignore" }).on("exit", done),
  );
  const server = spawn(process.execPath, ["scripts/serve.mjs"], { env, stdio: ["ignore", "pipe", "pipe"] });
  const log: string[] = [];
  for (const out of [server.stdout, server.stderr]) out.on("data", (d: Buffer) => log.push(String(d)));
  for (let i = 0; i < 100 && !log.join("").includes("Cardo is at"); i++) await new Promise((r) => setTimeout(r, 100));
  const shelf = await send({ method: "GET", path: "/", headers: {}, body: "" });
  const jobs = [...new Set([...shelf.text.matchAll(/\/jobs\/([\w-]+)/g)].map((m) => m[1]!))];
  try {
    for (let i = 0; i < count; i++) {
      const r = seeded(seed + i);
      const odd = (): string => r.pick(["constructor", "__proto__", "%00", "..%2f..%2fetc", "%E0%A4%A", "0", "-1", "1e9", "a".repeat(300), "%F0%9F%AA%B5", "x y", "'\"<", "NaN", "null", "../../x", "%2e%2e"]); // prettier-ignore
      const job = r.int(0, 3) === 0 || jobs.length === 0 ? odd() : r.pick(jobs);
      const hash = r.pick(["a".repeat(64), odd()]);
      const path = r
        .pick([
          `/jobs/${job}/${r.pick(["", "brief", "framing", "stock", "cutting", "jigs", "bench", "drawings", "state", "file", "card.svg", "revisions", "pictures", odd()])}`,
          `/jobs/${job}/state?since=${odd()}`,
          `/lines/${hash}`,
          `/pictures/${hash}/${odd()}/${r.int(-1, 3)}/${odd()}`,
          `/?find=${odd()}&sort=${odd()}&folder=${odd()}&show=${odd()}`,
          `/${odd()}`,
          `/jobs/${job}/framing.data`,
          `/_root.data?${odd()}`,
          "/restore",
          `/backup?size=${odd()}`,
        ])
        .replace(/ /g, "%20");
      const bodies = ['{"keepMine":{}}', "{}", "[]", "null", "{", '{"kind":"edit","id":"entry-1","base":0,"label":"x","patches":[{"op":"set","path":["drawings",1000000000],"value":1}]}', '{"kind":"edit","id":"entry-2","base":0,"label":"x","patches":[{"op":"set","path":["__proto__","x"],"value":1}]}', '{"kind":"event","id":"entry-3","base":0,"event":{}}', '{"kind":"undo","id":"entry-4","base":-1}', `${"[".repeat(50_000)}`, "do=delete&job=__proto__", "do=rename&job=%00&name=x", `do=folder&job=x&folder=${"f".repeat(5000)}`, "do=duplicate&job=constructor", "--b\r\nContent-Disposition: form-data; name=\"file\"; filename=\"x\"\r\n\r\nwood\r\n--b--\r\n", ""]; // prettier-ignore
      const method = r.pick(["GET", "GET", "GET", "POST", "POST", "HEAD", "PUT", "DELETE"]);
      const own: Record<string, string> = r.int(0, 4) > 0 ? { origin: `http://127.0.0.1:${PORT}` } : {};
      const type = r.pick([
        "application/json",
        "application/x-www-form-urlencoded",
        "multipart/form-data; boundary=b",
        "application/zip",
        "text/plain",
        "",
      ]);
      const sent: Sent = {
        method,
        path,
        headers: { ...own, ...(type ? { "content-type": type } : {}), ...(r.int(0, 9) === 0 ? { host: odd() } : {}) },
        body: method === "POST" ? r.pick(bodies) : "",
      };
      const what = `${method} ${path.slice(0, 90)} ${type} ${sent.body.slice(0, 60)}`;
      try {
        const a = await send(sent);
        if (a.status >= 500) note(`${a.status} to ${what}`, `request ${seed + i}`);
        else if (
          a.status >= 400 &&
          method !== "HEAD" &&
          (a.text.trim() === "" || /at .*\.(m?js|ts):\d+|TypeError|SqliteError/.test(a.text))
        )
          note(`${a.status} without a sentence to ${what}: ${a.text.slice(0, 80)}`, `request ${seed + i}`);
      } catch (e) {
        // characters that no client may send at all
        if (!/Invalid character|unescaped/.test((e as Error).message)) note(`${(e as Error).message} to ${what}`, `request ${seed + i}`); // prettier-ignore
      }
      if (server.exitCode !== null) {
        note(`the server ended: ${log.slice(-3).join(" ").slice(0, 300)}`, `request ${seed + i}`);
        return i;
      }
    }
    for (const line of log.join("").split("\n"))
      if (/^(Type|Range|Sqlite|Reference)Error/.test(line)) note(`in the log: ${line.slice(0, 120)}`, "log");
    return count;
  } finally {
    server.kill();
  }
}
