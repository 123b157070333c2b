/** A repeatable stream of numbers from 0 to 1 (mulberry32), for problems made up by a seed. */
export function stream(seed: number): () => number {
  let s = seed;
  return () => {
    s = (s + 0x6d2b79f5) | 0;
    let t = Math.imul(s ^ (s >>> 15), 1 | s);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Lengths in threes that fill a stick of 1000 exactly, each from 250 to 500: the optimum is n / 3 (Falkenauer's construction). */
export function triplets(n: number, random: () => number): { readonly length: number; readonly count: number }[] {
  return Array.from({ length: n / 3 }, () => {
    const a = 380 + Math.floor(random() * 111);
    const b = 250 + Math.floor(random() * ((1000 - a) / 2 - 249));
    return [a, b, 1000 - a - b];
  })
    .flat()
    .map((length) => ({ length, count: 1 }));
}
