import { whereWords } from "./cutList";

/** Words and numbers by turns: ["main floor joist ", "12", ""]. A number that was drawn together is a list of ranges. */
type Tokens = readonly string[];
const isNumber = (i: number): boolean => i % 2 === 1;

/** Whole numbers as ranges, also of equal steps: "1 to 4, 7, 9 to 11", "16 to 64 by 16". */
export function rangesOf(numbers: readonly number[]): string {
  const sorted = [...new Set(numbers)].sort((a, b) => a - b);
  const out: string[] = [];
  for (let i = 0; i < sorted.length;) {
    const step = (sorted[i + 1] ?? NaN) - sorted[i]!;
    let k = i + 1;
    while (k + 1 < sorted.length && sorted[k + 1]! - sorted[k]! === step) k++;
    // of larger steps it takes a fourth number to be shorter
    if (k - i >= (step === 1 ? 2 : 3) && k < sorted.length) {
      out.push(`${sorted[i]} to ${sorted[k]}${step === 1 ? "" : ` by ${step}`}`);
      i = k + 1;
    } else out.push(String(sorted[i++]));
  }
  return out.join(", ");
}

/** Draws places together that differ in the number at one position alone; the list as it was where none do. */
function drawn(list: readonly Tokens[], at: number): Tokens[] {
  const groups = new Map<string, { first: Tokens; numbers: number[] }>();
  const out: (Tokens | { first: Tokens; numbers: number[] })[] = [];
  for (const t of list) {
    const own = t[at];
    if (own === undefined || !/^\d+$/.test(own)) {
      out.push(t);
      continue;
    }
    const key = t.map((x, i) => (i === at ? "#" : x)).join("\u0000");
    const group = groups.get(key);
    if (group) group.numbers.push(Number(own));
    else {
      const made = { first: t, numbers: [Number(own)] };
      groups.set(key, made);
      out.push(made);
    }
  }
  return out.map((x) => ("numbers" in x ? x.first.map((v, i) => (i === at ? rangesOf(x.numbers) : v)) : x));
}

const many = (word: string): string =>
  /(s|x|ch|sh)$/.test(word) ? `${word}es` : /[^aeiou]y$/.test(word) ? `${word.slice(0, -1)}ies` : `${word}s`;
/** "main floor joists 1 to 51": the word before several numbers is in the plural. */
function words(t: Tokens): string {
  return t
    .map((x, i) => {
      const next = t[i + 1];
      if (isNumber(i) || next === undefined || /^\d+$/.test(next)) return x;
      // "post L" and "course 1-" stay as they are
      return x.replace(/([a-z]{2,}) $/, (_, word: string) => `${many(word)} `);
    })
    .join("");
}

/**
 * Where the sticks of a piece go, drawn together into ranges: "floor joists 1 to 51; bents 2 to 8 cap". Each time the
 * number is drawn together that leaves the fewest entries.
 */
export function whereRanges(sticks: readonly string[]): string {
  let list: Tokens[] = [...new Set(sticks.map(whereWords))].map((w) => w.split(/(\d+)/));
  for (;;) {
    const most = Math.max(...list.map((t) => t.length), 0);
    let best = list;
    for (let at = 1; at < most; at += 2) {
      const next = drawn(list, at);
      if (next.length < best.length) best = next;
    }
    if (best === list) return list.map(words).join("; ");
    list = best;
  }
}
