import { format } from "prettier";
import { AIMS } from "../core/cutting";
import {
  COAT_KINDS,
  EAVES,
  FINISH_GROUPS,
  FINISH_TIMES,
  FITTINGS,
  JOB_FORMAT,
  JOB_VERSION,
  MOTIFS,
  OPENINGS,
  SOURCE_KINDS,
  CORNERS,
  ERA_KINDS,
} from "../core/job";
import { MEASURES } from "../core/prototype";
import { JOINTS, type Param } from "../core/structures";
import { KINDS } from "../core/structures/all";
import { hash, id, list, number, object, oneOf, point, record, text, word } from "./schemaParts";
import { spotSchema } from "./spotSchema";

const section = { type: "string", pattern: "^(⌀\\d+(\\.\\d+)?|\\d+(\\.\\d+)?×\\d+(\\.\\d+)?)$" };
/** What a traced structure keeps is drawn, not declared as single values. */
const traced = (() => {
  const end = object({ kind: oneOf("square", "plumb", "level"), beyond: number() });
  const flag = { type: "boolean" };
  return object(
    {
      members: list(
        object({
          id,
          role: text(40),
          section,
          from: point,
          to: point,
          seat: oneOf("centre", "left", "right"),
          flat: flag,
          layer: oneOf("near", "middle", "far"),
          order: { type: "integer" },
          ends: list(end, { minItems: 2, maxItems: 2 }),
        }),
      ),
      joints: list(object({ a: id, b: id, kind: oneOf(...JOINTS), depth: number() }, ["depth"])),
      crosses: list(
        object({
          id,
          role: text(40),
          section,
          flat: flag,
          on: id,
          at: number(),
          run: oneOf("through", "between"),
          side: oneOf("left", "right"),
          overhang: number(),
        }),
      ),
      places: list(number(), { minItems: 1 }),
      mirror: { type: ["number", "null"] },
    },
    ["mirror"],
  );
})();

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
      return {
        ...about,
        ...(p.own
          ? {
              anyOf: [
                oneOf(...p.options.map((o) => o.value)),
                { type: "string", pattern: "^own/(card|wood|styrene)-\\d+(\\.\\d{1,3})?$" },
              ],
            }
          : oneOf(...p.options.map((o) => o.value))),
        default: p.def,
      };
    case "flag":
      return { ...about, type: "boolean", default: p.def };
    case "section":
      return { ...about, type: "string", pattern: "^(⌀\\d+(\\.\\d+)?|\\d+(\\.\\d+)?×\\d+(\\.\\d+)?)$", default: p.def };
    case "table":
      return {
        ...about,
        type: "array",
        maxItems: p.most,
        items: object(Object.fromEntries(Object.entries(p.columns).map(([k, c]) => [k, param(c)]))),
      };
    case "number":
      return number({ ...about, minimum: p.min, maximum: p.max, default: p.def, $comment: p.unit });
    case "lengths":
      return { ...about, ...list(param(p.of), { maxItems: p.most }), default: p.def };
    case "points":
      return { ...about, ...list(point, { maxItems: p.most }), default: p.def, $comment: "prototype mm" };
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
  object(
    {
      id,
      kind: { const: k.id },
      name: text(120),
      chosen: id,
      variants: list(
        variant(
          k.id === "traced"
            ? traced
            : object(Object.fromEntries(Object.entries(k.spec).map(([n, p]) => [n, param(p)]))),
        ),
        {
          minItems: 1,
          maxItems: 50,
        },
      ),
      sources: record(object({ how: oneOf(...SOURCE_KINDS), from: text(300), why: text(2000) })),
      place: object({ x: number(), y: number(), z: number(), turn: number({ minimum: -360, maximum: 360 }) }),
    },
    ["sources", "place"],
  ),
);
const schema = {
  $schema: "http://json-schema.org/draft-07/schema#",
  title: "Cardo job file",
  ...object(
    {
      format: { const: JOB_FORMAT },
      version: { const: JOB_VERSION },
      name: text(120),
      brief: object(
        {
          scale: object({ id: text(12), ratio: number({ minimum: 1, maximum: 1000 }) }),
          units: object({ prototype: oneOf("ft-in", "m"), model: oneOf("mm", "in", "64ths") }),
          railroad: text(200),
          place: text(500),
          spotLength: number({ minimum: 0 }),
          spotDepth: number({ minimum: 0 }),
          track: oneOf("none", "beside", "under", "over"),
          era: text(100),
          client: text(200),
          decisions: list(object({ id, what: text(300), reason: text(2000), agreed: { type: "boolean" } }, ["agreed"])),
        },
        ["client"],
      ),
      drawings: list(
        object(
          {
            id,
            name: text(120),
            picture: object(
              { hash, type: text(20), width: { type: "integer" }, height: { type: "integer" }, unit: number() },
              ["unit"],
            ),
            lines: object({ hash, width: number(), height: number(), hidden: list(text(200)) }),
            calibration: object(
              {
                lengths: list(
                  object(
                    {
                      id,
                      name: text(80),
                      from: point,
                      to: point,
                      length: number({ minimum: 1 }),
                      use: oneOf("scale", "check"),
                      count: { type: "integer" },
                      each: number(),
                    },
                    ["count", "each"],
                  ),
                ),
                stated: object({ ratio: number(), unit: number() }),
                stretch: oneOf("auto", "apart", "together"),
                tilt: number(),
              },
              ["stated"],
            ),
            measures: list(
              object(
                {
                  id,
                  name: text(80),
                  kind: oneOf(...Object.keys(MEASURES)),
                  points: list(point, { minItems: 2 }),
                  count: { type: "integer" },
                  usedFor: text(120),
                },
                ["count", "usedFor"],
              ),
            ),
            openings: list(
              object({
                id,
                name: text(80),
                kind: oneOf(...OPENINGS.kind),
                from: point,
                to: point,
                set: oneOf(...OPENINGS.set),
                by: number(),
                trim: number(),
                sill: text(200),
                swing: oneOf(...OPENINGS.swing),
                casting: text(200),
                note: text(500),
              }),
            ),
            eave: oneOf(...EAVES),
            under: list(
              object({
                structure: id,
                view: oneOf("front", "side"),
                anchor: point,
                opacity: number({ minimum: 0, maximum: 1 }),
              }),
            ),
            straightened: object({
              drawing: id,
              corners: list(point, { minItems: 4, maxItems: 4 }),
              width: number(),
              height: number(),
              lens: number(),
              size: point,
            }),
          },
          ["picture", "lines", "calibration", "eave", "straightened"],
        ),
      ),
      structures: list({ anyOf: structures }),
      stock: object({
        milling: oneOf("full-sawn", "dressed"),
        series: list(oneOf("scale", "inch", "metric", "styrene", "round")),
        choices: record(object({ item: text(60), plies: oneOf(1, 2), along: oneOf("thickness", "width") })),
        sticks: record(list(object({ length: number(), count: { type: ["integer", "null"] }, price: number() }))),
      }),
      cutting: object(
        {
          kerf: number({ minimum: 0, maximum: 10 }),
          allowance: number({ minimum: 0, maximum: 20 }),
          aim: oneOf(...Object.keys(AIMS)),
        },
        ["aim"],
      ),
      sheetCutting: object({
        by: oneOf("snap", "free"),
        apart: number({ minimum: 0, maximum: 20 }),
        edge: number({ minimum: 0, maximum: 50 }),
        card: text(60),
        sizes: record(
          list(
            object({ wide: number(), long: number(), count: { type: ["integer", "null"] }, price: number() }, [
              "count",
            ]),
          ),
        ),
      }),
      papers: list(
        object(
          {
            id,
            name: word,
            picture: object({ hash: word, type: word, width: number(), height: number(), unit: number() }, ["unit"]),
            motif: oneOf(...MOTIFS),
            along: oneOf("across", "up"),
            units: number(),
            unit: number(),
            cover: object(
              {
                length: number(),
                height: number(),
                holes: list(object({ x: number(), y: number(), wide: number(), high: number() })),
              },
              ["holes"],
            ),
            count: number(),
            bleed: number(),
          },
          ["cover"],
        ),
      ),
      inside: list(
        object(
          {
            structure: id,
            things: list(
              object({
                id,
                name: word,
                kind: oneOf(...FITTINGS),
                x: number(),
                y: number(),
                turn: number(),
                length: number(),
                depth: number(),
                low: number(),
                high: number(),
              }),
            ),
            box: number(),
            eye: object({ before: number(), right: number(), over: number() }),
            lamps: list(object({ id, name: word, of: id, x: number(), y: number(), z: number() })),
            wires: oneOf(...CORNERS),
          },
          ["box", "eye", "lamps", "wires"],
        ),
      ),
      years: list(
        object(
          {
            id,
            name: word,
            kind: oneOf(...ERA_KINDS),
            structure: id,
            what: word,
            from: number(),
            to: number(),
            instead: id,
          },
          ["structure", "from", "to", "instead"],
        ),
      ),
      spot: spotSchema,
      build: object(
        {
          coats: list(
            object({
              id: word,
              name: word,
              kind: oneOf(...COAT_KINDS),
              mix: word,
              touch: number(),
              over: number(),
              covers: number(),
            }),
          ),
          finish: list(
            object({
              structure: word,
              group: oneOf(...FINISH_GROUPS),
              when: oneOf(...FINISH_TIMES),
              coats: list(word),
            }),
          ),
          order: list(
            object(
              {
                kind: oneOf("move", "split", "join", "add"),
                step: word,
                before: word,
                with: word,
                sticks: list(word),
                title: word,
                text: word,
                minutes: number(),
                rest: number(),
              },
              ["before", "with", "sticks", "title", "text", "minutes", "rest"],
            ),
          ),
          glues: list(object({ step: word, instead: word, with: word, name: word }, ["step", "instead"])),
          masters: list(
            object({
              structure: word,
              role: word,
              by: oneOf("cast", "printed"),
              atOnce: number(),
              spare: number(),
              minutes: number(),
            }),
          ),
          fasteners: list(
            object({
              id: word,
              structure: word,
              joint: word,
              kind: oneOf("pin", "dowel", "screw", "bolt", "magnet"),
              diameter: number(),
              length: number(),
              count: number(),
            }),
          ),
          lights: object({
            supply: number(),
            lamps: list(
              object({
                id,
                name: word,
                count: number(),
                volts: number(),
                milliamps: number(),
                series: number(),
                hole: number(),
                wire: number(),
              }),
            ),
          }),
        },
        ["glues", "lights"],
      ),
      useDrawer: { type: "boolean" },
      aside: record({ type: "string" }),
      issues: list({ type: "object" }),
      files: record({ type: "string" }),
    },
    ["sheetCutting", "papers", "inside", "years", "spot", "build", "useDrawer", "issues", "files"],
  ),
};
/** The JSON schema of a job file, from the kinds' own declarations, as it is written to docs/job.schema.json. */
export const jobSchema = (): Promise<string> => format(JSON.stringify(schema), { parser: "json", printWidth: 120 });
