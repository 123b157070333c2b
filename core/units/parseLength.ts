import { parseNumber } from "./parseNumber";
import { MM_PER_FOOT, MM_PER_INCH } from "./brands";

/** The unit in which a bare number is read. */
export type BareUnit = "ft" | "in" | "mm" | "m";
export type Parsed = { readonly ok: true; readonly mm: number } | { readonly ok: false; readonly error: string };

const PER: Record<string, number> = { ft: MM_PER_FOOT, in: MM_PER_INCH, mm: 1, cm: 10, m: 1000 };
const VULGAR: Record<string, string> = {
  "½": "1/2",
  "¼": "1/4",
  "¾": "3/4",
  "⅛": "1/8",
  "⅜": "3/8",
  "⅝": "5/8",
  "⅞": "7/8",
  "⅓": "1/3",
  "⅔": "2/3",
  "⅙": "1/6",
  "⅚": "5/6",
};
const NUM = String.raw`(?:\d+(?:[.,]\d+)?|[.,]\d+)`;
const FRAC = String.raw`\d+\s*/\s*\d+`;
const VALUE = String.raw`(?:\d+(?:\s+|\s*-\s*)${FRAC}|${FRAC}|${NUM})`;
const FEET_INCHES = new RegExp(`^(${VALUE})\\s*ft\\s*-?\\s*(?:(${VALUE})\\s*(?:in)?)?$`);
const FEET_DASH_INCHES = new RegExp(`^(\\d+)\\s*-\\s*(\\d+(?:\\s+${FRAC})|${FRAC}|${NUM})\\s*(?:in)?$`);
const WHOLE_DASH_FRACTION = new RegExp(`^(\\d+)\\s*-\\s*(${FRAC})\\s*(in|mm|cm|m)?$`);
const WITH_UNIT = new RegExp(`^(${VALUE})\\s*(mm|cm|m|in)?$`);

/** Marks, words and vulgar fractions to the plain letters ft, in, mm, cm, m and a/b. */
function plain(text: string): string {
  return text
    .normalize("NFC")
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔⅙⅚]/g, (c) => ` ${VULGAR[c]}`)
    .replace(/\u2044/g, "/")
    .replace(/[\u2010-\u2015\u2212]/g, "-")
    .replace(/''|[\u2033\u201c\u201d\u201f"]/g, " in ")
    .replace(/['\u2032\u2018\u2019`\u00b4]/g, " ft ")
    .toLowerCase()
    .replace(/\b(millimet(?:er|re)s?)\b/g, "mm")
    .replace(/\b(centimet(?:er|re)s?)\b/g, "cm")
    .replace(/\b(met(?:er|re)s?)\b/g, "m")
    .replace(/(feet|foot|ft\.)/g, " ft ")
    .replace(/(inches|inch|ins|in\.)/g, " in ")
    .replace(/\s+/g, " ")
    .trim();
}

function valueOf(text: string): number {
  const whole = /^(\d+)(?:\s+|\s*-\s*)(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (whole) return Number(whole[1]) + Number(whole[2]) / Number(whole[3]);
  const frac = /^(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (frac) return Number(frac[1]) / Number(frac[2]);
  return parseNumber(text);
}

const EXAMPLES: Record<BareUnit, string> = {
  ft: `14'6, 14' 6 1/2", 14-6 1/2 or 4.42 m`,
  in: `3 5/8", .040, 3.5 or 12 mm`,
  mm: `12, 12.5 mm, 3 5/8" or 14'6`,
  m: `4.42, 4,42 m or 14'6`,
};

/**
 * Reads a typed length in any usual notation (feet-inches with fractions, decimal inches, mm, cm, m; straight or
 * curly marks; decimal point or comma). `bare` is the unit of a number without one. Answers mm of the world the field
 * speaks of (prototype or model: the caller knows). Errors are sentences: what was read and what would do.
 */
export function parseLength(text: string, bare: BareUnit): Parsed {
  const fail = (why = ""): Parsed => ({
    ok: false,
    error: `Read “${text.trim()}”${why}; write a length such as ${EXAMPLES[bare]}.`,
  });
  let t = plain(text);
  if (t === "") return { ok: false, error: `Nothing was typed; write a length such as ${EXAMPLES[bare]}.` };
  const negative = t.startsWith("-");
  if (negative) t = t.slice(1).trim();
  if (/\d,\d{3}(?!\d)/.test(t) && !/(^|\D)0,\d{3}/.test(t))
    return fail(", where the comma could mean thousands or a decimal");
  const done = (mm: number): Parsed =>
    Number.isFinite(mm) && mm < 1e9
      ? { ok: true, mm: (negative && mm !== 0 ? -1 : 1) * mm }
      : fail(", which is no number");

  let m = FEET_INCHES.exec(t);
  if (m) {
    const inch = m[2] === undefined ? 0 : valueOf(m[2]);
    if (m[2] !== undefined && inch >= 12 && !Number.isInteger(valueOf(m[1]!))) return fail();
    return done(valueOf(m[1]!) * MM_PER_FOOT + inch * MM_PER_INCH);
  }
  // 3-5/8" is a number of inches with a fraction; without the mark it could be feet as well
  const dashed = WHOLE_DASH_FRACTION.exec(t);
  if (dashed && bare === "ft" && !dashed[3])
    return fail(`, which could be ${dashed[1]} ${dashed[2]} inches or ${dashed[1]} feet and ${dashed[2]} inch`);
  if (!dashed && bare === "ft" && (m = FEET_DASH_INCHES.exec(t)))
    return done(Number(m[1]) * MM_PER_FOOT + valueOf(m[2]!) * MM_PER_INCH);
  m = WITH_UNIT.exec(t);
  if (m) return done(valueOf(m[1]!) * PER[m[2] ?? bare]!);
  return fail();
}
