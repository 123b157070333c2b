import { createHash } from "node:crypto";
import { dot } from "../geometry";
import { resolve, type Resolved } from "../frame";
import { contextOf, valuesFrom, type Bench } from "./fromSpec.fixture";
import type { Params, StructureKind } from "./kind";

/** A structure as some version framed it: what differs from the usual values, the bench, and what came of it. */
export interface Kept {
  readonly bench: Bench;
  readonly params: Params;
  /** How many sticks and how long together, model mm, and a digest of each role's count, lengths and places; or what was refused, and why. */
  readonly came: string;
}
/** What a kind was when its structures were kept. */
export interface KeptKind {
  readonly version: number;
  /** Digest of its parameters: defaults, limits, choices. */
  readonly spec: string;
  readonly cases: readonly Kept[];
}
const hash = (x: unknown): string => createHash("sha256").update(JSON.stringify(x)).digest("hex").slice(0, 12);
export const specDigest = (kind: StructureKind): string => hash(kind.spec);

/** A figure in words, the same for what is nothing from either side. */
const told = (x: number, digits: number): string => x.toFixed(digits).replace(/^-(0\.0+)$/, "$1");

/** From end to end of a stick along its own length, model mm. */
function longOf(k: Resolved): number {
  const along = k.parts.flatMap((p) => p.faces.flatMap((f) => f.corners.map((c) => dot(c, k.axes.u))));
  return Math.max(...along) - Math.min(...along);
}
/** What comes of values: the frame's sticks by role, its dimensions and builds, and what is said of it. */
export function cameOf(kind: StructureKind, params: Params, bench: Bench): string {
  const ctx = contextOf(bench);
  const all = { ...kind.initial(), ...params };
  const said = kind.check(all, ctx);
  if (said.length > 0) return `refused: ${hash(said)} ${said[0]!.slice(0, 60)}`;
  let frame;
  try {
    frame = kind.frame(all, ctx);
  } catch (e) {
    return `refused: ${(e as Error).message.slice(0, 80)}`;
  }
  const roles = new Map<string, number[]>();
  let length = 0;
  const { sticks } = resolve(frame);
  for (const k of sticks) {
    const sums = roles.get(k.member.role) ?? [0, 0, 0, 0, 0];
    roles.set(k.member.role, sums);
    sums[0]!++;
    const long = longOf(k);
    sums[1]! += long;
    length += long;
    // a stick that is moved or cut otherwise has its corners elsewhere
    for (const p of k.parts)
      for (const f of p.faces)
        for (const c of f.corners) for (let i = 0; i < 3; i++) sums[2 + i]! += c[i]! * (1 + Math.abs(c[i]!) / 1000);
  }
  const rounded = [...roles].sort(([a], [b]) => (a < b ? -1 : 1)).map(([r, s]) => [r, ...s.map((x) => told(x, 2))]);
  const words = kind.remarks(all, ctx).map((r) => [r.level, r.param, r.text, r.fix?.label]);
  const figures = kind.dimensions(all, ctx).map((d) => [d.id, told(d.value, 3), d.from.map((x) => told(x, 3))]);
  const builds = (kind.builds?.(all, ctx) ?? []).map((x) => [x.id, x.name, sticks.filter((k) => x.has(k)).length]);
  return `${sticks.length} sticks, ${length.toFixed(2)} mm: ${hash([rounded, words, figures, builds])}`;
}

/** So many structures of a kind as builders may come to them. */
export function drawCases(kind: StructureKind, count: number, seed = 20261127): Kept[] {
  const usual = kind.initial();
  return Array.from({ length: count }, (_, i): Kept => {
    const { params, bench } = valuesFrom(kind, seed * 1000 + i);
    const differs = Object.fromEntries(
      Object.entries(params).filter(([k, v]) => JSON.stringify(v) !== JSON.stringify(usual[k])),
    );
    return { bench, params: differs, came: cameOf(kind, differs, bench) };
  });
}
