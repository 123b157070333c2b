import { lookOf } from "../lumber";

/** A way to join two pieces: how long it can be moved, when it holds by itself and when it is as strong as it gets, minutes, and what it does to what is near. Common practice; to be edited. */
export interface Joining {
  readonly id: string;
  readonly name: string;
  readonly for: string;
  readonly open: number;
  readonly handle: number;
  readonly full: number;
  readonly beware: string;
}
/** Joinings as one begins with them. Times of white glue, solvent cement and cyanoacrylate are the trade's usual words; of the others from memory. */
export const JOININGS: readonly Joining[] = [
  { id: "white", name: "White glue", for: "wood and card", open: 8, handle: 45, full: 1440, beware: "Dries white where stain will not take: stain first, or tint it." }, // prettier-ignore
  { id: "aliphatic", name: "Aliphatic wood glue", for: "wood", open: 5, handle: 30, full: 1440, beware: "What is squeezed out takes no stain: wipe it off wet." }, // prettier-ignore
  { id: "solvent", name: "Solvent cement", for: "styrene", open: 1, handle: 10, full: 1440, beware: "Softens and warps thin sheet: brush on little, both sides alike. Fresh air." }, // prettier-ignore
  { id: "ca-thin", name: "Thin cyanoacrylate", for: "metal, resin, close joints", open: 0.1, handle: 1, full: 720, beware: "Runs into stain and fogs clear sheet. Fresh air, eye protection." }, // prettier-ignore
  { id: "ca-thick", name: "Thick cyanoacrylate", for: "mixed materials", open: 0.5, handle: 3, full: 720, beware: "Fogs clear sheet. Fresh air, eye protection." }, // prettier-ignore
  { id: "epoxy", name: "Epoxy, five minutes", for: "pipe, metal, what carries", open: 4, handle: 30, full: 1440, beware: "Mix it even; gloves." }, // prettier-ignore
  { id: "contact", name: "Contact cement", for: "pipe to styrene, large faces", open: 10, handle: 1, full: 1440, beware: "Cannot be moved once it meets. Softens thin styrene. Fresh air." }, // prettier-ignore
  { id: "tape", name: "Transfer tape", for: "planks and strips on sheet", open: 0, handle: 0, full: 0, beware: "Bare, clean faces; press it down." }, // prettier-ignore
  { id: "film", name: "Film of adhesive", for: "paper and card on sheet", open: 0, handle: 0, full: 60, beware: "Bare, clean faces; no second try." }, // prettier-ignore
  { id: "dry", name: "No glue: loose", for: "what lifts off", open: 0, handle: 0, full: 0, beware: "" },
];
/** What joins pieces of these stocks, where nothing else was said: wood and card with white glue, styrene with cement, what is mixed with thick cyanoacrylate. Common practice. */
export function usualJoining(stocks: Iterable<string>): string {
  const looks = new Set([...stocks].map((s) => (s === "cast" ? "cast" : lookOf(s))));
  if (looks.has("glass")) return "contact";
  if (looks.size === 1 && looks.has("timber")) return "white";
  if (looks.size === 1 && looks.has("styrene")) return "solvent";
  return "ca-thick";
}

/** A table of joinings that came from outside. Errors: a sentence with what was read and what would do. */
export function readJoinings(raw: unknown): Joining[] {
  if (!Array.isArray(raw) || raw.length === 0 || raw.length > 60)
    throw new Error("The table of glues is a list of one to sixty.");
  const seen = new Set<string>();
  return raw.map((r: Readonly<Record<string, unknown>>): Joining => {
    const word = (what: "id" | "name" | "for" | "beware", most: number): string => {
      const t = r[what];
      if (typeof t !== "string" || t.length > most) throw new Error(`${what} is words of at most ${most} letters.`);
      return t.trim();
    };
    const name = word("name", 60);
    const minutes = (what: "open" | "handle" | "full", most: number): number => {
      const n = r[what];
      if (typeof n !== "number" || !(n >= 0 && n <= most)) throw new Error(`${name}: ${what} reads ${String(n)}; write minutes from 0 to ${most}.`); // prettier-ignore
      return n;
    };
    const id = word("id", 40);
    if (!/^[\w-]+$/.test(id) || seen.has(id) || name === "")
      throw new Error("Each glue has a name and an id of its own.");
    seen.add(id);
    const [handle, full] = [minutes("handle", 10_000), minutes("full", 100_000)];
    if (full < handle) throw new Error(`${name}: it holds after ${full} minutes, before it can be handled after ${handle}.`); // prettier-ignore
    return {
      id,
      name,
      for: word("for", 120),
      open: minutes("open", 10_000),
      handle,
      full,
      beware: word("beware", 300),
    };
  });
}
/** Minutes as people say them: "45 min", "1½ h", "24 h". */
export function minutesWords(min: number): string {
  if (min <= 0) return "at once";
  if (min < 1) return `${Math.round(min * 60)} s`;
  if (min < 90) return `${Math.round(min)} min`;
  const half = Math.round(min / 30) / 2;
  return `${Math.floor(half) || ""}${half % 1 ? "½" : ""} h`;
}
