import { chosenVariant } from "core/job";
import { toast } from "sonner";
import {
  changeParam,
  kindOf,
  paramAt,
  printParam,
  printProfile,
  readProfile,
  valueAt,
  type Profile,
  type SingleParam,
} from "core/structures";
import {
  barePrototype,
  model,
  parseLength,
  parseMarked,
  printFeetInches,
  printMetric,
  printModel,
  printPrototype,
  prototype,
  tellIn,
  toModel,
  toPrototype,
  type Prototype,
  parseNumber,
} from "core/units";
import { useJob, type Recipe } from "~/job/JobContext";

/** A recipe that sets one parameter of a structure's chosen variant. */
export const setParam =
  (structure: string, path: string, value: unknown): Recipe =>
  (d) => {
    const s = d.structures.find((x) => x.id === structure);
    if (!s) return;
    const v = chosenVariant(s);
    v.params = changeParam(kindOf(s.kind), v.params, path, value).params as typeof v.params;
  };

/** One parameter of a structure: its value as text, and how to set it from text or as a value. `set` answers why not. */
export function useParam(structure: string, path: string) {
  const { doc, edit, ahead, design } = useJob();
  const s = doc.structures.find((x) => x.id === structure)!;
  const { scale } = design;
  const spec = paramAt(kindOf(s.kind).spec, path)!;
  const value = valueAt(chosenVariant(s).params, path);
  const unit = doc.brief.units.prototype;
  const text =
    spec.type === "length"
      ? printPrototype(Number(value) as Prototype, unit, 64)
      : spec.type === "batter" || spec.type === "number"
        ? String(Number(Number(value).toFixed(4)))
        : spec.type === "lengths"
          ? (value as readonly Prototype[]).map((x) => printPrototype(x, unit, 64)).join(", ")
          : spec.type === "points"
            ? printProfile(value as Profile, barePrototype(unit))
            : spec.type === "table"
              ? printParam(spec, value)
              : String(value);
  const setValue = (v: unknown): readonly string[] => {
    const { along } = changeParam(kindOf(s.kind), chosenVariant(s).params, path, v);
    const words = `${spec.label}: ${typeof v === "string" || typeof v === "boolean" ? wordOf(spec, v) : printParam(spec, v)}${along ? `, with ${along}` : ""}`;
    const refused = edit(words, setParam(structure, path, v));
    if (refused.length === 0 && along) toast(tellIn(`Goes along with it: ${along}.`, doc.brief.units));
    return refused;
  };
  /** What a timber between two centres takes up, prototype mm at the size really used. */
  const between = (): number | undefined => {
    if (spec.type !== "length" || !spec.centres) return undefined;
    const name = String(valueAt(chosenVariant(s).params, spec.centres[0]));
    const match = design.structures.find((x) => x.structure.id === structure)?.context.stock(name);
    return match && toPrototype(scale, match.section[spec.centres[1]]);
  };
  /** What was typed as a value of the document, or why it is none; undefined where nothing changes by it. */
  const read = (words: string): Typed | undefined => {
    if (spec.type !== "length") {
      const r = readParam(spec, words, barePrototype(unit));
      if (!r.ok) return r;
      return typeof r.value === "number" && Math.abs(r.value - Number(value)) < 1e-9 ? undefined : r;
    }
    const r = parseMarked(words, barePrototype(unit));
    if (!r.ok) return r;
    const timber = r.clear ? between() : 0;
    if (timber === undefined)
      return { ok: false, error: `${spec.label} is no distance between timbers, so it has no clear gap; write it without “clear”.` }; // prettier-ignore
    const mm = (r.world === "model" ? toPrototype(scale, model(r.mm)) : r.mm) + timber;
    if (Math.abs(mm - Number(value)) < 1e-9) return undefined;
    // a refusal speaks as one typed
    const say = (n: number): string => {
      const own = n - timber;
      if (r.world === "model") return `${printModel(toModel(scale, prototype(own)), r.metric ? "mm" : "in", 2)} on the model`; // prettier-ignore
      return r.metric ? printMetric(own) : printFeetInches(own);
    };
    const otherwise = r.world === "model" || r.metric || r.clear;
    if (otherwise && (mm < spec.min - 1e-9 || mm > spec.max + 1e-9))
      return { ok: false, error: `Read “${words.trim()}”; ${spec.label} may be from ${say(spec.min)} to ${say(spec.max)}${r.clear ? " clear" : ""}.` }; // prettier-ignore
    return { ok: true, value: mm, metric: r.metric };
  };
  const set = (words: string): readonly string[] => {
    const r = read(words);
    if (!r) return [];
    if (!r.ok) return [r.error];
    const said = setValue(r.value);
    return r.metric ? said.map((t) => tellIn(t, { ...doc.brief.units, prototype: "m" })) : said;
  };
  /** Begins what a text that is still being typed would show. */
  const typing = (words: string): void => {
    const r = read(words);
    if (r?.ok) ahead(setParam(structure, path, r.value));
  };
  const unitHint =
    spec.type === "length"
      ? `prototype, a bare number is ${unit === "m" ? "metres" : "feet"}; “13.5 mm model” is taken too${spec.centres ? ", and “12 mm clear”" : ""}`
      : spec.type === "batter"
        ? "inches in 12"
        : spec.type === "number"
          ? spec.unit.trim() || "a number"
          : spec.type === "lengths"
            ? `One after another with commas; a bare number is ${unit === "m" ? "metres" : "feet"}`
            : spec.type === "points"
              ? `A line for each point: ${spec.columns.join(", ").toLowerCase()}, in ${unit === "m" ? "metres" : "feet"}; paste CSV here`
              : "a whole number";
  return { spec, value, text, set, typing, setValue, unitHint, label: spec.label };
}

const wordOf = (spec: SingleParam, v: string | boolean): string =>
  spec.type === "choice" ? printParam(spec, v) : v === true ? "yes" : v === false ? "no" : String(v);

type Read =
  | { readonly ok: true; readonly value: number | string | readonly number[] | Profile }
  | { readonly ok: false; readonly error: string };
/**
 * The parts of a list of lengths: by semicolons, lines, and commas that a space follows. A comma without one is a decimal
 * where metres are meant and parts two lengths where feet are. Undefined where it could be either: "4,42,3,5" in metres.
 */
function listOf(words: string, bare: "ft" | "m"): string[] | undefined {
  const out: string[] = [];
  for (const part of words.split(/[;\n]|,(?=\s|$)/)) {
    const commas = (part.match(/,/g) ?? []).length;
    const metric = /\d\s*(mm|cm|m)\b/.test(part) || (bare === "m" && !/['"′″]/.test(part));
    // a point beside it says that the comma is none
    const decimal = metric && !part.includes(".");
    if (decimal && commas > 1) return undefined;
    out.push(...(decimal ? [part] : part.split(",")));
  }
  return out.map((x) => x.trim()).filter((x) => x !== "");
}
/** What was typed for a parameter; `metric` where its refusals are told in metres. */
type Typed = Read & { readonly metric?: boolean };
/** Reads what was typed for a parameter. */
export function readParam(spec: SingleParam, words: string, bare: "ft" | "m"): Read {
  if (spec.type === "length") {
    const p = parseLength(words, bare);
    return p.ok ? { ok: true, value: p.mm } : p;
  }
  if (spec.type === "points") {
    const p = readProfile(words, bare);
    return p.ok ? { ok: true, value: p.points } : p;
  }
  if (spec.type === "lengths") {
    const out: number[] = [];
    const parts = listOf(words, bare);
    if (!parts) return { ok: false, error: `Read “${words.trim()}”, where a comma could be a decimal or part two lengths; part them with semicolons, such as 4,42; 3,5.` }; // prettier-ignore
    for (const w of parts) {
      const p = parseLength(w, bare);
      if (!p.ok) return p;
      out.push(p.mm);
    }
    return { ok: true, value: out };
  }
  if (spec.type === "number" && spec.unit.trim() === "mm" && /[a-z'"′″]/i.test(words.replace(/mm\s*$/i, ""))) {
    // a length of the model in another unit than the field's own
    const p = parseLength(words, "mm");
    return p.ok ? { ok: true, value: p.mm } : p;
  }
  if (spec.type === "number") {
    const n = parseNumber(words, "g per 100 mm", "%", "°", "mm", "in 12", "in.", "in");
    return Number.isFinite(n)
      ? { ok: true, value: n }
      : {
          ok: false,
          error: `Read “${words.trim()}”; write a number${spec.unit.trim() ? ` in ${spec.unit.trim()}` : ""}, such as ${spec.def}.`,
        };
  }
  if (spec.type === "batter" || spec.type === "count") {
    const m =
      /^\s*([0-9]+(?:[.,][0-9]+)?|[.,][0-9]+|\d+\s+\d+\/\d+|\d+\/\d+)\s*(?:(?:in|:)\s*12|in\.?\s*(?:per|\/)\s*(?:ft|foot))?\s*$/i.exec(
        words,
      );
    const value = m
      ? m[1]!
          .split(/\s+/)
          .reduce(
            (t, w) => t + (w.includes("/") ? Number(w.split("/")[0]) / Number(w.split("/")[1]) : parseNumber(w)),
            0,
          )
      : NaN;
    return Number.isFinite(value)
      ? { ok: true, value }
      : {
          ok: false,
          error: `Read “${words.trim()}”; write ${spec.type === "batter" ? "the inches of lean in 12, such as 2.5 or 2 1/2" : "a whole number"}.`,
        };
  }
  const section = /^\s*(\d+(?:\.\d+)?)\s*[x×*]\s*(\d+(?:\.\d+)?)\s*$/i.exec(words);
  const rod = /^\s*[⌀ø]\s*(\d+(?:\.\d+)?)\s*$/i.exec(words);
  if (spec.type === "section" && rod) return { ok: true, value: `⌀${Number(rod[1])}` };
  if (spec.type === "section")
    return section
      ? { ok: true, value: [Number(section[1]), Number(section[2])].sort((a, b) => a - b).join("×") }
      : { ok: false, error: `Read “${words.trim()}”; write a nominal size in inches such as 12×12.` };
  return { ok: true, value: words };
}
