import type { Page, PagePlan } from "./pages";
import {
  boundsOfDrawing,
  boundsWithWords,
  CAP_HEIGHT,
  LINES,
  num,
  type Drawing,
  type Entity,
  type Fill,
  type Tint,
} from "./drawing";

const TINT: Record<Tint, string> = { timber: "#EAD9B6", black: "#1B2733", white: "#FFFFFF", grey: "#C9CDD0" };
const escape = (s: string): string =>
  s.replace(/&/g, "&amp;").replace(/</g, "&lt;").replace(/>/g, "&gt;").replace(/"/g, "&quot;");

function base64(bytes: Uint8Array): string {
  let s = "";
  for (let i = 0; i < bytes.length; i += 0x8000) s += String.fromCharCode(...bytes.subarray(i, i + 0x8000));
  return btoa(s);
}
/** Entities as SVG elements; x0 and y1 are what lies at the upper left corner. */
function elements(entities: readonly Entity[], x0: number, y1: number): string {
  const X = (x: number): string => num(x - x0);
  const Y = (y: number): string => num(y1 - y);
  const stroke = (e: { line?: keyof typeof LINES }): string => {
    if (!e.line) return ` stroke="none"`;
    const l = LINES[e.line];
    return ` stroke="#1B2733" stroke-width="${num(l.width)}"${l.dash.length ? ` stroke-dasharray="${l.dash.map(num).join(" ")}"` : ""}`;
  };
  const fill = (f?: Fill): string => ` fill="${f ? (f in TINT ? TINT[f as Tint] : f) : "none"}"`;
  /** Only what of a picture lies in its box: a window of the same units. */
  const clipped = ({ clip }: Extract<Entity, { kind: "image" }>, image: string): string => {
    if (!clip) return image;
    const box = [X(clip.at[0]), Y(clip.at[1] + clip.high), num(clip.wide), num(clip.high)];
    return `<svg x="${box[0]}" y="${box[1]}" width="${box[2]}" height="${box[3]}" viewBox="${box.join(" ")}" overflow="hidden">${image}</svg>`;
  };
  const entity = (e: Entity): string => {
    switch (e.kind) {
      case "path":
        return `<path d="M${e.points.map((p) => `${X(p[0])} ${Y(p[1])}`).join("L")}${e.closed ? "Z" : ""}"${fill(e.fill)}${stroke(e)}/>`;
      case "circle":
        return `<circle cx="${X(e.centre[0])}" cy="${Y(e.centre[1])}" r="${num(e.radius)}"${fill(e.fill)}${stroke(e)}/>`;
      case "image":
        return clipped(
          e,
          `<image x="${X(e.at[0])}" y="${Y(e.at[1] + e.high)}" width="${num(e.wide)}" height="${num(e.high)}" preserveAspectRatio="none" href="${e.picture.href ? escape(e.picture.href) : `data:${e.picture.type};base64,${base64(e.picture.bytes)}`}"/>`,
        );
      case "text": {
        const family = e.font === "label" ? "'Barlow Condensed', sans-serif" : "'Source Sans 3', sans-serif";
        const turn = e.turn ? ` transform="rotate(${num(-e.turn)} ${X(e.at[0])} ${Y(e.at[1])})"` : "";
        return `<text x="${X(e.at[0])}" y="${Y(e.at[1])}" font-family="${family}" font-weight="${e.font === "label" ? 600 : 400}" font-size="${num(e.size / CAP_HEIGHT)}" text-anchor="${e.anchor}" fill="#1B2733"${turn}>${escape(e.text)}</text>`;
      }
    }
  };
  return entities.map(entity).join("\n");
}
const OPEN = `<svg xmlns="http://www.w3.org/2000/svg" version="1.1"`;

/** A drawing as SVG at true size: one user unit is one mm. Carries layers as groups; text is left to the reader's fonts. With `words` the sheet is large enough for them, too. */
export function toSvg(
  d: Drawing,
  options: { readonly title: string; readonly margin: number; readonly words?: boolean },
): string {
  const { min, max } = options.words ? boundsWithWords(d) : boundsOfDrawing(d);
  const [x0, y1] = [min[0] - options.margin, max[1] + options.margin];
  const [w, h] = [max[0] - min[0] + 2 * options.margin, max[1] - min[1] + 2 * options.margin];
  return [
    `<?xml version="1.0" encoding="UTF-8"?>`,
    `${OPEN} width="${num(w)}mm" height="${num(h)}mm" viewBox="0 0 ${num(w)} ${num(h)}">`,
    `<title>${escape(options.title)}</title>`,
    ...d.layers.map((l) => `<g id="${escape(l.name)}" stroke-linejoin="miter">\n${elements(l.entities, x0, y1)}\n</g>`),
    `</svg>`,
    "",
  ].join("\n");
}

/** One page of a plan as SVG, one user unit to the mm: to look at before it is printed. */
export function pageSvg(plan: PagePlan, page: Page): string {
  const [w, h] = page.size;
  const { at, size } = page.window;
  const shown = plan.drawing.layers.flatMap((l) => l.entities);
  return [
    `${OPEN} width="${num(w)}" height="${num(h)}" viewBox="0 0 ${num(w)} ${num(h)}">`,
    `<rect width="${num(w)}" height="${num(h)}" fill="#fff" stroke="#857E6E" stroke-width="0.3"/>`,
    `<clipPath id="page-window"><rect x="${num(at[0])}" y="${num(h - at[1] - size[1])}" width="${num(size[0])}" height="${num(size[1])}"/></clipPath>`,
    `<g clip-path="url(#page-window)">${elements(shown, -page.shift[0], h - page.shift[1])}</g>`,
    `<g>${elements(page.furniture, 0, h)}</g>`,
    `</svg>`,
  ].join("\n");
}
