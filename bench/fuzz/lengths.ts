/** Lengths made from a meaning, in any notation, and read back: what is read is what was meant, or is refused. */
import { parseLength, type BareUnit } from "../../core/units";
import { seeded } from "./random";

const MM: Readonly<Record<string, number>> = { ft: 304.8, in: 25.4, mm: 1, cm: 10, m: 1000 };
/** Reads `count` lengths; `note` is told what was read as something else. */
export function fuzzLengths(count: number, seed: number, note: (what: string, where: string) => void): number {
  for (let i = 0; i < count; i++) {
    const r = seeded(seed + i);
    const bare = r.pick(["ft", "in", "mm", "m"] as const satisfies readonly BareUnit[]);
    const [feet, inches, d] = [r.int(0, 40), r.int(0, 11), r.pick([2, 4, 8, 16, 32, 64])];
    const n = r.int(1, d - 1);
    const whole = r.int(0, 500);
    const tenths = r.int(0, 999);
    const point = r.pick([".", ","]);
    const space = r.pick(["", " ", "  "]);
    const foot = r.pick(["'", "′", "’", " ft", " feet", "`"]);
    const inch = r.pick(['"', "″", "”", "''", " in", " inches"]);
    const slash = r.pick(["/", "⁄"]);
    const dash = r.pick(["-", "‐", "–", "−"]);
    // each notation with its meaning, mm, written down beside it and not by the reader's rules
    const [text, mm] = r.pick<readonly [string, number | "refused"]>([
      [`${feet}${foot}${space}${inches}${inch}`, feet * 304.8 + inches * 25.4],
      [`${feet}${foot}${dash}${inches}${inch}`, feet * 304.8 + inches * 25.4],
      [`${feet}${foot}${space}${inches} ${n}${slash}${d}${inch}`, feet * 304.8 + (inches + n / d) * 25.4],
      [`${feet}${foot}${dash}${inches} ${n}${slash}${d}${inch}`, feet * 304.8 + (inches + n / d) * 25.4],
      [`${feet}${foot}`, feet * 304.8],
      [`${inches}${dash}${n}${slash}${d}${inch}`, (inches + n / d) * 25.4],
      [`${inches} ${n}${slash}${d}${inch}`, (inches + n / d) * 25.4],
      [`${n}${slash}${d}${inch}`, (n / d) * 25.4],
      [`${inches}${dash}${n}${slash}${d}`, bare === "ft" ? "refused" : (inches + n / d) * MM[bare]!],
      [`${whole}${point}${tenths % 100}${space}mm`, Number(`${whole}.${tenths % 100}`)],
      [`${whole}.${tenths}${space}m`, Number(`${whole}.${tenths}`) * 1000],
      [`${whole}${space}cm`, whole * 10],
      [`${whole}`, whole * MM[bare]!],
      [`${whole}.${tenths}`, Number(`${whole}.${tenths}`) * MM[bare]!],
      [`${whole},${tenths % 100}`, Number(`${whole}.${tenths % 100}`) * MM[bare]!],
      [`${whole} ${r.pick(["furlongs", "x", "mm mm", "ft ft", "//", "1/2/3", "in mm"])}`, "refused"],
    ]);
    const read = parseLength(text, bare);
    if (mm === "refused") {
      if (read.ok) note(`“${text}” in a field of ${bare} was read as ${read.mm} mm; it should be asked`, `length ${seed + i}`); // prettier-ignore
    } else if (!read.ok) note(`“${text}” in a field of ${bare} was refused: ${read.error}`, `length ${seed + i}`);
    else if (Math.abs(read.mm - mm) > 1e-6 * Math.max(1, mm)) note(`“${text}” in a field of ${bare} was read as ${read.mm} mm and means ${mm}`, `length ${seed + i}`); // prettier-ignore
  }
  return count;
}
