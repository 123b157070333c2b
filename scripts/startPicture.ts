import "../core/reflected";
import { THUMBNAIL } from "../core/drawing";
import { designOf, emptyJob, jobPicture, newStructure } from "../core/job";

/** The picture of a start, as an image of its own. */
export function startPicture(kind: string, params: Readonly<Record<string, unknown>>): string {
  const design = designOf({ ...emptyJob("Start"), structures: [newStructure(kind, "s", "Start", params)] });
  const sticks = jobPicture(design)
    .split(/(?=M)/)
    .map((d) => `<path d="${d}"/>`)
    .join("");
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="-4 -4 ${THUMBNAIL.width + 8} ${THUMBNAIL.height + 8}"><g fill="#EAD9B6" stroke="#6B5433" stroke-width="1.6" stroke-linejoin="round">${sticks}</g></svg>\n`;
}
