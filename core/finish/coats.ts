import { COAT_KINDS, type CoatDoc, type CoatKind } from "../job";

/** What each sort of coat is called. */
export const COAT_WORDS: Readonly<Record<CoatKind, string>> = {
  stain: "stain",
  primer: "primer",
  paint: "paint",
  weathering: "weathering",
  clear: "clear coat",
  decal: "decals and signs",
};
/** What is done with it: "Stain the framing". */
export const COAT_VERBS: Readonly<Record<CoatKind, string>> = {
  stain: "Stain",
  primer: "Prime",
  paint: "Paint",
  weathering: "Weather",
  clear: "Seal",
  decal: "Letter",
};
/** Coats that one begins with, to be edited: the builder's own list. Acrylic paint 30 minutes to touch and overnight to mask is the trade's usual word; the other times and what a millilitre covers are from memory, each maker's label goes first. */
export const COATS: readonly CoatDoc[] = [
  { id: "stain", name: "Weathered wood stain", kind: "stain", mix: "Ink in alcohol, thin; two passes", touch: 20, over: 120, covers: 150 }, // prettier-ignore
  { id: "primer", name: "Grey primer", kind: "primer", mix: "", touch: 20, over: 240, covers: 60 },
  { id: "body", name: "Acrylic, body colour", kind: "paint", mix: "", touch: 30, over: 720, covers: 100 },
  { id: "trim", name: "Acrylic, trim colour", kind: "paint", mix: "", touch: 30, over: 720, covers: 100 },
  { id: "sash", name: "Acrylic, sash colour", kind: "paint", mix: "", touch: 30, over: 720, covers: 100 },
  { id: "roof", name: "Acrylic, roof colour", kind: "paint", mix: "", touch: 30, over: 720, covers: 100 },
  { id: "enamel", name: "Enamel", kind: "paint", mix: "", touch: 360, over: 1440, covers: 110 },
  { id: "wash", name: "Dark wash", kind: "weathering", mix: "Black and brown, one part in twenty", touch: 60, over: 240, covers: 200 }, // prettier-ignore
  { id: "chalk", name: "Chalk dust", kind: "weathering", mix: "", touch: 0, over: 0, covers: 1000 },
  { id: "decals", name: "Decals and signs", kind: "decal", mix: "", touch: 60, over: 720, covers: 1000 },
  { id: "flat", name: "Flat clear coat", kind: "clear", mix: "", touch: 30, over: 240, covers: 80 },
];

/** A list of coats that came from outside. Errors: a sentence with what was read and what would do. */
export function readCoats(raw: unknown): CoatDoc[] {
  if (!Array.isArray(raw) || raw.length === 0 || raw.length > 200)
    throw new Error("The list of coats has one to two hundred lines.");
  const seen = new Set<string>();
  return raw.map((r: Readonly<Record<string, unknown>>): CoatDoc => {
    const word = (what: "id" | "name" | "mix", most: number): string => {
      const t = r[what];
      if (typeof t !== "string" || t.length > most) throw new Error(`${what} is words of at most ${most} letters.`);
      return t.trim();
    };
    const name = word("name", 60);
    const number = (what: "touch" | "over" | "covers", least: number, most: number): number => {
      const n = r[what];
      if (typeof n !== "number" || !(n >= least && n <= most)) throw new Error(`${name}: ${what} reads ${String(n)}; write a number from ${least} to ${most}.`); // prettier-ignore
      return n;
    };
    const id = word("id", 40);
    if (!/^[a-z0-9][a-z0-9-]*$/i.test(id) || seen.has(id) || name === "")
      throw new Error("Each coat has a name and an id of its own.");
    seen.add(id);
    if (!COAT_KINDS.includes(r.kind as CoatKind)) throw new Error(`${name}: “${String(r.kind)}” is no sort of coat; write ${COAT_KINDS.join(", ")}.`); // prettier-ignore
    const [touch, over] = [number("touch", 0, 20_000), number("over", 0, 100_000)];
    if (over < touch) throw new Error(`${name}: it can be painted over after ${over} minutes, before it can be touched after ${touch}.`); // prettier-ignore
    return { id, name, kind: r.kind as CoatKind, mix: word("mix", 300), touch, over, covers: number("covers", 1, 10_000) }; // prettier-ignore
  });
}
