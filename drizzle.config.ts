import { defineConfig } from "drizzle-kit";

export default defineConfig({ dialect: "sqlite", schema: "./app/data/schema.server.ts", out: "./app/data/migrations" });
