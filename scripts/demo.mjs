/** npm run demo: installs, builds, migrates, fills in the demo jobs, and serves on 127.0.0.1. PORT chooses the port. */
import { spawn } from "node:child_process";
import { createServer } from "node:net";
import { build, install, run } from "./setup.mjs";

const free = (port) =>
  new Promise((done) => {
    const s = createServer();
    s.once("error", () => done(false));
    s.listen(port, "127.0.0.1", () => s.close(() => done(true)));
  });

install();
build();
run(process.execPath, ["--import", "tsx", "scripts/seed.ts"]);
let port = Number(process.env.PORT ?? 4170);
if (!process.env.PORT) while (!(await free(port))) port++;
const server = spawn(process.execPath, ["scripts/serve.mjs"], {
  stdio: ["ignore", "ignore", "inherit"],
  env: { ...process.env, NODE_ENV: "production", HOST: "127.0.0.1", PORT: String(port) },
});
for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => server.kill(signal));
server.on("exit", (code) => process.exit(code ?? 0));
const address = `http://127.0.0.1:${port}/`;
for (let i = 0; i < 200; i++) {
  if (await fetch(address).then((r) => r.ok, () => false)) { console.log(`\nCardo is at ${address}  (stop it with Ctrl-C)`); break; } // prettier-ignore
  await new Promise((r) => setTimeout(r, 100));
}
