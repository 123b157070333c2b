/** Writes docs/job.schema.json from the kinds' own declarations: npx tsx scripts/make-schema.ts. */
import { writeFileSync } from "node:fs";
import { format } from "prettier";
import { JOB_FORMAT, JOB_VERSION } from "../core/job";
import { KINDS, type Param } from "../core/structures";

const number = (more: object = {}) => ({ type: "number", ...more });
const text = (maxLength: number) => ({ type: "string", maxLength });
const oneOf = (...values: unknown[]) => ({ enum: values });
const list = (items: object, more: object = {}) => ({ type: "array", items, ...more });
const record = (value: object) => ({ type: "object", additionalProperties: value });
const object = (properties: Record<string, object>, optional: readonly string[] = []) => ({
  type: "object",
  properties,
  required: Object.keys(properties).filter((k) => !optional.includes(k)),
  additionalProperties: false,
});
const id = { type: "string", pattern: "^[A-Za-z0-9][A-Za-z0-9-]{0,39}$" };
const point = list(number(), { minItems: 2, maxItems: 2 });

function param(p: Param): object {
  const about = { title: p.label, description: p.help };
  switch (p.type) {
    case "length":
      return number({ ...about, minimum: p.min, maximum: p.max, default: p.def, $comment: "prototype mm" });
    case "batter":
      return number({ ...about, minimum: p.min, maximum: p.max, default: p.def, $comment: "inches in 12" });
    case "count":
      return { ...about, type: "integer", minimum: p.min, maximum: p.max, default: p.def };
    case "choice":
      return { ...about, ...oneOf(...p.options.map((o) => o.value)), default: p.def };
    case "flag":
      return { ...about, type: "boolean", default: p.def };
    case "section":
      return { ...about, type: "string", pattern: "^\\d+(\\.\\d+)?×\\d+(\\.\\d+)?$", default: p.def };
    case "list":
      return {
        ...about,
        ...list(param(p.of), { minItems: p.labels.length, maxItems: p.labels.length }),
        default: p.defs,
      };
  }
}
const variant = (params: object) =>
  object({
    id,
    name: text(80),
    reason: text(1000),
    params,
    overrides: record(
      object({ omit: { type: "boolean" }, splice: { type: "boolean" }, ends: point }, ["omit", "splice", "ends"]),
    ),
  });
const structures = KINDS.map((k) =>
  object({
    id,
    kind: { const: k.id },
    name: text(120),
    chosen: id,
    variants: list(variant(object(Object.fromEntries(Object.entries(k.spec).map(([n, p]) => [n, param(p)])))), {
      minItems: 1,
      maxItems: 50,
    }),
  }),
);
const schema = {
  $schema: "http://json-schema.org/draft-07/schema#",
  title: "Cardo job file",
  ...object(
    {
      format: { const: JOB_FORMAT },
      version: { const: JOB_VERSION },
      name: text(120),
      brief: object({
        scale: object({ id: text(12), ratio: number({ minimum: 1, maximum: 1000 }) }),
        units: object({ prototype: oneOf("ft-in", "m"), model: oneOf("mm", "in", "64ths") }),
        railroad: text(200),
        place: text(500),
        spotLength: number({ minimum: 0 }),
        spotDepth: number({ minimum: 0 }),
        track: oneOf("none", "beside", "under", "over"),
        era: text(100),
        decisions: list(object({ id, what: text(300), reason: text(2000) })),
      }),
      drawings: list(
        object(
          {
            id,
            name: text(120),
            picture: object({
              hash: { type: "string", pattern: "^[0-9a-f]{64}$" },
              type: oneOf("image/png", "image/jpeg", "image/webp"),
              width: { type: "integer" },
              height: { type: "integer" },
            }),
            calibration: object({ from: point, to: point, length: number({ minimum: 1 }), tilt: number() }),
            measures: list(
              object(
                {
                  id,
                  name: text(80),
                  kind: oneOf("length", "angle"),
                  points: list(point, { minItems: 2, maxItems: 3 }),
                  usedFor: text(120),
                },
                ["usedFor"],
              ),
            ),
            under: object({ structure: id, anchor: point, opacity: number({ minimum: 0, maximum: 1 }) }),
          },
          ["calibration", "under"],
        ),
      ),
      structures: list({ anyOf: structures }),
      stock: object({
        milling: oneOf("full-sawn", "dressed"),
        series: list(oneOf("scale", "inch", "metric", "styrene", "round")),
        choices: record(object({ item: text(60), plies: oneOf(1, 2), along: oneOf("thickness", "width") })),
        sticks: record(list(object({ length: number(), count: { type: ["integer", "null"] }, price: number() }))),
      }),
      cutting: object({ kerf: number({ minimum: 0, maximum: 10 }), allowance: number({ minimum: 0, maximum: 20 }) }),
      aside: record({ type: "string" }),
      issues: list({ type: "object" }),
      files: record({ type: "string" }),
    },
    ["issues", "files"],
  ),
};
writeFileSync("docs/job.schema.json", await format(JSON.stringify(schema), { parser: "json", printWidth: 120 }));
