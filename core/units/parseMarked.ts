import { parseLength, type BareUnit } from "./parseLength";

/** What was typed for a length of the prototype, with what its words say: of the model, or clear between two timbers. */
export type Marked =
  | { readonly ok: true; readonly mm: number; readonly world: "prototype" | "model"; readonly clear: boolean; readonly metric: boolean } // prettier-ignore
  | { readonly ok: false; readonly error: string };

/**
 * Reads a length with the words people put behind it: "13.5 mm model", "12 mm clear", "1 1/2\" on the model". Without
 * words it is the prototype's. A clear gap in mm is the model's where feet are expected: it is what a spacer block measures.
 */
export function parseMarked(text: string, bare: BareUnit): Marked {
  const words = text.toLowerCase();
  const clear = /\bclear\b/.test(words);
  const plain = text.replace(/\b(on the )?model\b|\bprototype\b|\bclear\b|\bon centres?\b/gi, " ").trim();
  const p = parseLength(plain, /\bmodel\b/.test(words) && !/[a-z'"′″]/i.test(plain) ? "mm" : bare);
  if (!p.ok) return { ok: false, error: p.error.replace(`“${plain}”`, `“${text.trim()}”`) };
  const metric = /\d\s*(mm|cm|m)\b/i.test(plain) || (bare === "m" && !/['"′″]/.test(plain));
  const model = /\bmodel\b/.test(words) || (clear && bare === "ft" && /\dx?\s*mm\b/i.test(plain) && !/\bprototype\b/.test(words)); // prettier-ignore
  return { ok: true, mm: p.mm, world: model ? "model" : "prototype", clear, metric };
}
