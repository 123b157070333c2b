import { reactRouter } from "@react-router/dev/vite";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig } from "vite";
import tsconfigPaths from "vite-tsconfig-paths";

export default defineConfig({
  plugins: [tailwindcss(), reactRouter(), tsconfigPaths()],
  worker: { format: "es", plugins: () => [tsconfigPaths()] },
  optimizeDeps: {
    exclude: ["highs", "better-sqlite3", "drizzle-orm"],
    include: [
      "reflect-metadata",
      "class-validator",
      "class-transformer",
      "immer",
      "comlink",
      "react-apexcharts",
      "apexcharts",
    ],
  },
});
