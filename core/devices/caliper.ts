import { parseNumber } from "../units";
/** A caliper on a serial line: opened, it sends text in chunks as they come, until what it answers with is called. */
export interface CaliperPort {
  open(heard: (chunk: string) => void): () => void;
}
/** What a caliper shows, mm, and whether it has come to rest. */
export interface Reading {
  readonly mm: number;
  readonly steady: boolean;
}
/** Readings that have to agree before one counts as steady, and how far they may differ, mm. A caliper reads to 0.01. */
const [AGREE, APART] = [4, 0.015];
const INCH = 25.4;

/** A line as calipers send it: "+012.34", "12.34 mm", "0.4858 in", "-0.02mm"; without a unit mm. Undefined for what is no reading. */
export function readingOf(line: string): number | undefined {
  const m = /^\s*([+-]?\s*\d{0,4}[.,]?\d{1,5})\s*(mm|in|inch|")?\s*$/i.exec(line);
  if (!m) return undefined;
  const n = parseNumber(m[1]!.replace(/\s/g, ""));
  return Number.isFinite(n) ? n * (m[2] && !/^mm$/i.test(m[2]) ? INCH : 1) : undefined;
}
/** Listens to a caliper: lines are put together from chunks however they are broken, what is no reading is passed over. Answers with how to stop. */
export function readCaliper(port: CaliperPort, tell: (r: Reading) => void): () => void {
  let rest = "";
  let last: number[] = [];
  return port.open((chunk) => {
    const lines = (rest + chunk).split(/\r\n|\r|\n/);
    rest = lines.pop()!.slice(-40);
    for (const line of lines) {
      const mm = readingOf(line);
      if (mm === undefined) continue;
      last = [...last, mm].slice(-AGREE);
      tell({ mm, steady: last.length === AGREE && Math.max(...last) - Math.min(...last) <= APART });
    }
  });
}

/** How often it sends, ms, how many lines the jaws take to close, and how far a hand is off, mm. */
const [EVERY, CLOSING, HAND] = [100, 9, 0.02];
/**
 * A caliper that is none: its jaws close on a length, shake a little and rest, and it sends what it shows ten times a
 * second, its lines broken where the line breaks them. `random` from 0 to 1 is the hand that holds it.
 */
export function simulatedCaliper(length: number, random: () => number = Math.random): CaliperPort {
  return {
    open(heard) {
      let n = 0;
      const rests = length + (2 * random() - 1) * HAND;
      const clock = setInterval(() => {
        const open = n < CLOSING ? (20 + length * 0.2) * (1 - n / CLOSING) ** 2 : 0;
        const line = `${(rests + open).toFixed(2)} mm\r\n`;
        n++;
        const at = 1 + Math.floor(random() * (line.length - 1));
        heard(line.slice(0, at));
        heard(line.slice(at));
      }, EVERY);
      return () => clearInterval(clock);
    },
  };
}
