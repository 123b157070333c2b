import { defineConfig } from "@playwright/test";

/** A port of this checkout's own, the same in every worker, so that two runs do not meet. */
const PORT = 4200 + [...process.cwd()].reduce((h, c) => (h * 31 + c.charCodeAt(0)) % 700, 7);
export default defineConfig({
  testDir: "e2e",
  outputDir: "test-results",
  // what takes a second on two idle cores takes ten on a machine four times slower with another test beside it
  timeout: 240_000,
  expect: { timeout: 40_000 },
  workers: 2,
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? [["list"], ["json"]] : [["list"]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: "/usr/bin/chromium",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-dev-shm-usage",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        "--disable-default-apps",
        "--no-first-run",
        "--no-pings",
        "--disable-domain-reliability",
        "--disable-features=OptimizationHints,MediaRouter,Translate",
      ],
    },
  },
  webServer: {
    command: "node e2e/serve.mjs",
    url: `http://127.0.0.1:${PORT}/`,
    reuseExistingServer: false,
    env: { PORT: String(PORT), CARDO_DATA: ".cache/interface-data" },
    timeout: 60_000,
  },
});
