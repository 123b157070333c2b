import { resolve } from "node:path";
import tsconfigPaths from "vite-tsconfig-paths";
import { defineConfig } from "vitest/config";

/** Tests of screens: each file has a page of its own, which what is loaded holds on to, so none shares a process. */
export default defineConfig({
  plugins: [tsconfigPaths()],
  resolve: { alias: { apexcharts: resolve("app/chart.fixture.ts") } },
  test: {
    include: ["app/**/*.test.tsx"],
    setupFiles: ["core/structures/all.ts"],
    testTimeout: 120_000,
    deps: { interopDefault: false },
    pool: "forks",
    poolOptions: { forks: { minForks: 2, maxForks: 2 } },
  },
});
