import "reflect-metadata";
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  Matches,
  Max,
  Min,
} from "class-validator";
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
}
export interface FlagParam extends Common {
  readonly type: "flag";
  readonly def: boolean;
}
/** A nominal section, "12×12". */
export interface SectionParam extends Common {
  readonly type: "section";
  readonly def: string;
}
export type SingleParam = LengthParam | BatterParam | CountParam | ChoiceParam | FlagParam | SectionParam;
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
    : P extends ListParam
      ? readonly number[]
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
export const list = (p: Bare<ListParam>): ListParam => ({ type: "list", ...p });

/** The values every parameter starts with. */
export function defaultsOf<S extends Spec>(spec: S): ParamsOf<S> {
  return Object.fromEntries(
    Object.entries(spec).map(([k, p]) => [k, p.type === "list" ? [...p.defs] : p.def]),
  ) as unknown as ParamsOf<S>;
}

/** A value of a parameter in words: 21′-0″, 3 in 12, 4. */
export function printParam(p: SingleParam, value: unknown): string {
  if (p.type === "length") return printFeetInches(Number(value));
  if (p.type === "batter") return `${printNumber(Number(value), 3).replace(/\.?0+$/, "")} in 12`;
  if (p.type === "choice") return p.options.find((o) => o.value === value)?.label ?? String(value);
  return String(value);
}

/**
 * A class whose fields class-validator checks as the spec says, so that one declaration serves browser, server and
 * command line. Messages are sentences with the value read.
 */
export function dto<S extends Spec>(spec: S): new () => ParamsOf<S> {
  class Dto {}
  for (const [name, p] of Object.entries(spec)) {
    const on = (...decorators: PropertyDecorator[]): void => decorators.forEach((d) => d(Dto.prototype, name));
    const range = (q: LengthParam | BatterParam | CountParam, each: boolean): void => {
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
        range(p, false);
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
          IsIn(
            p.options.map((o) => o.value),
            {
              message: (a) =>
                `${p.label} is “${String(a.value)}”; it may be ${p.options.map((o) => o.value).join(", ")}.`,
            },
          ),
        );
        break;
      case "flag":
        on(IsBoolean({ message: `${p.label} is either true or false.` }));
        break;
      case "section":
        on(
          Matches(/^\d+(\.\d+)?×\d+(\.\d+)?$/, {
            message: (a) => `${p.label} is “${String(a.value)}”; write a nominal size in inches such as 12×12.`,
          }),
        );
    }
  }
  return Dto as new () => ParamsOf<S>;
}
const show = (p: SingleParam, v: unknown): string =>
  typeof v === "number" && Number.isFinite(v) ? printParam(p, v) : `“${String(v)}”`;

/** The single parameter that a path such as "height" or "batters.0" names, with its label. */
export function paramAt(spec: Spec, path: string): SingleParam | undefined {
  const [name, index] = path.split(".");
  const p = spec[name ?? ""];
  if (!p || p.type !== "list") return p;
  const i = Number(index);
  const label = p.labels[i];
  return label === undefined ? undefined : { ...p.of, label, def: (p.defs[i] ?? p.of.def) as never };
}
/** Reads a value by path. */
export function valueAt(params: Readonly<Record<string, unknown>>, path: string): unknown {
  const [name, index] = path.split(".");
  const v = params[name ?? ""];
  return index === undefined ? v : (v as readonly unknown[])[Number(index)];
}
/** A copy with the value at a path changed. */
export function withValue<P extends Readonly<Record<string, unknown>>>(params: P, path: string, value: unknown): P {
  const [name, index] = path.split(".");
  if (index === undefined) return { ...params, [name!]: value };
  const listed = [...(params[name!] as readonly unknown[])];
  listed[Number(index)] = value;
  return { ...params, [name!]: listed };
}
