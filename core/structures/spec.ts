import "../reflected";
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsInt,
  IsNumber,
  Matches,
  Max,
  Min,
  ValidateBy,
  validateSync,
} from "class-validator";
import { sheetOf } from "../lumber";
import { printFeetInches, printNumber, type Prototype } from "../units";

interface Common {
  readonly label: string;
  readonly help: string;
  readonly group: string;
}
export interface LengthParam extends Common {
  readonly type: "length";
  readonly def: Prototype;
  readonly min: Prototype;
  readonly max: Prototype;
  /** Outside of this it is a remark, not a refusal. */
  readonly usual: readonly [Prototype, Prototype];
  /** Where it is from centre to centre: the parameter of the timber between, and which side of it is taken up. */
  readonly centres?: readonly [section: string, side: "thickness" | "width"];
}
/** Run in inches per foot of height. */
export interface BatterParam extends Common {
  readonly type: "batter";
  readonly def: number;
  readonly min: number;
  readonly max: number;
  readonly usual: readonly [number, number];
}
export interface CountParam extends Common {
  readonly type: "count";
  readonly def: number;
  readonly min: number;
  readonly max: number;
}
export interface ChoiceParam extends Common {
  readonly type: "choice";
  readonly def: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
  /** Beside its options it takes a plain sheet of one's own, "own/card-9". */
  readonly own?: "sheet";
}
/** Whether a choice takes a value. */
export const takes = (p: ChoiceParam, value: unknown): boolean =>
  p.options.some((o) => o.value === value) ||
  (p.own === "sheet" && typeof value === "string" && value.startsWith("own/") && sheetOf(`sheet/${value}`) !== undefined); // prettier-ignore
export interface FlagParam extends Common {
  readonly type: "flag";
  readonly def: boolean;
}
/** A nominal section, "12×12". */
export interface SectionParam extends Common {
  readonly type: "section";
  readonly def: string;
}
/** A plain number with the unit it is written in: "%" of a grade, "°" of an angle, "mm" of the model. */
export interface NumberParam extends Common {
  readonly type: "number";
  readonly unit: string;
  readonly def: number;
  readonly min: number;
  readonly max: number;
  readonly usual: readonly [number, number];
}
/** A list of lengths as long as one likes: bays set one by one. */
export interface LengthsParam extends Common {
  readonly type: "lengths";
  readonly of: LengthParam;
  readonly def: readonly number[];
  readonly most: number;
}
/** Points of a line, [along, height], prototype mm, along growing: a ground profile. */
export interface PointsParam extends Common {
  readonly type: "points";
  readonly def: readonly (readonly [number, number])[];
  /** The names of both columns. */
  readonly columns: readonly [string, string];
  readonly most: number;
}
/** Rows that share their columns: the openings of a building, its wings. A cell's path is "openings.2.width". */
export interface TableParam extends Common {
  readonly type: "table";
  /** What one row is called: "opening". */
  readonly noun: string;
  readonly columns: Readonly<Record<string, CellParam>>;
  readonly def: readonly Row[];
  readonly most: number;
}
export type CellParam = LengthParam | NumberParam | CountParam | ChoiceParam | FlagParam | SectionParam;
export type Row = Readonly<Record<string, unknown>>;
export type SingleParam =
  | TableParam
  | LengthParam
  | BatterParam
  | NumberParam
  | CountParam
  | ChoiceParam
  | FlagParam
  | SectionParam
  | LengthsParam
  | PointsParam;
/** As many of one kind as `labels` has; how many are in use is the kind's own business. */
export interface ListParam extends Common {
  readonly type: "list";
  readonly of: LengthParam | BatterParam;
  readonly defs: readonly number[];
  readonly labels: readonly string[];
}
export type Param = SingleParam | ListParam;
export type Spec = Readonly<Record<string, Param>>;
export type ValueOf<P extends Param> = P extends FlagParam
  ? boolean
  : P extends ChoiceParam | SectionParam
    ? string
    : P extends ListParam | LengthsParam
      ? readonly number[]
      : P extends PointsParam
        ? readonly (readonly [number, number])[]
        : P extends TableParam
          ? readonly { readonly [K in keyof P["columns"]]: ValueOf<P["columns"][K]> }[]
          : number;
/** The values of a spec: lengths in prototype mm, batters in inches per foot. */
export type ParamsOf<S extends Spec> = { readonly [K in keyof S]: ValueOf<S[K]> };

type Bare<P extends Param> = Omit<P, "type">;
export const length = (p: Bare<LengthParam>): LengthParam => ({ type: "length", ...p });
export const batter = (p: Bare<BatterParam>): BatterParam => ({ type: "batter", ...p });
export const count = (p: Bare<CountParam>): CountParam => ({ type: "count", ...p });
export const choice = (p: Bare<ChoiceParam>): ChoiceParam => ({ type: "choice", ...p });
export const flag = (p: Bare<FlagParam>): FlagParam => ({ type: "flag", ...p });
export const section = (p: Bare<SectionParam>): SectionParam => ({ type: "section", ...p });
export const numeric = (p: Bare<NumberParam>): NumberParam => ({ type: "number", ...p });
export const lengths = (p: Bare<LengthsParam>): LengthsParam => ({ type: "lengths", ...p });
export const points = (p: Bare<PointsParam>): PointsParam => ({ type: "points", ...p });
export const list = (p: Bare<ListParam>): ListParam => ({ type: "list", ...p });
export const table = <C extends TableParam["columns"]>(
  p: Bare<TableParam> & { readonly columns: C },
): TableParam & { readonly columns: C } => ({ type: "table", ...p });

/** The values every parameter starts with. */
export function defaultsOf<S extends Spec>(spec: S): ParamsOf<S> {
  const start = (p: Param): unknown =>
    p.type === "list"
      ? [...p.defs]
      : p.type === "lengths" || p.type === "points" || p.type === "table"
        ? structuredClone(p.def)
        : p.def;
  return Object.fromEntries(Object.entries(spec).map(([k, p]) => [k, start(p)])) as unknown as ParamsOf<S>;
}

/** A value of a parameter in words: 21′-0″, 3 in 12, 4. */
export function printParam(p: SingleParam, value: unknown): string {
  if (p.type === "length") return printFeetInches(Number(value));
  if (p.type === "batter") return `${printNumber(Number(value), 3).replace(/\.?0+$/, "")} in 12`;
  if (p.type === "number")
    return `${printNumber(Number(value), 3).replace(/\.?0+$/, "")}${p.unit === "mm" ? " mm" : p.unit === "%" ? " %" : p.unit}`;
  if (p.type === "lengths") return (value as readonly number[]).map((v) => printFeetInches(v)).join(", ");
  if (p.type === "points") return `${(value as readonly unknown[]).length} points`;
  if (p.type === "table") {
    const n = (value as readonly unknown[]).length;
    return `${n} ${p.noun}${n === 1 ? "" : "s"}`;
  }
  if (p.type === "choice")
    return p.options.find((o) => o.value === value)?.label ?? sheetOf(`sheet/${String(value)}`)?.name ?? String(value);
  return String(value);
}

/** Every path of a spec to a single parameter: "height", "batters.0". */
export const pathsOf = (spec: Spec): string[] =>
  Object.entries(spec).flatMap(([k, p]) => (p.type === "list" ? p.labels.map((_, i) => `${k}.${i}`) : [k]));

/**
 * A class whose fields class-validator checks as the spec says, so that one declaration serves browser, server and
 * command line. Messages are sentences with the value read.
 */
export function dto<S extends Spec>(spec: S): new () => ParamsOf<S> {
  class Dto {}
  for (const [name, p] of Object.entries(spec)) {
    const on = (...decorators: PropertyDecorator[]): void => decorators.forEach((d) => d(Dto.prototype, name));
    const range = (q: LengthParam | BatterParam | CountParam | NumberParam, each: boolean): void => {
      const message = (a: { value: unknown }): string => {
        const read = each && Array.isArray(a.value) ? a.value.map((v) => show(q, v)).join(", ") : show(q, a.value);
        return `${p.label} is ${read}; it may be from ${show(q, q.min)} to ${show(q, q.max)}.`;
      };
      const o = { each, message };
      on(
        q.type === "count" ? IsInt(o) : IsNumber({ allowNaN: false, allowInfinity: false }, o),
        Min(q.min, o),
        Max(q.max, o),
      );
    };
    switch (p.type) {
      case "length":
      case "batter":
      case "count":
      case "number":
        range(p, false);
        break;
      case "lengths": {
        const message = `${p.label} needs a list of at most ${p.most} lengths.`;
        on(IsArray({ message }), ArrayMaxSize(p.most, { message }));
        range(p.of, true);
        break;
      }
      case "points":
        on(
          ValidateBy({
            name: "points",
            validator: {
              validate: (v: unknown): boolean => isPoints(v) && v.length <= p.most,
              defaultMessage: () =>
                `${p.label} needs pairs of ${p.columns[0].toLowerCase()} and ${p.columns[1].toLowerCase()}, the ${p.columns[0].toLowerCase()} growing, at most ${p.most} of them.`,
            },
          }),
        );
        break;
      case "list": {
        const n = p.labels.length;
        const message = `${p.label} needs a list of ${n} values.`;
        on(IsArray({ message }), ArrayMinSize(n, { message }), ArrayMaxSize(n, { message }));
        range(p.of, true);
        break;
      }
      case "choice":
        on(
          ValidateBy({
            name: "choice",
            validator: {
              validate: (v: unknown): boolean => takes(p, v),
              defaultMessage: (a) =>
                `${p.label} is “${said(a?.value)}”; it may be ${p.options.map((o) => o.value).join(", ")}${p.own ? ", or one's own such as own/card-9, its thickness in model mm" : ""}.`,
            },
          }),
        );
        break;
      case "table": {
        const Cells = dto(p.columns);
        const faultIn = (row: unknown): string | undefined => {
          if (typeof row !== "object" || row === null || Array.isArray(row)) return "is no row";
          const unknown = Object.keys(row).find((k) => !(k in p.columns));
          if (unknown !== undefined) return `has a column “${unknown}”, which is not known`;
          const wrong = validateSync(Object.assign(new Cells(), row))[0];
          return wrong && Object.values(wrong.constraints ?? {})[0];
        };
        const faultOf = (v: unknown): string | undefined => {
          if (!Array.isArray(v) || v.length > p.most) return `needs a list of at most ${p.most} rows`;
          const faults = v.map(faultIn);
          const i = faults.findIndex((f) => f !== undefined);
          return i < 0 ? undefined : `${p.noun} ${i + 1}: ${faults[i]}`;
        };
        on(
          ValidateBy({
            name: "table",
            validator: {
              validate: (v: unknown): boolean => faultOf(v) === undefined,
              defaultMessage: (a) => `${p.label}, ${faultOf(a?.value)}`,
            },
          }),
        );
        break;
      }
      case "flag":
        on(IsBoolean({ message: `${p.label} is either true or false.` }));
        break;
      case "section":
        on(
          Matches(/^(⌀\d+(\.\d+)?|\d+(\.\d+)?×\d+(\.\d+)?)$/, {
            message: (a) => `${p.label} is “${said(a.value)}”; write a nominal size in inches such as 12×12.`,
          }),
        );
    }
  }
  return Dto as new () => ParamsOf<S>;
}
const show = (p: SingleParam, v: unknown): string =>
  typeof v === "number" && Number.isFinite(v) ? printParam(p, v) : `“${said(v)}”`;
/** A value that came from outside, as a sentence may quote it. */
function said(v: unknown): string {
  if (v === undefined || v === null) return "nothing";
  return typeof v === "object" ? (Array.isArray(v) ? "a list" : "a group of values") : String(v as string).slice(0, 60);
}

const isPoints = (v: unknown): v is readonly (readonly [number, number])[] =>
  Array.isArray(v) &&
  v.every(
    (q: unknown, i) =>
      Array.isArray(q) &&
      q.length === 2 &&
      q.every((n) => typeof n === "number" && Number.isFinite(n) && Math.abs(n) <= 1e8) &&
      (i === 0 || (q[0] as number) > (v[i - 1] as [number, number])[0]),
  );

/** The single parameter that a path such as "height", "batters.0" or "openings.2.width" names, with its label. */
export function paramAt(spec: Spec, path: string): SingleParam | undefined {
  const [name, index, column] = path.split(".");
  const p = spec[name ?? ""];
  const i = Number(index);
  if (p?.type === "table" && index !== undefined) {
    const cell = p.columns[column ?? ""];
    return (
      cell && { ...cell, label: `${p.noun[0]!.toUpperCase()}${p.noun.slice(1)} ${i + 1}, ${cell.label.toLowerCase()}` }
    );
  }
  if (p?.type === "lengths" && index !== undefined) return { ...p.of, label: `${p.of.label} ${i + 1}` };
  if (!p || p.type !== "list") return p;
  const label = p.labels[i];
  return label === undefined ? undefined : { ...p.of, label, def: (p.defs[i] ?? p.of.def) as never };
}
/** Reads a value by path. */
export function valueAt(params: Readonly<Record<string, unknown>>, path: string): unknown {
  return path.split(".").reduce<unknown>((v, k) => (v as Readonly<Record<string, unknown>> | undefined)?.[k], params);
}
/** A copy with the value at a path changed. */
export function withValue<P extends Readonly<Record<string, unknown>>>(params: P, path: string, value: unknown): P {
  const put = (v: unknown, [k, ...rest]: readonly string[]): unknown => {
    if (k === undefined) return value;
    const copy = (Array.isArray(v) ? [...(v as unknown[])] : { ...(v as object) }) as Record<string, unknown>;
    copy[k] = put(copy[k], rest);
    return copy;
  };
  return put(params, path.split(".")) as P;
}

/** From where to where a length may be, and is usual; prototype mm. Usual values are common practice. */
export const span = (min: Prototype, max: Prototype, usual: readonly [Prototype, Prototype]) => ({ min, max, usual });
/** What may be chosen, in words. */
export const options = (o: Readonly<Record<string, string>>) =>
  Object.entries(o).map(([value, label]) => ({ value, label }));
