/** Serves the built application on fresh demo data, for the interface tests. */
import { spawn, spawnSync } from "node:child_process";
import { cpSync, rmSync } from "node:fs";

rmSync(process.env.CARDO_DATA, { recursive: true, force: true });
const seeded = spawnSync(process.execPath, ["--import", "tsx", "scripts/seed.ts"], { stdio: "inherit" });
if (seeded.status !== 0) process.exit(1);
// for tests with a server of their own
rmSync(`${process.env.CARDO_DATA}-seeded`, { recursive: true, force: true });
cpSync(process.env.CARDO_DATA, `${process.env.CARDO_DATA}-seeded`, { recursive: true });
const server = spawn(process.execPath, ["scripts/serve.mjs"], {
  stdio: ["ignore", "ignore", "inherit"],
  env: { ...process.env, NODE_ENV: "production", HOST: "127.0.0.1" },
});
for (const s of ["SIGINT", "SIGTERM"]) process.on(s, () => server.kill(s));
server.on("exit", (c) => process.exit(c ?? 0));
