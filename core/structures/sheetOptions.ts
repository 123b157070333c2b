import { SHEETS, TEXTURES, type SheetItem } from "../lumber";

const listed = (has: (s: SheetItem) => boolean) => SHEETS.filter((s) => !s.texture && has(s)).map((s) => ({ value: s.id.slice(6), label: s.name })); // prettier-ignore
/** What a parameter offers: plain sheets, those that are seen through, and textures, by what follows "sheet/": "styrene/40". */
export const PLAIN_SHEETS = listed((s) => s.material !== "clear");
export const CLEAR_SHEETS = listed((s) => s.material === "clear");
export const TEXTURE_OPTIONS = TEXTURES.map((t) => ({ value: t.id, label: t.name }));
export const NO_SHEET = { value: "none", label: "none" };
