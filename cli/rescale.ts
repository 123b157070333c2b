import { rescaled, type Design, type Rescaled } from "../core/job";
import { scaleOf, SCALES } from "../core/units";

/** A design's job in a scale by its name or as a ratio, "O" or "1:43.5". Errors: a scale that is none. */
export function inScale(d: Design, id: string): Rescaled {
  const known = SCALES.find((s) => s.id.toLowerCase() === id.toLowerCase());
  const ratio = Number(id.replace(/^1:/, ""));
  if (!known && !(ratio >= 1 && ratio <= 1000))
    throw new Error(`Scale “${id}” is not known; write ${SCALES.map((s) => s.id).join(", ")}, or a ratio such as 1:43.5.`); // prettier-ignore
  return rescaled(d.doc, known ?? scaleOf("custom", ratio));
}
