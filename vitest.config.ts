import tsconfigPaths from "vite-tsconfig-paths";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [tsconfigPaths()],
  test: {
    include: ["core/**/*.test.ts", "cli/**/*.test.ts", "app/**/*.test.ts", "scripts/**/*.test.ts"],
    setupFiles: ["core/structures/all.ts", "scripts/unit.setup.ts"],
    testTimeout: 60_000,
    deps: { interopDefault: false },
    pool: "forks",
    // tests share what is loaded (those of screens cannot: vitest.screens.config.ts): the kinds and the solvers are read once a process, not fifty times
    isolate: false,
    poolOptions: { forks: { minForks: 2, maxForks: 2 } },
  },
});
