import { reactRouter } from "@react-router/dev/vite";
import tailwindcss from "@tailwindcss/vite";
import { fileURLToPath } from "node:url";
import { defineConfig } from "vite";
import tsconfigPaths from "vite-tsconfig-paths";

/** A leaner build of the same package: the whole would come into the first screen. */
const alias = [
  { find: /^ml-matrix$/, replacement: fileURLToPath(new URL("node_modules/ml-matrix/src/index.js", import.meta.url)) },
];

export default defineConfig({
  resolve: { alias },
  plugins: [tailwindcss(), reactRouter(), tsconfigPaths()],
  worker: { format: "es", plugins: () => [tsconfigPaths()] },
  optimizeDeps: {
    exclude: ["highs", "better-sqlite3", "drizzle-orm"],
    include: ["class-validator", "class-transformer", "immer", "comlink", "apexcharts"],
  },
});
