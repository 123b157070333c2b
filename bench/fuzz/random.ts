/** Numbers that look like chance and are the same for the same seed. */
export interface Random {
  /** A whole number from `from` to `to`, both included. */
  int(from: number, to: number): number;
  pick<T>(list: readonly T[]): T;
}
export function seeded(seed: number): Random {
  let s = seed >>> 0;
  // mulberry32
  const next = (): number => {
    s = (s + 0x6d2b79f5) >>> 0;
    let t = Math.imul(s ^ (s >>> 15), 1 | s);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const int = (from: number, to: number): number => from + Math.floor(next() * (to - from + 1));
  return { int, pick: (list) => list[int(0, list.length - 1)]! };
}
