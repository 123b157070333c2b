import type { StickJob, StockLength } from "../cutting";
import { lotKey, sheetLot, stickLot } from "../drawer";
import type { PieceShape } from "../frame";
import { stickJobs, type Design } from "../job";
import type { SheetSize } from "../nesting";
import { sheetJobs, type SheetJob } from "./sheetParts";

/** What a job still has to be cut, as it goes into a plan over several. */
export interface ToCut {
  readonly sticks: readonly StickJob[];
  readonly sheets: readonly SheetJob[];
  /** Of each mark. */
  readonly shapes: readonly (readonly [string, PieceShape])[];
}
export const toCutOf = (d: Design, done: ReadonlySet<string>): ToCut => ({
  sticks: stickJobs(d, done),
  sheets: sheetJobs(d, done),
  shapes: d.pieces.map((p) => [p.mark, p.shape]),
});
/** One of several jobs that are planned together: its letter stands before its marks. */
export interface JobToCut extends ToCut {
  readonly job: string;
  readonly letter: string;
}
/** A, B, … Z, AA, AB, …: what tells jobs apart on a stick. */
export const letterOf = (n: number): string =>
  (n < 26 ? "" : letterOf(Math.floor(n / 26) - 1)) + String.fromCharCode(65 + (n % 26));
/** A piece's stick and mark among those of several jobs. */
export const stickOfJob = (job: string, stick: string): string => `${job} ${stick}`;
export const markOfJob = (letter: string, mark: string): string => `${letter} ${mark}`;
/** The job and the stick that an id among several jobs stands for. */
export function jobOfStick(id: string): readonly [job: string, stick: string] {
  const at = id.indexOf(" ");
  return [id.slice(0, at), id.slice(at + 1)];
}

/** Prices of one job beside lengths of another tell nothing of which is cheaper: then all count by their size. */
const oneMoney = <T extends { readonly cost: number }>(all: readonly (readonly T[])[], sizeOf: (x: T) => number): readonly (readonly T[])[] => {
  const plain = (x: T): boolean => x.cost === sizeOf(x);
  return all.flat().some(plain) ? all.map((l) => l.map((x) => ({ ...x, cost: sizeOf(x) }))) : all;
}; // prettier-ignore
const sameSize = (a: StockLength, b: StockLength): boolean => a.length === b.length && a.cost === b.cost;
/** Lengths of several jobs: each once; what one of them has counted is there for that job's sake, and is counted as often as it was. */
function lengthsOf(all: readonly (readonly StockLength[])[]): StockLength[] {
  const out: StockLength[] = [];
  for (const l of oneMoney(all, (x) => Math.round(x.length)).flat()) {
    const known = out.find((x) => sameSize(x, l) && (x.count === null) === (l.count === null));
    if (!known) out.push(l);
    else if (l.count !== null) out[out.indexOf(known)] = { ...known, count: known.count! + l.count };
  }
  return out;
}
/** What is wanted of several jobs, each item once: the same section under two names is one. The widest kerf counts, since one saw cuts it. */
export function sticksTogether(jobs: readonly JobToCut[]): StickJob[] {
  const groups = new Map<string, { job: JobToCut; of: StickJob }[]>();
  for (const job of jobs)
    for (const of of job.sticks) {
      const key = lotKey(stickLot(of.item, 0));
      groups.set(key, [...(groups.get(key) ?? []), { job, of }]);
    }
  return [...groups.values()].map((g): StickJob => ({
    item: g[0]!.of.item,
    wanted: g.flatMap(({ job, of }) => of.wanted.map((w) => ({ ...w, mark: markOfJob(job.letter, w.mark), stick: stickOfJob(job.job, w.stick) }))), // prettier-ignore
    lengths: lengthsOf(g.map(({ of }) => of.lengths)),
    settings: { ...g[0]!.of.settings, kerf: Math.max(...g.map(({ of }) => of.settings.kerf)) },
  }));
}
function sizesOf(all: readonly (readonly SheetSize[])[]): SheetSize[] {
  const out: SheetSize[] = [];
  for (const s of oneMoney(all, (x) => x.wide * x.long).flat()) {
    const at = out.findIndex((x) => x.wide === s.wide && x.long === s.long && x.cost === s.cost && (x.count === null) === (s.count === null)); // prettier-ignore
    if (at < 0) out.push(s);
    else if (s.count !== null) out[at] = { ...s, count: out[at]!.count! + s.count };
  }
  return out;
}
/** The same of sheets; where one of the jobs cuts by score and snap, all do, and the widest room is left. */
export function sheetsTogether(jobs: readonly JobToCut[]): SheetJob[] {
  const groups = new Map<string, { job: JobToCut; of: SheetJob }[]>();
  for (const job of jobs)
    for (const of of job.sheets) {
      const key = of.item ? lotKey(sheetLot(of.item, 0, 0)) : of.stock;
      groups.set(key, [...(groups.get(key) ?? []), { job, of }]);
    }
  return [...groups.values()].map((g): SheetJob => {
    const { stock, name, item } = g[0]!.of;
    const parts = g.flatMap(
      ({ job, of }) =>
      of.problem.parts.map((p) => ({ ...p, mark: markOfJob(job.letter, p.mark), sticks: p.sticks.map((s) => stickOfJob(job.job, s)) })), // prettier-ignore
    );
    const most = (what: "apart" | "edge"): number => Math.max(...g.map(({ of }) => of.problem[what]));
    return {
      stock,
      name,
      item,
      flat: g.flatMap(({ of }) => of.flat),
      problem: {
        parts,
        sizes: sizesOf(g.map(({ of }) => of.problem.sizes)),
        apart: most("apart"),
        edge: most("edge"),
        by: g.some(({ of }) => of.problem.by === "snap") ? "snap" : "free",
      },
    };
  });
}
