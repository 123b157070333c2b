import { stream } from "../cutting/stream";
import { chooseSheet, chooseStock, parseNominal, type Match, type Milling, type SeriesId } from "../lumber";
import { inches, scaleOf, SCALES } from "../units";
import type { Context, Params, StructureKind } from "./kind";
import { defaultsOf, type Param, type SingleParam, type Spec } from "./spec";

/** Sections as builders mix them, inches. */
const TIMBERS = ["1×4", "1×6", "1×8", "2×4", "2×6", "2×8", "2×10", "2×12", "3×10", "3×12", "4×4", "4×6", "4×8", "4×12", "6×6", "6×8", "6×10", "8×8", "8×10", "8×16", "10×10", "12×12", "12×14", "14×14"]; // prettier-ignore
/** What a builder works in: a scale, and stock of one to all of the series in one milling. */
export interface Bench {
  readonly scale: string;
  readonly milling: Milling;
  readonly series: readonly SeriesId[];
}
type Random = () => number;
const pick = <T>(r: Random, of: readonly T[]): T => of[Math.floor(r() * of.length)]!;

/** A value between the limits: mostly among the usual ones, in whole quarter inches as people type them, and now and then a limit itself. */
function between(r: Random, p: { min: number; max: number; usual?: readonly [number, number] }, step: number): number {
  const wild = r();
  if (wild < 0.03) return p.min;
  if (wild < 0.06) return p.max;
  const [lo, hi] = p.usual && r() < 0.75 ? p.usual : [p.min, p.max];
  const v = lo + r() * (hi - lo);
  return Math.min(p.max, Math.max(p.min, r() < 0.8 ? Math.round(v / step) * step : v));
}
function single(r: Random, p: SingleParam, old: unknown): unknown {
  switch (p.type) {
    case "length":
      return between(r, p, r() < 0.5 ? inches(3) : inches(0.25));
    case "batter":
    case "number":
      return between(r, p, 0.25);
    case "count":
      return p.min + Math.floor(r() * (p.max - p.min + 1));
    case "flag":
      return !(old as boolean);
    case "choice":
      return pick(r, p.options).value;
    case "section": {
      // a section near the one that it stands for, mostly: a post is no lath
      const [t] = String(old).replace("⌀", "").split("×").map(Number);
      if (String(old).startsWith("⌀")) return `⌀${Math.max(6, Math.round((t ?? 12) * (0.7 + 0.7 * r())))}`;
      const near = TIMBERS.filter((x) => {
        const k = Number(x.split("×")[0]) / (t ?? 1);
        return k >= 0.5 && k <= 2;
      });
      return pick(r, near.length > 0 && r() < 0.85 ? near : TIMBERS);
    }
    case "lengths":
      return Array.from({ length: Math.floor(r() * Math.min(8, p.most + 1)) }, () => between(r, p.of, inches(3)));
    case "points": {
      const n = 2 + Math.floor(r() * 6);
      let at = -3000;
      return Array.from({ length: n }, () => [(at += 1500 + r() * 12_000), -r() * 9000]);
    }
    case "table": {
      const rows = (old as readonly Record<string, unknown>[]).map((x) => ({ ...x }));
      const columns = Object.entries(p.columns);
      if (rows.length === 0 || (rows.length < p.most && r() < 0.35)) {
        const base = rows.length > 0 && r() < 0.7 ? { ...pick(r, rows) } : defaultsOf(p.columns as Spec);
        const [k, c] = pick(r, columns);
        rows.push({ ...base, [k]: single(r, c, base[k as never]) } as Record<string, unknown>);
      } else if (r() < 0.2) rows.splice(Math.floor(r() * rows.length), 1);
      else {
        const row = pick(r, rows);
        const [k, c] = pick(r, columns);
        row[k] = single(r, c, row[k]);
      }
      return rows;
    }
  }
}
function drawn(r: Random, p: Param, old: unknown): unknown {
  if (p.type !== "list") return single(r, p, old);
  const values = [...(old as readonly unknown[])];
  const i = Math.floor(r() * values.length);
  values[i] = single(r, p.of, values[i]);
  return values;
}

/**
 * Values of a kind as a builder may come to them: one of its starts, of which one to seven parameters were changed to
 * anything within what their spec offers, each of them one that counts (is shown) at that moment.
 */
export function valuesFrom(kind: StructureKind, seed: number): { readonly params: Params; readonly bench: Bench } {
  const r = stream(seed);
  for (let i = 0; i < 5; i++) r();
  const starts = [{ params: kind.initial() }, ...(kind.starts ?? [])];
  let params: Params = { ...kind.initial(), ...pick(r, starts).params };
  const changes = 1 + Math.floor(r() * 7);
  for (let i = 0; i < changes; i++) {
    const open = Object.keys(kind.spec).filter((k) => kind.spec[k]!.type === "list" || kind.shown(params, k));
    const name = pick(r, open);
    params = { ...params, [name]: drawn(r, kind.spec[name]!, params[name]) };
  }
  const all: readonly SeriesId[] = ["scale", "inch", "metric", "styrene"] as never;
  const series = r() < 0.4 ? [pick(r, all)] : all.filter(() => r() < 0.6);
  return {
    params,
    bench: {
      scale: pick(r, SCALES).id,
      milling: r() < 0.5 ? "full-sawn" : "dressed",
      series: series.length > 0 ? series : all,
    },
  };
}
/** What a structure is framed with on a bench. */
export function contextOf(bench: Bench): Context {
  const scale = scaleOf(bench.scale as never);
  const known = new Map<string, Match>();
  const stock = (name: string): Match => {
    const before = known.get(name);
    if (before) return before;
    const m = chooseStock(parseNominal(name)!, name, { ...bench, series: [...bench.series], choices: {} }, scale);
    known.set(name, m);
    return m;
  };
  return { structure: "t", scale, stock, sheet: (w) => chooseSheet(w, {}, scale) };
}
