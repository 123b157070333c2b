import {
  kindOf,
  paramAt,
  printParam,
  printProfile,
  readProfile,
  valueAt,
  withValue,
  type Profile,
  type SingleParam,
} from "core/structures";
import { barePrototype, parseLength, printPrototype, type Prototype } from "core/units";
import { chosenVariant, useJob, type Recipe } from "~/job/JobContext";

/** A recipe that sets one parameter of a structure's chosen variant. */
export const setParam =
  (structure: string, path: string, value: unknown): Recipe =>
  (d) => {
    const s = d.structures.find((x) => x.id === structure);
    if (s) {
      const v = chosenVariant(s);
      v.params = withValue(v.params, path, value);
    }
  };

/** One parameter of a structure: its value as text, and how to set it from text or as a value. `set` answers why not. */
export function useParam(structure: string, path: string) {
  const { doc, edit } = useJob();
  const s = doc.structures.find((x) => x.id === structure)!;
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
  const setValue = (v: unknown): readonly string[] =>
    edit(
      `${spec.label}: ${typeof v === "string" || typeof v === "boolean" ? String(v) : printParam(spec, v)}`,
      setParam(structure, path, v),
    );
  const set = (words: string): readonly string[] => {
    const read = readParam(spec, words, barePrototype(unit));
    if (!read.ok) return [read.error];
    const same = typeof read.value === "number" && Math.abs(read.value - Number(value)) < 1e-9;
    return same ? [] : setValue(read.value);
  };
  const unitHint =
    spec.type === "length"
      ? `prototype, a bare number is ${unit === "m" ? "metres" : "feet"}`
      : spec.type === "batter"
        ? "inches in 12"
        : spec.type === "number"
          ? spec.unit.trim() || "a number"
          : spec.type === "lengths"
            ? `One after another with commas; a bare number is ${unit === "m" ? "metres" : "feet"}`
            : spec.type === "points"
              ? `A line for each point: ${spec.columns.join(", ").toLowerCase()}, in ${unit === "m" ? "metres" : "feet"}; paste CSV here`
              : "a whole number";
  return { spec, value, text, set, setValue, unitHint, label: spec.label };
}

type Read =
  | { readonly ok: true; readonly value: number | string | readonly number[] | Profile }
  | { readonly ok: false; readonly error: string };
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
    for (const w of words.split(/[,;\n]+/).filter((x) => x.trim() !== "")) {
      const p = parseLength(w, bare);
      if (!p.ok) return p;
      out.push(p.mm);
    }
    return { ok: true, value: out };
  }
  if (spec.type === "number") {
    const n = Number(
      words
        .trim()
        .replace(/[−–]/, "-")
        .replace(",", ".")
        .replace(/\s*(%|°|mm|in|g per 100 mm|in 12|in\.)\s*$/i, ""),
    );
    return words.trim() !== "" && Number.isFinite(n)
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
          .replace(",", ".")
          .split(/\s+/)
          .reduce((t, w) => t + (w.includes("/") ? Number(w.split("/")[0]) / Number(w.split("/")[1]) : Number(w)), 0)
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
