import { plainToInstance } from "class-transformer";
import { validateSync } from "class-validator";
import { parseNominal, parseSheetName } from "../lumber";
import "../structures/all";
import { kindsKnown } from "../structures/registry";
import { MEASURES, type MeasureKind } from "../prototype";
import { SCALES } from "../units";
import {
  JOB_FORMAT,
  JOB_VERSION,
  JobDoc,
  type DrawingDoc,
  OverrideDoc,
  SourceDoc,
  SheetSizeDoc,
  StickDoc,
  StockChoiceDoc,
} from "./document";
import { JobError } from "./error";
import { migrate } from "./migrations";
import { checkPlain } from "./ownWords";
import { valueProblems, sentences, STRICT } from "./params";

/** What stands in a list of drawings, structures or their parts has to be a group of values: a list there would pass for an empty one. */
function listsInLists(raw: unknown): string[] {
  const of = (v: unknown, key: string): unknown[] => {
    const list = (v as Record<string, unknown> | null | undefined)?.[key];
    return Array.isArray(list) ? list : [];
  };
  const wrong = (list: unknown[], at: string): string[] =>
    list.flatMap((x, i) => (Array.isArray(x) ? [`At ${at}[${i}]: a list stands where a group of values should.`] : []));
  const [drawings, structures] = [of(raw, "drawings"), of(raw, "structures")];
  return [
    ...wrong(drawings, "drawings"),
    ...wrong(structures, "structures"),
    ...structures.flatMap((s, i) => wrong(of(s, "variants"), `structures[${i}].variants`)),
    ...drawings.flatMap((d, i) =>
      ["measures", "openings", "under"].flatMap((k) => wrong(of(d, k), `drawings[${i}].${k}`)),
    ),
    ...wrong(of((raw as { brief?: unknown } | null)?.brief, "decisions"), "brief.decisions"),
  ];
}

/** Checks a parsed document. Errors: JobError with a sentence for each fault. */
export function checkJob(raw: unknown): JobDoc {
  checkPlain(raw);
  const doc = plainToInstance(JobDoc, raw as object);
  const found = [...listsInLists(raw), ...sentences(validateSync(doc, STRICT))];
  if (found.length > 0) throw new JobError(found);
  const more: string[] = [];
  const scale = SCALES.find((s) => s.id === doc.brief.scale.id);
  if (scale && Math.abs(scale.ratio - doc.brief.scale.ratio) > 1e-6)
    more.push(`Scale ${scale.id} is 1:${scale.ratio}, and the file says 1:${doc.brief.scale.ratio}.`);
  const ids = [...doc.structures.map((s) => s.id), ...doc.drawings.map((d) => d.id)];
  if (new Set(ids).size !== ids.length) more.push("Two structures or drawings have the same id.");
  for (const s of doc.structures) {
    if (!kindsKnown().some((k) => k.id === s.kind)) {
      more.push(
        `Structure “${s.name}” is of the kind “${s.kind}”; known are ${kindsKnown()
          .map((k) => k.id)
          .join(", ")}.`,
      );
      continue;
    }
    if (!s.variants.some((v) => v.id === s.chosen))
      more.push(`Structure “${s.name}” has no variant “${s.chosen}” to be the chosen one.`);
    for (const v of s.variants) more.push(...valueProblems(s.kind, v.params).map((p) => `${s.name}, ${v.name}: ${p}`));
  }
  for (const name of Object.keys(doc.stock.choices))
    if (!parseNominal(name) && !parseSheetName(name))
      more.push(`Stock is chosen for “${name}”, which is no nominal size and no sheet.`);
  for (const [at, record, kind] of recordsOf(doc))
    for (const [key, value] of Object.entries(record))
      more.push(...sentences(validateSync(plainToInstance(kind, value), STRICT), `${at}.${key}`));
  for (const d of doc.drawings) more.push(...drawingProblems(d));
  for (const [key, reason] of Object.entries(doc.aside))
    if (typeof reason !== "string") more.push(`At aside.${key}: the reason is no text.`);
  if (more.length > 0) throw new JobError(more);
  return JSON.parse(JSON.stringify(doc)) as JobDoc;
}

const isPoint = (p: unknown): boolean => Array.isArray(p) && p.length === 2 && p.every(Number.isFinite);
function drawingProblems(d: DrawingDoc): string[] {
  const need = (kind: MeasureKind): number => MEASURES[kind].points;
  return [
    ...(d.picture || d.lines ? [] : [`The drawing “${d.name}” has neither a picture nor lines.`]),
    ...d.measures
      .filter(
        (m) => !m.points.every(isPoint) || (need(m.kind) ? m.points.length !== need(m.kind) : m.points.length < 3),
      )
      .map((m) => `The measure “${m.name}” needs ${need(m.kind) || "three or more"} points, each of two numbers.`),
    ...(d.straightened && !d.straightened.corners.every(isPoint)
      ? [`The corners of “${d.name}” need two numbers each.`]
      : []),
  ];
}

type Entry = readonly [at: string, record: Readonly<Record<string, object>>, kind: new () => object];
/** What a document keeps by name, and the class that each value has to be. */
function recordsOf(doc: JobDoc): Entry[] {
  const lists = (at: string, by: Readonly<Record<string, unknown>>, kind: Entry[2]): Entry[] =>
    Object.entries(by).map(([id, list]): Entry => [
      `${at}.${id}`,
      Object.fromEntries((Array.isArray(list) ? list : [list]).map((s, i) => [String(i), s as object])),
      kind,
    ]);
  const sticks = lists("stock.sticks", doc.stock.sticks, StickDoc);
  const sheets = lists("sheetCutting.sizes", doc.sheetCutting?.sizes ?? {}, SheetSizeDoc);
  const overrides = doc.structures.flatMap((s) =>
    s.variants.map((v): Entry => [`${s.id}.${v.id}.overrides`, v.overrides as Record<string, object>, OverrideDoc]),
  );
  const sources = doc.structures.flatMap((s): Entry[] => (s.sources ? [[`${s.id}.sources`, s.sources as Record<string, object>, SourceDoc]] : [])); // prettier-ignore
  return [
    ...sources,
    ["stock.choices", doc.stock.choices as Record<string, object>, StockChoiceDoc],
    ...sticks,
    ...sheets,
    ...overrides,
  ];
}

/** Migrates what has not been checked yet. Errors: JobError where it is not laid out as its version was. */
function broughtUp(raw: Record<string, unknown>, version: number): Record<string, unknown> {
  try {
    return migrate(raw);
  } catch (cause) {
    if (cause instanceof JobError) throw cause;
    throw new JobError([`The job file is not laid out as one of version ${version} is. Export the job again.`]);
  }
}

/** Reads the text of a job file, of this version or an earlier one. Errors: JobError that says what was read and what would do. */
export function readJobText(text: string): { readonly doc: JobDoc; readonly rest: Record<string, unknown> } {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (cause) {
    const start = text.trim().slice(0, 30).replace(/\s+/g, " ");
    throw new JobError([
      `This is no job file: it should be JSON, and it begins with “${start}” and breaks off or is misspelt (${(cause as Error).message.replace(/\s+/g, " ")}).`,
    ]);
  }
  if (
    typeof raw !== "object" ||
    raw === null ||
    Array.isArray(raw) ||
    (raw as { format?: unknown }).format !== JOB_FORMAT
  )
    throw new JobError([
      `This is no Cardo job file: it lacks "format": "${JOB_FORMAT}". Export a job from the Shelf to get one.`,
    ]);
  const version = (raw as { version?: unknown }).version;
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1)
    throw new JobError([
      version === undefined
        ? `The job file does not say of which version it is; it should be a whole number up to ${JOB_VERSION}.`
        : `The job file's version is ${JSON.stringify(version).slice(0, 60)}; it should be a whole number up to ${JOB_VERSION}.`,
    ]);
  if (version > JOB_VERSION)
    throw new JobError([
      `The job file is of version ${version}, and this Cardo reads up to ${JOB_VERSION}. Open it with a newer Cardo.`,
    ]);
  checkPlain(raw);
  const { issues, files, ...doc } = broughtUp(raw as Record<string, unknown>, version);
  return { doc: checkJob(doc), rest: { issues, files } };
}
