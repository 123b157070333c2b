/** Text as people type it when they look for something: no case, no accents, x for ×, straight marks for curly ones. */
export const plain = (s: string): string =>
  s
    .replace(/[′’‘]/g, "'")
    .replace(/[″”“]/g, '"')
    .toLowerCase()
    .normalize("NFKD")
    .replace(/\p{M}/gu, "")
    .replace(/×/g, "x");

/** Whether every word that is looked for stands somewhere in a text, in any order. */
export function hasWords(text: string, wanted: string): boolean {
  const within = plain(text);
  // "2 x 4" is looked for as "2x4" is
  const words = plain(wanted)
    .replace(/(\d)\s*[x*]\s*(?=\d)/g, "$1x")
    .split(/\s+/);
  return words.every((w) => within.includes(w));
}
