import { JobError } from "./error";

/** What the validator says by default, and the same as one would say it to a person. */
const WORDS: readonly (readonly [RegExp, (...m: string[]) => string])[] = [
  [/^property (\S+) should not exist$/, (p) => `Cardo knows nothing called “${p}” here`],
  [/^(?:each of )?(?:nested property )?(\S+) must be either object or array$/, (p) => `${p} should be a group of values`],
  [/^(.+) must be one of the following values: (.*)$/, (p, list) => (list ? `${p} should be one of ${list}` : `${p} is none that is known`)],
  [/^(.+) must be a string$/, (p) => `${p} should be text`],
  [/^(.+) must be an object$/, (p) => `${p} should hold values by their names`],
  [/^(.+) must be an array$/, (p) => `${p} should be a list`],
  [/^(.+) must be a boolean value$/, (p) => `${p} should be true or false`],
  [/^(.+) must be a number(?: conforming to the specified constraints)?$/, (p) => `${p} should be a number`],
  [/^(.+) must be an integer number$/, (p) => `${p} should be a whole number`],
  [/^(.+) must not be less than (.+)$/, (p, n) => `${p} should be at least ${n}`],
  [/^(.+) must not be greater than (.+)$/, (p, n) => `${p} should be at most ${n}`],
  [/^(.+) must be shorter than or equal to (\d+) characters$/, (p, n) => `${p} should have at most ${n} characters`],
  [/^(.+) must be longer than or equal to (\d+) characters$/, (p, n) => `${p} should have at least ${n} characters`],
  [/^(.+) must contain no more than (\d+) elements$/, (p, n) => `${p} should have at most ${n} entries`],
  [/^(.+) must contain at least (\d+) elements$/, (p, n) => `${p} should have at least ${n} entries`],
  [/^(.+) should not be null or undefined$/, (p) => `${p} is missing`],
  [/^(.+) should not be empty$/, (p) => `${p} should not be empty`],
  [/^(.+) must match .* regular expression$/, (p) => `${p} is not written as it should be`],
  [/^an unknown value was passed to the validate function$/, () => "this is not of a shape that is known"],
]; // prettier-ignore

/** A message of the validator in Cardo's own words; one that is in them already stays. */
export function ownWords(message: string): string {
  const text = message.replace(/^each value in /, "each of ");
  for (const [pattern, say] of WORDS) {
    const m = pattern.exec(text);
    if (m) return say(...m.slice(1));
  }
  return text;
}

/** Levels that a job goes down; names that no job has, since the language keeps them for itself. */
const DEEPEST = 40;
const KEPT_NAMES = new Set(Object.getOwnPropertyNames(Object.prototype));
/** Refuses what no reader could take apart. Errors: JobError. */
export function checkPlain(raw: unknown): void {
  const open: (readonly [value: unknown, depth: number])[] = [[raw, 0]];
  for (let next = open.pop(); next; next = open.pop()) {
    const [value, depth] = next;
    if (typeof value !== "object" || value === null) continue;
    if (depth > DEEPEST) throw new JobError([`The job is nested more than ${DEEPEST} levels deep, which none is.`]);
    for (const [key, inner] of Object.entries(value)) {
      if (KEPT_NAMES.has(key))
        throw new JobError([`The job has something called “${key}”, which nothing of a job is.`]);
      open.push([inner, depth + 1]);
    }
  }
}
