import tsconfigPaths from "vite-tsconfig-paths";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [tsconfigPaths()],
  test: {
    include: ["core/**/*.test.ts", "cli/**/*.test.ts", "app/**/*.test.ts"],
    setupFiles: ["core/structures/all.ts"],
    testTimeout: 60_000,
    deps: { interopDefault: false },
  },
});
