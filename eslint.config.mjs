import { createTypeScriptImportResolver } from "eslint-import-resolver-typescript";
import importX from "eslint-plugin-import-x";
import reactHooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

/** Core's folders in the order of the pipeline: each may import only from those before it. */
const PIPELINE = [
  "units",
  "geometry",
  "carpentry",
  "statics",
  "lumber",
  "frame",
  "structures",
  "sources",
  "found",
  "prototype",
  "cutting",
  "drawing",
  "job",
  "keeping",
  "jigs",
  "checks",
  "lists",
];
const oneWay = PIPELINE.slice(0, -1).map((folder, i) => ({
  target: `./core/${folder}`,
  from: PIPELINE.slice(i + 1).map((f) => `./core/${f}`),
  message: `core/${folder} stands before this in the pipeline; imports go one way.`,
}));

export default tseslint.config(
  { ignores: ["build/", "node_modules/", ".react-router/", ".cache/", "data/", "test-results/", "playwright-report/", "app/data/migrations/"] },
  ...tseslint.configs.recommended,
  {
    files: ["**/*.{ts,tsx}"],
    plugins: { "import-x": importX, "react-hooks": reactHooks },
    settings: {
      "import-x/resolver-next": [createTypeScriptImportResolver({ project: "./tsconfig.json" })],
      // to follow imports from file to file
      "import-x/extensions": [".ts", ".tsx"],
      "import-x/parsers": { "@typescript-eslint/parser": [".ts", ".tsx"] },
    },
    rules: {
      "import-x/no-restricted-paths": [
        "error",
        {
          zones: [
            ...oneWay,
            { target: "./core", from: ["./app", "./cli"], message: "core stands alone: no interface, no command line." },
            { target: "./app", from: "./cli" },
            // what is kept is backed up from the command line too
            { target: "./cli", from: "./app", except: ["./data"] },
          ],
        },
      ],
      "import-x/no-cycle": ["error", { ignoreExternal: true }],
      "react-hooks/rules-of-hooks": "error",
      "@typescript-eslint/consistent-type-imports": "error",
    },
  },
  {
    files: ["core/**/*.ts"],
    rules: {
      "no-restricted-imports": ["error", { patterns: [{ regex: "^(react|react-dom|react-router|three|@react-three/|node:|better-sqlite3|drizzle-orm|~/)", message: "core is free of React, the DOM, Node and the database." }] }],
      "no-restricted-globals": ["error", "window", "document", "process", "Buffer", "localStorage", "navigator", "fetch"],
    },
  },
  { files: ["core/**/*.test.ts", "core/**/*.fixture.ts"], rules: { "no-restricted-imports": "off", "no-restricted-globals": "off", "import-x/no-restricted-paths": "off" } },
); // prettier-ignore
